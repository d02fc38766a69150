import type { Knex } from 'knex';

/** A class may be led by several: whoever made it, others with the same rights, and such as only mark. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('class_educators', (t) => {
    t.uuid('class_id').notNullable().references('classes.id').onDelete('CASCADE');
    t.uuid('educator_id').notNullable().references('users.id').onDelete('CASCADE').index();
    t.text('rights').notNullable().checkIn(['all', 'marking']);
    t.timestamp('added_at').notNullable();
    t.primary(['class_id', 'educator_id']);
  });
  await knex.raw(`
    create view leaders as
      select id as class_id, educator_id, 'owner' as rights from classes
      union all
      select class_id, educator_id, rights from class_educators`);
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop view leaders');
  await knex.schema.dropTable('class_educators');
}
