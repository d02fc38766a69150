import type { EducatorAssignment } from '@cimbel/contract';
import type { Misconception } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { markChangesOf, countingOf, effectiveGrade, pointsOf, standingOf } from '../attempts/marks';
import { attemptsOf } from '../attempts/store';
import { studentsOf } from '../classes/store';
import type { LedAssignment } from './access';
import { formerStandard } from './regrade';
import { isClosed, isReleased, maxPoints, termsOf } from './row';
import { studentTermsOf } from './terms';
import { rowOf } from '../db/rows';
import { variantNumber, variantsOf } from './variants';

/** An assignment as the educator of its class sees it: who has handed in what, beside the model answer. */
export async function educatorView(
  db: Knex,
  assignment: LedAssignment,
  now: Date,
): Promise<EducatorAssignment> {
  const [students, attempts, own, terms, exercise, varied] = await Promise.all([
    studentsOf(db, assignment.class_id),
    attemptsOf(db, [assignment.id]),
    db('set_for').where({ assignment_id: assignment.id }).select('student_id', 'due_at', 'released_at'),
    studentTermsOf(db, assignment.id),
    db('exercises').where({ id: assignment.exercise_id }).first('version'),
    variantsOf(db, [assignment]),
  ]);
  const [points, changes, former] = await Promise.all([
    pointsOf(db, attempts),
    markChangesOf(
      db,
      attempts.map(({ id }) => id),
    ),
    formerStandard(db, assignment),
  ]);
  const variants = varied.get(assignment.id) ?? [];
  const heldOf = new Map<string, { due_at: Date; released_at: Date | null }>(
    own.map((one) => [one.student_id, one]),
  );
  const rows = students.flatMap(({ id, name, number }) => {
    const held = heldOf.get(id);
    const theirs = attempts.filter((attemptRow) => attemptRow.student_id === id);
    if (!held && theirs.length === 0) return [];
    const mine = { ...assignment, due_at: held?.due_at ?? assignment.due_at };
    const counting = countingOf(theirs, mine, points);
    const markChanges = counting ? (changes.get(counting.id) ?? []) : [];
    return {
      studentId: id,
      name,
      number,
      ...standingOf(theirs, mine, points),
      grade: counting?.grade ? effectiveGrade(counting.grade, markChanges) : null,
      changed: markChanges.length > 0,
      released: counting !== undefined && Boolean(held?.released_at),
      variant: variants.length > 1 ? variantNumber(assignment.id, id, variants.length) : null,
      notTaken: theirs.find(({ not_taken }) => not_taken !== null)?.not_taken ?? null,
    };
  });
  const shown = new Map<Misconception, number>();
  for (const { grade } of rows)
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
    modelAnswer: assignment.model_answer,
    setAs: assignment.variants,
    variants: variants.map(({ number, client_case, model_answer }) => ({
      number,
      clientCase: client_case,
      modelAnswer: model_answer,
    })),
    open: assignment.open_steps,
    slip: assignment.slip,
    rubric: assignment.rubric,
    judgement: assignment.judgement,
    former,
    max: maxPoints(assignment.rubric),
    dueAt: assignment.due_at.toISOString(),
    terms: termsOf(assignment, terms),
    version: assignment.exercise_version,
    newestVersion: rowOf(exercise, 'exercises').version,
    released: isReleased(assignment, now),
    closed: isClosed(assignment, now),
    closedByHand: assignment.closed_at !== null,
    misconceptions: [...shown]
      .map(([name, count]) => ({ name, students: count }))
      .sort((a, b) => b.students - a.students),
    rows,
  };
}
