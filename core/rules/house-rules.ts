import { z } from 'zod';
import { LEVEL_SCALES } from '../colour';
import { ceilingsSchema } from './ceilings';
import { priceListSchema } from './price-list';

/**
 * The points on which good schools differ and that the theory in use here depends on. An educator sets them for a
 * class; the first of each list is the default. Every grade names the ones it rested on.
 */
export const houseRulesSchema = z
  .object({
    levelScale: z.enum(LEVEL_SCALES).default('ten'),
    underlay: z.enum(['fine', 'coarse']).default('fine'),
    liftByColour: z.enum(['targetLevel', 'counterbalance']).default('targetLevel'),
    greyShare: z.enum(['stepped', 'oneToTwo']).default('stepped'),
    resistantGrey: z.enum(['max20', 'max30']).default('max20'),
    liftByColourLimit: z.enum(['two', 'three']).default('two'),
    tonerDepth: z.enum(['sameLevel', 'sameOrDeeper']).default('sameLevel'),
    tonerProduct: z.enum(['lowStrength', 'permanentAllowed']).default('lowStrength'),
    lightenerOnScalp: z.enum(['max20', 'max30']).default('max20'),
    tenVolLightener: z.enum(['allowed', 'notAllowed']).default('allowed'),
    fortyVolLightener: z.enum(['never', 'offScalp', 'always']).default('never'),
    diluteDeveloper: z.enum(['ifLinePermits', 'always', 'never']).default('ifLinePermits'),
    timerStarts: z.enum(['endOfApplication', 'firstContact']).default('endOfApplication'),
    preServiceWash: z.enum(['unwashed', 'lineDecides']).default('unwashed'),
    endsRefresh: z.enum(['gloss', 'diluteLeftover', 'waterEmulsify']).default('gloss'),
    units: z.enum(['grams', 'flOz']).default('grams'),
    /** Half-width of "exact" when minutes are marked. */
    minutesTolerance: z.number().min(0).max(10).default(2),
    /** Grams by which a weighed item may be off and still be exact; 3 % of it where that is more (M4). */
    weighingTolerance: z.number().min(0.5).max(10).default(2),
    /** Per cent of the points from which an answer has passed. */
    passMark: z.number().int().min(1).max(100).default(75),
    /** How far the head a plan leaves, and wrong crucial decisions, hold its mark down. */
    ceilings: ceilingsSchema,
    /** What the school reckons costs with; the sample prices where it is left out. */
    priceList: priceListSchema.optional(),
  })
  .strict();
export type HouseRules = z.infer<typeof houseRulesSchema>;
/** Rules that are figures rather than a choice between schools: how marks are given, never what is right. */
export const HOUSE_FIGURES = ['minutesTolerance', 'weighingTolerance', 'passMark', 'ceilings'] as const;
/** What marks are given by: tolerances, pass mark and ceilings. */
export const figuresSchema = houseRulesSchema.pick({
  minutesTolerance: true,
  weighingTolerance: true,
  passMark: true,
  ceilings: true,
});
export type HouseFigures = z.infer<typeof figuresSchema>;
/** The figures of a class. */
export const figuresOf = ({
  minutesTolerance,
  weighingTolerance,
  passMark,
  ceilings,
}: HouseRules): HouseFigures => ({ minutesTolerance, weighingTolerance, passMark, ceilings });
/** Whether so many points of so many are a pass in a class. */
export const hasPassed = (points: number, max: number, { passMark }: Pick<HouseRules, 'passMark'>): boolean =>
  max > 0 && points * 100 >= passMark * max;

export type HouseRule = Exclude<keyof HouseRules, (typeof HOUSE_FIGURES)[number] | 'priceList'>;

export const DEFAULT_HOUSE_RULES: HouseRules = houseRulesSchema.parse({});

/** A house rule that a result rested on, and how the class has it. */
export interface HouseRuleUse {
  /** Id of the handbook’s rule. */
  rule: HouseRule;
  /** Which of its choices, by name. */
  choice: string;
}
