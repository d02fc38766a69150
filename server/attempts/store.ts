import type { DraftSaved, DraftWrite, Receipt, Submission } from '@cimbel/contract';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import type { Grade, MarkingInput } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { createHash, randomUUID } from 'node:crypto';
import { assignmentFor, setForStudents, type AssignmentForMe } from '../assignments/access';
import { endsByDates, isClosed, takenUntil, type AssignmentRow } from '../assignments/row';
import { checkCard, onlyMixed } from '../assignments/check-card';
import { HttpError, invalidField } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import { tellOf } from '../live/hub';
import { record } from '../log/store';
import { asRevealed, copyReveals } from './reveals';
import { GRACE_MS, checkTime, endOf, endingsOf, type Ending } from './time-limit';
import { rowOf } from '../db/rows';

/** One student's record card for an assignment: being written, or handed in and marked. */
export interface AttemptRow {
  id: string;
  assignment_id: string;
  student_id: string;
  /** Which of the student's attempts it is, from 1. */
  number: number;
  /** When it was begun; null on what was handed in before that was written down. */
  begun_at: Date | null;
  /** For how long its clock stood still, milliseconds. */
  paused_ms: number;
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
  /** Why what was there when the time was up could not be taken, by code; null for what was, and for what is still worked. */
  not_taken: string | null;
  /** When the student last looked at its result; null before. */
  result_seen_at: Date | null;
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

/** What of an attempt says where its student stands, without the card and what was said of it. */
export type AttemptStub = Pick<
  AttemptRow,
  'id' | 'assignment_id' | 'student_id' | 'number' | 'submitted_at'
> & {
  /** As computed; null before it is handed in. */
  points: number | null;
};
/** Of all students, or of the one that `of` names. */
export const attemptStubsOf = (
  db: Knex,
  assignmentIds: string[],
  of: { student_id?: string } = {},
): Promise<AttemptStub[]> =>
  db('attempts')
    .where(of)
    .whereIn('assignment_id', assignmentIds)
    .select('id', 'assignment_id', 'student_id', 'number', 'submitted_at')
    .select({ points: db.raw("(grade->>'points')::float") });

/** A student's attempts, first to last. */
export const attemptsOfStudent = (db: Knex, assignmentId: string, studentId: string): Promise<AttemptRow[]> =>
  db('attempts').where({ assignment_id: assignmentId, student_id: studentId }).orderBy('number');

/** The attempt a student is at, or was last at; undefined where none was begun. */
export const lastAttempt = (
  db: Knex,
  assignmentId: string,
  studentId: string,
): Promise<AttemptRow | undefined> =>
  db('attempts')
    .where({ assignment_id: assignmentId, student_id: studentId })
    .orderBy('number', 'desc')
    .first();

/** Attempts of an assignment that are under way. */
export const underWay = (db: Knex, assignmentId: string): Promise<AttemptRow[]> =>
  db('attempts')
    .where({ assignment_id: assignmentId })
    .whereNull('submitted_at')
    .whereNull('not_taken')
    .orderBy('id');

/** What is handed in of an attempt as it stands. */
export const asItStands = ({ answer, number }: Pick<AttemptRow, 'answer' | 'number'>): Submission => ({
  id: randomUUID(),
  answer: onlyMixed(answer),
  attempt: number,
});

const newerElsewhere = () =>
  new HttpError(409, 'attempt.newerElsewhere', 'A newer version was saved on another device.');
const handedIn = () =>
  new HttpError(409, 'attempt.handedIn', 'This answer has been handed in and can no longer change.');

/** @throws HttpError 409 where nothing is taken any more; what is judged as of its end was open until then. */
async function checkOpen(trx: Knex, assignment: AssignmentRow, now: Date, asOfEnd = false): Promise<void> {
  const inClass = await trx('classes').where({ id: assignment.class_id }).first('archived_at');
  if (rowOf(inClass, 'classes').archived_at)
    throw new HttpError(
      409,
      'class.archived',
      'This class has been put away; nothing can be handed in any more.',
    );
  // Whoever has seen the model answer, their own or a neighbour's, hands in nothing for marks any more.
  const until = takenUntil(assignment);
  if (asOfEnd ? until !== null && until < now : isClosed(assignment, now))
    throw new HttpError(
      409,
      'attempt.closed',
      'This exercise is closed; nothing can be handed in for marks any more.',
    );
}

/**
 * Keeps a draft, compared and set in one statement: what is handed in is left alone, and what another writer has written
 * since is not written over. The same writer may repeat itself after a lost answer. The first attempt begins with its first
 * draft, unless time runs from when it is begun.
 */
export async function saveDraft(
  db: Knex,
  assignment: Pick<AssignmentForMe, 'id'> & Ending,
  studentId: string,
  { answer, version, writer, sequence = 0, attempt }: Omit<DraftWrite, 'sequence'> & Partial<DraftWrite>,
  now: Date,
): Promise<DraftSaved> {
  const name = { assignment_id: assignment.id, student_id: studentId, number: attempt };
  if (assignment.minutes !== null) {
    const begun = await db('attempts').where(name).first();
    if (begun) checkTime(assignment, begun, now);
  }
  const begins = attempt === 1 && assignment.minutes === null;
  const { rows } = await db.raw<{ rows: { version: number }[] }>(
    begins
      ? `insert into attempts (assignment_id, student_id, number, answer, version, writer, sequence, updated_at, begun_at)
         values (:assignment, :student, 1, :answer::jsonb, 1, :writer, :sequence, :now, :now)
         on conflict (assignment_id, student_id, number) do update
           set answer = excluded.answer, version = attempts.version + 1,
               writer = excluded.writer, sequence = excluded.sequence, updated_at = excluded.updated_at
           where attempts.submitted_at is null
             and (attempts.version <= :version or (attempts.writer = :writer and attempts.sequence <= :sequence))
         returning version`
      : `update attempts set answer = :answer::jsonb, version = version + 1, writer = :writer, sequence = :sequence, updated_at = :now
          where assignment_id = :assignment and student_id = :student and number = :number
            and submitted_at is null and (version <= :version or (writer = :writer and sequence <= :sequence))
         returning version`,
    {
      assignment: assignment.id,
      student: studentId,
      number: attempt,
      answer: JSON.stringify(answer),
      version,
      writer,
      sequence,
      now,
    },
  );
  if (rows.length > 0) return { version: rows[0].version, updatedAt: now.toISOString() };
  const attemptRow = await db('attempts').where(name).first();
  if (attemptRow?.submitted_at) throw handedIn();
  if (!attemptRow) throw new HttpError(409, 'attempt.notBegun', 'This attempt has not been begun.');
  // Of the same writer it was on its way for long: what has come after it is what it wants.
  if (attemptRow.writer === writer)
    return { version: attemptRow.version, updatedAt: attemptRow.updated_at.toISOString() };
  throw newerElsewhere();
}

/**
 * Begins an attempt, or finds the one that is under way: with an empty card, or with what was last handed in and all that
 * was asked and tested for it.
 */
export async function begin(
  db: Knex,
  assignment: AssignmentForMe,
  studentId: string,
  from: 'empty' | 'last',
  now: Date,
): Promise<AttemptRow> {
  return db.transaction(async (trx) => {
    // Two presses begin one: the second request waits here.
    await trx('users').where({ id: studentId }).forUpdate().first('id');
    const attempts = await attemptsOfStudent(trx, assignment.id, studentId);
    const last: AttemptRow | undefined = attempts[attempts.length - 1];
    if (last && !last.submitted_at) return last;
    await checkOpen(trx, assignment, now);
    if (attempts.length >= assignment.attempts_allowed)
      throw new HttpError(409, 'attempt.noneLeft', 'There is no further attempt.');
    const number = (last?.number ?? 0) + 1;
    const again = from === 'last' && last !== undefined;
    if (again) await copyReveals(trx, assignment.id, studentId, last.number, number);
    const answer = again ? last.answer : (assignment.card ?? EMPTY_CARD);
    const [row] = await trx('attempts')
      .insert({
        assignment_id: assignment.id,
        student_id: studentId,
        number,
        answer: JSON.stringify(answer),
        version: 0,
        writer: 'begun',
        updated_at: now,
        begun_at: now,
      })
      .returning('*');
    return row;
  });
}

/** What cards of an assignment are marked by. */
export const markingOf = (
  assignment: Pick<
    AssignmentRow,
    'model_answer' | 'house_rules' | 'rubric' | 'lines' | 'open_steps' | 'judgement'
  >,
): MarkingInput => ({
  modelAnswer: assignment.model_answer,
  rules: assignment.house_rules,
  rubric: assignment.rubric,
  lines: assignment.lines,
  open: assignment.open_steps,
  ruling: assignment.judgement,
});

/**
 * Marks a card and hands it in, once. The id is made by the student's device, so sending the same answer twice makes
 * one.
 */
export async function handIn(
  db: Knex,
  heavy: Heavy,
  assignment: AssignmentForMe,
  studentId: string,
  submission: Submission,
  when: Date,
  asOfEnd = false,
): Promise<AttemptRow> {
  // Where applying is given, a bowl that was never mixed is no fault of the steps.
  const written = assignment.open_steps.includes('apply') ? submission.answer : onlyMixed(submission.answer);
  checkCard(written, assignment.lines);
  const answer = await asRevealed(db, assignment, studentId, submission.attempt, written);
  const [grade] = await heavy('mark', markingOf(assignment), [answer]);
  const attemptRow = await db.transaction(async (trx) => {
    // A standard that has changed meanwhile has to be marked by; marking again waits for hand-ins that have passed here.
    const now = rowOf(
      await trx('assignments').where({ id: assignment.id }).forShare().first(),
      'assignments',
    );
    return now.standard === assignment.standard
      ? handInMarked(
          trx,
          ofStudent(now, assignment),
          studentId,
          { ...submission, answer, grade },
          when,
          asOfEnd,
        )
      : null;
  });
  if (attemptRow) return attemptRow;
  const fresh = rowOf(await db('assignments').where({ id: assignment.id }).first(), 'assignments');
  return handIn(db, heavy, ofStudent(fresh, assignment), studentId, submission, when, asOfEnd);
}

/** An assignment as it is now, with the dates and figures that hold for the student. */
const ofStudent = (row: AssignmentRow, mine: AssignmentForMe): AssignmentForMe => ({
  ...mine,
  ...row,
  opens_at: mine.opens_at,
  due_at: mine.due_at,
  attempts_allowed: mine.attempts_allowed,
  client_case: mine.client_case,
  model_answer: mine.model_answer,
  card: mine.card,
});

async function handInMarked(
  trx: Knex,
  assignment: AssignmentForMe,
  studentId: string,
  { answer, grade, attempt: number, seen, ...submission }: Submission & { grade: Grade },
  now: Date,
  asOfEnd: boolean,
): Promise<AttemptRow> {
  const name = { assignment_id: assignment.id, student_id: studentId, number };
  if (number === 1 && assignment.minutes === null)
    await trx('attempts')
      .insert({
        ...name,
        answer: JSON.stringify(answer),
        writer: 'hand-in',
        updated_at: now,
        begun_at: now,
      })
      .onConflict(['assignment_id', 'student_id', 'number'])
      .ignore();
  const attemptRow: AttemptRow | undefined = await trx('attempts').where(name).forUpdate().first();
  if (!attemptRow) throw new HttpError(409, 'attempt.notBegun', 'This attempt has not been begun.');
  if (attemptRow.submission_id === submission.id) return attemptRow;
  if (attemptRow.submitted_at) throw handedIn();
  if (
    seen &&
    attemptRow.version > seen.version &&
    attemptRow.writer !== seen.writer &&
    attemptRow.writer !== 'hand-in'
  )
    throw newerElsewhere();
  checkTime(assignment, attemptRow, now);
  await checkOpen(trx, assignment, now, asOfEnd);
  const taken = await trx('attempts').where({ submission_id: submission.id }).first();
  if (taken) throw invalidField('id', 'taken', 'This id names another answer. Make a new one.');
  const [row] = await trx('attempts')
    .where({ id: attemptRow.id })
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
    after: { receipt: row.receipt, digest: row.digest, points: grade.points, attempt: number },
  });
  await tellOf(trx, assignment, 'educators');
  return row;
}

