import { exerciseSchema } from '@cimbel/contract';
import { route, type Call, type Route } from '../http/route';
import { createExercise, deleteExercise, exercisesOf, saveExercise, type ExerciseRow } from './store';

async function ownExercise({ db, me, param }: Call): Promise<ExerciseRow | null> {
  const row = await db<ExerciseRow>('exercises')
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
    body: exerciseSchema,
    handle: async ({ db, me, now, body, res }) => {
      const made = await createExercise(db, me.id, body, now());
      res.status(201);
      return made;
    },
  }),
  route({
    method: 'put',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    body: exerciseSchema,
    // What has been set keeps the copy it was set with.
    handle: ({ db, now, reached, body }) => saveExercise(db, reached.id, body, now()),
  }),
  route({
    method: 'delete',
    path: '/api/exercises/:exerciseId',
    who: 'educator',
    reach: ownExercise,
    handle: ({ db, reached }) => deleteExercise(db, reached.id),
  }),
];
