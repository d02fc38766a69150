import type { AssignmentChange, ExerciseContent, NewAssignment, SetAs } from '@cimbel/contract';
import type { ClientCase } from '@cimbel/core/case';
import { cardWithSlip } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { Knex } from 'knex';
import type { ClassRow } from '../classes/access';
import { columnsOf, createExercise, saveExercise } from '../exercises/store';
import { HttpError, invalidField } from '../http/errors';
import type { Heavy } from '../jobs/heavy';
import { record } from '../log/store';
import { lineForCase } from '../shade-books/store';
import type { AssignmentRow } from './row';
import { checkStudents, columnsOfTerms, writeStudents } from './terms';
import { drawVariants, writeVariants } from './variants';
import { rowOf } from '../db/rows';

/** The lines a case names, shipped or of who sets it or whose class it is, as they are now. */
async function linesOf(
  db: Knex,
  clientCase: ClientCase,
  educatorIds: readonly [string, string],
  at: string,
): Promise<Line[]> {
  const lines: Line[] = [];
  for (const [i, id] of clientCase.lineIds.entries()) {
    const [mine, owners] = educatorIds;
    const line = (await lineForCase(db, id, mine)) ?? (await lineForCase(db, id, owners));
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

/** What an exercise comes to under the rules of a class, as an assignment keeps it. @throws HttpError where it cannot be set. */
async function prepared(
  db: Knex,
  heavy: Heavy,
  owner: ClassRow,
  educatorId: string,
  exercise: ExerciseContent,
  setAs: SetAs,
) {
  const { clientCase, slip: slipName } = exercise;
  const lines = await linesOf(db, clientCase, [educatorId, owner.educator_id], 'exercise.clientCase');
  const solved = await heavy('solve', clientCase, lines, owner.house_rules);
  if (!solved.ok)
    throw new HttpError(
      422,
      'exercise.noAnswer',
      'The lines at hand cannot reach the wish.',
      undefined,
      solved.reasons,
    );
  const { modelAnswer } = solved;
  if (modelAnswer.missed?.length && !exercise.missesWish)
    throw new HttpError(
      422,
      'exercise.missesWish',
      'Even the model answer misses the wish. Change the wish, or say that it is set all the same (missesWish).',
    );
  const card = slipName ? cardWithSlip(slipName, { card: modelAnswer.card, modelAnswer, lines }) : null;
  if (slipName && !card)
    throw invalidField(
      'exercise.slip',
      'noRoom',
      'This case leaves no room for that slip. Choose another one.',
    );
  const variants = await drawVariants(
    heavy,
    setAs,
    { clientCase, modelAnswer },
    { title: exercise.title, lines, rules: owner.house_rules, slip: slipName },
  );
  const columns = {
    ...columnsOf(exercise),
    lines: JSON.stringify(lines),
    house_rules: JSON.stringify(owner.house_rules),
    model_answer: JSON.stringify(modelAnswer),
    card: card ? JSON.stringify(card) : null,
    variants: setAs,
  };
  return { columns, variants };
}

/** Sets an exercise to a class, the educator's own or a new one, with the answer that its rules give. */
export async function createAssignment(
  db: Knex,
  heavy: Heavy,
  owner: ClassRow,
  educatorId: string,
  { exercise, exerciseId, variants: setAs, ...terms }: NewAssignment,
  now: Date,
): Promise<{ id: string }> {
  const { columns, variants } = await prepared(db, heavy, owner, educatorId, exercise, setAs);
  if (new Date(terms.dueAt) <= now)
    throw invalidField('dueAt', 'past', 'The due time has passed. Choose a later one.');
  await checkStudents(db, owner.id, terms);
  return db.transaction(async (trx) => {
    const own =
      exerciseId && (await trx('exercises').where({ id: exerciseId, educator_id: educatorId }).first('id'));
    if (exerciseId && !own)
      throw invalidField('exerciseId', 'unknown', 'You have no exercise of this id. Set it as a new one.');
    const { id, version } = own
      ? await saveExercise(trx, own.id, exercise, now)
      : await createExercise(trx, educatorId, exercise, now);
    const [row] = await trx('assignments')
      .insert({
        ...columns,
        ...columnsOfTerms(terms),
        exercise_id: id,
        exercise_version: version,
        class_id: owner.id,
        created_at: now,
      })
      .returning('id');
    await writeVariants(trx, row.id, variants);
    await writeStudents(trx, row.id, terms);
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.set',
      classId: owner.id,
      subject: row.id,
      after: { title: exercise.title, ...terms, variants: setAs, rubric: exercise.rubric },
    });
    return row;
  });
}

