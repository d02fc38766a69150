import {
  assignmentChangeSchema,
  classRegradeSchema,
  exerciseSchema,
  newAssignmentSchema,
  regradeSchema,
  releasedToSchema,
  termsSchema,
  type Regrade,
} from '@cimbel/contract';
import { CRITERIA } from '@cimbel/core/exercise';
import { ownClass } from '../classes/access';
import { route, type Route } from '../http/route';
import { ownAssignment, seenAssignment } from './access';
import { answersCsv } from './answers-csv';
import { previewOfClass, regradeClass } from './regrade-class';
import { releaseTo } from './released-to';
import { previewRegrade, regradeOf, startRegrade } from './regrade';
import { changeAssignment, createAssignment, deleteAssignment, editAssignment } from './store';
import { timedUnderWay, waitForTimed } from '../attempts/store';
import { changeTerms, previewTerms } from './terms';
import { educatorView } from './view';

export const assignmentRoutes = (): Route[] => [
  route({
    method: 'post',
    path: '/api/classes/:classId/assignments',
    who: 'educator',
    reach: ownClass,
    body: newAssignmentSchema,
    handle: async ({ db, heavy, me, now, reached, body, res }) => {
      const { id } = await createAssignment(db, heavy, reached, me.id, body, now());
      res.status(201);
      return { id };
    },
  }),
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId',
    who: 'educator',
    reach: seenAssignment,
    handle: ({ db, now, reached }) => educatorView(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId/answers.csv',
    who: 'educator',
    reach: seenAssignment,
    handle: async ({ db, now, reached, res }) => {
      const csv = answersCsv(await educatorView(db, reached, now()), CRITERIA);
      res.attachment('answers.csv').type('text/csv; charset=utf-8').send(csv);
    },
  }),
  route({
    method: 'patch',
    path: '/api/assignments/:assignmentId',
    who: 'educator',
    reach: ownAssignment,
    body: assignmentChangeSchema,
    handle: async ({ db, work, jobs, me, now, reached, body }) => {
      // Results are shown once all that ran against the clock is in.
      if (body.released) await waitForTimed(db, work.of(`time up ${reached.id}`), reached, now());
      await changeAssignment(db, reached, me.id, body, now());
      // What is under way when it is closed ends there.
      if (body.closed) {
        const { over, running } = await timedUnderWay(db, reached.id, now());
        for (const id of [...over, ...running.map(({ attemptId }) => attemptId)])
          await jobs.timeUp(id, now());
      }
    },
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/released-to',
    who: 'educator',
    reach: ownAssignment,
    body: releasedToSchema,
    handle: ({ db, work, me, now, reached, body }) =>
      releaseTo(db, work.of(`time up ${reached.id}`), reached, body.studentIds, {
        educatorId: me.id,
        now: now(),
      }),
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/terms',
    who: 'educator',
    reach: ownAssignment,
    body: termsSchema,
    handle: ({ db, me, now, reached, body }) => changeTerms(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/terms/preview',
    who: 'educator',
    reach: ownAssignment,
    body: termsSchema,
    handle: ({ db, now, reached, body }) => previewTerms(db, reached, body, now()),
  }),
  route({
    method: 'put',
    path: '/api/assignments/:assignmentId/exercise',
    who: 'educator',
    reach: ownAssignment,
    body: exerciseSchema,
    handle: ({ db, heavy, me, now, reached, body }) => editAssignment(db, heavy, reached, me.id, body, now()),
  }),
  route({
    method: 'delete',
    path: '/api/assignments/:assignmentId',
    who: 'educator',
    reach: ownAssignment,
    handle: ({ db, me, now, reached }) => deleteAssignment(db, reached, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/assignments/:assignmentId/regrade',
    who: 'educator',
    reach: seenAssignment,
    handle: async ({ db, reached }): Promise<{ regrade: Regrade | null }> => ({
      regrade: await regradeOf(db, reached.id),
    }),
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/regrade/preview',
    who: 'educator',
    reach: ownAssignment,
    body: regradeSchema,
    handle: ({ db, heavy, reached, body }) => previewRegrade(db, heavy, reached, body),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/regrade/preview',
    who: 'educator',
    reach: ownClass,
    handle: ({ db, heavy, now, reached }) => previewOfClass(db, heavy, reached, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/regrade',
    who: 'educator',
    reach: ownClass,
    body: classRegradeSchema,
    handle: async ({ db, jobs, me, now, reached, body, res }) => {
      const begun = await regradeClass(db, reached, me.id, body, now());
      for (const id of begun) await jobs.regrade(id);
      res.status(202);
      return { begun: begun.length };
    },
  }),
  route({
    method: 'post',
    path: '/api/assignments/:assignmentId/regrade',
    who: 'educator',
    reach: ownAssignment,
    body: regradeSchema,
    handle: async ({ db, jobs, me, now, reached, body, res }) => {
      const begun = await startRegrade(db, reached, me.id, body, now());
      await jobs.regrade(reached.id);
      res.status(202);
      return { regrade: begun };
    },
  }),
];
