import { fork, spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Cluster, dataFolder } from './lib/postgres.mjs';
import { Plain, buildApplication, fail, inRoot, installPackages, portIsFree, say } from './lib/system.mjs';

const HELP = `npm start            install, build and start Cimbel with its demo data; Ctrl-C stops it

npm start -- OPTION
  --help              this text
  --dev               for changes as they are typed: the page from Vite, the server built and begun anew
  --no-demo           start without demo accounts and without one-click sign-in
  --host=ADDRESS      listen on another address than 127.0.0.1 (a classroom network, say)

Environment
  PORT                port of the web server; without it 4600, or the next free one
  DATABASE_URL        use this PostgreSQL database; nothing is installed or started then
  SESSION_SECRET      secret for signing sessions; without it one is made and kept
  CIMBEL_SECURE=1     behind a TLS proxy: cookies over TLS only
  LOG_LEVEL           trace, debug, info, warn (as is), error

  CIMBEL_DATA         folder the data is kept in; without it .data in this folder

Remove that folder to begin anew. What dies is started again; npm run backup writes the data to a file.`;

const args = process.argv.slice(2);
const option = (name) => args.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1];
const unknown = args.find((arg) => !/^--(help|dev|no-demo|host=.+)$/.test(arg));

let cluster = null;
let server = null;
let stopping = false;
let restarting = false;
let page = null;
let watching = null;
/** Whether what is written down as running is this start. */
let isOurs = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null) {
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 5000))]);
    if (server.exitCode === null && server.signalCode === null) server.kill('SIGKILL');
  }
  page?.kill('SIGTERM');
  await watching?.dispose();
  cluster?.stop();
  if (isOurs) rmSync(runningFile(), { force: true });
  process.exit(code);
}

function sessionSecret() {
  if (process.env.SESSION_SECRET) return process.env.SESSION_SECRET;
  const file = path.join(dataFolder(), 'session-secret');
  if (!existsSync(file)) {
    mkdirSync(dataFolder(), { recursive: true });
    writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  }
  return readFileSync(file, 'utf8');
}

async function choosePort(host) {
  const asked = process.env.PORT;
  if (asked !== undefined) {
    const port = Number(asked);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Plain(`PORT is ${asked}; it must be a number from 1 to 65535.`);
    if (!(await portIsFree(port, host)))
      throw new Plain(
        `Port ${port} is taken by another program. Stop that one, or choose another: PORT=${port + 1} npm start`,
      );
    return port;
  }
  for (let port = 4600; port < 4620; port++) {
    if (await portIsFree(port, host)) {
      if (port !== 4600) say(`Port 4600 is taken; using ${port}.`);
      return port;
    }
  }
  throw new Plain('Ports 4600 to 4619 are all taken. Choose one: PORT=5000 npm start');
}

