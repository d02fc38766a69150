import {
  drillAnswersSchema,
  extraTimeSchema,
  newPracticeSchema,
  type Rights,
  type StudentReadingProfile,
} from '@cimbel/contract';
import type { ReadingProfile } from '@cimbel/core/drill';
import { ledAtLeast, ledByMe, ownClass, seenClass, type ClassRow } from '../classes/access';
import { route, type Call, type Route } from '../http/route';
import { hear } from './pace';
import { createPractice, readingProfileOfStudent, keepAnswers, practiceOf, type PracticeRow } from './store';

async function ownPractice(call: Call): Promise<PracticeRow | null> {
  const practices = call.db('practices').join('classes', 'classes.id', 'practices.class_id');
  const row = await ledByMe(practices, call)
    .where({ 'practices.id': call.param('practiceId') })
    .select('practices.*', 'leaders.rights')
    .first();
  return ledAtLeast<PracticeRow & { rights: Rights }>('all', row);
}

interface Member {
  inClass: ClassRow;
  id: string;
  name: string;
}
/** A student of a class, for the educator who leads it. */
const studentOf =
  (classOf: typeof ownClass) =>
  async (call: Call): Promise<Member | null> => {
    const inClass = await classOf(call);
    if (!inClass) return null;
    const row = await call
      .db('members')
      .join('users', 'users.id', 'members.student_id')
      .where({ class_id: inClass.id, student_id: call.param('studentId') })
      .select('users.id', 'users.name')
      .first();
    return row ? { inClass, id: row.id, name: row.name } : null;
  };

export const practiceRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/my/practice',
    who: 'student',
    handle: async ({ db, me, now, req }) => {
      const heard = await hear(db, req, now());
      await heard.giveBack(heard.seconds);
      return practiceOf(db, me.id, now());
    },
  }),
  route({
    method: 'post',
    path: '/api/my/drill-answers',
    who: 'student',
    body: drillAnswersSchema,
    handle: async ({ db, me, now, body, req }) =>
      keepAnswers(db, me.id, body.answers, await hear(db, req, now()), now()),
  }),
  route({
    method: 'get',
    path: '/api/my/reading-profile',
    who: 'student',
    handle: ({ db, me }): Promise<ReadingProfile> => readingProfileOfStudent(db, me.id),
  }),
  route({
    method: 'post',
    path: '/api/classes/:classId/practices',
    who: 'educator',
    reach: ownClass,
    body: newPracticeSchema,
    handle: async ({ db, now, reached, body, res }) => {
      const made = await createPractice(db, reached.id, body, now());
      res.status(201);
      return made;
    },
  }),
  route({
    method: 'delete',
    path: '/api/practices/:practiceId',
    who: 'educator',
    reach: ownPractice,
    // The answers stay: they are the students' own record.
    handle: async ({ db, reached }) => {
      await db('practices').where({ id: reached.id }).delete();
    },
  }),
  route({
    method: 'get',
    path: '/api/classes/:classId/students/:studentId/reading-profile',
    who: 'educator',
    reach: studentOf(seenClass),
    handle: async ({ db, reached }): Promise<StudentReadingProfile> => ({
      studentName: reached.name,
      className: reached.inClass.name,
      profile: await readingProfileOfStudent(db, reached.id, reached.inClass.id),
    }),
  }),
  route({
    method: 'put',
    path: '/api/classes/:classId/students/:studentId/extra-time',
    who: 'educator',
    reach: studentOf(ownClass),
    body: extraTimeSchema,
    handle: async ({ db, now, reached, body }) => {
      await db.transaction(async (trx) => {
        await trx('memberships')
          .where({ class_id: reached.inClass.id, student_id: reached.id })
          .update({ extra_time_share: body.extraTimeShare });
        // Whoever is in the middle of a test gets it at once.
        await trx.raw(
          `update sittings s set ends_at = s.started_at + t.minutes * (1 + ?::float) * interval '1 minute'
             from reading_tests t
            where t.id = s.test_id and t.class_id = ? and s.student_id = ? and s.finished_at is null and s.ends_at > ?`,
          [body.extraTimeShare, reached.inClass.id, reached.id, now()],
        );
      });
    },
  }),
];
