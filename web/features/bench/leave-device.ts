import type { DraftSaved } from '@cimbel/contract';
import { api } from '../../lib/api';
import { forget, keptNames } from '../../lib/storage';
import { queueOf } from '../drill/answer-queue';
import { attemptOfPlace, keptDraft, writerFor } from './stored-draft';

/** Sends what waits on this device for an account; says how much could not be sent. */
export async function sendWaiting(studentId: string): Promise<number> {
  let left = 0;
  for (const place of keptNames()) {
    const of = attemptOfPlace(studentId, place);
    const found = of && keptDraft(place);
    if (!found || !found.draft.unsent) continue;
    const { answer, version } = found.draft;
    const body = { answer, version, attempt: of.attempt, writer: await writerFor(found.isOwn) };
    await api<DraftSaved>('PUT', `/api/my/assignments/${of.assignmentId}/draft`, body).catch(() => left++);
  }
  const queue = queueOf(studentId);
  await queue.flush();
  return left + queue.waiting().length;
}

/** Takes everything of an account off this device, before the next person signs in on it. */
export function leaveDevice(studentId: string): void {
  for (const kept of ['device', 'tab'] as const)
    for (const name of keptNames(kept)) if (name.split('.').includes(studentId)) forget(name, kept);
}
