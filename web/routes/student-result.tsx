import type { Result } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { CommentList } from '../features/marking/comments';
import { MyResultHeading } from '../features/marking/result-headings';
import { PractiseThis } from '../features/marking/practise-this';
import { ResultView } from '../features/marking/result-view';
import { api } from '../lib/api';
import { InUnits } from '../lib/units';
import { ButtonLink } from '../ui/button';
import { Failure, Loading } from '../ui/panel';
import '../lib/words/bench';

export function StudentResultPage() {
  const { t } = useTranslation();
  const { assignmentId } = useParams();
  const [params] = useSearchParams();
  // Without a number it is the attempt that counts.
  const attempt = params.get('attempt');
  const query = useQuery({
    queryKey: ['my-result', assignmentId, attempt],
    queryFn: async ({ client }) => {
      const result = await api<Result>(
        'GET',
        `/api/my/assignments/${assignmentId}/result${attempt ? `?attempt=${Number(attempt)}` : ''}`,
      );
      // Looked at, it is new no more in the list.
      void client.invalidateQueries({ queryKey: ['my-assignments'] });
      return result;
    },
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const result = query.data;
  return (
    <InUnits units={result.houseRules.units}>
      <ResultView
        result={result}
        comments={
          result.comments.length > 0 ? (
            <CommentList comments={result.comments} assignmentId={result.assignmentId} />
          ) : null
        }
        below={({ criterion, points, max }) => (points < max ? <PractiseThis criterion={criterion} /> : null)}
        heading={
          <MyResultHeading result={result}>
            <ButtonLink to={`/due/${assignmentId}/again`}>{t('bench.tryAgain')}</ButtonLink>
          </MyResultHeading>
        }
      />
    </InUnits>
  );
}
