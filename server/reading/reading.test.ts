import type { EducatorTest, MyTest, SittingResult, SittingState } from '@cimbel/contract';
import { rightResponse, SKILLS, type Item } from '@cimbel/core/drill';
import { paintTress, paintTressAs } from '@cimbel/core/draw';
import { PNG } from 'pngjs';
import { type Browser, inClassroom, TEST_BODY } from '../testing/harness';
import type { SittingRow } from './rows';

const { h, room } = inClassroom();
const START = new Date('2026-03-02T18:00:00Z');
beforeEach(() => {
  h.clock.now = START;
});

const later = (seconds: number) => {
  h.clock.now = new Date(h.clock.now.getTime() + seconds * 1000);
};
async function newTest(change: object = {}): Promise<string> {
  const answer = await room.educator.post(`/api/classes/${room.classId}/reading-tests`, {
    ...TEST_BODY,
    ...change,
  });
  expect(answer.status).toBe(201);
  return answer.body.id;
}
const start = async (page: Browser, testId: string): Promise<string> =>
  (await page.post(`/api/my/reading-tests/${testId}/sittings`).expect(200)).body.id;
const state = async (page: Browser, id: string): Promise<SittingState> =>
  (await page.get(`/api/my/sittings/${id}`).expect(200)).body;
const itemsOf = async (id: string): Promise<Item[]> =>
  (await h.db<SittingRow>('sittings').where({ id }).first())!.items.map(({ item }) => item);
const answer = (page: Browser, id: string, position: number, response: object | null) =>
  page.post(`/api/my/sittings/${id}/answers`, { position, response });

/** Takes a whole test; `right` says which positions are answered rightly, the rest are left. */
async function sit(page: Browser, testId: string, right: (position: number) => boolean): Promise<string> {
  const id = await start(page, testId);
  for (const [position, item] of (await itemsOf(id)).entries()) {
    later(6);
    await answer(page, id, position, right(position) ? rightResponse(item) : null).expect(200);
  }
  return id;
}

describe('a test before it is answered', () => {
  it('sends what is asked and nothing that answers it', async () => {
    const id = await start(room.classmate, await newTest({ parts: [{ skill: 'underlay', count: 6 }] }));
    const items = await itemsOf(id);
    for (const [position, item] of items.entries()) {
      const body = await state(room.classmate, id);
      expect(body.questions.map((q) => q.position)).toEqual(
        [position, position + 1].filter((p) => p < items.length),
      );
      for (const { question } of body.questions) {
        expect(Object.keys(question).sort()).toEqual(
          ['ask', 'facts', 'form', 'hands', 'light', 'lineId', 'ownLine', 'pictures', 'skill', 'step'],
        ); // prettier-ignore
        // Hair goes out as pixels: neither its colour, nor its level, nor its seed.
        expect(question.pictures).toEqual([{ caption: null }]);
        expect(question.ask.params).toEqual({});
      }
      expect(JSON.stringify(body)).not.toMatch(
        /solution|"why"|slips|facet|seed|"look"|"colour"|"greyShare":/,
      );
      await answer(room.classmate, id, position, rightResponse(item)).expect(200);
    }
  });

  it('hides every skill’s answer alike', async () => {
    const skills = SKILLS;
    const id = await start(
      room.classmate,
      await newTest({ parts: skills.map((skill) => ({ skill, count: 1 })) }),
    );
    for (const [position, item] of (await itemsOf(id)).entries()) {
      const text = JSON.stringify((await state(room.classmate, id)).questions);
      expect(text).not.toMatch(/"(solution|why|slips|facet|look|greyShare)":|"from":0/);
      await answer(room.classmate, id, position, rightResponse(item)).expect(200);
    }
  });

  it('draws the hair on the server, for the question at hand and the next one only', async () => {
    const id = await start(room.classmate, await newTest({ parts: [{ skill: 'underlay', count: 3 }] }));
    const picture = (position: number, more = '') =>
      room.classmate.get(`/api/my/sittings/${id}/picture?position=${position}&picture=0${more}`);
    const png = PNG.sync.read((await picture(0).buffer().expect(200)).body);
    const [{ question }] = await itemsOf(id);
    const drawn = paintTress(question.pictures[0].look, { width: png.width, height: png.height });
    expect(Buffer.compare(png.data, Buffer.from(drawn.data.buffer))).toBe(0);
    await picture(1).expect(200);
    await picture(2).expect(404);
    await picture(0, '9').expect(404);
    await picture(0, '&ratio=50').expect(422);
    await room.student.get(`/api/my/sittings/${id}/picture?position=0&picture=0`).expect(404);
  });

  it('keeps the drawing a sitting began with, though locks are drawn otherwise by now', async () => {
    const id = await start(room.classmate, await newTest({ parts: [{ skill: 'underlay', count: 3 }] }));
    const { items } = (await h.db<SittingRow>('sittings').where({ id }).first())!;
    const before = items.map(({ slot, item }) => ({ slot, item }));
    await h
      .db('sittings')
      .where({ id })
      .update({ items: JSON.stringify(before) });
    const { body } = await room.classmate
      .get(`/api/my/sittings/${id}/picture?position=0&picture=0`)
      .buffer()
      .expect(200);
    const png = PNG.sync.read(body);
    const [first, now] = ([1, 2] as const).map((drawing) =>
      Buffer.from(paintTressAs(drawing, items[0].item.question.pictures[0].look, png).data.buffer),
    );
    expect(Buffer.compare(png.data, first)).toBe(0);
    expect(Buffer.compare(first, now)).not.toBe(0);
  });
});

