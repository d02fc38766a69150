import type { Release } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import {
  strandOfZone,
  stretchesOf,
  type ClientCase,
  type RecordCard,
  type BenchStep,
} from '@cimbel/core/card';
import type { Light } from '@cimbel/core/colour';
import type { Misconception, Rubric } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/shades';
import { wishLook } from '@cimbel/core/simulate';
import type { Solution } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/theory';
import { strandLook } from '@cimbel/core/tress';

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

/** The head and what is wished for, as the eye sees them; the same for everyone, since the seed comes from the id. */
export function looksOf(
  { id, client_case: { head, ...wished } }: Pick<AssignmentRow, 'id' | 'client_case'>,
  light: Light = 'daylight',
) {
  const seed = seedFrom(id);
  const stretches = stretchesOf(head).map(({ zone, from, to }) => ({
    from,
    to,
    strand: strandOfZone(head, zone),
  }));
  return {
    now: strandLook(stretches, light, head.form, seed),
    target: wishLook({ head, ...wished }, light, seed + 1),
  };
}
