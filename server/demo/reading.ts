import type { NewPractice, NewTest } from '@cimbel/contract';
import { seededRandom } from '@cimbel/core';
import {
  biasedBy,
  FULL_SCOPE,
  guesser,
  ofAbility,
  PLAIN_CONTEXT,
  practise,
  rightResponse,
  startOfWeek,
  type ProfileAnswer,
  type Learner,
  type Skill,
} from '@cimbel/core/drill';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import type { ClassRow } from '../classes/access';
import { createPractice } from '../practice/store';
import type { TestOfClass } from '../reading/rows';
import { answerSitting, startSitting } from '../reading/sitting-store';
import { changeTest, createTest } from '../reading/store';
import { rowOf } from '../db/rows';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** How a student of the demo class reads: how far up, how many levels too light or dark, and how diligently. */
interface Eye {
  ability: number;
  bias: number;
  weeks: number;
  perSitting: number;
}
const EYES: readonly Eye[] = [
  { ability: 3.6, bias: 0.3, weeks: 6, perSitting: 16 },
  { ability: 4.6, bias: 0, weeks: 6, perSitting: 18 },
  { ability: 2.4, bias: -1, weeks: 5, perSitting: 12 },
  { ability: 3.2, bias: 0.1, weeks: 6, perSitting: 14 },
  { ability: 1.6, bias: 0.8, weeks: 4, perSitting: 9 },
  { ability: 3, bias: -0.2, weeks: 5, perSitting: 12 },
  { ability: 3.9, bias: 0.1, weeks: 6, perSitting: 15 },
  { ability: 0, bias: 0, weeks: 0, perSitting: 0 },
  { ability: 2.8, bias: 0.6, weeks: 4, perSitting: 10 },
  { ability: 4.1, bias: -0.1, weeks: 6, perSitting: 13 },
  { ability: 3.3, bias: 0, weeks: 3, perSitting: 10 },
  { ability: 0.8, bias: -0.7, weeks: 2, perSitting: 8 },
];

const learnerOf = ({ ability, bias }: Eye): Learner => {
  const able = ofAbility(ability);
  const off = biasedBy(bias);
  return (item, random) => {
    const response = able(item, random);
    // Who would have been right is still off by the bias of the eye.
    return JSON.stringify(response) === JSON.stringify(rightResponse(item)) ? off(item, random) : response;
  };
};

const SKILLS_SET: readonly Skill[] = [
  'level',
  'tone',
  'underlay',
  'grey',
  'predict',
  'developer',
  'ratio',
  'toner',
];
const PRACTICE: NewPractice = {
  title: 'Five minutes on two evenings',
  skills: [...SKILLS_SET],
  scope: FULL_SCOPE,
  minutesAWeek: 10,
};
const TEST_DONE: Omit<NewTest, 'dueAt'> = {
  title: 'Levels, tones and grey',
  parts: [
    { skill: 'level', count: 5 },
    { skill: 'tone', count: 4 },
    { skill: 'grey', count: 3 },
    { skill: 'ratio', count: 3 },
  ],
  step: 3,
  scope: FULL_SCOPE,
  variants: 'own',
  minutes: 12,
  feedback: 'atEnd',
  attempts: 1,
};
const TEST_OPEN: Omit<NewTest, 'dueAt'> = {
  ...TEST_DONE,
  title: 'What shows, and what cancels it',
  parts: [
    { skill: 'underlay', count: 4 },
    { skill: 'predict', count: 3 },
    { skill: 'toner', count: 3 },
    { skill: 'zones', count: 2 },
  ],
  minutes: 10,
  feedback: 'onRelease',
  attempts: 2,
};

