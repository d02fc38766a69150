import { clientCaseSchema } from '@cimbel/core/case';
import { recordCardSchema } from '@cimbel/core/card';
import { shippedCase } from '@cimbel/core/cases';
import { markItem } from '@cimbel/core/drill';
import { markCard } from '@cimbel/core/mark';
import { lineSchema, shippedLine } from '@cimbel/core/product';
import { DEFAULT_HOUSE_RULES, houseRulesSchema } from '@cimbel/core/rules';
import type { Knex } from 'knex';
import { assignmentFor } from '../assignments/access';
import { resultOf } from '../attempts/result';
import { digestOf, markingOf, saveDraft, type AttemptRow } from '../attempts/store';
import { educatorView } from '../assignments/view';
import { studentView } from '../attempts/student-view';
import type { LedAssignment } from '../assignments/access';
import { harness, type Harness, ask, inClassroom } from '../testing/harness';
import { migrate, migrationSource } from './database';
import before from './tests/before-one-exercise.json';

/** Undoes migrations until the named one is the last that stands. */
async function downTo(db: Knex, name: string): Promise<void> {
  for (;;) {
    const [done] = (await db.migrate.list({ migrationSource })) as [{ name: string }[], unknown];
    if (done.at(-1)!.name === name) return;
    await db.migrate.down({ migrationSource });
  }
}

describe('rules and removers', () => {
  const { h, room } = inClassroom();
  const columns = async (table: string): Promise<string[]> => Object.keys(await h.db(table).columnInfo());

  it('removers lose the peroxide they never held, and get back what was written on the way down', async () => {
    const book = crypto.randomUUID();
    const saved = new Date();
    const { id: educator } = await h.db('users').where({ role: 'educator' }).first('id');
    await downTo(h.db, '005_schools');
    await h.db('shade_books').insert({ id: book, educator_id: educator, version: 1, created_at: saved });
    const line = { ...shippedLine('lantry')!, developersVol: [5] };
    await h.db('shade_book_versions').insert({
      book_id: book,
      version: 1,
      line: JSON.stringify(line),
      saved_at: saved,
    });
    const now = async () => (await h.db('shade_book_versions').where({ book_id: book }).first('line')).line;
    await migrate(h.db);
    expect(lineSchema.parse(await now()).developersVol).toEqual([0]);
    await downTo(h.db, '005_schools');
    expect((await now()).developersVol).toEqual([5]);
    await migrate(h.db);
    await h.db('shade_books').where({ id: book }).delete();
  });

  it('exercises set before the schools get the rules they were set under', async () => {
    const rulesOf = (table: string) => h.db(table).where({ id: room.assignmentId }).first('house_rules');
    const set = await rulesOf('assignments');
    await downTo(h.db, '004_services');
    expect(await columns('exercises')).not.toEqual(expect.arrayContaining(['card']));
    expect(await columns('regrades')).not.toContain('moved_at');
    const older = (await rulesOf('exercises')).house_rules;
    for (const rule of ['levelScale', 'preServiceWash', 'endsRefresh', 'units', 'weighingTolerance'])
      expect(older).not.toHaveProperty(rule);
    await migrate(h.db);
    expect(await rulesOf('assignments')).toEqual(set);
    // The page of one who was set it then opens as it did.
    const { body } = await room.student.get(`/api/my/assignments/${room.assignmentId}`).expect(200);
    expect(body.houseRules).toEqual(DEFAULT_HOUSE_RULES);
    for (const { house_rules } of await h.db('assignments').select('house_rules'))
      expect(houseRulesSchema.parse(house_rules)).toEqual(house_rules);
  });
});

