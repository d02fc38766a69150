import { shippedCase } from '@cimbel/core/cases';
import { markCard } from '@cimbel/core/mark';
import { CARD_STEPS } from '@cimbel/core/exercise';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import type { ModelAnswer } from '@cimbel/core/solve';
import type { EducatorAssignment, Exercise } from '@cimbel/contract';
import { randomUUID } from 'node:crypto';
import { ask, classroom, harness, freshId, assignmentBody, type Harness } from '../testing/harness';

let h: Harness;
let room: Awaited<ReturnType<typeof classroom>>;
let modelCard: RecordCard;
const mine = (rest = '') => `/api/my/assignments/${room.assignmentId}${rest}`;
const theirs = async (): Promise<EducatorAssignment> =>
  (await room.educator.get(`/api/assignments/${room.assignmentId}`).expect(200)).body;

beforeAll(async () => {
  h = await harness();
  room = await classroom(h);
  modelCard = (await theirs()).modelAnswer.card;
}, 60_000);
afterAll(() => h.close());

describe('setting a exercise', () => {
  it('refuses what no line at hand can do, with the reason, and lines and times that are none', async () => {
    const clientCase = { ...shippedCase('first-blonde')!.clientCase, lineIds: ['quillet'] };
    const refused = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase }))
      .expect(422);
    expect(refused.body.error).toMatchObject({ code: 'exercise.noAnswer' });
    expect(refused.body.error.reasons.length).toBeGreaterThan(0);
    const unknown = { ...clientCase, lineIds: ['nowhere'] };
    const line = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase: unknown }))
      .expect(422);
    expect(line.body.error.fields[0].path).toBe('exercise.clientCase.lineIds.0');
    const past = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, { dueAt: '2026-03-01T18:00:00Z' }))
      .expect(422);
    expect(past.body.error.fields[0].path).toBe('dueAt');
  });
});

describe('an exercise of one’s own', () => {
  const content = assignmentBody().exercise;
  const mineNow = async (): Promise<Exercise[]> =>
    (await room.educator.get('/api/exercises').expect(200)).body;

  it('is kept as a draft, changed, set to a class, and then kept as long as it is set', async () => {
    const draft = { ...content, title: 'Half thought out' };
    const { id } = (await room.educator.post('/api/exercises', draft).expect(201)).body;
    const mine = (await mineNow()).find((exercise) => exercise.id === id);
    expect(mine).toMatchObject({ title: 'Half thought out', assignments: 0 });
    await room.educator.put(`/api/exercises/${id}`, { ...draft, title: 'Thought out' }).expect(200);
    const body = { ...assignmentBody({ title: 'Thought out' }), exerciseId: id };
    const set = await room.educator.post(`/api/classes/${room.classId}/assignments`, body).expect(201);
    expect((await mineNow()).find((exercise) => exercise.id === id)).toMatchObject({ assignments: 1 });
    const refused = await room.educator.delete(`/api/exercises/${id}`).expect(409);
    expect(refused.body.error.code).toBe('exercise.assigned');
    await room.educator.delete(`/api/assignments/${set.body.id}`).expect(200);
    await room.educator.delete(`/api/exercises/${id}`).expect(200);
    expect((await mineNow()).map((exercise) => exercise.id)).not.toContain(id);
  });

  it('of somebody else cannot be set', async () => {
    const { id } = (await room.otherEducator.post('/api/exercises', content).expect(201)).body;
    const body = { ...assignmentBody(), exerciseId: id };
    const refused = await room.educator.post(`/api/classes/${room.classId}/assignments`, body).expect(422);
    expect(refused.body.error.fields[0].path).toBe('exerciseId');
  });

  it('that is set is changed while nobody has begun, with an answer of its own; then no more', async () => {
    const made = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ title: 'To be changed' }))
      .expect(201);
    const at = `/api/assignments/${made.body.id}`;
    const page = async (): Promise<EducatorAssignment> => (await room.educator.get(at).expect(200)).body;
    expect(await page()).toMatchObject({ editable: true });
    const gloss = assignmentBody({}, {}, 'golden-gloss').exercise;
    await room.educator.put(`${at}/exercise`, { ...gloss, title: 'Changed' }).expect(200);
    const changed = await page();
    expect(changed.title).toBe('Changed');
    expect(changed.modelAnswer.clientCase.title).toBe(gloss.clientCase.title);
    expect(await mineNow()).toContainEqual(expect.objectContaining({ title: 'Changed', assignments: 1 }));
    await room.student
      .put(`/api/my/assignments/${made.body.id}/draft`, { answer: EMPTY_CARD, version: 0, writer: 'a' })
      .expect(200);
    const refused = await room.educator.put(`${at}/exercise`, content).expect(409);
    expect(refused.body.error.code).toBe('exercise.begun');
    expect(await page()).toMatchObject({ editable: false, title: 'Changed' });
  });
});

