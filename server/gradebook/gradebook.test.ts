import type {
  EducatorAssignment,
  GradeCell,
  Gradebook,
  GradebookSettings,
  GradedStudent,
  MyTerm,
} from '@cimbel/contract';
import { USUAL_SETTINGS } from '@cimbel/contract';
import { ask, assignmentBody, freshId, inClassroom, signedIn, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
const at = () => `/api/classes/${room.classId}/gradebook`;
const book = async (): Promise<Gradebook> => (await room.educator.get(at()).expect(200)).body;
const own = async (page: Browser): Promise<MyTerm[]> => (await page.get('/api/my/terms').expect(200)).body;
const rowOfStudent = async (): Promise<GradedStudent> =>
  (await book()).students.find(({ id }) => id === room.student.account.id)!;
const cell = async (column: string): Promise<GradeCell> => (await rowOfStudent()).cells[column];

async function settle(change: Partial<GradebookSettings>) {
  const { settings, version } = await book();
  return room.educator.put(`${at()}/settings`, { settings: { ...settings, ...change }, version });
}
const practical = async (title: string, max = 10, category = 'practical'): Promise<string> =>
  (await room.educator.post(`${at()}/columns`, { title, max, heldOn: '2026-03-01', category }).expect(201))
    .body.id;
async function enter(
  column: string,
  entry: { points?: number | null; excused?: boolean; reason?: string; was?: string | null },
  studentId = room.student.account.id,
) {
  const was = entry.was === undefined ? ((await cell(column))?.entry?.at ?? null) : entry.was;
  return room.educator.put(`${at()}/columns/${column}/students/${studentId}`, {
    points: null,
    excused: false,
    reason: '',
    ...entry,
    was,
  });
}

/** An exercise of 26 points that the student has handed in. */
async function handedIn(set: object = {}): Promise<string> {
  const { id } = (
    await room.educator.post(`/api/classes/${room.classId}/assignments`, assignmentBody({}, set)).expect(201)
  ).body as { id: string };
  const { modelAnswer } = (await room.educator.get(`/api/assignments/${id}`)).body as EducatorAssignment;
  await ask(room.student, id, modelAnswer.card);
  const submission = { id: freshId(), answer: modelAnswer.card };
  await room.student.post(`/api/my/assignments/${id}/submission`, submission).expect(200);
  return id;
}

describe('a class’s gradebook', () => {
  it('has a column for all work, and counts nothing that is not released', async () => {
    const id = await handedIn();
    const { columns, students, settings, version } = await book();
    expect(settings).toEqual(USUAL_SETTINGS);
    expect(version).toBe(0);
    expect(columns.find((column) => column.id === id)).toMatchObject({
      kind: 'exercise',
      max: 26,
      counts: true,
    });
    expect(columns.find((column) => column.id === room.testId)).toMatchObject({
      kind: 'readingTest',
      max: 100,
    });
    const [mine] = students.filter((student) => student.id === room.student.account.id);
    expect(mine.cells[id]).toMatchObject({ state: 'unreleased', points: 26 });
    expect(mine.percent).toBeNull();

    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    expect(await cell(id)).toMatchObject({ state: 'marked', points: 26, computed: 26, entry: null });
    expect((await rowOfStudent()).percent).toBe(100);
  });

  it('counts what was missed once it is out, as nothing or not at all, and what is excused nowhere', async () => {
    const id = await handedIn({ release: 'manual' });
    const missed = (await book()).students.find(({ id: one }) => one === room.classmate.account.id)!;
    expect(missed.cells[id].state).toBe('open');
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    const before = h.clock.now;
    h.clock.now = new Date('2026-03-10T18:00:00Z');
    const classmate = async () =>
      (await book()).students.find(({ id: one }) => one === room.classmate.account.id)!;
    expect((await classmate()).cells[id]).toMatchObject({ state: 'missing', points: 0 });
    expect((await classmate()).percent).toBe(0);
    await enter(id, { excused: true, reason: 'Was ill.', was: null }, room.classmate.account.id);
    expect((await classmate()).cells[id]).toMatchObject({ state: 'excused', points: null });
    await settle({ missing: 'leftOut' });
    expect((await classmate()).percent).toBeNull();
    await settle({ missing: 'zero' });
    h.clock.now = before;
  });

  it('reckons categories by weight, drops the weakest, and rounds once', async () => {
    const [one, two, three] = [await practical('Weave'), await practical('Foil'), await practical('Rinse')];
    await settle({
      categories: [
        { id: 'exercise', name: null, weight: 0, dropLowest: 0 },
        { id: 'readingTest', name: null, weight: 40, dropLowest: 0 },
        { id: 'practical', name: 'Practical work', weight: 60, dropLowest: 1 },
      ],
    });
    for (const [column, points] of [
      [one, 4],
      [two, 7.25],
      [three, 8],
    ] as const)
      await enter(column, { points });
    const { percent, passed, cells, categories } = await rowOfStudent();
    // 7.25 and 8 of ten are 76.25 per cent; nothing else counts yet.
    expect(percent).toBe(76);
    expect(passed).toBe(true);
    expect(cells[one]).toMatchObject({ state: 'given', points: 4, dropped: true });
    expect(categories.map(({ id, part }) => [id, part])).toEqual([
      ['exercise', 0],
      ['readingTest', 0],
      ['practical', 1],
    ]);
    await settle({ decimals: 1 });
    expect((await rowOfStudent()).percent).toBe(76.3);
  });

  it('keeps a mark that was overridden beside the computed one, with its reason, and in the log', async () => {
    const id = await handedIn();
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    const silent = await enter(id, { points: 20 });
    expect(silent.status).toBe(422);
    expect(silent.body.error.fields).toEqual([expect.objectContaining({ path: 'reason', code: 'needed' })]);
    expect((await enter(id, { points: 27, reason: 'Kind.' })).body.error.fields[0].path).toBe('points');
    expect((await enter(id, { points: 20, reason: 'Copied the label.' })).status).toBe(200);
    const given = await cell(id);
    expect(given).toMatchObject({ state: 'given', points: 20, computed: 26 });
    expect(given.entry).toMatchObject({ reason: 'Copied the label.', by: 'Educator' });
    // Somebody who saw the cell before that does not overwrite it.
    const late = await enter(id, { points: 25, reason: 'Late.', was: null });
    expect([late.status, late.body.error.code]).toEqual([409, 'gradebook.newer']);
    h.clock.now = new Date(h.clock.now.getTime() + 1000);
    expect((await enter(id, {})).status).toBe(200);
    expect(await cell(id)).toMatchObject({ state: 'marked', points: 26, entry: null });
    const log = (await room.educator.get(`/api/classes/${room.classId}/log`)).body as {
      action: string;
      after: { entry: { points: number; reason: string } | null };
    }[];
    const told = log.filter(({ action, after }) => action === 'gradebook.mark' && after.entry?.points === 20);
    expect(told[0].after.entry?.reason).toBe('Copied the label.');
  });

  it('forgives lateness where the term says so', async () => {
    const before = h.clock.now;
    h.clock.now = new Date('2026-03-02T20:00:00Z');
    const late = (
      await room.educator
        .post(
          `/api/classes/${room.classId}/assignments`,
          assignmentBody({}, { late: 'reduced', latePercent: 50, dueAt: '2026-03-02T20:00:01Z' }),
        )
        .expect(201)
    ).body.id as string;
    const { modelAnswer } = (await room.educator.get(`/api/assignments/${late}`)).body as EducatorAssignment;
    await ask(room.student, late, modelAnswer.card);
    h.clock.now = new Date('2026-03-02T21:00:00Z');
    await room.student
      .post(`/api/my/assignments/${late}/submission`, { id: freshId(), answer: modelAnswer.card })
      .expect(200);
    await room.educator.patch(`/api/assignments/${late}`, { released: true }).expect(200);
    expect(await cell(late)).toMatchObject({ points: 13, lateLoss: 13 });
    await settle({ late: 'forgiven' });
    expect(await cell(late)).toMatchObject({ points: 26, lateLoss: 0 });
    await settle({ late: 'asSet' });
    h.clock.now = before;
  });

  it('lets two change the settings one after the other, not over each other', async () => {
    const { settings, version } = await book();
    await room.educator.put(`${at()}/settings`, { settings, version }).expect(200);
    const second = await room.educator.put(`${at()}/settings`, { settings, version });
    expect([second.status, second.body.error.code]).toEqual([409, 'gradebook.newer']);
    for (const categories of [
      [{ id: 'exercise', name: null, weight: 0, dropLowest: 0 }],
      [{ id: 'own', name: null, weight: 10, dropLowest: 0 }],
      [],
    ])
      await room.educator
        .put(`${at()}/settings`, { settings: { ...settings, categories }, version: version + 1 })
        .expect(422);
  });

  it('takes in, changes and takes out practical work, and only that', async () => {
    const id = await practical('Sectioning', 20);
    await enter(id, { points: 15 });
    const lower = await room.educator.patch(`${at()}/columns/${id}`, { max: 10 });
    expect(lower.body.error.fields[0]).toMatchObject({ path: 'max', code: 'fewerThanGiven' });
    await room.educator
      .patch(`${at()}/columns/${id}`, { max: 30, title: 'Sections', counts: false })
      .expect(200);
    const { columns } = await book();
    expect(columns.find((column) => column.id === id)).toMatchObject({
      max: 30,
      title: 'Sections',
      counts: false,
    });
    await room.educator.patch(`${at()}/columns/${room.assignmentId}`, { title: 'Other' }).expect(422);
    await room.educator.patch(`${at()}/columns/${room.assignmentId}`, { category: 'gone' }).expect(422);
    await room.educator.delete(`${at()}/columns/${room.assignmentId}`).expect(409);
    await room.educator.delete(`${at()}/columns/${id}`).expect(200);
    expect((await book()).columns.some((column) => column.id === id)).toBe(false);
    await room.educator.delete(`${at()}/columns/${freshId()}`).expect(404);
  });

  it('counts work in the first category where its own kind has none, and moves it where it is told', async () => {
    const { settings } = await book();
    const own = [
      { id: 'theory', name: 'Theory', weight: 50, dropLowest: 0 },
      { id: 'practical', name: null, weight: 50, dropLowest: 0 },
    ];
    await settle({ categories: own });
    const categoryOf = async (id: string) =>
      (await book()).columns.find((column) => column.id === id)?.category;
    expect(await categoryOf(room.assignmentId)).toBe('theory');
    await room.educator.patch(`${at()}/columns/${room.assignmentId}`, { category: 'practical' }).expect(200);
    expect(await categoryOf(room.assignmentId)).toBe('practical');
    expect(await categoryOf(room.testId)).toBe('theory');
    await settle({ categories: settings.categories });
  });

  it('is reckoned the same in a copy of the class, and not shown there yet', async () => {
    await settle({ shown: true, decimals: 1 });
    const { id } = (
      await room.educator.post(`/api/classes/${room.classId}/copies`, { name: 'Next', days: 180 }).expect(201)
    ).body as { id: string };
    const copy: Gradebook = (await room.educator.get(`/api/classes/${id}/gradebook`).expect(200)).body;
    expect(copy.settings).toMatchObject({ shown: false, decimals: 1 });
    expect(copy.columns.every(({ kind }) => kind !== 'practical')).toBe(true);
    await settle({ shown: false });
  });

  it('shows a student their own sheet where the class shows it, without what is not released', async () => {
    expect(await own(room.student)).toEqual([]);
    await settle({ shown: true });
    const id = await handedIn();
    await enter(id, { points: 20, reason: 'Seen at the chair.' });
    const [term] = await own(room.student);
    expect(term.cells[id]).toMatchObject({ state: 'unreleased', points: null, computed: null, entry: null });
    expect(JSON.stringify(term)).not.toContain('Seen at the chair.');
    const taken = JSON.stringify((await room.student.get('/api/account/data.json')).body);
    expect(taken).not.toContain('Seen at the chair.');
    await room.educator.patch(`/api/assignments/${id}`, { released: true }).expect(200);
    expect((await own(room.student))[0].cells[id]).toMatchObject({ state: 'given', points: 20 });
    expect(await own(room.stranger)).toEqual([]);
    const [other] = await own(room.classmate);
    expect(other.cells[id].points).not.toBe(20);
  });

  it('is frozen as it stands, and lets nothing be changed until it is thawed', async () => {
    const id = await practical('Blow-dry');
    await enter(id, { points: 9 });
    const before = await rowOfStudent();
    await room.educator.put(`${at()}/frozen`, { frozen: true }).expect(200);
    await room.educator.put(`${at()}/frozen`, { frozen: true }).expect(200);
    expect((await enter(id, { points: 1 })).body.error.code).toBe('gradebook.frozen');
    expect((await settle({ decimals: 0 })).status).toBe(409);
    await room.educator
      .put(`/api/classes/${room.classId}/house-rules`, {
        ...(await room.educator.get(`/api/classes/${room.classId}`)).body.houseRules,
        passMark: 99,
      })
      .expect(200);
    const frozen = await book();
    expect(frozen.frozenAt).not.toBeNull();
    expect(frozen.passMark).toBe(75);
    expect(await rowOfStudent()).toEqual(before);
    expect((await own(room.student))[0]).toMatchObject({ percent: before.percent, passMark: 75 });
    await room.educator.put(`${at()}/frozen`, { frozen: false }).expect(200);
    expect(await book()).toMatchObject({ frozenAt: null, passMark: 99 });
    expect(await h.db('term_sheets')).toEqual([]);
  });

  it('goes out as a table that spreadsheets open', async () => {
    const { text } = await room.educator.get(`${at()}.csv`).expect(200);
    const [head, ...rows] = text.replace('\uFEFF', '').trim().split('\r\n');
    expect(head).toMatch(/^number,name,.*term_percent,passed$/);
    expect(rows).toHaveLength((await book()).students.length);
  });

  it('goes with a student who is deleted, and with nobody else', async () => {
    const id = await practical('Cape');
    const gone = await signedIn(h, 'student', 'Gone');
    await gone.post('/api/memberships', { joinCode: room.joinCode }).expect(201);
    await h.db('memberships').where({ student_id: gone.account.id }).update({ state: 'active' });
    await enter(id, { points: 3, was: null }, gone.account.id);
    await enter(id, { points: 8 });
    await room.educator.put(`${at()}/frozen`, { frozen: true }).expect(200);
    await room.educator.delete(`/api/classes/${room.classId}/students/${gone.account.id}`).expect(200);
    expect((await book()).students.some((student) => student.id === gone.account.id)).toBe(false);
    await room.educator.put(`${at()}/frozen`, { frozen: false }).expect(200);
    expect((await cell(id)).points).toBe(8);
  });
});
