import type { StudentExercise, StudentExerciseSummary } from '@cimbel/contract';
import { underlayChoices } from '@cimbel/core/theory';
import type { Knex } from 'knex';
import type { ExerciseOfClass, OfClass } from '../exercises/access';
import {
  isReleased,
  looksOf,
  maxPoints,
  nowLookOf,
  type AnyExerciseRow,
  type SetRow,
} from '../exercises/row';
import { attemptOf, pointsOf, standingOf, type AnyAttemptRow } from './store';

export const resultReady = (
  attempt: Pick<AnyAttemptRow, 'submitted_at'> | undefined,
  exercise: SetRow,
  now: Date,
) => Boolean(attempt?.submitted_at) && isReleased(exercise, now);

/** Chosen field by field: what is not named here (natural level, key) cannot slip out to a student. */
export async function studentView(
  db: Knex,
  exercise: ExerciseOfClass,
  studentId: string,
  now: Date,
): Promise<StudentExercise> {
  const attempt = await attemptOf(db, exercise.id, studentId);
  const { client, zone, service, density, target } = exercise.kase;
  return {
    id: exercise.id,
    title: exercise.title,
    className: exercise.class_name,
    client,
    looks: looksOf(exercise),
    facts: {
      greyShare: zone.greyShare,
      porosity: zone.porosity,
      diameter: zone.diameter,
      service,
      density,
      target,
    },
    line: exercise.line,
    houseRules: exercise.house_rules,
    underlayChoices: underlayChoices(exercise.house_rules),
    rubric: exercise.rubric,
    dueAt: exercise.due_at.toISOString(),
    late: !attempt?.submitted_at && now > exercise.due_at,
    draft: attempt
      ? { answer: attempt.answer, version: attempt.version, updatedAt: attempt.updated_at.toISOString() }
      : null,
    submittedAt: attempt?.submitted_at?.toISOString() ?? null,
    resultReady: resultReady(attempt, exercise, now),
  };
}

export async function studentList(db: Knex, studentId: string, now: Date): Promise<StudentExerciseSummary[]> {
  const exercises: OfClass<AnyExerciseRow>[] = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .join('memberships', 'memberships.class_id', 'classes.id')
    .where('memberships.student_id', studentId)
    .orderBy('exercises.due_at')
    .select('exercises.*', 'classes.name as class_name');
  const attempts = (await db('attempts').where({ student_id: studentId })) as AnyAttemptRow[];
  const points = await pointsOf(db, attempts);
  return exercises.map((exercise) => {
    const attempt = attempts.find(({ exercise_id }) => exercise_id === exercise.id);
    const standing = standingOf(attempt, exercise, points);
    const ready = resultReady(attempt, exercise, now);
    return {
      id: exercise.id,
      kind: exercise.kind,
      title: exercise.title,
      className: exercise.class_name,
      clientName: exercise.kase.client.name,
      now: nowLookOf(exercise),
      dueAt: exercise.due_at.toISOString(),
      state: standing.state,
      late: standing.late || (!attempt?.submitted_at && now > exercise.due_at),
      resultReady: ready,
      points: ready ? standing.points : null,
      max: maxPoints(exercise.rubric),
    };
  });
}
