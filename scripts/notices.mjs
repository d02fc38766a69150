import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT, fail, inRoot, say } from './lib/system.mjs';

/**
 * Writes THIRD-PARTY-NOTICES.md from what is installed: every package that the application runs on or ships, fonts too,
 * with its licence in full. Run after a dependency changes.
 */
const WORKSPACES = ['core', 'contract', 'server', 'web'];
/** Packages that are built into the application though they are installed for building it. */
const BUILT_IN = ['tailwindcss'];

const readJson = (file) => JSON.parse(readFileSync(file, 'utf8'));

/** The folder a package is installed in, as seen from another; null where it is not. */
function folderOf(name, from) {
  for (let at = from; ; at = path.dirname(at)) {
    const folder = path.join(at, 'node_modules', name);
    if (existsSync(path.join(folder, 'package.json'))) return folder;
    if (at === ROOT) return null;
  }
}

/** Every package reached from the workspaces by what they need to run, by name and version. */
function reached() {
  const packages = new Map();
  const visit = (folder, names) => {
    for (const name of names) {
      const found = name.startsWith('@cimbel/') ? null : folderOf(name, folder);
      if (!found) continue;
      const manifest = readJson(path.join(found, 'package.json'));
      const key = `${name} ${manifest.version}`;
      if (packages.has(key)) continue;
      packages.set(key, { folder: found, manifest });
      visit(found, Object.keys({ ...manifest.dependencies, ...manifest.optionalDependencies }));
    }
  };
  for (const workspace of WORKSPACES)
    visit(inRoot(workspace), Object.keys(readJson(inRoot(workspace, 'package.json')).dependencies ?? {}));
  visit(ROOT, BUILT_IN);
  return packages;
}

/** Packages for one kind of machine only say which; they would differ from machine to machine. */
const isForOneMachine = ({ manifest }) => Boolean(manifest.os || manifest.cpu || manifest.libc);

function licenceOf(folder) {
  const file = readdirSync(folder).find((name) => /^(licen[cs]e|copying|ofl)(\.(md|txt))?$/i.test(name));
  return file ? readFileSync(path.join(folder, file), 'utf8').replace(/\r/g, '').trim() : null;
}

function main() {
  const packages = [...reached()]
    .filter(([, one]) => !isForOneMachine(one))
    .sort(([a], [b]) => (a < b ? -1 : 1));
  const byText = new Map();
  const rows = packages.map(([key, { folder, manifest }]) => {
    const text = licenceOf(folder);
    if (text) byText.set(text, [...(byText.get(text) ?? []), key]);
    return `| ${key} | ${typeof manifest.license === 'string' ? manifest.license : 'see below'} |`;
  });
  const texts = [...byText].map(
    ([text, keys]) => `## ${keys.join(', ')}\n\n\`\`\`text\n${text.replaceAll('```', "'''")}\n\`\`\``,
  );
  writeFileSync(
    inRoot('THIRD-PARTY-NOTICES.md'),
    [
      '# Third-party notices',
      'Cimbel runs on these packages and ships parts of them, fonts included. Made by `npm run notices`.',
      ['| package | licence |', '| --- | --- |', ...rows].join('\n'),
      ...texts,
      '',
    ].join('\n\n'),
  );
  say(`${packages.length} packages, ${byText.size} licence texts`);
}

try {
  main();
} catch (error) {
  fail(error);
}
