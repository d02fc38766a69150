import { houseRulesSchema } from '@cimbel/core/rules';
import {
  archiveSchema,
  classCopySchema,
  joinSchema,
  joiningSchema,
  newClassEducatorSchema,
  newClassSchema,
  newPlacesSchema,
  placeChangeSchema,
  slipsSchema,
  type MyClass,
} from '@cimbel/contract';
import { invalidField } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { logOfClass } from '../log/store';
import { ownClass, ownedClass, seenClass, type ClassRow } from './access';
import { addEducator, removeEducator } from './educators';
import { asFile, dataOf, deleteStudent } from './person';
import { addPlaces, changePlace, joinClass, makeSlips, renewJoinCode, rosterOf, setJoining } from './roster';
import { classDetail, classesOf, createClass } from './store';
import { exportOf } from './export';
import { copyClass, deleteClass, setArchived } from './school-terms';

/** Another who leads a class of mine. */
async function colleagueInMyClass(call: Call): Promise<{ inClass: ClassRow; educatorId: string } | null> {
  const inClass = await ownClass(call);
  const educatorId = call.param('accountId');
  const there =
    inClass &&
    (await call.db('class_educators').where({ class_id: inClass.id, educator_id: educatorId }).first());
  return there ? { inClass, educatorId } : null;
}

/** A place on the roster of a class I lead, claimed or not and in any state. */
async function placeInMyClass(call: Call): Promise<{ inClass: ClassRow; studentId: string } | null> {
  const inClass = await ownClass(call);
  const studentId = call.param('studentId');
  const place =
    inClass &&
    (await call.db('memberships').where({ class_id: inClass.id, student_id: studentId }).first('student_id'));
  return place ? { inClass, studentId } : null;
}

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
    reach: seenClass,
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
    method: 'get',
    path: '/api/classes/:classId/roster',
    who: 'educator',
    reach: ownClass,
    handle: ({ db, now, reached }) => rosterOf(db, reached, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/roster',
    who: 'educator',
    reach: ownClass,
    body: newPlacesSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      const added = await addPlaces(db, reached, me.id, body, now());
      res.status(201);
      return added;
    },
  }),
  route({
    method: 'patch',
    path: '/api/classes/:classId/students/:studentId',
    who: 'educator',
    reach: placeInMyClass,
    body: placeChangeSchema,
    handle: ({ db, me, now, reached: { inClass, studentId }, body }) =>
      changePlace(db, inClass, me.id, studentId, body, now()),
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/students/:studentId/data.json',
    who: 'educator',
    reach: placeInMyClass,
    handle: async ({ db, reached, res }) => {
      res.attachment('student.json').json(asFile(await dataOf(db, reached.studentId, reached.inClass.id)));
    },
  }),
  route({
    method: 'delete',
    path: '/api/classes/:classId/students/:studentId',
    who: 'educator',
    reach: placeInMyClass,
    handle: ({ db, me, now, reached: { inClass, studentId } }) =>
      deleteStudent(db, inClass, me.id, studentId, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/slips',
    who: 'educator',
    reach: ownClass,
    body: slipsSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      const slips = await makeSlips(db, reached, me.id, body.studentIds, now());
      res.status(201);
      return slips;
    },
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/joining',
    who: 'educator',
    reach: ownClass,
    body: joiningSchema,
    handle: ({ db, me, now, reached, body }) => setJoining(db, reached, me.id, body.joining, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/join-code',
    who: 'educator',
    reach: ownClass,
    handle: ({ db, me, now, reached }) => renewJoinCode(db, reached, me.id, now()),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/archived',
    who: 'educator',
    reach: ownClass,
    body: archiveSchema,
    handle: ({ db, me, now, reached, body }) => setArchived(db, reached, me.id, body.archived, now()),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/copies',
    who: 'educator',
    reach: ownClass,
    body: classCopySchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      const copy = await copyClass(db, reached, me.id, body, now());
      res.status(201);
      return copy;
    },
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/educators',
    who: 'educator',
    reach: ownClass,
    body: newClassEducatorSchema,
    handle: async ({ db, me, now, reached, body, res }) => {
      await addEducator(db, reached, me.id, body, now());
      res.status(201);
    },
  }),
  route({
    method: 'delete',
    path: '/api/classes/:classId/educators/:accountId',
    who: 'educator',
    reach: colleagueInMyClass,
    handle: ({ db, me, now, reached: { inClass, educatorId } }) =>
      removeEducator(db, inClass, me.id, educatorId, now()),
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/export.json',
    who: 'educator',
    reach: ownClass,
    handle: async ({ db, reached, res }) => {
      res.attachment('class.json').json(await exportOf(db, reached));
    },
  }),
  route({
    method: 'delete',
    path: '/api/classes/:classId',
    who: 'educator',
    reach: ownedClass,
    handle: ({ db, me, now, reached }) => deleteClass(db, reached, me.id, now()),
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/log',
    who: 'educator',
    reach: ownClass,
    handle: ({ db, reached }) => logOfClass(db, reached.id),
  }),
  route({
    method: 'get',
    path: '/api/my/classes',
    who: 'student',
    handle: ({ db, me }): Promise<MyClass[]> =>
      db('memberships')
        .join('classes', 'classes.id', 'memberships.class_id')
        .where({ student_id: me.id })
        .whereIn('state', ['active', 'waiting'])
        .orderBy('joined_at')
        .select('classes.id', 'classes.name', 'state'),
  }),
  route({
    method: 'post',
    path: '/api/memberships',
    who: 'student',
    body: joinSchema,
    handle: async ({ db, me, now, body, res }) => {
      const joined = await joinClass(db, me.id, body.joinCode, now());
      if (!joined)
        throw invalidField('joinCode', 'unknown', 'No class has this code. Check it with your educator.');
      res.status(201);
      return joined;
    },
  }),
];
