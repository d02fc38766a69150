import type { AssignmentForMe } from '../assignments/access';
import { takenUntil, type Timed } from '../assignments/row';
import { HttpError } from '../http/errors';
import type { AttemptRow } from './store';

const MINUTE_MS = 60_000;
/** What is on its way when the time is up is still taken. */
export const GRACE_MS = MINUTE_MS;

type Limited = Pick<AssignmentForMe, 'minutes' | 'extra_time_share'>;
/** The same with until when anything is taken. */
export type Ending = Limited & Timed;

/** Minutes an attempt may take a student, extra time with it; null for no limit. */
export const minutesOf = ({ minutes, extra_time_share }: Limited): number | null =>
  minutes === null ? null : Math.round(minutes * (1 + extra_time_share));

/**
 * When the time for an attempt is up: after its minutes, or when nothing is taken any more, whichever comes first. What is there
 * then is handed in. Null where there is no limit.
 */
export function endOf(assignment: Ending, { begun_at }: Pick<AttemptRow, 'begun_at'>): Date | null {
  const minutes = minutesOf(assignment);
  if (minutes === null || begun_at === null) return null;
  const worked = begun_at.getTime() + minutes * MINUTE_MS;
  return new Date(Math.min(worked, takenUntil(assignment)?.getTime() ?? Infinity));
}

/** Whether the time is up, with a little over for what was on its way. */
export function isTimeUp(assignment: Ending, attempt: Pick<AttemptRow, 'begun_at'>, now: Date): boolean {
  const end = endOf(assignment, attempt);
  return end !== null && now.getTime() > end.getTime() + GRACE_MS;
}

/** @throws HttpError 409 once the time is up. */
export function checkTime(assignment: Ending, attempt: Pick<AttemptRow, 'begun_at'>, now: Date): void {
  if (isTimeUp(assignment, attempt, now))
    throw new HttpError(409, 'attempt.timeUp', 'The time for this attempt is up.');
}
