import { runBundled } from './lib/bundled.mjs';

await runBundled('scripts/bench/bench.ts', 'bench');
