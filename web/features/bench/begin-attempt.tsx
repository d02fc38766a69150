import type { StudentAssignmentAhead, StudentTermsShown } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { PageTitle } from '../../ui/page-title';
import { Facts, Notice, Refused, Sheet } from '../../ui/panel';

/** Begins an attempt, and shows the bench with it. */
export function useBegin(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (from: 'empty' | 'last') => api('POST', `/api/my/assignments/${id}/attempts`, { from }),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['my-assignments'] });
      await client.invalidateQueries({ queryKey: ['my-assignment', id] });
    },
  });
}

/** What a student knows of an assignment before it may be worked: when it opens, how long and how often. */
export function AheadPage({ assignment }: { assignment: StudentAssignmentAhead }) {
  const { t } = useTranslation();
  const { id, title, className, opensAt, dueAt, minutes, attempts, closed } = assignment;
  const begin = useBegin(id);
  return (
    <div className="mx-auto max-w-2xl p-4 py-6">
      <Sheet className="flex flex-col gap-4">
        <PageTitle back={{ to: '/due', text: t('nav.exercises') }}>{title}</PageTitle>
        <Facts
          rows={[
            { term: t('student.ahead.class'), value: className },
            ...(opensAt ? [{ term: t('student.ahead.opens'), value: dateTime(opensAt) }] : []),
            { term: t('student.ahead.due'), value: dateTime(dueAt) },
            ...(minutes !== null
              ? [{ term: t('student.ahead.time'), value: t('student.ahead.minutes', { minutes }) }]
              : []),
            { term: t('student.ahead.attempts'), value: attempts },
          ]}
        />
        {opensAt ? (
          <Notice kind="info">{t('student.ahead.wait', { when: dateTime(opensAt) })}</Notice>
        ) : closed ? (
          <Notice kind="warn">{t('error.attempt.closed')}</Notice>
        ) : (
          <>
            <Notice kind="warn">{t('student.ahead.clock', { minutes })}</Notice>
            <div>
              <Button weight="main" disabled={begin.isPending} onClick={() => begin.mutate('empty')}>
                {t('student.ahead.begin')}
              </Button>
            </div>
          </>
        )}
        <Refused error={begin.error} />
      </Sheet>
    </div>
  );
}

/** The way to a further attempt, once one is in. */
export function AnotherAttempt({ assignment }: { assignment: StudentTermsShown }) {
  const { t } = useTranslation();
  const { id, attempts, handedIn, minutes } = assignment;
  const begin = useBegin(id);
  return (
    <Sheet className="flex flex-col gap-3">
      <h2 className="text-lg">{t('student.another.title', { next: handedIn + 1, attempts })}</h2>
      {minutes === null ? null : <p>{t('student.ahead.clock', { minutes })}</p>}
      <div className="flex flex-wrap gap-3">
        <Button disabled={begin.isPending} onClick={() => begin.mutate('last')}>
          {t('student.another.last')}
        </Button>
        <Button disabled={begin.isPending} onClick={() => begin.mutate('empty')}>
          {t('student.another.empty')}
        </Button>
      </div>
      <Refused error={begin.error} />
    </Sheet>
  );
}
