import { z } from 'zod';
import {
  itemSpecSchema,
  responseSchema,
  scopeSchema,
  skillSchema,
  drillStepSchema,
  testPartSchema,
  type DrillMark,
  type Eye,
  type Item,
  type Memory,
  type Question,
  type Response,
  type Scope,
  type Skill,
  type SlotFacts,
  type Slot,
  type ConfusionCell,
  type DrillStep,
} from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import { houseRulesSchema, type HouseRules } from '@cimbel/core/rules';
import { oneLine } from './text';

const skillsSchema = z
  .array(skillSchema)
  .min(1)
  .refine((skills) => new Set(skills).size === skills.length);

/** A practice as an educator sets it: what, within which hair, and how much a week. */
export const newPracticeSchema = z.object({
  title: oneLine(120),
  skills: skillsSchema,
  scope: scopeSchema,
  minutesAWeek: z.number().int().min(5).max(240),
});
export type NewPractice = z.infer<typeof newPracticeSchema>;

/** One answered item from a student's device. The id is made there, so sending it twice counts once. */
export const drillAnswerSchema = z.object({
  id: z.uuid(),
  /** The class it was practised for; null outside of any. */
  classId: z.uuid().nullable(),
  practiceId: z.uuid().nullable(),
  spec: itemSpecSchema,
  /** Edition of the questions it was asked in; answers from before there was any are of the first. */
  edition: z.number().int().min(1).default(1),
  /** What the item was made by: the class may have other house rules when a waiting answer arrives. */
  rules: houseRulesSchema,
  scope: scopeSchema,
  ownLines: z
    .array(z.object({ id: z.string().min(1).max(60), version: z.number().int().min(1) }))
    .max(40)
    .default([]),
  response: responseSchema,
  assisted: z.boolean(),
  at: z.iso.datetime(),
  seconds: z.number().min(0).max(86_400),
});
export type DrillAnswer = z.infer<typeof drillAnswerSchema>;
export const drillAnswersSchema = z.object({ answers: z.array(drillAnswerSchema).min(1).max(50) });

/** What became of each: kept, or refused with the reason as a code. Either way the device need not send it again. */
export interface DrillAnswersKept {
  kept: string[];
  refused: { id: string; code: 'noSuchItem' | 'notYours' | 'idTaken' | 'olderEdition' }[];
}

export interface PracticeForMe {
  id: string;
  classId: string;
  className: string;
  title: string;
  skills: Skill[];
  scope: Scope;
  minutesAWeek: number;
  minutesThisWeek: number;
}
export interface MyPractice {
  classes: {
    id: string;
    name: string;
    houseRules: HouseRules;
    /** The college's own lines, which take part wherever a line does. */
    ownLines: Line[];
  }[];
  practices: PracticeForMe[];
  memory: Memory;
  answers: number;
  minutesThisWeek: number;
}
export type MyEye = Eye;

export const TEST_FEEDBACK = ['atEnd', 'onRelease'] as const;
export type TestFeedback = (typeof TEST_FEEDBACK)[number];
export const TEST_VARIANTS = ['own', 'same'] as const;
export type TestVariants = (typeof TEST_VARIANTS)[number];

export const newTestSchema = z
  .object({
    title: oneLine(120),
    parts: z.array(testPartSchema).min(1),
    step: drillStepSchema,
    scope: scopeSchema,
    variants: z.enum(TEST_VARIANTS),
    minutes: z.number().int().min(1).max(180),
    feedback: z.enum(TEST_FEEDBACK),
    attempts: z.number().int().min(1).max(5),
    dueAt: z.iso.datetime(),
  })
  .refine(({ parts }) => new Set(parts.map(({ skill }) => skill)).size === parts.length, { path: ['parts'] })
  .refine(({ parts }) => parts.reduce((sum, { count }) => sum + count, 0) <= 60, {
    path: ['parts'],
    params: { code: 'tooMany' },
  })
  // The first to finish would carry the answers to the rest.
  .refine(({ variants, feedback }) => variants === 'own' || feedback === 'onRelease', {
    path: ['feedback'],
    params: { code: 'sameNeedsRelease' },
  });
