import type { Part } from '../case';
import { type PlaceId, type Area, AREA_BEARS } from '../hair';
import type { Line } from '../product';
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
 * Minutes of a step at which a strand is wiped and looked at, by a rhythm, by name or by both, before it is rinsed. Looks
 * closer together than `closest` count as that.
 */
export function lookMinutesOf(
  { checkEvery, checkAt = [], minutes }: Pick<Application, 'checkEvery' | 'checkAt' | 'minutes'>,
  closest = 1,
): number[] {
  const every = checkEvery === null ? null : Math.max(checkEvery, closest);
  const rhythm =
    every === null ? [] : Array.from({ length: Math.ceil(minutes / every) - 1 }, (_, i) => every * (i + 1));
  const all = [...new Set([...rhythm, ...checkAt.filter((at) => at < minutes)])].sort((a, b) => a - b);
  return all.reduce<number[]>(
    (looks, at) => (at - (looks.at(-1) ?? 0) < closest ? looks : [...looks, at]),
    [],
  );
}

/**
 * The longest a strand goes without being wiped and looked at, minutes; null where it never is. Checks at named minutes
 * leave the time to the first, between two, and from the last to the rinse; a rhythm longer than the step is none.
 */
export function longestUnwatched(application: Application): number | null {
  const looks = lookMinutesOf(application);
  if (looks.length > 0)
    return Math.min(application.checkEvery ?? Infinity, longestGap([0, ...looks, application.minutes]));
  return application.checkEvery;
}
const longestGap = (minutes: readonly number[]) =>
  Math.max(...minutes.slice(1).map((at, i) => at - minutes[i]));

/**
 * Minute at which a step comes to an area: those before it take their share of the time that putting on takes (A4). An area
 * that it comes to twice is reached the first time.
 */
export function reachedAt({ takesMinutes = 0, areas, start }: Application, area: Area): number {
  const before = areas.indexOf(area);
  if (takesMinutes === 0 || before <= 0) return start;
  const bears = (some: readonly Area[]) => some.reduce((sum, one) => sum + AREA_BEARS[one].fraction, 0);
  return start + Math.round((takesMinutes * bears(areas.slice(0, before))) / bears(areas));
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
