import { useState } from 'react';
import type { ZodType } from 'zod';
import { asApiError } from './api';
import { useFieldWords } from './form';

/**
 * Checks what is to be sent by the schema the server will read it with, and keeps what is wrong by place: from the
 * schema before sending, from the server after.
 */
export function useChecked<T>(schema: ZodType<T>) {
  const words = useFieldWords();
  const [wrong, setWrong] = useState<Record<string, string>>({});
  return {
    /** The checked value, or null when something in it is wrong. */
    check: (value: unknown): T | null => {
      const parsed = schema.safeParse(value);
      setWrong(
        Object.fromEntries(
          (parsed.error?.issues ?? []).map((issue) => [
            issue.path.join('.'),
            issue.code === 'custom' ? String(issue.params?.code ?? issue.code) : issue.code,
          ]),
        ),
      );
      return parsed.success ? parsed.data : null;
    },
    refused: (error: unknown) =>
      setWrong(Object.fromEntries(asApiError(error).fields.map(({ path, code }) => [path, code]))),
    /** Words for what is wrong at a place or anywhere below it, by the name of the field. */
    errorOf: (path: string, name = path): string | null => {
      const found = Object.keys(wrong).find((name) => name === path || name.startsWith(`${path}.`));
      return found === undefined ? null : words(name, wrong[found]);
    },
  };
}
