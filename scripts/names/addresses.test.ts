import { readFileSync } from 'node:fs';
import path from 'node:path';
import { sourcesIn } from '../lib/sources';

const ROOT = path.join(__dirname, '../..');

const textOf = (file: string) => readFileSync(file, 'utf8');

/** Addresses as segments, `*` for what is filled in; what comes after `?` or `#` is left out. */
const segmentsOf = (address: string) =>
  address
    .replace(/\$\{[^}]*\}/g, '*')
    .split(/[?#]/)[0]
    .split('/')
    .map((segment) => (segment.startsWith(':') || segment.includes('*') ? '*' : segment));

/** Whether an address could be of one of the paths: what is filled in on one side may be any word of the other. */
const leadsTo = (address: string[], paths: readonly string[][]) =>
  paths.some(
    (known) =>
      known.length === address.length &&
      known.every((segment, i) => segment === address[i] || segment === '*' || address[i] === '*'),
  );

/** Every address in the pages that is found by a pattern, with the file it stands in. */
const addressesIn = (pattern: RegExp) =>
  sourcesIn(path.join(ROOT, 'web')).flatMap((file) =>
    [...textOf(file).matchAll(pattern)].map(([, address]) => ({ file: path.relative(ROOT, file), address })),
  );
const pathsIn = (files: readonly string[], pattern: RegExp) =>
  files.flatMap((file) => [...textOf(file).matchAll(pattern)].map(([, found]) => segmentsOf(found)));

describe('addresses', () => {
  it.each([
    {
      of: 'links between pages',
      asked: addressesIn(/\b(?:to=\{?|navigate\()["'`](\/[^"'`]*)["'`]/g),
      paths: pathsIn([path.join(ROOT, 'web/routes/router.tsx')], /path: '(\/[^']*)'/g),
      least: 45,
    },
    {
      of: 'requests of the server',
      // Beginnings of addresses, and such as are put together by a condition, are left to the journeys.
      asked: addressesIn(/["'`](\/api\/(?:\$\{[^}"'`]*\}|[^"'`$])*)(?<!\/)["'`]/g),
      paths: pathsIn(sourcesIn(path.join(ROOT, 'server')), /["'`](\/api\/[^"'`]*)["'`]/g),
      least: 60,
    },
  ])('$of are of something there is', ({ asked, paths, least }) => {
    expect(asked.length).toBeGreaterThan(least);
    expect(asked.filter(({ address }) => !leadsTo(segmentsOf(address), paths))).toEqual([]);
  });
});
