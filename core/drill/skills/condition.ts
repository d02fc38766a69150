import { type Porosity, POROSITIES } from '../../hair';
import {
  type StretchTest,
  type Condition,
  TYPICAL,
  stretchTest,
  conditionOf,
  CONDITIONS,
  levelsInOneVisit,
} from '../../process';
import { reason } from '../../reason';
import { chooseAmong } from '../choice';
import { type Term, term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import { type BySteps, type ItemRequest, at, type MadeItem, type SkillMaker } from '../maker';
import { insist } from '../random-draw';

/** How far in damage an item may lie from the typical hair of its condition, by step. */
const SPREAD: BySteps = [0, 0.02, 0.04, 0.06, 0.075];

interface Tested extends StretchTest {
  condition: Condition;
  facts: Term[];
}
function stretched({ draw, step }: ItemRequest, among: readonly Condition[]): Tested {
  const wanted = draw.pick(among);
  const { damage: middle, moisture } = TYPICAL[wanted];
  const damage = Math.max(0, middle + (draw.int(-100, 100) / 100) * at(SPREAD, step));
  const strand = { damage, moisture };
  const { outcome, stretches, returns } = stretchTest(strand);
  const condition = conditionOf(strand);
  insist(condition === wanted, 'too near the edge of a condition');
  const rounded = { stretches: Math.round(stretches * 100) / 100, returns: Math.round(returns * 100) / 100 };
  return {
    condition,
    outcome,
    ...rounded,
    facts: [
      term(
        `fact.stretch.${outcome}`,
        outcome === 'snaps' || outcome === 'runsOn' ? { stretches: rounded.stretches } : rounded,
      ),
    ],
  };
}
const handsOf = ({ outcome, stretches, returns }: Tested) =>
  ({ kind: 'stretch', outcome, stretches, returns }) as const;
const conditionTerm = (condition: Condition) => term('option.condition', { condition });

/** Worse by strength alone: taking hair for weaker than it is is care, taking it for stronger is harm. */
const BY_STRENGTH: readonly Condition[] = ['strong', 'fair', 'weak', 'failed'];

/** C1: the condition from what a wet strand does. */
function named(making: ItemRequest): MadeItem {
  const tested = stretched(making, CONDITIONS);
  const { condition, facts, stretches, returns } = tested;
  const place = BY_STRENGTH.indexOf(condition);
  const params = { stretches, returns, condition };
  return {
    ask: term('condition.name'),
    facts,
    hands: handsOf(tested),
    ...chooseAmong(
      making.draw,
      { value: condition, words: conditionTerm(condition) },
      making.draw.shuffled(CONDITIONS).map((other) => {
        const away = BY_STRENGTH.indexOf(other) - place;
        const along = place >= 0 && BY_STRENGTH.includes(other);
        return {
          value: other,
          words: conditionTerm(other),
          // A class to the safe side is no mistake of reading: half the mark, and said so.
          near: along && away === 1 ? 0.5 : undefined,
          slip: along
            ? reason(away > 0 ? 'drill.condition.worse' : 'drill.condition.better', 'C1', {
                ...params,
                given: other,
              })
            : reason(`drill.condition.does.${other}`, 'C1', { ...params, given: other }),
        };
      }),
      (value) => value === condition,
      { options: 6 },
    ),
    why: [reason(`drill.condition.isOf.${condition}`, 'C1', params)],
  };
}

const LIMITS = [0, 1, 2, 4, 7] as const;
const limitTerm = (levels: number) =>
  levels === 0 ? term('option.noLightener') : term('option.upToLevels', { levels });
/** Conditions that bear each limit, so that every limit is met as often. */
const BEARS: Readonly<Record<number, readonly Condition[]>> = {
  7: ['strong'],
  4: ['fair'],
  2: ['weak'],
  0: ['weak', 'brittle', 'overSoft', 'failed'],
};

/** C4: what one visit may move; weak hair only where it was never lightened. */
function levels(making: ItemRequest): MadeItem {
  const { draw } = making;
  const limit = draw.pick([0, 2, 4, 7]);
  const tested = stretched(making, BEARS[limit]);
  const { condition, facts, returns } = tested;
  const lightened = condition === 'weak' ? limit === 0 : condition !== 'strong' && draw.chance(0.5);
  insist(levelsInOneVisit(condition, lightened) === limit, 'another limit');
  const params = { condition, levels: limit, returns };
  const place = LIMITS.indexOf(limit as (typeof LIMITS)[number]);
  return {
    ask: term('condition.levels'),
    facts: [...facts, term(lightened ? 'fact.lightenedBefore' : 'fact.neverLightened')],
    hands: handsOf(tested),
    ...chooseAmong(
      draw,
      { value: limit, words: limitTerm(limit) },
      LIMITS.filter((one) => one !== 1 || limit === 2).map((other) => ({
        value: other as number,
        words: limitTerm(other),
        near: LIMITS.indexOf(other) === place - 1 ? 0.25 : undefined,
        slip: reason(
          other > limit ? `drill.condition.overWhat.${condition}` : 'drill.condition.careful',
          'C4',
          {
            ...params,
            given: other,
          },
        ),
      })),
      (given) => given === levelsInOneVisit(condition, lightened),
      { options: 5 },
    ),
    why: [
      reason(
        condition === 'weak' && lightened
          ? 'drill.condition.weakAndLightened'
          : `drill.condition.bears.${condition}`,
        'C4',
        params,
      ),
    ],
  };
}

/** C4: how far today; then test again. Nobody can promise what hair bears after a first lightening. */
function visits({ draw }: ItemRequest): MadeItem {
  const condition = draw.pick(['strong', 'fair', 'weak', 'weak'] as const);
  const lightened = condition === 'weak' && draw.chance(0.4);
  const limit = levelsInOneVisit(condition, lightened);
  const from = draw.int(1, 4);
  const to = draw.int(Math.max(from + 3, 7), 10);
  const value = Math.min(to, from + limit);
  const words = (level: number) =>
    level === from
      ? term('option.todayNone')
      : level === to
        ? term('option.todayAll', { level })
        : term('option.todayTo', { level });
  const others = [to, from + 7, from + 4, from + 2, from + 1, from].filter(
    (level) => level <= to && level !== value,
  );
  const nextLess = Math.max(...others.filter((level) => level < value));
  return {
    ask: term('condition.visits', { from, to, condition }),
    facts: [term(lightened ? 'fact.lightenedBefore' : 'fact.neverLightened')],
    ...chooseAmong(
      draw,
      { value, words: words(value) },
      [...new Set(others)].map((level) => ({
        value: level,
        words: words(level),
        near: level === nextLess ? 0.25 : undefined,
        slip: reason(level > value ? 'drill.condition.todayTooFar' : 'drill.condition.todayLess', 'C4', {
          moves: level - from,
          limit,
          condition,
          level: value,
        }),
      })),
      (level) => level === value,
      { options: 5 },
    ),
    why: [
      reason(
        limit === 0
          ? 'drill.condition.weakAndLightened'
          : value === to
            ? 'drill.condition.todayAll'
            : 'drill.condition.today',
        'C4',
        { condition, limit, levels: limit, level: value, from, to, returns: 0.6 },
      ),
    ],
  };
}

/** What porosity is felt, seen and met by, several ways each (C2). */
const FEELS: Record<Porosity, readonly string[]> = {
  low: ['slides', 'beads', 'repels'],
  normal: ['drag', 'sinksSlowly', 'even'],
  high: ['rough', 'sinksAtOnce', 'swells', 'grabs'],
};
/** Part of the way that a stroke upward is held back, and seconds a drop of water stands: drawn, not measured (C2). */
const HOLDS_BACK: Record<Porosity, number> = { low: 0.08, normal: 0.6, high: 0.86 };
const STANDS_SECONDS: Record<Porosity, number> = { low: 60, normal: 2.2, high: 0.25 };

/** C2: porosity from the fingers, a drop of water and how colour has sat. */
function porosity({ draw }: ItemRequest): MadeItem {
  const feels: Porosity = draw.pick(POROSITIES);
  const sign = draw.pick(FEELS[feels]);
  const words = (which: Porosity | 'uneven') => term(`option.porous.${which}`);
  return {
    ask: term('condition.porosity'),
    facts: [term(`fact.feel.${sign}`)],
    hands: {
      kind: 'feel',
      drag: HOLDS_BACK[feels] + draw.int(-4, 4) / 100,
      standsSeconds: STANDS_SECONDS[feels] * (1 + draw.int(-15, 15) / 100),
    },
    ...chooseAmong<Porosity | 'uneven'>(
      draw,
      { value: feels, words: words(feels) },
      ([...POROSITIES, 'uneven'] as const).map((other) => ({
        value: other,
        words: words(other),
        slip: reason(`drill.condition.notFeel.${other}`, 'C2', { porosity: feels }),
      })),
      (value) => value === feels,
    ),
    why: [reason(`drill.condition.feels.${feels}`, 'C2')],
  };
}

/** R3: what a sign asks for. */
const SIGNS = {
  burning: 'rinse',
  gummy: 'rinse',
  swollen: 'rinse',
  noChange: 'rinse',
  wadding: 'rinse',
  targetReached: 'rinse',
  springsBack: 'goOn',
  warmButMoving: 'goOn',
  drying: 'moisten',
  crustAtEdge: 'moisten',
} as const;
const ACTIONS = ['rinse', 'goOn', 'moisten', 'heat', 'secondCoat'] as const;
type Action = (typeof ACTIONS)[number];
type Sign = keyof typeof SIGNS;
function stop({ draw }: ItemRequest): MadeItem {
  // What is asked for first, then what asks for it: neither alarm nor calm is a habit.
  const right: Action = draw.pick(['rinse', 'goOn', 'moisten'] as const);
  const sign: Sign = draw.pick((Object.keys(SIGNS) as Sign[]).filter((one) => SIGNS[one] === right));
  const words = (action: Action) => term(`option.action.${action}`);
  return {
    ask: term('condition.stop'),
    facts: [term(`fact.sign.${sign}`)],
    ...chooseAmong<Action>(
      draw,
      { value: right, words: words(right) },
      ACTIONS.map((action) => ({
        value: action,
        words: words(action),
        slip: reason(`drill.condition.notAction.${right}.${action}`, 'R3'),
      })),
      (action) => action === right,
      { options: 5 },
    ),
    why: [reason(`drill.condition.sign.${sign}`, 'R3')],
  };
}

/** Skill 13: from what a strand does to what may be done today (C1–C4, R3). */
export const condition: SkillMaker = {
  facets: () => ['name', 'porosity', 'levels', 'visits', 'stop', ...judgementFacets('condition')],
  make: (making) => {
    if (hasJudgements('condition', making.facet)) return judge('condition', making);
    const makers: Record<string, (m: ItemRequest) => MadeItem> = {
      name: named,
      porosity,
      levels,
      visits,
      stop,
    };
    return makers[making.facet](making);
  },
};
