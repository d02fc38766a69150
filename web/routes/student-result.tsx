import type { Result } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { MyResultHeading } from '../features/marking/result-headings';
import { ResultView } from '../features/marking/result-view';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { Failure, Loading } from '../ui/panel';

export function StudentResult() {
  const { exerciseId } = useParams();
  const query = useQuery({
    queryKey: ['my-result', exerciseId],
    queryFn: () => api<Result>('GET', `/api/my/exercises/${exerciseId}/result`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  return (
    <InUnits units={result.houseRules.units}>
      <ResultView result={result} heading={<MyResultHeading result={result} />} />
    </InUnits>
  );
}
