import { z } from 'zod';
import { toneSchema } from '../colour';
import { levelSchema, shareSchema } from './areas';
import { DIRECT_DYES } from './dye';

/** Treatments that give something back between services, or after one. */
export const TREATMENTS = ['moisture', 'bond', 'protein'] as const;
export type Treatment = (typeof TREATMENTS)[number];

/** Bared yellow that lightening left: bright needs the whole dose of violet, creamy a third (U5). */
export const YELLOWS = { usual: 1, creamy: 0.33, bright: 1.35 } as const;
export type Yellow = keyof typeof YELLOWS;
const YELLOW_NAMES = Object.keys(YELLOWS) as [Yellow, ...Yellow[]];

/** Kinds of oxidative colour that hair may have had before. */
export const HISTORY_COLOURS = ['permanent', 'demi', 'acidGloss'] as const;
export const HISTORY_KINDS = [
  'lightened',
  ...HISTORY_COLOURS,
  'direct',
  'treated',
  'chemical',
  'mineral',
] as const;

/** Chemical services that reshape hair: hydroxide relaxer, thio relaxer or perm, keratin smoothing (C10). */
export const CHEMICAL_SERVICES = ['hydroxideRelaxer', 'perm', 'smoothing'] as const;
export type ChemicalService = (typeof CHEMICAL_SERVICES)[number];

/** One thing that was done to hair before. */
export const historyLayerSchema = z.discriminatedUnion('kind', [
  /** Lightened to a level. */
  z
    .object({ kind: z.literal('lightened'), level: levelSchema, yellow: z.enum(YELLOW_NAMES).optional() })
    .strict(),
  /** Oxidative colour. Of permanent colour the level is the one seen today; of low-strength colour the one used. */
  z
    .object({
      kind: z.enum(HISTORY_COLOURS),
      level: levelSchema,
      tone: toneSchema,
      /** How often, one over the other; 1 when left out. */
      times: z.number().int().min(1).max(12).optional(),
      /** Fraction 0–1 of the dye that has gone since. */
      faded: shareSchema.optional(),
      /** Fraction 0–1 that has sat so long that it hardly leaves (P7). */
      held: shareSchema.optional(),
    })
    .strict(),
  /** Ready-made vivid dye. */
  z
    .object({
      kind: z.literal('direct'),
      dye: z.enum(DIRECT_DYES),
      faded: shareSchema.optional(),
      held: shareSchema.optional(),
    })
    .strict(),
  z.object({ kind: z.literal('treated'), treatment: z.enum(TREATMENTS) }).strict(),
  /** Reshaped, so many weeks ago (C10). */
  z
    .object({
      kind: z.literal('chemical'),
      service: z.enum(CHEMICAL_SERVICES),
      weeksAgo: z.number().int().min(0).max(520),
    })
    .strict(),
  /** Copper and other minerals of well or pool water; 1 is hair that is plainly green (C10). */
  z.object({ kind: z.literal('mineral'), amount: shareSchema }).strict(),
]);
export type HistoryLayer = z.infer<typeof historyLayerSchema>;
