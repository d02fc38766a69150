import { reason } from '../../reason';
import { startsToEndTogether, CHECKS, rinseMinute, servesMinutes } from '../../rules';
import { wrongFigures, chooseAmong } from '../choice';
import { lineNamed, formulaLines, houseFact } from '../context';
import { type AnswerMethod, term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';

const MINUTES: AnswerMethod = { kind: 'figure', unit: 'minutes', decimals: 0 };
const exactly = (value: number) => ({ kind: 'figure', value, full: 0.5, near: 2 }) as const;

/**
 * Heads whose zones end together, each zone with the minutes it needs. Never coloured: lengths first, the root last,
 * since the scalp's warmth makes it race (A2). Retouched: the new growth first, the ends last (A1, A9); beyond 2 cm its
 * part off the scalp before its part at the scalp (A5). Uneven lengths: the darkest first (A3).
 */
const HEADS = [
  { head: 'neverLightened', rule: 'A2', zones: [['mids', [40, 45, 50]], ['ends', [30, 35, 40]], ['root', [20, 25, 30]]] },
  { head: 'neverLifted', rule: 'A2', zones: [['mids', [45, 50]], ['ends', [40, 45]], ['root', [30, 35]]] },
  { head: 'porousEnds', rule: 'A2', zones: [['mids', [40, 45]], ['root', [25, 30]], ['ends', [10, 15, 20]]] },
  { head: 'retouchGrey', rule: 'A1', zones: [['root', [45, 50]], ['ends', [5, 8, 10]]] },
  { head: 'retouchLifted', rule: 'A9', zones: [['root', [35, 40, 45]], ['ends', [5, 10]]] },
  { head: 'longRegrowth', rule: 'A5', zones: [['offScalp', [40, 45, 50]], ['atScalp', [25, 30, 35]]] },
  { head: 'unevenLengths', rule: 'A3', zones: [['darkLengths', [40, 45]], ['lightLengths', [15, 20, 25]]] },
] as const; // prettier-ignore

function headOf({ draw, step }: ItemRequest, heads: readonly (typeof HEADS)[number][]) {
  const { head, rule, zones } = draw.pick(heads);
  const odd = step >= 4 ? draw.int(-2, 2) : 0;
  const needs = zones.map(([zone, minutes]) => ({ zone, minutes: draw.pick<number>(minutes) + odd }));
  insist(
    needs.every(({ minutes }, i) => i === 0 || minutes < needs[i - 1].minutes),
    'not in the order of the rule',
  );
  return { head, rule, needs, starts: startsToEndTogether(needs.map(({ minutes }) => minutes)) };
}
const needFacts = (needs: readonly { zone: string; minutes: number }[]) =>
  needs.map(({ zone, minutes }) => term('fact.zoneNeeds', { zone, minutes }));

/** Zones that need different times, and all end together (A1–A3, A5, A9). */
function start(making: ItemRequest): MadeItem {
  const { draw } = making;
  const { head, rule, needs, starts } = headOf(making, HEADS);
  const asked = draw.int(1, needs.length - 1);
  const { zone, minutes } = needs[asked];
  const solution = exactly(starts[asked]);
  const params = {
    zone,
    longest: needs[0].minutes,
    first: needs[0].zone,
    needs: minutes,
    start: starts[asked],
  };
  return {
    ask: term('timing.start', { zone }),
    facts: [term(`fact.head.${head}`), ...needFacts(draw.shuffled(needs))],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [minutes, reason('drill.timing.ownMinutes', rule, params)],
      [0, reason('drill.timing.allAtOnce', rule, params)],
    ]),
    means: { code: 'drill.timing.startMeans', rule, param: 'has', times: -1, plus: needs[0].minutes, params },
    why: [reason(`drill.timing.startOf.${head}`, rule, params)],
  };
}

