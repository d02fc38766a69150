import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { Cluster, dataFolder } from './lib/postgres.mjs';
import { Plain, fail, inRoot, say } from './lib/system.mjs';

const HELP = `npm run restore -- FILE             read a backup into an installation that has no data yet
npm run restore -- FILE --replace   read it beside the data there is, and put that aside once the backup is whole
npm run restore -- --back           take back what was put aside last

Cimbel must not be running here. Until a backup is read and looked at, nothing that is there is touched.`;

const args = process.argv.slice(2);
const [file] = args.filter((arg) => !arg.startsWith('--'));
const NAME = 'cimbel';
const ASIDE = `${NAME}_before_`;
const BESIDE = `${NAME}_restoring`;
/** Tables without which it is no backup of this application. */
const NEEDED = ['users', 'classes', 'assignments', 'attempts'];

/** Steps of the schema that this version knows. */
const known = () =>
  readdirSync(inRoot('server', 'db', 'migrations'))
    .filter((name) => /^\d{3}_.*\.ts$/.test(name))
    .map((name) => name.replace(/\.ts$/, ''));

/** Reads a backup into a database of its own and looks at it. @throws Plain, with nothing left behind, where it is none. */
function readBeside(cluster, from) {
  cluster.drop(BESIDE);
  cluster.createDatabase(BESIDE);
  try {
    cluster.read(BESIDE, from);
    cluster.createDatabase(BESIDE);
    const counts = cluster.countsOf(BESIDE);
    const missing = NEEDED.filter((table) => counts[table] === undefined);
    if (missing.length > 0) throw new Plain(`This is no backup of Cimbel: it lacks ${missing.join(', ')}.`);
    const newer = cluster.stepsOf(BESIDE).filter((step) => !known().includes(step));
    if (newer.length > 0)
      throw new Plain(
        `This backup is of a newer version of Cimbel (${newer.join(', ')}). Bring this installation up to date first.`,
      );
    return counts;
  } catch (error) {
    cluster.drop(BESIDE);
    throw error instanceof Plain
      ? new Plain(`${error.message}\nNothing that was here has been touched.`)
      : error;
  }
}

/** Puts one database in the place of what is there, which is kept under another name. */
function swapIn(cluster, name) {
  const aside = `${ASIDE}${Date.now()}`;
  const isThere = cluster.named(NAME).includes(NAME);
  if (isThere && cluster.isEmpty(NAME)) cluster.drop(NAME);
  const keeps = isThere && cluster.named(NAME).includes(NAME);
  cluster.rename([...(keeps ? [[NAME, aside]] : []), [name, NAME]]);
  if (keeps)
    say(
      `What was here is kept in this cluster as the database ${aside}. The way back: npm run restore -- --back`,
    );
}

async function main() {
  const back = args.includes('--back');
  if ((!file && !back) || args.includes('--help')) return say(HELP);
  const from = file ? path.resolve(file) : null;
  if (from && !existsSync(from)) throw new Plain(`There is no file ${from}.`);
  const cluster = new Cluster(dataFolder());
  if (cluster.runningUrl(NAME)) throw new Plain('Cimbel is running here. Stop it, then run this again.');
  await cluster.start();
  try {
    if (back) {
      const [last] = cluster.named(ASIDE);
      if (!last) throw new Plain('Nothing was put aside here.');
      swapIn(cluster, last);
      return say('Done. npm start begins with what was here before.');
    }
    if (!cluster.isEmpty(NAME) && !args.includes('--replace'))
      throw new Plain(
        'There is data here already, and nothing was touched. With --replace it is put aside under another name once the backup is read.',
      );
    const counts = readBeside(cluster, from);
    swapIn(cluster, BESIDE);
    say(
      `Done: ${counts.users} accounts, ${counts.classes} classes, ${counts.attempts} answers. npm start begins with it.`,
    );
  } finally {
    cluster.stop();
  }
}

main().catch(fail);
