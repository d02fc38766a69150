import { type HeadAndWish, type Part, strandOfZone } from '../case';
import { type Lab, type Light, type ToneFamily, differenceOf } from '../colour';
import type { TressLook } from '../draw';
import {
  type Head,
  type RegionName,
  type Strand,
  beginsAtScalp,
  labOfStrand,
  naturalStrand,
  readStrand,
  regionsOf,
} from '../hair';
import { type Condition, type Habits, conditionOf, strandAfterWeeks } from '../process';
import { GROWTH } from '../rules';
import { type PartOutcome, lookOfRegion, outcomeOf } from './simulate';

/** Centimetres that hair grows in thirty days: as is usual (A5), and by the client (H55). */
export const GROWTH_RATES = { usual: GROWTH.cmAMonth, least: 0.8, most: 1.5 } as const;
const DAYS_A_WEEK = 7;
const DAYS_OF_RATE = 30;

/** Centimetres of new growth after so many weeks, at a rate in centimetres in thirty days. */
export const grownCm = (weeks: number, rate: number = GROWTH_RATES.usual): number =>
  (weeks * DAYS_A_WEEK * rate) / DAYS_OF_RATE;

/** A place of a head some weeks on. */
export interface PlaceLater {
  /** The part of the head. */
  part: Part;
  /** Its hair. */
  strand: Strand;
  /** Level, 1 to 12. */
  level: number;
  /** Family of the tone that shows. */
  tone: ToneFamily;
  /** ΔE2000 from the day it was done. */
  deltaE: number;
  /** New growth above it, centimetres; 0 where it does not begin at the scalp. */
  regrowthCm: number;
  /** Condition by strength and moisture. */
  condition: Condition;
}

/** New growth of a region, with its own white. */
export interface NewGrowth {
  /** Region; null on a head of one. */
  region: RegionName | null;
  /** Length, centimetres. */
  lengthCm: number;
  /** Its hair, as it grew. */
  strand: Strand;
}

/** A head some weeks on: what was there, with its length, and what has grown above it. */
export interface HeadLater {
  /** Weeks since. */
  weeks: number;
  /** Every part, as long as it was. */
  places: PlaceLater[];
  /** New growth by region. */
  growth: NewGrowth[];
}

const firstDay = new WeakMap<Strand, Lab>();
/** Colour of hair on the day it was done; it is asked for again for every week. */
function labOfFirstDay(strand: Strand): Lab {
  const lab = firstDay.get(strand) ?? labOfStrand(strand);
  firstDay.set(strand, lab);
  return lab;
}

/** What grows at the scalp of each region: its natural level and white, in no other state than hair grows. */
function growthOf(head: Head, weeks: number, rate: number): NewGrowth[] {
  const lengthCm = grownCm(weeks, rate);
  return regionsOf(head).map(({ name, zones: [first], diameter }) => ({
    region: name,
    lengthCm,
    strand: naturalStrand(first.naturalLevel, {
      white: first.greyShare,
      diameter,
      fromScalpCm: lengthCm / 2,
      resistance: first.resistant ? 1 : 0,
    }),
  }));
}

/**
 * A head so many weeks after the day it was done, week by week or at once: the same to the last digits that count (H60).
 *
 * @param done Hair of every part on that day.
 * @param rate Growth in thirty days, centimetres.
 * @throws RangeError for weeks below 0 or a rate that no client has.
 */
export function headAfterWeeks(
  { head }: Pick<HeadAndWish, 'head'>,
  done: readonly Pick<PlaceLater, 'part' | 'strand'>[],
  weeks: number,
  habits: Habits,
  rate: number = GROWTH_RATES.usual,
): HeadLater {
  if (!(weeks >= 0)) throw new RangeError('weeks: 0 or more');
  if (!(rate >= GROWTH_RATES.least && rate <= GROWTH_RATES.most))
    throw new RangeError(`growth: ${GROWTH_RATES.least} to ${GROWTH_RATES.most} cm in thirty days`);
  const lengthCm = grownCm(weeks, rate);
  return {
    weeks,
    places: done.map(({ part, strand: before }) => {
      const aged = strandAfterWeeks(before, weeks, habits);
      // What was at the scalp has moved away from it.
      const strand = { ...aged, fromScalpCm: aged.fromScalpCm + lengthCm };
      const lab = labOfStrand(strand);
      const { level, tone } = readStrand(strand, lab);
      return {
        part,
        strand,
        level,
        tone,
        deltaE: differenceOf(lab, labOfFirstDay(before)),
        regrowthCm: beginsAtScalp(head, part.zone) ? lengthCm : 0,
        condition: conditionOf(strand),
      };
    }),
    growth: growthOf(head, weeks, rate),
  };
}

/** One strand of each region some weeks on, in their order: what has grown, and below it what was done. */
export const looksLater = (
  clientCase: HeadAndWish,
  { places, growth }: HeadLater,
  light: Light,
  seed: number,
): TressLook[] =>
  regionsOf(clientCase.head).map((region, at) => {
    const grown = growth[at];
    return lookOfRegion(
      clientCase,
      region,
      (zone, woven) => places.find(({ part }) => part.zone === zone && part.woven === woven)?.strand,
      light,
      seed + at,
      grown.lengthCm > 0 ? grown : null,
    );
  });

/** How every part reads beside what was wanted of it, some weeks on. */
export const outcomesLater = ({ head }: HeadAndWish, { places }: HeadLater): PartOutcome[] =>
  places.map(({ part, strand }) => outcomeOf(part, strand, strandOfZone(head, part.zone)));
