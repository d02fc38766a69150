import type { Knex } from 'knex';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('shade_books', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('educator_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.integer('version').notNullable();
    // Put away rather than deleted: exercises that used it keep their own copy, and the educator may want it back.
    t.timestamp('put_away_at');
    t.timestamp('created_at').notNullable();
  });
  await knex.schema.createTable('shade_book_versions', (t) => {
    t.uuid('book_id').notNullable().references('shade_books.id').onDelete('CASCADE');
    t.integer('version').notNullable();
    t.jsonb('line').notNullable();
    t.timestamp('saved_at').notNullable();
    t.primary(['book_id', 'version']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('shade_book_versions');
  await knex.schema.dropTableIfExists('shade_books');
}
