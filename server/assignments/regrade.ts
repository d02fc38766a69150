import type { EducatorAssignment, Regrade, RegradeAsked, RegradePreview } from '@cimbel/contract';
import { type Grade, MOST_ACCEPTED, type MarkingInput } from '@cimbel/core/mark';
import { withGiven } from '@cimbel/core/exercise';
import { figuresOf, withRowNames } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { markChangesOf, effectiveGrade } from '../attempts/marks';
import { markingOf, type AttemptRow } from '../attempts/store';
import { maxPoints, type AssignmentRow } from './row';
import { HttpError, invalidField } from '../http/errors';
import { asOfStudent, variantNumber, variantsOf, withVariantOf } from './variants';
import type { Heavy } from '../jobs/heavy';
import { record } from '../log/store';

export interface RegradeRow {
  assignment_id: string;
  total: number;
  done: number;
  changed: number;
  started_at: Date;
  /** When a piece was last done. */
  moved_at: Date;
  finished_at: Date | null;
  /** The standard that is marked by, and the last answer that was marked. */
  standard: number;
  after_id: string;
}
const FIRST = '00000000-0000-0000-0000-000000000000';

/** Answers read from, marked and written to the database together: some two tenths of a second of a worker thread. */
const CHUNK = 250;
/** A run that has not moved for so long was cut off with its server, and may be begun again. */
const LOST_AFTER_MS = 60_000;

export async function regradeOf(db: Knex, assignmentId: string): Promise<Regrade | null> {
  const row = await db('regrades').where({ assignment_id: assignmentId }).first();
  if (!row) return null;
  const { total, done, changed, finished_at } = row;
  return { total, done, changed, finished: finished_at !== null };
}

/** What an assignment's answers are marked by. */
const standardOf = ({ rubric, judgement, house_rules }: AssignmentRow) => ({
  rubric,
  judgement,
  figures: figuresOf(house_rules),
});

/** An assignment by the points and the word that are asked for; a plan to be accepted joins those that are right. */
async function standardAsked(
  db: Knex,
  assignment: AssignmentRow,
  { rubric = assignment.rubric, judgement = assignment.judgement, accept, figures }: RegradeAsked,
): Promise<AssignmentRow> {
  const house_rules = { ...assignment.house_rules, ...figures };
  if (accept === undefined) return { ...assignment, house_rules, rubric, judgement };
  const attempt: AttemptRow | undefined = await db('attempts')
    .where({ id: accept, assignment_id: assignment.id })
    .whereNotNull('submitted_at')
    .first();
  if (!attempt)
    throw invalidField('accept', 'unknown', 'No answer of this exercise has this id. Choose one that is in.');
  if (attempt.grade!.dangers.length > 0)
    throw new HttpError(422, 'regrade.danger', 'A plan that would hurt the client cannot be taken as right.');
  if (assignment.variants === 'own')
    throw new HttpError(
      422,
      'regrade.ownFigures',
      'Each student has figures of their own, so that a plan that is right for one is not for the next. Change the mark by hand.',
    );
  const mine = await withVariantOf(db, assignment, attempt.student_id);
  const card = withGiven(attempt.answer, mine.model_answer.card, mine.open_steps);
  const accepted = [...judgement.accepted, card];
  if (accepted.length > MOST_ACCEPTED)
    throw new HttpError(422, 'regrade.manyRight', 'Ten plans are right already. Take one back first.');
  return { ...assignment, house_rules, rubric, judgement: { ...judgement, accepted } };
}

/** Marks answers each by the figures their student has, in their order. */
async function markEach(
  db: Knex,
  heavy: Heavy,
  assignment: AssignmentRow,
  attempts: readonly Pick<AttemptRow, 'answer' | 'student_id'>[],
): Promise<Grade[]> {
  const variants = (await variantsOf(db, [assignment])).get(assignment.id);
  const groups = new Map<number, { input: MarkingInput; at: number[] }>();
  attempts.forEach(({ student_id }, at) => {
    const number = variants ? variantNumber(assignment.id, student_id, variants.length) : 0;
    const known = groups.get(number);
    if (known) known.at.push(at);
    else groups.set(number, { input: markingOf(asOfStudent(assignment, student_id, variants)), at: [at] });
  });
  const grades: Grade[] = [];
  for (const { input, at } of groups.values()) {
    const made = await heavy(
      'mark',
      input,
      at.map((i) => attempts[i].answer),
    );
    at.forEach((i, nth) => (grades[i] = made[nth]));
  }
  return grades;
}

