import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/rules/main.ts', 'rules');
