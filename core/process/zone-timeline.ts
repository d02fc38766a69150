import type { Treatment, Strand } from '../hair';
import { type AppliedCoat, type Heated, LATE_HEAT_FROM, strandAfter, apply, strippedBeneath } from './apply';
import type { Coat } from './coat';
import { treated } from './condition';
import type { Mix } from './mix';
import { isLightener, PRODUCTS } from './products';
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
  /** The uppermost mix that lies on the place, and for how long. */
  lying: { mix: Mix; minutes: number } | null;
  /** Mixes that were never rinsed and go on beneath it, the oldest first. */
  beneath: readonly Mix[];
}

const ORDER = { rinse: 0, wash: 1, treat: 2, seal: 3, heat: 4, apply: 5, emulsify: 6 } as const;
/** Parts of water to one of the mix when it is emulsified. Judgement. */
export const EMULSIFIED = 0.5;

/** A coat that lies on hair since some minute, over what was never rinsed. */
interface Lying {
  application: AppliedCoat;
  since: number;
  earlier: Lying | null;
}
/** From one event to the next: hair at rest, or under what lies on it. */
interface Span {
  from: number;
  strand: Strand;
  under: Lying | null;
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

/**
 * Hair under what lies on it. Over a product that was never rinsed the later coat works at half its pace on hair as the
 * earlier one has it by then; an earlier lightener goes on taking the dye that forms (R8).
 */
function strandUnderAll(compiled: Pick<Compiled, 'heat'>, under: Lying, minute: number): Strand {
  const { application, since, earlier } = under;
  const heated = heatedBy(compiled, since, minute);
  if (!earlier) return strandAfter(application, minute - since, heated);
  const base = strandUnderAll(compiled, earlier, minute);
  const over = strandAfter(apply(application.coat, base), minute - since, heated);
  return strippedBeneath(earlier.application, base, over, minute - since);
}

const strandIn = (compiled: Pick<Compiled, 'heat'>, { strand, under }: Span, minute: number): Strand =>
  under ? strandUnderAll(compiled, under, minute) : strand;

const sameMix = (a: Coat, b: Coat) =>
  JSON.stringify([a.mix, a.wet ?? false, a.isProtected ?? false]) ===
  JSON.stringify([b.mix, b.wet ?? false, b.isProtected ?? false]);

/** Whether lightener has dried by a minute, so that a fresh coat takes its place (P4). */
function hasDried({ application, since }: Lying, minute: number): boolean {
  const { coat } = application;
  const { stopsAfterMinutes } = PRODUCTS[coat.mix.product];
  return isLightener(coat.mix.product) && stopsAfterMinutes !== null && minute - since >= stopsAfterMinutes;
}

/**
 * What lies on a place once a coat more has been put on it: the same mix adds to its amount, a filler stays in the hair,
 * fresh lightener takes the place of dried, and anything else lies over what was there (R8, F6).
 */
function withCoat(heat: Compiled['heat'], span: Span, coat: Coat, at: number): Span {
  const strand = strandIn({ heat }, span, at);
  const plain = (): Span => ({
    from: at,
    strand,
    under: { application: apply(coat, strand), since: at, earlier: null },
  });
  const { under } = span;
  if (!under || under.application.coat.mix.product === 'filler' || hasDried(under, at)) return plain();
  const there = under.application.coat;
  if (!sameMix(there, coat)) {
    const over = { ...coat, isOver: true };
    return {
      from: at,
      strand,
      under: { application: apply(over, strand), since: at, earlier: under },
    };
  }
  const before = Math.min(1, there.amount ?? 1);
  const more = Math.min(1 - before, coat.amount ?? 1);
  if (more <= 0) return span;
  // As if all of it had been put on in the middle of the two, by their amounts.
  const since = (before * under.since + more * at) / (before + more);
  const application = apply({ ...there, amount: before + more }, under.application.start);
  return { from: at, strand, under: { application, since, earlier: under.earlier } };
}

function emulsified(span: Span, strand: Strand, at: number): Span | null {
  const { under } = span;
  if (!under) return null;
  const { coat } = under.application;
  const mix = { ...coat.mix, thinned: (coat.mix.thinned ?? 0) + EMULSIFIED };
  const ageMinutes = (coat.ageMinutes ?? 0) + at - under.since;
  const application = apply({ ...coat, mix, wet: true, ageMinutes }, strand);
  return { from: at, strand, under: { application, since: at, earlier: null } };
}

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
    const span = spans[spans.length - 1];
    if (event.do === 'apply') {
      spans.push(withCoat(heat, span, event.coat, event.at));
      continue;
    }
    // A treatment or a sealer on hair that is not rinsed takes nothing off and does nothing.
    if ((event.do === 'treat' || event.do === 'seal') && span.under) continue;
    const strand = strandIn({ heat }, span, event.at);
    if (event.do === 'emulsify') {
      const next = emulsified(span, strand, event.at);
      if (next) spans.push(next);
    } else spans.push({ from: event.at, strand: cared(strand, event), under: null });
  }
  return { spans, heat };
}

/** Hair after something other than a bowl; a rinse and a wash take off what lies there. */
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

const mixesBeneath = (under: Lying | null): Mix[] =>
  under ? [...mixesBeneath(under.earlier), under.application.coat.mix] : [];

/**
 * The place at a minute of the service. Every application is a function of where it began and how long it has lain, so the
 * answer does not depend on how the time was walked through. What is never rinsed goes on (R8).
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
    beneath: mixesBeneath(span.under?.earlier ?? null),
  };
}
