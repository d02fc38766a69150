import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import { HttpError } from '../http/errors';
import type { Heavy, HeavyName, HeavyWork } from './heavy';

export interface PoolLimits {
  threads: number;
  /** Most that waits for a thread at once, over all who ask. */
  waiting: number;
  /** Most that one of them has under way or waiting of what is played or searched for, and has not gone away from. */
  waitingEach: number;
  /** What has run for so long is given up, and its thread with it, milliseconds. */
  longestMs: number;
}

/** Lanes of their own: what is handed in and marked never stands behind what is played, nor do pictures of a page. */
type Lane = 'play' | 'mark' | 'paint';
const LANE_OF: Partial<Record<HeavyName, Lane>> = { mark: 'mark', picture: 'paint' };

const yoursWaiting = () =>
  new HttpError(
    429,
    'server.yoursWaiting',
    'Several of your requests are being reckoned already. Wait for those first.',
  );
const busy = () =>
  new HttpError(503, 'server.busy', 'Too much is being reckoned at this moment. Try again in a few seconds.');
const tooLong = () =>
  new HttpError(503, 'server.tooLong', 'This took too long to reckon and was given up. Make it simpler.');
/** Threads that mark, beside those that play: what is handed in together is marked one after the other, quickly. */
const MARKING_THREADS = 1;
/** Nobody reads it: who asked has gone. */
const gone = () => new HttpError(499, 'request.gone', 'Who asked has gone.');

/**
 * Worker threads for all who ask. Each has one thing done at a time, in the order asked, so that five wishes of one stand
 * behind the first wish of everybody else, and has no more than so many; what is no longer wanted when its turn comes is left
 * out. Marking has a thread and a count of its own.
 */
export function workerPool(
  workerFile: string,
  { threads, waiting, waitingEach, longestMs }: PoolLimits,
): HeavyWork {
  const pool = new Piscina({
    filename: workerFile,
    minThreads: 1,
    maxThreads: threads + MARKING_THREADS,
    idleTimeout: 60_000,
  });
  /** Of each asker what runs one after the other, and of what is under way or waits whether it is still wanted. */
  const lines = new Map<string, { next: ReturnType<typeof pLimit>; asked: Set<() => boolean> }>();
  /** A thing goes to a thread when one is free, so that its time begins then and not while it waits. */
  const free: Record<Lane, ReturnType<typeof pLimit>> = {
    play: pLimit(threads),
    paint: pLimit(threads),
    mark: pLimit(MARKING_THREADS),
  };
  const queued: Record<Lane, number> = { play: 0, mark: 0, paint: 0 };
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
        const lane = LANE_OF[name] ?? 'play';
        if (queued[lane] >= waiting) throw busy();
        const key = `${lane} ${who}`;
        const line = lines.get(key) ?? { next: pLimit(1), asked: new Set() };
        const wanted = [...line.asked].filter((hasGone) => !hasGone()).length;
        if (lane === 'play' && wanted >= waitingEach) throw yoursWaiting();
        lines.set(key, line);
        // Each of its own, though two may come from one request.
        const hasGone = () => isGone();
        line.asked.add(hasGone);
        queued[lane]++;
        try {
          return await line.next(() =>
            free[lane](() => {
              if (isGone()) throw gone();
              return run(name, args);
            }),
          );
        } finally {
          queued[lane]--;
          line.asked.delete(hasGone);
          if (line.asked.size === 0) lines.delete(key);
        }
      }) as Heavy,
    close: () => {
      closing = true;
      return pool.destroy();
    },
  };
}
