import { existsSync, readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';

const ROOT = path.join(__dirname, '../..');
const PAGES = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  'docs/architecture.md',
  'docs/running/README.md',
];

/** What is written as code and looks like a path of the repository: it has a folder of ours, or an ending. */
const pathsIn = (text: string): string[] =>
  [...text.matchAll(/`([\w@./-]+)`/g)].flatMap(([, name]) =>
    /^(core|contract|server|web|e2e|scripts|docs)\//.test(name) ? [name] : [],
  );
const linksIn = (text: string): string[] =>
  [...text.matchAll(/\]\((?!https?:)([^)#]+)\)/g)].map(([, link]) => link);

describe('the pages for whoever takes over', () => {
  it.each(PAGES)('%s names only paths that are there', (page) => {
    const text = readFileSync(path.join(ROOT, page), 'utf8');
    const gone = pathsIn(text).filter((name) => !existsSync(path.join(ROOT, name)));
    // The changelog says what took the place of what.
    expect(gone.filter((name) => !(page === 'CHANGELOG.md' && name === 'docs/taking-over.md'))).toEqual([]);
    const broken = linksIn(text).filter((link) => !existsSync(path.join(ROOT, path.dirname(page), link)));
    expect(broken).toEqual([]);
  });

  it('name every folder of the core', () => {
    const text = readFileSync(path.join(ROOT, 'docs/architecture.md'), 'utf8');
    const folders = readdirSync(path.join(ROOT, 'core'), { withFileTypes: true })
      .filter((entry) => entry.isDirectory() && !['testing', 'node_modules'].includes(entry.name))
      .map(({ name }) => name);
    expect(folders.filter((name) => !text.includes(`core/${name}`))).toEqual([]);
  });

  it('say where a change begins in twelve lines, each with a first file', () => {
    const text = readFileSync(path.join(ROOT, 'CONTRIBUTING.md'), 'utf8');
    const lines = text
      .slice(text.indexOf('## Where a change begins'), text.indexOf('More of the kind'))
      .match(/^- \*\*.*$/gm)!;
    expect(lines).toHaveLength(12);
    for (const line of lines) expect(pathsIn(line).length).toBeGreaterThan(0);
  });

  it('keep the architecture within two screens', () => {
    const text = readFileSync(path.join(ROOT, 'docs/architecture.md'), 'utf8');
    expect(text.split(/\s+/).length).toBeLessThan(1500);
  });
});
