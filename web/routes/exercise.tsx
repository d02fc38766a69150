import type { EducatorExercise, ExerciseChange } from '@cimbel/contract';
import { CRITERIA, type Criterion } from '@cimbel/core/grade';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { format } from 'date-fns';
import { ArrowDown, ArrowUp, Pencil } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { HouseRulesUsed, KeyCard } from '../features/marking/key-card';
import { api, asApiError } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { Button } from '../ui/button';
import { Confirm, Dialog } from '../ui/dialog';
import { Field, Input } from '../ui/field';
import { Empty, Failure, Loading, Notice, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

type Row = EducatorExercise['rows'][number];
const column = createColumnHelper<Row>();

const pointsOf = (row: Row, criterion: Criterion) =>
  row.grade?.criteria.find((mark) => mark.criterion === criterion);

function useColumns(exercise: EducatorExercise) {
  const { t } = useTranslation(['ui', 'craft']);
  return useMemo(() => {
    const marked = CRITERIA.filter((criterion) => (exercise.rubric[criterion] ?? 0) > 0);
    return [
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
          </span>
        ),
      }),
      ...marked.map((criterion) =>
        column.accessor((row) => pointsOf(row, criterion)?.points ?? -1, {
          id: criterion,
          header: t(`craft:criterionShort.${criterion}`),
          meta: { title: t(`craft:criterion.${criterion}`), figure: true },
          cell: ({ row }) => {
            const mark = pointsOf(row.original, criterion);
            if (!mark) return null;
            return (
              <span className={mark.points < mark.max ? 'font-semibold' : 'text-quiet'}>{mark.points}</span>
            );
          },
        }),
      ),
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
              <strong>{original.points}</strong>
            </span>
          ),
      }),
    ];
  }, [exercise.rubric, t]);
}

function AnswersTable({ exercise }: { exercise: EducatorExercise }) {
  const { t } = useTranslation();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const columns = useColumns(exercise);
  // eslint-disable-next-line react-hooks/incompatible-library -- the table keeps its own identity between renders.
  const table = useReactTable({
    data: exercise.rows,
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

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** Another due time, for a class that needs longer. */
function DueDialog({
  exercise,
  busy,
  onSave,
  onClose,
}: {
  exercise: EducatorExercise;
  busy: boolean;
  onSave: (dueAt: string) => void;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const [local, setLocal] = useState(format(new Date(exercise.dueAt), LOCAL));
  const due = new Date(local);
  const valid = !Number.isNaN(due.getTime());
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('exercise.changeDue')}
      actions={
        <>
          <Button onClick={onClose}>{t('action.cancel')}</Button>
          <Button weight="main" disabled={!valid || busy} onClick={() => onSave(due.toISOString())}>
            {t('action.save')}
          </Button>
        </>
      }
    >
      <Field label={t('set.due')}>
        <Input type="datetime-local" value={local} onChange={({ target }) => setLocal(target.value)} />
      </Field>
    </Dialog>
  );
}

function ExerciseActions({ exercise }: { exercise: EducatorExercise }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<'delete' | 'unrelease' | 'due' | null>(null);
  const path = `/api/exercises/${exercise.id}`;
  const change = useMutation({
    mutationFn: (body: ExerciseChange) => api('PATCH', path, body),
    onSuccess: () => client.invalidateQueries({ queryKey: ['exercise', exercise.id] }),
    onSettled: () => setAsking(null),
  });
  const remove = useMutation({
    mutationFn: () => api('DELETE', path),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['class', exercise.classId] });
      await navigate(`/classes/${exercise.classId}`, { replace: true });
    },
    onSettled: () => setAsking(null),
  });
  const anyIn = exercise.rows.some(({ state }) => state === 'handedIn');
  const failed = change.error ?? remove.error;
  return (
    <div className="flex flex-wrap items-center gap-3">
      {exercise.released ? <span className="text-good font-semibold">{t('exercise.released')}</span> : null}
      {!exercise.released ? (
        <Button weight="main" disabled={change.isPending} onClick={() => change.mutate({ released: true })}>
          {t('exercise.release')}
        </Button>
      ) : exercise.release === 'manual' ? (
        <Button onClick={() => setAsking('unrelease')}>{t('exercise.unrelease')}</Button>
      ) : null}
      <Button onClick={() => setAsking('due')}>{t('exercise.changeDue')}</Button>
      {asking === 'due' ? (
        <DueDialog
          exercise={exercise}
          busy={change.isPending}
          onClose={() => setAsking(null)}
          onSave={(dueAt) => change.mutate({ dueAt })}
        />
      ) : null}
      {anyIn ? null : (
        <Button weight="danger" onClick={() => setAsking('delete')}>
          {t('exercise.delete')}
        </Button>
      )}
      {failed ? <Notice kind="bad">{t(`error.${asApiError(failed).code}`)}</Notice> : null}
      <Confirm
        open={asking === 'delete'}
        danger
        title={t('exercise.deleteTitle')}
        text={t('exercise.deleteText')}
        confirm={t('action.delete')}
        busy={remove.isPending}
        onCancel={() => setAsking(null)}
        onConfirm={() => remove.mutate()}
      />
      <Confirm
        open={asking === 'unrelease'}
        title={t('exercise.unreleaseTitle')}
        text={t('exercise.unreleaseText')}
        confirm={t('exercise.unrelease')}
        busy={change.isPending}
        onCancel={() => setAsking(null)}
        onConfirm={() => change.mutate({ released: false })}
      />
    </div>
  );
}

export function ExercisePage() {
  const { t } = useTranslation();
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['exercise', exerciseId],
    queryFn: () => api<EducatorExercise>('GET', `/api/exercises/${exerciseId}`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const exercise = query.data;
  const done = exercise.rows.filter(({ state }) => state === 'handedIn').length;
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-4 p-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="me-auto">
          <PageTitle back={{ to: `/classes/${exercise.classId}`, text: exercise.className }}>
            {exercise.title}
          </PageTitle>
          <p className="text-quiet text-sm">
            {t('exercise.due', { when: dateTime(exercise.dueAt) })} ·{' '}
            {t('exercise.in', { done, all: exercise.rows.length })}
          </p>
        </div>
        <ExerciseActions exercise={exercise} />
      </div>
      {exercise.rows.length === 0 ? (
        <Empty>{t('exercise.noStudents')}</Empty>
      ) : (
        <AnswersTable exercise={exercise} />
      )}
      <div className="grid gap-4 wide:grid-cols-[3fr_2fr]">
        <Sheet className="flex flex-col gap-3">
          <h2 className="text-lg">{t('result.keyTitle')}</h2>
          <KeyCard computed={exercise.key} naturalLevel={exercise.kase.zone.naturalLevel} />
        </Sheet>
        <Sheet>
          <HouseRulesUsed uses={exercise.key.houseRules} />
        </Sheet>
      </div>
    </div>
  );
}
