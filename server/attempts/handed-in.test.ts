import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { randomUUID } from 'node:crypto';
import { handIn, saveDraft } from './store';
import { assignmentFor, type AssignmentForMe } from '../assignments/access';
import { hereAndNow } from '../jobs/heavy';
import { ask, classroom, harness, type Harness } from '../testing/harness';

describe('what is handed in', () => {
  let h: Harness;
  let room: Awaited<ReturnType<typeof classroom>>;
  let assignment: AssignmentForMe;
  let modelCard: RecordCard;
  const studentId = () => room.student.account.id;
  const fresh = () => h.db('attempts').where({ assignment_id: assignment.id }).delete();
  const draft = (writer: string, version = 0): Parameters<typeof saveDraft>[3] => ({
    answer: { ...EMPTY_CARD, visits: 2 },
    version,
    writer,
    attempt: 1,
  });
  beforeAll(async () => {
    h = await harness();
    room = await classroom(h);
    assignment = (await assignmentFor(h.db, room.assignmentId, studentId()))!;
    modelCard = assignment.model_answer.card;
    await ask(room.student, room.assignmentId, modelCard);
  }, 60_000);
  afterAll(() => h.close());

  it('is not written over by a first draft that arrives with it, in any order', async () => {
    for (let i = 0; i < 60; i++) {
      await fresh();
      const sent = { id: randomUUID(), answer: modelCard, attempt: 1 };
      const both = [
        () => handIn(h.db, hereAndNow, assignment, studentId(), sent, h.clock.now),
        () => saveDraft(h.db, assignment, studentId(), draft('tab'), h.clock.now).catch(() => null),
      ];
      await Promise.all((i % 2 === 0 ? both : [...both].reverse()).map((send) => send()));
      const [kept] = await h.db('attempts').where({ assignment_id: assignment.id });
      expect(kept.answer).toEqual(modelCard);
      expect(kept.submission_id).toBe(sent.id);
      expect(kept.grade.points).toBe(kept.grade.max);
    }
  }, 60_000);

  it('is frozen in the database, whoever asks; a grade may be made again', async () => {
    await fresh();
    const { id } = await handIn(
      h.db,
      hereAndNow,
      assignment,
      studentId(),
      { id: randomUUID(), answer: modelCard, attempt: 1 },
      h.clock.now,
    );
    const change = (columns: object) => h.db('attempts').where({ id }).update(columns);
    for (const columns of [
      { answer: JSON.stringify(EMPTY_CARD) },
      { submission_id: randomUUID() },
      { submitted_at: null },
      { student_id: room.classmate.account.id },
    ])
      await expect(change(columns)).rejects.toThrow('has been handed in');
    await change({ grade: JSON.stringify({ points: 1 }) });
    await expect(saveDraft(h.db, assignment, studentId(), draft('late', 99), h.clock.now)).rejects.toThrow(
      'handed in',
    );
  });

  it('two writers: the first of a version is kept, the second is told; one writer may repeat itself', async () => {
    await fresh();
    const write = (writer: string, version: number) =>
      saveDraft(h.db, assignment, studentId(), draft(writer, version), h.clock.now).then(
        ({ version: now }) => now,
        ({ code }: { code: string }) => code,
      );
    expect(await write('one', 0)).toBe(1);
    const both = await Promise.all([write('one', 1), write('two', 1)]);
    expect(both.filter((one) => one === 2)).toHaveLength(1);
    const after = both.find((one) => one !== 2)!;
    expect(['attempt.newerElsewhere', 3]).toContain(after);
    expect(await write('three', 0)).toBe('attempt.newerElsewhere');
  });

  it('is not gone over by a save of its own writer that was long on its way', async () => {
    await fresh();
    const write = (sequence: number, visits: number) => {
      const written = draft('one', 9);
      return saveDraft(
        h.db,
        assignment,
        studentId(),
        { ...written, answer: { ...written.answer, visits }, version: 0, sequence },
        h.clock.now,
      );
    };
    const visitsNow = async () =>
      (await h.db('attempts').where({ student_id: studentId() }).orderBy('number', 'desc').first()).answer
        .visits;
    await write(5, 1);
    await write(7, 3);
    // Answered as saved: what came after it is what its writer wants.
    await write(6, 2);
    expect(await visitsNow()).toBe(3);
    await write(8, 4);
    expect(await visitsNow()).toBe(4);
  });

  it('is not taken from a device that has not seen what another has written since', async () => {
    await fresh();
    await saveDraft(h.db, assignment, studentId(), draft('one', 0), h.clock.now);
    await saveDraft(h.db, assignment, studentId(), draft('two', 1), h.clock.now);
    const handIn = (version: number, writer: string) =>
      room.student.post(`/api/my/assignments/${room.assignmentId}/submission`, {
        id: randomUUID(),
        answer: modelCard,
        attempt: 1,
        seen: { version, writer },
      });
    const { body } = await handIn(1, 'one').expect(409);
    expect(body.error.code).toBe('attempt.newerElsewhere');
    await handIn(1, 'two').expect(200);
  });

  it('is not taken for marks once the model answer is out', async () => {
    await fresh();
    await room.educator.patch(`/api/assignments/${room.assignmentId}`, { released: true }).expect(200);
    const mine = `/api/my/assignments/${room.assignmentId}`;
    expect((await room.student.get(mine).expect(200)).body.closed).toBe(true);
    const { body } = await room.student
      .post(`${mine}/submission`, { id: randomUUID(), answer: modelCard, attempt: 1 })
      .expect(409);
    expect(body.error.code).toBe('attempt.closed');
    await room.educator.patch(`/api/assignments/${room.assignmentId}`, { released: false }).expect(200);
    await room.student
      .post(`${mine}/submission`, { id: randomUUID(), answer: modelCard, attempt: 1 })
      .expect(200);
  });
});
