import type { PlaceId, Area } from '@cimbel/core/hair';
import type { RecordCard, Application } from '@cimbel/core/card';
import { hasDeveloper, type Line } from '@cimbel/core/product';

const STARTS = { least: 0, most: 300 };
const MINUTES = { least: 1, most: 240 };
const within = (value: number, { least, most }: { least: number; most: number }) =>
  Math.min(most, Math.max(least, Math.round(value)));

/** A step moved or stretched, kept within what a card can say. */
export const moved = (application: Application, by: { start?: number; minutes?: number }): Application => ({
  ...application,
  start: within(application.start + (by.start ?? 0), STARTS),
  minutes: within(application.minutes + (by.minutes ?? 0), MINUTES),
});

/** A new step for a bowl: after everything that is there, with the time its line names. */
export function newStep(
  bowl: string,
  line: Line | undefined,
  zones: PlaceId[],
  /** The areas those lie in, in the order they are begun with. */
  areas: Area[],
  plan: Pick<RecordCard, 'steps'>,
): Application {
  const end = plan.steps.reduce((last, { start, minutes }) => Math.max(last, start + minutes), 0);
  return {
    bowl,
    zones,
    placement: 'open',
    share: 1,
    areas,
    stopsAtLine: false,
    wet: false,
    start: within(end, STARTS),
    minutes: within(line && hasDeveloper(line.kind) ? 30 : (line?.minutes.standard ?? 30), MINUTES),
    heat: null,
    checkEvery: null,
    ends: line?.kind === 'filler' ? 'stay' : 'rinse',
  };
}

/** One bar of the timeline: a step on one zone. */
export interface Bar {
  zone: PlaceId;
  index: number;
  step: Application;
}
export const barsOf = (zones: readonly PlaceId[], steps: readonly Application[]): Bar[] =>
  zones.flatMap((zone) =>
    steps.flatMap((application, index) =>
      application.zones.includes(zone) ? [{ zone, index, step: application }] : [],
    ),
  );

/** Minutes the axis runs to: a little past the end, in whole tens. */
export const axisMinutes = (steps: readonly Application[]) =>
  Math.max(
    60,
    Math.ceil((steps.reduce((last, { start, minutes }) => Math.max(last, start + minutes), 0) + 10) / 10) *
      10,
  );

/** Takes one zone off its step at a minute: the step ends there for this zone, and goes on for the others. */
export function rinsedAt(steps: readonly Application[], zone: PlaceId, minute: number): Application[] {
  return steps.flatMap((application): Application[] => {
    const lies =
      application.zones.includes(zone) &&
      application.start < minute &&
      application.start + application.minutes > minute;
    if (!lies) return [application];
    const ended = { ...application, minutes: minute - application.start };
    if (application.zones.length === 1) return [ended];
    return [
      { ...application, zones: application.zones.filter((one) => one !== zone) },
      { ...ended, zones: [zone] },
    ];
  });
}
