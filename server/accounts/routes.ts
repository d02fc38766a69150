import {
  codeSchema,
  demoSignInSchema,
  endAccountSchema,
  passwordChangeSchema,
  registerSchema,
  signInSchema,
  useCodeSchema,
  type Account,
  type Session,
} from '@cimbel/contract';
import type { Knex } from 'knex';
import { HttpError, invalidField, notFound } from '../http/errors';
import { isFromHere, route, type Call, type Route } from '../http/route';
import { endSessions, openSessions, signInAs, signOut } from '../http/session';
import { countSignIn, tryCode } from '../http/tries';
import { ownDataOf } from '../classes/own-data';
import { deleteAccount } from '../classes/person';
import { tell } from '../live/hub';
import { record } from '../log/store';
import { takeCode, tellCode } from './codes';
import { isKnownDevice, knowDevice } from './known-device';
import { claimInto, openByCode } from './places';
import {
  createAccount,
  demoAccount,
  demoAccounts,
  findByEmail,
  hashPassword,
  isNewInstallation,
  isPassword,
  toAccount,
} from './store';

const demoOnlyHere = () =>
  new HttpError(
    403,
    'demo.onlyHere',
    'Demo accounts are open on the computer that Cimbel runs on, and nowhere else.',
  );
export const emailTaken = () =>
  invalidField('email', 'taken', 'An account with this address exists. Sign in instead.');

/** Signs in, and knows this browser from then on. */
async function open({ req, res, db, now, secret }: Call, account: Account): Promise<Account> {
  const { id } = account;
  await signInAs(req, account, now());
  const row = await db('users').where({ id }).first();
  knowDevice(secret, res, row!, req.secure);
  await record(db, { at: now(), actor: id, action: 'session.opened', subject: id });
  return account;
}

/** Makes an account: a student's for anyone, an educator's by invitation or as the first of an installation. */
async function register(call: Call, body: typeof registerSchema._output): Promise<Account> {
  const { db, now, req } = call;
  const { code, ...account } = body;
  const made = await db.transaction(async (trx): Promise<Account | 'emailTaken'> => {
    if (account.role === 'student') return createAccount(trx, account);
    // Of two who are the first at once, one is.
    await trx.raw('select pg_advisory_xact_lock(4601)');
    const isFirst = isFromHere(req) && (await isNewInstallation(trx));
    if (!code && !isFirst)
      throw invalidField('code', 'needed', 'Educators are invited. Ask for a code and write it here.');
    const { administrator } = code
      ? await takeCode(trx, code, ['invitation'], now())
      : { administrator: true };
    const educator = await createAccount(trx, { ...account, administrator });
    // The code stays good for who mistook the address.
    if (educator === 'emailTaken') throw emailTaken();
    return educator;
  });
  if (made === 'emailTaken') throw emailTaken();
  return open(call, made);
}

async function changePassword(db: Knex, id: string, current: string, password: string): Promise<void> {
  const user = await db('users').where({ id }).first();
  if (!(await isPassword(user, current)))
    throw invalidField('current', 'wrongPassword', 'This is not the password you sign in with.');
  if (user!.demo)
    throw new HttpError(403, 'demo.password', 'The password of a demo account is printed and stays.');
  await db('users')
    .where({ id })
    .update({ password_hash: await hashPassword(password) });
}

