import type { Result } from '@cimbel/contract';
import { withGiven } from '@cimbel/core/exercise';
import type { Knex } from 'knex';
import type { AssignmentRow } from '../assignments/row';
import { commentsOf } from './comments';
import { hintsOn } from '../live/hints';
import { markChangesOf, countingOf, effectiveGrade, isLate, lateLoss, pointsOf, worthOf } from './marks';
import { attemptsOfStudent, receiptOf, type AttemptRow } from './store';

/** A handed-in card beside the model answer; the assignment's dates are the student's own. */
export async function resultOf(
  db: Knex,
  assignment: AssignmentRow,
  attempt: AttemptRow,
  studentName: string,
  askerId: string,
): Promise<Result> {
  const { model_answer, open_steps: open } = assignment;
  const attempts = await attemptsOfStudent(db, assignment.id, attempt.student_id);
  const changes = (await markChangesOf(db, [attempt.id])).get(attempt.id) ?? [];
  const points = await pointsOf(db, attempts);
  const counting = countingOf(attempts, assignment, points);
  const grade = effectiveGrade(attempt.grade!, changes);
  const loss = lateLoss(attempt, assignment, grade.points);
  return {
    attemptId: attempt.id,
    assignmentId: assignment.id,
    title: assignment.title,
    studentName,
    clientCase: model_answer.clientCase,
    lines: assignment.lines,
    houseRules: assignment.house_rules,
    modelAnswer: model_answer,
    judgement: assignment.judgement,
    open,
    slip: assignment.slip,
    answer: withGiven(attempt.answer, model_answer.card, open),
    grade: { ...grade, points: grade.points - loss },
    changes,
    submittedAt: attempt.submitted_at!.toISOString(),
    dueAt: assignment.due_at.toISOString(),
    late: isLate(attempt, assignment),
    lateLoss: loss,
    receipt: receiptOf(attempt),
    hints: await hintsOn(db, { ...attempt, attempt: attempt.number }),
    comments: (await commentsOf(db, [attempt], askerId)).get(attempt.id) ?? [],
    attempts: attempts
      .filter(({ submitted_at }) => submitted_at !== null)
      .map((attemptRow) => ({
        attemptId: attemptRow.id,
        number: attemptRow.number,
        points: worthOf(attemptRow, assignment, points) ?? 0,
        submittedAt: attemptRow.submitted_at!.toISOString(),
        counts: attemptRow.id === counting?.id,
      })),
  };
}
