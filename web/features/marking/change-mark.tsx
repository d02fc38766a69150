import { markChangeSchema } from '@cimbel/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { figureIn } from '../../lib/figure-in';
import { useFieldWords } from '../../lib/form';
import { figure } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Input, Textarea } from '../../ui/field';
import { Refused } from '../../ui/panel';
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
  const words = useFieldWords();
  const client = useQueryClient();
  const [points, setPoints] = useState(() => figure(mark.points));
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const change = useMutation({
    mutationFn: (body: unknown) => api('POST', `/api/attempts/${attemptId}/mark-changes`, body),
    onSuccess: async () => {
      await Promise.all(stale.map((queryKey) => client.invalidateQueries({ queryKey })));
      onClose();
    },
  });
  const parsed = markChangeSchema.safeParse({
    criterion: mark.criterion,
    points: figureIn(points) ?? NaN,
    reason,
  });
  const wrong = (path: string) =>
    tried && !parsed.success && parsed.error.issues.some((issue) => issue.path[0] === path);
  const pointsWrong = wrong('points') || (tried && (figureIn(points) ?? 0) > mark.max);
  const submit = () => {
    setTried(true);
    if (parsed.success && parsed.data.points <= mark.max) change.mutate(parsed.data);
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
      <Field
        label={t('review.points', { max: mark.max })}
        error={pointsWrong ? words('points', undefined, { max: mark.max }) : null}
      >
        <Input
          inputMode="decimal"
          autoComplete="off"
          className="w-28"
          value={points}
          aria-invalid={pointsWrong}
          onChange={(event) => setPoints(event.target.value)}
        />
      </Field>
      <Field label={t('review.reason')} error={wrong('reason') ? words('reason') : null}>
        <Textarea
          rows={3}
          maxLength={500}
          value={reason}
          aria-invalid={wrong('reason')}
          onChange={(event) => setReason(event.target.value)}
        />
      </Field>
      <Refused error={change.error} />
    </Dialog>
  );
}
