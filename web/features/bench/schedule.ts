import type { PlaceId, Area } from '@cimbel/core/hair';
import type { RecordCard, Step } from '@cimbel/core/card';
import { hasDeveloper, type Line } from '@cimbel/core/product';

const STARTS = { least: 0, most: 300 };
const MINUTES = { least: 1, most: 240 };
const within = (value: number, { least, most }: { least: number; most: number }) =>
  Math.min(most, Math.max(least, Math.round(value)));

/** A step moved or stretched, kept within what a card can say. */
export const moved = (step: Step, by: { start?: number; minutes?: number }): Step => ({
  ...step,
  start: within(step.start + (by.start ?? 0), STARTS),
  minutes: within(step.minutes + (by.minutes ?? 0), MINUTES),
});

/** A new step for a bowl: after everything that is there, with the time its line names. */
export function newStep(
  bowl: string,
  line: Line | undefined,
  zones: PlaceId[],
  /** The areas those lie in, in the order they are begun with. */
  areas: Area[],
  plan: Pick<RecordCard, 'steps'>,
): Step {
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
  step: Step;
}
export const barsOf = (zones: readonly PlaceId[], steps: readonly Step[]): Bar[] =>
  zones.flatMap((zone) =>
    steps.flatMap((step, index) => (step.zones.includes(zone) ? [{ zone, index, step }] : [])),
  );

/** Minutes the axis runs to: a little past the end, in whole tens. */
export const axisMinutes = (steps: readonly Step[]) =>
  Math.max(
    60,
    Math.ceil((steps.reduce((last, { start, minutes }) => Math.max(last, start + minutes), 0) + 10) / 10) *
      10,
  );

/** Takes one zone off its step at a minute: the step ends there for this zone, and goes on for the others. */
export function rinsedAt(steps: readonly Step[], zone: PlaceId, minute: number): Step[] {
  return steps.flatMap((step): Step[] => {
    const lies = step.zones.includes(zone) && step.start < minute && step.start + step.minutes > minute;
    if (!lies) return [step];
    const ended = { ...step, minutes: minute - step.start };
    if (step.zones.length === 1) return [ended];
    return [
      { ...step, zones: step.zones.filter((one) => one !== zone) },
      { ...ended, zones: [zone] },
    ];
  });
}
