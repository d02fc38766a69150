import type {
  DraftSaved,
  DraftWrite,
  MarkChange,
  MarkChangeWrite,
  Receipt,
  Result,
  Standing,
  Submission,
} from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { withGiven, type Grade, type MarkingInput } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { createHash } from 'node:crypto';
import { isClosed, type AssignmentRow } from '../assignments/row';
import { checkCard } from '../assignments/store';
import { HttpError, invalidField } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import { record } from '../log/store';
import { asRevealed } from './reveals';

/** One student's record card for an assignment: being written, or handed in and marked. */
export interface AttemptRow {
  id: string;
  assignment_id: string;
  student_id: string;
  answer: RecordCard;
  version: number;
  writer: string;
  updated_at: Date;
  submission_id: string | null;
  submitted_at: Date | null;
  grade: Grade | null;
  /** Number and digest of a hand-in; null before, and on answers from before there were receipts. */
  receipt: string | null;
  digest: string | null;
}

/** A value with its names in alphabetical order all through, so that its JSON is the same wherever it was kept. */
const inOrder = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(inOrder)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([name, one]) => [name, inOrder(one)]),
        )
      : value;

/** SHA-256 of the id of a hand-in, its time and what was handed in as JSON with its names in order, a line each. */
export const digestOf = (id: string, at: Date, answer: RecordCard): string =>
  createHash('sha256')
    .update([id, at.toISOString(), JSON.stringify(inOrder(answer))].join('\n'))
    .digest('hex');

/** What both sides can show of a hand-in. */
export const receiptOf = ({ receipt, digest }: Pick<AttemptRow, 'receipt' | 'digest'>): Receipt | null =>
  receipt !== null && digest !== null ? { number: Number(receipt), digest } : null;

export const attemptsOf = (db: Knex, assignmentIds: string[]): Promise<AttemptRow[]> =>
  db('attempts').whereIn('assignment_id', assignmentIds);

export const attemptOf = (
  db: Knex,
  assignmentId: string,
  studentId: string,
): Promise<AttemptRow | undefined> =>
  db('attempts').where({ assignment_id: assignmentId, student_id: studentId }).first();

