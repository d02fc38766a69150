import { type Service, APPLICATION_AREAS, type Density, DENSITIES } from '../../hair';
import {
  weighingToleranceGrams,
  bowlFromColour,
  bowlFromTotal,
  splitByParts,
  amountGuide,
  gramsOfFlOz,
  flOzOfGrams,
} from '../../product';
import { reason } from '../../reason';
import { wrongFigures } from '../choice';
import { type AnswerMethod, term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import { type ItemRequest, type MadeItem, at, type SkillMaker } from '../maker';
import { insist } from '../random-draw';

/** Sums are right to half a gram or one in a hundred, and near within what a careful bowl is off by (M4). */
export const bowlSolution = (value: number) =>
  ({
    kind: 'figure',
    value,
    full: Math.max(0.5, value * 0.01),
    near: weighingToleranceGrams(value),
  }) as const;
const GRAMS: AnswerMethod = { kind: 'figure', unit: 'grams', decimals: 1 };

/** What is mixed, and the ratios its makers allow: colour is never thinner than 1 : 2. */
const MIXED = [
  { product: 'permanent', ratios: [1, 1.5, 2] },
  { product: 'demi', ratios: [1, 1.5, 2] },
  { product: 'acidGloss', ratios: [1, 2] },
  { product: 'highLift', ratios: [2] },
  { product: 'lightenerStrong', ratios: [1.5, 2, 3] },
  { product: 'lightenerGentle', ratios: [2, 2.5, 3] },
] as const;
function mixedIn({ draw, step }: ItemRequest): { product: string; ratio: number } {
  const { product, ratios } = draw.pick(MIXED);
  const plain = ratios.filter((ratio) => Number.isInteger(ratio));
  return { product, ratio: draw.pick<number>(step <= 2 ? plain : ratios) };
}
const gramsFor = ({ draw, step }: ItemRequest) =>
  draw.pick(
    step <= 2
      ? [20, 30, 40, 50, 60]
      : step <= 4
        ? [24, 34, 36, 44, 48, 56, 75]
        : [22, 38, 42, 46, 58, 64, 71],
  );

function fromColour(making: ItemRequest): MadeItem {
  const colour = gramsFor(making);
  const { product, ratio } = mixedIn(making);
  const bowl = bowlFromColour(colour, ratio);
  insist(Number.isInteger(bowl.developerGrams), 'developer is weighed in whole grams');
  const wantsTotal = making.facet === 'total';
  const value = wantsTotal ? bowl.totalGrams : bowl.developerGrams;
  const solution = bowlSolution(value);
  const params = { colour, ratio, developer: bowl.developerGrams, total: bowl.totalGrams };
  return {
    ask: term(`ratio.${making.facet}`, { colour, ratio, product }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [
        wantsTotal ? bowl.developerGrams : bowl.totalGrams,
        reason(wantsTotal ? 'drill.ratio.developerOnly' : 'drill.ratio.wholeBowl', 'M1', params),
      ],
      [wantsTotal ? colour * (1 + 1 / ratio) : colour / ratio, reason('drill.ratio.turned', 'M1', params)],
    ]),
    means: {
      code: wantsTotal ? 'drill.ratio.meansByTotal' : 'drill.ratio.means',
      rule: 'M1',
      param: 'gives',
      times: 1 / colour,
      plus: wantsTotal ? -1 : 0,
      params,
    },
    why: [reason('drill.ratio.bowl', 'M1', params)],
  };
}

function fromTotal(making: ItemRequest): MadeItem {
  const { draw, step } = making;
  const { product, ratio } = mixedIn(making);
  const total = draw.pick(step <= 2 ? [60, 90, 120, 150] : [66, 70, 96, 100, 125, 140, 150, 180]);
  const bowl = bowlFromTotal(total, ratio);
  insist(Number.isInteger(bowl.colourGrams), 'colour is weighed in whole grams');
  const solution = bowlSolution(bowl.colourGrams);
  const params = { colour: bowl.colourGrams, ratio, parts: 1 + ratio, developer: bowl.developerGrams, total };
  return {
    ask: term('ratio.colour', { total, ratio, product }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [total / ratio, reason('drill.ratio.dividedByRatio', 'M1', params)],
      [bowl.developerGrams, reason('drill.ratio.developerNotColour', 'M1', params)],
    ]),
    means: { code: 'drill.ratio.meansByColour', rule: 'M1', param: 'gives', times: 1 + ratio, params },
    why: [reason('drill.ratio.fromTotal', 'M1', params)],
  };
}

