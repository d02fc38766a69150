import type { DrillContext, Question } from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';

/** The line a question is read in, where it is one of the college's own. */
export const ownLineOf = (
  { lineId }: Pick<Question, 'lineId'>,
  { ownLines = [] }: Pick<DrillContext, 'ownLines'>,
): Line | null => ownLines.find(({ id }) => id === lineId) ?? null;
