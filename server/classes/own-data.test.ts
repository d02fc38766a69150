import type { EducatorAssignment } from '@cimbel/contract';
import { ask, assignmentBody, freshId, inClassroom, TEST_BODY } from '../testing/harness';

const { h, room } = inClassroom();
const mine = async () => (await room.student.get('/api/account/data.json').expect(200)).body;

/** Hands in the model answer with another strength, so that something is found, and has a mark changed. */
async function handedIn(set: object = {}): Promise<string> {
  const { id } = (
    await room.educator.post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, set)).expect(201)
  ).body as { id: string };
  const { modelAnswer } = (await room.educator.get(`/api/assignments/${id}`)).body as EducatorAssignment;
  const { card } = modelAnswer;
  await ask(room.student, id, card);
  const answer = {
    ...card,
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      developer: bowl.developer.map((part) => ({ ...part, vol: 40 })),
    })),
  };
  await room.student.post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer }).expect(200);
  const attempt = await h.db('attempts').where({ assignment_id: id }).first();
  await room.educator
    .post(`/api/attempts/${attempt.id}/mark-changes`, {
      criterion: 'developer',
      points: 1,
      reason: 'Told why.',
    })
    .expect(201);
  return id;
}

describe('what a student takes along of what is kept', () => {
  it('holds no marks, nor what was found, before they are out, and says what is held back', async () => {
    const id = await handedIn();
    const before = await mine();
    const [attempt] = before.attempts.filter((row: { assignment_id: string }) => row.assignment_id === id);
    expect(attempt).toMatchObject({ grade: null, before: null });
    expect(attempt.answer.bowls.length).toBeGreaterThan(0);
    expect(before.mark_changes).toEqual([]);
    expect(before.held_back.attempts).toEqual([attempt.id]);
    const text = JSON.stringify(before);
    for (const telling of ['"findings"', '"expected"', 'mark.developer', 'Told why.'])
      expect(text).not.toContain(telling);

    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    const after = await mine();
    const [shown] = after.attempts.filter((row: { assignment_id: string }) => row.assignment_id === id);
    expect(shown.grade.criteria.length).toBeGreaterThan(0);
    expect(after.mark_changes).toHaveLength(1);
    expect(after.held_back.attempts).toEqual([]);
  });

  it('holds none between attempts either, where all of them come first', async () => {
    const id = await handedIn({ release: 'onSubmit', attempts: 2 });
    const { attempts } = await mine();
    const [first] = attempts.filter((row: { assignment_id: string }) => row.assignment_id === id);
    expect(first.grade).toBeNull();
  });

  it('holds no question of a reading test that is under way, and no score before it is told', async () => {
    const ofSitting = (rows: { id?: string; sitting_id?: string }[], id: string) =>
      rows.filter((row) => row.id === id || row.sitting_id === id);
    const running = await mine();
    expect(ofSitting(running.sittings, room.sittingId)).toEqual([
      expect.objectContaining({ id: room.sittingId, items: null }),
    ]);
    expect(running.held_back.sittings).toContain(room.sittingId);
    expect(JSON.stringify(running.sittings)).not.toContain('"seed"');
    // Ended, and its answers are told at the end.
    await h.db('sittings').where({ id: room.sittingId }).update({ finished_at: h.clock.now });
    const ended = await mine();
    expect(ofSitting(ended.sittings, room.sittingId)).toEqual([
      expect.objectContaining({ items: expect.any(Array) }),
    ]);
    // Told on release only: held back till then.
    await h
      .db('reading_tests')
      .where({ id: room.testId })
      .update({ feedback: 'onRelease', released_at: null });
    expect(TEST_BODY.feedback).toBe('atEnd');
    expect((await mine()).held_back.sittings).toContain(room.sittingId);
  });

  it('is whole for those who lead the class', async () => {
    const { body } = await room.educator
      .get(`/api/classes/${room.classId}/students/${room.student.account.id}/data.json`)
      .expect(200);
    expect(body.attempts.every(({ grade }: { grade: unknown }) => grade !== null)).toBe(true);
    expect(body.sittings.every(({ items }: { items: unknown }) => Array.isArray(items))).toBe(true);
    expect(body.held_back).toBeUndefined();
  });
});
