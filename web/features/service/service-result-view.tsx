import type { ServiceResult } from '@cimbel/contract';
import type { ServiceCriterionMark } from '@cimbel/core/grade';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Notice, Sheet } from '../../ui/panel';
import { HouseRulesUsed } from '../marking/key-card';
import { ReasonText } from '../marking/reasons';
import { PlanCard } from './plan-card';
import { ServiceCriteria } from './service-criteria';
import { ServiceOutcome } from './service-outcome';

/** A handed-in plan: marks with reasons, what it would have done, its card beside the computed one. */
export function ServiceResultView({
  result,
  heading,
  action,
}: {
  result: ServiceResult;
  heading: ReactNode;
  action?: (mark: ServiceCriterionMark) => ReactNode;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { grade, solution, answer, lines } = result;
  return (
    <div className="mx-auto flex w-full max-w-7xl flex-col gap-4 px-4 py-4 wide:px-8">
      {heading}
      {grade.dangers.length > 0 ? (
        <Notice kind="bad">
          <strong>{t('service.capped', { points: grade.points, uncapped: grade.uncapped })}</strong>
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
          <strong>{t('service.slipWas')}</strong> {t(`craft:slip.${result.slip}`)}.
        </p>
      ) : null}
      <div className="grid items-start gap-4 wide:grid-cols-[minmax(0,1fr)_30rem]">
        <div className="flex flex-col gap-4">
          {grade.misconceptions.length > 0 ? (
            <Sheet className="flex flex-col gap-1">
              <h2 className="text-lg">{t('service.thinking')}</h2>
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
            <ServiceCriteria result={result} action={action} />
          </Sheet>
        </div>
        <div className="flex flex-col gap-4">
          <ServiceOutcome result={result} />
          <Sheet>
            <HouseRulesUsed uses={grade.houseRules} />
          </Sheet>
          {solution.visits.length > 1 ? (
            <Sheet className="flex flex-col gap-1">
              <h2 className="text-lg">{t('service.visitsTitle', { count: solution.visits.length })}</h2>
              {solution.proof.map((reason) => (
                <p key={JSON.stringify(reason)} className="text-sm">
                  <ReasonText reason={reason} />
                </p>
              ))}
            </Sheet>
          ) : null}
        </div>
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <PlanCard plan={answer} lines={lines} title={t('service.yours')} />
        <PlanCard plan={solution.best} lines={lines} title={t('result.keyTitle')} />
      </div>
    </div>
  );
}
