import type { Density, Service } from '../hair';

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
export const DENSITY_FACTOR: Record<Density, number> = { sparse: 0.8, medium: 1, dense: 1.3 };

/** Span of mixed grams that serves this head: the guide times the density factor (M2). */
export function amountGuide(service: Service, density: Density): { minGrams: number; maxGrams: number } {
  const { minGrams, maxGrams } = AMOUNT_GUIDE[service];
  const factor = DENSITY_FACTOR[density];
  return { minGrams: minGrams * factor, maxGrams: maxGrams * factor };
}
