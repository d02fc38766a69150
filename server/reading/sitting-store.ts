import type { MyTest, ShownQuestion, SittingAnswer, SittingResult, SittingState } from '@cimbel/contract';
import {
  fitsForm,
  itemsOfSitting,
  markItem,
  sittingOf,
  type Question,
  type SeedOf,
} from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import { DRAWING_NOW } from '@cimbel/core/draw';
import type { Knex } from 'knex';
import { createHmac } from 'node:crypto';
import { HttpError, invalidField } from '../http/errors';
import type { SittingOfTest } from './access';
import {
  answersOpen,
  hasEnded,
  testFacts,
  type KeptItem,
  type SittingAnswerRow,
  type SittingRow,
  type TestOfClass,
  type TestRow,
} from './rows';
import { rowOf } from '../db/rows';

const sittingsOf = (db: Knex, testIds: string[], studentId: string): Promise<SittingRow[]> =>
  db('sittings').whereIn('test_id', testIds).where({ student_id: studentId }).orderBy('number');

export const answersOfSittings = (db: Knex, ids: string[]): Promise<SittingAnswerRow[]> =>
  db('sitting_answers').whereIn('sitting_id', ids).orderBy('position');

/** Share of the questions got, 0–1; what was not reached counts as nothing. */
export const sittingScore = (sitting: SittingRow, answers: readonly SittingAnswerRow[]): number =>
  answers.filter(({ sitting_id }) => sitting_id === sitting.id).reduce((sum, { score }) => sum + score, 0) /
  sitting.items.length;

async function extraTimeOf(db: Knex, classId: string, studentId: string): Promise<number> {
  const row = await db('members')
    .where({ class_id: classId, student_id: studentId })
    .first('extra_time_share');
  return row?.extra_time_share ?? 0;
}

async function myTest(db: Knex, test: TestOfClass, studentId: string, now: Date): Promise<MyTest> {
  const sittings = await sittingsOf(db, [test.id], studentId);
  const answers = await answersOfSittings(
    db,
    sittings.map(({ id }) => id),
  );
  const extra = await extraTimeOf(db, test.class_id, studentId);
  const late = now > test.due_at;
  const open = sittings.some((sitting) => !hasEnded(sitting, now));
  return {
    ...testFacts(test),
    className: test.class_name,
    minutesForMe: Math.ceil(test.minutes * (1 + extra)),
    late,
    sittings: sittings.map((sitting) => {
      const ended = hasEnded(sitting, now);
      return {
        id: sitting.id,
        startedAt: sitting.started_at.toISOString(),
        ended,
        score: ended && answersOpen(test) ? sittingScore(sitting, answers) : null,
      };
    }),
    canStart: !late && !open && sittings.length < test.attempts,
  };
}

export async function myTests(db: Knex, studentId: string, now: Date): Promise<MyTest[]> {
  const tests: TestOfClass[] = await db('reading_tests')
    .join('classes', 'classes.id', 'reading_tests.class_id')
    .join('members', 'members.class_id', 'classes.id')
    .where('members.student_id', studentId)
    .orderBy('reading_tests.due_at')
    .select('reading_tests.*', 'classes.name as class_name');
  return Promise.all(tests.map((test) => myTest(db, test, studentId, now)));
}
export { myTest };

/** Seeds that tell nothing of one another without the secret, however many of them are known. */
export const seedsBy =
  (secret: string, sitting: string): SeedOf =>
  (what) =>
    createHmac('sha256', secret).update(`${sitting} ${what}`).digest().readUInt32BE(0);

/** The items of a sitting, made once and kept. Own variants differ by student, every further sitting differs again. */
export function itemsFor(test: TestRow, studentId: string, number: number): KeptItem[] {
  const whose = test.variants === 'own' ? studentId : 'all';
  const context = { rules: test.house_rules, scope: test.scope, ownLines: test.own_lines };
  const specs = sittingOf(test.plan, seedsBy(test.secret, `${whose} ${number}`), test.variants);
  return itemsOfSitting(specs, context).map((kept) => ({ ...kept, drawing: DRAWING_NOW }));
}

/** Starts a sitting, or gives back the one that is under way: a reload never costs an attempt. */
export async function startSitting(
  db: Knex,
  test: TestOfClass,
  studentId: string,
  now: Date,
): Promise<{ id: string }> {
  return db.transaction(async (trx) => {
    // Two taps, or two devices, at once must not start two.
    await trx('memberships').where({ class_id: test.class_id, student_id: studentId }).forUpdate().first();
    const sittings = await sittingsOf(trx, [test.id], studentId);
    const open = sittings.find((sitting) => !hasEnded(sitting, now));
    if (open) return { id: open.id };
    const inClass = await trx('classes').where({ id: test.class_id }).first('archived_at');
    if (rowOf(inClass, 'classes').archived_at)
      throw new HttpError(
        409,
        'class.archived',
        'This class has been put away; no test can be begun any more.',
      );
    if (now > test.due_at)
      throw new HttpError(409, 'readingTest.closed', 'The time for this test has passed.');
    if (sittings.length >= test.attempts)
      throw new HttpError(409, 'readingTest.noneLeft', 'No attempt at this test is left.');
    const number = sittings.length + 1;
    const minutes = test.minutes * (1 + (await extraTimeOf(trx, test.class_id, studentId)));
    const [row] = await trx('sittings')
      .insert({
        test_id: test.id,
        student_id: studentId,
        number,
        items: JSON.stringify(itemsFor(test, studentId, number)),
        started_at: now,
        ends_at: new Date(now.getTime() + minutes * 60_000),
      })
      .returning('id');
    return row;
  });
}

