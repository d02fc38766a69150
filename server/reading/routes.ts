import { newTestSchema, testChangeSchema } from '@cimbel/contract';
import { ownClass, seenClass } from '../classes/access';
import { route, type Route } from '../http/route';
import { ownTest, seenTest } from './access';
import { educatorTest, resultsCsv } from './results';
import { changeTest, createTest, deleteTest, readingDesk } from './store';

export const readingRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/classes/:classId/reading',
    who: 'educator',
    reach: seenClass,
    handle: ({ db, now, reached }) => readingDesk(db, reached, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/reading-tests',
    who: 'educator',
    reach: ownClass,
    body: newTestSchema,
    handle: async ({ db, now, reached, body, res }) => {
      const made = await createTest(db, reached, body, now());
      res.status(201);
      return made;
    },
  }),
  route({
    method: 'get',
    path: '/api/reading-tests/:testId',
    who: 'educator',
    reach: seenTest,
    handle: ({ db, now, reached }) => educatorTest(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/reading-tests/:testId/results.csv',
    who: 'educator',
    reach: seenTest,
    handle: async ({ db, now, reached, res }) => {
      const csv = resultsCsv(await educatorTest(db, reached, now()));
      res.attachment('reading-test.csv').type('text/csv; charset=utf-8').send(csv);
    },
  }),
  route({
    method: 'patch',
    path: '/api/reading-tests/:testId',
    who: 'educator',
    reach: ownTest,
    body: testChangeSchema,
    handle: ({ db, now, reached, body }) => changeTest(db, reached, body, now()),
  }),
  route({
    method: 'delete',
    path: '/api/reading-tests/:testId',
    who: 'educator',
    reach: ownTest,
    handle: ({ db, reached }) => deleteTest(db, reached),
  }),
];
