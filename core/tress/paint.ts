import { seededRandom, type Random } from '../random';
import { FibreLayer } from './layer';
import { linearOf, rowColours } from './rows';
import type { HairForm, TressLook, TressPixels, TressSize } from './look';

// Bound once: these run millions of times a picture.
const { ceil, cos, exp, floor, max, min, round, sin, sqrt } = Math;

/**
 * Draws a lock as many overlapping fibres, front to back. Each fibre has its own depth and hue, rides in a clump, and
 * catches a soft light across the lock. The picture is then corrected as a whole so that its mean is the colour asked
 * for: what is judged is the hair, not the lighting of the drawing.
 */
export function paintTress(look: TressLook, size: TressSize): TressPixels {
  const layer = new FibreLayer(size);
  drawFibres(layer, look, size);
  return layer.finish(look);
}

/** Waves down the lock, their reach as a share of the width, and how far strands of a clump fall out of step. */
const WAVE: Record<HairForm, { turns: number; reach: number; disorder: number }> = {
  straight: { turns: 0.7, reach: 0.012, disorder: 0.4 },
  wavy: { turns: 3.2, reach: 0.045, disorder: 0.5 },
  curly: { turns: 8.5, reach: 0.055, disorder: 0.8 },
  coily: { turns: 19, reach: 0.042, disorder: 1.3 },
};

const TAU = Math.PI * 2;
const bell = (t: number, centre: number, width: number) => exp(-0.5 * ((t - centre) / width) ** 2);
const smooth = (t: number) => t * t * (3 - 2 * t);

interface Clump {
  centre: number;
  width: number;
  phase: number;
  pace: number;
  depth: number;
}

function clumpsOf(random: Random, count: number): Clump[] {
  return Array.from({ length: count }, (_, i) => ({
    centre: (i + 0.5) / count + (random() - 0.5) * 0.06,
    width: 0.07 + random() * 0.08,
    phase: random() * TAU,
    pace: 0.9 + random() * 0.2,
    depth: (random() - 0.5) * 0.2,
  }));
}

/** Half-width of the lock at a height, as a share of the picture: gathered at the root, full, then tapering. */
function halfWidths(height: number, cut: TressLook['cut']): Float32Array {
  if (cut === 'swatch') return new Float32Array(height).fill(0.44);
  return Float32Array.from({ length: height }, (_, y) => {
    const t = y / max(1, height - 1);
    const root = 0.32 + 0.09 * smooth(min(1, t / 0.35));
    const tip = t > 0.5 ? 1 - 0.38 * smooth((t - 0.5) / 0.5) : 1;
    return root * tip;
  });
}

/** Share of the length over which strands pass from one zone to the next. */
const JOINT = 0.06;

/** Gleam per row, padded on both ends so that each strand may catch it a little higher or lower. */
const PAD = 0.08;
function gleamRows(height: number, shine: number, form: HairForm): { gleam: Float32Array; pad: number } {
  const pad = ceil(PAD * height);
  const soft = form === 'straight' ? 1 : 0.6;
  const gleam = Float32Array.from({ length: height + 2 * pad }, (_, i) => {
    const t = (i - pad) / max(1, height - 1);
    return shine * soft * (0.5 * bell(t, 0.25, 0.075) + 0.2 * bell(t, 0.63, 0.11));
  });
  return { gleam, pad };
}

/** One number of each kind per fibre, side by side: the drawing runs row by row, so that a row stays in the cache. */
class Fibres {
  readonly base: Float32Array;
  readonly offset: Float32Array;
  readonly depth: Float32Array;
  readonly warm: Float32Array;
  readonly rank: Float32Array;
  readonly thickness: Float32Array;
  readonly lastRow: Int32Array;
  readonly shift: Int32Array;
  readonly joint: Int32Array;
  readonly reach: Float32Array;
  /** The wave as a turning vector: one rotation a row instead of a sine. Doubles, since it is turned many times. */
  readonly sin: Float64Array;
  readonly cos: Float64Array;
  readonly turnSin: Float64Array;
  readonly turnCos: Float64Array;

