import type { Account, OpenSession } from '@cimbel/contract';
import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import type { Knex } from 'knex';
import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { tell } from '../live/hub';
import { inIdForm } from './id-form';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    /** ISO date and time. */
    startedAt: string;
    /** What the browser called itself. */
    agent: string;
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
export function signInAs(req: Request, { id }: Account, now: Date): Promise<void> {
  return new Promise((resolve, reject) => {
    req.session.regenerate((failure) => {
      if (failure) return reject(failure);
      req.session.accountId = id;
      req.session.startedAt = now.toISOString();
      req.session.agent = (req.get('user-agent') ?? '').slice(0, 200);
      req.session.save((error) => (error ? reject(error) : resolve()));
    });
  });
}

export function signOut(req: Request): Promise<void> {
  return new Promise((resolve, reject) =>
    req.session.destroy((error) => (error ? reject(error) : resolve())),
  );
}

/** Names a session to its owner: its own id opens it, this opens nothing. */
export const publicOf = (sid: string) => inIdForm(createHash('sha256').update(sid).digest('hex'));

const sessionsOf = (db: Knex, accountId: string) =>
  db('sessions').whereRaw("sess->>'accountId' = ?", [accountId]).where('expire', '>', new Date());

/** Where an account is signed in, newest first. */
export async function openSessions(db: Knex, accountId: string, req: Request): Promise<OpenSession[]> {
  const rows: { sid: string; sess: Partial<session.SessionData> }[] = await sessionsOf(db, accountId)
    .orderByRaw("sess->>'startedAt' desc nulls last")
    .select('sid', 'sess');
  return rows.map(({ sid, sess }) => ({
    id: publicOf(sid),
    here: sid === req.sessionID,
    agent: sess.agent ?? '',
    startedAt: sess.startedAt ?? null,
  }));
}

/** Ends sessions of an account: one by its public name, or all but the one that asks. Without a request all of them. */
export async function endSessions(
  db: Knex,
  accountId: string,
  which: { id: string } | { besides: Request | null },
): Promise<number> {
  const sids: string[] = await sessionsOf(db, accountId).pluck('sid');
  const ending = sids.filter((sid) =>
    'id' in which ? publicOf(sid) === which.id : sid !== which.besides?.sessionID,
  );
  const ended = await db('sessions').whereIn('sid', ending).delete();
  // Streams that a session has open end with it.
  await tell(db, { accountId });
  return ended;
}
