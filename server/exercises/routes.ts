import { exerciseChangeSchema } from '@cimbel/contract';
import { route, type Route } from '../http/route';
import { ownAnyExercise, ownExercise } from './access';
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
