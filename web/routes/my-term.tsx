import type { MyTerm } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { SheetView } from '../features/gradebook/sheet-view';
import { api } from '../lib/api';
import { Empty, Failure, Loading, Sheet } from '../ui/panel';
import { PageTitle } from '../ui/page-title';
import '../lib/words/gradebook';

/** A student's own term, class by class. */
export function MyTermPage() {
  const { t } = useTranslation(['gradebook', 'ui']);
  const query = useQuery({
    queryKey: ['my-terms'],
    queryFn: () => api<MyTerm[]>('GET', '/api/my/terms'),
  });
  if (query.isPending) return <Loading />;
  if (query.isError) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  return (
    <article className="print-page mx-auto flex max-w-4xl flex-col gap-4 p-4 py-6">
      <PageTitle back={{ to: '/due', text: t('ui:nav.exercises') }}>{t('sheet.mine')}</PageTitle>
      {query.data.length === 0 ? <Empty>{t('sheet.none')}</Empty> : null}
      {query.data.map((term) => (
        <Sheet key={term.classId} className="flex flex-col gap-3">
          <h2 className="text-xl">{term.className}</h2>
          <SheetView frame={term} sheet={term} />
        </Sheet>
      ))}
    </article>
  );
}
