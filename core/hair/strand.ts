import {
  type Spectrum,
  type Light,
  type Lab,
  labOf,
  differenceOf,
  type ToneFamily,
  nameColour,
} from '../colour';
import type { Diameter, Porosity } from './areas';
import { type DyeLayer, type Warmth, type Dye, NO_DYE, type DyeName, DYES, NO_WARMTH } from './dye';
import { brownBlackOfLevel, naturalPigment, baredPigment, levelWhere } from './ladder';
import { type NaturalPigment, reflectanceOf, WHITE_HAIR, levelOfReflectance } from './pigment';

// Bound once: these run millions of times in a search.
const { exp, max, min } = Math;

/**
 * The state of the hair in one place. Plain data: a process takes one and returns another.
 * Natural red and yellow are not stored: they follow from how much of the brown-black has been taken.
 */
export interface Strand {
  /** Brown-black left, and as it grew; optical density. */
  readonly brownBlack: number;
  readonly grownBrownBlack: number;
  /** Bared red and yellow against what is usual for the level: 1 usual, about a third creamy, above 1 bright (U5). */
  readonly warmthKept: number;
  /** Fraction 0–1 of white strands. */
  readonly white: number;
  /** How far the white strands resist dye, 0 ordinary to 1 glassy. */
  readonly resistance: number;
  /** Colourings, oldest first. */
  readonly layers: readonly DyeLayer[];
  /** 0 closed to 1 wide open; low 0.25, normal 0.5, high 0.85. */
  readonly porosity: number;
  /** Thickness of a hair. */
  readonly diameter: Diameter;
  /** Strength that is lost, 0 sound to 1. */
  readonly damage: number;
  /** Water the hair can hold, 0 brittle to 1 over-soft; sound hair 0.75. */
  readonly moisture: number;
  /** Surface, 0 dull to 1 glossy. */
  readonly surface: number;
  /** Centimetres from the scalp, for its warmth. */
  readonly fromScalpCm: number;
  /** How many times faster than other hair it loses strength under alkali and peroxide; 1 unless it was reshaped (C10). */
  readonly fragility: number;
  /** Hair in between that a thin coat missed, with the fraction 0–1 of the whole it is; none within it. */
  readonly spots: readonly Spot[];
}
export interface Spot {
  /** Fraction 0–1 of the hair. */
  readonly fraction: number;
  /** Hair as the thin coat left it. */
  readonly strand: Strand;
}

export const POROSITY_OF: Record<Porosity, number> = { low: 0.25, normal: 0.5, high: 0.85 };
/** Moisture and surface of sound hair. */
export const SOUND = { moisture: 0.75, surface: 0.7 } as const;

/** Grown hair of a natural level, 1 to 10. */
export function naturalStrand(
  level: number,
  {
    white = 0,
    porosity = 'normal',
    diameter = 'medium',
    fromScalpCm = 10,
    resistance = 0,
  }: {
    white?: number;
    porosity?: Porosity;
    diameter?: Diameter;
    fromScalpCm?: number;
    resistance?: number;
  } = {},
): Strand {
  const brownBlack = brownBlackOfLevel(level);
  return {
    brownBlack,
    grownBrownBlack: brownBlack,
    warmthKept: 1,
    white,
    resistance,
    layers: [],
    porosity: POROSITY_OF[porosity],
    diameter,
    damage: 0,
    ...SOUND,
    fromScalpCm,
    fragility: 1,
    spots: [],
  };
}

/** Levels over which the natural warmth comes out as hair lightens from where it grew: 63 %. Fitted to H2. */
const EXPOSED_OVER_LEVELS = 0.8;
const exposedAfter = (levels: number) => (levels <= 0 ? 0 : 1 - exp(-levels / EXPOSED_OVER_LEVELS));

/**
 * Pigment of hair that grew at one level and has been lightened to another. Untouched and lightened hair of the same
 * level are equally light, so the mixture of both is too: hair never darkens while it lightens.
 */
function onTheWay(grownLevel: number, level: number, warmthKept = 1): NaturalPigment {
  const exposed = exposedAfter(level - grownLevel);
  const untouched = naturalPigment(level);
  if (exposed === 0) return untouched;
  const bared = baredPigment(level);
  const warm = (own: number, out: number) => own + exposed * warmthKept * (out - own);
  return {
    brownBlack: untouched.brownBlack + exposed * (bared.brownBlack - untouched.brownBlack),
    red: warm(untouched.red, bared.red),
    yellow: warm(untouched.yellow, bared.yellow),
  };
}

type Grown = Pick<Strand, 'brownBlack' | 'grownBrownBlack'>;

const KEPT = 512;
const grownLevels = new Map<number, number>();

