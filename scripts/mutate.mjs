import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT, fail, inRoot, say } from './lib/system.mjs';

/**
 * Changes the craft's code one small thing at a time (a figure, a limit, a sign, an and for an or) and runs its tests:
 * what no test notices survives, and is listed. The files are put back after each change.
 *   npm run mutate [-- --most=40] [--seed=1] [core/mark/prices.ts …]
 */
const option = (name, other) =>
  Number(process.argv.find((arg) => arg.startsWith(`--${name}=`))?.slice(name.length + 3) ?? other);
const most = option('most', 40);
const named = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
const FOLDERS = ['core/theory', 'core/solve', 'core/mark'];
const TESTS = ['core/theory', 'core/solve', 'core/mark', 'core/cases'];
/** The random heads take minutes; a change they alone would notice counts as unnoticed. */
const WITHOUT = ['laws.test', 'recorded.test'];

const sources = (folder) =>
  readdirSync(inRoot(folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /(?<!\.test)\.ts$/.test(entry.name))
    .map((entry) => path.relative(ROOT, path.join(entry.parentPath, entry.name)))
    .filter((file) => !file.includes('/tests/') && !file.endsWith('index.ts'));

const SWAPS = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
]);

/** Every change of a file: where, and what it becomes. */
function changesOf(file) {
  const text = readFileSync(inRoot(file), 'utf8');
  const found = [];
  const visit = (node) => {
    if (ts.isNumericLiteral(node)) {
      const value = Number(node.text);
      found.push({ from: node.getStart(), to: node.getEnd(), into: String(value === 0 ? 1 : value * 1.5) });
    } else if (ts.isBinaryExpression(node) && SWAPS.has(node.operatorToken.kind)) {
      const { operatorToken: token } = node;
      found.push({ from: token.getStart(), to: token.getEnd(), into: SWAPS.get(token.kind) });
    } else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
      found.push({ from: node.getStart(), to: node.getStart() + 1, into: '' });
    }
    if (!ts.isTypeNode(node) && !ts.isImportDeclaration(node)) ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true));
  return found.map((change) => ({ ...change, file, text }));
}

/** The same choice for the same seed (Park and Miller). */
function* numbers(seed) {
  for (let now = seed; ; yield now / 2147483647) now = (now * 48271) % 2147483647;
}

/** Whether search and marks say what is recorded of them: as its test, without what Jest costs. */
async function isAsRecorded() {
  const outfile = inRoot('.cache', 'mutated.cjs');
  await build({
    stdin: { contents: CHECK, resolveDir: ROOT, loader: 'ts' },
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    logLevel: 'silent',
  });
  return spawnSync('node', [outfile], { cwd: ROOT, stdio: 'ignore', timeout: 300_000 }).status === 0;
}
const CHECK = `
  import { differences, readRecorded, recordAll } from './scripts/record/recorded';
  const was = readRecorded();
  process.exit(recordAll().every((now, i) => differences(now, was[i]).length === 0) ? 0 : 1);
`;

/** Whether all tests of some folders pass. */
const isGreen = (folders) =>
  spawnSync(
    inRoot('node_modules', '.bin', 'jest'),
    [...folders, '--bail', '--silent', '--selectProjects', 'core', '--testPathIgnorePatterns', ...WITHOUT],
    { cwd: ROOT, stdio: 'ignore', timeout: 300_000 },
  ).status === 0;

async function main() {
  const all = (named.length > 0 ? named : FOLDERS.flatMap(sources)).flatMap(changesOf);
  const random = numbers(option('seed', 1));
  const chosen = Array.from({ length: Math.min(most, all.length) }, () =>
    all.splice(Math.floor(random.next().value * all.length), 1).at(0),
  );
  const survivors = [];
  for (const { file, text, from, to, into } of chosen) {
    const line = text.slice(0, from).split('\n').length;
    const name = `${file}:${line} ${text.slice(from, to)} → ${into || '(nothing)'}`;
    writeFileSync(inRoot(file), text.slice(0, from) + into + text.slice(to));
    const restore = () => writeFileSync(inRoot(file), text);
    process.once('SIGINT', restore);
    // What was recorded notices most changes, then the tests beside it.
    const [own] = TESTS.filter((folder) => file.startsWith(folder));
    const isUnnoticed =
      (await isAsRecorded()) && [[own], TESTS.filter((folder) => folder !== own)].every(isGreen);
    restore();
    process.removeListener('SIGINT', restore);
    if (isUnnoticed) survivors.push(name);
    say(`${isUnnoticed ? 'survives' : 'noticed '}  ${name}`);
  }
  const share = Math.round((100 * survivors.length) / chosen.length);
  say(`\n${survivors.length} of ${chosen.length} changes went unnoticed (${share} %).`);
}

main().catch(fail);
