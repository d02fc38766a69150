import { amountGuide } from '../measure';
import type { Head, HeadZone } from './head';

/** Foils waste little, yet every packet has to be covered well (A6, M2). */
const LEAST_SHARE = 0.5;
/** Less than this of the length still takes that much of the guide: there is a bowl and a brush to wet. */
const LEAST_LENGTH = 0.25;

/**
 * Mixed grams that serve some zones of a head (M2): the guide for a retouch where the regrowth is among them, and that
 * for the length of hair by the share of the length that is covered; together never more than all of the hair takes, and
 * less where only a share of it is woven out. More zones never take less.
 */
export function amountFor(
  head: Head,
  zones: readonly HeadZone[],
  share: number,
): { minGrams: number; maxGrams: number } {
  const retouched = zones.includes('regrowth') && head.zones.length > 1;
  const all = head.zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const covered = head.zones.reduce(
    (sum, { zone, lengthCm }) =>
      sum + (zones.includes(zone) && !(retouched && zone === 'regrowth') ? lengthCm : 0),
    0,
  );
  const length = covered === 0 ? 0 : Math.max(retouched ? 0 : LEAST_LENGTH, covered / all);
  const whole = amountGuide(head.length, head.density);
  const root = amountGuide('retouch', head.density);
  const grams = (of: 'minGrams' | 'maxGrams') =>
    Math.min(whole[of], (retouched ? root[of] : 0) + length * whole[of]);
  const by = Math.max(LEAST_SHARE, share);
  return { minGrams: grams('minGrams') * by, maxGrams: grams('maxGrams') * by };
}
