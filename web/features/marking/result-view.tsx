import type { Result } from '@cimbel/contract';
import { seedFrom } from '@cimbel/core';
import type { CriterionMark } from '@cimbel/core/mark';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Notice, Sheet } from '../../ui/panel';
import { AppointmentsSheet } from '../appointments/appointments-sheet';
import { HintsOfAttempt } from '../live/hint-list';
import { HouseRulesUsed } from './house-rules-used';
import { ReasonText } from './reasons';
import { RecordCardView } from '../bench/record-card';
import { CriteriaTable } from './criteria-table';
import { Decided } from './decided';
import { WhyThis } from './model-answer';
import { OutcomeView } from './outcome-view';
import '../../lib/words/craft';
import '../../lib/words/bench';
import '../../lib/words/pile';

/** What goes on from today: the plan as it was worked, where it goes on at all, and the model answer's. */
function plansOf({ clientCase, answer, modelAnswer }: Result) {
  const own = { clientCase, card: answer, visits: [{ wish: clientCase.wish, afterWeeks: 0 }] };
  return [
    ...(answer.decision === 'goOn' && answer.steps.length > 0
      ? [{ name: 'yours' as const, answer: own }]
      : []),
    ...(modelAnswer.card.decision === 'goOn' ? [{ name: 'model' as const, answer: modelAnswer }] : []),
  ];
}

/** A handed-in plan: marks with reasons, what it would have done, its card beside the computed one. */
export function ResultView({
  result,
  heading,
  action,
  below,
  comments = null,
  ceilingAction,
  answerAction,
}: {
  result: Result;
  heading: ReactNode;
  /** What was said of the answer, and what may be done about that; null for nothing. */
  comments?: ReactNode;
  ceilingAction?: ReactNode;
  /** What the educator may do about the plan as a whole. */
  answerAction?: ReactNode;
  action?: (mark: CriterionMark) => ReactNode;
  /** Stands under the reasons of a criterion. */
  below?: (mark: CriterionMark) => ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft', 'pile']);
  const { grade, modelAnswer, answer, lines } = result;
  const plans = plansOf(result);
  return (
    <div className="mx-auto flex w-full max-w-7xl flex-col gap-4 px-4 py-4 wide:px-8">
      {heading}
      {grade.dangers.length > 0 ? (
        <Notice kind="bad">
          <strong>{t('bench.capped')}</strong>
          <ul className="list-disc ps-5">
            {grade.dangers.map((danger) => (
              <li key={JSON.stringify(danger)}>
                <ReasonText reason={danger} />
              </li>
            ))}
          </ul>
        </Notice>
      ) : null}
      {result.slip ? (
        <p>
          <strong>{t('bench.slipWas')}</strong> {t(`craft:slip.${result.slip}`)}.
        </p>
      ) : null}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 wide:grid-cols-[30rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-4">
          <OutcomeView result={result} />
          {plans.length > 0 ? (
            <AppointmentsSheet
              answers={plans}
              lines={lines}
              houseRules={result.houseRules}
              seed={seedFrom(result.assignmentId)}
            />
          ) : null}
        </div>
        <div className="flex flex-col gap-4">
          {comments ? (
            <Sheet className="flex flex-col gap-2">
              <h2 className="text-lg">{t('pile:comment.title')}</h2>
              {comments}
            </Sheet>
          ) : null}
          <HintsOfAttempt hints={result.hints} />
          <Decided result={result} action={ceilingAction} />
          {grade.misconceptions.length > 0 ? (
            <Sheet className="flex flex-col gap-1">
              <h2 className="text-lg">{t('bench.thinking')}</h2>
              <ul>
                {grade.misconceptions.map(({ name, evidence }) => (
                  <li key={name}>
                    <strong>{t(`craft:slip.${name}`)}.</strong>{' '}
                    <span className="text-sm">
                      <ReasonText reason={evidence} />
                    </span>
                  </li>
                ))}
              </ul>
            </Sheet>
          ) : null}
          <Sheet>
            <CriteriaTable result={result} action={action} below={below} />
          </Sheet>
          <Sheet>
            <HouseRulesUsed uses={grade.houseRules} />
          </Sheet>
          {modelAnswer.visits.length > 1 ? (
            <Sheet className="flex flex-col gap-1">
              <h2 className="text-lg">{t('bench.visitsTitle', { count: modelAnswer.visits.length })}</h2>
              {modelAnswer.proof.map((reason) => (
                <p key={JSON.stringify(reason)} className="text-sm">
                  <ReasonText reason={reason} />
                </p>
              ))}
            </Sheet>
          ) : null}
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-2">
        <div className="flex flex-col items-start gap-3 *:w-full">
          <RecordCardView plan={answer} lines={lines} title={t('bench.yours')} />
          {answerAction ? <div>{answerAction}</div> : null}
        </div>
        <div className="flex flex-col gap-4">
          <RecordCardView plan={modelAnswer.card} lines={lines} title={t('result.keyTitle')} />
          <WhyThis solution={modelAnswer} lines={lines} houseRules={result.houseRules} />
        </div>
      </div>
    </div>
  );
}
