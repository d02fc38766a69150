import type { ExerciseChange, newExerciseSchema } from '@cimbel/contract';
import type { Line } from '@cimbel/core/shades';
import { computeKey, type Case, type KeyResult } from '@cimbel/core/solve';
import type { Knex } from 'knex';
import type { z } from 'zod';
import type { ClassRow } from '../classes/access';
import { HttpError, invalidField } from '../http/errors';
import { lineForCase } from '../shade-books/store';
import type { SetRow } from './row';

async function lineOf(db: Knex, kase: Case, educatorId: string): Promise<Line> {
  const line = await lineForCase(db, kase.lineId, educatorId);
  if (!line)
    throw invalidField('kase.lineId', 'unknown', 'No line of colour has this id. Pick one from the list.');
  return line;
}

export async function previewKey(
  db: Knex,
  kase: Case,
  { house_rules, educator_id }: ClassRow,
): Promise<KeyResult> {
  return computeKey(kase, await lineOf(db, kase, educator_id), house_rules);
}

export async function createExercise(
  db: Knex,
  owner: ClassRow,
  wanted: z.output<typeof newExerciseSchema>,
  now: Date,
): Promise<{ id: string }> {
  const line = await lineOf(db, wanted.kase, owner.educator_id);
  const result = computeKey(wanted.kase, line, owner.house_rules);
  if (!result.ok)
    throw new HttpError(
      422,
      'exercise.noAnswer',
      'This line cannot reach the target.',
      undefined,
      result.reasons,
    );
  const dueAt = new Date(wanted.dueAt);
  if (dueAt <= now) throw invalidField('dueAt', 'past', 'The due time has passed. Choose a later one.');
  const [row] = await db('exercises')
    .insert({
      class_id: owner.id,
      title: wanted.title,
      kase: JSON.stringify(wanted.kase),
      line: JSON.stringify(line),
      house_rules: JSON.stringify(owner.house_rules),
      rubric: JSON.stringify(wanted.rubric),
      key: JSON.stringify(result.key),
      due_at: dueAt,
      release: wanted.release,
      created_at: now,
    })
    .returning('id');
  return row;
}

export async function changeExercise(
  db: Knex,
  exercise: SetRow,
  change: ExerciseChange,
  now: Date,
): Promise<void> {
  const { title, dueAt, release, released } = change;
  const columns = {
    ...(title === undefined ? {} : { title }),
    ...(dueAt === undefined ? {} : { due_at: new Date(dueAt) }),
    ...(release === undefined ? {} : { release }),
    ...(released === undefined ? {} : { released_at: released ? (exercise.released_at ?? now) : null }),
  };
  if (Object.keys(columns).length > 0) await db('exercises').where({ id: exercise.id }).update(columns);
}

/** Only while nobody has handed in: answers are never thrown away with the exercise. */
export async function deleteExercise(db: Knex, exercise: SetRow): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('exercises').where({ id: exercise.id }).forUpdate().first();
    const handedIn = await trx('attempts')
      .where({ exercise_id: exercise.id })
      .whereNotNull('submitted_at')
      .first();
    if (handedIn)
      throw new HttpError(
        409,
        'exercise.hasAnswers',
        'Answers have been handed in; it can no longer be deleted.',
      );
    await trx('exercises').where({ id: exercise.id }).delete();
  });
}
