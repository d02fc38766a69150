import { build } from 'esbuild';
import { fork } from 'node:child_process';
import { inRoot } from './lib/system.mjs';

/** Bundles the benchmark as it would run in production and runs it in a process of its own. */
const outfile = inRoot('.cache', 'bench.cjs');
await build({
  entryPoints: [inRoot('scripts/bench/bench.ts')],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  logLevel: 'error',
});
fork(outfile).on('exit', (code) => process.exit(code ?? 1));
