import { z } from 'zod';
import { TONE_FAMILIES } from '../colour';

/** What kind of product a line is decides whether it lifts natural hair and covers grey. */
export const LINE_KINDS = ['permanent', 'demi'] as const;

/**
 * A line of colour as its maker would print it: the key to its signs, its shades by label, its developers or
 * processing liquids, ratios and times. Everything that differs between makers is here, nothing is assumed (T2).
 */
export const lineSchema = z
  .object({
    id: z.string().min(1),
    version: z.number().int().positive(),
    name: z.string().min(1),
    kind: z.enum(LINE_KINDS),
    key: z.object({
      separator: z.string().min(1).max(1),
      /** sign → family. One character each; a doubled sign is the intense version, a doubled neutral extra pigment. */
      signs: z.record(z.string().length(1), z.enum(TONE_FAMILIES)),
      /** Label of the shade without pigment, when the line has one. */
      clear: z.string().optional(),
    }),
    shades: z.array(z.string()).min(1),
    /** Strengths sold with the line, in volumes; for a demi line its own processing liquids. */
    developersVol: z.array(z.number().positive().max(40)).min(1),
    /** Developer parts to one part of colour that the directions allow; the first is the standard. */
    ratios: z.array(z.number().positive()).min(1),
    minutes: z.object({ standard: z.number().positive(), grey: z.number().positive() }),
    activeMinutes: z.number().positive(),
    mayDilute: z.boolean(),
    timerStarts: z.enum(['endOfApplication', 'firstContact']),
    tubeGrams: z.number().positive(),
  })
  .strict();
export type Line = z.infer<typeof lineSchema>;
