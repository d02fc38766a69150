import {
  bowlFromColour,
  bowlFromTotal,
  flOzOfGrams,
  gramsOfFlOz,
  splitByParts,
  weighingToleranceGrams,
} from '../../measure';
import { reason } from '../../reason';
import { wrongFigures } from '../choice';
import { term, type Form } from '../item';
import { at, type Made, type Making, type SkillMaker } from '../make';

/** Sums are right to half a gram or one in a hundred, and near within what a careful bowl is off by (M4). */
export const bowlSolution = (value: number) =>
  ({
    kind: 'figure',
    value,
    full: Math.max(0.5, value * 0.01),
    near: weighingToleranceGrams(value),
  }) as const;
const GRAMS: Form = { kind: 'figure', unit: 'grams', decimals: 1 };
const TUBE_GRAMS = 60;

const ratioFor = ({ draw, step }: Making) => draw.pick(step <= 2 ? [1, 2] : [1, 1.5, 2, 3]);
const gramsFor = ({ draw, step }: Making) =>
  draw.pick(
    step <= 2 ? [20, 30, 40, 50, 60] : step <= 4 ? [24, 35, 45, 48, 55, 75] : [22.5, 37.5, 42, 64, 71],
  );

function fromColour(making: Making): Made {
  const [colour, ratio] = [gramsFor(making), ratioFor(making)];
  const bowl = bowlFromColour(colour, ratio);
  const wantsTotal = making.facet === 'total';
  const value = wantsTotal ? bowl.totalGrams : bowl.developerGrams;
  const solution = bowlSolution(value);
  return {
    ask: term(`ratio.${making.facet}`, { colour, ratio }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [
        wantsTotal ? bowl.developerGrams : bowl.totalGrams,
        reason(wantsTotal ? 'drill.ratio.developerOnly' : 'drill.ratio.wholeBowl', 'M1'),
      ],
      [wantsTotal ? colour * (1 + 1 / ratio) : colour / ratio, reason('drill.ratio.turned', 'M1')],
    ]),
    why: [
      reason('drill.ratio.bowl', 'M1', {
        colour,
        ratio,
        developer: bowl.developerGrams,
        total: bowl.totalGrams,
      }),
    ],
  };
}

function fromTotal(making: Making): Made {
  const { draw, step } = making;
  const ratio = ratioFor(making);
  const total = draw.pick(step <= 2 ? [60, 90, 120] : [70, 100, 125, 150, 180]);
  const bowl = bowlFromTotal(total, ratio);
  const solution = bowlSolution(bowl.colourGrams);
  return {
    ask: term('ratio.colour', { total, ratio }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [total / ratio, reason('drill.ratio.dividedByRatio', 'M1')],
      [bowl.developerGrams, reason('drill.ratio.turned', 'M1')],
    ]),
    why: [
      reason('drill.ratio.bowl', 'M1', {
        colour: bowl.colourGrams,
        ratio,
        developer: bowl.developerGrams,
        total,
      }),
    ],
  };
}

function tubes({ draw, step }: Making): Made {
  const quarters = step <= 2 ? draw.pick([2, 4, 6, 8]) : draw.int(1, 11);
  const ratio = draw.pick([1, 1.5, 2]);
  const colour = (quarters * TUBE_GRAMS) / 4;
  const total = colour * (1 + ratio);
  const value = quarters / 4;
  const solution = { kind: 'figure', value, full: 0.01, near: 0.25 } as const;
  return {
    ask: term('ratio.tubes', { total, ratio, tube: TUBE_GRAMS }),
    form: { kind: 'figure', unit: 'tubes', decimals: 2 },
    solution,
    slips: wrongFigures(solution, [
      [total / TUBE_GRAMS, reason('drill.ratio.tubesOfTotal', 'M1')],
      [total / ratio / TUBE_GRAMS, reason('drill.ratio.dividedByRatio', 'M1')],
    ]),
    why: [reason('drill.ratio.tubes', 'M3', { colour, tube: TUBE_GRAMS, count: value })],
  };
}

