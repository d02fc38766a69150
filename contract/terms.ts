import { z } from 'zod';
import { EXTRA_TIME } from './drills';

/** When students who have handed in may see their marks and the model answer. */
export const RELEASES = ['onSubmit', 'onDue', 'manual'] as const;
export type Release = (typeof RELEASES)[number];

/** What becomes of an answer that comes in after its due time: not taken, taken and marked late, or so much off its points. */
export const LATE_RULES = ['refused', 'taken', 'reduced'] as const;
export type LateRule = (typeof LATE_RULES)[number];

/** Which of several attempts is the one that counts. */
export const COUNTED = ['best', 'last'] as const;
export type Counted = (typeof COUNTED)[number];

/** Most attempts an assignment gives. */
export const MOST_ATTEMPTS = 10;
/** Shortest and longest time to work against, minutes. */
export const WORKING_MINUTES = [5, 600] as const;

/** Most cards that may be played on a head, and how many where nothing else is said. */
export const MOST_PLAYS = 200;
export const USUAL_PLAYS = 30;

const attempts = z.number().int().min(1).max(MOST_ATTEMPTS);
/** Which of a student's attempts something is of, from 1. */
export const attemptNumberSchema = attempts.default(1);

/** What holds for one student in place of what holds for the rest; null where nothing else does. */
export const studentTermsSchema = z
  .object({
    studentId: z.uuid(),
    opensAt: z.iso.datetime().nullable(),
    dueAt: z.iso.datetime().nullable(),
    attempts: attempts.nullable(),
    /** Share of the working time that is added, 0 to 1; null for what the roster says of the student. */
    extraTimeShare: z.literal(EXTRA_TIME).nullable(),
  })
  .strict();
export type StudentTerms = z.infer<typeof studentTermsSchema>;

const termFields = z.object({
  /** When work on it may begin; null for at once. */
  opensAt: z.iso.datetime().nullable().default(null),
  dueAt: z.iso.datetime(),
  release: z.enum(RELEASES),
  /** How often it may be handed in. */
  attempts: attempts.default(1),
  counted: z.enum(COUNTED).default('best'),
  late: z.enum(LATE_RULES).default('taken'),
  /** Per cent of the points that being late costs, where the rule is `reduced`. */
  latePercent: z.number().int().min(1).max(100).default(10),
  /** Minutes each attempt may take from when it is begun; null for no limit. */
  minutes: z.number().int().min(WORKING_MINUTES[0]).max(WORKING_MINUTES[1]).nullable().default(null),
  /** How many cards a student may have played on the head, over all attempts. */
  plays: z.number().int().min(1).max(MOST_PLAYS).default(USUAL_PLAYS),
  /** Whether it is for the whole class; else it is for those in `students` alone. */
  everyone: z.boolean().default(true),
  students: z.array(studentTermsSchema).max(500).default([]),
});

type Fields = z.output<typeof termFields>;

/** Dates that would leave a student no time, and names twice or none at all. Codes are words of `error.field`. */
export function faultsOfTerms({
  opensAt,
  dueAt,
  everyone,
  students,
}: Pick<Fields, 'opensAt' | 'dueAt' | 'everyone' | 'students'>): {
  path: (string | number)[];
  code: string;
}[] {
  const faults: { path: (string | number)[]; code: string }[] = [];
  const noTime = (opens: string | null, due: string) =>
    opens !== null && Date.parse(opens) >= Date.parse(due);
  if (noTime(opensAt, dueAt)) faults.push({ path: ['opensAt'], code: 'afterDue' });
  if (!everyone && students.length === 0) faults.push({ path: ['students'], code: 'nobody' });
  const seen = new Set<string>();
  students.forEach((studentTerms, i) => {
    if (seen.has(studentTerms.studentId)) faults.push({ path: ['students', i, 'studentId'], code: 'twice' });
    seen.add(studentTerms.studentId);
    // Said once: what is wrong for all is not said again of each.
    if (
      noTime(studentTerms.opensAt ?? opensAt, studentTerms.dueAt ?? dueAt) &&
      (studentTerms.opensAt !== null || studentTerms.dueAt !== null)
    )
      faults.push({ path: ['students', i, 'dueAt'], code: 'afterDue' });
  });
  return faults;
}

/** A schema with terms among its fields, held against `faultsOfTerms`. */
export const withTerms = <T extends z.ZodRawShape>(shape: T) =>
  termFields.extend(shape).superRefine((value, context) => {
    for (const { path, code } of faultsOfTerms(value as Fields))
      context.addIssue({ code: 'custom', path, params: { code }, message: code });
  });

/** For whom, from when, until when, how often and how an exercise is to be worked. */
export const termsSchema = withTerms({});
export type Terms = z.output<typeof termsSchema>;

/** What other terms would change for one who has begun. */
export interface TermsEffect {
  /** Id of the student’s account, a UUID. */
  studentId: string;
  /** Name as it is shown. */
  name: string;
  /** `noLonger`: it is not for them any more. */
  effects: ('late' | 'notLate' | 'closed' | 'reopened' | 'noLonger' | 'points' | 'time')[];
  /** Points that count, where they would be others. */
  points: { before: number; after: number } | null;
}
