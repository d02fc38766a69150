import { z } from 'zod';
import { LIGHTS } from '../colour';
import { DIAMETERS, POROSITIES, levelSchema, naturalLevelSchema, shareSchema } from '../hair';
import { PRODUCT_KINDS } from '../process';
import { DIRECT_DYES } from '../shades';
import { HAIR_FORMS } from '../tress';

export const LAB_ZONES = ['root', 'mids', 'ends'] as const;
export type LabZone = (typeof LAB_ZONES)[number];

export const HISTORIES = ['untouched', 'lightened', 'coloured'] as const;
export const VIVIDS = DIRECT_DYES;

const startSchema = z.number().int().min(0).max(90).nullable();

/** One side of the laboratory: a head, what happened to it before, what is put on, where and when. */
export const sideSchema = z.object({
  natural: naturalLevelSchema,
  white: shareSchema,
  porosity: z.enum(POROSITIES),
  endsPorosity: z.enum(POROSITIES),
  diameter: z.enum(DIAMETERS),
  form: z.enum(HAIR_FORMS),
  history: z.enum(HISTORIES),
  /** Level that the history left behind; not used on untouched hair. */
  historyLevel: levelSchema,
  /** Whether the history reaches the root, or left it to grow out. */
  historyAtRoot: z.boolean(),
  product: z.enum(PRODUCT_KINDS),
  shades: z.array(z.object({ label: z.string().max(12), parts: z.number().positive().max(20) })).max(3),
  vivid: z.enum(VIVIDS),
  fillsLevel: naturalLevelSchema,
  vol: z.number().min(0).max(40),
  ratio: z.number().min(0.5).max(3),
  /** Minute at which the mix goes on each zone; null leaves the zone alone. */
  starts: z.object({ root: startSchema, mids: startSchema, ends: startSchema }),
  rinseAt: z.number().int().min(1).max(90),
  heat: z.boolean(),
});
export type Side = z.infer<typeof sideSchema>;

export const labSchema = z.object({
  a: sideSchema,
  b: sideSchema,
  light: z.enum(LIGHTS),
  minute: z.number().int().min(0).max(90),
});
export type LabState = z.infer<typeof labSchema>;
