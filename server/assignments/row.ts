import type { Release } from '@cimbel/contract';
import type { BenchStep, ClientCase, RecordCard } from '@cimbel/core/card';
import type { Judgement, Misconception, Rubric, SetExercise } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/shades';
import type { Solution } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/theory';

/**
 * An exercise set to a class. Case, lines, house rules and model answer are kept as they were when it was set, so that
 * an old grade can be made again whatever becomes of the exercise.
 */
export interface AssignmentRow {
  id: string;
  exercise_id: string;
  class_id: string;
  title: string;
  client_case: ClientCase;
  lines: Line[];
  house_rules: HouseRules;
  model_answer: Solution;
  rubric: Rubric;
  open_steps: BenchStep[];
  /** A card to be put right: what the student starts from, and the slip on it. */
  card: RecordCard | null;
  slip: Misconception | null;
  judgement: Judgement;
  /** Which standard answers are marked by: goes up with every other rubric or word on what is right. */
  standard: number;
  due_at: Date;
  release: Release;
  released_at: Date | null;
  created_at: Date;
}

export const maxPoints = (rubric: Rubric) =>
  Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);

/** Whether those who handed in may see marks and model answer. `onSubmit` opens it to each as they hand in. */
export function isReleased(
  assignment: Pick<AssignmentRow, 'release' | 'released_at' | 'due_at'>,
  now: Date,
): boolean {
  if (assignment.released_at) return true;
  return assignment.release === 'onSubmit' || (assignment.release === 'onDue' && now >= assignment.due_at);
}

/**
 * Whether nothing can be handed in for marks any more: the model answer is out, or the educator has closed it. `onSubmit`
 * shows it to each alone until then.
 */
export const isClosed = (assignment: Parameters<typeof isReleased>[0], now: Date): boolean =>
  assignment.released_at !== null || (assignment.release !== 'onSubmit' && isReleased(assignment, now));

/** A row in the terms of the core. */
export const exerciseOf = (row: AssignmentRow): SetExercise => ({
  id: row.id,
  clientCase: row.client_case,
  solution: row.model_answer,
  lines: row.lines,
  houseRules: row.house_rules,
  open: row.open_steps,
  card: row.card,
});
