import { expect, test } from '@playwright/test';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { Cluster } from '../scripts/lib/postgres.mjs';

const ROOT = new URL('..', import.meta.url).pathname;
const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

const newFolder = () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'cimbel-standing-'));
  chmodSync(folder, 0o755);
  return folder;
};

/** Cimbel as `npm start` begins it, with data of its own. */
async function begin(data: string) {
  const port = await freePort();
  const { DATABASE_URL: _none, ...rest } = process.env;
  const env = { ...rest, CIMBEL_DATA: data, PORT: String(port) };
  const child = spawn(process.execPath, ['scripts/start.mjs'], { cwd: ROOT, env, stdio: 'pipe' });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += String(text)));
  const address = `http://127.0.0.1:${port}`;
  const heard = (text: string) => expect.poll(() => said, { timeout: 90_000 }).toContain(text);
  await heard('Cimbel is ready');
  return { child, env, address, heard };
}

async function end({ child }: { child: ChildProcess }): Promise<void> {
  if (child.exitCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

const run = (env: object, script: string, ...args: string[]) =>
  execFileSync(process.execPath, [`scripts/${script}.mjs`, ...args], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    encoding: 'utf8',
  });

/** The process of which a command line says this, among the children of another; 0 where there is none. */
function processOf(words: string, parent?: number): number {
  const lines = execFileSync('ps', ['-eo', 'pid=,ppid=,args='], { encoding: 'utf8' }).split('\n');
  const found = lines
    .map((line) => /^\s*(\d+)\s+(\d+)\s+(.*)$/.exec(line))
    .find(
      (one) => one !== null && one[3].includes(words) && (parent === undefined || Number(one[2]) === parent),
    );
  return found ? Number(found[1]) : 0;
}

/** Every table: how many rows, and a digest of all that is in them. */
async function contents(data: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: new Cluster(data).runningUrl('cimbel')! });
  await client.connect();
  try {
    const { rows } = await client.query<{ tablename: string }>(
      "select tablename from pg_tables where schemaname = 'public' order by 1",
    );
    const all: Record<string, string> = {};
    for (const { tablename } of rows) {
      const { rows: found } = await client.query<{ told: string }>(
        `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') as told from ${tablename} t`,
      );
      all[tablename] = found[0].told;
    }
    return all;
  } finally {
    await client.end();
  }
}

const isReady = async (address: string) =>
  (await fetch(`${address}/readyz`).catch(() => null))?.status === 200;
const untilReady = (address: string) => expect.poll(() => isReady(address), { timeout: 60_000 }).toBe(true);

test('what is killed stands up again, a second start finds the first, and a backup comes back whole', async () => {
  test.setTimeout(300_000);
  const [data, other] = [newFolder(), newFolder()];
  const first = await begin(data);
  try {
    await untilReady(first.address);
    const session = async (address: string) => (await fetch(`${address}/api/session`)).status;
    expect(await session(first.address)).toBe(200);

    const server = processOf('server/dist/main.js', first.child.pid);
    process.kill(server, 'SIGKILL');
    await first.heard('The server is there again');
    await untilReady(first.address);
    expect(processOf('server/dist/main.js', first.child.pid)).not.toBe(server);

    const database = processOf(`-D ${path.join(data, 'postgres')}`);
    expect(database).toBeGreaterThan(0);
    process.kill(database, 'SIGKILL');
    await first.heard('The database is there again');
    await untilReady(first.address);
    // The server has found it again by itself.
    await expect.poll(() => session(first.address), { timeout: 30_000 }).toBe(200);

    // No password stands in a list of processes.
    expect(execFileSync('ps', ['-eo', 'args='], { encoding: 'utf8' })).not.toMatch(/postgres:\/\/\w+:\w{8,}/);

    expect(run(first.env, 'start')).toContain(`already: ${first.address}`);
    await untilReady(first.address);

    const file = path.join(other, 'all.dump');
    run(first.env, 'backup', file);
    expect(() => run(first.env, 'restore', file)).toThrow(/is running here/);
    const before = await contents(data);
    expect(Object.keys(before).length).toBeGreaterThan(15);
    expect(before.users).toMatch(/^13 /);
    await end(first);
    expect(() => run(first.env, 'restore', file)).toThrow(/There is data here already/);

    const env = { CIMBEL_DATA: path.join(other, 'data') };
    run(env, 'restore', file);
    const second = await begin(env.CIMBEL_DATA);
    try {
      await untilReady(second.address);
      expect(await contents(env.CIMBEL_DATA)).toEqual(before);
    } finally {
      await end(second);
    }
  } finally {
    await end(first);
    for (const folder of [data, other]) rmSync(folder, { recursive: true, force: true });
  }
});
