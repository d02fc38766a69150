import type { DrillAnswer, MyPractice, StudentReadingProfile } from '@cimbel/contract';
import {
  DRILL_EDITION,
  FULL_SCOPE,
  generate,
  PLAIN_CONTEXT,
  rightResponse,
  type ItemSpec,
} from '@cimbel/core/drill';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { assignmentBody, inClassroom, freshId, PRACTICE_BODY } from '../testing/harness';

const { h, room } = inClassroom();

const SPEC: ItemSpec = { skill: 'level', facet: 'mediumLevels', step: 2, seed: 7 };
const answered = (change: Partial<DrillAnswer> = {}): DrillAnswer => ({
  id: freshId(),
  classId: room.classId,
  practiceId: room.practiceId,
  edition: DRILL_EDITION,
  spec: SPEC,
  rules: DEFAULT_HOUSE_RULES,
  scope: FULL_SCOPE,
  ownLines: [],
  response: rightResponse(generate(SPEC, PLAIN_CONTEXT)),
  assisted: false,
  at: '2026-03-02T17:30:00.000Z',
  seconds: 30,
  ...change,
});
/** Some minutes after the device was last heard of. */
const send = (page: typeof room.student, ...answers: DrillAnswer[]) => {
  h.clock.now = new Date(h.clock.now.getTime() + 4 * 60_000);
  return page.post('/api/my/drill-answers', { answers });
};
const practiceOf = async (page: typeof room.student): Promise<MyPractice> =>
  (await page.get('/api/my/practice').expect(200)).body;

describe('answers from a device', () => {
  it('are kept once, however often they are sent', async () => {
    const drillAnswer = answered();
    await send(room.student, drillAnswer, answered({ seconds: 60 })).expect(200);
    const again = await send(room.student, drillAnswer).expect(200);
    expect(again.body).toEqual({ kept: [drillAnswer.id], refused: [] });
    const mine = await practiceOf(room.student);
    expect(mine.answers).toBe(2);
    expect(mine.minutesThisWeek).toBe(1.5);
    expect(mine.practices).toEqual([expect.objectContaining({ id: room.practiceId, minutesThisWeek: 1.5 })]);
    expect(mine.memory.facets['level mediumLevels'].card.reps).toBe(2);
  });

  it('count the time that can have passed, and are kept beyond it', async () => {
    const begun = h.clock.now.getTime();
    const weekOf = () => Array.from({ length: 40 }, () => answered({ seconds: 120 }));
    const sent = (answers: DrillAnswer[]) => room.student.post('/api/my/drill-answers', { answers });
    // What is left of the time before is counted once, however often it is asked for.
    await sent(weekOf()).expect(200);
    const before = (await practiceOf(room.student)).minutesThisWeek;
    const week = weekOf();
    expect((await sent(week).expect(200)).body.kept).toHaveLength(40);
    for (let i = 0; i < 20; i++) {
      await practiceOf(room.student);
      await sent(weekOf().slice(0, 2)).expect(200);
    }
    await Promise.all(Array.from({ length: 8 }, () => sent(weekOf().slice(0, 1)).expect(200)));
    expect((await practiceOf(room.student)).minutesThisWeek).toBeCloseTo(before, 6);
    // Three minutes later there are three minutes.
    h.clock.now = new Date(begun + 3 * 60_000);
    await Promise.all(Array.from({ length: 8 }, () => sent(weekOf().slice(0, 2)).expect(200)));
    expect((await practiceOf(room.student)).minutesThisWeek).toBeCloseTo(before + 3, 6);
    const [row] = await h.db('drill_answers').where({ id: week[39].id });
    expect(row).toMatchObject({ seconds: 0, claimed_seconds: 120 });
  });

  it('are marked here, whatever the device believes', async () => {
    const wrong = answered({ response: { kind: 'figure', value: 2 } });
    await send(room.classmate, { ...wrong, score: 1 } as DrillAnswer).expect(200);
    const row = await h.db('drill_answers').where({ id: wrong.id }).first();
    expect(row).toMatchObject({ score: 0, reading: { of: 'level', truth: 7, given: 2 } });
  });

  it('are refused for good, each with a reason, and the rest is kept', async () => {
    const drillAnswer = answered({ practiceId: freshId() });
    const cases: [DrillAnswer, string][] = [
      [answered({ spec: { ...SPEC, facet: '99' } }), 'noSuchItem'],
      [answered({ response: { kind: 'choice', index: 1 } }), 'noSuchItem'],
      [answered({ classId: freshId() }), 'notYours'],
      // From before the questions were asked anew: by the same spec another question is asked now.
      [answered({ edition: 1 }), 'olderEdition'],
    ];
    const body = (await send(room.classmate, ...cases.map(([a]) => a), drillAnswer).expect(200)).body;
    expect(body.kept).toEqual([drillAnswer.id]);
    expect(body.refused).toEqual(cases.map(([{ id }, code]) => ({ id, code })));
    // A practice that has ended takes nothing from the answer.
    expect((await h.db('drill_answers').where({ id: drillAnswer.id }).first()).practice_id).toBeNull();
    const taken = answered({ id: drillAnswer.id });
    expect((await send(room.student, taken)).body.refused).toEqual([{ id: drillAnswer.id, code: 'idTaken' }]);
    const malformed = await send(room.student, answered({ seconds: -1 }));
    expect([malformed.status, malformed.body.error.fields[0].path]).toEqual([422, 'answers.0.seconds']);
  });

  it('about a line of the college’s own are marked by the version the device had', async () => {
    const mine = await practiceOf(room.student);
    const [{ ownLines }] = mine.classes;
    const [own] = ownLines;
    expect(own.id).toMatch(/^book:/);
    const spec: ItemSpec = { skill: 'label', facet: `read:${own.id}`, step: 1, seed: 3 };
    const response = rightResponse(generate(spec, { ...PLAIN_CONTEXT, ownLines }));
    const drillAnswer = answered({ spec, response, ownLines: [{ id: own.id, version: own.version }] });
    // Without the line there is no such item; of another educator's books there is none either.
    const without = answered({ spec, response });
    const unknown = answered({ spec, response, ownLines: [{ id: `book:${freshId()}`, version: 1 }] });
    const body = (await send(room.student, drillAnswer, without, unknown).expect(200)).body;
    expect(body.kept).toEqual([drillAnswer.id]);
    expect(body.refused.map(({ code }: { code: string }) => code)).toEqual(['noSuchItem', 'noSuchItem']);
    const row = await h.db('drill_answers').where({ id: drillAnswer.id }).first();
    expect(row).toMatchObject({ score: 1, chance: 0.25 });
  });

  it('from a clock that runs ahead are of today, and old ones of their own day', async () => {
    const ahead = answered({ at: '2030-01-01T00:00:00.000Z' });
    const old = answered({ at: '2026-02-10T17:00:00.000Z' });
    await send(room.student, ahead, old).expect(200);
    const at = async ({ id }: DrillAnswer) => (await h.db('drill_answers').where({ id }).first()).answered_at;
    expect(await at(ahead)).toEqual(h.clock.now);
    expect(await at(old)).toEqual(new Date(old.at));
  });
});

