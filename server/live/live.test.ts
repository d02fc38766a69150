import type { LiveBoard, Working } from '@cimbel/contract';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { ask, assignmentBody, freshId, inClassroom, signedIn, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
const MINUTE_MS = 60_000;

/** A fresh exercise for the class; `set` says how. */
async function set(terms: object = {}): Promise<{ id: string; card: RecordCard }> {
  const { id } = (
    await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, terms))
      .expect(201)
  ).body as { id: string };
  const page = (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
  return { id, card: page.modelAnswer.card };
}
let saves = 0;
const save = (page: Browser, id: string, answer: object) =>
  page.put(`/api/my/assignments/${id}/draft`, {
    answer: { ...EMPTY_CARD, ...answer },
    version: 1000,
    writer: 'tab',
    sequence: ++saves,
    attempt: 1,
  });
const at = (page: Browser, id: string, body: object) => page.put(`/api/working/${id}`, body);
const working = async (page: Browser, id: string): Promise<Working> =>
  (await page.get(`/api/working/${id}`).expect(200)).body;
const board = async (id: string): Promise<LiveBoard> =>
  (await room.educator.get(`/api/assignments/${id}/live`).expect(200)).body;
const onBoard = async (id: string, who = room.student) =>
  (await board(id)).students.find(({ studentId }) => studentId === who.account.id)!;
const pause = (id: string, paused: boolean) =>
  room.educator.put(`/api/assignments/${id}/pause`, { paused }).expect(200);
const later = (minutes: number) => {
  h.clock.now = new Date(h.clock.now.getTime() + minutes * MINUTE_MS);
};

describe('the board of a class at work', () => {
  it('says who is at which step since when, and who has not begun', async () => {
    const { id } = await set();
    expect((await board(id)).steps).toEqual([
      'consult',
      'read',
      'mix',
      'apply',
      'process',
      'finish',
      'handIn',
    ]);
    expect((await onBoard(id)).state).toBe('notBegun');
    await at(room.student, id, { step: 'consult' }).expect(200);
    const since = h.clock.now.toISOString();
    later(3);
    await at(room.student, id, { step: 'consult' }).expect(200);
    expect(await onBoard(id)).toMatchObject({ state: 'working', step: 'consult', stepAt: since });
    later(1);
    await at(room.student, id, { step: 'mix' }).expect(200);
    expect(await onBoard(id)).toMatchObject({ step: 'mix', stepAt: h.clock.now.toISOString() });
    expect(await onBoard(id, room.classmate)).toMatchObject({ state: 'notBegun', step: null });
  });

  it('shows a way of thinking once the formula is left, never in a bowl half poured', async () => {
    const { id, card } = await set();
    // The developer of every bowl three times what it takes: whoever writes that thinks more lifts more.
    const strong = {
      ...card,
      bowls: card.bowls.map((bowl) => ({
        ...bowl,
        developer: bowl.developer.map((one) => ({ ...one, vol: 40 })),
      })),
    };
    await ask(room.student, id, strong);
    await save(room.student, id, strong).expect(200);
    await at(room.student, id, { step: 'mix' }).expect(200);
    expect(await onBoard(id)).toMatchObject({ forming: [], dangers: [] });
    await at(room.student, id, { step: 'process' }).expect(200);
    const shown = await onBoard(id);
    expect(shown.forming.length + shown.dangers.length).toBeGreaterThan(0);
    // Put right, it is gone with the next save.
    await save(room.student, id, card).expect(200);
    expect(await onBoard(id)).toMatchObject({ forming: [], dangers: [] });
  });

  it('shows what is written so far to who leads the class, of whom it is set to', async () => {
    const { id, card } = await set();
    await save(room.student, id, card).expect(200);
    const draft = (
      await room.educator.get(`/api/assignments/${id}/live/${room.student.account.id}`).expect(200)
    ).body;
    expect(draft.card.bowls).toEqual(card.bowls);
    await room.educator.get(`/api/assignments/${id}/live/${room.stranger.account.id}`).expect(404);
  });

  it('keeps a hand up until it is lowered or a hint is given', async () => {
    const { id } = await set();
    await at(room.student, id, { hand: true }).expect(200);
    const since = (await onBoard(id)).handAt;
    // No step was told yet.
    expect(await onBoard(id)).toMatchObject({ state: 'working', step: null, stepAt: null });
    later(2);
    await at(room.student, id, { hand: true }).expect(200);
    await at(room.student, id, { step: 'read' }).expect(200);
    expect((await onBoard(id)).handAt).toBe(since);
    await room.educator.delete(`/api/assignments/${id}/live/${room.student.account.id}/hand`).expect(200);
    expect((await onBoard(id)).handAt).toBeNull();
    await at(room.student, id, { hand: true }).expect(200);
    await at(room.student, id, { hand: false }).expect(200);
    expect((await working(room.student, id)).handAt).toBeNull();
    await at(room.student, id, { hand: true }).expect(200);
    await room.educator
      .post(`/api/assignments/${id}/hints`, { text: 'Read the ends.', studentIds: [room.student.account.id] })
      .expect(201);
    expect((await working(room.student, id)).handAt).toBeNull();
  });

  it('refuses a step that is none, and a word about nothing', async () => {
    const { id } = await set();
    await at(room.student, id, { step: 'lunch' }).expect(422);
    await at(room.student, id, {}).expect(422);
    await at(room.stranger, id, { step: 'mix' }).expect(404);
  });
});

