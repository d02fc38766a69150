import type { EducatorAssignment } from '@cimbel/contract';
import { allRoutes } from './routes';
import {
  ask,
  assignmentBody,
  browser,
  classroom,
  harness,
  freshId,
  signedIn,
  type Browser,
  type Harness,
} from './testing/harness';

let h: Harness;
let room: Awaited<ReturnType<typeof classroom>>;
let attemptId: string;
let exerciseId: string;
let sessionId: string;
let invitationId: string;
let marker: Browser;

beforeAll(async () => {
  h = await harness();
  room = await classroom(h);
  const page = (await room.educator.get(`/api/assignments/${room.assignmentId}`)).body as EducatorAssignment;
  exerciseId = page.exerciseId;
  await ask(room.student, room.assignmentId, page.modelAnswer.card);
  await room.student
    .post(`/api/my/assignments/${room.assignmentId}/submission`, {
      id: freshId(),
      answer: page.modelAnswer.card,
    })
    .expect(200);
  sessionId = (await room.student.get('/api/account/sessions')).body[0].id;
  const { account } = room.educator;
  await h.db('users').where({ id: account.id }).update({ administrator: true });
  await room.educator.post('/api/invitations', { label: 'A new colleague' }).expect(201);
  invitationId = (await h.db('codes').where({ kind: 'invitation' }).first('id')).id;
  const marks = await signedIn(h, 'educator', 'Marker');
  marker = marks;
  await h.db('class_educators').insert({
    class_id: room.classId,
    educator_id: marks.account.id,
    rights: 'marking',
    added_at: h.clock.now,
  });
  attemptId = (await h.db('attempts').where({ student_id: room.student.account.id }).first('id')).id;
}, 60_000);
afterAll(() => h.close());

const routes = allRoutes().map((definition) => ({
  ...definition,
  name: `${definition.method} ${definition.path}`,
}));
const address = (path: string) =>
  path
    .replace(':classId', room.classId)
    .replace(':assignmentId', room.assignmentId)
    .replace(':exerciseId', exerciseId)
    .replace(':attemptId', attemptId)
    .replace(':practiceId', room.practiceId)
    .replace(':bookId', room.bookId)
    .replace(':testId', room.testId)
    .replace(':sittingId', room.sittingId)
    .replace(':studentId', room.student.account.id)
    .replace(':sessionId', sessionId)
    .replace(':invitationId', invitationId)
    .replace(':columnId', room.assignmentId)
    .replace(':commentId', attemptId)
    .replace(':accountId', room.otherEducator.account.id);

describe('every route, by everyone', () => {
  it('has an address of its own and says how it finds what its address names', () => {
    expect(new Set(routes.map(({ name }) => name)).size).toBe(routes.length);
    for (const { path, reach, name } of routes)
      expect({ name, reach: Boolean(reach) }).toEqual({ name, reach: path.includes(':') });
  });

  const guarded = routes.filter(({ who }) => who !== 'anyone');
  it.each(guarded)('$name sends nobody away', async ({ method, path }) => {
    const answer = await browser(h.app).send(method, address(path), {});
    expect(answer.status).toBe(401);
    expect(answer.body.error.code).toBe('session.needed');
  });

  it.each(guarded.filter(({ who }) => who === 'educator' || who === 'administrator'))(
    '$name is closed to students',
    async ({ method, path }) => {
      expect((await room.student.send(method, address(path), {})).status).toBe(403);
      expect((await room.stranger.send(method, address(path), {})).status).toBe(403);
    },
  );

  it.each(guarded.filter(({ who }) => who === 'student'))(
    '$name is closed to educators',
    async ({ method, path }) => {
      expect((await room.educator.send(method, address(path), {})).status).toBe(403);
    },
  );

  it.each(guarded.filter(({ who }) => who === 'administrator'))(
    '$name is closed to an educator who does not administer',
    async ({ method, path }) => {
      expect((await room.otherEducator.send(method, address(path), {})).status).toBe(403);
    },
  );

  it.each(guarded.filter(({ who, path }) => who === 'signedIn' && path.includes(':')))(
    '$name shows another account nothing',
    async ({ method, path }) => {
      expect((await room.classmate.send(method, address(path), {})).status).toBe(404);
    },
  );

  it.each(guarded.filter(({ who, path }) => who === 'educator' && path.includes(':')))(
    '$name shows another educator nothing',
    async ({ method, path }) => {
      expect((await room.otherEducator.send(method, address(path), {})).status).toBe(404);
    },
  );

  const ofClass = /:(classId|assignmentId|testId|practiceId)/;
  const ofMarking =
    /:assignmentId\/(pile|comments|hints$)|:columnId\/students|\/hand$|:classId\/calendar-link$/;
  it.each(
    guarded.filter(
      ({ who, method, path }) =>
        who === 'educator' && method !== 'get' && ofClass.test(path) && !ofMarking.test(path),
    ),
  )('$name is closed to an educator of the class who only marks', async ({ method, path }) => {
    expect((await marker.send(method, address(path), {})).status).toBe(403);
  });
  it('lets whoever only marks look, and change a mark', async () => {
    for (const path of [
      `/api/classes/${room.classId}`,
      `/api/assignments/${room.assignmentId}`,
      `/api/reading-tests/${room.testId}`,
      `/api/attempts/${attemptId}`,
      `/api/assignments/${room.assignmentId}/pile`,
    ])
      await marker.get(path).expect(200);
    // What is wrong with it is said, so it was reached.
    await marker.post(`/api/attempts/${attemptId}/mark-changes`).expect(422);
    for (const { method, path } of guarded.filter((one) => one.method !== 'get' && ofMarking.test(one.path)))
      expect([200, 422]).toContain((await marker.send(method, address(path), {})).status);
  });

  it.each(guarded.filter(({ who, path }) => who === 'student' && path.includes(':')))(
    '$name shows a student of another class nothing',
    async ({ method, path }) => {
      expect((await room.stranger.send(method, address(path), {})).status).toBe(404);
    },
  );

  it.each(guarded.filter(({ path }) => path.includes(':')))(
    '$name takes no id that is not one',
    async ({ method, path, who }) => {
      const caller = who === 'educator' || who === 'administrator' ? room.educator : room.student;
      const answer = await caller.send(method, path.replace(/:\w+/, "1' or '1'='1"), {});
      expect(answer.status).toBe(404);
    },
  );
});

