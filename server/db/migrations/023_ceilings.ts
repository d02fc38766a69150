import type { Knex } from 'knex';

/** How far the head and wrong decisions held marks down before a class could say otherwise. */
const BEFORE = {
  ceilings: {
    asWished: [100, 70, 55, 40],
    near: [90, 70, 55, 40],
    weaker: [85, 60, 45, 40],
    notice: [75, 55, 45, 40],
    correct: [55, 40, 30, 30],
  },
};
const TABLES = ['classes', 'assignments', 'reading_tests'];

export async function up(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('?::jsonb || house_rules', [JSON.stringify(BEFORE)]) });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('house_rules - ?::text', ['ceilings']) });
}
