import type { NewTest, ReadingDesk, TestChange } from '@cimbel/contract';
import { SKILLS, itemsOfSitting, NothingToAsk, planTest, sittingOf, stepAfter } from '@cimbel/core/drill';
import type { Knex } from 'knex';
import { randomBytes, randomInt } from 'node:crypto';
import type { ClassRow } from '../classes/access';
import { HttpError, invalidField } from '../http/errors';
import { ownLinesOf } from '../shade-books/store';
import { minutesThisWeek, practisedInClass, type Practised, type PractisedSkill } from '../practice/store';
import { hasEnded, testFacts, type SittingRow, type TestRow } from './rows';
import { answersOfSittings, sittingScore, seedsBy } from './sitting-store';

const SEEDS = 2 ** 32 - 1;

export async function createTest(
  db: Knex,
  owner: ClassRow,
  wanted: NewTest,
  now: Date,
  { seed = randomInt(SEEDS), secret = randomBytes(32).toString('hex') } = {},
): Promise<{ id: string }> {
  const dueAt = new Date(wanted.dueAt);
  if (dueAt <= now) throw invalidField('dueAt', 'past', 'The due time has passed. Choose a later one.');
  const ownLines = await ownLinesOf(db, owner.educator_id);
  const context = { rules: owner.house_rules, scope: wanted.scope, ownLines };
  let plan;
  try {
    plan = planTest(wanted.parts, wanted.step, context, seed);
    // Proves that each question can be made before anyone sits in front of it.
    itemsOfSitting(sittingOf(plan, seedsBy(secret, 'proof'), wanted.variants), context);
  } catch (error) {
    if (error instanceof NothingToAsk)
      throw invalidField(
        `parts.${wanted.parts.findIndex(({ skill }) => skill === error.skill)}.skill`,
        'nothingToAsk',
        `There is nothing to ask of ${error.skill} between these levels.`,
      );
    throw error;
  }
  const [row] = await db('reading_tests')
    .insert({
      class_id: owner.id,
      title: wanted.title,
      plan: JSON.stringify(plan),
      scope: JSON.stringify(wanted.scope),
      house_rules: JSON.stringify(owner.house_rules),
      own_lines: JSON.stringify(ownLines),
      step: wanted.step,
      variants: wanted.variants,
      feedback: wanted.feedback,
      minutes: wanted.minutes,
      attempts: wanted.attempts,
      seed,
      secret,
      due_at: dueAt,
      created_at: now,
    })
    .returning('id');
  return row;
}

export async function changeTest(db: Knex, test: TestRow, change: TestChange, now: Date): Promise<void> {
  const { title, dueAt, released } = change;
  const columns = {
    ...(title === undefined ? {} : { title }),
    ...(dueAt === undefined ? {} : { due_at: new Date(dueAt) }),
    ...(released === undefined ? {} : { released_at: released ? (test.released_at ?? now) : null }),
  };
  if (Object.keys(columns).length > 0) await db('reading_tests').where({ id: test.id }).update(columns);
}

/** Only while nobody has begun: what students did is never thrown away with the test. */
export async function deleteTest(db: Knex, test: TestRow): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('reading_tests').where({ id: test.id }).forUpdate().first();
    if (await trx('sittings').where({ test_id: test.id }).first())
      throw new HttpError(
        409,
        'readingTest.begun',
        'Students have begun this test; it can no longer be deleted.',
      );
    await trx('reading_tests').where({ id: test.id }).delete();
  });
}

/** Null of nothing: no mean is not a mean of 0. */
export const meanOf = (values: readonly number[]) =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

/** The best finished sitting of each student. */
export function bestSittings<T extends { sitting: Pick<SittingRow, 'student_id'>; score: number }>(
  scored: readonly T[],
): Map<string, T> {
  const best = new Map<string, T>();
  for (const one of scored) {
    const other = best.get(one.sitting.student_id);
    if (!other || one.score > other.score) best.set(one.sitting.student_id, one);
  }
  return best;
}

const UNPRACTISED: Practised = { minutesThisWeek: 0, levelBias: null, skills: [] };

/** As `beyondChance` has it, from sums; and how far up the steps the answers lead. */
const tallyOf = ({ answers, score, chance, steps, scores }: PractisedSkill) => ({
  answers,
  accuracy: Math.max(0, (score - chance) / (answers - chance)),
  step: stepAfter(steps.map((step, i) => ({ step, score: scores[i] }))),
});

export async function readingDesk(db: Knex, inClass: ClassRow, now: Date): Promise<ReadingDesk> {
  const [practices, tests, members, byStudent] = await Promise.all([
    db('practices').where({ class_id: inClass.id }).orderBy('created_at'),
    db('reading_tests').where({ class_id: inClass.id }).orderBy('due_at'),
    db('members')
      .join('users', 'users.id', 'members.student_id')
      .where({ class_id: inClass.id })
      .orderBy('users.name')
      .select('users.id', 'users.name', 'members.extra_time_share'),
    practisedInClass(db, inClass.id, now),
  ]);
  const minutes = await minutesThisWeek(
    db,
    practices.map(({ id }) => id),
    now,
  );
  const sittings: SittingRow[] = await db('sittings').whereIn(
    'test_id',
    tests.map(({ id }) => id),
  );
  const ended = sittings.filter((sitting) => hasEnded(sitting, now));
  const answers = await answersOfSittings(
    db,
    ended.map(({ id }) => id),
  );
  return {
    classId: inClass.id,
    className: inClass.name,
    houseRules: inClass.house_rules,
    practices: practices.map(({ id, title, skills, scope, minutes_a_week }) => ({
      id,
      title,
      skills,
      scope,
      minutesAWeek: minutes_a_week,
      reached: members.filter((member) => (minutes.get(`${id} ${member.id}`) ?? 0) >= minutes_a_week).length,
    })),
    tests: tests.map((test) => {
      const scored = ended
        .filter(({ test_id }) => test_id === test.id)
        .map((sitting) => ({ sitting, score: sittingScore(sitting, answers) }));
      const best = [...bestSittings(scored).values()];
      return { ...testFacts(test), finished: best.length, mean: meanOf(best.map(({ score }) => score)) };
    }),
    students: members.map((member) => {
      const { minutesThisWeek: spent, levelBias, skills } = byStudent.get(member.id) ?? UNPRACTISED;
      const answered = skills.reduce((sum, practisedSkill) => sum + practisedSkill.answers, 0);
      const scored = skills.reduce((sum, practisedSkill) => sum + practisedSkill.score, 0);
      return {
        id: member.id,
        name: member.name,
        extraTimeShare: member.extra_time_share,
        minutesThisWeek: spent,
        answers: answered,
        accuracy: answered > 0 ? scored / answered : null,
        levelBias,
        skills: Object.fromEntries(
          SKILLS.flatMap((skill) => {
            const practisedSkill = skills.find((other) => other.skill === skill);
            return practisedSkill ? [[skill, tallyOf(practisedSkill)]] : [];
          }),
        ),
      };
    }),
  };
}
