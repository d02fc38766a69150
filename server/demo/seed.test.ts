import type { ReadingDesk } from '@cimbel/contract';
import { browser, harness, type Harness } from '../testing/harness';
import { seedDemo } from './seed';
import { STUDENTS } from './scene';

let h: Harness;
beforeAll(async () => {
  h = await harness({ demo: true });
  await Promise.all([seedDemo(h.db, h.clock.now), seedDemo(h.db, h.clock.now)]);
}, 60_000);
afterAll(() => h.close());

describe('the demo class', () => {
  it('is put in once, even when two servers start together', async () => {
    expect(await h.db('users')).toHaveLength(STUDENTS.length + 1);
    const kinds = await h.db('exercises').orderBy('created_at').pluck('kind');
    expect(kinds.filter((kind) => kind === 'formula')).toHaveLength(3);
    expect(kinds.filter((kind) => kind === 'service')).toHaveLength(4);
  });

  it('lets anyone walk in as educator or student', async () => {
    const page = browser(h.app);
    const { demo } = (await page.get('/api/session')).body;
    expect(demo).toHaveLength(13);
    await page.post('/api/demo-session', { accountId: demo[0].id }).expect(200);
    expect((await page.get('/api/session')).body.me).toEqual(demo[0]);
  });

  it('has one exercise graded with a believable spread, one due with answers in, one open', async () => {
    const page = browser(h.app);
    const { demo } = (await page.get('/api/session')).body;
    await page.post('/api/demo-session', {
      accountId: demo.find((a: { role: string }) => a.role === 'educator').id,
    });
    const [summary] = (await page.get('/api/classes')).body;
    const { exercises: all, students } = (await page.get(`/api/classes/${summary.id}`)).body;
    const ofKind = (kind: string) => all.filter((e: { kind: string }) => e.kind === kind);
    let exercises = ofKind('formula');
    const points = (i: number): number[] =>
      students
        .map(
          (s: { standings: Record<string, { points: number | null }> }) =>
            s.standings[exercises[i].id].points,
        )
        .filter((p: number | null) => p !== null);
    const graded = points(0);
    expect(graded).toHaveLength(11);
    expect(Math.max(...graded)).toBe(20);
    expect(Math.min(...graded)).toBeLessThan(10);
    expect(new Set(graded).size).toBeGreaterThan(6);
    expect(points(1)).toHaveLength(7);
    expect(points(2)).toHaveLength(0);
    expect(exercises.map((e: { released: boolean }) => e.released)).toEqual([true, false, true]);
    exercises = ofKind('service');
    const services = points(0);
    expect(services).toHaveLength(10);
    expect(new Set(services).size).toBeGreaterThan(5);
    // One plan in the second would have hurt its client.
    expect(Math.min(...points(1))).toBeLessThan(0.45 * exercises[1].max);
    expect(points(2)).toHaveLength(0);
  });

  it('has weeks of practice behind it, a test that is done and one that is open', async () => {
    const page = browser(h.app);
    const { demo } = (await page.get('/api/session')).body;
    await page.post('/api/demo-session', {
      accountId: demo.find((a: { role: string }) => a.role === 'educator').id,
    });
    const [summary] = (await page.get('/api/classes')).body;
    const desk: ReadingDesk = (await page.get(`/api/classes/${summary.id}/reading`)).body;
    const answers = desk.students.map((student) => student.answers);
    expect(answers.filter((count) => count > 60).length).toBeGreaterThan(6);
    expect(answers.filter((count) => count === 0)).toHaveLength(1);
    const bias = (name: string) => desk.students.find((s) => s.name.startsWith(name))!.levelBias!;
    expect(bias('Esme')).toBeGreaterThan(0.2);
    expect(bias('Carys')).toBeLessThan(-0.1);
    expect(desk.tests.map(({ finished }) => finished)).toEqual([10, 3]);
    expect(desk.tests[0].mean).toBeGreaterThan(0.4);
    expect(desk.tests[0].mean).toBeLessThan(0.9);
  });
});
