import type { Knex } from 'knex';

/** A remover is a reducing agent: what books of an educator gave it as developer was never peroxide. */
const IS_REMOVER = "line->>'kind' = 'remover'";

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('shade_book_versions', (t) => {
    // Kept, so that the way back gives what was written.
    t.jsonb('developers_before');
  });
  await knex('shade_book_versions')
    .whereRaw(IS_REMOVER)
    .update({
      developers_before: knex.raw("line->'developersVol'"),
      line: knex.raw("jsonb_set(line, '{developersVol}', '[0]'::jsonb)"),
    });
}

export async function down(knex: Knex): Promise<void> {
  await knex('shade_book_versions')
    .whereNotNull('developers_before')
    .update({ line: knex.raw("jsonb_set(line, '{developersVol}', developers_before)") });
  await knex.schema.alterTable('shade_book_versions', (t) => {
    t.dropColumn('developers_before');
  });
}
