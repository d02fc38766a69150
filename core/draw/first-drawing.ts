import type { HairForm } from '../hair';
import { type Random, seededRandom } from '../random';
import { type Geometry, ranksOf } from './geometry';
import { NARROW as LOBE, bendAt, LIGHT, bellOf, BROAD, AMBIENT, BROAD_LIGHT } from './lamp';
import { type TressLook, type TressSize, type Shape, STEPS_ALONG, RANKS } from './look';
import { NEAREST_KEPT } from './nearest-fibres';

/**
 * Locks as they were drawn first. A reading test that is under way keeps the pictures it began with, so this stays as long
 * as a sitting of that drawing may still be open: an installation that has none can do without it.
 */

// Bound once: these run millions of times a picture.
const { ceil, cos, floor, max, min, round, sin, sqrt } = Math;
const TAU = Math.PI * 2;

/**
 * Forms as helices: how often a curl turns over the length, how wide it is against the width of the lock, how many
 * ringlets share it, how far the fibres of one fall out of step, and how much shorter and fuller the curl makes the lock.
 */
interface FormFacts {
  turns: number;
  radius: number;
  ringlets: number;
  disorder: number;
  shrinks: number;
  fuller: number;
}
const FORMS: Record<HairForm, FormFacts> = {
  straight: { turns: 0.8, radius: 0.008, ringlets: 30, disorder: 0.5, shrinks: 0, fuller: 1 },
  wavy: { turns: 3.4, radius: 0.036, ringlets: 15, disorder: 0.35, shrinks: 0.04, fuller: 1.06 },
  curly: { turns: 8.5, radius: 0.05, ringlets: 11, disorder: 0.45, shrinks: 0.12, fuller: 1.16 },
  coily: { turns: 15, radius: 0.04, ringlets: 12, disorder: 0.5, shrinks: 0.24, fuller: 1.24 },
  tightlyCoiled: { turns: 27, radius: 0.026, ringlets: 17, disorder: 0.7, shrinks: 0.34, fuller: 1.32 },
};

/** Fibres across a picture of this width are about ten to the pixel: the lock closes and single hairs are thin. */
const FIBRES_A_PIXEL = 9;
const LEAST_FIBRES = 240;

/** Its gleam was a little sharper. */
const NARROW = { ...LOBE, width: 0.034 };

const smooth = (t: number) => (t <= 0 ? 0 : t >= 1 ? 1 : t * t * (3 - 2 * t));

/** Outline of a lock: half its width at root, belly and tip, as fractions of the picture, and how it leans. */
interface Outline {
  root: number;
  belly: number;
  bellyAt: number;
  tip: number;
  lean: number;
  sway: number;
}
function outlineOf(random: Random, cut: TressLook['cut'], { fuller }: FormFacts): Outline {
  if (cut === 'swatch') return { root: 0.44, belly: 0.44, bellyAt: 0.5, tip: 0.44, lean: 0, sway: 0 };
  return {
    root: 0.2 + 0.07 * random(),
    belly: min(0.43, (0.3 + 0.05 * random()) * fuller),
    bellyAt: 0.3 + 0.25 * random(),
    tip: (0.13 + 0.13 * random()) * fuller,
    lean: (random() - 0.5) * 0.07,
    sway: (random() - 0.5) * 0.05,
  };
}
const halfWidthAt = ({ root, belly, bellyAt, tip }: Outline, t: number) =>
  t < bellyAt
    ? root + (belly - root) * smooth(t / bellyAt)
    : belly + (tip - belly) * smooth((t - bellyAt) / (1 - bellyAt));

