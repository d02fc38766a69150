import { differenceOf, type Lab, type Light, type ToneFamily } from '../colour';
import { greyShows, labOfStrand, readStrand, type Strand } from '../hair';
import {
  conditionOf,
  zoneAt,
  type Condition,
  type ZoneEvent,
  type ZoneMoment,
  type ZonePlan,
} from '../process';
import type { Line } from '../shades';
import { strandLook, type TressLook, type TressZone } from '../tress';
import { amountFor } from './amount';
import { bowlGrams, mixOfBowl } from './bowl';
import { stretchesOf, type Head, type HeadZone } from './head';
import { partsOf, type Part, type ServiceCase } from './service-case';
import type { Bowl, ServicePlan, Step } from './service-plan';
import { strandOfZone } from './strand-of-zone';
import { targetLab } from './target';

export type LineOf = (id: string) => Line | undefined;

export const bowlOf = (plan: Pick<ServicePlan, 'bowls'>, step: Pick<Step, 'bowl'>): Bowl | undefined =>
  plan.bowls.find(({ name }) => name === step.bowl);

/**
 * Steps that reach a part: woven strands also get what is put on all of the hair, though not what goes between the
 * foils; the rest gets nothing of what is in them.
 */
export const stepsOn = (
  plan: Pick<ServicePlan, 'steps'>,
  { zone, woven }: Pick<Part, 'zone' | 'woven'>,
): Step[] =>
  plan.steps
    .filter(({ zones, share, placement }) => {
      if (!zones.includes(zone)) return false;
      return woven ? placement !== 'between' : share === 1 || placement === 'between';
    })
    .sort((a, b) => a.start - b.start);

/**
 * How much of a bowl there is against what its places need (M2, R8): 1 is all of it. What is worked through wet hair at the
 * end takes no product of its own.
 */
function amountOf(head: Head, plan: Pick<ServicePlan, 'steps'>, bowl: Bowl): number {
  const needed = plan.steps
    .filter((step) => step.bowl === bowl.name && !step.wet)
    .reduce((sum, { zones, share }) => sum + amountFor(head, zones, share).minGrams, 0);
  return needed > 0 ? bowlGrams(bowl) / needed : 1;
}

/** What happens to a part of the head, for the hair model. Steps with an unfinished bowl do nothing. */
export function zonePlanOf(
  head: Head,
  plan: Pick<ServicePlan, 'bowls' | 'steps'>,
  part: Pick<Part, 'zone' | 'woven'>,
  lineOf: LineOf,
): ZonePlan {
  const events = stepsOn(plan, part).flatMap((step): ZoneEvent[] => {
    const bowl = bowlOf(plan, step);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    const mix = bowl && line ? mixOfBowl(bowl, line) : null;
    if (!mix) return [];
    const end = step.start + step.minutes;
    return [
      { at: step.start, do: 'heat', on: step.warmth },
      { at: step.start, do: 'apply', coat: { mix, wet: step.wet, amount: amountOf(head, plan, bowl!) } },
      { at: end, do: 'rinse' },
    ];
  });
  return { start: strandOfZone(head, part.zone), events };
}

/** Minute at which the last step is rinsed. */
export const lastMinute = ({ steps }: Pick<ServicePlan, 'steps'>) =>
  steps.reduce((last, { start, minutes }) => Math.max(last, start + minutes), 0);

/** What a part is like when it is looked at. */
export interface PartOutcome {
  part: Part;
  strand: Strand;
  level: number;
  tone: ToneFamily;
  /** ΔE2000 to the wish; to how it came in, where nothing is wished for. */
  away: number;
  condition: Condition;
  /** White strands stand out: level and tone are read from the others alone (L3). */
  greyShows: boolean;
}

/** How a strand reads beside what is wanted of its part. */
export function outcomeOf(part: Part, strand: Strand, start: Strand): PartOutcome {
  const whole = labOfStrand(strand);
  const { level, tone } = readStrand(strand);
  const goal = part.target ? targetLab(part.target) : labOfStrand(start);
  return {
    part,
    strand,
    level,
    tone,
    away: differenceOf(whole, goal),
    condition: conditionOf(strand),
    greyShows: greyShows(strand),
  };
}

/** A plan on its head, asked for any minute of the service. */
export interface PlayedPlan {
  minutes: number;
  parts: readonly Part[];
  momentOf: (part: Part, minute: number) => ZoneMoment;
  outcomeAt: (minute: number) => PartOutcome[];
  lookAt: (minute: number, light: Light, seed: number) => TressLook;
}

export function playPlan(
  kase: Pick<ServiceCase, 'head' | 'wish' | 'weave'>,
  plan: Pick<ServicePlan, 'bowls' | 'steps'>,
  lineOf: LineOf,
): PlayedPlan {
  const parts = partsOf(kase);
  const plans = new Map(parts.map((part) => [part, zonePlanOf(kase.head, plan, part, lineOf)]));
  const seen = new Map<Part, Map<number, ZoneMoment>>(parts.map((part) => [part, new Map()]));
  const momentOf = (part: Part, minute: number): ZoneMoment => {
    const kept = seen.get(part)!.get(minute) ?? zoneAt(plans.get(part)!, minute);
    seen.get(part)!.set(minute, kept);
    return kept;
  };
  const outcomes = new Map<number, PartOutcome[]>();
  const stretch = (zone: HeadZone, woven: boolean, minute: number): Strand | undefined => {
    const part = parts.find((one) => one.zone === zone && one.woven === woven);
    return part && momentOf(part, minute).strand;
  };
  return {
    minutes: lastMinute(plan),
    parts,
    momentOf,
    outcomeAt: (minute) => {
      const kept =
        outcomes.get(minute) ??
        parts.map((part) => outcomeOf(part, momentOf(part, minute).strand, plans.get(part)!.start));
      outcomes.set(minute, kept);
      return kept;
    },
    lookAt: (minute, light, seed) => {
      const stretches = stretchesOf(kase.head);
      const whole = strandLook(
        stretches.map(({ zone, from, to }) => ({ from, to, strand: stretch(zone, false, minute)! })),
        light,
        kase.head.form,
        seed,
      );
      const zones = whole.zones.map((zone, i) => {
        const strand = stretch(stretches[i].zone, true, minute);
        return strand ? withWoven(zone, kase.weave!.share, labOfStrand(strand, light)) : zone;
      });
      return { ...whole, zones };
    },
  };
}

/** Woven strands are drawn as the white ones are: single fibres of another colour among the rest. */
const withWoven = (zone: TressZone, share: number, colour: Lab): TressZone => ({
  ...zone,
  greyShare: share,
  grey: colour,
});

/** The head as it is wished for: zones without a wish stay as they come in. */
export function wishLook(
  { head, wish, weave }: Pick<ServiceCase, 'head' | 'wish' | 'weave'>,
  light: Light,
  seed: number,
): TressLook {
  const stretches = stretchesOf(head);
  const now = strandLook(
    stretches.map(({ zone, from, to }) => ({ from, to, strand: strandOfZone(head, zone) })),
    light,
    head.form,
    seed,
  );
  const zones = now.zones.map((zone, i): TressZone => {
    const wanted = wish[stretches[i].zone];
    const colour = wanted && targetLab(wanted);
    const whole = colour ? { ...zone, colour, greyShare: 0, grey: colour } : zone;
    return weave?.zones.includes(stretches[i].zone)
      ? withWoven(whole, weave.share, targetLab(weave.target))
      : whole;
  });
  return { ...now, zones, shine: 0.8 };
}
