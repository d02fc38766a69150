import { reason } from '../../reason';
import { chooseAmong, wrongFigures } from '../choice';
import { levelsOf, houseFact } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';

/** Level of the shade for a lift by colour, by the class's school (F2). */
function shadeLevel({ draw, scope, rules }: ItemRequest): MadeItem {
  const natural = draw.pick(levelsOf(scope, 3, 8));
  const target = natural + draw.int(1, 2);
  const beyond = 2 * target - natural;
  insist(target <= 10 && beyond <= 11, 'no such shade');
  const right = rules.liftByColour === 'counterbalance' ? beyond : target;
  const params = { natural, target, beyond };
  const slips: Record<number, string> = {
    [target]: 'drill.formula.targetNotHere',
    [beyond]: 'drill.formula.beyondNotHere',
    [natural]: 'drill.formula.naturalLevel',
    [target - 1]: 'drill.formula.deeperThanTarget',
  };
  return {
    ask: term('formula.shadeLevel', { natural, target }),
    facts: [houseFact(rules, 'liftByColour')],
    ...chooseAmong(
      draw,
      { value: right, words: term('option.shadeOf', { level: right }) },
      [natural, target, beyond, target - 1, beyond + 1].map((level) => ({
        value: level,
        words: term('option.shadeOf', { level }),
        slip: reason(slips[level] ?? 'drill.formula.pastBoth', 'F2', { ...params, given: level }),
      })),
      (level) => level === right,
    ),
    why: [reason(`drill.formula.shade.${rules.liftByColour}`, 'F2', params)],
  };
}

/** Level of a mix: the mean of its shades by their parts (F10). */
function mixLevel({ draw, step }: ItemRequest): MadeItem {
  const a = draw.int(4, 8);
  const b = a + draw.pick([1, 2, 3]);
  insist(b <= 10, 'no such shade');
  const [partsA, partsB] = draw.pick(
    step <= 2
      ? [[1, 1]]
      : [[1, 1], [1, 2], [2, 1], [1, 3], [3, 1]], // prettier-ignore
  );
  const value = (a * partsA + b * partsB) / (partsA + partsB);
  const solution = { kind: 'figure', value, full: 0.06, near: 0.26 } as const;
  const params = { a, b, partsA, partsB, all: partsA + partsB, level: Math.round(value * 100) / 100 };
  const series = draw.pick(['natural', 'gold', 'ash', 'copper', 'beige'] as const);
  return {
    ask: term(`formula.mixLevel.${series}`, { a, b, partsA, partsB }),
    form: { kind: 'figure', unit: 'level', decimals: 2 },
    solution,
    slips: wrongFigures(solution, [
      [(a + b) / 2, reason('drill.formula.plainMean', 'F10', params)],
      [(a * partsB + b * partsA) / (partsA + partsB), reason('drill.formula.partsTurned', 'F10', params)],
      [a + b, reason('drill.formula.added', 'F10', params)],
      [Math.min(a, b), reason('drill.formula.deeperWins', 'F10', params)],
      [Math.max(a, b), reason('drill.formula.lighterWins', 'F10', params)],
    ]),
    means: {
      code: 'drill.formula.mixMeans',
      rule: 'F10',
      param: 'shareB',
      times: 1 / (b - a),
      plus: -a / (b - a),
      params,
    },
    why: [reason('drill.formula.mix', 'F10', params)],
  };
}

/** Skill 16: choosing shade and strength: schools of lift, fillers, porous hair, grey, reds, mixes (F2–F13). */
export const formula: SkillMaker = {
  facets: ({ scope }) => [
    ...(levelsOf(scope, 3, 8).length > 0 ? ['shadeLevel'] : []),
    'mixLevel',
    ...judgementFacets('formula'),
  ],
  make: (making) =>
    hasJudgements('formula', making.facet)
      ? judge('formula', making)
      : making.facet === 'mixLevel'
        ? mixLevel(making)
        : shadeLevel(making),
};
