import type { ClassDetail, ClassSummary, Standing } from '@cimbel/contract';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import { ownLinesOf } from '../shade-books/store';
import { randomInt } from 'node:crypto';
import { attemptsOf, pointsOf, standingOf, type AttemptRow } from '../attempts/store';
import { isReleased, maxPoints, type AssignmentRow } from '../assignments/row';
import type { ClassRow } from './access';

/** No O/0, I/1, so that a code read out in class is typed right. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const joinCode = () => Array.from({ length: 8 }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');

export async function createClass(db: Knex, educatorId: string, name: string): Promise<ClassRow> {
  const [row] = await db<ClassRow>('classes')
    .insert({
      educator_id: educatorId,
      name,
      join_code: joinCode(),
      house_rules: JSON.stringify(DEFAULT_HOUSE_RULES) as never,
    })
    .returning('*');
  return row;
}

export async function classesOf(db: Knex, educatorId: string): Promise<ClassSummary[]> {
  const rows = await db('classes')
    .where({ educator_id: educatorId })
    .orderBy('created_at')
    .select('id', 'name', 'join_code as joinCode')
    .select(
      db('memberships').count().where('class_id', db.ref('classes.id')).as('students'),
      db('assignments').count().where('class_id', db.ref('classes.id')).as('assignments'),
    );
  return rows.map((row) => ({
    ...row,
    students: Number(row.students),
    assignments: Number(row.assignments),
  }));
}

/** True when the code names a class; joining twice is joining once. */
export async function joinClass(db: Knex, studentId: string, code: string): Promise<{ name: string } | null> {
  const found = await db<ClassRow>('classes').where({ join_code: code }).first();
  if (!found) return null;
  await db('memberships').insert({ class_id: found.id, student_id: studentId }).onConflict().ignore();
  return { name: found.name };
}

export function studentsOf(db: Knex, classId: string): Promise<{ id: string; name: string }[]> {
  return db('memberships')
    .join('users', 'users.id', 'memberships.student_id')
    .where('memberships.class_id', classId)
    .orderBy('users.name')
    .select('users.id', 'users.name');
}

export async function classDetail(db: Knex, row: ClassRow, now: Date): Promise<ClassDetail> {
  const [students, assignments, ownLines] = await Promise.all([
    studentsOf(db, row.id),
    db<AssignmentRow>('assignments').where({ class_id: row.id }).orderBy('due_at'),
    ownLinesOf(db, row.educator_id),
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
