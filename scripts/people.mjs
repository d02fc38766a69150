import { spawnSync } from 'node:child_process';
import { Cluster, dataFolder } from './lib/postgres.mjs';
import { Plain, buildApplication, fail, inRoot, installPackages } from './lib/system.mjs';

/** Codes made at the terminal, on the database of a running `npm start` or the one that DATABASE_URL names. */
async function main() {
  await installPackages();
  await buildApplication();
  const url = process.env.DATABASE_URL ?? new Cluster(dataFolder()).runningUrl('cimbel');
  if (!url) throw new Plain('Cimbel is not running here. Start it with npm start, then run this again.');
  const { status } = spawnSync(
    process.execPath,
    [inRoot('server/dist/people.js'), ...process.argv.slice(2)],
    { stdio: 'inherit', env: { ...process.env, DATABASE_URL: url } },
  );
  process.exit(status ?? 1);
}

main().catch(fail);
