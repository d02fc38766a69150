import type { StudentService } from '@cimbel/contract';
import type { BenchStep } from '@cimbel/core/grade';
import type { ServicePlan } from '@cimbel/core/plan';
import { hasDeveloper } from '@cimbel/core/shades';

/** Steps of the bench in the order of the service; steps that an exercise gives are left out. */
export type ServiceStep = BenchStep | 'handIn';
export const stepsOf = ({ open }: Pick<StudentService, 'open'>): ServiceStep[] => [...open, 'handIn'];

/** Whether nothing of a step is open. */
export function isStepComplete(
  step: ServiceStep,
  plan: ServicePlan,
  { zones, lines }: Pick<StudentService, 'zones' | 'lines'>,
): boolean {
  const declines = plan.decision === 'decline';
  switch (step) {
    case 'consult':
      return plan.asked.length > 0 && plan.decision !== null && (declines || plan.visits !== null);
    case 'read':
      return zones.every(({ zone }) => plan.readings[zone]?.level != null);
    case 'mix':
      return declines || (plan.bowls.length > 0 && plan.bowls.every(({ lineId }) => lineId !== null));
    case 'apply':
      return declines || plan.steps.length > 0;
    case 'finish':
      return declines || (plan.aftercare.length > 0 && plan.nextVisitWeeks !== null);
    case 'developer':
      return plan.bowls.every(
        ({ lineId, developer }) =>
          !lines.some(({ id, kind }) => id === lineId && hasDeveloper(kind)) ||
          developer.some(({ grams }) => grams > 0),
      );
    case 'handIn':
      return false;
  }
}
