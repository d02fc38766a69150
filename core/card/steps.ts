import type { Part } from '../case';
import { type PlaceId, type Head, regionOf, type Area, AREA_BEARS } from '../hair';
import { type Line, hasDeveloper } from '../product';
import type { RecordCard, Application, Bowl } from './record-card';

/** A line at hand by its id. */
export type LineOf = (id: string) => Line | undefined;

/** The bowl of an application; undefined where the card has none of that name. */
export const bowlOf = (plan: Pick<RecordCard, 'bowls'>, step: Pick<Application, 'bowl'>): Bowl | undefined =>
  plan.bowls.find(({ name }) => name === step.bowl);

/**
 * Steps that reach a part: woven strands also get what is put on all of the hair, though not what goes between the
 * foils; the rest gets nothing of what is in them.
 */
export const stepsOn = (
  plan: Pick<RecordCard, 'steps'>,
  { zone, woven }: Pick<Part, 'zone' | 'woven'>,
): Application[] =>
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
    ...care.flatMap((care) =>
      care.do === 'protect' && care.zones.includes(place) && care.start <= minute ? [care.start] : [],
    ),
  );
  const comesOff = [
    ...steps.flatMap(({ start, minutes, ends }) => (ends === 'rinse' ? [start + minutes] : [])),
    ...care.flatMap((care) => (care.do === 'wash' || care.do === 'rinse' ? [care.start] : [])),
  ];
  return put >= 0 && !comesOff.some((at) => at > put && at <= minute);
}

/**
 * The longest a strand goes without being wiped and looked at, minutes; null where it never is. Checks at named minutes
 * leave the time to the first, between two, and from the last to the rinse.
 */
export function longestUnwatched({ checkEvery, checkAt = [], minutes }: Application): number | null {
  const within = checkAt.filter((at) => at < minutes).sort((a, b) => a - b);
  const named = within.length === 0 ? null : longestGap([0, ...within, minutes]);
  if (checkEvery === null || named === null) return checkEvery ?? named;
  return Math.min(checkEvery, named);
}
const longestGap = (minutes: readonly number[]) =>
  Math.max(...minutes.slice(1).map((at, i) => at - minutes[i]));

/**
 * Minute at which a step comes to the hair of a place: the areas before its own take their share of the time that putting
 * on takes (A4).
 */
export function reachedAt(head: Head, application: Application, place: PlaceId): number {
  const { takesMinutes = 0, areas, start } = application;
  if (takesMinutes === 0) return start;
  const own = regionOf(head, place).areas;
  const first = areas.findIndex((area) => own.includes(area));
  const bears = (some: readonly Area[]) => some.reduce((sum, area) => sum + AREA_BEARS[area].fraction, 0);
  return first <= 0
    ? start
    : start + Math.round((takesMinutes * bears(areas.slice(0, first))) / bears(areas));
}

/** Whether something is put on a place before a step is rinsed: then cream would keep it off as well. */
export const isWorkedDuring = (
  steps: readonly Application[],
  place: PlaceId,
  { start, minutes }: Application,
): boolean =>
  steps.some(
    (application) =>
      application.zones.includes(place) &&
      application.start < start + minutes &&
      application.start + application.minutes > start,
  );

/** Whether two places are worked into one another (F10). */
export const isMelted = ({ care }: Pick<RecordCard, 'care'>, [above, below]: readonly PlaceId[]): boolean =>
  care.some((care) => care.do === 'melt' && care.zones.includes(above) && care.zones.includes(below));

/** Whether lightener or oxidative colour is still on the hair at the end of the visit: no later rinse takes it along. */
export function isNeverRinsed(
  application: Application,
  { bowls, steps, care }: Pick<RecordCard, 'bowls' | 'steps' | 'care'>,
  lineOf: LineOf,
): boolean {
  const bowl = bowls.find(({ name }) => name === application.bowl);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!line || !hasDeveloper(line.kind) || application.ends !== 'stay') return false;
  const end = application.start + application.minutes;
  const rinsedApart = application.zones.every((zone) =>
    care.some(
      (care) => (care.do === 'rinse' || care.do === 'wash') && care.start >= end && care.zones.includes(zone),
    ),
  );
  if (rinsedApart) return false;
  return !steps.some(
    (other) =>
      other !== application &&
      other.ends === 'rinse' &&
      other.start + other.minutes >= end &&
      application.zones.every((zone) => other.zones.includes(zone)),
  );
}
