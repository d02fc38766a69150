import type { SearchEntry } from '@cimbel/contract';
import { SHIPPED_LINES } from '@cimbel/core/product';
import type { Knex } from 'knex';

/** Most of a kind that are told, the newest first: more than anybody teaches. */
const MOST_OF_A_KIND = 3000;

const named = (db: Knex, kind: SearchEntry['kind'], table: string) => [
  db.raw('? as kind', [kind]),
  `${table}.id`,
  `${table}.title`,
];
const ofNoClass = (db: Knex) => [db.raw('null as "classId"'), db.raw('null as "className"')];
const OF_CLASS = ['classes.id as classId', 'classes.name as className'];

/** Work of the classes an educator leads. */
const ledWork = (db: Knex, educatorId: string, kind: 'assignment' | 'test' | 'practice', table: string) =>
  db(table)
    .join('classes', 'classes.id', `${table}.class_id`)
    .join('leaders', 'leaders.class_id', 'classes.id')
    .where('leaders.educator_id', educatorId)
    .orderBy(`${table}.created_at`, 'desc')
    .limit(MOST_OF_A_KIND)
    .select(...named(db, kind, table), db.raw("'' as also"), ...OF_CLASS);

/** What an educator may look for: all in the classes they lead, their own library and charts, and the lines that ship. */
export async function educatorsEntries(db: Knex, educatorId: string): Promise<SearchEntry[]> {
  const [classes, students, assignments, tests, practices, exercises, charts] = await Promise.all([
    db('classes')
      .join('leaders', 'leaders.class_id', 'classes.id')
      .where('leaders.educator_id', educatorId)
      .orderBy('classes.created_at', 'desc')
      .limit(MOST_OF_A_KIND)
      .select(
        db.raw("'class' as kind"),
        'classes.id',
        'classes.name as title',
        db.raw("'' as also"),
        ...OF_CLASS,
      ),
    db('members')
      .join('classes', 'classes.id', 'members.class_id')
      .join('leaders', 'leaders.class_id', 'classes.id')
      .join('users', 'users.id', 'members.student_id')
      .where('leaders.educator_id', educatorId)
      .orderBy('classes.created_at', 'desc')
      .limit(MOST_OF_A_KIND)
      .select(
        db.raw("'student' as kind"),
        'users.id',
        'users.name as title',
        db.raw("coalesce(members.number, '') as also"),
        ...OF_CLASS,
      ),
    ledWork(db, educatorId, 'assignment', 'assignments'),
    ledWork(db, educatorId, 'test', 'reading_tests'),
    ledWork(db, educatorId, 'practice', 'practices'),
    db('exercises')
      .where({ educator_id: educatorId })
      .whereNull('archived_at')
      .orderBy('updated_at', 'desc')
      .limit(MOST_OF_A_KIND)
      .select(
        ...named(db, 'exercise', 'exercises'),
        db.raw("array_to_string(tags, ' ') as also"),
        ...ofNoClass(db),
      ),
    db('shade_books')
      .join('shade_book_versions', (on) =>
        on
          .on('shade_book_versions.book_id', 'shade_books.id')
          .andOn('shade_book_versions.version', 'shade_books.version'),
      )
      .where({ educator_id: educatorId })
      .select(
        db.raw("'chart' as kind"),
        'shade_books.id',
        db.raw("shade_book_versions.line->>'name' as title"),
        db.raw("'' as also"),
        ...ofNoClass(db),
      ),
  ]);
  const lines = SHIPPED_LINES.map(({ id, name }): SearchEntry => ({
    kind: 'line',
    id,
    title: name,
    also: '',
    classId: null,
    className: null,
  }));
  return [classes, students, assignments, tests, practices, exercises, charts, lines].flat();
}

/** What a student may look for: what is set to them, and their classes' tests. */
export async function studentsEntries(db: Knex, studentId: string): Promise<SearchEntry[]> {
  const [assignments, tests] = await Promise.all([
    db('set_for')
      .join('assignments', 'assignments.id', 'set_for.assignment_id')
      .join('classes', 'classes.id', 'set_for.class_id')
      .where('set_for.student_id', studentId)
      .whereNull('classes.archived_at')
      .orderBy('assignments.created_at', 'desc')
      .limit(MOST_OF_A_KIND)
      .select(...named(db, 'assignment', 'assignments'), db.raw("'' as also"), ...OF_CLASS),
    db('reading_tests')
      .join('classes', 'classes.id', 'reading_tests.class_id')
      .join('members', 'members.class_id', 'classes.id')
      .where('members.student_id', studentId)
      .whereNull('classes.archived_at')
      .orderBy('reading_tests.created_at', 'desc')
      .limit(MOST_OF_A_KIND)
      .select(...named(db, 'test', 'reading_tests'), db.raw("'' as also"), ...OF_CLASS),
  ]);
  return [assignments, tests].flat();
}
