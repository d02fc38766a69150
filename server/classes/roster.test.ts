import type { RosterSeat, Roster, Slip } from '@cimbel/contract';
import { KEPT_OF_STUDENT } from './person';
import {
  assignmentBody,
  browser,
  inClassroom,
  freshId,
  SIGN_UP_PASSWORD,
  type Browser,
} from '../testing/harness';

const { h, room } = inClassroom();
const at = (rest: string) => `/api/classes/${room.classId}/${rest}`;
const roster = async (): Promise<Roster> => (await room.educator.get(at('roster')).expect(200)).body;
const placeOf = async (name: string): Promise<RosterSeat> => {
  const rosterSeat = (await roster()).places.find((place) => place.name === name);
  if (!rosterSeat) throw new Error(`${name} is not on the roster`);
  return rosterSeat;
};
const add = (...places: { name: string; number?: string | null }[]) =>
  room.educator.post(at('roster'), { places });
const slipFor = async (id: string): Promise<Slip> =>
  (await room.educator.post(at('slips'), { studentIds: [id] }).expect(201)).body[0];
const due = async (page: Browser) => (await page.get('/api/my/assignments')).body.length;
const PASSWORD = 'one of my own choosing';
const claim = (code: string, email: string) =>
  browser(h.app).post('/api/codes/use', { code, email, password: PASSWORD });

/** They show what tables keep. */
const VIEWS = ['members', 'set_for'];

