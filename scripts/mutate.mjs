import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { drawMutants } from './mutate/mutants.mjs';
import { ROOT, fail, inRoot, say } from './lib/system.mjs';

/**
 * Changes the craft's code one small thing at a time and runs its tests: those of the same folder first, then the rest of
 * the core, what is recorded last. What nothing notices is alive, and listed. Goes on where it was cut off.
 *   npm run mutate [-- --count=200] [--seed=1] [--fresh] [core/mark/ceiling.ts …]
 * Changes that make no difference stand in `mutate/equivalent.json`, by id, with the reason.
 */
const option = (name, other) =>
  Number(process.argv.find((arg) => arg.startsWith(`--${name}=`))?.slice(name.length + 3) ?? other);
const named = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
/** For each of the three runs. */
const LIMIT_MS = 90_000;
/** Suites of minutes that say nothing of the craft's rules, but in their own folder. */
const SLOW = ['core/draw/', 'core/drill/items', 'core/drill/practice'];
const FILE = inRoot('.cache', 'mutants.json');
const EQUIVALENT = JSON.parse(readFileSync(inRoot('scripts', 'mutate', 'equivalent.json'), 'utf8'));

/** One run of something; null when its time is over. */
function run(command, args) {
  const { status, error, signal } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'ignore',
    timeout: LIMIT_MS,
  });
  return error?.code === 'ETIMEDOUT' || signal ? null : status === 0;
}
const jest = (args) =>
  run(inRoot('node_modules', '.bin', 'jest'), ['--selectProjects', 'core', '--bail', '--silent', ...args]);

const RECORDED = `
  import { differences, readRecorded, recordAll } from './scripts/record/recorded';
  const was = readRecorded();
  process.exit(recordAll().every((now, i) => differences(now, was[i]).length === 0) ? 0 : 1);
`;
/** Whether what is computed is as recorded: as its test, without what Jest costs. */
async function isAsRecorded() {
  const outfile = inRoot('.cache', 'mutated.cjs');
  await build({
    stdin: { contents: RECORDED, resolveDir: ROOT, loader: 'ts' },
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    logLevel: 'silent',
  });
  return run('node', [outfile]);
}

/** What notices a mutant: its own folder, another, the record; or it is alive, or ran out of time. */
async function verdictOn({ file }) {
  const [, folder] = file.split('/');
  const own = jest(['--passWithNoTests', '--testPathPatterns', `core/${folder}/`]);
  if (own !== true) return own === null ? 'time' : 'folder';
  const rest = jest(['--testPathIgnorePatterns', `core/${folder}/`, ...SLOW]);
  if (rest !== true) return rest === null ? 'time' : 'elsewhere';
  const recorded = await isAsRecorded();
  return recorded === null ? 'time' : recorded ? 'alive' : 'record';
}

async function main() {
  mkdirSync(inRoot('.cache'), { recursive: true });
  const known =
    existsSync(FILE) && !process.argv.includes('--fresh') ? JSON.parse(readFileSync(FILE, 'utf8')) : {};
  const mutants = drawMutants(option('count', 200), option('seed', 1), named);
  const verdicts = [];
  for (const mutant of mutants) {
    const { id, file, line, was, into, text, from, to } = mutant;
    const short = (code) => (code.length > 40 ? `${code.slice(0, 37)}…` : code).replaceAll('\n', ' ');
    const name = `${file}:${line} ${short(was)} → ${into} [${id}]`;
    if (EQUIVALENT[id]) {
      verdicts.push({ name, verdict: 'equivalent' });
      continue;
    }
    if (!known[id]) {
      writeFileSync(inRoot(file), text.slice(0, from) + into + text.slice(to));
      const restore = () => writeFileSync(inRoot(file), text);
      const stop = () => {
        restore();
        process.exit(130);
      };
      process.once('SIGINT', stop).once('SIGTERM', stop);
      try {
        known[id] = await verdictOn(mutant);
      } finally {
        restore();
        process.removeListener('SIGINT', stop).removeListener('SIGTERM', stop);
      }
      writeFileSync(FILE, JSON.stringify(known));
    }
    verdicts.push({ name, verdict: known[id] });
    say(`${known[id].padEnd(10)} ${name}`);
  }
  const of = (verdict) => verdicts.filter((one) => one.verdict === verdict).length;
  const judged = verdicts.length - of('equivalent') - of('time');
  const share = (count) => `${count} (${Math.round((100 * count) / Math.max(1, judged))} %)`;
  say(`\n${verdicts.length} mutants: ${of('equivalent')} equivalent, ${of('time')} out of time.`);
  say(
    `Of ${judged}: noticed in their folder ${share(of('folder'))}, elsewhere ${share(of('elsewhere'))}, ` +
      `by the record alone ${share(of('record'))}, alive ${share(of('alive'))}.`,
  );
}

main().catch(fail);
