import ICAL from 'ical.js';
import supertest from 'supertest';
import { assignmentBody, HOST, inClassroom, signedIn, TEST_BODY } from '../testing/harness';

const { h, room } = inClassroom();

/** What a calendar reads at an address, by a parser that is not ours. */
async function fetched(path: string) {
  const answer = await supertest(h.app).get(path).set('Host', HOST).expect(200);
  const calendar = new ICAL.Component(ICAL.parse(answer.text));
  const events = calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      summary: event.summary,
      sequence: event.sequence,
      due: event.startDate.toJSDate().toISOString(),
      status: component.getFirstPropertyValue('status'),
      url: component.getFirstPropertyValue('url'),
    };
  });
  return { answer, calendar, events, of: (id: string) => events.find(({ uid }) => uid === `${id}@cimbel`) };
}
const classPath = () => `/api/classes/${room.classId}/calendar-link`;
const made = async (page: typeof room.student, path: string): Promise<string> =>
  (await page.put(path, {}).expect(200)).body.path;
const set = async (terms: object = {}, change: object = {}): Promise<string> =>
  (
    await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody(change, terms))
      .expect(201)
  ).body.id;

describe('due dates in a calendar', () => {
  it('are those of the class, to a parser that is not ours', async () => {
    const path = await made(room.educator, classPath());
    const { calendar, of, answer } = await fetched(path);
    expect(answer.headers['content-type']).toBe('text/calendar; charset=utf-8');
    expect(calendar.getFirstPropertyValue('x-wr-calname')).toBe('Evening');
    expect(of(room.assignmentId)).toEqual({
      uid: `${room.assignmentId}@cimbel`,
      summary: expect.stringMatching(/ · Evening$/),
      sequence: 0,
      due: '2026-03-09T18:00:00.000Z',
      status: 'CONFIRMED',
      url: `http://localhost/assignments/${room.assignmentId}`,
    });
    expect(of(room.testId)).toMatchObject({ summary: `${TEST_BODY.title} · Evening` });
  });

  it('hold for a student by the dates that are their own, and only what is set to them', async () => {
    const one = { opensAt: null, attempts: null, extraTimeShare: null };
    const mine = { studentId: room.student.account.id, dueAt: '2026-03-12T18:00:00Z', ...one };
    const id = await set({ students: [mine] });
    const notMine = await set({
      everyone: false,
      students: [{ studentId: room.classmate.account.id, dueAt: null, ...one }],
    });
    const { of } = await fetched(await made(room.student, '/api/calendar-link'));
    expect(of(id)).toMatchObject({ due: '2026-03-12T18:00:00.000Z', url: `http://localhost/due/${id}` });
    expect(of(notMine)).toBeUndefined();
  });

  it('are known again as the same when they move, and are cancelled when they go', async () => {
    const path = await made(room.educator, classPath());
    const id = await set();
    const { body } = await room.educator.get(`/api/assignments/${id}`).expect(200);
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 0 });
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 0 });
    await room.educator
      .put(`/api/assignments/${id}/terms`, { ...body.terms, dueAt: '2026-03-20T18:00:00Z' })
      .expect(200);
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 1, due: '2026-03-20T18:00:00.000Z' });
    // Closed before it was due, it is due no more; opened again it is back.
    await room.educator.patch(`/api/assignments/${id}`, { closed: true }).expect(200);
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 2, status: 'CANCELLED', url: null });
    await room.educator.patch(`/api/assignments/${id}`, { closed: false }).expect(200);
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 3, status: 'CONFIRMED' });
    await room.educator.delete(`/api/assignments/${id}`).expect(200);
    expect((await fetched(path)).of(id)).toMatchObject({ sequence: 4, status: 'CANCELLED' });
    // A new link of the same owner goes on counting.
    expect((await fetched(await made(room.educator, classPath()))).of(id)).toMatchObject({ sequence: 4 });
  });

  it('are sent once: asked again with its ETag, only when something has changed', async () => {
    const path = await made(room.educator, classPath());
    const { answer } = await fetched(path);
    const again = (etag: string) => supertest(h.app).get(path).set('Host', HOST).set('If-None-Match', etag);
    await again(answer.headers.etag).expect(304);
    h.clock.now = new Date(h.clock.now.getTime() + 1000);
    await again(answer.headers.etag).expect(304);
    await set();
    await again(answer.headers.etag).expect(200);
  });

  it('name no student and no client', async () => {
    const name = (await room.educator.get(`/api/assignments/${room.assignmentId}`)).body.clientCase.client
      .name as string;
    const ofClient = await set({}, { title: `Grey on ${name}` });
    const ofStudent = await set({}, { title: 'Once more for classmate' });
    const { answer, of } = await fetched(await made(room.educator, classPath()));
    expect(of(ofClient)).toMatchObject({ summary: 'Evening' });
    expect(of(ofStudent)).toMatchObject({ summary: 'Evening' });
    for (const told of [name, 'lassmate', 'Educator']) expect(answer.text).not.toContain(told);
  });

  it('leave out what was due long ago', async () => {
    const path = await made(room.educator, classPath());
    expect((await fetched(path)).of(room.assignmentId)).toBeDefined();
    const { now } = h.clock;
    h.clock.now = new Date('2026-05-09T18:00:00Z');
    expect((await fetched(path)).of(room.assignmentId)).toBeUndefined();
    h.clock.now = now;
  });
});

