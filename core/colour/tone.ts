import { z } from 'zod';
import type { Lab } from './lab';
import { lightnessOfLevel } from './level-scale';

// Bound once: these run millions of times in a search.
const { cos, floor, max, min, sin, sqrt } = Math;

/** Families of tone (T1), from neutral through the cool ones to the warm ones. */
export const TONE_FAMILIES = [
  'neutral',
  'ash',
  'violet',
  'matte',
  'pearl',
  'beige',
  'gold',
  'copper',
  'red',
  'mahogany',
  'warmBrown',
] as const;
export type ToneFamily = (typeof TONE_FAMILIES)[number];

interface ToneFacts {
  temperature: 'neutral' | 'cool' | 'warm';
  /**
   * Direction on the painter's circle of red 0°, yellow 120°, blue 240°, where opposites cancel (U2);
   * strength 0–1 of a plain, single-toned shade.
   */
  pigment: { degrees: number; strength: number };
  /**
   * What a full plain tone adds to the neutral of level 7, in a* and b*. Set by eye on drawn hair; how much darker that
   * makes the hair follows from it by {@link darkeningOf}.
   */
  shift: { a: number; b: number };
}

/**
 * @rule T1
 */
export const TONES: Record<ToneFamily, ToneFacts> = {
  neutral: { temperature: 'neutral', pigment: { degrees: 0, strength: 0 }, shift: { a: 0, b: 0 } },
  ash: { temperature: 'cool', pigment: { degrees: 240, strength: 1 }, shift: { a: -3, b: -8.5 } },
  violet: { temperature: 'cool', pigment: { degrees: 300, strength: 1 }, shift: { a: 2.5, b: -10 } },
  matte: { temperature: 'cool', pigment: { degrees: 180, strength: 1 }, shift: { a: -7, b: -1.5 } },
  pearl: { temperature: 'cool', pigment: { degrees: 270, strength: 0.5 }, shift: { a: -0.5, b: -6 } },
  beige: { temperature: 'warm', pigment: { degrees: 100, strength: 0.4 }, shift: { a: 1.5, b: 6.5 } },
  gold: { temperature: 'warm', pigment: { degrees: 105, strength: 1 }, shift: { a: 3, b: 14 } },
  copper: { temperature: 'warm', pigment: { degrees: 60, strength: 1 }, shift: { a: 15, b: 14 } },
  red: { temperature: 'warm', pigment: { degrees: 0, strength: 1 }, shift: { a: 20, b: 6 } },
  mahogany: { temperature: 'warm', pigment: { degrees: 330, strength: 1 }, shift: { a: 13, b: -4 } },
  warmBrown: { temperature: 'warm', pigment: { degrees: 45, strength: 0.6 }, shift: { a: 7, b: 5 } },
};

/** A tone as it stands on a label: primary, and a weaker secondary; a doubled tone is an intense version (T2). */
export const toneSchema = z.object({
  primary: z.enum(TONE_FAMILIES),
  secondary: z.enum(TONE_FAMILIES).optional(),
});
export type Tone = z.infer<typeof toneSchema>;

/**
 * Part of a label's tone that its primary and its secondary sign stand for (T2, F10): a secondary is a third, so that two
 * parts of a copper shade and one of a red make the same tone as one labelled copper with red.
 */
const PRIMARY = 2 / 3;
const SECONDARY = 1 / 3;
/** A doubled tone is half as strong again (T2). */
const DOUBLED = 1.5;

/** Families of a labelled tone, each with the fraction of its full strength that the label holds. */
export function partsOfTone({ primary, secondary }: Tone): readonly (readonly [ToneFamily, number])[] {
  if (secondary === undefined) return [[primary, 1]];
  if (secondary === primary) return [[primary, DOUBLED]];
  return [
    [primary, PRIMARY],
    [secondary, SECONDARY],
  ];
}

