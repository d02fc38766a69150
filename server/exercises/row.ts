import type { Release } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import type { Light } from '@cimbel/core/colour';
import type { BenchStep, Rubric, ServiceMisconception, ServiceRubric } from '@cimbel/core/grade';
import { strandOfZone, stretchesOf, wishLook, type ServiceCase, type ServicePlan } from '@cimbel/core/plan';
import type { Line } from '@cimbel/core/shades';
import type { Case, Key, Solution } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/theory';
import { naturalLook, strandLook, toneLook } from '@cimbel/core/tress';

/** What is the same of everything that is set for a class with a due time. */
export interface SetRow {
  id: string;
  class_id: string;
  title: string;
  house_rules: HouseRules;
  due_at: Date;
  release: Release;
  released_at: Date | null;
  created_at: Date;
}

/** A formula for one zone. */
export interface ExerciseRow extends SetRow {
  kind: 'formula';
  kase: Case;
  line: Line;
  rubric: Rubric;
  key: Key;
}

/** A whole service on a head: the lines at hand and the solution are kept as they were when it was set. */
export interface ServiceRow extends SetRow {
  kind: 'service';
  kase: ServiceCase;
  line: Line[];
  rubric: ServiceRubric;
  key: Solution;
  open_steps: BenchStep[];
  /** A card to be put right: what the student starts from, and the slip on it. */
  card: ServicePlan | null;
  slip: ServiceMisconception | null;
}
export type AnyExerciseRow = ExerciseRow | ServiceRow;

export const maxPoints = (rubric: Rubric | ServiceRubric) =>
  Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);

/** Whether those who handed in may see marks and key. `onSubmit` opens it to each as they hand in. */
export function isReleased(exercise: Pick<SetRow, 'release' | 'released_at' | 'due_at'>, now: Date): boolean {
  if (exercise.released_at) return true;
  return exercise.release === 'onSubmit' || (exercise.release === 'onDue' && now >= exercise.due_at);
}

/** The head and the wish, drawn the same for everyone: the seed comes from the exercise. */
export function looksOf(exercise: Pick<ExerciseRow, 'id' | 'kase'>) {
  const seed = seedFrom(exercise.id);
  const { zone, target } = exercise.kase;
  return { now: naturalLook(zone, seed), target: toneLook(target.level, target.tone, seed + 1) };
}

/** The head of a service and its wish, as the eye sees them. */
export function serviceLooksOf({ id, kase }: Pick<ServiceRow, 'id' | 'kase'>, light: Light = 'daylight') {
  const seed = seedFrom(id);
  const stretches = stretchesOf(kase.head).map(({ zone, from, to }) => ({
    from,
    to,
    strand: strandOfZone(kase.head, zone),
  }));
  return {
    now: strandLook(stretches, light, kase.head.form, seed),
    target: wishLook(kase, light, seed + 1),
  };
}

export const nowLookOf = (exercise: AnyExerciseRow) =>
  exercise.kind === 'service' ? serviceLooksOf(exercise).now : looksOf(exercise).now;
