import { z } from 'zod';
import {
  itemSpecSchema,
  responseSchema,
  scopeSchema,
  skillSchema,
  drillStepSchema,
  testPartSchema,
  type DrillMark,
  type ReadingProfile,
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
  /** Ids of what was kept. */
  kept: string[];
  /** What was not taken, and why. */
  refused: { id: string; code: 'noSuchItem' | 'notYours' | 'idTaken' | 'olderEdition' }[];
}

export interface PracticeForMe {
  /** Id, a UUID. */
  id: string;
  /** Id of the class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Skills of the drills. */
  skills: Skill[];
  /** Levels and lights that questions keep to. */
  scope: Scope;
  /** Minutes a week that are asked for. */
  minutesAWeek: number;
  /** Minutes practised this week. */
  minutesThisWeek: number;
}
export interface MyPractice {
  /** Classes of the account. */
  classes: {
    /** Id, a UUID. */
    id: string;
    /** Name as it is shown. */
    name: string;
    /** House rules of the class. */
    houseRules: HouseRules;
    /** The college's own lines, which take part wherever a line does. */
    ownLines: Line[];
  }[];
  /** Practices that are set. */
  practices: PracticeForMe[];
  /** What is remembered of each facet. */
  memory: Memory;
  /** Number of answers. */
  answers: number;
  /** Minutes practised this week. */
  minutesThisWeek: number;
}

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
  /** Id of the class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  /** House rules of the class. */
  houseRules: HouseRules;
  /** Practices that are set. */
  practices: (Omit<PracticeForMe, 'minutesThisWeek' | 'className' | 'classId'> & { reached: number })[];
  /** Reading tests that are set. */
  tests: (TestFacts & { finished: number; mean: number | null })[];
  /** Students of the class, or the chosen ones. */
  students: {
    /** Id, a UUID. */
    id: string;
    /** Name as it is shown. */
    name: string;
    /** Extra time, as a fraction of the time limit. */
    extraTimeShare: number;
    /** Minutes practised this week. */
    minutesThisWeek: number;
    /** Number of answers. */
    answers: number;
    /** Share that was right, fraction 0–1. */
    accuracy: number | null;
    /** Mean error of level, levels; above 0 reads too light. */
    levelBias: number | null;
    /** Skills of the drills. */
    skills: Partial<Record<Skill, { answers: number; accuracy: number; step: number }>>;
  }[];
}
export interface StudentReadingProfile {
  /** Name of the student. */
  studentName: string;
  /** Name of the class. */
  className: string;
  /** The reading profile that the answers make. */
  profile: ReadingProfile;
}

export interface MyTest extends TestFacts {
  /** Name of the class. */
  className: string;
  /** Of these minutes, for this student. */
  minutesForMe: number;
  /** Whether it came, or would come, after the due time. */
  late: boolean;
  /** Sittings there have been. */
  sittings: { id: string; startedAt: string; ended: boolean; score: number | null }[];
  /** Whether a sitting may be begun. */
  canStart: boolean;
}

/** A question as a browser gets it before answering: hair as pixels, never as figures. */
export type ShownQuestion = Omit<Question, 'pictures'> & {
  /** Pictures of hair, in their order. */
  pictures: { caption: Question['pictures'][number]['caption'] }[];
  /** The line the question is read in, where it is one of the college's own. */
  ownLine: Line | null;
};
export interface SittingState {
  /** Id, a UUID. */
  id: string;
  /** Id of the reading test, a UUID. */
  testId: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** How many there are in all. */
  total: number;
  /** The next one to answer, from 0; `total` when all are answered. */
  position: number;
  /** Whether it is over. */
  ended: boolean;
  /** The server's clock, so that the device's own need not be right. */
  now: string;
  /** Time it ends, ISO 8601. */
  endsAt: string;
  /** When it is told what was right. */
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
  /** Place in the order, counted from 0. */
  position: number;
  /** The item. */
  item: Item;
  ownLine: Line | null;
  /** The answer given; null where there is none. */
  response: Response | null;
  /** The mark; null where there is none. */
  mark: DrillMark | null;
  /** Seconds it took. */
  seconds: number | null;
}
export interface SittingResult {
  /** Id, a UUID. */
  id: string;
  /** Id of the reading test, a UUID. */
  testId: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Name of the student. */
  studentName: string;
  /** Time it was begun, ISO 8601. */
  startedAt: string;
  /** Mark, fraction 0–1. */
  score: number;
  /** How many there are in all. */
  total: number;
  /** Lines of colour at hand, as they were when it was set. */
  lines: SittingLine[];
}

export interface EducatorTest extends TestFacts {
  /** Id of the class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  plan: Slot[];
  /** Whether it came, or would come, after the due time. */
  late: boolean;
  /** One row for each student. */
  rows: {
    /** Id of the student’s account, a UUID. */
    studentId: string;
    /** Name as it is shown. */
    name: string;
    /** Extra time, as a fraction of the time limit. */
    extraTimeShare: number;
    /** How things stand with it. */
    state: 'notStarted' | 'inWork' | 'finished';
    /** The best finished sitting, or the one in work. */
    sittingId: string | null;
    /** Sittings there have been. */
    sittings: number;
    /** Mark, fraction 0–1. */
    score: number | null;
    /** Minutes. */
    minutes: number | null;
    bySkill: Partial<Record<Skill, number>>;
  }[];
  slots: (SlotFacts & Slot & { deltaE: number | null })[];
  /** Skills of the drills. */
  skills: { skill: Skill; questions: number; accuracy: number | null }[];
  confusion: { level: ConfusionCell<number>[]; tone: ConfusionCell<string>[] };
}
