import {
  workStepsOf,
  type LiveBoard,
  type LiveDraft,
  type LiveStudent,
  type WorkStep,
} from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import type { Grade } from '@cimbel/core/mark';
import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import type { LedAssignment } from '../assignments/access';
import { onlyMixed } from '../assignments/check-card';
import { isClosed, type AssignmentRow } from '../assignments/row';
import { asOfStudent, variantsOf } from '../assignments/variants';
import { lastAttempt, markingOf, type AttemptRow } from '../attempts/store';
import { endOf, endingsOf } from '../attempts/time-limit';
import { rowOf } from '../db/rows';
import type { Heavy } from '../jobs/heavy';
import type { AtWorkRow } from './at-work';
import { hintsOf } from './hints';

/** What an attempt shows of its thinking by now. */
type Forming = Pick<Grade, 'misconceptions' | 'dangers'>;
const NOTHING: Forming = { misconceptions: [], dangers: [] };

/** Drafts of some classes that work at the same time. */
const MOST_KEPT = 2_000;
/** By attempt, version of the draft and standard; a draft that stands is marked once, whoever looks. */
const kept = new LRUCache<string, Forming>({ max: MOST_KEPT });

type Stub = Pick<
  AttemptRow,
  'id' | 'student_id' | 'number' | 'version' | 'begun_at' | 'paused_ms' | 'submitted_at' | 'updated_at'
>;

/** The attempt that each student is at, or was last at, without the card. */
const attemptsNow = (db: Knex, assignmentId: string): Promise<Stub[]> =>
  db('attempts')
    .where({ assignment_id: assignmentId })
    .distinctOn('student_id')
    .orderBy([{ column: 'student_id' }, { column: 'number', order: 'desc' }])
    .select('id', 'student_id', 'number', 'version', 'begun_at', 'paused_ms', 'submitted_at', 'updated_at');

/** Steps at which a bowl is still being thought about; what is in one says nothing before they are left. */
const FORMULATING: readonly WorkStep[] = ['consult', 'read', 'mix', 'developer'];
/** Steps by which it stands what goes where and for how long, so that what would hurt can be told. */
const TIMED: readonly WorkStep[] = ['process', 'finish', 'handIn'];
/** Whether the student has gone past the formula: a bowl half poured is no way of thinking. */
const isPastFormula = (step: WorkStep | null): step is WorkStep =>
  step !== null && !FORMULATING.includes(step);

/**
 * What shows in drafts that have gone past the formula. Each version of a draft is marked once; one that cannot be marked as it
 * stands shows nothing yet.
 */
async function formingIn(
  db: Knex,
  heavy: Heavy,
  assignment: LedAssignment,
  attempts: readonly Stub[],
): Promise<Map<string, Forming>> {
  const nameOf = ({ id, version }: Stub) => `${id} ${version} ${assignment.standard}`;
  const fresh = attempts.filter((attempt) => !kept.has(nameOf(attempt)));
  if (fresh.length > 0) {
    const [cards, variants] = await Promise.all([
      db('attempts')
        .whereIn(
          'id',
          fresh.map(({ id }) => id),
        )
        .select('id', 'answer') as Promise<{ id: string; answer: RecordCard }[]>,
      variantsOf(db, [assignment]),
    ]);
    const cardOf = new Map(cards.map(({ id, answer }) => [id, answer]));
    // Those that have the same figures are marked together.
    const together = new Map<AssignmentRow['model_answer'], { theirs: AssignmentRow; alike: Stub[] }>();
    for (const attempt of fresh) {
      const theirs = asOfStudent(assignment, attempt.student_id, variants.get(assignment.id));
      const others = together.get(theirs.model_answer)?.alike ?? [];
      together.set(theirs.model_answer, { theirs, alike: [...others, attempt] });
    }
    await Promise.all(
      [...together.values()].map(async ({ theirs, alike }) => {
        const grades = await heavy(
          'mark',
          markingOf(theirs),
          alike.map(({ id }) => onlyMixed(cardOf.get(id)!)),
        ).catch(() => null);
        alike.forEach((attempt, i) => {
          const grade = grades?.[i] ?? NOTHING;
          kept.set(nameOf(attempt), { misconceptions: grade.misconceptions, dangers: grade.dangers });
        });
      }),
    );
  }
  return new Map(attempts.map((attempt) => [attempt.id, kept.get(nameOf(attempt)) ?? NOTHING]));
}

