import { EMPTY_PLAN } from '@cimbel/core/plan';
import { perfectAnswer, keyOf } from '@cimbel/core/testing/cases';
import { allRoutes } from './routes';
import { CASE, browser, classroom, harness, newId, type Harness } from './testing/harness';

let h: Harness;
let room: Awaited<ReturnType<typeof classroom>>;
let attemptId: string;
let planId: string;

beforeAll(async () => {
  h = await harness();
  room = await classroom(h);
  const answer = perfectAnswer(CASE, keyOf(CASE));
  await room.student
    .post(`/api/my/exercises/${room.exerciseId}/submission`, { id: newId(), answer })
    .expect(200);
  attemptId = (await room.educator.get(`/api/exercises/${room.exerciseId}`)).body.rows.find(
    (row: { studentId: string }) => row.studentId === room.student.account.id,
  ).attemptId;
  await room.student
    .post(`/api/my/services/${room.serviceId}/submission`, { id: newId(), answer: EMPTY_PLAN })
    .expect(200);
  planId = (await room.educator.get(`/api/services/${room.serviceId}`)).body.rows.find(
    (row: { studentId: string }) => row.studentId === room.student.account.id,
  ).attemptId;
}, 60_000);
afterAll(() => h.close());

const routes = allRoutes().map((definition) => ({
  ...definition,
  name: `${definition.method} ${definition.path}`,
}));
const address = (path: string) =>
  path
    .replace(':classId', room.classId)
    .replace(':exerciseId', path.includes('/services/') ? room.serviceId : room.exerciseId)
    .replace(':attemptId', path.includes('/plans/') ? planId : attemptId)
    .replace(':practiceId', room.practiceId)
    .replace(':bookId', room.bookId)
    .replace(':testId', room.testId)
    .replace(':sittingId', room.sittingId)
    .replace(':studentId', room.student.account.id);

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

  it.each(guarded.filter(({ who }) => who === 'educator'))(
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

  it.each(guarded.filter(({ who, path }) => who === 'educator' && path.includes(':')))(
    '$name shows another educator nothing',
    async ({ method, path }) => {
      expect((await room.otherEducator.send(method, address(path), {})).status).toBe(404);
    },
  );

  it.each(guarded.filter(({ who, path }) => who === 'student' && path.includes(':')))(
    '$name shows a student of another class nothing',
    async ({ method, path }) => {
      expect((await room.stranger.send(method, address(path), {})).status).toBe(404);
    },
  );

  it.each(guarded.filter(({ path }) => path.includes(':')))(
    '$name takes no id that is not one',
    async ({ method, path, who }) => {
      const caller = who === 'educator' ? room.educator : room.student;
      const answer = await caller.send(method, path.replace(/:\w+/, "1' or '1'='1"), {});
      expect(answer.status).toBe(404);
    },
  );
});

describe('what a student is sent before release', () => {
  it('holds neither the natural level, nor the key, nor marks', async () => {
    for (const page of [room.student, room.classmate]) {
      const list = await page.get('/api/my/exercises').expect(200);
      const one = await page.get(`/api/my/exercises/${room.exerciseId}`).expect(200);
      // What the student wrote comes back to the student; everything else is ours to keep.
      const text = JSON.stringify([list.body, { ...one.body, draft: null }]);
      expect(text).not.toContain('naturalLevel');
      expect(text).not.toContain('"key":{"version"');
      expect(text).not.toContain('developerVol"');
      expect(text).not.toContain('"grade"');
      for (const { points } of list.body) expect(points).toBeNull();
      await page.get(`/api/my/exercises/${room.exerciseId}/result`).expect(page === room.student ? 403 : 404);
    }
  });

  it('opens to the one who handed in when released, and to no one else', async () => {
    await room.educator.patch(`/api/exercises/${room.exerciseId}`, { released: true }).expect(200);
    const result = await room.student.get(`/api/my/exercises/${room.exerciseId}/result`).expect(200);
    expect(result.body.grade.points).toBe(result.body.grade.max);
    expect(result.body.key.developerVol).toBe(20);
    await room.classmate.get(`/api/my/exercises/${room.exerciseId}/result`).expect(404);
    await room.stranger.get(`/api/my/exercises/${room.exerciseId}/result`).expect(404);
  });
});

describe('the edge', () => {
  it('refuses writes that come from elsewhere or from nowhere', async () => {
    const { default: supertest } = await import('supertest');
    for (const origin of ['https://elsewhere.test', '']) {
      const request = supertest(h.app).post('/api/session').set('Host', 'cimbel.test');
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
