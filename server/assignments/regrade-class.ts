import type { ClassRegradeAsked, ClassRegradePreview } from '@cimbel/contract';
import { figuresOf } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import type { LedClass } from '../classes/access';
import { invalidField } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import { previewRegrade, startRegrade } from './regrade';
import { isReleased, type AssignmentRow } from './row';

/** Assignments of a class that somebody has handed in, the one set last first. */
const handedInOf = (db: Knex, classId: string): Promise<AssignmentRow[]> =>
  db('assignments')
    .where({ class_id: classId })
    .whereExists(
      db('attempts')
        .whereRaw('attempts.assignment_id = assignments.id')
        .whereNotNull('attempts.submitted_at'),
    )
    .orderBy('created_at', 'desc')
    .select('assignments.*');

/**
 * What marking every exercise of a class again would change: by the marking of today and by the tolerances, pass mark and
 * ceilings that the class has now. Model answers, points and what was changed by hand stay.
 */
export async function previewOfClass(
  db: Knex,
  heavy: Heavy,
  inClass: LedClass,
  now: Date,
): Promise<ClassRegradePreview> {
  const figures = figuresOf(inClass.house_rules);
  const exercises: ClassRegradePreview['exercises'] = [];
  for (const assignment of await handedInOf(db, inClass.id))
    exercises.push({
      ...(await previewRegrade(db, heavy, assignment, { figures })),
      assignmentId: assignment.id,
      title: assignment.title,
      released: isReleased(assignment, now),
    });
  return { exercises };
}

/** Begins to mark some exercises of a class again, each by a job of its own. */
export async function regradeClass(
  db: Knex,
  inClass: LedClass,
  educatorId: string,
  { assignmentIds }: ClassRegradeAsked,
  now: Date,
): Promise<string[]> {
  const all = await handedInOf(db, inClass.id);
  const chosen = all.filter(({ id }) => assignmentIds.includes(id));
  if (chosen.length < new Set(assignmentIds).size)
    throw invalidField(
      'assignmentIds',
      'unknown',
      'One of these is no exercise of this class with answers. Load the page again.',
    );
  const figures = figuresOf(inClass.house_rules);
  for (const assignment of chosen) await startRegrade(db, assignment, educatorId, { figures }, now);
  return chosen.map(({ id }) => id);
}
