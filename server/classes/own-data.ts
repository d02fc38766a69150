import type { LogAction } from '@cimbel/contract';
import type { Knex } from 'knex';
import { OF_STUDENT, setForStudents } from '../assignments/access';
import { isShown, type AssignmentRow } from '../assignments/row';
import type { AttemptRow } from '../attempts/store';
import { answersOpen, hasEnded, type SittingRow, type TestRow } from '../reading/rows';
import { asFile, dataOf } from './person';

/** Ids of assignments whose marks and model answer the student may see by now. */
async function shownTo(
  db: Knex,
  studentId: string,
  attempts: readonly AttemptRow[],
  now: Date,
): Promise<ReadonlySet<string>> {
  const ids = [...new Set(attempts.map(({ assignment_id }) => assignment_id))];
  const plain: AssignmentRow[] = await db('assignments').whereIn('id', ids);
  const own: AssignmentRow[] = await setForStudents(db)
    .whereIn('assignments.id', ids)
    .where({ 'set_for.student_id': studentId })
    .select('assignments.*', ...OF_STUDENT);
  // Where it is not set to them any more, by the dates of the class.
  const rows = new Map([...plain, ...own].map((row) => [row.id, row]));
  const handedIn = (id: string) =>
    attempts.filter(({ assignment_id, submitted_at }) => assignment_id === id && submitted_at !== null)
      .length;
  return new Set(ids.filter((id) => isShown(rows.get(id)!, handedIn(id), now)));
}

/** Ids of sittings whose questions and marks the student may see by now. */
async function openSittings(
  db: Knex,
  sittings: readonly SittingRow[],
  now: Date,
): Promise<ReadonlySet<string>> {
  const tests: TestRow[] = await db('reading_tests').whereIn(
    'id',
    sittings.map(({ test_id }) => test_id),
  );
  const byId = new Map(tests.map((test) => [test.id, test]));
  return new Set(
    sittings.flatMap((sitting) =>
      hasEnded(sitting, now) && answersOpen(byId.get(sitting.test_id)!) ? [sitting.id] : [],
    ),
  );
}

/** What the log says of a mark or a comment is told with the mark, in the tables of both. */
const TOLD_WITH_THE_MARK: readonly string[] = [
  'attempt.mark',
  'attempt.markBack',
  'attempt.comment',
  'attempt.commentBack',
  'gradebook.mark',
] satisfies LogAction[];

/**
 * What is kept of a student, for the student. Marks, and what questions are drawn from, tell the answer: they are left out
 * until they are out for the student on the page as well, and the file names what it holds back.
 */
export async function ownDataOf(db: Knex, studentId: string, now: Date): Promise<object> {
  const data = await dataOf(db, studentId, null);
  const { tables } = data;
  const attempts = tables.attempts as AttemptRow[];
  const sittings = tables.sittings as SittingRow[];
  const [shown, open] = await Promise.all([
    shownTo(db, studentId, attempts, now),
    openSittings(db, sittings, now),
  ]);
  const heldAttempts = new Set(
    attempts.flatMap(({ id, assignment_id }) => (shown.has(assignment_id) ? [] : [id])),
  );
  const heldSittings = new Set(sittings.flatMap(({ id }) => (open.has(id) ? [] : [id])));
  const heldWork = new Set([
    ...attempts.flatMap(({ id, assignment_id }) => (heldAttempts.has(id) ? [assignment_id] : [])),
    ...sittings.flatMap(({ id, test_id }) => (heldSittings.has(id) ? [test_id] : [])),
  ]);
  const ofShown = (rows: object[]) =>
    (rows as { attempt_id: string }[]).filter(({ attempt_id }) => !heldAttempts.has(attempt_id));
  return {
    ...asFile({
      ...data,
      tables: {
        ...tables,
        attempts: attempts.map((attempt) =>
          heldAttempts.has(attempt.id) ? { ...attempt, grade: null, before: null } : attempt,
        ),
        mark_changes: ofShown(tables.mark_changes),
        former_grades: ofShown(tables.former_grades),
        answer_states: ofShown(tables.answer_states),
        comments: ofShown(tables.comments),
        sittings: sittings.map((sitting) => (open.has(sitting.id) ? sitting : { ...sitting, items: null })),
        sitting_answers: (tables.sitting_answers as { sitting_id: string }[]).map((answer) =>
          open.has(answer.sitting_id) ? answer : { ...answer, score: null, reading: null },
        ),
        grade_entries: (tables.grade_entries as { column_id: string }[]).filter(
          ({ column_id }) => !heldWork.has(column_id),
        ),
        log: (tables.log as { action: string }[]).filter(
          ({ action }) => !TOLD_WITH_THE_MARK.includes(action),
        ),
      },
    }),
    held_back: {
      attempts: [...heldAttempts],
      sittings: [...heldSittings],
    },
  };
}
