import type { RecordCard } from '../../card';
import type { Reason } from '../../reason';
import { type Grade, type MarkingInput, markCard } from '../mark-card';
import { type Misconception, MISCONCEPTIONS } from '../misconception';
import type { Slip, SlipContext } from './context';
import { MIX_SLIPS } from './mix-slips';
import { ROUTE_SLIPS } from './route-slips';
import { WORK_SLIPS } from './work-slips';

/** One believable slip for each misconception; null where the case leaves no room for it. */
const SLIPS: Record<Misconception, Slip> = { ...ROUTE_SLIPS, ...MIX_SLIPS, ...WORK_SLIPS };

export interface NearMiss {
  misconception: Misconception;
  plan: RecordCard;
  grade: Grade;
  /** The finding that names the rule it breaks. */
  breaks: Reason;
}

/** The plan of someone who thinks so, made from the right one; null where the case leaves no room for it. */
export const slip = (name: Misconception, context: SlipContext): RecordCard | null => SLIPS[name](context);

/** Instructive near misses of a solution: one slip each, graded, with the rule it breaks. Cheapest slip first. */
export function nearMisses(input: MarkingInput): NearMiss[] {
  const { solution, lines } = input;
  const found = MISCONCEPTIONS.flatMap((misconception): NearMiss[] => {
    const plan = slip(misconception, { plan: solution.best, solution, lines });
    if (!plan) return [];
    const grade = markCard(input, plan);
    const shown = grade.misconceptions.find(({ name }) => name === misconception);
    // A slip that this case and these lines do not show is no instruction.
    return shown ? [{ misconception, plan, grade, breaks: shown.evidence }] : [];
  });
  return found.sort((a, b) => b.grade.points / b.grade.max - a.grade.points / a.grade.max);
}