/** Whether what is there of an attempt is what stood there at a time, give or take what was on its way. */
const stoodAt = (end: Date, { updated_at }: Pick<AttemptRow, 'updated_at'>): boolean =>
  updated_at.getTime() <= end.getTime() + GRACE_MS;

/**
 * Hands in what is there of an attempt whose time is up, as it stood when it was: after its minutes, or, without any, when
 * nothing is taken any more by the dates, unless it was written on after that. Says
 * when to look again, where it is not yet.
 */
export async function handInWhenTimeIsUp(
  db: Knex,
  heavy: Heavy,
  attemptId: string,
  now: Date,
): Promise<{ again: Date } | null> {
  const attempt: AttemptRow | undefined = await db('attempts').where({ id: attemptId }).first();
  if (!attempt || attempt.submitted_at) return null;
  const assignment = await assignmentFor(db, attempt.assignment_id, attempt.student_id);
  if (!assignment) return null;
  const timed = endOf(assignment, attempt);
  const end = timed ?? endsByDates(assignment);
  if (!end || (!timed && !stoodAt(end, attempt))) return null;
  // What was on its way when the time was up goes first.
  if (now.getTime() < end.getTime() + GRACE_MS) return { again: new Date(end.getTime() + GRACE_MS) };
  try {
    await handIn(db, heavy, assignment, attempt.student_id, asItStands(attempt), end, true);
  } catch (error) {
    // Too much is being marked just now: it is tried again.
    if (!(error instanceof HttpError) || error.status >= 500) throw error;
    // What cannot be taken stays as it is, and both sides are told why.
    await db('attempts').where({ id: attemptId }).whereNull('submitted_at').update({ not_taken: error.code });
  }
  return null;
}

