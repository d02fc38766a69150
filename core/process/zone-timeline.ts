import type { Treatment, Strand } from '../hair';
import { type AppliedCoat, type Heated, LATE_HEAT_FROM, strandAfter, apply } from './apply';
import type { Coat } from './coat';
import { treated } from './condition';
import type { Mix } from './mix';
import { type WashKind, washed, sealed } from './wash';

/** What happens to one place, in minutes from the start of the service. */
export type ZoneEvent =
  | { at: number; do: 'apply'; coat: Coat }
  | { at: number; do: 'rinse' }
  /** Water worked through what lies there: it thins the mix, and wet hair takes it half as fast (A1, D6). */
  | { at: number; do: 'emulsify' }
  | { at: number; do: 'heat'; on: boolean }
  | { at: number; do: 'treat'; treatment: Treatment }
  | { at: number; do: 'wash'; how: WashKind; times: number }
  | { at: number; do: 'seal' };

export interface ZonePlan {
  /** The strand as it comes in. */
  start: Strand;
  /** In any order; played by time, a rinse before what is put on in the same minute. */
  events: readonly ZoneEvent[];
}

export interface ZoneMoment {
  /** State of the hair. */
  strand: Strand;
  /** The mix that lies on the place, and for how long. */
  lying: { mix: Mix; minutes: number } | null;
}

const ORDER = { rinse: 0, wash: 1, treat: 2, seal: 3, heat: 4, apply: 5, emulsify: 6 } as const;
/** Parts of water to one of the mix when it is emulsified. Judgement. */
export const EMULSIFIED = 0.5;

/** From one event to the next: hair at rest, or under a coat that has lain on it since some minute. */
interface Span {
  from: number;
  strand: Strand;
  under: { application: AppliedCoat; since: number } | null;
}
interface Compiled {
  spans: Span[];
  /** Heat as spans of minutes, the last perhaps without an end. */
  heat: { from: number; to: number }[];
}

/** Heat a coat has had by a minute, early and late in its own time (R4). */
function heatedBy({ heat }: Pick<Compiled, 'heat'>, since: number, minute: number): Heated {
  const between = (from: number, to: number) =>
    heat.reduce((sum, one) => sum + Math.max(0, Math.min(to, one.to) - Math.max(from, one.from)), 0);
  const late = since + LATE_HEAT_FROM;
  return {
    early: between(since, Math.min(minute, late)),
    late: minute > late ? between(late, minute) : 0,
  };
}

const strandIn = (compiled: Pick<Compiled, 'heat'>, { strand, under }: Span, minute: number): Strand =>
  under
    ? strandAfter(under.application, minute - under.since, heatedBy(compiled, under.since, minute))
    : strand;

function compile({ start, events }: ZonePlan): Compiled {
  const inOrder = [...events].sort((a, b) => a.at - b.at || ORDER[a.do] - ORDER[b.do]);
  const heat: Compiled['heat'] = [];
  for (const event of inOrder) {
    if (event.do !== 'heat') continue;
    const open = heat.at(-1);
    if (open && open.to === Infinity) {
      if (event.on) continue;
      open.to = event.at;
    } else if (event.on) heat.push({ from: event.at, to: Infinity });
  }
  const spans: Span[] = [{ from: -Infinity, strand: start, under: null }];
  for (const event of inOrder) {
    if (event.do === 'heat') continue;
    const strand = strandIn({ heat }, spans[spans.length - 1], event.at);
    const from = event.at;
    if (event.do === 'emulsify') {
      const { under } = spans[spans.length - 1];
      if (under) {
        const { coat } = under.application;
        const mix = { ...coat.mix, thinned: (coat.mix.thinned ?? 0) + EMULSIFIED };
        const ageMinutes = (coat.ageMinutes ?? 0) + from - under.since;
        spans.push({
          from,
          strand,
          under: { application: apply({ ...coat, mix, wet: true, ageMinutes }, strand), since: from },
        });
      }
    } else if (event.do === 'apply')
      spans.push({ from, strand, under: { application: apply(event.coat, strand), since: from } });
    else spans.push({ from, strand: cared(strand, event), under: null });
  }
  return { spans, heat };
}

/** Hair after something other than a bowl; washing, treating and sealing take off what lies there, as a rinse does. */
function cared(strand: Strand, event: Exclude<ZoneEvent, { do: 'apply' | 'heat' | 'emulsify' }>): Strand {
  switch (event.do) {
    case 'rinse':
      return strand;
    case 'treat':
      return treated(strand, event.treatment);
    case 'wash':
      return washed(strand, event.how, event.times);
    case 'seal':
      return sealed(strand);
  }
}

/** A plan is asked minute by minute: what its events come to is worked out once. */
const compiledPlans = new WeakMap<ZonePlan, Compiled>();

/**
 * The place at a minute of the service. Every application is a function of where it began and how long it has lain, so the
 * answer does not depend on how the time was walked through. A second coat without a rinse begins with what is there; what
 * is never rinsed goes on (R8).
 */
export function zoneAt(plan: ZonePlan, minute: number): ZoneMoment {
  let compiled = compiledPlans.get(plan);
  if (!compiled) {
    compiled = compile(plan);
    compiledPlans.set(plan, compiled);
  }
  let span = compiled.spans[0];
  for (const one of compiled.spans) if (one.from <= minute) span = one;
  return {
    strand: strandIn(compiled, span, minute),
    lying: span.under ? { mix: span.under.application.coat.mix, minutes: minute - span.under.since } : null,
  };
}
