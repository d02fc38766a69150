import { levelsInOneVisit, THROUGH_DYE_COUNTS } from '../../process';
import { reason } from '../../reason';
import { wrongFigures } from '../choice';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';
import { cardError } from './card-error';
import { mishap } from './mishap';

/** Where a first visit may end when the lift goes through dye as well (C4): levels through dye count double. */
function throughDye({ draw }: ItemRequest): MadeItem {
  const condition = draw.pick(['strong', 'fair'] as const);
  const dyed = draw.int(1, 6);
  const kind = draw.pick(['permanent', 'buildUp', 'boxDye'] as const);
  const value = dyed + Math.floor(levelsInOneVisit(condition, false) / THROUGH_DYE_COUNTS);
  insist(value <= 9, 'past what is asked');
  const solution = { kind: 'figure', value, full: 0.01, near: 0.01 } as const;
  const bears = levelsInOneVisit(condition, false);
  const params = { dyed, condition, bears, levels: Math.floor(bears / THROUGH_DYE_COUNTS), level: value };
  return {
    ask: term(`correction.throughDye.${kind}`, { dyed, condition }),
    form: { kind: 'figure', unit: 'level', decimals: 0 },
    solution,
    slips: wrongFigures(solution, [
      [dyed + bears, reason('drill.correction.asNatural', 'C4', params)],
      [dyed, reason('drill.correction.notAtAll', 'C4', params)],
    ]),
    means: {
      code: 'drill.correction.throughDyeMeans',
      rule: 'C4',
      param: 'costs',
      times: THROUGH_DYE_COUNTS,
      plus: -dyed * THROUGH_DYE_COUNTS,
      params,
    },
    why: [reason('drill.correction.throughDye', 'C4', params)],
  };
}

/** Skill 18: what went wrong and what puts it right, what is in the hair, and how many visits (C4, C6, C8, C10, C12). */
export const correction: SkillMaker = {
  facets: () => ['wentWrong', 'cure', 'onCard', ...judgementFacets('correction'), 'throughDye'],
  make: (making) => {
    const { facet } = making;
    if (facet === 'wentWrong' || facet === 'cure') return mishap(making, facet);
    if (facet === 'onCard') return cardError(making);
    return hasJudgements('correction', facet) ? judge('correction', making) : throughDye(making);
  },
};