/** Days after its end in which what was being worked is still handed in: a server that was down catches up. */
const CAUGHT_UP_DAYS = 7;

/** Attempts without a time limit that were being worked when nothing was taken any more by the dates, and are not handed in. */
export async function dueUnderWay(db: Knex, now: Date): Promise<string[]> {
  const over = new Date(now.getTime() - GRACE_MS);
  const longAgo = new Date(now.getTime() - CAUGHT_UP_DAYS * 24 * 3600_000);
  // An end lies between a student's own due time and the last of all: no others are read.
  const rows: (Parameters<typeof endsByDates>[0] & Pick<AttemptRow, 'id' | 'updated_at'>)[] =
    await setForStudents(db)
      .join('attempts', (on) =>
        on.on('attempts.assignment_id', 'assignments.id').andOn('attempts.student_id', 'set_for.student_id'),
      )
      .whereNull('attempts.submitted_at')
      .whereNull('attempts.not_taken')
      .where('attempts.version', '>', 0)
      .whereNull('assignments.minutes')
      .whereNull('assignments.closed_at')
      .whereNull('classes.archived_at')
      .where('set_for.due_at', '<', over)
      .where('assignments.last_due_at', '>', longAgo)
      .select(
        'attempts.id',
        'attempts.updated_at',
        'assignments.late',
        'assignments.release',
        'assignments.last_due_at',
        'set_for.due_at',
      );
  return rows.flatMap((row) => {
    const end = endsByDates(row);
    return end && end < over && end > longAgo && stoodAt(end, row) ? [row.id] : [];
  });
}

