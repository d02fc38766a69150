import type { Knex } from 'knex';

/**
 * A save that was long on its way does not go over what the same writer has saved since: each says which of its writer's it
 * is. What of the time since a device was last heard of has not been counted yet is kept with it, so that it is counted once.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('attempts', (t) => {
    t.bigInteger('sequence').notNullable().defaultTo(0);
  });
  await knex.schema.alterTable('practice_contacts', (t) => {
    t.float('left_s').notNullable().defaultTo(0);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('practice_contacts', (t) => {
    t.dropColumn('left_s');
  });
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('sequence');
  });
}
