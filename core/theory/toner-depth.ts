import { TOP_OF_TEN } from '../colour';
import type { HouseRules } from './house-rules';

/**
 * F4. Levels a toner may have on hair of a level, lightest first: its own, or one deeper in the other school; never
 * lighter. Toners are not made paler than 10, so that hair at 11 or 12 is toned with those.
 * @rule F4
 */
export function tonerLevels(levelReached: number, rules: Pick<HouseRules, 'tonerDepth'>): number[] {
  const deepest = rules.tonerDepth === 'sameLevel' ? levelReached : levelReached - 1;
  return [...new Set([levelReached, Math.min(deepest, TOP_OF_TEN)])];
}
