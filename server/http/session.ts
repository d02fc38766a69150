import type { Account } from '@cimbel/contract';
import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import type { Pool } from 'pg';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
  }
}

const DAYS_14_MS = 14 * 24 * 3600_000;
/** A session lasts two weeks from its last use; to the minute is exact enough, and spares a write with every request. */
const TOUCHED_EVERY_MS = 60_000;
const MOST_TOUCHED = 10_000;

export function sessions(pool: Pool, secret: string, secure: boolean): RequestHandler {
  const store = new (connectPgSimple(session))({ pool, tableName: 'sessions', pruneSessionInterval: false });
  const touch = store.touch.bind(store);
  /** When each session was last written down as used. */
  const touched = new Map<string, number>();
  store.touch = (id, data, done) => {
    const now = Date.now();
    if (now - (touched.get(id) ?? 0) < TOUCHED_EVERY_MS) return done?.();
    if (touched.size > MOST_TOUCHED) touched.clear();
    touched.set(id, now);
    return touch(id, data, done);
  };
  return session({
    name: 'cimbel.session',
    secret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    store,
    cookie: { httpOnly: true, sameSite: 'lax', secure, maxAge: DAYS_14_MS },
  });
}

/** A new session id on every change of who is signed in, so that an id planted before is worth nothing. */
export function signInAs(req: Request, { id }: Account): Promise<void> {
  return new Promise((resolve, reject) => {
    req.session.regenerate((failure) => {
      if (failure) return reject(failure);
      req.session.accountId = id;
      req.session.save((error) => (error ? reject(error) : resolve()));
    });
  });
}

export function signOut(req: Request): Promise<void> {
  return new Promise((resolve, reject) =>
    req.session.destroy((error) => (error ? reject(error) : resolve())),
  );
}
