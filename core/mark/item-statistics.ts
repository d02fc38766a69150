import { correlation } from '../correlation';
import type { Criterion } from '../exercise';
import type { CrucialDecision } from './crucial-decisions';
import type { Grade } from './mark-card';

/** What an exercise asks for by itself: a criterion that is marked, or a decision it turns on. */
export type ExerciseItem =
  { kind: 'criterion'; criterion: Criterion } | { kind: 'decision'; decision: CrucialDecision };

/**
 * What is to be looked at: those who do well in the rest lose here where others do not, which a faulty case or an unclear
 * one does; hardly anybody has it; everybody has it, so that it tells nobody apart.
 */
export type ItemFlag = 'strongLose' | 'hardlyAnybody' | 'everybody';

export interface ItemFacts {
  /** What is asked for. */
  item: ExerciseItem;
  /** Mean share of its points that was earned, or of the answers that decided it right; 0 nobody to 1 everybody. */
  difficulty: number;
  /**
   * Corrected item-total correlation, −1 to 1: whether those who earn the other criteria earn this. Null for fewer than
   * {@link LEAST_ANSWERS}, or where all are the same. (Classical test theory.)
   */
  discrimination: number | null;
  /** Answers it was asked in. */
  answers: number;
  /** What is to be looked at; null where nothing is. */
  flag: ItemFlag | null;
}

/** Fewest answers that say whether something tells strong from weak. */
export const LEAST_ANSWERS = 8;
/**
 * Whether a discrimination is lower than chance would have it in one exercise of twenty: of few answers it has to be far
 * below nothing (normal approximation of a correlation, 1.645 over the root of n − 1).
 */
const isBelowChance = (discrimination: number, answers: number) =>
  discrimination < -1.645 / Math.sqrt(answers - 1);
const HARDLY_ANYBODY = 0.15;

interface Asked {
  item: ExerciseItem;
  /** Of each answer the share that was earned, and the points of the criteria beside it. */
  shares: number[];
  rests: number[];
}

function factsOf({ item, shares, rests }: Asked): ItemFacts {
  const answers = shares.length;
  const difficulty = shares.reduce((a, b) => a + b, 0) / answers;
  const discrimination = answers >= LEAST_ANSWERS ? correlation(shares, rests) : null;
  const flag =
    answers < LEAST_ANSWERS
      ? null
      : discrimination !== null && isBelowChance(discrimination, answers)
        ? 'strongLose'
        : difficulty < HARDLY_ANYBODY
          ? 'hardlyAnybody'
          : difficulty === 1
            ? 'everybody'
            : null;
  return { item, difficulty, discrimination, answers, flag };
}

const nameOf = ({ criteria, places, role }: CrucialDecision) => JSON.stringify([criteria, places, role]);

/**
 * What each criterion and each decision of an exercise says over its answers, criteria in the order they are marked in and
 * decisions by what they cost. By decision and never by shade, so that variants count together.
 */
export function itemStatistics(grades: readonly Grade[]): ItemFacts[] {
  const asked = new Map<string, Asked>();
  const add = (name: string, item: ExerciseItem, share: number, rest: number) => {
    const one = asked.get(name) ?? { item, shares: [], rests: [] };
    one.shares.push(share);
    one.rests.push(rest);
    asked.set(name, one);
  };
  for (const { criteria, crucial = [] } of grades) {
    const besides = (those: readonly string[]) =>
      criteria.reduce((sum, { criterion, points }) => sum + (those.includes(criterion) ? 0 : points), 0);
    for (const { criterion, points, max } of criteria)
      if (max > 0) add(criterion, { kind: 'criterion', criterion }, points / max, besides([criterion]));
    for (const { wrong, ...decision } of crucial)
      add(nameOf(decision), { kind: 'decision', decision }, wrong ? 0 : 1, besides(decision.criteria));
  }
  const kindOf = ({ item }: Asked) => (item.kind === 'criterion' ? 0 : 1);
  const costOf = ({ item }: Asked) => (item.kind === 'decision' ? item.decision.costs : 0);
  return [...asked.values()].sort((a, b) => kindOf(a) - kindOf(b) || costOf(b) - costOf(a)).map(factsOf);
}
