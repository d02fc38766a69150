import { z } from 'zod';
import { oneLine } from './text';

export const ROLES = ['educator', 'student'] as const;
export const roleSchema = z.enum(ROLES);
export type Role = z.infer<typeof roleSchema>;

export const accountSchema = z.object({ id: z.uuid(), name: z.string(), role: roleSchema });
export type Account = z.infer<typeof accountSchema>;

const emailSchema = z.string().trim().toLowerCase().max(200).pipe(z.email());
const passwordSchema = z.string().min(10).max(200);
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
});
export const demoSignInSchema = z.object({ accountId: z.uuid() });
export const joinSchema = z.object({ joinCode: joinCodeSchema });

export const sessionSchema = z.object({
  me: accountSchema.nullable(),
  /** Accounts to walk in as, in demo mode only. */
  demo: z.array(accountSchema).nullable(),
});
export type Session = z.infer<typeof sessionSchema>;
