import type { DrillAnswer, DrillAnswersKept } from '@cimbel/contract';
import { useSyncExternalStore } from 'react';
import { api, ApiError } from '../../lib/api';
import { keep, readKept } from '../../lib/storage';

/** Answers one request takes at most. */
const BATCH = 50;

export interface Queue {
  add: (answer: DrillAnswer) => void;
  /** Sends what waits, the oldest first. Safe to call at any time: one sending is under way at most. */
  flush: () => Promise<void>;
  waiting: () => readonly DrillAnswer[];
  refused: () => number;
  subscribe: (changed: () => void) => () => void;
}

/**
 * Answers wait on the device until the server has them, through lost connections and reloads. Each has an id of its
 * own, so that sending it twice counts once.
 */
export function makeQueue(
  place: string,
  send: (answers: readonly DrillAnswer[]) => Promise<DrillAnswersKept>,
): Queue {
  let answers: readonly DrillAnswer[] = readKept<DrillAnswer[]>(place) ?? [];
  let refused = 0;
  let sending: Promise<void> | null = null;
  const listeners = new Set<() => void>();
  const set = (next: readonly DrillAnswer[]) => {
    answers = next;
    keep(place, next);
    listeners.forEach((changed) => changed());
  };
  const sendAll = async () => {
    while (answers.length > 0) {
      const batch = answers.slice(0, BATCH);
      let done: ReadonlySet<string>;
      try {
        const result = await send(batch);
        refused += result.refused.length;
        done = new Set([...result.kept, ...result.refused.map(({ id }) => id)]);
      } catch (error) {
        // What the server cannot read it will never read; anything else is tried again later.
        if (!(error instanceof ApiError) || error.status !== 422) return;
        refused += batch.length;
        done = new Set(batch.map(({ id }) => id));
      }
      // Answered meanwhile: those stay.
      set(answers.filter(({ id }) => !done.has(id)));
    }
  };
  return {
    add: (answer) => set([...answers, answer]),
    flush: () => (sending ??= sendAll().finally(() => (sending = null))),
    waiting: () => answers,
    refused: () => refused,
    subscribe: (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
  };
}

const queues = new Map<string, Queue>();
/** The queue of one student on this device. */
export function queueOf(studentId: string): Queue {
  let queue = queues.get(studentId);
  if (!queue) {
    queue = makeQueue(`cimbel.drillAnswers.${studentId}`, (answers) =>
      api<DrillAnswersKept>('POST', '/api/my/drill-answers', { answers }),
    );
    queues.set(studentId, queue);
    const own = queue;
    window.addEventListener('online', () => void own.flush());
    setInterval(() => void own.flush(), 15_000);
  }
  return queue;
}

export const useWaiting = (queue: Queue): number =>
  useSyncExternalStore(queue.subscribe, () => queue.waiting().length);