/** Three shades by parts (F10). */
function parts({ draw, step }: Making): Made {
  const shares = draw.shuffled(
    step <= 2
      ? [1, 1, 2]
      : draw.pick([
          [1, 2, 3],
          [1, 1, 3],
          [2, 3, 1],
          [0.5, 1, 1.5],
        ]),
  );
  const all = shares.reduce((a, b) => a + b, 0);
  const each = draw.pick(step <= 2 ? [10, 15] : [8, 10, 12, 15]);
  const colour = all * each;
  const split = splitByParts(colour, shares);
  const solution = bowlSolution(split[0]);
  return {
    ask: term('ratio.parts', { colour, a: shares[0], b: shares[1], c: shares[2] }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [colour / 3, reason('drill.ratio.evenParts', 'F10')],
      [(colour * shares[0]) / (shares[1] + shares[2]), reason('drill.ratio.againstRest', 'F10')],
      [split[2], reason('drill.ratio.otherPart', 'F10')],
    ]),
    why: [reason('drill.ratio.parts', 'F10', { all, each, grams: split[0] })],
  };
}

/** A corrector counts in the amount that developer is added to (F10). */
function corrector(making: Making): Made {
  const { draw, step } = making;
  const [colour, ratio] = [gramsFor(making), ratioFor(making)];
  const grams = draw.pick(step <= 2 ? [5, 10] : [1, 2, 3, 4, 6]);
  const value = (colour + grams) * ratio;
  const left = grams * ratio;
  const solution = {
    ...bowlSolution(value),
    full: Math.min(bowlSolution(value).full, left / 2.5),
    near: Math.min(bowlSolution(value).near, left / 2),
  };
  return {
    ask: term('ratio.corrector', { colour, grams, ratio }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [colour * ratio, reason('drill.ratio.correctorLeftOut', 'F10')],
      [(colour + grams) / ratio, reason('drill.ratio.turned', 'M1')],
    ]),
    why: [reason('drill.ratio.corrector', 'F10', { colour, grams, ratio, developer: value })],
  };
}

function ounces({ draw, step, facet }: Making): Made {
  const toOunces = facet === 'toOunces';
  const flOz = at([1, 2, 1, 0.5, 0.25], step) * draw.int(1, 6);
  const grams = Math.round(gramsOfFlOz(flOz));
  const value = toOunces ? flOzOfGrams(grams) : gramsOfFlOz(flOz);
  const solution = toOunces
    ? ({
        kind: 'figure',
        value,
        full: Math.max(0.05, value * 0.03),
        near: Math.max(0.1, value * 0.08),
      } as const)
    : ({
        kind: 'figure',
        value,
        full: Math.max(0.6, value * 0.03),
        near: Math.max(1.5, value * 0.08),
      } as const);
  return {
    ask: toOunces ? term('ratio.toOunces', { grams }) : term('ratio.toGrams', { flOz }),
    form: { kind: 'figure', unit: toOunces ? 'flOz' : 'grams', decimals: toOunces ? 2 : 1 },
    solution,
    slips: wrongFigures(solution, [
      [toOunces ? grams * 29.57 : flOz / 29.57, reason('drill.ratio.wrongWay', 'M3')],
      [toOunces ? grams / 10 : flOz * 10, reason('drill.ratio.tens', 'M3')],
    ]),
    why: [reason('drill.ratio.ounce', 'M3', { grams, flOz })],
  };
}

/** Skill 11: ratios and amounts (M1–M3, F10). */
export const ratio: SkillMaker = {
  facets: () => ['total', 'developer', 'colour', 'tubes', 'parts', 'corrector', 'toGrams', 'toOunces'],
  make: (making) => {
    switch (making.facet) {
      case 'colour':
        return fromTotal(making);
      case 'tubes':
        return tubes(making);
      case 'parts':
        return parts(making);
      case 'corrector':
        return corrector(making);
      case 'toGrams':
      case 'toOunces':
        return ounces(making);
      default:
        return fromColour(making);
    }
  },
};
