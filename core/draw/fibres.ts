import { type Random, seededRandom } from '../random';
import { type Ground, FibreRun, isHidden } from './fibre-run';
import {
  type Outline,
  type Bundle,
  formOf,
  seenFrom,
  type FormFacts,
  outlineOf,
  halfWidthAt,
  middleAt,
  bundlesOf,
} from './forms';
import { bendAt } from './lamp';
import { type Shape, type TressSize, STEPS_ALONG } from './look';

// Bound once: these run millions of times a picture.
const { ceil, cos, floor, max, min, sin, sqrt } = Math;
const TAU = Math.PI * 2;

/** Width of a fibre in pixels of a picture 300 wide, least and most. */
const FIBRE = { from: 0.34, to: 0.48 };
/** A fibre that winds is followed in steps of so many pixels. */
const STEP = 0.8;
/** Steps that are straight and lit as one. */
const PIECE = 4;
/** Pieces at once where nothing of a fibre is seen. */
const LEAP = 2;
/** Part of its length from which a fibre that is split parts. */
const SPLIT_FROM = 0.84;
/** How far a lock is deep against how wide it is. */
const DEEP = 0.55;

/** A fibre as it is drawn: where it lies in the lock, how it winds, how thick it is and how long. */
interface Fibre {
  number: number;
  /** Bundle it keeps to; −1 for none. */
  bundle: number;
  /** Place of its bundle in the round of the lock, and its own in the bundle: across, and nearer or further. */
  at: number;
  depth: number;
  across: number;
  deep: number;
  /** Half the thickness of its bundle and how wide it winds, pixels. */
  thick: number;
  winds: number;
  phase: number;
  /** Turns over the whole length. */
  turns: number;
  tilt: number;
  /** Width in pixels, at most 1. */
  wide: number;
  /** How light it is among its like. */
  own: number;
  frizz: { phase: number; turns: number; by: number };
  /** Pixels by which its last stretch parts from its like, to one side or the other; 0 where it is whole. */
  splits: number;
  /** How far its colour is out of step with its place, in steps along the hair. */
  jitter: number;
  /** Rows at which it comes out of the scalp and at which it ends. */
  first: number;
  last: number;
}

/** All fibres of a lock, those nearest the eye first: what comes to lie behind them need not be lit. */
function fibresOf(
  shape: Shape,
  size: TressSize,
  count: number,
  random: Random,
  outline: Outline,
  bundles: readonly Bundle[],
): Fibre[] {
  const { width, height } = size;
  const { cut, broken, split, wet } = shape;
  const frizz = wet ? 0 : shape.frizz;
  const facts = formOf(shape);
  const swatch = cut === 'swatch';
  const curled = facts.loops > 0;
  const hangs = hangsOf(shape, height);
  const scale = width / 300;
  const thinner = max(1, sqrt(scale));
  const fibres = Array.from({ length: count }, (_, number): Fibre => {
    const which = floor(random() * bundles.length);
    const bundle = bundles[which];
    const strayed = random() < facts.loose;
    const angle = random() * TAU;
    const out = sqrt(random());
    const across = out * cos(angle);
    const deep = out * sin(angle);
    // A fibre of no bundle lies anywhere in the round of the lock.
    const at = strayed ? across * 0.94 : bundle.at * 0.8;
    const ragged = swatch
      ? 0.006 * random()
      : 0.03 * random() +
        0.16 * random() * random() * random() +
        (strayed ? 0.08 * random() : bundle.shorter);
    const snaps = !swatch && random() < 1.5 * broken + 0.03 ? 0.1 + 0.5 * random() : 0;
    return {
      number,
      bundle: strayed || swatch ? -1 : which,
      at,
      depth: strayed ? seenFrom(deep) : bundle.depth * 0.86,
      across,
      deep: strayed ? 0 : deep,
      thick: strayed ? 0.01 * width : facts.thick * width * bundle.thickness,
      winds: facts.winds * width * bundle.wide * (strayed ? 0.4 + 0.6 * random() : 1),
      phase: strayed ? random() * TAU : bundle.phase + (random() - 0.5) * facts.disorder,
      turns: facts.turns * bundle.pace * (1 + (random() - 0.5) * 0.04),
      tilt: (random() - 0.5) * 0.1 + (strayed ? 0 : bundle.tilt),
      wide: min(1, (FIBRE.from + (FIBRE.to - FIBRE.from) * random()) * thinner),
      own: (0.9 + 0.2 * random()) * (strayed ? 1 : bundle.lightness),
      frizz: {
        phase: random() * TAU,
        turns: 1.2 + 2.2 * random() + frizz * (4 + 8 * random()),
        by: ((curled ? 0.6 : 0.9) + 4 * frizz) * max(0.7, scale) * random(),
      },
      splits:
        !swatch && (snaps > 0 || random() < split) ? (random() - 0.5) * (snaps > 0 ? 24 : 44) * scale : 0,
      jitter: (random() - 0.5) * 0.05 * STEPS_ALONG,
      first: swatch ? 0 : (0.008 + 0.05 * at * at + 0.035 * random() ** 2) * height,
      last: (1 - max(ragged, snaps)) * hangs,
    };
  });
  const nearness = ({ depth, deep, thick }: Fibre) => DEEP * depth * outline.belly * width + deep * thick;
  const near = Float32Array.from(fibres, nearness);
  return fibres.sort((a, b) => near[b.number] - near[a.number]);
}

