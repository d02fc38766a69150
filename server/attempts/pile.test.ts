import type { AnswerState, Pile, PileAnswer } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { ask, assignmentBody, freshId, inClassroom, signedIn, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
let id: string;
let second: Browser & { account: { id: string } };
const students: (Browser & { account: { id: string; name: string } })[] = [];
const at = (path: string) => `/api/assignments/${id}/${path}`;
const pile = async (page: Browser = room.educator): Promise<Pile> =>
  (await page.get(at('pile')).expect(200)).body;
const answers = (of: Pile): PileAnswer[] => of.groups.flatMap((group) => group.answers);
const ofStudent = async (index: number): Promise<PileAnswer> =>
  answers(await pile()).find(({ studentName }) => studentName === students[index].account.name)!;

const strong = (card: RecordCard): RecordCard => ({
  ...card,
  bowls: card.bowls.map((bowl) => ({
    ...bowl,
    developer: bowl.developer.map((part) => ({ ...part, vol: 40 })),
  })),
});

beforeAll(async () => {
  id = (await room.educator.post(`/api/classes/${room.classId}/assignments`, assignmentBody()).expect(201))
    .body.id;
  const { card } = (await room.educator.get(`/api/assignments/${id}`)).body.modelAnswer;
  for (let i = 0; i < 4; i++) {
    const one = await signedIn(h, 'student', `Pile${i}`);
    students.push(one);
    await one.post('/api/memberships', { joinCode: room.joinCode }).expect(201);
    await ask(one, id, card);
    const answer = i < 3 ? strong(card) : card;
    await one.post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer }).expect(200);
  }
  second = await signedIn(h, 'educator', 'Second-marker');
  await h.db('class_educators').insert({
    class_id: room.classId,
    educator_id: second.account.id,
    rights: 'marking',
    added_at: h.clock.now,
  });
}, 60_000);