describe('taking a test', () => {
  it('is the same sitting after a reload, and answers count once and in order', async () => {
    const testId = await newTest();
    const id = await start(room.classmate, testId);
    expect(await start(room.classmate, testId)).toBe(id);
    const [first, second] = await itemsOf(id);
    await answer(room.classmate, id, 1, rightResponse(second)).expect(422);
    await answer(room.classmate, id, 0, { kind: 'order', order: [0, 1] }).expect(422);
    await answer(room.classmate, id, 0, null).expect(200);
    // What was given is given: a second word on the same question changes nothing.
    const again = await answer(room.classmate, id, 0, rightResponse(first)).expect(200);
    expect(again.body.position).toBe(1);
    expect(await h.db('sitting_answers').where({ sitting_id: id })).toEqual([
      expect.objectContaining({ position: 0, response: null, score: 0 }),
    ]);
  });

  it('ends by the server’s clock, with extra time for whom it is given', async () => {
    const testId = await newTest({ minutes: 10 });
    const id = await start(room.classmate, testId);
    later(8 * 60);
    await room.educator
      .put(`/api/classes/${room.classId}/students/${room.classmate.account.id}/extra-time`, {
        extraTimeShare: 0.5,
      })
      .expect(200);
    later(6 * 60);
    const [first] = await itemsOf(id);
    await answer(room.classmate, id, 0, rightResponse(first)).expect(200);
    later(2 * 60);
    const late = await answer(room.classmate, id, 1, null);
    expect([late.status, late.body.error.code]).toEqual([409, 'readingTest.timeUp']);
    expect(await state(room.classmate, id)).toMatchObject({ ended: true, position: 1, questions: [] });
    const mine: MyTest = (await room.classmate.get(`/api/my/reading-tests/${testId}`).expect(200)).body;
    expect(mine.minutesForMe).toBe(15);
    expect(mine.sittings[0].score).toBeCloseTo(1 / 7);
    await room.educator
      .put(`/api/classes/${room.classId}/students/${room.classmate.account.id}/extra-time`, {
        extraTimeShare: 0,
      })
      .expect(200);
    await room.educator
      .put(`/api/classes/${room.classId}/students/${room.classmate.account.id}/extra-time`, {
        extraTimeShare: 9,
      })
      .expect(422);
  });

  it('starts no further sitting than allowed, none after the end, and two at once are one', async () => {
    const testId = await newTest({ attempts: 1 });
    const [name, other] = await Promise.all([start(room.classmate, testId), start(room.classmate, testId)]);
    expect(name).toBe(other);
    later(11 * 60);
    expect((await room.classmate.post(`/api/my/reading-tests/${testId}/sittings`)).body.error.code).toBe(
      'readingTest.noneLeft',
    );
    h.clock.now = new Date('2026-03-10T18:00:00Z');
    expect((await room.student.post(`/api/my/reading-tests/${testId}/sittings`)).body.error.code).toBe(
      'readingTest.closed',
    );
  });
});