describe('the roster', () => {
  it('takes a list whole or not at all, names each row that cannot be, and makes no doubles', async () => {
    const before = (await roster()).places.length;
    await add(
      { name: 'Ines Tal' },
      { name: 'Ines Tal', number: '17' },
      { name: 'Oren Vey', number: '18' },
    ).expect(201);
    const { body } = await add(
      { name: 'New One' },
      { name: 'ines tal' },
      { name: 'Another', number: '18' },
      { name: 'New One' },
    ).expect(422);
    expect(body.error.fields.map(({ path, code }: { path: string; code: string }) => [path, code])).toEqual([
      ['places.1.name', 'nameTwice'],
      ['places.2.number', 'numberTwice'],
      ['places.3.name', 'nameTwice'],
    ]);
    expect((await roster()).places).toHaveLength(before + 3);
    const lists = await Promise.all([1, 2, 3].map(() => add({ name: 'Sent thrice' })));
    expect(lists.map(({ status }) => status).sort()).toEqual([201, 422, 422]);
  });

  it('has a place with dates of its own claimed into an account there is, which then has them', async () => {
    await add({ name: 'Dana Own' }).expect(201);
    const { id } = await placeOf('Dana Own');
    const dueAt = '2026-04-01T18:00:00.000Z';
    await h.db('assignment_students').insert({
      assignment_id: room.assignmentId,
      student_id: id,
      due_at: dueAt,
    });
    const slip = await slipFor(id);
    await room.classmate.post('/api/my/places', { code: slip.code }).expect(201);
    const own = await h.db('assignment_students').where({ assignment_id: room.assignmentId });
    expect(own).toEqual([
      expect.objectContaining({ student_id: room.classmate.account.id, due_at: new Date(dueAt) }),
    ]);
    await h.db('assignment_students').delete();
  });

  it('has a place claimed by its slip, once, and signs in from then on by address and password', async () => {
    await add({ name: 'Claire Monde' }).expect(201);
    const { id } = await placeOf('Claire Monde');
    const first = await slipFor(id);
    const slip = await slipFor(id);
    expect(slip.kind).toBe('place');
    // An earlier slip is good no more.
    await claim(first.code, 'claire@example.test').expect(422);
    const { body: told } = await browser(h.app).post('/api/codes/look', { code: slip.code }).expect(200);
    expect(told).toEqual({ kind: 'place', name: 'Claire Monde', className: 'Evening' });
    const page = browser(h.app);
    await page.post('/api/codes/use', { code: slip.code, password: PASSWORD }).expect(422);
    const written = `${slip.code.slice(0, 5)}-${slip.code.slice(5)}`.toLowerCase();
    await page
      .post('/api/codes/use', { code: written, email: 'claire@example.test', password: PASSWORD })
      .expect(200);
    expect(await due(page)).toBeGreaterThan(0);
    await claim(slip.code, 'other@example.test').expect(422);
    await browser(h.app)
      .post('/api/session', { email: 'claire@example.test', password: PASSWORD })
      .expect(200);
    expect(await placeOf('Claire Monde')).toMatchObject({ claimed: true, id });
    expect(await h.db('codes').where({ user_id: id })).toHaveLength(0);
    expect(JSON.stringify(await h.db('log').where({ subject_id: id }))).not.toContain(slip.code);
  });

  it('gives a place into an account there is already', async () => {
    await add({ name: 'Stranger’s place', number: '99' }).expect(201);
    const { id } = await placeOf('Stranger’s place');
    const { code } = await slipFor(id);
    expect(await due(room.stranger)).toBe(0);
    await room.stranger.post('/api/my/places', { code }).expect(201);
    expect(await due(room.stranger)).toBeGreaterThan(0);
    const { places } = await roster();
    expect(places.find((place) => place.id === id)).toBeUndefined();
    expect(places.find((place) => place.id === room.stranger.account.id)).toMatchObject({ number: '99' });
    await room.educator.patch(at(`students/${room.stranger.account.id}`), { state: 'removed' }).expect(200);
  });

  it('removes a student with the work kept, and brings both back', async () => {
    const { id } = room.classmate.account;
    const submission = { id: freshId(), answer: (await best()) as object };
    await room.classmate.post(`/api/my/assignments/${room.assignmentId}/submission`, submission).expect(200);
    const place = (change: object) => room.educator.patch(at(`students/${id}`), change).expect(200);
    await place({ state: 'removed' });
    expect(await due(room.classmate)).toBe(0);
    await room.classmate.get(`/api/my/assignments/${room.assignmentId}`).expect(404);
    await room.classmate.get(`/api/my/reading-tests/${room.testId}`).expect(404);
    const names = async () =>
      (await room.educator.get(`/api/classes/${room.classId}`)).body.students.map((s: RosterSeat) => s.id);
    expect(await names()).not.toContain(id);
    await place({ state: 'active', name: 'Renamed', number: '5' });
    expect(await names()).toContain(id);
    const { body } = await room.classmate.get(`/api/my/assignments/${room.assignmentId}`).expect(200);
    expect(body.submittedAt).not.toBeNull();
    expect(await placeOf('Renamed')).toMatchObject({ state: 'active', number: '5' });
  });

  it('lets in who asks by the code as the class is set: at once, when let in, or not at all', async () => {
    const joined = async (joining: string, name: string) => {
      await room.educator.put(at('joining'), { joining }).expect(200);
      const page = browser(h.app);
      const made = { role: 'student', name, email: `${name}@example.test`, password: PASSWORD };
      await page.post('/api/accounts', made).expect(201);
      return { page, answer: await page.post('/api/memberships', { joinCode: (await roster()).joinCode }) };
    };
    expect((await joined('open', 'open')).answer.body).toEqual({ name: 'Evening', waiting: false });
    const { page, answer } = await joined('approval', 'asks');
    expect(answer.body).toEqual({ name: 'Evening', waiting: true });
    expect(await due(page)).toBe(0);
    expect((await page.get('/api/my/classes')).body).toMatchObject([{ name: 'Evening', state: 'waiting' }]);
    const { id } = await placeOf('asks');
    await room.educator.patch(at(`students/${id}`), { state: 'active' }).expect(200);
    expect(await due(page)).toBeGreaterThan(0);
    expect((await joined('closed', 'shut')).answer.body.error.code).toBe('class.closed');
    const { joinCode } = await roster();
    const { body } = await room.educator.post(at('join-code')).expect(200);
    expect(body.joinCode).not.toBe(joinCode);
    await page.post('/api/memberships', { joinCode }).expect(422);
    await room.educator.put(at('joining'), { joining: 'open' }).expect(200);
  });

  it('lets nobody in unasked while an exercise shows its answer to each who submits: a second account reads nothing', async () => {
    const { id } = (
      await room.educator
        .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, { release: 'onSubmit' }))
        .expect(201)
    ).body;
    expect((await roster()).closedBy).toHaveLength(1);
    const second = browser(h.app);
    const made = { role: 'student', name: 'Second', email: 'second@example.test', password: PASSWORD };
    await second.post('/api/accounts', made).expect(201);
    const { body } = await second
      .post('/api/memberships', { joinCode: (await roster()).joinCode })
      .expect(201);
    expect(body.waiting).toBe(true);
    await second.get(`/api/my/assignments/${id}`).expect(404);
    // Closed by hand it takes nothing more for marks, and the class is open again.
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    expect((await roster()).closedBy).toEqual([]);
    const late = await room.student
      .post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer: await best() })
      .expect(409);
    expect(late.body.error.code).toBe('attempt.closed');
  });

  it('is copied for another term without anyone in it, all dates moved, and put away at the end of its own', async () => {
    const { id } = (await room.educator.post(at('copies'), { name: 'Next term', days: 182 }).expect(201))
      .body;
    const [before, copy] = await Promise.all(
      [room.classId, id].map(
        async (one) => (await room.educator.get(`/api/classes/${one}`).expect(200)).body,
      ),
    );
    expect(copy).toMatchObject({ name: 'Next term', students: [], houseRules: before.houseRules });
    expect(copy.assignments).toHaveLength(before.assignments.length);
    const days = (to: string, from: string) =>
      (new Date(to).getTime() - new Date(from).getTime()) / 86_400_000;
    copy.assignments.forEach((assignment: { dueAt: string; title: string }, i: number) => {
      expect(days(assignment.dueAt, before.assignments[i].dueAt)).toBe(182);
      expect(assignment.title).toBe(before.assignments[i].title);
    });
    expect(await h.db('assignments').where({ class_id: id }).whereNotNull('released_at')).toEqual([]);
    const tests = async (name: string) =>
      h.db('reading_tests').where({ class_id: name }).select('seed', 'secret', 'plan', 'title');
    const [[old], [fresh]] = await Promise.all([room.classId, id].map(tests));
    expect(fresh).toMatchObject({ plan: old.plan, title: old.title });
    expect([fresh.seed, fresh.secret]).not.toContain(old.seed);
    expect(fresh.secret).not.toBe(old.secret);

    await room.educator.put(at('archived'), { archived: true }).expect(200);
    expect(await due(room.student)).toBe(0);
    const late = await room.student
      .post(`/api/my/assignments/${room.assignmentId}/submission`, { id: freshId(), answer: await best() })
      .expect(409);
    expect(late.body.error.code).toBe('class.archived');
    const asked = await room.stranger.post('/api/memberships', { joinCode: (await roster()).joinCode });
    expect(asked.body.error.code).toBe('class.closed');
    // What was handed in stays to be read.
    expect(await due(room.classmate)).toBe(1);
    await room.educator.put(at('archived'), { archived: false }).expect(200);
    expect(await due(room.student)).toBeGreaterThan(0);
  });

  it('gives what the class keeps of a student, takes that out for good, and leaves the account and other classes alone', async () => {
    const { id } = room.classmate.account;
    const { body } = await room.educator.get(at(`students/${id}/data.json`)).expect(200);
    expect(body.student).toMatchObject({ id, email: 'classmate@example.test' });
    expect(body.attempts).toHaveLength(1);
    expect(JSON.stringify(body)).not.toMatch(/password_hash|\$argon2/);
    // Whatever table comes to keep something of a student has to be told of.
    const { rows } = await h.db.raw(
      "select table_name from information_schema.columns where column_name = 'student_id' and table_schema = 'public'",
    );
    const tables = rows.map((row: { table_name: string }) => row.table_name);
    expect(tables.filter((name: string) => !VIEWS.includes(name)).sort()).toEqual(
      [...KEPT_OF_STUDENT].sort(),
    );
    const other: string = (await room.otherEducator.post('/api/classes', { name: 'Elsewhere' })).body.id;
    await h.db('memberships').insert({ class_id: other, student_id: id });
    // In another class as well, if only waiting there: the account is nobody's here to rename or to open with a slip.
    const renamed = await room.educator.patch(at(`students/${id}`), { name: 'Somebody Else' }).expect(409);
    expect(renamed.body.error.code).toBe('roster.elsewhere');
    await room.educator.patch(at(`students/${id}`), { number: '77' }).expect(200);
    const slip = await room.educator.post(at('slips'), { studentIds: [id] }).expect(409);
    expect(slip.body.error.code).toBe('roster.elsewhere');
    // And the other class sees nothing of this one's, nor may it rename who only asks to come in.
    await h.db('memberships').where({ class_id: other, student_id: id }).update({ state: 'waiting' });
    const there = (path: string) => `/api/classes/${other}/${path}`;
    const theirs = (await room.otherEducator.get(there(`students/${id}/data.json`)).expect(200)).body;
    expect([theirs.attempts, theirs.sittings, theirs.drill_answers]).toEqual([[], [], []]);
    const early = await room.otherEducator.patch(there(`students/${id}`), { name: 'Mine' }).expect(409);
    expect(early.body.error.code).toBe('roster.notLetIn');
    await room.otherEducator.delete(there(`students/${id}`)).expect(200);
    expect(await h.db('attempts').where({ student_id: id })).toHaveLength(1);

    await room.educator.delete(at(`students/${id}`)).expect(200);
    for (const table of KEPT_OF_STUDENT) expect(await h.db(table).where({ student_id: id })).toHaveLength(0);
    await room.educator.get(at(`students/${id}/data.json`)).expect(404);
    // The account is its owner's, who ends it by the password and by nothing else.
    expect((await room.classmate.get('/api/account/data.json').expect(200)).body.student).toMatchObject({
      id,
    });
    await room.classmate.send('delete', '/api/account', { password: 'not the password' }).expect(422);
    await room.classmate.send('delete', '/api/account', { password: SIGN_UP_PASSWORD }).expect(200);
    expect(await h.db('users').where({ id })).toEqual([]);
    await room.classmate.get('/api/my/assignments').expect(401);
  });

  it('is led by others too: with the same rights, or to look and mark', async () => {
    const email = 'other-educator@example.test';
    const let_ = (rights: string) => room.educator.post(at('educators'), { email, rights });
    const unknown = await room.educator.post(at('educators'), {
      email: 'nobody@example.test',
      rights: 'all',
    });
    expect(unknown.body.error.fields[0]).toMatchObject({ path: 'email', code: 'noEducator' });
    await room.otherEducator.get(`/api/classes/${room.classId}`).expect(404);
    await let_('marking').expect(201);
    const { body } = await room.otherEducator.get(`/api/classes/${room.classId}`).expect(200);
    expect(body.rights).toBe('marking');
    expect(
      (await room.otherEducator.get('/api/classes')).body.map((rosterSeat: RosterSeat) => rosterSeat.id),
    ).toContain(room.classId);
    const answer: string = (await h.db('attempts').whereNotNull('submitted_at').first('id'))?.id ?? freshId();
    await room.otherEducator.get(`/api/assignments/${room.assignmentId}`).expect(200);
    await room.otherEducator.get(`/api/reading-tests/${room.testId}`).expect(200);
    // Whoever only marks changes marks and nothing else.
    const { status } = await room.otherEducator.post(`/api/attempts/${answer}/mark-changes`, {
      criterion: 'route',
      points: 1,
      reason: 'Read it again.',
    });
    expect([201, 404]).toContain(status);
    for (const [method, path] of [
      ['put', at('house-rules')],
      ['post', at('roster')],
      ['post', at('slips')],
      ['post', at('assignments')],
      ['patch', `/api/assignments/${room.assignmentId}`],
      ['delete', `/api/reading-tests/${room.testId}`],
      ['delete', `/api/practices/${room.practiceId}`],
      ['post', at('educators')],
      ['get', at('export.json')],
      ['get', at('log')],
      ['get', at(`students/${room.student.account.id}/data.json`)],
      ['delete', `/api/classes/${room.classId}`],
    ] as const)
      expect({ path, status: (await room.otherEducator.send(method, path, {})).status }).toEqual({
        path,
        status: 403,
      });
    await let_('all').expect(201);
    await room.otherEducator.put(at('joining'), { joining: 'approval' }).expect(200);
    await room.otherEducator.delete(`/api/classes/${room.classId}`).expect(403);
    expect((await roster()).educators.map(({ rights }) => rights)).toEqual(['owner', 'all']);
    await room.educator.delete(at(`educators/${room.otherEducator.account.id}`)).expect(200);
    await room.otherEducator.get(`/api/classes/${room.classId}`).expect(404);
    await room.educator.put(at('joining'), { joining: 'open' }).expect(200);
  });

  it('is deleted for good with its class, once that is put away and saved', async () => {
    const { id } = (await room.educator.post(at('copies'), { name: 'To be deleted', days: 0 }).expect(201))
      .body;
    const of = (rest: string) => `/api/classes/${id}${rest}`;
    await room.educator.post(of('/roster'), { places: [{ name: 'Never came' }] }).expect(201);
    await h.db('memberships').insert({ class_id: id, student_id: room.student.account.id });
    const [due] = (await room.student.get('/api/my/assignments')).body.slice(-1);
    expect(due).toBeDefined();
    const saved = (await room.educator.get(of('/export.json')).expect(200)).body;
    expect(saved.assignments.length).toBeGreaterThan(0);
    expect(JSON.stringify(saved)).not.toMatch(/password_hash|"secret"/);
    const refused = await room.educator.delete(of('')).expect(409);
    expect(refused.body.error.code).toBe('class.notArchived');
    await room.educator.put(of('/archived'), { archived: true }).expect(200);
    await room.educator.delete(of('')).expect(200);
    await room.educator.get(of('')).expect(404);
    expect(await h.db('users').where({ name: 'Never came' })).toEqual([]);
    expect(await h.db('users').where({ id: room.student.account.id })).toHaveLength(1);
    expect(await h.db('log').where({ class_id: id, action: 'class.deleted' })).toHaveLength(1);
  });

  it('writes down what was done, by whom, and keeps it', async () => {
    const { body } = await room.educator.get(at('log')).expect(200);
    const actions = body.map(({ action }: { action: string }) => action);
    for (const action of [
      'roster.added',
      'roster.slip',
      'roster.changed',
      'class.joining',
      'class.joinCode',
      'assignment.set',
      'assignment.changed',
      'attempt.handedIn',
    ])
      expect(actions).toContain(action);
    expect(body.find((one: { action: string }) => one.action === 'roster.changed')).toMatchObject({
      actor: 'Educator',
      before: expect.anything(),
      after: expect.anything(),
    });
    await room.otherEducator.get(at('log')).expect(404);
    for (const change of [h.db('log').update({ action: 'other' }), h.db('log').delete()])
      await expect(change).rejects.toThrow('stays as it is');
  });
});

const best = async () =>
  (await room.educator.get(`/api/assignments/${room.assignmentId}`)).body.modelAnswer.card;
