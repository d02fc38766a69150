import { randomUUID } from 'node:crypto';
import { inClassroom } from './testing/harness';

const { h, room } = inClassroom();

/** How often the database is asked while a page is fetched. */
async function questionsFor(fetch: () => PromiseLike<unknown>): Promise<number> {
  let asked = 0;
  const count = () => asked++;
  h.db.on('query', count);
  await fetch();
  h.db.removeListener('query', count);
  return asked;
}

/** Fifty more students in the class, and ten more exercises. */
async function grow(): Promise<void> {
  const made = Array.from({ length: 50 }, (_, i) => ({
    id: randomUUID(),
    name: `Student ${i}`,
    role: 'student',
  }));
  await h.db('users').insert(made);
  await h.db('memberships').insert(made.map(({ id }) => ({ class_id: room.classId, student_id: id })));
  const row = await h.db('assignments').where({ id: room.assignmentId }).first();
  const asJson = Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      value !== null && typeof value === 'object' && !(value instanceof Date) ? JSON.stringify(value) : value,
    ]),
  );
  await h.db('assignments').insert(Array.from({ length: 10 }, () => ({ ...asJson, id: randomUUID() })));
}

describe('pages of a class that grows', () => {
  const pages = {
    classes: () => room.educator.get('/api/classes').expect(200),
    class: () => room.educator.get(`/api/classes/${room.classId}`).expect(200),
    roster: () => room.educator.get(`/api/classes/${room.classId}/roster`).expect(200),
    log: () => room.educator.get(`/api/classes/${room.classId}/log`).expect(200),
    assignment: () => room.educator.get(`/api/assignments/${room.assignmentId}`).expect(200),
    pile: () => room.educator.get(`/api/assignments/${room.assignmentId}/pile`).expect(200),
    live: () => room.educator.get(`/api/assignments/${room.assignmentId}/live`).expect(200),
    search: () => room.educator.get('/api/search').expect(200),
    'what can be looked for': () => room.student.get('/api/search').expect(200),
    'reading desk': () => room.educator.get(`/api/classes/${room.classId}/reading`).expect(200),
    gradebook: () => room.educator.get(`/api/classes/${room.classId}/gradebook`).expect(200),
    test: () => room.educator.get(`/api/reading-tests/${room.testId}`).expect(200),
    'what is due': () => room.student.get('/api/my/assignments').expect(200),
    exercise: () => room.student.get(`/api/my/assignments/${room.assignmentId}`).expect(200),
    practice: () => room.student.get('/api/my/practice').expect(200),
  };

  it('ask the database as often for fifty as for two, and not often', async () => {
    const counts = async () => {
      const all: Record<string, number> = {};
      for (const [name, fetch] of Object.entries(pages)) all[name] = await questionsFor(fetch);
      return all;
    };
    const before = await counts();
    await grow();
    expect(await counts()).toEqual(before);
    for (const [name, asked] of Object.entries(before))
      expect({ name, few: asked <= 13 }).toEqual({ name, few: true });
  });
});
