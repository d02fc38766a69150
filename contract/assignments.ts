import { z } from 'zod';
import type { Reason } from '@cimbel/core';
import {
  CRITERIA,
  rubricSchema,
  type Criterion,
  type StudentExercise,
  type ShownHair,
  type Rubric,
  type BenchStep,
} from '@cimbel/core/exercise';
import { educatorRulingSchema, type Grade, type EducatorRuling, type Misconception } from '@cimbel/core/mark';
import { CONSULTATION_QUESTIONS, TESTS, type ClientCase } from '@cimbel/core/case';
import {
  MOST_CARE,
  bowlSchema,
  careSchema,
  recordCardSchema,
  applicationSchema,
  type RecordCard,
} from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import type { ModelAnswer } from '@cimbel/core/solve';
import { figuresSchema, type HouseFigures, type HouseRules } from '@cimbel/core/rules';
import type { standingSchema } from './classes';
import type { Rights } from './people';
import { libraryExerciseSchema } from './exercises';
import { attemptNumberSchema, withTerms, type Terms } from './terms';
import { oneLine } from './text';

/** An exercise set to a class or to some of it. */
export const newAssignmentSchema = withTerms({
  exercise: libraryExerciseSchema,
  /** The educator's own exercise that this is; a new one is made where it is left out. */
  exerciseId: z.uuid().optional(),
});
export type NewAssignment = z.output<typeof newAssignmentSchema>;

export const assignmentChangeSchema = z
  .object({
    title: oneLine(120),
    /** Whether those who have handed in see marks and model answer by the educator's word. */
    released: z.boolean(),
    /** Whether nothing is taken any more by the educator's word. */
    closed: z.boolean(),
  })
  .partial()
  .strict();
export type AssignmentChange = z.infer<typeof assignmentChangeSchema>;

/** What only the educator of the class sees. */
export interface EducatorAssignment {
  id: string;
  exerciseId: string;
  /** Whether nobody has begun, so that the exercise may still be changed. */
  editable: boolean;
  /** How far the one who asks leads the class. */
  rights: Rights;
  classId: string;
  className: string;
  title: string;
  clientCase: ClientCase;
  lines: Line[];
  houseRules: HouseRules;
  modelAnswer: ModelAnswer;
  open: BenchStep[];
  /** What is wrong with the card that is to be put right; null where the card starts empty. */
  slip: Misconception | null;
  rubric: Rubric;
  judgement: EducatorRuling;
  /** What answers were marked by before they were last marked again, to take that back; null where they never were. */
  former: { rubric: Rubric; judgement: EducatorRuling; figures: HouseFigures } | null;
  max: number;
  dueAt: string;
  terms: Terms;
  /** Version of the exercise that is set, and the newest there is. */
  version: number;
  newestVersion: number;
  released: boolean;
  /** Whether nothing can be handed in for marks any more by whoever is due at the class's date. */
  closed: boolean;
  /** Whether the educator has closed it by hand. */
  closedByHand: boolean;
  /** How often each misconception shows, most often first. */
  misconceptions: { name: string; students: number }[];
  rows: (z.infer<typeof standingSchema> & {
    studentId: string;
    name: string;
    grade: Grade | null;
    changed: boolean;
  })[];
}

/** What a student is told of an assignment whether or not they may begin yet. */
export interface StudentTermsShown {
  id: string;
  title: string;
  className: string;
  dueAt: string;
  /** Late now, without anything handed in. */
  late: boolean;
  /** Per cent of the points that being late costs; null where it costs none. */
  latePercent: number | null;
  /** Nothing can be handed in for marks any more. */
  closed: boolean;
  /** How often it may be handed in, and how often it has been. */
  attempts: number;
  handedIn: number;
  /** Minutes an attempt may take, extra time with it; null for no limit. */
  minutes: number | null;
}

/** An exercise as its student gets it, with how far the work on it is. */
export interface StudentAssignment extends StudentTermsShown, StudentExercise {
  stage: 'work';
  rubric: Rubric;
  /** Which attempt this is, from 1. */
  attempt: number;
  /** When the time for it is up, and the server's time as this was told; null where there is no limit. */
  time: { endsAt: string; now: string } | null;
  draft: { answer: RecordCard; version: number; updatedAt: string } | null;
  submittedAt: string | null;
  receipt: Receipt | null;
  /** Whether another attempt may be begun. */
  another: boolean;
  /** Points of the attempt that counts so far, told between attempts; null where nothing is told yet. */
  soFar: { points: number; max: number } | null;
  resultReady: boolean;
}

/** One that cannot be worked yet: it opens later, or its time begins to run once it is begun. Nothing of the head is told. */
export interface StudentAssignmentAhead extends StudentTermsShown {
  stage: 'ahead';
  /** When it opens, ISO; null where it is open and has only to be begun. */
  opensAt: string | null;
}
export type StudentAssignmentView = StudentAssignment | StudentAssignmentAhead;

/** Begins an attempt: with an empty card, or with what was last handed in. */
export const beginSchema = z.object({ from: z.enum(['empty', 'last']).default('empty') }).strict();

