import { z } from 'zod';

export const POROSITIES = ['low', 'normal', 'high'] as const;
export const DIAMETERS = ['veryFine', 'fine', 'medium', 'coarse'] as const;
export const DENSITIES = ['sparse', 'medium', 'dense'] as const;
export const APPLICATION_AREAS = ['retouch', 'shortAllOver', 'shoulderAllOver', 'longAllOver'] as const;

/** Levels stand in halves, 1 to 10. Shares run 0 to 1 in steps of a tenth or quarter as they are read (L3). */
/** A level of hair, read to the half (L1). Which of them a class has numbers for is its house rule. */
export const levelSchema = z.number().min(1).max(12).multipleOf(0.5);
/** Hair grows at 10 at the lightest; 11 and 12 are only ever reached (L1). */
export const naturalLevelSchema = levelSchema.max(10);
export const shareSchema = z.number().min(0).max(1);

/** One zone of hair that has never been coloured. */
export const zoneSchema = z.object({
  naturalLevel: naturalLevelSchema,
  greyShare: shareSchema,
  porosity: z.enum(POROSITIES),
  diameter: z.enum(DIAMETERS),
});
export type Zone = z.infer<typeof zoneSchema>;

export type Porosity = (typeof POROSITIES)[number];
export type Diameter = (typeof DIAMETERS)[number];
export type Density = (typeof DENSITIES)[number];
export type Service = (typeof APPLICATION_AREAS)[number];

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

/**
 * Everything a picture of a lock is drawn from. The hair model fills it from the state of a strand; nothing else about
 * the hair is needed, so the model can change without the drawing knowing.
 */
export const HAIR_FORMS = ['straight', 'wavy', 'curly', 'coily', 'tightlyCoiled'] as const;
export type HairForm = (typeof HAIR_FORMS)[number];

export const DENSITY_FACTOR: Record<Density, number> = { sparse: 0.8, medium: 1, dense: 1.3 };
