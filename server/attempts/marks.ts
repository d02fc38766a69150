import type { MarkChange, MarkChangeWrite, Standing } from '@cimbel/contract';
import type { Grade } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import type { AssignmentRow } from '../assignments/row';
import { invalidField } from '../http/errors';
import { record } from '../log/store';
import type { AttemptRow, AttemptStub } from './store';
import { rowOf } from '../db/rows';

/** Changes of marks, oldest first, by attempt. */
export async function markChangesOf(db: Knex, attemptIds: string[]): Promise<Map<string, MarkChange[]>> {
  const rows = await db('mark_changes')
    .join('users', 'users.id', 'mark_changes.educator_id')
    .whereRaw('attempt_id = any(?)', [attemptIds])
    .orderBy('mark_changes.id')
    .select('mark_changes.*', 'users.name as educator_name');
  const byAttempt = new Map<string, MarkChange[]>();
  for (const row of rows) {
    const change: MarkChange = {
      criterion: row.criterion,
      from: Number(row.from_points),
      to: Number(row.to_points),
      reason: row.reason,
      by: row.educator_name,
      at: row.made_at.toISOString(),
    };
    byAttempt.set(row.attempt_id, [...(byAttempt.get(row.attempt_id) ?? []), change]);
  }
  return byAttempt;
}

/** The computed grade with the educator's last word on each criterion. The computed one is kept as it was. */
export function effectiveGrade(computed: Grade, changes: readonly MarkChange[]): Grade {
  if (changes.length === 0) return computed;
  const last = new Map<string, number>(changes.map(({ criterion, to }) => [criterion, to]));
  const criteria = computed.criteria.map((mark) => ({
    ...mark,
    points: last.get(mark.criterion) ?? mark.points,
  }));
  const sum = criteria.reduce((all, { points }) => all + points, 0);
  // What would hurt the client caps the points, given by hand or not.
  const most = last.get('ceiling') ?? computed.capPoints ?? sum;
  const capPoints =
    computed.dangers.length > 0 ? Math.min(most, computed.capPoints ?? most) : Math.min(most, computed.max);
  return {
    ...computed,
    criteria,
    capPoints: computed.capPoints === null ? null : capPoints,
    points: Math.max(Math.min(sum, capPoints), computed.points > computed.uncapped ? computed.points : 0),
  };
}

/** What marks of late work rest on, with a student's own due time. */
export type Lateness = Pick<AssignmentRow, 'due_at' | 'late' | 'late_percent'>;

export const isLate = ({ submitted_at }: Pick<AttemptRow, 'submitted_at'>, { due_at }: Lateness): boolean =>
  submitted_at !== null && submitted_at > due_at;

/** Points that being late costs, in quarters of a point. */
export const lateLoss = (
  attempt: Pick<AttemptRow, 'submitted_at'>,
  terms: Lateness,
  points: number,
): number =>
  terms.late === 'reduced' && isLate(attempt, terms)
    ? Math.round((points * terms.late_percent * 4) / 100) / 4
    : 0;

/** Points of what is handed in, with the educator's last word, before anything is taken off for being late. */
export async function pointsOf(db: Knex, attempts: readonly AttemptRow[]): Promise<Map<string, number>> {
  const changes = await markChangesOf(
    db,
    attempts.map(({ id }) => id),
  );
  return new Map(
    attempts.flatMap(({ id, grade }) =>
      grade ? [[id, effectiveGrade(grade, changes.get(id) ?? []).points]] : [],
    ),
  );
}

/** The same of attempts without their grades: only those are fetched whose marks somebody has changed. */
export async function pointsOfStubs(db: Knex, stubs: readonly AttemptStub[]): Promise<Map<string, number>> {
  const changes = await markChangesOf(
    db,
    stubs.map(({ id }) => id),
  );
  const changed: Pick<AttemptRow, 'id' | 'grade'>[] =
    changes.size > 0
      ? await db('attempts')
          .whereIn('id', [...changes.keys()])
          .select('id', 'grade')
      : [];
  return new Map([
    ...stubs.flatMap(({ id, points }): [string, number][] => (points === null ? [] : [[id, points]])),
    ...changed.flatMap(({ id, grade }): [string, number][] =>
      grade ? [[id, effectiveGrade(grade, changes.get(id)!).points]] : [],
    ),
  ]);
}

/** What of an attempt says whether it counts. */
type Counted = Pick<AttemptRow, 'id' | 'number' | 'submitted_at'>;

