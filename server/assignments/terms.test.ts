import {
  faultsOfTerms,
  termsSchema,
  type EducatorAssignment,
  type Terms,
  type TermsEffect,
} from '@cimbel/contract';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { randomUUID } from 'node:crypto';
import { dueUnderWay, handInWhenTimeIsUp } from '../attempts/store';
import { hereAndNow } from '../jobs/heavy';
import { ask, assignmentBody, inClassroom, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
const DUE = '2026-03-09T18:00:00.000Z';
const at = (iso: string) => {
  h.clock.now = new Date(iso);
};
beforeEach(() => at('2026-03-02T18:00:00Z'));

const setOne = async (terms: Partial<Terms> = {}, change: object = {}): Promise<string> =>
  (
    await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody(change, { dueAt: DUE, ...terms }))
      .expect(201)
  ).body.id;
const page = async (id: string): Promise<EducatorAssignment> =>
  (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
const mine = (id: string, rest = '') => `/api/my/assignments/${id}${rest}`;
const own = (student: { account: { id: string } }, part: Partial<Terms['students'][number]> = {}) => ({
  studentId: student.account.id,
  opensAt: null,
  dueAt: null,
  attempts: null,
  extraTimeShare: null,
  ...part,
});
const hand = (student: Browser, id: string, answer: RecordCard, attempt = 1) =>
  student.post(mine(id, '/submission'), { id: randomUUID(), answer, attempt });
const codeOf = ({ body }: { body: { error: { code: string } } }) => body.error.code;
const standing = async (id: string, { account }: { account: { id: string } }) =>
  (await page(id)).rows.find(({ studentId }) => studentId === account.id);

describe('terms', () => {
  const terms = (part: object) => ({
    ...termsSchema.parse({ dueAt: DUE, release: 'manual' }),
    ...part,
  });
  const early = '2026-03-09T17:59:00.000Z';

  it('leave everyone time, name each once, and someone at all', () => {
    expect(faultsOfTerms(terms({ opensAt: early }))).toEqual([]);
    expect(faultsOfTerms(terms({ opensAt: DUE }))).toEqual([{ path: ['opensAt'], code: 'afterDue' }]);
    expect(faultsOfTerms(terms({ everyone: false }))).toEqual([{ path: ['students'], code: 'nobody' }]);
    const one = own(room.student);
    expect(faultsOfTerms(terms({ students: [one, one] }))).toEqual([
      { path: ['students', 1, 'studentId'], code: 'twice' },
    ]);
    expect(faultsOfTerms(terms({ students: [{ ...one, opensAt: DUE }] }))).toEqual([
      { path: ['students', 0, 'dueAt'], code: 'afterDue' },
    ]);
    expect(faultsOfTerms(terms({ opensAt: early, students: [{ ...one, dueAt: early }] }))).toEqual([
      { path: ['students', 0, 'dueAt'], code: 'afterDue' },
    ]);
  });

  it('name only students of the class', async () => {
    const body = assignmentBody({}, { students: [own(room.stranger)] });
    const refused = await room.educator.post(`/api/classes/${room.classId}/assignments`, body).expect(422);
    expect(refused.body.error.fields[0]).toMatchObject({ path: 'students.0.studentId', code: 'unknown' });
  });
});

describe('an assignment for some of the class', () => {
  it('is there for them alone, at their own dates', async () => {
    const later = '2026-03-12T18:00:00.000Z';
    const id = await setOne({ everyone: false, students: [own(room.student, { dueAt: later })] });
    const listed = async (student: Browser) =>
      (await student.get('/api/my/assignments').expect(200)).body.find(
        (one: { id: string }) => one.id === id,
      );
    expect(await listed(room.student)).toMatchObject({ dueAt: later });
    expect(await listed(room.classmate)).toBeUndefined();
    await room.classmate.get(mine(id)).expect(404);
    await hand(room.classmate, id, EMPTY_CARD).expect(404);
    expect((await page(id)).rows.map(({ name }) => name)).toEqual(['Student']);
    const inClass = (await room.educator.get(`/api/classes/${room.classId}`)).body;
    const row = inClass.students.find(({ name }: { name: string }) => name === 'Classmate');
    expect(row.standings[id]).toMatchObject({ state: 'notSet', points: null });
    at('2026-03-10T18:00:00Z');
    await hand(room.student, id, EMPTY_CARD).expect(200);
    expect(await standing(id, room.student)).toMatchObject({ late: false, dueAt: later });
  });

  it('shows results at the due time only when the last of them was due', async () => {
    const later = '2026-03-12T18:00:00.000Z';
    const id = await setOne({ release: 'onDue', students: [own(room.classmate, { dueAt: later })] });
    await hand(room.student, id, EMPTY_CARD).expect(200);
    at('2026-03-10T18:00:00Z');
    await room.student.get(mine(id, '/result')).expect(403);
    await hand(room.classmate, id, EMPTY_CARD).expect(200);
    at(later);
    await room.student.get(mine(id, '/result')).expect(200);
  });
});

describe('an assignment that opens later', () => {
  it('tells nothing of the head and takes nothing before', async () => {
    const opens = '2026-03-04T08:00:00.000Z';
    const id = await setOne({ opensAt: opens });
    const { body } = await room.student.get(mine(id)).expect(200);
    expect(body).toMatchObject({ stage: 'ahead', opensAt: opens });
    for (const name of ['head', 'regions', 'lit', 'client', 'given']) expect(body).not.toHaveProperty(name);
    const listed = (await room.student.get('/api/my/assignments')).body;
    expect(listed.find((one: { id: string }) => one.id === id)).toMatchObject({ now: null, opensAt: opens });
    const tries = [
      room.student.get(mine(id, '/picture?light=daylight&region=0&size=strand')),
      room.student.post(mine(id, '/reveal'), { question: 'reactions' }),
      room.student.post(mine(id, '/simulation'), { bowls: [], steps: [] }),
      room.student.put(mine(id, '/draft'), { answer: EMPTY_CARD, version: 0, writer: 'a' }),
      room.student.post(mine(id, '/attempts')),
      hand(room.student, id, EMPTY_CARD),
    ];
    for (const answer of await Promise.all(tries)) {
      expect(answer.status).toBe(409);
      expect(codeOf(answer)).toBe('attempt.notOpen');
    }
    at(opens);
    expect((await room.student.get(mine(id)).expect(200)).body).toMatchObject({ stage: 'work' });
  });
});

describe('several attempts', () => {
  const twice = (part: Partial<Terms> = {}) => setOne({ attempts: 2, release: 'onSubmit', ...part });

  it('are begun one after the other, from the last card or an empty one, and the best counts', async () => {
    const id = await twice();
    const { card } = (await page(id)).modelAnswer;
    await ask(room.student, id, card);
    await room.student.post(mine(id, '/attempts')).expect(201);
    await hand(room.student, id, card).expect(200);
    const between = (await room.student.get(mine(id)).expect(200)).body;
    expect(between).toMatchObject({ another: true, handedIn: 1, resultReady: false });
    expect(between.soFar).toMatchObject({ points: between.soFar.max, lost: [] });
    // The model answer is not shown while it can still be tried.
    await room.student.get(mine(id, '/result')).expect(403);
    await hand(room.student, id, card, 2).expect(409);
    await room.student.post(mine(id, '/attempts'), { from: 'last' }).expect(201);
    const again = (await room.student.get(mine(id)).expect(200)).body;
    expect(again).toMatchObject({ attempt: 2, another: false });
    expect(again.draft.answer).toEqual(card);
    // What is left of the first attempt cannot come into the second, and the first stays as it was.
    const stale = { answer: EMPTY_CARD, version: 99, writer: 'tab', attempt: 1 };
    expect(codeOf(await room.student.put(mine(id, '/draft'), stale).expect(409))).toBe('attempt.handedIn');
    await hand(room.student, id, EMPTY_CARD, 2).expect(200);
    const result = (await room.student.get(mine(id, '/result')).expect(200)).body;
    expect(result.attempts.map(({ counts }: { counts: boolean }) => counts)).toEqual([true, false]);
    expect(result.grade.points).toBe(result.grade.max);
    const second = (await room.student.get(mine(id, '/result?attempt=2')).expect(200)).body;
    expect(second.grade.points).toBe(0);
    await room.student.get(mine(id, '/result?attempt=3')).expect(404);
    expect(codeOf(await room.student.post(mine(id, '/attempts')).expect(409))).toBe('attempt.noneLeft');
    expect(await standing(id, room.student)).toMatchObject({ handedIn: 2, points: result.grade.max });
  });

  it('tell between them what kind of thing lost points: criteria and rules, no figure of the answer', async () => {
    const id = await twice();
    const { card } = (await page(id)).modelAnswer;
    await ask(room.student, id, card);
    const strong = {
      ...card,
      bowls: card.bowls.map((bowl) => ({
        ...bowl,
        developer: bowl.developer.map((part) => ({ ...part, vol: 40 })),
      })),
    };
    await hand(room.student, id, strong).expect(200);
    const { soFar } = (await room.student.get(mine(id)).expect(200)).body;
    const developer = soFar.lost.find(({ criterion }: { criterion: string }) => criterion === 'developer');
    expect(developer.rules.length).toBeGreaterThan(0);
    expect(soFar.lost.map((one: object) => Object.keys(one))).toEqual(
      soFar.lost.map(() => ['criterion', 'rules']),
    );
    for (const { rules } of soFar.lost) for (const rule of rules) expect(rule).toMatch(/^[A-Z]\d+$/);
  });

  it('count by the last where that is the rule, and a student may have more than the rest', async () => {
    const id = await twice({ attempts: 1, counted: 'last', students: [own(room.student, { attempts: 2 })] });
    const { card } = (await page(id)).modelAnswer;
    await ask(room.student, id, card);
    await hand(room.student, id, card).expect(200);
    await room.student.post(mine(id, '/attempts')).expect(201);
    await hand(room.student, id, EMPTY_CARD, 2).expect(200);
    expect(await standing(id, room.student)).toMatchObject({ handedIn: 2, points: 0 });
    await hand(room.classmate, id, EMPTY_CARD).expect(200);
    expect(codeOf(await room.classmate.post(mine(id, '/attempts')).expect(409))).toBe('attempt.noneLeft');
  });

  it('begin with nothing asked, unless they go on with the last card', async () => {
    const id = await twice();
    await ask(room.student, id, { asked: ['reactions'], tests: [] });
    await hand(room.student, id, EMPTY_CARD).expect(200);
    await room.student.post(mine(id, '/attempts'), { from: 'empty' }).expect(201);
    expect((await room.student.get(mine(id))).body.draft.answer.asked).toEqual([]);
    await ask(room.classmate, id, { asked: ['reactions'], tests: [] });
    await hand(room.classmate, id, EMPTY_CARD).expect(200);
    await room.classmate.post(mine(id, '/attempts'), { from: 'last' }).expect(201);
    expect((await room.classmate.get(mine(id))).body.draft.answer.asked).toEqual(['reactions']);
  });

  it('are one when two devices begin at once', async () => {
    const id = await twice({ attempts: 5 });
    await hand(room.student, id, EMPTY_CARD).expect(200);
    await Promise.all([1, 2, 3, 4].map(() => room.student.post(mine(id, '/attempts')).expect(201)));
    expect(await h.db('attempts').where({ assignment_id: id }).pluck('number')).toEqual([1, 2]);
  });
});

describe('what comes late', () => {
  it('is refused, taken, or costs so much, as the rule says, to the minute', async () => {
    const onTime = DUE;
    const late = '2026-03-09T18:00:00.001Z';
    const refused = await setOne({ late: 'refused' });
    const taken = await setOne({ late: 'taken' });
    const reduced = await setOne({ late: 'reduced', latePercent: 20 });
    const { card } = (await page(reduced)).modelAnswer;
    for (const id of [refused, taken, reduced])
      for (const student of [room.student, room.classmate]) await ask(student, id, card);
    at(onTime);
    for (const id of [refused, taken, reduced]) await hand(room.student, id, card).expect(200);
    at(late);
    expect(codeOf(await hand(room.classmate, refused, card).expect(409))).toBe('attempt.closed');
    for (const id of [taken, reduced]) await hand(room.classmate, id, card).expect(200);
    const { max } = await page(reduced);
    expect(await standing(taken, room.classmate)).toMatchObject({ late: true, points: max });
    expect(await standing(reduced, room.student)).toMatchObject({ late: false, points: max });
    const lost = Math.round(max * 0.2 * 4) / 4;
    expect(await standing(reduced, room.classmate)).toMatchObject({ late: true, points: max - lost });
    await room.educator.patch(`/api/assignments/${reduced}`, { released: true }).expect(200);
    const result = (await room.classmate.get(mine(reduced, '/result')).expect(200)).body;
    expect(result).toMatchObject({ late: true, lateLoss: lost, grade: { points: max - lost } });
  });

  it('is not late for whom the time is moved, which is shown before it is done', async () => {
    const id = await setOne({ late: 'reduced', latePercent: 50 });
    const { card } = (await page(id)).modelAnswer;
    await ask(room.student, id, card);
    at('2026-03-10T18:00:00Z');
    await hand(room.student, id, card).expect(200);
    const { max, terms } = await page(id);
    const moved = { ...terms, students: [own(room.student, { dueAt: '2026-03-11T18:00:00.000Z' })] };
    const seen = await room.educator.post(`/api/assignments/${id}/terms/preview`, moved).expect(200);
    const after: TermsEffect[] = seen.body;
    expect(after).toEqual([
      {
        studentId: room.student.account.id,
        name: 'Student',
        effects: ['notLate', 'points'],
        points: { before: max / 2, after: max },
      },
    ]);
    expect(await standing(id, room.student)).toMatchObject({ late: true, points: max / 2 });
    await room.educator.put(`/api/assignments/${id}/terms`, moved).expect(200);
    expect(await standing(id, room.student)).toMatchObject({ late: false, points: max });
    expect((await page(id)).terms).toEqual(moved);
  });
});

describe('closing by hand', () => {
  it('takes nothing more, shows no result, and can be undone', async () => {
    const id = await setOne({ release: 'manual' });
    await hand(room.student, id, EMPTY_CARD).expect(200);
    await room.educator.patch(`/api/assignments/${id}`, { closed: true }).expect(200);
    expect(await page(id)).toMatchObject({ closed: true, closedByHand: true, released: false });
    expect(codeOf(await hand(room.classmate, id, EMPTY_CARD).expect(409))).toBe('attempt.closed');
    await room.student.get(mine(id, '/result')).expect(403);
    await room.educator.patch(`/api/assignments/${id}`, { closed: false }).expect(200);
    await hand(room.classmate, id, EMPTY_CARD).expect(200);
  });
});

describe('a card on which nothing is mixed', () => {
  it('is taken where applying is given, and marked as empty; where it is worked the step is named', async () => {
    const given = await setOne({ release: 'onSubmit' }, { open: ['mix'], rubric: { tone: 4, depth: 4 } });
    const { card } = (await page(given)).modelAnswer;
    const empty = { ...EMPTY_CARD, steps: card.steps };
    await hand(room.student, given, empty).expect(200);
    expect(await standing(given, room.student)).toMatchObject({ points: 0 });
    const whole = await setOne();
    const refused = await hand(room.student, whole, empty).expect(422);
    expect(refused.body.error.fields[0]).toMatchObject({ path: 'answer.steps.0.bowl', code: 'noSuchBowl' });
  });
});

describe('work against the clock', () => {
  it('tells nothing before it is begun, ends with its extra time, and is handed in as it stood', async () => {
    const id = await setOne({
      minutes: 20,
      attempts: 2,
      students: [own(room.student, { extraTimeShare: 0.5 })],
    });
    expect((await room.student.get(mine(id))).body).toMatchObject({
      stage: 'ahead',
      opensAt: null,
      minutes: 30,
    });
    expect((await room.classmate.get(mine(id))).body).toMatchObject({ minutes: 20 });
    const unbegun = await room.student.post(mine(id, '/reveal'), { question: 'reactions' }).expect(409);
    expect(codeOf(unbegun)).toBe('attempt.notBegun');
    await room.student.post(mine(id, '/attempts')).expect(201);
    const { body } = await room.student.get(mine(id)).expect(200);
    expect(body).toMatchObject({ stage: 'work', time: { endsAt: '2026-03-02T18:30:00.000Z' }, attempt: 1 });
    const draft = { answer: { ...EMPTY_CARD, visits: 2 }, version: 0, writer: 'a' };
    await room.student.put(mine(id, '/draft'), draft).expect(200);
    const [attempt] = await h.db('attempts').where({ assignment_id: id });
    // A minute over for what was on its way.
    at('2026-03-02T18:31:00Z');
    const looked = await handInWhenTimeIsUp(h.db, hereAndNow, attempt.id, new Date('2026-03-02T18:30:59Z'));
    expect(looked).toEqual({ again: new Date('2026-03-02T18:31:00Z') });
    await room.student.put(mine(id, '/draft'), { ...draft, version: 1 }).expect(200);
    at('2026-03-02T18:31:01Z');
    const late = await room.student.put(mine(id, '/draft'), { ...draft, version: 2 }).expect(409);
    expect(codeOf(late)).toBe('attempt.timeUp');
    expect(codeOf(await hand(room.student, id, draft.answer).expect(409))).toBe('attempt.timeUp');
    expect(await handInWhenTimeIsUp(h.db, hereAndNow, attempt.id, h.clock.now)).toBeNull();
    const kept = await h.db('attempts').where({ id: attempt.id }).first();
    expect(kept).toMatchObject({ answer: { visits: 2 }, submitted_at: new Date('2026-03-02T18:30:00Z') });
    await handInWhenTimeIsUp(h.db, hereAndNow, attempt.id, h.clock.now);
    // The next attempt has its own time.
    await room.student.post(mine(id, '/attempts')).expect(201);
    expect((await room.student.get(mine(id))).body).toMatchObject({
      attempt: 2,
      time: { endsAt: '2026-03-02T19:01:01.000Z' },
    });
  });

  /** Begins an attempt at a time of day, with a draft in it. */
  const begunAt = async (student: typeof room.student, id: string, time: string) => {
    at(`2026-03-02T${time}Z`);
    await student.post(mine(id, '/attempts')).expect(201);
    await student
      .put(mine(id, '/draft'), { answer: { ...EMPTY_CARD, visits: 1 }, version: 0, writer: 'a', attempt: 1 })
      .expect(200);
    const [attempt] = await h
      .db('attempts')
      .where({ assignment_id: id, student_id: student.account.id })
      .select('id');
    return attempt.id as string;
  };
  const attemptNow = (id: string) => h.db('attempts').where({ id }).first();

  it('ends at the due time where nothing late is taken, and what is there is handed in as of then', async () => {
    const id = await setOne({ minutes: 60, late: 'refused', dueAt: '2026-03-02T18:30:00.000Z' });
    const attempt = await begunAt(room.student, id, '18:10:00');
    expect((await room.student.get(mine(id))).body.time.endsAt).toBe('2026-03-02T18:30:00.000Z');
    at('2026-03-02T18:31:01Z');
    await handInWhenTimeIsUp(h.db, hereAndNow, attempt, h.clock.now);
    expect(await attemptNow(attempt)).toMatchObject({
      submitted_at: new Date('2026-03-02T18:30:00Z'),
      not_taken: null,
    });
  });

  it('keeps results back while somebody works, and hands in what has run out before they are shown', async () => {
    const id = await setOne({ minutes: 20, dueAt: '2026-03-02T20:00:00.000Z' });
    const early = await begunAt(room.student, id, '18:00:00');
    const later = await begunAt(room.classmate, id, '18:10:00');
    at('2026-03-02T18:25:00Z');
    const release = () => room.educator.patch(`/api/assignments/${id}`, { released: true });
    expect(codeOf(await release().expect(409))).toBe('assignment.underWay');
    expect(await h.db('assignments').where({ id }).first()).toMatchObject({ released_at: null });
    at('2026-03-02T18:31:01Z');
    await release().expect(200);
    for (const [attempt, end] of [
      [early, '18:20:00'],
      [later, '18:30:00'],
    ])
      expect(await attemptNow(attempt)).toMatchObject({ submitted_at: new Date(`2026-03-02T${end}Z`) });
  });

  it('ends where it is closed, and is still taken', async () => {
    const id = await setOne({ minutes: 60, dueAt: '2026-03-02T20:00:00.000Z' });
    const attempt = await begunAt(room.student, id, '18:00:00');
    at('2026-03-02T18:20:00Z');
    await room.educator.patch(`/api/assignments/${id}`, { closed: true }).expect(200);
    at('2026-03-02T18:21:01Z');
    await handInWhenTimeIsUp(h.db, hereAndNow, attempt, h.clock.now);
    expect(await attemptNow(attempt)).toMatchObject({ submitted_at: new Date('2026-03-02T18:20:00Z') });
  });

  it('is kept and told to both where it cannot be taken', async () => {
    const id = await setOne({ minutes: 20, dueAt: '2026-03-02T20:00:00.000Z' });
    const attempt = await begunAt(room.student, id, '18:00:00');
    await room.educator.put(`/api/classes/${room.classId}/archived`, { archived: true }).expect(200);
    at('2026-03-02T18:21:01Z');
    await handInWhenTimeIsUp(h.db, hereAndNow, attempt, h.clock.now);
    await room.educator.put(`/api/classes/${room.classId}/archived`, { archived: false }).expect(200);
    expect(await attemptNow(attempt)).toMatchObject({ submitted_at: null, answer: { visits: 1 } });
    expect((await room.student.get(mine(id))).body.notTaken).toBe('class.archived');
    const { rows } = (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
    const row = rows.find(({ studentId }: { studentId: string }) => studentId === room.student.account.id);
    expect(row.notTaken).toBe('class.archived');
  });
});

describe('work without a clock that is still being written when nothing is taken any more', () => {
  const written = async (student: typeof room.student, id: string, time: string) => {
    at(`2026-03-02T${time}Z`);
    const draft = { answer: { ...EMPTY_CARD, visits: 1 }, version: 0, writer: time, attempt: 1 };
    await student.put(mine(id, '/draft'), draft).expect(200);
    const attempt = await h
      .db('attempts')
      .where({ assignment_id: id, student_id: student.account.id })
      .first();
    return attempt!.id;
  };
  /** What the job of every minute does. */
  const sweep = async (time: string) => {
    at(`2026-03-02T${time}Z`);
    const ended = await dueUnderWay(h.db, h.clock.now);
    for (const id of ended) await handInWhenTimeIsUp(h.db, hereAndNow, id, h.clock.now);
    return ended;
  };
  const due = '2026-03-02T18:30:00.000Z';
  const submitted = async (id: string) =>
    (await h.db('attempts').where({ id }).first('submitted_at'))!.submitted_at;

  it.each([
    ['nothing late is taken', { late: 'refused', release: 'manual' } as const],
    ['results show when it is due', { late: 'taken', release: 'onDue' } as const],
  ])('is handed in as of then where %s, and is not late', async (_, rules) => {
    const id = await setOne({ ...rules, dueAt: due });
    const attempt = await written(room.student, id, '18:20:00');
    expect((await room.student.get(mine(id))).body.handedInAt).toBe(due);
    expect(await sweep('18:30:59')).not.toContain(attempt);
    expect(await sweep('18:31:01')).toContain(attempt);
    expect(await submitted(attempt)).toEqual(new Date(due));
    const { rows } = (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
    const row = rows.find(({ studentId }: { studentId: string }) => studentId === room.student.account.id);
    expect(row).toMatchObject({ state: 'handedIn', late: false });
    expect(await sweep('18:32:00')).not.toContain(attempt);
  });

  it('is left alone where it was written on after that, where late work is taken, and where it was closed by hand', async () => {
    const refused = { late: 'refused', release: 'manual', dueAt: due } as const;
    const onward = await written(room.student, await setOne(refused), '18:20:00');
    await h
      .db('attempts')
      .where({ id: onward })
      .update({ updated_at: new Date('2026-03-02T18:31:30Z') });
    const taken = await written(room.student, await setOne({ ...refused, late: 'taken' }), '18:20:00');
    const closedOne = await setOne(refused);
    const closed = await written(room.student, closedOne, '18:20:00');
    await room.educator.patch(`/api/assignments/${closedOne}`, { closed: true }).expect(200);
    const ended = await sweep('18:35:00');
    for (const attempt of [onward, taken, closed]) {
      expect(ended).not.toContain(attempt);
      expect(await submitted(attempt)).toBeNull();
    }
  });

  it('goes by the student’s own due time', async () => {
    const id = await setOne({
      late: 'refused',
      dueAt: due,
      students: [own(room.student, { dueAt: '2026-03-02T19:30:00.000Z' })],
    });
    const later = await written(room.student, id, '18:20:00');
    const usual = await written(room.classmate, id, '18:21:00');
    const ended = await sweep('18:40:00');
    expect(ended).toContain(usual);
    expect(ended).not.toContain(later);
    expect(await sweep('19:31:01')).toContain(later);
    expect(await submitted(later)).toEqual(new Date('2026-03-02T19:30:00Z'));
  });
});