/** Changes of marks, oldest first, by attempt. */
export async function changesOf(db: Knex, attemptIds: string[]): Promise<Map<string, MarkChange[]>> {
  const rows = await db('mark_changes')
    .join('users', 'users.id', 'mark_changes.educator_id')
    .whereIn('attempt_id', attemptIds)
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
  // What would hurt the client caps the points whoever gave them.
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

export async function pointsOf(db: Knex, attempts: readonly AttemptRow[]): Promise<Map<string, number>> {
  const changes = await changesOf(
    db,
    attempts.map(({ id }) => id),
  );
  return new Map(
    attempts.flatMap(({ id, grade }) =>
      grade ? [[id, effectiveGrade(grade, changes.get(id) ?? []).points]] : [],
    ),
  );
}

export function standingOf(
  attempt: Pick<AttemptRow, 'id' | 'submitted_at'> | undefined,
  assignment: Pick<AssignmentRow, 'due_at'>,
  points: ReadonlyMap<string, number>,
): Standing {
  const submittedAt = attempt?.submitted_at ?? null;
  return {
    attemptId: submittedAt ? attempt!.id : null,
    state: submittedAt ? 'handedIn' : attempt ? 'inWork' : 'notStarted',
    late: submittedAt !== null && submittedAt > assignment.due_at,
    points: (attempt && points.get(attempt.id)) ?? null,
    submittedAt: submittedAt?.toISOString() ?? null,
  };
}

const handedIn = () =>
  new HttpError(409, 'attempt.handedIn', 'This answer has been handed in and can no longer change.');

/**
 * Keeps a draft, compared and set in one statement: what is handed in is left alone, and what another writer has written
 * since is not written over. The same writer may repeat itself after a lost answer.
 */
export async function saveDraft(
  db: Knex,
  assignment: Pick<AssignmentRow, 'id'>,
  studentId: string,
  { answer, version, writer }: DraftWrite,
  now: Date,
): Promise<DraftSaved> {
  const { rows } = await db.raw<{ rows: { version: number }[] }>(
    `insert into attempts (assignment_id, student_id, answer, version, writer, updated_at)
     values (:assignment, :student, :answer::jsonb, 1, :writer, :now)
     on conflict (assignment_id, student_id) do update
       set answer = excluded.answer, version = attempts.version + 1,
           writer = excluded.writer, updated_at = excluded.updated_at
       where attempts.submitted_at is null
         and (attempts.version <= :version or attempts.writer = :writer)
     returning version`,
    { assignment: assignment.id, student: studentId, answer: JSON.stringify(answer), version, writer, now },
  );
  if (rows.length > 0) return { version: rows[0].version, updatedAt: now.toISOString() };
  const kept = await attemptOf(db, assignment.id, studentId);
  if (kept?.submitted_at) throw handedIn();
  throw new HttpError(409, 'attempt.newerElsewhere', 'A newer version was saved on another device.');
}

/** What cards of an assignment are marked by. */
export const markingOf = (
  assignment: Pick<
    AssignmentRow,
    'model_answer' | 'house_rules' | 'rubric' | 'lines' | 'open_steps' | 'judgement'
  >,
): MarkingInput => ({
  solution: assignment.model_answer,
  rules: assignment.house_rules,
  rubric: assignment.rubric,
  lines: assignment.lines,
  open: assignment.open_steps,
  judgement: assignment.judgement,
});

/**
 * Marks a card and hands it in, once. The id is made by the student's device, so sending the same answer twice makes
 * one.
 */
export async function handIn(
  db: Knex,
  heavy: Heavy,
  assignment: AssignmentRow,
  studentId: string,
  submission: Submission,
  when: Date,
): Promise<AttemptRow> {
  checkCard(submission.answer, assignment.lines);
  const answer = await asRevealed(db, assignment, studentId, submission.answer);
  const [grade] = await heavy('mark', markingOf(assignment), [answer]);
  const kept = await db.transaction(async (trx) => {
    // A standard that has changed meanwhile has to be marked by; marking again waits for whoever has passed here.
    const now: AssignmentRow = await trx('assignments').where({ id: assignment.id }).forShare().first();
    return now.standard === assignment.standard
      ? handInMarked(trx, now, studentId, { id: submission.id, answer, grade }, when)
      : null;
  });
  if (kept) return kept;
  return handIn(
    db,
    heavy,
    await db('assignments').where({ id: assignment.id }).first(),
    studentId,
    submission,
    when,
  );
}

async function handInMarked(
  trx: Knex,
  assignment: AssignmentRow,
  studentId: string,
  { answer, grade, ...submission }: Submission & { grade: Grade },
  now: Date,
): Promise<AttemptRow> {
  await trx('attempts')
    .insert({
      assignment_id: assignment.id,
      student_id: studentId,
      answer: JSON.stringify(answer),
      writer: 'hand-in',
      updated_at: now,
    })
    .onConflict(['assignment_id', 'student_id'])
    .ignore();
  const kept: AttemptRow = await trx('attempts')
    .where({ assignment_id: assignment.id, student_id: studentId })
    .forUpdate()
    .first();
  if (kept.submission_id === submission.id) return kept;
  if (kept.submitted_at) throw handedIn();
  const inClass = await trx('classes').where({ id: assignment.class_id }).first('archived_at');
  if (inClass.archived_at)
    throw new HttpError(
      409,
      'class.archived',
      'This class has been put away; nothing can be handed in any more.',
    );
  // Whoever has seen the model answer, their own or a neighbour's, hands in nothing for marks any more.
  if (isClosed(assignment, now))
    throw new HttpError(
      409,
      'attempt.released',
      'The results have been released; nothing can be handed in for marks any more.',
    );
  const taken = await trx('attempts').where({ submission_id: submission.id }).first();
  if (taken) throw invalidField('id', 'taken', 'This id names another answer. Make a new one.');
  const [row] = await trx('attempts')
    .where({ id: kept.id })
    .update({
      answer: JSON.stringify(answer),
      submission_id: submission.id,
      receipt: trx.raw("nextval('receipt_numbers')"),
      digest: digestOf(submission.id, now, answer),
      submitted_at: now,
      updated_at: now,
      grade: JSON.stringify(grade),
    })
    .returning('*');
  await record(trx, {
    at: now,
    actor: studentId,
    action: 'attempt.handedIn',
    classId: assignment.class_id,
    subject: assignment.id,
    after: { receipt: row.receipt, digest: row.digest, points: grade.points },
  });
  return row;
}

export async function changeMark(
  db: Knex,
  attempt: Pick<AttemptRow, 'id' | 'grade' | 'assignment_id' | 'student_id'>,
  educatorId: string,
  change: MarkChangeWrite,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('attempts').where({ id: attempt.id }).forUpdate().first();
    const changes = (await changesOf(trx, [attempt.id])).get(attempt.id) ?? [];
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
    });
    const { class_id } = await trx('assignments').where({ id: attempt.assignment_id }).first('class_id');
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'attempt.mark',
      classId: class_id,
      subject: attempt.student_id,
      before: { criterion: change.criterion, points: mark.points },
      after: { criterion: change.criterion, points: change.points, reason: change.reason },
    });
  });
}

export async function resultOf(
  db: Knex,
  assignment: AssignmentRow,
  attempt: AttemptRow,
  studentName: string,
): Promise<Result> {
  const { model_answer: solution, open_steps: open } = assignment;
  const changes = (await changesOf(db, [attempt.id])).get(attempt.id) ?? [];
  return {
    attemptId: attempt.id,
    assignmentId: assignment.id,
    title: assignment.title,
    studentName,
    clientCase: solution.visit,
    lines: assignment.lines,
    houseRules: assignment.house_rules,
    solution,
    judgement: assignment.judgement,
    open,
    slip: assignment.slip,
    answer: withGiven(attempt.answer, solution.best, open),
    grade: effectiveGrade(attempt.grade!, changes),
    changes,
    submittedAt: attempt.submitted_at!.toISOString(),
    dueAt: assignment.due_at.toISOString(),
    late: attempt.submitted_at! > assignment.due_at,
    receipt: receiptOf(attempt),
  };
}