export const accountRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/session',
    who: 'anyone',
    handle: async ({ db, me, demo, req }): Promise<Session> => ({
      me,
      demo: demo && isFromHere(req) ? await demoAccounts(db) : null,
      isNew: !me && isFromHere(req) && (await isNewInstallation(db)),
    }),
  }),
  route({
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    body: signInSchema,
    handle: async (call) => {
      const { db, demo, body, req, secret } = call;
      const user = await findByEmail(db, body.email);
      const known = isKnownDevice(secret, req, user);
      const counted = await countSignIn(db, { email: body.email, source: req.ip ?? '', known });
      // Without the demo its accounts are as good as not there.
      if (!(await isPassword(user, body.password)) || (user!.demo && !demo)) {
        await counted.failed();
        throw new HttpError(401, 'session.wrong', 'Email and password do not belong together.');
      }
      await counted.succeeded();
      if (user!.demo && !isFromHere(req)) throw demoOnlyHere();
      return open(call, toAccount(user!));
    },
  }),
  route({
    method: 'delete',
    path: '/api/session',
    who: 'signedIn',
    handle: async ({ db, me, req, res }) => {
      await signOut(req);
      await tell(db, { accountId: me.id });
      res.clearCookie('cimbel.session');
    },
  }),
  route({
    method: 'post',
    path: '/api/demo-session',
    who: 'anyone',
    body: demoSignInSchema,
    handle: async ({ db, demo, now, body, req }) => {
      if (demo && !isFromHere(req)) throw demoOnlyHere();
      const account = demo ? await demoAccount(db, body.accountId) : null;
      if (!account) throw notFound();
      await signInAs(req, account, now());
      return account;
    },
  }),
  route({
    method: 'post',
    path: '/api/accounts',
    who: 'anyone',
    body: registerSchema,
    handle: async (call) => {
      const making = () => register(call, call.body);
      const account = call.body.code ? await tryCode(call.db, call.req.ip ?? '', making) : await making();
      call.res.status(201);
      return account;
    },
  }),
  route({
    method: 'put',
    path: '/api/account/password',
    who: 'signedIn',
    body: passwordChangeSchema,
    handle: async (call) => {
      const { db, me, now, body, req } = call;
      const counted = await countSignIn(db, { email: me.id, source: req.ip ?? '', known: true });
      await changePassword(db, me.id, body.current, body.password);
      await counted.succeeded();
      await endSessions(db, me.id, { besides: req });
      await record(db, { at: now(), actor: me.id, action: 'account.password', subject: me.id });
    },
  }),
  route({
    method: 'get',
    path: '/api/account/data.json',
    who: 'student',
    handle: async ({ db, me, now, res }) => {
      res.attachment('my-data.json').json(await ownDataOf(db, me.id, now()));
    },
  }),
  route({
    method: 'delete',
    path: '/api/account',
    who: 'student',
    body: endAccountSchema,
    handle: async ({ db, me, now, body, req }) => {
      const counted = await countSignIn(db, { email: me.id, source: req.ip ?? '', known: true });
      const user = await db('users').where({ id: me.id }).first();
      if (user?.demo) throw new HttpError(403, 'demo.password', 'A demo account is everybody’s and stays.');
      if (!(await isPassword(user, body.password)))
        throw invalidField('password', 'wrongPassword', 'This is not the password of this account.');
      await counted.succeeded();
      await deleteAccount(db, me.id, now());
    },
  }),
  route({
    method: 'get',
    path: '/api/account/sessions',
    who: 'signedIn',
    handle: ({ db, me, req }) => openSessions(db, me.id, req),
  }),
  route({
    method: 'delete',
    path: '/api/account/sessions',
    who: 'signedIn',
    handle: async ({ db, me, req }) => ({ ended: await endSessions(db, me.id, { besides: req }) }),
  }),
  route({
    method: 'delete',
    path: '/api/account/sessions/:sessionId',
    who: 'signedIn',
    reach: async ({ db, me, param, req }) => {
      const id = param('sessionId');
      return (await openSessions(db, me!.id, req)).find((openSession) => openSession.id === id) ?? null;
    },
    handle: async ({ db, me, reached }) => {
      await endSessions(db, me.id, { id: reached.id });
    },
  }),
  route({
    method: 'post',
    path: '/api/codes/look',
    who: 'anyone',
    body: codeSchema,
    handle: ({ db, now, body, req }) => tryCode(db, req.ip ?? '', () => tellCode(db, body.code, now())),
  }),
  route({
    method: 'post',
    path: '/api/codes/use',
    who: 'anyone',
    body: useCodeSchema,
    handle: async (call) => {
      const { db, body, now, req } = call;
      return open(call, await tryCode(db, req.ip ?? '', () => openByCode(db, body, now())));
    },
  }),
  route({
    method: 'post',
    path: '/api/my/places',
    who: 'student',
    body: codeSchema,
    handle: async ({ db, me, now, body, req, res }) => {
      await tryCode(db, req.ip ?? '', () => claimInto(db, me.id, body.code, now()));
      res.status(201);
    },
  }),
];
