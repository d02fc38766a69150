import { reason } from '../../reason';
import { BLUE_CARE_FROM, VIOLET_CARE_FROM } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf, lightFor } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { type Subject, lookOfSubject } from '../subject';

type Care = 'violet' | 'blue' | 'none' | 'red' | 'gold' | 'green';
const COOL_ANSWERS: readonly Care[] = ['violet', 'blue', 'none', 'red', 'gold'];
const WARM_ANSWERS: readonly Care[] = ['none', 'violet', 'blue', 'green'];
const COOL = ['ash', 'pearl', 'neutral'] as const;
/** Warm tones that lightened hair is worn in, and the palest level that carries them. */
const WARM = { gold: 10, copper: 8, red: 7 } as const;
type Warm = keyof typeof WARM;
/** From this step on the tone is there to be seen, and not said. */
const SEEN_FROM = 3;

/**
 * Upkeep by the level and the tone that is worn: violet where yellow shows, blue where orange shows, neither on warm tones.
 * What is right is drawn first, so that no care is right oftener than another.
 */
function upkeep({ draw, scope, step }: ItemRequest): MadeItem {
  const right: Care = draw.pick(['violet', 'blue', 'none'] as const);
  const warm = right === 'none';
  const levels = levelsOf(scope, BLUE_CARE_FROM, 10).filter((level) =>
    warm ? true : level >= VIOLET_CARE_FROM === (right === 'violet'),
  );
  insist(levels.length > 0, 'no such level in this scope');
  const level = draw.pick(levels);
  const tone = warm
    ? draw.pick((Object.keys(WARM) as Warm[]).filter((one) => level <= WARM[one]))
    : draw.pick(COOL);
  const words = (care: Care) => term(`option.care.${care}`);
  const params = { level, tone };
  const light = lightFor(scope, 1, draw.pick);
  const subject: Subject = { kind: 'toned', level, tone: { primary: tone }, white: 0 };
  return {
    ask: step < SEEN_FROM ? term('care.upkeep', params) : term('care.upkeepSeen', { level }),
    pictures: [{ look: lookOfSubject(subject, { light, seed: draw.seed(), shine: 0.7 }), caption: null }],
    light,
    ...chooseAmong<Care>(
      draw,
      { value: right, words: words(right) },
      (warm ? WARM_ANSWERS : COOL_ANSWERS).map((care) => ({
        value: care,
        words: words(care),
        slip: reason(`drill.care.upkeepOf.${warm ? tone : right}.${care}`, undefined, params),
      })),
      (care) => care === right,
      { options: 5 },
    ),
    why: [reason(`drill.care.upkeep.${right}`, undefined, params)],
    subject,
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
