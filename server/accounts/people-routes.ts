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

/** A code by which an account gets a new password, with the line of the log that says so. */
async function resetCode(
  { db, now }: Pick<Call, 'db' | 'now'>,
  administratorId: string,
  accountId: string,
): Promise<{ code: string; expiresAt: string }> {
  const what = { kind: 'reset', made_by: administratorId, user_id: accountId } as const;
  const { code, expiresAt } = await makeCode(db, what, now());
  await record(db, { at: now(), actor: administratorId, action: 'roster.slip', subject: accountId });
  return { code, expiresAt: expiresAt.toISOString() };
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
      const made = await resetCode({ db, now }, me.id, student.id);
      res.status(201);
      return { name: student.name, ...made };
    },
  }),
  route({
    method: 'post',
    path: '/api/people/:accountId/reset',
    who: 'administrator',
    reach: educator,
    handle: async ({ db, me, now, reached, res }) => {
      const made = await resetCode({ db, now }, me.id, reached.id);
      res.status(201);
      return made;
    },
  }),
];