describe('what a student is sent before release', () => {
  it('holds neither the natural level, nor the model answer, nor marks', async () => {
    for (const page of [room.student, room.classmate]) {
      const list = await page.get('/api/my/assignments').expect(200);
      const one = await page.get(`/api/my/assignments/${room.assignmentId}`).expect(200);
      // What the student wrote comes back to the student; everything else is ours to keep.
      const text = JSON.stringify([list.body, { ...one.body, draft: null }]);
      for (const secret of [
        'naturalLevel',
        '"history":',
        'modelAnswer',
        '"choices"',
        'modelAnswer',
        'equivalents',
        '"grade"',
      ])
        expect(text).not.toContain(secret);
      expect(one.body.given).toMatchObject({ bowls: [], steps: [], readings: {} });
      for (const { points } of list.body) expect(points).toBeNull();
      await page
        .get(`/api/my/assignments/${room.assignmentId}/result`)
        .expect(page === room.student ? 403 : 404);
    }
  });

  it('tells no time of what the student has to time', async () => {
    const id: string = (
      await room.educator
        .post(
          `/api/classes/${room.classId}/assignments`,
          assignmentBody({ open: ['process'], rubric: { timing: 3 } }, {}, 'first-blonde'),
        )
        .expect(201)
    ).body.id;
    const { body } = await room.student.get(`/api/my/assignments/${id}`).expect(200);
    const { steps } = (await room.educator.get(`/api/assignments/${id}`)).body.modelAnswer.card;
    expect(body.given.steps).toEqual([]);
    expect(body.applications).toHaveLength(steps.length);
    for (const application of body.applications) {
      expect(Object.keys(application)).not.toEqual(expect.arrayContaining(['minutes']));
      expect(Object.keys(application)).not.toEqual(expect.arrayContaining(['start']));
      expect(Object.keys(application)).not.toEqual(expect.arrayContaining(['checkEvery']));
    }
    await room.educator.delete(`/api/assignments/${id}`).expect(200);
  });

  it('opens to the one who handed in when released, and to no one else', async () => {
    const result = (page: { get: typeof room.student.get }) =>
      page.get(`/api/my/assignments/${room.assignmentId}/result`);
    await room.educator.patch(`/api/assignments/${room.assignmentId}`, { released: true }).expect(200);
    const { body } = await result(room.student).expect(200);
    expect(body.grade.points).toBe(body.grade.max);
    expect(body.modelAnswer.card.bowls.length).toBeGreaterThan(0);
    await result(room.classmate).expect(404);
    await result(room.stranger).expect(404);
  });
});

describe('the edge', () => {
  it('refuses writes that come from elsewhere or from nowhere', async () => {
    const { default: supertest } = await import('supertest');
    for (const origin of ['https://elsewhere.test', '']) {
      const request = supertest(h.app).post('/api/session').set('Host', 'localhost');
      const answer = await (origin ? request.set('Origin', origin) : request).send({
        email: 'a@b.cd',
        password: 'x',
      });
      expect(answer.status).toBe(403);
      expect(answer.body.error.code).toBe('request.origin');
    }
  });

  it('answers every error in one shape, without a stack', async () => {
    const page = browser(h.app);
    const notJson = await page
      .send('post', '/api/session')
      .set('Content-Type', 'application/json')
      .send('{"email":');
    expect(notJson.status).toBe(400);
    const answers = [
      notJson,
      await page.get('/api/nothing'),
      await page.post('/api/session', { email: 'x' }),
    ];
    for (const { body } of answers) {
      expect(Object.keys(body)).toEqual(['error']);
      expect(typeof body.error.code).toBe('string');
      expect(JSON.stringify(body)).not.toMatch(/node_modules|\.ts:/);
    }
    expect(answers[2].body.error.fields.map((f: { path: string }) => f.path)).toEqual(['email', 'password']);
  });

  it('sets a strict policy, a request id and a cookie that scripts cannot read', async () => {
    const page = browser(h.app);
    const answer = await page
      .post('/api/session', { email: 'student@example.test', password: 'a long enough one' })
      .expect(200);
    expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
    expect(answer.headers['content-security-policy']).not.toContain('unsafe');
    expect(answer.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    const cookie = String(answer.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    await page.get('/healthz').expect(200, { ok: true });
  });
});
