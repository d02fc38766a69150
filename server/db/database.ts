import knexModule, { type Knex } from 'knex';
import pg from 'pg';
import * as slice from './migrations/001_slice';
import * as reading from './migrations/002_reading';
import * as shadeBooks from './migrations/003_shade_books';
import * as services from './migrations/004_services';
import * as schools from './migrations/005_schools';
import * as craft from './migrations/006_craft';
import * as oneExercise from './migrations/007_one_exercise';
import * as areas from './migrations/008_areas';
import * as judgement from './migrations/009_judgement';
import * as frozen from './migrations/010_frozen';
import * as testSecret from './migrations/011_test_secret';
import * as heat from './migrations/012_heat';
import * as sessionAccount from './migrations/013_session_account';
import * as receipts from './migrations/014_receipts';
import * as drills from './migrations/015_drills';
import * as people from './migrations/016_people';
import * as grades from './migrations/017_grades';
import * as pace from './migrations/018_pace';
import * as terms from './migrations/019_terms';
import * as educators from './migrations/020_educators';
import * as assigning from './migrations/021_assigning';
import * as passMark from './migrations/022_pass_mark';
import * as ceilings from './migrations/023_ceilings';
import * as names from './migrations/024_names';
import * as liftAndToner from './migrations/025_lift_and_toner';
import * as notTaken from './migrations/026_not_taken';
import * as plays from './migrations/027_plays';
import * as groups from './migrations/028_groups';
import * as orderOfSaves from './migrations/029_order_of_saves';
import * as pile from './migrations/030_pile';
import * as variants from './migrations/031_variants';
import * as gradebook from './migrations/032_gradebook';
import * as live from './migrations/033_live';
import * as told from './migrations/034_told';
import { SCHEMA, SCHEMA_AFTER } from './schema';

const MIGRATIONS: Record<string, { up: (knex: Knex) => Promise<void>; down: (knex: Knex) => Promise<void> }> =
  {
    '001_slice': slice,
    '002_reading': reading,
    '003_shade_books': shadeBooks,
    '004_services': services,
    '005_schools': schools,
    '006_craft': craft,
    '007_one_exercise': oneExercise,
    '008_areas': areas,
    '009_judgement': judgement,
    '010_frozen': frozen,
    '011_test_secret': testSecret,
    '012_heat': heat,
    '013_session_account': sessionAccount,
    '014_receipts': receipts,
    '015_drills': drills,
    '016_people': people,
    '017_grades': grades,
    '018_pace': pace,
    '019_terms': terms,
    '020_educators': educators,
    '021_assigning': assigning,
    '022_pass_mark': passMark,
    '023_ceilings': ceilings,
    '024_names': names,
    '025_lift_and_toner': liftAndToner,
    '026_not_taken': notTaken,
    '027_plays': plays,
    '028_groups': groups,
    '029_order_of_saves': orderOfSaves,
    '030_pile': pile,
    '031_variants': variants,
    '032_gradebook': gradebook,
    '033_live': live,
    '034_told': told,
  };

/** Migrations are code in the bundle rather than files on disk, so that one file is the whole server. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(MIGRATIONS),
  getMigrationName: (name) => name,
  getMigration: async (name) => MIGRATIONS[name],
};

/** What waits longer than this has failed, milliseconds: to reach the database, for a lock, for an answer. */
const REACHED_WITHIN = 5_000;
const LIMITS = {
  lock_timeout: 10_000,
  statement_timeout: 30_000,
  idle_in_transaction_session_timeout: 60_000,
};

/** `unhurried` is for what may take its time: migrations. */
export function connect(url: string, { unhurried = false } = {}): Knex {
  return knexModule({
    client: 'pg',
    connection: {
      connectionString: url,
      connectionTimeoutMillis: REACHED_WITHIN,
      ...(unhurried ? {} : LIMITS),
    },
    pool: { min: 0, max: 10 },
    acquireConnectionTimeout: 2 * REACHED_WITHIN,
  });
}

export function sessionPool(url: string): pg.Pool {
  return new pg.Pool({
    connectionString: url,
    max: 4,
    connectionTimeoutMillis: REACHED_WITHIN,
    ...LIMITS,
  });
}

/** Brings a database to the present form. */
export async function migrateAt(url: string): Promise<void> {
  const db = connect(url, { unhurried: true });
  try {
    await migrate(db);
  } finally {
    await db.destroy();
  }
}

const UNREACHABLE = /^(ECONN|EPIPE|ETIMEDOUT|57P0[123]$|08)/;
/** Whether an error says that the database is not there at the moment, rather than what it thinks of a question. */
export const isUnreachable = (error: { code?: unknown; name?: unknown; message?: unknown } | null): boolean =>
  UNREACHABLE.test(String(error?.code ?? '')) ||
  error?.name === 'KnexTimeoutError' ||
  /Connection terminated|timeout exceeded when trying to connect/.test(String(error?.message ?? ''));

/** Brings a database to the present form by every migration in turn; gives the name of the last. */
export async function migrateStepByStep(db: Knex): Promise<string> {
  await db.migrate.latest({ migrationSource });
  return Object.keys(MIGRATIONS).at(-1)!;
}

/** Makes an empty database what the migrations would make of it, and writes them down as done. */
async function beginWithSchema(db: Knex): Promise<void> {
  const names = Object.keys(MIGRATIONS);
  const done = names.slice(0, names.indexOf(SCHEMA_AFTER) + 1);
  // Makes the tables of the migrations themselves where they are not there yet.
  await db.migrate.currentVersion({ migrationSource });
  await db.transaction(async (trx) => {
    await trx.raw('select pg_advisory_xact_lock(hashtext(?))', ['cimbel schema']);
    if ((await trx('knex_migrations').first()) || (await trx.schema.hasTable('users'))) return;
    await trx.raw(SCHEMA);
    await trx('knex_migrations').insert(
      done.map((name) => ({ name, batch: 1, migration_time: trx.fn.now() })),
    );
  });
}

/** Brings a database to the present form: an empty one at once, any other by what it still lacks. */
export async function migrate(db: Knex): Promise<void> {
  if (!(await db.schema.hasTable('users'))) await beginWithSchema(db);
  await db.migrate.latest({ migrationSource });
}
