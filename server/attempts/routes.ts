import {
  beginSchema,
  draftSchema,
  markChangeSchema,
  revealSchema,
  simulationSchema,
  submissionSchema,
  type EducatorResult,
  type Revealed,
} from '@cimbel/contract';
import { HAIR_SIZES, type HairSize } from '@cimbel/contract/hair-pictures';
import { revealOf } from '@cimbel/core/case';
import { LIGHTS } from '@cimbel/core/colour';
import { DRAWING_NOW } from '@cimbel/core/draw';
import { z } from 'zod';
import { assignedToMe, begunByMe, openToMe, type AssignmentForMe } from '../assignments/access';
import { ledByMe } from '../classes/access';
import { isShown } from '../assignments/row';
import { checkCard } from '../assignments/check-card';
import { withVariantOf } from '../assignments/variants';
import { HttpError, invalid, notFound } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { keptPicture } from '../jobs/picture-cache';
import { atPixelRatio } from '../jobs/picture-size';
import { tellOf } from '../live/hub';
import { keptHanging } from './look-cache';
import { playCounted, playsOf } from './plays';
import { recordReveal } from './reveals';
import { changeMark, countingOf, pointsOf } from './marks';
import { resultOf } from './result';
import {
  attemptsOfStudent,
  begin,
  handIn,
  lastAttempt,
  receiptOf,
  saveDraft,
  type AttemptRow,
} from './store';
import { studentList, studentView } from './student-view';
import { endOf } from './time-limit';
import { rowOf } from '../db/rows';

/** What is asked of a picture of hair, in its address. */
const hairPictureSchema = z.object({
  light: z.enum(LIGHTS),
  region: z.coerce.number().int().min(0).max(50),
  size: z.enum(Object.keys(HAIR_SIZES) as [HairSize, ...HairSize[]]),
  ratio: z.literal(['1', '2']).default('1'),
});

interface HandedIn {
  attempt: AttemptRow;
  /** With the dates that hold for the student. */
  assignment: AssignmentForMe;
}

/** A handed-in answer, for an educator of its class. */
async function answerInMyClass(call: Call): Promise<(HandedIn & { studentName: string }) | null> {
  const { db, param } = call;
  const attempt: AttemptRow | undefined = await db('attempts')
    .where({ id: param('attemptId') })
    .whereNotNull('submitted_at')
    .first();
  if (!attempt) return null;
  // Marking is what everyone who leads the class may do. Whom it is not set to any more has handed in all the same.
  const assignment: AssignmentForMe | undefined = await ledByMe(
    db('assignments')
      .join('classes', 'classes.id', 'assignments.class_id')
      .leftJoin('set_for', (on) =>
        on
          .on('set_for.assignment_id', 'assignments.id')
          .andOn('set_for.student_id', db.raw('?', [attempt.student_id])),
      ),
    call,
  )
    .where({ 'assignments.id': attempt.assignment_id })
    .select(
      'assignments.*',
      'classes.name as class_name',
      db.raw('coalesce(set_for.due_at, assignments.due_at) as due_at'),
    )
    .first();
  if (!assignment) return null;
  const student = await db('users').where({ id: attempt.student_id }).first('name');
  return {
    attempt,
    assignment: await withVariantOf(db, assignment, attempt.student_id),
    studentName: rowOf(student, 'users').name,
  };
}

const attemptAsked = z.object({ attempt: z.coerce.number().int().min(1).optional() });

/** My own handed-in answer, once its result is released: the attempt that is asked for, or the one that counts. */
async function myResult(call: Call): Promise<HandedIn | null> {
  const assignment = await assignedToMe(call);
  if (!assignment) return null;
  const asked = attemptAsked.safeParse(call.req.query);
  if (!asked.success) throw invalid(asked.error);
  const attempts = await attemptsOfStudent(call.db, assignment.id, call.me!.id);
  const handedIn = attempts.filter(({ submitted_at }) => submitted_at !== null);
  const { attempt: number } = asked.data;
  const attempt =
    number === undefined
      ? countingOf(handedIn, assignment, await pointsOf(call.db, handedIn))
      : handedIn.find((attemptRow) => attemptRow.number === number);
  if (!attempt) return null;
  if (!isShown(assignment, handedIn.length, call.now()))
    throw new HttpError(403, 'result.notReleased', 'Your educator has not released the results yet.');
  return { assignment, attempt };
}

/** The answers before and after this one, by student name: of each student the attempt that counts, or this one. */
async function neighbours(
  { db }: Call,
  { attempt, assignment }: HandedIn,
): Promise<Pick<EducatorResult, 'previousId' | 'nextId'>> {
  const rows: { id: string }[] = await db
    .with('counting', (of) =>
      of
        .distinctOn('student_id')
        .from('attempts')
        .where({ assignment_id: assignment.id })
        .whereNotNull('submitted_at')
        .orderBy('student_id')
        .orderByRaw('(id = ?) desc', [attempt.id])
        .orderByRaw(assignment.counted === 'last' ? 'number desc' : `(grade->>'points')::float desc, number`)
        .select('id', 'student_id'),
    )
    .from('counting')
    .join('users', 'users.id', 'counting.student_id')
    .orderBy(['users.name', 'counting.id'])
    .select('counting.id');
  const at = rows.findIndex(({ id }) => id === attempt.id);
  return { previousId: rows[at - 1]?.id ?? null, nextId: rows[at + 1]?.id ?? null };
}

