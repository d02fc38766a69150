import type { Rights } from '@cimbel/contract';
import { allowed, ledByMe } from '../classes/access';
import type { Call } from '../http/route';
import type { AssignmentRow } from './row';

export type AssignmentOfClass = AssignmentRow & { class_name: string };
export type LedAssignment = AssignmentOfClass & { rights: Rights };

/** The assignment, for an educator who leads its class. */
export async function ownAssignment(call: Call): Promise<LedAssignment | null> {
  const assignments = call.db('assignments').join('classes', 'classes.id', 'assignments.class_id');
  const row = await ledByMe(assignments, call)
    .where({ 'assignments.id': call.param('assignmentId') })
    .select('assignments.*', 'classes.name as class_name', 'leaders.rights')
    .first();
  return allowed<LedAssignment>(row, call);
}

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
