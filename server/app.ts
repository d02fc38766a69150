import express, { Router, type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Pool } from 'pg';
import { randomUUID } from 'node:crypto';
import { errorAnswer, sameOriginWrites, storableText, unknownAddress } from './http/guards';
import { mount, type Services } from './http/route';
import { builtApplication } from './http/static';
import { sessions } from './http/session';
import { allRoutes } from './routes';

export interface AppParts extends Services {
  pool: Pool;
  log: Logger;
  /** True behind TLS: cookies are then sent over it only. */
  secure: boolean;
  /** Folder of the built web application; null in tests of the interface alone. */
  webFolder: string | null;
}

/** A database that takes longer over nothing is not there for a class. */
const READY_WITHIN_MS = 2_000;

const CONTENT_POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    baseUri: ["'none'"],
    objectSrc: ["'none'"],
    frameAncestors: ["'none'"],
    formAction: ["'self'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    workerSrc: ["'self'"],
  },
};

export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  if (parts.secure) app.set('trust proxy', 1);
  app.use(
    pinoHttp({
      logger: parts.log,
      genReqId: (_req, res) => {
        const id = randomUUID();
        res.setHeader('X-Request-Id', id);
        return id;
      },
      autoLogging: { ignore: (req) => req.url === '/healthz' || req.url === '/readyz' },
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: CONTENT_POLICY,
      // Loopback and classroom servers are often plain HTTP; a TLS proxy in front says this header itself.
      strictTransportSecurity: parts.secure,
    }),
  );
  // Alive is not ready: a supervisor that restarts a hanging process asks the first, a load balancer the second.
  app.get('/healthz', (_req, res) => void res.json({ ok: true }));
  app.get('/readyz', async (_req, res) => {
    // Read and written: a full disk still answers what is asked of it.
    await parts.db
      .raw(
        `insert into tries (key, points, expire) values ('ready:', 0, 0)
         on conflict (key) do update set points = 0`,
      )
      .timeout(READY_WITHIN_MS);
    res.json({ ready: true });
  });

  const api = Router();
  api.use(express.json({ limit: '256kb' }));
  api.use(storableText);
  api.use(sameOriginWrites);
  api.use(sessions(parts.pool, parts.secret, parts.secure));
  api.use((_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    next();
  });
  mount(api, allRoutes(), parts);
  api.use(unknownAddress);
  app.use((req, res, next) => (req.path.startsWith('/api/') ? api(req, res, next) : next()));

  if (parts.webFolder) app.use(builtApplication(parts.webFolder));
  app.use(unknownAddress);
  app.use(errorAnswer(parts.log));
  return app;
}