/** The level hair of so much brown-black grew at; a head has few of them and is asked often. */
export function grownLevelOf({ grownBrownBlack }: Pick<Strand, 'grownBrownBlack'>): number {
  const value = grownLevels.get(grownBrownBlack);
  if (value !== undefined) return value;
  const level = levelWhere(grownBrownBlack, brownBlackOfLevel);
  if (grownLevels.size >= KEPT) grownLevels.clear();
  grownLevels.set(grownBrownBlack, level);
  return level;
}

/** The level a strand grew at, and the level its natural pigment alone has reached. */
function levelsOf(strand: Grown): { grown: number; reached: number } {
  const grown = grownLevelOf(strand);
  if (strand.brownBlack >= strand.grownBrownBlack) return { grown, reached: grown };
  return { grown, reached: levelWhere(strand.brownBlack, (level) => onTheWay(grown, level).brownBlack) };
}

/** The level that the natural pigment of a strand has reached by its brown-black, 1 to 12. */
export const reachedLevelOf = (strand: Grown): number => levelsOf(strand).reached;

/** Brown-black of hair that grew at a level and has been lightened to another, optical density. */
export const brownBlackAt = (grownLevel: number, level: number): number =>
  onTheWay(grownLevel, level).brownBlack;

/** Halvings after which a level is as exact as its numbers are. */
const EXACT = 60;
/**
 * Brown-black of a strand that is lightened by so many levels more, optical density; what is as light as `most` stays. By
 * twice half of it as by all of it at once.
 */
export function lightenedBy(strand: Grown, levels: number, most: number): number {
  if (levels <= 0) return strand.brownBlack;
  const grown = levelWhere(strand.grownBrownBlack, brownBlackOfLevel, EXACT);
  const reached =
    strand.brownBlack >= strand.grownBrownBlack
      ? grown
      : levelWhere(strand.brownBlack, (level) => onTheWay(grown, level).brownBlack, EXACT);
  return reached >= most ? strand.brownBlack : onTheWay(grown, min(most, reached + levels)).brownBlack;
}

/** How far the natural warmth has been laid bare, 0 untouched to 1. */
export function exposureOf(strand: Grown): number {
  const { grown, reached } = levelsOf(strand);
  return exposedAfter(reached - grown);
}

/** Natural pigment of a strand, masks and dyes apart. */
export function pigmentOf(strand: Grown & Pick<Strand, 'warmthKept'>): NaturalPigment {
  const { grown, reached } = levelsOf(strand);
  return { ...onTheWay(grown, reached, strand.warmthKept), brownBlack: strand.brownBlack };
}

/** The warmth that shows beside a level reached, fully bared: what a filler puts back (F6). */
export const warmthOfLevel = (level: number): Warmth => baredPigment(level);

/**
 * Hair lightened until its natural pigment is at a level: what a toner is made for. `warmthKept` is 1 for the usual
 * yellow, about a third for creamy, above 1 for bright (U5).
 */
export function lightenedStrand(level: number, from = 1.5, warmthKept = 1): Strand {
  const grown = naturalStrand(min(from, level));
  return { ...grown, brownBlack: onTheWay(min(from, level), level).brownBlack, warmthKept };
}

/** All dye of the layers together, in the pigmented or in the white strands. */
export function dyeOf({ layers }: Pick<Strand, 'layers'>, where: 'dye' | 'dyeOnWhite' = 'dye'): Dye {
  if (layers.length === 0) return NO_DYE;
  if (layers.length === 1) return layers[0][where];
  const sum = { ...NO_DYE } as Record<DyeName, number>;
  for (const layer of layers) for (const name of DYES) sum[name] += layer[where][name];
  return sum;
}

function warmthIn({ layers }: Pick<Strand, 'layers'>, what: 'masks' | 'fills'): Warmth {
  if (layers.length === 0) return NO_WARMTH;
  let [red, yellow] = [0, 0];
  for (const layer of layers) {
    red += layer[what].red;
    yellow += layer[what].yellow;
  }
  return { red, yellow };
}

/** Natural pigment as it shows: what fillers put back added, what colour cancels taken off. */
export function shownPigment(strand: Strand): NaturalPigment {
  const pigment = pigmentOf(strand);
  if (strand.layers.length === 0) return pigment;
  const masks = warmthIn(strand, 'masks');
  const fills = warmthIn(strand, 'fills');
  return {
    brownBlack: pigment.brownBlack,
    red: max(0, pigment.red + fills.red - masks.red),
    yellow: max(0, pigment.yellow + fills.yellow - masks.yellow),
  };
}

