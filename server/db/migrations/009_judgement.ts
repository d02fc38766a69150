import type { Knex } from 'knex';

/** The educator's word on how an exercise is marked, with the exercise and with each assignment of it. */
const NONE = { struck: [], added: [], ceilings: 'standard', accepted: [] };
const TABLES = ['exercises', 'assignments'] as const;

export async function up(knex: Knex): Promise<void> {
  for (const table of TABLES)
    await knex.schema.alterTable(table, (t) =>
      t.jsonb('judgement').notNullable().defaultTo(JSON.stringify(NONE)),
    );
}

export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES) await knex.schema.alterTable(table, (t) => t.dropColumn('judgement'));
}
