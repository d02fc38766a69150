import { fork, spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
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

Data is kept in .data in this folder. Remove the folder to begin anew.`;

const args = process.argv.slice(2);
const option = (name) => args.find((arg) => arg.startsWith(`--${name}=`))?.split('=')[1];
const unknown = args.find((arg) => !/^--(help|dev|no-demo|host=.+)$/.test(arg));

let cluster = null;
let server = null;
let stopping = false;
let restarting = false;
let page = null;
let watching = null;

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
  await new Promise((resolve, reject) => {
    server.once('message', resolve);
    server.once('exit', (code) => reject(new Plain(`The server ended while starting (code ${code}).`)));
  });
  server.on('exit', (code) => {
    if (!stopping && !restarting) {
      console.error(`The server ended unexpectedly (code ${code}).`);
      void stop(1);
    }
  });
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
  if (args.includes('--dev')) await develop(env);
  say(`\nCimbel is ready: http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`);
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
