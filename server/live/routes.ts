import { hintSchema, pauseSchema, workingSchema } from '@cimbel/contract';
import { z } from 'zod';
import {
  begunByMe,
  openToMe,
  ownAssignment,
  seenAssignment,
  type LedAssignment,
} from '../assignments/access';
import { HttpError } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { lowerHand, readHints, setAtWork, workingOf } from './at-work';
import { liveBoard, liveDraft } from './board';
import { giveHint } from './hints';
import { tellOf } from './hub';
import { collect, setPaused } from './pause';

/** A student that an assignment of mine is set to. */
async function studentOfMine(call: Call): Promise<{ assignment: LedAssignment; studentId: string } | null> {
  const assignment = await seenAssignment(call);
  const studentId = call.param('studentId');
  const there =
    assignment &&
    (await call
      .db('set_for')
      .where({ assignment_id: assignment.id, student_id: studentId })
      .first('student_id'));
  return there ? { assignment, studentId } : null;
}

export const liveRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/events',
    who: 'signedIn',
    handle: async ({ live, me, req, res }) => {
      await live.open(res, { accountId: me.id, role: me.role, sid: req.sessionID });
    },
  }),
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId/live',
    who: 'educator',
    reach: seenAssignment,
    handle: ({ db, heavy, now, reached }) => liveBoard(db, heavy, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId/live/:studentId',
    who: 'educator',
    reach: studentOfMine,
    handle: ({ db, reached: { assignment, studentId } }) => liveDraft(db, assignment, studentId),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/hints',
    who: 'educator',
    reach: seenAssignment,
    body: hintSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      const given = await giveHint(db, reached, me.id, body, now());
      // Who is told something was heard.
      await lowerHand(db, reached.id, given);
      await tellOf(db, reached, 'all');
      res.status(201);
      return { given: given.length };
    },
  }),
  route({
    method: 'delete',
    path: '/api/assignments/:assignmentId/live/:studentId/hand',
    who: 'educator',
    reach: studentOfMine,
    handle: async ({ db, reached: { assignment, studentId } }) => {
      await lowerHand(db, assignment.id, [studentId]);
      await tellOf(db, assignment, 'all');
    },
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/pause',
    who: 'educator',
    reach: ownAssignment,
    body: pauseSchema,
    handle: async ({ db, jobs, me, now, reached, body }) => {
      await setPaused(db, jobs, reached, body.paused, { educatorId: me.id, now: now() });
      await tellOf(db, reached, 'all');
    },
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/collect',
    who: 'educator',
    reach: ownAssignment,
    handle: async ({ db, work, me, now, reached }) => {
      // What is being typed comes in while the class waits.
      if (!reached.paused_at)
        throw new HttpError(409, 'live.pauseFirst', 'Pause the class first, then collect.');
      const collected = await collect(db, work, reached, { educatorId: me.id, now: now() });
      await tellOf(db, reached, 'all');
      return collected;
    },
  }),
  // Not under /api/my: what is kept for when there is no network would tell of a pause that is long over.
  route({
    method: 'get',
    path: '/api/working/:assignmentId',
    who: 'student',
    reach: openToMe,
    handle: ({ db, me, now, reached }) => workingOf(db, reached, me.id, now()),
  }),
  route({
    method: 'put',
    path: '/api/working/:assignmentId',
    who: 'student',
    reach: begunByMe,
    body: workingSchema,
    handle: async ({ db, me, now, reached, body }) => {
      await setAtWork(db, reached.id, me.id, body, now());
      await tellOf(db, reached, 'educators');
    },
  }),
  route({
    method: 'post',
    path: '/api/working/:assignmentId/hints-read',
    who: 'student',
    reach: openToMe,
    body: z.object({}),
    handle: async ({ db, me, now, reached }) => {
      await readHints(db, reached.id, me.id, now());
      await tellOf(db, reached, 'educators');
    },
  }),
];
