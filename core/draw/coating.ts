import { noise, BODIES, type Body } from './bodies';
import type { Geometry } from './geometry';
import { type Coating, type TressLook, STEPS_ALONG } from './look';
import { fromLinear, linearOf } from './zone-colours';

// Bound once: these run millions of times a picture.
const { abs, ceil, floor, max, min, round } = Math;

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
const cache = new WeakMap<Geometry, Map<Coating, Surface>>();
function keptSurface(geometry: Geometry, coating: Coating, make: () => Surface): Surface {
  const known = cache.get(geometry) ?? new Map<Coating, Surface>();
  cache.set(geometry, known);
  const surface = known.get(coating) ?? make();
  known.set(coating, surface);
  return surface;
}

const GROUNDS: Record<Body['lies'], (geometry: Geometry, stands: number, aside: number) => Ground> = {
  film: (geometry) => geometry,
  paste: pasteOf,
  packet: packetOf,
};

function surfaceOn(geometry: Geometry, coating: Coating, seed: number): Surface {
  return keptSurface(geometry, coating, () => {
    const { width } = geometry;
    const { lies, stands } = BODIES[coating];
    // Another lock is coated elsewhere.
    const aside = 97 * (seed % 89);
    const ground = GROUNDS[lies](geometry, stands, aside);
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

/** How soft the edge of a coating is and how far it hangs down in tongues, in steps along the hair; that of a packet is a fold. */
const EDGE = 5;
const EDGES: Record<Body['lies'], { soft: number; strays: number }> = {
  film: { soft: EDGE, strays: EDGE },
  paste: { soft: EDGE, strays: EDGE },
  packet: { soft: 1, strays: 0 },
};
/** Steps along the hair over which a paste falls off to its edge. */
const BRINK = 7;

/** Lays on the drawn hair what is on it, zone by zone. */
export function layCoatings(data: Uint8ClampedArray, geometry: Geometry, { zones, seed }: TressLook): void {
  const coatings = [...new Set(zones.flatMap(({ under }) => (under ? [under] : [])))];
  for (const coating of coatings) {
    const { hides, lies } = BODIES[coating];
    const { soft, strays } = EDGES[lies];
    const tone = toneOf(coating);
    const { pixel, along, light, body, turned } = surfaceOn(geometry, coating, seed);
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
    const tongues = Float32Array.from(
      { length: width },
      (_, x) => strays * (2 * noise((x * 300) / width / 14, 0.5, seed % 89) - 1),
    );
    for (let i = 0; i < pixel.length; i++) {
      if (inside[along[i]] < -soft) continue;
      const depth = inside[along[i]] + tongues[pixel[i] % width];
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
