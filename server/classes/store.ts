import type { ClassDetail, ClassSummary, Standing } from '@cimbel/contract';
import { grouped } from '@cimbel/core';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { ownLinesOf } from '../shade-books/store';
import { pointsOfStubs, standingOf } from '../attempts/marks';
import { attemptStubsOf } from '../attempts/store';
import { TERM_COLUMNS, isReleased, maxPoints } from '../assignments/row';
import type { ClassRow, LedClass } from './access';
import { newJoinCode } from './roster';

export async function createClass(db: Knex, educatorId: string, name: string): Promise<ClassRow> {
  const [row] = await db('classes')
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

export function studentsOf(
  db: Knex,
  classId: string,
): Promise<{ id: string; name: string; number: string | null }[]> {
  return db('members')
    .join('users', 'users.id', 'members.student_id')
    .where('members.class_id', classId)
    .orderBy('users.name')
    .select('users.id', 'users.name', 'members.number');
}

export async function classDetail(db: Knex, row: LedClass, now: Date): Promise<ClassDetail> {
  const [students, assignments, ownLines, waiting] = await Promise.all([
    studentsOf(db, row.id),
    db('assignments')
      .where({ class_id: row.id })
      .orderBy('due_at')
      .select(...TERM_COLUMNS, 'house_rules'),
    ownLinesOf(db, row.educator_id),
    db('memberships').where({ class_id: row.id, state: 'waiting' }).pluck('student_id'),
  ]);
  const ids = assignments.map(({ id }) => id);
  const attempts = await attemptStubsOf(db, ids);
  const points = await pointsOfStubs(db, attempts);
  const name = (one: { assignment_id: string; student_id: string }) =>
    `${one.assignment_id} ${one.student_id}`;
  const attemptsBy = grouped(attempts, name);
  // For most the due time is that of everybody, so a row for each time costs a fraction of one for each student.
  const own: { assignment_id: string; due_at: Date; student_ids: string[] }[] = await db('set_for')
    .where({ class_id: row.id })
    .groupBy('assignment_id', 'due_at')
    .select('assignment_id', 'due_at', db.raw('array_agg(student_id) as student_ids'));
  const dueBy = new Map(
    own.flatMap(({ assignment_id, due_at, student_ids }) =>
      student_ids.map((student_id) => [name({ assignment_id, student_id }), due_at]),
    ),
  );
  const standings = (studentId: string): Record<string, Standing> =>
    Object.fromEntries(
      assignments.map((assignment) => {
        const at = name({ assignment_id: assignment.id, student_id: studentId });
        const due_at = dueBy.get(at);
        const terms = due_at ? { ...assignment, due_at } : null;
        return [assignment.id, standingOf(attemptsBy.get(at) ?? [], terms, points)];
      }),
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
      passMark: assignment.house_rules.passMark,
      released: isReleased(assignment, now),
    })),
    students: students.map(({ id, name: called }) => ({ id, name: called, standings: standings(id) })),
  };
}
