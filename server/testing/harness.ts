import type { Account, Role } from '@cimbel/contract';
import { shippedCase } from '@cimbel/core/cases';
import { BENCH_STEPS } from '@cimbel/core/exercise';
import type { RecordCard } from '@cimbel/core/card';
import { shippedLine } from '@cimbel/core/product';
import type { Express } from 'express';
import type { Knex } from 'knex';
import pino from 'pino';
import { randomBytes, randomUUID } from 'node:crypto';
import supertest from 'supertest';
import { createAccount } from '../accounts/store';
import { createApp } from '../app';
import { runRegrade } from '../assignments/regrade';
import { connect, migrate, sessionPool } from '../db/database';
import { hereAndNow } from '../jobs/heavy';
import { liveHub } from '../live/hub';

export const HOST = 'localhost';

/** Tests look at rows as they are, and at tables that have gone. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a table no longer declared has no type of a row
type LooseDatabase = ((table: string) => Knex.QueryBuilder<any, any[]>) & Knex;

export interface Harness {
  app: Express;
  db: LooseDatabase;
  /** Address of its database. */
  url: string;
  /** The clock of the application; tests move it. */
  clock: { now: Date };
  close: () => Promise<void>;
}

/** A database of its own beside the others of the test run, so that test files do not meet. */
export async function harness({ demo = false } = {}): Promise<Harness> {
  const base = process.env.TEST_DATABASE_URL;
  if (!base)
    throw new Error('TEST_DATABASE_URL is not set: run npm test, or npm run test:unit for these alone.');
  const name = `unit_${randomBytes(6).toString('hex')}`;
  const admin = connect(base);
  await admin.raw(`create database ${name}`);
  const url = new URL(base);
  url.pathname = `/${name}`;
  const [db, pool] = [connect(url.href), sessionPool(url.href)];
  // A session may still be written when the database under it is dropped.
  pool.on('error', () => undefined);
  await migrate(db);
  const clock = { now: new Date('2026-03-02T18:00:00Z') };
  /** What would go on behind, done here; a database is dropped only once it has ended. */
  const running = new Set<Promise<void>>();
  const live = liveHub(url.href, db, pino({ level: 'silent' }));
  const app = createApp({
    db,
    live,
    jobs: {
      regrade: async (id) => {
        const run = runRegrade(db, hereAndNow, id, () => clock.now).finally(() => running.delete(run));
        running.add(run);
      },
      // Tests say themselves when the time is up.
      timeUp: async () => undefined,
      close: async () => undefined,
    },
    pool,
    now: () => clock.now,
    demo,
    work: { of: () => hereAndNow, close: async () => undefined },
    log: pino({ level: 'silent' }),
    secret: 'only for tests',
    secure: false,
    webFolder: null,
  });
  return {
    app,
    db: db as LooseDatabase,
    url: url.href,
    clock,
    close: async () => {
      await Promise.all(running);
      await live.close();
      await Promise.all([db.destroy(), pool.end()]);
      // Everything of ours has let go; without force the server ends its own vacuum workers as well.
      await admin.raw(`drop database ${name}`);
      await admin.destroy();
    },
  };
}

/** A browser of its own: keeps its cookies, says where it writes from. */
export type Browser = ReturnType<typeof browser>;
export function browser(app: Express) {
  const agent = supertest.agent(app);
  const send = (method: 'get' | 'post' | 'put' | 'patch' | 'delete', path: string, body?: object) => {
    const request = agent[method](path).set('Host', HOST).set('Origin', `http://${HOST}`);
    return body === undefined ? request : request.send(body);
  };
  return {
    send,
    get: (path: string) => send('get', path),
    post: (path: string, body: object = {}) => send('post', path, body),
    put: (path: string, body: object) => send('put', path, body),
    patch: (path: string, body: object) => send('patch', path, body),
    delete: (path: string) => send('delete', path),
  };
}

/** Asks and tests what stands on a card, as the page does before it may stand there. */
export async function ask(
  page: Browser,
  assignmentId: string,
  { asked, tests }: Pick<RecordCard, 'asked' | 'tests'>,
) {
  const all = [...asked.map((question) => ({ question })), ...tests.map((test) => ({ test }))];
  for (const one of all) await page.post(`/api/my/assignments/${assignmentId}/reveal`, one).expect(200);
}

