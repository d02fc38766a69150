import type { Working, WorkingWrite, WorkStep } from '@cimbel/contract';
import type { Knex } from 'knex';
import type { AssignmentForMe } from '../assignments/access';
import { lastAttempt } from '../attempts/store';
import { timeOf } from '../attempts/time-limit';
import { hintsOn } from './hints';

/** Where a student was last heard of at work. */
export interface AtWorkRow {
  assignment_id: string;
  student_id: string;
  /** Null where it was never told. */
  step: WorkStep | null;
  /** Since when the student is at it. */
  step_at: Date | null;
  seen_at: Date;
  /** Since when help is asked for. */
  hand_at: Date | null;
}

/** Writes down where a student is, and whether help is asked for. */
export async function setAtWork(
  db: Knex,
  assignmentId: string,
  studentId: string,
  { step, hand }: WorkingWrite,
  now: Date,
): Promise<void> {
  const known = { assignment_id: assignmentId, student_id: studentId };
  await db('at_work')
    .insert({
      ...known,
      seen_at: now,
      ...(step === undefined ? {} : { step, step_at: now }),
      ...(hand ? { hand_at: now } : {}),
    })
    .onConflict(['assignment_id', 'student_id'])
    .merge({
      seen_at: now,
      ...(step === undefined
        ? {}
        : {
            step,
            // Said again, it is the same stay.
            step_at: db.raw('case when at_work.step = ? then at_work.step_at else ? end', [step, now]),
          }),
      ...(hand === undefined ? {} : { hand_at: hand ? db.raw('coalesce(at_work.hand_at, ?)', [now]) : null }),
    });
}

/** Help that was asked for has been given, or is needed no more. */
export const lowerHand = (db: Knex, assignmentId: string, studentIds: readonly string[]): Promise<number> =>
  db('at_work')
    .where({ assignment_id: assignmentId })
    .whereIn('student_id', [...studentIds])
    .whereNotNull('hand_at')
    .update({ hand_at: null });

/** What a student is told while at work. */
export async function workingOf(
  db: Knex,
  assignment: AssignmentForMe,
  studentId: string,
  now: Date,
): Promise<Working> {
  const attempt = await lastAttempt(db, assignment.id, studentId);
  const [row, hints] = await Promise.all([
    db('at_work').where({ assignment_id: assignment.id, student_id: studentId }).first('hand_at'),
    hintsOn(db, {
      assignment_id: assignment.id,
      student_id: studentId,
      attempt: attempt?.number ?? 1,
    }),
  ]);
  return {
    pausedAt: assignment.paused_at?.toISOString() ?? null,
    time: attempt && !attempt.submitted_at ? timeOf(assignment, attempt, now) : null,
    handAt: row?.hand_at?.toISOString() ?? null,
    handedIn: Boolean(attempt?.submitted_at),
    hints,
  };
}

/** Puts a student's hints away as read. */
export async function readHints(db: Knex, assignmentId: string, studentId: string, now: Date): Promise<void> {
  await db('hints')
    .where({ assignment_id: assignmentId, student_id: studentId })
    .whereNull('read_at')
    .update({ read_at: now });
}