/** Rows a lock hangs down: the same hair hangs shorter the more it turns. */
const hangsOf = (shape: Shape, height: number) =>
  (shape.cut === 'swatch' ? 1 : 1 - formOf(shape).shrinks * 0.75) * height;

/** What all fibres of a lock are drawn on and by. */
interface Lock extends Ground {
  run: FibreRun;
  /** Rows it hangs down, and of each of them half the width of the lock and where its middle is, pixels. */
  hangs: number;
  halves: Float32Array;
  middle: Float32Array;
  facts: FormFacts;
  swatch: boolean;
}

/** Draws one fibre, root to tip, about the axis of its bundle. Not a part of {@link drawFibres}: compiled once for all. */
function drawFibre(fibre: Fibre, axis: Float32Array, lock: Lock): void {
  const { width, height, hangs, halves, middle, facts, swatch } = lock;
  const { gate } = lock.nearest;
  const { loops, gathers } = facts;
  const curled = loops > 0;
  const { number, bundle, at, depth, across, deep, thick, winds, phase, turns } = fibre;
  const { tilt, wide, own, frizz, splits, jitter, first, last } = fibre;
  // Where the fibre winds wide it is longer than the rows it passes.
  const omega = (TAU * turns) / hangs;
  const step = curled ? STEP / sqrt(1 + 0.7 * (winds * omega) ** 2) : 1;
  const steps = floor((last - first) / step);
  let sn = sin(phase);
  let cs = cos(phase);
  let frizzSin = sin(frizz.phase);
  let frizzCos = cos(frizz.phase);
  const frizzBy = frizz.by;
  const perHangs = 1 / hangs;
  const perLast = 1 / last;
  // Waves as turning vectors: a rotation a piece instead of a sine.
  const turn = omega * step * PIECE;
  const frizzTurn = (TAU * frizz.turns * step * PIECE) / hangs;
  const turnCos = cos(turn);
  const turnSin = sin(turn);
  const frizzTurnCos = cos(frizzTurn);
  const frizzTurnSin = sin(frizzTurn);
  const leapCos = cos(LEAP * turn);
  const leapSin = sin(LEAP * turn);
  const frizzLeapCos = cos(LEAP * frizzTurn);
  const frizzLeapSin = sin(LEAP * frizzTurn);
  let hidden = false;
  const fades = 0.06 * height;
  const emerges = 0.03 * height;
  const base = (0.8 + 0.2 * depth) * (bundle < 0 ? 0.8 : 0.76 + 0.24 * deep);
  const { run } = lock;
  run.fibre = number;
  run.ofFibreFrom = lock.pieces.count + 1;
  run.own = own;
  let [fromX, fromY, fromZ] = [0, 0, 0];
  // Where each piece begins and ends is worked out; between them a fibre is straight, a few hundredths of a pixel beside it.
  for (let i = 0; i < steps + PIECE;) {
    const row = first + i * step;
    const t = row * perHangs;
    const y0 = min(row | 0, halves.length - 1);
    const half = halves[y0];
    // A curl winds up away from the scalp; wisps draw together towards their tips.
    const wound = curled ? winds * min(1, 0.15 + 3 * t) : winds;
    const ended = row * perLast;
    const gather = swatch ? 1 : 1.1 - (1.1 - gathers) * ended * ended;
    const x =
      middle[y0] +
      at * half +
      axis[y0] +
      across * thick * gather +
      wound * cs +
      frizzBy * frizzSin * (t < 0.333 ? 3 * t : 1) +
      (ended > SPLIT_FROM ? splits * ((ended - SPLIT_FROM) / (1 - SPLIT_FROM)) ** 2 : 0);
    const y = row + loops * wound * sn;
    const z = DEEP * depth * half + deep * thick * gather + wound * sn;
    const stepX = (x - fromX) / PIECE;
    const stepY = (y - fromY) / PIECE;
    const stepZ = (z - fromZ) / PIECE;
    if (hidden) {
      // Only where it comes out again is it followed piece by piece.
      const value = floor(x - 0.5) * height + (y | 0);
      const inside = x >= 0.5 && x < width - 0.5 && y >= 0 && y < height - 1;
      hidden = inside && isHidden(gate, value, value + height, z);
    } else if (i > 0) {
      run.x = fromX;
      run.y = fromY;
      run.z = fromZ;
      run.stepX = stepX;
      run.stepY = stepY;
      run.stepZ = stepZ;
      run.wide = swatch
        ? wide
        : wide *
          (last - row < fades ? 0.35 + (0.65 * max(0, last - row)) / fades : 1) *
          min(1, 0.4 + (row - first) / emerges);
      run.dx = -wound * omega * sn;
      run.dy = 1 + loops * wound * omega * cs;
      run.dz = wound * omega * cs + bendAt(t) + tilt;
      // The lock is round, and so are its bundles and their curls: what turns away or lies behind is in shade.
      const side = half > 0 ? (x - middle[y0]) / half : 0;
      run.shade = base * (1 - 0.26 * min(1, side * side)) * (curled ? 0.78 + 0.22 * sn : 1);
      const place = t * (STEPS_ALONG - 1) + jitter;
      run.along = place < 0 ? 0 : place > STEPS_ALONG - 1 ? STEPS_ALONG - 1 : place;
      hidden = run.draw(lock, min(PIECE, steps + 1 + PIECE - i));
    }
    fromX = x;
    fromY = y;
    fromZ = z;
    // Written out: a pair of numbers chosen once would be made anew at every piece.
    const swing = cs;
    const frizzWas = frizzSin;
    if (hidden) {
      i += LEAP * PIECE;
      cs = swing * leapCos - sn * leapSin;
      sn = sn * leapCos + swing * leapSin;
      frizzSin = frizzWas * frizzLeapCos + frizzCos * frizzLeapSin;
      frizzCos = frizzCos * frizzLeapCos - frizzWas * frizzLeapSin;
    } else {
      i += PIECE;
      cs = swing * turnCos - sn * turnSin;
      sn = sn * turnCos + swing * turnSin;
      frizzSin = frizzWas * frizzTurnCos + frizzCos * frizzTurnSin;
      frizzCos = frizzCos * frizzTurnCos - frizzWas * frizzTurnSin;
    }
  }
}

