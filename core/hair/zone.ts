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
