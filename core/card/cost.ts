import type { Head } from '../hair';
import type { Line } from '../product';
import { type PriceList, RINSE_MINUTES, inHundredths, packPrice } from '../rules';
import { gramsFor } from './amount';
import { bowlGrams, complete } from './bowl';
import type { HairWork, Quote } from './record-card';
import { type LineOf, lastMinute } from './steps';

/** What of one shade, or of a product without shades, a card weighs out. */
export interface WeighedOut {
  /** Line it is of, by id. */
  lineId: string;
  /** Label of the shade; null for powder, remover and the like. */
  label: string | null;
  /** Grams over all bowls. */
  grams: number;
  /** Tubes or tubs that have to be there, whole. */
  packs: number;
  /** Price of the grams. */
  price: number;
  /** Price of the whole tubes. */
  packsPrice: number;
}

/** One bowl: what was mixed, what the hair takes of it, and what it costs. */
export interface BowlCost {
  /** Its letter. */
  name: string;
  /** Grams of all that is in it. */
  mixedGrams: number;
  /** Most grams that the hair it goes on takes (M2); 0 for a bowl that goes nowhere. */
  neededGrams: number;
  /** Grams beyond that. */
  wasteGrams: number;
  /** Price of what is in it. */
  price: number;
}

/** What an appointment costs, in the currency of the price list. */
export interface ServiceCost {
  /** By line and shade. */
  products: WeighedOut[];
  /** In the order of the card. */
  bowls: BowlCost[];
  /** Grams of developer, without water. */
  developerGrams: number;
  /** Price of it. */
  developerPrice: number;
  /** Grams of what protects bonds. */
  additiveGrams: number;
  /** Price of it. */
  additivePrice: number;
  /** Price of all that is weighed out, by the gram. */
  productPrice: number;
  /** Price of the part of it that the hair does not take. */
  wastePrice: number;
  /** Price of the tubes that have to be there, with developer and additive. */
  openedPrice: number;
  /** Minutes in the chair, from the first word to the dried hair. */
  chairMinutes: number;
  /** Price of those minutes. */
  chairPrice: number;
  /** What every appointment takes besides. */
  sundries: number;
  /** Chair, product by the gram and sundries, to the hundredth. */
  total: number;
}

const MINUTES_AN_HOUR = 60;
/** Price of so many minutes in the chair. */
export const chairPriceOf = (minutes: number, { hour }: Pick<PriceList, 'hour'>): number =>
  inHundredths((minutes / MINUTES_AN_HOUR) * hour);

/** Minutes in the chair for so many minutes of work on the hair; a service that does nothing is talked over all the same. */
export const chairMinutesOf = (
  minutes: number,
  { beforeMinutes, afterMinutes }: Pick<PriceList, 'beforeMinutes' | 'afterMinutes'>,
): number => (minutes > 0 ? beforeMinutes + minutes + RINSE_MINUTES + afterMinutes : beforeMinutes);

/**
 * What a card costs on its head: what is weighed out by the gram (developer and litre taken as 1 g to 1 ml, M3), tubes
 * opened whole, what the hair does not take, minutes in the chair. A bowl of a line that is not at hand costs its developer.
 */
export function costOfCard(head: Head, written: HairWork, lineOf: LineOf, prices: PriceList): ServiceCost {
  const { bowls, steps, care } = complete(written);
  const weighed = new Map<string, { line: Line; label: string | null; grams: number }>();
  const priceOfGrams = (line: Line, grams: number) => (grams / line.tubeGrams) * packPrice(line, prices);
  const developerPriceOf = (grams: number) => (grams / 1000) * prices.developerLitre;
  const additivePriceOf = (grams: number) => (grams / 100) * prices.additive100;
  let [developerGrams, additiveGrams] = [0, 0];
  const bowlCosts = bowls.map((bowl): BowlCost => {
    const line = bowl.lineId === null ? undefined : lineOf(bowl.lineId);
    const mixedGrams = bowlGrams(bowl);
    const developer = bowl.developer.reduce((sum, { vol, grams }) => sum + (vol > 0 ? grams : 0), 0);
    const gramsPer100 = bowl.additive ? (line?.additives?.[0]?.gramsPer100 ?? 0) : 0;
    const additive = (mixedGrams * gramsPer100) / 100;
    developerGrams += developer;
    additiveGrams += additive;
    let price = developerPriceOf(developer) + additivePriceOf(additive);
    for (const { label, grams } of [...bowl.shades, { label: null, grams: bowl.productGrams }]) {
      if (!line || grams <= 0) continue;
      const key = `${line.id} ${label ?? ''}`;
      weighed.set(key, { line, label, grams: grams + (weighed.get(key)?.grams ?? 0) });
      price += priceOfGrams(line, grams);
    }
    const on = steps.filter((application) => application.bowl === bowl.name);
    const neededGrams = on.length > 0 ? gramsFor(head, on).maxGrams : 0;
    return {
      name: bowl.name,
      mixedGrams,
      neededGrams,
      wasteGrams: Math.max(0, mixedGrams - neededGrams),
      price,
    };
  });
  const products = [...weighed.values()].map(({ line, label, grams }): WeighedOut => {
    const packs = Math.ceil(grams / line.tubeGrams - 1e-9);
    const packsPrice = packs * packPrice(line, prices);
    return { lineId: line.id, label, grams, packs, price: priceOfGrams(line, grams), packsPrice };
  });
  const productPrice = bowlCosts.reduce((sum, { price }) => sum + price, 0);
  const [developerPrice, additivePrice] = [developerPriceOf(developerGrams), additivePriceOf(additiveGrams)];
  const work = lastMinute({ steps, care });
  const chairMinutes = chairMinutesOf(work, prices);
  const chairPrice = chairPriceOf(chairMinutes, prices);
  return {
    products,
    bowls: bowlCosts,
    developerGrams,
    developerPrice,
    additiveGrams,
    additivePrice,
    productPrice: inHundredths(productPrice),
    wastePrice: inHundredths(
      bowlCosts.reduce(
        (sum, { price, wasteGrams, mixedGrams }) =>
          sum + (mixedGrams > 0 ? (price * wasteGrams) / mixedGrams : 0),
        0,
      ),
    ),
    openedPrice: inHundredths(
      products.reduce((sum, { packsPrice }) => sum + packsPrice, developerPrice + additivePrice),
    ),
    chairMinutes,
    chairPrice,
    sundries: prices.sundries,
    total: inHundredths(chairPrice + productPrice + prices.sundries),
  };
}

/** What a client is told of an appointment before it begins (C4, C11): whole units, and minutes by fives. */
export const quoteOf = ({ total, chairMinutes }: Pick<ServiceCost, 'total' | 'chairMinutes'>): Quote => ({
  price: Math.round(total),
  minutes: Math.round(chairMinutes / 5) * 5,
});
