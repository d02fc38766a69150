import { z } from 'zod';

/**
 * Line breaks, and what no screen shows: a name with them would break a list, a table or a file, or be read as another. What
 * joins letters (U+200C, U+200D) belongs to the spelling of names.
 */
const UNSEEN = /[\p{Cc}\u2028\u2029]|(?![\u200C\u200D])\p{Cf}/u;

/** A name or a title: one line of at least one and at most so many characters, without spaces around it. */
export const oneLine = (most: number) =>
  z
    .string()
    .trim()
    .min(1)
    .max(most)
    .refine((text) => !UNSEEN.test(text), { params: { code: 'oneLine' } });

export const emailSchema = z.string().trim().toLowerCase().max(200).pipe(z.email());
