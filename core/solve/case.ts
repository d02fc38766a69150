import { z } from 'zod';
import { TONE_FAMILIES } from '../colour';
import { DENSITIES, SERVICES, levelSchema, zoneSchema } from '../hair';

export const toneSchema = z.object({
  primary: z.enum(TONE_FAMILIES),
  secondary: z.enum(TONE_FAMILIES).optional(),
});

/** One head of one zone, a wish, and the line to reach it with. */
export const caseSchema = z.object({
  client: z.object({ name: z.string().trim().min(1).max(60), note: z.string().trim().max(600).default('') }),
  zone: zoneSchema,
  service: z.enum(SERVICES),
  density: z.enum(DENSITIES),
  target: z.object({ level: levelSchema, tone: toneSchema }),
  lineId: z.string().min(1),
});
export type Case = z.infer<typeof caseSchema>;
