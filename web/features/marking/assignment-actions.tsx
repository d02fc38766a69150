import type { EducatorAssignment, AssignmentChange } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { DownloadLink } from '../../ui/download-link';
import { Refused } from '../../ui/panel';
import { TermsDialog } from '../assigning/terms-dialog';
import { ReleaseSomeDialog } from './release-some-dialog';
import '../../lib/words/educating';

/** Releases, closes, moves or deletes what is set. */
export function AssignmentActions({ assignment }: { assignment: EducatorAssignment }) {
  const { t } = useTranslation(['ui', 'assigning']);
  const client = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<'delete' | 'unrelease' | 'close' | 'terms' | 'some' | null>(null);
  const { release } = assignment.terms;
  const path = `/api/assignments/${assignment.id}`;
  const change = useMutation({
    mutationFn: (body: AssignmentChange) => api('PATCH', path, body),
    onSuccess: () => client.invalidateQueries({ queryKey: ['assignment', assignment.id] }),
    onSettled: () => setAsking(null),
  });
  const remove = useMutation({
    mutationFn: () => api('DELETE', path),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['class', assignment.classId] });
      await navigate(`/classes/${assignment.classId}`, { replace: true });
    },
    onSettled: () => setAsking(null),
  });
  const anyIn = assignment.rows.some(({ state }) => state === 'handedIn');
  const some = assignment.rows.filter((row) => row.released).length;
  const failed = change.error ?? remove.error;
  return (
    <div className="flex flex-wrap items-center gap-3">
      {assignment.closed ? <span className="text-good font-semibold">{t('exercise.closed')}</span> : null}
      {release !== 'onSubmit' && !assignment.released ? (
        <>
          {some > 0 ? (
            <span className="text-good font-semibold">
              {t('exercise.releaseSome.shown', { some, all: assignment.rows.length })}
            </span>
          ) : null}
          {anyIn ? <Button onClick={() => setAsking('some')}>{t('exercise.releaseSome.open')}</Button> : null}
          <Button weight="main" disabled={change.isPending} onClick={() => change.mutate({ released: true })}>
            {t('exercise.release')}
          </Button>
        </>
      ) : release === 'manual' ? (
        <>
          <span className="text-good font-semibold">{t('exercise.released')}</span>
          <Button onClick={() => setAsking('unrelease')}>{t('exercise.unrelease')}</Button>
        </>
      ) : null}
      {assignment.closedByHand ? (
        <Button disabled={change.isPending} onClick={() => change.mutate({ closed: false })}>
          {t('exercise.reopen')}
        </Button>
      ) : assignment.closed ? null : (
        <Button onClick={() => setAsking('close')}>{t('exercise.close')}</Button>
      )}
      <Button onClick={() => setAsking('terms')}>{t('assigning:terms.change')}</Button>
      {asking === 'some' ? (
        <ReleaseSomeDialog assignment={assignment} onClose={() => setAsking(null)} />
      ) : null}
      {asking === 'terms' ? <TermsDialog assignment={assignment} onClose={() => setAsking(null)} /> : null}
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
        open={asking === 'close'}
        title={t('exercise.closeTitle')}
        text={t('exercise.closeText')}
        confirm={t('exercise.close')}
        busy={change.isPending}
        onCancel={() => setAsking(null)}
        onConfirm={() => change.mutate({ closed: true })}
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
