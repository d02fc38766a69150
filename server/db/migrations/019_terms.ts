import type { Knex } from 'knex';

/** A class whose term is over is put away with all of its work. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => {
    t.timestamp('archived_at');
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => t.dropColumn('archived_at'));
}
