import type { NewExercise } from '@cimbel/contract';

/** The form holds a local time, as the field for it does; everything else is as it is sent. */
export type ExerciseFormValues = Omit<NewExercise, 'dueAt'> & { dueAt: string };
