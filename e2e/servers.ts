import { spawn, type ChildProcess } from 'node:child_process';
import { createServer as createProxy, request } from 'node:http';
import { createServer } from 'node:net';

/** Of the repository. */
export const ROOT = new URL('..', import.meta.url).pathname;

export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Another server on the same database, which a test may stop and start. */
export async function startServer(port: number): Promise<ChildProcess> {
  const child = spawn('node', ['server/dist/main.js'], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', CIMBEL_DEMO: '1' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await new Promise<void>((resolve, reject) => {
    child.once('message', () => resolve());
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return child;
}

export async function stopServer(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

/** A proxy that sends every other request to another server, as one in front of a college does. */
export async function startProxy(ports: readonly number[]): Promise<{ address: string; close: () => void }> {
  let turn = 0;
  const proxy = createProxy((req, res) => {
    const port = ports[turn++ % ports.length];
    const headers = { ...req.headers, 'x-forwarded-for': '203.0.113.7' };
    const passed = request(
      { host: '127.0.0.1', port, path: req.url, method: req.method, headers },
      (answer) => {
        res.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(res);
      },
    );
    passed.on('error', () => res.writeHead(502).end());
    req.pipe(passed);
  });
  const port = await freePort();
  await new Promise<void>((resolve) => proxy.listen(port, '127.0.0.1', resolve));
  return { address: `http://127.0.0.1:${port}`, close: () => proxy.close() };
}
