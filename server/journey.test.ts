import type { EducatorAssignment } from '@cimbel/contract';
import { EMPTY_CARD, bowlGrams, type RecordCard } from '@cimbel/core/card';
import { assignmentBody, browser, inClassroom, freshId } from './testing/harness';

const { h, room } = inClassroom();
beforeEach(() => {
  h.clock.now = new Date('2026-03-02T18:00:00Z');
});

const SMALL = 'half-grey-gold';
const RUBRIC = { reading: 2, depth: 4, ratio: 1, amount: 2, timing: 3 };
let perfect: RecordCard;
async function set(setting: object = {}, change: object = {}): Promise<string> {
  const body = assignmentBody({ rubric: RUBRIC, ...change }, setting, SMALL);
  return (await room.educator.post(`/api/classes/${room.classId}/assignments`, body).expect(201)).body.id;
}
const my = (id: string, rest = '') => `/api/my/assignments/${id}${rest}`;
beforeAll(async () => {
  perfect = (await room.educator.get(`/api/assignments/${await set()}`)).body.modelAnswer.card;
});

describe('accounts', () => {
  it('registers, signs out, signs in, and takes an address once', async () => {
    const page = browser(h.app);
    const account = { role: 'student', name: 'New', email: 'New@Example.test', password: 'long enough too' };
    await page.post('/api/accounts', account).expect(201);
    expect((await page.get('/api/session')).body).toMatchObject({
      me: { name: 'New', role: 'student' },
      demo: null,
    });
    await page.delete('/api/session').expect(200);
    expect((await page.get('/api/session')).body.me).toBeNull();
    await page.post('/api/session', { email: 'new@example.test', password: 'long enough too' }).expect(200);
    const again = await browser(h.app).post('/api/accounts', account);
    expect(again.body.error.fields[0]).toMatchObject({ path: 'email', code: 'taken' });
    const short = await browser(h.app).post('/api/accounts', {
      ...account,
      email: 'x@y.zz',
      password: 'short',
    });
    expect(short.body.error.fields[0].path).toBe('password');
  });

  it('refuses a wrong password and an unknown address alike, and stops guessing', async () => {
    const wrong = (email: string) => browser(h.app).post('/api/session', { email, password: 'not this one' });
    expect((await wrong('student@example.test')).body.error.code).toBe('session.wrong');
    expect((await wrong('unknown@example.test')).body.error.code).toBe('session.wrong');
    for (let i = 0; i < 9; i++) await wrong('unknown@example.test');
    const limited = await wrong('unknown@example.test');
    expect(limited.status).toBe(429);
    expect(limited.body.error.code).toBe('session.tooManyTries');
    // A classmate behind the same address is not locked out.
    await browser(h.app)
      .post('/api/session', { email: 'classmate@example.test', password: 'a long enough one' })
      .expect(200);
  });

  it('gives one-click sign-in in demo mode only', async () => {
    await browser(h.app).post('/api/demo-session', { accountId: room.student.account.id }).expect(404);
  });
});

describe('setting an exercise', () => {
  it('refuses bad figures by field, and points for nothing', async () => {
    const post = (change: object) =>
      room.educator.post(`/api/classes/${room.classId}/assignments`, assignmentBody(change, {}, SMALL));
    const { clientCase } = assignmentBody({}, {}, SMALL).exercise;
    const [zone] = clientCase.head.zones;
    const odd = { ...clientCase, head: { ...clientCase.head, zones: [{ ...zone, naturalLevel: 5.3 }] } };
    expect((await post({ clientCase: odd })).body.error.fields[0].path).toBe(
      'exercise.clientCase.head.zones.0.naturalLevel',
    );
    expect((await post({ rubric: {} })).status).toBe(422);
  });

  it('is deleted while nobody has handed in, and kept after', async () => {
    const id = await set();
    await room.student.put(my(id, '/draft'), { answer: EMPTY_CARD, version: 0, writer: 'a' }).expect(200);
    await room.educator.delete(`/api/assignments/${id}`).expect(200);
    await room.educator.get(`/api/assignments/${id}`).expect(404);
    const name = await set();
    await room.student.post(my(name, '/submission'), { id: freshId(), answer: perfect }).expect(200);
    expect((await room.educator.delete(`/api/assignments/${name}`)).body.error.code).toBe(
      'exercise.hasAnswers',
    );
  });
});