/** What both sides can show of a hand-in: its number on this installation, and a SHA-256 of what was handed in and when. */
export interface Receipt {
  number: number;
  digest: string;
}

export interface StudentAssignmentSummary {
  id: string;
  title: string;
  className: string;
  clientName: string;
  /** The strand of the region that bears most of the hair; null before it may be worked. */
  now: ShownHair | null;
  dueAt: string;
  /** When it opens, ISO; null where it is open. */
  opensAt: string | null;
  /** `inWork` also while a further attempt is under way. */
  state: 'notStarted' | 'inWork' | 'handedIn';
  late: boolean;
  closed: boolean;
  attempts: number;
  handedIn: number;
  minutes: number | null;
  resultReady: boolean;
  points: number | null;
  max: number;
}

export const draftSchema = z.object({
  answer: recordCardSchema,
  /** Version the device last saw; a newer one by another device is not overwritten unasked. */
  version: z.number().int().min(0),
  writer: z.string().min(1).max(64),
  /** Which attempt it is of, from 1: what is left of an earlier one is not written into another. */
  attempt: attemptNumberSchema,
});
export type DraftWrite = z.infer<typeof draftSchema>;
export interface DraftSaved {
  version: number;
  updatedAt: string;
}

export const submissionSchema = z.object({
  id: z.uuid(),
  answer: recordCardSchema,
  attempt: attemptNumberSchema,
});
export type Submission = z.infer<typeof submissionSchema>;

export const revealSchema = z.union([
  z.object({ question: z.enum(CONSULTATION_QUESTIONS) }).strict(),
  z.object({ test: z.enum(TESTS) }).strict(),
]);
export interface Revealed {
  reasons: Reason[];
}

export const simulationSchema = z.object({
  bowls: z.array(bowlSchema).max(8),
  steps: z.array(applicationSchema).max(16),
  care: z.array(careSchema).max(MOST_CARE).default([]),
});
export type SimulationAsked = z.infer<typeof simulationSchema>;
export type { ShownSimulation } from '@cimbel/core/simulate';

/** What of a mark an educator may change: a criterion's points, or the most that its ceilings leave. */
export const CHANGEABLE = [...CRITERIA, 'ceiling'] as const;

/** A mark that the educator has changed by hand, with why. */
export interface MarkChange {
  criterion: Criterion | 'ceiling';
  from: number;
  to: number;
  reason: string;
  by: string;
  /** ISO date and time. */
  at: string;
}
export const markChangeSchema = z.object({
  criterion: z.enum(CHANGEABLE),
  points: z.number().min(0).max(1000).multipleOf(0.25),
  reason: z.string().trim().min(3).max(500),
});
export type MarkChangeWrite = z.infer<typeof markChangeSchema>;

/** A handed-in card beside the model answer: the student's own once released, and the educator's. */
export interface Result {
  attemptId: string;
  assignmentId: string;
  title: string;
  studentName: string;
  clientCase: ClientCase;
  lines: Line[];
  houseRules: HouseRules;
  modelAnswer: ModelAnswer;
  judgement: EducatorRuling;
  open: BenchStep[];
  slip: Misconception | null;
  answer: RecordCard;
  grade: Grade;
  changes: MarkChange[];
  submittedAt: string;
  dueAt: string;
  late: boolean;
  /** Points that being late has cost; 0 where it cost none. They are off `grade.points`. */
  lateLoss: number;
  receipt: Receipt | null;
  /** Every attempt that was handed in, first to last. */
  attempts: { attemptId: string; number: number; points: number; submittedAt: string; counts: boolean }[];
}
/** The educator's view adds the way to the neighbours, so that thirty answers are read without going back. */
export interface EducatorResult extends Result {
  previousId: string | null;
  nextId: string | null;
}

export const regradeSchema = z
  .object({
    rubric: rubricSchema.optional(),
    judgement: educatorRulingSchema.optional(),
    /** An attempt whose plan is to be right as well as the model answer. */
    accept: z.uuid().optional(),
    /** Tolerances, pass mark and ceilings to mark by from now on. */
    figures: figuresSchema.optional(),
  })
  .strict();
export type RegradeAsked = z.infer<typeof regradeSchema>;

/** What marking again would change, before it is done. */
export interface RegradePreview {
  /** Answers that are in. */
  total: number;
  /** Those whose points would be others, the greatest change first. */
  changes: { attemptId: string; studentName: string; before: number; after: number; max: number }[];
}
/** What marking the exercises of a class again by today's standard would change, exercise by exercise. */
export interface ClassRegradePreview {
  exercises: (RegradePreview & {
    assignmentId: string;
    title: string;
    /** Whether students see their marks of it already. */
    released: boolean;
  })[];
}
export const classRegradeSchema = z.object({ assignmentIds: z.array(z.uuid()).min(1).max(200) }).strict();
export type ClassRegradeAsked = z.infer<typeof classRegradeSchema>;

/** How far marking again has come. */
export interface Regrade {
  total: number;
  done: number;
  /** Answers whose points are others than before. */
  changed: number;
  finished: boolean;
}
