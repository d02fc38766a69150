import type { RecordCard } from '../card';
import { type ClientCase, presentLevel, isLightenedHair } from '../case';
import { warmthLevelOf, keepsWarmth } from '../method';
import { conditionOf } from '../process';
import { type HouseRules, underlayAt, counterAt, VIOLET_CARE_FROM, BLUE_CARE_FROM } from '../rules';
import type { PlannedPlace } from './group-plans';

/** What the student is to have read and foretold of every zone. */
export function readingsOf(
  clientCase: ClientCase,
  plannedPlaces: readonly PlannedPlace[],
  rules: HouseRules,
): RecordCard['readings'] {
  return Object.fromEntries(
    clientCase.head.zones.map((found) => {
      const { zone, greyShare } = found;
      const planned =
        plannedPlaces.find(({ goal }) => goal.part.zone === zone && goal.part.woven) ??
        plannedPlaces.find(({ goal }) => goal.part.zone === zone);
      const warm = planned ? warmthLevelOf(planned.goal, planned.technique) : null;
      return [
        zone,
        {
          level: presentLevel(found),
          greyShare,
          underlay: warm === null ? null : underlayAt(warm, rules),
          counter:
            planned && warm !== null
              ? keepsWarmth(planned.goal, planned.technique)
                ? 'keep'
                : counterAt(warm)
              : null,
        },
      ];
    }),
  );
}

/** What keeps the work: care by what was done and what can come back. */
export function aftercareFor(plannedPlaces: readonly PlannedPlace[]): RecordCard['aftercare'] {
  const bared = plannedPlaces.filter(
    ({ goal, technique }) => technique === 'lightenThenTone' || isLightenedHair(goal.history, goal.natural),
  );
  const cool = bared.filter(({ goal }) => !goal.target.vivid && !keepsWarmth(goal, 'lightenThenTone'));
  const worn = plannedPlaces.some(({ start }) => conditionOf(start) !== 'strong');
  return [
    'gentleWash',
    ...(cool.some(({ goal }) => goal.target.level >= VIOLET_CARE_FROM) ? (['violetCare'] as const) : []),
    ...(cool.some(({ goal }) => goal.target.level >= BLUE_CARE_FROM && goal.target.level < VIOLET_CARE_FROM)
      ? (['blueCare'] as const)
      : []),
    'heatProtection',
    ...(bared.length > 0 || worn ? (['weeklyTreatment'] as const) : []),
    'coolWater',
  ];
}
