import type { ServiceResult } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { MyResultHeading } from '../features/marking/result-headings';
import { ServiceResultView } from '../features/service/service-result-view';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';

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
    <InUnits units={result.houseRules.units}>
      <ServiceResultView
        result={result}
        heading={
          <MyResultHeading result={result}>
            <ButtonLink to={`/bench/${exerciseId}/again`}>{t('service.tryAgain')}</ButtonLink>
          </MyResultHeading>
        }
      />
    </InUnits>
  );
}
