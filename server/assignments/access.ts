import type { Rights } from '@cimbel/contract';
import { ledAtLeast, ledByMe } from '../classes/access';
import type { Call } from '../http/route';
import type { AssignmentRow } from './row';

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

/** The assignment, for a student of its class. */
export async function assignedToMe({ db, me, param }: Call): Promise<AssignmentOfClass | null> {
  const row = await db('assignments')
    .join('classes', 'classes.id', 'assignments.class_id')
    .join('members', 'members.class_id', 'classes.id')
    .where({ 'assignments.id': param('assignmentId'), 'members.student_id': me!.id })
    .select('assignments.*', 'classes.name as class_name')
    .first();
  return row ?? null;
}
