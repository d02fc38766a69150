import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/cli/cimbel.ts', 'cimbel', process.argv.slice(2));
