import type { Knex } from 'knex';

/**
 * What a student asked and tested is written down by the server as it is told, and a hand-in gets a number and a digest that
 * both sides can show. Questions and tests on the cards there are count as asked.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('reveals', (t) => {
    t.uuid('assignment_id').notNullable().references('assignments.id').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('users.id').onDelete('CASCADE');
    /** Which list of the card it stands in, and its name there. */
    t.text('kind').notNullable().checkIn(['asked', 'tests']);
    t.text('name').notNullable();
    t.timestamp('at').notNullable();
    t.primary(['assignment_id', 'student_id', 'kind', 'name']);
  });
  for (const kind of ['asked', 'tests'])
    await knex.raw(
      `insert into reveals (assignment_id, student_id, kind, name, at)
       select distinct assignment_id, student_id, '${kind}', name, updated_at
         from attempts, jsonb_array_elements_text(answer->'${kind}') as name`,
    );
  await knex.raw('create sequence receipt_numbers');
  await knex.schema.alterTable('attempts', (t) => {
    t.bigInteger('receipt').unique();
    t.text('digest');
  });
  await knex.raw(frozenWith(['receipt', 'digest']));
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(frozenWith([]));
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('receipt');
    t.dropColumn('digest');
  });
  await knex.raw('drop sequence receipt_numbers');
  await knex.schema.dropTable('reveals');
}

/** What has been handed in does not change; the receipt is of it. */
const frozenWith = (more: readonly string[]) => `
  create or replace function keep_handed_in() returns trigger language plpgsql as $$
  begin
    if old.submitted_at is not null and (
      ${['answer', 'submission_id', 'submitted_at', 'student_id', 'assignment_id', ...more]
        .map((column) => `new.${column} is distinct from old.${column}`)
        .join(' or ')}
    ) then
      raise exception 'attempt % has been handed in and cannot change', old.id using errcode = 'check_violation';
    end if;
    return new;
  end $$`;
