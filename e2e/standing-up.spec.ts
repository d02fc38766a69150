import { expect } from '@playwright/test';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { Cluster, versionPlan } from '../scripts/lib/postgres.mjs';
import {
  PASSWORD,
  handItIn,
  joinByCode,
  makeClass,
  mixBowl,
  register,
  setExercise,
  startExercise,
  test,
  unique,
} from './pages';
import { ROOT, freePort, startProxy, startServer, stopServer } from './servers';

/** Debian's server programs, by version. */
const INSTALLED = '/usr/lib/postgresql';

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
  const regExpExecArray = lines
    .map((line) => /^\s*(\d+)\s+(\d+)\s+(.*)$/.exec(line))
    .find(
      (one) => one !== null && one[3].includes(words) && (parent === undefined || Number(one[2]) === parent),
    );
  return regExpExecArray ? Number(regExpExecArray[1]) : 0;
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

    // A file that is cut off, spoilt or none at all changes nothing that is there; a good one can be taken back.
    const whole = readFileSync(file);
    const spoilt = Buffer.from(whole);
    spoilt.fill(7, Math.floor(whole.length / 2), Math.floor(whole.length / 2) + 4096);
    for (const [name, bytes] of [
      ['cut', whole.subarray(0, Math.floor(whole.length * 0.8))],
      ['spoilt', spoilt],
      ['none', Buffer.from('nothing of ours')],
    ] as const) {
      const bad = path.join(other, `${name}.dump`);
      writeFileSync(bad, bytes);
      expect(() => run(first.env, 'restore', bad, '--replace')).toThrow(/has been touched/);
    }
    const said = run(first.env, 'restore', file, '--replace');
    expect(said).toContain('13 accounts');
    expect(said).toContain('--back');
    expect(run(first.env, 'restore', '--back')).toContain('what was here before');

    const env = { CIMBEL_DATA: path.join(other, 'data') };
    run(env, 'restore', file);
    const second = await begin(env.CIMBEL_DATA);
    try {
      await untilReady(second.address);
      expect(await contents(env.CIMBEL_DATA)).toEqual(before);
    } finally {
      await end(second);
    }

    // From one version of PostgreSQL to another; where only one is installed it is both.
    const [version] = readdirSync(INSTALLED).sort((a, b) => Number(b) - Number(a));
    const bin = path.join(INSTALLED, version, 'bin');
    await new Cluster(env.CIMBEL_DATA).upgrade(bin, bin, version);
    const third = await begin(env.CIMBEL_DATA);
    try {
      await untilReady(third.address);
      expect(await contents(env.CIMBEL_DATA)).toEqual(before);
    } finally {
      await end(third);
    }
  } finally {
    await end(first);
    for (const folder of [data, other]) rmSync(folder, { recursive: true, force: true });
  }
});

test('data of another version of PostgreSQL is taken along where that can be, and never begun over', () => {
  expect(versionPlan(null, ['17', '15'])).toEqual({ run: '17' });
  expect(versionPlan('15', ['15'])).toEqual({ run: '15' });
  expect(versionPlan('15', ['17', '15'])).toEqual({ run: '17', from: '15' });
  expect(versionPlan('17', ['17', '15'])).toEqual({ run: '17' });
  expect(versionPlan('15', ['17'])).toEqual({ missing: '15' });
  expect(versionPlan('17', ['15'])).toEqual({ missing: '17' });
  expect(versionPlan(null, [])).toEqual({ missing: null });
});

test('two servers behind a proxy are one: sessions, work, wrong tries and jobs', async ({ browser }) => {
  test.setTimeout(240_000);
  const ports = [await freePort(), await freePort()];
  const servers = await Promise.all(ports.map(startServer));
  const proxy = await startProxy(ports);
  try {
    const pageOf = async () => (await browser.newContext({ baseURL: proxy.address })).newPage();
    const educator = await pageOf();
    await register(educator, 'an educator', unique('Proxied'));
    const code = await makeClass(educator, unique('Two servers'));
    const title = unique('Through a proxy');
    await setExercise(educator, { from: 'Deeper for winter, on porous hair', title, steps: 'Mix' });
    const student = await pageOf();
    const name = unique('Behind');
    await register(student, 'a student', name);
    await joinByCode(student, code, educator);
    await startExercise(student, title);
    await mixBowl(student, 'A', { line: 'Quillet Gel, demi-permanent', shades: ['6-O'], total: 90 });
    await handItIn(student);
    // Marked again by whichever server takes the job.
    await educator.reload();
    await expect(educator.getByText('1 of 1 submitted')).toBeVisible();
    const address = educator.url().replace(proxy.address, '').replace('/assignments/', '/api/assignments/');
    const headers = { origin: proxy.address };
    expect((await educator.request.post(`${address}/regrade`, { data: {}, headers })).status()).toBe(202);
    await expect
      .poll(async () => (await (await educator.request.get(`${address}/regrade`)).json()).regrade.finished, {
        timeout: 30_000,
      })
      .toBe(true);
    // Ten wrong tries are ten, whichever server they came to.
    const guess = async (password: string) =>
      (
        await (
          await pageOf()
        ).request.post('/api/session', {
          data: { email: `${name.replace(/\s+/g, '.').toLowerCase()}@example.test`, password },
          headers,
        })
      ).status();
    for (let i = 0; i < 10; i++) expect(await guess('not your current password')).toBe(401);
    expect(await guess(PASSWORD)).toBe(429);
    // One of them goes; nobody who is signed in notices.
    await stopServer(servers[0]);
    await expect
      .poll(async () => (await student.request.get('/api/my/assignments')).status(), { timeout: 10_000 })
      .toBe(200);
  } finally {
    proxy.close();
    await Promise.all(servers.map(stopServer));
  }
});
