// Bound once: every fibre of every picture asks for some numbers.
const { imul } = Math;

/** A seeded source of numbers in [0, 1). The same seed always gives the same sequence, on every platform. */
export type Random = () => number;

/** mulberry32 (public domain, T. Ettinger): 32-bit state, full period, fast enough for one draw per pixel. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = imul(t ^ (t >>> 15), t | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** FNV-1a, so that a name or an id can serve as a seed. */
export function seedFrom(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
