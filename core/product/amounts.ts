import { type Service, type Density, DENSITY_FACTOR } from '../hair';

/**
 * M2. Guide for a medium-dense head, grams of mixed product.
 * @rule M2
 */
export const AMOUNT_GUIDE: Record<Service, { minGrams: number; maxGrams: number }> = {
  retouch: { minGrams: 60, maxGrams: 90 },
  shortAllOver: { minGrams: 80, maxGrams: 120 },
  shoulderAllOver: { minGrams: 120, maxGrams: 180 },
  longAllOver: { minGrams: 180, maxGrams: 300 },
};

/** Span of mixed grams that serves this head: the guide times the density factor (M2). */
export function amountGuide(service: Service, density: Density): { minGrams: number; maxGrams: number } {
  const { minGrams, maxGrams } = AMOUNT_GUIDE[service];
  const factor = DENSITY_FACTOR[density];
  return { minGrams: minGrams * factor, maxGrams: maxGrams * factor };
}

/** M1. A ratio "1 : r" is colour to developer by weight; here it is carried as r, developer parts to one of colour. */
export interface MixedGrams {
  /** Grams of colour. */
  colourGrams: number;
  /** Grams of developer. */
  developerGrams: number;
  /** Grams of the whole mixture. */
  totalGrams: number;
}

function positive(value: number, name: string): void {
  if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${name} must be a positive number`);
}

/** Total = colour × (1 + r). @throws RangeError unless both are positive. */
export function bowlFromColour(colourGrams: number, ratio: number): MixedGrams {
  positive(colourGrams, 'colourGrams');
  positive(ratio, 'ratio');
  return { colourGrams, developerGrams: colourGrams * ratio, totalGrams: colourGrams * (1 + ratio) };
}

/**
 * Colour = total ÷ (1 + r). @throws RangeError unless both are positive.
 * @rule M1
 */
export function bowlFromTotal(totalGrams: number, ratio: number): MixedGrams {
  positive(totalGrams, 'totalGrams');
  positive(ratio, 'ratio');
  const colourGrams = totalGrams / (1 + ratio);
  return { colourGrams, developerGrams: totalGrams - colourGrams, totalGrams };
}

/** Splits an amount by parts; keeps the order; the shares add up to the amount. */
export function splitByParts(grams: number, parts: readonly number[]): number[] {
  const all = parts.reduce((a, b) => a + b, 0);
  return parts.map((p) => (all > 0 ? (grams * p) / all : 0));
}