describe('the pile of an assignment', () => {
  it('lays alike answers together, biggest group first, all of them new, and says who is waited for', async () => {
    const { groups, max, waiting, phrases } = await pile();
    expect(groups.map(({ answers }) => answers.length)).toEqual([3, 1]);
    expect(groups[0].shared.map(({ criterion }) => criterion)).toContain('developer');
    expect(groups[1].shared).toEqual([]);
    expect(groups[1].answers[0].points).toBe(max);
    expect(
      groups.flatMap(({ answers }) => answers).every(({ state, stateBy }) => state === 'new' && !stateBy),
    ).toBe(true);
    // Student and classmate are in the class and have not handed this one in.
    expect(waiting).toBe(2);
    expect(phrases).toEqual([]);
  });

  const setStates = (page: Browser, list: { attemptId: string; from: AnswerState; to: AnswerState }[]) =>
    page.put(at('pile/states'), { answers: list });

  it('keeps how far each answer is, by whom, and overwrites nothing that another said meanwhile', async () => {
    const group = (await pile()).groups[0].answers;
    const to = (state: AnswerState, from: AnswerState = 'new') =>
      group.map(({ attemptId }) => ({ attemptId, from, to: state }));
    await setStates(second, to('talk').slice(0, 1)).expect(200);
    const { body } = await setStates(room.educator, to('looked')).expect(200);
    expect(body).toEqual({
      set: group.slice(1).map(({ attemptId }) => attemptId),
      others: [group[0].attemptId],
    });
    const now = (await pile()).groups[0].answers;
    expect(now.map(({ state, stateBy }) => [state, stateBy])).toEqual([
      ['talk', 'Second-marker'],
      ['looked', 'Educator'],
      ['looked', 'Educator'],
    ]);
    // Said again it is no quarrel, and what was said is taken back by saying so.
    expect((await setStates(room.educator, to('looked', 'new').slice(1))).body.others).toEqual([]);
    await setStates(room.educator, to('new', 'looked').slice(1)).expect(200);
    expect((await pile()).groups[0].answers.map(({ state }) => state)).toEqual(['talk', 'new', 'new']);
  });

  it('takes two who mark the same answers at once, in whatever order they come', async () => {
    const list = answers(await pile()).map(({ attemptId, state }) => ({
      attemptId,
      from: state,
      to: 'looked' as const,
    }));
    const both = await Promise.all([setStates(room.educator, list), setStates(second, [...list].reverse())]);
    for (const { status } of both) expect(status).toBe(200);
    expect(answers(await pile()).every(({ state }) => state === 'looked')).toBe(true);
  });

  it('says when points have moved since an answer was looked at', async () => {
    const { attemptId, moved } = await ofStudent(3);
    expect(moved).toBe(false);
    await room.educator
      .post(`/api/attempts/${attemptId}/mark-changes`, {
        criterion: 'developer',
        points: 1,
        reason: 'Not said.',
      })
      .expect(201);
    expect(await ofStudent(3)).toMatchObject({ moved: true, changed: true, state: 'looked' });
  });

  it('gives the same points to all alike, leaves what was changed by hand, and takes it back', async () => {
    const group = (await pile()).groups[0].answers;
    const [byHand, ...rest] = group.map(({ attemptId }) => attemptId);
    const change = { criterion: 'developer', points: 3, reason: 'Strong, but in foils it could be.' };
    await room.educator.post(`/api/attempts/${byHand}/mark-changes`, { ...change, points: 1.5 }).expect(201);
    const before = new Map(answers(await pile()).map(({ attemptId, points }) => [attemptId, points]));
    const { body } = await room.educator
      .post(at('pile/marks'), { ...change, attemptIds: [byHand, ...rest] })
      .expect(200);
    expect({ ...body, batch: null, changed: [...body.changed].sort() }).toEqual({
      batch: null,
      changed: [...rest].sort(),
      left: [byHand],
    });
    const shown = (await room.educator.get(`/api/attempts/${rest[0]}`).expect(200)).body;
    expect(shown.changes).toEqual([expect.objectContaining({ to: 3, reason: change.reason })]);
    // Somebody changes one of them once more: that stays when all of it is taken back.
    await second.post(`/api/attempts/${rest[0]}/mark-changes`, { ...change, points: 2 }).expect(201);
    await second.post(at('pile/marks/removal'), { batch: body.batch }).expect(200);
    expect((await room.educator.get(`/api/attempts/${rest[1]}`)).body.changes).toHaveLength(1);
    const back = await room.educator.post(at('pile/marks/removal'), { batch: body.batch }).expect(200);
    expect(back.body).toEqual({ taken: 1 });
    expect((await room.educator.get(`/api/attempts/${rest[0]}`)).body.changes).toHaveLength(2);
    const after = new Map(answers(await pile()).map(({ attemptId, points }) => [attemptId, points]));
    expect(after.get(rest[1])).toBe(before.get(rest[1]));
    expect(after.get(byHand)).toBe(before.get(byHand));
    const log = (await h.db('log').where({ action: 'attempt.markBack' })).length;
    expect(log).toBe(1);
  });

  it.each([
    [{ criterion: 'aftercare', points: 1 }, 'criterion'],
    [{ criterion: 'developer', points: 99 }, 'points'],
    [{ criterion: 'ceiling', points: 1 }, 'criterion'],
  ])('changes nothing where %j is asked of all', async (change, path) => {
    const attemptIds = answers(await pile()).map(({ attemptId }) => attemptId);
    const before = await h.db('mark_changes').count();
    const { body } = await room.educator
      .post(at('pile/marks'), { reason: 'No matter.', attemptIds, ...change })
      .expect(422);
    expect(body.error.fields[0].path).toBe(path);
    expect(await h.db('mark_changes').count()).toEqual(before);
  });
});

