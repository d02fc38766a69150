import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { shippedLine, SHIPPED_LINES, type Line } from '../product';
import { problemsOf, readShadeBook, writeShadeBook, shadeBookJsonSchema } from './shade-book';
import { readShadeTable, writeShadeTable } from './shade-table';

const tarnwick = shippedLine('tarnwick')!;
const bad = (change: object) => problemsOf({ ...tarnwick, ...change });

describe('a shade book as a file', () => {
  it.each(SHIPPED_LINES.map((line) => [line.name, line] as const))(
    '%s goes out and comes back the same',
    (_, line) => {
      expect(readShadeBook(writeShadeBook(line))).toEqual({ ok: true, value: line });
    },
  );

  it('says what it is not, and where it is wrong', () => {
    expect(readShadeBook('{')).toMatchObject({ ok: false, problems: [{ code: 'file.notJson' }] });
    expect(readShadeBook('{"format":"else"}')).toMatchObject({
      problems: [{ code: 'file.notShadeBook', path: 'format' }],
    });
    const file = JSON.parse(writeShadeBook(tarnwick));
    file.line.shades[3] = '4;0';
    file.line.minutes.grey = -1;
    expect(readShadeBook(JSON.stringify(file))).toMatchObject({ problems: [{ path: 'line.minutes.grey' }] });
    file.line.minutes.grey = 45;
    expect(readShadeBook(JSON.stringify(file))).toMatchObject({
      problems: [{ code: 'label.noSeparator', path: 'line.shades.3' }],
    });
  });

  it('is described by the JSON Schema in the docs', () => {
    const name = readFileSync(join(__dirname, '../../docs/formats/shade-book.schema.json'), 'utf8');
    expect(JSON.parse(name)).toEqual(JSON.parse(JSON.stringify(shadeBookJsonSchema())));
  });

  it('has a schema that names every field', () => {
    const schema = JSON.stringify(shadeBookJsonSchema());
    for (const field of [
      'separator',
      'signs',
      'developersVol',
      'ratios',
      'activeMinutes',
      'corrector',
      'highLiftFrom',
    ])
      expect(schema).toContain(`"${field}"`);
  });
});

describe('what a line may not be', () => {
  it('is told by place and code', () => {
    expect(bad({ shades: ['5:0', '6:0', '5:0'] })).toMatchObject([
      { code: 'line.labelTwice', path: 'shades.2', params: { row: 1 } },
    ]);
    expect(bad({ shades: [] })).toMatchObject([{ code: 'line.noShades', path: 'shades' }]);
    expect(bad({ developersVol: [] })).toMatchObject([{ code: 'line.noDeveloper' }]);
    expect(bad({ ratios: [] })).toMatchObject([{ code: 'line.noRatio' }]);
    expect(bad({ kind: 'remover', developersVol: [0] })).toMatchObject([{ code: 'line.shadesNotHere' }]);
    // A remover is a reducing agent: its liquid holds no peroxide; everything else is poured with some.
    expect(bad({ kind: 'remover', shades: [], developersVol: [5] })).toMatchObject([
      { code: 'line.removerPeroxide', path: 'developersVol.0' },
    ]);
    expect(bad({ developersVol: [20, 0] })).toMatchObject([
      { code: 'line.noStrength', path: 'developersVol.1' },
    ]);
    const key = { ...tarnwick.key, signs: { ...tarnwick.key.signs, x: 'ash' } };
    expect(bad({ key })).toMatchObject([
      { code: 'line.familyTwice', path: 'key.signs.x', params: { family: 'ash' } },
    ]);
    expect(bad({ key: { ...tarnwick.key, separator: '7' } }).map(({ code }) => code)).toEqual(
      expect.arrayContaining(['line.separatorIsSign', 'line.separatorIsDigit']),
    );
    expect(bad({ name: ' ' })).toMatchObject([{ path: 'name' }]);
    expect(problemsOf('nothing')).toHaveLength(1);
  });
});

describe('a table of shades', () => {
  it.each(SHIPPED_LINES.filter(({ shades }) => shades.length > 0).map((line) => [line.name, line] as const))(
    '%s goes out as CSV and comes back with the same labels',
    (_, line) => {
      expect(readShadeTable(writeShadeTable(line), line)).toEqual({ ok: true, value: line.shades });
    },
  );

  it('takes a column from a spreadsheet, tabs, any order of columns, and a mark in front', () => {
    expect(readShadeTable('5:0\n6:7\r\n\r\n7:75\n', tarnwick)).toEqual({
      ok: true,
      value: ['5:0', '6:7', '7:75'],
    });
    expect(readShadeTable('Shade\tLevel\n5:0\t5\n', tarnwick)).toEqual({ ok: true, value: ['5:0'] });
    expect(readShadeTable('\uFEFFlevel\tlabel\n5\t5:0\n6\t6:7', tarnwick)).toEqual({
      ok: true,
      value: ['5:0', '6:7'],
    });
    expect(readShadeTable('label,maker no.\n5:0,4711', tarnwick)).toEqual({ ok: true, value: ['5:0'] });
  });

  it('names row and column of every slip at once', () => {
    const read = readShadeTable(
      'label,level,primary\n5:0,5,neutral\n6:7,7,ash\n6:x,,\n5:0,,\n,5,\n7:7,7,gold',
      tarnwick,
    );
    expect(read.ok ? [] : read.problems.map(({ code, row, column }) => [row, column, code])).toEqual([
      [3, 'level', 'table.contradicts'],
      [4, 'label', 'label.unknownSign'],
      [5, 'label', 'table.labelTwice'],
      [6, 'label', 'table.noLabel'],
      [7, 'primary', 'table.contradicts'],
    ]);
    expect(readShadeTable('  \n', tarnwick)).toMatchObject({ problems: [{ code: 'table.empty' }] });
  });

  it('never throws, whatever is pasted', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.constantFrom<Line>(...SHIPPED_LINES), (text, line) => {
        const read = readShadeTable(text, line);
        if (!read.ok) expect(read.problems.length).toBeGreaterThan(0);
        readShadeBook(text);
      }),
      { numRuns: 400 },
    );
  });
});
