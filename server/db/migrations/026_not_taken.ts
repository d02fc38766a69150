import type { Knex } from 'knex';

/** What was there when the time was up and could not be taken is told to both, with the reason. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('attempts', (t) => {
    t.text('not_taken');
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('not_taken');
  });
}
