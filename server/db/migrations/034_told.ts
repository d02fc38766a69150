import type { Knex } from 'knex';

const setFor = (releasedAt: string, released: string) => `
  create view set_for as
    select a.id as assignment_id, m.student_id, a.class_id,
           coalesce(s.opens_at, a.opens_at) as opens_at,
           coalesce(s.due_at, a.due_at) as due_at,
           coalesce(s.attempts, a.attempts_allowed) as attempts_allowed,
           coalesce(s.extra_time_share, m.extra_time_share) as extra_time_share${releasedAt}
      from assignments a
      join members m on m.class_id = a.class_id
      left join assignment_students s on s.assignment_id = a.id and s.student_id = m.student_id${released}
     where a.everyone or s.student_id is not null`;

/**
 * Who is told what: results that are out for some of a class, when a student has looked at theirs, and links by which a calendar
 * fetches due dates, with what it was told, so that a date that moves is known again as the same.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('released_to', (t) => {
    t.uuid('assignment_id').notNullable().references('id').inTable('assignments').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('id').inTable('users').onDelete('CASCADE').index();
    t.timestamp('at').notNullable();
    t.primary(['assignment_id', 'student_id']);
  });
  await knex.raw('drop view set_for');
  await knex.raw(
    setFor(
      ',\n           coalesce(a.released_at, r.at) as released_at',
      '\n      left join released_to r on r.assignment_id = a.id and r.student_id = m.student_id',
    ),
  );
  await knex.schema.alterTable('attempts', (t) => {
    t.timestamp('result_seen_at');
  });
  // What has long been out is no news.
  await knex.raw(
    `update attempts set result_seen_at = now()
       from assignments
      where assignments.id = attempts.assignment_id and attempts.submitted_at is not null
        and (assignments.released_at is not null or assignments.release = 'onSubmit'
             or (assignments.release = 'onDue' and assignments.last_due_at <= now()))`,
  );
  await knex.schema.createTable('calendar_links', (t) => {
    t.uuid('id').primary().defaultTo(knex.fn.uuid());
    t.uuid('account_id').notNullable().references('id').inTable('users').onDelete('CASCADE');
    // The class whose dates it tells; none where it is a student's own.
    t.uuid('class_id').references('id').inTable('classes').onDelete('CASCADE').index();
    t.text('hash').notNullable().unique();
    t.timestamp('made_at').notNullable();
    t.timestamp('fetched_at');
  });
  await knex.raw(
    `create unique index calendar_links_one_each on calendar_links
       (account_id, coalesce(class_id, '00000000-0000-0000-0000-000000000000'))`,
  );
  await knex.schema.createTable('calendar_told', (t) => {
    t.uuid('link_id').notNullable().references('id').inTable('calendar_links').onDelete('CASCADE');
    t.uuid('work_id').notNullable();
    t.integer('sequence').notNullable();
    t.text('summary').notNullable();
    t.timestamp('due_at').notNullable();
    t.boolean('cancelled').notNullable().defaultTo(false);
    t.timestamp('changed_at').notNullable();
    t.primary(['link_id', 'work_id']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['calendar_told', 'calendar_links']) await knex.schema.dropTable(table);
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('result_seen_at');
  });
  await knex.raw('drop view set_for');
  await knex.raw(setFor('', ''));
  await knex.schema.dropTable('released_to');
}
