import { correlation } from '../correlation';
import type { DrillMark } from './mark';

/** Marks of one finished sitting, by slot; a question not reached counts as not right. */
export interface SittingMarks {
  /** Marks 0–1 by slot of the test. */
  scores: readonly number[];
}

export interface SlotFacts {
  /** Place in the test, counted from 0. */
  slot: number;
  /** Share of the points got, 0 nobody to 1 everybody: the usual "difficulty index", high is easy. */
  difficulty: number;
  /**
   * Corrected item-total correlation, −1 to 1: do those who do well in the rest do well here? Null where it means
   * nothing: fewer than five sittings, or everyone the same. (Classical test theory.)
   */
  discrimination: number | null;
  /** Sittings there have been. */
  sittings: number;
}

export const LEAST_SITTINGS = 5;

/** What each slot of a test says over many sittings. */
export function analyseSlots(sittings: readonly SittingMarks[], slots: number): SlotFacts[] {
  const totals = sittings.map(({ scores }) => scores.reduce((a, b) => a + b, 0));
  return Array.from({ length: slots }, (_, slot) => {
    const own = sittings.map(({ scores }) => scores[slot] ?? 0);
    const rest = totals.map((total, i) => total - own[i]);
    return {
      slot,
      difficulty: own.length > 0 ? own.reduce((a, b) => a + b, 0) / own.length : 0,
      discrimination: own.length >= LEAST_SITTINGS ? correlation(own, rest) : null,
      sittings: own.length,
    };
  });
}

export type TestReading = NonNullable<DrillMark['reading']>;
export interface ConfusionCell<T> {
  /** What it was. */
  truth: T;
  /** What was said. */
  given: T;
  /** How often. */
  count: number;
}

/** How often each truth was read as each answer. */
export function confusionOf<T extends string | number>(
  pairs: readonly { truth: T; given: T }[],
): ConfusionCell<T>[] {
  const cells = new Map<string, ConfusionCell<T>>();
  for (const { truth, given } of pairs) {
    const name = `${truth}|${given}`;
    const cell = cells.get(name);
    if (cell) cell.count++;
    else cells.set(name, { truth, given, count: 1 });
  }
  return [...cells.values()];
}
