import { z } from 'zod';
import { lineSchema, type Line } from '@cimbel/core/product';

/** A line as it is entered: its id and version are the server's to give. */
export const shadeBookWriteSchema = z.object({
  line: lineSchema,
  /** Version that was changed; a newer one by another window is not overwritten unasked. 0 for a new book. */
  version: z.number().int().min(0),
});
export type ShadeBookWrite = z.infer<typeof shadeBookWriteSchema>;

export interface ShadeBookSummary {
  /** Id, a UUID. */
  id: string;
  /** Line of colour. */
  line: Line;
  /** Time it was saved, ISO 8601. */
  savedAt: string;
}
export interface ShadeBooks {
  /** What ships with the application. */
  shipped: Line[];
  /** The educator’s own. */
  own: ShadeBookSummary[];
}
export interface ShadeBook extends ShadeBookSummary {
  /** Whether it is archived. */
  putAway: boolean;
  /** Newest first, with the line as it was. */
  versions: { version: number; savedAt: string; line: Line }[];
}
