import type { Geometry } from './geometry';
import type { TressSize } from './look';
import { KEPT } from './nearest';

/** Bytes of a geometry, about, and of how light falls on it where some of it is white (`colouring.ts`). */
const bytesOf = ({ pixel }: Geometry) => pixel.length * (4 + 1 + 1 + 4 + 4 + 4 + KEPT * (2 + 4));
/** Most that is kept of geometries, bytes: two dozen large locks, or a chart of hundreds of swatches. */
const MOST_KEPT = 96 * 1024 * 1024;
const kept = new Map<string, Geometry>();
let keptBytes = 0;

/** The geometry of what is named, in a size, worked out once and kept while there is room; the longest unused goes first. */
export function keptGeometry(
  named: readonly unknown[],
  { width, height }: TressSize,
  make: () => Geometry,
): Geometry {
  const name = JSON.stringify([named, width, height]);
  const known = kept.get(name);
  if (known) {
    kept.delete(name);
    kept.set(name, known);
    return known;
  }
  const made = make();
  kept.set(name, made);
  keptBytes += bytesOf(made);
  for (const [oldest, one] of kept) {
    if (keptBytes <= MOST_KEPT || oldest === name) break;
    kept.delete(oldest);
    keptBytes -= bytesOf(one);
  }
  return made;
}
