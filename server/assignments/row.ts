import type { Counted, LateRule, Release, SetAs, StudentTerms, Terms } from '@cimbel/contract';
import type { BenchStep, Rubric, ExerciseWithAnswer } from '@cimbel/core/exercise';
import type { ClientCase } from '@cimbel/core/case';
import type { RecordCard } from '@cimbel/core/card';
import type { EducatorRuling, Misconception } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/rules';

/**
 * An exercise set to a class. Case, lines, house rules and model answer are kept as they were when it was set, so that
 * an old grade can be made again whatever becomes of the exercise.
 */
export interface AssignmentRow {
  id: string;
  exercise_id: string;
  class_id: string;
  title: string;
  /** In which figures it is set; others than the written ones are in `assignment_variants`. */
  variants: SetAs;
  /** As written; on a row that is a student's own, in the figures the student has, as are model answer and card. */
  client_case: ClientCase;
  lines: Line[];
  house_rules: HouseRules;
  model_answer: ModelAnswer;
  rubric: Rubric;
  open_steps: BenchStep[];
  /** A card to be put right: what the student starts from, and the slip on it. */
  card: RecordCard | null;
  slip: Misconception | null;
  judgement: EducatorRuling;
  /** Which standard answers are marked by: goes up with every other rubric or word on what is right. */
  standard: number;
  /** When work may begin; null for at once. On a row that is a student's own, dates and attempts are what holds for them. */
  opens_at: Date | null;
  due_at: Date;
  release: Release;
  attempts_allowed: number;
  counted: Counted;
  late: LateRule;
  late_percent: number;
  /** Minutes an attempt may take; null for no limit. */
  minutes: number | null;
  /** How many cards a student may have played on the head, over all attempts. */
  plays_allowed: number;
  /** Whether it is for the whole class; else for those in `assignment_students`. */
  everyone: boolean;
  closed_at: Date | null;
  /** Since when the class pauses: work waits, and clocks stand still; null while it goes on. */
  paused_at: Date | null;
  /** The last due time of anyone it is set to. */
  last_due_at: Date;
  released_at: Date | null;
  /** Version of the exercise that this is a copy of. */
  exercise_version: number;
  created_at: Date;
}

/** What holds for one student where it is not what holds for the class. */
export interface StudentTermsRow {
  assignment_id: string;
  student_id: string;
  opens_at: Date | null;
  due_at: Date | null;
  attempts: number | null;
  extra_time_share: StudentTerms['extraTimeShare'];
}

export const maxPoints = (rubric: Rubric) =>
  Object.values(rubric).reduce<number>((sum, points) => sum + (points ?? 0), 0);

const iso = (date: Date | null) => date?.toISOString() ?? null;

/** An assignment's terms as its educator wrote them. */
export const termsOf = (row: AssignmentRow, students: readonly StudentTermsRow[]): Terms => ({
  opensAt: iso(row.opens_at),
  dueAt: row.due_at.toISOString(),
  release: row.release,
  attempts: row.attempts_allowed,
  counted: row.counted,
  late: row.late,
  latePercent: row.late_percent,
  minutes: row.minutes,
  plays: row.plays_allowed,
  everyone: row.everyone,
  students: students.map((studentTermsRow) => ({
    studentId: studentTermsRow.student_id,
    opensAt: iso(studentTermsRow.opens_at),
    dueAt: iso(studentTermsRow.due_at),
    attempts: studentTermsRow.attempts,
    extraTimeShare: studentTermsRow.extra_time_share,
  })),
});

/** Columns that say what an exercise is worth, when it is due and when results are out: not its case, its lines or its answer. */
export const TERM_COLUMNS = [
  'id',
  'title',
  'due_at',
  'last_due_at',
  'rubric',
  'release',
  'released_at',
  'closed_at',
  'late',
  'late_percent',
  'attempts_allowed',
  'counted',
] as const satisfies readonly (keyof AssignmentRow)[];
export type TermAssignment = Pick<AssignmentRow, (typeof TERM_COLUMNS)[number]>;

/** What of an assignment says until when answers are taken and when results are out. */
export type Timed = Pick<
  AssignmentRow,
  'release' | 'released_at' | 'closed_at' | 'last_due_at' | 'late' | 'due_at' | 'attempts_allowed'
>;

/** Whether marks and model answer are out for all: by the educator's word, or since the last of them was due. */
const isOut = ({ release, released_at, last_due_at }: Timed, now: Date): boolean =>
  released_at !== null || (release === 'onDue' && now >= last_due_at);

/**
 * Whether nothing can be handed in for marks any more by students who are due at the row's time: the educator has closed it, the
 * model answer is out, or it is late where nothing late is taken.
 */
export const isClosed = (row: Timed, now: Date): boolean =>
  row.closed_at !== null || isOut(row, now) || (row.late === 'refused' && now > row.due_at);

/** Last moment at which work under way is still taken: the due time where nothing late is, and when it was closed; null for none. */
export function takenUntil({
  late,
  due_at,
  release,
  last_due_at,
  closed_at,
  released_at,
}: Timed): Date | null {
  const byDates = endsByDates({ late, due_at, release, last_due_at });
  const ends = [
    ...(byDates ? [byDates] : []),
    ...(closed_at ? [closed_at] : []),
    ...(released_at ? [released_at] : []),
  ];
  return ends.length > 0 ? new Date(Math.min(...ends.map((end) => end.getTime()))) : null;
}

/**
 * When nothing is taken any more by the dates alone, whoever closes or releases it: the due time where nothing late is, or
 * when results show as soon as it is due; null where work is taken after that.
 */
export function endsByDates({
  late,
  due_at,
  release,
  last_due_at,
}: Pick<Timed, 'late' | 'due_at' | 'release' | 'last_due_at'>): Date | null {
  const ends = [...(late === 'refused' ? [due_at] : []), ...(release === 'onDue' ? [last_due_at] : [])];
  return ends.length > 0 ? new Date(Math.min(...ends.map((end) => end.getTime()))) : null;
}

/** Whether those who have handed in may see marks and model answer; `onSubmit` opens it to each who has no more attempts. */
export const isReleased = (row: Timed, now: Date): boolean => row.release === 'onSubmit' || isOut(row, now);

/** Whether a student who has handed in so often may see marks and model answer; the row is their own. */
export const isShown = (row: Timed, handedIn: number, now: Date): boolean =>
  handedIn > 0 &&
  (isOut(row, now) ||
    (row.release === 'onSubmit' && (handedIn >= row.attempts_allowed || isClosed(row, now))));

/** A row in the terms of the core. */
export const exerciseOf = (row: AssignmentRow): ExerciseWithAnswer => ({
  id: row.id,
  clientCase: row.client_case,
  modelAnswer: row.model_answer,
  lines: row.lines,
  houseRules: row.house_rules,
  open: row.open_steps,
  card: row.card,
});
