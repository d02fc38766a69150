import { browser, harness, signedIn, type Harness } from '../testing/harness';
import { createAccount } from './store';

const PASSWORD = 'a long enough one';

describe('accounts and their sessions', () => {
  let h: Harness;
  beforeAll(async () => {
    h = await harness();
  }, 60_000);
  afterAll(() => h.close());
  const me = async (page: ReturnType<typeof browser>) => (await page.get('/api/session').expect(200)).body.me;

  it('have the role they have now, not the one they signed in with', async () => {
    const page = await signedIn(h, 'educator', 'Moved');
    await page.get('/api/classes').expect(200);
    await h.db('users').where({ id: page.account.id }).update({ role: 'student', name: 'Renamed' });
    await page.get('/api/classes').expect(403);
    expect(await me(page)).toMatchObject({ role: 'student', name: 'Renamed' });
  });

  it('are signed out with the next request once the account is gone', async () => {
    const page = await signedIn(h, 'student', 'Gone');
    expect(await me(page)).not.toBeNull();
    await h.db('users').where({ id: page.account.id }).delete();
    expect(await me(page)).toBeNull();
    await page.get('/api/my/assignments').expect(401);
  });

  it('know of their account in the session by its id alone', async () => {
    const page = await signedIn(h, 'student', 'Kept');
    const rows: { sess: object }[] = await h.db('sessions').select('sess');
    const own = rows.map(({ sess }) => JSON.stringify(sess)).filter((sess) => sess.includes(page.account.id));
    expect(own).toHaveLength(1);
    expect(own[0]).not.toMatch(/Kept|role|student/);
  });
});

describe('demo accounts', () => {
  const demoOf = async (h: Harness) => {
    const email = 'demo@example.test';
    const made = { role: 'educator' as const, name: 'Demo', email, password: PASSWORD, demo: true };
    const account = await createAccount(h.db, made);
    if (account === 'emailTaken') throw new Error('taken');
    return { account, email };
  };

  it('open on this computer, by one click or by the printed password', async () => {
    const h = await harness({ demo: true });
    const { account, email } = await demoOf(h);
    const page = browser(h.app);
    expect((await page.get('/api/session')).body.demo).toEqual([account]);
    await page.post('/api/demo-session', { accountId: account.id }).expect(200);
    await browser(h.app).post('/api/session', { email, password: PASSWORD }).expect(200);
    await h.close();
  });

  it('do not open from elsewhere, neither by click nor by password, nor with a session from here', async () => {
    const h = await harness({ demo: true });
    const { account, email } = await demoOf(h);
    for (const header of ['X-Forwarded-For', 'Forwarded']) {
      const page = browser(h.app);
      const { body } = await page.get('/api/session').set(header, '10.1.2.3');
      expect(body).toEqual({ me: null, demo: null, isNew: false });
      for (const [path, sent] of [
        ['/api/demo-session', { accountId: account.id }],
        ['/api/session', { email, password: PASSWORD }],
      ] as const) {
        const refused = await page.post(path, sent).set(header, '10.1.2.3').expect(403);
        expect(refused.body.error).toMatchObject({ code: 'demo.onlyHere' });
      }
      await page.post('/api/demo-session', { accountId: account.id }).expect(200);
      await page.get('/api/classes').expect(200);
      await page.get('/api/classes').set(header, '10.1.2.3').expect(401);
    }
    await h.close();
  });

  it('do not open by a foreign name that points to this computer', async () => {
    const h = await harness({ demo: true });
    const { account } = await demoOf(h);
    const host = 'cimbel.example.test';
    const page = browser(h.app);
    expect((await page.get('/api/session').set('Host', host)).body.demo).toBeNull();
    const refused = await page
      .post('/api/demo-session', { accountId: account.id })
      .set({ Host: host, Origin: `http://${host}` })
      .expect(403);
    expect(refused.body.error.code).toBe('demo.onlyHere');
    await h.close();
  });

  it('are not there without the demo, though their password is printed and they are still in the data', async () => {
    const h = await harness({ demo: false });
    const { account, email } = await demoOf(h);
    const page = browser(h.app);
    expect((await page.get('/api/session')).body.demo).toBeNull();
    await page.post('/api/demo-session', { accountId: account.id }).expect(404);
    await page.post('/api/session', { email, password: PASSWORD }).expect(401);
    await h.close();
  });
});