/** The same on one clock: begin, look, rinse. */
function clock(making: ItemRequest): MadeItem {
  const heads = HEADS.filter(({ head }) => head === 'neverLightened' || head === 'porousEnds');
  const { head, rule, needs, starts } = headOf(making, heads);
  const inOrder = ['mids', 'ends', 'root'].map((zone) => needs.findIndex((need) => need.zone === zone));
  const longest = needs[0].minutes;
  const params = {
    zone: needs[1].zone,
    longest,
    first: needs[0].zone,
    needs: needs[1].minutes,
    start: starts[1],
  };
  return {
    ask: term('timing.clock'),
    facts: [term(`fact.head.${head}`), ...needFacts(inOrder.map((i) => needs[i]))],
    form: {
      kind: 'clock',
      zones: ['mids', 'ends', 'root'].map((zone) => term(`option.zone.${zone}`)),
      most: 75,
    },
    solution: {
      kind: 'clock',
      starts: inOrder.map((i) => starts[i]),
      rinse: longest,
      within: 2,
      every: CHECKS.lightener.most,
    },
    why: [reason(`drill.timing.startOf.${head}`, rule, params), reason('drill.timing.looksBetween', 'R2')],
  };
}

/** Minutes that have to be left when application ends, or the last hair put on would hardly have worked. */
const LEAST_LEFT = 10;

/** When to rinse, by what starts the timer in this class (R1). */
function rinse(making: ItemRequest): MadeItem {
  const { draw, rules, step } = making;
  const line = lineNamed(draw.pick(formulaLines(making).map(({ id }) => id)), making);
  const overGrey = line.kind === 'permanent' && draw.chance(0.5);
  const developing = overGrey ? line.minutes.grey : line.minutes.standard;
  const takes = step <= 2 ? draw.pick([5, 10, 15, 20]) : draw.int(4, 28);
  const value = rinseMinute(takes, developing, rules);
  insist(value >= takes + Math.min(LEAST_LEFT, developing / 2), 'rinsed before it has worked');
  const otherSchool = rinseMinute(takes, developing, {
    timerStarts: rules.timerStarts === 'endOfApplication' ? 'firstContact' : 'endOfApplication',
  });
  const solution = exactly(value);
  const params = { takes, minutes: developing, choice: rules.timerStarts, rinse: value, line: line.name };
  return {
    ask: term(overGrey ? 'timing.rinseGrey' : 'timing.rinse', {
      line: line.name,
      takes,
      minutes: developing,
    }),
    facts: [houseFact(rules, 'timerStarts')],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [otherSchool, reason(`drill.timing.schoolElsewhere.${rules.timerStarts}`, 'R1', params)],
    ]),
    means: { code: 'drill.timing.rinseMeans', rule: 'R7', param: 'at', params },
    why: [reason(`drill.timing.rinseAt.${rules.timerStarts}`, 'R1', params)],
  };
}

/** How long a bowl serves that was mixed early (M5). */
function active(making: ItemRequest): MadeItem {
  const { draw, step } = making;
  const line = lineNamed(draw.pick(formulaLines(making).map(({ id }) => id)), making);
  const lead = step <= 2 ? draw.pick([5, 10, 15]) : draw.int(3, 22);
  const value = servesMinutes(line.activeMinutes, lead);
  insist(value >= 5, 'nobody mixes so early');
  const solution = exactly(value);
  const why = draw.pick(['phone', 'secondBowl', 'foils', 'helper'] as const);
  const params = { minutes: line.activeMinutes, lead, serves: value };
  return {
    ask: term(`timing.activeFor.${why}`, { lead }),
    facts: [term('fact.active', { line: line.name, minutes: line.activeMinutes })],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [line.activeMinutes, reason('drill.timing.fromStroke', 'M5', params)],
      [line.activeMinutes + lead, reason('drill.timing.addedLead', 'M5', params)],
      [lead, reason('drill.timing.leadOnly', 'M5', params)],
    ]),
    means: { code: 'drill.timing.activeMeans', rule: 'M5', param: 'age', times: 1, plus: lead, params },
    why: [reason('drill.timing.active', 'M5', params)],
  };
}

