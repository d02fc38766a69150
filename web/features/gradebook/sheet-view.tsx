import type { GradebookFrame, GradeColumn, TermSheet } from '@cimbel/contract';
import { useTranslation } from 'react-i18next';
import { dateTime, figure } from '../../lib/i18n';
import { categoryName, cellText, dayOf, madeOf, shareText } from './words';

/** A student's term: every piece by category, what it is made of, and what it all comes to. */
export function SheetView({ frame, sheet }: { frame: GradebookFrame; sheet: TermSheet }) {
  const { t } = useTranslation('gradebook');
  const { settings, columns, passMark, frozenAt } = frame;
  const known = new Set(settings.categories.map(({ id }) => id));
  const set = ({ id }: GradeColumn) => sheet.cells[id] && sheet.cells[id].state !== 'notSet';
  const groups = [
    ...settings.categories.map((category) => ({
      id: category.id,
      name: categoryName(t, category),
      columns: columns.filter((column) => column.category === category.id && set(column)),
    })),
    {
      id: '',
      name: t('category.none'),
      columns: columns.filter((column) => !known.has(column.category) && set(column)),
    },
  ].filter((group) => group.columns.length > 0);
  return (
    <div className="flex flex-col gap-3">
      <p className="font-display text-2xl">
        {sheet.percent === null
          ? t('sheet.totalNone')
          : t(frozenAt ? 'sheet.totalFrozen' : 'sheet.total', { percent: figure(sheet.percent) })}
        {sheet.passed === null ? null : (
          <span className="font-sans text-base"> · {t(sheet.passed ? 'passed' : 'failed')}</span>
        )}
      </p>
      <p className="text-quiet text-sm">
        {t('sheet.pass', { mark: passMark })} {t('sheet.rule')}
        {frozenAt ? ` ${t('frozen', { when: dateTime(frozenAt) })}` : ''}
      </p>
      {groups.map((group) => {
        const own = sheet.categories.find(({ id }) => id === group.id);
        return (
          <table key={group.id} className="w-full border-collapse break-inside-avoid text-sm">
            <caption className="border-strong-line border-b pb-1 text-start text-base">
              <span className="font-semibold">{group.name}</span>{' '}
              {own ? (
                <span className="text-quiet text-sm">
                  {own.mean === null
                    ? t('sheet.noneYet')
                    : `${t('percent', { value: shareText(own.mean) })} · ${t('sheet.part', { part: own.part })}`}
                </span>
              ) : null}
            </caption>
            <thead className="sr-only">
              <tr>
                {(['piece', 'points', 'share', 'about'] as const).map((name) => (
                  <th key={name} scope="col">
                    {t(`sheet.${name}`)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {group.columns.map((column) => {
                const cell = sheet.cells[column.id];
                const counted = cell.points !== null && cell.state !== 'unreleased';
                return (
                  <tr key={column.id} className="border-line border-b align-top">
                    <th scope="row" className="py-1 pe-3 text-start font-normal sm:w-1/3">
                      {column.title} <span className="text-quiet whitespace-nowrap">{dayOf(column)}</span>
                    </th>
                    <td
                      className={`py-1 pe-3 text-end whitespace-nowrap ${cell.dropped ? 'line-through' : ''}`}
                    >
                      {cellText(t, cell)}
                      {counted ? <span className="text-quiet"> / {figure(column.max)}</span> : null}
                    </td>
                    <td className="py-1 pe-3 text-end whitespace-nowrap max-sm:hidden">
                      {counted ? t('percent', { value: shareText(cell.points! / column.max) }) : ''}
                    </td>
                    <td className="text-quiet py-1 sm:w-1/2">
                      {madeOf(t, column, cell, settings, sheet.categories, false).join(' ')}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        );
      })}
    </div>
  );
}
