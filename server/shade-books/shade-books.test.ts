import { bowlRatio } from '@cimbel/core/card';
import { shippedCase } from '@cimbel/core/cases';
import { shippedLine, type Line } from '@cimbel/core/product';
import type { ShadeBook, ShadeBooks } from '@cimbel/contract';
import { assignmentBody, inClassroom } from '../testing/harness';

const { room } = inClassroom();

const college: Line = { ...shippedLine('tarnwick')!, id: 'new', name: 'College Cream', ratios: [1] };
const make = async (line: Line = college): Promise<string> =>
  (await room.educator.post('/api/shade-books', { line, version: 0 }).expect(201)).body.id;
const bookOf = async (id: string): Promise<ShadeBook> =>
  (await room.educator.get(`/api/shade-books/${id}`).expect(200)).body;

describe('a shade book of one’s own', () => {
  it('can be set in an exercise, and an exercise keeps the line as it was', async () => {
    const id = await make();
    const { own, shipped }: ShadeBooks = (await room.educator.get('/api/shade-books').expect(200)).body;
    expect(shipped).toHaveLength(10);
    const mine = own.find((book) => book.id === id)!;
    expect(mine.line).toMatchObject({ name: 'College Cream', version: 1, id: `book:${id}` });
    const clientCase = { ...shippedCase('half-grey-gold')!.clientCase, lineIds: [mine.line.id] };
    const set = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase }))
      .expect(201);
    await room.educator
      .put(`/api/shade-books/${id}`, { line: { ...college, ratios: [2] }, version: 1 })
      .expect(200);
    const assignment = (await room.educator.get(`/api/assignments/${set.body.id}`).expect(200)).body;
    expect(assignment.lines).toMatchObject([{ version: 1, ratios: [1] }]);
    expect(bowlRatio(assignment.modelAnswer.card.bowls[0])).toBe(1);
    const again = await room.educator
      .post(`/api/classes/${room.classId}/assignments`, assignmentBody({ clientCase }))
      .expect(201);
    const later = (await room.educator.get(`/api/assignments/${again.body.id}`).expect(200)).body;
    expect(bowlRatio(later.modelAnswer.card.bowls[0])).toBeCloseTo(2, 1);
  });

  it('is nobody else’s: neither to see, nor to set, nor among their lines', async () => {
    const id = await make();
    await room.otherEducator.get(`/api/shade-books/${id}`).expect(404);
    const theirs: ShadeBooks = (await room.otherEducator.get('/api/shade-books').expect(200)).body;
    expect(theirs.own).toEqual([]);
    const classId = (await room.otherEducator.post('/api/classes', { name: 'Elsewhere' }).expect(201)).body
      .id;
    const clientCase = { ...shippedCase('half-grey-gold')!.clientCase, lineIds: [`book:${id}`] };
    const refused = await room.otherEducator.post(
      `/api/classes/${classId}/assignments`,
      assignmentBody({ clientCase }),
    );
    expect([refused.status, refused.body.error.fields[0].path]).toEqual([
      422,
      'exercise.clientCase.lineIds.0',
    ]);
  });

  it('keeps its versions, and does not overwrite what was saved elsewhere', async () => {
    const id = await make();
    const write = (name: string, version: number) =>
      room.educator.put(`/api/shade-books/${id}`, { line: { ...college, name }, version });
    expect((await write('Second', 1).expect(200)).body).toEqual({ version: 2 });
    const late = await write('From an old window', 1);
    expect([late.status, late.body.error.code]).toEqual([409, 'shadeBook.newer']);
    const { versions, line } = await bookOf(id);
    expect(versions.map((v) => [v.version, v.line.name])).toEqual([
      [2, 'Second'],
      [1, 'College Cream'],
    ]);
    expect(line.name).toBe('Second');
  });

  it('is put away and taken out again, and is not among the lines meanwhile', async () => {
    const id = await make({ ...college, name: 'Put away' });
    const names = async () =>
      ((await room.educator.get('/api/shade-books')).body as ShadeBooks).own.map(({ line }) => line.name);
    await room.educator.patch(`/api/shade-books/${id}`, { putAway: true }).expect(200);
    expect(await names()).not.toContain('Put away');
    expect((await bookOf(id)).putAway).toBe(true);
    await room.educator.patch(`/api/shade-books/${id}`, { putAway: false }).expect(200);
    expect(await names()).toContain('Put away');
  });

  it('is refused by place where it cannot be', async () => {
    const send = (change: object) =>
      room.educator.post('/api/shade-books', { line: { ...college, ...change }, version: 0 });
    const label = await send({ shades: ['5:0', '5:x'] });
    expect([label.status, label.body.error.fields]).toEqual([
      422,
      [expect.objectContaining({ path: 'line.shades.1', code: 'label.unknownSign' })],
    ]);
    const twice = await send({ shades: ['5:0', '5:0'] });
    expect(twice.body.error.fields).toEqual([
      expect.objectContaining({ path: 'line.shades.1', code: 'labelTwice' }),
    ]);
    await send({ minutes: { standard: 0, grey: 45 } }).expect(422);
  });
});
