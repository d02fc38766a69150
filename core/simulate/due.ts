import { type HeadAndWish, type Part, shareOfPart } from '../case';
import { differenceOf } from '../colour';
import { beginsAtScalp, labOfStrand, placeParts } from '../hair';
import { type Habits, strandAfterWeeks } from '../process';
import { GROWTH, OUTCOME_AT } from '../rules';
import type { PartOutcome } from './simulate';
import { grownCm, headAfterWeeks } from './weeks';

/** ΔE2000 from the day it was done, or across the line of new growth, from which a client notices. Judgement. */
export const NOTICED_DELTA_E = 6;
/** ΔE2000 from the day it was done from which it is another colour: where what is left is no longer near. */
const FADED_DELTA_E = OUTCOME_AT.deltaE[1][0];
/** ΔE2000 across the line of new growth from which it is stark: then it is retouched at the earliest (A5). Judgement. */
const STARK_DELTA_E = 25;
/** Strands woven out are noticed later by as much as there are fewer of them, but no later than this share would be. */
const LEAST_SHARE = 0.25;
/** Fraction 0–1 of white hair from which it is what shows. */
const GREY_SHOWS_FROM = 0.15;
/** Longest that anything is looked ahead, weeks. */
export const MOST_WEEKS = 52;

/** When something of a head is due again. */
export interface DueAgain {
  /** The part that asks for it. */
  part: Part;
  /** Weeks after which it is due. */
  everyWeeks: number;
  /** Weeks after which it is late. */
  latestWeeks: number;
  /** ΔE2000 that decides: across the line of new growth, or from the day it was done. */
  deltaE: number;
}
/** New growth that shows. */
export interface GrowthLine extends DueAgain {
  /** Length at which it is due, centimetres. */
  cm: number;
  /** Whether white hair is what shows. */
  grey: boolean;
}

/** How a client's hair goes on: what it is treated with, and how fast it grows. */
export interface HairLife {
  /** Habits at home. */
  habits: Habits;
  /** Growth in thirty days, centimetres. */
  growthCm: number;
}

/** Centimetres of new growth at which a line of so much difference is retouched (A5): four weeks' where it is stark, six where it is soft. */
function retouchCm(deltaE: number): number {
  const { min, max } = GROWTH.retouchWeeks;
  const soft = (STARK_DELTA_E - deltaE) / (STARK_DELTA_E - NOTICED_DELTA_E);
  return grownCm(min + (max - min) * Math.min(1, Math.max(0, soft)));
}

/**
 * Lines that new growth will draw on a head that is done: by the step of colour, and by the share of the hair where strands
 * are woven out. Empty where nothing shows.
 *
 * @param outcomes Every part on the day it was done.
 */
export function growthLines(
  clientCase: HeadAndWish,
  outcomes: readonly PartOutcome[],
  { habits, growthCm }: HairLife,
): GrowthLine[] {
  const { growth } = headAfterWeeks(clientCase, outcomes, 1, habits, growthCm);
  const weeksToGrow = (cm: number) => cm / grownCm(1, growthCm);
  return outcomes.flatMap(({ part, strand }) => {
    if (!beginsAtScalp(clientCase.head, part.zone)) return [];
    const grown = growth.find(({ region }) => region === placeParts(part.zone).region)!;
    const deltaE = differenceOf(labOfStrand(grown.strand), labOfStrand(strand));
    if (deltaE < NOTICED_DELTA_E) return [];
    const share = Math.max(LEAST_SHARE, part.woven ? shareOfPart(clientCase, part) : 1);
    const cm = retouchCm(deltaE) / share;
    return [
      {
        part,
        everyWeeks: weeksToGrow(cm),
        latestWeeks: weeksToGrow(grownCm(GROWTH.retouchWeeks.max) / share),
        deltaE,
        cm,
        grey: grown.strand.white >= GREY_SHOWS_FROM,
      },
    ];
  });
}

/**
 * When a part has faded by more than a client notices; null where it does not within a year. To half a day.
 */
export function fadingOf({ part, strand }: PartOutcome, { habits }: HairLife): DueAgain | null {
  const done = labOfStrand(strand);
  const off = (weeks: number) => differenceOf(labOfStrand(strandAfterWeeks(strand, weeks, habits)), done);
  const week = (far: number): number | null => {
    if (off(MOST_WEEKS) < far) return null;
    let [low, high] = [0, MOST_WEEKS];
    while (high - low > 1 / 14) {
      const middle = (low + high) / 2;
      if (off(middle) < far) low = middle;
      else high = middle;
    }
    return high;
  };
  const everyWeeks = week(NOTICED_DELTA_E);
  if (everyWeeks === null) return null;
  return {
    part,
    everyWeeks,
    latestWeeks: week(FADED_DELTA_E) ?? MOST_WEEKS,
    deltaE: NOTICED_DELTA_E,
  };
}

/** What of several is due first; null of none. */
export const soonest = <Due extends Pick<DueAgain, 'everyWeeks'>>(all: readonly Due[]): Due | null =>
  all.reduce<Due | null>((first, due) => (first && first.everyWeeks <= due.everyWeeks ? first : due), null);

/**
 * Weeks to the next appointment for what is due after so many, in the rhythm of a client: the last of their dates before it
 * is due, or the first there is.
 */
export const inRhythm = (dueWeeks: number, everyWeeks: number): number =>
  Math.max(1, Math.floor(dueWeeks / everyWeeks + 1e-9)) * everyWeeks;