/** Plans of looks, as minutes; gaps between what is asked and what is careless are not offered. */
const PLANS = {
  lightener: [
    { rinse: 40, right: [[10, 20, 30], [8, 16, 24, 32], [5, 12, 20, 28, 35]], wrong: [[20], [25, 35], [30, 35], [15, 30], [35, 38]] },
    { rinse: 30, right: [[10, 20], [6, 12, 18, 24], [8, 15, 22]], wrong: [[15], [25], [20, 25], [26, 28], [4, 8]] },
    { rinse: 50, right: [[10, 20, 30, 40], [8, 16, 25, 34, 42]], wrong: [[25], [30, 40, 45], [45], [20, 40], [15, 30]] },
  ],
  toner: [
    { rinse: 12, right: [[3, 6, 9], [2, 5, 8, 10]], wrong: [[6], [10], [9, 11], [11], [7]] },
    { rinse: 15, right: [[3, 6, 9, 12], [2, 4, 7, 10, 13]], wrong: [[8], [10], [12, 14], [7, 14], [13]] },
    { rinse: 10, right: [[3, 6, 8], [2, 4, 6, 8]], wrong: [[8], [9], [7, 9], [1], [2]] },
  ],
} as const; // prettier-ignore

/** Which minutes to look at: no gap longer than the product allows, from the first stroke to the rinse (R2). */
function looks({ draw }: ItemRequest): MadeItem {
  const product = draw.pick(['lightenerStrong', 'lightenerGentle', 'acidGloss'] as const);
  const {
    rinse: last,
    right,
    wrong,
  } = draw.pick<{
    rinse: number;
    right: readonly (readonly number[])[];
    wrong: readonly (readonly number[])[];
  }>(product === 'acidGloss' ? PLANS.toner : PLANS.lightener);
  const most = product === 'acidGloss' ? 3 : CHECKS.lightener.most;
  const gapOf = (minutes: readonly number[]) => {
    const all = [0, ...minutes, last];
    return Math.max(...all.slice(1).map((minute, i) => minute - all[i]));
  };
  const words = (minutes: readonly number[]) => term('option.looks', { minutes: minutes.join(', ') });
  const plan = draw.pick(right);
  return {
    ask: term('timing.looks', { product, minutes: last }),
    ...chooseAmong(
      draw,
      { value: plan, words: words(plan) },
      draw.shuffled(wrong).map((minutes) => ({
        value: minutes,
        words: words(minutes),
        slip: reason('drill.timing.unlooked', 'R2', { product, gap: gapOf(minutes), most }),
      })),
      (minutes) => gapOf(minutes) <= most,
    ),
    why: [reason('drill.timing.looks', 'R2', { product, most })],
  };
}

/** R4, R6: what hair, place and heat do to the pace of lightener. */
const PACES = [
  ['veryFine', 1.6], ['fine', 1.25], ['coarse', 0.8], ['lowPorosity', 0.8], ['highPorosity', 1.3], ['atScalp', 1.3], ['heat', 4 / 3], ['wet', 0.5],
] as const; // prettier-ignore
function pace({ draw, step }: ItemRequest): MadeItem {
  const [what, factor] = draw.pick(PACES);
  const usual = step <= 2 ? draw.pick([20, 30, 40]) : draw.pick([15, 20, 25, 30, 35, 40]);
  const value = Math.round(usual / factor);
  const solution = { kind: 'figure', value, full: 2, near: 4 } as const;
  const params = {
    usual,
    factor: Math.round(factor * 100) / 100,
    minutes: value,
    from: Math.max(1, Math.round(value / 2)),
  };
  insist(value <= 50, 'lightener is spent by then');
  return {
    ask: term(`timing.pace.${what}`, { usual }),
    facts: [term('fact.pace', { factor: params.factor })],
    form: MINUTES,
    solution,
    slips: wrongFigures(solution, [
      [usual, reason(`drill.timing.paceSame.${what}`, 'R6', params)],
      [Math.round(usual * factor), reason('drill.timing.paceWrongWay', 'R6', params)],
    ]),
    means: { code: 'drill.timing.paceMeans', rule: 'R6', param: 'worked', times: factor, params },
    why: [reason(factor > 1 ? 'drill.timing.paceFaster' : 'drill.timing.paceSlower', 'R6', params)],
  };
}

/** Skill 12: when to start, look, move and rinse; how long the mix serves; the pace of hair (A1–A9, M5, R1–R8). */
export const timing: SkillMaker = {
  facets: () => ['rinse', 'start', 'clock', 'active', 'looks', 'pace', ...judgementFacets('timing')],
  make: (making) => {
    if (hasJudgements('timing', making.facet)) return judge('timing', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      rinse,
      start,
      clock,
      active,
      looks,
      pace,
    };
    return makers[making.facet](making);
  },
};
