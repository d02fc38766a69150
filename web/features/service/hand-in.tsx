import type { StudentService } from '@cimbel/contract';
import type { ServicePlan } from '@cimbel/core/plan';
import { useTranslation } from 'react-i18next';
import { HandInForm } from '../bench/hand-in-form';
import type { DraftOf } from '../bench/use-draft';
import { PlanCard } from './plan-card';
import { isStepComplete } from './steps';

export function HandInService({ service, draft }: { service: StudentService; draft: DraftOf<ServicePlan> }) {
  const { t } = useTranslation();
  const { id, late, open, lines } = service;
  const left = open.filter((step) => !isStepComplete(step, draft.answer, service)).length;
  return (
    <div className="flex flex-col gap-4">
      <h2 className="text-2xl">{t('bench.handIn.title')}</h2>
      <PlanCard plan={draft.answer} lines={lines} title={t('service.card')} />
      <HandInForm
        id={id}
        url={`/api/my/services/${id}`}
        answer={draft.answer}
        open={left}
        late={late}
        resultAt={`/bench/${id}/result`}
        queryKey={['my-service', id]}
      />
    </div>
  );
}
