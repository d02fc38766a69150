import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/fit/fit.ts', 'fit', process.argv.slice(2));
