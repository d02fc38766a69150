import type { HouseRules } from './house-rules';

/** F4. Levels a toner may have on hair of a level: its own, or one deeper in the other school; never lighter. */
export function tonerLevels(levelReached: number, rules: Pick<HouseRules, 'tonerDepth'>): number[] {
  return rules.tonerDepth === 'sameLevel' ? [levelReached] : [levelReached, levelReached - 1];
}
