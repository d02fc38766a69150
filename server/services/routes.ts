import {
  newServiceSchema,
  playSchema,
  regradeSchema,
  revealSchema,
  serviceDraftSchema,
  servicePreviewSchema,
  serviceSubmissionSchema,
  type EducatorServiceResult,
  type Regrade,
} from '@cimbel/contract';
import { anyAnswerInMyClass, neighbours, type HandedIn } from '../attempts/routes';
import { attemptOf, saveDraft, type ServiceAttemptRow } from '../attempts/store';
import { ownClass } from '../classes/access';
import { ownService, serviceSetToMe, type ServiceOfClass } from '../exercises/access';
import { isReleased, type ServiceRow } from '../exercises/row';
import { HttpError } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { playForStudent } from './play';
import { regradeOf, startRegrade } from './regrade';
import { createService, handInService, previewService } from './store';
import { educatorService, revealed, serviceResult, studentService } from './view';

type HandedInPlan = HandedIn<ServiceRow, ServiceAttemptRow>;

async function planInMyClass(call: Call): Promise<HandedInPlan | null> {
  const found = await anyAnswerInMyClass(call);
  return found?.exercise.kind === 'service' ? (found as unknown as HandedInPlan) : null;
}

/** My own handed-in plan, once its result is released. */
async function myResult(call: Call): Promise<{ service: ServiceOfClass; attempt: ServiceAttemptRow } | null> {
  const service = await serviceSetToMe(call);
  if (!service) return null;
  const attempt = await attemptOf<ServiceAttemptRow>(call.db, service.id, call.me!.id);
  if (!attempt?.submitted_at) return null;
  if (!isReleased(service, call.now()))
    throw new HttpError(403, 'result.notReleased', 'Your educator has not released the results yet.');
  return { service, attempt };
}

export const serviceRoutes = (): Route[] => [
  route({
    method: 'post',
    path: '/api/classes/:classId/service-preview',
    who: 'educator',
    reach: ownClass,
    body: servicePreviewSchema,
    handle: ({ db, reached, body }) => previewService(db, body.kase, reached),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/services',
    who: 'educator',
    reach: ownClass,
    body: newServiceSchema,
    handle: async ({ db, now, reached, body, res }) => {
      const { id } = await createService(db, reached, body, now());
      res.status(201);
      return { id };
    },
  }),
  route({
    method: 'get',
    path: '/api/services/:exerciseId',
    who: 'educator',
    reach: ownService,
    handle: ({ db, now, reached }) => educatorService(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/services/:exerciseId/regrade',
    who: 'educator',
    reach: ownService,
    handle: async ({ db, reached }): Promise<{ regrade: Regrade | null }> => ({
      regrade: await regradeOf(db, reached.id),
    }),
  }),
  route({
    method: 'post',
    path: '/api/services/:exerciseId/regrade',
    who: 'educator',
    reach: ownService,
    body: regradeSchema,
    handle: async ({ db, now, reached, body, req, res }) => {
      const { begun, run } = await startRegrade(db, reached, body.rubric, now);
      run.catch((error: unknown) => req.log.error({ err: error }, 'marking again was cut off'));
      res.status(202);
      return { regrade: begun };
    },
  }),
  route({
    method: 'get',
    path: '/api/plans/:attemptId',
    who: 'educator',
    reach: planInMyClass,
    handle: async (call): Promise<EducatorServiceResult> => {
      const { exercise, attempt, studentName } = call.reached;
      return {
        ...(await serviceResult(call.db, exercise, attempt, studentName)),
        ...(await neighbours(call, call.reached)),
      };
    },
  }),
  route({
    method: 'get',
    path: '/api/my/services/:exerciseId',
    who: 'student',
    reach: serviceSetToMe,
    handle: ({ db, me, now, reached }) => studentService(db, reached, me.id, now()),
  }),
  route({
    method: 'post',
    path: '/api/my/services/:exerciseId/reveal',
    who: 'student',
    reach: serviceSetToMe,
    body: revealSchema,
    handle: async ({ reached, body }) => revealed(reached.kase, body),
  }),
  route({
    method: 'post',
    path: '/api/my/services/:exerciseId/play',
    who: 'student',
    reach: serviceSetToMe,
    body: playSchema,
    handle: async ({ reached, body }) => playForStudent(reached, body),
  }),
  route({
    method: 'put',
    path: '/api/my/services/:exerciseId/draft',
    who: 'student',
    reach: serviceSetToMe,
    body: serviceDraftSchema,
    handle: ({ db, me, now, reached, body }) => saveDraft(db, reached, me.id, body, now()),
  }),
  route({
    method: 'post',
    path: '/api/my/services/:exerciseId/submission',
    who: 'student',
    reach: serviceSetToMe,
    body: serviceSubmissionSchema,
    handle: async ({ db, me, now, reached, body }) => {
      const attempt = await handInService(db, reached, me.id, body, now());
      return { submittedAt: attempt.submitted_at!.toISOString(), resultReady: isReleased(reached, now()) };
    },
  }),
  route({
    method: 'get',
    path: '/api/my/services/:exerciseId/result',
    who: 'student',
    reach: myResult,
    handle: ({ db, me, reached }) => serviceResult(db, reached.service, reached.attempt, me.name),
  }),
];
