import { readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { sourcesIn } from '../lib/sources';

const ROOT = path.join(__dirname, '../..');
const FOLDERS = ['core', 'contract', 'server', 'web', 'e2e', 'scripts'];

/** Names that may stand more than once, and why. */
const MAY_REPEAT: Readonly<Record<string, string>> = {
  up: 'each migration has one',
  down: 'each migration has one',
  default: 'what a tool or a lazy route loads',
};

/** Names that a file exports and declares itself; what it hands on from another file is that file's. */
function exportedBy(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, false);
  return source.statements.flatMap((statement) => {
    const modifiers = ts.canHaveModifiers(statement) ? (ts.getModifiers(statement) ?? []) : [];
    if (!modifiers.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)) return [];
    if (modifiers.some(({ kind }) => kind === ts.SyntaxKind.DefaultKeyword)) return ['default'];
    if (ts.isVariableStatement(statement))
      return statement.declarationList.declarations.flatMap(({ name }) =>
        ts.isIdentifier(name) ? [name.text] : [],
      );
    const { name } = statement as ts.DeclarationStatement;
    return name && ts.isIdentifier(name) ? [name.text] : [];
  });
}

describe('exported names', () => {
  it('stand once each in the whole repository', () => {
    const files = new Map<string, Set<string>>();
    for (const file of FOLDERS.flatMap((folder) => sourcesIn(path.join(ROOT, folder))))
      for (const name of exportedBy(file)) {
        const where = files.get(name) ?? new Set();
        files.set(name, where.add(path.relative(ROOT, file)));
      }
    expect(files.size).toBeGreaterThan(1500);
    const twice = [...files].filter(([name, where]) => where.size > 1 && !(name in MAY_REPEAT));
    expect(twice.map(([name, where]) => `${name}: ${[...where].join(', ')}`)).toEqual([]);
  });
});