/** Tubes come in several sizes (M3). */
const TUBES = [50, 60, 80, 100] as const;
function tubes({ draw, step }: ItemRequest): MadeItem {
  const tube = draw.pick(step <= 2 ? [60] : TUBES);
  const quarters = step <= 2 ? draw.pick([2, 4, 6, 8]) : draw.int(1, 9);
  const ratio = draw.pick([1, 1.5, 2]);
  const colour = (quarters * tube) / 4;
  const total = colour * (1 + ratio);
  insist(Number.isInteger(colour) && Number.isInteger(total), 'a bowl is weighed in whole grams');
  const value = quarters / 4;
  const solution = { kind: 'figure', value, full: 0.01, near: 0.13 } as const;
  const params = { total, ratio, parts: 1 + ratio, colour, tube, count: value };
  return {
    ask: term('ratio.tubes', { total, ratio, tube }),
    form: { kind: 'figure', unit: 'tubes', decimals: 2 },
    solution,
    slips: wrongFigures(solution, [
      [total / tube, reason('drill.ratio.tubesOfTotal', 'M1', params)],
      [total / ratio / tube, reason('drill.ratio.dividedByRatio', 'M1', params)],
    ]),
    means: { code: 'drill.ratio.tubesMean', rule: 'M3', param: 'gives', times: tube * (1 + ratio), params },
    why: [reason('drill.ratio.tubes', 'M3', params)],
  };
}

/** Three shades by parts (F10). */
function parts({ draw, step }: ItemRequest): MadeItem {
  const shares = draw.shuffled(
    step <= 2 ? [1, 1, 2] : draw.pick([[1, 2, 3], [1, 1, 3], [2, 3, 1], [0.5, 1, 1.5]]), // prettier-ignore
  );
  const all = shares.reduce((a, b) => a + b, 0);
  const each = draw.pick(step <= 2 ? [8, 10, 12, 15] : [8, 10, 12, 14, 16]);
  const colour = all * each;
  const split = splitByParts(colour, shares);
  const solution = bowlSolution(split[0]);
  const params = { all, each, colour, a: shares[0], b: shares[1], c: shares[2], grams: split[0] };
  return {
    ask: term('ratio.parts', { colour, a: shares[0], b: shares[1], c: shares[2] }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [colour / 3, reason('drill.ratio.evenParts', 'F10', params)],
      [(colour * shares[0]) / (shares[1] + shares[2]), reason('drill.ratio.againstRest', 'F10', params)],
      [split[1], reason('drill.ratio.secondShade', 'F10', params)],
      [split[2], reason('drill.ratio.thirdShade', 'F10', params)],
    ]),
    means: { code: 'drill.ratio.partsMean', rule: 'F10', param: 'gives', times: 1 / each, params },
    why: [reason('drill.ratio.parts', 'F10', params)],
  };
}

/** Doses of corrector: a gram or two in a full mix, to the tenth at the hard steps (U5). */
const doseFor = ({ draw, step }: ItemRequest) =>
  draw.pick(step <= 2 ? [1, 2] : step === 3 ? [1, 1.5, 2] : [0.6, 0.8, 1.2, 1.4, 1.8]);

/** A corrector counts in the amount that developer is added to (F10). */
function corrector(making: ItemRequest): MadeItem {
  const colour = gramsFor(making);
  const ratio = making.draw.pick(making.step <= 2 ? [1, 2] : [1, 1.5, 2]);
  const grams = doseFor(making);
  const value = (colour + grams) * ratio;
  const left = grams * ratio;
  const solution = {
    ...bowlSolution(value),
    full: Math.min(bowlSolution(value).full, left / 2.5),
    near: Math.min(bowlSolution(value).near, left / 2),
  };
  const params = { colour, grams, ratio, both: colour + grams, developer: value };
  return {
    ask: term('ratio.corrector', { colour, grams, ratio }),
    form: GRAMS,
    solution,
    slips: wrongFigures(solution, [
      [colour * ratio, reason('drill.ratio.correctorLeftOut', 'F10', params)],
      [(colour + grams) / ratio, reason('drill.ratio.turned', 'M1', params)],
      [value + colour + grams, reason('drill.ratio.wholeBowl', 'M1', params)],
    ]),
    means: {
      code: 'drill.ratio.means',
      rule: 'M1',
      param: 'gives',
      times: 1 / (colour + grams),
      params: { ...params, colour: colour + grams },
    },
    why: [reason('drill.ratio.corrector', 'F10', params)],
  };
}

/** Grams that a corrector may be off in a careful bowl (M4). */
const CORRECTOR_WITHIN = 0.5;

