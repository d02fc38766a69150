import { TOP_OF_TEN } from '../colour';
import type { Porosity } from '../hair';
import { type Reason, reason } from '../reason';
import { levelsToMove } from './developer';
import type { HouseRules } from './house-rules';

/**
 * Porous hair takes colour deeper and cooler: darkened, it is given a shade this much lighter (F7).
 * @rule F7
 */
export const POROUS_LIGHTER_LEVELS = 0.5;

/**
 * Level the mix has to have (F2): the target's own, or by the counterbalance rule 2 × target − natural when lifting.
 * Darkening porous hair: half a level lighter, since it takes colour deeper (F7).
 * @rule F2
 */
export function shadeLevelFor(
  task: { naturalLevel: number; targetLevel: number; porosity: Porosity },
  rules: Pick<HouseRules, 'liftByColour'>,
): { level: number; reasons: Reason[] } {
  const { naturalLevel: natural, targetLevel: target } = task;
  const levels = levelsToMove(natural, target);
  if (levels > 0 && rules.liftByColour === 'counterbalance') {
    const level = 2 * target - natural;
    return { level, reasons: [reason('depth.counterbalance', 'F2', { natural, target, level })] };
  }
  if (levels < 0 && task.porosity === 'high') {
    const level = target + POROUS_LIGHTER_LEVELS;
    return { level, reasons: [reason('depth.porousLighter', 'F7', { target, level })] };
  }
  return { level: target, reasons: [reason('depth.targetLevel', 'F2', { target, level: target })] };
}

/** Levels that colour alone may lift, by school (F3). */
export const LIFT_LIMITS = { two: 2, three: 3 } as const;
/**
 * Levels that colour alone may lift by the rules of a class: two, beyond which warmth shows within two weeks; three in
 * another school, which takes 40 vol and means the warmth (F3).
 * @rule F3
 */
export const levelsByColour = ({ liftByColourLimit }: Pick<HouseRules, 'liftByColourLimit'>): number =>
  LIFT_LIMITS[liftByColourLimit];

/**
 * Permanent colour as a toner, in the school that allows it: it lifts on a little, so it is half to one level deeper than the
 * wish, and is looked at from five minutes on (F4).
 */
export const TONING_VOL = 20;
/** Levels that it is deeper than the wish. */
export const TONING_DEEPER = { least: 0.5, most: 1 } as const;
/** Minutes from which it is looked at. */
export const TONING_WATCHED_FROM = 5;

/**
 * F4. Levels a toner may have on hair of a level, lightest first: its own, or one deeper in the other school; never
 * lighter. Toners are not made paler than 10, so that hair at 11 or 12 is toned with those.
 * @rule F4
 */
export function tonerLevels(levelReached: number, rules: Pick<HouseRules, 'tonerDepth'>): number[] {
  const deepest = rules.tonerDepth === 'sameLevel' ? levelReached : levelReached - 1;
  return [...new Set([levelReached, Math.min(deepest, TOP_OF_TEN)])];
}