describe('a calendar link', () => {
  it('is told once, kept as a hash, and opens nothing once another is made or it is ended', async () => {
    const first = await made(room.student, '/api/calendar-link');
    expect(first).toMatch(/^\/api\/calendar\/[0-9a-f-]{36}$/);
    await fetched(first);
    const { link } = (await room.student.get('/api/calendar-link').expect(200)).body;
    expect(link).toEqual({ madeAt: expect.any(String), fetchedAt: h.clock.now.toISOString() });
    const [row] = await h.db('calendar_links').where({ account_id: room.student.account.id });
    expect(JSON.stringify(row)).not.toContain(first.split('/').at(-1));
    const second = await made(room.student, '/api/calendar-link');
    await supertest(h.app).get(first).expect(404);
    await fetched(second);
    await room.student.delete('/api/calendar-link').expect(200);
    await supertest(h.app).get(second).expect(404);
    expect((await room.student.get('/api/calendar-link')).body).toEqual({ link: null });
  });

  it('dies at once with the place on the roster, and with the rights in the class', async () => {
    const student = await signedIn(h, 'student', 'Leaver');
    await student.post('/api/memberships', { joinCode: room.joinCode }).expect(201);
    const path = await made(student, '/api/calendar-link');
    await fetched(path);
    await room.educator
      .patch(`/api/classes/${room.classId}/students/${student.account.id}`, { state: 'removed' })
      .expect(200);
    await supertest(h.app).get(path).expect(404);

    const helper = await signedIn(h, 'educator', 'Helper');
    const rights = { class_id: room.classId, educator_id: helper.account.id };
    await h.db('class_educators').insert({ ...rights, rights: 'marking', added_at: h.clock.now });
    const theirs = await made(helper, classPath());
    expect((await fetched(theirs)).of(room.assignmentId)).toBeDefined();
    await h.db('class_educators').where(rights).delete();
    await supertest(h.app).get(theirs).expect(404);
  });

  it('goes along with what is kept of a student, without its hash, and goes with the account', async () => {
    const student = await signedIn(h, 'student', 'Goer');
    await student.post('/api/memberships', { joinCode: room.joinCode }).expect(201);
    await made(student, '/api/calendar-link');
    const { calendar_links: links } = (await student.get('/api/account/data.json').expect(200)).body;
    expect(links).toEqual([{ class_id: null, made_at: h.clock.now.toISOString(), fetched_at: null }]);
    await h.db('users').where({ id: student.account.id }).select('id');
    const rest = () => h.db('calendar_links').where({ account_id: student.account.id });
    expect(await rest()).toHaveLength(1);
    await student.send('delete', '/api/account', { password: 'a long enough one' });
    expect(await rest()).toHaveLength(0);
  });
});