const ownLineOf = ({ lineId }: Pick<Question, 'lineId'>, ownLines: readonly Line[]): Line | null =>
  ownLines.find(({ id }) => id === lineId) ?? null;

/** Chosen field by field: what is not named here cannot slip out before the answer. Hair goes out as pixels only. */
export const shownQuestion = (question: Question, ownLines: readonly Line[]): ShownQuestion => ({
  skill: question.skill,
  step: question.step,
  ask: question.ask,
  facts: question.facts,
  light: question.light,
  lineId: question.lineId,
  form: question.form,
  hands: question.hands,
  ownLine: ownLineOf(question, ownLines),
  pictures: question.pictures.map(({ caption }) => ({ caption })),
});

/** Questions handed out ahead of the answers, so that the next one is there at once and a short drop of the line is no loss. */
const AHEAD = 1;

export async function stateOf(db: Knex, { sitting, test }: SittingOfTest, now: Date): Promise<SittingState> {
  const answers = await answersOfSittings(db, [sitting.id]);
  const position = answers.length;
  const ended = hasEnded(sitting, now);
  return {
    id: sitting.id,
    testId: test.id,
    title: test.title,
    total: sitting.items.length,
    position,
    ended,
    now: now.toISOString(),
    endsAt: sitting.ends_at.toISOString(),
    feedback: test.feedback,
    questions: ended
      ? []
      : sitting.items.slice(position, position + 1 + AHEAD).map(({ item }, i) => ({
          position: position + i,
          question: shownQuestion(item.question, test.own_lines),
        })),
  };
}

/** The look of one picture, of a question that has been handed out; null for any further one. */
export async function pictureOf(db: Knex, { sitting }: SittingOfTest, position: number, picture: number) {
  const { count } = (await db('sitting_answers').where({ sitting_id: sitting.id }).count().first()) as {
    count: string;
  };
  if (position > Number(count) + AHEAD) return null;
  const keptItem = sitting.items[position];
  const pictures = keptItem?.item.question.pictures ?? [];
  return pictures[picture]
    ? { look: pictures[picture].look, count: pictures.length, drawing: keptItem.drawing ?? 1 }
    : null;
}

/**
 * Takes one answer, in order and once. The same position again changes nothing: a device that lost the reply may repeat
 * itself, and an answer given is given.
 */
export async function answerSitting(
  db: Knex,
  reached: SittingOfTest,
  { position, response }: SittingAnswer,
  now: Date,
): Promise<SittingState> {
  await db.transaction(async (trx) => {
    const sitting = rowOf(
      await trx('sittings').where({ id: reached.sitting.id }).forUpdate().first(),
      'sittings',
    );
    const answers = await answersOfSittings(trx, [sitting.id]);
    if (position < answers.length) return;
    if (hasEnded(sitting, now))
      throw new HttpError(409, 'readingTest.timeUp', 'The time of this test is up.');
    if (position > answers.length)
      throw invalidField('position', 'order', `Question ${answers.length + 1} has to be answered first.`);
    const { item } = sitting.items[position];
    if (response && !fitsForm(item, response))
      throw invalidField('response', 'form', 'This is not an answer to this question.');
    const mark = response ? markItem(item, response) : null;
    const before = answers.at(-1)?.answered_at ?? sitting.started_at;
    await trx('sitting_answers').insert({
      sitting_id: sitting.id,
      position,
      response: response ? JSON.stringify(response) : null,
      score: mark?.score ?? 0,
      reading: mark?.reading ? JSON.stringify(mark.reading) : null,
      seconds: (now.getTime() - before.getTime()) / 1000,
      answered_at: now,
    });
    if (position === sitting.items.length - 1) {
      await trx('sittings').where({ id: sitting.id }).update({ finished_at: now });
    }
  });
  const sitting = rowOf(await db('sittings').where({ id: reached.sitting.id }).first(), 'sittings');
  return stateOf(db, { ...reached, sitting }, now);
}

export async function sittingResult(
  db: Knex,
  { sitting, test, studentName }: SittingOfTest,
): Promise<SittingResult> {
  const answers = await answersOfSittings(db, [sitting.id]);
  return {
    id: sitting.id,
    testId: test.id,
    title: test.title,
    studentName,
    startedAt: sitting.started_at.toISOString(),
    score: answers.reduce((sum, { score }) => sum + score, 0),
    total: sitting.items.length,
    lines: sitting.items.map(({ item }, position) => {
      const answer = answers.find((sittingAnswerRow) => sittingAnswerRow.position === position);
      return {
        position,
        item,
        ownLine: ownLineOf(item.question, test.own_lines),
        response: answer?.response ?? null,
        mark: answer?.response ? markItem(item, answer.response) : null,
        seconds: answer?.seconds ?? null,
      };
    }),
  };
}
