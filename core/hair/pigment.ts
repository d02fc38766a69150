import { type Lab, type Light, type Spectrum, BANDS, labOf, lightnessOfLevel, spectrum } from '../colour';

// The hot loop of every colour; a name of its own is looked up faster than a property of Math.
const { exp, max } = Math;

/**
 * Optical density of the pigments a strand was born with, dimensionless (1 of a kind darkens by 1/e at its reference):
 * brown-black (broad), red and yellow, in the order they leave when hair lightens (U1).
 */
export interface NaturalPigment {
  brownBlack: number;
  red: number;
  yellow: number;
}

/**
 * What colour leaves in the hair, as optical density: couplers of oxidative colour, ready-made direct dyes, and how much
 * of the bared natural red and yellow it hides. Hiding is how opposites cancel without turning hair dark (U2): dye alone
 * would cost fifteen L* to neutralise a yellow 9, where a toner costs less than four. Filling puts bared warmth back, so
 * that colour laid over it has something to hide (F6).
 */
export const DYES = [
  'brown',
  'blue',
  'red',
  'yellow',
  'directBlue',
  'directGreen',
  'directViolet',
  'directPink',
  'directYellow',
  'hidesRed',
  'hidesYellow',
  'fillsRed',
  'fillsYellow',
] as const;
export type DyeName = (typeof DYES)[number];
export type Dye = Record<DyeName, number>;
export const NO_DYE: Dye = {
  brown: 0,
  blue: 0,
  red: 0,
  yellow: 0,
  directBlue: 0,
  directGreen: 0,
  directViolet: 0,
  directPink: 0,
  directYellow: 0,
  hidesRed: 0,
  hidesYellow: 0,
  fillsRed: 0,
  fillsYellow: 0,
};
export const isDirect = (name: DyeName) => name.startsWith('direct');
/** Dye that is there as such; what hides or puts back warmth does not count as colour on the hair. */
export const isColour = (name: DyeName) => !name.startsWith('hides') && !name.startsWith('fills');

/**
 * Absorption shapes. Brown-black falls with a power of the wavelength, as melanin does; the exponent was fitted so
 * that natural hair keeps a chroma under 18 at every level. Red and yellow are smooth edges, placed so that hair
 * being lightened walks red-brown, red-orange, orange, gold, yellow, palest yellow. Keratin is a faint yellow.
 * Dyes are bells at the complement of their name, widths typical of dye molecules; brown is a balanced blend.
 */
const edge = (nm: number, centre: number, width: number) => 1 / (1 + exp((nm - centre) / width));
const bell = (nm: number, centre: number, width: number) => exp(-0.5 * ((nm - centre) / width) ** 2);
export const BROWN_BLACK = spectrum((nm) => (nm / 550) ** -1.3);
export const RED = spectrum((nm) => edge(nm, 602, 14));
export const YELLOW = spectrum((nm) => edge(nm, 492, 16));
export const KERATIN = spectrum((nm) => 0.05 * (nm / 450) ** -3);
/** The names that absorb light by themselves. */
type Absorbing = Exclude<DyeName, 'hidesRed' | 'hidesYellow' | 'fillsRed' | 'fillsYellow'>;
export const DYE_SHAPES: Record<Absorbing, Spectrum> = {
  brown: BROWN_BLACK,
  blue: spectrum((nm) => bell(nm, 608, 48)),
  red: spectrum((nm) => bell(nm, 520, 42)),
  yellow: spectrum((nm) => bell(nm, 445, 38)),
  directBlue: spectrum((nm) => bell(nm, 635, 55)),
  directGreen: spectrum((nm) => bell(nm, 650, 45) + 0.8 * bell(nm, 430, 35)),
  directViolet: spectrum((nm) => bell(nm, 565, 45)),
  directPink: spectrum((nm) => bell(nm, 535, 30)),
  directYellow: spectrum((nm) => bell(nm, 440, 35)),
};

const ABSORBING = Object.keys(DYE_SHAPES) as Absorbing[];

/** Surface share, white of an unpigmented strand, and the split of light over a short and a long path inside. */
export const SURFACE = 0.01;
export const WHITE = 0.68;
export const SHORT_PATH_SHARE = 0.6;
export const LONG_PATH = 2.1;

/** Share of a surplus of hidden red that hides yellow instead. Fitted to natural shades over their own lift. */
const SURPLUS_HIDES = 0.9;

/** Absorption per band of pigment and dye, the keratin included. */
export function absorptionOf(natural: NaturalPigment, dye: Dye = NO_DYE): Spectrum {
  const { brownBlack } = natural;
  const red = natural.red + dye.fillsRed;
  const yellow = natural.yellow + dye.fillsYellow;
  const k = new Float64Array(BANDS);
  const seenRed = max(0, red - dye.hidesRed);
  // What was made for more red than there is goes on to the yellow: a deep shade on hair lifted past it.
  const surplus = SURPLUS_HIDES * max(0, dye.hidesRed - red);
  const seenYellow = max(0, yellow - dye.hidesYellow - surplus);
  for (let i = 0; i < BANDS; i++)
    k[i] = KERATIN[i] + brownBlack * BROWN_BLACK[i] + seenRed * RED[i] + seenYellow * YELLOW[i];
  for (const name of ABSORBING) {
    const amount = dye[name];
    if (amount === 0) continue;
    const shape = DYE_SHAPES[name];
    for (let i = 0; i < BANDS; i++) k[i] += amount * shape[i];
  }
  return k;
}

/** Share of light that comes back at an absorption k: Beer–Lambert over two path lengths, plus the surface. */
export const reflectedAt = (k: number) =>
  SURFACE + (WHITE - SURFACE) * (SHORT_PATH_SHARE * exp(-k) + (1 - SHORT_PATH_SHARE) * exp(-LONG_PATH * k));

/** Reflectance 0–1 per band of a strand. */
export function reflectanceOf(pigment: NaturalPigment, dye: Dye = NO_DYE): Spectrum {
  return absorptionOf(pigment, dye).map(reflectedAt);
}

/** Natural hair hides its red and yellow behind the brown-black; these shares keep hue within 45–85° above level 3. */
export const withNaturalWarmth = (brownBlack: number): NaturalPigment => ({
  brownBlack,
  red: 0.04 * brownBlack,
  yellow: 0.06 * brownBlack,
});

/** Brown-black of untouched hair of a level. Bisection: L* falls strictly as brown-black rises. */
function solveBrownBlack(level: number): number {
  const wanted = lightnessOfLevel(level);
  let low = 0;
  let high = 40;
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (labOf(reflectanceOf(withNaturalWarmth(middle))).l > wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const solved = new Map<number, number>();
export function brownBlackOfLevel(level: number): number {
  const known = solved.get(level);
  if (known !== undefined) return known;
  const made = solveBrownBlack(level);
  if (solved.size < 4000) solved.set(level, made);
  return made;
}

/** The pigment of untouched hair of a level. */
export const naturalPigment = (level: number) => withNaturalWarmth(brownBlackOfLevel(level));

export const WHITE_HAIR: NaturalPigment = { brownBlack: 0, red: 0, yellow: 0 };

/** What untouched hair looks like; white strands are left out here and drawn as strands of their own. */
export function naturalLab(level: number, light: Light = 'daylight'): Lab {
  return labOf(reflectanceOf(naturalPigment(level)), light);
}

export const whiteHairLab = (light: Light = 'daylight') => labOf(reflectanceOf(WHITE_HAIR), light);
