import { z } from 'zod';

export const PRODUCT_KINDS = [
  'permanent',
  'express',
  'highLift',
  'demi',
  'acidGloss',
  'direct',
  'lightenerStrong',
  'lightenerGentle',
  'remover',
  'filler',
] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];

/** Dose is the logarithm of how many times less brown-black is left: 0.69 halves it. */
const curveSchema = z
  .array(z.object({ vol: z.number(), dose: z.number().min(0), tauMinutes: z.number().positive() }))
  .min(1);

export const productSchema = z
  .object({
    kind: z.enum(PRODUCT_KINDS),
    /** Most dose at each strength, and the minutes after which 63 % of it is done; between rows linear. */
    lift: curveSchema.nullable(),
    /** Dose below which nothing is lifted, for products that need lighter hair to begin with (natural level 6 and up). */
    liftsFromLevel: z.number().nullable(),
    /** Dye formed with time: minutes to 63 %, and the full time at which it counts as whole. */
    dye: z
      .object({ tauMinutes: z.number().positive(), fullMinutes: z.number().positive(), strength: z.number() })
      .nullable(),
    /** Coverage of white strands 0–1 by fashion shades; the natural series adds to it. */
    coversWhite: z.number().min(0).max(1),
    /** Share of the dose that takes out oxidative and direct dye. */
    takesOxidative: z.number().min(0),
    takesDirect: z.number().min(0),
    /** Damage for a dose of 1 at 20 vol, before the strength's own factor. */
    damagePerDose: z.number().min(0),
    /** Lightener works while it is moist: full strength until, then dying away over. */
    driesAfterMinutes: z.number().nullable(),
    source: z.string(),
  })
  .strict();
export type Product = z.infer<typeof productSchema>;

const none = { liftsFromLevel: null, takesOxidative: 0, takesDirect: 0, driesAfterMinutes: null };