describe('variants', () => {
  it('of their own: other items for each student and each sitting, of the same slots', async () => {
    const testId = await newTest({ attempts: 2 });
    const first = await sit(room.classmate, testId, () => true);
    const second = await start(room.classmate, testId);
    const theirs = await start(room.student, testId);
    const questions = await Promise.all(
      [first, second, theirs].map(async (id) =>
        (await itemsOf(id)).map(({ question }) => JSON.stringify(question)),
      ),
    );
    const all = questions.flat();
    expect(new Set(all).size).toBe(all.length);
    const slots = async (id: string) =>
      (await h.db<SittingRow>('sittings').where({ id }).first())!.items.map(({ slot }) => slot).sort();
    expect(await slots(second)).toEqual(await slots(first));
    expect(await slots(theirs)).toEqual(await slots(first));
  });

  it('the same for all: the same items, and no answers before release', async () => {
    const refused = await room.educator.post(`/api/classes/${room.classId}/reading-tests`, {
      ...TEST_BODY,
      variants: 'same',
    });
    expect(refused.status).toBe(422);
    expect(refused.body.error.fields).toEqual([
      expect.objectContaining({ path: 'feedback', code: 'sameNeedsRelease' }),
    ]);
    const testId = await newTest({ variants: 'same', feedback: 'onRelease' });
    const [name, other] = [await sit(room.classmate, testId, () => true), await start(room.student, testId)];
    expect(await itemsOf(other)).toEqual(await itemsOf(name));
    const closed = await room.classmate.get(`/api/my/sittings/${name}/result`);
    expect([closed.status, closed.body.error.code]).toEqual([403, 'result.notReleased']);
    expect((await room.classmate.get(`/api/my/reading-tests/${testId}`)).body.sittings[0].score).toBeNull();
    await room.educator.patch(`/api/reading-tests/${testId}`, { released: true }).expect(200);
    const result: SittingResult = (await room.classmate.get(`/api/my/sittings/${name}/result`).expect(200))
      .body;
    expect(result.score).toBe(result.total);
    // Released to those who are done; who is still at it sees nothing.
    await room.student.get(`/api/my/sittings/${other}/result`).expect(403);
  });
});

describe('results', () => {
  it('by student and by skill, with confusion and item figures, and as CSV', async () => {
    const testId = await newTest({ attempts: 2 });
    await sit(room.classmate, testId, (position) => position > 3);
    await sit(room.classmate, testId, () => true);
    const worse = await sit(room.student, testId, () => false);
    const test: EducatorTest = (await room.educator.get(`/api/reading-tests/${testId}`).expect(200)).body;
    const row = (name: string) => test.rows.find((r) => r.name === name)!;
    // The best of the sittings counts.
    expect(row('Classmate')).toMatchObject({
      state: 'finished',
      score: 1,
      sittings: 2,
      bySkill: { level: 1, grey: 1 },
    });
    expect(row('Student')).toMatchObject({ score: 0 });
    expect(row('Classmate').minutes).toBeCloseTo(0.7);
    expect(test.slots).toHaveLength(7);
    expect(test.slots[0]).toMatchObject({ difficulty: 0.5, discrimination: null, sittings: 2 });
    expect(test.skills).toEqual([
      { skill: 'level', questions: 3, accuracy: 0.5 },
      { skill: 'tone', questions: 2, accuracy: 0.5 },
      { skill: 'grey', questions: 2, accuracy: 0.5 },
    ]);
    expect(test.confusion.level.every(({ truth, given }) => truth === given)).toBe(true);
    const result = await room.educator.get(`/api/sittings/${worse}/result`).expect(200);
    expect(result.body.lines.every((line: { mark: unknown }) => line.mark === null)).toBe(true);
    const csv = await room.educator.get(`/api/reading-tests/${testId}/results.csv`).expect(200);
    expect(csv.headers['content-type']).toMatch(/text\/csv/);
    expect(csv.text.split('\r\n')[0]).toMatch(/^\uFEFF?student,state,attempts,score_percent,minutes/);
    expect(csv.text).toContain('Classmate,finished,2,100,0.7,0,100,100,100');
    const desk = (await room.educator.get(`/api/classes/${room.classId}/reading`).expect(200)).body;
    expect(desk.tests.find((t: { id: string }) => t.id === testId)).toMatchObject({ finished: 2, mean: 0.5 });
    expect((await room.educator.delete(`/api/reading-tests/${testId}`)).body.error.code).toBe(
      'readingTest.begun',
    );
  });

  it('a test nobody began can be deleted, and one with nothing to ask is refused by field', async () => {
    const testId = await newTest();
    await room.educator.delete(`/api/reading-tests/${testId}`).expect(200);
    await room.educator.get(`/api/reading-tests/${testId}`).expect(404);
    const pale = { minLevel: 8, maxLevel: 10, lights: ['daylight'] };
    const refused = await room.educator.post(`/api/classes/${room.classId}/reading-tests`, {
      ...TEST_BODY,
      scope: pale,
    });
    expect(refused.body.error.fields).toEqual([
      expect.objectContaining({ path: 'parts.2.skill', code: 'nothingToAsk' }),
    ]);
  });
});
