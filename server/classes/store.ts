import type { ClassDetail, ClassSummary, Standing } from '@cimbel/contract';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import { ownLinesOf } from '../shade-books/store';
import { attemptsOf, pointsOf, standingOf, type AttemptRow } from '../attempts/store';
import { isReleased, maxPoints, type AssignmentRow } from '../assignments/row';
import type { ClassRow, LedClass } from './access';
import { newJoinCode } from './roster';

export async function createClass(db: Knex, educatorId: string, name: string): Promise<ClassRow> {
  const [row] = await db<ClassRow>('classes')
    .insert({
      educator_id: educatorId,
      name,
      join_code: newJoinCode(),
      house_rules: JSON.stringify(DEFAULT_HOUSE_RULES) as never,
    })
    .returning('*');
  return row;
}

export async function classesOf(db: Knex, educatorId: string): Promise<ClassSummary[]> {
  const rows = await db('classes')
    .join('leaders', 'leaders.class_id', 'classes.id')
    .where({ 'leaders.educator_id': educatorId })
    .orderBy('created_at')
    .select('id', 'name', 'join_code as joinCode', db.raw('archived_at is not null as archived'))
    .select(
      db('members').count().where('class_id', db.ref('classes.id')).as('students'),
      db('assignments').count().where('class_id', db.ref('classes.id')).as('assignments'),
    );
  return rows.map((row) => ({
    ...row,
    students: Number(row.students),
    assignments: Number(row.assignments),
  }));
}

export function studentsOf(db: Knex, classId: string): Promise<{ id: string; name: string }[]> {
  return db('members')
    .join('users', 'users.id', 'members.student_id')
    .where('members.class_id', classId)
    .orderBy('users.name')
    .select('users.id', 'users.name');
}

export async function classDetail(db: Knex, row: LedClass, now: Date): Promise<ClassDetail> {
  const [students, assignments, ownLines, waiting] = await Promise.all([
    studentsOf(db, row.id),
    db<AssignmentRow>('assignments').where({ class_id: row.id }).orderBy('due_at'),
    ownLinesOf(db, row.educator_id),
    db('memberships').where({ class_id: row.id, state: 'waiting' }).pluck('student_id'),
  ]);
  const ids = assignments.map(({ id }) => id);
  const attempts = await attemptsOf(db, ids);
  const points = await pointsOf(db, attempts);
  const attemptOf = new Map(
    attempts.map((attempt: AttemptRow) => [`${attempt.assignment_id} ${attempt.student_id}`, attempt]),
  );
  const standings = (studentId: string): Record<string, Standing> =>
    Object.fromEntries(
      assignments.map((assignment) => [
        assignment.id,
        standingOf(attemptOf.get(`${assignment.id} ${studentId}`), assignment, points),
      ]),
    );
  return {
    id: row.id,
    name: row.name,
    joinCode: row.join_code,
    waiting: waiting.length,
    archived: row.archived_at !== null,
    rights: row.rights,
    houseRules: row.house_rules,
    ownLines,
    assignments: assignments.map((assignment) => ({
      id: assignment.id,
      title: assignment.title,
      dueAt: assignment.due_at.toISOString(),
      max: maxPoints(assignment.rubric),
      released: isReleased(assignment, now),
    })),
    students: students.map((student) => ({ ...student, standings: standings(student.id) })),
  };
}