describe('a card to be put right, and the developer alone', () => {
  const setOne = async (change: object): Promise<string> => {
    const { body } = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody(change))
      .expect(201);
    return body.id;
  };

  it('hands out the card with its slip, never which it is, until the result is released', async () => {
    const id = await setOne({ open: [...CARD_STEPS], slip: 'ratioTurned', rubric: { ratio: 2 } });
    const { body } = await room.student.get(`/api/my/assignments/${id}`).expect(200);
    expect(body).toMatchObject({ toCorrect: true, draft: null });
    expect(JSON.stringify(body)).not.toContain('ratioTurned');
    expect(body.given.bowls).not.toEqual(modelCard.bowls);
    const hand = (answer: RecordCard) =>
      room.student.post(`/api/my/assignments/${id}/submission`, { id: randomUUID(), answer });
    await hand({ ...body.given, bowls: modelCard.bowls }).expect(200);
    await room.student.get(`/api/my/assignments/${id}/result`).expect(403);
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    const result = await room.student.get(`/api/my/assignments/${id}/result`).expect(200);
    expect(result.body).toMatchObject({ slip: 'ratioTurned', grade: { points: 2, max: 2 } });
  });

  it('is refused where the case leaves no room for the slip', async () => {
    const { body } = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ slip: 'noFiller' }))
      .expect(422);
    expect(body.error.fields[0].path).toBe('exercise.slip');
  });

  it('gives bowls without their developer, and marks what is poured', async () => {
    const id = await setOne({ open: ['developer'], rubric: { developer: 4, ratio: 2 } });
    const { body } = await room.student.get(`/api/my/assignments/${id}`).expect(200);
    expect(body.given.bowls.map(({ developer }: { developer: unknown[] }) => developer)).toEqual([[], []]);
    const answer = { ...EMPTY_CARD, bowls: modelCard.bowls };
    await room.student.post(`/api/my/assignments/${id}/submission`, { id: randomUUID(), answer }).expect(200);
    const page = (await room.educator.get(`/api/assignments/${id}`).expect(200)).body as EducatorAssignment;
    expect(page.rows.find(({ studentId }) => studentId === room.student.account.id)).toMatchObject({
      points: 6,
    });
    const csv = await room.educator.get(`/api/assignments/${id}/answers.csv`).expect(200);
    expect(csv.headers['content-type']).toContain('text/csv');
    expect(csv.text).toContain('developer_points,ratio_points');
  });

  it('refuses a level that the class has no number for', async () => {
    const { clientCase } = shippedCase('retouch-grey')!;
    const pale = {
      ...clientCase,
      wish: { ...clientCase.wish, ends: { level: 11, tone: { primary: 'gold' } } },
    };
    const { body } = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase: pale }))
      .expect(422);
    expect(body.error.reasons).toMatchObject([{ code: 'solve.beyondScale' }]);
  });
});

