import type { ErrorRequestHandler, RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import { HttpError, notFound } from './errors';

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

/** A classroom shares one address, so tries are counted per address and name; only failures count. */
export const signInLimit = (perName: number): RequestHandler =>
  rateLimit({
    windowMs: 10 * 60_000,
    limit: perName,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: (req) =>
      `${ipKeyGenerator(req.ip ?? '')} ${String(req.body?.email ?? '')
        .trim()
        .toLowerCase()}`,
    handler: (_req, _res, next) =>
      next(new HttpError(429, 'session.tooManyTries', 'Too many tries. Wait ten minutes.')),
  });

export const unknownAddress: RequestHandler = (_req, _res, next) => next(notFound());

export const errorAnswer =
  (log: Logger): ErrorRequestHandler =>
  (error, req, res, next) => {
    if (res.headersSent) return next(error);
    const known =
      error instanceof HttpError
        ? error
        : error?.type === 'entity.parse.failed'
          ? new HttpError(400, 'request.notJson', 'The body is not valid JSON.')
          : error?.type === 'entity.too.large'
            ? new HttpError(413, 'request.tooLarge', 'The body is too large.')
            : null;
    if (!known) log.error({ err: error, requestId: req.id }, 'unexpected error');
    const answer =
      known ??
      new HttpError(500, 'server.unexpected', `Something went wrong here. Request ${String(req.id)}.`);
    res.status(answer.status).json(answer.toBody());
  };
