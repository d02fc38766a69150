import { z } from 'zod';
import { OPEN_STEPS, rubricSchema, type BenchStep } from '@cimbel/core/exercise';
import { clientCaseSchema, type ClientCase } from '@cimbel/core/case';
import { MISCONCEPTIONS, NO_RULING, educatorRulingSchema } from '@cimbel/core/mark';
import { oneLine } from './text';

/** A case with the steps that are worked and the points they are worth: what an educator keeps, and sets to a class. */
export const exerciseSchema = z.object({
  title: oneLine(120),
  clientCase: clientCaseSchema,
  /** The educator's word that it is set although even the model answer misses what is wished. */
  missesWish: z.boolean().optional(),
  /** Steps of the bench that are worked; the others are given. */
  open: z.array(z.enum(OPEN_STEPS)).min(1),
  /** Set as a card with this slip on it, to be put right. */
  slip: z.enum(MISCONCEPTIONS).nullable().default(null),
  /** Points by criterion; a criterion that is not named is not marked. */
  rubric: rubricSchema,
  /** What it turns on by the educator's word, how far the head holds marks down, and what else is right. */
  judgement: educatorRulingSchema.default(NO_RULING),
});
export type ExerciseContent = z.infer<typeof exerciseSchema>;

/** Most tags an exercise bears. */
export const MOST_TAGS = 12;
/** By what it is found again in the library. The same word in other letters is the same tag. */
export const tagsSchema = z
  .array(oneLine(40))
  .max(MOST_TAGS)
  .transform((tags) => tags.filter((tag, i) => tags.findIndex((one) => sameTag(one, tag)) === i));
/** Whether two tags are one, whatever their case. */
export const sameTag = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

/** An exercise as it is written to the library; tags that are left out stay as they are. */
export const libraryExerciseSchema = exerciseSchema.extend({ tags: tagsSchema.optional() });
export type LibraryExercise = z.output<typeof libraryExerciseSchema>;

/** What of an exercise is changed without making another version of it. */
export const exerciseChangeSchema = z.object({ tags: tagsSchema, archived: z.boolean() }).partial().strict();
export type ExerciseChange = z.output<typeof exerciseChangeSchema>;

/** An exercise as its educator keeps it in the library: a draft while it has not been set to any class. */
export interface Exercise extends ExerciseContent {
  /** Id, a UUID. */
  id: string;
  /** Tags it is filed by. */
  tags: string[];
  /** Goes up with every change after it has been set; what was set keeps the version it was set with. */
  version: number;
  /** Whether it is put away. */
  archived: boolean;
  /** Times it has been set to a class. */
  assignments: number;
  /** ISO date and time. */
  updatedAt: string;
}

/** What an exercise was. */
export interface ExerciseVersion {
  /** Version, counted from 1. */
  version: number;
  /** ISO date and time. */
  madeAt: string;
  /** What the exercise holds. */
  content: ExerciseContent;
  /** Times this version has been set to a class. */
  assignments: number;
}

/** A case that ships, as educators get it: its figures are keys, and no student is told them. */
export interface ShippedCaseTold {
  /** Id that packs and adopted exercises keep it by. */
  id: string;
  /** The case as it is shipped. */
  clientCase: ClientCase;
  /** Steps that are worked unless the educator says otherwise; all of them when left out. */
  open?: BenchStep[];
  /** Ids of the rules that its answer rests on, under the default house rules. */
  rules: string[];
}
