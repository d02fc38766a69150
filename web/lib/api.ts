import type { ErrorBody } from '@cimbel/contract';
import type { Reason } from '@cimbel/core';

/** What the server said was wrong, or that it could not be reached (`network`). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: NonNullable<ErrorBody['error']['fields']> = [],
    readonly reasons: Reason[] = [],
  ) {
    super(message);
  }
  get offline() {
    // A database that stands up again is as good as a connection that comes back.
    return this.code === 'network' || this.code === 'server.noDatabase';
  }
}

const notReached = () => new ApiError(0, 'network', 'The server cannot be reached.');

/** Ours say what is wrong; something between us and the server may answer with anything. */
const isOurs = (body: unknown): body is ErrorBody =>
  typeof (body as Partial<ErrorBody> | null)?.error?.code === 'string';

async function toError(response: Response): Promise<ApiError> {
  const body: unknown = await response.json().catch(() => null);
  if (!isOurs(body)) return new ApiError(response.status, 'server.unexpected', response.statusText);
  const { code, message, fields, reasons } = body.error;
  return new ApiError(response.status, code, message, fields, reasons);
}

/** A server that has not answered by then is not reached: long enough for a class to be marked, short of for ever. */
const PATIENCE_MS = 60_000;

/** One call to the server; given up where the signal says so. @throws ApiError */
export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
      signal: signal
        ? AbortSignal.any([signal, AbortSignal.timeout(PATIENCE_MS)])
        : AbortSignal.timeout(PATIENCE_MS),
    });
  } catch {
    throw notReached();
  }
  if (!response.ok) throw await toError(response);
  // An answer may still break off half way.
  return (await response.json().catch(() => Promise.reject(notReached()))) as T;
}

export const asApiError = (error: unknown): ApiError =>
  error instanceof ApiError ? error : new ApiError(0, 'server.unexpected', String(error));