/** Two sittings a week, each built on the ones before, as the application would have asked. */
function historyOf(eye: Eye, seed: number, now: Date) {
  const learner = learnerOf(eye);
  const given: (ProfileAnswer & { seed: number; response: object })[] = [];
  const monday = startOfWeek(now.getTime());
  for (let week = eye.weeks - 1; week >= 0; week--)
    for (const day of [0.8, 1.7]) {
      const start = monday - week * 7 * DAY_MS + day * DAY_MS;
      if (start > now.getTime()) continue;
      const sitting = { answers: eye.perSitting, seed: seed * 100 + week * 10 + day, start };
      given.push(...practise(learner, SKILLS_SET, PLAIN_CONTEXT, sitting, given));
    }
  return given;
}

async function sit(
  db: Knex,
  test: TestOfClass,
  studentId: string,
  learner: Learner,
  when: Date,
  seed: number,
) {
  const random = seededRandom(seed);
  const { id } = await startSitting(db, test, studentId, when);
  const sitting = rowOf(await db('sittings').where({ id }).first(), 'sittings');
  let at = when.getTime();
  for (const [position, { item }] of sitting.items.entries()) {
    at += 8_000 + random() * 30_000;
    const response = random() < 0.03 ? null : learner(item, random);
    await answerSitting(db, { sitting, test, studentName: '' }, { position, response }, new Date(at));
  }
}

/** Practice of six weeks, one test that is done and one that is open, for the demo class. */
export async function seedReading(
  db: Knex,
  inClass: ClassRow,
  students: readonly string[],
  now: Date,
): Promise<void> {
  // Class is on an evening, so dates stand at six.
  const evening = new Date(now);
  evening.setUTCHours(18, 0, 0, 0);
  const ago = (days: number) => new Date(evening.getTime() - days * DAY_MS);
  const practice = await createPractice(db, inClass.id, PRACTICE, ago(42));
  for (const [i, studentId] of students.entries()) {
    const rows = historyOf(EYES[i], i + 1, now).map((answer) => ({
      id: randomUUID(),
      student_id: studentId,
      class_id: inClass.id,
      practice_id: practice.id,
      skill: answer.skill,
      facet: answer.facet,
      step: answer.step,
      seed: answer.seed,
      scope: JSON.stringify(FULL_SCOPE),
      response: JSON.stringify(answer.response),
      score: answer.score,
      reading: answer.reading ? JSON.stringify(answer.reading) : null,
      light: answer.light,
      assisted: false,
      seconds: answer.seconds * 2,
      claimed_seconds: answer.seconds * 2,
      chance: answer.chance,
      answered_at: new Date(answer.at),
      received_at: new Date(answer.at),
    }));
    await db.batchInsert('drill_answers', rows, 200);
  }

  const testNamed = async (body: Omit<NewTest, 'dueAt'>, set: Date, dueAt: Date, seed: number) => {
    const { id } = await createTest(db, inClass, { ...body, dueAt: dueAt.toISOString() }, set, {
      seed,
      // The demo class is the same on every machine.
      secret: `demo ${seed}`,
    });
    const row = await db('reading_tests').where({ id }).first();
    return { ...row, class_name: inClass.name } as TestOfClass;
  };
  const done = await testNamed(TEST_DONE, ago(15), ago(8), 4601);
  for (const [i, studentId] of students.entries()) {
    if (i === 7 || i === 10) continue;
    const when = new Date(ago(12).getTime() + i * 37 * MINUTE_MS);
    await sit(db, done, studentId, i === 11 ? guesser : learnerOf(EYES[i]), when, 900 + i);
  }
  await changeTest(db, done, { released: true }, ago(7));
  const open = await testNamed(TEST_OPEN, ago(2), ago(-5), 4602);
  for (const i of [1, 5, 9])
    await sit(
      db,
      open,
      students[i],
      learnerOf(EYES[i]),
      new Date(ago(1).getTime() + i * 11 * MINUTE_MS),
      700 + i,
    );
  await db('memberships')
    .where({ class_id: inClass.id, student_id: students[4] })
    .update({ extra_time_share: 0.25 });
}
