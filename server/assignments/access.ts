import type { Call } from '../http/route';
import type { AssignmentRow } from './row';

export type AssignmentOfClass = AssignmentRow & { class_name: string };

/** The assignment, for the educator who leads its class. */
export async function ownAssignment({ db, me, param }: Call): Promise<AssignmentOfClass | null> {
  const row = await db('assignments')
    .join('classes', 'classes.id', 'assignments.class_id')
    .where({ 'assignments.id': param('assignmentId'), 'classes.educator_id': me!.id })
    .select('assignments.*', 'classes.name as class_name')
    .first();
  return row ?? null;
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
