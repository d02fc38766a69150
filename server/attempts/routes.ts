import { draftSchema, markChangeSchema, submissionSchema, type EducatorResult } from '@cimbel/contract';
import { exerciseSetToMe, type ExerciseOfClass } from '../exercises/access';
import { isReleased, type AnyExerciseRow, type ExerciseRow } from '../exercises/row';
import { HttpError } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { studentList, studentView } from './student-view';
import {
  attemptOf,
  changeMark,
  handIn,
  resultOf,
  saveDraft,
  type AnyAttemptRow,
  type AttemptRow,
} from './store';

export interface HandedIn<Exercise = ExerciseRow, Attempt = AttemptRow> {
  attempt: Attempt;
  exercise: Exercise;
  studentName: string;
}

/** A handed-in answer of any kind, for the educator of its class. */
export async function anyAnswerInMyClass({
  db,
  me,
  param,
}: Call): Promise<HandedIn<AnyExerciseRow, AnyAttemptRow> | null> {
  const attempt: AnyAttemptRow | undefined = await db('attempts')
    .where({ id: param('attemptId') })
    .whereNotNull('submitted_at')
    .first();
  if (!attempt) return null;
  const exercise: AnyExerciseRow | undefined = await db('exercises')
    .join('classes', 'classes.id', 'exercises.class_id')
    .where({ 'exercises.id': attempt.exercise_id, 'classes.educator_id': me!.id })
    .select('exercises.*')
    .first();
  if (!exercise) return null;
  const student = await db('users').where({ id: attempt.student_id }).first('name');
  return { attempt, exercise, studentName: student.name };
}

async function answerInMyClass(call: Call): Promise<HandedIn | null> {
  const found = await anyAnswerInMyClass(call);
  return found?.exercise.kind === 'formula' ? (found as HandedIn) : null;
}

/** My own handed-in answer, once its result is released. */
async function myResult(call: Call): Promise<{ exercise: ExerciseOfClass; attempt: AttemptRow } | null> {
  const exercise = await exerciseSetToMe(call);
  if (!exercise) return null;
  const attempt = await attemptOf(call.db, exercise.id, call.me!.id);
  if (!attempt?.submitted_at) return null;
  if (!isReleased(exercise, call.now())) {
    throw new HttpError(403, 'result.notReleased', 'Your educator has not released the results yet.');
  }
  return { exercise, attempt };
}

/** The answers before and after this one, by student name. */
export async function neighbours(
  { db }: Call,
  { attempt }: { attempt: Pick<AnyAttemptRow, 'id' | 'exercise_id'> },
): Promise<Pick<EducatorResult, 'previousId' | 'nextId'>> {
  const ids: string[] = await db('attempts')
    .join('users', 'users.id', 'attempts.student_id')
    .where({ exercise_id: attempt.exercise_id })
    .whereNotNull('submitted_at')
    .orderBy('users.name')
    .pluck('attempts.id');
  const at = ids.indexOf(attempt.id);
  return { previousId: ids[at - 1] ?? null, nextId: ids[at + 1] ?? null };
}

export const attemptRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/my/exercises',
    who: 'student',
    handle: ({ db, me, now }) => studentList(db, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/exercises/:exerciseId',
    who: 'student',
    reach: exerciseSetToMe,
    handle: ({ db, me, now, reached }) => studentView(db, reached, me.id, now()),
  }),
  route({
    method: 'put',
    path: '/api/my/exercises/:exerciseId/draft',
    who: 'student',
    reach: exerciseSetToMe,
    body: draftSchema,
    handle: ({ db, me, now, reached, body }) => saveDraft(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/my/exercises/:exerciseId/submission',
    who: 'student',
    reach: exerciseSetToMe,
    body: submissionSchema,
    handle: async ({ db, me, now, reached, body }) => {
      const attempt = await handIn(db, reached, me.id, body, now());
      return { submittedAt: attempt.submitted_at!.toISOString(), resultReady: isReleased(reached, now()) };
    },
  }),
  route({
    method: 'get',
    path: '/api/my/exercises/:exerciseId/result',
    who: 'student',
    reach: myResult,
    handle: ({ db, me, reached }) => resultOf(db, reached.exercise, reached.attempt, me.name),
  }),
  route({
    method: 'get',
    path: '/api/attempts/:attemptId',
    who: 'educator',
    reach: answerInMyClass,
    handle: async (call): Promise<EducatorResult> => {
      const { exercise, attempt, studentName } = call.reached;
      return {
        ...(await resultOf(call.db, exercise, attempt, studentName)),
        ...(await neighbours(call, call.reached)),
      };
    },
  }),
  route({
    method: 'post',
    path: '/api/attempts/:attemptId/mark-changes',
    who: 'educator',
    reach: anyAnswerInMyClass,
    body: markChangeSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      await changeMark(db, reached.attempt, me.id, body, now());
      res.status(201);
    },
  }),
];
