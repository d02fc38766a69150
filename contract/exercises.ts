import { z } from 'zod';
import { OPEN_STEPS, clientCaseSchema } from '@cimbel/core/card';
import { MISCONCEPTIONS, NO_JUDGEMENT, judgementSchema, rubricSchema } from '@cimbel/core/mark';
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
  judgement: judgementSchema.default(NO_JUDGEMENT),
});
export type ExerciseContent = z.infer<typeof exerciseSchema>;

/** An exercise as its educator keeps it: a draft while it has not been set to any class. */
export interface Exercise extends ExerciseContent {
  id: string;
  /** Times it has been set to a class. */
  assignments: number;
  /** ISO date and time. */
  updatedAt: string;
}