/** What an attempt is worth in the end; null before it is handed in. */
export const worthOf = (
  attempt: Pick<AttemptRow, 'id' | 'submitted_at'>,
  terms: Lateness,
  points: ReadonlyMap<string, number>,
): number | null => {
  const own = points.get(attempt.id);
  return own === undefined ? null : own - lateLoss(attempt, terms, own);
};

/** Which of a student's attempts counts: the last that is in, or the best, the earlier of two alike. */
export function countingOf<A extends Counted>(
  attempts: readonly A[],
  terms: Lateness & Pick<AssignmentRow, 'counted'>,
  points: ReadonlyMap<string, number>,
): A | undefined {
  const handedIn = attempts
    .filter(({ submitted_at }) => submitted_at !== null)
    .sort((a, b) => a.number - b.number);
  if (terms.counted === 'last') return handedIn[handedIn.length - 1];
  const worth = (attempt: A) => worthOf(attempt, terms, points) ?? 0;
  return handedIn.reduce<A | undefined>(
    (best, one) => (best && worth(best) >= worth(one) ? best : one),
    undefined,
  );
}

/** Where a student stands with an assignment, whose dates are their own; null where it is not set to them. */
export function standingOf(
  attempts: readonly Counted[],
  terms: (Lateness & Pick<AssignmentRow, 'counted'>) | null,
  points: ReadonlyMap<string, number>,
): Standing {
  const handedIn = attempts.filter(({ submitted_at }) => submitted_at !== null).length;
  if (!terms)
    return {
      attemptId: null,
      state: 'notSet',
      dueAt: null,
      handedIn,
      late: false,
      points: null,
      submittedAt: null,
    };
  const counting = countingOf(attempts, terms, points);
  return {
    attemptId: counting?.id ?? null,
    state: counting ? 'handedIn' : attempts.length > 0 ? 'inWork' : 'notStarted',
    dueAt: terms.due_at.toISOString(),
    handedIn,
    late: counting !== undefined && isLate(counting, terms),
    points: counting ? worthOf(counting, terms, points) : null,
    submittedAt: counting?.submitted_at?.toISOString() ?? null,
  };
}

/** An attempt whose mark is changed. */
export type MarkedAttempt = Pick<AttemptRow, 'id' | 'grade' | 'assignment_id' | 'student_id'>;

/** Who changes marks, when, and in which class; and what names the changes that are made together. */
export interface Changing {
  educatorId: string;
  classId: string;
  now: Date;
  batch?: string;
}

/**
 * Changes one mark, in a transaction that holds the attempt.
 * @throws HttpError 422 where the exercise does not mark that criterion, or the points are more than it has.
 */
export async function applyChange(
  trx: Knex,
  attempt: MarkedAttempt,
  changes: readonly MarkChange[],
  change: MarkChangeWrite,
  { educatorId, classId, now, batch }: Changing,
): Promise<void> {
  const grade = effectiveGrade(attempt.grade!, changes);
  const mark =
    change.criterion === 'ceiling'
      ? grade.capPoints !== null && grade.dangers.length === 0
        ? { points: grade.capPoints, max: grade.max }
        : undefined
      : grade.criteria.find(({ criterion }) => criterion === change.criterion);
  if (!mark) throw invalidField('criterion', 'notMarked', 'This exercise does not mark that criterion.');
  if (change.points > mark.max) {
    throw invalidField('points', 'tooMany', `At most ${mark.max} points can be given for this criterion.`);
  }
  await trx('mark_changes').insert({
    attempt_id: attempt.id,
    educator_id: educatorId,
    criterion: change.criterion,
    from_points: mark.points,
    to_points: change.points,
    reason: change.reason,
    made_at: now,
    batch: batch ?? null,
  });
  await record(trx, {
    at: now,
    actor: educatorId,
    action: 'attempt.mark',
    classId,
    subject: attempt.student_id,
    before: { criterion: change.criterion, points: mark.points },
    after: { criterion: change.criterion, points: change.points, reason: change.reason },
  });
}

export async function changeMark(
  db: Knex,
  attempt: MarkedAttempt,
  educatorId: string,
  change: MarkChangeWrite,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('attempts').where({ id: attempt.id }).forUpdate().first();
    const changes = (await markChangesOf(trx, [attempt.id])).get(attempt.id) ?? [];
    const assignment = await trx('assignments').where({ id: attempt.assignment_id }).first('class_id');
    const { class_id: classId } = rowOf(assignment, 'assignments');
    await applyChange(trx, attempt, changes, change, { educatorId, classId, now });
  });
}
