import type { Knex } from 'knex';

/**
 * Who is at which step while a class works and who asks for help, what an educator says meanwhile, and clocks that stand still:
 * since when an exercise's do, and for how long in all an attempt's have.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('at_work', (t) => {
    t.uuid('assignment_id').notNullable().references('id').inTable('assignments').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE').index();
    t.text('step');
    t.timestamp('step_at');
    t.timestamp('seen_at').notNullable();
    t.timestamp('hand_at');
    t.primary(['assignment_id', 'student_id']);
  });
  await knex.schema.createTable('hints', (t) => {
    t.uuid('id').primary().defaultTo(knex.fn.uuid());
    t.uuid('assignment_id').notNullable().references('id').inTable('assignments').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE').index();
    t.integer('attempt').notNullable();
    t.uuid('educator_id').notNullable().references('id').inTable('users').onDelete('RESTRICT').index();
    t.text('text').notNullable();
    t.timestamp('at').notNullable();
    t.timestamp('read_at');
    t.index(['assignment_id', 'student_id', 'attempt']);
  });
  await knex.schema.alterTable('assignments', (t) => {
    t.timestamp('paused_at');
  });
  await knex.schema.alterTable('attempts', (t) => {
    t.integer('paused_ms').notNullable().defaultTo(0);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('paused_ms');
  });
  await knex.schema.alterTable('assignments', (t) => {
    t.dropColumn('paused_at');
  });
  for (const table of ['hints', 'at_work']) await knex.schema.dropTable(table);
}