async function startServer(env) {
  server = fork(inRoot('server/dist/main.js'), {
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  const begun = Date.now();
  await new Promise((resolve, reject) => {
    server.once('message', resolve);
    server.once('exit', (code) => reject(new Plain(`The server ended while starting (code ${code}).`)));
  });
  server.on('exit', (code, signal) => {
    if (stopping || restarting) return;
    if (Date.now() - begun > STEADY_MS) fallen = 0;
    say(
      `The server ended unexpectedly (${signal ?? `code ${code}`}) after ${Math.round((Date.now() - begun) / 1000)} s.`,
    );
    void restartServer(env);
  });
}

/** Longest between two tries to start what has died, seconds. */
const LONGEST_PAUSE_S = 30;
/** Whoever stood so long has not fallen over at once, milliseconds. */
const STEADY_MS = 60_000;
let fallen = 0;

/** Starts the server again, each time that it dies while starting after a longer pause. */
async function restartServer(env) {
  while (!stopping) {
    const pause = Math.min(LONGEST_PAUSE_S, 2 ** fallen++ / 2);
    await new Promise((resolve) => setTimeout(resolve, pause * 1000));
    if (stopping) return;
    try {
      await startServer(env);
      return say('The server is there again.');
    } catch (error) {
      say(`${error.message} Trying again.`);
    }
  }
}

/** How often the database is looked at, milliseconds. */
const LOOKED_AT_MS = 1000;

/** A database that has died is started again where it was; the server finds it there by itself. */
function watchDatabase() {
  let busy = false;
  setInterval(async () => {
    if (busy || stopping || cluster.isAlive()) return;
    busy = true;
    say('The database ended unexpectedly; starting it again.');
    await cluster.revive().then(
      () => say('The database is there again.'),
      (error) => say(`${error.message}\nTrying again.`),
    );
    busy = false;
  }, LOOKED_AT_MS).unref();
}

/** Who runs here: another start in the same folder finds it. */
const runningFile = () => path.join(dataFolder(), 'running.json');
function writeRunning(address) {
  mkdirSync(dataFolder(), { recursive: true });
  writeFileSync(runningFile(), JSON.stringify({ pid: process.pid, address }));
  isOurs = true;
}
function running() {
  if (!existsSync(runningFile())) return null;
  const { pid, address } = JSON.parse(readFileSync(runningFile(), 'utf8'));
  const commandLine = `/proc/${pid}/cmdline`;
  const alive = existsSync(commandLine) && readFileSync(commandLine, 'utf8').includes('start.mjs');
  return alive ? { pid, address } : null;
}

/** The page from Vite, which takes changes in without a reload, and the server begun anew with every change of it. */
async function develop(env) {
  const { watchServer } = await import('../server/build.mjs');
  watching = await watchServer(async () => {
    if (restarting || stopping) return;
    restarting = true;
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await ended;
    await startServer(env);
    restarting = false;
    say('The server has begun anew.');
  });
  page = spawn(process.execPath, [inRoot('node_modules/vite/bin/vite.js')], {
    cwd: inRoot('web'),
    stdio: 'inherit',
    env: { ...process.env, CIMBEL_API: `http://127.0.0.1:${env.PORT}` },
  });
  page.once('exit', () => void stop(0));
}

async function main() {
  if (args.includes('--help')) return say(HELP);
  if (unknown) throw new Plain(`${unknown} is not an option.\n\n${HELP}`);
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Plain(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`);

  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  // Started through npm there is a shell in between, which may be ended alone; then nobody is left to press Ctrl-C.
  const parent = process.ppid;
  if (process.env.npm_lifecycle_event)
    setInterval(() => process.ppid !== parent && void stop(0), 1000).unref();
  const other = running();
  if (other) {
    const where = other.address ?? 'not ready yet';
    say(`Cimbel is running from this folder already: ${where} (process ${other.pid}).`);
    process.exit(0);
  }
  writeRunning(null);
  const host = option('host') ?? '127.0.0.1';
  const demo = !args.includes('--no-demo');
  const port = await choosePort(host);
  await installPackages();
  await buildApplication();
  let url = process.env.DATABASE_URL;
  if (!url) {
    cluster = new Cluster(dataFolder());
    await cluster.start();
    cluster.createDatabase('cimbel');
    url = cluster.url('cimbel');
    watchDatabase();
  }
  if (stopping) return;
  const env = {
    ...process.env,
    DATABASE_URL: url,
    SESSION_SECRET: sessionSecret(),
    PORT: String(port),
    HOST: host,
    CIMBEL_DEMO: demo ? '1' : '0',
    NODE_ENV: 'production',
  };
  await startServer(env);
  const address = `http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`;
  writeRunning(address);
  if (args.includes('--dev')) await develop(env);
  say(`\nCimbel is ready: ${address}`);
  if (demo) {
    if (!['127.0.0.1', 'localhost', '::1'].includes(host))
      say('Others reach this address too; the demo accounts open on this computer only.');
    say('Walk in with one click on the sign-in page, or sign in by hand:');
    say('  educator  odile@lanternyard.example   grey-room-practice');
    say('  student   amina@lanternyard.example   grey-room-practice');
  }
  say('Ctrl-C stops it; the data stays.');
}

main()
  .catch(async (error) => {
    if (stopping) return;
    console.error(error instanceof Plain ? `\n${error.message}` : error);
    await stop(1);
  })
  .catch(fail);
