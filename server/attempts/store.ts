import type {
  DraftSaved,
  DraftWrite,
  MarkChange,
  MarkChangeWrite,
  Result,
  Standing,
  Submission,
} from '@cimbel/contract';
import { grade as markAnswer, type Answer, type Grade, type ServiceGrade } from '@cimbel/core/grade';
import type { ServicePlan } from '@cimbel/core/plan';
import { readLabel } from '@cimbel/core/shades';
import type { Knex } from 'knex';
import { looksOf, type ExerciseRow, type SetRow } from '../exercises/row';
import { HttpError, invalidField } from '../http/errors';

/** One student's answer to something set: a formula, or a whole plan. */
export interface AttemptRow<A = Answer, G = Grade> {
  id: string;
  exercise_id: string;
  student_id: string;
  answer: A;
  version: number;
  writer: string;
  updated_at: Date;
  submission_id: string | null;
  submitted_at: Date | null;
  grade: G | null;
}
export type ServiceAttemptRow = AttemptRow<ServicePlan, ServiceGrade>;
export type AnyAttemptRow = AttemptRow | ServiceAttemptRow;

export const attemptsOf = <Row extends AnyAttemptRow = AttemptRow>(
  db: Knex,
  exerciseIds: string[],
): Promise<Row[]> => db('attempts').whereIn('exercise_id', exerciseIds);

export const attemptOf = <Row extends AnyAttemptRow = AttemptRow>(
  db: Knex,
  exerciseId: string,
  studentId: string,
): Promise<Row | undefined> =>
  db('attempts').where({ exercise_id: exerciseId, student_id: studentId }).first();

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
export function effectiveGrade<G extends Grade | ServiceGrade>(
  computed: G,
  changes: readonly MarkChange[],
): G {
  if (changes.length === 0) return computed;
  const last = new Map<string, number>(changes.map(({ criterion, to }) => [criterion, to]));
  const criteria = computed.criteria.map((mark) => ({
    ...mark,
    points: last.get(mark.criterion) ?? mark.points,
  }));
  const sum = criteria.reduce((all, { points }) => all + points, 0);
  // What would hurt the client caps the points whoever gave them.
  const cap = 'capPoints' in computed && computed.capPoints !== null ? computed.capPoints : sum;
  return { ...computed, criteria, points: Math.min(sum, cap) };
}

export async function pointsOf(db: Knex, attempts: readonly AnyAttemptRow[]): Promise<Map<string, number>> {
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
  attempt: Pick<AnyAttemptRow, 'id' | 'submitted_at'> | undefined,
  exercise: Pick<SetRow, 'due_at'>,
  points: ReadonlyMap<string, number>,
): Standing {
  const submittedAt = attempt?.submitted_at ?? null;
  return {
    attemptId: submittedAt ? attempt!.id : null,
    state: submittedAt ? 'handedIn' : attempt ? 'inWork' : 'notStarted',
    late: submittedAt !== null && submittedAt > exercise.due_at,
    points: (attempt && points.get(attempt.id)) ?? null,
    submittedAt: submittedAt?.toISOString() ?? null,
  };
}

const handedIn = () =>
  new HttpError(409, 'attempt.handedIn', 'This answer has been handed in and can no longer change.');

export async function saveDraft(
  db: Knex,
  exercise: Pick<SetRow, 'id'>,
  studentId: string,
  draft: Omit<DraftWrite, 'answer'> & { answer: Answer | ServicePlan },
  now: Date,
): Promise<DraftSaved> {
  return db.transaction(async (trx) => {
    const kept = await trx<AttemptRow>('attempts')
      .where({ exercise_id: exercise.id, student_id: studentId })
      .forUpdate()
      .first();
    if (kept?.submitted_at) throw handedIn();
    // The same device may repeat itself after a lost answer; another device must have seen what it writes over.
    if (kept && kept.version > draft.version && kept.writer !== draft.writer) {
      throw new HttpError(409, 'attempt.newerElsewhere', 'A newer version was saved on another device.');
    }
    const version = (kept?.version ?? 0) + 1;
    const columns = { answer: JSON.stringify(draft.answer), version, writer: draft.writer, updated_at: now };
    if (kept) await trx('attempts').where({ id: kept.id }).update(columns);
    else {
      await trx('attempts')
        .insert({ exercise_id: exercise.id, student_id: studentId, ...columns })
        .onConflict(['exercise_id', 'student_id'])
        .merge();
    }
    return { version, updatedAt: now.toISOString() };
  });
}

