import { z } from 'zod';
import type { ServiceCase, ServicePlan } from '../../plan';
import type { Solution } from '../../solve';
import { hasGreyToCover } from '../../theory';

/** What a whole service is marked by, in the order of the work. */
export const SERVICE_CRITERIA = [
  'reading',
  'prediction',
  'route',
  'depth',
  'tone',
  'greyShare',
  'developer',
  'ratio',
  'amount',
  'order',
  'timing',
  'safety',
  'aftercare',
] as const;
export type ServiceCriterion = (typeof SERVICE_CRITERIA)[number];

/** Parts of the bench that an educator can switch off; what is off is given. */
export const BENCH_STEPS = ['consult', 'read', 'mix', 'apply', 'finish'] as const;
export type BenchStep = (typeof BENCH_STEPS)[number];

const STEP_OF: Record<ServiceCriterion, BenchStep> = {
  reading: 'read',
  prediction: 'read',
  route: 'apply',
  depth: 'mix',
  tone: 'mix',
  greyShare: 'mix',
  developer: 'mix',
  ratio: 'mix',
  amount: 'mix',
  order: 'apply',
  timing: 'apply',
  safety: 'consult',
  aftercare: 'finish',
};
export const stepOfCriterion = (criterion: ServiceCriterion): BenchStep => STEP_OF[criterion];

export const serviceRubricSchema = z
  .partialRecord(z.enum(SERVICE_CRITERIA), z.number().min(0).max(100).multipleOf(0.5))
  .refine((rubric) => Object.values(rubric).some((points) => (points ?? 0) > 0), { message: 'rubric.empty' });
export type ServiceRubric = z.infer<typeof serviceRubricSchema>;

const WEIGHTS: Record<ServiceCriterion, number> = {
  reading: 3,
  prediction: 2,
  route: 5,
  depth: 4,
  tone: 4,
  greyShare: 3,
  developer: 4,
  ratio: 2,
  amount: 1,
  order: 3,
  timing: 3,
  safety: 3,
  aftercare: 1,
};

/** Points for what a case asks: nothing that it does not put to the test, nothing of a step that is off. */
export function defaultServiceRubric(
  { best, choices, stops }: Pick<Solution, 'best' | 'choices' | 'stops'>,
  kase: Pick<ServiceCase, 'head'>,
  open: readonly BenchStep[] = BENCH_STEPS,
): ServiceRubric {
  const covers = choices.some(({ part, route }) => {
    const zone = kase.head.zones.find((one) => part.startsWith(one.zone));
    return (
      zone &&
      hasGreyToCover(zone.greyShare) &&
      ['deposit', 'liftWithColour', 'removeThenColour'].includes(route)
    );
  });
  const foretold = Object.values(best.readings).some((reading) => reading?.underlay);
  const rubric: ServiceRubric = {};
  for (const criterion of SERVICE_CRITERIA) {
    if (!open.includes(STEP_OF[criterion])) continue;
    if (criterion === 'greyShare' && !covers) continue;
    if (criterion === 'prediction' && !foretold) continue;
    // Where the service has to be declined there is nothing to mix.
    if (stops.length > 0 && criterion !== 'reading' && criterion !== 'safety') continue;
    rubric[criterion] = WEIGHTS[criterion];
  }
  return rubric;
}

/** The plan with what the exercise gives: fields of steps that are off come from the computed plan. */
export function withGiven(plan: ServicePlan, best: ServicePlan, open: readonly BenchStep[]): ServicePlan {
  const own = (step: BenchStep) => open.includes(step);
  return {
    readings: own('read') ? plan.readings : best.readings,
    asked: own('consult') ? plan.asked : best.asked,
    tests: own('consult') ? plan.tests : best.tests,
    decision: own('consult') ? plan.decision : best.decision,
    visits: own('consult') ? plan.visits : best.visits,
    bowls: own('mix') ? plan.bowls : best.bowls,
    wash: own('apply') ? plan.wash : best.wash,
    steps: own('apply') ? plan.steps : best.steps,
    aftercare: own('finish') ? plan.aftercare : best.aftercare,
    nextVisitWeeks: own('finish') ? plan.nextVisitWeeks : best.nextVisitWeeks,
  };
}
