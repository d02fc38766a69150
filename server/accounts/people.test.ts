import { inClassroom, browser, harness, type Browser, type Harness } from '../testing/harness';

const PASSWORD = 'a long enough one';
const educator = (name: string, more: object = {}) => ({
  role: 'educator',
  name,
  email: `${name.toLowerCase().replace(/ /g, '.')}@example.test`,
  password: PASSWORD,
  ...more,
});

describe('educators of an installation', () => {
  let h: Harness;
  let first: Browser;
  beforeAll(async () => {
    h = await harness();
    first = browser(h.app);
  }, 60_000);
  afterAll(() => h.close());

  it('begin with one on this computer, who administers; nobody else comes in unasked', async () => {
    const fromElsewhere = await first
      .post('/api/accounts', educator('Far Away'))
      .set('X-Forwarded-For', '10.0.0.9');
    expect(fromElsewhere.body.error.fields[0]).toMatchObject({ path: 'code', code: 'needed' });
    expect((await first.get('/api/session')).body.isNew).toBe(true);
    const both = await Promise.all(
      [first, browser(h.app)].map((page, i) => page.post('/api/accounts', educator(`Founder ${i}`))),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([201, 422]);
    const made = both.find(({ status }) => status === 201)!;
    expect(made.body).toMatchObject({ role: 'educator', administrator: true });
    expect((await browser(h.app).get('/api/session')).body.isNew).toBe(false);
  });

  it('are invited by a code that is good once, for two weeks, and for no administrator unless it says so', async () => {
    await h.db('users').where({ administrator: true }).update({ email: 'founder@example.test' });
    await first.post('/api/session', { email: 'founder@example.test', password: PASSWORD }).expect(200);
    const invite = async (label: string) =>
      (await first.post('/api/invitations', { label }).expect(201)).body.code as string;
    const code = await invite('Dara Quill');
    expect((await first.get('/api/people')).body.invitations).toHaveLength(1);
    const page = browser(h.app);
    expect((await page.post('/api/codes/look', { code })).body).toMatchObject({
      kind: 'invitation',
      name: 'Dara Quill',
    });
    const { body } = await page.post('/api/accounts', educator('Dara Quill', { code })).expect(201);
    expect(body.administrator).toBe(false);
    await page.get('/api/people').expect(403);
    await browser(h.app).post('/api/accounts', educator('Second Use', { code })).expect(422);
    const old = await invite('Late');
    h.clock.now = new Date(h.clock.now.getTime() + 15 * 24 * 3600_000);
    await browser(h.app)
      .post('/api/accounts', educator('Too Late', { code: old }))
      .expect(422);
    const taken = await invite('Same address');
    await browser(h.app)
      .post('/api/accounts', educator('Dara Quill', { code: taken }))
      .expect(422);
    // A mistaken address costs no invitation.
    await browser(h.app)
      .post('/api/accounts', educator('Dara Again', { code: taken }))
      .expect(201);
    const { invitations, educators } = (await first.get('/api/people')).body;
    expect(invitations).toHaveLength(0);
    expect(educators.map(({ name }: { name: string }) => name)).toEqual(
      expect.arrayContaining(['Dara Quill', 'Dara Again']),
    );
  });
});

describe('passwords and sessions', () => {
  const { h, room } = inClassroom();
  const signIn = (page: Browser, password: string, email = 'student@example.test') =>
    page.post('/api/session', { email, password });

  it('change with the present one, and end every other session', async () => {
    const phone = browser(h.app);
    await signIn(phone, PASSWORD).expect(200);
    const sessions = async () => (await room.student.get('/api/account/sessions')).body;
    expect(await sessions()).toHaveLength(2);
    const wrong = await room.student
      .put('/api/account/password', { current: 'not this one', password: 'another long one' })
      .expect(422);
    expect(wrong.body.error.fields[0]).toMatchObject({ path: 'current', code: 'wrongPassword' });
    await room.student
      .put('/api/account/password', { current: PASSWORD, password: 'another long one' })
      .expect(200);
    await phone.get('/api/my/assignments').expect(401);
    await room.student.get('/api/my/assignments').expect(200);
    expect(await sessions()).toMatchObject([{ here: true }]);
    await signIn(browser(h.app), PASSWORD).expect(401);
  });

  it('are listed, and ended one by one or all but this', async () => {
    const [phone, tablet] = [browser(h.app), browser(h.app)];
    for (const page of [phone, tablet]) await signIn(page, PASSWORD, 'classmate@example.test').expect(200);
    const list = (await phone.get('/api/account/sessions')).body;
    expect(list).toHaveLength(3);
    expect(JSON.stringify(list)).not.toMatch(/sess|cookie/);
    const other = list.find(({ here }: { here: boolean }) => !here);
    await phone.delete(`/api/account/sessions/${other.id}`).expect(200);
    expect((await phone.get('/api/account/sessions')).body).toHaveLength(2);
    expect((await phone.delete('/api/account/sessions')).body).toEqual({ ended: 1 });
    await tablet.get('/api/my/assignments').expect(401);
  });

  it('are given anew by the educator, by a code, and the old one opens nothing', async () => {
    const { id } = room.student.account;
    const [{ code, kind }] = (
      await room.educator.post(`/api/classes/${room.classId}/slips`, { studentIds: [id] }).expect(201)
    ).body;
    expect(kind).toBe('reset');
    const page = browser(h.app);
    await page.post('/api/codes/use', { code, password: 'a third long one' }).expect(200);
    await room.student.get('/api/my/assignments').expect(401);
    await signIn(browser(h.app), 'another long one').expect(401);
    await signIn(room.student, 'a third long one').expect(200);
    await room.otherEducator.post(`/api/classes/${room.classId}/slips`, { studentIds: [id] }).expect(404);
    await room.educator
      .post(`/api/classes/${room.classId}/slips`, { studentIds: [room.stranger.account.id] })
      .expect(422);
  });

  it('count wrong tries so that a neighbour locks nobody out, and the educator unlocks', async () => {
    const neighbour = browser(h.app);
    for (let i = 0; i < 10; i++) await signIn(neighbour, 'a guess that is wrong').expect(401);
    const refused = await signIn(neighbour, 'a third long one').expect(429);
    expect(refused.body.error.code).toBe('session.tooManyTries');
    // Whoever has signed in on this device before is counted apart.
    await signIn(room.student, 'a third long one').expect(200);
    // Another account from the same place is not locked with it.
    await signIn(browser(h.app), PASSWORD, 'classmate@example.test').expect(200);
    await room.educator
      .post(`/api/classes/${room.classId}/slips`, { studentIds: [room.student.account.id] })
      .expect(201);
    await signIn(neighbour, 'a third long one').expect(200);
  });

  it('stop one source that tries many accounts, and no one who has signed in here before', async () => {
    await signIn(browser(h.app), PASSWORD, 'nobody@example.test').expect(401);
    await h.db('tries').where('key', 'like', 'source:%').update({ points: 200 });
    await signIn(browser(h.app), PASSWORD, 'nobody@example.test').expect(429);
    await signIn(room.student, 'a third long one').expect(200);
    await h.db('tries').delete();
  });

  it('count what was wrong alone: a college behind one address does not lock itself out', async () => {
    const pointsOf = async (kind: string) =>
      (await h.db('tries').where('key', 'like', `${kind}:%`)).reduce((sum, { points }) => sum + points, 0);
    await Promise.all(
      Array.from({ length: 12 }, () =>
        signIn(browser(h.app), PASSWORD, 'classmate@example.test').then(({ status }) => status),
      ),
    );
    await h.db('tries').where('key', 'like', 'account:%').delete();
    await signIn(browser(h.app), PASSWORD, 'classmate@example.test').expect(200);
    expect(await pointsOf('source')).toBe(0);
    await signIn(browser(h.app), 'wrong and long enough', 'classmate@example.test').expect(401);
    expect(await pointsOf('source')).toBe(1);
    const look = (code: string) => browser(h.app).post('/api/codes/look', { code });
    const { body } = await room.educator
      .post(`/api/classes/${room.classId}/slips`, { studentIds: [room.student.account.id] })
      .expect(201);
    for (let i = 0; i < 5; i++) await look(body[0].code).expect(200);
    expect(await pointsOf('code')).toBe(0);
    await look('AAAAABBBBB').expect(422);
    expect(await pointsOf('code')).toBe(1);
    await h.db('tries').where('key', 'like', 'code:%').update({ points: 100 });
    await look(body[0].code).expect(429);
    await h.db('tries').delete();
  });
});
