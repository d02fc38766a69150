import { partName } from '../case';
import type { BenchStep } from '../exercise';
import { type Reason, reason } from '../reason';
import { type CeilingRow, CEILING_ROWS, type Ceilings, CEILINGS } from '../rules';
import type { MarkingContext } from './context';
import { type Danger, dangersIn } from './dangers';
import { type PlaceOutcome, placeOutcomes, OUTCOMES, conditionLost } from './outcome';

/** Most of 100 for lightener that is never looked at. */
export const UNWATCHED = 75;

/** The head a plan leaves. */
export interface HeadLeft {
  /** Row of the table of ceilings. */
  row: CeilingRow;
  /** The place that decided, with what it was; null where all is as wished. */
  worst: PlaceOutcome | null;
  /** How each place came out. */
  outcomes: PlaceOutcome[];
  /** What would hurt the client. */
  dangers: Danger[];
  /** Part with lightener on it and no strand checked; null for none. */
  unwatched: string | null;
}

const worseRow = (a: CeilingRow, b: CeilingRow): CeilingRow =>
  CEILING_ROWS[Math.max(CEILING_ROWS.indexOf(a), CEILING_ROWS.indexOf(b))];

/** What a plan leaves on the head: its worst place, the hair's condition beside the model answer's, what would hurt. */
export function headLeft(context: MarkingContext, open: readonly BenchStep[]): HeadLeft {
  const outcomes = placeOutcomes(context);
  const dangers = dangersIn(context, open);
  let worst: PlaceOutcome | null = null;
  for (const outcome of outcomes)
    if (OUTCOMES.indexOf(outcome.outcome) > (worst ? OUTCOMES.indexOf(worst.outcome) : 0)) worst = outcome;
  let row: CeilingRow = worst?.outcome ?? 'asWished';
  const lost = conditionLost(context, outcomes);
  if (lost.classes > 0) {
    const by: CeilingRow = lost.classes > 1 ? 'noticeable' : 'weaker';
    if (worseRow(row, by) !== row) {
      row = by;
      const outcome = outcomes.find(({ part }) => part === lost.part)!;
      worst = { ...outcome, cause: 'condition' };
    }
  }
  const unwatched =
    open.includes('process') || open.includes('apply')
      ? context.parts.find(({ steps }) =>
          steps.some(({ role, application }) => role === 'lighten' && application.checkEvery === null),
        )
      : undefined;
  return { row, worst, outcomes, dangers, unwatched: unwatched ? partName(unwatched.goal.part) : null };
}

/** The lowest ceiling, of 100, and the one line that says why; null where nothing holds the mark down. */
export interface Ceiling {
  /** Most that can be had, of 100. */
  most: number;
  /** Why, in the words of the interface. */
  why: Reason;
}

/** @param ceilings The table of the class. @param wrong Crucial decisions that are wrong. */
export function ceilingOf(
  { row, worst, dangers, unwatched }: HeadLeft,
  wrong: number,
  ceilings: Ceilings,
): Ceiling | null {
  const found: Ceiling[] = [];
  const byHead = ceilings[row][Math.min(3, wrong)];
  if (byHead < 100)
    found.push({
      most: byHead,
      why: reason(`decided.${wrong > 0 ? 'crucial' : 'head'}.${row}`, undefined, {
        most: byHead,
        count: wrong,
        zone: worst?.part.zone ?? '',
        woven: worst?.part.woven ?? false,
        because: worst?.cause ?? 'home',
        levels: worst ? Math.round(worst.levels * 10) / 10 : 0,
      }),
    });
  if (unwatched !== null)
    found.push({
      most: UNWATCHED,
      why: reason('decided.unwatched', 'R2', { most: UNWATCHED, part: unwatched }),
    });
  for (const danger of dangers)
    found.push({
      most: danger.most,
      why: reason('decided.danger', danger.reason.rule, { most: danger.most }),
    });
  return found.reduce<Ceiling | null>(
    (low, ceiling) => (low && low.most <= ceiling.most ? low : ceiling),
    null,
  );
}

/** The ceiling where only method is marked: nothing but danger holds the mark down. */
export const dangerCeiling = (left: HeadLeft): Ceiling | null =>
  ceilingOf({ ...left, row: 'asWished', worst: null, unwatched: null }, 0, CEILINGS);