/** Attempts against the clock that are not handed in yet, of all or of some students: those whose time is up, and until when the others run. */
export async function timedUnderWay(
  db: Knex,
  assignmentId: string,
  now: Date,
  only?: readonly string[],
): Promise<{ over: string[]; running: { attemptId: string; until: Date }[] }> {
  const attempts = await underWay(db, assignmentId);
  const endings = await endingsOf(db, assignmentId);
  const over: string[] = [];
  const running: { attemptId: string; until: Date }[] = [];
  for (const attempt of attempts) {
    if (only && !only.includes(attempt.student_id)) continue;
    const ending = endings.get(attempt.student_id);
    const end = ending && endOf(ending, attempt);
    if (!end) continue;
    if (now.getTime() >= end.getTime() + GRACE_MS) over.push(attempt.id);
    else running.push({ attemptId: attempt.id, until: new Date(end.getTime() + GRACE_MS) });
  }
  return { over, running };
}

/**
 * Before results are shown, to all or to some students: what ran out of time is handed in first.
 *
 * @throws HttpError 409 while the class pauses, so that no end is known, and while somebody still works against the clock, with
 * how many and until when.
 */
export async function waitForTimed(
  db: Knex,
  heavy: Heavy,
  { id, paused_at }: Pick<AssignmentRow, 'id' | 'paused_at'>,
  now: Date,
  only?: readonly string[],
): Promise<void> {
  if (paused_at)
    throw new HttpError(409, 'assignment.paused', 'The class pauses. Let it go on, or collect first.');
  const { over, running } = await timedUnderWay(db, id, now, only);
  if (running.length > 0) {
    const until = new Date(Math.max(...running.map((one) => one.until.getTime())));
    throw new HttpError(
      409,
      'assignment.underWay',
      `${running.length} still work against the clock, the last until ${until.toISOString()}. Show the results after that.`,
    );
  }
  for (const attemptId of over) await handInWhenTimeIsUp(db, heavy, attemptId, now);
}
