import { exerciseChangeSchema, libraryExerciseSchema, type ShippedCaseTold } from '@cimbel/contract';
import { SHIPPED_CASES } from '@cimbel/core/cases';
import ruleCases from './rule-cases.json';
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

/** The cases that ship, with the rules that their answers rest on. */
const SHIPPED: ShippedCaseTold[] = SHIPPED_CASES.map(({ id, clientCase, open }) => ({
  id,
  clientCase,
  ...(open ? { open: [...open] } : {}),
  rules: Object.entries(ruleCases as Record<string, string[]>).flatMap(([rule, cases]) =>
    cases.includes(id) ? [rule] : [],
  ),
}));

export const exerciseRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/cases',
    who: 'educator',
    // Figures of cases are keys of exercises: educators get them from here, and no file of the build has them.
    handle: async () => SHIPPED,
  }),
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
