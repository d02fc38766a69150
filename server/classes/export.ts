import type { Knex } from 'knex';
import type { ClassRow } from './access';

/** Tables of a class's work, those that others rest on last, each with how its rows are found. */
export const WORK_OF_CLASS = [
  ['term_sheets', 'class_id = :id'],
  ['grade_entries', 'column_id in (select id from grade_columns where class_id = :id)'],
  ['grade_columns', 'class_id = :id'],
  ['gradebooks', 'class_id = :id'],
  ['reveals', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['plays', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['released_to', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['at_work', 'assignment_id in (select id from assignments where class_id = :id)'],
  ['hints', 'assignment_id in (select id from assignments where class_id = :id)'],
  [
    'answer_states',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  [
    'comments',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  [
    'mark_changes',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  [
    'former_grades',
    'attempt_id in (select a.id from attempts a join assignments s on s.id = a.assignment_id where s.class_id = :id)',
  ],
  ['assignment_variants', 'assignment_id in (select id from assignments where class_id = :id)'],
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
  return { format: 'cimbel-class', version: 2, class: { id, name }, ...tables };
}
