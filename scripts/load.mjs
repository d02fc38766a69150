import { fork } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { Cluster } from './lib/postgres.mjs';
import { buildApplication, fail, freePort, inRoot, installPackages, say } from './lib/system.mjs';
import { table } from './load/figures.mjs';
import { fill, PASSWORD } from './load/fill.mjs';

/**
 * A class of two hundred at once, and as a class really works, on a server and a database of its own. What is printed is
 * also a ratio to a bare route of the same run, since machines differ and so do their days.
 *   npm run load -- [--students=200] [--exercises=20] [--seconds=60]
 */
const option = (name, other) =>
  Number(process.argv.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1] ?? other);
const STUDENTS = option('students', 200);
const EXERCISES = option('exercises', 20);
const SECONDS = option('seconds', 60);
/** What has not answered by then has not been answered. */
const TIMEOUT_MS = 30_000;
/** Seconds between two things that a student does, at the pace of a class. */
const THINKS_S = [4, 12];

const timings = new Map();
const note = (name, ms, failed) => {
  const kept = timings.get(name) ?? { ms: [], failed: 0 };
  kept.ms.push(ms);
  if (failed) kept.failed++;
  timings.set(name, kept);
};

/** One student's browser: a cookie, and calls that are timed by the name of what they are. */
function browserAt(base) {
  let cookie = '';
  return async (name, method, address, body) => {
    const begun = performance.now();
    let answer = null;
    let answered = false;
    try {
      const response = await fetch(base + address, {
        method,
        headers: { origin: base, cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
        body: body ? JSON.stringify(body) : undefined,
        signal: AbortSignal.timeout(TIMEOUT_MS),
      });
      const set = response.headers.getSetCookie().map((one) => one.split(';')[0]);
      if (set.length > 0) cookie = set.join('; ');
      const text = await response.text();
      // Whatever is refused was not done: a trial that counts it as answered measures refusals.
      answered = response.ok;
      if (response.ok)
        answer = response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : {};
    } catch {
      answer = null;
    }
    note(name, performance.now() - begun, !answered);
    return answer;
  };
}

/** What a student does in class, one thing after another; `pause` lies between. */
async function work(call, email, plan, pause) {
  const writer = randomBytes(8).toString('hex');
  await call('sign in', 'POST', '/api/session', { email, password: PASSWORD });
  await pause();
  const due = await call('what is due', 'GET', '/api/my/assignments');
  const id = due?.[Math.floor(Math.random() * due.length)]?.id;
  if (!id) return;
  const at = `/api/my/assignments/${id}`;
  await pause();
  const opened = await call('exercise', 'GET', at);
  const [hair] = opened?.looks.now ?? [];
  if (hair) await call('picture', 'GET', `${hair.src}&size=strand&ratio=2`);
  let version = opened?.draft?.version ?? 0;
  for (let i = 0; i < 3; i++) {
    await pause();
    await call('ask', 'POST', `${at}/reveal`, { question: 'reactions' });
    const saved = await call('save', 'PUT', `${at}/draft`, { answer: plan, version, writer });
    version = saved?.version ?? version;
    await call('clock', 'POST', `${at}/simulation`, { bowls: plan.bowls, steps: plan.steps });
  }
  await pause();
  await call('practice', 'GET', '/api/my/practice');
  await pause();
  await call('submit', 'POST', `${at}/submission`, { id: crypto.randomUUID(), answer: plan });
}

/** Seconds of processor time that a process has used (Linux, proc(5): fields 14 and 15, a hundred to the second). */
function cpuOf(pid) {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  return (Number(fields[11]) + Number(fields[12])) / 100;
}

async function main() {
  await installPackages();
  await buildApplication();
  const folder = mkdtempSync(path.join(tmpdir(), 'cimbel-load-'));
  chmodSync(folder, 0o755);
  const cluster = new Cluster(folder);
  let server = null;
  const clean = () => {
    server?.kill('SIGTERM');
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (clean(), process.exit(130)));
  try {
    await cluster.start();
    cluster.createDatabase('load');
    const port = await freePort();
    const base = `http://127.0.0.1:${port}`;
    const begin = async () => {
      server = fork(inRoot('server/dist/main.js'), {
        env: {
          ...process.env,
          DATABASE_URL: cluster.url('load'),
          SESSION_SECRET: 'of a trial',
          PORT: String(port),
          CIMBEL_DEMO: '0',
          NODE_ENV: 'production',
        },
      });
      await new Promise((resolve, reject) => {
        server.once('message', resolve);
        server.once('exit', () => reject(new Error('the server ended while starting')));
      });
    };
    await begin();
    const client = new pg.Client({ connectionString: cluster.url('load') });
    await client.connect();
    const { emails, plan } = await fill(base, client, { students: STUDENTS, exercises: EXERCISES });
    await client.end();
    const bare = browserAt(base);
    for (let i = 0; i < 200; i++) await bare('bare route', 'GET', '/healthz');

    const all = async (title, pause) => {
      const [began, cpu] = [performance.now(), cpuOf(server.pid)];
      await Promise.all(emails.map((email, i) => work(browserAt(base), email, plan, () => pause(i))));
      const seconds = (performance.now() - began) / 1000;
      const cores = (cpuOf(server.pid) - cpu) / seconds;
      say(
        `\n${title}: ${STUDENTS} students, ${seconds.toFixed(1)} s, ${cores.toFixed(2)} cores of the server`,
      );
      say(table(timings));
      const failed = [...timings.values()].reduce((sum, one) => sum + one.failed, 0);
      const kept = timings.get('bare route');
      timings.clear();
      timings.set('bare route', kept);
      return failed;
    };
    let failed = await all('Everything at once', async () => undefined);
    const [least, most] = THINKS_S;
    const scale = SECONDS / (8 * ((least + most) / 2));
    failed += await all(
      'As a class works',
      () =>
        new Promise((resolve) =>
          setTimeout(resolve, 1000 * scale * (least + Math.random() * (most - least))),
        ),
    );
    say(failed === 0 ? '\nEverything was answered.' : `\n${failed} were not answered.`);
    process.exitCode = failed === 0 ? 0 : 1;
  } finally {
    if (server) {
      const ended = new Promise((resolve) => server.once('exit', resolve));
      server.kill('SIGTERM');
      await ended;
    }
    clean();
  }
}

main().catch(fail);