export type NewTest = z.infer<typeof newTestSchema>;

export const testChangeSchema = z
  .object({ title: oneLine(120), dueAt: z.iso.datetime(), released: z.boolean() })
  .partial()
  .strict();
export type TestChange = z.infer<typeof testChangeSchema>;

/** Extra time as a share of the limit: 0.25 is a quarter more. */
export const EXTRA_TIME = [0, 0.25, 0.5, 1] as const;
export const extraTimeSchema = z.object({ extraTimeShare: z.literal(EXTRA_TIME) });

interface TestFacts {
  id: string;
  title: string;
  questions: number;
  minutes: number;
  step: DrillStep;
  dueAt: string;
  feedback: TestFeedback;
  attempts: number;
  variants: TestVariants;
  released: boolean;
}

/** A class's reading on one page: who has practised, how much, and how well. */
export interface ReadingDesk {
  classId: string;
  className: string;
  houseRules: HouseRules;
  practices: (Omit<PracticeForMe, 'minutesThisWeek' | 'className' | 'classId'> & { reached: number })[];
  tests: (TestFacts & { finished: number; mean: number | null })[];
  students: {
    id: string;
    name: string;
    extraTimeShare: number;
    minutesThisWeek: number;
    answers: number;
    accuracy: number | null;
    levelBias: number | null;
    skills: Partial<Record<Skill, { answers: number; accuracy: number; step: number }>>;
  }[];
}
export interface StudentEye {
  studentName: string;
  className: string;
  eye: Eye;
}

export interface MyTest extends TestFacts {
  className: string;
  /** Of these minutes, for this student. */
  minutesForMe: number;
  late: boolean;
  sittings: { id: string; startedAt: string; ended: boolean; score: number | null }[];
  canStart: boolean;
}

/** A question as a browser gets it before answering: hair as pixels, never as figures. */
export type ShownQuestion = Omit<Question, 'pictures'> & {
  pictures: { caption: Question['pictures'][number]['caption'] }[];
  /** The line the question is read in, where it is one of the college's own. */
  ownLine: Line | null;
};
export interface SittingState {
  id: string;
  testId: string;
  title: string;
  total: number;
  /** The next one to answer, from 0; `total` when all are answered. */
  position: number;
  ended: boolean;
  /** The server's clock, so that the device's own need not be right. */
  now: string;
  endsAt: string;
  feedback: TestFeedback;
  /** The question to answer and the one after it. */
  questions: { position: number; question: ShownQuestion }[];
}
export const sittingAnswerSchema = z.object({
  position: z.number().int().min(0).max(100),
  /** Null leaves the question. */
  response: responseSchema.nullable(),
});
export type SittingAnswer = z.infer<typeof sittingAnswerSchema>;

/** One question after the test: the whole item and what came of it. */
export interface SittingLine {
  position: number;
  item: Item;
  ownLine: Line | null;
  response: Response | null;
  mark: DrillMark | null;
  seconds: number | null;
}
export interface SittingResult {
  id: string;
  testId: string;
  title: string;
  studentName: string;
  startedAt: string;
  score: number;
  total: number;
  lines: SittingLine[];
}

export interface EducatorTest extends TestFacts {
  classId: string;
  className: string;
  plan: Slot[];
  late: boolean;
  rows: {
    studentId: string;
    name: string;
    extraTimeShare: number;
    state: 'notStarted' | 'inWork' | 'finished';
    /** The best finished sitting, or the one in work. */
    sittingId: string | null;
    sittings: number;
    score: number | null;
    minutes: number | null;
    bySkill: Partial<Record<Skill, number>>;
  }[];
  slots: (SlotFacts & Slot & { deltaE: number | null })[];
  skills: { skill: Skill; questions: number; accuracy: number | null }[];
  confusion: { level: ConfusionCell<number>[]; tone: ConfusionCell<string>[] };
}
