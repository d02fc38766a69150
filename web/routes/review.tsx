import type { EducatorResult } from '@cimbel/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { ChangeMarkDialog } from '../features/marking/change-mark';
import { PointsLine, ResultView } from '../features/marking/result-view';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { useShortcuts } from '../lib/shortcuts';
import { Button } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import type { CriterionMark } from '@cimbel/core/grade';

function Neighbour({
  id,
  label,
  shortcut,
  children,
}: {
  id: string | null;
  label: string;
  shortcut: string;
  children: React.ReactNode;
}) {
  const className = 'inline-flex size-10 items-center justify-center rounded-sm border border-strong-line';
  return id ? (
    <Link
      to={`/answers/${id}`}
      className={`${className} bg-raised hover:bg-sheet`}
      aria-label={label}
      title={`${label} (${shortcut})`}
    >
      {children}
    </Link>
  ) : (
    <span className={`${className} opacity-35`} aria-hidden>
      {children}
    </span>
  );
}

const answerQuery = (attemptId: string) => ({
  queryKey: ['answer', attemptId],
  queryFn: () => api<EducatorResult>('GET', `/api/attempts/${attemptId}`),
});

export function ReviewPage() {
  const { t } = useTranslation(['ui', 'craft']);
  const { attemptId } = useParams();
  const navigate = useNavigate();
  const [changing, setChanging] = useState<CriterionMark | null>(null);
  const client = useQueryClient();
  const query = useQuery(answerQuery(attemptId!));
  const { previousId, nextId } = query.data ?? {};
  // The neighbours are fetched ahead, so that going through thirty answers never waits.
  useEffect(() => {
    for (const id of [nextId, previousId]) if (id) void client.prefetchQuery(answerQuery(id));
  }, [client, nextId, previousId]);
  const go = (id: string | null | undefined) => {
    if (id) void navigate(`/answers/${id}`);
  };
  useShortcuts({ j: () => go(nextId), k: () => go(previousId) });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  return (
    <>
      <ResultView
        result={result}
        action={(mark) => (
          <Button
            weight="quiet"
            className="text-sm"
            aria-label={t('review.changeFor', { criterion: t(`craft:criterion.${mark.criterion}`) })}
            onClick={() => setChanging(mark)}
          >
            {t('review.change')}
          </Button>
        )}
        heading={
          <div className="flex flex-wrap items-center gap-3">
            <div className="me-auto">
              <h1 className="text-2xl">{result.studentName}</h1>
              <p className="text-quiet text-sm">
                <Link to={`/exercises/${result.exerciseId}`} className="underline">
                  {result.title}
                </Link>{' '}
                · {t(result.late ? 'result.late' : 'result.onTime', { when: dateTime(result.submittedAt) })}
              </p>
            </div>
            <PointsLine result={result} />
            <div className="flex gap-1">
              <Neighbour id={result.previousId} label={t('review.previous')} shortcut="K">
                <ChevronLeft aria-hidden className="size-5 rtl:-scale-x-100" />
              </Neighbour>
              <Neighbour id={result.nextId} label={t('review.next')} shortcut="J">
                <ChevronRight aria-hidden className="size-5 rtl:-scale-x-100" />
              </Neighbour>
            </div>
          </div>
        }
      />
      {changing ? (
        <ChangeMarkDialog result={result} mark={changing} onClose={() => setChanging(null)} />
      ) : null}
    </>
  );
}
