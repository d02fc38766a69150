import type { Release } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import type { Rubric } from '@cimbel/core/grade';
import type { Line } from '@cimbel/core/shades';
import type { Case, Key } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/theory';
import { naturalLook, toneLook } from '@cimbel/core/tress';

export interface ExerciseRow {
  id: string;
  class_id: string;
  title: string;
  kase: Case;
  line: Line;
  house_rules: HouseRules;
  rubric: Rubric;
  key: Key;
  due_at: Date;
  release: Release;
  released_at: Date | null;
  created_at: Date;
}

export const maxPoints = (rubric: Rubric) =>
  Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);

/** Whether those who handed in may see marks and key. `onSubmit` opens it to each as they hand in. */
export function isReleased(
  exercise: Pick<ExerciseRow, 'release' | 'released_at' | 'due_at'>,
  now: Date,
): boolean {
  if (exercise.released_at) return true;
  return exercise.release === 'onSubmit' || (exercise.release === 'onDue' && now >= exercise.due_at);
}

/** The head and the wish, drawn the same for everyone: the seed comes from the exercise. */
export function looksOf(exercise: Pick<ExerciseRow, 'id' | 'kase'>) {
  const seed = seedFrom(exercise.id);
  const { zone, target } = exercise.kase;
  return { now: naturalLook(zone, seed), target: toneLook(target.level, target.tone, seed + 1) };
}
