import { shippedCase } from '@cimbel/core/cases';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, choicesOf } from '@cimbel/core/rules';
import { assignmentBody, inClassroom } from '../testing/harness';

const { room } = inClassroom();

const rules = () => `/api/classes/${room.classId}/house-rules`;
const put = (change: object) => room.educator.put(rules(), { ...DEFAULT_HOUSE_RULES, ...change });

describe('the house rules of a class', () => {
  it('take every choice of every rule, and keep it', async () => {
    for (const rule of HOUSE_RULES)
      for (const choice of choicesOf(rule)) {
        await put({ [rule]: choice }).expect(200);
        const { body } = await room.educator.get(`/api/classes/${room.classId}`).expect(200);
        expect(body.houseRules[rule]).toBe(choice);
      }
    await put({}).expect(200);
  });

  it.each([
    ['a choice nobody teaches', { levelScale: 'eleven' }, 'levelScale'],
    ['a rule that is none', { perms: 'yes' }, ''],
    ['a tolerance beyond reason', { weighingTolerance: 100 }, 'weighingTolerance'],
  ])('refuse %s', async (_, change, path) => {
    const { body } = await put(change).expect(422);
    expect(body.error.fields[0].path).toBe(path);
    expect((await room.educator.get(`/api/classes/${room.classId}`)).body.houseRules).toEqual(
      DEFAULT_HOUSE_RULES,
    );
  });

  it('hold for what is set from then on; what was set keeps its own', async () => {
    await put({ units: 'flOz', levelScale: 'twelve' }).expect(200);
    const { body: made } = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ title: 'In ounces' }))
      .expect(201);
    const of = async (id: string) => (await room.student.get(`/api/my/assignments/${id}`).expect(200)).body;
    expect((await of(made.id)).houseRules).toMatchObject({ units: 'flOz', levelScale: 'twelve' });
    expect((await of(room.assignmentId)).houseRules).toMatchObject({ units: 'grams', levelScale: 'ten' });
    await put({}).expect(200);
    expect((await of(made.id)).houseRules.units).toBe('flOz');
  });

  it('decide whether hair can be asked to be an 11', async () => {
    const { clientCase } = shippedCase('high-lift')!;
    const zones = clientCase.head.zones.map((zone) => ({ ...zone, naturalLevel: 8 }));
    const to = { level: 11, tone: { primary: 'pearl' as const } };
    const pale = {
      ...clientCase,
      head: { ...clientCase.head, zones },
      wish: Object.fromEntries(zones.map(({ zone }) => [zone, to])),
    };
    const set = () =>
      room.educator.post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase: pale }));
    const refused = await set().expect(422);
    expect(refused.body.error.reasons).toMatchObject([
      { code: 'solve.beyondScale', params: { level: 11, most: 10 } },
    ]);
    await put({ levelScale: 'twelve' }).expect(200);
    const { body } = await set().expect(201);
    const assignment = (await room.educator.get(`/api/assignments/${body.id}`).expect(200)).body;
    expect(assignment.modelAnswer.choices.map(({ technique }: { technique: string }) => technique)).toContain(
      'highLift',
    );
    await put({}).expect(200);
  });

  it('are no student’s and no other educator’s to change', async () => {
    await room.student.put(rules(), DEFAULT_HOUSE_RULES).expect(403);
    await room.otherEducator.put(rules(), DEFAULT_HOUSE_RULES).expect(404);
  });
});
