import { z } from 'zod';
import { toneSchema, toneLab, type Lab } from '../colour';
import { levelSchema, DIRECT_DYES, type DirectDye, labOfStrand, lightenedStrand } from '../hair';
import { VIVID_LOAD, strandUnder } from '../process';

/** What is wished of white strands: gone, less of them, or left alone (F8, F13). */
export const GREY_WISHES = ['cover', 'blend', 'leave'] as const;
export type GreyWish = (typeof GREY_WISHES)[number];

/**
 * What a zone is to look like. `vivid` is a ready-made dye over hair of the level; its tone is then the dye's own.
 * White strands are covered unless `grey` says otherwise.
 */
export const targetSchema = z
  .object({
    level: levelSchema,
    tone: toneSchema,
    vivid: z.enum(DIRECT_DYES).optional(),
    grey: z.enum(GREY_WISHES).optional(),
    /** The colour stays as it is, and is to shine. */
    shine: z.boolean().optional(),
  })
  .strict();
export type Target = z.infer<typeof targetSchema>;

/** Minutes after which a direct dye counts as taken. */
export const VIVID_MINUTES = 25;
/** A ready-made dye as the hair model takes it. */
export const vividMix = (dye: DirectDye) => ({
  product: 'direct' as const,
  shades: [],
  vivid: { [dye]: VIVID_LOAD },
  developerVol: 0,
  ratio: 1,
});

/** Colour a target is drawn in and measured against, daylight. */
export function targetLab({ level, tone, vivid }: Target): Lab {
  if (!vivid) return toneLab(level, tone);
  return labOfStrand(strandUnder({ mix: vividMix(vivid) }, lightenedStrand(level), VIVID_MINUTES));
}
