import tables from './pigment-tables.json';
import { type Light, type Lab, labOf } from '../colour';
import { type NaturalPigment, levelOfReflectance, reflectanceOf } from './pigment';

// Bound once: these run millions of times in a search.
const { floor, max, min } = Math;

/**
 * The two ladders of hair, level by level: as it grows, and as it looks when it has been lightened to there, its warmth
 * bared. Both tables were solved from colours (hue, chroma and the level's L*) by `npm run fit`, which prints how near
 * they come; what lies between two levels is interpolated.
 */
const NATURAL: readonly NaturalPigment[] = tables.natural;
const LIGHTENED: readonly NaturalPigment[] = tables.lightened;
/** Levels 1 to 12. */
export const TOP_LEVEL = NATURAL.length;

const mixed = (naturalPigment: NaturalPigment, other: NaturalPigment, t: number): NaturalPigment => ({
  brownBlack: naturalPigment.brownBlack + t * (other.brownBlack - naturalPigment.brownBlack),
  red: naturalPigment.red + t * (other.red - naturalPigment.red),
  yellow: naturalPigment.yellow + t * (other.yellow - naturalPigment.yellow),
});

function onLadder(ladder: readonly NaturalPigment[], level: number): NaturalPigment {
  const at = min(TOP_LEVEL - 1, max(0, level - 1));
  const i = min(TOP_LEVEL - 2, floor(at));
  return mixed(ladder[i], ladder[i + 1], at - i);
}

/** Steps of the finer ladder; between them reading and making differ by less than a hundredth of a level. */
const STEPS_A_LEVEL = 8;
/**
 * Between whole levels the eye's lightness is not linear in pigment: the finer rungs are set where the hair reads as the
 * level it is for.
 */
function refined(ladder: readonly NaturalPigment[]): NaturalPigment[] {
  const reads = (level: number) => levelOfReflectance(reflectanceOf(onLadder(ladder, level)));
  return Array.from({ length: (TOP_LEVEL - 1) * STEPS_A_LEVEL + 1 }, (_, i) => {
    const wanted = 1 + i / STEPS_A_LEVEL;
    let [low, high] = [1, TOP_LEVEL];
    for (let step = 0; step < 22; step++) {
      const middle = (low + high) / 2;
      if (reads(middle) < wanted) low = middle;
      else high = middle;
    }
    return onLadder(ladder, (low + high) / 2);
  });
}
const FINE_NATURAL = refined(NATURAL);
const FINE_LIGHTENED = refined(LIGHTENED);

function onFine(ladder: readonly NaturalPigment[], level: number): NaturalPigment {
  const at = min(ladder.length - 1, max(0, (level - 1) * STEPS_A_LEVEL));
  const i = min(ladder.length - 2, floor(at));
  return mixed(ladder[i], ladder[i + 1], at - i);
}

/** Pigment of hair that grew at a level, 1 to 12; levels beyond are held to the ends. */
export const naturalPigment = (level: number): NaturalPigment => onFine(FINE_NATURAL, level);
/** Pigment of hair lightened to a level from far darker, its warmth wholly bared (U1). */
export const baredPigment = (level: number): NaturalPigment => onFine(FINE_LIGHTENED, level);

/** Brown-black of natural hair of a level, optical density. */
export const brownBlackOfLevel = (level: number): number => naturalPigment(level).brownBlack;

/** The level at which a falling function of the level meets a value, by halving; to a ten-thousandth of a level. */
export function levelWhere(value: number, at: (level: number) => number, steps = 17): number {
  let [low, high] = [1, TOP_LEVEL];
  for (let step = 0; step < steps; step++) {
    const middle = (low + high) / 2;
    if (at(middle) > value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What natural hair of a level looks like; white strands are drawn as strands of their own. */
export const naturalLab = (level: number, light: Light = 'daylight'): Lab =>
  labOf(reflectanceOf(naturalPigment(level)), light);
