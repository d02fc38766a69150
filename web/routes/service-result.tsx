import type { ServiceResult } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { PointsLine } from '../features/marking/result-view';
import { ServiceResultView } from '../features/service/service-result-view';
import { api } from '../lib/api';
import { dateTime } from '../lib/i18n';
import { ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

export function ServiceResultPage() {
  const { t } = useTranslation();
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['my-service-result', exerciseId],
    queryFn: () => api<ServiceResult>('GET', `/api/my/services/${exerciseId}/result`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  return (
    <ServiceResultView
      result={result}
      heading={
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <PageTitle back={{ to: '/due', text: t('nav.exercises') }} className="text-xl">
              {result.title}
            </PageTitle>
            <p className="text-quiet text-sm">
              {t(result.late ? 'result.late' : 'result.onTime', { when: dateTime(result.submittedAt) })}
            </p>
          </div>
          <div className="flex items-center gap-4">
            <ButtonLink to={`/bench/${exerciseId}/again`}>{t('service.tryAgain')}</ButtonLink>
            <PointsLine result={result} />
          </div>
        </div>
      }
    />
  );
}
