import type { SearchEntry } from '@cimbel/contract';
import { finder, ruleToFind, toFindable } from './find';

const entry = (change: Partial<SearchEntry>): SearchEntry => ({
  kind: 'student',
  id: 'one',
  title: 'Zoë Łukasik-Brånd',
  also: '2041',
  classId: 'evening',
  className: 'Evening class',
  ...change,
});
const things = [
  toFindable(entry({}), true),
  toFindable(entry({ id: 'two', title: 'Amina Tessaly', also: '2042' }), true),
  toFindable(
    entry({
      kind: 'exercise',
      id: 'three',
      title: 'Grey on long hair',
      also: 'cover first',
      classId: null,
      className: null,
    }),
    true,
  ),
  toFindable(entry({ kind: 'assignment', id: 'four', title: 'Retouch with some grey', also: '' }), true),
  ruleToFind('F8', 'A base is natural. Grey takes its share of it: half from thirty per cent.'),
];
const find = finder(things);
const titles = (words: string) => find(words).map(({ title }) => title);

describe('what is found', () => {
  it('is found by the beginnings of its words in any order, without accents and in any case', () => {
    for (const words of ['zoe', 'ZOË', 'brand zo', 'łuk']) expect(titles(words)[0]).toBe('Zoë Łukasik-Brånd');
    expect(titles('tess ami')).toEqual(['Amina Tessaly']);
  });

  it('is found by a number, a tag, a class and the id of a rule', () => {
    expect(titles('2042')).toEqual(['Amina Tessaly']);
    expect(titles('cover')).toEqual(['Grey on long hair']);
    expect(titles('retouch evening')).toEqual(['Retouch with some grey']);
    expect(titles('f8')).toEqual(['F8']);
  });

  it('forgives a slip of the finger in a longer word, and none in a short one', () => {
    expect(titles('tesaly')).toEqual(['Amina Tessaly']);
    expect(titles('zob')).toEqual([]);
  });

  it('puts what is called so before what speaks of it', () => {
    const found = titles('grey');
    expect(found).toHaveLength(3);
    expect(found.at(-1)).toBe('F8');
  });

  it('tells a rule from the sentence on that has the word', () => {
    expect(find('thirty')[0].text).toBe('… half from thirty per cent.');
    expect(find('base')[0].text).toMatch(/^A base is natural/);
  });

  it('finds nothing where a word is nowhere, and nothing for signs alone', () => {
    expect(titles('grey helmet')).toEqual([]);
    expect(titles(' - ')).toEqual([]);
  });

  it('knows a student of two classes in both, and each by its own page', () => {
    const twice = finder([
      toFindable(entry({}), true),
      toFindable(entry({ classId: 'morning', className: 'Morning class' }), true),
    ]);
    expect(twice('zoe').map(({ to }) => to)).toEqual(
      expect.arrayContaining(['/classes/evening/gradebook/one', '/classes/morning/gradebook/one']),
    );
  });

  it('opens a student’s own work, and an educator’s view of it, by the same name', () => {
    const assignment = entry({ kind: 'assignment' });
    expect([true, false].map((teaches) => toFindable(assignment, teaches).to)).toEqual([
      '/assignments/one',
      '/due/one',
    ]);
  });
});
