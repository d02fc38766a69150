import { sittingAnswerSchema } from '@cimbel/contract';
import { z } from 'zod';
import { HttpError, invalid, notFound } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { mySitting, sittingInMyClass, testSetToMe, type SittingOfTest } from './access';
import { keptPicture } from '../jobs/picture-cache';
import { sizeOf } from '../jobs/picture-size';
import { answersOpen, hasEnded } from './rows';
import {
  answerSitting,
  myTest,
  myTests,
  pictureOf,
  sittingResult,
  startSitting,
  stateOf,
} from './sitting-store';

/** My own sitting once it has ended and its answers may be seen. */
async function myResult(call: Call): Promise<SittingOfTest | null> {
  const reached = await mySitting(call);
  if (!reached) return null;
  const { sitting, test } = reached;
  if (!hasEnded(sitting, call.now()))
    throw new HttpError(403, 'readingTest.underWay', 'This test is still under way.');
  if (!answersOpen(test))
    throw new HttpError(403, 'result.notReleased', 'Your educator has not released the results yet.');
  return reached;
}

const pictureSchema = z.object({
  position: z.coerce.number().int().min(0).max(100),
  picture: z.coerce.number().int().min(0).max(11),
  ratio: z.literal(['1', '2']).default('1'),
});

export const sittingRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/my/reading-tests',
    who: 'student',
    handle: ({ db, me, now }) => myTests(db, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/reading-tests/:testId',
    who: 'student',
    reach: testSetToMe,
    handle: ({ db, me, now, reached }) => myTest(db, reached, me.id, now()),
  }),
  route({
    method: 'post',
    path: '/api/my/reading-tests/:testId/sittings',
    who: 'student',
    reach: testSetToMe,
    handle: ({ db, me, now, reached }) => startSitting(db, reached, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/sittings/:sittingId',
    who: 'student',
    reach: mySitting,
    handle: ({ db, now, reached }) => stateOf(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/sittings/:sittingId/picture',
    who: 'student',
    reach: mySitting,
    handle: async ({ db, work, reached, req, res }) => {
      const wanted = pictureSchema.safeParse(req.query);
      if (!wanted.success) throw invalid(wanted.error);
      const { position, picture, ratio } = wanted.data;
      const found = await pictureOf(db, reached, position, picture);
      if (!found) throw notFound();
      // Fetched ahead of being shown; it never changes.
      res.setHeader('Cache-Control', 'private, max-age=86400, immutable');
      const picturePng = await keptPicture(work, found.look, found.drawing, sizeOf(found, ratio));
      res.type('png').send(Buffer.from(picturePng));
    },
  }),
  route({
    method: 'post',
    path: '/api/my/sittings/:sittingId/answers',
    who: 'student',
    reach: mySitting,
    body: sittingAnswerSchema,
    handle: ({ db, now, reached, body }) => answerSitting(db, reached, body, now()),
  }),
  route({
    method: 'get',
    path: '/api/my/sittings/:sittingId/result',
    who: 'student',
    reach: myResult,
    handle: ({ db, reached }) => sittingResult(db, reached),
  }),
  route({
    method: 'get',
    path: '/api/sittings/:sittingId/result',
    who: 'educator',
    reach: sittingInMyClass,
    handle: ({ db, reached }) => sittingResult(db, reached),
  }),
];
