import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { FIGURE_SOURCES, figurePaths, sourceOf } from '../../core/process/figure-sources';
import { FIGURES } from '../../core/process/figures';
import { PRODUCTS, PRODUCT_KINDS } from '../../core/process/products';
import { BEHAVIOUR, type Measure } from '../../core/process/tests/behaviour-rows';
import { solvedTables } from './tables';

/**
 * Fits the hair model to what is known of hair. First the two ladders of natural pigment, solved from colours; then the
 * figures of the process, moved one by one within their spans until every row of the behaviour table holds with some room.
 * `npm run fit` prints; `npm run fit -- --write` writes the tables and figures; `--sweeps N` says how long.
 */
const write = process.argv.includes('--write');
const at = process.argv.indexOf('--sweeps');
const sweeps = at > 0 ? Number(process.argv[at + 1]) : 6;

const tables = solvedTables();
console.log('Ladders of natural pigment, solved from hue, chroma and lightness');
for (const { name, rungs } of tables)
  for (const { level, deltaE, pigment } of rungs)
    console.log(
      `  ${name.padEnd(9)} ${String(level).padStart(2)}  ΔE ${deltaE.toFixed(2)}  ${JSON.stringify(pigment)}`,
    );

/** A row should hold with a little room, so that the next observation does not break it. */
const ROOM = 0.1;
const MOVED_PRICE = 0.002;
function missOf({ value, min, max, scale = 1 }: Measure): number {
  const v = value();
  if (!Number.isFinite(v)) return 1e3;
  const room =
    min !== undefined && max !== undefined ? Math.min(ROOM * scale * 2, (max - min) / 4) : ROOM * scale * 2;
  const under = min === undefined ? 0 : min + room - v;
  const over = max === undefined ? 0 : v - (max - room);
  return Math.max(0, under, over) / scale;
}
const moved = BEHAVIOUR.filter(({ row }) => !['H1', 'H2', 'H34', 'H25', 'H46'].includes(row));

type Tree = Record<string, unknown>;
function slot(name: string): { get: () => number; set: (value: number) => void } {
  const names = name.split('.');
  const last = names.pop()!;
  const owner = names.reduce<Tree>((tree, name) => tree[name] as Tree, FIGURES as unknown as Tree);
  const set = (value: number) => {
    owner[last] = value;
    // The products hold copies of their plain figures.
    for (const kind of PRODUCT_KINDS) Object.assign(PRODUCTS[kind], FIGURES.products[kind]);
  };
  return { get: () => owner[last] as number, set };
}
const free = figurePaths(FIGURES).flatMap((name) => {
  const source = sourceOf(name);
  if (source?.kind !== 'fitted') return [];
  const { get, set } = slot(name);
  const began = get();
  const [low, high] = source.span!;
  return began === 0 ? [] : [{ name, get, set, began, low: began * low, high: began * high }];
});

const cost = () =>
  moved.reduce((sum, measure) => sum + missOf(measure) ** 2, 0) +
  MOVED_PRICE * free.reduce((sum, { get, began }) => sum + Math.log(get() / began) ** 2, 0);

let best = cost();
console.log(`\n${free.length} fitted figures of ${figurePaths(FIGURES).length}; cost ${best.toFixed(3)}`);
let stride = 0.16;
for (let sweep = 0; sweep < sweeps && stride > 0.004; sweep++) {
  const before = best;
  for (const { get, set, low, high } of free) {
    const own = get();
    for (const factor of [1 + stride, 1 / (1 + stride)]) {
      const tried = Math.min(high, Math.max(low, own * factor));
      if (tried === own) continue;
      set(tried);
      const now = cost();
      if (now < best - 1e-6) {
        best = now;
        break;
      }
      set(own);
    }
  }
  console.log(`sweep ${sweep + 1}: stride ${stride.toFixed(3)}, cost ${best.toFixed(3)}`);
  if (before - best < 0.02 * before) stride /= 2;
}

for (const { get, set } of free) set(Number(get().toPrecision(4)));
console.log('\nFigures');
for (const name of figurePaths(FIGURES)) {
  const source = sourceOf(name);
  const own = free.find((one) => one.name === name);
  const was = own && Math.abs(own.began / own.get() - 1) > 0.005 ? ` (was ${own.began})` : '';
  console.log(`  ${name} = ${slot(name).get()}${was}  ${source?.kind ?? 'unknown'}: ${source?.from ?? '?'}`);
}
console.log('\nRows');
let missed = 0;
for (const { row, what, value, min, max } of BEHAVIOUR) {
  const v = value();
  const holds = (min === undefined || v >= min - 1e-9) && (max === undefined || v <= max + 1e-9);
  if (!holds) missed++;
  console.log(
    `  ${holds ? ' ' : '✗'} ${row.padEnd(8)} ${what.padEnd(44)} ${v.toFixed(3).padStart(8)}  [${min ?? ''}, ${max ?? ''}]`,
  );
}
console.log(
  `\n${BEHAVIOUR.length - missed} of ${BEHAVIOUR.length} measures hold; ${FIGURE_SOURCES.length} sources`,
);
if (write) {
  const here = (file: string) => path.join(process.cwd(), 'core', file);
  writeFileSync(here('process/figures.json'), `${JSON.stringify(FIGURES, null, 2)}\n`);
  writeFileSync(
    here('hair/pigment-tables.json'),
    `${JSON.stringify(Object.fromEntries(tables.map(({ name, rungs }) => [name, rungs.map(({ pigment }) => pigment)])), null, 2)}\n`,
  );
  console.log('written; run `npm run format`');
}
