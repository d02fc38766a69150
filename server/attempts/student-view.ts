import type { StudentAssignment, StudentAssignmentSummary } from '@cimbel/contract';
import { asSet, mainRegion } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import type { AssignmentOfClass } from '../assignments/access';
import { exerciseOf, isClosed, isReleased, maxPoints } from '../assignments/row';
import { asRevealed } from './reveals';
import { keptLit } from './kept-looks';
import { attemptOf, pointsOf, receiptOf, standingOf, type AttemptRow } from './store';

const resultReady = (
  attempt: Pick<AttemptRow, 'submitted_at'> | undefined,
  assignment: Parameters<typeof isReleased>[0],
  now: Date,
) => Boolean(attempt?.submitted_at) && isReleased(assignment, now);

export async function studentView(
  db: Knex,
  assignment: AssignmentOfClass,
  studentId: string,
  now: Date,
): Promise<StudentAssignment> {
  const attempt = await attemptOf(db, assignment.id, studentId);
  const answer = attempt ? await asRevealed(db, assignment, studentId, attempt.answer) : null;
  return {
    ...asSet(exerciseOf(assignment), answer, keptLit(assignment)),
    id: assignment.id,
    title: assignment.title,
    className: assignment.class_name,
    rubric: assignment.rubric,
    dueAt: assignment.due_at.toISOString(),
    late: !attempt?.submitted_at && now > assignment.due_at,
    closed: !attempt?.submitted_at && isClosed(assignment, now),
    draft: attempt
      ? { answer: answer!, version: attempt.version, updatedAt: attempt.updated_at.toISOString() }
      : null,
    submittedAt: attempt?.submitted_at?.toISOString() ?? null,
    receipt: attempt ? receiptOf(attempt) : null,
    resultReady: resultReady(attempt, assignment, now),
  };
}

/** What a list shows of an exercise; its lines and model answer, many times as much, stay where they are. */
const LISTED = [
  'assignments.id',
  'assignments.title',
  'assignments.client_case',
  'assignments.rubric',
  'assignments.due_at',
  'assignments.release',
  'assignments.released_at',
] as const;
type Listed = Pick<
  AssignmentOfClass,
  'id' | 'title' | 'client_case' | 'rubric' | 'due_at' | 'release' | 'released_at' | 'class_name'
>;

export async function studentList(
  db: Knex,
  studentId: string,
  now: Date,
): Promise<StudentAssignmentSummary[]> {
  const assignments: Listed[] = await db('assignments')
    .join('classes', 'classes.id', 'assignments.class_id')
    .join('members', 'members.class_id', 'classes.id')
    .where('members.student_id', studentId)
    // Of a class that is put away what was handed in stays to be read.
    .where((open) =>
      open
        .whereNull('classes.archived_at')
        .orWhereExists((mine) =>
          mine
            .from('attempts')
            .where('assignment_id', db.ref('assignments.id'))
            .where('student_id', studentId)
            .whereNotNull('submitted_at'),
        ),
    )
    .orderBy('assignments.due_at')
    .select(...LISTED, 'classes.name as class_name');
  const attempts: AttemptRow[] = await db('attempts').where({ student_id: studentId });
  const points = await pointsOf(db, attempts);
  return assignments.map((assignment) => {
    const attempt = attempts.find(({ assignment_id }) => assignment_id === assignment.id);
    const standing = standingOf(attempt, assignment, points);
    const ready = resultReady(attempt, assignment, now);
    return {
      id: assignment.id,
      title: assignment.title,
      className: assignment.class_name,
      clientName: assignment.client_case.client.name,
      now: keptLit(assignment).daylight.now[mainRegion(assignment.client_case.head)],
      dueAt: assignment.due_at.toISOString(),
      state: standing.state,
      late: standing.late || (!attempt?.submitted_at && now > assignment.due_at),
      resultReady: ready,
      points: ready ? standing.points : null,
      max: maxPoints(assignment.rubric),
    };
  });
}
