import type { EducatorExercise } from '@cimbel/contract';
import type { Knex } from 'knex';
import { attemptsOf, changesOf, effectiveGrade, pointsOf, standingOf } from '../attempts/store';
import { studentsOf } from '../classes/store';
import type { ExerciseOfClass } from './access';
import { isReleased, maxPoints } from './row';

export async function educatorView(
  db: Knex,
  exercise: ExerciseOfClass,
  now: Date,
): Promise<EducatorExercise> {
  const [students, attempts] = await Promise.all([
    studentsOf(db, exercise.class_id),
    attemptsOf(db, [exercise.id]),
  ]);
  const [points, changes] = await Promise.all([
    pointsOf(db, attempts),
    changesOf(
      db,
      attempts.map(({ id }) => id),
    ),
  ]);
  return {
    id: exercise.id,
    classId: exercise.class_id,
    className: exercise.class_name,
    title: exercise.title,
    kase: exercise.kase,
    line: exercise.line,
    houseRules: exercise.house_rules,
    key: exercise.key,
    rubric: exercise.rubric,
    max: maxPoints(exercise.rubric),
    dueAt: exercise.due_at.toISOString(),
    release: exercise.release,
    released: isReleased(exercise, now),
    rows: students.map(({ id, name }) => {
      const attempt = attempts.find((a) => a.student_id === id);
      const own = attempt ? (changes.get(attempt.id) ?? []) : [];
      return {
        studentId: id,
        name,
        ...standingOf(attempt, exercise, points),
        grade: attempt?.grade ? effectiveGrade(attempt.grade, own) : null,
        changed: own.length > 0,
      };
    }),
  };
}
