import type { LiveDraft } from '@cimbel/contract';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { dateTime } from '../../lib/i18n';
import { InUnits } from '../../lib/units';
import { Dialog } from '../../ui/dialog';
import { Failure, Loading } from '../../ui/panel';
import { RecordCardView } from '../bench/record-card';
import '../../lib/words/live';

/** What a student has written so far, as it is saved. */
export function DraftDialog({
  assignmentId,
  studentId,
  name,
  onClose,
}: {
  assignmentId: string;
  studentId: string;
  name: string;
  onClose: () => void;
}) {
  const { t } = useTranslation('live');
  const query = useQuery({
    queryKey: ['live', assignmentId, studentId],
    queryFn: () => api<LiveDraft>('GET', `/api/assignments/${assignmentId}/live/${studentId}`),
    staleTime: 0,
  });
  return (
    <Dialog open onClose={onClose} title={t('cardOf', { name })} wide>
      {query.isPending ? (
        <Loading />
      ) : query.isError ? (
        <Failure error={query.error} onRetry={() => void query.refetch()} />
      ) : query.data.card === null ? (
        <p>{t('cardEmpty')}</p>
      ) : (
        <InUnits units={query.data.houseRules.units}>
          <p className="text-quiet text-sm">{t('cardSaved', { when: dateTime(query.data.savedAt!) })}</p>
          <RecordCardView plan={query.data.card} lines={query.data.lines} />
        </InUnits>
      )}
    </Dialog>
  );
}