/** What marking again would change, answer by answer, before it is done. What was changed by hand stays. */
export async function previewRegrade(
  db: Knex,
  heavy: Heavy,
  assignment: AssignmentRow,
  asked: RegradeAsked,
): Promise<RegradePreview> {
  const next = await standardAsked(db, assignment, asked);
  const attempts: (AttemptRow & { student_name: string })[] = await db('attempts')
    .join('users', 'users.id', 'attempts.student_id')
    .where({ assignment_id: assignment.id })
    .whereNotNull('submitted_at')
    .select('attempts.*', 'users.name as student_name');
  const changes = await markChangesOf(
    db,
    attempts.map(({ id }) => id),
  );
  const found: RegradePreview['changes'] = [];
  const max = maxPoints(next.rubric);
  for (let from = 0; from < attempts.length; from += CHUNK) {
    const chunk = attempts.slice(from, from + CHUNK);
    const grades = await markEach(db, heavy, next, chunk);
    for (const [i, { id, grade, student_name: studentName }] of chunk.entries()) {
      const by = changes.get(id) ?? [];
      const [before, after] = [grade!, grades[i]].map((grade) => effectiveGrade(grade, by).points);
      if (before !== after || grade!.max !== max)
        found.push({ attemptId: id, studentName, before, after, max });
    }
  }
  const by = ({ before, after }: (typeof found)[number]) => Math.abs(after - before);
  return { total: attempts.length, changes: found.sort((a, b) => by(b) - by(a)) };
}

/**
 * Begins to mark all handed-in answers of an assignment again, perhaps by other points or another word on what is right.
 * What the educator has changed by hand stays. Model answer, lines and rules are those it was set with, so that the same
 * rubric gives the same grades to the letter. From here on what is handed in is marked by the new standard.
 */
export async function startRegrade(
  db: Knex,
  assignment: AssignmentRow,
  educatorId: string,
  asked: RegradeAsked,
  now: Date,
): Promise<Regrade> {
  const next = await standardAsked(db, assignment, asked);
  return db.transaction(async (trx) => {
    const regradeRow = await trx('regrades').where({ assignment_id: assignment.id }).forUpdate().first();
    if (
      regradeRow &&
      regradeRow.finished_at === null &&
      now.getTime() - regradeRow.moved_at.getTime() < LOST_AFTER_MS
    )
      throw new HttpError(
        409,
        'regrade.running',
        'The answers are being marked again already. Wait until it has ended.',
      );
    const judgement = JSON.stringify(next.judgement);
    // Waits for hand-ins that are on their way; those after it see the new standard.
    const [{ standard }] = await trx('assignments')
      .where({ id: assignment.id })
      .update({
        rubric: JSON.stringify(next.rubric),
        judgement,
        house_rules: JSON.stringify(next.house_rules),
        standard: trx.raw('standard + 1'),
      })
      .returning('standard');
    // The case knows it from now on, wherever it is set again.
    await trx('exercises').where({ id: assignment.exercise_id }).update({ judgement });
    await trx('exercise_versions')
      .where({ exercise_id: assignment.exercise_id, version: assignment.exercise_version })
      .update({ content: trx.raw(`jsonb_set(content, '{judgement}', ?::jsonb)`, [judgement]) });
    const counted = await trx('attempts')
      .where({ assignment_id: assignment.id })
      .whereNotNull('submitted_at')
      .count<{ count: string }[]>();
    const total = Number(counted[0].count);
    await trx('regrades')
      .insert({
        assignment_id: assignment.id,
        total,
        done: 0,
        changed: 0,
        standard,
        after_id: FIRST,
        started_at: now,
        moved_at: now,
        finished_at: null,
      })
      .onConflict('assignment_id')
      .merge();
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.regraded',
      classId: assignment.class_id,
      subject: assignment.id,
      before: standardOf(assignment),
      after: standardOf(next),
    });
    return { total, done: 0, changed: 0, finished: false };
  });
}

