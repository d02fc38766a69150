import type { Line } from '../shades';
import type { Part } from './client-case';
import type { PlaceId } from './head';
import type { Bowl, RecordCard, Step } from './record-card';

/** A line at hand by its id. */
export type LineOf = (id: string) => Line | undefined;

export const bowlOf = (plan: Pick<RecordCard, 'bowls'>, step: Pick<Step, 'bowl'>): Bowl | undefined =>
  plan.bowls.find(({ name }) => name === step.bowl);

/**
 * Steps that reach a part: woven strands also get what is put on all of the hair, though not what goes between the
 * foils; the rest gets nothing of what is in them.
 */
export const stepsOn = (
  plan: Pick<RecordCard, 'steps'>,
  { zone, woven }: Pick<Part, 'zone' | 'woven'>,
): Step[] =>
  plan.steps
    .filter(({ zones, share, placement }) => {
      if (!zones.includes(zone)) return false;
      return woven ? placement !== 'between' : share === 1 || placement === 'between';
    })
    .sort((a, b) => a.start - b.start);

/** Minute at which the last step is rinsed, or the last other thing is done. */
export const lastMinute = ({ steps, care }: Pick<RecordCard, 'steps' | 'care'>) =>
  Math.max(0, ...steps.map(({ start, minutes }) => start + minutes), ...care.map(({ start }) => start));

/** Whether a place lies under cream or oil at a minute: put there by then, and nothing has been rinsed or washed since (C5). */
export function isProtectedAt(
  { steps, care }: Pick<RecordCard, 'steps' | 'care'>,
  place: PlaceId,
  minute: number,
): boolean {
  const put = Math.max(
    -1,
    ...care.flatMap((one) =>
      one.do === 'protect' && one.zones.includes(place) && one.start <= minute ? [one.start] : [],
    ),
  );
  const comesOff = [
    ...steps.flatMap(({ start, minutes, ends }) => (ends === 'rinse' ? [start + minutes] : [])),
    ...care.flatMap((one) => (one.do === 'wash' ? [one.start] : [])),
  ];
  return put >= 0 && !comesOff.some((at) => at > put && at <= minute);
}

/** Whether something is put on a place before a step is rinsed: then cream would keep it off as well. */
export const isWorkedDuring = (steps: readonly Step[], place: PlaceId, { start, minutes }: Step): boolean =>
  steps.some(
    (one) => one.zones.includes(place) && one.start < start + minutes && one.start + one.minutes > start,
  );

/** Whether two places are worked into one another (F10). */
export const isMelted = ({ care }: Pick<RecordCard, 'care'>, [above, below]: readonly PlaceId[]): boolean =>
  care.some((one) => one.do === 'melt' && one.zones.includes(above) && one.zones.includes(below));
