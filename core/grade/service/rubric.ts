import { z } from 'zod';
import type { Bowl, ServiceCase, ServicePlan } from '../../plan';
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

/** The whole bench in the order of the work. An educator can switch parts off; what is off is given. */
export const BENCH_STEPS = ['consult', 'read', 'mix', 'apply', 'finish'] as const;
/** Parts that can be worked: those of the whole bench, or the developer alone, in bowls that are given otherwise. */
export const OPEN_STEPS = [...BENCH_STEPS, 'developer'] as const;
export type BenchStep = (typeof OPEN_STEPS)[number];

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
/** Whether a criterion can be marked where these parts are worked. */
export const isOpenIn = (open: readonly BenchStep[], criterion: ServiceCriterion): boolean =>
  open.includes(STEP_OF[criterion]) ||
  (open.includes('developer') && (criterion === 'developer' || criterion === 'ratio'));

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
    if (!isOpenIn(open, criterion)) continue;
    if (criterion === 'greyShare' && !covers) continue;
    if (criterion === 'prediction' && !foretold) continue;
    // Where the service has to be declined there is nothing to mix.
    if (stops.length > 0 && criterion !== 'reading' && criterion !== 'safety') continue;
    rubric[criterion] = WEIGHTS[criterion];
  }
  return rubric;
}

/** Parts of the bench on which a card with a slip in it is put right. */
export const CARD_STEPS: readonly BenchStep[] = ['consult', 'mix', 'apply'];

/**
 * Points for a card that has to be put right: only what the slip costs counts, or handing it in as it is would earn
 * most of them.
 */
export function cardRubric(
  { criteria }: { criteria: readonly { criterion: ServiceCriterion; share: number; max: number }[] },
  open: readonly BenchStep[] = CARD_STEPS,
): ServiceRubric {
  return Object.fromEntries(
    criteria
      .filter(({ criterion, share }) => share < 1 && isOpenIn(open, criterion))
      .map(({ criterion, max }) => [criterion, max]),
  );
}

/** Bowls as given, with what was poured into them. */
const poured = (bowls: readonly Bowl[], by: readonly Bowl[]): Bowl[] =>
  bowls.map((bowl) => ({ ...bowl, developer: by.find(({ name }) => name === bowl.name)?.developer ?? [] }));

/** The plan with what the exercise gives: fields of steps that are off come from the computed plan. */
export function withGiven(plan: ServicePlan, best: ServicePlan, open: readonly BenchStep[]): ServicePlan {
  const own = (step: BenchStep) => open.includes(step);
  return {
    readings: own('read') ? plan.readings : best.readings,
    asked: own('consult') ? plan.asked : best.asked,
    tests: own('consult') ? plan.tests : best.tests,
    decision: own('consult') ? plan.decision : best.decision,
    visits: own('consult') ? plan.visits : best.visits,
    bowls: own('mix') ? plan.bowls : own('developer') ? poured(best.bowls, plan.bowls) : best.bowls,
    wash: own('apply') ? plan.wash : best.wash,
    steps: own('apply') ? plan.steps : best.steps,
    aftercare: own('finish') ? plan.aftercare : best.aftercare,
    nextVisitWeeks: own('finish') ? plan.nextVisitWeeks : best.nextVisitWeeks,
  };
}
