import { OPEN_STEPS, type BenchStep } from '@cimbel/core/exercise';
import type { Misconception } from '@cimbel/core/mark';
import type { RecordCard } from '@cimbel/core/card';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import { z } from 'zod';
import type { Reason } from '@cimbel/core';
import type { AttemptTime } from './assignments';
import { commentText } from './pile';

/** Steps of the bench as they are gone through, with handing in at the end. */
export const WORK_STEPS = [...OPEN_STEPS, 'handIn'] as const;
export type WorkStep = (typeof WORK_STEPS)[number];
/** Steps of an exercise in the order of the service; those that it gives are left out. */
export const workStepsOf = (open: readonly BenchStep[]): WorkStep[] => [...open, 'handIn'];

/** Something was done that is seen elsewhere at once. Ids only: what it was is asked for, by the rights of who asks. */
export interface LiveEvent {
  /** Id of the class, a UUID. */
  classId: string;
  /** Ids of the assignments it is about; none where it is about the class itself. */
  assignmentIds: string[];
}

/** What an educator says to students while they work. */
export interface Hint {
  /** Id, a UUID. */
  id: string;
  /** Words, 1 to 500 characters; lines may be broken. */
  text: string;
  /** Name of the educator. */
  by: string;
  /** ISO date and time. */
  at: string;
  /** When the student put it away as read, ISO; null before. */
  readAt: string | null;
}

/** How far somebody is with what was set. */
export type LiveState = 'notBegun' | 'working' | 'handedIn';

/** A student at work, as the educator sees it. */
export interface LiveStudent {
  /** Id of the student, a UUID. */
  studentId: string;
  /** Name of the student. */
  name: string;
  /** How far the attempt is that is under way, or was last. */
  state: LiveState;
  /** Which attempt it is, from 1; 0 where none was begun. */
  attempt: number;
  /** Step the student is at; null where that was never told. */
  step: WorkStep | null;
  /** Since when, ISO. */
  stepAt: string | null;
  /** When the student was last heard of, ISO; null where never. */
  seenAt: string | null;
  /** When its time is up, ISO; null where there is no limit, or the clock stands still. */
  endsAt: string | null;
  /** Since when the student asks for help, ISO; null where not. */
  handAt: string | null;
  /** Ways of thinking that show in what is written by now. */
  forming: Misconception[];
  /** What would hurt the client, as it is written by now. */
  dangers: Reason[];
  /** Hints on this attempt, oldest first. */
  hints: Hint[];
}

/** An exercise while a class works on it. */
export interface LiveBoard {
  /** Id of the assignment, a UUID. */
  assignmentId: string;
  /** What it is called. */
  title: string;
  /** Id of its class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  /** Steps that are worked, in their order; handing in is the last. */
  steps: WorkStep[];
  /** Minutes an attempt may take; null for no limit. */
  minutes: number | null;
  /** Since when it pauses, ISO; null while it goes on. */
  pausedAt: string | null;
  /** Whether nothing is taken any more. */
  closed: boolean;
  /** Whether the one who asks may pause and collect. */
  leads: boolean;
  /** The server's time as this was told, ISO. */
  now: string;
  /** Students it is set to, by name. */
  students: LiveStudent[];
}

/** What a student has written so far, for the educator. */
export interface LiveDraft {
  /** Name of the student. */
  name: string;
  /** The card; null where nothing is written. */
  card: RecordCard | null;
  /** When it was last saved, ISO. */
  savedAt: string | null;
  /** Steps of the bench that are worked. */
  open: BenchStep[];
  /** Lines of colour that it names. */
  lines: Line[];
  /** House rules, for units. */
  houseRules: HouseRules;
}

/** What a student is told while at work. */
export interface Working {
  /** Since when the class pauses, ISO; null while it goes on. */
  pausedAt: string | null;
  /** How long there is; null where there is no limit, or the clock stands still. */
  time: AttemptTime | null;
  /** Since when help is asked for, ISO; null where it is not. */
  handAt: string | null;
  /** Whether the attempt is handed in: by the student elsewhere, or collected. */
  handedIn: boolean;
  /** Hints on this attempt, oldest first. */
  hints: Hint[];
}

/** Where a student is, and whether help is asked for; what is left out stays. */
export const workingSchema = z
  .object({ step: z.enum(WORK_STEPS), hand: z.boolean() })
  .partial()
  .strict()
  .refine(({ step, hand }) => step !== undefined || hand !== undefined);
export type WorkingWrite = z.infer<typeof workingSchema>;

/** Most students that one hint goes to. */
const MOST_HINTED = 1000;
export const hintSchema = z
  .object({
    text: commentText,
    /** Ids of students; whoever of them has handed in already gets none. */
    studentIds: z.array(z.uuid()).min(1).max(MOST_HINTED),
  })
  .strict();
export type HintWrite = z.infer<typeof hintSchema>;

export const pauseSchema = z.object({ paused: z.boolean() }).strict();

/** What came of collecting. */
export interface Collected {
  /** Attempts that were handed in as they stood. */
  handedIn: number;
  /** Attempts with nothing written, which stay open. */
  empty: number;
  /** Attempts that could not be taken, and why, by code. */
  notTaken: { name: string; code: string }[];
}
