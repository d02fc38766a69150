import type { RecordCard } from '@cimbel/core/card';
import { randomUUID } from 'node:crypto';
import type { AssignmentRow } from '../assignments/row';
import { ask, assignmentBody, classroom, harness, type Harness } from '../testing/harness';
import { digestOf } from './store';

describe('what a student asked and tested', () => {
  let h: Harness;
  let room: Awaited<ReturnType<typeof classroom>>;
  let modelCard: AssignmentRow['model_answer']['card'];
  const mine = (path: string) => `/api/my/assignments/${room.assignmentId}${path}`;
  const safetyOf = async (studentId: string) => {
    const { grade } = await h
      .db('attempts')
      .where({ assignment_id: room.assignmentId, student_id: studentId })
      .first('grade');
    return grade.criteria.find(({ criterion }: { criterion: string }) => criterion === 'safety');
  };
  beforeAll(async () => {
    h = await harness();
    room = await classroom(h);
    ({
      model_answer: { card: modelCard },
    } = await h.db('assignments').where({ id: room.assignmentId }).first('model_answer'));
  }, 60_000);
  afterAll(() => h.close());

  it('is what the server told, not what the card says of it', async () => {
    await room.classmate.post(mine('/submission'), { id: randomUUID(), answer: modelCard }).expect(200);
    const forged = await safetyOf(room.classmate.account.id);
    expect(forged.points).toBeLessThan(forged.max);
    expect(JSON.stringify(forged.findings)).toContain('mark.safety.notAsked');

    await ask(room.student, room.assignmentId, modelCard);
    const { body } = await room.student
      .post(mine('/submission'), { id: randomUUID(), answer: modelCard })
      .expect(200);
    const asked = await safetyOf(room.student.account.id);
    expect(asked.points).toBe(asked.max);
    expect(body.receipt).toEqual({
      number: expect.any(Number),
      digest: expect.stringMatching(/^[0-9a-f]{64}$/),
    });
  });

  it('stands on a draft that never said so, and is told again with it', async () => {
    const { id } = await h.db('assignments').where({ id: room.assignmentId }).first('id');
    const other = (
      await room.educator.post(`/api/classes/${room.classId}/assignments`, {
        ...assignmentBody(),
      })
    ).body.id;
    expect(other).not.toBe(id);
    const at = (path: string) => `/api/my/assignments/${other}${path}`;
    const empty = { ...modelCard, asked: [], tests: [], bowls: [], steps: [], care: [] };
    await ask(room.student, other, { asked: ['reactions'], tests: [] });
    const forging = { ...empty, asked: ['scalp'] };
    await room.student.put(at('/draft'), { answer: forging, version: 0, writer: 'one' }).expect(200);
    const { body } = await room.student.get(at('')).expect(200);
    expect(body.draft.answer.asked).toEqual(['reactions']);
    expect(Object.keys(body.reveals)).toEqual(['reactions']);
  });

  it('has a receipt that both sides show, that is of this very answer, and that nothing can change', async () => {
    const row = await h
      .db('attempts')
      .where({ assignment_id: room.assignmentId, student_id: room.student.account.id })
      .first();
    const { receipt } = (await room.student.get(mine('')).expect(200)).body;
    const review = (await room.educator.get(`/api/attempts/${row.id}`).expect(200)).body;
    expect(review.receipt).toEqual(receipt);
    expect(receipt.number).toBe(Number(row.receipt));
    const other = await h
      .db('attempts')
      .where({ student_id: room.classmate.account.id })
      .first('receipt', 'digest');
    expect(other.receipt).not.toBe(row.receipt);
    expect(other.digest).not.toBe(row.digest);
    // Worked out anew from what is kept it is the same, and of anything else it is another.
    const anew = (answer: object) => digestOf(row.submission_id, row.submitted_at, answer as RecordCard);
    expect(anew(row.answer)).toBe(row.digest);
    expect(anew({ ...row.answer, visits: 7 })).not.toBe(row.digest);
    for (const change of [{ digest: 'other' }, { receipt: 999 }])
      await expect(h.db('attempts').where({ id: row.id }).update(change)).rejects.toThrow('handed in');
  });
});
