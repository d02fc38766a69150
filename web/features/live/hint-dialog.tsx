import { hintSchema, type HintWrite } from '@cimbel/contract';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api } from '../../lib/api';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Textarea } from '../../ui/field';
import { Refused } from '../../ui/panel';
import '../../lib/words/live';

/** Says something to one or several while they work. */
export function HintDialog({
  assignmentId,
  title,
  studentIds,
  onClose,
}: {
  assignmentId: string;
  title: string;
  studentIds: string[];
  onClose: () => void;
}) {
  const { t } = useTranslation(['live', 'ui']);
  const [text, setText] = useState('');
  const give = useMutation({
    mutationFn: (hint: HintWrite) => api('POST', `/api/assignments/${assignmentId}/hints`, hint),
    onSuccess: onClose,
  });
  const parsed = hintSchema.safeParse({ text, studentIds });
  return (
    <Dialog
      open
      onClose={onClose}
      title={title}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button
            weight="main"
            disabled={give.isPending || !parsed.success}
            onClick={() => parsed.success && give.mutate(parsed.data)}
          >
            {t('live:send')}
          </Button>
        </>
      }
    >
      <Field label={t('live:hintWords')} hint={t('live:hintAdvice')}>
        <Textarea
          rows={4}
          maxLength={500}
          value={text}
          autoFocus
          onChange={(event) => setText(event.target.value)}
        />
      </Field>
      <Refused error={give.error} />
    </Dialog>
  );
}
