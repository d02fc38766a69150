import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { Cluster, dataFolder } from './lib/postgres.mjs';
import { Plain, fail, inRoot, say } from './lib/system.mjs';

const HELP = `npm run backup [-- FILE]   write all of the data to a file, while classes go on working

Without a name it is backups/cimbel-YYYY-MM-DD-HHMM.dump. npm run restore -- FILE reads it into an empty installation.`;

const [given] = process.argv.slice(2);

function main() {
  if (given === '--help') return say(HELP);
  const cluster = new Cluster(dataFolder());
  if (!cluster.runningUrl('cimbel'))
    throw new Plain('Cimbel is not running here. Start it with npm start, then run this again.');
  const stamp = new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');
  const file = path.resolve(given ?? inRoot('backups', `cimbel-${stamp}.dump`));
  mkdirSync(path.dirname(file), { recursive: true });
  cluster.dump('cimbel', file);
  say(`All of the data is in ${file}. Keep it where this computer's end does not end it too.`);
}

try {
  main();
} catch (error) {
  fail(error.code === 'EEXIST' ? new Plain(`${error.path} is there already. Name another file.`) : error);
}
