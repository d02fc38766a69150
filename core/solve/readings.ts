import { isBared, presentLevel, type ClientCase, type RecordCard } from '../card';
import { conditionOf } from '../process';
import { BLUE_CARE_FROM, VIOLET_CARE_FROM, counterAt, underlayAt, type HouseRules } from '../theory';
import type { Job } from './job';
import { keepsWarmth, warmthLevelOf } from './layer';

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
