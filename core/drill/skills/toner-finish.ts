import { type ToneFamily, TONES, isWarm } from '../../colour';
import type { HairReading } from '../../hair';
import type { Shade } from '../../product';
import type { Draw } from '../random-draw';

/** Low-strength lines that toners are taken from, and the kind of each. */
export const TONER_LINES = { quillet: 'demi', pellow: 'acidGloss' } as const;
export type TonerLine = keyof typeof TONER_LINES;
/** Finishes that are asked for. */
export const WISHES: readonly ToneFamily[] = ['neutral', 'ash', 'violet', 'pearl', 'beige', 'gold'];
/** How near a finish has to come to be as wished, ΔE2000. */
export const AS_WISHED = 6;
/** Levels the right one may shift the hair by: more would not be the finish that was asked for. */
export const MOST_SHIFT = 0.24;
/** A finish this near, within a level, is near the wish though not it. */
const NEAR = 8;

/** A finish on the other side of neutral is not near, however little it differs. */
const areOpposite = (family: ToneFamily, other: ToneFamily) =>
  [family, other]
    .map((tone) => TONES[tone].temperature)
    .sort()
    .join() === 'cool,warm';

/** The level that is left, to the half: a toner never lightens, so what its tone hides of the depth is no lift (F4, L4). */
export const levelLeft = (reading: HairReading, hair: number): number =>
  Math.min(hair, Math.round(reading.level * 2) / 2);

/** Whether a finish is near the wish, though it need not be it: little apart, within a level, and on its side of neutral. */
export const comesNear = (deltaE: number, reading: HairReading, level: number, wish: ToneFamily) =>
  deltaE <= NEAR && Math.abs(reading.level - level) <= 1 && !areOpposite(reading.tone, wish);

/**
 * The mistakes people make, two of each kind and the first of every kind before any second: the label that reads like the
 * wish, lighter than the hair, the other side of neutral, deeper.
 */
export function mistakesAmong<T extends { shade: Shade }>(
  wrong: readonly T[],
  level: number,
  wish: ToneFamily,
  draw: Draw,
): T[] {
  const kinds = [
    wrong.filter(({ shade }) => shade.level === level && shade.tone.primary === wish),
    wrong.filter(({ shade }) => shade.level! > level && shade.tone.primary === wish),
    wrong.filter(({ shade }) => shade.level === level && isWarm(shade.tone)),
    wrong.filter(({ shade }) => shade.level === level && !isWarm(shade.tone)),
    wrong.filter(({ shade }) => shade.level! < level && shade.tone.primary === wish),
  ].map((some) => draw.shuffled(some));
  return [...new Set([0, 1].flatMap((i) => kinds.flatMap((some) => some.slice(i, i + 1))))];
}
