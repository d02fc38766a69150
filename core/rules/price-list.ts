import { z } from 'zod';
import type { Line, LineKind } from '../product';

/** An amount of money in the currency of the list: 0 to 100,000, in whole or hundredth units. */
const money = z.number().min(0).max(100_000);
const minutes = z.number().int().min(0).max(180);

/** What a school reckons with when it says what a service costs: its own figures in its own currency. */
export const priceListSchema = z
  .object({
    /** Currency by its three letters, as ISO 4217 has them. */
    currency: z.string().regex(/^[A-Z]{3}$/),
    /** An hour in the chair. */
    hour: money,
    /** A tube or tub of a line, by the id of the line; what is not named costs as its kind does in `SAMPLE_PER_100`. */
    packs: z.record(z.string().min(1).max(60), money),
    /** A litre of developer or processing liquid. */
    developerLitre: money,
    /** A hundred grams of what is added to protect bonds. */
    additive100: money,
    /** What every appointment takes besides: cape, gloves, foils, care at the basin. */
    sundries: money,
    /** Minutes before the first bowl goes on: consultation, tests looked at, mixing. */
    beforeMinutes: minutes,
    /** Minutes after the last rinse: care, drying, looking at it together. */
    afterMinutes: minutes,
  })
  .strict();
export type PriceList = z.infer<typeof priceListSchema>;

/** Prices that a school begins with until it has typed in its own; invented. */
export const SAMPLE_PRICES: PriceList = {
  currency: 'EUR',
  hour: 48,
  packs: {},
  developerLitre: 9,
  additive100: 24,
  sundries: 2.5,
  beforeMinutes: 15,
  afterMinutes: 25,
};
/** Price of 100 g of a kind of product, in a list that names no tube of its line; invented. */
export const SAMPLE_PER_100: Record<LineKind, number> = {
  permanent: 13,
  express: 14.5,
  demi: 15,
  acidGloss: 17,
  direct: 12,
  lightenerStrong: 6.5,
  lightenerGentle: 8,
  remover: 11,
  filler: 10,
};

/** Price of a tube or tub of a line. */
export const packPrice = (
  { id, kind, tubeGrams }: Pick<Line, 'id' | 'kind' | 'tubeGrams'>,
  { packs }: Pick<PriceList, 'packs'>,
): number => packs[id] ?? inHundredths((SAMPLE_PER_100[kind] * tubeGrams) / 100);

/** An amount of money to the hundredth. */
export const inHundredths = (amount: number): number => Math.round(amount * 100) / 100;

/** The price list of a class: its own, or the sample. */
export const priceListOf = ({ priceList }: { priceList?: PriceList }): PriceList =>
  priceList ?? SAMPLE_PRICES;
