import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import { HttpError } from '../http/errors';
import type { Heavy, HeavyName, HeavyWork } from './heavy';

export interface PoolLimits {
  threads: number;
  /** Most that waits for a thread at once, over all who ask. */
  waiting: number;
  /** What has run for so long is given up, and its thread with it, milliseconds. */
  longestMs: number;
}

const busy = () =>
  new HttpError(503, 'server.busy', 'Too much is being reckoned at this moment. Try again in a few seconds.');
const tooLong = () =>
  new HttpError(503, 'server.tooLong', 'This took too long to reckon and was given up. Make it simpler.');
/** Nobody reads it: who asked has gone. */
const gone = () => new HttpError(499, 'request.gone', 'Who asked has gone.');

/**
 * Worker threads for all who ask. Each has one thing done at a time, in the order asked, so that thirty wishes of one
 * stand behind the first wish of everybody else; what is no longer wanted when its turn comes is left out.
 */
export function workerPool(workerFile: string, { threads, waiting, longestMs }: PoolLimits): HeavyWork {
  const pool = new Piscina({ filename: workerFile, minThreads: 1, maxThreads: threads, idleTimeout: 60_000 });
  const lines = new Map<string, ReturnType<typeof pLimit>>();
  /** A thing goes to a thread when one is free, so that its time begins then and not while it waits. */
  const free = pLimit(threads);
  let queued = 0;
  let closing = false;
  const run = async (name: HeavyName, args: unknown[]) => {
    const signal = AbortSignal.timeout(longestMs);
    try {
      return await pool.run({ name, args }, { signal });
    } catch (error) {
      if (closing) throw busy();
      throw signal.aborted ? tooLong() : error;
    }
  };
  return {
    of: (who, isGone = () => false) =>
      (async (name: HeavyName, ...args: unknown[]) => {
        if (queued >= waiting) throw busy();
        const line = lines.get(who) ?? pLimit(1);
        lines.set(who, line);
        queued++;
        try {
          return await line(() =>
            free(() => {
              if (isGone()) throw gone();
              return run(name, args);
            }),
          );
        } finally {
          queued--;
          if (line.activeCount + line.pendingCount === 0) lines.delete(who);
        }
      }) as Heavy,
    close: () => {
      closing = true;
      return pool.destroy();
    },
  };
}
