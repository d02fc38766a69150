import type { Knex } from 'knex';

/** A class whose term is over is put away with all of its work. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => {
    t.timestamp('archived_at');
  });
  await knex.schema.alterTable('mark_changes', (t) => t.index('educator_id'));
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('mark_changes', (t) => t.dropIndex('educator_id'));
  await knex.schema.alterTable('classes', (t) => t.dropColumn('archived_at'));
}
