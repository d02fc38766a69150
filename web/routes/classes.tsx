import { newClassSchema, type ClassSummary } from '@cimbel/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { api } from '../lib/api';
import { useFieldWords } from '../lib/form';
import { Button } from '../ui/button';
import { Field, Input } from '../ui/field';
import { Empty, Failure, Loading, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/educating';

function NewClass() {
  const { t } = useTranslation();
  const words = useFieldWords();
  const navigate = useNavigate();
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [missing, setMissing] = useState(false);
  const create = useMutation({
    mutationFn: (body: { name: string }) => api<{ id: string }>('POST', '/api/classes', body),
    onSuccess: ({ id }) => {
      void client.invalidateQueries({ queryKey: ['classes'] });
      return navigate(`/classes/${id}`);
    },
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const parsed = newClassSchema.safeParse({ name });
        setMissing(!parsed.success);
        if (parsed.success) create.mutate(parsed.data);
      }}
    >
      <Field label={t('classes.name')} error={missing ? words('name') : null}>
        <Input
          className="w-72"
          value={name}
          onChange={(event) => setName(event.target.value)}
          maxLength={80}
        />
      </Field>
      <Button type="submit" disabled={create.isPending}>
        {t('classes.create')}
      </Button>
      <Refused error={create.error} />
    </form>
  );
}

export function Classes() {
  const { t } = useTranslation();
  const list = useQuery({ queryKey: ['classes'], queryFn: () => api<ClassSummary[]>('GET', '/api/classes') });
  if (list.isPending) return <Loading />;
  if (list.isError) return <Failure error={list.error} onRetry={() => void list.refetch()} />;
  const [open, away] = [false, true].map((archived) =>
    list.data.filter((classSummary) => classSummary.archived === archived),
  );
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-5 p-4 py-6">
      <PageTitle>{t('classes.title')}</PageTitle>
      {list.data.length === 0 ? <Empty>{t('classes.empty')}</Empty> : null}
      {open.length > 0 || away.length === 0 ? <ClassList classes={open} /> : null}
      <Sheet className="flex flex-col gap-2">
        <h2 className="text-lg">{t('classes.new')}</h2>
        <NewClass />
      </Sheet>
      {away.length > 0 ? (
        <section className="flex flex-col gap-2">
          <h2 className="text-lg">{t('classes.away')}</h2>
          <ClassList classes={away} />
        </section>
      ) : null}
    </div>
  );
}

function ClassList({ classes }: { classes: readonly ClassSummary[] }) {
  const { t } = useTranslation();
  return (
    <ul className="flex flex-col gap-3">
      {classes.map(({ id, name, students, assignments }) => (
        <li key={id}>
          <Link
            to={`/classes/${id}`}
            className="bg-sheet border-line hover:border-strong-line flex flex-wrap items-baseline gap-x-4 rounded-sm border p-4"
          >
            <span className="font-display me-auto text-xl font-semibold">{name}</span>
            <span>{t('classes.students', { count: students })}</span>
            <span>{t('classes.exercises', { count: assignments })}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
