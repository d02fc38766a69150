import type { ClassCopy } from '@cimbel/contract';
import type { Knex } from 'knex';
import { randomBytes, randomInt } from 'node:crypto';
import { HttpError } from '../http/errors';
import { record } from '../log/store';
import type { ClassRow } from './access';
import { WORK_OF_CLASS } from './export';
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
 * The class once more for another term: house rules, how the term is reckoned, exercises, practices and reading tests, all dates moved by so many
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
    // The students it was set to are not in this class: it is for all, at the class's own dates.
    await copy('assignments', ({ due_at, opens_at }) => ({
      opens_at: opens_at && moved(opens_at),
      due_at: moved(due_at),
      last_due_at: moved(due_at),
      everyone: true,
      released_at: null,
      closed_at: null,
      standard: 1,
    }));
    const book = await trx('gradebooks').where({ class_id: from.id }).first('settings');
    // The term is reckoned as before; whether its students see it is for this one to say.
    if (book)
      await trx('gradebooks').insert({
        class_id: id,
        settings: JSON.stringify({ ...book.settings, shown: false }),
        version: 1,
      });
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
