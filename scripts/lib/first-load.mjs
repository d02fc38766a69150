import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { inRoot, say } from './system.mjs';

/** The most that comes before a page is there, gzip, in kB: scripts and styles of the page and of all that it needs. */
const BUDGETS = {
  'routes/sign-in.tsx': 164,
  'routes/student-home.tsx': 168,
};

/** Whether the first load of the built application keeps to its budget; says by how much it does or does not. */
export function firstLoadFits() {
  const dist = inRoot('web', 'dist');
  const manifest = JSON.parse(readFileSync(`${dist}/.vite/manifest.json`, 'utf8'));
  const sizes = new Map();
  const sizeOf = (file) => {
    if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(`${dist}/${file}`), { level: 9 }).length);
    return sizes.get(file);
  };
  return Object.entries(BUDGETS).map(([page, budget]) => {
    const seen = new Set();
    const files = new Set();
    const visit = (name) => {
      if (seen.has(name)) return;
      seen.add(name);
      const { file, css = [], imports = [] } = manifest[name];
      [file, ...css].forEach((one) => files.add(one));
      imports.forEach(visit);
    };
    ['index.html', page].forEach(visit);
    const kilobytes = [...files].reduce((sum, file) => sum + sizeOf(file), 0) / 1000;
    const fits = kilobytes <= budget;
    say(`${fits ? '' : 'TOO LARGE: '}${page} loads ${kilobytes.toFixed(0)} kB of ${budget} kB (gzip)`);
    return fits;
  });
}
