import type { ClientCase } from '../case';
import { BENCH_STEPS, variantOf } from '../exercise';
import type { Line } from '../product';
import type { Random } from '../random';
import type { HouseRules } from '../rules';
import { type ModelAnswer, solveCase } from '../solve';
import { defaultRubric } from './default-rubric';
import { markCard, standardFor } from './mark-card';
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

/** Most that the answer to the case, or to another of its variants, may earn: copying does not pay. */
export const COPIED_MOST = 85;

/** What a card earns on another head than its own, of 100. */
function copied({ card }: ModelAnswer, on: ModelAnswer, lines: readonly Line[], rules: HouseRules): number {
  const rubric = defaultRubric(on, on.clientCase);
  const { points, max } = markCard({ modelAnswer: on, lines, rules, rubric, open: [...BENCH_STEPS] }, card);
  return (100 * points) / max;
}

/** Mean mark of plans with common errors, in points of 100; null where the case leaves room for none. */
function meanOfErrors(modelAnswer: ModelAnswer, lines: readonly Line[], rules: HouseRules): number | null {
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase);
  const errors = typicalErrors({ modelAnswer, lines, rules, rubric, open: [...BENCH_STEPS] });
  return errors.length === 0
    ? null
    : errors.reduce((sum, { grade: { points, max } }) => sum + (100 * points) / max, 0) / errors.length;
}

/**
 * Draws a variant until the search proves that it turns on the same decisions as its case: the same techniques, as many
 * bowls and appointments, the same crucial decisions, and common errors that cost as much, and that the answer to the case is
 * not one to it. At most {@link MOST_DRAWS} times.
 *
 * @param besides Other variants, whose answers must be none to it either, nor its own to them.
 * @returns null where none of the draws was equal.
 */
export function equalVariant(
  { clientCase, modelAnswer }: ProvedVariant,
  lines: readonly Line[],
  rules: HouseRules,
  keepsTones: boolean,
  random: Random,
  besides: readonly ModelAnswer[] = [],
): ProvedVariant | null {
  const ways = waysOf(modelAnswer);
  const decisions = turnsOn(modelAnswer, lines, rules);
  const mean = meanOfErrors(modelAnswer, lines, rules);
  const named = besides.map((other) => other.clientCase.client.name);
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const drawn = variantOf(clientCase, keepsTones, random, named);
    const solved = solveCase(drawn, lines, rules);
    if (!solved.ok || waysOf(solved.modelAnswer) !== ways) continue;
    if (turnsOn(solved.modelAnswer, lines, rules) !== decisions) continue;
    const drawnMean = meanOfErrors(solved.modelAnswer, lines, rules);
    if (mean !== null && drawnMean !== null && Math.abs(drawnMean - mean) > MEAN_WITHIN) continue;
    const pays = (from: ModelAnswer, on: ModelAnswer) => copied(from, on, lines, rules) > COPIED_MOST;
    const own = solved.modelAnswer;
    if ([modelAnswer, ...besides].some((other) => pays(other, own))) continue;
    if (besides.some((other) => pays(own, other))) continue;
    return { clientCase: drawn, modelAnswer: solved.modelAnswer };
  }
  return null;
}