/** Draws every fibre of a lock. */
export function drawFibres(ground: Ground, shape: Shape, count: number): void {
  const { width, height } = ground;
  const facts = formOf(shape);
  const random = seededRandom(shape.seed);
  const outline = outlineOf(random, shape.cut, facts);
  const hangs = hangsOf(shape, height);
  const rows = ceil(hangs) + 1;
  const alongRows = (of: (y: number) => number) => Float32Array.from({ length: rows }, (_, y) => of(y));
  const lock: Lock = {
    ...ground,
    run: new FibreRun(),
    hangs,
    halves: alongRows((y) => width * halfWidthAt(outline, y / hangs)),
    middle: alongRows((y) => width * middleAt(outline, y / hangs)),
    facts,
    swatch: shape.cut === 'swatch',
  };
  const bundles = bundlesOf(random, facts, outline);
  const fibres = fibresOf(shape, ground, count, random, outline, bundles);
  const still = new Float32Array(rows);
  const axes = bundles.map(({ strays: { by, turns, phase } }) =>
    alongRows(
      (y) => facts.strays * width * by * (0.3 + (0.7 * y) / hangs) * sin(phase + (turns * TAU * y) / hangs),
    ),
  );
  for (const fibre of fibres) drawFibre(fibre, fibre.bundle < 0 ? still : axes[fibre.bundle], lock);
}
