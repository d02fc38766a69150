import { z } from 'zod';
import { naturalLevelSchema } from '../hair';
import type { Case, Key } from '../solve';
import { COUNTERS, UNDERLAYS } from '../theory';

const partsSchema = z.number().positive().max(1000);

/** What a student has written so far. Everything may still be open; a part that is given must make sense. */
export const answerSchema = z.object({
  naturalLevel: naturalLevelSchema.nullable(),
  underlay: z.enum(UNDERLAYS).nullable(),
  counter: z.enum([...COUNTERS, 'keep']).nullable(),
  shades: z.array(z.object({ label: z.string().min(1).max(20), parts: partsSchema })).max(3),
  /** One strength, or two poured together; 0 vol is water. */
  developer: z.array(z.object({ vol: z.number().min(0).max(40), parts: partsSchema })).max(2),
  /** Developer parts to one of colour. */
  ratio: z.number().positive().max(10).nullable(),
  totalGrams: z.number().positive().max(2000).nullable(),
  minutes: z.number().positive().max(240).nullable(),
});
export type Answer = z.infer<typeof answerSchema>;

export const EMPTY_ANSWER: Answer = {
  naturalLevel: null,
  underlay: null,
  counter: null,
  shades: [],
  developer: [],
  ratio: null,
  totalGrams: null,
  minutes: null,
};

/** The answer that says just what the key says: full marks, and what a changed answer is made from. */
export function answerOfKey({ zone }: Pick<Case, 'zone'>, key: Key): Answer {
  return {
    naturalLevel: zone.naturalLevel,
    underlay: key.underlay,
    counter: key.counter,
    shades: key.shades,
    developer: key.pour ?? [{ vol: key.developerVol, parts: 1 }],
    ratio: key.ratio,
    totalGrams: key.totalGrams,
    minutes: key.minutes,
  };
}

export const CRITERIA = [
  'levelReading',
  'underlay',
  'counterTone',
  'depth',
  'tone',
  'greyShare',
  'developer',
  'ratio',
  'amount',
  'minutes',
] as const;
export type Criterion = (typeof CRITERIA)[number];

/** Which parts of an answer are still open, by the criterion they are marked under. */
export function openParts(answer: Answer): Criterion[] {
  const open: Criterion[] = [];
  if (answer.naturalLevel === null) open.push('levelReading');
  if (answer.underlay === null) open.push('underlay');
  if (answer.counter === null) open.push('counterTone');
  if (answer.shades.length === 0) open.push('depth');
  if (answer.developer.length === 0) open.push('developer');
  if (answer.ratio === null) open.push('ratio');
  if (answer.totalGrams === null) open.push('amount');
  if (answer.minutes === null) open.push('minutes');
  return open;
}

/** Points for each criterion; a criterion that is missing is not marked in this exercise. */
export const rubricSchema = z
  .partialRecord(z.enum(CRITERIA), z.number().min(0).max(100).multipleOf(0.5))
  .refine((rubric) => Object.values(rubric).some((points) => (points ?? 0) > 0), { message: 'rubric.empty' });
export type Rubric = z.infer<typeof rubricSchema>;

/** Twenty points; grey counts only where there is grey to cover. */
export function defaultRubric(hasGrey: boolean): Rubric {
  const base: Rubric = {
    levelReading: 2,
    underlay: 2,
    counterTone: 2,
    depth: 3,
    tone: 3,
    developer: 3,
    ratio: 1,
    amount: 1,
    minutes: 1,
  };
  return { ...base, ...(hasGrey ? { greyShare: 2 } : { tone: 4, depth: 4 }) };
}
