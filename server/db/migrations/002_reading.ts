import type { Knex } from 'knex';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('memberships', (t) => {
    // A student who needs longer needs it in every test.
    t.float('extra_time_share').notNullable().defaultTo(0);
  });
  await knex.schema.createTable('practices', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('class_id').notNullable().references('classes.id').onDelete('CASCADE').index();
    t.text('title').notNullable();
    t.jsonb('skills').notNullable();
    t.jsonb('scope').notNullable();
    t.integer('minutes_a_week').notNullable();
    t.timestamp('created_at').notNullable();
  });
  await knex.schema.createTable('drill_answers', (t) => {
    // Made by the student's device, so that an answer sent twice is kept once.
    t.uuid('id').primary();
    t.uuid('student_id').notNullable().references('users.id').onDelete('CASCADE');
    t.uuid('class_id').references('classes.id').onDelete('SET NULL').index();
    t.uuid('practice_id').references('practices.id').onDelete('SET NULL').index();
    t.text('skill').notNullable();
    t.text('facet').notNullable();
    t.smallint('step').notNullable();
    t.bigInteger('seed').notNullable();
    t.jsonb('scope').notNullable();
    t.jsonb('response').notNullable();
    t.float('score').notNullable();
    t.jsonb('reading');
    t.text('light').notNullable();
    t.boolean('assisted').notNullable();
    t.float('seconds').notNullable();
    t.timestamp('answered_at').notNullable();
    t.timestamp('received_at').notNullable();
    t.index(['student_id', 'answered_at']);
  });
  await knex.schema.createTable('reading_tests', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('class_id').notNullable().references('classes.id').onDelete('RESTRICT').index();
    t.text('title').notNullable();
    t.jsonb('plan').notNullable();
    t.jsonb('scope').notNullable();
    t.jsonb('house_rules').notNullable();
    t.smallint('step').notNullable();
    t.text('variants').notNullable().checkIn(['own', 'same']);
    t.text('feedback').notNullable().checkIn(['atEnd', 'onRelease']);
    t.integer('minutes').notNullable();
    t.integer('attempts').notNullable();
    t.bigInteger('seed').notNullable();
    t.timestamp('due_at').notNullable();
    t.timestamp('released_at');
    t.timestamp('created_at').notNullable();
  });
  await knex.schema.createTable('sittings', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('test_id').notNullable().references('reading_tests.id').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.integer('number').notNullable();
    // The items as they were made, so that a mark can be explained however the generator changes.
    t.jsonb('items').notNullable();
    t.timestamp('started_at').notNullable();
    t.timestamp('ends_at').notNullable();
    t.timestamp('finished_at');
    t.unique(['test_id', 'student_id', 'number']);
  });
  await knex.schema.createTable('sitting_answers', (t) => {
    t.uuid('sitting_id').notNullable().references('sittings.id').onDelete('CASCADE');
    t.integer('position').notNullable();
    t.jsonb('response');
    t.float('score').notNullable();
    t.jsonb('reading');
    t.float('seconds').notNullable();
    t.timestamp('answered_at').notNullable();
    t.primary(['sitting_id', 'position']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['sitting_answers', 'sittings', 'reading_tests', 'drill_answers', 'practices'])
    await knex.schema.dropTableIfExists(table);
  await knex.schema.alterTable('memberships', (t) => t.dropColumn('extra_time_share'));
}
