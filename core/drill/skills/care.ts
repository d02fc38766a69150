import { reason } from '../../reason';
import { BLUE_CARE_FROM, VIOLET_CARE_FROM } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';

type Care = 'violet' | 'blue' | 'none' | 'red' | 'gold' | 'green';
const COOL_ANSWERS: readonly Care[] = ['violet', 'blue', 'red', 'gold'];
const WARM_ANSWERS: readonly Care[] = ['none', 'violet', 'blue', 'green'];
const WORN = ['ash', 'pearl', 'neutral', 'gold', 'copper', 'red'] as const;

/** Upkeep by the level and the tone that is worn: violet where yellow shows, blue where orange shows, neither on warm tones. */
function upkeep({ draw, scope }: ItemRequest): MadeItem {
  const level = draw.pick(levelsOf(scope, BLUE_CARE_FROM, 10));
  const tone = draw.pick(WORN);
  const warm = tone === 'gold' || tone === 'copper' || tone === 'red';
  const right: Care = warm ? 'none' : level >= VIOLET_CARE_FROM ? 'violet' : 'blue';
  const words = (care: Care) => term(`option.care.${care}`);
  const params = { level, tone };
  return {
    ask: term('care.upkeep', params),
    ...chooseAmong<Care>(
      draw,
      { value: right, words: words(right) },
      (warm ? WARM_ANSWERS : COOL_ANSWERS).map((care) => ({
        value: care,
        words: words(care),
        slip: reason(`drill.care.upkeepOf.${warm ? 'warm' : right}.${care}`, undefined, params),
      })),
      (care) => care === right,
    ),
    why: [reason(`drill.care.upkeep.${right}`, undefined, params)],
  };
}

/** Skill 19: cautions and aftercare (sections 13 and 14). */
export const care: SkillMaker = {
  facets: ({ scope }) => [
    ...judgementFacets('care'),
    ...(levelsOf(scope, BLUE_CARE_FROM, 10).length > 0 ? ['upkeep'] : []),
  ],
  make: (making) => (hasJudgements('care', making.facet) ? judge('care', making) : upkeep(making)),
};
