import type { LineOf, RecordCard, Step } from '../card';
import { hasDeveloper } from '../shades';

/** Whether lightener or oxidative colour is still on the hair at the end of the visit: no later rinse takes it along. */
export function isNeverRinsed(
  step: Step,
  { bowls, steps, care }: Pick<RecordCard, 'bowls' | 'steps' | 'care'>,
  lineOf: LineOf,
): boolean {
  const bowl = bowls.find(({ name }) => name === step.bowl);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!line || !hasDeveloper(line.kind) || step.ends !== 'stay') return false;
  const end = step.start + step.minutes;
  const rinsedApart = step.zones.every((zone) =>
    care.some(
      (one) => (one.do === 'rinse' || one.do === 'wash') && one.start >= end && one.zones.includes(zone),
    ),
  );
  if (rinsedApart) return false;
  return !steps.some(
    (other) =>
      other !== step &&
      other.ends === 'rinse' &&
      other.start + other.minutes >= end &&
      step.zones.every((zone) => other.zones.includes(zone)),
  );
}
