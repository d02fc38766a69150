import type { ErrorBody } from '@cimbel/contract';
import type { Reason } from '@cimbel/core';
import type { ZodError } from 'zod';

type Fields = ErrorBody['error']['fields'];

/** Anything a caller should be told. `code` is worded by the interface; `message` is for logs and other programs. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields?: Fields,
    readonly reasons?: Reason[],
  ) {
    super(message);
  }

  /** Whether it says what is wrong with a field, by its path. */
  isOfField(path: string): boolean {
    return this.fields?.some((field) => field.path === path) ?? false;
  }

  toBody(): ErrorBody {
    const { code, message, fields, reasons } = this;
    return { error: { code, message, ...(fields ? { fields } : {}), ...(reasons ? { reasons } : {}) } };
  }
}

export const signInNeeded = () => new HttpError(401, 'session.needed', 'Sign in first.');
export const notAllowed = () =>
  new HttpError(403, 'access.denied', 'This is not open to your kind of account.');
/** Also for what exists but belongs to someone else, so that addresses cannot be tried out. */
export const notFound = () =>
  new HttpError(404, 'access.notFound', 'There is no such thing here, or it is not yours to see.');

export function invalid(error: ZodError): HttpError {
  const fields = error.issues.map((issue) => ({
    path: issue.path.join('.'),
    // A rule of our own names itself.
    code: issue.code === 'custom' ? String(issue.params?.code ?? issue.code) : issue.code,
    message: issue.message,
  }));
  const first = fields[0];
  return new HttpError(422, 'request.invalid', `${first.path || 'request'}: ${first.message}`, fields);
}

export const invalidField = (path: string, code: string, message: string) =>
  new HttpError(422, 'request.invalid', `${path}: ${message}`, [{ path, code, message }]);