export const SIGN_UP_PASSWORD = 'a long enough one';

export async function signedIn(
  h: Harness,
  role: Role,
  name: string,
): Promise<Browser & { account: Account }> {
  const email = `${name.toLowerCase()}@example.test`;
  const account = await createAccount(h.db, { role, name, email, password: SIGN_UP_PASSWORD });
  if (account === 'emailTaken') throw new Error(`${email} is taken`);
  const page = browser(h.app);
  await page.post('/api/session', { email, password: SIGN_UP_PASSWORD }).expect(200);
  return { ...page, account };
}

/** A shipped case set to a class. `change` is of the exercise, `set` of how it is set. */
export function assignmentBody(change: object = {}, set: object = {}, id = 'retouch-grey') {
  const { clientCase, open = BENCH_STEPS } = shippedCase(id)!;
  return {
    exercise: {
      title: clientCase.title,
      clientCase,
      open: [...open],
      rubric: { reading: 3, route: 5, depth: 4, tone: 4, greyShare: 3, developer: 4, safety: 3 },
      ...change,
    },
    dueAt: '2026-03-09T18:00:00Z',
    release: 'manual',
    ...set,
  };
}

export const TEST_BODY = {
  title: 'Levels and tones',
  parts: [
    { skill: 'level', count: 3 },
    { skill: 'tone', count: 2 },
    { skill: 'grey', count: 2 },
  ],
  step: 2,
  scope: { minLevel: 1, maxLevel: 10, lights: ['daylight'] },
  variants: 'own',
  minutes: 10,
  feedback: 'atEnd',
  attempts: 2,
  dueAt: '2026-03-09T18:00:00Z',
};
export const PRACTICE_BODY = {
  title: 'Every evening',
  skills: ['level', 'tone'],
  scope: { minLevel: 1, maxLevel: 10, lights: ['daylight'] },
  minutesAWeek: 20,
};

/** One class with an educator, a student, one assignment, one practice, one test that is begun, and strangers of both kinds. */
export async function classroom(h: Harness) {
  const educator = await signedIn(h, 'educator', 'Educator');
  const otherEducator = await signedIn(h, 'educator', 'Other-educator');
  const student = await signedIn(h, 'student', 'Student');
  const classmate = await signedIn(h, 'student', 'Classmate');
  const stranger = await signedIn(h, 'student', 'Stranger');
  const classId: string = (await educator.post('/api/classes', { name: 'Evening' }).expect(201)).body.id;
  const joinCode: string = (await educator.get(`/api/classes/${classId}`)).body.joinCode;
  await educator.put(`/api/classes/${classId}/joining`, { joining: 'open' }).expect(200);
  for (const member of [student, classmate]) await member.post('/api/memberships', { joinCode }).expect(201);
  const made = async (path: string, body: object): Promise<string> =>
    (await educator.post(`/api/classes/${classId}/${path}`, body).expect(201)).body.id;
  const bookId: string = (
    await educator.post('/api/shade-books', { line: shippedLine('tarnwick'), version: 0 }).expect(201)
  ).body.id;
  const assignmentId = await made('assignments', assignmentBody());
  const practiceId = await made('practices', PRACTICE_BODY);
  const testId = await made('reading-tests', TEST_BODY);
  const sittingId: string = (await student.post(`/api/my/reading-tests/${testId}/sittings`).expect(200)).body
    .id;
  return {
    educator,
    otherEducator,
    student,
    classmate,
    stranger,
    classId,
    joinCode,
    assignmentId,
    bookId,
    practiceId,
    testId,
    sittingId,
  };
}

export const freshId = () => randomUUID();

/** A harness with one class for all tests of a file or block; both objects are filled before the first of them runs. */
export function inClassroom(): { h: Harness; room: Awaited<ReturnType<typeof classroom>> } {
  const h = {} as Harness;
  const room = {} as Awaited<ReturnType<typeof classroom>>;
  beforeAll(async () => {
    Object.assign(h, await harness());
    Object.assign(room, await classroom(h));
  }, 60_000);
  afterAll(() => h.close());
  return { h, room };
}
