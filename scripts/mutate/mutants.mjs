import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT, inRoot } from '../lib/system.mjs';

/** Folders of the core that are drawn from, each as often as the others. */
export const FOLDERS = ['process', 'product', 'card', 'simulate', 'method', 'solve', 'mark', 'drill'];

const sources = (folder) =>
  readdirSync(inRoot('core', folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /(?<!\.test)\.ts$/.test(entry.name))
    .map((entry) => path.relative(ROOT, path.join(entry.parentPath, entry.name)))
    .filter((file) => !file.includes('/tests/') && !file.endsWith('index.ts') && !file.includes('/data/'))
    .sort();

const SWAPS = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
]);
/** Statements that do something and can be left out without the types breaking. */
const canGo = (node) =>
  ts.isExpressionStatement(node) ||
  ts.isContinueStatement(node) ||
  (ts.isIfStatement(node) && !node.elseStatement);

/** Every change of a file: literals, operators, conditions made always and never true, statements left out. */
function changesOf(file) {
  const text = readFileSync(inRoot(file), 'utf8');
  const changes = [];
  const add = (node, into, kind) => changes.push({ from: node.getStart(), to: node.getEnd(), into, kind });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isNumericLiteral(node)) {
      const value = Number(node.text);
      add(node, String(value === 0 ? 1 : value * 1.5), 'literal');
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false', 'literal');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true', 'literal');
    else if (ts.isBinaryExpression(node) && SWAPS.has(node.operatorToken.kind))
      add(node.operatorToken, SWAPS.get(node.operatorToken.kind), 'operator');
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(), 'operator');
    if (ts.isIfStatement(node) || ts.isConditionalExpression(node)) {
      const condition = ts.isIfStatement(node) ? node.expression : node.condition;
      for (const always of ['true', 'false']) add(condition, `(${always} as boolean)`, 'condition');
    }
    if (canGo(node)) add(node, ';', 'statement');
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true));
  return changes.map((change) => {
    const was = text.slice(change.from, change.to);
    const line = text.slice(0, change.from).split('\n').length;
    const around = text.slice(Math.max(0, change.from - 60), change.to + 60);
    // By what stands there rather than by the line, so that a change elsewhere in the file does not lose it.
    const id = createHash('sha1').update(`${file} ${around} ${change.into}`).digest('hex').slice(0, 12);
    return { ...change, id, file, text, line, was };
  });
}

/** The same choice for the same seed (Park and Miller). */
function* numbers(seed) {
  for (let now = seed; ; yield now / 2147483647) now = (now * 48271) % 2147483647;
}

/** So many mutants, as many of each folder as of the others; the same for the same seed and code. */
export function drawMutants(count, seed, named) {
  const groups = named.length > 0 ? [named] : FOLDERS.map(sources);
  const random = numbers(seed);
  random.next();
  return groups.flatMap((files, i) => {
    const all = files.flatMap(changesOf);
    const share = Math.floor(count / groups.length) + (i < count % groups.length ? 1 : 0);
    return Array.from({ length: Math.min(share, all.length) }, () =>
      all.splice(Math.floor(random.next().value * all.length), 1).at(0),
    );
  });
}
