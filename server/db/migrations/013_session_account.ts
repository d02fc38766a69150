import type { Knex } from 'knex';

/** A session knows whose it is and nothing else of the account: role and name are asked for anew with every request. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    update sessions
       set sess = (sess::jsonb - 'account' || jsonb_build_object('accountId', sess::jsonb->'account'->'id'))::json
     where sess::jsonb->'account' is not null`);
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(`
    update sessions s
       set sess = (sess::jsonb - 'accountId'
             || jsonb_build_object('account', jsonb_build_object('id', u.id, 'name', u.name, 'role', u.role)))::json
      from users u
     where u.id::text = sess::jsonb->>'accountId'`);
}
