import { spawnSync } from 'node:child_process';

/** Lines of a dump that set up a session, name its tool or are empty: they differ from machine to machine. */
const NOISE =
  /^(--.*|SET .*|SELECT pg_catalog\.set_config.*|\\.*|CREATE SCHEMA public;|COMMENT ON SCHEMA .*|\s*)$/;

/** A database without the tables of the migrations themselves. @throws Error when pg_dump fails. */
function dump(url: string, args: readonly string[]): string {
  const { stdout, stderr, status } = spawnSync(
    'pg_dump',
    ['--no-owner', '--no-privileges', '--schema=public', '--exclude-table=public.knex_*', ...args, url],
    { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
  );
  if (status !== 0) throw new Error(`pg_dump: ${stderr}`);
  return stdout
    .split('\n')
    .filter((line) => !NOISE.test(line))
    .join('\n');
}

/** What a database is made of, as SQL. */
export const schemaOf = (url: string): string => dump(url, ['--schema-only']);
/** The same with all that is in it. */
export const contentsOf = (url: string): string => dump(url, ['--inserts']);
