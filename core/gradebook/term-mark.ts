/** A part of the term whose pieces of work count together: exercises, reading tests, practical work. */
export interface GradeCategory {
  /** Id, of the class's own choosing. */
  id: string;
  /** Weight, 0 or more, beside the weights of the others; usually per cent. */
  weight: number;
  /** How many of a student's weakest pieces do not count, a whole number; one always does. */
  dropLowest: number;
}

/** A piece of a student's work that counts in the term. */
export interface CountedPiece {
  /** Id of the piece. */
  id: string;
  /** Id of its category. */
  category: string;
  /** What was reached of it, 0–1; more where an educator gave more. */
  share: number;
}

/** What a category comes to for one student. */
export interface CategoryMark {
  /** Id of the category. */
  id: string;
  /** Mean of what counts in it, 0–1, not rounded; null where nothing counts yet. */
  mean: number | null;
  /** How much of the term mark it makes, 0–1; 0 where nothing counts yet. All of a student's come to 1. */
  part: number;
  /** Ids of pieces that were dropped, the weakest first. */
  dropped: string[];
}

/** A student's term so far. */
export interface TermMark {
  /** Weighted mean of the categories, 0–1, not rounded; null where nothing counts yet. */
  share: number | null;
  /** Every category, in the order given. */
  categories: CategoryMark[];
}

const meanOf = (shares: readonly number[]): number => shares.reduce((a, b) => a + b, 0) / shares.length;

function categoryMark(
  { id, dropLowest }: GradeCategory,
  pieces: readonly CountedPiece[],
): Omit<CategoryMark, 'part'> {
  // Of pieces alike the first is dropped, so that the same is dropped each time.
  const own = pieces.filter(({ category }) => category === id).sort((a, b) => a.share - b.share);
  if (own.length === 0) return { id, mean: null, dropped: [] };
  const dropped = Math.min(dropLowest, own.length - 1);
  return {
    id,
    mean: meanOf(own.slice(dropped).map(({ share }) => share)),
    dropped: own.slice(0, dropped).map((piece) => piece.id),
  };
}

/**
 * A student's term mark: in each category the mean of what counts without its weakest pieces, every piece alike whatever its
 * points; then the mean of the categories by their weights. A category without anything yet leaves its weight to the
 * others, in proportion, as do weights that do not make 100. Nothing is rounded here.
 *
 * @param pieces What counts: nothing that is excused, unreleased or not due. Of a category that is not named it counts nowhere.
 */
export function termMark(categories: readonly GradeCategory[], pieces: readonly CountedPiece[]): TermMark {
  const marks = categories.map((category) => categoryMark(category, pieces));
  const weights = categories.map(({ weight }, i) => (marks[i].mean === null ? 0 : weight));
  const all = weights.reduce((a, b) => a + b, 0);
  const parts = weights.map((weight) => (all > 0 ? weight / all : 0));
  return {
    share: all > 0 ? marks.reduce((sum, { mean }, i) => sum + parts[i] * (mean ?? 0), 0) : null,
    categories: marks.map((mark, i) => ({ ...mark, part: parts[i] })),
  };
}

/** What binary fractions add or lose on the way to a half. */
const TINY = 1e-9;

/** A share as per cent, rounded once, halves up, to so many decimals (0 or 1). */
export function percentOf(share: number, decimals: 0 | 1): number {
  const scale = 10 ** decimals;
  return Math.floor(share * 100 * scale + 0.5 + TINY) / scale;
}

/** What weights come to, and whether they make a whole of 100. */
export function sumOfWeights(categories: readonly Pick<GradeCategory, 'weight'>[]): {
  sum: number;
  whole: boolean;
} {
  const sum = Math.round(categories.reduce((all, { weight }) => all + weight, 0) * 100) / 100;
  return { sum, whole: sum === 100 };
}
