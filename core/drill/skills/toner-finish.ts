import { TONES, type ToneFamily } from '../../colour';

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
export const NEAR = 8;

/** A finish on the other side of neutral is not near, however little it differs. */
export const areOpposite = (one: ToneFamily, other: ToneFamily) =>
  [one, other]
    .map((tone) => TONES[tone].temperature)
    .sort()
    .join() === 'cool,warm';
