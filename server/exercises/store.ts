import type { Exercise, ExerciseContent } from '@cimbel/contract';
import type { ClientCase, BenchStep } from '@cimbel/core/card';
import type { Judgement, Misconception, Rubric } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { HttpError } from '../http/errors';

export interface ExerciseRow {
  id: string;
  educator_id: string;
  title: string;
  client_case: ClientCase;
  open_steps: BenchStep[];
  rubric: Rubric;
  slip: Misconception | null;
  judgement: Judgement;
  created_at: Date;
  updated_at: Date;
}

/** Columns that hold what an exercise is; assignments keep a copy of them. */
export const columnsOf = ({ title, clientCase, open, rubric, slip, judgement }: ExerciseContent) => ({
  title,
  client_case: JSON.stringify(clientCase),
  open_steps: JSON.stringify(open),
  rubric: JSON.stringify(rubric),
  slip,
  judgement: JSON.stringify(judgement),
});

export async function exercisesOf(db: Knex, educatorId: string): Promise<Exercise[]> {
  const rows: (ExerciseRow & { assignments: string })[] = await db('exercises')
    .where({ educator_id: educatorId })
    .orderBy('updated_at', 'desc')
    .select('exercises.*')
    .select(db('assignments').count().where('exercise_id', db.ref('exercises.id')).as('assignments'));
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    clientCase: row.client_case,
    open: row.open_steps,
    rubric: row.rubric,
    slip: row.slip,
    judgement: row.judgement,
    assignments: Number(row.assignments),
    updatedAt: row.updated_at.toISOString(),
  }));
}

export async function createExercise(
  db: Knex,
  educatorId: string,
  content: ExerciseContent,
  now: Date,
): Promise<{ id: string }> {
  const [row] = await db('exercises')
    .insert({ ...columnsOf(content), educator_id: educatorId, created_at: now, updated_at: now })
    .returning('id');
  return row;
}

export async function saveExercise(db: Knex, id: string, content: ExerciseContent, now: Date): Promise<void> {
  await db('exercises')
    .where({ id })
    .update({ ...columnsOf(content), updated_at: now });
}

/** Only a draft: what has been set to a class is kept as long as its assignments are. */
export async function deleteExercise(db: Knex, id: string): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('exercises').where({ id }).forUpdate().first();
    if (await trx('assignments').where({ exercise_id: id }).first())
      throw new HttpError(
        409,
        'exercise.assigned',
        'This exercise is set to a class; it can no longer be deleted.',
      );
    await trx('exercises').where({ id }).delete();
  });
}
