import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/record/record.ts', 'record');
