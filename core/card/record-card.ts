import { z } from 'zod';
import { CONSULTATION_QUESTIONS, TESTS } from '../case';
import { PLACE_IDS, ZONES, MOST_REGIONS, TREATMENTS, AREAS, levelSchema, shareSchema } from '../hair';
import { WASH_KINDS } from '../process';
import { TAKEN_AS, WASHES, UNDERLAYS, COUNTERS } from '../rules';

/** Cool water after colour, lukewarm elsewhere; hot water swells hair and takes dye along. */
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

export const DECISIONS = ['goOn', 'decline'] as const;
/** Openly, in foils, or between foils that are in: then what is in them is not reached (A6). */
export const PLACEMENTS = ['open', 'foils', 'between'] as const;
export const ENDINGS = ['rinse', 'stay'] as const;
/** What a product is watched for: lightener for a level, a toner for a tone, a cleanse or remover until nothing moves (R2, P8). */
export const WATCHED_FOR = ['level', 'tone', 'noChange'] as const;
export type WatchedFor = (typeof WATCHED_FOR)[number];
/** How the client and the place of work are made ready (C3). */
export const STATION = ['towelsAndCape', 'gloves', 'barrierCream', 'noMetal'] as const;
export type StationItem = (typeof STATION)[number];
/** What keeps the work at home. */
export const AFTERCARES = [
  'gentleWash',
  'violetCare',
  'blueCare',
  'heatProtection',
  'weeklyTreatment',
  'coolWater',
] as const;

export type Aftercare = (typeof AFTERCARES)[number];

const grams = z.number().min(0).max(2000);
const pouredSchema = z.object({ vol: z.number().min(0).max(40), grams }).strict();

/** What else goes into a bowl beside colour and developer: it thins (water, shampoo) or slows (conditioner) the mix. */
export const BOWL_ADDITIONS = ['shampoo', 'conditioner'] as const;
export type BowlAddition = (typeof BOWL_ADDITIONS)[number];

/** Most shades and correctors in one bowl: a base, its counter and traces of what the eye still misses. */
export const MOST_SHADES = 8;

/** A bowl as weighed. Grams are what is graded; parts follow from them. */
export const bowlSchema = z
  .object({
    /** A letter on the card. */
    name: z.string().min(1).max(4),
    lineId: z.string().min(1).max(60).nullable(),
    shades: z.array(z.object({ label: z.string().min(1).max(20), grams }).strict()).max(MOST_SHADES),
    /** Powder, or a remover's colour part: grams of a product without shades. */
    productGrams: grams,
    /** 0 vol is water. */
    developer: z.array(pouredSchema).max(3),
    additive: z.boolean(),
    others: z
      .array(z.object({ kind: z.enum(BOWL_ADDITIONS), grams }).strict())
      .max(BOWL_ADDITIONS.length)
      .optional(),
    /** Begun from what is left of another bowl: so much of it. What is weighed beside it thins it (A1). */
    from: z
      .object({ bowl: z.string().min(1).max(4), grams })
      .strict()
      .optional(),
  })
  .strict();
export type Bowl = z.infer<typeof bowlSchema>;