export const hasBegun = async (db: Knex, assignmentId: string): Promise<boolean> =>
  Boolean(await db('attempts').where({ assignment_id: assignmentId }).first('id'));

/** Another exercise for an assignment, only while nobody has begun: work is never thrown away. */
export async function editAssignment(
  db: Knex,
  heavy: Heavy,
  {
    id,
    class_id,
    exercise_id,
    variants: setAs,
  }: Pick<AssignmentRow, 'id' | 'class_id' | 'exercise_id' | 'variants'>,
  educatorId: string,
  exercise: ExerciseContent,
  now: Date,
): Promise<void> {
  const owner = rowOf(await db('classes').where({ id: class_id }).first(), 'classes');
  const { columns, variants } = await prepared(db, heavy, owner, educatorId, exercise, setAs);
  await db.transaction(async (trx) => {
    await trx('assignments').where({ id }).forUpdate().first();
    if (await hasBegun(trx, id))
      throw new HttpError(409, 'exercise.begun', 'Someone has begun; the exercise can no longer be changed.');
    const before = rowOf(await trx('assignments').where({ id }).first(), 'assignments');
    await writeVariants(trx, id, variants);
    const { version } = await saveExercise(trx, exercise_id, exercise, now, id);
    const [after] = await trx('assignments')
      .where({ id })
      .update({ ...columns, exercise_version: version })
      .returning('*');
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.exercise',
      classId: class_id,
      subject: id,
      before: contentOf(before),
      after: contentOf(rowOf(after, 'assignments')),
    });
  });
}

/** What of an assignment the log keeps: all that marks rest on. */
const contentOf = ({ title, client_case, rubric, model_answer, house_rules }: AssignmentRow) => ({
  title,
  client_case,
  rubric,
  model_answer,
  house_rules,
});

export async function changeAssignment(
  db: Knex,
  assignment: AssignmentRow,
  educatorId: string,
  change: AssignmentChange,
  now: Date,
): Promise<void> {
  const { title, released, closed } = change;
  const columns = {
    ...(title === undefined ? {} : { title }),
    ...(released === undefined ? {} : { released_at: released ? (assignment.released_at ?? now) : null }),
    ...(closed === undefined ? {} : { closed_at: closed ? (assignment.closed_at ?? now) : null }),
  };
  if (Object.keys(columns).length === 0) return;
  await db.transaction(async (trx) => {
    await trx('assignments').where({ id: assignment.id }).update(columns);
    // Hidden is hidden: also from those who saw it before the rest.
    if (released === false) await trx('released_to').where({ assignment_id: assignment.id }).delete();
    const before = Object.fromEntries(
      Object.keys(columns).map((name) => [name, assignment[name as keyof AssignmentRow]]),
    );
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.changed',
      classId: assignment.class_id,
      subject: assignment.id,
      before,
      after: columns,
    });
  });
}

/** Only while nobody has handed in: answers are never thrown away with the assignment. */
export async function deleteAssignment(
  db: Knex,
  { id, class_id, title }: Pick<AssignmentRow, 'id' | 'class_id' | 'title'>,
  educatorId: string,
  now: Date,
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
    await record(trx, {
      at: now,
      actor: educatorId,
      action: 'assignment.deleted',
      classId: class_id,
      subject: id,
      before: { title },
    });
  });
}
