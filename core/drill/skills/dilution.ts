import { blendVol, stockFraction } from '../../measure';
import { reason } from '../../reason';
import { dilutionRuling, DILUTION_RULINGS } from '../../theory';
import { chooseAmong, wrongFigures } from '../choice';
import { lineNamed } from '../context';
import { FORMULA_LINES } from '../../shades';
import { term } from '../item';
import { at, type Made, type Making, type SkillMaker } from '../make';
import { bowlSolution } from './ratio';

/** Two strengths of which one is the stronger, neater ones first. */
const pairs = (step: number): readonly (readonly [stock: number, wanted: number])[] => [
  [40, 20],
  [20, 10],
  ...(step >= 2
    ? ([
        [40, 10],
        [30, 15],
        [40, 30],
      ] as const)
    : []),
  ...(step >= 3
    ? ([
        [30, 20],
        [30, 10],
        [20, 15],
      ] as const)
    : []),
  ...(step >= 4
    ? ([
        [40, 25],
        [40, 15],
        [20, 7],
      ] as const)
    : []),
];

/** Grams of stock, or of water, in a thinned developer (D5). */
function thinned({ draw, step, facet }: Making): Made {
  const [stock, wanted] = draw.pick(pairs(step));
  const total = draw.pick(step <= 2 ? [40, 60, 80, 120] : [45, 50, 75, 90, 100]);
  const fraction = stockFraction(stock, wanted);
  const [ofStock, ofWater] = [total * fraction, total * (1 - fraction)];
  const value = facet === 'stock' ? ofStock : ofWater;
  const solution = bowlSolution(value);
  return {
    ask: term(`dilution.${facet}`, { stock, wanted, total }),
    form: { kind: 'figure', unit: 'grams', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [facet === 'stock' ? ofWater : ofStock, reason('drill.dilution.otherPart', 'D5')],
      [total, reason('drill.dilution.all', 'D5')],
      [total / 2, reason('drill.dilution.half', 'D5')],
    ]),
    why: [reason('drill.dilution.fraction', 'D5', { stock, wanted, total, ofStock, ofWater })],
  };
}

/** Strength of two poured together: the weighted mean, not the sum and not the plain mean (D5). */
function strength({ draw, step }: Making): Made {
  const [a, b] = draw.shuffled([10, 20, 30, 40]);
  const even = step <= 2;
  const [partsA, partsB] = even
    ? [30, 30]
    : draw.pick([
        [20, 40],
        [60, 20],
        [45, 15],
        [50, 25],
        [30, 60],
      ] as const);
  const value = blendVol([
    { vol: a, parts: partsA },
    { vol: b, parts: partsB },
  ]);
  const solution = { kind: 'figure', value, full: 0.35, near: 1.5 } as const;
  return {
    ask: term('dilution.strength', { a, b, gramsA: partsA, gramsB: partsB }),
    form: { kind: 'figure', unit: 'vol', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [a + b, reason('drill.dilution.added', 'D5')],
      [(a + b) / 2, reason('drill.dilution.plainMean', 'D5')],
      [(a * partsB + b * partsA) / (partsA + partsB), reason('drill.dilution.turned', 'D5')],
    ]),
    why: [reason('drill.dilution.mean', 'D5', { a, b, gramsA: partsA, gramsB: partsB, vol: value })],
  };
}

type Blend = readonly [low: number, high: number, wanted: number];
const EVEN_BLENDS: readonly Blend[] = [
  [20, 40, 30],
  [10, 30, 20],
  [20, 30, 25],
];
const UNEVEN_BLENDS: readonly Blend[] = [
  [20, 40, 25],
  [10, 40, 20],
  [10, 30, 25],
  [10, 40, 30],
  [20, 40, 35],
];

/** Grams of the stronger of two that give a strength in between. */
function between({ draw, step }: Making): Made {
  const [low, high, wanted] = draw.pick(step <= 3 ? EVEN_BLENDS : UNEVEN_BLENDS);
  const total = draw.pick([60, 80, 90, 120]);
  const ofHigh = (total * (wanted - low)) / (high - low);
  const solution = bowlSolution(ofHigh);
  return {
    ask: term('dilution.between', { low, high, wanted, total }),
    form: { kind: 'figure', unit: 'grams', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [total - ofHigh, reason('drill.dilution.otherPart', 'D5')],
      [total / 2, reason('drill.dilution.half', 'D5')],
      [(total * wanted) / high, reason('drill.dilution.asWater', 'D5')],
    ]),
    why: [reason('drill.dilution.lever', 'D5', { low, high, wanted, ofHigh, ofLow: total - ofHigh })],
  };
}

/** Is it allowed here? By the line or by the class, as the house rule has it. */
function allowed({ draw, rules, step }: Making): Made {
  const line = lineNamed(draw.pick(FORMULA_LINES.map(({ id }) => id)));
  const ruling = dilutionRuling(line, rules);
  return {
    ask: term('dilution.allowed', { line: line.name }),
    facts: [
      term(line.mayDilute ? 'fact.lineMayDilute' : 'fact.lineMayNotDilute', { line: line.name }),
      term('fact.dilutionRule', { choice: rules.diluteDeveloper }),
    ],
    ...chooseAmong(
      draw,
      { value: ruling, words: term(`option.ruling.${ruling}`, { ruling }) },
      DILUTION_RULINGS.map((other) => ({
        value: other,
        words: term(`option.ruling.${other}`, { ruling: other }),
        slip: reason('drill.dilution.otherRuling', 'D5'),
      })),
      (value) => value === dilutionRuling(line, rules),
      { options: at([3, 4, 4, 4, 4], step) },
    ),
    why: [reason(`drill.dilution.ruling.${ruling}`, 'D5')],
  };
}

/** Skill 10: dilute and blend developers, and whether that is allowed here (D5). */
export const dilution: SkillMaker = {
  facets: () => ['stock', 'strength', 'water', 'between', 'allowed'],
  make: (making) =>
    making.facet === 'strength'
      ? strength(making)
      : making.facet === 'between'
        ? between(making)
        : making.facet === 'allowed'
          ? allowed(making)
          : thinned(making),
};
