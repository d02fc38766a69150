import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { connect, migrateStepByStep } from '../../server/db/database';
import { schemaOf } from './dump';

/** Writes `server/db/schema.ts` from what the migrations make of an empty database; the address comes as an argument. */
async function main(url: string): Promise<void> {
  const db = connect(url, { unhurried: true });
  const last = await migrateStepByStep(db);
  await db.destroy();
  const sql = schemaOf(url);
  const file = 'server/db/schema.ts';
  writeFileSync(
    file,
    [
      '/**',
      ' * The database as the migrations make it, so that a fresh installation begins at once. Made by `npm run schema`; a test',
      ' * proves it equal to the long way.',
      ' */',
      `export const SCHEMA_AFTER = '${last}';`,
      `export const SCHEMA = ${'String.raw`'}${sql.replaceAll('`', '\\`')}${'`'};`,
      '',
    ].join('\n'),
  );
  spawnSync('node_modules/.bin/prettier', ['--write', file], { stdio: 'ignore' });
}

void main(process.argv[2]);
