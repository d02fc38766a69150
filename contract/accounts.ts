import { z } from 'zod';
import { isCommonPassword } from './password';
import { oneTimeCodeSchema } from './people';
import { emailSchema, oneLine } from './text';

export const ROLES = ['educator', 'student'] as const;
export const roleSchema = z.enum(ROLES);
export type Role = z.infer<typeof roleSchema>;

export const accountSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  role: roleSchema,
  /** Admits educators; an educator besides. */
  administrator: z.boolean(),
});
export type Account = z.infer<typeof accountSchema>;

const passwordSchema = z
  .string()
  .min(10)
  .max(200)
  .refine((password) => !isCommonPassword(password), { params: { code: 'commonPassword' } });
/** Eight signs without look-alikes, written in two groups; typed with or without the dash, in any case. */
export const joinCodeSchema = z
  .string()
  .trim()
  .toUpperCase()
  .transform((code) => code.replace(/[\s-]/g, ''))
  .pipe(z.string().regex(/^[A-Z2-9]{8}$/));

export const signInSchema = z.object({ email: emailSchema, password: z.string().min(1).max(200) });
export const registerSchema = z.object({
  role: roleSchema,
  name: oneLine(80),
  email: emailSchema,
  password: passwordSchema,
  /** The invitation of an educator; the first educator of an installation needs none. */
  code: oneTimeCodeSchema.optional(),
});
export const demoSignInSchema = z.object({ accountId: z.uuid() });
export const joinSchema = z.object({ joinCode: joinCodeSchema });
/** Joined at once, or waiting for the educator. */
export interface Joined {
  /** Name as it is shown. */
  name: string;
  waiting: boolean;
}

export const passwordChangeSchema = z.object({
  current: z.string().min(1).max(200),
  password: passwordSchema,
});
/** An account ended by its owner, who says the password once more. */
export const endAccountSchema = z.object({ password: z.string().min(1).max(200) });
/** A code used: a password of one's own, and for a place that nobody has claimed the address to sign in with. */
export const useCodeSchema = z.object({
  code: oneTimeCodeSchema,
  email: emailSchema.optional(),
  password: passwordSchema,
});

export const sessionSchema = z.object({
  me: accountSchema.nullable(),
  /** Accounts to walk in as, in demo mode only. */
  demo: z.array(accountSchema).nullable(),
  /** Whether no educator is there yet: the first becomes the administrator, and needs no invitation on this computer. */
  isNew: z.boolean(),
});
export type Session = z.infer<typeof sessionSchema>;
