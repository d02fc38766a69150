/**
 * Strength of developer. D1: percent hydrogen peroxide = volume × 0.3.
 * D5: strength × amount is kept, so water or another strength gives the weighted mean.
 * @rule D1
 */
export const PERCENT_PER_VOL = 0.3;
/** Percent hydrogen peroxide of a strength in volumes (D1). */
export const percentOfVol = (vol: number) => vol * PERCENT_PER_VOL;
/** Volumes of a strength in percent (D1). */
export const volOfPercent = (percent: number) => percent / PERCENT_PER_VOL;

export interface DeveloperPart {
  /** Volumes; 0 is water. */
  vol: number;
  /** Relative amount, above 0. */
  parts: number;
}

/** Strength of a blend, in volumes. @throws RangeError when nothing is poured or an amount is negative. */
export function blendVol(blend: readonly DeveloperPart[]): number {
  let parts = 0;
  let strength = 0;
  for (const part of blend) {
    if (part.parts < 0 || part.vol < 0) throw new RangeError('vol and parts must not be negative');
    parts += part.parts;
    strength += part.parts * part.vol;
  }
  if (parts <= 0) throw new RangeError('a blend needs at least one part');
  return strength / parts;
}

/**
 * Fraction 0–1 of stock that, filled with water, gives the wanted strength (D5: T ÷ S).
 * @throws RangeError when the wanted strength is above the stock's, which water cannot give.
 */
export function stockFraction(stockVol: number, wantedVol: number): number {
  if (stockVol <= 0 || wantedVol < 0 || wantedVol > stockVol) {
    throw new RangeError('wanted strength must lie between 0 and the stock strength');
  }
  return wantedVol / stockVol;
}

/** Whether water is among what is poured. */
export const usesWater = (blend: readonly DeveloperPart[]) =>
  blend.some(({ vol, parts }) => vol === 0 && parts > 0);