describe('drafts', () => {
  it('are kept as written, part by part, and come back', async () => {
    const id = await set();
    const part = { ...EMPTY_CARD, bowls: [{ ...perfect.bowls[0], developer: [{ vol: 40, grams: 0 }] }] };
    expect(
      (await room.student.put(my(id, '/draft'), { answer: part, version: 0, writer: 'phone' })).body.version,
    ).toBe(1);
    const seen = (await room.student.get(my(id))).body;
    expect(seen.draft).toMatchObject({ answer: part, version: 1 });
    expect(seen.submittedAt).toBeNull();
    expect((await room.classmate.get(my(id))).body.draft).toBeNull();
  });

  it('are not overwritten by a device that has not seen the newest, but may repeat themselves', async () => {
    const id = await set();
    const put = (writer: string, version: number) =>
      room.student.put(my(id, '/draft'), { answer: EMPTY_CARD, version, writer });
    await put('phone', 0).expect(200);
    // The answer got lost on the way; the phone sends the same again.
    expect((await put('phone', 0)).body.version).toBe(2);
    const conflict = await put('laptop', 0);
    expect(conflict.status).toBe(409);
    expect(conflict.body.error.code).toBe('attempt.newerElsewhere');
    await put('laptop', 2).expect(200);
    await put('phone', 2).expect(409);
  });
});

describe('handing in', () => {
  it('counts once however often it is sent, also at the same time, and closes the answer', async () => {
    const id = await set({ release: 'onSubmit' });
    const submission = { id: freshId(), answer: perfect };
    const [one, two] = await Promise.all([
      room.student.post(my(id, '/submission'), submission),
      room.student.post(my(id, '/submission'), submission),
    ]);
    expect([one.status, two.status]).toEqual([200, 200]);
    expect(one.body.submittedAt).toBe(two.body.submittedAt);
    expect(await h.db('attempts').where({ assignment_id: id })).toHaveLength(1);
    expect(
      (await room.student.post(my(id, '/submission'), { id: freshId(), answer: perfect })).body.error.code,
    ).toBe('attempt.handedIn');
    expect(
      (await room.student.put(my(id, '/draft'), { answer: perfect, version: 9, writer: 'a' })).status,
    ).toBe(409);
    expect((await room.student.get(my(id, '/result'))).body.grade).toMatchObject({ points: 12, max: 12 });
    const stolen = await room.classmate.post(my(id, '/submission'), submission);
    expect(stolen.body.error.fields[0].path).toBe('id');
  });

  it('is marked late after the due time, and opens by release rule', async () => {
    const id = await set({ release: 'onDue' });
    await room.student.post(my(id, '/submission'), { id: freshId(), answer: perfect }).expect(200);
    expect((await room.student.get(my(id, '/result'))).body.error.code).toBe('result.notReleased');
    h.clock.now = new Date('2026-03-09T18:00:01Z');
    expect((await room.student.get(my(id, '/result'))).body.late).toBe(false);
    // With the model answer out nothing is taken for marks any more; hidden, what comes in is late.
    const late = { id: freshId(), answer: perfect };
    expect((await room.classmate.post(my(id, '/submission'), late)).body.error.code).toBe('attempt.closed');
    const { terms } = (await room.educator.get(`/api/assignments/${id}`)).body as EducatorAssignment;
    await room.educator.put(`/api/assignments/${id}/terms`, { ...terms, release: 'manual' }).expect(200);
    await room.classmate.post(my(id, '/submission'), late).expect(200);
    const rows: { name: string; late: boolean }[] = (await room.educator.get(`/api/assignments/${id}`)).body
      .rows;
    expect(rows.map(({ name, late }) => [name, late])).toEqual([
      ['Classmate', true],
      ['Student', false],
    ]);
  });
});

