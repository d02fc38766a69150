import type { ClassSummary, Exercise } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore, CopyPlus, Pencil, Plus, Send, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { AssignDialog } from '../features/assigning/assign-dialog';
import { SORTS, found, tagsOf, type Looking } from '../features/assigning/library-list';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import '../lib/words/assigning';
import { ButtonLink } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Field, Input, Select, Tick } from '../ui/field';
import { Empty, Failure, Loading, Refused } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

const ICON = 'inline-flex size-11 items-center justify-center rounded-sm hover:bg-raised disabled:opacity-35';

function Row({
  exercise,
  onTag,
  onAssign,
  onArchive,
  onDelete,
}: {
  exercise: Exercise;
  onTag: (tag: string) => void;
  onAssign: () => void;
  onArchive: () => void;
  onDelete: () => void;
}) {
  const { t } = useTranslation('assigning');
  const { id, title, tags, version, archived, assignments, updatedAt, clientCase } = exercise;
  const filing = archived ? 'restore' : 'archive';
  const Filing = archived ? ArchiveRestore : Archive;
  return (
    <li className="bg-sheet border-line flex flex-wrap items-center gap-x-3 gap-y-1 rounded-sm border py-1 ps-4 pe-1">
      <div className="min-w-48 flex-1 py-1">
        <Link
          to={`/library/${id}`}
          className="font-display text-lg font-semibold underline-offset-4 hover:underline"
        >
          {title}
        </Link>
        <p className="text-quiet text-sm">
          {clientCase.client.name} ·{' '}
          {assignments === 0 ? t('library.draft') : t('library.used', { count: assignments })}
          {version > 1 ? <> · {t('library.version', { version })}</> : null} ·{' '}
          {t('library.changed', { when: dateTime(updatedAt) })}
          {archived ? <strong> · {t('library.archived')}</strong> : null}
        </p>
      </div>
      <ul className="flex flex-wrap gap-1" aria-label={t('library.tags')}>
        {tags.map((tag) => (
          <li key={tag}>
            <button
              type="button"
              className="border-strong-line hover:bg-raised min-h-9 rounded-sm border px-2 text-sm"
              onClick={() => onTag(tag)}
            >
              {tag}
            </button>
          </li>
        ))}
      </ul>
      <div className="flex">
        <button
          type="button"
          className={ICON}
          aria-label={t('library.assignOf', { title })}
          title={t('library.assign')}
          disabled={archived}
          onClick={onAssign}
        >
          <Send aria-hidden className="size-5 rtl:-scale-x-100" />
        </button>
        <Link
          className={ICON}
          to={`/library/${id}`}
          aria-label={t('library.editOf', { title })}
          title={t('library.edit')}
        >
          <Pencil aria-hidden className="size-5" />
        </Link>
        <Link
          className={ICON}
          to={`/library/new?from=${id}`}
          aria-label={t('library.duplicateOf', { title })}
          title={t('library.duplicate')}
        >
          <CopyPlus aria-hidden className="size-5" />
        </Link>
        <button
          type="button"
          className={ICON}
          aria-label={t(`library.${filing}Of`, { title })}
          title={t(`library.${filing}`)}
          onClick={onArchive}
        >
          <Filing aria-hidden className="size-5" />
        </button>
        <button
          type="button"
          className={ICON}
          aria-label={t('library.deleteOf', { title })}
          title={t('library.delete')}
          disabled={assignments > 0}
          onClick={onDelete}
        >
          <Trash2 aria-hidden className="size-5" />
        </button>
      </div>
    </li>
  );
}

