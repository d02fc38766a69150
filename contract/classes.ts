import { z } from 'zod';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import type { Rights } from './people';
import { oneLine } from './text';

export const newClassSchema = z.object({ name: oneLine(80) });
export const archiveSchema = z.object({ archived: z.boolean() });
/** A class once more, all dates moved by so many days. */
export const classCopySchema = z.object({ name: oneLine(80), days: z.number().int().min(-3660).max(3660) });
export type ClassCopy = z.infer<typeof classCopySchema>;

export const classSummarySchema = z.object({
  id: z.uuid(),
  name: z.string(),
  joinCode: z.string(),
  students: z.number(),
  assignments: z.number(),
  archived: z.boolean(),
});
export type ClassSummary = z.infer<typeof classSummarySchema>;

/** Where one student stands with one assignment. */
export const standingSchema = z.object({
  /** The attempt that counts, once one is in. */
  attemptId: z.uuid().nullable(),
  /** `notSet`: it is for others of the class. */
  state: z.enum(['notSet', 'notStarted', 'inWork', 'handedIn']),
  /** When it is due for this student, ISO; null where it is not set to them. */
  dueAt: z.iso.datetime().nullable(),
  /** Attempts that are in. */
  handedIn: z.number(),
  late: z.boolean(),
  /** Of the attempt that counts, what being late costs taken off. */
  points: z.number().nullable(),
  submittedAt: z.iso.datetime().nullable(),
});
export type Standing = z.infer<typeof standingSchema>;

export const classDetailSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  joinCode: z.string(),
  /** Students who have asked to join and are to be let in. */
  waiting: z.number(),
  /** Put away: its work can be read and nothing more be handed in. */
  archived: z.boolean(),
  rights: z.custom<Rights>(),
  houseRules: z.custom<HouseRules>(),
  /** The college's own lines, which take part in what is drilled. */
  ownLines: z.custom<Line[]>(),
  assignments: z.array(
    z.object({
      id: z.uuid(),
      title: z.string(),
      dueAt: z.iso.datetime(),
      max: z.number(),
      /** Per cent of the points from which an answer has passed. */
      passMark: z.number(),
      released: z.boolean(),
    }),
  ),
  students: z.array(
    z.object({ id: z.uuid(), name: z.string(), standings: z.record(z.uuid(), standingSchema) }),
  ),
});
export type ClassDetail = z.infer<typeof classDetailSchema>;
