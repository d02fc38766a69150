import { z } from 'zod';
import type { Reason } from '@cimbel/core';
import type { Light } from '@cimbel/core/colour';
import {
  OPEN_STEPS,
  SERVICE_MISCONCEPTIONS,
  serviceRubricSchema,
  type BenchStep,
  type NearMiss,
  type ServiceGrade,
  type ServiceMisconception,
  type ServiceRubric,
} from '@cimbel/core/grade';
import {
  QUESTIONS,
  TESTS,
  bowlSchema,
  serviceCaseSchema,
  servicePlanSchema,
  stepSchema,
  type Head,
  type HeadZone,
  type ServiceCase,
  type ServicePlan,
} from '@cimbel/core/plan';
import type { Line } from '@cimbel/core/shades';
import type { Solution } from '@cimbel/core/solve';
import type { HouseRules, Underlay } from '@cimbel/core/theory';
import type { TressLook } from '@cimbel/core/tress';
import type { standingSchema } from './classes';
import { RELEASES, type MarkChange, type Release } from './exercises';

/** What a case comes to under a class's rules, before it is set. */
export const servicePreviewSchema = z.object({ kase: serviceCaseSchema });
export type ServicePreview =
  | { ok: true; solution: Solution; rubric: ServiceRubric; nearMisses: NearMiss[]; lines: Line[] }
  | { ok: false; reasons: Reason[] };

export const newServiceSchema = z.object({
  title: z.string().trim().min(1).max(120),
  kase: serviceCaseSchema,
  /** Steps of the bench that are worked; the others are given. */
  open: z.array(z.enum(OPEN_STEPS)).min(1),
  /** Set as a card with this slip on it, to be put right. */
  slip: z.enum(SERVICE_MISCONCEPTIONS).nullable().default(null),
  rubric: serviceRubricSchema,
  dueAt: z.iso.datetime(),
  release: z.enum(RELEASES),
});
export type NewService = z.input<typeof newServiceSchema>;

/** What only the educator of the class sees. */
export interface EducatorService {
  id: string;
  classId: string;
  className: string;
  title: string;
  kase: ServiceCase;
  lines: Line[];
  houseRules: HouseRules;
  solution: Solution;
  open: BenchStep[];
  /** What is wrong with the card that is to be put right; null where the card starts empty. */
  slip: ServiceMisconception | null;
  rubric: ServiceRubric;
  max: number;
  dueAt: string;
  release: Release;
  released: boolean;
  /** How often each misconception shows, most often first. */
  misconceptions: { name: string; students: number }[];
  rows: (z.infer<typeof standingSchema> & {
    studentId: string;
    name: string;
    grade: ServiceGrade | null;
    changed: boolean;
  })[];
}

/** What a student may know of a head before the key is released: how it looks and what was asked, never its figures. */
export interface StudentService {
  id: string;
  title: string;
  className: string;
  client: ServiceCase['client'];
  looks: { now: TressLook; target: TressLook };
  /** The same under each light, for reading. */
  lit: Record<Light, { now: TressLook; target: TressLook }>;
  zones: { zone: HeadZone; lengthCm: number; from: number; to: number }[];
  hair: Pick<Head, 'diameter' | 'density' | 'length' | 'form'>;
  wish: ServiceCase['wish'];
  weave: ServiceCase['weave'] | null;
  lines: Line[];
  houseRules: HouseRules;
  underlayChoices: Underlay[];
  open: BenchStep[];
  /** What the exercise gives: the fields of steps that are off, and all of a card that is to be put right. */
  given: ServicePlan;
  toCorrect: boolean;
  rubric: ServiceRubric;
  /** What the questions and tests of the draft have brought to light. */
  reveals: Record<string, Reason[]>;
  dueAt: string;
  late: boolean;
  draft: { answer: ServicePlan; version: number; updatedAt: string } | null;
  submittedAt: string | null;
  resultReady: boolean;
}

export const serviceDraftSchema = z.object({
  answer: servicePlanSchema,
  version: z.number().int().min(0),
  writer: z.string().min(1).max(64),
});
export const serviceSubmissionSchema = z.object({ id: z.uuid(), answer: servicePlanSchema });
export type ServiceSubmission = z.infer<typeof serviceSubmissionSchema>;

export const revealSchema = z.union([
  z.object({ question: z.enum(QUESTIONS) }).strict(),
  z.object({ test: z.enum(TESTS) }).strict(),
]);
export interface Revealed {
  reasons: Reason[];
}

export const playSchema = z.object({ bowls: z.array(bowlSchema).max(8), steps: z.array(stepSchema).max(16) });
export type PlayAsked = z.infer<typeof playSchema>;
export type { PlayShown } from '@cimbel/core/plan';

/** A handed-in plan beside the computed one. */
export interface ServiceResult {
  attemptId: string;
  exerciseId: string;
  title: string;
  studentName: string;
  kase: ServiceCase;
  lines: Line[];
  houseRules: HouseRules;
  solution: Solution;
  open: BenchStep[];
  slip: ServiceMisconception | null;
  answer: ServicePlan;
  grade: ServiceGrade;
  changes: MarkChange[];
  submittedAt: string;
  late: boolean;
}
export interface EducatorServiceResult extends ServiceResult {
  previousId: string | null;
  nextId: string | null;
}

export const regradeSchema = z.object({ rubric: serviceRubricSchema.optional() });
/** How far marking again has come. */
export interface Regrade {
  total: number;
  done: number;
  /** Answers whose points are others than before. */
  changed: number;
  finished: boolean;
}