/** Model answers, grades and ceilings are told in other words; what a student handed in is not. */
describe('one name for one thing', () => {
  const { h, room } = inClassroom();

  it('renames what is not handed in, gives it back on the way down, and leaves answers and receipts alone', async () => {
    const assignment = await h.db('assignments').where({ id: room.assignmentId }).first();
    const { clientCase, card } = assignment.model_answer;
    await ask(room.student, room.assignmentId, card);
    // A plan with a fault, so that its grade says how places came out.
    const answer = { ...card, steps: card.steps.map((step: object) => ({ ...step, minutes: 5 })) };
    await room.student
      .post(`/api/my/assignments/${room.assignmentId}/submission`, { id: crypto.randomUUID(), answer })
      .expect(200);
    const kept = async () => ({
      attempts: await h.db('attempts').orderBy('id'),
      assignments: await h.db('assignments').select('model_answer', 'house_rules').orderBy('id'),
      classes: await h.db('classes').select('house_rules').orderBy('id'),
    });
    const now = await kept();
    const [attempt] = now.attempts.filter(({ grade }) => grade !== null);
    expect(attempt.grade.decided.code).toMatch(/\.(noticeable|needsCorrection|near)$/);
    await downTo(h.db, '023_ceilings');
    const before = await kept();
    expect(before.assignments.find(({ model_answer }) => model_answer.visit)!.model_answer).toMatchObject({
      visit: { title: clientCase.title },
      best: { decision: 'goOn' },
      choices: [{ route: expect.any(String) }, { route: expect.any(String) }],
    });
    expect(before.classes[0].house_rules.ceilings).toMatchObject({ notice: expect.any(Array) });
    const { grade, ...handedIn } = before.attempts.find(({ id }) => id === attempt.id)!;
    expect(grade.outcome[0]).toMatchObject({ cameOut: expect.any(String), because: expect.any(String) });
    const {
      grade: _grade,
      not_taken: _later,
      sequence: _sequence,
      paused_ms: _paused,
      result_seen_at: _seen,
      ...same
    } = attempt;
    expect(handedIn).toEqual(same);
    await migrate(h.db);
    expect(await kept()).toEqual(now);
    expect(await h.db('former_grades')).toEqual([]);
    expect(digestOf(attempt.submission_id, attempt.submitted_at, attempt.answer)).toBe(attempt.digest);
  });
});

