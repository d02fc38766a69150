import type { DraftSaved } from '@cimbel/contract';
import { api } from '../../lib/api';
import { forget, readKept } from '../../lib/storage';
import { writerOfTab } from '../../lib/writer';
import { queueOf } from '../drill/answer-queue';

/** Everything of one account that this device keeps under a name of its own. */
const placesOf = (studentId: string): string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!).filter((name) =>
    name.split('.').includes(studentId),
  );

/** Sends what waits on this device for an account; says how much could not be sent. */
export async function sendWaiting(studentId: string): Promise<number> {
  const prefix = `cimbel.draft.${studentId}.`;
  let left = 0;
  for (const place of placesOf(studentId).filter((name) => name.startsWith(prefix))) {
    const kept = readKept<{ answer: unknown; version: number; unsent: boolean }>(place);
    if (!kept?.unsent) continue;
    const path = `/api/my/assignments/${place.slice(prefix.length)}/draft`;
    const body = { answer: kept.answer, version: kept.version, writer: await writerOfTab() };
    await api<DraftSaved>('PUT', path, body).catch(() => left++);
  }
  const queue = queueOf(studentId);
  await queue.flush();
  return left + queue.waiting().length;
}

/** Takes everything of an account off this device, for whoever sits down at it next. */
export function leaveDevice(studentId: string): void {
  for (const place of placesOf(studentId)) forget(place);
}
