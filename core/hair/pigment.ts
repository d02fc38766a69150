import {
  type Lab,
  type Light,
  type Spectrum,
  BANDS,
  labOf,
  lightnessOfLevel,
  spectrum,
  type ScaleId,
} from '../colour';

/**
 * Optical density of the pigments in a strand, dimensionless (1 of a kind darkens by 1/e at its reference):
 * brown-black (broad), red and yellow, in the order they leave when hair lightens (U1).
 */
export interface NaturalPigment {
  brownBlack: number;
  red: number;
  yellow: number;
}

/**
 * Absorption shapes. Brown-black falls with a power of the wavelength, as melanin does; the exponent was fitted so
 * that natural hair keeps a chroma under 18 at every level. Red and yellow are smooth edges, placed so that hair
 * being lightened walks red-brown, red-orange, orange, gold, yellow, palest yellow. Keratin is a faint yellow.
 */
const edge = (nm: number, centre: number, width: number) => 1 / (1 + Math.exp((nm - centre) / width));
const BROWN_BLACK = spectrum((nm) => (nm / 550) ** -1.3);
const RED = spectrum((nm) => edge(nm, 588, 14));
const YELLOW = spectrum((nm) => edge(nm, 492, 16));
const KERATIN = spectrum((nm) => 0.05 * (nm / 450) ** -3);

/** Surface share, white of an unpigmented strand, and the split of light over a short and a long path inside. */
const SURFACE = 0.01;
const WHITE = 0.68;
const SHORT_PATH_SHARE = 0.6;
const LONG_PATH = 2.1;

/** Reflectance 0–1 per band of a strand with this pigment: Beer–Lambert over two path lengths, plus the surface. */
export function reflectanceOf({ brownBlack, red, yellow }: NaturalPigment): Spectrum {
  const out = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) {
    const k = KERATIN[i] + brownBlack * BROWN_BLACK[i] + red * RED[i] + yellow * YELLOW[i];
    const inside = SHORT_PATH_SHARE * Math.exp(-k) + (1 - SHORT_PATH_SHARE) * Math.exp(-LONG_PATH * k);
    out[i] = SURFACE + (WHITE - SURFACE) * inside;
  }
  return out;
}

/** Natural hair hides its red and yellow behind the brown-black; these shares keep hue within 45–85° above level 3. */
const withNaturalWarmth = (brownBlack: number): NaturalPigment => ({
  brownBlack,
  red: 0.04 * brownBlack,
  yellow: 0.06 * brownBlack,
});

/** The pigment of untouched hair of a level. Bisection: L* falls strictly as brown-black rises. */
export function naturalPigment(level: number, scale: ScaleId = 'ten'): NaturalPigment {
  const wanted = lightnessOfLevel(level, scale);
  let low = 0;
  let high = 40;
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (labOf(reflectanceOf(withNaturalWarmth(middle))).l > wanted) low = middle;
    else high = middle;
  }
  return withNaturalWarmth((low + high) / 2);
}

export const WHITE_HAIR: NaturalPigment = { brownBlack: 0, red: 0, yellow: 0 };

/** What untouched hair looks like; white strands are left out here and drawn as strands of their own. */
export function naturalLab(level: number, light: Light = 'daylight'): Lab {
  return labOf(reflectanceOf(naturalPigment(level)), light);
}

export const whiteHairLab = (light: Light = 'daylight') => labOf(reflectanceOf(WHITE_HAIR), light);
