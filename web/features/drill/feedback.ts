import type { Reason } from '@cimbel/core';
import type { DrillMark, Item, Response } from '@cimbel/core/drill';

/** What came of an answer, once it may be seen. A question that was left has no response and no mark. */
export interface AnswerFeedback {
  item: Item;
  response: Response | null;
  mark: DrillMark | null;
  /** What the last answers of the sitting have in common, where this one repeats a mistake. */
  pattern?: Reason | null;
}
