import { z } from 'zod';
import { TREATMENTS, WASH_KINDS } from '../process';
import { MOST_REGIONS, PLACE_IDS, ZONES } from './head';

/** Cool water after colour, lukewarm elsewhere; hot water swells hair and takes dye along (section 14). */
export const RINSE_WATER = ['cool', 'lukewarm', 'warm'] as const;

const places = z
  .array(z.enum(PLACE_IDS))
  .min(1)
  .max(ZONES.length * MOST_REGIONS);
/** Minutes from the start of the service. */
const start = z.number().int().min(0).max(300);

/**
 * What is done to hair beside putting a bowl on it, at a minute of the service. Washing, treating and sealing are done on
 * hair that is rinsed: what lies on it comes off.
 */
export const careSchema = z.discriminatedUnion('do', [
  /** Cream, oil or conditioner on hair that is to be spared: the joint of two products, lightened lengths (C5). */
  z.object({ do: z.literal('protect'), zones: places, start }).strict(),
  /** A wash, gentle or clarifying, so many times over (R5, C6). */
  z
    .object({
      do: z.literal('wash'),
      zones: places,
      start,
      how: z.enum(WASH_KINDS),
      times: z.number().int().min(1).max(3),
    })
    .strict(),
  /** A treatment of the salon (C1). */
  z.object({ do: z.literal('treat'), zones: places, start, treatment: z.enum(TREATMENTS) }).strict(),
  /** An acid rinse or sealer, which lies the surface flat (R5). */
  z.object({ do: z.literal('seal'), zones: places, start }).strict(),
  /** Water worked through what lies there, and on to hair beside it that is only to be refreshed (A1). */
  z.object({ do: z.literal('emulsify'), zones: places, start }).strict(),
  /** Some places rinsed before the rest, or what was left in. */
  z.object({ do: z.literal('rinse'), zones: places, start, water: z.enum(RINSE_WATER) }).strict(),
  /** Two colours worked into one another where they meet, so that no line shows (F10). */
  z.object({ do: z.literal('melt'), zones: places.length(2), start }).strict(),
]);
export type CareStep = z.infer<typeof careSchema>;
export type CareKind = CareStep['do'];
export const CARE_KINDS = [
  'protect',
  'emulsify',
  'rinse',
  'wash',
  'treat',
  'seal',
  'melt',
] as const satisfies readonly CareKind[];
/** Most of them on a card. */
export const MOST_CARE = 16;
