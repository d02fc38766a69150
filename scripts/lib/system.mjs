import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
export const inRoot = (...parts) => path.join(ROOT, ...parts);

/** A problem whose text is meant for the person at the terminal; shown without a stack. */
export class Plain extends Error {}

export const say = (text) => console.log(text);

export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
    child.on('error', (error) => reject(new Plain(`${command} could not be run: ${error.message}`)));
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve()
        : reject(new Plain(`${command} ${args.join(' ')} ended with ${signal ?? `code ${code}`}.`)),
    );
  });
}

const isRoot = () => process.getuid?.() === 0;
const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** Installs Debian packages, as root or through sudo; says what to do by hand where neither works. */
export async function installDebian(packages, why) {
  const list = packages.join(' ');
  const manual = `Install it by hand, then run this again:\n  sudo apt-get install ${list}`;
  if (!has('apt-get')) throw new Plain(`${why} is missing and this system has no apt-get. ${manual}`);
  const sudo = isRoot() ? [] : ['sudo'];
  if (!isRoot()) {
    if (!has('sudo'))
      throw new Plain(`${why} is missing; installing it needs root, and there is no sudo. ${manual}`);
    if (!process.stdin.isTTY && spawnSync('sudo', ['-n', 'true']).status !== 0) {
      throw new Plain(`${why} is missing and sudo asks for a password here. ${manual}`);
    }
  }
  say(`Installing ${list} (${why}) …`);
  const [command, ...prefix] = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'];
  const quiet = { stdio: ['inherit', 'ignore', 'inherit'] };
  try {
    await run(command, [...prefix, 'update', '-qq'], quiet).catch(() =>
      say('The package list could not be refreshed; trying with the old one.'),
    );
    await run(command, [...prefix, 'install', '-y', '-qq', '--no-install-recommends', ...packages], quiet);
  } catch (error) {
    throw new Plain(`${why} could not be installed (${error.message}) ${manual}`);
  }
}

/** Hash of names and contents below the given paths, leaving out what is built or installed. */
export function fingerprint(paths) {
  const hash = createHash('sha256');
  const visit = (file) => {
    const name = path.basename(file);
    if (['node_modules', 'dist', '.data', '.cache', 'test-results'].includes(name)) return;
    if (statSync(file).isDirectory()) {
      for (const entry of readdirSync(file).sort()) visit(path.join(file, entry));
    } else hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  };
  for (const name of paths) if (existsSync(inRoot(name))) visit(inRoot(name));
  return hash.digest('hex');
}

/** Runs `work` only when the fingerprint changed since it last succeeded. */
export async function whenChanged(name, paths, stillThere, work) {
  const stamp = inRoot('.cache', name);
  const now = fingerprint(paths);
  if (stillThere() && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return false;
  await work();
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
  return true;
}

export async function installPackages() {
  const manifests = [
    'package-lock.json',
    ...['core', 'contract', 'server', 'web', 'e2e'].map((w) => `${w}/package.json`),
  ];
  await whenChanged(
    'installed',
    manifests,
    () => existsSync(inRoot('node_modules', '.package-lock.json')),
    async () => {
      say('Installing packages (npm ci) …');
      await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
        stdio: ['ignore', 'ignore', 'inherit'],
      });
    },
  );
}

export async function buildApplication() {
  const sources = ['core', 'contract', 'server', 'web', 'package-lock.json', 'tsconfig.json'];
  const built = () => existsSync(inRoot('web/dist/index.html')) && existsSync(inRoot('server/dist/main.js'));
  await whenChanged('built', sources, built, async () => {
    say('Building …');
    await run('npm', ['run', '--silent', 'build'], { stdio: ['ignore', 'ignore', 'inherit'] });
  });
}

export function portIsFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host, exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** Ends with the plain text of a known problem, or the whole of an unknown one. */
export function fail(error) {
  console.error(error instanceof Plain ? `\n${error.message}` : error);
  process.exit(1);
}
