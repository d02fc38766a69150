import { type Random, seededRandom } from '../random';
import { groundOf, type Ground } from './fibre-run';
import { drawFibres } from './fibres';
import { type TressSize, type Shape, STEPS_ALONG, RANKS } from './look';
import { CLOSED, NEAREST_KEPT, Pieces, ALONG, FIBRE, LIGHT_ON, SPARK } from './nearest-fibres';

const { floor, max, min, round } = Math;

/**
 * What a picture of a lock is apart from its colour: which fibres each pixel shows, how far along the hair they are there,
 * and how they are lit. Worked out once for a shape and size; colouring it is one pass (`paint.ts`). Arrays run along the
 * covered pixels only.
 */
export interface Geometry extends TressSize {
  /** Place of each covered pixel in the picture, counted row by row; they run down the columns, as they were drawn. */
  readonly pixel: Uint32Array;
  /** How far it is covered, 0–255. */
  readonly cover: Uint8Array;
  /** How far along the hair it is: root 0 to tip `STEPS_ALONG` − 1. */
  readonly along: Uint8Array;
  /** `KEPT` numbers a pixel: the ranks of its fibres, 0 to `RANKS`. Fibres ranked below the share of grey are white. */
  readonly ranks: Uint16Array;
  /** `KEPT` numbers a pixel: light on the colour of each fibre, the broader lobe included, times its part of the pixel. */
  readonly light: Float32Array;
  /** Light on all of them together, and the most of it on any pixel. */
  readonly allLight: Float32Array;
  readonly mostLight: number;
  /** Light that comes back in the colour of the lamp, the narrow lobe, 0–1. */
  readonly spark: Float32Array;
  /** Three numbers a step along the hair: light, lamp's light and cover of its pixels, added up by their cover. */
  readonly sums: Float64Array;
}

/** Fibres across a picture of this width are about ten to the pixel: the lock closes and single hairs are thin. */
const FIBRES_A_PIXEL = 10;
const LEAST_FIBRES = 1600;
/** As many as have a number of their own. */
export const MOST_FIBRES = 60_000;
/** Cover under which a pixel is empty. */
const LEAST_COVER = 0.02;

/** In [0, 1): fibres in a seeded order, each at the middle of the area it shows, so that a share of rank is one of area. */
export function ranksOf(area: Float64Array, random: Random): Float32Array {
  const order = Uint32Array.from(area, (_, i) => i);
  for (let i = order.length - 1; i > 0; i--) {
    const j = floor(random() * (i + 1));
    [order[i], order[j]] = [order[j], order[i]];
  }
  const all = area.reduce((sum, value) => sum + value, 0) || 1;
  const ranks = new Float32Array(area.length);
  let below = 0;
  for (const f of order) {
    ranks[f] = (below + area[f] / 2) / all;
    below += area[f];
  }
  return ranks;
}

/** A lock of a shape. */
export function geometryOf(shape: Shape, size: TressSize): Geometry {
  const count = min(MOST_FIBRES, max(LEAST_FIBRES, round(FIBRES_A_PIXEL * size.width)));
  const ground = groundOf(size);
  drawFibres(ground, shape, count);
  return gathered(ground, count, (area) => ranksOf(area, seededRandom(shape.seed ^ 0x5eed)));
}

/**
 * What is drawn on a ground, as it is coloured. `ranks` gives each of so many fibres its rank, in [0, 1), by the area it
 * shows, pixels.
 */
