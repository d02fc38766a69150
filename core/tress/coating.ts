import type { Geometry } from './geometry';
import type { Coating, TressLook, TressZone } from './look';
import { fromLinear, linearOf } from './rows';
import { STEPS_ALONG } from './shape';

const { floor, max, min, round, sqrt } = Math;

/**
 * How each lies on hair. Grey and no brighter than the room, or hair judged beside it would look darker than it is; the
 * fraction 0–1 of the hair it hides; how far its light goes up and down with its surface.
 */
interface Body {
  l: number;
  hides: number;
  relief: number;
  /** Height of its surface at a place, 0–1, in pixels of a picture 300 wide. */
  height: (x: number, y: number) => number;
}

/** A number in [0, 1) for a place of a grid (integer hash after Wellons, public domain). */
function hash(x: number, y: number, salt: number): number {
  let h = (Math.imul(x, 0x9e3779b1) ^ Math.imul(y, 0x85ebca6b) ^ Math.imul(salt, 0xc2b2ae35)) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x7feb352d);
  h = Math.imul(h ^ (h >>> 15), 0x846ca68b);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}
const ease = (t: number) => t * t * (3 - 2 * t);

/** Values of a grid with smooth ways between them, 0–1. */
function noise(x: number, y: number, salt: number): number {
  const [x0, y0] = [floor(x), floor(y)];
  const [u, v] = [ease(x - x0), ease(y - y0)];
  const top = hash(x0, y0, salt) * (1 - u) + hash(x0 + 1, y0, salt) * u;
  const low = hash(x0, y0 + 1, salt) * (1 - u) + hash(x0 + 1, y0 + 1, salt) * u;
  return top * (1 - v) + low * v;
}

/** Bubbles: round heads about the nearest of points scattered one to a cell, 0–1. */
function bubbles(x: number, y: number, salt: number): number {
  const [cx, cy] = [floor(x), floor(y)];
  let highest = 0;
  for (let gy = cy - 1; gy <= cy + 1; gy++)
    for (let gx = cx - 1; gx <= cx + 1; gx++) {
      const r = 0.45 + 0.4 * hash(gx, gy, salt + 2);
      const dx = gx + hash(gx, gy, salt) - x;
      const dy = gy + hash(gx, gy, salt + 1) - y;
      const head = 1 - (dx * dx + dy * dy) / (r * r);
      if (head > highest) highest = head;
    }
  return sqrt(highest);
}
/** Straight ups and downs as of a sheet that was folded, 0–1. */
const fold = (t: number) => 2 * Math.abs(t - floor(t) - 0.5);