function Filters({
  looking,
  tags,
  onLook,
}: {
  looking: Looking;
  tags: readonly string[];
  onLook: (part: Partial<Looking>) => void;
}) {
  const { t } = useTranslation('assigning');
  return (
    <search className="flex flex-wrap items-end gap-3">
      <Field label={t('library.search')} className="min-w-64 flex-1">
        <Input
          type="search"
          value={looking.search}
          onChange={({ target }) => onLook({ search: target.value })}
        />
      </Field>
      <Field label={t('library.tags')} className="min-w-40">
        <Select value={looking.tag} onChange={({ target }) => onLook({ tag: target.value })}>
          <option value="">{t('library.allTags')}</option>
          {tags.map((tag) => (
            <option key={tag} value={tag}>
              {tag}
            </option>
          ))}
        </Select>
      </Field>
      <Field label={t('library.sort')} className="min-w-40">
        <Select
          value={looking.sort}
          onChange={({ target }) => onLook({ sort: SORTS.find((sort) => sort === target.value)! })}
        >
          {SORTS.map((sort) => (
            <option key={sort} value={sort}>
              {t(`library.sorts.${sort}`)}
            </option>
          ))}
        </Select>
      </Field>
      <Tick
        label={t('library.archivedToo')}
        on={looking.archivedToo}
        onChange={(archivedToo) => onLook({ archivedToo })}
      />
    </search>
  );
}

/** An educator's exercises, apart from the classes they are assigned to. */
export function LibraryPage() {
  const { t } = useTranslation(['assigning', 'ui']);
  const client = useQueryClient();
  const [looking, setLooking] = useState<Looking>({
    search: '',
    tag: '',
    sort: 'updated',
    archivedToo: false,
  });
  const [assigning, setAssigning] = useState<Exercise | null>(null);
  const [deleting, setDeleting] = useState<Exercise | null>(null);
  const list = useQuery({ queryKey: ['exercises'], queryFn: () => api<Exercise[]>('GET', '/api/exercises') });
  const classes = useQuery({
    queryKey: ['classes'],
    queryFn: () => api<ClassSummary[]>('GET', '/api/classes'),
  });
  const onSuccess = () => client.invalidateQueries({ queryKey: ['exercises'] });
  const file = useMutation({
    mutationFn: ({ id, archived }: Exercise) => api('PATCH', `/api/exercises/${id}`, { archived: !archived }),
    onSuccess,
  });
  const remove = useMutation({
    mutationFn: ({ id }: Exercise) => api('DELETE', `/api/exercises/${id}`),
    onSuccess,
    onSettled: () => setDeleting(null),
  });
  if (list.isPending) return <Loading />;
  if (list.isError) return <Failure error={list.error} onRetry={() => void list.refetch()} />;
  const rows = found(list.data, looking);
  const look = (part: Partial<Looking>) => setLooking((before) => ({ ...before, ...part }));
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-4 p-4 py-6">
      <div className="flex flex-wrap items-center gap-3">
        <div className="me-auto">
          <PageTitle>{t('library.title')}</PageTitle>
          <p className="text-quiet text-sm">{t('library.hint')}</p>
        </div>
        <ButtonLink weight="main" icon={<Plus aria-hidden className="size-5" />} to="/library/new">
          {t('library.new')}
        </ButtonLink>
      </div>
      {list.data.length === 0 ? (
        <Empty>{t('library.empty')}</Empty>
      ) : (
        <>
          <Filters looking={looking} tags={tagsOf(list.data)} onLook={look} />
          <p role="status" className="text-quiet text-sm">
            {rows.length === 0 ? t('library.nothingFound') : t('library.found', { count: rows.length })}
          </p>
          <Refused error={file.error ?? remove.error} />
          <ul className="flex flex-col gap-1">
            {rows.map((exercise) => (
              <Row
                key={exercise.id}
                exercise={exercise}
                onTag={(tag) => look({ tag })}
                onAssign={() => setAssigning(exercise)}
                onArchive={() => file.mutate(exercise)}
                onDelete={() => setDeleting(exercise)}
              />
            ))}
          </ul>
        </>
      )}
      {assigning ? (
        <AssignDialog
          exercise={assigning}
          classes={(classes.data ?? []).filter(({ archived }) => !archived)}
          onClose={() => setAssigning(null)}
        />
      ) : null}
      <Confirm
        open={deleting !== null}
        danger
        title={t('library.deleteTitle', { title: deleting?.title ?? '' })}
        text={t('library.deleteText')}
        confirm={t('ui:action.delete')}
        busy={remove.isPending}
        onCancel={() => setDeleting(null)}
        onConfirm={() => remove.mutate(deleting!)}
      />
    </div>
  );
}