/** A point in the plane of the painter's circle: length is strength of tone, the origin is neutral. */
export interface ToneVector {
  /** First coordinate. */
  x: number;
  /** Second coordinate. */
  y: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;
/** A point of the painter’s circle from degrees and strength 0–1. */
export function toneVectorAt(degrees: number, strength: number): ToneVector {
  return { x: strength * cos(radians(degrees)), y: strength * sin(radians(degrees)) };
}

const LOAD = Object.fromEntries(
  TONE_FAMILIES.map((family) => [
    family,
    toneVectorAt(TONES[family].pigment.degrees, TONES[family].pigment.strength),
  ]),
) as Record<ToneFamily, ToneVector>;

/** The load a labelled tone brings, as a point of the painter's circle (T3). Neutral is the origin. */
export function toneVector(tone: Tone): ToneVector {
  const sum = { x: 0, y: 0 };
  for (const [family, fraction] of partsOfTone(tone)) {
    sum.x += fraction * LOAD[family].x;
    sum.y += fraction * LOAD[family].y;
  }
  return sum;
}

/** A tone other than plain neutral: over grey it needs the natural series beside it (F8). */
export const isFashion = ({ primary, secondary }: Tone) => primary !== 'neutral' || secondary !== undefined;
/** Whether a tone is on the warm side. */
export const isWarm = (tone: Tone) => TONES[tone.primary].temperature === 'warm';

/**
 * Hue in degrees and chroma of clean natural hair, levels 1 to 12: browns redder, blondes warmer than grey-beige (H34 of
 * the hair model's table). Levels 11 and 12 do not grow; they are what the palest toned hair looks like.
 */
const NATURAL_HUE = [54, 56, 58, 61, 65, 68, 71, 73, 75, 76, 80, 88];
const NATURAL_CHROMA = [4, 5.5, 7.3, 10, 12, 13.5, 15.4, 17, 17.8, 16.5, 14.5, 11.5];
const LEVELS = NATURAL_HUE.length;

function alongLevels(table: readonly number[], level: number): number {
  const at = min(LEVELS - 1, max(0, level - 1));
  const i = min(LEVELS - 2, floor(at));
  return table[i] + (at - i) * (table[i + 1] - table[i]);
}

/** Colour of clean, natural-looking neutral hair of a level, 1 to 12 with fractions, daylight. */
export function neutralLab(level: number): Lab {
  const hue = radians(alongLevels(NATURAL_HUE, level));
  const chroma = alongLevels(NATURAL_CHROMA, level);
  return { l: lightnessOfLevel(level), a: chroma * cos(hue), b: chroma * sin(hue) };
}

/**
 * Directions in which blue, red and yellow dye move hair in a* and b* (unit vectors), and the L* it loses for each unit of
 * that way. Nearly the same at every level; taken from the absorption of the dyes (`hair/pigment.ts`), which a test
 * holds them against.
 */
export const DYE_WAYS = {
  blue: { a: -0.747, b: -0.665, darkens: 0.39 },
  red: { a: 0.994, b: -0.109, darkens: 0.38 },
  yellow: { a: -0.193, b: 0.981, darkens: 0.045 },
} as const;
type Primary = keyof typeof DYE_WAYS;
const NEIGHBOURS: readonly (readonly [Primary, Primary])[] = [
  ['blue', 'red'],
  ['red', 'yellow'],
  ['yellow', 'blue'],
];

/** A departure in a* and b* as the ways of the two dyes it lies between; lengths in the units of a* and b*. */
export function dyesOfShift({ a, b }: Pick<Lab, 'a' | 'b'>): Record<Primary, number> {
  for (const [name, other] of NEIGHBOURS) {
    const [u, v] = [DYE_WAYS[name], DYE_WAYS[other]];
    const det = u.a * v.b - u.b * v.a;
    const ofOne = (a * v.b - b * v.a) / det;
    const ofOther = (u.a * b - u.b * a) / det;
    if (ofOne >= -1e-9 && ofOther >= -1e-9)
      return { blue: 0, red: 0, yellow: 0, [name]: max(0, ofOne), [other]: max(0, ofOther) };
  }
  return { blue: 0, red: 0, yellow: 0 };
}

/**
 * Part of a cool tone's darkening that is left at level 9 and lighter. Pale cool hair is pale because its own yellow was
 * cancelled, not because dye was piled on it; in the dark a cool tone is all dye. Judgement.
 */
const PALE_COOL = 0.3;
const coolDarkens = (level: number) => 1 - (1 - PALE_COOL) * min(1, max(0, (level - 5) / 4));

/**
 * L* that a departure from the neutral of a level costs: a tone is made of dye, and dye darkens. A red 6 is darker than a
 * natural 6 and is a 6 all the same (L4). The departure is split between the two dyes it lies between.
 */
export function darkeningOf({ a, b }: Pick<Lab, 'a' | 'b'>, level: number): number {
  const { blue, red, yellow } = dyesOfShift({ a, b });
  const cost = blue * DYE_WAYS.blue.darkens + red * DYE_WAYS.red.darkens + yellow * DYE_WAYS.yellow.darkens;
  return blue > 0 ? cost * coolDarkens(level) : cost;
}

/** Tone shows less where there is little light to carry it; pale hair shows a cool tone at once. */
const visibility = (lStar: number) => min(1.05, sqrt(max(0, lStar - 4) / 41));

/** What hair of a level looks like with a tone on it, in daylight: the colour a target is drawn in. */
export function toneLab(level: number, tone: Tone): Lab {
  const neutral = neutralLab(level);
  const shown = visibility(neutral.l);
  const shift = { a: 0, b: 0 };
  for (const [family, fraction] of partsOfTone(tone)) {
    shift.a += fraction * shown * TONES[family].shift.a;
    shift.b += fraction * shown * TONES[family].shift.b;
  }
  return { l: neutral.l - darkeningOf(shift, level), a: neutral.a + shift.a, b: neutral.b + shift.b };
}
