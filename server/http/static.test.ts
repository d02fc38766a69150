import express from 'express';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { errorAnswer, unknownAddress } from './guards';
import { builtApplication } from './static';
import pino from 'pino';

const SCRIPT = 'console.log("hair");'.repeat(200);
const PAGE = '<!doctype html><title>Cimbel</title>';
let folder: string;
let app: ReturnType<typeof express>;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'cimbel-static-'));
  mkdirSync(path.join(folder, 'assets'));
  mkdirSync(path.join(folder, '.vite'));
  const put = (name: string, body: string | Buffer) => writeFileSync(path.join(folder, name), body);
  put('index.html', PAGE);
  put('icon.svg', '<svg/>');
  put('.vite/manifest.json', '{}');
  put('assets/index-abc.js', SCRIPT);
  put('assets/paper.worker-abc.js', SCRIPT);
  put('assets/index-abc.js.br', brotliCompressSync(SCRIPT));
  put('assets/index-abc.js.gz', gzipSync(SCRIPT));
  app = express();
  app.use(builtApplication(folder));
  app.use(unknownAddress);
  app.use(errorAnswer(pino({ level: 'silent' })));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('the built application', () => {
  it('comes packed as the browser asks, and is kept for ever where its name is of its content', async () => {
    for (const [asked, sent] of [
      ['br, gzip', 'br'],
      ['gzip', 'gzip'],
      ['identity', undefined],
    ] as const) {
      const answer = await request(app)
        .get('/assets/index-abc.js')
        .set('Accept-Encoding', asked)
        .buffer(false);
      expect([answer.status, answer.headers['content-encoding']]).toEqual([200, sent]);
      expect(answer.headers['cache-control']).toBe('public, max-age=31536000, immutable');
      expect(answer.headers['content-type']).toMatch(/javascript/);
      expect(answer.headers.vary).toBe('Accept-Encoding');
    }
    const whole = await request(app).get('/assets/index-abc.js').set('Accept-Encoding', 'gzip');
    expect(whole.text).toBe(SCRIPT);
  });

  it('is not sent again to whom has it, and the page is asked for each time', async () => {
    const first = await request(app).get('/');
    expect([first.text, first.headers['cache-control']]).toEqual([PAGE, 'no-cache']);
    await request(app).get('/').set('If-None-Match', first.headers.etag).expect(304);
    const head = await request(app).head('/icon.svg').expect(200);
    expect([head.headers['content-length'], head.text ?? '']).toEqual(['6', '']);
  });

  it('lets the program that lays out pages, and no other, reckon in WebAssembly', async () => {
    const policyOf = async (name: string) =>
      (await request(app).get(`/assets/${name}`).expect(200)).headers['content-security-policy'];
    expect(await policyOf('paper.worker-abc.js')).toContain("'wasm-unsafe-eval'");
    expect(await policyOf('paper.worker-abc.js')).not.toMatch(/'unsafe-(eval|inline)'|\*/);
    expect(await policyOf('index-abc.js')).toBeUndefined();
  });

  it('answers any address of its own with the page, and a file that is missing with 404', async () => {
    expect((await request(app).get('/due/x/result').expect(200)).text).toBe(PAGE);
    await request(app).get('/assets/index-old.js').expect(404);
    await request(app).get('/robots.txt').expect(404);
    await request(app).get('/.vite/manifest.json').expect(404);
    await request(app).get('/../package.json').expect(404);
    await request(app).post('/').expect(404);
  });
});
