import { markAlikeSchema } from '@cimbel/contract';
import type { Criterion } from '@cimbel/core/exercise';
import { CRITERIA } from '@cimbel/core/exercise';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { figureIn } from '../../lib/figure-in';
import { useFieldWords } from '../../lib/form';
import { figure } from '../../lib/i18n';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Field, Input, Select, Textarea } from '../../ui/field';
import { Refused } from '../../ui/panel';
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
  const words = useFieldWords();
  const marked = CRITERIA.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  const [criterion, setCriterion] = useState<Criterion>(first && marked.includes(first) ? first : marked[0]);
  const max = rubric[criterion];
  const [points, setPoints] = useState(figure(max));
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const parsed = markAlikeSchema.safeParse({
    attemptIds,
    criterion,
    points: figureIn(points) ?? NaN,
    reason,
  });
  const wrong = (path: string) =>
    tried && !parsed.success && parsed.error.issues.some((issue) => issue.path[0] === path);
  const pointsWrong = wrong('points') || (tried && (figureIn(points) ?? 0) > max);
  const send = () => {
    setTried(true);
    if (parsed.success && parsed.data.points <= max)
      void actions.alike(parsed.data).then(onClose, () => undefined);
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
            setPoints(figure(rubric[chosen]));
          }}
        >
          {marked.map((one) => (
            <option key={one} value={one}>
              {t(`craft:criterion.${one}`)}
            </option>
          ))}
        </Select>
      </Field>
      <Field
        label={t('alike.points', { max })}
        error={pointsWrong ? words('points', undefined, { max }) : null}
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
      <Field label={t('alike.reason')} error={wrong('reason') ? words('reason') : null}>
        <Textarea
          rows={3}
          maxLength={500}
          value={reason}
          aria-invalid={wrong('reason')}
          onChange={(event) => setReason(event.target.value)}
        />
      </Field>
      <Refused error={actions.error} />
    </Dialog>
  );
}
