import type { EducatorServiceResult } from '@cimbel/contract';
import type { ServiceCriterionMark } from '@cimbel/core/grade';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { ChangeMarkDialog } from '../features/marking/change-mark';
import { ReviewHeading } from '../features/marking/result-headings';
import { ServiceResultView } from '../features/service/service-result-view';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { Button } from '../ui/button';
import { Failure, Loading } from '../ui/panel';

const planQuery = (attemptId: string) => ({
  queryKey: ['plan', attemptId],
  queryFn: () => api<EducatorServiceResult>('GET', `/api/plans/${attemptId}`),
});

export function PlanReviewPage() {
  const { t } = useTranslation(['ui', 'craft']);
  const { attemptId } = useParams();
  const client = useQueryClient();
  const [changing, setChanging] = useState<ServiceCriterionMark | null>(null);
  const query = useQuery(planQuery(attemptId!));
  const { previousId = null, nextId = null } = query.data ?? {};
  useEffect(() => {
    for (const id of [nextId, previousId]) if (id) void client.prefetchQuery(planQuery(id));
  }, [client, nextId, previousId]);
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  const nameOf = (mark: ServiceCriterionMark) => t(`craft:serviceCriterion.${mark.criterion}`);
  return (
    <>
      <InUnits units={result.houseRules.units}>
        <ServiceResultView
          result={result}
          action={(mark) => (
            <Button
              weight="quiet"
              className="text-sm"
              aria-label={t('review.changeFor', { criterion: nameOf(mark) })}
              onClick={() => setChanging(mark)}
            >
              {t('review.change')}
            </Button>
          )}
          heading={<ReviewHeading result={result} exerciseAt="/services" answersAt="/plans" />}
        />
      </InUnits>
      {changing ? (
        <ChangeMarkDialog
          attemptId={result.attemptId}
          mark={changing}
          name={nameOf(changing)}
          stale={[['plan', result.attemptId], ['service', result.exerciseId], ['class']]}
          onClose={() => setChanging(null)}
        />
      ) : null}
    </>
  );
}