/** A ringlet, or in straight hair a wisp: fibres that hang together. */
interface Ringlet {
  at: number;
  phase: number;
  pace: number;
  radius: number;
  /** How its own axis sways down the lock. */
  wander: { phase: number; turns: number; by: number };
  /** Nearer the eye or further, −1 to 1. */
  depth: number;
  thickness: number;
  /** How much earlier than the longest it ends, as a fraction of the length. */
  shorter: number;
}
function ringletsOf(random: Random, { ringlets }: FormFacts): Ringlet[] {
  return Array.from({ length: ringlets }, (_, i) => ({
    at: ((i + 0.5) / ringlets) * 2 - 1 + (random() - 0.5) * (1.1 / ringlets),
    phase: random() * TAU,
    pace: 0.78 + 0.44 * random(),
    radius: 0.65 + 0.7 * random(),
    wander: { phase: random() * TAU, turns: 0.7 + 1.1 * random(), by: random() },
    depth: random() * 2 - 1,
    thickness: 0.8 + 0.5 * random(),
    shorter: 0.1 * random() * random(),
  }));
}

/** Coverage at which nothing more is seen through. */
const HIDDEN = 0.985;

/** Front and second fibre of every pixel while the lock is drawn, front to back. */
class Slots {
  readonly cover: Float32Array;
  readonly fibre: [Uint16Array, Uint16Array];
  readonly weight: [Float32Array, Float32Array];
  readonly along: [Uint8Array, Uint8Array];
  readonly light: [Float32Array, Float32Array];
  readonly spark: [Float32Array, Float32Array];
  constructor({ width, height }: TressSize) {
    const n = width * height;
    const floats = (): [Float32Array, Float32Array] => [new Float32Array(n), new Float32Array(n)];
    this.cover = new Float32Array(n);
    this.fibre = [new Uint16Array(n), new Uint16Array(n)];
    this.along = [new Uint8Array(n), new Uint8Array(n)];
    [this.weight, this.light, this.spark] = [floats(), floats(), floats()];
  }
}

