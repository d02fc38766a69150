import type { Call } from '../http/route';
import type { ExerciseRow } from './row';

export type ExerciseOfClass = ExerciseRow & { class_name: string };

/** The exercise, for the educator who leads its class. */
export async function ownExercise({ db, me, param }: Call): Promise<ExerciseOfClass | null> {
  const row = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .where({ 'exercises.id': param('exerciseId'), 'classes.educator_id': me!.id })
    .select('exercises.*', 'classes.name as class_name')
    .first();
  return row ?? null;
}

/** The exercise, for a student of its class. */
export async function exerciseSetToMe({ db, me, param }: Call): Promise<ExerciseOfClass | null> {
  const row = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .join('memberships', 'memberships.class_id', 'classes.id')
    .where({ 'exercises.id': param('exerciseId'), 'memberships.student_id': me!.id })
    .select('exercises.*', 'classes.name as class_name')
    .first();
  return row ?? null;
}