const later = (...dates: (Date | null | undefined)[]): string | null => {
  const times = dates.flatMap((date) => (date ? [date.getTime()] : []));
  return times.length > 0 ? new Date(Math.max(...times)).toISOString() : null;
};

/** Who is at which step, for how long, what shows in what is written, and who asks for help. */
export async function liveBoard(
  db: Knex,
  heavy: Heavy,
  assignment: LedAssignment,
  now: Date,
): Promise<LiveBoard> {
  const [endings, attempts, atWork, hints] = await Promise.all([
    endingsOf(db, assignment.id),
    attemptsNow(db, assignment.id),
    db('at_work').where({ assignment_id: assignment.id }) as Promise<AtWorkRow[]>,
    hintsOf(db, { assignment_id: assignment.id }),
  ]);
  const names: { id: string; name: string }[] = await db('users')
    .whereIn('id', [...endings.keys()])
    .orderBy(['name', 'id'])
    .select('id', 'name');
  const attemptOf = new Map(attempts.map((attempt) => [attempt.student_id, attempt]));
  const workOf = new Map(atWork.map((row) => [row.student_id, row]));
  const working = attempts.filter(
    ({ student_id, submitted_at, version }) =>
      submitted_at === null && version > 0 && isPastFormula(workOf.get(student_id)?.step ?? null),
  );
  const forming = await formingIn(db, heavy, assignment, working);
  const students = names.map(({ id, name }): LiveStudent => {
    const attempt = attemptOf.get(id);
    const work = workOf.get(id);
    const shows = (attempt && forming.get(attempt.id)) ?? NOTHING;
    const state = attempt?.submitted_at ? 'handedIn' : attempt || work ? 'working' : 'notBegun';
    return {
      studentId: id,
      name,
      state,
      attempt: attempt?.number ?? 0,
      step: state === 'working' ? (work?.step ?? null) : null,
      stepAt: state === 'working' ? (work?.step_at?.toISOString() ?? null) : null,
      seenAt: later(work?.seen_at, attempt?.updated_at),
      endsAt:
        state === 'working' && attempt ? (endOf(endings.get(id)!, attempt)?.toISOString() ?? null) : null,
      handAt: state === 'working' ? (work?.hand_at?.toISOString() ?? null) : null,
      forming: shows.misconceptions.map(({ name: misconception }) => misconception),
      dangers: work?.step && TIMED.includes(work.step) ? shows.dangers : [],
      hints: hints({ student_id: id, attempt: attempt?.number ?? 1 }),
    };
  });
  return {
    assignmentId: assignment.id,
    title: assignment.title,
    classId: assignment.class_id,
    className: assignment.class_name,
    steps: workStepsOf(assignment.open_steps),
    minutes: assignment.minutes,
    pausedAt: assignment.paused_at?.toISOString() ?? null,
    closed: isClosed(assignment, now),
    leads: assignment.rights !== 'marking',
    now: now.toISOString(),
    students,
  };
}

/** What a student has written so far, in the attempt that is under way or was last. */
export async function liveDraft(db: Knex, assignment: LedAssignment, studentId: string): Promise<LiveDraft> {
  const [user, attempt] = await Promise.all([
    db('users').where({ id: studentId }).first('name'),
    lastAttempt(db, assignment.id, studentId),
  ]);
  return {
    name: rowOf(user, 'users').name,
    card: attempt?.answer ?? null,
    savedAt: attempt?.updated_at.toISOString() ?? null,
    open: assignment.open_steps,
    lines: assignment.lines,
    houseRules: assignment.house_rules,
  };
}