describe('comments', () => {
  const about = 'rootsFirst';

  it('are said of all alike, kept as a phrase, worded anew for one, and told with the mark', async () => {
    const group = (await pile()).groups[0].answers;
    const attemptIds = group.map(({ attemptId }) => attemptId);
    const text = 'Twenty volumes cover; forty lift.\nRead D2 again.';
    const { body } = await room.educator.post(at('comments'), { attemptIds, text, keep: true }).expect(201);
    expect(body.ids).toHaveLength(3);
    const said = await pile();
    expect(said.phrases).toEqual([expect.objectContaining({ text, about: null })]);
    expect(said.groups[0].answers.every(({ comments }) => comments.length === 1 && comments[0].own)).toBe(
      true,
    );
    // Another educator's phrases are their own, and so is the wording.
    expect((await pile(second)).phrases).toEqual([]);
    expect(
      answers(await pile(second))
        .flatMap(({ comments }) => comments)
        .some(({ own }) => own),
    ).toBe(false);
    const first = said.groups[0].answers[0].comments[0];
    await second.put(at(`comments/${first.id}`), { text: 'Mine now.' }).expect(404);
    await room.educator.put(at(`comments/${first.id}`), { text: 'For you: see me.' }).expect(200);

    const student = students.find(({ account }) => account.name === said.groups[0].answers[0].studentName)!;
    const result = () => student.get(`/api/my/assignments/${id}/result`);
    await result().expect(403);
    expect(JSON.stringify((await student.get('/api/account/data.json')).body)).not.toContain('see me');
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    expect((await result().expect(200)).body.comments).toEqual([
      expect.objectContaining({ text: 'For you: see me.', by: 'Educator', own: false }),
    ]);
    expect(JSON.stringify((await student.get('/api/account/data.json')).body)).toContain('see me');
    await room.educator.patch(`/api/assignments/${id}`, { released: false }).expect(200);
  });

  it('are taken back by who said them, once, and by nobody else', async () => {
    const ids = answers(await pile()).flatMap(({ comments }) => comments.map((one) => one.id));
    await second.post(at('comments/removal'), { ids }).expect(200);
    expect(answers(await pile()).flatMap(({ comments }) => comments)).toHaveLength(3);
    await room.educator.post(at('comments/removal'), { ids }).expect(200);
    await room.educator.post(at('comments/removal'), { ids }).expect(200);
    expect(answers(await pile()).flatMap(({ comments }) => comments)).toEqual([]);
    expect(await h.db('log').where({ action: 'attempt.commentBack' })).toHaveLength(3);
  });

  it('tell when the way of thinking that they speak of does not show any more', async () => {
    const { attemptId } = await ofStudent(3);
    await room.educator.post(at('comments'), { attemptIds: [attemptId], text: 'By eye?', about }).expect(201);
    expect((await ofStudent(3)).comments).toEqual([expect.objectContaining({ about, stale: true })]);
    const { grade } = await h.db('attempts').where({ id: attemptId }).first();
    const evidence = { code: 'x', params: {} };
    // What is handed in is frozen but for its marks.
    await h
      .db('attempts')
      .where({ id: attemptId })
      .update({ grade: JSON.stringify({ ...grade, misconceptions: [{ name: about, evidence }] }) });
    expect((await ofStudent(3)).comments).toEqual([expect.objectContaining({ about, stale: false })]);
  });

  it('are said of answers of this exercise that are in, or not at all', async () => {
    const [one] = answers(await pile());
    const elsewhere = freshId();
    await room.educator
      .post(at('comments'), { attemptIds: [one.attemptId, elsewhere], text: 'No.' })
      .expect(404);
    for (const text of ['', '   ', 'x'.repeat(501)])
      await room.educator.post(at('comments'), { attemptIds: [one.attemptId], text }).expect(422);
    expect(JSON.stringify(await pile())).not.toContain('No.');
  });

  it('and phrases go by one’s own word', async () => {
    const [phrase] = (await pile()).phrases;
    await second.post('/api/phrases/removal', { id: phrase.id }).expect(200);
    expect((await pile()).phrases).toHaveLength(1);
    await room.educator.post('/api/phrases/removal', { id: phrase.id }).expect(200);
    expect((await pile()).phrases).toEqual([]);
  });

  it('go with what is kept of a student', async () => {
    const { attemptId } = await ofStudent(3);
    const studentId = students[3].account.id;
    const { body } = await room.educator
      .get(`/api/classes/${room.classId}/students/${studentId}/data.json`)
      .expect(200);
    expect(body.comments.length).toBeGreaterThan(0);
    expect(body.answer_states.length).toBeGreaterThan(0);
    const whole = (await room.educator.get(`/api/classes/${room.classId}/export.json`)).body;
    expect(whole.comments.length).toBeGreaterThan(0);
    await room.educator.delete(`/api/classes/${room.classId}/students/${studentId}`).expect(200);
    for (const table of ['comments', 'answer_states', 'mark_changes'])
      expect(await h.db(table).where({ attempt_id: attemptId })).toEqual([]);
  });
});
