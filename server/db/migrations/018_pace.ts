import type { Knex } from 'knex';

/** Practice is counted at a human pace: what a device says it took stays beside what could have passed since it was last heard of. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('drill_answers', (t) => {
    t.float('claimed_seconds');
  });
  await knex('drill_answers').update({ claimed_seconds: knex.ref('seconds') });
  await knex.schema.alterTable('drill_answers', (t) => t.dropNullable('claimed_seconds'));
  await knex.schema.createTable('practice_contacts', (t) => {
    /** The device's session, by its public name. */
    t.text('session').primary();
    t.timestamp('heard_at').notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('practice_contacts');
  await knex('drill_answers').update({ seconds: knex.ref('claimed_seconds') });
  await knex.schema.alterTable('drill_answers', (t) => t.dropColumn('claimed_seconds'));
}