/** Draws every fibre into the slots. */
function drawFibres(slots: Slots, shape: Shape, size: TressSize, count: number): void {
  const { width, height } = size;
  const { cut, frizz, broken } = shape;
  const facts = FORMS[shape.form];
  const random = seededRandom(shape.seed);
  const outline = outlineOf(random, cut, facts);
  const ringlets = ringletsOf(random, facts);
  const { cover, fibre, weight, along, light, spark } = slots;
  const [fibreA, fibreB] = fibre;
  const [weightA, weightB] = weight;
  const [alongA, alongB] = along;
  const [lightA, lightB] = light;
  const [sparkA, sparkB] = spark;

  const swatch = cut === 'swatch';
  // Shrinkage: the same hair hangs shorter the more it turns.
  const hangs = swatch ? 1 : 1 - facts.shrinks * 0.75;
  const halves = Float32Array.from(
    { length: height },
    (_, y) => width * halfWidthAt(outline, y / height / hangs),
  );
  const middle = Float32Array.from({ length: height }, (_, y) => {
    const t = y / (height * hangs);
    return width * (0.5 + outline.lean * t + outline.sway * sin(3.2 * t));
  });
  const sways = (shape.form === 'straight' ? 0.022 : 0.05) * width;
  const noSway = new Float32Array(height);
  const axes = ringlets.map(({ wander }) =>
    noSway.map((_, y) => {
      const t = y / (height * hangs);
      return sways * wander.by * sin(wander.phase + wander.turns * TAU * t) * t;
    }),
  );
  const scale = max(0.8, width / 300);
  const curled = shape.form !== 'straight';
  const omega = (TAU * facts.turns) / (height * hangs);
  const scalpRows = swatch ? 0 : 0.05 * height;

  for (let f = 0; f < count; f++) {
    const front = 1 - f / count;
    // The rearmost fibres lie evenly and close the lock behind the wisps.
    const rear = f > 0.72 * count;
    const which = floor(random() * ringlets.length);
    const ringlet = ringlets[which];
    const spot = random() * TAU;
    const out = sqrt(random());
    const own = { across: out * cos(spot), deep: out * sin(spot) };
    const at = rear ? 2 * ((f * 0.618034) % 1) - 1 : ringlet.at;
    const radius = facts.radius * width * ringlet.radius * (rear ? 0.6 : 1);
    const wisp = (width / facts.ringlets) * 0.36 * ringlet.thickness * (curled ? 0.62 : 1.25);
    const phase = ringlet.phase + (random() - 0.5) * facts.disorder;
    const turn = omega * ringlet.pace;
    const tilt = (random() - 0.5) * 0.09;
    const warm = 0.92 + 0.16 * random();
    // A fibre in front fills its pixel at small sizes; thinner, it would break into dashes.
    const thick = max(0.6, (0.42 + 0.26 * random()) * scale);
    const frizzPhase = random() * TAU;
    const frizzTurn = (TAU * (5 + 9 * random())) / height;
    const frizzBy = ((curled ? 0.4 : 0.1) + 4.2 * frizz) * scale * random();
    const jitter = (random() - 0.5) * 0.05 * STEPS_ALONG;
    const ragged = swatch
      ? 0.006 * random()
      : 0.02 * random() + 0.16 * random() * random() * random() + (rear ? 0 : ringlet.shorter);
    const snaps = !swatch && random() < broken + 0.05 ? 0.12 + 0.5 * random() : 0;
    const first = floor(scalpRows * (0.6 * at * at + 0.4 * random()));
    const last = min(height - 1, floor(height * hangs * (1 - max(ragged, snaps))));
    const depthShade = (rear ? 0.6 : 0.74 + 0.26 * front) * (1 + 0.1 * ringlet.depth) * warm;
    const fades = 0.07 * height;

    let sn = sin(phase + turn * first);
    let cs = cos(phase + turn * first);
    const turnSin = sin(turn);
    const turnCos = cos(turn);
    // Waves as turning vectors: a rotation a row instead of a sine.
    let frizzSin = sin(frizzPhase);
    let frizzCos = cos(frizzPhase);
    const frizzTurnSin = sin(frizzTurn);
    const frizzTurnCos = cos(frizzTurn);
    const axis = rear || swatch ? noSway : axes[which];
    let before = NaN;
    for (let y = first; y <= last; y++) {
      const t = y / (height * hangs);
      const half = halves[y];
      // Wisps draw together towards the tips; a curl winds up away from the scalp.
      const wound = radius * (curled ? min(1, 0.2 + 2.4 * t) : 1);
      const gather = swatch ? 1 : 1.15 - 0.55 * t;
      const frizzed = frizzBy * frizzSin * (t < 0.333 ? 3 * t : 1);
      const frizzNext = frizzSin * frizzTurnCos + frizzCos * frizzTurnSin;
      frizzCos = frizzCos * frizzTurnCos - frizzSin * frizzTurnSin;
      frizzSin = frizzNext;
      const x = middle[y] + at * half * 0.93 + axis[y] + own.across * wisp * gather + wound * cs + frizzed;
      const deep = sn;
      const slopeX = -wound * turn * sn;
      const slopeZ = wound * turn * cs;
      const turned = sn * turnCos + cs * turnSin;
      cs = cs * turnCos - sn * turnSin;
      sn = turned;
      // A steep stretch crosses several pixels in one row.
      const from = before === before ? before : x;
      before = x;
      const left = last - y;
      const fade = swatch ? 1 : left < fades ? 0.3 + (0.7 * left) / fades : 1;
      const r = thick * fade;
      const low = (from < x ? from : x) - r;
      const high = (from < x ? x : from) + r;
      const px0 = max(0, ceil(low - 0.5));
      const px1 = min(width - 1, floor(high + 0.5));
      if (px1 < px0) continue;
      const row = y * width;
      // Only where something is left to see is the light worked out.
      let open = false;
      for (let px = px0; px <= px1; px++)
        if (cover[row + px] < HIDDEN) {
          open = true;
          break;
        }
      if (!open) continue;
      const bend = bendAt(t) + slopeZ + tilt;
      const length = sqrt(1 + slopeX * slopeX + bend * bend);
      const toLight = (slopeX * LIGHT.x + LIGHT.y + bend * LIGHT.z) / length;
      const toEye = bend / length;
      const half2 = 0.5 * (toLight + toEye);
      const narrow = bellOf((half2 - NARROW.at) / NARROW.width);
      const broad = bellOf((half2 - BROAD.at) / BROAD.width);
      const diffuse = AMBIENT + (1 - AMBIENT) * sqrt(max(0, 1 - toLight * toLight));
      // The lock is round, and so is every curl: what turns away or lies behind is in shade.
      const side = at * 0.9 + (half > 0 ? (own.across * wisp) / half : 0);
      const round = 1 - 0.3 * min(1, side * side);
      const behind = curled && !rear ? 0.74 + 0.26 * deep : 1;
      const lit = depthShade * round * behind * diffuse * (1 + BROAD_LIGHT * broad);
      const glint = narrow * (rear ? 0.2 : front) * behind;
      const place = t * (STEPS_ALONG - 1) + jitter;
      const step = place < 0 ? 0 : place > STEPS_ALONG - 1 ? STEPS_ALONG - 1 : place | 0;
      for (let px = px0; px <= px1; px++) {
        const there = row + px;
        const had = cover[there];
        if (had >= HIDDEN) continue;
        const inside = min(px + 0.5, high) - max(px - 0.5, low);
        if (inside <= 0) continue;
        const seen = (1 - had) * (inside < 1 ? inside : 1);
        cover[there] = had + seen;
        if (weightA[there] === 0) {
          weightA[there] = seen;
          fibreA[there] = f;
          alongA[there] = step;
          lightA[there] = lit;
          sparkA[there] = glint;
        } else if (weightB[there] === 0) {
          weightB[there] = seen;
          fibreB[there] = f;
          alongB[there] = step;
          lightB[there] = lit;
          sparkB[there] = glint;
        } else weightB[there] += seen;
      }
    }
  }
}

