import { randomBytes } from 'node:crypto';
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureChromium } from './lib/chromium.mjs';
import { firstLoadFits } from './lib/first-load.mjs';
import { Cluster } from './lib/postgres.mjs';
import {
  Plain,
  ROOT,
  buildApplication,
  fail,
  freePort,
  inRoot,
  installPackages,
  say,
} from './lib/system.mjs';

/**
 * Runs every check from nothing: types beside lint, Jest, build, Playwright. Has its own throw-away database on a free port
 * and never touches the demo data. The last line counts: N passed, N failed.
 */
const STAGES = ['check', 'jest', 'build', 'playwright'];
const only = process.argv.includes('--only')
  ? process.argv[process.argv.indexOf('--only') + 1].split(',')
  : STAGES;
const passThrough = process.argv.includes('--') ? process.argv.slice(process.argv.indexOf('--') + 1) : [];

const tally = { passed: 0, failed: 0 };
const children = new Set();

function step(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
    children.add(child);
    const done = (ok) => {
      children.delete(child);
      resolve(ok);
    };
    child.on('exit', (code) => done(code === 0));
    child.on('error', () => done(false));
  });
}
const bin = (name) => inRoot('node_modules', '.bin', name);
const count = (ok) => (ok ? tally.passed++ : tally.failed++);

/** Counts come from the runner's own report; a run without a report counts as one failure. */
function countReport(file, ok, read) {
  if (!existsSync(file)) return count(false);
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
  tally.passed += passed;
  tally.failed += failed;
  if (!ok && failed === 0) tally.failed++;
  if (ok && passed === 0) tally.failed++;
}

const stages = {
  // Neither has more than one thread to use.
  check: async () => {
    const types = step(bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']);
    count(await step(bin('eslint'), ['.', '--max-warnings', '0']));
    count(await step(bin('prettier'), ['--check', '--log-level', 'warn', '.']));
    count(await types);
  },
  jest: async ({ cluster, folder }) => {
    const file = path.join(folder, 'jest.json');
    cluster.createDatabase('cimbel_unit');
    const ok = await step(bin('jest'), ['--json', `--outputFile=${file}`, ...passThrough], {
      TEST_DATABASE_URL: cluster.url('cimbel_unit'),
    });
    countReport(file, ok, (r) => ({
      passed: r.numPassedTests,
      failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
    }));
  },
  build: async () => {
    try {
      await buildApplication();
      count(true);
      firstLoadFits().forEach(count);
    } catch (error) {
      console.error(error.message);
      count(false);
    }
  },
  playwright: async ({ cluster, folder }) => {
    await ensureChromium();
    const file = path.join(folder, 'playwright.json');
    cluster.createDatabase('cimbel_e2e');
    const ok = await step(bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts', ...passThrough], {
      DATABASE_URL: cluster.url('cimbel_e2e'),
      SESSION_SECRET: randomBytes(32).toString('hex'),
      E2E_PORT: String(await freePort()),
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    });
    countReport(file, ok, ({ stats }) => ({
      passed: stats.expected,
      failed: stats.unexpected + stats.flaky,
    }));
  },
};

async function main() {
  const unknown = only.find((name) => !STAGES.includes(name));
  if (unknown) throw new Plain(`${unknown} is not a stage. Stages: ${STAGES.join(', ')}.`);
  await installPackages();
  const folder = mkdtempSync(path.join(tmpdir(), 'cimbel-test-'));
  chmodSync(folder, 0o755);
  mkdirSync(inRoot('.cache'), { recursive: true });
  const cluster = new Cluster(folder, { throwAway: true });
  const clean = () => {
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      for (const child of children) child.kill('SIGTERM');
      clean();
      process.exit(130);
    });
  try {
    await cluster.start();
    cluster.mayCreateDatabases();
    for (const name of STAGES.filter((stage) => only.includes(stage))) {
      const begun = Date.now();
      say(`\n== ${name}`);
      await stages[name]({ cluster, folder });
      say(`-- ${name}: ${Math.round((Date.now() - begun) / 1000)} s`);
    }
  } finally {
    clean();
  }
  say(`\n${tally.passed} passed, ${tally.failed} failed`);
  process.exit(tally.failed === 0 && tally.passed > 0 ? 0 : 1);
}

main().catch(fail);
