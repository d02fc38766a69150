import type { Account } from '@cimbel/contract';
import type { Request, RequestHandler, Response, Router } from 'express';
import type { Knex } from 'knex';
import type { ZodType } from 'zod';
import { invalid, notAllowed, notFound, signInNeeded } from './errors';

/** What every handler gets from the application, so that tests can put in a clock or another database. */
export interface Services {
  db: Knex;
  now: () => Date;
  demo: boolean;
}

export type Caller = 'anyone' | 'signedIn' | 'educator' | 'student';

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
  before?: RequestHandler;
  handle: (call: Call & { me: Account; body: Body; reached: Reached }) => Promise<unknown>;
}

export interface Call extends Services {
  /** Null only on routes for anyone. */
  me: Account | null;
  param: (name: string) => string;
  req: Request;
  res: Response;
}

/** Keeps body and reached types together at the place of definition, and forgets them for the list of routes. */
export function route<Body, Reached>(definition: Route<Body, Reached>): Route {
  return definition as unknown as Route;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

export function mount(router: Router, routes: readonly Route[], services: Services): void {
  for (const definition of routes) {
    const handler: RequestHandler = async (req, res) => {
      const me = req.session?.account ?? null;
      if (definition.who !== 'anyone') {
        if (!me) throw signInNeeded();
        if (definition.who !== 'signedIn' && me.role !== definition.who) throw notAllowed();
      }
      const param = (name: string) => {
        const value = String(req.params[name] ?? '');
        // Every name in an address is an id that cannot be guessed; anything else names nothing.
        if (!UUID.test(value)) throw notFound();
        return value;
      };
      const call: Call = { ...services, me, param, req, res };
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
    router[definition.method](definition.path, ...(definition.before ? [definition.before] : []), handler);
  }
}
