import type { Knex } from 'knex';

/**
 * A class's term: how it is reckoned, what of its work counts where, what educators typed in or gave in place of a mark, and the
 * sheets as they stood when it was frozen.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('gradebooks', (t) => {
    t.uuid('class_id').primary().references('id').inTable('classes').onDelete('CASCADE');
    t.jsonb('settings').notNullable();
    t.integer('version').notNullable();
    t.timestamp('frozen_at');
    t.jsonb('frozen');
  });
  await knex.schema.createTable('grade_columns', (t) => {
    t.uuid('id').primary();
    t.uuid('class_id').notNullable().references('id').inTable('classes').onDelete('CASCADE').index();
    t.uuid('assignment_id').unique().references('id').inTable('assignments').onDelete('CASCADE');
    t.uuid('test_id').unique().references('id').inTable('reading_tests').onDelete('CASCADE');
    t.text('title');
    t.decimal('max_points', 6, 2);
    // A day of the calendar, YYYY-MM-DD, that no time zone moves.
    t.text('held_on');
    // Null: where work of its kind usually counts.
    t.text('category');
    t.boolean('counts').notNullable().defaultTo(true);
  });
  await knex.raw(`alter table grade_columns add constraint grade_columns_of_check check (
    num_nonnulls(assignment_id, test_id, title) = 1
    and (title is null) = (max_points is null) and (title is null) = (held_on is null)
    and (title is null or category is not null)
    and (assignment_id is null or assignment_id = id) and (test_id is null or test_id = id))`);
  await knex.schema.createTable('grade_entries', (t) => {
    t.uuid('column_id').notNullable().references('id').inTable('grade_columns').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE').index();
    t.decimal('points', 6, 2);
    t.text('reason').notNullable();
    t.uuid('educator_id').notNullable().references('id').inTable('users').onDelete('RESTRICT').index();
    t.timestamp('at').notNullable();
    t.primary(['column_id', 'student_id']);
  });
  await knex.schema.createTable('term_sheets', (t) => {
    t.uuid('class_id').notNullable().references('id').inTable('classes').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE').index();
    t.jsonb('sheet').notNullable();
    t.primary(['class_id', 'student_id']);
  });
}

export async function down(knex: Knex): Promise<void> {
  if (await knex('grade_entries').first())
    throw new Error('marks were typed into a gradebook: take them out before going back');
  for (const table of ['term_sheets', 'grade_entries', 'grade_columns', 'gradebooks'])
    await knex.schema.dropTable(table);
}
