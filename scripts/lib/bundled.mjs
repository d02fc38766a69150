import { build } from 'esbuild';
import { fork } from 'node:child_process';
import { inRoot } from './system.mjs';

/** Bundles a script of ours as it would run in production and runs it in a process of its own, ending as it ends. */
export async function runBundled(entry, name, args = [], external = []) {
  const outfile = inRoot('.cache', `${name}.cjs`);
  await build({
    entryPoints: [inRoot(entry)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    external,
    logLevel: 'error',
  });
  fork(outfile, args).on('exit', (code) => process.exit(code ?? 1));
}
