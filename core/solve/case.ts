import { z } from 'zod';
import { toneSchema } from '../colour';
import { DENSITIES, SERVICES, naturalLevelSchema, zoneSchema } from '../hair';

/** One head of one zone, a wish, and the line to reach it with. */
export const caseSchema = z.object({
  client: z.object({ name: z.string().trim().min(1).max(60), note: z.string().trim().max(600).default('') }),
  zone: zoneSchema,
  service: z.enum(SERVICES),
  density: z.enum(DENSITIES),
  /** One bowl of colour reaches 10 at the lightest; 11 and 12 take high-lift or lightener on light hair (L1). */
  target: z.object({ level: naturalLevelSchema, tone: toneSchema }),
  lineId: z.string().min(1),
});
export type Case = z.infer<typeof caseSchema>;
