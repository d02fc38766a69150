import type { Standing } from '@cimbel/contract';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Pencil, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { dateTime } from '../../lib/i18n';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/assigning';

/** One student's answer to something set, by criterion. */
export interface AnswerRow extends Standing {
  studentId: string;
  name: string;
  changed: boolean;
  /** Why the last attempt could not be taken when its time was up, by code; null where it was. */
  notTaken?: string | null;
  /** Which variant the student has, from 1; null where all have the same figures. */
  variant?: number | null;
  grade: {
    criteria: { criterion: string; points: number; max: number }[];
    /** Points by method, before any ceiling. */
    uncapped?: number;
    /** What would hurt the client, and caps the points. */
    dangers?: readonly unknown[];
  } | null;
}
const column = createColumnHelper<AnswerRow>();

const pointsOf = (row: AnswerRow, criterion: string) =>
  row.grade?.criteria.find((mark) => mark.criterion === criterion);

/** A criterion that is marked, with its short and its whole name. */
export interface MarkedCriterion {
  criterion: string;
  short: string;
  name: string;
}

function useColumns(marked: readonly MarkedCriterion[]) {
  const { t } = useTranslation(['ui', 'craft', 'assigning']);
  return useMemo(
    () => [
      column.accessor('name', {
        header: t('exercise.student'),
        cell: ({ row, getValue }) =>
          row.original.attemptId ? (
            <Link className="underline underline-offset-4" to={`/answers/${row.original.attemptId}`}>
              {getValue()}
            </Link>
          ) : (
            getValue()
          ),
      }),
      column.accessor((row) => row.submittedAt ?? row.state, {
        id: 'time',
        header: t('exercise.time'),
        cell: ({ row: { original } }) => (
          <span className={original.submittedAt ? '' : 'text-quiet'}>
            {original.submittedAt ? dateTime(original.submittedAt) : t(`student.state.${original.state}`)}
            {original.late ? <span className="text-warn ms-2">{t('class.late')}</span> : null}
            {original.variant ? (
              <span className="text-quiet ms-2">
                {t('assigning:variants.short', { number: original.variant })}
              </span>
            ) : null}
            {original.notTaken ? (
              <span className="text-bad block text-sm">{t('exercise.notTaken')}</span>
            ) : null}
          </span>
        ),
      }),
      ...marked.map(({ criterion, short, name }) =>
        column.accessor((row) => pointsOf(row, criterion)?.points ?? -1, {
          id: criterion,
          header: short,
          meta: { title: name, figure: true },
          cell: ({ row }) => {
            const mark = pointsOf(row.original, criterion);
            if (!mark) return null;
            return (
              <span className={mark.points < mark.max ? 'font-semibold' : 'text-quiet'}>{mark.points}</span>
            );
          },
        }),
      ),
      column.accessor((row) => row.grade?.uncapped ?? -1, {
        id: 'method',
        header: t('exercise.method'),
        meta: { figure: true, title: t('exercise.methodTitle') },
        cell: ({ row: { original } }) => original.grade?.uncapped ?? null,
      }),
      column.accessor((row) => row.points ?? -1, {
        id: 'total',
        header: t('exercise.total'),
        meta: { figure: true },
        cell: ({ row: { original } }) =>
          original.points === null ? null : (
            <span className="inline-flex items-center gap-1 whitespace-nowrap">
              {original.changed ? (
                <Pencil aria-label={t('exercise.changedMark')} className="size-3.5" />
              ) : null}
              {(original.grade?.dangers ?? []).length > 0 ? (
                <TriangleAlert aria-label={t('exercise.capped')} className="text-bad size-4" />
              ) : null}
              <strong>{original.points}</strong>
            </span>
          ),
      }),
    ],
    [marked, t],
  );
}

/** Thirty students on a screen: who has handed in, points by criterion, sorted by any of them. */
export function AnswersTable({ rows, marked }: { rows: AnswerRow[]; marked: readonly MarkedCriterion[] }) {
  const { t } = useTranslation();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const columns = useColumns(marked);
  // eslint-disable-next-line react-hooks/incompatible-library -- the table keeps its own identity between renders.
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    enableSortingRemoval: false,
  });
  const figure = (meta: unknown) => Boolean((meta as { figure?: boolean } | undefined)?.figure);
  return (
    <div className="bg-sheet border-line overflow-x-auto rounded-sm border">
      <table className="w-full border-collapse text-sm">
        <caption className="sr-only">{t('exercise.table')}</caption>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-strong-line border-b">
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                const title =
                  (header.column.columnDef.meta as { title?: string } | undefined)?.title ??
                  String(header.column.columnDef.header);
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : 'none'}
                    className={figure(header.column.columnDef.meta) ? 'text-end' : 'text-start'}
                  >
                    <button
                      type="button"
                      title={title}
                      onClick={header.column.getToggleSortingHandler()}
                      className="hover:bg-raised inline-flex items-center gap-0.5 px-2 py-2"
                    >
                      {flexRender(header.column.columnDef.header, header.getContext())}
                      {sorted === 'asc' ? <ArrowUp aria-hidden className="size-3.5" /> : null}
                      {sorted === 'desc' ? <ArrowDown aria-hidden className="size-3.5" /> : null}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-line hover:bg-raised border-b last:border-b-0">
              {row.getVisibleCells().map((cell) => (
                <td
                  key={cell.id}
                  className={`px-2 py-1 ${figure(cell.column.columnDef.meta) ? 'text-end' : 'whitespace-nowrap'}`}
                >
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
