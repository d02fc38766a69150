import type { ClassDetail, ClassSummary, Standing } from '@cimbel/contract';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import { randomInt } from 'node:crypto';
import { attemptsOf, pointsOf, standingOf, type AnyAttemptRow } from '../attempts/store';
import { isReleased, maxPoints, type AnyExerciseRow } from '../exercises/row';
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
      db('exercises').count().where('class_id', db.ref('classes.id')).as('exercises'),
    );
  return rows.map((row) => ({ ...row, students: Number(row.students), exercises: Number(row.exercises) }));
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
  const [students, exercises] = await Promise.all([
    studentsOf(db, row.id),
    db<AnyExerciseRow>('exercises').where({ class_id: row.id }).orderBy('due_at'),
  ]);
  const ids = exercises.map(({ id }) => id);
  const attempts = await attemptsOf(db, ids);
  const points = await pointsOf(db, attempts);
  const standings = (studentId: string): Record<string, Standing> =>
    Object.fromEntries(
      exercises.map((exercise) => {
        const attempt = attempts.find(
          (a: AnyAttemptRow) => a.exercise_id === exercise.id && a.student_id === studentId,
        );
        return [exercise.id, standingOf(attempt, exercise, points)];
      }),
    );
  return {
    id: row.id,
    name: row.name,
    joinCode: row.join_code,
    houseRules: row.house_rules,
    exercises: exercises.map((exercise) => ({
      id: exercise.id,
      kind: exercise.kind,
      title: exercise.title,
      dueAt: exercise.due_at.toISOString(),
      max: maxPoints(exercise.rubric),
      released: isReleased(exercise, now),
    })),
    students: students.map((student) => ({ ...student, standings: standings(student.id) })),
  };
}
