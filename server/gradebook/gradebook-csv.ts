import type { Gradebook, GradeCell } from '@cimbel/contract';
import { percentOf } from '@cimbel/core/gradebook';
import { csvOf, type Cell } from '../http/csv';

/** Points, or how it stands where there are none that count. */
const cellText = ({ state, points }: GradeCell): Cell =>
  state === 'marked' || state === 'given' || state === 'missing' ? points! : state === 'open' ? '' : state;

/** One row a student: number, name, points of each piece, per cent of each category and of the term. */
export function gradebookCsv({ columns, settings, students }: Gradebook): string {
  const share = (value: number | null): Cell => (value === null ? '' : percentOf(value, 1));
  return csvOf([
    [
      'number',
      'name',
      ...columns.map(({ title, max }) => `${title} (of ${max})`),
      ...settings.categories.map(({ id, name }) => `${name ?? id}_percent`),
      'term_percent',
      'passed',
    ],
    ...students.map(({ number, name, cells, categories, percent, passed }) => [
      number ?? '',
      name,
      ...columns.map(({ id }) => cellText(cells[id])),
      ...categories.map(({ mean }) => share(mean)),
      percent ?? '',
      passed === null ? '' : passed ? 'yes' : 'no',
    ]),
  ]);
}
