import { randomBytes } from 'node:crypto';
import { contentsOf } from '../../scripts/schema/dump';
import { connect, migrate, migrateStepByStep, migrationSource } from './database';
import { SCHEMA_AFTER } from './schema';

/** Two databases: one by every migration in turn, one from the schema. */
describe('a fresh installation', () => {
  const admin = connect(process.env.TEST_DATABASE_URL!);
  const names = ['long', 'short'].map((way) => `${way}_${randomBytes(4).toString('hex')}`);
  const urls = names.map((name) => {
    const url = new URL(process.env.TEST_DATABASE_URL!);
    url.pathname = `/${name}`;
    return url.href;
  });
  const [long, short] = urls.map((url) => connect(url));

  beforeAll(async () => {
    for (const name of names) await admin.raw(`create database ${name}`);
  });
  afterAll(async () => {
    await Promise.all([long.destroy(), short.destroy()]);
    for (const name of names) await admin.raw(`drop database ${name}`);
    await admin.destroy();
  });

  it('begins from one schema that is what the migrations make, with what they put in it', async () => {
    expect(await migrateStepByStep(long)).toBe(SCHEMA_AFTER);
    await migrate(short);
    expect(contentsOf(urls[1])).toBe(contentsOf(urls[0]));
    expect(contentsOf(urls[0])).toContain('CREATE TABLE public.attempts');
    const done = await Promise.all(
      [long, short].map((db) => db('knex_migrations').orderBy('id').pluck('name')),
    );
    expect(done[1]).toEqual(done[0]);
    // And goes on from there: the last step can be undone and done again.
    await short.migrate.down({ migrationSource });
    await migrate(short);
    expect(contentsOf(urls[1])).toBe(contentsOf(urls[0]));
  }, 60_000);
});
