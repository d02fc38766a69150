import type { Account } from '@cimbel/contract';
import type { Request, RequestHandler, Response, Router } from 'express';
import type { Knex } from 'knex';
import type { ZodType } from 'zod';
import { openAccount } from '../accounts/store';
import type { Heavy, HeavyWork } from '../jobs/heavy';
import type { Jobs } from '../jobs/queue';
import type { LiveHub } from '../live/hub';
import { HttpError, invalid, notAllowed, notFound, signInNeeded } from './errors';

/** What every handler gets from the application, so that tests can put in a clock or another database. */
export interface Services {
  db: Knex;
  now: () => Date;
  demo: boolean;
  /** Signs what a browser keeps for us. */
  secret: string;
  /** Worker threads for all that is heavy. */
  work: HeavyWork;
  jobs: Jobs;
  /** Streams of events to browsers. */
  live: LiveHub;
}

export type Caller = 'anyone' | 'signedIn' | 'educator' | 'student' | 'administrator';

const isOpenTo = (who: Caller, { role, administrator }: Account) =>
  who === 'signedIn' || (who === 'administrator' ? administrator : role === who);

/**
 * A route states who may call it, and `reach` loads what the address names on behalf of the caller: it answers null for
 * what is not theirs. Both come before the body is even read. A test walks every route with every kind of caller.
 */
export interface Route<Body = unknown, Reached = unknown> {
  method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  path: string;
  who: Caller;
  body?: ZodType<Body>;
  reach?: (call: Call) => Promise<Reached | null>;
  handle: (call: Call & { me: Account; body: Body; reached: Reached }) => Promise<unknown>;
}

export interface Call extends Services {
  /** Null only on routes for anyone. */
  me: Account | null;
  param: (name: string) => string;
  /** Has something heavy done for the caller, and not begun once they have gone. */
  heavy: Heavy;
  req: Request;
  res: Response;
}

/** Keeps body and reached types together at the place of definition, and forgets them for the list of routes. */
export function route<Body, Reached>(definition: Route<Body, Reached>): Route {
  return definition as unknown as Route;
}

/**
 * Who asks, as the account stands now: what was taken from it since, the account itself included, is gone at once. Demo
 * accounts, whose password is printed, are there only where the demo is, and on this computer only.
 */
async function callerOf({ db, demo }: Services, req: Request): Promise<Account | null> {
  const id = req.session?.accountId;
  return id ? openAccount(db, id, demo && isFromHere(req)) : null;
}

const LOOPBACK = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;
/** Names under which this computer calls itself; a foreign name that points here is a page of somebody else's. */
const OWN_NAME = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/i;
/** Whether a request comes from this very computer by its own name, and not through a proxy on it. */
export const isFromHere = ({ socket, headers }: Pick<Request, 'socket' | 'headers'>): boolean =>
  LOOPBACK.test(socket.remoteAddress ?? '') &&
  OWN_NAME.test(headers.host ?? '') &&
  headers['x-forwarded-for'] === undefined &&
  headers.forwarded === undefined;

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/**
 * Requests of one account that are answered at once, on this server: more than a page asks for, and few enough that nobody's
 * script takes every database connection from the rest.
 */
const AT_ONCE_EACH = 40;
const underWay = new Map<string, number>();
/** Counts a request of an account until it is answered. @throws HttpError 429 where too many of theirs are. */
function counted(accountId: string, res: Response): void {
  const many = underWay.get(accountId) ?? 0;
  if (many >= AT_ONCE_EACH)
    throw new HttpError(
      429,
      'server.yoursWaiting',
      'Too many of your requests are open. Wait for those first.',
    );
  underWay.set(accountId, many + 1);
  res.once('close', () => {
    const left = (underWay.get(accountId) ?? 1) - 1;
    if (left > 0) underWay.set(accountId, left);
    else underWay.delete(accountId);
  });
}

export function mount(router: Router, routes: readonly Route[], services: Services): void {
  for (const definition of routes) {
    const handler: RequestHandler = async (req, res) => {
      // Before anything is asked of the database.
      if (req.session?.accountId) counted(req.session.accountId, res);
      const me = await callerOf(services, req);
      if (definition.who !== 'anyone') {
        if (!me) throw signInNeeded();
        if (!isOpenTo(definition.who, me)) throw notAllowed();
      }
      const param = (name: string) => {
        const value = String(req.params[name] ?? '');
        // Every name in an address is an id that cannot be guessed; anything else names nothing.
        if (!UUID.test(value)) throw notFound();
        return value;
      };
      const heavy = services.work.of(me?.id ?? req.ip ?? '', () => res.closed && !res.writableEnded);
      const call: Call = { ...services, me, param, heavy, req, res };
      const reached = definition.reach ? await definition.reach(call) : undefined;
      if (reached === null) throw notFound();
      let body: unknown;
      if (definition.body) {
        const parsed = definition.body.safeParse(req.body ?? {});
        if (!parsed.success) throw invalid(parsed.error);
        body = parsed.data;
      }
      const answer = await definition.handle({ ...call, me: me as Account, body, reached });
      if (!res.headersSent) res.json(answer ?? {});
    };
    router[definition.method](definition.path, handler);
  }
}
