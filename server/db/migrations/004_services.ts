import type { Knex } from 'knex';
import { tableOf } from './in-json';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('exercises', (t) => {
    // A formula for one zone, or a whole service; `line` then holds the lines at hand, and `key` the solution.
    t.text('kind').notNullable().defaultTo('formula').checkIn(['formula', 'service']);
    t.jsonb('open_steps');
  });
  await knex.schema.createTable('regrades', (t) => {
    t.uuid('exercise_id').primary().references('exercises.id').onDelete('CASCADE');
    t.integer('total').notNullable();
    t.integer('done').notNullable().defaultTo(0);
    t.integer('changed').notNullable().defaultTo(0);
    t.timestamp('started_at').notNullable();
    t.timestamp('finished_at');
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('regrades');
  await tableOf(knex)('exercises').where({ kind: 'service' }).delete();
  await knex.schema.alterTable('exercises', (t) => {
    t.dropColumn('kind');
    t.dropColumn('open_steps');
  });
}
