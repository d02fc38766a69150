import type { Knex } from 'knex';

export type Json = Record<string, unknown>;
export const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Tables as they were at the time: what they hold now is no matter of a migration. */
export const tableOf = (knex: Knex) => knex as (table: string) => Knex.QueryBuilder;

function walk(value: unknown, change: (one: Json) => Json): unknown {
  if (Array.isArray(value)) return value.map((one) => walk(one, change));
  if (!isJson(value)) return value;
  return change(Object.fromEntries(Object.entries(value).map(([name, one]) => [name, walk(one, change)])));
}

/**
 * Changes what stands in any JSON column of the database, however deep, where one of the words is a name in it. Innermost
 * first.
 */
export async function changeAll(
  knex: Knex,
  words: readonly string[],
  change: (one: Json) => Json,
): Promise<void> {
  const { rows } = await knex.raw<{ rows: { table: string; column: string }[] }>(
    `select table_name as "table", column_name as "column" from information_schema.columns
      where table_schema = current_schema() and data_type = 'jsonb'`,
  );
  for (const { table, column } of rows) {
    const found: { at: string; value: unknown }[] = await knex(table)
      .select(knex.raw('ctid::text as at'), { value: column })
      .whereRaw(`?? ::text ~ ?`, [column, words.map((word) => `"${word}":`).join('|')]);
    for (const { at, value } of found)
      await knex(table)
        .whereRaw('ctid = ?::tid', [at])
        .update({ [column]: JSON.stringify(walk(value, change)) });
  }
}
