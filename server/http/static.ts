import type { RequestHandler } from 'express';
import mime from 'mime-types';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';

/** Written beside every text file when the web application is built, best first. */
const PACKED = [
  { encoding: 'br', extension: '.br' },
  { encoding: 'gzip', extension: '.gz' },
] as const;

/**
 * The worker that lays out pages reckons in WebAssembly, which the policy of the pages forbids. It is a program of its own with
 * a policy of its own, and no page.
 */
const LAYS_OUT = /^\/assets\/paper\.worker-[\w-]+\.js$/;
const POLICY_OF_LAYOUT =
  "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self' data:; object-src 'none'; base-uri 'none'";

interface Kept {
  type: string;
  etag: string;
  bodies: Partial<Record<'br' | 'gzip' | 'identity', Buffer>>;
}

function filesUnder(folder: string, at = ''): string[] {
  return readdirSync(path.join(folder, at)).flatMap((name) => {
    const file = `${at}/${name}`;
    return statSync(path.join(folder, file)).isDirectory() ? filesUnder(folder, file) : [file];
  });
}

/**
 * The built application, kept in memory and handed out as it was packed at build: the first page never waits for a disk
 * that other work keeps busy. Hashed files may be kept for ever; the page itself is asked for each time, so that an update
 * is seen at once. A file that is not there is 404, and any other address is the page: the application knows its own.
 */
export function builtApplication(folder: string): RequestHandler {
  const cache = new Map<string, Kept>();
  if (existsSync(folder))
    for (const file of filesUnder(folder)) {
      if (PACKED.some(({ extension }) => file.endsWith(extension)) || file.startsWith('/.vite/')) continue;
      const identity = readFileSync(path.join(folder, file));
      const bodies: Kept['bodies'] = { identity };
      for (const { encoding, extension } of PACKED) {
        const packed = path.join(folder, `${file}${extension}`);
        if (existsSync(packed)) bodies[encoding] = readFileSync(packed);
      }
      cache.set(file, {
        type: mime.contentType(path.extname(file)) || 'application/octet-stream',
        etag: `"${createHash('sha256').update(identity).digest('base64url').slice(0, 22)}"`,
        bodies,
      });
    }
  return (req, res, next) => {
    if (req.method !== 'GET' && req.method !== 'HEAD') return next();
    const named = cache.get(req.path);
    const file = named ?? (/^\/assets\/|\.\w+$/.test(req.path) ? undefined : cache.get('/index.html'));
    if (!file) return next();
    const hashed = req.path.startsWith('/assets/');
    res.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
    res.setHeader('Content-Type', file.type);
    res.setHeader('ETag', file.etag);
    res.setHeader('Vary', 'Accept-Encoding');
    if (LAYS_OUT.test(req.path)) res.setHeader('Content-Security-Policy', POLICY_OF_LAYOUT);
    if (req.fresh) return void res.status(304).end();
    const offered = PACKED.map(({ encoding }) => encoding).filter((encoding) => file.bodies[encoding]);
    const encoding = req.acceptsEncodings(...offered, 'identity') as keyof Kept['bodies'] | false;
    const chosen = encoding && file.bodies[encoding] ? encoding : 'identity';
    if (chosen !== 'identity') res.setHeader('Content-Encoding', chosen);
    const body = file.bodies[chosen]!;
    res.setHeader('Content-Length', body.length);
    res.status(200).end(req.method === 'HEAD' ? undefined : body);
  };
}
