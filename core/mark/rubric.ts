import { z } from 'zod';
import { isFashion } from '../colour';
import {
  BENCH_STEPS,
  CARD_STEPS,
  applicationsOf,
  partName,
  timedBy,
  timesFrom,
  type Application,
  type BenchStep,
  type Bowl,
  type HeadAndWish,
  type RecordCard,
} from '../card';
import { coversGrey, tasksOf, type Solution } from '../solve';

/** What a whole service is marked by, in the order of the work. */
export const CRITERIA = [
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
export type Criterion = (typeof CRITERIA)[number];

const STEP_OF: Record<Criterion, BenchStep> = {
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
  timing: 'process',
  safety: 'consult',
  aftercare: 'finish',
};
/** Whether a criterion can be marked where these parts are worked. */
export const isOpenIn = (open: readonly BenchStep[], criterion: Criterion): boolean =>
  open.includes(STEP_OF[criterion]) ||
  (open.includes('developer') && (criterion === 'developer' || criterion === 'ratio'));

export const rubricSchema = z
  .partialRecord(z.enum(CRITERIA), z.number().min(0).max(100).multipleOf(0.5))
  .refine((rubric) => Object.values(rubric).some((points) => (points ?? 0) > 0), { message: 'rubric.empty' });
export type Rubric = z.infer<typeof rubricSchema>;

/** Weights of a whole service; of what is open they are scaled to a hundred. */
export const WEIGHTS: Record<Criterion, number> = {
  reading: 12,
  prediction: 8,
  route: 14,
  depth: 12,
  tone: 12,
  greyShare: 8,
  developer: 12,
  ratio: 4,
  amount: 4,
  order: 8,
  timing: 10,
  safety: 10,
  aftercare: 4,
};

/** From this fraction of white on the mix needs natural series (F8). */
const NATURAL_FROM = 0.25;
/** Points that a rubric adds up to unless the educator says otherwise. */
export const FULL_POINTS = 100;
const STEP = 0.5;
const OF_BOWLS: readonly Criterion[] = [
  'route',
  'depth',
  'tone',
  'developer',
  'ratio',
  'amount',
  'order',
  'timing',
];

/** Weights scaled to a hundred in half points, the heaviest taking what rounding leaves. */
function scaled(weights: Rubric): Rubric {
  const entries = Object.entries(weights) as [Criterion, number][];
  const all = entries.reduce((sum, [, weight]) => sum + weight, 0);
  if (all === 0) return weights;
  const points = entries.map(([, weight]) => Math.round((weight * FULL_POINTS) / all / STEP) * STEP);
  const left = FULL_POINTS - points.reduce((sum, one) => sum + one, 0);
  const heaviest = points.indexOf(Math.max(...points));
  return Object.fromEntries(
    entries.map(([criterion], i) => [criterion, points[i] + (i === heaviest ? left : 0)]),
  );
}

/** Points for what a case asks: nothing that it does not put to the test, nothing of a step that is off. */
export function defaultRubric(
  { best, choices, stops }: Pick<Solution, 'best' | 'choices' | 'stops'>,
  clientCase: HeadAndWish,
  open: readonly BenchStep[] = BENCH_STEPS,
): Rubric {
  // A natural share is asked for under a fashion tone, over a quarter of white and more (F8).
  const covers = tasksOf(clientCase).some((task) => {
    const choice = choices.find(({ part }) => part === partName(task.part));
    return (
      choice &&
      coversGrey(task, choice.route) &&
      isFashion(task.target.tone) &&
      task.greyShare >= NATURAL_FROM
    );
  });
  const foretold = Object.values(best.readings).some((reading) => reading?.underlay);
  const rubric: Rubric = {};
  for (const criterion of CRITERIA) {
    if (!isOpenIn(open, criterion)) continue;
    if (criterion === 'greyShare' && !covers) continue;
    if (criterion === 'prediction' && !foretold) continue;
    // Where the service has to be declined there is nothing to mix.
    if (stops.length > 0 && !['reading', 'safety', 'aftercare'].includes(criterion)) continue;
    if (criterion === 'aftercare' && best.aftercare.length === 0 && best.nextVisitWeeks === null) continue;
    if (OF_BOWLS.includes(criterion) && best.bowls.length === 0) continue;
    // A clear gloss has no tone to be chosen.
    if (criterion === 'tone' && choices.every(({ route }) => route === 'gloss' || route === 'leave'))
      continue;
    rubric[criterion] = WEIGHTS[criterion];
  }
  return scaled(rubric);
}

/**
 * Points for a card that has to be put right: only what the slip costs counts, or handing it in as it is would earn
 * most of them.
 */
export function cardRubric(
  { criteria }: { criteria: readonly { criterion: Criterion; share: number; max: number }[] },
  open: readonly BenchStep[] = CARD_STEPS,
): Rubric {
  return scaled(
    Object.fromEntries(
      criteria
        .filter(({ criterion, share }) => share < 1 && isOpenIn(open, criterion))
        .map(({ criterion, max }) => [criterion, max]),
    ),
  );
}

/** Bowls as given, with what was poured into them. */
const poured = (bowls: readonly Bowl[], by: readonly Bowl[]): Bowl[] =>
  bowls.map((bowl) => ({ ...bowl, developer: by.find(({ name }) => name === bowl.name)?.developer ?? [] }));

/**
 * The plan with what the exercise gives: fields of steps that are off come from the computed plan. Where a student times
 * what is given, `applications` stand for its steps; by default they are those of the computed plan.
 */
export function withGiven(
  plan: RecordCard,
  best: RecordCard,
  open: readonly BenchStep[],
  applications: readonly Application[] = applicationsOf(best.steps),
): RecordCard {
  const own = (step: BenchStep) => open.includes(step);
  const station = own('consult') ? plan.station : best.station;
  return {
    readings: own('read') ? plan.readings : best.readings,
    asked: own('consult') ? plan.asked : best.asked,
    tests: own('consult') ? plan.tests : best.tests,
    decision: own('consult') ? plan.decision : best.decision,
    visits: own('consult') ? plan.visits : best.visits,
    ...(station ? { station } : {}),
    bowls: own('mix') ? plan.bowls : own('developer') ? poured(best.bowls, plan.bowls) : best.bowls,
    wash: own('apply') ? plan.wash : best.wash,
    steps: own('apply')
      ? own('process')
        ? plan.steps
        : timesFrom(best.steps, plan.steps)
      : own('process')
        ? timedBy(applications, plan)
        : best.steps,
    // Where times are worked, what is done beside the bowls must not tell when they begin.
    care: own('apply')
      ? plan.care
      : own('process')
        ? best.care.map((one) => ({ ...one, start: 0 }))
        : best.care,
    aftercare: own('finish') ? plan.aftercare : best.aftercare,
    nextVisitWeeks: own('finish') ? plan.nextVisitWeeks : best.nextVisitWeeks,
  };
}
