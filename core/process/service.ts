import type { Strand } from '../hair';
import { HEAT_RATE, apply, strandAfter, workedMinutes, type Application } from './apply';
import type { Mix } from './mix';

/** What happens to one zone, in minutes from the start of the service. */
export type ZoneEvent =
  | { at: number; do: 'apply'; mix: Mix; wet?: boolean }
  | { at: number; do: 'rinse' }
  | { at: number; do: 'heat'; on: boolean };

export interface ZonePlan {
  start: Strand;
  /** In any order; played by time, a rinse before what is put on in the same minute. */
  events: readonly ZoneEvent[];
}

export interface ZoneMoment {
  strand: Strand;
  /** The mix that lies on the zone, and for how long. */
  lying: { mix: Mix; minutes: number } | null;
}

interface Lying {
  application: Application;
  since: number;
  /** Heat so far on this application: minutes at the faster rate count by a third more (R4). */
  heatedMinutes: number;
}

const ORDER = { rinse: 0, heat: 1, apply: 2 } as const;

/**
 * The zone at a minute of the service. Every application is a function of where it began and how long it has worked, so
 * the answer does not depend on how the time was walked through. A second coat without a rinse begins with what is there.
 */
export function zoneAt({ start, events }: ZonePlan, minute: number): ZoneMoment {
  let strand = start;
  let lying: Lying | null = null;
  let heatSince: number | null = null;
  const heatUntil = (now: number) => {
    if (heatSince !== null && lying) lying.heatedMinutes += now - Math.max(heatSince, lying.since);
    if (heatSince !== null) heatSince = now;
  };
  const worked = (now: number) =>
    lying
      ? workedMinutes(lying.application.mix, now - lying.since) + (HEAT_RATE - 1) * lying.heatedMinutes
      : 0;
  const settle = (now: number) => {
    heatUntil(now);
    if (lying) strand = strandAfter(lying.application, worked(now));
    lying = null;
  };
  const inOrder = [...events].sort((a, b) => a.at - b.at || ORDER[a.do] - ORDER[b.do]);
  for (const event of inOrder) {
    if (event.at > minute) break;
    if (event.do === 'heat') {
      heatUntil(event.at);
      heatSince = event.on ? event.at : null;
      continue;
    }
    settle(event.at);
    if (event.do === 'apply')
      lying = {
        application: apply(event.mix, strand, { wet: event.wet }),
        since: event.at,
        heatedMinutes: 0,
      };
  }
  heatUntil(minute);
  const still = lying as Lying | null;
  if (!still) return { strand, lying: null };
  return {
    strand: strandAfter(still.application, worked(minute)),
    lying: { mix: still.application.mix, minutes: minute - still.since },
  };
}

/** A whole head, minute by minute: frames[minute][zone]. */
export function playHead(zones: readonly ZonePlan[], minutes: number): ZoneMoment[][] {
  return Array.from({ length: minutes + 1 }, (_, minute) => zones.map((zone) => zoneAt(zone, minute)));
}
