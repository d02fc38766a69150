import type { StudentTerms, Terms, TermsEffect } from '@cimbel/contract';
import type { Knex } from 'knex';
import { pointsOf, standingOf } from '../attempts/marks';
import { attemptsOf, type AttemptRow } from '../attempts/store';
import { isTimeUp } from '../attempts/time-limit';
import { studentsOf } from '../classes/store';
import { invalidField } from '../http/errors';
import { record } from '../log/store';
import { isClosed, termsOf, type AssignmentRow, type StudentTermsRow } from './row';

const dateOf = (iso: string | null) => (iso === null ? null : new Date(iso));

/** Columns of an assignment that its terms are. */
export const columnsOfTerms = (terms: Terms) => ({
  opens_at: dateOf(terms.opensAt),
  due_at: new Date(terms.dueAt),
  release: terms.release,
  attempts_allowed: terms.attempts,
  counted: terms.counted,
  late: terms.late,
  late_percent: terms.latePercent,
  minutes: terms.minutes,
  plays_allowed: terms.plays,
  everyone: terms.everyone,
  last_due_at: new Date(
    Math.max(
      ...[
        // The date of the class holds for no student where each of those it is set to has a date of their own.
        ...(terms.everyone || terms.students.some(({ dueAt }) => dueAt === null) ? [terms.dueAt] : []),
        ...terms.students.flatMap(({ dueAt }) => dueAt ?? []),
      ].map((due) => Date.parse(due)),
    ),
  ),
});

const rowOf = (assignmentId: string, studentTerms: StudentTerms): StudentTermsRow => ({
  assignment_id: assignmentId,
  student_id: studentTerms.studentId,
  opens_at: dateOf(studentTerms.opensAt),
  due_at: dateOf(studentTerms.dueAt),
  attempts: studentTerms.attempts,
  extra_time_share: studentTerms.extraTimeShare,
});

/** @throws HttpError 422 where a student is not in the class. */
export async function checkStudents(db: Knex, classId: string, terms: Terms): Promise<void> {
  const known = new Set((await studentsOf(db, classId)).map(({ id }) => id));
  terms.students.forEach(({ studentId }, i) => {
    if (!known.has(studentId))
      throw invalidField(
        `students.${i}.studentId`,
        'unknown',
        'This student is not in the class. Choose another one.',
      );
  });
}

export const studentTermsOf = (db: Knex, assignmentId: string): Promise<StudentTermsRow[]> =>
  db('assignment_students').where({ assignment_id: assignmentId }).orderBy('student_id');

/** Writes for whom an assignment is and what holds for each, in place of what was there. */
export async function writeStudents(trx: Knex, assignmentId: string, terms: Terms): Promise<void> {
  await trx('assignment_students').where({ assignment_id: assignmentId }).delete();
  if (terms.students.length > 0)
    await trx('assignment_students').insert(
      terms.students.map((studentTerms) => rowOf(assignmentId, studentTerms)),
    );
}

/** What holds for one student under terms; null where it is not set to them. */
function forStudent(row: AssignmentRow, terms: Terms, studentId: string, extra: number) {
  const own = terms.students.find((studentTerms) => studentTerms.studentId === studentId);
  if (!own && !terms.everyone) return null;
  const columns = columnsOfTerms(terms);
  return {
    ...row,
    ...columns,
    due_at: dateOf(own?.dueAt ?? null) ?? columns.due_at,
    attempts_allowed: own?.attempts ?? columns.attempts_allowed,
    extra_time_share: own?.extraTimeShare ?? extra,
  };
}
type Held = NonNullable<ReturnType<typeof forStudent>>;

/** Whether an attempt under way has run out of time. */
const hasRunOut = (held: Held, attempts: readonly AttemptRow[], now: Date): boolean =>
  attempts.some((attempt) => attempt.submitted_at === null && isTimeUp(held, attempt, now));

function effectsFor(
  before: Held | null,
  after: Held | null,
  attempts: readonly AttemptRow[],
  points: ReadonlyMap<string, number>,
  now: Date,
): Pick<TermsEffect, 'effects' | 'points'> {
  if (!before) return { effects: [], points: null };
  if (!after) return { effects: ['noLonger'], points: null };
  const [was, will] = [before, after].map((held) => standingOf(attempts, held, points));
  const [wasClosed, willClose] = [before, after].map((held) => isClosed(held, now));
  const underWay = was.handedIn < attempts.length;
  const effects: TermsEffect['effects'] = [
    ...(!was.late && will.late ? (['late'] as const) : []),
    ...(was.late && !will.late ? (['notLate'] as const) : []),
    ...(underWay && !wasClosed && willClose ? (['closed'] as const) : []),
    ...(underWay && wasClosed && !willClose ? (['reopened'] as const) : []),
    ...(!hasRunOut(before, attempts, now) && hasRunOut(after, attempts, now) ? (['time'] as const) : []),
    ...(was.points !== will.points ? (['points'] as const) : []),
  ];
  return {
    effects,
    points:
      was.points !== null && will.points !== null && was.points !== will.points
        ? { before: was.points, after: will.points }
        : null,
  };
}

/** What other terms would change for those who have begun; students for whom nothing changes are left out. */
export async function previewTerms(
  db: Knex,
  row: AssignmentRow,
  terms: Terms,
  now: Date,
): Promise<TermsEffect[]> {
  await checkStudents(db, row.class_id, terms);
  const before = termsOf(row, await studentTermsOf(db, row.id));
  const attempts = await attemptsOf(db, [row.id]);
  const points = await pointsOf(db, attempts);
  const members: { id: string; name: string; extra: number }[] = await db('members')
    .join('users', 'users.id', 'members.student_id')
    .where({ class_id: row.class_id })
    .orderBy('users.name')
    .select('users.id', 'users.name', 'members.extra_time_share as extra');
  return members.flatMap(({ id, name, extra }) => {
    const own = attempts.filter(({ student_id }) => student_id === id);
    if (own.length === 0) return [];
    const [was, will] = [before, terms].map((terms) => forStudent(row, terms, id, extra));
    const found = effectsFor(was, will, own, points, now);
    return found.effects.length > 0 ? [{ studentId: id, name, ...found }] : [];
  });
}

/** Gives an assignment other terms. Nothing that was handed in is lost; what it is worth follows its time and the rule for it. */
export async function changeTerms(
  db: Knex,
  row: AssignmentRow,
  educatorId: string,
  terms: Terms,
  now: Date,
): Promise<void> {
  await checkStudents(db, row.class_id, terms);
  await db.transaction(async (trx) => {
    const before = termsOf(row, await studentTermsOf(trx, row.id));
    await trx('assignments').where({ id: row.id }).update(columnsOfTerms(terms));
    await writeStudents(trx, row.id, terms);
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.changed',
      classId: row.class_id,
      subject: row.id,
      before,
      after: terms,
    });
  });
}
