import type { Rights } from '@cimbel/contract';
import { ledAtLeast, ledByMe } from '../classes/access';
import type { Knex } from 'knex';
import { HttpError } from '../http/errors';
import type { Call } from '../http/route';
import type { AssignmentRow } from './row';
import { withVariantOf } from './variants';

export type AssignmentOfClass = AssignmentRow & { class_name: string };
export type LedAssignment = AssignmentOfClass & { rights: Rights };

const assignmentLed =
  (least: Rights) =>
  async (call: Call): Promise<LedAssignment | null> => {
    const assignments = call.db('assignments').join('classes', 'classes.id', 'assignments.class_id');
    const row: LedAssignment | undefined = await ledByMe(assignments, call)
      .where({ 'assignments.id': call.param('assignmentId') })
      .select('assignments.*', 'classes.name as class_name', 'leaders.rights')
      .first();
    return ledAtLeast(least, row);
  };

/** The assignment, for an educator who leads its class, if only to look and mark. */
export const seenAssignment = assignmentLed('marking');
/** The assignment, for an educator who may do everything in its class. */
export const ownAssignment = assignmentLed('all');

/** Whose dates, attempts, working time and figures are one student's. */
export type AssignmentForMe = AssignmentOfClass & { extra_time_share: number };

/** Assignments with what holds for those they are set to. */
export const setForStudents = (db: Knex): Knex.QueryBuilder =>
  db('assignments')
    .join('classes', 'classes.id', 'assignments.class_id')
    .join('set_for', 'set_for.assignment_id', 'assignments.id');
export const OF_STUDENT = [
  'set_for.opens_at',
  'set_for.due_at',
  'set_for.attempts_allowed',
  'set_for.extra_time_share',
  'set_for.released_at',
] as const;

/** An assignment with a student's own dates and figures; null where it is not set to them. */
export async function assignmentFor(
  db: Knex,
  assignmentId: string,
  studentId: string,
): Promise<AssignmentForMe | null> {
  const row: AssignmentForMe | undefined = await setForStudents(db)
    .where({ 'assignments.id': assignmentId, 'set_for.student_id': studentId })
    .select('assignments.*', 'classes.name as class_name', ...OF_STUDENT)
    .first();
  return row ? withVariantOf(db, row, studentId) : null;
}

/** The assignment, for a student it is set to. */
export const assignedToMe = ({ db, me, param }: Call): Promise<AssignmentForMe | null> =>
  assignmentFor(db, param('assignmentId'), me!.id);

/** When it opens, while that is still to come; null once it is open. */
export const opensLater = ({ opens_at }: Pick<AssignmentRow, 'opens_at'>, now: Date): Date | null =>
  opens_at !== null && now < opens_at ? opens_at : null;

/** Whether nothing of the head is told yet: it opens later, or its time runs from when it is begun. */
export const isAhead = (
  row: Pick<AssignmentRow, 'opens_at' | 'minutes'>,
  attempts: number,
  now: Date,
): boolean => opensLater(row, now) !== null || (row.minutes !== null && attempts === 0);

/** The same once it opens. @throws HttpError 409 before that */
export async function openToMe(call: Call): Promise<AssignmentForMe | null> {
  const row = await assignedToMe(call);
  if (row && opensLater(row, call.now()))
    throw new HttpError(409, 'attempt.notOpen', 'This exercise opens later.');
  return row;
}

/** The same once it has been begun, where time runs from that. @throws HttpError 409 before that */
export async function begunByMe(call: Call): Promise<AssignmentForMe | null> {
  const row = await openToMe(call);
  if (!row || row.minutes === null) return row;
  const begun = await call
    .db('attempts')
    .where({ assignment_id: row.id, student_id: call.me!.id })
    .first('id');
  if (!begun) throw new HttpError(409, 'attempt.notBegun', 'This attempt has not been begun.');
  return row;
}
