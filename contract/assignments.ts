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
import type { ShownSimulation } from '@cimbel/core/simulate';
import type { ModelAnswer } from '@cimbel/core/solve';
import { figuresSchema, type HouseFigures, type HouseRules } from '@cimbel/core/rules';
import type { standingSchema } from './classes';
import type { Rights } from './people';
import { libraryExerciseSchema } from './exercises';
import { attemptNumberSchema, withTerms, type Terms, type Release } from './terms';
import type { AnswerComment } from './pile';
import type { Hint } from './live';
import { oneLine } from './text';

/**
 * In which figures an exercise is set: as it is written; in others, the same for all; or in up to five sets of others, of
 * which each student has one. What the client says is left out of others, since it may name what changes.
 */
export const SET_AS = ['asWritten', 'shared', 'own'] as const;
export type SetAs = (typeof SET_AS)[number];

/** An exercise set to a class or to some of it. */
export const newAssignmentSchema = withTerms({
  variants: z.enum(SET_AS).default('asWritten'),
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
  /** Id, a UUID. */
  id: string;
  /** Id of the exercise in the library, a UUID. */
  exerciseId: string;
  /** Whether nobody has begun, so that the exercise may still be changed. */
  editable: boolean;
  /** How far the one who asks leads the class. */
  rights: Rights;
  /** Id of the class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** The client case: client, head, desired result, shelf. */
  clientCase: ClientCase;
  /** Lines of colour at hand, as they were when it was set. */
  lines: Line[];
  /** House rules of the class. */
  houseRules: HouseRules;
  /** The model answer. */
  modelAnswer: ModelAnswer;
  /** In which figures it is set. */
  setAs: SetAs;
  /** The case in other figures with its answer, by number from 1; empty where it is set as written. */
  variants: { number: number; clientCase: ClientCase; modelAnswer: ModelAnswer }[];
  /** Steps of the bench that are worked. */
  open: BenchStep[];
  /** What is wrong with the card that is to be put right; null where the card starts empty. */
  slip: Misconception | null;
  /** Points by criterion. */
  rubric: Rubric;
  /** The educator’s word on the marking. */
  judgement: EducatorRuling;
  /** What answers were marked by before they were last marked again, to take that back; null where they never were. */
  former: { rubric: Rubric; judgement: EducatorRuling; figures: HouseFigures } | null;
  /** Most points that can be had. */
  max: number;
  /** Due time, ISO 8601. */
  dueAt: string;
  /** Dates, attempts and rules by which it is set. */
  terms: Terms;
  /** Version of the exercise that is set, and the newest there is. */
  version: number;
  /** Newest version there is. */
  newestVersion: number;
  /** Whether results are shown. */
  released: boolean;
  /** Whether nothing can be handed in for marks any more by students who are due at the class's date. */
  closed: boolean;
  /** Whether the educator has closed it by hand. */
  closedByHand: boolean;
  /** How often each misconception shows, most often first. */
  misconceptions: { name: Misconception; students: number }[];
  /** One row for each student. */
  rows: (z.infer<typeof standingSchema> & {
    /** Id of the student’s account, a UUID. */
    studentId: string;
    /** Name as it is shown. */
    name: string;
    /** Number on the roster; null where there is none. */
    number: string | null;
    /** Marks; null while there are none. */
    grade: Grade | null;
    /** Whether the educator changed a mark by hand. */
    changed: boolean;
    /** Whether the student has been shown marks and model answer, with the class or before it. */
    released: boolean;
    /** Which variant the student has, from 1; null where all have the same figures. */
    variant: number | null;
    /** Why the last attempt could not be taken when its time was up, by code; null where it was or is still worked. */
    notTaken: string | null;
  })[];
}

/** What a student is told of an assignment whether or not they may begin yet. */
export interface StudentTermsShown {
  /** Id, a UUID. */
  id: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Name of the class. */
  className: string;
  /** Due time, ISO 8601. */
  dueAt: string;
  /** Late now, without anything handed in. */
  late: boolean;
  /** Per cent of the points that being late costs; null where it costs none. */
  latePercent: number | null;
  /** Nothing can be handed in for marks any more. */
  closed: boolean;
  /** When what is being worked then is handed in as it stands, ISO 8601; null where work is taken after it is due. */
  handedInAt: string | null;
  /** How often it may be handed in, and how often it has been. */
  attempts: number;
  /** Attempts that are handed in. */
  handedIn: number;
  /** Minutes an attempt may take, extra time with it; null for no limit. */
  minutes: number | null;
}

/** How long there is for an attempt. */
export interface AttemptTime {
  /** When its time is up, ISO 8601. */
  endsAt: string;
  /** The server's time as this was told, ISO 8601. */
  now: string;
  /** For how long its clock stood still while the class paused, milliseconds; the end is so much later already. */
  pausedMs: number;
}

/** An exercise as its student gets it, with how far the work on it is. */
export interface StudentAssignment extends StudentTermsShown, StudentExercise {
  /** How far the work on it is. */
  stage: 'work';
  /** Points by criterion. */
  rubric: Rubric;
  /** Which attempt this is, from 1. */
  attempt: number;
  /** How long there is for it; null where there is no limit. */
  time: AttemptTime | null;
  /** Work in progress; null where nothing is begun. */
  draft: { answer: RecordCard; version: number; updatedAt: string } | null;
  /** Time it was handed in, ISO 8601; null before. */
  submittedAt: string | null;
  /** Number and digest of the hand-in; null before. */
  receipt: Receipt | null;
  /** Why it could not be taken when its time was up, by code; null where it was or is still worked. */
  notTaken: string | null;
  /** Whether another attempt may be begun. */
  another: boolean;
  /**
   * Points of the attempt that counts so far, told between attempts, and what kind of thing lost some in the last: criteria
   * and rules, no figure of the answer; null where nothing is told yet.
   */
  soFar: { points: number; max: number; lost: { criterion: Criterion; rules: string[] }[] } | null;
  /** Plays of a card on this head. */
  plays: Plays;
  /** Whether the result may be seen. */
  resultReady: boolean;
  /** When marks and model answer are told. */
  release: Release;
}

/** One that cannot be worked yet: it opens later, or its time begins to run once it is begun. Nothing of the head is told. */
export interface StudentAssignmentAhead extends StudentTermsShown {
  /** How far the work on it is. */
  stage: 'ahead';
  /** When it opens, ISO; null where it is open and has only to be begun. */
  opensAt: string | null;
}
export type StudentAssignmentView = StudentAssignment | StudentAssignmentAhead;

/** Begins an attempt: with an empty card, or with what was last handed in. */
export const beginSchema = z.object({ from: z.enum(['empty', 'last']).default('empty') }).strict();

/** What both sides can show of a hand-in: its number on this installation, and a SHA-256 of what was handed in and when. */
export interface Receipt {
  /** Number, counted up over the installation. */
  number: number;
  /** SHA-256 of what was handed in, hexadecimal. */
  digest: string;
}

export interface StudentAssignmentSummary {
  /** Id, a UUID. */
  id: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Name of the class. */
  className: string;
  /** Name of the client. */
  clientName: string;
  /** The strand of the region that bears most of the hair; null before it may be worked. */
  now: ShownHair | null;
  /** Due time, ISO 8601. */
  dueAt: string;
  /** When it opens, ISO; null where it is open. */
  opensAt: string | null;
  /** `inWork` also while a further attempt is under way. */
  state: 'notStarted' | 'inWork' | 'handedIn';
  /** Whether it came, or would come, after the due time. */
  late: boolean;
  /** Whether nothing can be handed in any more. */
  closed: boolean;
  /** How many attempts there may be. */
  attempts: number;
  /** Attempts that are handed in. */
  handedIn: number;
  /** Minutes. */
  minutes: number | null;
  /** Whether the result may be seen. */
  resultReady: boolean;
  /** Whether it is out and was not looked at since, or since something was said or changed about it. */
  fresh: boolean;
  /** Points earned, in quarters. */
  points: number | null;
  /** Most points that can be had. */
  max: number;
}

/** Who sees marks and model answer before the rest of the class; whoever is not named does not. */
export const releasedToSchema = z.object({ studentIds: z.array(z.uuid()).max(500) }).strict();

export const draftSchema = z.object({
  answer: recordCardSchema,
  /** Version the device last saw; a newer one by another device is not overwritten unasked. */
  version: z.number().int().min(0),
  writer: z.string().min(1).max(64),
  /** Which of its writer's saves it is, always more than the one before; what was long on its way is not written over newer. */
  sequence: z.number().int().min(0).default(0),
  /** Which attempt it is of, from 1: what is left of an earlier one is not written into another. */
  attempt: attemptNumberSchema,
});
export type DraftWrite = z.infer<typeof draftSchema>;
export interface DraftSaved {
  /** Version, counted from 1. */
  version: number;
  /** Time it was last changed, ISO 8601. */
  updatedAt: string;
}

export const submissionSchema = z.object({
  id: z.uuid(),
  answer: recordCardSchema,
  attempt: attemptNumberSchema,
  /** What the device last saw of the draft, and who it is: newer work of another is not handed over unasked. */
  seen: z.object({ version: z.number().int().min(0), writer: z.string().min(1).max(64) }).optional(),
});
export type Submission = z.infer<typeof submissionSchema>;

export const revealSchema = z.union([
  z.object({ question: z.enum(CONSULTATION_QUESTIONS) }).strict(),
  z.object({ test: z.enum(TESTS) }).strict(),
]);
export interface Revealed {
  /** Why, in the words of the interface. */
  reasons: Reason[];
}

export const simulationSchema = z.object({
  bowls: z.array(bowlSchema).max(8),
  steps: z.array(applicationSchema).max(16),
  care: z.array(careSchema).max(MOST_CARE).default([]),
});
export type SimulationAsked = z.infer<typeof simulationSchema>;
export type { ShownSimulation } from '@cimbel/core/simulate';

/** How often a student may have a card played on the head of an assignment. */
export interface Plays {
  /** Cards that were played, each counted once. */
  used: number;
  /** Most that may be, over all attempts. */
  allowed: number;
}
/** A card played on its head, and what is left of plays. */
export type PlayedCard = ShownSimulation & { plays: Plays };

/** What of a mark an educator may change: a criterion's points, or the most that its ceilings leave. */
export const CHANGEABLE = [...CRITERIA, 'ceiling'] as const;

/** A mark that the educator has changed by hand, with why. */
export interface MarkChange {
  /** Criterion it belongs to. */
  criterion: Criterion | 'ceiling';
  /** Points as computed. */
  from: number;
  /** Points as changed. */
  to: number;
  /** Why, in the words of the interface. */
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
  /** Id of the attempt, a UUID. */
  attemptId: string;
  /** Id of the assignment, a UUID. */
  assignmentId: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Name of the student. */
  studentName: string;
  /** The client case: client, head, desired result, shelf. */
  clientCase: ClientCase;
  /** Lines of colour at hand, as they were when it was set. */
  lines: Line[];
  /** House rules of the class. */
  houseRules: HouseRules;
  /** The model answer. */
  modelAnswer: ModelAnswer;
  /** The educator’s word on the marking. */
  judgement: EducatorRuling;
  /** Steps of the bench that are worked. */
  open: BenchStep[];
  slip: Misconception | null;
  /** The card as it stands. */
  answer: RecordCard;
  /** Marks; null while there are none. */
  grade: Grade;
  changes: MarkChange[];
  /** Time it was handed in, ISO 8601; null before. */
  submittedAt: string;
  /** Due time, ISO 8601. */
  dueAt: string;
  /** Whether it came, or would come, after the due time. */
  late: boolean;
  /** Points that being late has cost; 0 where it cost none. They are off `grade.points`. */
  lateLoss: number;
  /** Number and digest of the hand-in; null before. */
  receipt: Receipt | null;
  /** What educators say of it, oldest first. */
  comments: AnswerComment[];
  /** What educators said while it was worked, oldest first. */
  hints: Hint[];
  /** Every attempt that was handed in, first to last. */
  attempts: { attemptId: string; number: number; points: number; submittedAt: string; counts: boolean }[];
}
/** The educator's view adds the way to the neighbours, so that thirty answers are read without going back. */
export interface EducatorResult extends Result {
  /** Id of the answer before it by student name, a UUID; null for the first. */
  previousId: string | null;
  /** Id of the answer after it by student name, a UUID; null for the last. */
  nextId: string | null;
  /** How often the student had cards played on this head, over all attempts. */
  plays: Plays;
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
    /** Id of the assignment, a UUID. */
    assignmentId: string;
    /** Title, 1 to 80 characters. */
    title: string;
    /** Whether students see their marks of it already. */
    released: boolean;
  })[];
}
export const classRegradeSchema = z.object({ assignmentIds: z.array(z.uuid()).min(1).max(200) }).strict();
export type ClassRegradeAsked = z.infer<typeof classRegradeSchema>;

/** How far marking again has come. */
export interface Regrade {
  /** How many there are in all. */
  total: number;
  done: number;
  /** Answers whose points are others than before. */
  changed: number;
  /** How many have finished. */
  finished: boolean;
}
