import { amountGuide } from '../measure';
import type { Head, HeadZone } from './head';

/** Foils waste little, yet every packet has to be covered well (A6, M2). */
const LEAST_SHARE = 0.5;
/** Less than this of the length still takes that much of the guide: there is a bowl and a brush to wet. */
const LEAST_LENGTH = 0.25;

/**
 * Mixed grams that serve some zones of a head (M2): the guide for a retouch where it is the regrowth alone, else that
 * for the length of hair by the share of the length that is covered; less where only a share of the hair is woven out.
 */
export function amountFor(
  head: Head,
  zones: readonly HeadZone[],
  share: number,
): { minGrams: number; maxGrams: number } {
  const alone = zones.length === 1 && zones[0] === 'regrowth' && head.zones.length > 1;
  if (alone) return scaled(amountGuide('retouch', head.density), Math.max(LEAST_SHARE, share));
  const all = head.zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const covered = head.zones.reduce(
    (sum, { zone, lengthCm }) => sum + (zones.includes(zone) ? lengthCm : 0),
    0,
  );
  const length = Math.max(LEAST_LENGTH, covered / all);
  return scaled(amountGuide(head.length, head.density), length * Math.max(LEAST_SHARE, share));
}

const scaled = ({ minGrams, maxGrams }: { minGrams: number; maxGrams: number }, by: number) => ({
  minGrams: minGrams * by,
  maxGrams: maxGrams * by,
});