/** The same at the scale: shade, corrector by the drop and developer in one bowl. */
function weigh(making: ItemRequest): MadeItem {
  const { draw } = making;
  const colour = gramsFor(making);
  const ratio = draw.pick([1, 1.5, 2]);
  const grams = doseFor(making);
  const developer = (colour + grams) * ratio;
  const params = { colour, grams, ratio, both: colour + grams, developer };
  return {
    ask: term('ratio.weigh', { colour, grams, ratio }),
    form: {
      kind: 'amounts',
      things: [term('thing.shade'), term('thing.corrector'), term('thing.developerOf', { ratio })],
    },
    hands: { kind: 'weigh', tubeGrams: 60 },
    solution: {
      kind: 'amounts',
      grams: [colour, grams, developer],
      full: [weighingToleranceGrams(colour), CORRECTOR_WITHIN, weighingToleranceGrams(developer)],
      near: [2 * weighingToleranceGrams(colour), 2 * CORRECTOR_WITHIN, 2 * weighingToleranceGrams(developer)],
    },
    why: [reason('drill.ratio.corrector', 'F10', params), reason('drill.ratio.tolerance', 'M4')],
  };
}

/** What a head takes, by its length and density (M2). */
function amount({ draw, step }: ItemRequest): MadeItem {
  const area: Service = draw.pick(APPLICATION_AREAS);
  const density: Density = step === 1 ? 'medium' : draw.pick(DENSITIES);
  const { minGrams, maxGrams } = amountGuide(area, density);
  const value = (minGrams + maxGrams) / 2;
  const full = (maxGrams - minGrams) / 2 + 2;
  const solution = { kind: 'figure', value, full, near: full + value * 0.15 } as const;
  const params = { service: area, density, min: minGrams, max: maxGrams };
  const used = draw.pick(['permanent', 'demi', 'acidGloss'] as const);
  return {
    ask: term('ratio.amount', { service: area, density, product: used }),
    form: { kind: 'figure', unit: 'grams', decimals: 0 },
    solution,
    means: { code: 'drill.ratio.amountMeans', rule: 'M2', param: 'share', times: 1 / value, params },
    why: [reason('drill.ratio.amount', 'M2', params)],
  };
}

function ounces({ draw, step, facet }: ItemRequest): MadeItem {
  const toOunces = facet === 'toOunces';
  const flOz = at([1, 2, 1, 0.5, 0.25], step) * draw.int(1, 6);
  insist(flOz <= 8, 'more than anyone pours');
  const grams = Math.round(gramsOfFlOz(flOz));
  const value = toOunces ? flOzOfGrams(grams) : gramsOfFlOz(flOz);
  const solution = {
    kind: 'figure',
    value,
    full: Math.max(toOunces ? 0.05 : 0.6, value * 0.03),
    near: Math.max(toOunces ? 0.1 : 1.5, value * 0.08),
  } as const;
  const params = { grams, flOz };
  return {
    ask: toOunces ? term('ratio.toOunces', { grams }) : term('ratio.toGrams', { flOz }),
    form: { kind: 'figure', unit: toOunces ? 'flOz' : 'grams', decimals: toOunces ? 2 : 1 },
    solution,
    slips: wrongFigures(solution, [
      [toOunces ? grams * 29.57 : flOz / 29.57, reason('drill.ratio.ounceWrongWay', 'M3', params)],
      [toOunces ? grams / 10 : flOz * 10, reason('drill.ratio.tens', 'M3', params)],
    ]),
    means: toOunces
      ? { code: 'drill.ratio.ounceMeansGrams', rule: 'M3', param: 'gives', times: 29.57, params }
      : { code: 'drill.ratio.ounceMeansOunces', rule: 'M3', param: 'gives', times: 1 / 29.57, params },
    why: [reason(toOunces ? 'drill.ratio.ounceOfGrams' : 'drill.ratio.gramsOfOunce', 'M3', params)],
  };
}

/** Skill 11: ratios and amounts (M1–M6, F10, U5). */
export const ratio: SkillMaker = {
  facets: () => [
    ...[
      'total',
      'developer',
      'colour',
      'tubes',
      'parts',
      'corrector',
      'weigh',
      'amount',
      'toGrams',
      'toOunces',
    ],
    ...judgementFacets('ratio'),
  ],
  make: (making) => {
    if (hasJudgements('ratio', making.facet)) return judge('ratio', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      colour: fromTotal,
      tubes,
      parts,
      corrector,
      weigh,
      amount,
      toGrams: ounces,
      toOunces: ounces,
    };
    return (makers[making.facet] ?? fromColour)(making);
  },
};
