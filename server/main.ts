import pino from 'pino';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { connect, migrateAt, sessionPool } from './db/database';
import { seedDemo } from './demo/seed';
import { runRegrade, unfinishedRegrades } from './assignments/regrade';
import { dueUnderWay, handInWhenTimeIsUp } from './attempts/store';
import { workerPool } from './jobs/pool';
import { liveHub } from './live/hub';
import { jobQueue, prune } from './jobs/queue';

/** Set by the start script; a server run by hand needs DATABASE_URL and SESSION_SECRET. */
const {
  DATABASE_URL,
  SESSION_SECRET,
  PORT = '4600',
  HOST = '127.0.0.1',
  CIMBEL_DEMO,
  CIMBEL_SECURE,
  LOG_LEVEL = 'warn',
} = process.env;

async function main(): Promise<void> {
  if (!DATABASE_URL)
    throw new Error('DATABASE_URL is not set. Use npm start, or give the address of a PostgreSQL database.');
  if (!SESSION_SECRET)
    throw new Error('SESSION_SECRET is not set. Give a long random text; changing it signs everyone out.');
  const log = pino({ level: LOG_LEVEL });
  const db = connect(DATABASE_URL);
  const pool = sessionPool(DATABASE_URL);
  // A database that restarts drops idle connections; the next query opens another.
  pool.on('error', ({ message }) => log.warn({ message }, 'idle database connection lost'));
  await migrateAt(DATABASE_URL);
  const demo = CIMBEL_DEMO === '1';
  const now = () => new Date();
  if (demo) await seedDemo(db, now());
  // One core is left to those who answer.
  const work = workerPool(fileURLToPath(new URL('./worker.js', import.meta.url)), {
    threads: Math.max(1, availableParallelism() - 1),
    waiting: 500,
    waitingEach: 5,
    longestMs: 60_000,
  });
  const jobs = await jobQueue(
    DATABASE_URL,
    {
      regrade: (id) => runRegrade(db, work.of(`regrade ${id}`), id, now),
      timeUp: (id) => handInWhenTimeIsUp(db, work.of(`time up ${id}`), id, now()),
      due: () => dueUnderWay(db, now()),
      prune: () => prune(db, now()),
    },
    log,
  );
  // What an older server left half done, or died before it could ask for.
  for (const id of await unfinishedRegrades(db)) await jobs.regrade(id);
  const live = liveHub(DATABASE_URL, db, log);
  const app = createApp({
    db,
    work,
    jobs,
    live,
    pool,
    log,
    now,
    demo,
    secret: SESSION_SECRET,
    secure: CIMBEL_SECURE === '1',
    webFolder: fileURLToPath(new URL('../../web/dist', import.meta.url)),
  });
  const server = app.listen(Number(PORT), HOST, (error?: Error) => {
    if (error) {
      console.error(error.message);
      process.exit(1);
    }
    process.send?.({ ready: true });
    log.info({ port: PORT }, 'listening');
  });
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await live.close();
    server.closeAllConnections();
    server.close();
    // Jobs under way go back to the queue, and the next process takes them up again.
    await jobs.close().catch(() => undefined);
    await Promise.allSettled([db.destroy(), pool.end(), work.close()]);
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  // Started by a parent that is gone: nobody is left to stop this server, so it stops itself.
  if (process.send) process.on('disconnect', stop);
}

main().catch((error: Error) => {
  console.error(error.message);
  process.exit(1);
});
