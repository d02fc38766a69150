import { demoSignInSchema, registerSchema, signInSchema, type Session } from '@cimbel/contract';
import { HttpError, invalidField, notFound } from '../http/errors';
import { signInLimit } from '../http/guards';
import { isFromHere, route, type Route } from '../http/route';
import { signInAs, signOut } from '../http/session';
import { createAccount, demoAccount, demoAccounts, findByPassword } from './store';

const FAILED_TRIES_PER_NAME = 10;

const demoOnlyHere = () =>
  new HttpError(
    403,
    'demo.onlyHere',
    'Demo accounts are open on the computer that Cimbel runs on, and nowhere else.',
  );

export const accountRoutes = (): Route[] => [
  route({
    method: 'get',
    path: '/api/session',
    who: 'anyone',
    handle: async ({ db, me, demo, req }): Promise<Session> => ({
      me,
      demo: demo && isFromHere(req) ? await demoAccounts(db) : null,
    }),
  }),
  route({
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    before: signInLimit(FAILED_TRIES_PER_NAME),
    body: signInSchema,
    handle: async ({ db, demo, body, req }) => {
      const found = await findByPassword(db, body.email, body.password);
      // Without the demo its accounts are as good as not there.
      if (!found || (found.demo && !demo))
        throw new HttpError(401, 'session.wrong', 'Email and password do not belong together.');
      if (found.demo && !isFromHere(req)) throw demoOnlyHere();
      await signInAs(req, found.account);
      return found.account;
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
      if (demo && !isFromHere(req)) throw demoOnlyHere();
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
