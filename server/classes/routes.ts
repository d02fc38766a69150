import { houseRulesSchema } from '@cimbel/core/theory';
import { joinSchema, newClassSchema } from '@cimbel/contract';
import { invalidField } from '../http/errors';
import { route, type Route } from '../http/route';
import { ownClass } from './access';
import { classDetail, classesOf, createClass, joinClass } from './store';

export const classRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/classes',
    who: 'educator',
    handle: ({ db, me }) => classesOf(db, me.id),
  }),
  route({
    method: 'post',
    path: '/api/classes',
    who: 'educator',
    body: newClassSchema,
    handle: async ({ db, me, body, res }) => {
      const { id } = await createClass(db, me.id, body.name);
      res.status(201);
      return { id };
    },
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId',
    who: 'educator',
    reach: ownClass,
    handle: ({ db, now, reached }) => classDetail(db, reached, now()),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/house-rules',
    who: 'educator',
    reach: ownClass,
    body: houseRulesSchema,
    // What has been set keeps the rules it was set with; its marks do not change behind anyone's back.
    handle: async ({ db, reached, body }) => {
      await db('classes')
        .where({ id: reached.id })
        .update({ house_rules: JSON.stringify(body) });
    },
  }),
  route({
    method: 'post',
    path: '/api/memberships',
    who: 'student',
    body: joinSchema,
    handle: async ({ db, me, body, res }) => {
      const joined = await joinClass(db, me.id, body.joinCode);
      if (!joined)
        throw invalidField('joinCode', 'unknown', 'No class has this code. Check it with your educator.');
      res.status(201);
      return joined;
    },
  }),
];