/** Labels must be of the exercise's line; a slip of typing is said now, not marked as a fault of craft. */
function checkLabels(answer: Answer, exercise: ExerciseRow): void {
  answer.shades.forEach(({ label }, i) => {
    const known = exercise.line.shades.includes(label) && readLabel(exercise.line, label).ok;
    if (!known)
      throw invalidField(
        `answer.shades.${i}.label`,
        'unknown',
        `${exercise.line.name} has no shade ${label}.`,
      );
  });
}

/** Marks a formula and hands it in. */
export async function handIn(
  db: Knex,
  exercise: ExerciseRow,
  studentId: string,
  submission: Submission,
  now: Date,
): Promise<AttemptRow> {
  checkLabels(submission.answer, exercise);
  const { kase, line, house_rules: rules, rubric, key } = exercise;
  const grade = markAnswer({ kase, line, rules, rubric, key }, submission.answer);
  return keepHandedIn<AttemptRow>(db, exercise.id, studentId, submission, grade, now);
}

/** Hands in once. The id is made by the student's device, so sending the same answer twice makes one. */
export async function keepHandedIn<Row extends AnyAttemptRow>(
  db: Knex,
  exerciseId: string,
  studentId: string,
  submission: { id: string; answer: Row['answer'] },
  grade: NonNullable<Row['grade']>,
  now: Date,
): Promise<Row> {
  return db.transaction(async (trx) => {
    await trx('attempts')
      .insert({
        exercise_id: exerciseId,
        student_id: studentId,
        answer: JSON.stringify(submission.answer),
        writer: 'hand-in',
        updated_at: now,
      })
      .onConflict(['exercise_id', 'student_id'])
      .ignore();
    const kept: Row = await trx('attempts')
      .where({ exercise_id: exerciseId, student_id: studentId })
      .forUpdate()
      .first();
    if (kept.submission_id === submission.id) return kept;
    if (kept.submitted_at) throw handedIn();
    const taken = await trx('attempts').where({ submission_id: submission.id }).first();
    if (taken) throw invalidField('id', 'taken', 'This id names another answer. Make a new one.');
    const [row] = await trx('attempts')
      .where({ id: kept.id })
      .update({
        answer: JSON.stringify(submission.answer),
        submission_id: submission.id,
        submitted_at: now,
        updated_at: now,
        grade: JSON.stringify(grade),
      })
      .returning('*');
    return row;
  });
}

export async function changeMark(
  db: Knex,
  attempt: Pick<AnyAttemptRow, 'id' | 'grade'>,
  educatorId: string,
  change: MarkChangeWrite,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('attempts').where({ id: attempt.id }).forUpdate().first();
    const changes = (await changesOf(trx, [attempt.id])).get(attempt.id) ?? [];
    const mark = effectiveGrade(attempt.grade!, changes).criteria.find(
      ({ criterion }) => criterion === change.criterion,
    );
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
  });
}

export async function resultOf(
  db: Knex,
  exercise: ExerciseRow,
  attempt: AttemptRow,
  studentName: string,
): Promise<Result> {
  const changes = (await changesOf(db, [attempt.id])).get(attempt.id) ?? [];
  return {
    attemptId: attempt.id,
    exerciseId: exercise.id,
    title: exercise.title,
    studentName,
    kase: exercise.kase,
    line: exercise.line,
    houseRules: exercise.house_rules,
    key: exercise.key,
    answer: attempt.answer,
    grade: effectiveGrade(attempt.grade!, changes),
    changes,
    submittedAt: attempt.submitted_at!.toISOString(),
    late: attempt.submitted_at! > exercise.due_at,
    looks: looksOf(exercise),
  };
}
