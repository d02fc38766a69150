import type { Knex } from 'knex';
import PgBoss from 'pg-boss';
import type { Logger } from 'pino';

/** What goes on behind the backs of those who ask, and outlives the server that began it. */
export interface Jobs {
  /** Marks the answers of an assignment again; asked twice it is done once at a time. */
  regrade: (assignmentId: string) => Promise<void>;
  /** Hands in what is there of an attempt once its time is up. */
  timeUp: (attemptId: string, at: Date) => Promise<void>;
  close: () => Promise<void>;
}

/** How the work itself is done, whichever process does it. */
export interface QueueWork {
  regrade: (assignmentId: string) => Promise<void>;
  /** Says when to look again, where the time is not up yet. */
  timeUp: (attemptId: string) => Promise<{ again: Date } | null>;
  /** Attempts that the dates have ended, to be handed in. */
  due: () => Promise<string[]>;
  prune: () => Promise<void>;
}

/** A piece that its server dropped is taken up by another after so long, seconds. */
const LOST_AFTER_S = 60;
const RETRIES = 5;
/** Attempts whose time is up at once that are taken up together. */
const TOGETHER = 60;
/** Due times are looked at every minute. */
const DUE_AT = '* * * * *';
/** At a quiet hour. */
const PRUNED_AT = '17 3 * * *';

/**
 * A queue in the database: what was begun is gone on with after a restart, by whichever server of the installation is
 * there, and two of them never do the same thing at once.
 */
export async function jobQueue(
  url: string,
  { regrade, timeUp, due, prune }: QueueWork,
  log: Logger,
): Promise<Jobs> {
  const boss = new PgBoss({ connectionString: url, schema: 'jobs', max: 3 });
  boss.on('error', ({ message }) => log.warn({ message }, 'the job queue could not reach the database'));
  await boss.start();
  // One at a time of each name and key.
  const options = { retryLimit: RETRIES, retryDelay: 1, retryBackoff: true, expireInSeconds: LOST_AFTER_S };
  await boss.createQueue('regrade', { name: 'regrade', policy: 'stately', ...options });
  await boss.createQueue('time-up', { name: 'time-up', ...options });
  await boss.createQueue('due', { name: 'due', policy: 'stately', ...options });
  await boss.createQueue('prune', { name: 'prune', policy: 'stately', ...options });
  await boss.work<{ assignmentId: string }>('regrade', { pollingIntervalSeconds: 1 }, async ([job]) =>
    regrade(job.data.assignmentId),
  );
  const lookAgain = async (attemptId: string, at: Date) => {
    await boss.send('time-up', { attemptId }, { startAfter: at });
  };
  // A class that began together ends together: all of it is handed in at once. Done twice it is done once.
  await boss.work<{ attemptId: string }>(
    'time-up',
    { pollingIntervalSeconds: 1, batchSize: TOGETHER },
    async (jobs) => {
      const done = await Promise.allSettled(
        jobs.map(async ({ data: { attemptId } }) => {
          const next = await timeUp(attemptId);
          if (next) await lookAgain(attemptId, next.again);
        }),
      );
      const failed = done.find((one) => one.status === 'rejected');
      if (failed) throw failed.reason;
    },
  );
  await boss.work('due', { pollingIntervalSeconds: 5 }, async () => {
    for (const attemptId of await due()) await lookAgain(attemptId, new Date(0));
  });
  await boss.schedule('due', DUE_AT);
  await boss.work('prune', { pollingIntervalSeconds: 60 }, prune);
  await boss.schedule('prune', PRUNED_AT);
  return {
    regrade: async (assignmentId) => {
      await boss.send('regrade', { assignmentId }, { singletonKey: assignmentId });
    },
    timeUp: lookAgain,
    close: () => boss.stop({ graceful: true, timeout: 5000 }),
  };
}

/** Days that these are kept after they are over. Answers, marks and the log are kept always. */
export const KEPT_DAYS = { sessions: 0, contacts: 14, codes: 0, tries: 1 } as const;

/** Takes out sessions, codes and counts of tries that are over. */
export async function prune(db: Knex, now: Date): Promise<void> {
  const before = (days: number) => new Date(now.getTime() - days * 24 * 3600_000);
  await db('sessions').where('expire', '<', before(KEPT_DAYS.sessions)).delete();
  await db('practice_contacts').where('heard_at', '<', before(KEPT_DAYS.contacts)).delete();
  await db('codes').where('expires_at', '<', before(KEPT_DAYS.codes)).delete();
  await db('tries').where('expire', '<', before(KEPT_DAYS.tries).getTime()).delete();
}
