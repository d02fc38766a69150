import type {
  Exercise,
  ExerciseChange,
  ExerciseContent,
  ExerciseVersion,
  LibraryExercise,
} from '@cimbel/contract';
import type { ClientCase } from '@cimbel/core/case';
import type { BenchStep, Rubric } from '@cimbel/core/exercise';
import type { EducatorRuling, Misconception } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { isDeepStrictEqual } from 'node:util';
import { HttpError } from '../http/errors';
import { rowOf } from '../db/rows';

export interface ExerciseRow {
  id: string;
  educator_id: string;
  title: string;
  client_case: ClientCase;
  open_steps: BenchStep[];
  rubric: Rubric;
  slip: Misconception | null;
  judgement: EducatorRuling;
  tags: string[];
  version: number;
  archived_at: Date | null;
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

/** What an exercise is, apart from where it is filed. */
const contentOf = (row: ExerciseRow): ExerciseContent => ({
  title: row.title,
  clientCase: row.client_case,
  open: row.open_steps as ExerciseContent['open'],
  slip: row.slip,
  rubric: row.rubric,
  judgement: row.judgement,
});

const timesSet = (db: Knex) => db('assignments').count().where('exercise_id', db.ref('exercises.id'));

export async function exercisesOf(db: Knex, educatorId: string): Promise<Exercise[]> {
  const rows: (ExerciseRow & { assignments: string })[] = await db('exercises')
    .where({ educator_id: educatorId })
    .orderBy('updated_at', 'desc')
    .select('exercises.*', timesSet(db).as('assignments'));
  return rows.map((row) => ({
    ...contentOf(row),
    id: row.id,
    tags: row.tags,
    version: row.version,
    archived: row.archived_at !== null,
    assignments: Number(row.assignments),
    updatedAt: row.updated_at.toISOString(),
  }));
}

/** What an exercise has been, newest first. */
export async function versionsOf(db: Knex, exerciseId: string): Promise<ExerciseVersion[]> {
  const rows: { version: number; made_at: Date; content: ExerciseContent; assignments: string }[] = await db(
    'exercise_versions',
  )
    .where({ exercise_id: exerciseId })
    .orderBy('version', 'desc')
    .select(
      'version',
      'made_at',
      'content',
      db('assignments')
        .count()
        .where({ exercise_id: exerciseId })
        .whereRaw('exercise_version = exercise_versions.version')
        .as('assignments'),
    );
  return rows.map(({ version, made_at, content, assignments }) => ({
    version,
    madeAt: made_at.toISOString(),
    content,
    assignments: Number(assignments),
  }));
}

/** An exercise and the version that it is at. */
export interface Saved {
  id: string;
  version: number;
}

const keepVersion = (trx: Knex, { id, version }: Saved, content: ExerciseContent, now: Date) =>
  trx('exercise_versions')
    .insert({ exercise_id: id, version, made_at: now, content: JSON.stringify(content) })
    .onConflict(['exercise_id', 'version'])
    .merge();

/** What is kept of what was sent: without the educator's word that it is set all the same, which is asked for each time. */
const kept = ({ title, clientCase, open, slip, rubric, judgement }: ExerciseContent): ExerciseContent => ({
  title,
  clientCase,
  open,
  slip,
  rubric,
  judgement,
});

export async function createExercise(
  db: Knex,
  educatorId: string,
  { tags = [], ...content }: LibraryExercise,
  now: Date,
): Promise<Saved> {
  return db.transaction(async (trx) => {
    const [row] = await trx('exercises')
      .insert({ ...columnsOf(content), tags, educator_id: educatorId, created_at: now, updated_at: now })
      .returning(['id', 'version']);
    await keepVersion(trx, row, kept(content), now);
    return row;
  });
}

/**
 * Writes an exercise. What has been set with its present version keeps that; the change is the next version then. An
 * assignment that nobody has begun takes it up: `besides` names it.
 */
export async function saveExercise(
  db: Knex,
  id: string,
  { tags, ...content }: LibraryExercise,
  now: Date,
  besides?: string,
): Promise<Saved> {
  return db.transaction(async (trx) => {
    const before = rowOf(await trx('exercises').where({ id }).forUpdate().first(), 'exercises');
    if (tags) await trx('exercises').where({ id }).update({ tags });
    // JSON of the database and JSON of a request name things in other orders.
    if (isDeepStrictEqual(plain(contentOf(before)), plain(kept(content))))
      return { id, version: before.version };
    const used = await trx('assignments')
      .where({ exercise_id: id, exercise_version: before.version })
      .whereNot('id', besides ?? NO_ONE)
      .first('id');
    const version = used ? before.version + 1 : before.version;
    await trx('exercises')
      .where({ id })
      .update({ ...columnsOf(content), version, updated_at: now });
    await keepVersion(trx, { id, version }, kept(content), now);
    return { id, version };
  });
}

const NO_ONE = '00000000-0000-0000-0000-000000000000';
const plain = (content: ExerciseContent): unknown => JSON.parse(JSON.stringify(content));

/** Files an exercise otherwise, or puts it away: what it is stays as it is. */
export async function fileExercise(
  db: Knex,
  id: string,
  { tags, archived }: ExerciseChange,
  now: Date,
): Promise<void> {
  const columns = {
    ...(tags === undefined ? {} : { tags }),
    ...(archived === undefined ? {} : { archived_at: archived ? now : null }),
  };
  if (Object.keys(columns).length > 0) await db('exercises').where({ id }).update(columns);
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
