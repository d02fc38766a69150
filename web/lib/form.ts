import { useTranslation } from 'react-i18next';
import { asApiError, type ApiError } from './api';

/** Words for what is wrong with a field, by its name and the server's or schema's code. */
export function useFieldWords(): (name: string, code?: string, params?: Record<string, unknown>) => string {
  const { t } = useTranslation();
  return (name, code, params) =>
    t([`error.field.${code ?? 'none'}`, `error.field.${name}`, 'error.field.other'], params ?? {});
}

/** The server's words for one field, when it named that field. */
export function fieldError(error: unknown, path: string): { code: string } | null {
  return error ? (asApiError(error).fields.find((field) => field.path === path) ?? null) : null;
}

/** What the server refused, in words: what was wrong with it, and with each field that it names. Its own English is for logs. */
export function useRefusalWords(): (error: ApiError) => string {
  const { t } = useTranslation();
  const words = useFieldWords();
  return ({ code, fields }) =>
    [
      t(`error.${code}`, { defaultValue: t('error.server.unexpected') }),
      ...new Set(fields.map((field) => words(field.path.split('.').at(-1) ?? '', field.code))),
    ].join(' ');
}