/** Adds the spots a thin coat left, each with its fraction of the whole. */
function withSpots(strand: Strand, own: Spectrum, of: (strand: Strand) => Spectrum): Spectrum {
  if (strand.spots.length === 0) return own;
  const missed = strand.spots.reduce((sum, { fraction }) => sum + fraction, 0);
  for (let i = 0; i < own.length; i++) own[i] *= 1 - missed;
  for (const spot of strand.spots) {
    const other = of(spot.strand);
    for (let i = 0; i < own.length; i++) own[i] += spot.fraction * other[i];
  }
  return own;
}

/** Pigmented strands alone, the white strands alone, and all of it as the eye mixes them. */
export const reflectanceOfPigmented = (strand: Strand): Spectrum =>
  withSpots(strand, reflectanceOf(shownPigment(strand), dyeOf(strand)), reflectanceOfPigmented);
/** Reflectance of the white strands, 0–1 by wavelength. */
export const reflectanceOfWhite = (strand: Strand): Spectrum =>
  withSpots(strand, reflectanceOf(WHITE_HAIR, dyeOf(strand, 'dyeOnWhite')), reflectanceOfWhite);

const blendWhite = (strand: Strand, all: Spectrum, white: () => Spectrum): Spectrum => {
  if (strand.white <= 0) return all;
  const other = white();
  for (let i = 0; i < all.length; i++) all[i] += strand.white * (other[i] - all[i]);
  return all;
};
/** Reflectance of all strands, white mixed in by share, 0–1 by wavelength. */
export const reflectanceOfStrand = (strand: Strand): Spectrum =>
  blendWhite(strand, reflectanceOfPigmented(strand), () => reflectanceOfWhite(strand));

/** Colour of a strand in a light. */
export const labOfStrand = (strand: Strand, light: Light = 'daylight'): Lab =>
  labOf(reflectanceOfStrand(strand), light);

/** Tone is taken out of dye by leaving only its depth (L4). */
export const depthAlone = (dye: Dye): Dye => ({ ...NO_DYE, brown: dye.brown });
const toneless = (strand: Strand): Spectrum =>
  withSpots(strand, reflectanceOf(shownPigment(strand), depthAlone(dyeOf(strand))), toneless);
const tonelessWhite = (strand: Strand): Spectrum =>
  withSpots(strand, reflectanceOf(WHITE_HAIR, depthAlone(dyeOf(strand, 'dyeOnWhite'))), tonelessWhite);

/** Level of the whole, white strands included: lightness with the tone of its dye taken out (L4). */
export const levelOfStrand = (strand: Strand): number =>
  levelOfReflectance(blendWhite(strand, toneless(strand), () => tonelessWhite(strand)));
/**
 * Level of the pigmented strands alone, as natural level is read (L3).
 * @rule L3
 */
export const levelOfPigmented = (strand: Strand): number => levelOfReflectance(toneless(strand));
/** Level of the white strands alone, whose only depth is the dye on them. */
export const levelOfWhite = (strand: Strand): number => levelOfReflectance(tonelessWhite(strand));
/** Level the natural pigment alone has reached, whatever lies over it. */
export const levelOfNaturalPigment = (strand: Strand): number =>
  levelOfReflectance(reflectanceOf(pigmentOf(strand)));

/** White strands further from the rest than this, ΔE2000, are seen as grey across a room. */
const GREY_SEEN = 15;
/** From this fraction on hair is white, and no other strands are there to be read. */
const ALL_WHITE_FROM = 0.95;
/** How far the white strands are from the others, ΔE2000; 0 where none are white. */
export const whiteApartBy = (strand: Strand): number =>
  strand.white > 0
    ? differenceOf(labOf(reflectanceOfPigmented(strand)), labOf(reflectanceOfWhite(strand)))
    : 0;
/** White strands stand out: level and tone are then read from the others alone (L3). */
export const greyShows = (strand: Strand): boolean =>
  strand.white < ALL_WHITE_FROM && whiteApartBy(strand) > GREY_SEEN;

/** What the eye reads off hair: level with the tone taken out, and the tone that is left; white that shows apart. */
export interface HairReading {
  /** Level, 1 to 12. */
  level: number;
  /** Family of the tone that shows. */
  tone: ToneFamily;
  /** 0 neutral, 1 a plain full tone. */
  strength: number;
}
/**
 * Level and tone as they are read; of hair whose white stands apart, from the others alone.
 *
 * @param whole Its colour in daylight, where it is known already.
 * @rule L4
 */
export function readStrand(strand: Strand, whole?: Lab): HairReading {
  const whiteApart = greyShows(strand);
  const level = whiteApart ? levelOfPigmented(strand) : levelOfStrand(strand);
  const lab = whiteApart ? labOf(reflectanceOfPigmented(strand)) : (whole ?? labOfStrand(strand));
  return { level, ...nameColour(lab, level) };
}
