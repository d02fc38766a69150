import { assignmentBody, freshId, inClassroom } from '../testing/harness';

const { h, room } = inClassroom();

/** An assignment with so many plays, and the card that is its model answer. */
async function assigned(plays?: number) {
  const { id } = (
    await room.educator
      .post(
        `/api/classes/${room.classId}/assignments`,
        assignmentBody({}, plays === undefined ? {} : { plays }),
      )
      .expect(201)
  ).body as { id: string };
  const { model_answer } = await h.db('assignments').where({ id }).first();
  const { bowls, steps } = model_answer.card;
  const played = (minutes: number) => ({
    bowls,
    steps: steps.map((step: object) => ({ ...step, minutes })),
  });
  const play = (minutes: number) =>
    room.student.post(`/api/my/assignments/${id}/simulation`, played(minutes));
  return { id, bowls, steps, play };
}
const playsOf = async (id: string) => (await room.student.get(`/api/my/assignments/${id}`)).body.plays;

describe('plays of a card on its head', () => {
  it('are thirty where nothing else is said', async () => {
    const { id } = await assigned();
    expect(await playsOf(id)).toEqual({ used: 0, allowed: 30 });
  });

  it('are counted by card, told, and at an end when they are used; what was played is looked at again', async () => {
    const { id, play } = await assigned(2);
    const first = (await play(20).expect(200)).body;
    expect(first.plays).toEqual({ used: 1, allowed: 2 });
    expect((await play(20).expect(200)).body).toEqual(first);
    expect((await play(25).expect(200)).body.plays).toEqual({ used: 2, allowed: 2 });
    expect((await play(30).expect(409)).body.error.code).toBe('plays.spent');
    expect((await play(20).expect(200)).body.frames).toEqual(first.frames);
    expect(await playsOf(id)).toEqual({ used: 2, allowed: 2 });
    // Nothing on the hair is no play.
    await room.student.post(`/api/my/assignments/${id}/simulation`, { bowls: [], steps: [] }).expect(200);
  });

  it('are never more than there are, however many are asked for at once', async () => {
    const { id, play } = await assigned(3);
    const answers = await Promise.all(Array.from({ length: 9 }, (_, i) => play(20 + i)));
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(3);
    for (const { status, body } of answers)
      if (status !== 200) {
        expect(status).toBe(409);
        expect(body.frames).toBeUndefined();
      }
    expect(await playsOf(id)).toEqual({ used: 3, allowed: 3 });
  });

  it('do not count what could not be played', async () => {
    const { id, bowls, steps } = await assigned(1);
    await room.student
      .post(`/api/my/assignments/${id}/simulation`, { bowls: [{ ...bowls[0], lineId: 'unknown' }], steps })
      .expect(422);
    expect(await playsOf(id)).toEqual({ used: 0, allowed: 1 });
  });

  it('stand beside the answer for the educator, and go with what is kept of a student', async () => {
    const { id, play } = await assigned(5);
    await play(20).expect(200);
    await play(22).expect(200);
    const { model_answer } = await h.db('assignments').where({ id }).first();
    await room.student
      .post(`/api/my/assignments/${id}/submission`, { id: freshId(), answer: model_answer.card })
      .expect(200);
    const attempt = await h.db('attempts').where({ assignment_id: id }).first();
    const { body } = await room.educator.get(`/api/attempts/${attempt.id}`).expect(200);
    expect(body.plays).toEqual({ used: 2, allowed: 5 });
    const data = (await room.student.get('/api/account/data.json').expect(200)).body;
    expect(data.plays.filter((row: { assignment_id: string }) => row.assignment_id === id)).toHaveLength(2);
  });

  it.each([0, 201, 2.5])('cannot be set to %s', async (plays) => {
    const { body } = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, { plays }))
      .expect(422);
    expect(body.error.fields[0].path).toBe('plays');
  });
});
