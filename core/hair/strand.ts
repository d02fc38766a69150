import { type Lab, type Light, type Spectrum, BANDS, labOf, levelOfLightness } from '../colour';
import {
  NO_DYE,
  brownBlackOfLevel,
  reflectanceOf,
  WHITE_HAIR,
  withNaturalWarmth,
  type Dye,
  type NaturalPigment,
} from './pigment';
import type { Diameter, Porosity } from './zone';

/**
 * The state of the hair in one zone. Plain data: a process takes one and returns another.
 * Natural red and yellow are not stored: they follow from how much of the brown-black has been taken.
 */
export interface Strand {
  /** Brown-black left, and as it grew; optical density. */
  brownBlack: number;
  grownBrownBlack: number;
  /** Share 0–1 of white strands. */
  white: number;
  /** Artificial pigment in the pigmented and in the white strands. */
  dye: Dye;
  dyeOnWhite: Dye;
  /** 0 closed to 1 wide open; low 0.25, normal 0.5, high 0.85. */
  porosity: number;
  diameter: Diameter;
  /** 0 sound to 1 lost. */
  damage: number;
  /** Centimetres of the middle of the zone from the scalp, for its warmth. */
  fromScalpCm: number;
}

export const POROSITY_OF: Record<Porosity, number> = { low: 0.25, normal: 0.5, high: 0.85 };

export function naturalStrand(
  level: number,
  {
    white = 0,
    porosity = 'normal',
    diameter = 'medium',
    fromScalpCm = 10,
  }: { white?: number; porosity?: Porosity; diameter?: Diameter; fromScalpCm?: number } = {},
): Strand {
  const brownBlack = brownBlackOfLevel(level);
  return {
    brownBlack,
    grownBrownBlack: brownBlack,
    white,
    dye: NO_DYE,
    dyeOnWhite: NO_DYE,
    porosity: POROSITY_OF[porosity],
    diameter,
    damage: 0,
    fromScalpCm,
  };
}

/**
 * Red and yellow that show beside what is left of the brown-black in hair that has been lightened, darkest first.
 * Fitted by least squares to the level anchors and hues of 20, 24, 29, 34, 43, 52, 62, 73, 82 and 90° for levels 1 to
 * 10 at chromas of 5, 9, 14, 20, 27, 33, 37, 38, 34 and 28; below level 5 the hue stays a little warmer than asked.
 * Level 11 was fitted to chroma 20 at 92°; 12 is bare keratin with a trace of yellow.
 */
const LIGHTENED: readonly NaturalPigment[] = [
  { brownBlack: 4.08, red: 1.2, yellow: 0 },
  { brownBlack: 3.02, red: 1.11, yellow: 0 },
  { brownBlack: 2.2, red: 1.18, yellow: 0 },
  { brownBlack: 1.557, red: 1.275, yellow: 0 },
  { brownBlack: 1.084, red: 1.269, yellow: 0.353 },
  { brownBlack: 0.751, red: 1.103, yellow: 0.792 },
  { brownBlack: 0.548, red: 0.813, yellow: 1.049 },
  { brownBlack: 0.434, red: 0.479, yellow: 1.049 },
  { brownBlack: 0.325, red: 0.236, yellow: 0.782 },
  { brownBlack: 0.181, red: 0.093, yellow: 0.532 },
  { brownBlack: 0.052, red: 0.072, yellow: 0.33 },
  { brownBlack: 0, red: 0, yellow: 0.1 },
];

/** Untouched brown-black at the same levels, so that both ways of being a level can be mixed. */
const UNTOUCHED: readonly number[] = Array.from({ length: LIGHTENED.length }, (_, i) =>
  i < LIGHTENED.length - 1 ? brownBlackOfLevel(i + 1) : 0,
);
const TOP = LIGHTENED.length;

/** Value of a table that starts at level 1, at any level in between. */
function between<T>(table: readonly T[], level: number, pick: (row: T) => number): number {
  const at = Math.min(TOP - 1, Math.max(0, level - 1));
  const i = Math.min(TOP - 2, Math.floor(at));
  return pick(table[i]) + (at - i) * (pick(table[i + 1]) - pick(table[i]));
}

/** Levels over which the natural warmth comes out as hair lightens from where it grew: 63 %. Fitted to H2. */
const EXPOSED_OVER_LEVELS = 0.8;
const exposedAfter = (levels: number) => (levels <= 0 ? 0 : 1 - Math.exp(-levels / EXPOSED_OVER_LEVELS));

