import type { LineOf, RecordCard, Step } from '../card';
import { hasDeveloper } from '../shades';

/** Whether lightener or oxidative colour is still on the hair at the end of the visit: no later rinse takes it along. */
export function isNeverRinsed(
  step: Step,
  { bowls, steps }: Pick<RecordCard, 'bowls' | 'steps'>,
  lineOf: LineOf,
): boolean {
  const bowl = bowls.find(({ name }) => name === step.bowl);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!line || !hasDeveloper(line.kind) || step.ends !== 'stay') return false;
  const end = step.start + step.minutes;
  return !steps.some(
    (other) =>
      other !== step &&
      other.ends === 'rinse' &&
      other.start + other.minutes >= end &&
      step.zones.every((zone) => other.zones.includes(zone)),
  );
}
