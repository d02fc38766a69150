import type { Geometry } from './geometry';
import type { Coating, TressLook } from './look';
import { fromLinear, linearOf } from './rows';
import { STEPS_ALONG } from './shape';

// Bound once: these run millions of times a picture.
const { abs, ceil, floor, imul, max, min, round, sqrt } = Math;

/**
 * How each lies on hair. Grey and no brighter than the room, or hair judged beside it would look darker than it is; the
 * fraction 0–1 of the hair it hides; how far its light goes up and down with its surface; how far it stands out beside the
 * hair, in pixels of a picture 300 wide: a film follows every strand, a paste lies about the whole lock.
 */
interface Body {
  l: number;
  hides: number;
  relief: number;
  /** 0 for a film. */
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
function noise(x: number, y: number, salt: number): number {
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

const BODIES: Record<Coating, Body> = {
  // Strokes of the brush run down the hair.
  cream: {
    l: 68,
    hides: 0.94,
    relief: 0.85,
    stands: 4,
    height: (x, y) =>
      0.55 * noise(x / 9, y / 60, 1) + 0.2 * noise(x / 3.6, y / 34, 2) + 0.25 * noise(x / 26, y / 34, 3),
  },
  // Swollen and soft.
  foam: {
    l: 68,
    hides: 1,
    relief: 0.9,
    stands: 11,
    height: (x, y) =>
      0.66 * noise(x / 34, y / 26, 4) + 0.26 * noise(x / 15, y / 12, 5) + 0.08 * noise(x / 6, y / 5, 6),
  },
  gel: {
    l: 66,
    hides: 0.34,
    relief: 1.6,
    stands: 0,
    height: (x, y) => 0.7 * noise(x / 11, y / 60, 8) + 0.3 * noise(x / 5, y / 30, 9),
  },
  // Bubbles, large ones among small.
  suds: {
    l: 68,
    hides: 0.78,
    relief: 0.4,
    stands: 8,
    height: (x, y) =>
      0.5 * noise(x / 24, y / 20, 10) + 0.3 * bubbles(x / 15, y / 15, 11) + 0.2 * bubbles(x / 7, y / 7, 14),
  },
  foil: {
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

/** Pixels that a coating may lie on, how far along the hair each is, 0 to `STEPS_ALONG` − 1, and what it is there by itself. */
interface Ground extends Pick<Geometry, 'pixel' | 'along'> {
  /** Fraction 0–1 of each pixel that a body covers; a film, for which it is left out, is only where there is hair. */
  body?: Float32Array;
  /** How far each is turned away from the eye, 0 to 1; not at all where left out. */
  turned?: Float32Array;
}

/** Cover from which a pixel is of the body of a lock rather than of hairs that stand off it. */
const OF_BODY = 110;

/** The rows a lock has, how far along the hair each is, and from where to where it lies across. */
function rowsOf({ pixel, along, cover, width, height }: Geometry) {
  const sums = new Float64Array(height);
  const counts = new Uint32Array(height);
  const edges = () => ({
    left: new Float32Array(height).fill(width),
    right: new Float32Array(height).fill(-1),
  });
  const [all, body] = [edges(), edges()];
  for (let i = 0; i < pixel.length; i++) {
    const y = floor(pixel[i] / width);
    const x = pixel[i] % width;
    sums[y] += along[i];
    counts[y]++;
    for (const { left, right } of cover[i] < OF_BODY ? [all] : [all, body]) {
      left[y] = min(left[y], x);
      right[y] = max(right[y], x);
    }
  }
  const rows = Array.from(counts.keys()).filter((y) => counts[y] > 0);
  // Hair that curls back up does not bend an edge: a row is never nearer the root than the one above it.
  let furthest = 0;
  const steps = rows.map((y) => (furthest = max(furthest, sums[y] / counts[y])));
  // Tips are nothing but hairs that stand off.
  const [left, right] = (['left', 'right'] as const).map((side) =>
    rows.map((y) => (body.left[y] <= body.right[y] ? body : all)[side][y]),
  );
  return { rows, steps, left, right };
}

/** A foil is a packet about the whole lock, as wide as its widest and a little more, and folded straight across. */
function packetOf(geometry: Geometry, stands: number): Ground {
  const { pixel, width } = geometry;
  const { rows, steps } = rowsOf(geometry);
  let [left, right] = [width, 0];
  for (const at of pixel) {
    left = min(left, at % width);
    right = max(right, at % width);
  }
  const beside = round((stands * width) / 300);
  const from = max(0, left - beside);
  const wide = min(width, right + beside + 1) - from;
  return {
    pixel: Uint32Array.from(
      { length: rows.length * wide },
      (_, i) => rows[floor(i / wide)] * width + from + (i % wide),
    ),
    along: Uint8Array.from({ length: rows.length * wide }, (_, i) => steps[floor(i / wide)]),
    body: new Float32Array(rows.length * wide).fill(1),
  };
}

/** Rows over which the edge of a paste is drawn smooth, of a picture 300 wide. */
const SMOOTHED = 9;

/** A paste lies about the lock as one body: past its edges, swelling and shrinking, and over what gaps there are in it. */
function pasteOf(geometry: Geometry, stands: number, aside: number): Ground {
  const { width } = geometry;
  const { rows, steps, left, right } = rowsOf(geometry);
  const scale = width / 300;
  const reach = max(1, round(SMOOTHED * scale));
  const smooth = (edge: readonly number[], i: number) => {
    const near = edge.slice(max(0, i - reach), i + reach + 1);
    return near.reduce((sum, x) => sum + x, 0) / near.length;
  };
  const swells = (y: number, salt: number) =>
    stands * scale * (0.25 + 0.75 * noise((y / scale + aside) / 22, 0.5, salt));
  const across = rows.map((y, i) => ({
    from: smooth(left, i) - swells(y, 21),
    to: smooth(right, i) + swells(y, 22) + 1,
  }));
  const columns = ({ from, to }: (typeof across)[number]) => [max(0, floor(from)), min(width, ceil(to))];
  const count = across.reduce((sum, one) => sum + columns(one)[1] - columns(one)[0], 0);
  const ground = {
    pixel: new Uint32Array(count),
    along: new Uint8Array(count),
    body: new Float32Array(count),
    turned: new Float32Array(count),
  };
  let at = 0;
  for (const [i, y] of rows.entries()) {
    const { from, to } = across[i];
    const [first, last] = columns(across[i]);
    for (let x = first; x < last; x++, at++) {
      ground.pixel[at] = y * width + x;
      ground.along[at] = steps[i];
      ground.body[at] = max(0, min(1, x + 1 - from, to - x));
      ground.turned[at] = min(1, abs((2 * x + 1 - from - to) / (to - from)));
    }
  }
  return ground;
}

/** Light on a coating in 128ths of its own, where it may lie; `size` is how large a pixel is, in those of a picture 300 wide. */
function lightOn(
  { pixel, turned }: Ground,
  coating: Coating,
  width: number,
  size: number,
  aside: number,
): Uint8Array {
  const { height, relief } = BODIES[coating];
  return Uint8Array.from(pixel, (at, i) => {
    const x = (at % width) * size + aside;
    const y = floor(at / width) * size;
    const here = height(x, y);
    // The light stands above, a little to the left: what rises towards it is lit, and a body is round.
    const rise = 0.45 * (height(x + 1.4, y) - here) + 0.9 * (height(x, y + 1.4) - here);
    const roundness = turned ? 1.06 - 0.36 * turned[i] ** 3 : 1;
    return round(128 * roundness * min(1.45, max(0.55, 1 + relief * (rise * 3 + 0.16 * (here - 0.5)))));
  });
}

/** Where a coating may lie, and the light on it there: worked out once and kept as long as the geometry is. */
interface Surface extends Ground {
  light: Uint8Array;
}
const kept = new WeakMap<Geometry, Map<Coating, Surface>>();
function keptSurface(geometry: Geometry, coating: Coating, make: () => Surface): Surface {
  const known = kept.get(geometry) ?? new Map<Coating, Surface>();
  kept.set(geometry, known);
  const surface = known.get(coating) ?? make();
  known.set(coating, surface);
  return surface;
}

function surfaceOn(geometry: Geometry, coating: Coating, seed: number): Surface {
  return keptSurface(geometry, coating, () => {
    const { width } = geometry;
    const { stands } = BODIES[coating];
    // Another lock is coated elsewhere.
    const aside = 97 * (seed % 89);
    const ground: Ground =
      coating === 'foil'
        ? packetOf(geometry, stands)
        : stands > 0
          ? pasteOf(geometry, stands, aside)
          : geometry;
    return { ...ground, light: lightOn(ground, coating, width, 300 / width, aside) };
  });
}

/** A 128th of the light of a coating, as bytes: it is grey. */
const toneOf = (coating: Coating) =>
  (255 / 128) * fromLinear(linearOf({ l: BODIES[coating].l, a: 0, b: 0 })[1]);

/** A head is looked at from further off than a lock: how much larger a pixel of it is. */
const FURTHER_OFF = 1.6;

/**
 * Lays on the hair of a drawn head what is on it, area by area: they stand where steps along the hair do in a lock.
 * `turned` says of each pixel how far it is turned away from the eye, 0 to 1.
 */
export function coatAreas(
  data: Uint8ClampedArray,
  geometry: Geometry,
  underOf: readonly (Coating | undefined)[],
  turned: () => Float32Array,
): void {
  const { pixel, along, width } = geometry;
  for (const coating of new Set(underOf)) {
    if (!coating) continue;
    const { hides } = BODIES[coating];
    const tone = toneOf(coating);
    const { light } = keptSurface(geometry, coating, () => {
      const ground = { pixel, along, turned: turned() };
      return { ...ground, light: lightOn(ground, coating, width, (FURTHER_OFF * 300) / width, 0) };
    });
    for (let i = 0; i < pixel.length; i++) {
      if (underOf[along[i]] !== coating) continue;
      const at = 4 * pixel[i];
      for (let c = 0; c < 3; c++) data[at + c] = data[at + c] * (1 - hides) + tone * light[i] * hides;
    }
  }
}

/** How far the edge of a coating strays, in steps along the hair; that of a foil is a fold. */
const EDGE = 5;
const FOLD = 1;
/** Steps along the hair over which a paste falls off to its edge. */
const BRINK = 7;

/** Lays on the drawn hair what is on it, zone by zone. */
export function layCoatings(data: Uint8ClampedArray, geometry: Geometry, { zones, seed }: TressLook): void {
  const coatings = [...new Set(zones.flatMap(({ under }) => (under ? [under] : [])))];
  for (const coating of coatings) {
    const { hides } = BODIES[coating];
    const tone = toneOf(coating);
    const { pixel, along, light, body, turned } = surfaceOn(geometry, coating, seed);
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
    const { width } = geometry;
    // It hangs down in tongues.
    const strays = Float32Array.from({ length: width }, (_, x) =>
      isFoil ? 0 : EDGE * (2 * noise((x * 300) / width / 14, 0.5, seed % 89) - 1),
    );
    for (let i = 0; i < pixel.length; i++) {
      if (inside[along[i]] < -soft) continue;
      const depth = inside[along[i]] + strays[pixel[i] % width];
      const edge = min(1, max(0, depth / soft + 0.5));
      const at = 4 * pixel[i];
      const share = hides * edge * (body ? body[i] : 1);
      // A paste is thin towards its edge, and turns away there.
      const brink = turned ? max(0, 1 - depth / BRINK) : 0;
      const lit = tone * light[i] * (1 - 0.3 * brink * brink);
      if (share === 1) {
        data[at] = data[at + 1] = data[at + 2] = lit;
        data[at + 3] = 255;
        continue;
      }
      const under = body ? data[at + 3] / 255 : 1;
      const all = under * (1 - share) + share;
      if (all === 0) continue;
      for (let c = 0; c < 3; c++) data[at + c] = (data[at + c] * under * (1 - share) + lit * share) / all;
      if (body) data[at + 3] = 255 * all;
    }
  }
}
