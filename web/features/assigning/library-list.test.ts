import type { Exercise } from '@cimbel/contract';
import { found, tagsOf, type Looking } from './library-list';

const exercise = (title: string, part: Partial<Exercise> = {}): Exercise =>
  ({
    title,
    tags: [],
    archived: false,
    assignments: 0,
    updatedAt: '2026-03-01T10:00:00.000Z',
    clientCase: { title: 'A case', client: { name: 'Ines', note: '' } },
    ...part,
  }) as Exercise;
const ALL: Looking = { search: '', tag: '', sort: 'title', archivedToo: false };
const SHELF = [
  exercise('Grey retouch', { tags: ['Grey', 'week 3'], assignments: 2 }),
  exercise('Café au lait', { tags: ['exam'], updatedAt: '2026-03-05T10:00:00.000Z' }),
  exercise('Old exam', { tags: ['Exam'], archived: true, assignments: 9 }),
];
const titles = (part: Partial<Looking>) => found(SHELF, { ...ALL, ...part }).map(({ title }) => title);

describe('looking through the library', () => {
  it('finds by words in any order, in title, client and tags, whatever their case or accents', () => {
    expect(titles({ search: 'RETOUCH grey' })).toEqual(['Grey retouch']);
    expect(titles({ search: 'cafe' })).toEqual(['Café au lait']);
    expect(titles({ search: 'ines week' })).toEqual(['Grey retouch']);
    expect(titles({ search: 'nothing' })).toEqual([]);
  });
  it('keeps what is archived out until it is asked for', () => {
    expect(titles({ tag: 'exam' })).toEqual(['Café au lait']);
    expect(titles({ tag: 'exam', archivedToo: true })).toEqual(['Café au lait', 'Old exam']);
  });
  it('sorts by title, by the last change and by how often it was assigned', () => {
    expect(titles({ sort: 'updated' })[0]).toBe('Café au lait');
    expect(titles({ sort: 'used' })).toEqual(['Grey retouch', 'Café au lait']);
  });
  it('names each tag once', () => {
    expect(tagsOf(SHELF)).toEqual(['exam', 'Grey', 'week 3']);
  });
});
