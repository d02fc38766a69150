import type { EducatorAssignment, AssignmentChange } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { localTime } from '../setting/exercise-form';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Confirm, Dialog } from '../../ui/dialog';
import { DownloadLink } from '../../ui/download-link';
import { Field, Input } from '../../ui/field';
import { Refused } from '../../ui/panel';

/** What is the same of everything set for a class with a due time. */
export type SetForClass = Pick<
  EducatorAssignment,
  'id' | 'classId' | 'dueAt' | 'release' | 'released' | 'closed'
> & {
  rows: { state: string }[];
};

/** Another due time, for a class that needs longer. */
function DueDialog({
  exercise,
  busy,
  onSave,
  onClose,
}: {
  exercise: Pick<SetForClass, 'dueAt'>;
  busy: boolean;
  onSave: (dueAt: string) => void;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const [local, setLocal] = useState(localTime(exercise.dueAt));
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

/** Releases, moves or deletes what is set. `queryKey` names the page that shows it. */
export function AssignmentActions({
  exercise,
  queryKey,
}: {
  exercise: SetForClass;
  queryKey: readonly string[];
}) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<'delete' | 'unrelease' | 'due' | null>(null);
  const path = `/api/assignments/${exercise.id}`;
  const change = useMutation({
    mutationFn: (body: AssignmentChange) => api('PATCH', path, body),
    onSuccess: () => client.invalidateQueries({ queryKey }),
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
      {exercise.released ? (
        <span className="text-good font-semibold">
          {t(exercise.release === 'onSubmit' && exercise.closed ? 'exercise.closed' : 'exercise.released')}
        </span>
      ) : null}
      {!exercise.released ? (
        <Button weight="main" disabled={change.isPending} onClick={() => change.mutate({ released: true })}>
          {t('exercise.release')}
        </Button>
      ) : exercise.release === 'manual' ? (
        <Button onClick={() => setAsking('unrelease')}>{t('exercise.unrelease')}</Button>
      ) : exercise.release === 'onSubmit' ? (
        // Until it is closed, whoever joins the class by its code waits.
        <Button disabled={change.isPending} onClick={() => change.mutate({ released: !exercise.closed })}>
          {t(exercise.closed ? 'exercise.reopen' : 'exercise.close')}
        </Button>
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
      {anyIn ? (
        <DownloadLink href={`${path}/answers.csv`}>{t('exercise.csv')}</DownloadLink>
      ) : (
        <Button weight="danger" onClick={() => setAsking('delete')}>
          {t('exercise.delete')}
        </Button>
      )}
      <Refused error={failed} />
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