type Read = Pick<AttemptRow, 'id' | 'student_id' | 'answer'> & { points: number; max: number };

/** The next answers after an id, with no more of their old grades than is compared. */
const readAfter = (db: Knex, assignmentId: string, after: string): Promise<Read[]> =>
  db('attempts')
    .where({ assignment_id: assignmentId })
    .whereNotNull('submitted_at')
    .where('id', '>', after)
    .orderBy('id')
    .limit(CHUNK)
    .select(
      'id',
      'student_id',
      'answer',
      db.raw(`(grade->>'points')::float as points, (grade->>'max')::float as max`),
    );

/**
 * Writes grades and how far it has come, both or neither, and only while no newer standard has begun.
 *
 * @returns Whether this run is still the one, and the only one that goes on from there.
 */
const write = (
  db: Knex,
  run: Pick<RegradeRow, 'assignment_id' | 'standard' | 'after_id'>,
  grades: readonly { id: string; grade: string }[],
  changed: number,
  now: Date,
): Promise<boolean> =>
  db.transaction(async (trx) => {
    const mine = await trx('regrades')
      .where(run)
      .whereNull('finished_at')
      .update({ moved_at: now, after_id: grades[grades.length - 1].id })
      .increment({ done: grades.length, changed });
    if (mine === 0) return false;
    await trx.raw(
      `update attempts set grade = fresh.grade::jsonb
         from (select unnest(?::uuid[]) as id, unnest(?::text[]) as grade) as fresh
        where attempts.id = fresh.id and attempts.grade <> fresh.grade::jsonb`,
      [grades.map(({ id }) => id), grades.map(({ grade }) => grade)],
    );
    return true;
  });

/** Marks on from where it stands, to the end: a run that was cut off is gone on with, one that is over does nothing. */
export async function runRegrade(
  db: Knex,
  heavy: Heavy,
  assignmentId: string,
  clock: () => Date,
): Promise<void> {
  const state = await db('regrades').where({ assignment_id: assignmentId }).first();
  const assignment: AssignmentRow | undefined = await db('assignments').where({ id: assignmentId }).first();
  if (!state || !assignment || state.finished_at !== null) return;
  const run = { assignment_id: assignmentId, standard: state.standard };
  let after = state.after_id;
  for (;;) {
    const rows = await readAfter(db, assignmentId, after);
    if (rows.length === 0) break;
    const made = await markEach(db, heavy, assignment, rows);
    const grades = rows.map(({ id }, i) => ({ id, grade: JSON.stringify(made[i]) }));
    const changed = rows.filter(({ points, max }, i) => made[i].points !== points || made[i].max !== max);
    if (!(await write(db, { ...run, after_id: after }, grades, changed.length, clock()))) return;
    after = rows[rows.length - 1].id;
  }
  await db('regrades').where(run).update({ finished_at: clock() });
}

/** Assignments whose answers are half marked again. */
export const unfinishedRegrades = (db: Knex): Promise<string[]> =>
  db('regrades').whereNull('finished_at').pluck('assignment_id');

/**
 * What answers were marked by before they were last marked again, as it was written down then. Figures were not, before they
 * could be changed: then they are the assignment's own.
 */
export async function formerStandard(
  db: Knex,
  { id, house_rules }: AssignmentRow,
): Promise<EducatorAssignment['former']> {
  const last: { before: Partial<NonNullable<EducatorAssignment['former']>> } | undefined = await db('log')
    .where({ action: 'assignment.regraded', subject_id: id })
    .orderBy('id', 'desc')
    .first('before');
  if (!last?.before.rubric || !last.before.judgement) return null;
  const { rubric, judgement, figures = figuresOf(house_rules) } = last.before;
  return { rubric, judgement, figures: { ...figures, ceilings: withRowNames(figures.ceilings) } };
}
