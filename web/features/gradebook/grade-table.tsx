import type { GradeColumn, Gradebook, GradedStudent } from '@cimbel/contract';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { figure } from '../../lib/i18n';
import { useGridKeys } from '../../lib/use-grid-keys';
import { categoryName, cellText, dayOf, madeOf, shareText } from './words';

/** The pieces of a category, and its name; those of none come last. */
interface ColumnGroup {
  id: string;
  name: string;
  columns: GradeColumn[];
  mean: boolean;
}

const meanOf = (shares: readonly (number | null)[]): number | null => {
  const some = shares.flatMap((share) => share ?? []);
  return some.length === 0 ? null : some.reduce((a, b) => a + b, 0) / some.length;
};

const CELL = 'border-line border-s px-2 py-0.5 text-end whitespace-nowrap';
const FIRST = 'bg-sheet border-strong-line sticky start-0 z-10 border-e';

/** The term mark of a student, and whether it is a pass, by a word and not by colour alone. */
function TermCell({ student: { percent, passed } }: { student: GradedStudent }) {
  const { t } = useTranslation('gradebook');
  return (
    <td className={`${CELL} border-strong-line`}>
      {percent === null ? (
        <span className="text-quiet">–</span>
      ) : (
        <>
          <span className="font-semibold">{t('percent', { value: figure(percent) })}</span>{' '}
          <span className={passed ? 'text-quiet text-sm' : 'text-warn text-sm'}>
            {t(passed ? 'passed' : 'failed')}
          </span>
        </>
      )}
    </td>
  );
}

