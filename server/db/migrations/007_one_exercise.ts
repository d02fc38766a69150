import type { Knex } from 'knex';
import {
  cardOf,
  caseOf,
  changesOf,
  gradeOf,
  rubricOf,
  solutionOf,
  type OldAnswer,
  type OldCase,
  type OldGrade,
  type OldKey,
} from './007_formula';
import { inKinds, inLayers, type Headed } from './007_history';
import { tableOf } from './in-json';

/**
 * One exercise, one assignment, one attempt: the one-bowl exercise becomes a small case of a whole head, what was one
 * table is an exercise and its assignment to a class, time is a step of the bench of its own, and the history of hair
 * is told in layers.
 */
const json = (value: unknown) => JSON.stringify(value);

/** Names in stored answers that have changed: from, to. */
const RENAMED: Record<string, [string, string][]> = {
  'attempts.grade': [
    ['"away":', '"deltaE":'],
    ['"bestAway":', '"bestDeltaE":'],
    ['"code": "service.', '"code": "mark.'],
  ],
  'assignments.model_answer': [['"away":', '"deltaE":']],
};

async function rename(knex: Knex, back = false): Promise<void> {
  for (const [place, names] of Object.entries(RENAMED)) {
    const [table, column] = place.split('.');
    for (const [from, to] of names)
      await knex.raw('update ?? set ?? = replace(??::text, ?, ?)::jsonb where ??::text like ?', [
        table,
        column,
        column,
        ...(back ? [to, from] : [from, to]),
        column,
        `%${back ? to : from}%`,
      ]);
  }
}

/** Heads of whole services, in the case as it was set and in the answer's visit. */
async function changeHeads(knex: Knex, change: <C extends Headed>(clientCase: C) => C): Promise<void> {
  for (const { id, client_case, model_answer } of await tableOf(knex)('assignments').where({
    kind: 'service',
  }))
    await tableOf(knex)('assignments')
      .where({ id })
      .update({
        client_case: json(change(client_case)),
        model_answer: json({ ...model_answer, visit: change(model_answer.visit) }),
      });
}

async function convertFormulas(knex: Knex): Promise<void> {
  for (const row of await tableOf(knex)('assignments').where({ kind: 'formula' })) {
    const old = row.client_case as OldCase;
    const { client_case, lines, rubric, model_answer } = row;
    await tableOf(knex)('assignments')
      .where({ id: row.id })
      .update({
        before: json({ client_case, lines, rubric, model_answer }),
        client_case: json(caseOf(old, row.title)),
        lines: json([lines]),
        rubric: json(rubricOf(rubric)),
        model_answer: json(solutionOf(old, model_answer as OldKey, row.title)),
        open_steps: json(['read', 'mix', 'process']),
      });
    for (const attempt of await tableOf(knex)('attempts').where({ assignment_id: row.id })) {
      const grade = attempt.grade as OldGrade | null;
      await tableOf(knex)('attempts')
        .where({ id: attempt.id })
        .update({
          before: json({ answer: attempt.answer, grade }),
          answer: json(cardOf(attempt.answer as OldAnswer, old)),
          grade: grade && json(gradeOf(grade)),
        });
      const changes = await tableOf(knex)('mark_changes').where({ attempt_id: attempt.id }).orderBy('id');
      if (!grade || changes.length === 0) continue;
      for (const [i, converted] of changesOf(changes, grade).entries()) {
        const { id, criterion, from_points, to_points } = changes[i];
        await tableOf(knex)('mark_changes')
          .where({ id })
          .update({ ...converted, before: json({ criterion, from_points, to_points }) });
      }
    }
  }
}

