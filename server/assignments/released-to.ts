import type { Knex } from 'knex';
import { waitForTimed } from '../attempts/store';
import { invalidField } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import { record } from '../log/store';
import type { AssignmentRow } from './row';

/** A student who sees marks and model answer before the rest of the class. */
export interface ReleasedToRow {
  assignment_id: string;
  student_id: string;
  at: Date;
}

/**
 * Shows marks and model answer to these students and to nobody else besides; who is not among them any more sees them no longer.
 *
 * @throws HttpError 422 where one of them has handed in nothing, 409 while one of them works against the clock or the class pauses.
 */
export async function releaseTo(
  db: Knex,
  heavy: Heavy,
  assignment: AssignmentRow,
  studentIds: readonly string[],
  { educatorId, now }: { educatorId: string; now: Date },
): Promise<void> {
  const { id } = assignment;
  const wanted = [...new Set(studentIds)];
  const before: string[] = await db('released_to').where({ assignment_id: id }).pluck('student_id');
  const fresh = wanted.filter((studentId) => !before.includes(studentId));
  if (fresh.length > 0) await waitForTimed(db, heavy, assignment, now, fresh);
  const handedIn: string[] = await db('attempts')
    .join('set_for', (on) =>
      on
        .on('set_for.assignment_id', 'attempts.assignment_id')
        .andOn('set_for.student_id', 'attempts.student_id'),
    )
    .where({ 'attempts.assignment_id': id })
    .whereNotNull('attempts.submitted_at')
    .distinct('attempts.student_id')
    .pluck('attempts.student_id');
  const nothingIn = studentIds.findIndex((studentId) => !handedIn.includes(studentId));
  if (nothingIn >= 0)
    throw invalidField(
      `studentIds.${nothingIn}`,
      'nothingIn',
      'This student has handed in nothing. Show results to those who have.',
    );
  await db.transaction(async (trx) => {
    await trx('released_to').where({ assignment_id: id }).whereNotIn('student_id', wanted).delete();
    if (wanted.length > 0)
      await trx('released_to')
        .insert(wanted.map((studentId) => ({ assignment_id: id, student_id: studentId, at: now })))
        .onConflict(['assignment_id', 'student_id'])
        .ignore();
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.releasedTo',
      classId: assignment.class_id,
      subject: id,
      before,
      after: wanted,
    });
  });
}