/** A class in the middle of its work, as it stood in the database when there were exercises of two kinds. */
describe('one exercise for two', () => {
  let h: Harness;
  const asRow = (row: object) =>
    Object.fromEntries(
      Object.entries(row).map(([name, value]) => [
        name,
        value !== null && typeof value === 'object' ? JSON.stringify(value) : value,
      ]),
    );
  const kept = () => Promise.all(['exercises', 'attempts', 'mark_changes'].map((t) => h.db(t).orderBy('id')));
  const assignments = (): Promise<LedAssignment[]> =>
    h
      .db('assignments')
      .join('classes', 'classes.id', 'assignments.class_id')
      .orderBy('assignments.created_at')
      .select('assignments.*', 'classes.name as class_name', h.db.raw("'owner' as rights"));
  const old = before.exercises.filter(({ kind }) => kind === 'formula');

  beforeAll(async () => {
    h = await harness();
    await downTo(h.db, '006_craft');
    for (const table of ['users', 'classes', 'memberships', 'exercises', 'attempts', 'mark_changes'] as const)
      await h.db(table).insert(before[table].map(asRow));
  }, 60_000);
  afterAll(() => h.close());

  it('keeps every exercise, answer and mark, and gives all of it back on the way down', async () => {
    const was = await kept();
    await migrate(h.db);
    expect(await h.db('exercises')).toHaveLength(before.exercises.length);
    expect(await h.db('attempts')).toHaveLength(before.attempts.length);
    await downTo(h.db, '006_craft');
    expect(await kept()).toEqual(was);
    await migrate(h.db);
  });

  it('does not go back over a head that could not be told before, and says which', async () => {
    await migrate(h.db);
    const { id, client_case } = await h.db('exercises').first('id', 'client_case');
    const told = async (clientCase: object) =>
      h
        .db('exercises')
        .where({ id })
        .update({ client_case: JSON.stringify(clientCase) });
    await told(shippedCase('dense-nape')!.clientCase);
    await expect(downTo(h.db, '007_one_exercise')).rejects.toThrow('several regions');
    await told(shippedCase('woven-light')!.clientCase);
    await downTo(h.db, '007_one_exercise');
    const { client_case: back } = await h.db('exercises').where({ id }).first('client_case');
    expect(back.weave).toEqual(shippedCase('woven-light')!.clientCase.placements![0]);
    await migrate(h.db);
    await told(client_case);
  });

  it('gives heat its minutes, also in answers that are handed in and frozen, and takes them back', async () => {
    await migrate(h.db);
    const handedIn = async (): Promise<AttemptRow> =>
      (await h.db('attempts').whereNotNull('submitted_at').orderBy('id')).find(
        ({ answer }: AttemptRow) => answer.steps.length > 0,
      );
    const was = (await handedIn()).answer.steps;
    await downTo(h.db, '011_test_secret');
    const [before] = (await handedIn()).answer.steps as unknown as Record<string, unknown>[];
    expect(before).toMatchObject({ warmth: was[0].heat !== null });
    expect(before).not.toHaveProperty('heat');
    await migrate(h.db);
    expect((await handedIn()).answer.steps.map(({ heat }) => heat !== null)).toEqual(
      was.map(({ heat }) => heat !== null),
    );
    const { id } = await handedIn();
    await expect(h.db('attempts').where({ id }).update({ answer: '{}' })).rejects.toThrow('handed in');
  });

  it('makes cases and cards that are what they have to be, with the words and points of before', async () => {
    for (const assignment of await assignments()) {
      const { client_case, model_answer, id, rubric, open_steps } = assignment;
      expect(clientCaseSchema.parse(client_case)).toEqual(client_case);
      expect(recordCardSchema.parse(model_answer.card)).toEqual(model_answer.card);
      const { kind, rubric: oldRubric } = before.exercises.find((exercise) => exercise.id === id)!;
      const total = (points: object) => Object.values(points).reduce((a: number, b: number) => a + b, 0);
      expect(total(rubric)).toBe(total(oldRubric));
      if (kind === 'formula') expect(open_steps).toEqual(['read', 'mix', 'process']);
      const page = await educatorView(h.db, assignment, h.clock.now);
      for (const attempt of (await h.db('attempts').where({ assignment_id: id })) as AttemptRow[]) {
        expect(recordCardSchema.parse(attempt.answer)).toEqual(attempt.answer);
        const wasGrade = before.attempts.find((one) => one.id === attempt.id)!.grade;
        expect(attempt.grade?.points).toBe(wasGrade?.points);
        if (!attempt.submitted_at) continue;
        const result = await resultOf(h.db, assignment, attempt, 'Someone', attempt.student_id);
        const sum = result.grade.criteria.reduce((all, mark) => all + mark.points, 0);
        expect(result.grade.points).toBe(Math.min(sum, result.grade.capPoints ?? sum));
        expect(JSON.stringify(result.grade)).not.toMatch(/"away"|"service\.|counterTone|levelReading/);
      }
      expect(page.rows.length).toBeGreaterThan(0);
    }
    // Two points of the opposite given by hand are points of the prediction now, beside those of the pigment.
    const changes = await h.db('mark_changes').orderBy('id');
    expect(changes.map(({ criterion }) => criterion)).toEqual(['amount', 'prediction']);
    expect(Number(changes[1].to_points) - Number(changes[1].from_points)).toBe(
      Number(before.mark_changes[1].to_points) - Number(before.mark_changes[1].from_points),
    );
  });

  it('lets a half-done answer go on: what was written stands on the card, what was open is open', async () => {
    const draft = before.attempts.find(
      ({ exercise_id, submitted_at }) => !submitted_at && old.some(({ id }) => id === exercise_id),
    )!;
    const assignment = (await assignmentFor(h.db, draft.exercise_id, draft.student_id))!;
    const page = await studentView(h.db, assignment, draft.student_id, h.clock.now);
    if (page.stage !== 'work') throw new Error('it was under way');
    const { answer, version } = page.draft!;
    const written = draft.answer as { naturalLevel: number; underlay: string };
    expect(answer.readings.mids).toMatchObject({ level: written.naturalLevel, underlay: written.underlay });
    expect(answer).toMatchObject({ bowls: [], steps: [] });
    const saved = await saveDraft(
      h.db,
      assignment,
      draft.student_id,
      {
        answer: { ...answer, bowls: assignment.model_answer.card.bowls },
        version,
        writer: 'phone',
        attempt: 1,
      },
      h.clock.now,
    );
    expect(saved.version).toBe(version + 1);
    const done = {
      ...answer,
      bowls: assignment.model_answer.card.bowls,
      steps: assignment.model_answer.card.steps,
    };
    const { criteria } = markCard(markingOf(assignment), done);
    for (const { criterion, points, max } of criteria)
      expect({ criterion, points }).toEqual({ criterion, points: max });
  });
});

/** A reading test that was set and begun before its questions were asked anew. */
describe('questions asked anew', () => {
  const { h, room } = inClassroom();

  const ITEM = {
    seed: 1,
    facet: 'total',
    question: {
      skill: 'ratio',
      step: 1,
      ask: { code: 'ratio.total', params: { colour: 30, ratio: 2 } },
      facts: [],
      pictures: [],
      light: 'daylight',
      lineId: null,
      form: { kind: 'figure', unit: 'grams', decimals: 1 },
    },
    solution: { kind: 'figure', value: 90, full: 0.9, near: 2.7 },
    why: [
      { code: 'drill.ratio.bowl', params: { colour: 30, ratio: 2, developer: 60, total: 90 }, rule: 'M1' },
    ],
    slips: [{ answer: 60, why: { code: 'drill.ratio.developerOnly', params: {}, rule: 'M1' } }],
    subject: null,
    reads: null,
    optionSubjects: null,
    about: null,
    apart: null,
  };

  it('keeps a sitting that was begun in its own words, marks it, and gives it back on the way down', async () => {
    await downTo(h.db, '014_receipts');
    const id = room.sittingId;
    await h
      .db('sittings')
      .where({ id })
      .update({ items: JSON.stringify([{ slot: 0, item: ITEM, drawing: 1 }]) });
    await h
      .db('reading_tests')
      .where({ id: room.testId })
      .update({
        plan: JSON.stringify([{ skill: 'dilution', facet: 'stock', step: 2 }]),
        house_rules: JSON.stringify({ ...DEFAULT_HOUSE_RULES, diluteDeveloper: 'never' }),
      });
    await migrate(h.db);
    const kept = (await h.db('sittings').where({ id }).first('items')).items[0].item;
    expect(kept.question).toMatchObject({ hands: null, ask: { code: 'older.ratio.total' } });
    expect(kept.why[0].code).toBe('drill.older.ratio.bowl');
    expect(markItem(kept, { kind: 'figure', value: 60 })).toMatchObject({
      score: 0,
      slip: { code: 'drill.older.ratio.developerOnly' },
    });
    // What the class forbids is no longer asked.
    const { plan } = await h.db('reading_tests').where({ id: room.testId }).first('plan');
    expect(plan).toEqual([{ skill: 'dilution', facet: 'strength', step: 2 }]);
    await room.student.get(`/api/my/sittings/${id}`).expect(200);
    await downTo(h.db, '014_receipts');
    expect((await h.db('sittings').where({ id }).first('items')).items[0].item).toEqual(ITEM);
    await migrate(h.db);
  });
});

/** A reading test whose plan names single levels and tones. */
describe('levels and tones in groups', () => {
  const { h, room } = inClassroom();

  it('plans of tests name the group, and can be asked before and after', async () => {
    await downTo(h.db, '027_plays');
    const slots = (...facets: [string, string][]) =>
      facets.map(([skill, facet]) => ({ skill, facet, step: 2 }));
    const plan = slots(
      ['level', '4'],
      ['predict', '7'],
      ['toner', '9'],
      ['tone', 'gold'],
      ['grey', 'low'],
      ['developer', 'artificial'],
    );
    await h
      .db('reading_tests')
      .where({ id: room.testId })
      .update({ plan: JSON.stringify(plan) });
    await migrate(h.db);
    const planNow = async () => (await h.db('reading_tests').where({ id: room.testId }).first('plan')).plan;
    expect(await planNow()).toEqual(
      slots(
        ['level', 'darkLevels'],
        ['predict', 'mediumLevels'],
        ['toner', 'lightLevels'],
        ['tone', 'warms'],
        ['grey', 'share'],
        ['developer', 'dyed'],
      ),
    );
    // Someone who begins it now is asked by it.
    await room.classmate.post(`/api/my/reading-tests/${room.testId}/sittings`).expect(200);
    await downTo(h.db, '027_plays');
    expect(await planNow()).toEqual(
      slots(
        ['level', '4'],
        ['predict', '6'],
        ['toner', '9'],
        ['tone', 'gold'],
        ['grey', 'middle'],
        ['developer', 'artificial'],
      ),
    );
    await migrate(h.db);
  });
});