export const attemptRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/my/assignments',
    who: 'student',
    handle: ({ db, me, now }) => studentList(db, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/assignments/:assignmentId',
    who: 'student',
    reach: assignedToMe,
    handle: ({ db, me, now, reached }) => studentView(db, reached, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/assignments/:assignmentId/picture',
    who: 'student',
    reach: begunByMe,
    handle: async ({ work, reached, req, res }) => {
      const wanted = hairPictureSchema.safeParse(req.query);
      if (!wanted.success) throw invalid(wanted.error);
      const { light, region, size, ratio } = wanted.data;
      const look = keptHanging(reached, light, region);
      if (!look) throw notFound();
      const png = await keptPicture(work, look, DRAWING_NOW, atPixelRatio(HAIR_SIZES[size], ratio));
      // Asked about each time, since the head may be set anew while nobody has begun; sent again only then.
      res.setHeader('Cache-Control', 'private, no-cache');
      res.type('png').send(Buffer.from(png));
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/reveal',
    who: 'student',
    reach: begunByMe,
    body: revealSchema,
    handle: async ({ db, me, now, reached, body }): Promise<Revealed> => {
      const number = (await lastAttempt(db, reached.id, me.id))?.number ?? 1;
      await recordReveal(db, reached.id, me.id, number, body, now());
      return { reasons: revealOf(reached.client_case, body) };
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/simulation',
    who: 'student',
    reach: begunByMe,
    body: simulationSchema,
    // Here and not in the browser, so that the head's figures stay here.
    handle: ({ db, heavy, me, now, reached, body }) => {
      const { id, client_case, lines, open_steps } = reached;
      checkCard(body, lines);
      // What goes to another thread is copied: only the lines that were mixed.
      const mixed = lines.filter(({ id: line }) => body.bowls.some(({ lineId }) => lineId === line));
      return playCounted(db, reached, me.id, body, now(), () =>
        heavy('simulate', id, client_case, mixed, body, !open_steps.includes('read')),
      );
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/attempts',
    who: 'student',
    reach: openToMe,
    body: beginSchema,
    handle: async ({ db, jobs, me, now, reached, body, res }) => {
      const attempt = await begin(db, reached, me.id, body.from, now());
      const end = endOf(reached, attempt);
      if (end) await jobs.timeUp(attempt.id, end);
      res.status(201);
      return { attempt: attempt.number };
    },
  }),
  route({
    method: 'put',
    path: '/api/my/assignments/:assignmentId/draft',
    who: 'student',
    reach: begunByMe,
    body: draftSchema,
    handle: async ({ db, me, now, reached, body }) => {
      const saved = await saveDraft(db, reached, me.id, body, now());
      await tellOf(db, reached, 'educators');
      return saved;
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/submission',
    who: 'student',
    reach: begunByMe,
    body: submissionSchema,
    handle: async ({ db, work, me, now, reached, body }) => {
      // Whoever has gone meanwhile has handed in all the same.
      const attempt = await handIn(db, work.of(me.id), reached, me.id, body, now());
      return {
        submittedAt: attempt.submitted_at!.toISOString(),
        receipt: receiptOf(attempt),
        resultReady: isShown(
          reached,
          (await attemptsOfStudent(db, reached.id, me.id)).filter(({ submitted_at }) => submitted_at).length,
          now(),
        ),
      };
    },
  }),
  route({
    method: 'get',
    path: '/api/my/assignments/:assignmentId/result',
    who: 'student',
    reach: myResult,
    handle: async ({ db, me, now, reached }) => {
      const result = await resultOf(db, reached.assignment, reached.attempt, me.name, me.id);
      await db('attempts').where({ id: reached.attempt.id }).update({ result_seen_at: now() });
      return result;
    },
  }),
  route({
    method: 'get',
    path: '/api/attempts/:attemptId',
    who: 'educator',
    reach: answerInMyClass,
    handle: async (call): Promise<EducatorResult> => {
      const { assignment, attempt, studentName } = call.reached;
      return {
        ...(await resultOf(call.db, assignment, attempt, studentName, call.me.id)),
        ...(await neighbours(call, call.reached)),
        plays: await playsOf(call.db, assignment, attempt.student_id),
      };
    },
  }),
  route({
    method: 'post',
    path: '/api/attempts/:attemptId/mark-changes',
    who: 'educator',
    reach: answerInMyClass,
    body: markChangeSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      await changeMark(db, reached.attempt, me.id, body, now());
      res.status(201);
    },
  }),
];
