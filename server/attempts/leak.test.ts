import { shippedCase } from '@cimbel/core/cases';
import type { ClientCase } from '@cimbel/core/case';
import { LIGHTS } from '@cimbel/core/colour';
import { shownLook } from '@cimbel/core/exercise';
import { EYE_GRAIN, TRACE } from '@cimbel/core/draw';
import fc from 'fast-check';
import { assignmentBody, inClassroom } from '../testing/harness';

const { h, room } = inClassroom();

/** All that a student's browser can be sent of an exercise that is open. A response that is added is added here. */
const RESPONSES: Record<string, (id: string) => PromiseLike<{ body: unknown }>> = {
  list: () => room.student.get('/api/my/assignments'),
  exercise: (id) => room.student.get(`/api/my/assignments/${id}`),
  'what is asked': (id) => room.student.post(`/api/my/assignments/${id}/reveal`, { question: 'reactions' }),
  'what is kept of me': () => room.student.get('/api/account/data.json'),
  'before the clock runs': (id) =>
    room.student.post(`/api/my/assignments/${id}/simulation`, { bowls: [], steps: [] }),
  picture: (id) =>
    room.student
      .get(`/api/my/assignments/${id}/picture?light=warmLamp&region=0&size=listed`)
      .buffer()
      .expect('Content-Type', 'image/png'),
};

const everything = async (id: string) => {
  const bodies: Record<string, unknown> = {};
  for (const [name, ask] of Object.entries(RESPONSES)) bodies[name] = (await ask(id)).body;
  return bodies;
};

const eyeSees = (id: string, clientCase: ClientCase) =>
  JSON.stringify(LIGHTS.map((light) => shownLook({ id, clientCase }, light, 0)));

/** The head with its zones a little off in what only an instrument could tell: level and share of white. */
const nearly = ({ head, ...rest }: ClientCase, level: number, white: number): ClientCase => ({
  ...rest,
  head: {
    ...head,
    zones: head.zones.map((zone) => ({
      ...zone,
      naturalLevel: Math.round((zone.naturalLevel + level) * 1000) / 1000,
      greyShare: Math.max(0, zone.greyShare + white),
    })),
  },
});

const numbersIn = (value: unknown, name = ''): { name: string; value: number }[] =>
  typeof value === 'number'
    ? [{ name, value }]
    : typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, one]) => numbersIn(one, key))
      : [];
const isMultiple = (value: number, grain: number) =>
  Math.abs(value / grain - Math.round(value / grain)) < 1e-6;

describe('what a student is sent of an open exercise', () => {
  it.each(['retouch-grey', 'half-grey-gold', 'first-blonde'])(
    'is the same, to the byte, for heads that no eye tells from %s',
    async (caseId) => {
      expect(shippedCase(caseId)).toBeDefined();
      const { id } = (
        await room.educator
          .post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, {}, caseId))
          .expect(201)
      ).body as { id: string };
      const { client_case: clientCase } = await h.db('assignments').where({ id }).first();
      const sent = await everything(id);
      const twins = fc
        .sample(
          fc.tuple(
            fc.double({ min: -0.12, max: 0.12, noNaN: true }),
            fc.double({ min: -0.02, max: 0.02, noNaN: true }),
          ),
          { numRuns: 200, seed: 7 },
        )
        .map(([level, white]) => nearly(clientCase, level, white))
        .filter((twin) => eyeSees(id, twin) === eyeSees(id, clientCase))
        .slice(0, 3);
      expect(twins.length).toBeGreaterThan(0);
      for (const twin of twins) {
        await h
          .db('assignments')
          .where({ id })
          .update({ client_case: JSON.stringify(twin) });
        expect(await everything(id)).toEqual(sent);
      }
      await room.educator.delete(`/api/assignments/${id}`).expect(200);
    },
  );

  it('tells of hair on the clock no more than the eye sees, whatever is put on', async () => {
    const { model_answer } = await h.db('assignments').where({ id: room.assignmentId }).first();
    const { bowls, steps } = model_answer.card;
    const { body } = await room.student
      .post(`/api/my/assignments/${room.assignmentId}/simulation`, { bowls, steps })
      .expect(200);
    expect(body.frames.length).toBeGreaterThan(20);
    for (const { strands } of body.frames) {
      const numbers = numbersIn(strands);
      const of = (...names: string[]) => numbers.filter(({ name }) => names.includes(name));
      for (const { value } of of('l', 'a', 'b')) expect(isMultiple(value, EYE_GRAIN.colour)).toBe(true);
      for (const { value } of of('greyShare'))
        expect(value === TRACE.shown || isMultiple(value, EYE_GRAIN.share)).toBe(true);
      for (const { value } of of('shine')) expect(isMultiple(value, EYE_GRAIN.shine)).toBe(true);
      for (const { value } of of('frizz', 'limp', 'broken', 'split'))
        expect(isMultiple(value, 0.025)).toBe(true);
    }
  });

  it('hangs hair as pictures, with no figure that they are drawn of', async () => {
    const { body } = await room.student.get(`/api/my/assignments/${room.assignmentId}`).expect(200);
    for (const { now } of Object.values(body.lit) as { now: object[] }[])
      for (const hair of now) expect(Object.keys(hair).sort()).toEqual(['form', 'root', 'src']);
    const picture = (query: string) =>
      room.student.get(`/api/my/assignments/${room.assignmentId}/picture?${query}`);
    await picture('light=daylight&region=0&size=strand&ratio=2').expect(200);
    await picture('light=daylight&region=9&size=strand').expect(404);
    await picture('light=daylight&region=0&size=huge').expect(422);
    await room.stranger
      .get(`/api/my/assignments/${room.assignmentId}/picture?light=daylight&region=0&size=strand`)
      .expect(404);
  });
});
