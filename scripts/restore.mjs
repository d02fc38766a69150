import { existsSync } from 'node:fs';
import path from 'node:path';
import { Cluster, dataFolder } from './lib/postgres.mjs';
import { Plain, fail, say } from './lib/system.mjs';

const HELP = `npm run restore -- FILE             read a backup into an installation that has no data yet
npm run restore -- FILE --replace   put the data there is aside, under another name, and read the backup in its place

Cimbel must not be running here.`;

const args = process.argv.slice(2);
const [file] = args.filter((arg) => !arg.startsWith('--'));
const NAME = 'cimbel';

async function main() {
  if (!file || args.includes('--help')) return say(HELP);
  const from = path.resolve(file);
  if (!existsSync(from)) throw new Plain(`There is no file ${from}.`);
  const cluster = new Cluster(dataFolder());
  if (cluster.runningUrl(NAME)) throw new Plain('Cimbel is running here. Stop it, then run this again.');
  await cluster.start();
  try {
    if (!cluster.isEmpty(NAME)) {
      if (!args.includes('--replace'))
        throw new Plain(
          'There is data here already, and nothing was touched. With --replace it is put aside under another name first.',
        );
      const aside = `${NAME}_before_${Date.now()}`;
      cluster.putAside(NAME, aside);
      say(`The data there was is kept in this cluster as the database ${aside}.`);
    }
    cluster.createDatabase(NAME);
    cluster.read(NAME, from);
    cluster.createDatabase(NAME);
    say('Done. npm start begins with it.');
  } finally {
    cluster.stop();
  }
}

main().catch(fail);
