import {
  type RecordCard,
  type Bowl,
  type HairWork,
  type Application,
  bowlGrams,
  mixOfBowl,
  type Complete,
  type LineOf,
  bowlOf,
  stepsOn,
  reachedAt,
  isProtectedAt,
  lastMinute,
} from '../card';
import {
  amountFor,
  type Part,
  type HeadAndWish,
  partsOf,
  placementOn,
  strandOfZone,
  targetLab,
  withWoven,
} from '../case';
import { type ToneFamily, differenceOf, type Light } from '../colour';
import { type TressLook, strandLook } from '../draw';
import {
  type Head,
  type PlaceId,
  regionsOf,
  stretchesOf,
  type Strand,
  labOfStrand,
  readStrand,
  greyShows,
} from '../hair';
import {
  type ZoneEvent,
  EMULSIFIED,
  type ZonePlan,
  type ZoneMoment,
  zoneAt,
  type Mix,
  type Condition,
  conditionOf,
} from '../process';

/**
 * How much of a bowl there is against what its places need (M2, R8): 1 is all of it. What is worked through wet hair at the
 * end takes no product of its own.
 */
function amountOf(head: Head, plan: Pick<RecordCard, 'steps'>, bowl: Bowl): number {
  const own = plan.steps.filter((application) => application.bowl === bowl.name);
  const dry = own.filter((application) => !application.wet);
  const steps = dry.length > 0 ? dry : own;
  if (steps.length === 0) return 1;
  const zones = [...new Set(steps.flatMap((application) => application.zones))];
  const share = Math.max(...steps.map((application) => application.share));
  // What is put on the same hair twice is taken from the bowl twice.
  const times = Math.max(
    ...zones.map((zone) => steps.filter((application) => application.zones.includes(zone)).length),
  );
  const needed = amountFor(head, zones, share).minGrams * times;
  return needed > 0 ? bowlGrams(bowl) / needed : 1;
}

/** What is done to a place beside the bowls that changes the hair. */
const careEvents = ({ care }: Pick<HairWork, 'care'>, place: PlaceId): ZoneEvent[] =>
  care.flatMap((step): ZoneEvent[] => {
    if (!step.zones.includes(place)) return [];
    const at = step.start;
    if (step.do === 'wash') return [{ at, do: 'wash', how: step.how, times: step.times }];
    if (step.do === 'emulsify' || step.do === 'rinse') return [{ at, do: step.do }];
    if (step.do === 'treat') return [{ at, do: 'treat', treatment: step.treatment }];
    return step.do === 'seal' ? [{ at, do: 'seal' }] : [];
  });

const heatOf = ({ heat, start }: Application): ZoneEvent[] =>
  heat
    ? [
        { at: start + heat.from, do: 'heat', on: true },
        { at: start + heat.to, do: 'heat', on: false },
      ]
    : [];

/** Partings up to which every hair is reached, mm: all-over gloss runs where colour and lightener have to be laid (A4). */
const THICKEST_PARTING_MM = { gloss: 25, other: 12 };
/** Fraction 0–1 of the hair of a parting as thick as this that a bowl reaches (R8). */
const reachedBy = ({ partingMm }: Application, { product }: Mix): number => {
  const thickest = THICKEST_PARTING_MM[product === 'acidGloss' || product === 'demi' ? 'gloss' : 'other'];
  return partingMm === undefined ? 1 : Math.min(1, thickest / partingMm);
};

/**
 * What emulsifying brings to a place on which nothing lies: what lies beside it, thinned and wet, until that is rinsed (A1).
 */
function pulledThrough(
  head: Head,
  card: HairWork,
  { zone }: Pick<Part, 'zone'>,
  lineOf: LineOf,
): ZoneEvent[] {
  const lies = ({ start, minutes }: Application, at: number) => start <= at && at < start + minutes;
  return card.care.flatMap((care): ZoneEvent[] => {
    if (care.do !== 'emulsify' || !care.zones.includes(zone)) return [];
    const at = care.start;
    if (card.steps.some((application) => application.zones.includes(zone) && lies(application, at)))
      return [];
    const donor = card.steps.find(
      (application) => lies(application, at) && application.zones.some((zone) => care.zones.includes(zone)),
    );
    const bowl = donor && bowlOf(card, donor);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    const mix = bowl && line ? mixOfBowl(bowl, line) : null;
    if (!donor || !mix) return [];
    return [
      {
        at,
        do: 'apply',
        coat: {
          mix: { ...mix, thinned: (mix.thinned ?? 0) + EMULSIFIED },
          wet: true,
          amount: amountOf(head, card, bowl!),
          ageMinutes: at - donor.start,
        },
      },
      { at: donor.start + donor.minutes, do: 'rinse' },
    ];
  });
}

