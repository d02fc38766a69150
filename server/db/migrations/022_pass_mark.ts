import type { Knex } from 'knex';

/** What a class holds for a pass; before it was a rule nobody said, and three quarters were meant. */
const BEFORE = { passMark: 75 };
const TABLES = ['classes', 'assignments', 'reading_tests'];

export async function up(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('?::jsonb || house_rules', [JSON.stringify(BEFORE)]) });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('house_rules - ?::text', ['passMark']) });
}
