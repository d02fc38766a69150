import type { EducatorAssignment } from '@cimbel/contract';
import { partName, partsOf } from '@cimbel/core/case';
import type { EducatorRuling } from '@cimbel/core/mark';
import type { Rubric } from '@cimbel/core/exercise';
import { figuresOf } from '@cimbel/core/rules';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Refused } from '../../ui/panel';
import { RubricFields } from '../setting/rubric-fields';
import { usePreview } from '../setting/use-preview';
import { JudgementFields } from './judgement-fields';
import { RegradeChanges, RegradeProgress } from './regrade-parts';
import { useRegrade } from './use-regrade';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Marks every answer again, perhaps with other points or another word on what is right; what would change is shown first. */
export function RegradeDialog({
  assignment,
  onClose,
}: {
  assignment: EducatorAssignment;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const [rubric, setRubric] = useState<Rubric>(assignment.rubric);
  const [ruling, setJudgement] = useState<EducatorRuling>(assignment.judgement);
  const found = usePreview(assignment.clientCase, assignment.lines, assignment.houseRules);
  const { preview, start, regrade, error } = useRegrade(assignment.id);
  const [figures, setFigures] = useState(figuresOf(assignment.houseRules));
  const asked = { rubric, judgement: ruling, figures };
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('bench.regradeTitle')}
      actions={
        <>
          <Button onClick={onClose}>{t('action.close')}</Button>
          {start.isSuccess ? null : (
            <>
              <Button disabled={preview.isPending} onClick={() => preview.mutate(asked)}>
                {t('regrade.preview')}
              </Button>
              <Button weight="main" disabled={start.isPending} onClick={() => start.mutate(asked)}>
                {t('bench.regradeStart')}
              </Button>
            </>
          )}
        </>
      }
    >
      {regrade ? (
        <RegradeProgress regrade={regrade} />
      ) : (
        <div className="flex max-h-[60dvh] flex-col gap-4 overflow-y-auto" tabIndex={0}>
          <p>{t('bench.regradeText')}</p>
          {assignment.former ? (
            <Button
              className="self-start"
              icon={<Undo2 aria-hidden className="size-4" />}
              onClick={() => {
                setRubric(assignment.former!.rubric);
                setJudgement(assignment.former!.judgement);
                setFigures(assignment.former!.figures);
                preview.reset();
              }}
            >
              {t('regrade.former')}
            </Button>
          ) : null}
          {preview.data ? <RegradeChanges preview={preview.data} /> : null}
          <RubricFields
            rubric={rubric}
            open={assignment.open}
            onChange={(next) => {
              setRubric(next);
              preview.reset();
            }}
          />
          <JudgementFields
            found={found.data?.ok ? found.data.crucial : []}
            parts={partsOf(assignment.modelAnswer.clientCase).map(partName)}
            judgement={ruling}
            lines={assignment.lines}
            onChange={(next) => {
              setJudgement(next);
              preview.reset();
            }}
          />
        </div>
      )}
      <Refused error={error} />
    </Dialog>
  );
}

/** Takes a student's plan as right beside the model answer, after showing whose marks that changes. */
export function AcceptDialog({
  assignmentId,
  attemptId,
  onClose,
}: {
  assignmentId: string;
  attemptId: string;
  onClose: () => void;
}) {
  const { t } = useTranslation();
  const { preview, start, regrade, finished, error } = useRegrade(assignmentId);
  const asked = { accept: attemptId };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('regrade.acceptTitle')}
      actions={
        <>
          <Button onClick={onClose}>{t(finished ? 'action.close' : 'action.cancel')}</Button>
          {start.isSuccess ? null : preview.data ? (
            <Button weight="main" disabled={start.isPending} onClick={() => start.mutate(asked)}>
              {t('regrade.acceptDo')}
            </Button>
          ) : (
            <Button weight="main" disabled={preview.isPending} onClick={() => preview.mutate(asked)}>
              {t('regrade.preview')}
            </Button>
          )}
        </>
      }
    >
      {regrade ? <RegradeProgress regrade={regrade} /> : <p>{t('regrade.acceptText')}</p>}
      {!regrade && preview.data ? <RegradeChanges preview={preview.data} /> : null}
      <Refused error={error} />
    </Dialog>
  );
}
