import { demoSignInSchema, registerSchema, signInSchema, type Session } from '@cimbel/contract';
import { HttpError, invalidField, notFound } from '../http/errors';
import { signInLimit } from '../http/guards';
import { route, type Route } from '../http/route';
import { signInAs, signOut } from '../http/session';
import { createAccount, demoAccount, demoAccounts, findByPassword } from './store';

const FAILED_TRIES_PER_NAME = 10;

export const accountRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/session',
    who: 'anyone',
    handle: async ({ db, me, demo }): Promise<Session> => ({
      me,
      demo: demo ? await demoAccounts(db) : null,
    }),
  }),
  route({
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    before: signInLimit(FAILED_TRIES_PER_NAME),
    body: signInSchema,
    handle: async ({ db, body, req }) => {
      const account = await findByPassword(db, body.email, body.password);
      if (!account) throw new HttpError(401, 'session.wrong', 'Email and password do not belong together.');
      await signInAs(req, account);
      return account;
    },
  }),
  route({
    method: 'delete',
    path: '/api/session',
    who: 'signedIn',
    handle: async ({ req, res }) => {
      await signOut(req);
      res.clearCookie('cimbel.session');
    },
  }),
  route({
    method: 'post',
    path: '/api/demo-session',
    who: 'anyone',
    body: demoSignInSchema,
    handle: async ({ db, demo, body, req }) => {
      const account = demo ? await demoAccount(db, body.accountId) : null;
      if (!account) throw notFound();
      await signInAs(req, account);
      return account;
    },
  }),
  route({
    method: 'post',
    path: '/api/accounts',
    who: 'anyone',
    body: registerSchema,
    handle: async ({ db, body, req, res }) => {
      const account = await createAccount(db, body);
      if (account === 'emailTaken')
        throw invalidField('email', 'taken', 'An account with this address exists. Sign in instead.');
      await signInAs(req, account);
      res.status(201);
      return account;
    },
  }),
];