/**
 * Pigment of hair that grew at one level and has been lightened to another. Untouched and lightened hair of the same
 * level are equally light, so the mixture of both is too: hair never darkens while it lightens.
 */
function onTheWay(grownLevel: number, level: number): NaturalPigment {
  const exposed = exposedAfter(level - grownLevel);
  const untouched = withNaturalWarmth(between(UNTOUCHED, level, (b) => b));
  const mixed = (pick: (pigment: NaturalPigment) => number) =>
    pick(untouched) + exposed * (between(LIGHTENED, level, pick) - pick(untouched));
  return { brownBlack: mixed((p) => p.brownBlack), red: mixed((p) => p.red), yellow: mixed((p) => p.yellow) };
}

/** Halvings of the scale: to a millionth of a level. */
const BISECTIONS = 24;

/** The level at which a falling function of the level meets a value. */
function levelWhere(value: number, at: (level: number) => number): number {
  let low = 0;
  let high = TOP;
  for (let step = 0; step < BISECTIONS; step++) {
    const middle = (low + high) / 2;
    if (at(middle) > value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

type Grown = Pick<Strand, 'brownBlack' | 'grownBrownBlack'>;

const KEPT = 512;
const grownLevels = new Map<number, number>();

/** The level hair of so much brown-black grew at; a head has few of them and is asked often. */
function grownLevelOf(grownBrownBlack: number): number {
  const kept = grownLevels.get(grownBrownBlack);
  if (kept !== undefined) return kept;
  const level = levelWhere(grownBrownBlack, (one) => between(UNTOUCHED, one, (b) => b));
  if (grownLevels.size >= KEPT) grownLevels.clear();
  grownLevels.set(grownBrownBlack, level);
  return level;
}

/** The level a strand grew at, and the level its natural pigment alone has reached. */
function levelsOf({ brownBlack, grownBrownBlack }: Grown): { grown: number; reached: number } {
  const grown = grownLevelOf(grownBrownBlack);
  if (brownBlack >= grownBrownBlack) return { grown, reached: grown };
  return { grown, reached: levelWhere(brownBlack, (level) => onTheWay(grown, level).brownBlack) };
}

/** How far the natural warmth has been laid bare, 0 untouched to 1. */
export function exposureOf(strand: Grown): number {
  const { grown, reached } = levelsOf(strand);
  return exposedAfter(reached - grown);
}

export function pigmentOf(strand: Grown): NaturalPigment {
  if (strand.brownBlack >= strand.grownBrownBlack) return withNaturalWarmth(strand.brownBlack);
  const { grown, reached } = levelsOf(strand);
  return { ...onTheWay(grown, reached), brownBlack: strand.brownBlack };
}

/** The warmth that shows beside a level reached, fully bared: what a filler puts back (F6). */
export const warmthOfLevel = (level: number) => onTheWay(level - 6, level);

/** Hair lightened until its natural pigment is at this level, from dark: what a toner is made for. */
export function lightenedStrand(level: number, from = 1.5): Strand {
  const grown = naturalStrand(Math.min(from, level));
  return { ...grown, brownBlack: onTheWay(Math.min(from, level), level).brownBlack };
}

/** Pigmented strands alone, the white strands alone, and all of it as the eye mixes them. */
export const reflectanceOfPigmented = (strand: Strand): Spectrum =>
  reflectanceOf(pigmentOf(strand), strand.dye);
export const reflectanceOfWhite = (strand: Strand): Spectrum => reflectanceOf(WHITE_HAIR, strand.dyeOnWhite);
export function reflectanceOfStrand(strand: Strand): Spectrum {
  const all = reflectanceOfPigmented(strand);
  if (strand.white <= 0) return all;
  const white = reflectanceOfWhite(strand);
  for (let i = 0; i < BANDS; i++) all[i] += strand.white * (white[i] - all[i]);
  return all;
}

export const labOfStrand = (strand: Strand, light: Light = 'daylight'): Lab =>
  labOf(reflectanceOfStrand(strand), light);
export const levelOfStrand = (strand: Strand): number => levelOfLightness(labOfStrand(strand).l);
/** Level of the pigmented strands alone, as natural level is read (L3). */
export const levelOfPigmented = (strand: Strand): number =>
  levelOfLightness(labOf(reflectanceOfPigmented(strand)).l);
