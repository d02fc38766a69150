import type { RecordCard } from '../../card';
import type { Reason } from '../../reason';
import { type Grade, type MarkingInput, markCard } from '../mark-card';
import { type Misconception, MISCONCEPTIONS } from '../misconception';
import type { SlipMaker, SlipContext } from './context';
import { MIX_SLIPS } from './mix-slips';
import { ROUTE_SLIPS } from './route-slips';
import { WORK_SLIPS } from './work-slips';

/** One believable slip for each misconception; null where the case leaves no room for it. */
const SLIPS: Record<Misconception, SlipMaker> = { ...ROUTE_SLIPS, ...MIX_SLIPS, ...WORK_SLIPS };

export interface TypicalError {
  /** The way of thinking it is worked by. */
  misconception: Misconception;
  /** The plan of someone who thinks so. */
  card: RecordCard;
  /** What it is marked. */
  grade: Grade;
  /** The finding that names the rule it breaks. */
  breaks: Reason;
}

/** The plan of someone who thinks so, made from the right one; null where the case leaves no room for it. */
export const cardWithSlip = (name: Misconception, context: SlipContext): RecordCard | null =>
  SLIPS[name](context);

/** Instructive near misses of a solution: one slip each, graded, with the rule it breaks. Cheapest slip first. */
export function typicalErrors(input: MarkingInput): TypicalError[] {
  const { modelAnswer, lines } = input;
  const found = MISCONCEPTIONS.flatMap((misconception): TypicalError[] => {
    const card = cardWithSlip(misconception, { card: modelAnswer.card, modelAnswer, lines });
    if (!card) return [];
    const grade = markCard(input, card);
    const shown = grade.misconceptions.find(({ name }) => name === misconception);
    // A slip that this case and these lines do not show is no instruction.
    return shown ? [{ misconception, card, grade, breaks: shown.evidence }] : [];
  });
  return found.sort((a, b) => b.grade.points / b.grade.max - a.grade.points / a.grade.max);
}
