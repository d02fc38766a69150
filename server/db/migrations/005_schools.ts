import type { Knex } from 'knex';

/** What every exercise and test was set under before these points were rules. */
const BEFORE = {
  levelScale: 'ten',
  preServiceWash: 'unwashed',
  endsRefresh: 'gloss',
  units: 'grams',
  weighingTolerance: 2,
};
const TABLES = ['exercises', 'reading_tests'];

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('exercises', (t) => {
    // A service set as a card to be put right: the card as students get it, and the slip on it.
    t.jsonb('card');
    t.text('slip');
  });
  await knex.schema.alterTable('regrades', (t) => {
    t.timestamp('moved_at').notNullable().defaultTo(knex.fn.now());
  });
  for (const table of TABLES)
    await knex(table).update({ house_rules: knex.raw('?::jsonb || house_rules', [JSON.stringify(BEFORE)]) });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('exercises', (t) => {
    t.dropColumn('card');
    t.dropColumn('slip');
  });
  await knex.schema.alterTable('regrades', (t) => {
    t.dropColumn('moved_at');
  });
  for (const table of TABLES)
    for (const rule of Object.keys(BEFORE))
      await knex(table).update({ house_rules: knex.raw('house_rules - ?::text', [rule]) });
}
