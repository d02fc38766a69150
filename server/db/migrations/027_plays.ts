import type { Knex } from 'knex';

/**
 * How often a card has been played on its head: each card once, however often it is looked at, up to as many as the
 * assignment gives. A clock that answers without end tells the head to whoever asks it often enough.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('assignments', (t) => {
    t.integer('plays_allowed').notNullable().defaultTo(30);
  });
  await knex.schema.createTable('plays', (t) => {
    t.uuid('assignment_id').notNullable().references('id').inTable('assignments').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE');
    t.text('digest').notNullable();
    t.timestamp('at').notNullable();
    t.primary(['assignment_id', 'student_id', 'digest']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('plays');
  await knex.schema.alterTable('assignments', (t) => {
    t.dropColumn('plays_allowed');
  });
}
