import {
  draftSchema,
  markChangeSchema,
  revealSchema,
  simulationSchema,
  submissionSchema,
  type EducatorResult,
  type Revealed,
} from '@cimbel/contract';
import { HAIR_SIZES, type HairSize } from '@cimbel/contract/hair-pictures';
import { revealOf } from '@cimbel/core/card';
import { z } from 'zod';
import { assignedToMe } from '../assignments/access';
import { ledByMe } from '../classes/access';
import { LIGHTS } from '@cimbel/core/colour';
import { DRAWING_NOW } from '@cimbel/core/tress';
import { isReleased, type AssignmentRow } from '../assignments/row';
import { checkCard } from '../assignments/store';
import { HttpError, invalid, notFound } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { keptPicture } from '../jobs/kept-pictures';
import { enlarged } from '../jobs/picture-size';
import { keptHanging } from './kept-looks';
import { recordReveal } from './reveals';
import { attemptOf, changeMark, handIn, receiptOf, resultOf, saveDraft, type AttemptRow } from './store';
import { studentList, studentView } from './student-view';

/** What is asked of a picture of hair, in its address. */
const hairPictureSchema = z.object({
  light: z.enum(LIGHTS),
  region: z.coerce.number().int().min(0).max(50),
  size: z.enum(Object.keys(HAIR_SIZES) as [HairSize, ...HairSize[]]),
  ratio: z.literal(['1', '2']).default('1'),
});

interface HandedIn {
  attempt: AttemptRow;
  assignment: AssignmentRow;
}

/** A handed-in answer, for an educator of its class. */
async function answerInMyClass(call: Call): Promise<(HandedIn & { studentName: string }) | null> {
  const { db, param } = call;
  const attempt: AttemptRow | undefined = await db('attempts')
    .where({ id: param('attemptId') })
    .whereNotNull('submitted_at')
    .first();
  if (!attempt) return null;
  // Marking is what everyone who leads the class may do.
  const assignments = db('assignments').join('classes', 'classes.id', 'assignments.class_id');
  const assignment: AssignmentRow | undefined = await ledByMe(assignments, call)
    .where({ 'assignments.id': attempt.assignment_id })
    .select('assignments.*')
    .first();
  if (!assignment) return null;
  const student = await db('users').where({ id: attempt.student_id }).first('name');
  return { attempt, assignment, studentName: student.name };
}

/** My own handed-in answer, once its result is released. */
async function myResult(call: Call): Promise<HandedIn | null> {
  const assignment = await assignedToMe(call);
  if (!assignment) return null;
  const attempt = await attemptOf(call.db, assignment.id, call.me!.id);
  if (!attempt?.submitted_at) return null;
  if (!isReleased(assignment, call.now()))
    throw new HttpError(403, 'result.notReleased', 'Your educator has not released the results yet.');
  return { assignment, attempt };
}

/** The answers before and after this one, by student name. */
async function neighbours(
  { db }: Call,
  { attempt }: Pick<HandedIn, 'attempt'>,
): Promise<Pick<EducatorResult, 'previousId' | 'nextId'>> {
  const ids: string[] = await db('attempts')
    .join('users', 'users.id', 'attempts.student_id')
    .where({ assignment_id: attempt.assignment_id })
    .whereNotNull('submitted_at')
    .orderBy('users.name')
    .pluck('attempts.id');
  const at = ids.indexOf(attempt.id);
  return { previousId: ids[at - 1] ?? null, nextId: ids[at + 1] ?? null };
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
    reach: assignedToMe,
    handle: async ({ work, reached, req, res }) => {
      const wanted = hairPictureSchema.safeParse(req.query);
      if (!wanted.success) throw invalid(wanted.error);
      const { light, region, size, ratio } = wanted.data;
      const look = keptHanging(reached, light, region);
      if (!look) throw notFound();
      const png = await keptPicture(work, look, DRAWING_NOW, enlarged(HAIR_SIZES[size], ratio));
      // Asked about each time, since the head may be set anew while nobody has begun; sent again only then.
      res.setHeader('Cache-Control', 'private, no-cache');
      res.type('png').send(Buffer.from(png));
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/reveal',
    who: 'student',
    reach: assignedToMe,
    body: revealSchema,
    handle: async ({ db, me, now, reached, body }): Promise<Revealed> => {
      await recordReveal(db, reached.id, me.id, body, now());
      return { reasons: revealOf(reached.client_case, body) };
    },
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/simulation',
    who: 'student',
    reach: assignedToMe,
    body: simulationSchema,
    // Here and not in the browser, so that the head's figures stay here.
    handle: ({ heavy, reached: { id, client_case, lines }, body }) => {
      checkCard(body, lines);
      return heavy('simulate', id, client_case, lines, body);
    },
  }),
  route({
    method: 'put',
    path: '/api/my/assignments/:assignmentId/draft',
    who: 'student',
    reach: assignedToMe,
    body: draftSchema,
    handle: ({ db, me, now, reached, body }) => saveDraft(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/my/assignments/:assignmentId/submission',
    who: 'student',
    reach: assignedToMe,
    body: submissionSchema,
    handle: async ({ db, work, me, now, reached, body }) => {
      // Whoever has gone meanwhile has handed in all the same.
      const attempt = await handIn(db, work.of(me.id), reached, me.id, body, now());
      return {
        submittedAt: attempt.submitted_at!.toISOString(),
        receipt: receiptOf(attempt),
        resultReady: isReleased(reached, now()),
      };
    },
  }),
  route({
    method: 'get',
    path: '/api/my/assignments/:assignmentId/result',
    who: 'student',
    reach: myResult,
    handle: ({ db, me, reached }) => resultOf(db, reached.assignment, reached.attempt, me.name),
  }),
  route({
    method: 'get',
    path: '/api/attempts/:attemptId',
    who: 'educator',
    reach: answerInMyClass,
    handle: async (call): Promise<EducatorResult> => {
      const { assignment, attempt, studentName } = call.reached;
      return {
        ...(await resultOf(call.db, assignment, attempt, studentName)),
        ...(await neighbours(call, call.reached)),
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
