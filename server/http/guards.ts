import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { isUnreachable } from '../db/database';
import { HttpError, invalidField, notFound } from './errors';

/** A write must come from our own pages: the browser says where from, and a form on another site cannot lie about it. */
export const sameOriginWrites: RequestHandler = (req, _res, next) => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(req.method)) return next();
  const origin = req.get('origin');
  const from = origin ?? req.get('referer');
  let host: string | null = null;
  try {
    host = from ? new URL(from).host : null;
  } catch {
    host = null;
  }
  if (host !== null && host === req.get('host')) return next();
  next(new HttpError(403, 'request.origin', 'Writes are accepted from our own pages only.'));
};

/** What no database keeps: a NUL, or half of a pair of surrogates. */
const UNSTORABLE = /\p{Surrogate}|\0/u;

/** Deepest that anything of ours goes: a body nested further is nobody's work. */
const DEEPEST = 40;
/** Where in a body there is text that cannot be kept; null where there is none. @throws HttpError 422 for one nested too deep */
function unstorable(value: unknown, at = '', depth = 0): string | null {
  if (depth > DEEPEST) throw new HttpError(422, 'request.tooDeep', 'The body is nested too deeply.');
  if (typeof value === 'string') return UNSTORABLE.test(value) ? at : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, one] of Object.entries(value)) {
    const here = at === '' ? name : `${at}.${name}`;
    const found = UNSTORABLE.test(name) ? here : unstorable(one, here, depth + 1);
    if (found !== null) return found;
  }
  return null;
}
export const storableText: RequestHandler = (req, _res, next) => {
  const at = unstorable(req.body);
  next(
    at === null
      ? undefined
      : invalidField(
          at.replace(/\p{Surrogate}|\0/gu, ''),
          'characters',
          'This holds characters that cannot be kept.',
        ),
  );
};

export const unknownAddress: RequestHandler = (_req, _res, next) => next(notFound());

/** What the parsers of address and body could not read, by their own status: the caller's to put right, not ours. */
function unreadable(error: { status?: unknown; type?: unknown }): HttpError | null {
  if (error?.type === 'entity.parse.failed')
    return new HttpError(400, 'request.notJson', 'The body is not valid JSON.');
  if (error?.type === 'entity.too.large')
    return new HttpError(413, 'request.tooLarge', 'The body is too large.');
  const { status } = error ?? {};
  return typeof status === 'number' && status >= 400 && status < 500
    ? new HttpError(status, 'request.unreadable', 'The address or the body cannot be read as it is encoded.')
    : null;
}

/** What the database says of rows that others hold, or have meanwhile taken away (SQLSTATE). */
const OF_ROWS: Record<string, () => HttpError> = {
  '23505': () => new HttpError(409, 'request.taken', 'This was done at the same time elsewhere. Look again.'),
  '23503': () => new HttpError(409, 'request.goneMeanwhile', 'What this belongs to was removed meanwhile.'),
  '53100': () => cannotWrite(),
  '25006': () => cannotWrite(),
};
const cannotWrite = () =>
  new HttpError(503, 'server.cannotWrite', 'The disk of the server is full or cannot be written to.');
const ofRows = ({ code }: { code?: unknown } = {}): HttpError | null =>
  (typeof code === 'string' && Object.hasOwn(OF_ROWS, code) && OF_ROWS[code]()) || null;

const noDatabase = () =>
  new HttpError(
    503,
    'server.noDatabase',
    'The database cannot be reached at the moment. Try again in a few seconds.',
  );

export const errorAnswer =
  (log: Logger): ErrorRequestHandler =>
  (error, req, res, next) => {
    if (res.headersSent) return next(error);
    const known =
      error instanceof HttpError
        ? error
        : isUnreachable(error)
          ? noDatabase()
          : (ofRows(error) ?? unreadable(error));
    // What the database refuses is told, and looked into as well: it is never what was meant to happen.
    if (!known || ofRows(error)) log.error({ err: error, requestId: req.id }, 'unexpected error');
    const answer =
      known ??
      new HttpError(500, 'server.unexpected', `Something went wrong here. Request ${String(req.id)}.`);
    if (answer.status === 503) res.setHeader('Retry-After', '2');
    res.status(answer.status).json(answer.toBody());
  };
