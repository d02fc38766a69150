import { markAlikeSchema } from '@cimbel/contract';
import type { Criterion } from '@cimbel/core/exercise';
import { CRITERIA } from '@cimbel/core/exercise';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { figure } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Select } from '../../ui/field';
import { Refused } from '../../ui/panel';
import { PointsAndReason, checkedMark, useMarkDraft } from '../marking/points-and-reason';
import type { PileActions } from './use-pile';
import '../../lib/words/craft';
import '../../lib/words/pile';

/** The same points for one criterion in all answers of a group, with the reason that students read. */
export function AlikeDialog({
  attemptIds,
  rubric,
  first,
  actions,
  onClose,
}: {
  attemptIds: string[];
  /** Points by criterion, of those that are marked. */
  rubric: Record<string, number>;
  /** Criterion that it begins with. */
  first: Criterion | null;
  actions: Pick<PileActions, 'alike' | 'pending' | 'error'>;
  onClose: () => void;
}) {
  const { t } = useTranslation(['pile', 'craft', 'ui']);
  const marked = CRITERIA.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  const [criterion, setCriterion] = useState<Criterion>(first && marked.includes(first) ? first : marked[0]);
  const max = rubric[criterion];
  const draft = useMarkDraft(max);
  const { body, wrong } = checkedMark(markAlikeSchema, draft, max, { attemptIds, criterion });
  const send = () => {
    draft.setTried(true);
    if (body) void actions.alike(body).then(onClose, () => undefined);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('alike.title')}
      actions={
        <>
          <Button onClick={onClose}>{t('ui:action.cancel')}</Button>
          <Button weight="main" disabled={actions.pending} onClick={send}>
            {t('ui:action.save')}
          </Button>
        </>
      }
    >
      <Field label={t('alike.criterion')}>
        <Select
          value={criterion}
          onChange={(event) => {
            const chosen = marked.find((one) => one === event.target.value)!;
            setCriterion(chosen);
            draft.setPoints(figure(rubric[chosen]));
          }}
        >
          {marked.map((one) => (
            <option key={one} value={one}>
              {t(`craft:criterion.${one}`)}
            </option>
          ))}
        </Select>
      </Field>
      <PointsAndReason draft={draft} wrong={wrong} max={max} />
      <Refused error={actions.error} />
    </Dialog>
  );
}
