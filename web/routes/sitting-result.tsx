import type { SittingResult } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { SittingResultView } from '../features/drill/sitting-result-view';
import { api } from '../lib/api';
import { useMe } from '../lib/session';
import { Failure, Loading } from '../ui/panel';
import { PageTitle } from '../ui/page-title';

/** A sitting after it has ended: the student's own once it may be seen, or the educator's view of it. */
export function SittingResultPage() {
  const { t } = useTranslation();
  const { sittingId } = useParams();
  const mine = useMe().role === 'student';
  const query = useQuery({
    queryKey: ['sitting-result', sittingId],
    queryFn: () => api<SittingResult>('GET', `/api/${mine ? 'my/' : ''}sittings/${sittingId}/result`),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  const { testId, title, studentName } = query.data;
  return (
    <div className="flex min-h-[calc(100dvh-3.3rem)] flex-col gap-3 pt-3">
      <PageTitle
        back={
          mine
            ? { to: `/reading/tests/${testId}`, text: t('nav.reading') }
            : { to: `/reading-tests/${testId}`, text: title }
        }
        className="px-4 text-xl"
      >
        {mine ? title : studentName}
      </PageTitle>
      <SittingResultView result={query.data} />
    </div>
  );
}