describe('a practice', () => {
  it('is seen by the students of its class, and its answers outlive it', async () => {
    const id = (await room.educator.post(`/api/classes/${room.classId}/practices`, PRACTICE_BODY).expect(201))
      .body.id;
    expect((await practiceOf(room.classmate)).practices.map((p) => p.id)).toContain(id);
    expect((await practiceOf(room.stranger)).practices).toEqual([]);
    const drillAnswer = answered({ practiceId: id });
    await send(room.classmate, drillAnswer).expect(200);
    await room.educator.delete(`/api/practices/${id}`).expect(200);
    expect(await h.db('drill_answers').where({ id: drillAnswer.id }).first()).toMatchObject({
      practice_id: null,
      score: 1,
    });
  });

  it('names the field that cannot be', async () => {
    const refused = await room.educator.post(`/api/classes/${room.classId}/practices`, {
      ...PRACTICE_BODY,
      scope: { minLevel: 5, maxLevel: 6, lights: ['daylight'] },
    });
    expect(refused.body.error.fields).toEqual([
      expect.objectContaining({ path: 'scope.maxLevel', code: 'spanTooShort' }),
    ]);
  });
});

describe('the reading profile', () => {
  it('is the student’s own, and the educator sees what was done for the class', async () => {
    await send(room.student, answered({ classId: null, practiceId: null })).expect(200);
    const own = (await room.student.get('/api/my/reading-profile').expect(200)).body;
    const seen: StudentReadingProfile = (
      await room.educator
        .get(`/api/classes/${room.classId}/students/${room.student.account.id}/reading-profile`)
        .expect(200)
    ).body;
    expect(own.answers).toBe(seen.profile.answers + 1);
    expect(own.level.all).toMatchObject({ bias: 0, accuracy: 1 });
    expect(seen.studentName).toBe('Student');
    await room.educator
      .get(`/api/classes/${room.classId}/students/${room.stranger.account.id}/reading-profile`)
      .expect(404);
  });
});

describe('house rules', () => {
  it('hold for what is set from then on; what was set or answered keeps its own', async () => {
    const change = (rules: object) =>
      room.educator.put(`/api/classes/${room.classId}/house-rules`, { ...DEFAULT_HOUSE_RULES, ...rules });
    const rulesOf = async (id: string) =>
      (await h.db('assignments').where({ id }).first()).house_rules.greyShare;
    await change({ greyShare: 'oneToTwo', timerStarts: 'firstContact' }).expect(200);
    expect((await practiceOf(room.student)).classes[0].houseRules.greyShare).toBe('oneToTwo');
    const later = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ missesWish: true }))
      .expect(201);
    expect([await rulesOf(room.assignmentId), await rulesOf(later.body.id)]).toEqual(['stepped', 'oneToTwo']);

    // Practised under the old rule, sent after the change: marked as it was asked.
    const spec: ItemSpec = { skill: 'timing', facet: 'rinse', step: 1, seed: 3 };
    const waited = answered({ spec, response: rightResponse(generate(spec, PLAIN_CONTEXT)) });
    await send(room.student, waited).expect(200);
    expect((await h.db('drill_answers').where({ id: waited.id }).first()).score).toBe(1);

    const refused = await change({ greyShare: 'sometimes' });
    expect([refused.status, refused.body.error.fields[0].path]).toEqual([422, 'greyShare']);
    await change({}).expect(200);
  });
});
