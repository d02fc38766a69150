import { FORMULA_LINES, SHIPPED_LINES, stockFraction, blendVol } from '../../product';
import { reason } from '../../reason';
import { mayDilute, dilutionRuling, DILUTION_RULINGS, type DilutionRuling } from '../../rules';
import { wrongFigures, chooseAmong } from '../choice';
import { houseFact } from '../context';
import { type Term, term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { bowlSolution } from './ratio';

/** What the developer is wanted for, and the strength that takes (D2, F7, F8): from step 3 on it is for the student to know. */
const TASKS = [
  { task: 'deposit', vol: 10 },
  { task: 'liftOne', vol: 20 },
  { task: 'grey', vol: 20 },
  { task: 'liftTwo', vol: 30 },
  { task: 'plain', vol: 15 },
  { task: 'plain', vol: 25 },
  { task: 'plain', vol: 7 },
] as const;
type Task = (typeof TASKS)[number];
const PLAIN_FROM = 4;

/** Developer is weighed in whole grams (M4). */
const isWhole = (grams: number) => Math.abs(grams - Math.round(grams)) < 1e-9;

function taskBelow(stock: number, { draw, step }: ItemRequest): Task {
  return draw.pick(TASKS.filter(({ vol, task }) => vol < stock && (task !== 'plain' || step >= PLAIN_FROM)));
}
/** The work it is for; at the first steps the strength that takes is said as well. */
const wantedFacts = ({ task, vol }: Task, { step }: ItemRequest): Term[] => [
  ...(task === 'plain' ? [] : [term(`fact.task.${task}`)]),
  ...(task === 'plain' || step < 3 ? [term('fact.wantedVol', { vol })] : []),
];
const wantedWhy = ({ task, vol }: Task) =>
  task === 'plain' ? [] : [reason(`drill.dilution.task.${task}`, 'D2', { vol })];

/** A line that may be thinned in this class, and what says so. */
function thinnable({ draw, rules }: ItemRequest) {
  const line = draw.pick(FORMULA_LINES.filter((line) => mayDilute(line, rules)));
  const facts = [
    houseFact(rules, 'diluteDeveloper'),
    ...(rules.diluteDeveloper === 'ifLinePermits' ? [term('fact.lineMayDilute', { line: line.name })] : []),
  ];
  return { line, facts };
}

/** Grams of stock, or of water, in a thinned developer (D5). */
function thinned(making: ItemRequest): MadeItem {
  const { draw, step, facet } = making;
  const { facts } = thinnable(making);
  const stock = draw.pick(step <= 2 ? [20, 40] : [20, 30, 40]);
  const task = taskBelow(stock, making);
  const wanted = task.vol;
  const total = draw.pick(step <= 2 ? [40, 60, 80, 100, 120] : [45, 50, 60, 75, 90, 105, 120, 150]);
  const fraction = stockFraction(stock, wanted);
  insist(isWhole(total * fraction), 'a scale shows whole grams of developer');
  const [ofStock, ofWater] = [total * fraction, total * (1 - fraction)];
  const value = facet === 'stock' ? ofStock : ofWater;
  const solution = bowlSolution(value);
  const params = { stock, wanted, total, ofStock, ofWater };
  return {
    ask: term(`dilution.${facet}`, { stock, total }),
    facts: [...wantedFacts(task, making), ...facts],
    form: { kind: 'figure', unit: 'grams', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [
        facet === 'stock' ? ofWater : ofStock,
        reason(
          facet === 'stock' ? 'drill.dilution.waterNotStock' : 'drill.dilution.stockNotWater',
          'D5',
          params,
        ),
      ],
      [total, reason('drill.dilution.all', 'D5', params)],
      [total / 2, reason('drill.dilution.half', 'D5', { ...params, gives: stock / 2 })],
    ]),
    means:
      facet === 'stock'
        ? { code: 'drill.dilution.means', rule: 'D5', param: 'gives', times: stock / total, params }
        : {
            code: 'drill.dilution.meansByWater',
            rule: 'D5',
            param: 'gives',
            times: -stock / total,
            plus: stock,
            params,
          },
    why: [...wantedWhy(task), reason('drill.dilution.fraction', 'D5', params)],
  };
}