/** What happens to a part of the head, for the hair model. Steps with an unfinished bowl do nothing. */
export function zonePlanOf(
  head: Head,
  card: HairWork,
  part: Pick<Part, 'zone' | 'woven'>,
  lineOf: LineOf,
): ZonePlan {
  const events = stepsOn(card, part).flatMap((application): ZoneEvent[] => {
    const bowl = bowlOf(card, application);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    const mix = bowl && line ? mixOfBowl(bowl, line) : null;
    if (!mix) return [];
    const at = reachedAt(head, application, part.zone);
    const end = application.start + application.minutes;
    // Rinsed before anyone came to it.
    if (at >= end) return [];
    const isProtected = isProtectedAt(card, part.zone, at);
    // However much there is, the middle of a thick slice gets too little.
    const reach = reachedBy(application, mix);
    const weighed = amountOf(head, card, bowl!);
    const amount = reach < 1 ? Math.min(1, weighed) * reach : weighed;
    return [
      ...heatOf(application),
      { at, do: 'apply', coat: { mix, wet: application.wet, amount, isProtected } },
      { at: end, do: 'rinse' },
    ];
  });
  return {
    start: strandOfZone(head, part.zone),
    events: [...events, ...pulledThrough(head, card, part, lineOf), ...careEvents(card, part.zone)],
  };
}

/** What a part is like when it is looked at. */
export interface PartOutcome {
  /** The part it is of. */
  part: Part;
  /** State of the hair. */
  strand: Strand;
  /** Level, 1 to 12. */
  level: number;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: ToneFamily;
  /** ΔE2000 to the wish; to how it came in, where nothing is wished for. */
  deltaE: number;
  /** Condition by strength and moisture. */
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
    deltaE: differenceOf(whole, goal),
    condition: conditionOf(strand),
    greyShows: greyShows(strand),
  };
}

/** A plan on its head, asked for any minute of the service. */
export interface SimulatedCard {
  /** What was played. */
  card: Complete<HairWork>;
  /** Minutes. */
  minutes: number;
  /** Parts of the head. */
  parts: readonly Part[];
  /** State of a part and what lies on it at a minute. */
  momentOf: (part: Part, minute: number) => ZoneMoment;
  /** What every part would be like, rinsed at a minute. */
  outcomeAt: (minute: number) => PartOutcome[];
  /** One strand of each region, in their order. */
  looksAt: (minute: number, light: Light, seed: number) => TressLook[];
}

/**
 * Plays a complete card on its head. @param card Every bowl as what is in it; steps with an unfinished bowl do nothing.
 */
export function simulateCard(
  clientCase: HeadAndWish,
  card: Complete<HairWork>,
  lineOf: LineOf,
): SimulatedCard {
  const parts = partsOf(clientCase);
  const plans = new Map(parts.map((part) => [part, zonePlanOf(clientCase.head, card, part, lineOf)]));
  const seen = new Map<Part, Map<number, ZoneMoment>>(parts.map((part) => [part, new Map()]));
  const momentOf = (part: Part, minute: number): ZoneMoment => {
    const zoneMoment = seen.get(part)!.get(minute) ?? zoneAt(plans.get(part)!, minute);
    seen.get(part)!.set(minute, zoneMoment);
    return zoneMoment;
  };
  const outcomes = new Map<number, PartOutcome[]>();
  const stretch = (zone: PlaceId, woven: boolean, minute: number): Strand | undefined => {
    const part = parts.find((part) => part.zone === zone && part.woven === woven);
    return part && momentOf(part, minute).strand;
  };
  return {
    card,
    minutes: lastMinute(card),
    parts,
    momentOf,
    outcomeAt: (minute) => {
      const partOutcomes =
        outcomes.get(minute) ??
        parts.map((part) => outcomeOf(part, momentOf(part, minute).strand, plans.get(part)!.start));
      outcomes.set(minute, partOutcomes);
      return partOutcomes;
    },
    looksAt: (minute, light, seed) =>
      regionsOf(clientCase.head).map((region, at) => {
        const stretches = stretchesOf(region);
        const whole = strandLook(
          stretches.map(({ zone, from, to }) => ({ from, to, strand: stretch(zone, false, minute)! })),
          light,
          clientCase.head.form,
          seed + at,
        );
        const zones = whole.zones.map((zone, i) => {
          const place = stretches[i].zone;
          const strand = stretch(place, true, minute);
          const placement = placementOn(clientCase, place);
          return strand && placement ? withWoven(zone, placement.share, labOfStrand(strand, light)) : zone;
        });
        return { ...whole, zones };
      }),
  };
}
