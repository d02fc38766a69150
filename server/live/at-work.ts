import type { Working, WorkingWrite, WorkStep } from '@cimbel/contract';
import type { Knex } from 'knex';
import type { AssignmentForMe } from '../assignments/access';
import type { AttemptRow } from '../attempts/store';
import { endOf } from '../attempts/time-limit';
import { hintsOf } from './hints';

/** Where a student was last heard of at work. */
export interface AtWorkRow {
  assignment_id: string;
  student_id: string;
  step: WorkStep;
  /** Since when the student is at it. */
  step_at: Date;
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
  await db.raw(
    `insert into at_work (assignment_id, student_id, step, step_at, seen_at, hand_at)
     values (:assignment::uuid, :student::uuid, coalesce(:step::text, 'consult'), :now::timestamptz, :now::timestamptz, case when :hand::boolean then :now::timestamptz end)
     on conflict (assignment_id, student_id) do update set
       step = coalesce(:step::text, at_work.step),
       step_at = case when coalesce(:step::text, at_work.step) = at_work.step then at_work.step_at else :now::timestamptz end,
       seen_at = :now::timestamptz,
       hand_at = case when :hand::boolean is null then at_work.hand_at when :hand::boolean then coalesce(at_work.hand_at, :now::timestamptz) end`,
    {
      assignment: assignmentId,
      student: studentId,
      step: step ?? null,
      hand: hand ?? null,
      now,
    },
  );
}

/** Help that was asked for has been given, or is needed no more. */
export const lowerHand = (db: Knex, assignmentId: string, studentIds: readonly string[]): Promise<number> =>
  db('at_work')
    .where({ assignment_id: assignmentId })
    .whereIn('student_id', [...studentIds])
    .whereNotNull('hand_at')
    .update({ hand_at: null });

/** The attempt a student is at, as far as the clock needs it. */
const attemptNow = (
  db: Knex,
  assignmentId: string,
  studentId: string,
): Promise<Pick<AttemptRow, 'number' | 'begun_at' | 'paused_ms' | 'submitted_at'> | undefined> =>
  db('attempts')
    .where({ assignment_id: assignmentId, student_id: studentId })
    .orderBy('number', 'desc')
    .first('number', 'begun_at', 'paused_ms', 'submitted_at');

/** What a student is told while at work. */
export async function workingOf(
  db: Knex,
  assignment: AssignmentForMe,
  studentId: string,
  now: Date,
): Promise<Working> {
  const attempt = await attemptNow(db, assignment.id, studentId);
  const [row, hints] = await Promise.all([
    db('at_work').where({ assignment_id: assignment.id, student_id: studentId }).first('hand_at'),
    hintsOf(db, {
      assignment_id: assignment.id,
      student_id: studentId,
      attempt: attempt?.number ?? 1,
    }),
  ]);
  const end = attempt && !attempt.submitted_at ? endOf(assignment, attempt) : null;
  return {
    pausedAt: assignment.paused_at?.toISOString() ?? null,
    time: end ? { endsAt: end.toISOString(), now: now.toISOString() } : null,
    handAt: row?.hand_at?.toISOString() ?? null,
    handedIn: Boolean(attempt?.submitted_at),
    hints: hints.map(({ studentId: _s, attempt: _a, ...hint }) => hint),
  };
}

/** Puts the hints of the attempt one is at away as read. */
export async function readHints(db: Knex, assignmentId: string, studentId: string, now: Date): Promise<void> {
  await db('hints')
    .where({ assignment_id: assignmentId, student_id: studentId })
    .whereNull('read_at')
    .update({ read_at: now });
}
