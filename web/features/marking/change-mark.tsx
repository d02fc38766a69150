import { markChangeSchema } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Refused } from '../../ui/panel';
import { PointsAndReason, checkedMark, useMarkDraft } from './points-and-reason';
import '../../lib/words/educating';

/** Another mark for one criterion, with the reason the student will read. The computed mark stays on record. */
export function ChangeMarkDialog({
  attemptId,
  mark,
  name,
  stale,
  onClose,
}: {
  attemptId: string;
  mark: { criterion: string; points: number; max: number };
  name: string;
  /** Queries that show the mark. */
  stale: readonly (readonly string[])[];
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const draft = useMarkDraft(mark.points);
  const change = useMutation({
    mutationFn: (body: unknown) => api('POST', `/api/attempts/${attemptId}/mark-changes`, body),
    onSuccess: async () => {
      await Promise.all(stale.map((queryKey) => client.invalidateQueries({ queryKey })));
      onClose();
    },
  });
  const { body, wrong } = checkedMark(markChangeSchema, draft, mark.max, { criterion: mark.criterion });
  const submit = () => {
    draft.setTried(true);
    if (body) change.mutate(body);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('review.changeFor', { criterion: name })}
      actions={
        <>
          <Button onClick={onClose}>{t('action.cancel')}</Button>
          <Button weight="main" disabled={change.isPending} onClick={submit}>
            {t('action.save')}
          </Button>
        </>
      }
    >
      <PointsAndReason draft={draft} wrong={wrong} max={mark.max} />
      <Refused error={change.error} />
    </Dialog>
  );
}
