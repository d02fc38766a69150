import type { ClientCase } from '../case';
import { BENCH_STEPS, type VariantRange, variantOf } from '../exercise';
import type { Line } from '../product';
import type { Random } from '../random';
import type { HouseRules } from '../rules';
import { type ModelAnswer, solveCase } from '../solve';
import { defaultRubric } from './default-rubric';
import { standardFor } from './mark-card';
import { typicalErrors } from './slips/typical-errors';

/** A variant of a case, and the answer that proves it. */
export interface ProvedVariant {
  /** The case in other figures. */
  clientCase: ClientCase;
  /** The search's answer to it. */
  modelAnswer: ModelAnswer;
}

/** Draws after which a case is said to have no further variant. */
export const MOST_DRAWS = 20;

/** What an answer does, without its figures: techniques by part, appointments, whether it is declined or misses a wish. */
const waysOf = ({ choices, visits, stops, missed = [], card }: ModelAnswer): string =>
  JSON.stringify([
    choices.map(({ part, technique }) => [part, technique]),
    visits.length,
    stops.map(({ code }) => code),
    missed.map(({ part }) => part),
    card.bowls.length,
  ]);

/** What a case turns on, without the order and the costs. */
const turnsOn = (modelAnswer: ModelAnswer, lines: readonly Line[], rules: HouseRules): string =>
  JSON.stringify(
    standardFor({ modelAnswer, lines, rules, open: [...BENCH_STEPS] })
      .crucial.map(({ criteria, places, role }) => JSON.stringify([criteria, places, role]))
      .sort(),
  );

/** Furthest that the mean mark of plans with common errors may be from that of the case, in points of 100. */
export const MEAN_WITHIN = 10;

/** Mean mark of plans with common errors, in points of 100; null where the case leaves room for none. */
function meanOfErrors(modelAnswer: ModelAnswer, lines: readonly Line[], rules: HouseRules): number | null {
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase);
  const errors = typicalErrors({ modelAnswer, lines, rules, rubric, open: [...BENCH_STEPS] });
  return errors.length === 0
    ? null
    : errors.reduce((sum, { grade: { points, max } }) => sum + (100 * points) / max, 0) / errors.length;
}

/** Figures by which a formula of one head is right or wrong on another: levels and tones of wish and hair. */
const figuresOf = ({ head, wish, placements = [] }: ClientCase): string =>
  JSON.stringify([
    head.zones.map(({ zone, naturalLevel }) => [zone, naturalLevel]),
    Object.entries(wish).map(([place, { level, tone }]) => [place, level, tone]),
    placements.map(({ zones, target: { level, tone } }) => [zones, level, tone]),
  ]);

/**
 * Draws a variant until the search proves that it turns on the same decisions as its case: the same techniques, as many
 * bowls and appointments, the same crucial decisions, and common errors that cost as much. At most {@link MOST_DRAWS} times.
 *
 * @param besides What it must differ from in levels or tones beside the case itself.
 * @returns null where none of the draws was equal.
 */
export function equalVariant(
  { clientCase, modelAnswer }: ProvedVariant,
  lines: readonly Line[],
  rules: HouseRules,
  range: VariantRange,
  random: Random,
  besides: readonly ClientCase[] = [],
): ProvedVariant | null {
  const taken = new Set([clientCase, ...besides].map(figuresOf));
  const ways = waysOf(modelAnswer);
  const decisions = turnsOn(modelAnswer, lines, rules);
  const mean = meanOfErrors(modelAnswer, lines, rules);
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const drawn = variantOf(clientCase, range, random);
    if (taken.has(figuresOf(drawn))) continue;
    const solved = solveCase(drawn, lines, rules);
    if (!solved.ok || waysOf(solved.modelAnswer) !== ways) continue;
    if (turnsOn(solved.modelAnswer, lines, rules) !== decisions) continue;
    const drawnMean = meanOfErrors(solved.modelAnswer, lines, rules);
    if (mean !== null && drawnMean !== null && Math.abs(drawnMean - mean) > MEAN_WITHIN) continue;
    return { clientCase: drawn, modelAnswer: solved.modelAnswer };
  }
  return null;
}