/** The same at the scale: a bottle of stock and water, or two bottles, poured until it stands in the bowl (D5, D8). */
function pour(making: ItemRequest): MadeItem {
  const { draw, step, rules } = making;
  const withWater = rules.diluteDeveloper !== 'never' && draw.chance(0.6);
  const total = draw.pick(step <= 2 ? [60, 80, 120] : [48, 60, 75, 90, 105, 120]);
  const [high, low] = withWater
    ? [draw.pick(step <= 2 ? [20, 40] : [20, 30, 40]), 0]
    : draw.pick([[40, 20], [30, 10], [40, 10]]); // prettier-ignore
  const task = draw.pick(
    TASKS.filter(
      ({ vol, task: name }) => vol < high && vol > low && (name !== 'plain' || step >= PLAIN_FROM),
    ),
  );
  insist(isWhole((total * (task.vol - low)) / (high - low)), 'a scale shows whole grams of developer');
  return {
    ask: withWater
      ? term('dilution.pourWater', { high, total })
      : term('dilution.pourTwo', { high, low, total }),
    facts: [...wantedFacts(task, making), ...(withWater ? thinnable(making).facts : [])],
    form: {
      kind: 'amounts',
      things: [
        term('thing.developer', { vol: high }),
        withWater ? term('thing.water') : term('thing.developer', { vol: low }),
      ],
    },
    hands: { kind: 'pour', vols: [high, low] },
    solution: { kind: 'strength', vols: [high, low], vol: task.vol, grams: total, volFull: 1, gramsFull: 2 },
    why: [
      ...wantedWhy(task),
      withWater
        ? reason('drill.dilution.fraction', 'D5', {
            stock: high,
            wanted: task.vol,
            total,
            ofStock: (total * task.vol) / high,
            ofWater: total - (total * task.vol) / high,
          })
        : reason('drill.dilution.lever', 'D5', {
            low,
            high,
            wanted: task.vol,
            total,
            up: task.vol - low,
            span: high - low,
            ofHigh: (total * (task.vol - low)) / (high - low),
            ofLow: total - (total * (task.vol - low)) / (high - low),
          }),
    ],
  };
}

/** Strength of two poured together: the weighted mean, not the sum and not the plain mean (D5). */
function strength({ draw, step }: ItemRequest): MadeItem {
  const [a, b] = draw.shuffled([10, 20, 30, 40]);
  const even = step <= 2;
  const [partsA, partsB] = even
    ? [30, 30]
    : draw.pick([[20, 40], [60, 20], [45, 15], [50, 25], [30, 60]] as const); // prettier-ignore
  const value = blendVol([
    { vol: a, parts: partsA },
    { vol: b, parts: partsB },
  ]);
  const solution = { kind: 'figure', value, full: 0.35, near: 1.5 } as const;
  const params = { a, b, gramsA: partsA, gramsB: partsB, vol: value };
  return {
    ask: term('dilution.strength', { a, b, gramsA: partsA, gramsB: partsB }),
    form: { kind: 'figure', unit: 'vol', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [a + b, reason('drill.dilution.added', 'D5', params)],
      [(a + b) / 2, reason('drill.dilution.plainMean', 'D5', params)],
      [(a * partsB + b * partsA) / (partsA + partsB), reason('drill.dilution.turned', 'D5', params)],
    ]),
    // The amount of `a` that would give the strength answered.
    means: {
      code: 'drill.dilution.strengthMeans',
      rule: 'D5',
      param: 'shareA',
      times: 1 / (a - b),
      plus: -b / (a - b),
      params,
    },
    why: [reason('drill.dilution.mean', 'D5', params)],
  };
}

type Blend = readonly [low: number, high: number];
const BLENDS: readonly Blend[] = [[20, 40], [10, 30], [20, 30], [10, 40]]; // prettier-ignore

