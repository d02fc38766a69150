import type { TestFeedback, TestVariants } from '@cimbel/contract';
import type { Item, Response, Scope, Slot, DrillStep, TestItem, ProfileAnswer } from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import type { Drawing } from '@cimbel/core/draw';

export interface TestRow {
  id: string;
  class_id: string;
  title: string;
  plan: Slot[];
  scope: Scope;
  house_rules: HouseRules;
  /** The college's own lines as they were when the test was set. */
  own_lines: Line[];
  step: DrillStep;
  variants: TestVariants;
  feedback: TestFeedback;
  minutes: number;
  attempts: number;
  /** Which facets are asked was drawn from it. */
  seed: string;
  /** Keys the seeds of every sitting; never leaves the server. */
  secret: string;
  due_at: Date;
  released_at: Date | null;
  created_at: Date;
}
export type TestOfClass = TestRow & { class_name: string };

/** One item of a sitting as it is kept: which slot of the plan, and the item whole. */
export interface KeptItem {
  slot: TestItem['slot'];
  item: Item;
  /** How its pictures are drawn: the same as long as the sitting lasts. Items from before there were two have the first. */
  drawing?: Drawing;
}
export interface SittingRow {
  id: string;
  test_id: string;
  student_id: string;
  number: number;
  items: KeptItem[];
  started_at: Date;
  ends_at: Date;
  finished_at: Date | null;
}
export interface SittingAnswerRow {
  sitting_id: string;
  position: number;
  response: Response | null;
  score: number;
  reading: ProfileAnswer['reading'];
  seconds: number;
  answered_at: Date;
}

/** A word sent just before the end may still be on its way. */
const GRACE_MS = 5_000;

/** Ended: everything answered, or the time is up. The server's clock decides. */
export const hasEnded = (sitting: Pick<SittingRow, 'finished_at' | 'ends_at'>, now: Date): boolean =>
  sitting.finished_at !== null || now.getTime() > sitting.ends_at.getTime() + GRACE_MS;

/**
 * Whether the answers of a finished sitting may be shown. With the same items for all they are shown after release only,
 * or the first to finish would carry them to the rest.
 */
export const answersOpen = (test: Pick<TestRow, 'feedback' | 'released_at'>): boolean =>
  test.feedback === 'atEnd' || test.released_at !== null;

export const testFacts = (test: TestRow) => ({
  id: test.id,
  title: test.title,
  questions: test.plan.length,
  minutes: test.minutes,
  step: test.step,
  dueAt: test.due_at.toISOString(),
  feedback: test.feedback,
  attempts: test.attempts,
  variants: test.variants,
  released: test.released_at !== null,
});
