import type { Coating } from './look';

// Bound once: these run millions of times a picture.
const { abs, floor, imul, sqrt } = Math;

/**
 * How each lies on hair. Grey and no brighter than the room, or hair judged beside it would look darker than it is; the
 * fraction 0–1 of the hair it hides; how far its light goes up and down with its surface; how far it stands out beside the
 * hair, in pixels of a picture 300 wide; and as what: a film follows every strand, a paste lies about the whole lock, a packet
 * is folded about it.
 */
export interface Body {
  /** As what it lies. */
  lies: 'film' | 'paste' | 'packet';
  /** Lightness of the product, L*. */
  l: number;
  /** Fraction 0–1 of the hair it hides. */
  hides: number;
  /** How far its light goes up and down with its surface, 0 flat. */
  relief: number;
  /** How far it stands out beside the hair, pixels of a picture 300 wide. */
  stands: number;
  /** Height of its surface at a place, 0–1, in pixels of a picture 300 wide. */
  height: (x: number, y: number) => number;
}

/** A number in [0, 1) for a place of a grid (integer hash after Wellons, public domain). */
function hash(x: number, y: number, salt: number): number {
  let h = (imul(x, 0x9e3779b1) ^ imul(y, 0x85ebca6b) ^ imul(salt, 0xc2b2ae35)) >>> 0;
  h = imul(h ^ (h >>> 16), 0x7feb352d);
  h = imul(h ^ (h >>> 15), 0x846ca68b);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}
const ease = (t: number) => t * t * (3 - 2 * t);

/** Values of a grid with smooth ways between them, 0–1. */
export function noise(x: number, y: number, salt: number): number {
  const [x0, y0] = [floor(x), floor(y)];
  const [u, v] = [ease(x - x0), ease(y - y0)];
  const top = hash(x0, y0, salt) * (1 - u) + hash(x0 + 1, y0, salt) * u;
  const low = hash(x0, y0 + 1, salt) * (1 - u) + hash(x0 + 1, y0 + 1, salt) * u;
  return top * (1 - v) + low * v;
}

/** Bubbles: round heads about points scattered over some of the cells, 0–1. */
function bubbles(x: number, y: number, salt: number): number {
  const [cx, cy] = [floor(x), floor(y)];
  let highest = 0;
  for (let gy = cy - 1; gy <= cy + 1; gy++)
    for (let gx = cx - 1; gx <= cx + 1; gx++) {
      if (hash(gx, gy, salt + 3) > 0.55) continue;
      const r = 0.25 + 0.45 * hash(gx, gy, salt + 2);
      const dx = gx + hash(gx, gy, salt) - x;
      const dy = gy + hash(gx, gy, salt + 1) - y;
      const head = (1 - (dx * dx + dy * dy) / (r * r)) * r;
      if (head > highest) highest = head;
    }
  return sqrt(highest);
}
/** Straight ups and downs as of a sheet that was folded, 0–1. */
const fold = (t: number) => 2 * abs(t - floor(t) - 0.5);

export const BODIES: Record<Coating, Body> = {
  // Strokes of the brush run down the hair.
  cream: {
    lies: 'paste',
    l: 68,
    hides: 0.94,
    relief: 0.85,
    stands: 4,
    height: (x, y) =>
      0.55 * noise(x / 9, y / 60, 1) + 0.2 * noise(x / 3.6, y / 34, 2) + 0.25 * noise(x / 26, y / 34, 3),
  },
  // Swollen and soft.
  foam: {
    lies: 'paste',
    l: 68,
    hides: 1,
    relief: 0.9,
    stands: 11,
    height: (x, y) =>
      0.66 * noise(x / 34, y / 26, 4) + 0.26 * noise(x / 15, y / 12, 5) + 0.08 * noise(x / 6, y / 5, 6),
  },
  gel: {
    lies: 'film',
    l: 66,
    hides: 0.34,
    relief: 1.6,
    stands: 0,
    height: (x, y) => 0.7 * noise(x / 11, y / 60, 8) + 0.3 * noise(x / 5, y / 30, 9),
  },
  // Bubbles, large ones among small.
  suds: {
    lies: 'paste',
    l: 68,
    hides: 0.78,
    relief: 0.4,
    stands: 8,
    height: (x, y) =>
      0.5 * noise(x / 24, y / 20, 10) + 0.3 * bubbles(x / 15, y / 15, 11) + 0.2 * bubbles(x / 7, y / 7, 14),
  },
  foil: {
    lies: 'packet',
    l: 64,
    hides: 1,
    relief: 1.7,
    stands: 9,
    // Creases run straight and cross; none lies quite where the last one did.
    height: (x, y) => {
      const slack = noise(x / 70, y / 70, 17);
      return (
        0.36 * fold((0.95 * x + 0.31 * y) / 83 + 0.5 * slack) +
        0.34 * fold((0.79 * y - 0.62 * x) / 97 + 0.7 * slack) +
        0.3 * fold((0.24 * x + 0.97 * y) / 61 + 0.4 * noise(x / 50, y / 50, 18))
      );
    },
  },
};
