import { POROSITIES, type Porosity } from '../../hair';
import {
  CONDITIONS,
  conditionOf,
  LEVELS_IN_ONE_VISIT,
  stretchTest,
  TYPICAL,
  type Condition,
} from '../../process';
import { reason } from '../../reason';
import { chooseAmong, wrongFigures } from '../choice';
import { insist } from '../draw';
import { term, type Term } from '../item';
import { at, type BySteps, type Made, type Making, type SkillMaker } from '../make';

/** How far in damage an item may lie from the typical hair of its condition, by step. */
const SPREAD: BySteps = [0, 0.02, 0.04, 0.06, 0.075];

function stretched({ draw, step }: Making): {
  condition: Condition;
  facts: Term[];
  stretches: number;
  returns: number;
} {
  const wanted = draw.pick(CONDITIONS);
  const { damage: middle, moisture } = TYPICAL[wanted];
  const damage = Math.max(0, middle + (draw.int(-100, 100) / 100) * at(SPREAD, step));
  const strand = { damage, moisture };
  const { outcome, stretches, returns } = stretchTest(strand);
  const condition = conditionOf(strand);
  insist(condition === wanted, 'too near the edge of a condition');
  const rounded = { stretches: Math.round(stretches * 100) / 100, returns: Math.round(returns * 100) / 100 };
  return { condition, ...rounded, facts: [term(`fact.stretch.${outcome}`, rounded)] };
}
const conditionTerm = (condition: Condition) => term('option.condition', { condition });

/** C1: the condition from what a wet strand does. */
function named(making: Making): Made {
  const { condition, facts, stretches, returns } = stretched(making);
  return {
    ask: term('condition.name'),
    facts,
    ...chooseAmong(
      making.draw,
      { value: condition, words: conditionTerm(condition) },
      making.draw.shuffled(CONDITIONS).map((other) => ({
        value: other,
        words: conditionTerm(other),
        slip: reason(
          CONDITIONS.indexOf(other) < CONDITIONS.indexOf(condition)
            ? 'drill.condition.better'
            : 'drill.condition.worse',
          'C1',
          { condition: other },
        ),
      })),
      (value) => value === condition,
    ),
    why: [reason('drill.condition.is', 'C1', { stretches, returns, condition })],
  };
}

/** C4: what one visit may move. */
function levels(making: Making): Made {
  const { condition, facts } = stretched(making);
  const value = LEVELS_IN_ONE_VISIT[condition];
  const words = (levelsToday: number) =>
    levelsToday === 0 ? term('option.noLightener') : term('option.upToLevels', { levels: levelsToday });
  return {
    ask: term('condition.levels'),
    facts,
    ...chooseAmong(
      making.draw,
      { value, words: words(value) },
      making.draw.shuffled([...new Set(Object.values(LEVELS_IN_ONE_VISIT))]).map((other) => ({
        value: other,
        words: words(other),
        slip: reason(other > value ? 'drill.condition.tooMuch' : 'drill.condition.tooLittle', 'C4', {
          levels: other,
        }),
      })),
      (given) => given === LEVELS_IN_ONE_VISIT[condition],
    ),
    why: [reason('drill.condition.limit', 'C4', { condition, levels: value })],
  };
}

/** C4: visits that a lift takes. */
function visits({ draw, step }: Making): Made {
  const condition = draw.pick(['strong', 'fair', 'weak'] as const);
  const limit = LEVELS_IN_ONE_VISIT[condition];
  const from = draw.int(1, step <= 2 ? 4 : 3);
  const to = draw.int(Math.max(from + 2, 6), 10);
  const value = Math.ceil((to - from) / limit);
  const solution = { kind: 'figure', value, full: 0.1, near: 0.1 } as const;
  return {
    ask: term('condition.visits', { from, to, condition }),
    form: { kind: 'figure', unit: 'visits', decimals: 0 },
    solution,
    slips: wrongFigures(solution, [
      [1, reason('drill.condition.oneVisit', 'C4')],
      [to - from, reason('drill.condition.levelEach', 'C4')],
    ]),
    why: [reason('drill.condition.visits', 'C4', { levels: to - from, condition, limit, visits: value })],
  };
}

/** C2: porosity from the fingers. */
function porosity({ draw }: Making): Made {
  const feels: Porosity = draw.pick(POROSITIES);
  const words = (which: Porosity) => term('option.porosity', { porosity: which });
  return {
    ask: term('condition.porosity'),
    facts: [term(`fact.feel.${feels}`, { feels })],
    ...chooseAmong(
      draw,
      { value: feels, words: words(feels) },
      POROSITIES.map((other) => ({
        value: other,
        words: words(other),
        slip: reason('drill.condition.otherFeel', 'C2', { porosity: other }),
      })),
      (value) => value === feels,
    ),
    why: [reason('drill.condition.feel', 'C2', { porosity: feels })],
  };
}

/** R3: what a sign asks for. */
const SIGNS = {
  burning: 'rinse',
  gummy: 'rinse',
  swollen: 'rinse',
  noChange: 'rinse',
  springsBack: 'goOn',
} as const;
const ACTIONS = ['rinse', 'goOn', 'warmth', 'secondCoat'] as const;
type Action = (typeof ACTIONS)[number];
function stop({ draw }: Making): Made {
  const sign = draw.pick(Object.keys(SIGNS) as (keyof typeof SIGNS)[]);
  const words = (action: Action) => term(`option.action.${action}`, { action });
  return {
    ask: term('condition.stop'),
    facts: [term(`fact.sign.${sign}`, { sign })],
    ...chooseAmong(
      draw,
      { value: SIGNS[sign] as Action, words: words(SIGNS[sign]) },
      ACTIONS.map((action) => ({
        value: action,
        words: words(action),
        slip: reason(`drill.condition.otherAction.${action}`, 'R3'),
      })),
      (action) => action === SIGNS[sign],
    ),
    why: [reason(`drill.condition.${SIGNS[sign]}`, 'R3')],
  };
}

/** Skill 13: from what a strand does to what may be done today (C1–C4, R3). */
export const condition: SkillMaker = {
  facets: () => ['name', 'porosity', 'levels', 'visits', 'stop'],
  make: (making) => {
    const makers: Record<string, (m: Making) => Made> = { name: named, porosity, levels, visits, stop };
    return makers[making.facet](making);
  },
};
