import { invitationSchema, studentResetSchema, type People } from '@cimbel/contract';
import { invalidField } from '../http/errors';
import { route, type Call, type Route } from '../http/route';
import { record } from '../log/store';
import { makeCode, type CodeRow } from './codes';
import { toAccount, type UserRow } from './store';

async function openInvitation({ db, param }: Call): Promise<CodeRow | null> {
  const row = await db('codes')
    .where({ id: param('invitationId'), kind: 'invitation' })
    .first();
  return row ?? null;
}
async function educator({ db, param }: Call): Promise<UserRow | null> {
  const row = await db('users')
    .where({ id: param('accountId'), role: 'educator', demo: false })
    .first();
  return row ?? null;
}

/** What the administrator of an installation does: invites educators and lets in who forgot their password. */
export const peopleRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/people',
    who: 'administrator',
    handle: async ({ db, now }): Promise<People> => {
      const [educators, invitations] = await Promise.all([
        db('users')
          .where({ role: 'educator', demo: false })
          .orderBy('name')
          .select('users.*')
          .select(db('classes').count().where('educator_id', db.ref('users.id')).as('classes')),
        db('codes').where({ kind: 'invitation' }).where('expires_at', '>', now()).orderBy('made_at'),
      ]);
      return {
        educators: educators.map((row) => ({
          ...toAccount(row),
          email: row.email,
          classes: Number(row.classes),
        })),
        invitations: invitations.map(({ id, label, administrator, expires_at }) => ({
          id,
          label: label ?? '',
          administrator,
          expiresAt: expires_at.toISOString(),
        })),
      };
    },
  }),
  route({
    method: 'post',
    path: '/api/invitations',
    who: 'administrator',
    body: invitationSchema,
    handle: async ({ db, me, now, body, res }) => {
      const { code, expiresAt } = await makeCode(db, { kind: 'invitation', made_by: me.id, ...body }, now());
      res.status(201);
      return { code, expiresAt: expiresAt.toISOString() };
    },
  }),
  route({
    method: 'delete',
    path: '/api/invitations/:invitationId',
    who: 'administrator',
    reach: openInvitation,
    handle: async ({ db, reached }) => {
      await db('codes').where({ id: reached.id }).delete();
    },
  }),
  route({
    method: 'post',
    path: '/api/people/student-resets',
    who: 'administrator',
    body: studentResetSchema,
    // A student of several classes: a new password opens the work of all of them.
    handle: async ({ db, me, now, body, res }) => {
      const student = await db('users').where({ email: body.email, role: 'student', demo: false }).first();
      if (!student) throw invalidField('email', 'noStudent', 'No student signs in with this address.');
      const { code, expiresAt } = await makeCode(
        db,
        { kind: 'reset', made_by: me.id, user_id: student.id },
        now(),
      );
      await record(db, { at: now(), actor: me.id, action: 'roster.slip', subject: student.id });
      res.status(201);
      return { name: student.name, code, expiresAt: expiresAt.toISOString() };
    },
  }),
  route({
    method: 'post',
    path: '/api/people/:accountId/reset',
    who: 'administrator',
    reach: educator,
    handle: async ({ db, me, now, reached, res }) => {
      const { code, expiresAt } = await makeCode(
        db,
        { kind: 'reset', made_by: me.id, user_id: reached.id },
        now(),
      );
      await record(db, { at: now(), actor: me.id, action: 'roster.slip', subject: reached.id });
      res.status(201);
      return { code, expiresAt: expiresAt.toISOString() };
    },
  }),
];