export function gathered(
  { width, height, nearest, pieces }: Ground,
  count: number,
  ranks: (area: Float64Array) => Float32Array,
): Geometry {
  const { gate, piece, depth, cover } = nearest;
  const { facts } = pieces;
  const pixels = width * height;

  const seenOf = (p: number) => min(1, (1 - gate[2 * p]) / (1 - CLOSED));
  let covered = 0;
  for (let p = 0; p < pixels; p++) if (seenOf(p) > LEAST_COVER) covered++;
  const area = new Float64Array(count);
  const out = {
    pixel: new Uint32Array(covered),
    cover: new Uint8Array(covered),
    along: new Uint8Array(covered),
    ranks: new Uint16Array(NEAREST_KEPT * covered),
    light: new Float32Array(NEAREST_KEPT * covered),
    allLight: new Float32Array(covered),
    spark: new Float32Array(covered),
    sums: new Float64Array(3 * STEPS_ALONG),
  };
  /** Places of a pixel's pieces, nearest first. */
  const order = new Uint32Array(NEAREST_KEPT);
  const parts = new Float32Array(NEAREST_KEPT);
  for (let p = 0, at = 0, x = 0, y = 0; p < pixels; p++, y++) {
    if (y === height) {
      y = 0;
      x++;
    }
    const seen = seenOf(p);
    if (seen <= LEAST_COVER) continue;
    for (let k = 0; k < NEAREST_KEPT; k++) {
      const value = NEAREST_KEPT * p + k;
      let to = k;
      for (; to > 0 && depth[order[to - 1]] < depth[value]; to--) order[to] = order[to - 1];
      order[to] = value;
    }
    let [open, sum] = [1, 0];
    for (let k = 0; k < NEAREST_KEPT; k++) {
      parts[k] = open * cover[order[k]];
      open -= parts[k];
      sum += parts[k];
    }
    const step = facts[Pieces.at(piece[order[0]]) + ALONG];
    let [allLight, spark] = [0, 0];
    for (let k = 0; k < NEAREST_KEPT; k++) {
      const part = parts[k] / sum;
      if (part === 0) continue;
      const shown = Pieces.at(piece[order[k]]);
      const fibre = facts[shown + FIBRE];
      area[fibre] += seen * part;
      // Its number, until ranks are given.
      out.ranks[NEAREST_KEPT * at + k] = fibre;
      const light = part * facts[shown + LIGHT_ON];
      out.light[NEAREST_KEPT * at + k] = light;
      allLight += light;
      spark += part * facts[shown + SPARK];
    }
    out.pixel[at] = y * width + x;
    out.cover[at] = round(255 * seen);
    out.along[at] = step;
    out.allLight[at] = allLight;
    out.spark[at] = spark;
    const sums = 3 * step;
    out.sums[sums] += out.cover[at] * allLight;
    out.sums[sums + 1] += out.cover[at] * spark;
    out.sums[sums + 2] += out.cover[at];
    at++;
  }
  const ranked = Uint16Array.from(ranks(area), (rank) => RANKS * rank);
  for (let i = 0; i < out.ranks.length; i++) out.ranks[i] = ranked[out.ranks[i]];
  return { width, height, ...out, mostLight: out.allLight.reduce((most, value) => max(most, value), 0) };
}

/** Bytes of a geometry, about, and of how light falls on it where some of it is white (`colouring.ts`). */
const bytesOf = ({ pixel }: Geometry) => pixel.length * (4 + 1 + 1 + 4 + 4 + 4 + NEAREST_KEPT * (2 + 4));
/** Most that is kept of geometries, bytes: two dozen large locks, or a chart of hundreds of swatches. */
const CACHE_BYTES = 96 * 1024 * 1024;
const geometryCache = new Map<string, Geometry>();
let cacheBytes = 0;

/** The geometry of what is named, in a size, worked out once and kept while there is room; the longest unused goes first. */
export function cachedGeometry(
  named: readonly unknown[],
  { width, height }: TressSize,
  make: () => Geometry,
): Geometry {
  const name = JSON.stringify([named, width, height]);
  const known = geometryCache.get(name);
  if (known) {
    geometryCache.delete(name);
    geometryCache.set(name, known);
    return known;
  }
  const geometry = make();
  geometryCache.set(name, geometry);
  cacheBytes += bytesOf(geometry);
  for (const [oldest, one] of geometryCache) {
    if (cacheBytes <= CACHE_BYTES || oldest === name) break;
    geometryCache.delete(oldest);
    cacheBytes -= bytesOf(one);
  }
  return geometry;
}
