/**
 * Level is lightness alone (L1): anchors are the L* (daylight) of each whole level, starting at level 1; between
 * anchors it is linear. They were set by eye against drawn hair, dark steps closer together. Both schools share the
 * first ten; one calls everything lighter 10, the other goes on to 11 and 12.
 * @rule L1
 */
export const LEVEL_ANCHORS: readonly number[] = [12, 16, 20.5, 25.5, 31, 37.5, 45, 53.5, 62.5, 72, 78.5, 84];

export const LEVEL_SCALES = ['ten', 'twelve'] as const;
export type LevelScale = (typeof LEVEL_SCALES)[number];
const TOP: Record<LevelScale, number> = { ten: 10, twelve: 12 };
/** Highest level of a scale. */
export const topLevel = (scale: LevelScale) => TOP[scale];
/** Beyond this level hair has to have been light before, and only the longer scale has numbers (L1). */
export const TOP_OF_TEN = TOP.ten;

/** A level as a school names it: on a scale of ten nothing is lighter than 10. */
export const namedLevel = (level: number, scale: LevelScale) => Math.min(topLevel(scale), Math.max(1, level));

/** L* of a level; levels outside the scale continue its end slope, so that arithmetic never falls off an edge. */
export function lightnessOfLevel(level: number): number {
  const i = Math.min(LEVEL_ANCHORS.length - 2, Math.max(0, Math.floor(level) - 1));
  return LEVEL_ANCHORS[i] + (level - (i + 1)) * (LEVEL_ANCHORS[i + 1] - LEVEL_ANCHORS[i]);
}

/** The inverse of {@link lightnessOfLevel}: a level, with fractions, from an L*. */
export function levelOfLightness(lStar: number): number {
  let i = 0;
  while (i < LEVEL_ANCHORS.length - 2 && lStar > LEVEL_ANCHORS[i + 1]) i++;
  return i + 1 + (lStar - LEVEL_ANCHORS[i]) / (LEVEL_ANCHORS[i + 1] - LEVEL_ANCHORS[i]);
}

/** Levels are read to the half (L1). */
export const toHalfLevel = (level: number) => Math.round(level * 2) / 2;
