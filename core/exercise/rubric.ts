import { z } from 'zod';
import { type BenchStep, CARD_STEPS } from './open-steps';

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
export const CRITERION_WEIGHTS: Record<Criterion, number> = {
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

/** Points that a rubric adds up to unless the educator says otherwise. */
export const FULL_POINTS = 100;
const STEP = 0.5;

/** Weights scaled to a hundred in half points, the heaviest taking what rounding leaves. */
export function scaledToHundred(weights: Rubric): Rubric {
  const entries = Object.entries(weights) as [Criterion, number][];
  const all = entries.reduce((sum, [, weight]) => sum + weight, 0);
  if (all === 0) return weights;
  const points = entries.map(([, weight]) => Math.round((weight * FULL_POINTS) / all / STEP) * STEP);
  const left = FULL_POINTS - points.reduce((sum, point) => sum + point, 0);
  const heaviest = points.indexOf(Math.max(...points));
  return Object.fromEntries(
    entries.map(([criterion], i) => [criterion, points[i] + (i === heaviest ? left : 0)]),
  );
}

/**
 * Points for a card that has to be put right: only what the slip costs counts, or handing it in as it is would earn
 * most of them.
 */
export function cardRubric(
  { criteria }: { criteria: readonly { criterion: Criterion; share: number; max: number }[] },
  open: readonly BenchStep[] = CARD_STEPS,
): Rubric {
  return scaledToHundred(
    Object.fromEntries(
      criteria
        .filter(({ criterion, share }) => share < 1 && isOpenIn(open, criterion))
        .map(({ criterion, max }) => [criterion, max]),
    ),
  );
}
