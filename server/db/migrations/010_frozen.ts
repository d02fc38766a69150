import type { Knex } from 'knex';

/**
 * What has been handed in does not change, whoever asks and however requests meet: the database itself refuses it. Grades
 * are made again over it, and a student's leaving takes it along; the answer stays as it was sent.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create function keep_handed_in() returns trigger language plpgsql as $$
    begin
      if old.submitted_at is not null and (
        new.answer is distinct from old.answer
        or new.submission_id is distinct from old.submission_id
        or new.submitted_at is distinct from old.submitted_at
        or new.student_id is distinct from old.student_id
        or new.assignment_id is distinct from old.assignment_id
      ) then
        raise exception 'attempt % has been handed in and cannot change', old.id using errcode = 'check_violation';
      end if;
      return new;
    end $$`);
  await knex.raw(`
    create trigger attempts_keep_handed_in before update on attempts
      for each row execute function keep_handed_in()`);
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop trigger attempts_keep_handed_in on attempts');
  await knex.raw('drop function keep_handed_in()');
}