describe('a student at the bench', () => {
  it('is sent how the head looks, never its figures or the solution', async () => {
    const { body } = await room.student.get(mine()).expect(200);
    const text = JSON.stringify(body);
    for (const secret of [
      'naturalLevel',
      'history',
      'damage',
      'equivalents',
      'modelAnswer',
      'techniques',
      'facts',
    ])
      expect(text).not.toContain(secret);
    expect(body.given).toEqual(EMPTY_CARD);
    const places = body.regions.flatMap(({ zones }: { zones: { zone: string }[] }) => zones);
    expect(places.map(({ zone }: { zone: string }) => zone)).toEqual(['regrowth', 'mids', 'ends']);
  });

  it('learns what the client knows by asking, and finds it again after a reload', async () => {
    const asked = await room.student.post(mine('/reveal'), { question: 'lastColour' }).expect(200);
    expect(asked.body.reasons.map(({ code }: { code: string }) => code)).toEqual([
      'reveal.layer.none',
      'reveal.layer.permanent',
      'reveal.layer.permanent',
      'reveal.lastWeeks',
    ]);
    const test = await room.student.post(mine('/reveal'), { test: 'elasticity' }).expect(200);
    expect(test.body.reasons[0]).toMatchObject({
      code: 'reveal.elasticity.returns',
      params: { zone: 'regrowth' },
    });
    const answer = { ...EMPTY_CARD, asked: ['reactions'], tests: ['patch'] };
    await room.student.put(mine('/draft'), { answer, version: 0, writer: 'one' }).expect(200);
    const { body } = await room.student.get(mine()).expect(200);
    // What the server told, not what the card says of it.
    expect(Object.keys(body.reveals)).toEqual(['lastColour', 'elasticity']);
    expect(body.draft.answer).toEqual({ ...answer, asked: ['lastColour'], tests: ['elasticity'] });
  });

  it('plays a plan as the eye would see it: covered while it lies, other when it is rinsed', async () => {
    const { body } = await room.student
      .post(mine('/simulation'), { bowls: modelCard.bowls, steps: modelCard.steps })
      .expect(200);
    expect(body.frames).toHaveLength(body.minutes + 1);
    expect(body.frames[20].covered).toEqual({ regrowth: 'cream' });
    const last = body.frames[body.minutes];
    expect(last.covered).toEqual({});
    expect(last.failing).toEqual([]);
    expect(last.strands[0].zones[0].colour).not.toEqual(body.frames[0].strands[0].zones[0].colour);
    expect(JSON.stringify(body)).not.toContain('naturalLevel');
  });

  it('is told of a slip of typing now, not marked for it', async () => {
    const wrong = (change: Partial<RecordCard>) => ({ id: freshId(), answer: { ...modelCard, ...change } });
    const path = async (body: object) =>
      (await room.classmate.post(mine('/submission'), body).expect(422)).body.error.fields[0].path;
    expect(
      await path(wrong({ bowls: [{ ...modelCard.bowls[0], shades: [{ label: '5:x', grams: 9 }] }] })),
    ).toBe('answer.bowls.0.shades.0.label');
    expect(await path(wrong({ bowls: [] }))).toBe('answer.steps.0.bowl');
    expect(await path(wrong({ bowls: [modelCard.bowls[0], modelCard.bowls[0]] }))).toBe(
      'answer.bowls.1.name',
    );
    expect(await path(wrong({ bowls: [{ ...modelCard.bowls[0], lineId: 'velm' }] }))).toBe(
      'answer.bowls.0.lineId',
    );
  });

  it('hands in once, sees the result when it is released, and no one else does', async () => {
    const id = freshId();
    await ask(room.student, room.assignmentId, modelCard);
    const sent = await room.student.post(mine('/submission'), { id, answer: modelCard }).expect(200);
    const again = await room.student.post(mine('/submission'), { id, answer: EMPTY_CARD }).expect(200);
    expect(again.body.submittedAt).toBe(sent.body.submittedAt);
    await room.student.post(mine('/submission'), { id: freshId(), answer: modelCard }).expect(409);
    await room.student.put(mine('/draft'), { answer: modelCard, version: 9, writer: 'one' }).expect(409);
    await room.student.get(mine('/result')).expect(403);
    await room.educator.patch(`/api/assignments/${room.assignmentId}`, { released: true }).expect(200);
    const { body } = await room.student.get(mine('/result')).expect(200);
    expect(body.grade.points).toBe(body.grade.max);
    await room.classmate.get(mine('/result')).expect(404);
    // Hidden again, or nobody could hand in any more.
    await room.educator.patch(`/api/assignments/${room.assignmentId}`, { released: false }).expect(200);
  });
});

