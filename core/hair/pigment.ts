import {
  spectrum,
  type Spectrum,
  BANDS,
  OBSERVER_WEIGHTS,
  type Light,
  levelOfLightness,
  type Lab,
  labOf,
} from '../colour';
import { type DyeName, type Dye, NO_DYE, DYES } from './dye';

// The hot loop of every colour; a name of its own is looked up faster than a property of Math.
const { exp } = Math;

/**
 * Optical density of the pigments a strand was born with, dimensionless (1 of a kind darkens by 1/e at its reference):
 * brown-black (broad), red and yellow, in the order they leave when hair lightens (U1).
 */
export interface NaturalPigment {
  readonly brownBlack: number;
  /** Red, optical density. */
  readonly red: number;
  /** Yellow, optical density. */
  readonly yellow: number;
}

/**
 * Absorption shapes. Brown-black falls with a power of the wavelength, as melanin does; in hair, where light is scattered
 * as well, more gently than in solution. The exponent was fitted to the hue and chroma of natural hair (H34). Red and
 * yellow are smooth edges, placed so that hair being lightened walks red-brown, red-orange, orange, gold, yellow, palest
 * yellow (H2). Keratin is a faint yellow. Dyes are bells at the complement of their name, widths typical of dye
 * molecules; brown is brown-black with the red and yellow that natural brown hair has beside it.
 */
const edge = (nm: number, centre: number, width: number) => 1 / (1 + exp((nm - centre) / width));
const bell = (nm: number, centre: number, width: number) => exp(-0.5 * ((nm - centre) / width) ** 2);
export const BROWN_BLACK = spectrum((nm) => (nm / 550) ** -0.8);
export const RED = spectrum((nm) => edge(nm, 602, 14));
export const YELLOW = spectrum((nm) => edge(nm, 492, 16));
export const KERATIN = spectrum((nm) => 0.05 * (nm / 450) ** -3);
/** Red and yellow beside brown-black in a brown dye: as in natural hair of level 6. */
const BROWN_RED = 0.19;
const BROWN_YELLOW = 0.15;
const DYE_SHAPES: Record<DyeName, Spectrum> = {
  brown: spectrum(
    (nm) => (nm / 550) ** -0.8 + BROWN_RED * edge(nm, 602, 14) + BROWN_YELLOW * edge(nm, 492, 16),
  ),
  blue: spectrum((nm) => bell(nm, 620, 45)),
  red: spectrum((nm) => bell(nm, 508, 36)),
  yellow: spectrum((nm) => bell(nm, 440, 34)),
  directBlue: spectrum((nm) => bell(nm, 635, 55)),
  directGreen: spectrum((nm) => bell(nm, 650, 45) + 0.8 * bell(nm, 430, 35)),
  directViolet: spectrum((nm) => bell(nm, 565, 45)),
  directPink: spectrum((nm) => bell(nm, 535, 30)),
  directYellow: spectrum((nm) => bell(nm, 440, 35)),
};

/** Surface share, white of an unpigmented strand, and the split of light over a short and a long path inside. */
const SURFACE = 0.01;
export const WHITE = 0.68;
const SHORT_PATH_SHARE = 0.6;
const LONG_PATH = 2.1;

/** Absorption per band of natural pigment and dye, the keratin included. More of anything never absorbs less. */
function absorptionOf({ brownBlack, red, yellow }: NaturalPigment, dye: Dye = NO_DYE): Spectrum {
  const k = new Float64Array(BANDS);
  for (let i = 0; i < k.length; i++)
    k[i] = KERATIN[i] + brownBlack * BROWN_BLACK[i] + red * RED[i] + yellow * YELLOW[i];
  for (const name of DYES) {
    const amount = dye[name];
    if (amount === 0) continue;
    const shape = DYE_SHAPES[name];
    for (let i = 0; i < k.length; i++) k[i] += amount * shape[i];
  }
  return k;
}

/** Share of light that comes back at an absorption k: Beer–Lambert over two path lengths, plus the surface. */
const reflectedAt = (k: number) =>
  SURFACE + (WHITE - SURFACE) * (SHORT_PATH_SHARE * exp(-k) + (1 - SHORT_PATH_SHARE) * exp(-LONG_PATH * k));

/** Reflectance 0–1 per band of a strand. */
export function reflectanceOf(pigment: NaturalPigment, dye: Dye = NO_DYE): Spectrum {
  const k = absorptionOf(pigment, dye);
  for (let i = 0; i < k.length; i++) k[i] = reflectedAt(k[i]);
  return k;
}

/** CIELAB's lightness from relative luminance (CIE 15). */
const lightnessOfLuminance = (y: number) => (y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y);

/** Level of hair by the lightness of its reflectance alone; the quick way where hue does not matter. */
export function levelOfReflectance(reflectance: Spectrum): number {
  const { y, white } = OBSERVER_WEIGHTS.daylight;
  let sum = 0;
  for (let i = 0; i < reflectance.length; i++) sum += reflectance[i] * y[i];
  return levelOfLightness(lightnessOfLuminance(sum / white.y));
}

/**
 * The level of a pigment and dye by how much brown is laid over it, optical density: what does not change is reckoned once,
 * as a shade's brown is sought by trying.
 */
export function levelByBrown(pigment: NaturalPigment, under: Dye): (brown: number) => number {
  const k = absorptionOf(pigment, under);
  const shape = DYE_SHAPES.brown;
  const { y, white } = OBSERVER_WEIGHTS.daylight;
  return (brown) => {
    let sum = 0;
    for (let i = 0; i < k.length; i++) sum += reflectedAt(k[i] + brown * shape[i]) * y[i];
    return levelOfLightness(lightnessOfLuminance(sum / white.y));
  };
}

export const WHITE_HAIR: NaturalPigment = { brownBlack: 0, red: 0, yellow: 0 };
/** Colour of white hair in daylight. */
export const whiteHairLab = (light: Light = 'daylight'): Lab => labOf(reflectanceOf(WHITE_HAIR), light);
