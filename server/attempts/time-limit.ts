import type { AttemptTime } from '@cimbel/contract';
import type { Knex } from 'knex';
import { OF_STUDENT, setForStudents, type AssignmentForMe } from '../assignments/access';
import { takenUntil, type Timed } from '../assignments/row';
import { HttpError } from '../http/errors';
import type { AttemptRow } from './store';

const MINUTE_MS = 60_000;
/** What is on its way when the time is up is still taken. */
export const GRACE_MS = MINUTE_MS;

type Limited = Pick<AssignmentForMe, 'minutes' | 'extra_time_share'>;
/** The same with until when anything is taken, and since when the clock stands still. */
export type Ending = Limited & Timed & Pick<AssignmentForMe, 'paused_at'>;
/** What of an attempt its end is reckoned from. */
export type Running = Pick<AttemptRow, 'begun_at' | 'paused_ms'>;

/** Minutes an attempt may take a student, extra time with it; null for no limit. */
export const minutesOf = ({ minutes, extra_time_share }: Limited): number | null =>
  minutes === null ? null : Math.round(minutes * (1 + extra_time_share));

/** When the minutes of an attempt are over, for as long as its clock goes on; null where there is no limit. */
function workedUntil(assignment: Limited, { begun_at, paused_ms }: Running): number | null {
  const minutes = minutesOf(assignment);
  return minutes === null || begun_at === null ? null : begun_at.getTime() + minutes * MINUTE_MS + paused_ms;
}

/** Whether the clock of an attempt stands still: time was left when it was stopped. */
export function isHeld(assignment: Ending, attempt: Running): boolean {
  const worked = workedUntil(assignment, attempt);
  return worked !== null && assignment.paused_at !== null && worked > assignment.paused_at.getTime();
}

/**
 * When the time for an attempt is up: after its minutes, what the clock stood still not counted, or when nothing is taken any
 * more, whichever comes first. What is there then is handed in. Null where there is no limit, or none yet: while the clock
 * stands still only dates end it.
 */
export function endOf(assignment: Ending, attempt: Running): Date | null {
  const worked = workedUntil(assignment, attempt);
  if (worked === null) return null;
  const until = takenUntil(assignment);
  return isHeld(assignment, attempt) ? until : new Date(Math.min(worked, until?.getTime() ?? Infinity));
}

/** How long there is for an attempt, as its student is told; null where there is no limit, or none yet. */
export function timeOf(assignment: Ending, attempt: Running, now: Date): AttemptTime | null {
  const end = endOf(assignment, attempt);
  return end && { endsAt: end.toISOString(), now: now.toISOString(), pausedMs: attempt.paused_ms };
}

/** Whether the time is up, with a little over for what was on its way. */
export function isTimeUp(assignment: Ending, attempt: Running, now: Date): boolean {
  const end = endOf(assignment, attempt);
  return end !== null && now.getTime() > end.getTime() + GRACE_MS;
}

/** @throws HttpError 409 once the time is up. */
export function checkTime(assignment: Ending, attempt: Running, now: Date): void {
  if (isTimeUp(assignment, attempt, now))
    throw new HttpError(409, 'attempt.timeUp', 'The time for this attempt is up.');
}

/** Columns that an end is reckoned from, besides those that are a student's own. */
const OF_ASSIGNMENT = [
  'assignments.minutes',
  'assignments.release',
  'assignments.closed_at',
  'assignments.paused_at',
  'assignments.last_due_at',
  'assignments.late',
] as const;

/** What ends an attempt, for each student an assignment is set to. */
export async function endingsOf(db: Knex, assignmentId: string): Promise<Map<string, Ending>> {
  const rows: (Ending & { student_id: string })[] = await setForStudents(db)
    .where({ 'assignments.id': assignmentId })
    .select('set_for.student_id', ...OF_ASSIGNMENT, ...OF_STUDENT);
  return new Map(rows.map(({ student_id, ...ending }) => [student_id, ending]));
}
