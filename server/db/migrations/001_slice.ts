import type { Knex } from 'knex';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('sessions', (t) => {
    t.string('sid').primary();
    t.json('sess').notNullable();
    t.timestamp('expire', { precision: 6 }).notNullable().index();
  });
  await knex.schema.createTable('users', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.text('role').notNullable().checkIn(['educator', 'student']);
    t.text('name').notNullable();
    t.text('email').notNullable().unique();
    t.text('password_hash').notNullable();
    t.boolean('demo').notNullable().defaultTo(false);
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
  });
  await knex.schema.createTable('classes', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('educator_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.text('name').notNullable();
    t.text('join_code').notNullable().unique();
    t.jsonb('house_rules').notNullable();
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
  });
  await knex.schema.createTable('memberships', (t) => {
    t.uuid('class_id').notNullable().references('classes.id').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('users.id').onDelete('CASCADE').index();
    t.timestamp('joined_at').notNullable().defaultTo(knex.fn.now());
    t.primary(['class_id', 'student_id']);
  });
  await knex.schema.createTable('exercises', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('class_id').notNullable().references('classes.id').onDelete('RESTRICT').index();
    t.text('title').notNullable();
    // The line, the house rules and the key are kept as they were, so that an old grade can be made again.
    t.jsonb('kase').notNullable();
    t.jsonb('line').notNullable();
    t.jsonb('house_rules').notNullable();
    t.jsonb('rubric').notNullable();
    t.jsonb('key').notNullable();
    t.timestamp('due_at').notNullable();
    t.text('release').notNullable().checkIn(['onSubmit', 'onDue', 'manual']);
    t.timestamp('released_at');
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
  });
  await knex.schema.createTable('attempts', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('exercise_id').notNullable().references('exercises.id').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.jsonb('answer').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.text('writer').notNullable();
    t.timestamp('updated_at').notNullable();
    t.uuid('submission_id').unique();
    t.timestamp('submitted_at');
    t.jsonb('grade');
    t.unique(['exercise_id', 'student_id']);
  });
  // Handed in means: an id, a time and a grade, or none of them.
  await knex.raw(
    `alter table attempts add constraint attempts_handed_in_whole check (
       (submission_id is null) = (submitted_at is null) and (submitted_at is null) = (grade is null))`,
  );
  await knex.schema.createTable('mark_changes', (t) => {
    t.bigIncrements('id');
    t.uuid('attempt_id').notNullable().references('attempts.id').onDelete('CASCADE').index();
    t.uuid('educator_id').notNullable().references('users.id').onDelete('RESTRICT');
    t.text('criterion').notNullable();
    t.decimal('from_points', 6, 2).notNullable();
    t.decimal('to_points', 6, 2).notNullable();
    t.text('reason').notNullable();
    t.timestamp('made_at').notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of [
    'mark_changes',
    'attempts',
    'exercises',
    'memberships',
    'classes',
    'users',
    'sessions',
  ])
    await knex.schema.dropTableIfExists(table);
}
