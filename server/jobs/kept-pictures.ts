import type { Drawing, TressLook, TressSize } from '@cimbel/core/tress';
import { LRUCache } from 'lru-cache';
import type { Heavy } from './heavy';

/** Pictures of some hundred kilobytes, for all that a few classes have hanging before them. */
const MOST_KEPT = 400;
const kept = new LRUCache<string, Promise<Uint8Array>>({ max: MOST_KEPT });

/**
 * The picture of a lock, painted once however many ask: a class that opens an exercise at nine sees one and the same head.
 * What fails is not kept.
 */
export function keptPicture(
  heavy: Heavy,
  look: TressLook,
  drawing: Drawing,
  size: TressSize,
): Promise<Uint8Array> {
  const name = JSON.stringify([drawing, size, look]);
  const known = kept.get(name);
  if (known) return known;
  const made = heavy('picture', look, drawing, size);
  kept.set(name, made);
  made.catch(() => kept.delete(name));
  return made;
}
