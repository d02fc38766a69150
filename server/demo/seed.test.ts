import type { ClassDetail, ReadingDesk } from '@cimbel/contract';
import { browser, harness, type Harness } from '../testing/harness';
import { seedDemo } from './seed';
import { readingProfileOfStudent } from '../practice/store';
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
    expect(await h.db('assignments')).toHaveLength(9);
    expect(await h.db('exercises')).toHaveLength(9);
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
    const { assignments, students }: ClassDetail = (await page.get(`/api/classes/${summary.id}`)).body;
    const of = (title: RegExp) => assignments.find((assignment) => title.test(assignment.title))!;
    const points = (title: RegExp) =>
      students.flatMap(({ standings }) => standings[of(title).id].points ?? []);
    for (const [title, count] of [
      [/half grey, keep it golden/, 11],
      [/Retouch over half grey/, 10],
      [/Two levels lighter/, 7],
      [/winter/, 0],
      [/Mix only/, 0],
    ] as const)
      expect(points(title)).toHaveLength(count);
    const graded = points(/keep it golden/);
    expect(Math.max(...graded)).toBe(of(/keep it golden/).max);
    expect(Math.min(...graded)).toBeLessThan(0.6 * of(/keep it golden/).max);
    expect(new Set(graded).size).toBeGreaterThan(5);
    // Ceilings bring careless plans to the same few marks.
    expect(new Set(points(/Retouch/)).size).toBeGreaterThan(4);
    // One plan here would have hurt its client.
    expect(Math.min(...points(/blonde/i))).toBeLessThan(0.45 * of(/blonde/i).max);
    expect(of(/keep it golden/).released).toBe(true);
    expect(of(/Two levels lighter/).released).toBe(false);
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

  it('is summed up on the desk as answer by answer, for every student', async () => {
    const page = browser(h.app);
    const { demo } = (await page.get('/api/session')).body;
    await page.post('/api/demo-session', {
      accountId: demo.find((a: { role: string }) => a.role === 'educator').id,
    });
    const [{ id }] = (await page.get('/api/classes')).body;
    const desk: ReadingDesk = (await page.get(`/api/classes/${id}/reading`)).body;
    expect(desk.students.some(({ answers }) => answers > 50)).toBe(true);
    for (const { id: studentId, answers, levelBias, skills } of desk.students) {
      const profile = await readingProfileOfStudent(h.db, studentId, id);
      expect(answers).toBe(profile.answers);
      if (profile.level.all) expect(levelBias).toBeCloseTo(profile.level.all.bias, 6);
      else expect(levelBias).toBeNull();
      expect(Object.keys(skills)).toHaveLength(profile.skills.length);
      for (const skillTally of profile.skills) {
        expect(skills[skillTally.skill]).toMatchObject({ answers: skillTally.answers });
        expect(skills[skillTally.skill]!.accuracy).toBeCloseTo(skillTally.accuracy, 6);
        expect(skills[skillTally.skill]!.step).toBeCloseTo(skillTally.step, 6);
      }
    }
  });
});
