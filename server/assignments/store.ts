import type { AssignmentChange, ExercisePreview, newAssignmentSchema } from '@cimbel/contract';
import type { ClientCase, RecordCard } from '@cimbel/core/card';
import { defaultRubric, nearMisses, slip } from '@cimbel/core/mark';
import { BENCH_STEPS } from '@cimbel/core/card';
import { readLabel, type Line } from '@cimbel/core/shades';
import { solveCase } from '@cimbel/core/solve';
import type { Knex } from 'knex';
import type { z } from 'zod';
import type { ClassRow } from '../classes/access';
import { HttpError, invalidField } from '../http/errors';
import { lineForCase } from '../shade-books/store';
import type { AssignmentRow } from './row';

/** The lines a case names, shipped or the educator's own, as they are now. */
async function linesOf(db: Knex, clientCase: ClientCase, educatorId: string, at: string): Promise<Line[]> {
  const lines: Line[] = [];
  for (const [i, id] of clientCase.lineIds.entries()) {
    const line = await lineForCase(db, id, educatorId);
    if (!line)
      throw invalidField(
        `${at}.lineIds.${i}`,
        'unknown',
        'No line of colour has this id. Pick one from the list.',
      );
    lines.push(line);
  }
  return lines;
}

/** What a case comes to under a class's rules. */
export async function previewCase(
  db: Knex,
  clientCase: ClientCase,
  { house_rules: rules, educator_id }: ClassRow,
): Promise<ExercisePreview> {
  const lines = await linesOf(db, clientCase, educator_id, 'clientCase');
  const solved = solveCase(clientCase, lines, rules);
  if (!solved.ok) return solved;
  const { solution } = solved;
  const rubric = defaultRubric(solution, solution.visit);
  const misses = nearMisses({ solution, rules, rubric, lines, open: [...BENCH_STEPS] });
  return { ok: true, solution, rubric, nearMisses: misses, lines };
}

/** Makes an exercise and sets it to a class, with the answer that its rules give. */
export async function createAssignment(
  db: Knex,
  owner: ClassRow,
  { exercise, dueAt: due, release }: z.output<typeof newAssignmentSchema>,
  now: Date,
): Promise<{ id: string }> {
  const { title, clientCase, open, slip: slipName, rubric } = exercise;
  const lines = await linesOf(db, clientCase, owner.educator_id, 'exercise.clientCase');
  const solved = solveCase(clientCase, lines, owner.house_rules);
  if (!solved.ok)
    throw new HttpError(
      422,
      'exercise.noAnswer',
      'The lines at hand cannot reach the wish.',
      undefined,
      solved.reasons,
    );
  const { solution } = solved;
  const dueAt = new Date(due);
  const card = slipName ? slip(slipName, { plan: solution.best, solution, lines }) : null;
  if (slipName && !card)
    throw invalidField(
      'exercise.slip',
      'noRoom',
      'This case leaves no room for that slip. Choose another one.',
    );
  if (dueAt <= now) throw invalidField('dueAt', 'past', 'The due time has passed. Choose a later one.');
  return db.transaction(async (trx) => {
    const worked = {
      title,
      client_case: JSON.stringify(clientCase),
      open_steps: JSON.stringify(open),
      rubric: JSON.stringify(rubric),
      slip: slipName,
      created_at: now,
    };
    const [{ id: exerciseId }] = await trx('exercises')
      .insert({ ...worked, educator_id: owner.educator_id, updated_at: now })
      .returning('id');
    const [row] = await trx('assignments')
      .insert({
        ...worked,
        exercise_id: exerciseId,
        class_id: owner.id,
        lines: JSON.stringify(lines),
        house_rules: JSON.stringify(owner.house_rules),
        model_answer: JSON.stringify(solution),
        card: card ? JSON.stringify(card) : null,
        due_at: dueAt,
        release,
      })
      .returning('id');
    return row;
  });
}

export async function changeAssignment(
  db: Knex,
  assignment: AssignmentRow,
  change: AssignmentChange,
  now: Date,
): Promise<void> {
  const { title, dueAt, release, released } = change;
  const columns = {
    ...(title === undefined ? {} : { title }),
    ...(dueAt === undefined ? {} : { due_at: new Date(dueAt) }),
    ...(release === undefined ? {} : { release }),
    ...(released === undefined ? {} : { released_at: released ? (assignment.released_at ?? now) : null }),
  };
  if (Object.keys(columns).length > 0) await db('assignments').where({ id: assignment.id }).update(columns);
}

/** Only while nobody has handed in: answers are never thrown away with the assignment. */
export async function deleteAssignment(
  db: Knex,
  { id, exercise_id: exerciseId }: Pick<AssignmentRow, 'id' | 'exercise_id'>,
): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('assignments').where({ id }).forUpdate().first();
    const handedIn = await trx('attempts').where({ assignment_id: id }).whereNotNull('submitted_at').first();
    if (handedIn)
      throw new HttpError(
        409,
        'exercise.hasAnswers',
        'Answers have been handed in; it can no longer be deleted.',
      );
    await trx('assignments').where({ id }).delete();
    // As long as there is no library to find it in, an exercise goes with its last assignment.
    const other = await trx('assignments').where({ exercise_id: exerciseId }).first();
    if (!other) await trx('exercises').where({ id: exerciseId }).delete();
  });
}

/** Labels have to be of the bowl's line, and bowls have to be there: a slip of typing is said now, not marked. */
export function checkCard(
  { bowls, steps }: Pick<RecordCard, 'bowls' | 'steps'>,
  lines: readonly Line[],
): void {
  const names = bowls.map(({ name }) => name);
  bowls.forEach((bowl, i) => {
    if (names.indexOf(bowl.name) !== i)
      throw invalidField(
        `answer.bowls.${i}.name`,
        'twice',
        `Two bowls are named ${bowl.name}. Give one another letter.`,
      );
    if (bowl.lineId === null) return;
    const line = lines.find(({ id }) => id === bowl.lineId);
    if (!line)
      throw invalidField(
        `answer.bowls.${i}.lineId`,
        'unknown',
        'This line is not at hand. Pick one from the shelf.',
      );
    bowl.shades.forEach(({ label }, j) => {
      if (!line.shades.includes(label) || !readLabel(line, label).ok)
        throw invalidField(
          `answer.bowls.${i}.shades.${j}.label`,
          'unknown',
          `${line.name} has no shade ${label}.`,
        );
    });
  });
  steps.forEach(({ bowl }, i) => {
    if (!names.includes(bowl))
      throw invalidField(
        `answer.steps.${i}.bowl`,
        'unknown',
        `There is no bowl ${bowl}. Mix it, or take the step out.`,
      );
  });
}
