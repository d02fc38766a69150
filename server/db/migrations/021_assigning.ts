import type { Knex } from 'knex';

/**
 * An assignment may be for some of a class, with dates, attempts and extra time of one's own; it may open later, be worked
 * against the clock, be tried more than once, and has a rule for what comes late. Closing is a thing apart from showing
 * results. An exercise has tags and versions.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('assignments', (t) => {
    t.timestamp('opens_at');
    t.integer('attempts_allowed').notNullable().defaultTo(1);
    t.text('counted').notNullable().defaultTo('best').checkIn(['best', 'last']);
    t.text('late').notNullable().defaultTo('taken').checkIn(['refused', 'taken', 'reduced']);
    t.integer('late_percent').notNullable().defaultTo(10);
    t.integer('minutes');
    t.boolean('everyone').notNullable().defaultTo(true);
    t.timestamp('closed_at');
    /** The last due time of anyone it is set to: what is shown at the due time is shown then. */
    t.timestamp('last_due_at');
    t.integer('exercise_version').notNullable().defaultTo(1);
  });
  await knex('assignments').update({ last_due_at: knex.ref('due_at') });
  await knex.schema.alterTable('assignments', (t) => t.dropNullable('last_due_at'));
  // Where results are shown on handing in, releasing meant that nothing more is taken.
  await knex('assignments')
    .where({ release: 'onSubmit' })
    .update({ closed_at: knex.ref('released_at'), released_at: null });
  await knex.schema.createTable('assignment_students', (t) => {
    t.uuid('assignment_id').notNullable().references('assignments.id').onDelete('CASCADE');
    t.uuid('student_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.timestamp('opens_at');
    t.timestamp('due_at');
    t.integer('attempts');
    t.float('extra_time_share');
    t.primary(['assignment_id', 'student_id']);
  });
  // To whom an assignment is set, with what holds for them.
  await knex.raw(`
    create view set_for as
      select a.id as assignment_id, m.student_id, a.class_id,
             coalesce(s.opens_at, a.opens_at) as opens_at,
             coalesce(s.due_at, a.due_at) as due_at,
             coalesce(s.attempts, a.attempts_allowed) as attempts_allowed,
             coalesce(s.extra_time_share, m.extra_time_share) as extra_time_share
        from assignments a
        join members m on m.class_id = a.class_id
        left join assignment_students s on s.assignment_id = a.id and s.student_id = m.student_id
       where a.everyone or s.student_id is not null`);
  await knex.schema.alterTable('attempts', (t) => {
    t.integer('number').notNullable().defaultTo(1);
    t.timestamp('begun_at');
  });
  // Nobody wrote down when these were begun; what is handed in stays untouched.
  await knex('attempts')
    .whereNull('submitted_at')
    .update({ begun_at: knex.ref('updated_at') });
  await dropUnique(knex, 'attempts');
  await knex.schema.alterTable('attempts', (t) => {
    t.unique(['assignment_id', 'student_id', 'number'], { indexName: 'attempts_one_of_a_number' });
  });
  await knex.schema.alterTable('reveals', (t) => {
    t.integer('attempt').notNullable().defaultTo(1);
    t.dropPrimary();
    t.primary(['assignment_id', 'student_id', 'attempt', 'kind', 'name']);
  });
  await knex.raw(frozenWith(['receipt', 'digest', 'number', 'begun_at']));
  await knex.schema.alterTable('exercises', (t) => {
    t.specificType('tags', 'text[]').notNullable().defaultTo('{}');
    t.integer('version').notNullable().defaultTo(1);
    t.timestamp('archived_at');
  });
  await knex.schema.createTable('exercise_versions', (t) => {
    t.uuid('exercise_id').notNullable().references('exercises.id').onDelete('CASCADE');
    t.integer('version').notNullable();
    t.timestamp('made_at').notNullable();
    t.jsonb('content').notNullable();
    t.primary(['exercise_id', 'version']);
  });
  await knex.raw(`
    insert into exercise_versions (exercise_id, version, made_at, content)
    select id, 1, updated_at, jsonb_build_object('title', title, 'clientCase', client_case, 'open', open_steps,
           'rubric', rubric, 'slip', slip, 'judgement', judgement) from exercises`);
}

/** The name of the rule that there is one attempt a student depends on how old the database is. */
async function dropUnique(knex: Knex, table: string): Promise<void> {
  const { rows } = await knex.raw<{ rows: { conname: string }[] }>(
    `select conname from pg_constraint where conrelid = ?::regclass and contype = 'u'
        and array_length(conkey, 1) = 2`,
    [table],
  );
  for (const { conname } of rows) await knex.raw('alter table ?? drop constraint ??', [table, conname]);
}

export async function down(knex: Knex): Promise<void> {
  const more = await knex('attempts').where('number', '>', 1).count<{ count: string }[]>();
  if (Number(more[0].count) > 0)
    throw new Error(
      `${more[0].count} further attempts have been made since. Restore a copy of the database made before, or delete them first.`,
    );
  await knex.schema.dropTable('exercise_versions');
  await knex.schema.alterTable('exercises', (t) => t.dropColumns('tags', 'version', 'archived_at'));
  await knex.raw(frozenWith(['receipt', 'digest']));
  await knex('reveals').where('attempt', '>', 1).delete();
  await knex.schema.alterTable('reveals', (t) => {
    t.dropPrimary();
    t.dropColumn('attempt');
    t.primary(['assignment_id', 'student_id', 'kind', 'name']);
  });
  await knex.schema.alterTable('attempts', (t) => {
    t.dropUnique([], 'attempts_one_of_a_number');
    t.dropColumns('number', 'begun_at');
    t.unique(['assignment_id', 'student_id']);
  });
  await knex.raw('drop view set_for');
  await knex.schema.dropTable('assignment_students');
  await knex('assignments')
    .where({ release: 'onSubmit' })
    .update({ released_at: knex.ref('closed_at') });
  await knex.schema.alterTable('assignments', (t) =>
    t.dropColumns(
      'opens_at',
      'attempts_allowed',
      'counted',
      'late',
      'late_percent',
      'minutes',
      'everyone',
      'closed_at',
      'last_due_at',
      'exercise_version',
    ),
  );
}

/** What has been handed in does not change. */
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
