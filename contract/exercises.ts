import { z } from 'zod';
import {
  CRITERIA,
  SERVICE_CRITERIA,
  answerSchema,
  rubricSchema,
  type Answer,
  type Criterion,
  type ServiceCriterion,
  type Grade,
  type Rubric,
} from '@cimbel/core/grade';
import type { Zone, Service, Density } from '@cimbel/core/hair';
import type { Line } from '@cimbel/core/shades';
import { caseSchema, type Case, type Key, type KeyResult } from '@cimbel/core/solve';
import type { HouseRules, Underlay } from '@cimbel/core/theory';
import type { TressLook } from '@cimbel/core/tress';
import type { standingSchema } from './classes';

/** When students who have handed in may see their marks and the key. */
export const RELEASES = ['onSubmit', 'onDue', 'manual'] as const;
export type Release = (typeof RELEASES)[number];

export const keyPreviewSchema = z.object({ kase: caseSchema });
export type KeyPreview = KeyResult;

export const newExerciseSchema = z.object({
  title: z.string().trim().min(1).max(120),
  kase: caseSchema,
  rubric: rubricSchema,
  dueAt: z.iso.datetime(),
  release: z.enum(RELEASES),
});
export type NewExercise = z.input<typeof newExerciseSchema>;

export const exerciseChangeSchema = z
  .object({
    title: z.string().trim().min(1).max(120),
    dueAt: z.iso.datetime(),
    release: z.enum(RELEASES),
    released: z.boolean(),
  })
  .partial()
  .strict();
export type ExerciseChange = z.infer<typeof exerciseChangeSchema>;

/** What only the educator of the class sees. */
export interface EducatorExercise {
  id: string;
  classId: string;
  className: string;
  title: string;
  kase: Case;
  line: Line;
  houseRules: HouseRules;
  key: Key;
  rubric: Rubric;
  max: number;
  dueAt: string;
  release: Release;
  released: boolean;
  rows: (z.infer<typeof standingSchema> & {
    studentId: string;
    name: string;
    grade: Grade | null;
    changed: boolean;
  })[];
}

/** What a student may see of a head before the key is released: how it looks, never its figures. */
export interface StudentExercise {
  id: string;
  title: string;
  className: string;
  client: Case['client'];
  looks: { now: TressLook; target: TressLook };
  facts: Omit<Zone, 'naturalLevel'> & { service: Service; density: Density; target: Case['target'] };
  line: Line;
  houseRules: HouseRules;
  underlayChoices: Underlay[];
  rubric: Rubric;
  dueAt: string;
  late: boolean;
  draft: { answer: Answer; version: number; updatedAt: string } | null;
  submittedAt: string | null;
  resultReady: boolean;
}

/** A formula for one zone, or a whole service on a head. */
export type ExerciseKind = 'formula' | 'service';

export interface StudentExerciseSummary {
  id: string;
  kind: ExerciseKind;
  title: string;
  className: string;
  clientName: string;
  now: TressLook;
  dueAt: string;
  state: 'notStarted' | 'inWork' | 'handedIn';
  late: boolean;
  resultReady: boolean;
  points: number | null;
  max: number;
}

export const draftSchema = z.object({
  answer: answerSchema,
  /** Version the device last saw; a newer one by another device is not overwritten unasked. */
  version: z.number().int().min(0),
  writer: z.string().min(1).max(64),
});
export type DraftWrite = z.infer<typeof draftSchema>;
export interface DraftSaved {
  version: number;
  updatedAt: string;
}

export const submissionSchema = z.object({ id: z.uuid(), answer: answerSchema });
export type Submission = z.infer<typeof submissionSchema>;

export interface MarkChange {
  criterion: Criterion | ServiceCriterion;
  from: number;
  to: number;
  reason: string;
  by: string;
  at: string;
}

/** One handed-in answer beside the key: the student's own once released, and the educator's. */
export interface Result {
  attemptId: string;
  exerciseId: string;
  title: string;
  studentName: string;
  kase: Case;
  line: Line;
  houseRules: HouseRules;
  key: Key;
  answer: Answer;
  grade: Grade;
  changes: MarkChange[];
  submittedAt: string;
  late: boolean;
  looks: { now: TressLook; target: TressLook };
}
/** The educator's view adds the way to the neighbours, so that thirty answers are read without going back. */
export interface EducatorResult extends Result {
  previousId: string | null;
  nextId: string | null;
}

export const markChangeSchema = z.object({
  criterion: z.enum([...CRITERIA, ...SERVICE_CRITERIA]),
  points: z.number().min(0).max(100).multipleOf(0.25),
  reason: z.string().trim().min(3).max(500),
});
export type MarkChangeWrite = z.infer<typeof markChangeSchema>;
