import { z } from 'zod';
import type { Rights } from './people';
import { oneLine } from './text';

/** Most categories of a term. */
export const MOST_CATEGORIES = 8;
/** Most pieces that a category drops. */
export const MOST_DROPPED = 9;
/** Most points that a piece of practical work is worth. */
export const MOST_POINTS = 1000;

/** Kinds of work a term is made of; each begins as a category of its own. */
export const WORK_KINDS = ['exercise', 'readingTest', 'practical'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** What has not been handed in when it was due: counts as nothing, or is left out. */
export const MISSING_RULES = ['zero', 'leftOut'] as const;
/** What being late costs, in the term: as each exercise says, or nothing. */
export const TERM_LATE_RULES = ['asSet', 'forgiven'] as const;

const categorySchema = z
  .object({
    id: z.string().min(1).max(40),
    /** Null for the usual name of its kind. */
    name: oneLine(60).nullable(),
    weight: z.number().min(0).max(100).multipleOf(0.5),
    dropLowest: z.number().int().min(0).max(MOST_DROPPED),
  })
  .strict();

export const gradebookSettingsSchema = z
  .object({
    categories: z.array(categorySchema).min(1).max(MOST_CATEGORIES),
    missing: z.enum(MISSING_RULES),
    late: z.enum(TERM_LATE_RULES),
    /** Decimals that the term mark is rounded to, once, at the end. */
    decimals: z.union([z.literal(0), z.literal(1)]),
    /** Whether students see their own sheet. */
    shown: z.boolean(),
  })
  .strict()
  .superRefine(({ categories }, context) => {
    const issue = (path: (string | number)[], code: string) =>
      context.addIssue({ code: 'custom', path, params: { code }, message: code });
    categories.forEach(({ id, name }, i) => {
      if (categories.findIndex((other) => other.id === id) !== i) issue(['categories', i, 'id'], 'twice');
      if (name === null && !(WORK_KINDS as readonly string[]).includes(id))
        issue(['categories', i, 'name'], 'nameNeeded');
    });
    if (categories.every(({ weight }) => weight === 0)) issue(['categories', 0, 'weight'], 'noWeight');
  });
export type GradebookSettings = z.infer<typeof gradebookSettingsSchema>;

/** How a class's gradebook stands before anybody has changed it. */
export const USUAL_SETTINGS: GradebookSettings = {
  categories: [
    { id: 'exercise', name: null, weight: 60, dropLowest: 0 },
    { id: 'readingTest', name: null, weight: 20, dropLowest: 0 },
    { id: 'practical', name: null, weight: 20, dropLowest: 0 },
  ],
  missing: 'zero',
  late: 'asSet',
  decimals: 0,
  shown: false,
};

export const settingsWriteSchema = z
  .object({ settings: gradebookSettingsSchema, version: z.number().int().min(0) })
  .strict();
export type SettingsWrite = z.infer<typeof settingsWriteSchema>;

const points = z.number().min(0).max(MOST_POINTS).multipleOf(0.25);
const maxPointsSchema = z.number().min(1).max(MOST_POINTS).multipleOf(0.25);

/** Work that is marked away from the screen, and typed in. */
export const newPracticalSchema = z
  .object({
    title: oneLine(80),
    max: maxPointsSchema,
    /** The day it was done. */
    heldOn: z.iso.date(),
    category: z.string().min(1).max(40),
  })
  .strict();
export type NewPractical = z.infer<typeof newPracticalSchema>;

/** Title, points and day are of practical work only. */
export const gradeColumnChangeSchema = newPracticalSchema.extend({ counts: z.boolean() }).partial().strict();
export type GradeColumnChange = z.infer<typeof gradeColumnChangeSchema>;

/**
 * An educator's word on one piece of one student: points, or that it is excused, or neither to take either back. Points that stand
 * in place of a computed mark need a reason. `was` is when the word stood that is replaced; null for none.
 */
export const gradeEntryWriteSchema = z
  .object({
    points: points.nullable(),
    excused: z.boolean(),
    reason: z.string().trim().max(300),
    was: z.iso.datetime().nullable(),
  })
  .strict()
  .refine(({ points: given, excused }) => given === null || !excused, {
    path: ['excused'],
    params: { code: 'excusedWithPoints' },
  });
export type GradeEntryWrite = z.infer<typeof gradeEntryWriteSchema>;

export const freezeSchema = z.object({ frozen: z.boolean() }).strict();

/** A piece of work of a class. */
export interface GradeColumn {
  /** Id of the exercise as it is set, of the reading test or of the practical work, a UUID. */
  id: string;
  /** What it is. */
  kind: WorkKind;
  /** Title as it is shown. */
  title: string;
  /** Id of its category; of one that is gone it counts nowhere. */
  category: string;
  /** Whether it counts in the term at all. */
  counts: boolean;
  /** Points it is worth; 100 of a reading test. */
  max: number;
  /** When it is due for the class, or the day it was held: ISO date and time, or date. */
  date: string;
}

/**
 * How a piece stands for a student: counted as marked, as the educator gave it, or as missing; left out as excused or missing;
 * marked and not yet released; not entered, due or marked yet; not set to them.
 */
export type GradeState =
  'marked' | 'given' | 'missing' | 'missingLeftOut' | 'excused' | 'unreleased' | 'open' | 'notSet';

/** An educator's word on a piece, as it stands. */
export interface GradeEntry {
  /** Points; null where it is excused. */
  points: number | null;
  /** Why; empty where nothing was said. */
  reason: string;
  /** Name of who said so. */
  by: string;
  /** ISO date and time. */
  at: string;
}

export interface GradeCell {
  /** How it stands. */
  state: GradeState;
  /** Points in the end; null where there are none, and for a student where they are not released. */
  points: number | null;
  /** Points before the educator's word, of what was marked; null where nothing was. */
  computed: number | null;
  /** Points that being late cost; 0 where it was in time. */
  lateLoss: number;
  /** Attempt or sitting that counts, a UUID; null where there is none. */
  work: string | null;
  /** The educator's word; null where the mark is as computed. */
  entry: GradeEntry | null;
  /** Whether it is dropped as one of the weakest of its category. */
  dropped: boolean;
}

/** What a category comes to on a sheet. */
export interface SheetCategory {
  /** Id of the category. */
  id: string;
  /** Mean, 0–1, not rounded; null where nothing counts yet. */
  mean: number | null;
  /** How much of the term mark it makes, 0–1. */
  part: number;
}

/** A student's term. */
export interface TermSheet {
  /** Term mark so far, per cent, rounded once; null where nothing counts yet. */
  percent: number | null;
  /** Whether it is a pass; null where nothing counts yet. */
  passed: boolean | null;
  /** Categories, in the order of the class. */
  categories: SheetCategory[];
  /** By id of the piece. */
  cells: Record<string, GradeCell>;
}

/** What all sheets of a class have in common. */
export interface GradebookFrame {
  /** Id of the class, a UUID. */
  classId: string;
  /** Name of the class. */
  className: string;
  /** How it is reckoned. */
  settings: GradebookSettings;
  /** Per cent from which a term is a pass: the class's pass mark. */
  passMark: number;
  /** Pieces of work, by date. */
  columns: GradeColumn[];
  /** When it was frozen, ISO date and time; null while it goes on. */
  frozenAt: string | null;
}

export interface GradedStudent extends TermSheet {
  /** Id of the account, a UUID. */
  id: string;
  /** Name as it is shown. */
  name: string;
  /** With the college; null where there is none. */
  number: string | null;
}

/** A class's term as its educators see it. */
export interface Gradebook extends GradebookFrame {
  /** Version of the settings, for compare-and-set. */
  version: number;
  /** How far the asker leads the class. */
  rights: Rights;
  /** By name. */
  students: GradedStudent[];
}

/** A student's own sheet: nothing of what is not released. */
export interface MyTerm extends GradebookFrame, TermSheet {}
