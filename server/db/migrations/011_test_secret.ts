import type { Knex } from 'knex';
import { randomBytes } from 'node:crypto';

/** A secret for each reading test, so that the items of one sitting tell nothing of the next or of a neighbour's. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('reading_tests', (t) => t.text('secret'));
  for (const id of await knex('reading_tests').pluck('id'))
    await knex('reading_tests')
      .where({ id })
      .update({ secret: randomBytes(32).toString('hex') });
  await knex.schema.alterTable('reading_tests', (t) => t.dropNullable('secret'));
}

export const down = (knex: Knex): Promise<void> =>
  knex.schema.alterTable('reading_tests', (t) => t.dropColumn('secret'));
