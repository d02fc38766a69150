import { z } from 'zod';
import { LIGHTS } from '../../colour';
import {
  DIRECT_DYES,
  naturalLevelSchema,
  shareSchema,
  POROSITIES,
  DIAMETERS,
  HAIR_FORMS,
  levelSchema,
  historyLayerSchema,
} from '../../hair';
import { PRODUCT_KINDS, USUAL_HABITS, habitsSchema } from '../../process';

export const LAB_ZONES = ['root', 'mids', 'ends'] as const;
export type LabZone = (typeof LAB_ZONES)[number];

export const VIVIDS = DIRECT_DYES;
/** Longest the laboratory looks, minutes: past any time that is right, to see what is never rinsed. */
export const LAB_MINUTES = 120;
/** Longest it looks after the service: half a year. */
export const LAB_WEEKS = 26;
export const LAB_HEATS = ['none', 'whole', 'first', 'last'] as const;
export const MOST_COATS = 2;
export const MOST_PAST = 6;

const minuteSchema = z.number().int().min(0).max(LAB_MINUTES);
const startSchema = minuteSchema.nullable();

/** One thing put on, where and when. */
export const labCoatSchema = z
  .object({
    product: z.enum(PRODUCT_KINDS),
    shades: z.array(z.object({ label: z.string().max(12), parts: z.number().positive().max(20) })).max(3),
    vivid: z.enum(VIVIDS),
    fillsLevel: naturalLevelSchema,
    vol: z.number().min(0).max(40),
    ratio: z.number().min(0.5).max(3),
    /** Parts of water to one of the mix. */
    thinned: z.number().min(0).max(4),
    /** Against what the places need: 1 is all of it (R8). */
    amount: z.number().min(0.1).max(3),
    wet: z.boolean(),
    /** Conditioner in a lightener: a cleanse (P8). */
    conditioner: z.boolean(),
    /** Minute at which it goes on each zone; null leaves the zone alone. */
    starts: z.object({ root: startSchema, mids: startSchema, ends: startSchema }).strict(),
    /** Null: never. */
    rinseAt: minuteSchema.min(1).nullable(),
    /** Heat throughout, or for the first or last five minutes before the rinse (R4). */
    heat: z.enum(LAB_HEATS),
  })
  .strict();
export type LabCoat = z.infer<typeof labCoatSchema>;

/** One side of the laboratory: a head, what happened to it before, what is put on, where and when. */
export const sideSchema = z
  .object({
    natural: naturalLevelSchema,
    white: shareSchema,
    /** White strands that resist dye. */
    resistant: z.boolean(),
    porosity: z.enum(POROSITIES),
    endsPorosity: z.enum(POROSITIES),
    diameter: z.enum(DIAMETERS),
    form: z.enum(HAIR_FORMS),
    /** What was done before, oldest first. */
    past: z.array(historyLayerSchema).max(MOST_PAST),
    /** Whether that reaches the root, or has grown out. */
    pastAtRoot: z.boolean(),
    coats: z.array(labCoatSchema).min(1).max(MOST_COATS),
    /** How it is treated in the weeks after; links from before there were weeks have none. */
    habits: habitsSchema.default(USUAL_HABITS),
  })
  .strict();
export type Side = z.infer<typeof sideSchema>;

export const labSchema = z
  .object({
    a: sideSchema,
    b: sideSchema,
    light: z.enum(LIGHTS),
    minute: minuteSchema,
    /** Weeks after the hair was rinsed at the minute. */
    weeks: z.number().int().min(0).max(LAB_WEEKS).default(0),
  })
  .strict();
export type LabState = z.infer<typeof labSchema>;

/** A side as links held it while there was one product and one line of history. */
const earlierSideSchema = z.object({
  history: z.enum(['untouched', 'lightened', 'coloured']),
  historyLevel: levelSchema,
  historyAtRoot: z.boolean(),
  heat: z.boolean(),
});

function fromEarlierSide(value: unknown): unknown {
  const earlier = earlierSideSchema.safeParse(value);
  if (!earlier.success) return value;
  const { history, historyLevel: level, historyAtRoot, heat } = earlier.data;
  const old = value as Record<string, unknown>;
  const past =
    history === 'untouched'
      ? []
      : history === 'lightened'
        ? [{ kind: 'lightened', level }]
        : [{ kind: 'permanent', level, tone: { primary: 'neutral' } }];
  const { product, shades, vivid, fillsLevel, vol, ratio, starts, rinseAt } = old;
  const { natural, white, porosity, endsPorosity, diameter, form } = old;
  return {
    ...{ natural, white, porosity, endsPorosity, diameter, form },
    resistant: false,
    past,
    pastAtRoot: historyAtRoot,
    coats: [
      {
        ...{ product, shades, vivid, fillsLevel, vol, ratio, starts, rinseAt },
        thinned: 0,
        amount: 1,
        wet: false,
        conditioner: false,
        heat: heat ? 'whole' : 'none',
      },
    ],
  };
}

/** A state from outside, of today's form or of the one before it; null when it is neither. */
export function readLab(value: unknown): LabState | null {
  const now = labSchema.safeParse(value);
  if (now.success) return now.data;
  if (value === null || typeof value !== 'object') return null;
  const { a, b, ...rest } = value as Record<string, unknown>;
  const earlier = labSchema.safeParse({ ...rest, a: fromEarlierSide(a), b: fromEarlierSide(b) });
  return earlier.success ? earlier.data : null;
}