describe('changing a mark', () => {
  it('keeps who, why and what it was, and counts in every total; the computed grade stays', async () => {
    const id = await set({ release: 'onSubmit' });
    const [bowl] = perfect.bowls;
    const fifth = (grams: number) => grams / 5;
    const little = {
      ...bowl,
      shades: bowl.shades.map((shade) => ({ ...shade, grams: fifth(shade.grams) })),
      developer: bowl.developer.map((part) => ({ ...part, grams: fifth(part.grams) })),
    };
    expect(bowlGrams(little)).toBeCloseTo(bowlGrams(bowl) / 5);
    const answer = { ...perfect, bowls: [little] };
    await room.student.post(my(id, '/submission'), { id: freshId(), answer }).expect(200);
    const before = (await room.student.get(my(id, '/result'))).body;
    const change = { criterion: 'amount', points: 1, reason: 'Her model has very fine hair.' };
    const send = (body: object) =>
      room.educator.post(`/api/attempts/${before.attemptId}/mark-changes`, body).expect(201);
    await send(change);
    const held = (await room.student.get(my(id, '/result'))).body;
    // The head that a fifth of the amount leaves still holds the mark down, until the ceiling is raised.
    expect(held.grade.points).toBe(before.grade.points);
    await send({ criterion: 'ceiling', points: before.grade.max, reason: change.reason });
    const after = (await room.student.get(my(id, '/result'))).body;
    expect(after.grade.points).toBe(before.grade.uncapped + 1);
    expect(after.changes).toEqual([
      expect.objectContaining({ from: 0, to: 1, by: 'Educator', reason: change.reason }),
      expect.objectContaining({ criterion: 'ceiling', to: before.grade.max }),
    ]);
    const detail = (await room.educator.get(`/api/classes/${room.classId}`)).body;
    const row = detail.students.find((s: { id: string }) => s.id === room.student.account.id);
    expect(row.standings[id].points).toBe(after.grade.points);
    const stored = await h.db('attempts').where({ id: before.attemptId }).first();
    expect(stored.grade.points).toBe(before.grade.points);
  });

  it('asks for a reason, for a criterion that is marked and no more than its points', async () => {
    const id = await set({}, { rubric: { ratio: 2 } });
    await room.student.post(my(id, '/submission'), { id: freshId(), answer: perfect }).expect(200);
    const attempt = (await room.educator.get(`/api/assignments/${id}`)).body.rows.find(
      (r: { attemptId: string | null }) => r.attemptId,
    ).attemptId;
    const change = (body: object) => room.educator.post(`/api/attempts/${attempt}/mark-changes`, body);
    const fields = async (body: object) => (await change(body)).body.error.fields[0].path;
    expect(await fields({ criterion: 'ratio', points: 1, reason: '' })).toBe('reason');
    expect(await fields({ criterion: 'ratio', points: 5, reason: 'because' })).toBe('points');
    expect(await fields({ criterion: 'timing', points: 1, reason: 'because' })).toBe('criterion');
  });
});

describe('joining a class', () => {
  it('takes the code as people type it, once is enough, and a wrong code says so', async () => {
    const typed = `${room.joinCode.slice(0, 4)}-${room.joinCode.slice(4)}`.toLowerCase();
    await room.stranger
      .post('/api/memberships', { joinCode: typed })
      .expect(201, { name: 'Evening', waiting: true });
    await room.stranger.post('/api/memberships', { joinCode: typed }).expect(201);
    const wrong = await room.stranger.post('/api/memberships', { joinCode: 'ABCDEFGH' });
    expect(wrong.body.error.fields[0]).toMatchObject({ path: 'joinCode', code: 'unknown' });
    // An exercise shows its answer to each who submits: a student who joins now waits.
    const members = async () => (await room.educator.get('/api/classes')).body[0].students;
    expect(await members()).toBe(2);
    await room.educator
      .patch(`/api/classes/${room.classId}/students/${room.stranger.account.id}`, { state: 'active' })
      .expect(200);
    expect(await members()).toBe(3);
  });
});
