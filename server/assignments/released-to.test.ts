import type { EducatorAssignment, StudentAssignmentSummary } from '@cimbel/contract';
import { ask, assignmentBody, freshId, inClassroom, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
const MINUTE_MS = 60_000;
const later = (minutes = 1) => {
  h.clock.now = new Date(h.clock.now.getTime() + minutes * MINUTE_MS);
};

async function setToClass(terms: object = {}): Promise<{ id: string; page: EducatorAssignment }> {
  const { id } = (
    await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, terms))
      .expect(201)
  ).body as { id: string };
  return { id, page: (await room.educator.get(`/api/assignments/${id}`)).body };
}
async function handIn(student: Browser, { id, page }: { id: string; page: EducatorAssignment }) {
  const { card: answer } = page.modelAnswer;
  await ask(student, id, answer);
  await student.post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer }).expect(200);
}
const idOf = (student: typeof room.student) => student.account.id;
const release = (id: string, ...students: (typeof room.student)[]) =>
  room.educator.put(`/api/assignments/${id}/released-to`, { studentIds: students.map(idOf) });
const result = (student: Browser, id: string) => student.get(`/api/my/assignments/${id}/result`);
const listed = async (student: Browser, id: string) =>
  ((await student.get('/api/my/assignments')).body as StudentAssignmentSummary[]).find(
    (one) => one.id === id,
  )!;

describe('results that are out for some', () => {
  it('are seen by them, and by nobody else, wherever marks are seen', async () => {
    const set = await setToClass();
    const { id } = set;
    await handIn(room.student, set);
    await handIn(room.classmate, set);
    await release(id, room.student).expect(200);
    expect((await result(room.student, id).expect(200)).body.modelAnswer).toBeDefined();
    await result(room.classmate, id).expect(403);
    expect(await listed(room.student, id)).toMatchObject({ resultReady: true, points: expect.any(Number) });
    expect(await listed(room.classmate, id)).toMatchObject({ resultReady: false, points: null });

    const page: EducatorAssignment = (await room.educator.get(`/api/assignments/${id}`)).body;
    expect(page.released).toBe(false);
    expect(page.rows.map(({ studentId, released }) => [studentId, released])).toEqual(
      expect.arrayContaining([
        [idOf(room.student), true],
        [idOf(room.classmate), false],
      ]),
    );
    const { body: book } = await room.educator.get(`/api/classes/${room.classId}/gradebook`).expect(200);
    const stateOf = (student: typeof room.student) =>
      book.students.find((one: { id: string }) => one.id === idOf(student)).cells[id].state;
    expect(stateOf(room.student)).toBe('marked');
    expect(stateOf(room.classmate)).toBe('unreleased');
    const own = (await room.classmate.get('/api/account/data.json')).body;
    expect(own.held_back.attempts).toHaveLength(1);

    // Whom they are hidden from again sees them no longer, also where all are hidden at once.
    await release(id, room.classmate).expect(200);
    await result(room.student, id).expect(403);
    await result(room.classmate, id).expect(200);
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    await result(room.student, id).expect(200);
    await room.educator.patch(`/api/assignments/${id}`, { released: false }).expect(200);
    for (const student of [room.student, room.classmate]) await result(student, id).expect(403);
  });

  it('end what those have under way, and nothing of the rest', async () => {
    const set = await setToClass({ attempts: 2 });
    const { id } = set;
    await handIn(room.student, set);
    await release(id, room.student).expect(200);
    await room.student.post(`/api/my/assignments/${id}/attempts`, { from: 'empty' }).expect(409);
    await handIn(room.classmate, set);
    await room.classmate.post(`/api/my/assignments/${id}/attempts`, { from: 'empty' }).expect(201);
  });

  it('wait for who works against the clock, and are not for those who have handed in nothing', async () => {
    const set = await setToClass({ minutes: 30, attempts: 2 });
    const { id } = set;
    const begin = (student: Browser) =>
      student.post(`/api/my/assignments/${id}/attempts`, { from: 'empty' }).expect(201);
    await begin(room.student);
    await handIn(room.student, set);
    await begin(room.classmate);
    // The other one works on, and has time to.
    await release(id, room.student).expect(200);
    const refused = await release(id, room.student, room.classmate).expect(409);
    expect(refused.body.error.code).toBe('assignment.underWay');
    const { body } = await release((await setToClass()).id, room.classmate).expect(422);
    expect(body.error.fields).toEqual([
      { path: 'studentIds.0', code: 'nothingIn', message: expect.any(String) },
    ]);
    await room.educator.put(`/api/assignments/${id}/pause`, { paused: true }).expect(200);
    await release(id).expect(200);
    expect((await release(id, room.student).expect(409)).body.error.code).toBe('assignment.paused');
  });
});

describe('the mark on the list', () => {
  it('is there until the result was looked at, and again once something is said or changed', async () => {
    const set = await setToClass();
    const { id } = set;
    await handIn(room.student, set);
    const fresh = async () => (await listed(room.student, id)).fresh;
    expect(await fresh()).toBe(false);
    await release(id, room.student).expect(200);
    expect(await fresh()).toBe(true);
    later();
    await result(room.student, id).expect(200);
    expect(await fresh()).toBe(false);
    later();
    const attempt = await h.db('attempts').where({ assignment_id: id }).first();
    await room.educator
      .post(`/api/attempts/${attempt.id}/mark-changes`, {
        criterion: 'developer',
        points: 1,
        reason: 'Told why.',
      })
      .expect(201);
    expect(await fresh()).toBe(true);
    later();
    await result(room.student, id).expect(200);
    expect(await fresh()).toBe(false);
  });
});
