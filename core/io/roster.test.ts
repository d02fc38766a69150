import fc from 'fast-check';
import Papa from 'papaparse';
import { type Listed, readRoster } from './roster';

const read = (text: string): Listed[] => {
  const read = readRoster(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
};
const problems = (text: string) => {
  const read = readRoster(text);
  return read.ok ? [] : read.problems.map(({ code, row }) => [code, row]);
};

describe('a roster', () => {
  it('is a name a line, with numbers where there are some, and names turned round by a comma', () => {
    expect(read('Amina Tessaly\n\n  Ivo   Santarel \n')).toEqual([
      { name: 'Amina Tessaly', number: null },
      { name: 'Ivo Santarel', number: null },
    ]);
    expect(read('Amina Tessaly, 17\nAmina Tessaly, 18')).toEqual([
      { name: 'Amina Tessaly', number: '17' },
      { name: 'Amina Tessaly', number: '18' },
    ]);
    expect(read('Tessaly, Amina')).toEqual([{ name: 'Amina Tessaly', number: null }]);
    expect(read('Amina Tessaly\tA-17')).toEqual([{ name: 'Amina Tessaly', number: 'A-17' }]);
  });

  it('is a table with headings in any order, and the OneRoster layout, of which students alone are taken', () => {
    expect(read('Number,Last name,First name\n4,Tessaly,Amina')).toEqual([
      { name: 'Amina Tessaly', number: '4' },
    ]);
    const oneRoster = [
      'sourcedId,status,enabledUser,role,username,givenName,familyName,identifier,email',
      'a1,active,true,student,amina,Amina,Tessaly,1017,a@example.test',
      'a2,active,true,teacher,odile,Odile,Brandvoort,1,o@example.test',
      'a3,tobedeleted,true,student,gone,Gone,Away,1018,g@example.test',
      'a4,,true,student,ivo,Ivo,Santarel,,i@example.test',
    ].join('\r\n');
    expect(read(`\uFEFF${oneRoster}`)).toEqual([
      { name: 'Amina Tessaly', number: '1017' },
      { name: 'Ivo Santarel', number: null },
    ]);
  });

  it('names every row that cannot be taken, and takes none then', () => {
    expect(problems('')).toEqual([['roster.empty', undefined]]);
    expect(problems('name,role\nOdile,teacher')).toEqual([['roster.noStudents', undefined]]);
    expect(problems(`Amina\nAmina\n${'x'.repeat(81)}\nIvo,${'1'.repeat(21)}`)).toEqual([
      ['roster.twice', 2],
      ['roster.long', 3],
      ['roster.longNumber', 4],
    ]);
    expect(problems('name,number\n,5\nIvo,6')).toEqual([['roster.noName', 2]]);
    expect(problems('x'.repeat(80))).toEqual([]);
  });

  it('comes back as it was written by a spreadsheet, whatever is in it', () => {
    const name = fc
      .string({ minLength: 1, maxLength: 40 })
      .map((text) => text.replace(/[\p{C}\s]+/gu, ' ').trim())
      .filter((text) => text !== '');
    const number = fc.option(fc.integer({ min: 0, max: 99_999 }).map(String), { nil: null });
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.record({ name, number }), {
          minLength: 1,
          maxLength: 30,
          selector: (one) => `${one.name.toLowerCase()}\n${one.number ?? ''}`,
        }),
        (places) => {
          const csv = Papa.unparse({
            fields: ['Name', 'Number'],
            data: places.map((p) => [p.name, p.number ?? '']),
          });
          expect(read(csv)).toEqual(places);
        },
      ),
    );
  });
});