export async function up(knex: Knex): Promise<void> {
  await knex.schema.renameTable('exercises', 'assignments');
  await knex.raw('alter index exercises_pkey rename to assignments_pkey');
  await knex.schema.alterTable('assignments', (t) => {
    t.renameColumn('kase', 'client_case');
    t.renameColumn('line', 'lines');
    t.renameColumn('key', 'model_answer');
    // What a one-bowl exercise was, for the way back.
    t.jsonb('before');
  });
  await knex.schema.alterTable('attempts', (t) => {
    t.renameColumn('exercise_id', 'assignment_id');
    t.jsonb('before');
  });
  await knex.schema.alterTable('regrades', (t) => t.renameColumn('exercise_id', 'assignment_id'));
  await knex.schema.alterTable('mark_changes', (t) => t.jsonb('before'));
  await rename(knex);
  // Where times were worked, they were worked with the application.
  await knex.raw(
    `update assignments set open_steps = (
       select jsonb_agg(step order by at, step) from (
         select value as step, ordinality as at from jsonb_array_elements(open_steps) with ordinality
         union all
         select '"process"'::jsonb, ordinality from jsonb_array_elements(open_steps) with ordinality
          where value = '"apply"'::jsonb) as steps)
     where open_steps is not null`,
  );
  await changeHeads(knex, inLayers);
  await convertFormulas(knex);
  await knex.schema.alterTable('assignments', (t) => t.dropColumn('kind'));
  await knex.schema.createTable('exercises', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
    t.uuid('educator_id').notNullable().references('users.id').onDelete('RESTRICT').index();
    t.text('title').notNullable();
    t.jsonb('client_case').notNullable();
    t.jsonb('open_steps').notNullable();
    t.jsonb('rubric').notNullable();
    t.text('slip');
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now());
  });
  // The first exercise of an assignment bears its id.
  await knex.raw(
    `insert into exercises (id, educator_id, title, client_case, open_steps, rubric, slip, created_at, updated_at)
     select assignments.id, classes.educator_id, title, client_case, open_steps, rubric, slip,
            assignments.created_at, assignments.created_at
       from assignments join classes on classes.id = assignments.class_id`,
  );
  await knex.schema.alterTable('assignments', (t) => {
    t.uuid('exercise_id').references('exercises.id').onDelete('RESTRICT').index();
  });
  await knex.raw('update assignments set exercise_id = id');
  await knex.schema.alterTable('assignments', (t) => {
    t.dropNullable('exercise_id');
    t.dropNullable('open_steps');
  });
}

/** Back to what they were; work done since on a one-bowl exercise has no form there, and is not thrown away silently. */
async function restoreFormulas(knex: Knex): Promise<void> {
  const since = await tableOf(knex)('attempts')
    .join('assignments', 'assignments.id', 'attempts.assignment_id')
    .whereNotNull('assignments.before')
    .where((newer) =>
      newer
        .whereNull('attempts.before')
        .orWhereRaw("(attempts.grade is null) <> (attempts.before->>'grade' is null)"),
    )
    .count<{ count: string }[]>();
  if (Number(since[0].count) > 0)
    throw new Error(
      `${since[0].count} answers to small exercises were begun or handed in since. Restore a copy of the database made before, or delete them first.`,
    );
  for (const { id, before } of await tableOf(knex)('assignments').whereNotNull('before'))
    await tableOf(knex)('assignments')
      .where({ id })
      .update({
        kind: 'formula',
        open_steps: null,
        client_case: json(before.client_case),
        lines: json(before.lines),
        rubric: json(before.rubric),
        model_answer: json(before.model_answer),
      });
  for (const { id, before } of await tableOf(knex)('attempts').whereNotNull('before'))
    await tableOf(knex)('attempts')
      .where({ id })
      .update({ answer: json(before.answer), grade: before.grade && json(before.grade) });
  for (const { id, before } of await tableOf(knex)('mark_changes').whereNotNull('before'))
    await tableOf(knex)('mark_changes').where({ id }).update(before);
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('assignments', (t) => {
    t.dropColumn('exercise_id');
    t.setNullable('open_steps');
    t.text('kind').notNullable().defaultTo('service').checkIn(['formula', 'service']);
  });
  await knex.schema.dropTable('exercises');
  await rename(knex, true);
  await knex.raw("update assignments set open_steps = open_steps - 'process'");
  await restoreFormulas(knex);
  await changeHeads(knex, inKinds);
  await knex.schema.alterTable('mark_changes', (t) => t.dropColumn('before'));
  await knex.schema.alterTable('regrades', (t) => t.renameColumn('assignment_id', 'exercise_id'));
  await knex.schema.alterTable('attempts', (t) => {
    t.dropColumn('before');
    t.renameColumn('assignment_id', 'exercise_id');
  });
  await knex.schema.alterTable('assignments', (t) => {
    t.dropColumn('before');
    t.renameColumn('client_case', 'kase');
    t.renameColumn('lines', 'line');
    t.renameColumn('model_answer', 'key');
  });
  await knex.raw('alter index assignments_pkey rename to exercises_pkey');
  await knex.schema.renameTable('assignments', 'exercises');
  await knex.raw("alter table exercises alter column kind set default 'formula'");
}
