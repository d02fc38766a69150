import type { Knex } from 'knex';
import { rowOf } from '../db/rows';
import { endSessions } from '../http/session';
import { record } from '../log/store';
import type { ClassRow } from './access';
import type { MembershipRow } from './roster';

/** Every table that keeps something of a student, and what of it is theirs. Tests hold it against the database. */
export const KEPT_OF_STUDENT = [
  'memberships',
  'assignment_students',
  'attempts',
  'reveals',
  'plays',
  'at_work',
  'hints',
  'released_to',
  'drill_answers',
  'sittings',
  'grade_entries',
  'term_sheets',
] as const;

type KeptTable = (typeof KEPT_OF_STUDENT)[number];

/** Rows of one table that are a student's: of one class, or of all where none is named. */
function rowsOf(db: Knex, table: KeptTable, studentId: string, classId: string | null) {
  const own = db(table).where({ student_id: studentId });
  if (classId === null) return own;
  const ofClass = (parent: 'assignments' | 'reading_tests') =>
    db(parent).where({ class_id: classId }).select('id');
  switch (table) {
    case 'memberships':
    case 'drill_answers':
    case 'term_sheets':
      return own.where({ class_id: classId });
    case 'sittings':
      return own.whereIn('test_id', ofClass('reading_tests'));
    case 'grade_entries':
      return own.whereIn('column_id', db('grade_columns').where({ class_id: classId }).select('id'));
    default:
      return own.whereIn('assignment_id', ofClass('assignments'));
  }
}

/** What is kept of a student, by table. */
export interface StudentData {
  format: 'cimbel-student-data';
  /** Version of the format. */
  version: 1;
  /** The account. */
  student: object | undefined;
  /** Rows, by table. */
  tables: Record<string, object[]>;
}

/**
 * What is kept of a student, by table, to be taken along; hashes and secrets left out. Of one class, which is all that those
 * who lead it may see; of all classes for the owner of the account.
 */
export async function dataOf(db: Knex, studentId: string, classId: string | null): Promise<StudentData> {
  const user = await db('users').where({ id: studentId }).first('id', 'name', 'email', 'role', 'created_at');
  const tables: Record<string, object[]> = {};
  for (const table of KEPT_OF_STUDENT) tables[table] = await rowsOf(db, table, studentId, classId);
  const of = (table: KeptTable) => tables[table].map((row) => (row as { id: string }).id);
  tables.mark_changes = await db('mark_changes').whereIn('attempt_id', of('attempts'));
  tables.answer_states = await db('answer_states').whereIn('attempt_id', of('attempts'));
  tables.comments = await db('comments').whereIn('attempt_id', of('attempts'));
  tables.former_grades = await db('former_grades').whereIn('attempt_id', of('attempts'));
  tables.sitting_answers = await db('sitting_answers').whereIn('sitting_id', of('sittings'));
  const log = db('log').where((about) =>
    about.where({ actor_id: studentId }).orWhere({ subject_id: studentId }),
  );
  tables.log = await (classId === null ? log : log.where({ class_id: classId }));
  // Of a link the secret is kept nowhere; its hash is nobody's to take along either.
  if (classId === null)
    tables.calendar_links = await db('calendar_links')
      .where({ account_id: studentId })
      .select('class_id', 'made_at', 'fetched_at');
  return { format: 'cimbel-student-data', version: 1, student: user, tables };
}

/** The same as it is written to a file: the tables beside the account. */
export const asFile = ({ tables, ...account }: StudentData): object => ({ ...account, ...tables });

/** Whether a student has, or had, a place in another class than one; what is theirs as a person is then not one class's. */
export const isElsewhere = async (
  db: Knex,
  studentId: string,
  classId: string,
  states: readonly MembershipRow['state'][],
): Promise<boolean> =>
  (await db('memberships')
    .where({ student_id: studentId })
    .whereNot({ class_id: classId })
    .whereIn('state', [...states])
    .first('class_id')) !== undefined;

/**
 * Takes all that a class keeps of a student out for good, and their place in it. The account is its owner's and stays; only a
 * place that nobody has claimed goes with it, where no other class has it. What the log says stays, with no name to it.
 */
export async function deleteStudent(
  db: Knex,
  inClass: ClassRow,
  educatorId: string,
  studentId: string,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    for (const table of [...KEPT_OF_STUDENT].reverse())
      await rowsOf(trx, table, studentId, inClass.id).delete();
    const user = await trx('users').where({ id: studentId }).first('email');
    const hasPlace = await trx('memberships').where({ student_id: studentId }).first('class_id');
    if (rowOf(user, 'users').email === null && !hasPlace)
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

/** Takes an account and all that is kept of it, in every class, out for good: by its owner's own word. */
export async function deleteAccount(db: Knex, studentId: string, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    await endSessions(trx, studentId, { besides: null });
    const places = await trx('memberships').where({ student_id: studentId }).select('class_id');
    for (const table of [...KEPT_OF_STUDENT].reverse()) await rowsOf(trx, table, studentId, null).delete();
    await trx('users').where({ id: studentId }).delete();
    for (const { class_id } of places)
      await record(trx, {
        at: now,
        actor: null,
        action: 'account.deleted',
        classId: class_id,
        subject: studentId,
      });
  });
}