/** Cover under which a pixel is empty. */
const LEAST_COVER = 0.01;

/** Of the fibres over a pixel the two in front were kept; what shows of those behind counts with the second. */
export function firstGeometryOf(shape: Shape, size: TressSize): Geometry {
  const { width, height } = size;
  const count = max(LEAST_FIBRES, round(FIBRES_A_PIXEL * width));
  const slots = new Slots(size);
  drawFibres(slots, shape, size, count);
  const { cover, fibre, weight, along, light, spark } = slots;

  const shown = Array.from(cover.keys()).filter((i) => cover[i] > LEAST_COVER);
  const area = new Float64Array(count);
  // What is seen of a fibre is where it is in front.
  for (const i of shown) area[fibre[0][i]] += cover[i];
  const ranks = ranksOf(area, seededRandom(shape.seed ^ 0x5eed));
  const out = {
    pixel: Uint32Array.from(shown),
    cover: Uint8Array.from(shown, (i) => round(255 * min(1, cover[i]))),
    along: Uint8Array.from(shown, (i) => along[0][i]),
    ranks: new Uint16Array(NEAREST_KEPT * shown.length),
    light: new Float32Array(NEAREST_KEPT * shown.length),
    allLight: new Float32Array(shown.length),
    spark: new Float32Array(shown.length),
    sums: new Float64Array(3 * STEPS_ALONG),
  };
  shown.forEach((i, at) => {
    const share = weight[0][i] / (weight[0][i] + weight[1][i]);
    for (const slot of [0, 1] as const) {
      const part = slot === 0 ? share : 1 - share;
      if (part === 0) continue;
      out.ranks[NEAREST_KEPT * at + slot] = RANKS * ranks[fibre[slot][i]];
      out.light[NEAREST_KEPT * at + slot] = part * light[slot][i];
      out.allLight[at] += part * light[slot][i];
      out.spark[at] += part * spark[slot][i];
    }
    const sums = 3 * out.along[at];
    out.sums[sums] += out.cover[at] * out.allLight[at];
    out.sums[sums + 1] += out.cover[at] * out.spark[at];
    out.sums[sums + 2] += out.cover[at];
  });
  return { width, height, ...out, mostLight: out.allLight.reduce((most, value) => max(most, value), 0) };
}