const BODIES: Record<Coating, Body> = {
  // Strokes of the brush run down the hair.
  cream: {
    l: 68,
    hides: 0.94,
    relief: 0.75,
    height: (x, y) =>
      0.6 * noise(x / 9, y / 46, 1) + 0.25 * noise(x / 3.2, y / 22, 2) + 0.15 * noise(x / 12, y / 12, 3),
  },
  foam: {
    l: 68,
    hides: 1,
    relief: 0.34,
    height: (x, y) => 0.65 * noise(x / 17, y / 21, 4) + 0.35 * bubbles(x / 5.5, y / 5.5, 5),
  },
  gel: {
    l: 66,
    hides: 0.34,
    relief: 1.6,
    height: (x, y) => 0.7 * noise(x / 11, y / 60, 8) + 0.3 * noise(x / 5, y / 30, 9),
  },
  suds: {
    l: 68,
    hides: 0.78,
    relief: 0.36,
    height: (x, y) =>
      0.4 * noise(x / 14, y / 14, 10) + 0.4 * bubbles(x / 8, y / 8, 11) + 0.2 * bubbles(x / 3.6, y / 3.6, 14),
  },
  foil: {
    l: 64,
    hides: 1,
    relief: 1.7,
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

/** Pixels that a coating may lie on, and how far along the hair each is, 0 to `STEPS_ALONG` − 1. */
type Ground = Pick<Geometry, 'pixel' | 'along'>;

/** A foil is a packet about the whole lock, as wide as its widest and a little more, and folded straight across. */
function packetOf({ pixel, along, width, height }: Geometry): Ground {
  const sums = new Float64Array(height);
  const counts = new Uint32Array(height);
  let [left, right] = [width, 0];
  for (let i = 0; i < pixel.length; i++) {
    const y = floor(pixel[i] / width);
    const x = pixel[i] % width;
    sums[y] += along[i];
    counts[y]++;
    if (x < left) left = x;
    if (x > right) right = x;
  }
  const beside = round(PACKET_BESIDE * width);
  const from = max(0, left - beside);
  const wide = min(width, right + beside + 1) - from;
  const rows = Array.from(counts.keys()).filter((y) => counts[y] > 0);
  // Hair that curls back up does not bend the fold: a row is never nearer the root than the one above it.
  let furthest = 0;
  const steps = rows.map((y) => (furthest = max(furthest, sums[y] / counts[y])));
  return {
    pixel: Uint32Array.from(
      { length: rows.length * wide },
      (_, i) => rows[floor(i / wide)] * width + from + (i % wide),
    ),
    along: Uint8Array.from({ length: rows.length * wide }, (_, i) => steps[floor(i / wide)]),
  };
}

/** Where a coating may lie, and the light on it there in 128ths of its own: worked out once and kept as long as the geometry is. */
interface Surface extends Ground {
  light: Uint8Array;
}
const kept = new WeakMap<Geometry, Map<Coating, Surface>>();
function surfaceOn(geometry: Geometry, coating: Coating, seed: number): Surface {
  const known = kept.get(geometry) ?? new Map<Coating, Surface>();
  kept.set(geometry, known);
  const had = known.get(coating);
  if (had) return had;
  const { width } = geometry;
  const { height, relief } = BODIES[coating];
  const { pixel, along } = coating === 'foil' ? packetOf(geometry) : geometry;
  const scale = 300 / width;
  // Another lock is coated elsewhere.
  const aside = 97 * (seed % 89);
  const light = Uint8Array.from(pixel, (at) => {
    const x = (at % width) * scale + aside;
    const y = floor(at / width) * scale;
    const here = height(x, y);
    // The light stands above, a little to the left: what rises towards it is lit.
    const rise = 0.45 * (height(x + 1.4, y) - here) + 0.9 * (height(x, y + 1.4) - here);
    return round(128 * min(1.45, max(0.55, 1 + relief * (rise * 3 + 0.16 * (here - 0.5)))));
  });
  const surface = { pixel, along, light };
  known.set(coating, surface);
  return surface;
}

/** What the eye sees of a stretch from afar: its hair, or what hides it. */
export function surfaceOf({
  colour,
  greyShare,
  grey,
  under,
}: TressZone): Pick<TressZone, 'colour' | 'greyShare' | 'grey'> {
  if (!under || BODIES[under].hides < 0.5) return { colour, greyShare, grey };
  return { colour: { l: BODIES[under].l, a: 0, b: 0 }, greyShare: 0, grey };
}

/** How far the edge of a coating strays, in steps along the hair; that of a foil is a fold. */
const EDGE = 5;
const FOLD = 1;
/** How far a packet of foil stands out on either side, fraction of the picture's width. */
const PACKET_BESIDE = 0.03;

/** Lays on the drawn hair what is on it, zone by zone. */
export function layCoatings(data: Uint8ClampedArray, geometry: Geometry, { zones, seed }: TressLook): void {
  const coatings = [...new Set(zones.flatMap(({ under }) => (under ? [under] : [])))];
  for (const coating of coatings) {
    const { l, hides } = BODIES[coating];
    const tone = 255 * fromLinear(linearOf({ l, a: 0, b: 0 })[1]);
    const { pixel, along, light } = surfaceOn(geometry, coating, seed);
    const isFoil = coating === 'foil';
    const soft = isFoil ? FOLD : EDGE;
    const coated = Array.from({ length: STEPS_ALONG }, (_, step) =>
      zones.some(
        ({ from, to, under }) => under === coating && step >= from * STEPS_ALONG && step < to * STEPS_ALONG,
      ),
    );
    // Steps to the nearest end of the coated stretch, negative outside; the root and the tip are no ends.
    const inside = Float32Array.from(coated, (is, step) => {
      for (let away = 1; away <= 2 * EDGE; away++)
        if ([step - away, step + away].some((at) => coated[at] === !is)) return is ? away - 0.5 : 0.5 - away;
      return is ? 2 * EDGE : -2 * EDGE;
    });
    for (let i = 0; i < pixel.length; i++) {
      const depth = inside[along[i]];
      if (depth < -soft) continue;
      const strays = isFoil ? 0 : (EDGE * (light[i] - 128)) / 40;
      const edge = min(1, max(0, (depth + strays) / soft + 0.5));
      const share = hides * edge;
      const lit = (tone * light[i]) / 128;
      const at = 4 * pixel[i];
      if (isFoil) data[at + 3] = max(data[at + 3], 255 * edge);
      for (let c = 0; c < 3; c++) data[at + c] = data[at + c] * (1 - share) + lit * share;
    }
  }
}
