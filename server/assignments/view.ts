import type { EducatorAssignment } from '@cimbel/contract';
import type { Knex } from 'knex';
import { attemptsOf, changesOf, effectiveGrade, pointsOf, standingOf } from '../attempts/store';
import { studentsOf } from '../classes/store';
import type { LedAssignment } from './access';
import { formerStandard } from './regrade';
import { isClosed, isReleased, maxPoints } from './row';

/** An assignment as the educator of its class sees it: who has handed in what, beside the model answer. */
export async function educatorView(
  db: Knex,
  assignment: LedAssignment,
  now: Date,
): Promise<EducatorAssignment> {
  const [students, attempts] = await Promise.all([
    studentsOf(db, assignment.class_id),
    attemptsOf(db, [assignment.id]),
  ]);
  const [points, changes, former] = await Promise.all([
    pointsOf(db, attempts),
    changesOf(
      db,
      attempts.map(({ id }) => id),
    ),
    formerStandard(db, assignment.id),
  ]);
  const shown = new Map<string, number>();
  for (const { grade } of attempts)
    for (const { name } of grade?.misconceptions ?? []) shown.set(name, (shown.get(name) ?? 0) + 1);
  return {
    id: assignment.id,
    exerciseId: assignment.exercise_id,
    editable: attempts.length === 0 && assignment.rights !== 'marking',
    rights: assignment.rights,
    classId: assignment.class_id,
    className: assignment.class_name,
    title: assignment.title,
    clientCase: assignment.client_case,
    lines: assignment.lines,
    houseRules: assignment.house_rules,
    solution: assignment.model_answer,
    open: assignment.open_steps,
    slip: assignment.slip,
    rubric: assignment.rubric,
    judgement: assignment.judgement,
    former,
    max: maxPoints(assignment.rubric),
    dueAt: assignment.due_at.toISOString(),
    release: assignment.release,
    released: isReleased(assignment, now),
    closed: isClosed(assignment, now),
    misconceptions: [...shown]
      .map(([name, count]) => ({ name, students: count }))
      .sort((a, b) => b.students - a.students),
    rows: students.map(({ id, name }) => {
      const attempt = attempts.find((one) => one.student_id === id);
      const own = attempt ? (changes.get(attempt.id) ?? []) : [];
      return {
        studentId: id,
        name,
        ...standingOf(attempt, assignment, points),
        grade: attempt?.grade ? effectiveGrade(attempt.grade, own) : null,
        changed: own.length > 0,
      };
    }),
  };
}
