import type { Knex } from 'knex';

/**
 * Who is who: one administrator, educators by invitation, students by a class code that the educator answers or by a place
 * on the roster that a one-time code claims. Wrong tries are counted by all servers together, and what was done is written
 * down where nothing can be taken out again.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('users', (t) => {
    t.boolean('administrator').notNullable().defaultTo(false);
    // A place on a roster is an account that nobody has claimed yet.
    t.setNullable('email');
    t.setNullable('password_hash');
  });
  await knex.raw(
    'alter table users add constraint users_claimed_whole check ((email is null) = (password_hash is null))',
  );
  await knex.raw(
    `update users set administrator = true
      where id = (select id from users where role = 'educator' and not demo order by created_at, id limit 1)`,
  );
  await knex.schema.alterTable('classes', (t) => {
    t.text('joining').notNullable().defaultTo('approval').checkIn(['open', 'approval', 'closed']);
  });
  await knex.schema.alterTable('memberships', (t) => {
    t.text('state').notNullable().defaultTo('active').checkIn(['active', 'waiting', 'removed']);
    /** The student's number with the college, which tells two of a name apart. */
    t.text('number');
    t.unique(['class_id', 'number']);
  });
  // Who is asked about is who is in the class now; a place that waits or was removed keeps its work and sees nothing.
  await knex.raw(`create view members as select * from memberships where state = 'active'`);
  await knex.schema.createTable('codes', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.text('kind').notNullable().checkIn(['invitation', 'place', 'reset']);
    /** SHA-256 of the code; the code itself is shown once and kept nowhere. */
    t.text('hash').notNullable().unique();
    /** Whose account it opens; none for an invitation, whose account is yet to be made. */
    t.uuid('user_id').references('users.id').onDelete('CASCADE').index();
    t.uuid('made_by').references('users.id').onDelete('SET NULL');
    /** Whom an invitation is for, and whether they administer. */
    t.text('label');
    t.boolean('administrator').notNullable().defaultTo(false);
    t.timestamp('made_at').notNullable();
    t.timestamp('expires_at').notNullable();
  });
  await knex.schema.createTable('tries', (t) => {
    t.string('key').primary();
    t.integer('points').notNullable().defaultTo(0);
    t.bigInteger('expire');
  });
  await knex.schema.createTable('log', (t) => {
    t.bigIncrements('id');
    t.timestamp('at').notNullable();
    /** Who did it; none where the server did. No references: what was done stays when who did it has gone. */
    t.uuid('actor_id');
    t.text('action').notNullable();
    t.uuid('class_id');
    /** Whom or what it was done to. */
    t.uuid('subject_id');
    t.jsonb('before');
    t.jsonb('after');
    t.index(['class_id', 'id']);
    t.index(['actor_id', 'id']);
    t.index(['subject_id', 'id']);
  });
  await knex.raw(`
    create function keep_log() returns trigger language plpgsql as $$
    begin
      raise exception 'what is in the log stays as it is' using errcode = 'check_violation';
    end $$`);
  await knex.raw(
    'create trigger log_kept before update or delete on log for each row execute function keep_log()',
  );
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['log', 'tries', 'codes']) await knex.schema.dropTable(table);
  await knex.raw('drop function keep_log()');
  await knex.raw('drop view members');
  // Who waits or was removed had no form before; what they did stays theirs.
  await knex('memberships').whereNot({ state: 'active' }).delete();
  await knex.schema.alterTable('memberships', (t) => {
    t.dropUnique(['class_id', 'number']);
    t.dropColumns('state', 'number');
  });
  await knex.schema.alterTable('classes', (t) => t.dropColumn('joining'));
  await knex.raw('alter table users drop constraint users_claimed_whole');
  // A place that nobody claimed opens with no password, as before it did not open at all.
  await knex.raw(
    `update users set email = 'unclaimed-' || id || '@invalid', password_hash = 'none' where email is null`,
  );
  await knex.schema.alterTable('users', (t) => {
    t.dropNullable('email');
    t.dropNullable('password_hash');
    t.dropColumn('administrator');
  });
}