/** Every mark of a class: a row a student, pieces by category; arrow keys go through it, and what a mark is made of stands below. */
export function GradeTable({
  book,
  onCell,
  onColumn,
}: {
  book: Gradebook;
  onCell: (column: GradeColumn, student: GradedStudent) => void;
  onColumn: (column: GradeColumn) => void;
}) {
  const { t } = useTranslation('gradebook');
  const grid = useGridKeys<HTMLTableSectionElement>();
  const [at, setAt] = useState<{ column: string; student: string } | null>(null);
  const { settings, columns, students } = book;
  const ofCategory = (id: string) => columns.filter(({ category }) => category === id);
  const groups: ColumnGroup[] = settings.categories
    .map((category) => ({
      id: category.id,
      name: categoryName(t, category),
      columns: ofCategory(category.id),
      mean: true,
    }))
    .filter((group) => group.columns.length > 0);
  const loose = columns.filter(({ category }) => !settings.categories.some(({ id }) => id === category));
  if (loose.length > 0) groups.push({ id: '', name: t('category.none'), columns: loose, mean: false });
  const shown = at && {
    column: columns.find(({ id }) => id === at.column),
    student: students.find(({ id }) => id === at.student),
  };
  const made =
    shown?.column && shown.student
      ? `${shown.student.name} · ${shown.column.title}: ${madeOf(t, shown.column, shown.student.cells[shown.column.id], settings, shown.student.categories).join(' ')}`
      : t('made.hint');
  return (
    <div className="flex flex-col">
      <div className="bg-sheet border-line overflow-x-auto rounded-t-sm border">
        <table className="w-full border-collapse">
          <caption className="sr-only">{t('table')}</caption>
          <thead>
            <tr>
              <td className={FIRST} />
              <td className="border-strong-line border-s" />
              {groups.map(({ id, name, columns: own, mean }) => (
                <th
                  key={id}
                  scope="colgroup"
                  colSpan={own.length + (mean ? 1 : 0)}
                  className="border-strong-line border-s px-2 py-1 text-start"
                >
                  {name}
                </th>
              ))}
            </tr>
            <tr className="border-strong-line border-b align-bottom">
              <th scope="col" className={`${FIRST} px-3 py-1 text-start`}>
                {t('student')}
              </th>
              <th scope="col" className={`${CELL} border-strong-line font-semibold`}>
                {t(book.frozenAt ? 'termFrozen' : 'term')}
              </th>
              {groups.flatMap(({ id, columns: own, mean }) => [
                ...own.map((column) => (
                  <th
                    key={column.id}
                    scope="col"
                    className={`border-line border-s px-2 py-1 text-end align-bottom font-normal ${column.counts ? '' : 'text-quiet'}`}
                  >
                    <button
                      type="button"
                      className="decoration-strong-line ms-auto block max-w-32 min-w-16 text-end text-sm leading-tight underline underline-offset-4 hover:decoration-2"
                      onClick={() => onColumn(column)}
                    >
                      {column.title}
                    </button>
                    <span className="text-quiet block text-xs">
                      {t('of', { max: column.max })} · {dayOf(column)}
                    </span>
                  </th>
                )),
                ...(mean
                  ? [
                      <th key={id} scope="col" className={`${CELL} text-quiet text-sm font-normal`}>
                        {t('mean')}
                      </th>,
                    ]
                  : []),
              ])}
            </tr>
          </thead>
          <tbody {...grid} onMouseLeave={() => setAt(null)}>
            {students.map((student) => (
              <tr key={student.id} className="border-line hover:bg-raised border-b">
                <th scope="row" className={`${FIRST} px-3 py-0.5 text-start font-normal whitespace-nowrap`}>
                  <Link
                    to={`/classes/${book.classId}/gradebook/${student.id}`}
                    className="decoration-strong-line inline-block max-w-44 truncate align-middle underline underline-offset-4 max-sm:max-w-28"
                  >
                    {student.name}
                  </Link>
                </th>
                <TermCell student={student} />
                {groups.flatMap(({ id, columns: own, mean }) => [
                  ...own.map((column) => {
                    const cell = student.cells[column.id];
                    const { state, dropped, entry } = cell;
                    const points = cellText(t, cell);
                    const text = state === 'unreleased' ? `(${points})` : points;
                    const quiet =
                      dropped || !column.counts || !['marked', 'given'].includes(state) ? 'text-quiet' : '';
                    const here = { column: column.id, student: student.id };
                    return (
                      <td key={column.id} className={CELL}>
                        {state === 'notSet' ? null : (
                          <button
                            type="button"
                            className={`inline-flex min-h-8 w-full min-w-10 items-center justify-end gap-1 px-1 ${quiet} ${dropped ? 'line-through' : ''} ${state === 'missing' ? 'text-warn text-sm' : ''} ${state === 'excused' ? 'text-sm' : ''}`}
                            aria-label={t('cellOf', {
                              student: student.name,
                              title: column.title,
                              what:
                                state === 'unreleased' || state === 'open'
                                  ? `${text} ${t(`state.${state}`)}`
                                  : text,
                            })}
                            onFocus={() => setAt(here)}
                            onMouseEnter={() => setAt(here)}
                            onClick={() => onCell(column, student)}
                          >
                            {entry && state === 'given' && column.kind !== 'practical' ? (
                              <Pencil aria-hidden className="size-3" />
                            ) : null}
                            {text}
                          </button>
                        )}
                      </td>
                    );
                  }),
                  ...(mean
                    ? [
                        <td key={id} className={`${CELL} text-sm`}>
                          {shareText(student.categories.find((one) => one.id === id)?.mean ?? null)}
                        </td>,
                      ]
                    : []),
                ])}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row" className={`${FIRST} text-quiet px-3 py-1 text-start font-normal`}>
                {t('classMean')}
              </th>
              <td className={`${CELL} border-strong-line`}>
                {shareText(meanOf(students.map(({ percent }) => percent && percent / 100)))}
              </td>
              {groups.flatMap(({ id, columns: own, mean }) => [
                ...own.map((column) => {
                  const points = meanOf(
                    students.map(({ cells }) => {
                      const { state, points: reached } = cells[column.id];
                      return state === 'marked' || state === 'given' ? reached : null;
                    }),
                  );
                  return (
                    <td key={column.id} className={CELL}>
                      {points === null ? '' : figure(points, undefined, 1)}
                    </td>
                  );
                }),
                ...(mean
                  ? [
                      <td key={id} className={`${CELL} text-sm`}>
                        {shareText(
                          meanOf(
                            students.map(
                              ({ categories }) => categories.find((one) => one.id === id)?.mean ?? null,
                            ),
                          ),
                        )}
                      </td>,
                    ]
                  : []),
              ])}
            </tr>
          </tfoot>
        </table>
      </div>
      <p
        aria-live="polite"
        className="bg-raised border-line sticky bottom-0 z-20 min-h-14 rounded-b-sm border border-t-0 px-3 py-2 text-sm"
      >
        {made}
      </p>
    </div>
  );
}
