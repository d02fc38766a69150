import { type Step, type RecordCard, isWorkedDuring } from '../card';
import { type ClientCase, isLightenedZone } from '../case';
import { type PlaceId, besideOf, zoneOf } from '../hair';
import type { Job } from './group-plans';

/**
 * What is done beside the bowls: lightened hair is covered where lightener is brushed on next to it (C5), and colours that
 * are to melt are worked into one another when the later of them is on (F10).
 */
export function careOf(
  { head, melts = [] }: ClientCase,
  groups: readonly { jobs: readonly Job[]; way: { layers: readonly { role: string }[] } }[],
  steps: readonly Step[],
): RecordCard['care'] {
  const lightens = groups.flatMap(({ jobs, way }) =>
    way.layers.some(({ role }) => role === 'lighten') ? jobs : [],
  );
  const spared = new Map<PlaceId, number>();
  for (const { task } of lightens) {
    if (task.part.woven) continue;
    for (const other of besideOf(head, task.part.zone)) {
      const own = steps.filter(({ zones }) => zones.includes(task.part.zone));
      const on = own.reduce((early, step) => (step.start < early.start ? step : early));
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
          Math.max(...steps.filter((step) => step.zones.includes(place)).map((step) => step.start)),
        ),
      ),
    }));
  return [...protects, ...meltSteps];
}
