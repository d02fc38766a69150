import { type Application, type RecordCard, isWorkedDuring } from '../card';
import { type ClientCase, isLightenedZone } from '../case';
import { type PlaceId, neighboursOf, zoneOf } from '../hair';
import { goalsOf } from '../method';
import type { PlannedPlace } from './group-plans';

/**
 * What is done beside the bowls: lightened hair is covered where lightener is brushed on next to it (C5), colours that are to
 * melt are worked into one another when the later of them is on (F10), and what lifted or removed is washed out (R5).
 */
export function careOf(
  clientCase: ClientCase,
  groups: readonly { places: readonly PlannedPlace[]; plan: { mixes: readonly { role: string }[] } }[],
  steps: readonly Application[],
  /** Names of the bowls that have to be washed out before another. */
  washedOut: ReadonlySet<string>,
): RecordCard['care'] {
  const { head, melts = [] } = clientCase;
  const lightens = groups.flatMap(({ places, plan }) =>
    plan.mixes.some(({ role }) => role === 'lighten') ? places : [],
  );
  const spared = new Map<PlaceId, number>();
  for (const { goal } of lightens) {
    if (goal.part.woven) continue;
    for (const other of neighboursOf(head, goal.part.zone)) {
      const own = steps.filter(({ zones }) => zones.includes(goal.part.zone));
      const on = own.reduce((early, application) => (application.start < early.start ? application : early));
      if (!isLightenedZone(zoneOf(head, other)!) || isWorkedDuring(steps, other, on)) continue;
      spared.set(other, Math.min(spared.get(other) ?? Infinity, on.start));
    }
  }
  const protects = [...new Set(spared.values())].map((start): RecordCard['care'][number] => ({
    do: 'protect',
    zones: [...spared].flatMap(([place, at]) => (at === start ? [place] : [])),
    start,
  }));
  const worked = (place: PlaceId) => steps.some(({ zones }) => zones.includes(place));
  const meltSteps = melts
    .filter(({ zones }) => zones.every(worked))
    .map(({ zones }): RecordCard['care'][number] => ({
      do: 'melt',
      zones,
      start: Math.max(
        ...zones.map((place) =>
          Math.max(
            ...steps
              .filter((application) => application.zones.includes(place))
              .map((application) => application.start),
          ),
        ),
      ),
    }));
  return [...chelatingOf(clientCase), ...protects, ...meltSteps, ...washesOf(steps, washedOut)];
}

/** Minutes that a chelating wash takes before anything is put on. Judgement. */
export const CHELATING_MINUTES = 10;
/** Minerals are washed off the places with a wish before anything else (C10). */
function chelatingOf(clientCase: ClientCase): RecordCard['care'] {
  const zones = [
    ...new Set(goalsOf(clientCase).flatMap(({ minerals, part }) => (minerals > 0 ? [part.zone] : []))),
  ];
  return zones.length > 0 ? [{ do: 'wash', zones, start: 0, how: 'chelating', times: 1 }] : [];
}
/** Minute at which the first bowl can go on. */
export const firstMinute = (clientCase: ClientCase): number =>
  chelatingOf(clientCase).length > 0 ? CHELATING_MINUTES : 0;

/** Two gentle washes clear lightener and remover (R5). */
const WASHES_AFTER = 2;

/** What lifted or removed is washed out before the next bowl goes on: what stays would go on working, or darken again (R5). */
function washesOf(steps: readonly Application[], washedOut: ReadonlySet<string>): RecordCard['care'] {
  const byMinute = new Map<number, PlaceId[]>();
  for (const { bowl, zones, start, minutes, ends } of steps) {
    const end = start + minutes;
    if (!washedOut.has(bowl) || ends !== 'rinse') continue;
    for (const zone of zones) {
      const there = steps.filter((other) => other.zones.includes(zone));
      const isFollowed = there.some((other) => other.start >= end);
      const liesOn = there.some((other) => other.start < end && other.start + other.minutes > end);
      const known = byMinute.get(end) ?? [];
      if (isFollowed && !liesOn && !known.includes(zone)) byMinute.set(end, [...known, zone]);
    }
  }
  return [...byMinute].map(([start, zones]) => ({
    do: 'wash',
    zones,
    start,
    how: 'gentle',
    times: WASHES_AFTER,
  }));
}
