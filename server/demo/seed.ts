import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { answerOfKey, defaultRubric, type Answer } from '@cimbel/core/grade';
import type { Case } from '@cimbel/core/solve';
import { hasGreyToCover } from '@cimbel/core/theory';
import { createAccount } from '../accounts/store';
import { changeMark, handIn, saveDraft, type AttemptRow } from '../attempts/store';
import { createClass, joinClass } from '../classes/store';
import type { ExerciseRow } from '../exercises/row';
import { changeExercise, createExercise } from '../exercises/store';
import { seedReading } from './reading';
import { seedServices } from './services';
import {
  ANSWERS_DUE,
  ANSWERS_GRADED,
  CASES,
  CLASS_NAME,
  DEMO_PASSWORD,
  EDUCATOR,
  STUDENTS,
  type DemoAnswer,
} from './scene';

const HOUR_MS = 3600_000;
const DAY_MS = 24 * HOUR_MS;

/** Puts the demo class in once; a database that has any demo account is left alone. */
export async function seedDemo(db: Knex, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    // Two servers starting at once on one database must not both seed it.
    await trx.raw('select pg_advisory_xact_lock(4600)');
    if (await trx('users').where({ demo: true }).first()) return;
    await seed(trx, now);
  });
}

async function account(
  db: Knex,
  role: 'educator' | 'student',
  { name, email }: { name: string; email: string },
) {
  const made = await createAccount(db, { role, name, email, password: DEMO_PASSWORD, demo: true });
  if (made === 'emailTaken')
    throw new Error(`The demo needs the address ${email}, which an account already has.`);
  return made;
}

async function seed(db: Knex, now: Date): Promise<void> {
  // Class is on an evening, so dates stand at six.
  const evening6 = new Date(now);
  evening6.setUTCHours(18, 0, 0, 0);
  const after = (ms: number) => new Date(evening6.getTime() + ms);
  const educator = await account(db, 'educator', EDUCATOR);
  const evening = await createClass(db, educator.id, CLASS_NAME);
  const students: string[] = [];
  for (const student of STUDENTS) {
    const { id } = await account(db, 'student', student);
    await joinClass(db, id, evening.join_code);
    students.push(id);
  }

  const exercise = async (
    title: string,
    kase: Case,
    set: Date,
    dueAt: Date,
    release: ExerciseRow['release'],
  ): Promise<ExerciseRow> => {
    const rubric = defaultRubric(hasGreyToCover(kase.zone.greyShare));
    const { id } = await createExercise(
      db,
      evening,
      { title, kase, rubric, dueAt: dueAt.toISOString(), release },
      set,
    );
    return db<ExerciseRow>('exercises').where({ id }).first() as Promise<ExerciseRow>;
  };
  const graded = await exercise(
    'Cover half grey, keep it golden',
    CASES.graded,
    after(-12 * DAY_MS),
    after(-4 * DAY_MS),
    'manual',
  );
  const due = await exercise(
    'Two levels lighter, and cool',
    CASES.due,
    after(-5 * DAY_MS),
    after(6 * HOUR_MS),
    'onDue',
  );
  await exercise(
    'Deeper for winter, on porous hair',
    CASES.open,
    after(-1 * DAY_MS),
    after(6 * DAY_MS),
    'onSubmit',
  );

  const handInAll = async (
    row: ExerciseRow,
    answers: readonly (DemoAnswer | null)[],
    first: Date,
    everyMs: number,
  ) => {
    const attempts: AttemptRow[] = [];
    for (const [i, answer] of answers.entries()) {
      if (answer === null) continue;
      const when = new Date(first.getTime() + i * everyMs);
      const whole = answerFrom(row, answer);
      if (answer.handIn === false)
        await saveDraft(db, row, students[i], { answer: whole, version: 0, writer: 'demo' }, when);
      else attempts.push(await handIn(db, row, students[i], { id: randomUUID(), answer: whole }, when));
    }
    return attempts;
  };
  const marked = await handInAll(graded, ANSWERS_GRADED, after(-6 * DAY_MS), 4.3 * HOUR_MS);
  await changeExercise(db, graded, { released: true }, after(-3 * DAY_MS));
  await changeMark(
    db,
    marked[3],
    educator.id,
    {
      criterion: 'amount',
      points: 1,
      reason: 'Said in class that her model has very thick hair; the amount was right for it.',
    },
    after(-3 * DAY_MS),
  );
  await handInAll(due, ANSWERS_DUE, after(-3 * DAY_MS), 3 * HOUR_MS);
  await seedReading(db, evening, students, now);
  await seedServices(db, evening, students, evening6);
}

/** A demo answer is the key with the slips that make it a student's. */
const answerFrom = ({ kase, key }: ExerciseRow, { handIn: _, ...slips }: DemoAnswer): Answer => ({
  ...answerOfKey(kase, key),
  ...slips,
});
