import type { Knex } from 'knex';

/**
 * Marking again goes on where it was cut off and never mixes two standards: each is numbered, and a run knows its own.
 * Every grade that is replaced is kept, whoever replaces it.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('assignments', (t) => {
    t.integer('standard').notNullable().defaultTo(1);
  });
  await knex.schema.alterTable('regrades', (t) => {
    /** The standard that is marked by, and the last answer that was marked. */
    t.integer('standard').notNullable().defaultTo(1);
    t.uuid('after_id').notNullable().defaultTo('00000000-0000-0000-0000-000000000000');
  });
  await knex.schema.createTable('former_grades', (t) => {
    t.bigIncrements('id');
    t.uuid('attempt_id').notNullable().references('attempts.id').onDelete('CASCADE').index();
    t.jsonb('grade').notNullable();
    t.timestamp('replaced_at').notNullable().defaultTo(knex.fn.now());
  });
  await knex.raw(`
    create function keep_former_grade() returns trigger language plpgsql as $$
    begin
      if old.grade is not null and old.grade is distinct from new.grade then
        insert into former_grades (attempt_id, grade) values (old.id, old.grade);
      end if;
      return new;
    end $$`);
  await knex.raw(`
    create trigger attempts_keep_former_grade after update of grade on attempts
      for each row execute function keep_former_grade()`);
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop trigger attempts_keep_former_grade on attempts');
  await knex.raw('drop function keep_former_grade()');
  await knex.schema.dropTable('former_grades');
  await knex.schema.alterTable('regrades', (t) => t.dropColumns('standard', 'after_id'));
  await knex.schema.alterTable('assignments', (t) => t.dropColumn('standard'));
}