  constructor(
    readonly count: number,
    random: Random,
    { form, cut }: Pick<TressLook, 'form' | 'cut'>,
    { width, height }: TressSize,
    pad: number,
  ) {
    const floats = () => new Float32Array(count);
    [this.base, this.offset, this.depth, this.warm] = [floats(), floats(), floats(), floats()];
    [this.rank, this.thickness, this.reach] = [floats(), floats(), floats()];
    [this.lastRow, this.shift, this.joint] = [
      new Int32Array(count),
      new Int32Array(count),
      new Int32Array(count),
    ];
    [this.sin, this.cos] = [new Float64Array(count), new Float64Array(count)];
    [this.turnSin, this.turnCos] = [new Float64Array(count), new Float64Array(count)];

    const clumps = clumpsOf(random, 13);
    const wave = WAVE[form];
    const scale = max(0.75, width / 150);
    const ragged = cut === 'swatch' ? 0.02 : 0.2;
    for (let f = 0; f < count; f++) {
      const clump = clumps[floor(random() * clumps.length)];
      // The first, rearmost strands lie evenly and close the lock behind the clumps.
      const rear = f < 0.3 * count;
      this.base[f] = rear ? (2 * ((f * 0.618034) % 1) - 1) * 0.94 : (clump.centre - 0.5) * 2;
      this.offset[f] = rear ? 0 : (random() + random() + random() - 1.5) * clump.width * 1.2;
      // Strands in front lie nearer the light; the back ones are in their shade.
      this.depth[f] = 0.74 + (0.34 * f) / count + clump.depth + (random() - 0.5) * 0.26;
      this.warm[f] = 1 + (random() - 0.5) * 0.1;
      const end = 1 - ragged * random() * random() - 0.01 * random();
      this.lastRow[f] = floor(end * (height - 1));
      this.rank[f] = random();
      this.thickness[f] = (rear ? 1.15 : 0.42 + 0.52 * random()) * scale;
      this.shift[f] = pad + round((random() - 0.5) * 1.6 * pad);
      this.joint[f] = round((random() - 0.5) * JOINT * height);
      this.reach[f] = wave.reach * width * (0.7 + 0.6 * random());
      const start = clump.phase + (random() - 0.5) * wave.disorder;
      const step = (TAU * wave.turns * clump.pace) / height;
      [this.sin[f], this.cos[f]] = [sin(start), cos(start)];
      [this.turnSin[f], this.turnCos[f]] = [sin(step), cos(step)];
    }
  }
}

function drawFibres(layer: FibreLayer, look: TressLook, size: TressSize): void {
  const { width, height } = size;
  const random = seededRandom(look.seed);
  const pigmented = rowColours(look.zones, height, (zone) => linearOf(zone.colour));
  const white = rowColours(look.zones, height, (zone) => linearOf(zone.grey));
  const greyShare = rowColours(look.zones, height, (zone) => [zone.greyShare, 0, 0]);
  const spreads = halfWidths(height, look.cut);
  const { gleam, pad } = gleamRows(height, look.shine, look.form);
  // Enough fibres to close the lock at any size, few enough to draw in milliseconds.
  const all = new Fibres(round(305 + 0.05 * width), random, look, size, pad);
  // Held here rather than looked up on the object half a million times.
  const { count, base, offset, depth, warm, rank, thickness, lastRow, shift, joint, reach: reaches } = all;
  const { sin, cos, turnSin, turnCos } = all;
  const fadeRows = 0.05 * height;
  const curl = look.form === 'straight' ? 0 : 0.16;

  for (let y = 0; y < height; y++) {
    const t = y / height;
    const loosened = min(1, 0.25 + 2.2 * t);
    const gathered = 1 - 0.1 * t;
    const spreading = 0.6 + 0.7 * t;
    const spread = spreads[y] * width;
    for (let f = count - 1; f >= 0; f--) {
      const turned = sin[f] * turnCos[f] + cos[f] * turnSin[f];
      cos[f] = cos[f] * turnCos[f] - sin[f] * turnSin[f];
      sin[f] = turned;
      const left = lastRow[f] - y;
      if (left < 0) continue;
      const across = base[f] * gathered + offset[f] * spreading;
      const reach = reaches[f] * loosened;
      // Strands pass a joint a little higher or lower, so that zones flow into each other.
      const at = 3 * min(height - 1, max(0, y + joint[f]));
      const isWhite = rank[f] < greyShare[at];
      const rows = isWhite ? white : pigmented;
      const fade = left < fadeRows ? 0.35 + (0.65 * left) / fadeRows : 1;
      const slope = reach * turnSin[f] * cos[f];
      const steep = slope * slope;
      const radius = (isWhite ? 0.72 : 1) * thickness[f] * fade * (steep < 0.02 ? 1 : sqrt(1 + steep));
      const x = 0.5 * width + across * spread + reach * sin[f];
      if (layer.isHidden(x, y, radius)) continue;
      // The lock is round: its sides turn away from the light. On a bend, so does half of every turn.
      const away = across * across;
      const round = 1 - 0.36 * (away < 1 ? away : 1);
      const shineHere = gleam[y + shift[f]];
      const light = depth[f] * round * (1 + shineHere + curl * cos[f]);
      const spark = (shineHere * 0.02 * f) / count;
      layer.dab(
        x,
        y,
        radius,
        rows[at] * light * warm[f] + spark,
        rows[at + 1] * light + spark,
        (rows[at + 2] * light) / warm[f] + spark,
      );
    }
  }
}
