import type { MyTest } from '@cimbel/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { Button, ButtonLink } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Facts, Failure, Loading, Refused, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/reading';

/** What a test asks before it is begun, and the sittings so far. */
export function ReadingTestPage() {
  const { t } = useTranslation();
  const { testId } = useParams();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const query = useQuery({
    queryKey: ['my-test', testId],
    queryFn: () => api<MyTest>('GET', `/api/my/reading-tests/${testId}`),
    staleTime: 0,
  });
  const start = useMutation({
    mutationFn: () => api<{ id: string }>('POST', `/api/my/reading-tests/${testId}/sittings`),
    onSuccess: ({ id }) => navigate(`/reading/sittings/${id}`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const test = query.data;
  const open = test.sittings.find(({ ended }) => !ended);
  const left = test.attempts - test.sittings.length;
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: '/reading', text: t('nav.reading') }}>{test.title}</PageTitle>
      <Sheet className="flex flex-col gap-3">
        <Facts
          rows={[
            { term: t('reading.test.questions'), value: test.questions },
            {
              term: t('reading.test.time'),
              value: t('reading.minutes', { minutes: test.minutesForMe }),
            },
            {
              term: t('reading.test.attempts'),
              value: t('reading.of', { points: left, max: test.attempts }),
            },
            { term: t('reading.test.dueTerm'), value: dateTime(test.dueAt) },
            { term: t('reading.test.answersTerm'), value: t(`reading.test.feedback.${test.feedback}`) },
          ]}
        />
        <ul className="list-disc ps-5">
          {(['oneWay', 'clock', 'line', 'screen'] as const).map((line) => (
            <li key={line}>{t(`reading.test.rules.${line}`)}</li>
          ))}
        </ul>
        <Refused error={start.error} />
        {open ? (
          <ButtonLink weight="main" className="self-start" to={`/reading/sittings/${open.id}`}>
            {t('student.continue')}
          </ButtonLink>
        ) : test.canStart ? (
          <Button weight="main" className="self-start" onClick={() => setAsking(true)}>
            {t('reading.test.begin')}
          </Button>
        ) : (
          <p className="text-quiet">
            {t(test.late ? 'error.readingTest.closed' : 'error.readingTest.noneLeft')}
          </p>
        )}
      </Sheet>
      {test.sittings.filter(({ ended }) => ended).length > 0 ? (
        <Sheet>
          <h2 className="text-lg">{t('reading.test.before')}</h2>
          <ul>
            {test.sittings
              .filter(({ ended }) => ended)
              .map(({ id, startedAt, score }) => (
                <li key={id} className="border-line flex flex-wrap items-center gap-x-4 border-t py-2">
                  <span className="me-auto">{dateTime(startedAt)}</span>
                  {score === null ? (
                    <span className="text-quiet">{t('student.waiting')}</span>
                  ) : (
                    <>
                      <strong>{t('reading.share', { share: score })}</strong>
                      <ButtonLink to={`/reading/sittings/${id}/result`}>{t('student.seeResult')}</ButtonLink>
                    </>
                  )}
                </li>
              ))}
          </ul>
        </Sheet>
      ) : null}
      <Confirm
        open={asking}
        onCancel={() => setAsking(false)}
        onConfirm={() => start.mutate()}
        title={t('reading.test.beginTitle')}
        text={t('reading.test.beginText', { minutes: test.minutesForMe })}
        confirm={t('reading.test.begin')}
        busy={start.isPending}
      />
    </div>
  );
}
