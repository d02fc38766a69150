import type { Knex } from 'knex';

/** What every class, assignment and test was held to before these two points were rules. */
const BEFORE = { liftByColourLimit: 'two', tonerProduct: 'lowStrength' };
const TABLES = ['classes', 'assignments', 'reading_tests'];

export async function up(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('?::jsonb || house_rules', [JSON.stringify(BEFORE)]) });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES)
    for (const rule of Object.keys(BEFORE))
      await knex(table).update({ house_rules: knex.raw('house_rules - ?::text', [rule]) });
}
