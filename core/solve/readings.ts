import type { RecordCard } from '../card';
import { type ClientCase, presentLevel, isBared } from '../case';
import { warmthLevelOf, keepsWarmth } from '../method';
import { conditionOf } from '../process';
import { type HouseRules, underlayAt, counterAt, VIOLET_CARE_FROM, BLUE_CARE_FROM } from '../rules';
import type { Job } from './group-plans';

/** What the student is to have read and foretold of every zone. */
export function readingsOf(
  clientCase: ClientCase,
  jobs: readonly Job[],
  rules: HouseRules,
): RecordCard['readings'] {
  return Object.fromEntries(
    clientCase.head.zones.map((found) => {
      const { zone, greyShare } = found;
      const job =
        jobs.find(({ task }) => task.part.zone === zone && task.part.woven) ??
        jobs.find(({ task }) => task.part.zone === zone);
      const warm = job ? warmthLevelOf(job.task, job.route) : null;
      return [
        zone,
        {
          level: presentLevel(found),
          greyShare,
          underlay: warm === null ? null : underlayAt(warm, rules),
          counter:
            job && warm !== null ? (keepsWarmth(job.task, job.route) ? 'keep' : counterAt(warm)) : null,
        },
      ];
    }),
  );
}

/** What keeps the work (section 14): care by what was done and what can come back. */
export function aftercareFor(jobs: readonly Job[]): Pick<RecordCard, 'aftercare' | 'nextVisitWeeks'> {
  const bared = jobs.filter(
    ({ task, route }) => route === 'lightenThenTone' || isBared(task.history, task.natural),
  );
  const cool = bared.filter(({ task }) => !task.target.vivid && !keepsWarmth(task, 'lightenThenTone'));
  const worn = jobs.some(({ start }) => conditionOf(start) !== 'strong');
  return {
    aftercare: [
      'gentleWash',
      ...(cool.some(({ task }) => task.target.level >= VIOLET_CARE_FROM) ? (['violetCare'] as const) : []),
      ...(cool.some(({ task }) => task.target.level >= BLUE_CARE_FROM && task.target.level < VIOLET_CARE_FROM)
        ? (['blueCare'] as const)
        : []),
      'heatProtection',
      ...(bared.length > 0 || worn ? (['weeklyTreatment'] as const) : []),
      'coolWater',
    ],
    nextVisitWeeks: 5,
  };
}
