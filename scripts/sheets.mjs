import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/sheets/sheets.ts', 'sheets', process.argv.slice(2));