describe('the educator', () => {
  it('reads plan by plan, and changes a mark with a reason', async () => {
    const wrong: RecordCard = {
      ...modelCard,
      bowls: modelCard.bowls.map((bowl) => ({ ...bowl, developer: [{ ...bowl.developer[0], vol: 40 }] })),
    };
    await ask(room.classmate, room.assignmentId, modelCard);
    await room.classmate.post(mine('/submission'), { id: freshId(), answer: wrong }).expect(200);
    const before = await theirs();
    const row = before.rows.find(({ studentId }) => studentId === room.classmate.account.id)!;
    expect(before.misconceptions).toContainEqual({ name: 'strongerThanNeeded', students: 1 });
    await room.educator
      .post(`/api/attempts/${row.attemptId}/mark-changes`, {
        criterion: 'developer',
        points: 4,
        reason: 'She said why in class.',
      })
      .expect(201);
    await room.educator
      .post(`/api/attempts/${row.attemptId}/mark-changes`, {
        criterion: 'ceiling',
        points: before.max,
        reason: 'She said why in class.',
      })
      .expect(201);
    const { body } = await room.educator.get(`/api/attempts/${row.attemptId}`).expect(200);
    expect(body.grade.points).toBeGreaterThan(row.points!);
    expect(body.changes).toHaveLength(2);
    expect([body.previousId, body.nextId].filter(Boolean)).toHaveLength(1);
    await room.educator
      .post(`/api/attempts/${row.attemptId}/mark-changes`, {
        criterion: 'ratio',
        points: 1,
        reason: 'Not marked here.',
      })
      .expect(422);
  });

  const finished = async () => {
    for (;;) {
      const { body } = await room.educator.get(`/api/assignments/${room.assignmentId}/regrade`).expect(200);
      if (body.regrade?.finished) return body.regrade;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };

  it('has answers marked again: to the letter by the same rubric, by another with the points it gives', async () => {
    const grades = () =>
      h.db('attempts').where({ assignment_id: room.assignmentId }).orderBy('id').pluck('grade');
    const before = await grades();
    const begun = await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`).expect(202);
    expect(begun.body.regrade).toEqual({ total: 2, done: 0, changed: 0, finished: false });
    expect(await finished()).toEqual({ total: 2, done: 2, changed: 0, finished: true });
    expect(await grades()).toEqual(before);
    await room.educator
      .post(`/api/assignments/${room.assignmentId}/regrade`, { rubric: { developer: 10 } })
      .expect(202);
    expect(await finished()).toEqual({ total: 2, done: 2, changed: 2, finished: true });
    expect((await grades()).map(({ max }) => max)).toEqual([10, 10]);
    // It can be taken back: what was marked by is known, and every grade that was replaced is kept.
    const { former } = await theirs();
    expect(former!.rubric).not.toEqual({ developer: 10 });
    await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`, former!).expect(202);
    await finished();
    expect(await grades()).toEqual(before);
    expect(await h.db('former_grades').select('grade')).toHaveLength(4);
    await room.educator
      .post(`/api/assignments/${room.assignmentId}/regrade`, { rubric: { developer: 10 } })
      .expect(202);
    await finished();
    // What was changed by hand stays.
    expect((await theirs()).rows.some(({ changed }) => changed)).toBe(true);
  });

  it('shows what another word would change before it is done, and takes a student’s plan as right', async () => {
    const path = `/api/assignments/${room.assignmentId}/regrade`;
    const attempts = () => h.db('attempts').where({ assignment_id: room.assignmentId }).orderBy('id');
    await h.db('mark_changes').delete();
    await room.educator.post(path, { rubric: { route: 20, developer: 20, timing: 20 } }).expect(202);
    await finished();
    const [low] = (await attempts()).sort((a, b) => a.grade.points - b.grade.points);
    expect(low.grade.points).toBeLessThan(low.grade.max);
    const was = (await attempts()).map(({ grade }) => grade);
    const { body: preview } = await room.educator.post(`${path}/preview`, { accept: low.id }).expect(200);
    expect(preview.total).toBe(2);
    expect(preview.changes).toContainEqual(
      expect.objectContaining({ attemptId: low.id, after: low.grade.max, max: low.grade.max }),
    );
    for (const { before, after } of preview.changes) expect(after).toBeGreaterThanOrEqual(before);
    expect((await attempts()).map(({ grade }) => grade)).toEqual(was);
    await room.educator.post(path, { accept: crypto.randomUUID() }).expect(422);
    await room.student.post(`${path}/preview`, { accept: low.id }).expect(403);
    await room.educator.post(path, { accept: low.id }).expect(202);
    await finished();
    const now = (await attempts()).find(({ id }) => id === low.id)!;
    expect(now.grade).toMatchObject({ points: now.grade.max, asAccepted: true });
    // The case knows it from now on.
    const { exercise_id: id } = await h
      .db('assignments')
      .where({ id: room.assignmentId })
      .first('exercise_id');
    const { judgement } = await h.db('exercises').where({ id }).first('judgement');
    expect(judgement.accepted).toHaveLength(1);
  });

  it('marks hundreds again in pieces, telling how far it has come', async () => {
    const row = await h.db('assignments').where({ id: room.assignmentId }).first();
    const student = await h.db('users').where({ role: 'student' }).first();
    const made = Array.from({ length: 300 }, (_, i) => ({ id: randomUUID(), name: `Student ${i}` }));
    await h
      .db('users')
      .insert(made.map(({ id, name }) => ({ ...student, id, name, email: `${id}@example.test` })));
    const modelAnswer: ModelAnswer = row.model_answer;
    const grade = markCard(
      {
        modelAnswer,
        rules: row.house_rules,
        rubric: { developer: 4 },
        lines: row.lines,
        open: row.open_steps,
      },
      modelCard,
    );
    await h.db('attempts').insert(
      made.map(({ id }) => ({
        assignment_id: room.assignmentId,
        student_id: id,
        answer: JSON.stringify(modelCard),
        writer: 'test',
        updated_at: h.clock.now,
        submission_id: randomUUID(),
        submitted_at: h.clock.now,
        grade: JSON.stringify(grade),
      })),
    );
    await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`).expect(202);
    await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`).expect(409);
    let done = 0;
    for (;;) {
      const { body } = await room.educator.get(`/api/assignments/${room.assignmentId}/regrade`).expect(200);
      expect(body.regrade.done).toBeGreaterThanOrEqual(done);
      done = body.regrade.done;
      if (body.regrade.finished) break;
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    expect(done).toBe(302);
    // Each piece is written by a transaction of its own, whoever looks on meanwhile.
    const pieces = await h
      .db('attempts')
      .where({ assignment_id: room.assignmentId })
      .countDistinct({ count: h.db.raw('xmin::text') })
      .first();
    expect(Number(pieces.count)).toBeGreaterThan(2);
    // A long run that still moves is not taken for lost; one that has stood still since is, and begins again.
    const minutesAgo = (minutes: number) => new Date(h.clock.now.getTime() - minutes * 60_000);
    const standing = (moved: Date) =>
      h
        .db('regrades')
        .where({ assignment_id: room.assignmentId })
        .update({ started_at: minutesAgo(10), moved_at: moved, finished_at: null });
    await standing(minutesAgo(0.5));
    await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`).expect(409);
    await standing(minutesAgo(5));
    await room.educator.post(`/api/assignments/${room.assignmentId}/regrade`).expect(202);
  }, 60_000);
});
