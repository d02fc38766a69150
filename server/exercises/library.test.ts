import type { EducatorAssignment, Exercise, ExerciseVersion } from '@cimbel/contract';
import { assignmentBody, inClassroom } from '../testing/harness';

const { room } = inClassroom();
const content = assignmentBody().exercise;
const make = async (change: object = {}): Promise<string> =>
  (await room.educator.post('/api/exercises', { ...content, ...change }).expect(201)).body.id;
const kept = async (id: string): Promise<Exercise> =>
  (await room.educator.get('/api/exercises').expect(200)).body.find(
    (exercise: Exercise) => exercise.id === id,
  );
const versions = async (id: string): Promise<ExerciseVersion[]> =>
  (await room.educator.get(`/api/exercises/${id}/versions`).expect(200)).body;
const assign = async (id: string, exercise: object = content): Promise<string> =>
  (
    await room.educator
      .post(`/api/classes/${room.classId}/assignments`, { ...assignmentBody(), exercise, exerciseId: id })
      .expect(201)
  ).body.id;
const page = async (id: string): Promise<EducatorAssignment> =>
  (await room.educator.get(`/api/assignments/${id}`).expect(200)).body;

describe('the library', () => {
  it('files an exercise by tags, each word once whatever its letters, and puts it away and back', async () => {
    const id = await make({ tags: ['Grey', 'week 3', 'grey'] });
    expect(await kept(id)).toMatchObject({ tags: ['Grey', 'week 3'], archived: false, version: 1 });
    await room.educator.patch(`/api/exercises/${id}`, { tags: ['exam'], archived: true }).expect(200);
    expect(await kept(id)).toMatchObject({ tags: ['exam'], archived: true, version: 1 });
    await room.educator.patch(`/api/exercises/${id}`, { archived: false }).expect(200);
    expect(await kept(id)).toMatchObject({ archived: false });
    await room.otherEducator.patch(`/api/exercises/${id}`, { tags: [] }).expect(404);
    await room.educator.patch(`/api/exercises/${id}`, { tags: ['a\nb'] }).expect(422);
  });

  it('makes another version only of what has been set, and leaves what was set as it was', async () => {
    const id = await make();
    await room.educator.put(`/api/exercises/${id}`, { ...content, title: 'Still a draft' }).expect(200);
    expect((await versions(id)).map(({ version }) => version)).toEqual([1]);
    const set = await assign(id, { ...content, title: 'Still a draft' });
    await room.educator.put(`/api/exercises/${id}`, { ...content, title: 'Still a draft' }).expect(200);
    expect(await kept(id)).toMatchObject({ version: 1 });
    await room.educator
      .put(`/api/exercises/${id}`, { ...content, title: 'Another', tags: ['new'] })
      .expect(200);
    expect(await kept(id)).toMatchObject({ title: 'Another', version: 2, tags: ['new'] });
    expect(await page(set)).toMatchObject({ title: 'Still a draft', version: 1, newestVersion: 2 });
    // The second version is not assigned yet, so it may change in place.
    await room.educator.put(`/api/exercises/${id}`, { ...content, title: 'Again' }).expect(200);
    expect(
      (await versions(id)).map(({ version, assignments, content: { title } }) => ({
        version,
        assignments,
        title,
      })),
    ).toEqual([
      { version: 2, assignments: 0, title: 'Again' },
      { version: 1, assignments: 1, title: 'Still a draft' },
    ]);
    const second = await assign(id, { ...content, title: 'Again' });
    expect(await page(second)).toMatchObject({ version: 2, newestVersion: 2 });
  });

  it('changes in place what nobody has begun, and takes up the newest version', async () => {
    const id = await make();
    const set = await assign(id);
    await room.educator
      .put(`/api/assignments/${set}/exercise`, { ...content, title: 'Put right' })
      .expect(200);
    expect(await page(set)).toMatchObject({ title: 'Put right', version: 1, newestVersion: 1 });
    const other = await assign(id, { ...content, title: 'Put right' });
    await room.educator.put(`/api/assignments/${set}/exercise`, { ...content, title: 'For one' }).expect(200);
    expect(await page(set)).toMatchObject({ title: 'For one', version: 2 });
    expect(await page(other)).toMatchObject({ title: 'Put right', version: 1, newestVersion: 2 });
  });
});