describe('a hint', () => {
  it('goes to those who still work, stays with the attempt, and shows beside the mark', async () => {
    const { id, card } = await set({ release: 'onSubmit' });
    const both = [room.student.account.id, room.classmate.account.id];
    await ask(room.classmate, id, card);
    await room.classmate
      .post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer: card, attempt: 1 })
      .expect(200);
    const given = await room.educator
      .post(`/api/assignments/${id}/hints`, { text: 'Half of it is grey.', studentIds: both })
      .expect(201);
    expect(given.body).toEqual({ given: 1 });
    const { hints } = await working(room.student, id);
    expect(hints).toMatchObject([{ text: 'Half of it is grey.', by: 'Educator', readAt: null }]);
    expect((await working(room.classmate, id)).hints).toEqual([]);
    await room.student.post(`/api/working/${id}/hints-read`).expect(200);
    expect((await onBoard(id)).hints[0].readAt).toBe(h.clock.now.toISOString());
    await ask(room.student, id, card);
    await room.student
      .post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer: card, attempt: 1 })
      .expect(200);
    const result = (await room.student.get(`/api/my/assignments/${id}/result`).expect(200)).body;
    expect(result.hints).toMatchObject([{ text: 'Half of it is grey.', by: 'Educator' }]);
    await room.educator
      .post(`/api/assignments/${id}/hints`, { text: 'Too late.', studentIds: both })
      .expect(409);
  });
});

describe('a class that pauses', () => {
  it('gives back to each attempt the time its clock stood still, once', async () => {
    const { id } = await set({ minutes: 30, dueAt: '2026-06-09T18:00:00Z' });
    await room.student.post(`/api/my/assignments/${id}/attempts`).expect(201);
    const began = h.clock.now.getTime();
    later(10);
    await pause(id, true);
    await pause(id, true);
    expect(await working(room.student, id)).toMatchObject({
      pausedAt: h.clock.now.toISOString(),
      time: null,
    });
    // One who begins meanwhile has stood still since then.
    later(5);
    await room.classmate.post(`/api/my/assignments/${id}/attempts`).expect(201);
    later(40);
    // Long past the thirty minutes, and nothing is lost.
    await save(room.student, id, { asked: [] }).expect(200);
    await pause(id, false);
    await pause(id, false);
    const mine = await working(room.student, id);
    expect(mine.pausedAt).toBeNull();
    expect(Date.parse(mine.time!.endsAt)).toBe(began + (30 + 45) * MINUTE_MS);
    // Also who had no connection meanwhile is told why the end is later.
    const page = (await room.student.get(`/api/my/assignments/${id}`).expect(200)).body;
    expect([mine.time!.pausedMs, page.time.pausedMs]).toEqual([45 * MINUTE_MS, 45 * MINUTE_MS]);
    const theirs = await working(room.classmate, id);
    expect(Date.parse(theirs.time!.endsAt)).toBe(h.clock.now.getTime() + 30 * MINUTE_MS);
    later(20);
    await save(room.student, id, {}).expect(200);
    later(2);
    expect((await save(room.student, id, {})).body.error.code).toBe('attempt.timeUp');
  });

  it('gives nothing to an attempt whose time was up before, and moves no date', async () => {
    const { id } = await set({ minutes: 5, dueAt: '2026-06-09T18:00:00Z' });
    await room.student.post(`/api/my/assignments/${id}/attempts`).expect(201);
    const began = h.clock.now.getTime();
    later(5);
    await pause(id, true);
    later(60);
    await pause(id, false);
    expect(Date.parse((await working(room.student, id)).time!.endsAt)).toBe(began + 5 * MINUTE_MS);
  });

  it('is not released before it goes on', async () => {
    const { id } = await set();
    await pause(id, true);
    const refused = await room.educator.patch(`/api/assignments/${id}`, { released: true });
    expect([refused.status, refused.body.error.code]).toEqual([409, 'assignment.paused']);
    await pause(id, false);
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
  });

  it('is collected as it stands, and what is empty stays open', async () => {
    const { id, card } = await set({ minutes: 30, dueAt: '2026-06-09T18:00:00Z' });
    for (const page of [room.student, room.classmate])
      await page.post(`/api/my/assignments/${id}/attempts`).expect(201);
    await save(room.student, id, { ...card, asked: [], tests: [] }).expect(200);
    const early = await room.educator.post(`/api/assignments/${id}/collect`);
    expect([early.status, early.body.error.code]).toEqual([409, 'live.pauseFirst']);
    await pause(id, true);
    const { body } = await room.educator.post(`/api/assignments/${id}/collect`).expect(200);
    expect(body).toEqual({ handedIn: 1, empty: 1, notTaken: [] });
    expect((await working(room.student, id)).handedIn).toBe(true);
    expect((await working(room.classmate, id)).handedIn).toBe(false);
    expect((await onBoard(id)).state).toBe('handedIn');
  });

  it('is paused and collected by who leads it, not by who only marks', async () => {
    const { id } = await set();
    const marker = await signedIn(h, 'educator', 'Live-marker');
    await h.db('class_educators').insert({
      class_id: room.classId,
      educator_id: marker.account.id,
      rights: 'marking',
      added_at: h.clock.now,
    });
    await marker.get(`/api/assignments/${id}/live`).expect(200);
    await marker.put(`/api/assignments/${id}/pause`, { paused: true }).expect(403);
    await marker.post(`/api/assignments/${id}/collect`).expect(403);
  });
});
