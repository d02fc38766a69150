import type { FoundKind, SearchEntry } from '@cimbel/contract';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { assignmentBody, inClassroom, signedIn, type Browser } from '../testing/harness';

const { h, room } = inClassroom();
const told = async (page: Browser): Promise<SearchEntry[]> =>
  (await page.get('/api/search').expect(200)).body;
const kinds = (entries: readonly SearchEntry[]) =>
  entries.reduce<Partial<Record<FoundKind, number>>>(
    (all, { kind }) => ({ ...all, [kind]: (all[kind] ?? 0) + 1 }),
    {},
  );

describe('what can be looked for', () => {
  it('is, for an educator, all of the classes they lead and their own library and charts', async () => {
    const entries = await told(room.educator);
    expect(kinds(entries)).toEqual({
      class: 1,
      student: 2,
      assignment: 1,
      test: 1,
      practice: 1,
      exercise: 1,
      chart: 1,
      line: SHIPPED_LINES.length,
    });
    expect(entries).toContainEqual({
      kind: 'student',
      id: room.student.account.id,
      title: 'Student',
      also: '',
      classId: room.classId,
      className: 'Evening',
    });
  });

  it('is, for another educator, nothing of these; for one who marks there, the class and not the library', async () => {
    expect(kinds(await told(room.otherEducator))).toEqual({ line: SHIPPED_LINES.length });
    const marker = await signedIn(h, 'educator', 'Marker');
    await h.db('class_educators').insert({
      class_id: room.classId,
      educator_id: marker.account.id,
      rights: 'marking',
      added_at: h.clock.now,
    });
    const seen = kinds(await told(marker));
    expect(seen).toMatchObject({ class: 1, student: 2, assignment: 1 });
    expect(seen).not.toHaveProperty('exercise');
    expect(seen).not.toHaveProperty('chart');
  });

  it('is, for a student, what is set to them and the tests of their class: no one else, no library', async () => {
    const others = [
      {
        studentId: room.classmate.account.id,
        opensAt: null,
        dueAt: null,
        attempts: null,
        extraTimeShare: null,
      },
    ];
    const { id } = (
      await room.educator
        .post(
          `/api/classes/${room.classId}/assignments`,
          assignmentBody({}, { everyone: false, students: others }),
        )
        .expect(201)
    ).body;
    const mine = await told(room.student);
    expect(kinds(mine)).toEqual({ assignment: 1, test: 1 });
    expect(mine.map((one) => one.id)).not.toContain(id);
    expect((await told(room.classmate)).map((one) => one.id)).toContain(id);
    expect(await told(room.stranger)).toEqual([]);
  });

  it('is no one who was removed from the class, and nothing put away in the library', async () => {
    const leaver = await signedIn(h, 'student', 'Leaver');
    await room.educator.put(`/api/classes/${room.classId}/joining`, { joining: 'open' }).expect(200);
    await leaver.post('/api/memberships', { joinCode: room.joinCode }).expect(201);
    const isThere = async () =>
      (await told(room.educator)).some(({ kind, title }) => kind === 'student' && title === 'Leaver');
    expect(await isThere()).toBe(true);
    await h.db('memberships').where({ student_id: leaver.account.id }).update({ state: 'removed' });
    expect(await isThere()).toBe(false);
    expect(await told(leaver)).toEqual([]);
    await h.db('exercises').update({ archived_at: h.clock.now });
    expect(kinds(await told(room.educator))).not.toHaveProperty('exercise');
  });
});
