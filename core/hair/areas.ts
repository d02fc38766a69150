/** Areas of the scalp, from the face to the neck (A4, L3, C7). */
export const AREAS = ['hairline', 'temples', 'top', 'sides', 'crown', 'back', 'nape'] as const;
export type Area = (typeof AREAS)[number];

/** Front and back of the line from ear to ear over the highest point; each is parted once more along the middle (A4). */
export const HALVES = ['front', 'back'] as const;

/**
 * Fraction 0–1 of the hair that each area bears on a head of even density, and the half of the head it lies in.
 * Judgement, from how the sections of a haircut are weighed; the fractions add up to 1.
 */
export const AREA_BEARS: Record<Area, { fraction: number; half: (typeof HALVES)[number] }> = {
  hairline: { fraction: 0.06, half: 'front' },
  temples: { fraction: 0.06, half: 'front' },
  top: { fraction: 0.2, half: 'front' },
  sides: { fraction: 0.18, half: 'front' },
  crown: { fraction: 0.14, half: 'back' },
  back: { fraction: 0.22, half: 'back' },
  nape: { fraction: 0.14, half: 'back' },
};

/** Fraction 0–1 of the head that some areas are, each counted once; all of them are 1, whatever adding up makes of it. */
export const fractionOfHead = (areas: readonly Area[]): number => {
  const sum = [...new Set(areas)].reduce((all, area) => all + AREA_BEARS[area].fraction, 0);
  return Math.round(sum * 1e9) / 1e9;
};
