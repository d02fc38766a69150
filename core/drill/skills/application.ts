import { reason } from '../../reason';
import { weeksToGrow, GROWTH } from '../../rules';
import { wrongFigures } from '../choice';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';

/** Heads grow faster and slower than the mean by so much: an answer within it is as right. */
const GROWTH_SPREAD = 0.1;

/** How long a regrowth has been growing, from its centimetres (A5). */
function weeksOf({ draw, step }: ItemRequest): MadeItem {
  const tenths = step <= 2 ? draw.pick([10, 20, 25, 30, 40]) : draw.int(6, 60);
  const cm = tenths / 10;
  const value = weeksToGrow(cm);
  const solution = {
    kind: 'figure',
    value,
    full: Math.max(1, value * GROWTH_SPREAD),
    near: Math.max(2, 2 * value * GROWTH_SPREAD),
  } as const;
  const params = {
    cm,
    month: GROWTH.cmAMonth,
    weeks: Math.round(value),
    months: Math.round((cm / GROWTH.cmAMonth) * 10) / 10,
  };
  const seen = draw.pick(['retouch', 'greyLine', 'roots', 'parting'] as const);
  return {
    ask: term(`application.weeks.${seen}`, { cm }),
    form: { kind: 'figure', unit: 'weeks', decimals: 0 },
    solution,
    slips: wrongFigures(solution, [
      [cm * GROWTH.cmAMonth * (52 / 12), reason('drill.application.weeksWrongWay', 'A5', params)],
      [cm / GROWTH.cmAMonth, reason('drill.application.months', 'A5', params)],
    ]),
    means: {
      code: 'drill.application.weeksMean',
      rule: 'A5',
      param: 'grown',
      times: (GROWTH.cmAMonth * 12) / 52,
      params,
    },
    why: [
      reason(
        cm > GROWTH.twoZonesFromCm ? 'drill.application.twoZones' : 'drill.application.oneZone',
        'A5',
        params,
      ),
    ],
  };
}

/** Skill 17: where it goes and in which order (A1–A9, C5, C7). */
export const application: SkillMaker = {
  facets: () => [...judgementFacets('application'), 'weeks'],
  make: (making) =>
    hasJudgements('application', making.facet) ? judge('application', making) : weeksOf(making),
};