export const PRODUCTS: Record<ProductKind, Product> = {
  permanent: {
    ...none,
    kind: 'permanent',
    lift: [
      { vol: 0, dose: 0, tauMinutes: 14 },
      { vol: 10, dose: 0.18, tauMinutes: 14 },
      { vol: 20, dose: 1.22, tauMinutes: 13 },
      { vol: 30, dose: 1.57, tauMinutes: 12 },
      { vol: 40, dose: 1.84, tauMinutes: 10 },
    ],
    dye: { tauMinutes: 16, fullMinutes: 35, strength: 1 },
    coversWhite: 0.42,
    damagePerDose: 0.06,
    source: 'Lift fitted to H3 (handbook D2); dye time to section 6; coverage of white to H11.',
  },
  express: {
    ...none,
    kind: 'express',
    lift: [
      { vol: 0, dose: 0, tauMinutes: 5 },
      { vol: 10, dose: 0.1, tauMinutes: 5 },
      { vol: 20, dose: 0.6, tauMinutes: 4 },
      { vol: 30, dose: 0.75, tauMinutes: 4 },
    ],
    dye: { tauMinutes: 4.5, fullMinutes: 10, strength: 1 },
    coversWhite: 0.42,
    damagePerDose: 0.09,
    source: 'As permanent, in ten minutes and up to two levels (section 6).',
  },
  highLift: {
    ...none,
    kind: 'highLift',
    lift: [
      { vol: 0, dose: 0, tauMinutes: 18 },
      { vol: 20, dose: 0.9, tauMinutes: 18 },
      { vol: 30, dose: 1.65, tauMinutes: 17 },
      { vol: 40, dose: 2.1, tauMinutes: 15 },
    ],
    liftsFromLevel: 6,
    dye: { tauMinutes: 20, fullMinutes: 50, strength: 0.75 },
    coversWhite: 0.2,
    damagePerDose: 0.09,
    source: 'Three to five levels from natural level 6 (section 6, D2).',
  },
  demi: {
    ...none,
    kind: 'demi',
    lift: [
      { vol: 0, dose: 0, tauMinutes: 15 },
      { vol: 10, dose: 0.03, tauMinutes: 15 },
    ],
    dye: { tauMinutes: 9, fullMinutes: 20, strength: 1.07 },
    coversWhite: 0.42,
    damagePerDose: 0.03,
    source: 'A slight shift at most; blends grey up to half (section 6).',
  },
  acidGloss: {
    ...none,
    kind: 'acidGloss',
    lift: null,
    dye: { tauMinutes: 8, fullMinutes: 20, strength: 0.85 },
    coversWhite: 0.15,
    damagePerDose: 0,
    source: 'No lift, no cover (section 6).',
  },
  direct: {
    ...none,
    kind: 'direct',
    lift: null,
    dye: { tauMinutes: 10, fullMinutes: 30, strength: 1 },
    coversWhite: 0.6,
    damagePerDose: 0,
    source: 'Stains, without developer (section 6).',
  },
  lightenerStrong: {
    ...none,
    kind: 'lightenerStrong',
    lift: [
      { vol: 0, dose: 0.5, tauMinutes: 30 },
      { vol: 10, dose: 1.75, tauMinutes: 24 },
      { vol: 20, dose: 2.1, tauMinutes: 18 },
      { vol: 30, dose: 2.35, tauMinutes: 14 },
      { vol: 40, dose: 2.4, tauMinutes: 10.5 },
    ],
    dye: null,
    coversWhite: 0,
    takesOxidative: 0.9,
    takesDirect: 0.4,
    damagePerDose: 0.1,
    driesAfterMinutes: 48,
    source: 'Fitted to H5 and H6 (handbook D3, P4): strength sets the pace more than the end.',
  },
  lightenerGentle: {
    ...none,
    kind: 'lightenerGentle',
    lift: [
      { vol: 0, dose: 0.3, tauMinutes: 34 },
      { vol: 10, dose: 1, tauMinutes: 28 },
      { vol: 20, dose: 1.35, tauMinutes: 22 },
      { vol: 30, dose: 1.57, tauMinutes: 17 },
      { vol: 40, dose: 1.55, tauMinutes: 13 },
    ],
    dye: null,
    coversWhite: 0,
    takesOxidative: 0.5,
    takesDirect: 0.25,
    damagePerDose: 0.08,
    driesAfterMinutes: 48,
    source: 'Up to four or five levels (section 6, P3).',
  },
  remover: {
    ...none,
    kind: 'remover',
    lift: [{ vol: 0, dose: 1, tauMinutes: 10 }],
    dye: null,
    coversWhite: 0,
    takesOxidative: 2.2,
    takesDirect: 0.7,
    damagePerDose: 0.03,
    source: 'Takes oxidative dye out, vivid dye in part, natural pigment not at all (section 6, P2).',
  },
  filler: {
    ...none,
    kind: 'filler',
    lift: null,
    dye: { tauMinutes: 6, fullMinutes: 15, strength: 1 },
    coversWhite: 0.5,
    damagePerDose: 0,
    source: 'Puts the underlying pigment of the target level back (F6).',
  },
};

/** Stirred into any mix: lessens damage, adds no lift and asks for a longer time (F12). Shares by judgement. */
export const BOND_ADDITIVE = { damage: 0.55, pace: 0.9 };

/** Dose and pace at a strength, linear between the rows of the product's table and flat beyond them. */
export function liftCurve({ lift }: Product, vol: number): { dose: number; tauMinutes: number } {
  if (!lift) return { dose: 0, tauMinutes: 10 };
  const above = lift.findIndex((row) => row.vol >= vol);
  if (above === 0) return lift[0];
  if (above < 0) return lift[lift.length - 1];
  const [a, b] = [lift[above - 1], lift[above]];
  const t = (vol - a.vol) / (b.vol - a.vol);
  return {
    dose: a.dose + t * (b.dose - a.dose),
    tauMinutes: a.tauMinutes + t * (b.tauMinutes - a.tauMinutes),
  };
}
