import type { Knex } from 'knex';
import { HttpError } from '../http/errors';
import { endSessions } from '../http/session';
import { record } from '../log/store';
import type { ClassRow } from './access';

/** Every table that keeps something of a student, and what of it is theirs. Tests hold it against the database. */
export const KEPT_OF_STUDENT = [
  'memberships',
  'assignment_students',
  'attempts',
  'reveals',
  'drill_answers',
  'sittings',
] as const;

/** All that is kept of a student, by table, to be taken along; hashes and secrets left out. */
export async function dataOf(db: Knex, studentId: string): Promise<object> {
  const user = await db('users').where({ id: studentId }).first('id', 'name', 'email', 'role', 'created_at');
  const tables: Record<string, object[]> = {};
  for (const table of KEPT_OF_STUDENT) tables[table] = await db(table).where({ student_id: studentId });
  const of = (table: string) => tables[table].map((row) => (row as { id: string }).id);
  tables.mark_changes = await db('mark_changes').whereIn('attempt_id', of('attempts'));
  tables.former_grades = await db('former_grades').whereIn('attempt_id', of('attempts'));
  tables.sitting_answers = await db('sitting_answers').whereIn('sitting_id', of('sittings'));
  tables.log = await db('log').where({ actor_id: studentId }).orWhere({ subject_id: studentId });
  return { format: 'cimbel-student-data', version: 1, student: user, ...tables };
}

/**
 * Takes a student's account and all that is kept of it out for good. What the log says of them stays, with no name to it.
 *
 * @throws HttpError 409 where they are in a class of another educator.
 */
export async function deleteStudent(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  studentId: string,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    const elsewhere = await trx('memberships')
      .where({ student_id: studentId })
      .whereNotIn('class_id', trx('leaders').where({ educator_id: educatorId }).select('class_id'))
      .first('class_id');
    if (elsewhere)
      throw new HttpError(
        409,
        'roster.elsewhere',
        'This student is in a class of another educator too; remove them from yours instead.',
      );
    await endSessions(trx, studentId, { besides: null });
    for (const table of [...KEPT_OF_STUDENT].reverse())
      await trx(table).where({ student_id: studentId }).delete();
    await trx('users').where({ id: studentId }).delete();
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'roster.deleted',
      classId: inClass.id,
      subject: studentId,
    });
  });
}
