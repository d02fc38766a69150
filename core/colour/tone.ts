import { lightnessOfLevel } from './level-scale';
import { z } from 'zod';
import type { Lab } from './lab';

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
  /** What a full plain tone adds to the neutral of level 7 in CIELAB. Set by eye on drawn hair. */
  shift: { a: number; b: number };
}

export const TONES: Record<ToneFamily, ToneFacts> = {
  neutral: { temperature: 'neutral', pigment: { degrees: 0, strength: 0 }, shift: { a: 0, b: 0 } },
  ash: { temperature: 'cool', pigment: { degrees: 240, strength: 1 }, shift: { a: -3, b: -8.5 } },
  violet: { temperature: 'cool', pigment: { degrees: 300, strength: 1 }, shift: { a: 2.5, b: -10 } },
  matte: { temperature: 'cool', pigment: { degrees: 180, strength: 1 }, shift: { a: -7, b: -1.5 } },
  pearl: { temperature: 'cool', pigment: { degrees: 270, strength: 0.5 }, shift: { a: -0.5, b: -6 } },
  beige: { temperature: 'warm', pigment: { degrees: 100, strength: 0.4 }, shift: { a: 1.5, b: 6.5 } },
  gold: { temperature: 'warm', pigment: { degrees: 105, strength: 1 }, shift: { a: 3, b: 14 } },
  copper: { temperature: 'warm', pigment: { degrees: 60, strength: 1 }, shift: { a: 17, b: 15 } },
  red: { temperature: 'warm', pigment: { degrees: 0, strength: 1 }, shift: { a: 24, b: 7 } },
  mahogany: { temperature: 'warm', pigment: { degrees: 330, strength: 1 }, shift: { a: 15, b: -6 } },
  warmBrown: { temperature: 'warm', pigment: { degrees: 45, strength: 0.6 }, shift: { a: 7, b: 5 } },
};

/** A tone as it stands on a label: primary, and a weaker secondary; a doubled tone is an intense version (T2). */
export const toneSchema = z.object({
  primary: z.enum(TONE_FAMILIES),
  secondary: z.enum(TONE_FAMILIES).optional(),
});
export type Tone = z.infer<typeof toneSchema>;

/** How much each part of a label counts: a secondary is half a primary; a doubled tone is half as strong again. */
const PRIMARY = 1;
const SECONDARY = 0.5;

/** A point in the plane of the painter's circle: length is strength of tone, the origin is neutral. */
export interface ToneVector {
  x: number;
  y: number;
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;
export function toneVectorAt(degrees: number, strength: number): ToneVector {
  return { x: strength * Math.cos(radians(degrees)), y: strength * Math.sin(radians(degrees)) };
}

const LOAD = Object.fromEntries(
  TONE_FAMILIES.map((family) => [
    family,
    toneVectorAt(TONES[family].pigment.degrees, TONES[family].pigment.strength),
  ]),
) as Record<ToneFamily, ToneVector>;

/** The load a labelled tone brings, as a point of the painter's circle (T3). Neutral is the origin. */
export function toneVector(tone: Tone): ToneVector {
  const main = LOAD[tone.primary];
  const second = tone.secondary ? LOAD[tone.secondary] : LOAD.neutral;
  return { x: PRIMARY * main.x + SECONDARY * second.x, y: PRIMARY * main.y + SECONDARY * second.y };
}

/** A tone other than plain neutral: over grey it needs the natural series beside it (F8). */
export const isFashion = ({ primary, secondary }: Tone) => primary !== 'neutral' || secondary !== undefined;
export const isWarm = (tone: Tone) => TONES[tone.primary].temperature === 'warm';

/** Colour of clean, natural-looking neutral hair of a level: little chroma in the dark, most in the middle. */
export function neutralLab(level: number): Lab {
  const l = lightnessOfLevel(level);
  const chroma = Math.min(14, 3 + 2 * level) * (level > 8 ? 1 - 0.08 * (level - 8) : 1);
  const hue = radians(Math.min(83, 56 + 3 * level));
  return { l, a: chroma * Math.cos(hue), b: chroma * Math.sin(hue) };
}

/** Tone shows less where there is little light to carry it; pale hair shows a cool tone at once. */
const visibility = (lStar: number) => Math.min(1.05, Math.sqrt(Math.max(0, lStar - 4) / 41));

/** What hair of a level looks like with a tone on it, in daylight: the colour a target is drawn in. */
export function toneLab(level: number, tone: Tone): Lab {
  const neutral = neutralLab(level);
  const shown = visibility(neutral.l);
  const add = (family: ToneFamily | undefined, share: number) =>
    family
      ? { a: TONES[family].shift.a * share * shown, b: TONES[family].shift.b * share * shown }
      : { a: 0, b: 0 };
  const main = add(tone.primary, PRIMARY);
  const second = add(tone.secondary, SECONDARY);
  return { l: neutral.l, a: neutral.a + main.a + second.a, b: neutral.b + main.b + second.b };
}
