import { z } from 'zod';

/** The one shape of every error. `code` is a key of the interface's words; `fields` says where in the request. */
export const errorSchema = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    fields: z.array(z.object({ path: z.string(), code: z.string(), message: z.string() })).optional(),
    /** Reasons of the core, where it was the core that refused. */
    reasons: z
      .array(
        z.object({
          code: z.string(),
          params: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
          rule: z.string().optional(),
        }),
      )
      .optional(),
  }),
});
export type ErrorBody = z.infer<typeof errorSchema>;
