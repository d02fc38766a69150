import { type Strand, brownBlackAt, grownLevelOf, reachedLevelOf, TOP_LEVEL } from '../hair';
import { FIGURES } from './figures';

// Bound once: these run millions of times in a search.
const { floor, max, min } = Math;

/**
 * What lightening hair from level 1 to a level costs, in dose, 0 and up. Every level has a price of its own: the
 * brown-black between 7 and 8 is little, and hair that paid by brown-black alone would sprint there, which it does not
 * (H51); the last levels are dear.
 */
export function effortOf(level: number): number {
  const { effort } = FIGURES;
  const at = min(TOP_LEVEL - 1, max(0, level - 1));
  let sum = 0;
  for (let i = 0; i < floor(at); i++) sum += effort[i];
  return floor(at) < effort.length ? sum + (at - floor(at)) * effort[floor(at)] : sum;
}

/** The level, 1 to 12, that an effort from level 1 comes to; the inverse of {@link effortOf}. */
export function levelAfter(effort: number): number {
  let left = effort;
  for (let i = 0; i < FIGURES.effort.length; i++) {
    if (left <= FIGURES.effort[i]) return 1 + i + max(0, left) / FIGURES.effort[i];
    left -= FIGURES.effort[i];
  }
  return TOP_LEVEL;
}

/** Where lightening begins: what a strand has behind it. */
export interface LiftStart {
  /** Level it grew at. */
  grown: number;
  /** Effort that its natural pigment has had, from level 1. */
  effort: number;
}
/** What lightening has behind it on a strand; reckoned once for a coat. */
export const liftStartOf = (strand: Strand): LiftStart => ({
  grown: grownLevelOf(strand),
  effort: effortOf(reachedLevelOf(strand)),
});

/** Brown-black of a strand after a dose, optical density; never more than it has. */
export const brownBlackAfter = (
  { brownBlack }: Pick<Strand, 'brownBlack'>,
  { grown, effort }: LiftStart,
  dose: number,
): number => (dose <= 0 ? brownBlack : min(brownBlack, brownBlackAt(grown, levelAfter(effort + dose))));

/** Dose that a strand has had since it grew. */
export const doseTaken = ({ grown, effort }: LiftStart): number => max(0, effort - effortOf(grown));
