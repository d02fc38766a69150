import type { ShadeBooks } from '@cimbel/contract';
import { SHIPPED_CASES, shippedCase } from '@cimbel/core/cases';
import { readExercisePack } from '@cimbel/core/io';
import { SHIPPED_LINES, shippedLine, type Line } from '@cimbel/core/product';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { fresh } from './exercise-form';
import { formOfPacked, packOf, takePack } from './pack';

const books = (...own: Line[]): ShadeBooks => ({
  shipped: [...SHIPPED_LINES],
  own: own.map((line, i) => ({ id: `${i}`, line: { ...line, id: `book:${i}`, version: 3 }, savedAt: '' })),
});
const theirs: Line = { ...shippedLine('quillet')!, id: 'theirs', name: 'Theirs' };
const made: Line[] = [];
beforeEach(() => {
  made.length = 0;
  globalThis.fetch = (async (_path: string, { body }: { body: string }) => {
    made.push(JSON.parse(body).line);
    return new Response(JSON.stringify({ id: `new${made.length}` }), { status: 201 });
  }) as typeof fetch;
});
const shipped = (id: string) => {
  const { clientCase, open } = shippedCase(id)!;
  return fresh({ id, clientCase, open: open ? [...open] : undefined });
};
const golden = shipped('golden-gloss');
const withLine = (line: Line) => {
  const clientCase = { ...golden.clientCase, lineIds: [line.id] };
  return packOf({ ...golden, clientCase }, [line], DEFAULT_HOUSE_RULES);
};

describe('a pack', () => {
  it('goes out and comes back as the same form', async () => {
    for (const { id } of SHIPPED_CASES) {
      const form = shipped(id);
      const taken = await takePack(packOf(form, SHIPPED_LINES, DEFAULT_HOUSE_RULES), books());
      if (!taken.ok) throw new Error(taken.problem.code);
      const { clientCase, title, open } = form;
      expect(formOfPacked(taken.cases[0])).toMatchObject({ clientCase, title, open, slip: null });
    }
    expect(made).toEqual([]);
  });

  it('brings lines that are not known as shade books, once each, and its cases name them', async () => {
    const taken = await takePack(withLine(theirs), books());
    expect(taken).toMatchObject({ ok: true, newBooks: 1 });
    expect(made.map(({ name }) => name)).toEqual(['Theirs']);
    if (taken.ok) expect(taken.cases[0].case.lineIds).toEqual(['book:new1']);
  });

  it('knows a line again that came before, in whatever order its fields are', async () => {
    const turned = Object.fromEntries(Object.entries(theirs).reverse()) as unknown as Line;
    const taken = await takePack(withLine(theirs), books(turned));
    expect(taken).toMatchObject({ ok: true, newBooks: 0 });
    expect(made).toEqual([]);
    if (taken.ok) expect(taken.cases[0].case.lineIds).toEqual(['book:0']);
    const changed = await takePack(withLine(theirs), books({ ...turned, ratios: [1] }));
    expect(changed).toMatchObject({ ok: true, newBooks: 1 });
  });

  it('that is none says what is wrong, and makes nothing', async () => {
    const taken = await takePack('{"format":"else"}', books());
    expect(taken).toMatchObject({ ok: false, problem: { code: 'file.notPack' } });
    const broken = JSON.parse(withLine(theirs));
    broken.cases[0].case.head.density = 'thickish';
    expect(await takePack(JSON.stringify(broken), books())).toMatchObject({
      ok: false,
      problem: { path: 'cases.0.case.head.density' },
    });
    expect(made).toEqual([]);
  });

  it('names an exercise that has no title after its case', () => {
    const read = readExercisePack(packOf({ ...golden, title: '' }, SHIPPED_LINES, DEFAULT_HOUSE_RULES));
    expect(read.ok && read.value.name).toBe(shippedCase('golden-gloss')!.clientCase.title);
  });
});
