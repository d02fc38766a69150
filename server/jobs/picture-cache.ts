import type { Drawing, TressLook, TressSize } from '@cimbel/core/draw';
import { LRUCache } from 'lru-cache';
import type { HeavyWork } from './heavy';

/** Pictures of some hundred kilobytes, for all that a few classes have hanging before them. */
const MOST_KEPT = 400;
const lRUCache = new LRUCache<string, Promise<Uint8Array>>({ max: MOST_KEPT });

/**
 * The picture of a lock, painted once however many ask: a class that opens an exercise at nine sees one and the same head.
 * What fails is not kept.
 */
export function keptPicture(
  work: HeavyWork,
  look: TressLook,
  drawing: Drawing,
  size: TressSize,
): Promise<Uint8Array> {
  const name = JSON.stringify([drawing, size, look]);
  const known = lRUCache.get(name);
  if (known) return known;
  // For no request in particular: the first that asked may be cancelled while others still wait for it.
  const made = work.of(`picture ${name}`)('picture', look, drawing, size);
  lRUCache.set(name, made);
  made.catch(() => lRUCache.delete(name));
  return made;
}
