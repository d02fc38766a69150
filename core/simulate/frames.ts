import { type HairWork, type LineOf, type Complete } from '../card';
import { headVariation, shownFurther, type HeadAndWish } from '../case';
import type { ToneFamily } from '../colour';
import { type TressLook, type Coating, toEyeGrain } from '../draw';
import { type PlaceId, regionsOf } from '../hair';
import { type ProductKind, type Mix, isGivingWay, conditionOf } from '../process';
import { type AreaStrand, type SimulatedCard, simulateCard } from './simulate';

/** A plan on its head as the eye would see it: colours and what is covered, no figures of the head. */
export interface ShownSimulation {
  /** Minutes. */
  minutes: number;
  /** Steps that come off sooner than their minutes, at a look that found what they are watched for. */
  takenOff: {
    /** Name of the bowl. */
    bowl: string;
    /** Places it comes off. */
    zones: PlaceId[];
    /** Minute of the service. */
    minute: number;
  }[];
  /** Pictures of the service, in order of time. */
  frames: {
    /** Minute of the service. */
    minute: number;
    /** One strand of each region, in their order. */
    strands: TressLook[];
    /** Strands of areas that are worked otherwise than the rest of their region, or not at all. */
    areas?: AreaStrand[];
    /** What lies on the places that are under a product or in a foil: it hides them until a strand is wiped. */
    covered: Partial<Record<PlaceId, Coating>>;
    /** Zones whose hair is giving way. */
    failing: PlaceId[];
    /** How each place reads, for someone who cannot see it; left out where reading by eye is part of the exercise. */
    told?: Partial<Record<PlaceId, ToldHair>>;
  }[];
}

/** Hair in words: what an eye would say of it at a glance. */
export interface ToldHair {
  /** To the half. */
  level: number;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: ToneFamily;
  /** Whether white strands stand out. */
  white: boolean;
}

/** What a product lies on hair as. */
const COATING_OF: Record<ProductKind, Coating> = {
  permanent: 'cream',
  express: 'cream',
  highLift: 'cream',
  demi: 'gel',
  acidGloss: 'gel',
  direct: 'cream',
  lightenerStrong: 'foam',
  lightenerGentle: 'foam',
  remover: 'cream',
  filler: 'gel',
};
/** Soap in a bowl makes suds of it, as in a cleanse. */
const coatingOf = ({ product, conditioner, thinned }: Mix): Coating =>
  conditioner || (thinned ?? 0) > 0 ? 'suds' : COATING_OF[product];

/** Frames of a long service stand two minutes apart, so that none grows past what a phone takes at once. */
const EVERY_MINUTE_UNTIL = 120;
const MOST_MINUTES = 360;

const isInFoils = ({ steps }: HairWork, place: PlaceId, minute: number) =>
  steps.some(
    ({ zones, placement, start, minutes }) =>
      placement === 'foils' && zones.includes(place) && start <= minute && minute < start + minutes,
  );
const wetFromOf = ({ steps, care }: HairWork, zones: readonly { zone: PlaceId }[]) => {
  const places = zones.map(({ zone }) => zone);
  const touches = (one: { zones: readonly PlaceId[] }) => one.zones.some((place) => places.includes(place));
  return Math.min(
    ...steps.flatMap((application) =>
      application.ends === 'rinse' && touches(application) ? [application.start + application.minutes] : [],
    ),
    ...care.flatMap((care) =>
      care.do !== 'protect' && care.do !== 'melt' && touches(care) ? [care.start] : [],
    ),
  );
};

/** Places of each step that come off before its minutes are up, by the minute. */
const takenOffIn = (
  { steps }: HairWork,
  { spellOf }: Pick<SimulatedCard, 'spellOf'>,
): ShownSimulation['takenOff'] =>
  steps.flatMap((application) => {
    const byMinute = new Map<number, PlaceId[]>();
    for (const zone of application.zones) {
      const { start, end } = spellOf(application, zone);
      if (end - start < application.minutes) byMinute.set(end, [...(byMinute.get(end) ?? []), zone]);
    }
    return [...byMinute].map(([minute, zones]) => ({ bowl: application.bowl, zones, minute }));
  });

/**
 * Plays a plan and keeps what can be seen of it, minute by minute.
 *
 * @param tells Whether hair is told in words as well.
 */
export function showSimulation(
  clientCase: HeadAndWish,
  card: Complete<HairWork>,
  lineOf: LineOf,
  seed: number,
  tells = false,
): ShownSimulation {
  const played = simulateCard(clientCase, card, lineOf);
  const worked = played.card;
  // As in the pictures of the head itself.
  const variation = headVariation(clientCase, seed);
  const asShown = (look: TressLook) => toEyeGrain(shownFurther(look, variation));
  const last = Math.min(MOST_MINUTES, played.minutes);
  const step = last > EVERY_MINUTE_UNTIL ? 2 : 1;
  const minutes = Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);
  if (minutes[minutes.length - 1] !== last) minutes.push(last);
  const whole = played.parts.filter(({ woven }) => !woven);
  const coveredAt = (minute: number) => {
    const covered: Partial<Record<PlaceId, Coating>> = {};
    for (const part of played.parts) {
      const { lying } = played.momentOf(part, minute);
      if (!lying) continue;
      // What is woven out lies in foils; so does what is put on all of the hair in foils.
      covered[part.zone] = part.woven || isInFoils(worked, part.zone, minute) ? 'foil' : coatingOf(lying.mix);
    }
    return covered;
  };
  const toldAt = (minute: number) =>
    Object.fromEntries(
      played
        .outcomeAt(minute)
        .filter(({ part }) => !part.woven)
        .map(({ part, level, tone, greyShows: white }): [PlaceId, ToldHair] => [
          part.zone,
          { level: Math.round(level * 2) / 2, tone, white },
        ]),
    );
  /** Minute from which the hair of a region is wet: the first rinse or wash. */
  const wetFrom = regionsOf(clientCase.head).map(({ zones }) => wetFromOf(worked, zones));
  return {
    minutes: last,
    takenOff: takenOffIn(card, played),
    frames: minutes.map((minute) => {
      const areas = played
        .areaStrandsAt(minute, 'daylight', seed)
        .map(({ areas: apart, strand }) => ({ areas: apart, strand: asShown(strand) }));
      return {
        minute,
        ...(areas.length > 0 ? { areas } : {}),
        strands: played
          .looksAt(minute, 'daylight', seed)
          .map((look, region) => ({ ...asShown(look), wet: minute >= wetFrom[region] })),
        covered: coveredAt(minute),
        failing: whole.flatMap((part) =>
          isGivingWay(conditionOf(played.momentOf(part, minute).strand)) ? [part.zone] : [],
        ),
        ...(tells ? { told: toldAt(minute) } : {}),
      };
    }),
  };
}
