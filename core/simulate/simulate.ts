import { type HairWork, type Complete, type LineOf, type Application, lastMinute } from '../card';
import {
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
  type Area,
  type PlaceId,
  type Region,
  regionsOf,
  stretchesOf,
  type Strand,
  labOfStrand,
  readStrand,
  greyShows,
} from '../hair';
import { type ZoneMoment, zoneAt, type Condition, conditionOf } from '../process';
import { asWatched, type Spell } from './watching';
import { type AreaPlan, areaPlansOf } from './zone-plans';

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

/** Areas of a place whose hair is alike at a minute. */
export interface AreaMoment {
  /** Areas of the scalp. */
  areas: readonly Area[];
  /** Fraction 0–1 of the hair of the place that they bear. */
  bears: number;
  /** State of their hair and what lies on it. */
  moment: ZoneMoment;
}

/** A strand of some areas of a region whose hair is not like that of the rest. */
export interface AreaStrand {
  /** Areas of the scalp. */
  areas: readonly Area[];
  /** Their strand, from root to tip. */
  strand: TressLook;
}

/** A plan on its head, asked for any minute of the service. */
export interface SimulatedCard {
  /** What was played: what is watched ends at a look. */
  card: Complete<HairWork>;
  /** When a step of the card as written begins and ends at a place. */
  spellOf: (application: Application, place: PlaceId) => Spell;
  /** Minutes. */
  minutes: number;
  /** Parts of the head. */
  parts: readonly Part[];
  /** State of a part and what lies on it at a minute, in the areas that bear most of its hair. */
  momentOf: (part: Part, minute: number) => ZoneMoment;
  /** The same area by area, those first that bear most. */
  areaMomentsOf: (part: Part, minute: number) => AreaMoment[];
  /** What every part would be like, rinsed at a minute. */
  outcomeAt: (minute: number) => PartOutcome[];
  /** One strand of each region, in their order. */
  looksAt: (minute: number, light: Light, seed: number) => TressLook[];
  /** Strands of areas that differ from the rest of their region. */
  areaStrandsAt: (minute: number, light: Light, seed: number) => AreaStrand[];
}

/** New growth is drawn as long as it is, and no shorter than can be seen: a share of the lock. */
const LEAST_GROWTH = 0.02;

/**
 * The strand of one region as it is drawn.
 *
 * @param strandAt Hair of a place, or what is woven out of it; undefined where nothing is.
 * @param growth What has grown above it since, with its length in centimetres.
 */
export function lookOfRegion(
  clientCase: HeadAndWish,
  region: Region,
  strandAt: (zone: PlaceId, woven: boolean) => Strand | undefined,
  light: Light,
  seed: number,
  growth: { lengthCm: number; strand: Strand } | null = null,
): TressLook {
  const stretches = stretchesOf(region);
  const length = stretches.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const grown = growth ? Math.max(LEAST_GROWTH, growth.lengthCm / (growth.lengthCm + length)) : 0;
  const below = (at: number) => grown + (1 - grown) * at;
  const whole = strandLook(
    [
      ...(growth ? [{ from: 0, to: grown, strand: growth.strand }] : []),
      ...stretches.map(({ zone, from, to }) => ({
        from: below(from),
        to: below(to),
        strand: strandAt(zone, false)!,
      })),
    ],
    light,
    clientCase.head.form,
    seed,
  );
  const first = growth ? 1 : 0;
  const zones = whole.zones.map((zone, i) => {
    if (i < first) return zone;
    const place = stretches[i - first].zone;
    const strand = strandAt(place, true);
    const placement = placementOn(clientCase, place);
    return strand && placement ? withWoven(zone, placement.share, labOfStrand(strand, light)) : zone;
  });
  return { ...whole, zones };
}

/**
 * Plays a complete card on its head. @param card Every bowl as what is in it; steps with an unfinished bowl do nothing.
 */
export function simulateCard(
  clientCase: HeadAndWish,
  written: Complete<HairWork>,
  lineOf: LineOf,
): SimulatedCard {
  const { head } = clientCase;
  const parts = partsOf(clientCase);
  const { card, spellOf } = asWatched(clientCase, written, lineOf);
  const plans = new Map<Part, AreaPlan[]>(parts.map((part) => [part, areaPlansOf(head, card, part, lineOf)]));
  const moments = new Map<AreaPlan, Map<number, ZoneMoment>>();
  const momentIn = (areaPlan: AreaPlan, minute: number): ZoneMoment => {
    const known = moments.get(areaPlan) ?? new Map<number, ZoneMoment>();
    moments.set(areaPlan, known);
    const zoneMoment = known.get(minute) ?? zoneAt(areaPlan.plan, minute);
    known.set(minute, zoneMoment);
    return zoneMoment;
  };
  const momentOf = (part: Part, minute: number) => momentIn(plans.get(part)![0], minute);
  const outcomes = new Map<number, PartOutcome[]>();
  /** The strand of one region as it is drawn, its hair as `momentAt` has it. */
  const lookOf = (
    region: Region,
    momentAt: (part: Part) => ZoneMoment,
    light: Light,
    seed: number,
  ): TressLook => {
    const strandAt = (zone: PlaceId, woven: boolean) => {
      const part = parts.find((one) => one.zone === zone && one.woven === woven);
      return part && momentAt(part).strand;
    };
    return lookOfRegion(clientCase, region, strandAt, light, seed);
  };
  return {
    card,
    spellOf,
    minutes: lastMinute(card),
    parts,
    momentOf,
    areaMomentsOf: (part, minute) =>
      plans.get(part)!.map((areaPlan) => ({
        areas: areaPlan.areas,
        bears: areaPlan.bears,
        moment: momentIn(areaPlan, minute),
      })),
    outcomeAt: (minute) => {
      const partOutcomes =
        outcomes.get(minute) ??
        parts.map((part) => outcomeOf(part, momentOf(part, minute).strand, strandOfZone(head, part.zone)));
      outcomes.set(minute, partOutcomes);
      return partOutcomes;
    },
    looksAt: (minute, light, seed) =>
      regionsOf(head).map((region, at) => lookOf(region, (part) => momentOf(part, minute), light, seed + at)),
    areaStrandsAt: (minute, light, seed) =>
      regionsOf(head).flatMap((region, at) => {
        const inRegion = parts.filter(({ zone }) => region.zones.some((one) => one.zone === zone));
        const planAt = (part: Part, area: Area) =>
          plans.get(part)!.find(({ areas }) => areas.includes(area))!;
        // Areas are drawn apart where any of their places is in another state than in most of the region.
        const byPlans = new Map<string, Area[]>();
        for (const area of region.areas) {
          const key = inRegion.map((part) => plans.get(part)!.indexOf(planAt(part, area))).join();
          byPlans.set(key, [...(byPlans.get(key) ?? []), area]);
        }
        const most = inRegion.map(() => 0).join();
        return [...byPlans].flatMap(([key, areas]) =>
          key === most
            ? []
            : [
                {
                  areas,
                  strand: lookOf(
                    region,
                    (part) => momentIn(planAt(part, areas[0]), minute),
                    light,
                    seed + at,
                  ),
                },
              ],
        );
      }),
  };
}
