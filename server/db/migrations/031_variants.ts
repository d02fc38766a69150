import type { Knex } from 'knex';

/** Whether an assignment is set as it is written or in other figures, and the variants that were drawn for it. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('assignments', (t) => {
    t.text('variants')
      .notNullable()
      .defaultTo('asWritten')
      .checkIn(['asWritten', 'shared', 'own'], 'assignments_variants_check');
  });
  await knex.schema.createTable('assignment_variants', (t) => {
    t.uuid('assignment_id').notNullable().references('id').inTable('assignments').onDelete('CASCADE');
    t.smallint('number').notNullable();
    t.jsonb('client_case').notNullable();
    t.jsonb('model_answer').notNullable();
    t.jsonb('card');
    t.primary(['assignment_id', 'number']);
  });
}

export async function down(knex: Knex): Promise<void> {
  if (await knex('assignment_variants').first())
    throw new Error('an exercise is set in variants: delete it before going back');
  await knex.schema.dropTable('assignment_variants');
  await knex.schema.alterTable('assignments', (t) => {
    t.dropColumn('variants');
  });
}
