import type { Knex } from 'knex';

/**
 * How far an educator is with an answer, what is said of it, the phrases that are said again, and which changes of marks were
 * made together, to be taken back together.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('answer_states', (t) => {
    t.uuid('attempt_id').primary().references('id').inTable('attempts').onDelete('CASCADE');
    t.uuid('educator_id').notNullable().references('id').inTable('users').onDelete('RESTRICT').index();
    t.text('state').notNullable().checkIn(['looked', 'talk'], 'answer_states_state_check');
    t.decimal('points', 6, 2).notNullable();
    t.timestamp('at').notNullable();
  });
  await knex.schema.createTable('comments', (t) => {
    t.uuid('id').primary().defaultTo(knex.fn.uuid());
    t.uuid('attempt_id').notNullable().references('id').inTable('attempts').onDelete('CASCADE').index();
    t.uuid('educator_id').notNullable().references('id').inTable('users').onDelete('RESTRICT').index();
    t.text('text').notNullable();
    t.text('about');
    t.timestamp('made_at').notNullable();
  });
  await knex.schema.createTable('phrases', (t) => {
    t.uuid('id').primary().defaultTo(knex.fn.uuid());
    t.uuid('educator_id').notNullable().references('id').inTable('users').onDelete('CASCADE');
    t.text('text').notNullable();
    t.text('about');
    t.integer('used').notNullable().defaultTo(1);
    t.timestamp('used_at').notNullable();
    t.unique(['educator_id', 'text']);
  });
  await knex.schema.alterTable('mark_changes', (t) => {
    t.uuid('batch').index();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('mark_changes', (t) => {
    t.dropColumn('batch');
  });
  for (const table of ['phrases', 'comments', 'answer_states']) await knex.schema.dropTable(table);
}
