/**
 * Level is lightness alone (L1). A scale is a list of anchors: the L* (daylight) of each whole level, starting at
 * level 1; between anchors it is linear. Anchors were set by eye against drawn hair, dark steps closer together.
 */
export type ScaleId = 'ten' | 'twelve';

const TEN = [12, 16, 20.5, 25.5, 31, 37.5, 45, 53.5, 62.5, 72];
export const LEVEL_ANCHORS: Record<ScaleId, readonly number[]> = { ten: TEN, twelve: [...TEN, 78.5, 84] };

export const topLevel = (scale: ScaleId) => LEVEL_ANCHORS[scale].length;

/** L* of a level; levels outside the scale continue its end slope, so that arithmetic never falls off an edge. */
export function lightnessOfLevel(level: number, scale: ScaleId = 'ten'): number {
  const anchors = LEVEL_ANCHORS[scale];
  const i = Math.min(anchors.length - 2, Math.max(0, Math.floor(level) - 1));
  return anchors[i] + (level - (i + 1)) * (anchors[i + 1] - anchors[i]);
}

/** The inverse of {@link lightnessOfLevel}: a level, with fractions, from an L*. */
export function levelOfLightness(lStar: number, scale: ScaleId = 'ten'): number {
  const anchors = LEVEL_ANCHORS[scale];
  let i = 0;
  while (i < anchors.length - 2 && lStar > anchors[i + 1]) i++;
  return i + 1 + (lStar - anchors[i]) / (anchors[i + 1] - anchors[i]);
}

/** Levels are read to the half (L1). */
export const toHalfLevel = (level: number) => Math.round(level * 2) / 2;
