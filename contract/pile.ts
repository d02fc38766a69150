import { CRITERIA } from '@cimbel/core/exercise';
import { MISCONCEPTIONS, type AnswerGroup, type Misconception, type PiledFault } from '@cimbel/core/mark';
import { z } from 'zod';
import { markChangeSchema } from './assignments';

/** How far an educator is with an answer: not yet, looked at and left as marked, or to be talked about. */
export const ANSWER_STATES = ['new', 'looked', 'talk'] as const;
export type AnswerState = (typeof ANSWER_STATES)[number];

/** Most answers that one word is said of. */
const MOST_ANSWERS = 1000;
const answerIds = z.array(z.uuid()).min(1).max(MOST_ANSWERS);

/** What an educator says of an answer. */
export interface AnswerComment {
  /** Id, a UUID. */
  id: string;
  /** Words, 1 to 500 characters; lines may be broken. */
  text: string;
  /** Way of thinking that it speaks of; null for none. */
  about: Misconception | null;
  /** Name of the educator. */
  by: string;
  /** Whether the one who asks wrote it. */
  own: boolean;
  /** ISO date and time. */
  at: string;
  /** It speaks of a way of thinking that does not show in the answer any more, since it was marked again. */
  stale: boolean;
}

/** An answer as it lies in its group. */
export interface PileAnswer {
  /** Id of the attempt, a UUID. */
  attemptId: string;
  /** Name of the student. */
  studentName: string;
  /** Points as they stand, what being late costs taken off. */
  points: number;
  /** Whether it came after the due time. */
  late: boolean;
  /** Whether a mark was changed by hand. */
  changed: boolean;
  /** How far it is. */
  state: AnswerState;
  /** Who said so; null while it is new. */
  stateBy: string | null;
  /** Its points are others than they were when that was said. */
  moved: boolean;
  /** What it has besides what its group shares, worst first. */
  besides: PiledFault[];
  /** Comments, oldest first. */
  comments: AnswerComment[];
}

/** A phrase that an educator keeps, to be said again. */
export interface Phrase {
  /** Id, a UUID. */
  id: string;
  /** Words. */
  text: string;
  /** Way of thinking that it was first said of; null for none. */
  about: Misconception | null;
}

/** Answers to an assignment in groups of those that were got wrong, or right, in the same way. */
export interface Pile {
  /** Id of the assignment, a UUID. */
  assignmentId: string;
  /** Title, 1 to 80 characters. */
  title: string;
  /** Most points that can be had. */
  max: number;
  /** Points by criterion, of those that are marked. */
  rubric: Record<string, number>;
  /** Whether results are shown. */
  released: boolean;
  /** Students it is set to whose answers are not in. */
  waiting: number;
  /** Biggest first. */
  groups: (Omit<AnswerGroup, 'answers'> & { answers: PileAnswer[] })[];
  /** Phrases of the one who asks, those most often said first. */
  phrases: Phrase[];
}

/** Says how far some answers are. One that is not any more as the page last saw it is left alone. */
export const answerStatesSchema = z
  .object({
    answers: z
      .array(
        z.object({ attemptId: z.uuid(), from: z.enum(ANSWER_STATES), to: z.enum(ANSWER_STATES) }).strict(),
      )
      .min(1)
      .max(MOST_ANSWERS),
  })
  .strict();
export type AnswerStatesWrite = z.infer<typeof answerStatesSchema>;
export interface AnswerStatesSet {
  /** Attempts that were set. */
  set: string[];
  /** Attempts that somebody else had set meanwhile, and which stay so. */
  others: string[];
}

export const commentText = z.string().trim().min(1).max(500);
/** One comment for each of some answers. */
export const commentsSchema = z
  .object({
    attemptIds: answerIds,
    text: commentText,
    about: z.enum(MISCONCEPTIONS).nullable().default(null),
    /** Whether to keep it among the phrases. */
    keep: z.boolean().default(false),
  })
  .strict();
export type CommentsWrite = z.infer<typeof commentsSchema>;
/** Another wording for one comment, of one's own. */
export const commentChangeSchema = z.object({ text: commentText }).strict();
/** Comments of one's own that are taken back. */
export const commentRemovalSchema = z.object({ ids: answerIds }).strict();
export const phraseRemovalSchema = z.object({ id: z.uuid() }).strict();

/** The same points for one criterion in each of some answers; those changed by hand in it already are left alone. */
export const markAlikeSchema = markChangeSchema
  .extend({ criterion: z.enum(CRITERIA), attemptIds: answerIds })
  .strict();
export type MarkAlike = z.infer<typeof markAlikeSchema>;
export interface MarkedAlike {
  /** Names what was done, to take it back; null where nothing was. */
  batch: string | null;
  /** Attempts whose mark was changed. */
  changed: string[];
  /** Attempts changed by hand before, or that have so many points already: they stay. */
  left: string[];
}
export const markAlikeRemovalSchema = z.object({ batch: z.uuid() }).strict();
