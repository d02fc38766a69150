import { type Lab, differenceOf, levelOfLightness } from '../colour';
import { type Dye, NO_DYE, NO_WARMTH } from './dye';
import { brownBlackOfLevel } from './ladder';
import { type Strand, naturalStrand, labOfStrand } from './strand';

const { abs, hypot, max, min } = Math;

/** Colours that pigment and dye cannot make are met this nearly before they are given up, ΔE2000. */
const NEAR_ENOUGH = 0.5;
const PAIRS = [
  ['red', 'yellow'],
  ['blue', 'red'],
  ['blue', 'yellow'],
] as const satisfies readonly (readonly (keyof Dye)[])[];

type Amounts = [brownBlack: number, first: number, second: number];

function strandWith([brownBlack, first, second]: Amounts, [a, b]: (typeof PAIRS)[number]): Strand {
  return {
    ...naturalStrand(7),
    brownBlack,
    grownBrownBlack: brownBlack,
    layers: [
      {
        kind: 'permanent',
        dye: { ...NO_DYE, [a]: first, [b]: second },
        dyeOnWhite: { ...NO_DYE, [a]: first, [b]: second },
        masks: NO_WARMTH,
        fills: NO_WARMTH,
        held: 0,
      },
    ],
  };
}

/** Solves a 3 × 3 system by Cramer's rule; null when it has no single answer. */
function solve(m: readonly Amounts[], v: Amounts): Amounts | null {
  const det = ([a, b, c]: readonly Amounts[]) =>
    a[0] * (b[1] * c[2] - b[2] * c[1]) -
    a[1] * (b[0] * c[2] - b[2] * c[0]) +
    a[2] * (b[0] * c[1] - b[1] * c[0]);
  const whole = det(m);
  if (abs(whole) < 1e-9) return null;
  return [0, 1, 2].map(
    (column) => det(m.map((row, i) => row.map((x, j) => (j === column ? v[i] : x)) as Amounts)) / whole,
  ) as Amounts;
}

/** Rounds after which a pair of dyes is given up, and the residual, ΔE1976, that is near enough to stop. */
const MOST_ROUNDS = 16;
const SETTLED = 0.05;
const STEP = 1e-4;

const missingTo = (wanted: Lab, here: Lab): Amounts => [
  wanted.l - here.l,
  wanted.a - here.a,
  wanted.b - here.b,
];

/** Newton's method on L*, a*, b*, in the brown-black and the amounts of two dyes. Null when the pair cannot meet it. */
function matchWith(wanted: Lab, pair: (typeof PAIRS)[number]): Strand | null {
  let amounts: Amounts = [brownBlackOfLevel(Math.max(1, levelOfLightness(wanted.l))), 0.02, 0.02];
  let stuck = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const here = labOfStrand(strandWith(amounts, pair));
    const missing = missingTo(wanted, here);
    if (hypot(...missing) < SETTLED) break;
    const columns = amounts.map((_, i) => {
      const moved = labOfStrand(strandWith(amounts.map((x, j) => (i === j ? x + STEP : x)) as Amounts, pair));
      return [(moved.l - here.l) / STEP, (moved.a - here.a) / STEP, (moved.b - here.b) / STEP];
    });
    const change = solve(
      [0, 1, 2].map((row) => columns.map((column) => column[row]) as Amounts),
      missing,
    );
    if (!change) return null;
    // Long strides overshoot on a curve this steep; none may take more than is there.
    const stride = min(1, 0.6 / max(...change.map(abs)));
    amounts = amounts.map((x, i) => max(0, x + stride * change[i])) as Amounts;
    // A dye that keeps being asked for less than nothing is the wrong dye.
    if (amounts.some((x) => x === 0) && ++stuck > 3) return null;
  }
  const strand = strandWith(amounts, pair);
  return differenceOf(labOfStrand(strand), wanted) <= NEAR_ENOUGH ? strand : null;
}

/**
 * Coloured hair that has a wanted colour in daylight, made of natural pigment and two oxidative dyes, so that it can be
 * looked at in another light too. Null for colours that no such hair has.
 */
export function strandOfColour(wanted: Lab): Strand | null {
  for (const pair of PAIRS) {
    const strand = matchWith(wanted, pair);
    if (strand) return strand;
  }
  return null;
}
