import { newId } from '../../lib/id';
import { keep, readKept } from '../../lib/storage';
import { writerOfTab } from '../../lib/writer';

/** What this device holds of an answer; `unsent` until the server has confirmed it. */
export interface KeptDraft<A> {
  answer: A;
  version: number;
  unsent: boolean;
}

const PREFIX = 'cimbel.draft.';
/** What a student's attempt at an assignment is called on this device; the first bears no number. */
export const attemptName = (studentId: string, assignmentId: string, attempt: number) =>
  [studentId, assignmentId, ...(attempt > 1 ? [attempt] : [])].join('.');
export const draftPlace = (studentId: string, assignmentId: string, attempt: number) =>
  `${PREFIX}${attemptName(studentId, assignmentId, attempt)}`;
/** Which attempt of a student a name is of; null for other names. */
export function attemptOfPlace(
  studentId: string,
  place: string,
): { assignmentId: string; attempt: number } | null {
  if (!place.startsWith(`${PREFIX}${studentId}.`)) return null;
  const [assignmentId, attempt = '1'] = place.slice(`${PREFIX}${studentId}.`.length).split('.');
  return { assignmentId, attempt: Number(attempt) };
}

/**
 * Kept twice: for this tab, which goes on with it after a reload whatever another tab writes, and for the device, so that
 * what a tab held when it was closed is not lost.
 */
export function keepDraft<A>(place: string, draft: KeptDraft<A>): void {
  keep(place, draft, 'tab');
  keep(place, draft);
}

/** What this tab had; where it had nothing, what another left on the device, which is not this tab's own. */
export function keptDraft<A>(place: string): { draft: KeptDraft<A>; isOwn: boolean } | null {
  const own = readKept<KeptDraft<A>>(place, 'tab');
  if (own) return { draft: own, isOwn: true };
  const other = readKept<KeptDraft<A>>(place);
  return other && { draft: other, isOwn: false };
}

/**
 * Under which name an answer is sent. The server takes a repeat of the same writer for one, so what another tab wrote must
 * not be sent under the name of this one: it would go over newer work unasked.
 */
export const writerFor = (isOwn: boolean): Promise<string> =>
  isOwn ? writerOfTab() : Promise.resolve(newId());
