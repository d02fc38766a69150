import { z } from 'zod';
import type { Reason } from '@cimbel/core';
import {
  CRITERIA,
  judgementSchema,
  rubricSchema,
  type Criterion,
  type ExerciseAsSet,
  type Hair,
  type Grade,
  type Judgement,
  type Misconception,
  type Rubric,
} from '@cimbel/core/mark';
import {
  type BenchStep,
  QUESTIONS,
  TESTS,
  MOST_CARE,
  bowlSchema,
  careSchema,
  recordCardSchema,
  stepSchema,
  type ClientCase,
  type RecordCard,
} from '@cimbel/core/card';
import type { Line } from '@cimbel/core/shades';
import type { Solution } from '@cimbel/core/solve';
import type { HouseRules } from '@cimbel/core/theory';
import type { standingSchema } from './classes';
import type { Rights } from './people';
import { exerciseSchema } from './exercises';
import { oneLine } from './text';

/** When students who have handed in may see their marks and the model answer. */
export const RELEASES = ['onSubmit', 'onDue', 'manual'] as const;
export type Release = (typeof RELEASES)[number];

/** An exercise set to a class. */
export const newAssignmentSchema = z.object({
  exercise: exerciseSchema,
  /** The educator's own exercise that this is; a new one is made where it is left out. */
  exerciseId: z.uuid().optional(),
  dueAt: z.iso.datetime(),
  release: z.enum(RELEASES),
});

export const assignmentChangeSchema = z
  .object({
    title: oneLine(120),
    dueAt: z.iso.datetime(),
    release: z.enum(RELEASES),
    released: z.boolean(),
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
  solution: Solution;
  open: BenchStep[];
  /** What is wrong with the card that is to be put right; null where the card starts empty. */
  slip: Misconception | null;
  rubric: Rubric;
  judgement: Judgement;
  /** What answers were marked by before they were last marked again, to take that back; null where they never were. */
  former: { rubric: Rubric; judgement: Judgement } | null;
  max: number;
  dueAt: string;
  release: Release;
  released: boolean;
  /** Whether nothing can be handed in for marks any more. */
  closed: boolean;
  /** How often each misconception shows, most often first. */
  misconceptions: { name: string; students: number }[];
  rows: (z.infer<typeof standingSchema> & {
    studentId: string;
    name: string;
    grade: Grade | null;
    changed: boolean;
  })[];
}

/** An exercise as its student gets it, with how far the work on it is. */
export interface StudentAssignment extends ExerciseAsSet {
  id: string;
  title: string;
  className: string;
  rubric: Rubric;
  dueAt: string;
  late: boolean;
  /** Results are out: nothing can be handed in for marks any more. */
  closed: boolean;
  draft: { answer: RecordCard; version: number; updatedAt: string } | null;
  submittedAt: string | null;
  receipt: Receipt | null;
  resultReady: boolean;
}

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
  /** The strand of the region that bears most of the hair. */
  now: Hair;
  dueAt: string;
  state: 'notStarted' | 'inWork' | 'handedIn';
  late: boolean;
  resultReady: boolean;
  points: number | null;
  max: number;
}

export const draftSchema = z.object({
  answer: recordCardSchema,
  /** Version the device last saw; a newer one by another device is not overwritten unasked. */
  version: z.number().int().min(0),
  writer: z.string().min(1).max(64),
});
export type DraftWrite = z.infer<typeof draftSchema>;
export interface DraftSaved {
  version: number;
  updatedAt: string;
}

export const submissionSchema = z.object({ id: z.uuid(), answer: recordCardSchema });
export type Submission = z.infer<typeof submissionSchema>;

export const revealSchema = z.union([
  z.object({ question: z.enum(QUESTIONS) }).strict(),
  z.object({ test: z.enum(TESTS) }).strict(),
]);
export interface Revealed {
  reasons: Reason[];
}

export const simulationSchema = z.object({
  bowls: z.array(bowlSchema).max(8),
  steps: z.array(stepSchema).max(16),
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
  solution: Solution;
  judgement: Judgement;
  open: BenchStep[];
  slip: Misconception | null;
  answer: RecordCard;
  grade: Grade;
  changes: MarkChange[];
  submittedAt: string;
  dueAt: string;
  late: boolean;
  receipt: Receipt | null;
}
/** The educator's view adds the way to the neighbours, so that thirty answers are read without going back. */
export interface EducatorResult extends Result {
  previousId: string | null;
  nextId: string | null;
}

export const regradeSchema = z
  .object({
    rubric: rubricSchema.optional(),
    judgement: judgementSchema.optional(),
    /** An attempt whose plan is to be right as well as the model answer. */
    accept: z.uuid().optional(),
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
/** How far marking again has come. */
export interface Regrade {
  total: number;
  done: number;
  /** Answers whose points are others than before. */
  changed: number;
  finished: boolean;
}
