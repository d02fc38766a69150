/**
 * What deceives the eye when a level is read, and which way (L2, L4): each by about half a level, so hair is read clean and
 * dry, in neutral light, against a neutral surround, a thin fan of strands.
 * @rule L2
 */
export const DECEIVES = {
  warmTone: 'lighter',
  coolTone: 'darker',
  shine: 'darker',
  wet: 'darker',
  dryDust: 'lighter',
} as const;
export type Deceiver = keyof typeof DECEIVES;
/** Levels by which each of them deceives, about. */
export const DECEIVES_BY_LEVELS = 0.5;