/** Grams of the stronger of two that give a strength in between. */
function between(making: ItemRequest): MadeItem {
  const { draw, step } = making;
  const [low, high] = draw.pick(BLENDS);
  const tasks = TASKS.filter(
    ({ vol, task }) => vol > low && vol < high && (task !== 'plain' || step >= PLAIN_FROM),
  );
  insist(tasks.length > 0, 'nothing between these two');
  const task = draw.pick(tasks);
  const wanted = task.vol;
  const total = draw.pick([45, 60, 75, 80, 90, 105, 120]);
  const ofHigh = (total * (wanted - low)) / (high - low);
  insist(isWhole(ofHigh), 'a scale shows whole grams of developer');
  const solution = bowlSolution(ofHigh);
  const params = {
    low,
    high,
    wanted,
    total,
    up: wanted - low,
    span: high - low,
    ofHigh,
    ofLow: total - ofHigh,
  };
  return {
    ask: term('dilution.between', { low, high, total }),
    facts: [...wantedFacts(task, making)],
    form: { kind: 'figure', unit: 'grams', decimals: 1 },
    solution,
    slips: wrongFigures(solution, [
      [total - ofHigh, reason('drill.dilution.weakerNotStronger', 'D5', params)],
      [total / 2, reason('drill.dilution.half', 'D5', { ...params, gives: (low + high) / 2 })],
      [(total * wanted) / high, reason('drill.dilution.asWater', 'D5', params)],
    ]),
    means: {
      code: 'drill.dilution.means',
      rule: 'D5',
      param: 'gives',
      times: (high - low) / total,
      plus: low,
      params,
    },
    why: [...wantedWhy(task), reason('drill.dilution.lever', 'D5', params)],
  };
}

/** Lines that come with a developer of their own, lighteners among them. */
const WITH_DEVELOPER = SHIPPED_LINES.filter(({ developersVol }) => developersVol.some((vol) => vol > 0));

/** Who decides it, or that nobody has: a maker that says nothing has not permitted it. */
type Ruling = DilutionRuling | 'lineSilent';
const RULINGS: readonly Ruling[] = [...DILUTION_RULINGS, 'lineSilent'];

/** Is it allowed here? By the line, where the class leaves it to the line. */
function allowed({ draw, rules }: ItemRequest): MadeItem {
  const says = draw.pick(['permits', 'forbids', 'silent'] as const);
  const line = draw.pick(WITH_DEVELOPER.filter(({ mayDilute }) => mayDilute === (says === 'permits')));
  const ruling: Ruling = says === 'silent' ? 'lineSilent' : dilutionRuling(line, rules);
  const params: Record<string, string> = says === 'silent' ? {} : { line: line.name };
  return {
    ask: term(says === 'silent' ? 'dilution.allowedUnknown' : 'dilution.allowed', params),
    facts: [
      says === 'silent'
        ? term('fact.lineSilent')
        : term(says === 'permits' ? 'fact.lineMayDilute' : 'fact.lineMayNotDilute', { line: line.name }),
      houseFact(rules, 'diluteDeveloper'),
    ],
    ...chooseAmong<Ruling>(
      draw,
      { value: ruling, words: term(`option.ruling.${ruling}`, { ruling }) },
      RULINGS.map((other) => ({
        value: other,
        words: term(`option.ruling.${other}`, { ruling: other }),
        slip: reason(`drill.dilution.notRuling.${other}`, 'D5'),
      })),
      (value) => value === ruling,
      { options: 5 },
    ),
    why: [reason(`drill.dilution.ruling.${ruling}`, 'D5', params)],
  };
}

/** Skill 10: dilute and blend developers, and whether that is allowed here (D5, D8). */
export const dilution: SkillMaker = {
  facets: ({ rules }) => [
    ...(rules.diluteDeveloper === 'never' ? [] : ['stock', 'water']),
    ...['strength', 'between', 'pour'],
    // Where the class decides it for every line there is nothing to find out.
    ...(rules.diluteDeveloper === 'ifLinePermits' ? ['allowed'] : []),
    ...judgementFacets('dilution'),
  ],
  make: (making) => {
    if (hasJudgements('dilution', making.facet)) return judge('dilution', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = { strength, between, pour, allowed };
    return (makers[making.facet] ?? thinned)(making);
  },
};
