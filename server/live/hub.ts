import type { LiveEvent, Role } from '@cimbel/contract';
import type { Response } from 'express';
import type { Knex } from 'knex';
import pg from 'pg';
import type { Logger } from 'pino';
import { z } from 'zod';

/** Name under which the servers of an installation tell each other. */
const CHANNEL = 'cimbel_live';

/** What one server tells the others. `educators`: of no use to students, as when a draft was saved. */
const tidingsSchema = z.union([
  z.object({ classId: z.string(), assignmentId: z.string(), to: z.enum(['educators', 'all']) }),
  /** Someone's sessions or rights have changed: streams of theirs are looked at again. */
  z.object({ accountId: z.string() }),
]);
type Tidings = z.infer<typeof tidingsSchema>;

/** Tells every server of the installation, once the transaction stands. */
export async function tell(db: Knex, tidings: Tidings): Promise<void> {
  await db.raw('select pg_notify(?, ?)', [CHANNEL, JSON.stringify(tidings)]);
}

/** Tells of something done in an assignment: to those who lead the class, or to all in it. */
export const tellOf = (
  db: Knex,
  { id, class_id }: { id: string; class_id: string },
  to: 'educators' | 'all',
): Promise<void> => tell(db, { classId: class_id, assignmentId: id, to });

/** What happens in a class within so long is told at once, milliseconds. */
const TOLD_EVERY_MS = 300;
/** A stream says that it is still there, and is looked at whether it may be, milliseconds. */
const BEAT_MS = 20_000;
/** A database that went away is tried again after so long, milliseconds. */
const AGAIN_AFTER_MS = 2_000;
/** Streams of one account; the oldest gives way. A browser needs one, however many pages are open in it. */
const MOST_EACH = 6;

interface Stream {
  res: Response;
  accountId: string;
  role: Role;
  /** Id of its session. */
  sid: string;
  /** Ids of the classes whose events it gets, as last looked up. */
  classes: ReadonlySet<string>;
}

/** Streams of events to browsers, fed by one connection that listens to the database. */
export interface LiveHub {
  /** Turns an answer into a stream of an account's events. */
  open: (res: Response, of: Omit<Stream, 'res' | 'classes'>) => Promise<void>;
  close: () => Promise<void>;
}

/** Ids of classes by account: those an educator leads, and those a student is in. */
async function classesOf(db: Knex, accountIds: string[]): Promise<Map<string, Set<string>>> {
  const { rows } = await db.raw<{ rows: { account_id: string; class_id: string }[] }>(
    `select educator_id as account_id, class_id from leaders where educator_id = any(:ids::uuid[])
     union all select student_id, class_id from members where student_id = any(:ids::uuid[])`,
    { ids: accountIds },
  );
  const classes = new Map<string, Set<string>>(accountIds.map((id) => [id, new Set()]));
  for (const { account_id, class_id } of rows) classes.get(account_id)!.add(class_id);
  return classes;
}

export function liveHub(url: string, db: Knex, log: Logger): LiveHub {
  const streams = new Set<Stream>();
  /** What is to be told of a class, and to whom. */
  const waiting = new Map<string, { educators: Set<string>; all: Set<string> }>();
  /** The connection that listens, once it does; null where there is none. */
  let listening: Promise<pg.Client | null> | null = null;
  let closed = false;

  const send = (stream: Stream, event: string, data: object) =>
    void stream.res.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  const end = (stream: Stream) => {
    streams.delete(stream);
    stream.res.end();
  };

  const flush = (classId: string) => {
    const { educators, all } = waiting.get(classId)!;
    waiting.delete(classId);
    for (const stream of streams) {
      if (!stream.classes.has(classId)) continue;
      const assignmentIds = stream.role === 'educator' ? [...new Set([...educators, ...all])] : [...all];
      if (assignmentIds.length > 0) send(stream, 'change', { classId, assignmentIds } satisfies LiveEvent);
    }
  };

  /** Ends streams whose session is over, and looks up what the others may hear. */
  const recheck = async (which: readonly Stream[]) => {
    if (which.length === 0) return;
    const [sids, classes] = await Promise.all([
      db('sessions')
        .whereIn('sid', [...new Set(which.map(({ sid }) => sid))])
        .where('expire', '>', new Date())
        .pluck('sid') as Promise<string[]>,
      classesOf(db, [...new Set(which.map(({ accountId }) => accountId))]),
    ]);
    const open = new Set(sids);
    for (const stream of which) {
      if (!open.has(stream.sid)) end(stream);
      else stream.classes = classes.get(stream.accountId)!;
    }
  };
  const recheckQuietly = (which: readonly Stream[]) =>
    recheck(which).catch(({ message }: Error) => log.warn({ message }, 'streams could not be looked at'));

  const hear = (payload: string) => {
    const tidings = tidingsSchema.parse(JSON.parse(payload));
    if ('accountId' in tidings) {
      void recheckQuietly([...streams].filter(({ accountId }) => accountId === tidings.accountId));
      return;
    }
    const { classId, assignmentId, to } = tidings;
    const known = waiting.get(classId);
    const told = known ?? { educators: new Set<string>(), all: new Set<string>() };
    if (!known) {
      waiting.set(classId, told);
      setTimeout(() => flush(classId), TOLD_EVERY_MS).unref();
    }
    told[to].add(assignmentId);
  };

  /** Listens to the database; what was told while it could not is not known, so that everyone asks anew after that. */
  const connect = async (): Promise<pg.Client | null> => {
    const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5_000, keepAlive: true });
    let lost = false;
    const again = () => {
      if (lost) return;
      lost = true;
      client.end().catch(() => undefined);
      setTimeout(async () => {
        if (closed) return;
        listening = connect();
        if (await listening) for (const stream of streams) send(stream, 'again', {});
      }, AGAIN_AFTER_MS).unref();
    };
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ payload }) => hear(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      return client;
    } catch (error) {
      log.warn({ message: (error as Error).message }, 'the database could not be listened to');
      again();
      return null;
    }
  };

  const beat = setInterval(() => {
    for (const { res } of streams) res.write(': beat\n\n');
    void recheckQuietly([...streams]);
  }, BEAT_MS);
  beat.unref();

  return {
    open: async (res, of) => {
      await (listening ??= connect());
      const classes = (await classesOf(db, [of.accountId])).get(of.accountId)!;
      const stream: Stream = { ...of, res, classes };
      const own = [...streams].filter(({ accountId }) => accountId === of.accountId);
      if (own.length >= MOST_EACH) end(own[0]);
      streams.add(stream);
      res.on('close', () => streams.delete(stream));
      res.writeHead(200, {
        'Content-Type': 'text/event-stream; charset=utf-8',
        // Neither kept nor packed nor held back on the way.
        'Cache-Control': 'no-store, no-transform',
        'X-Accel-Buffering': 'no',
      });
      send(stream, 'open', {});
    },
    close: async () => {
      closed = true;
      clearInterval(beat);
      for (const stream of streams) end(stream);
      const client = await listening;
      await client?.end().catch(() => undefined);
    },
  };
}
