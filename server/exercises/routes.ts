import { exerciseChangeSchema, libraryExerciseSchema } from '@cimbel/contract';
import { route, type Call, type Route } from '../http/route';
import {
  createExercise,
  deleteExercise,
  exercisesOf,
  fileExercise,
  saveExercise,
  versionsOf,
  type ExerciseRow,
} from './store';

async function ownExercise({ db, me, param }: Call): Promise<ExerciseRow | null> {
  const row = await db('exercises')
    .where({ id: param('exerciseId'), educator_id: me!.id })
    .first();
  return row ?? null;
}

export const exerciseRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/exercises',
    who: 'educator',
    handle: ({ db, me }) => exercisesOf(db, me.id),
  }),
  route({
    method: 'post',
    path: '/api/exercises',
    who: 'educator',
    body: libraryExerciseSchema,
    handle: async ({ db, me, now, body, res }) => {
      const saved = await createExercise(db, me.id, body, now());
      res.status(201);
      return saved;
    },
  }),
  route({
    method: 'put',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    body: libraryExerciseSchema,
    // What has been set keeps the copy it was set with.
    handle: ({ db, now, reached, body }) => saveExercise(db, reached.id, body, now()),
  }),
  route({
    method: 'patch',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    body: exerciseChangeSchema,
    handle: ({ db, now, reached, body }) => fileExercise(db, reached.id, body, now()),
  }),
  route({
    method: 'get',
    path: '/api/exercises/:exerciseId/versions',
    who: 'educator',
    reach: ownExercise,
    handle: ({ db, reached }) => versionsOf(db, reached.id),
  }),
  route({
    method: 'delete',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    handle: ({ db, reached }) => deleteExercise(db, reached.id),
  }),
];
