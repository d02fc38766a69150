import { mkdtempSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { runBundled } from './lib/bundled.mjs';
import { Cluster } from './lib/postgres.mjs';
import { fail } from './lib/system.mjs';

/** Makes `server/db/schema.ts` anew in a throw-away database: `npm run schema`, after a migration was added. */
async function main() {
  const folder = mkdtempSync(path.join(tmpdir(), 'cimbel-schema-'));
  chmodSync(folder, 0o755);
  const cluster = new Cluster(folder, { throwAway: true });
  process.on('exit', () => {
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  });
  await cluster.start();
  cluster.createDatabase('schema');
  await runBundled('scripts/schema/main.ts', 'schema', [cluster.url('schema')], ['knex', 'pg']);
}

main().catch(fail);
