import type { ClassRegradePreview, EducatorAssignment } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { CEILINGS, DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { ask, assignmentBody, inClassroom, freshId } from '../testing/harness';

const { room } = inClassroom();
const path = (rest = '') => `/api/classes/${room.classId}/regrade${rest}`;
const theirs = async (id: string): Promise<EducatorAssignment> =>
  (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;
const preview = async (): Promise<ClassRegradePreview> =>
  (await room.educator.post(path('/preview')).expect(200)).body;
const putRules = (change: object) =>
  room.educator.put(`/api/classes/${room.classId}/house-rules`, { ...DEFAULT_HOUSE_RULES, ...change });
const finished = async (id: string) => {
  for (;;) {
    const { body } = await room.educator.get(`/api/assignments/${id}/regrade`).expect(200);
    if (body.regrade?.finished) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
};
/** The model answer with 10 vol over grey: a decision wrong, and white that stands apart. */
const weak = (modelCard: RecordCard): RecordCard => ({
  ...modelCard,
  bowls: modelCard.bowls.map((bowl) =>
    bowl.lineId === 'tarnwick'
      ? { ...bowl, developer: bowl.developer.map((part) => ({ ...part, vol: 10 })) }
      : bowl,
  ),
});
const STRICT = {
  ...CEILINGS,
  weaker: [80, 50, 35, 30],
  noticeable: [60, 45, 35, 30],
  needsCorrection: [30, 20, 10, 10],
};

describe('marking the exercises of a class again', () => {
  let open: string;
  let untouched: string;
  beforeAll(async () => {
    open = room.assignmentId;
    untouched = (
      await room.educator
        .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ title: 'Nobody yet' }))
        .expect(201)
    ).body.id;
    const { card } = (await theirs(open)).modelAnswer;
    for (const [page, answer] of [
      [room.student, card],
      [room.classmate, weak(card)],
    ] as const) {
      await ask(page, open, answer);
      await page.post(`/api/my/assignments/${open}/submission`, { id: freshId(), answer }).expect(200);
    }
  }, 60_000);

  it('shows what the figures of the class would change, exercise by exercise, before anything is done', async () => {
    const before = await preview();
    expect(before.exercises.map(({ assignmentId, changes }) => [assignmentId, changes])).toEqual([
      [open, []],
    ]);
    await putRules({ ceilings: STRICT, passMark: 80 }).expect(200);
    const { exercises } = await preview();
    expect(exercises).toHaveLength(1);
    const [{ changes, total, released, title }] = exercises;
    expect({ total, released, title }).toMatchObject({ total: 2, released: false });
    expect(changes.map(({ studentName }) => studentName)).toEqual(['Classmate']);
    expect(changes[0].after).toBeLessThan(changes[0].before);
    // Nothing was done yet, and what was set keeps its figures.
    expect((await theirs(open)).houseRules).toMatchObject({ ceilings: CEILINGS, passMark: 75 });
  });

  it('marks those that are chosen by them, and can be taken back', async () => {
    const pointsOf = async () => (await theirs(open)).rows.map(({ points }) => points).sort();
    const was = await pointsOf();
    await room.educator.post(path(), { assignmentIds: [open] }).expect(202);
    await finished(open);
    expect((await theirs(open)).houseRules).toMatchObject({ ceilings: STRICT, passMark: 80, units: 'grams' });
    expect(await pointsOf()).not.toEqual(was);
    expect((await preview()).exercises[0].changes).toEqual([]);
    const { former } = await theirs(open);
    expect(former!.figures).toMatchObject({ ceilings: CEILINGS, passMark: 75 });
    await room.educator.post(`/api/assignments/${open}/regrade`, former!).expect(202);
    await finished(open);
    expect(await pointsOf()).toEqual(was);
  });

  it('takes only exercises of the class that somebody has handed in, and only from who leads it', async () => {
    for (const id of [untouched, freshId()]) {
      const { body } = await room.educator.post(path(), { assignmentIds: [id] }).expect(422);
      expect(body.error.fields[0].path).toBe('assignmentIds');
    }
    await room.educator.post(path(), { assignmentIds: [] }).expect(422);
    for (const page of [room.otherEducator, room.student])
      for (const [where, body] of [
        ['/preview', {}],
        ['', { assignmentIds: [open] }],
      ] as const)
        expect([403, 404]).toContain((await page.post(path(where), body)).status);
  });

  it('takes no ceilings that rise with a worse head or a decision more', async () => {
    const bad = { ...CEILINGS, near: [90, 95, 55, 40] };
    const { body } = await putRules({ ceilings: bad }).expect(422);
    expect(body.error.fields[0].path).toBe('ceilings.near.1');
  });
});
