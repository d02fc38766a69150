import { exerciseChangeSchema } from '@cimbel/contract';
import { CRITERIA, SERVICE_CRITERIA } from '@cimbel/core/grade';
import { route, type Route } from '../http/route';
import { educatorService } from '../services/view';
import { ownAnyExercise, ownExercise } from './access';
import { answersCsv } from './answers-csv';
import { changeExercise, deleteExercise } from './store';
import { educatorView } from './view';

export const exerciseRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    handle: ({ db, now, reached }) => educatorView(db, reached, now()),
  }),
  route({
    method: 'get',
    path: '/api/exercises/:exerciseId/answers.csv',
    who: 'educator',
    reach: ownAnyExercise,
    handle: async ({ db, now, reached, res }) => {
      const csv =
        reached.kind === 'service'
          ? answersCsv(await educatorService(db, reached, now()), SERVICE_CRITERIA)
          : answersCsv(await educatorView(db, reached, now()), CRITERIA);
      res.attachment('answers.csv').type('text/csv; charset=utf-8').send(csv);
    },
  }),
  route({
    method: 'patch',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownAnyExercise,
    body: exerciseChangeSchema,
    handle: ({ db, now, reached, body }) => changeExercise(db, reached, body, now()),
  }),
  route({
    method: 'delete',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownAnyExercise,
    handle: ({ db, reached }) => deleteExercise(db, reached),
  }),
];