/** A bowl put on named places. Minutes count from the start of the service and to the rinse. */
export const applicationSchema = z
  .object({
    bowl: z.string().min(1).max(4),
    zones: z
      .array(z.enum(PLACE_IDS))
      .min(1)
      .max(ZONES.length * MOST_REGIONS),
    placement: z.enum(PLACEMENTS),
    /** Share of the hair covered: what is woven out, or what is left between; 1 is all of it. */
    share: z.number().min(0.1).max(1),
    /** How that share is taken (A6); left out where all of the hair is, or where it is left open. */
    taken: z.enum(TAKEN_AS).optional(),
    /** Areas in the order they are worked (A4); one may come again at the end, as the hairline does over grey. */
    areas: z
      .array(z.enum(AREAS))
      .min(1)
      .max(2 * AREAS.length),
    /** Stops at the line where the old colour begins. */
    stopsAtLine: z.boolean(),
    wet: z.boolean(),
    start: z.number().int().min(0).max(300),
    minutes: z.number().int().min(1).max(240),
    /** Added heat, in minutes of the step; null is none (R4). */
    heat: z
      .object({ from: z.number().int().min(0).max(240), to: z.number().int().min(1).max(240) })
      .strict()
      .refine(({ from, to }) => from < to, { path: ['to'] })
      .nullable(),
    /** A strand is wiped every so many minutes; null is not at all. */
    checkEvery: z.number().int().min(1).max(60).nullable(),
    /** Or at these minutes of the step. */
    checkAt: z.array(z.number().int().min(1).max(240)).max(12).optional(),
    /** What the checks look for (R2). */
    watchedFor: z.enum(WATCHED_FOR).optional(),
    /** Level at which a product that is watched for one comes off; the wish of the place where it is left out (R2). */
    untilLevel: levelSchema.optional(),
    /** Minutes it takes to put on, area by area; the last area lies so much shorter (A4). Left out where it was not timed. */
    takesMinutes: z.number().int().min(0).max(90).optional(),
    /** Thickness of the partings, mm (A4). */
    partingMm: z.number().int().min(2).max(40).optional(),
    ends: z.enum(ENDINGS),
  })
  .strict();
export type Application = z.infer<typeof applicationSchema>;

export const zoneReadingSchema = z
  .object({
    level: levelSchema.nullable(),
    greyShare: shareSchema.nullable(),
    underlay: z.enum(UNDERLAYS).nullable(),
    counter: z.enum([...COUNTERS, 'keep']).nullable(),
  })
  .strict();
export type ZoneReading = z.infer<typeof zoneReadingSchema>;
export const NO_READING: ZoneReading = { level: null, greyShare: null, underlay: null, counter: null };

/** What the client is told of this appointment before it begins (C11). */
export const quoteSchema = z
  .object({
    /** In the currency of the school; null while it is open. */
    price: z.number().min(0).max(100_000).nullable(),
    /** Minutes in the chair, from the first word to the dried hair; null while it is open. */
    minutes: z.number().int().min(0).max(900).nullable(),
  })
  .strict();
export type Quote = z.infer<typeof quoteSchema>;

/** What a colourist would write on the card for one visit. Everything may still be open. */
export const recordCardSchema = z
  .object({
    readings: z.partialRecord(z.enum(PLACE_IDS), zoneReadingSchema),
    asked: z.array(z.enum(CONSULTATION_QUESTIONS)),
    tests: z.array(z.enum(TESTS)),
    /** What was made ready before anything is mixed, where the case opens it. */
    station: z.array(z.enum(STATION)).optional(),
    decision: z.enum(DECISIONS).nullable(),
    /** Visits the client is told of; this card is the first. */
    visits: z.number().int().min(1).max(8).nullable(),
    bowls: z.array(bowlSchema).max(8),
    /** What is done with the hair before the first bowl. */
    wash: z.enum(WASHES).nullable().default(null),
    steps: z.array(applicationSchema).max(16),
    /** What is done to hair beside the bowls. */
    care: z.array(careSchema).max(MOST_CARE).default([]),
    aftercare: z.array(z.enum(AFTERCARES)),
    nextVisitWeeks: z.number().int().min(1).max(26).nullable(),
    /** What the client is told it costs, where the case asks for it. */
    quote: quoteSchema.optional(),
  })
  .strict();
export type RecordCard = z.infer<typeof recordCardSchema>;
/** What of a card happens on the hair. */
export type HairWork = Pick<RecordCard, 'bowls' | 'steps' | 'care'>;

export const EMPTY_CARD: RecordCard = {
  readings: {},
  asked: [],
  tests: [],
  decision: null,
  visits: null,
  bowls: [],
  wash: null,
  steps: [],
  care: [],
  aftercare: [],
  nextVisitWeeks: null,
};
