import type { ClassCopy } from '@cimbel/contract';
import type { Knex } from 'knex';
import { randomBytes, randomInt } from 'node:crypto';
import { HttpError } from '../http/errors';
import { record } from '../log/store';
import type { ClassRow } from './access';
import { newJoinCode } from './roster';

const DAY_MS = 24 * 3600_000;

/** Puts a class away, or takes it out again: its work can be read and nothing more be handed in. */
export async function setArchived(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  archived: boolean,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('classes')
      .where({ id: inClass.id })
      .update({ archived_at: archived ? now : null });
    await record(trx, {
      at: now,
      actor: educatorId,
      action: archived ? 'class.archived' : 'class.unarchived',
      classId: inClass.id,
    });
  });
}

/** A row as it is written again: what is JSON as text, and nothing that belongs to the old one alone. */
const again = (row: Record<string, unknown>, changes: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries({ ...row, ...changes })
      .filter(([name]) => name !== 'id')
      .map(([name, value]) => [
        name,
        typeof value === 'object' && value !== null && !(value instanceof Date)
          ? JSON.stringify(value)
          : value,
      ]),
  );

/**
 * The class once more for another term: house rules, exercises, practices and reading tests, all dates moved by so many
 * days, and none of its students or their work. Tests ask other questions.
 */
export async function copyClass(
  db: Knex,
  from: ClassRow,
  educatorId: string,
  { name, days }: ClassCopy,
  now: Date,
): Promise<{ id: string }> {
  const moved = (date: Date) => new Date(date.getTime() + days * DAY_MS);
  return db.transaction(async (trx) => {
    const [{ id }] = await trx('classes')
      .insert({
        educator_id: educatorId,
        name,
        join_code: newJoinCode(),
        house_rules: JSON.stringify(from.house_rules),
        created_at: now,
      })
      .returning('id');
    const fresh = { class_id: id, created_at: now };
    const copy = async (
      table: string,
      changes: (row: { due_at: Date; opens_at: Date | null }) => Record<string, unknown>,
    ) => {
      for (const row of await trx(table).where({ class_id: from.id }).orderBy('created_at'))
        await trx(table).insert(again(row, { ...fresh, ...changes(row) }));
    };
    // Whom it was set to is nobody here: it is for all, at the class's own dates.
    await copy('assignments', ({ due_at, opens_at }) => ({
      opens_at: opens_at && moved(opens_at),
      due_at: moved(due_at),
      last_due_at: moved(due_at),
      everyone: true,
      released_at: null,
      closed_at: null,
      standard: 1,
    }));
    await copy('practices', () => ({}));
    await copy('reading_tests', ({ due_at }) => ({
      due_at: moved(due_at),
      released_at: null,
      seed: String(randomInt(2 ** 47)),
      secret: randomBytes(32).toString('base64url'),
    }));
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'class.copied',
      classId: id,
      before: { from: from.id },
      after: { days },
    });
    return { id };
  });
}

/** Tables of a class's work, those that others rest on last, each with how its rows are found. */
const WORK_OF_CLASS = [
  ['reveals', 'assignment_id in (select id from assignments where class_id = :id)'],
  [
    'mark_changes',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  [
    'former_grades',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  ['assignment_students', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['attempts', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['regrades', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['assignments', 'class_id = :id'],
  [
    'sitting_answers',
    'sitting_id in (select s.id from sittings s join reading_tests t on t.id = s.test_id where t.class_id = :id)',
  ],
  ['sittings', 'test_id in (select id from reading_tests where class_id = :id)'],
  ['reading_tests', 'class_id = :id'],
  ['practices', 'class_id = :id'],
  ['memberships', 'class_id = :id'],
] as const;

/** All of a class and its work, by table, to be taken along. What keys the questions of tests is no part of it. */
export async function exportOf(db: Knex, { id, name }: ClassRow): Promise<object> {
  const tables: Record<string, object[]> = {};
  for (const [table, where] of WORK_OF_CLASS) {
    const rows: Record<string, unknown>[] = await db(table).whereRaw(where, { id });
    tables[table] = rows.map(({ secret: _secret, ...row }) => row);
  }
  tables.students = await db('users')
    .whereIn('id', db('memberships').where({ class_id: id }).select('student_id'))
    .select('id', 'name', 'email');
  return { format: 'cimbel-class', version: 1, class: { id, name }, ...tables };
}

/**
 * Takes a class out for good with all of its work, once it has been put away. Students keep their accounts; places that
 * nobody claimed and that are in no other class go with it.
 */
export async function deleteClass(db: Knex, inClass: ClassRow, educatorId: string, now: Date): Promise<void> {
  if (inClass.archived_at === null)
    throw new HttpError(
      409,
      'class.notArchived',
      'Put the class away first; then it can be deleted for good.',
    );
  const { id } = inClass;
  await db.transaction(async (trx) => {
    const unclaimed: string[] = await trx('memberships')
      .join('users', 'users.id', 'memberships.student_id')
      .where({ class_id: id })
      .whereNull('users.email')
      .whereNotExists((other) =>
        other
          .from('memberships as others')
          .whereRaw('others.student_id = users.id and others.class_id <> ?', [id]),
      )
      .pluck('users.id');
    for (const [table, where] of WORK_OF_CLASS) await trx(table).whereRaw(where, { id }).delete();
    await trx('users').whereIn('id', unclaimed).delete();
    await trx('classes').where({ id }).delete();
    await record(trx, { at: now, actor: educatorId, action: 'class.deleted', classId: id });
  });
}
