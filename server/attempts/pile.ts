import { randomUUID } from 'node:crypto';
import type {
  AnswerState,
  AnswerStatesSet,
  AnswerStatesWrite,
  MarkAlike,
  MarkedAlike,
  Pile,
  PileAnswer,
} from '@cimbel/contract';
import { pileOf } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import type { LedAssignment } from '../assignments/access';
import { isReleased, maxPoints } from '../assignments/row';
import { educatorView } from '../assignments/view';
import { record } from '../log/store';
import { commentsOf, handedInOf, phrasesOf } from './comments';
import { applyChange, markChangesOf } from './marks';

export interface AnswerStateRow {
  attempt_id: string;
  educator_id: string;
  state: Exclude<AnswerState, 'new'>;
  /** Points of the answer when it was said; a decimal comes as text. */
  points: string;
  at: Date;
}

/** Answers of an assignment, of each student the one that counts, in groups; how far each is, and what was said of it. */
export async function pileFor(
  db: Knex,
  assignment: LedAssignment,
  educatorId: string,
  now: Date,
): Promise<Pile> {
  const { rows } = await educatorView(db, assignment, now);
  const answers = rows.flatMap(({ attemptId, grade, points, name, late, changed }) =>
    attemptId !== null && grade && points !== null
      ? [{ id: attemptId, grade, points, name, late, changed }]
      : [],
  );
  const ids = answers.map(({ id }) => id);
  const [states, comments, phrases] = await Promise.all([
    db('answer_states')
      .join('users', 'users.id', 'answer_states.educator_id')
      .whereRaw('attempt_id = any(?)', [ids])
      .select('answer_states.*', 'users.name as educator_name') as Promise<
      (AnswerStateRow & { educator_name: string })[]
    >,
    commentsOf(db, answers, educatorId),
    phrasesOf(db, educatorId),
  ]);
  const stateOf = new Map(states.map((row) => [row.attempt_id, row]));
  const byId = new Map(answers.map((answer) => [answer.id, answer]));
  const groups = pileOf(answers).map(({ answers: lying, ...group }) => ({
    ...group,
    answers: lying.map(({ id, besides }): PileAnswer => {
      const { name, points, late, changed } = byId.get(id)!;
      const known = stateOf.get(id);
      return {
        attemptId: id,
        studentName: name,
        points,
        late,
        changed,
        state: known?.state ?? 'new',
        stateBy: known?.educator_name ?? null,
        moved: known !== undefined && Number(known.points) !== points,
        besides,
        comments: comments.get(id) ?? [],
      };
    }),
  }));
  return {
    assignmentId: assignment.id,
    title: assignment.title,
    max: maxPoints(assignment.rubric),
    rubric: assignment.rubric,
    released: isReleased(assignment, now),
    waiting: rows.filter(({ state }) => state !== 'handedIn').length,
    groups,
    phrases,
  };
}

/** Says how far some answers are, of those that are still as the page last saw them. */
export async function setAnswerStates(
  db: Knex,
  assignment: LedAssignment,
  educatorId: string,
  { answers }: AnswerStatesWrite,
  now: Date,
): Promise<AnswerStatesSet> {
  const { rows } = await educatorView(db, assignment, now);
  const pointsOf = new Map(rows.map(({ attemptId, points }) => [attemptId, points ?? 0]));
  return db.transaction(async (trx) => {
    const ids = answers.map(({ attemptId }) => attemptId);
    await handedInOf(trx, assignment.id, ids);
    const known = new Map<string, AnswerState>(
      ((await trx('answer_states').whereIn('attempt_id', ids)) as AnswerStateRow[]).map(
        ({ attempt_id, state }) => [attempt_id, state],
      ),
    );
    const set: string[] = [];
    const others: string[] = [];
    for (const { attemptId, from, to } of answers) {
      const is = known.get(attemptId) ?? 'new';
      if (is !== from && is !== to) {
        others.push(attemptId);
        continue;
      }
      set.push(attemptId);
      await trx('answer_states').where({ attempt_id: attemptId }).delete();
      if (to !== 'new')
        await trx('answer_states').insert({
          attempt_id: attemptId,
          educator_id: educatorId,
          state: to,
          points: pointsOf.get(attemptId) ?? 0,
          at: now,
        });
    }
    return { set, others };
  });
}

/**
 * The same points for one criterion in each of some answers. What was changed by hand in it stays, and so does what has so
 * many already.
 */
export async function markAlike(
  db: Knex,
  assignment: LedAssignment,
  educatorId: string,
  { attemptIds, ...change }: MarkAlike,
  now: Date,
): Promise<MarkedAlike> {
  const batch = randomUUID();
  return db.transaction(async (trx) => {
    const attempts = await handedInOf(trx, assignment.id, attemptIds);
    const changes = await markChangesOf(trx, attemptIds);
    const changed: string[] = [];
    const left: string[] = [];
    for (const attempt of attempts) {
      const own = changes.get(attempt.id) ?? [];
      const mark = attempt.grade!.criteria.find(({ criterion }) => criterion === change.criterion);
      if (own.some(({ criterion }) => criterion === change.criterion) || mark?.points === change.points) {
        left.push(attempt.id);
        continue;
      }
      await applyChange(trx, attempt, own, change, {
        educatorId,
        classId: assignment.class_id,
        now,
        batch,
      });
      changed.push(attempt.id);
    }
    return { batch: changed.length > 0 ? batch : null, changed, left };
  });
}

/** Takes back what was marked alike, where nobody has changed that criterion since; the log keeps both. */
export async function takeBackAlike(
  db: Knex,
  assignment: LedAssignment,
  educatorId: string,
  batch: string,
  now: Date,
): Promise<{ taken: number }> {
  return db.transaction(async (trx) => {
    const rows = await trx('mark_changes as own')
      .join('attempts', 'attempts.id', 'own.attempt_id')
      .where({ 'own.batch': batch, 'own.educator_id': educatorId, 'attempts.assignment_id': assignment.id })
      .whereNotExists((later) =>
        later
          .from('mark_changes as later')
          .whereRaw('later.attempt_id = own.attempt_id and later.criterion = own.criterion')
          .whereRaw('later.id > own.id'),
      )
      .select('own.*', 'attempts.student_id');
    await trx('mark_changes')
      .whereIn(
        'id',
        rows.map(({ id }) => id),
      )
      .delete();
    for (const { student_id, criterion, from_points, to_points } of rows)
      await record(trx, {
        at: now,
        actor: educatorId,
        action: 'attempt.markBack',
        classId: assignment.class_id,
        subject: student_id,
        before: { criterion, points: Number(to_points) },
        after: { criterion, points: Number(from_points) },
      });
    return { taken: rows.length };
  });
}
