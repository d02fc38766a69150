import { longestUnwatched } from '../card';
import { partName } from '../case';
import { type BenchStep, type Criterion, isOpenIn } from '../exercise';
import { type Reason, reason } from '../reason';
import { type CeilingRow, type Ceilings, CEILINGS } from '../rules';
import type { MarkingContext } from './context';
import { type Danger, DANGER_MOST, dangersIn } from './dangers';
import type { FaultName } from './faults';
import { conditionLost, OUTCOME_SLIGHT, outcomeNamed, type PlaceOutcome, placeOutcomes } from './outcome';
import { type Findings, modelCountsAt } from './place-faults';

/** Most of 100 for lightener that is never looked at. */
export const UNWATCHED = 75;
/** Most of 100 for a plan with a heavy fault, or with two that undo each other, however well the head comes out. */
export const BY_LUCK = 85;

/** The head a plan leaves. */
export interface HeadLeft {
  /** Rows down of the place that is furthest from its wish: 0 as wished to 3 to be corrected. */
  down: number;
  /** The same against the wish alone, of places that theory does not hold to be right. */
  fromWish: number;
  /** Most classes of condition that a place is below what the model answer leaves it. */
  classesLost: number;
  /** The place that decided, with what it was; null where all is as wished. */
  worst: PlaceOutcome | null;
  /** How each place came out, where theory and model part as theory has it. */
  outcomes: (PlaceOutcome & { classesLost: number })[];
  /** Places without a fault that the model sees otherwise than the model answer leaves them, by name. */
  disputed: string[];
  /** What would hurt the client. */
  dangers: Danger[];
  /** Part with lightener on it and no strand checked; null for none. */
  unwatched: string | null;
}

/** What a plan leaves on the head: its worst place, the hair's condition beside the model answer's, what would hurt. */
export function headLeft(context: MarkingContext, found: Findings, open: readonly BenchStep[]): HeadLeft {
  const disputed: string[] = [];
  let classesLost = 0;
  let fromWish = 0;
  let weakest: PlaceOutcome | null = null;
  const outcomes = placeOutcomes(context).map((outcome) => {
    const counts = modelCountsAt(context, found, outcome.part);
    const lost = conditionLost(context, outcome);
    if (counts > 0 && lost > classesLost) {
      classesLost = lost;
      weakest = outcome;
    }
    if (counts === 0 && (outcome.down > OUTCOME_SLIGHT || lost > 0)) disputed.push(partName(outcome.part));
    const down = outcome.down * counts;
    fromWish = Math.max(fromWish, outcome.fromWish * counts);
    return {
      ...outcome,
      down,
      outcome: outcomeNamed(down),
      cause: down > 0 ? outcome.cause : 'home',
      classesLost: counts > 0 ? lost : 0,
    };
  });
  const lowest = outcomes.reduce<PlaceOutcome | null>(
    (worst, outcome) => (outcome.down > (worst?.down ?? 0) ? outcome : worst),
    null,
  );
  const unwatched =
    open.includes('process') || open.includes('apply')
      ? context.parts.find(({ steps }) =>
          steps.some(
            ({ role, written }) =>
              role === 'lighten' && written.some((application) => longestUnwatched(application) === null),
          ),
        )
      : undefined;
  return {
    down: lowest?.down ?? 0,
    fromWish,
    classesLost,
    worst: lowest ?? weakest,
    outcomes,
    disputed,
    dangers: dangersIn(context, open),
    unwatched: unwatched ? partName(unwatched.goal.part) : null,
  };
}

/** The lowest ceiling, of 100, and the one line that says why; null where nothing holds the mark down. */
export interface Ceiling {
  /** Most that can be had, of 100. */
  most: number;
  /** Why, in the words of the interface. */
  why: Reason;
}

/** Rows of the table that outcomes stand for, from as wished to be corrected. */
const OUTCOME_ROWS: readonly CeilingRow[] = ['asWished', 'near', 'noticeable', 'needsCorrection'];
const between = (values: readonly number[], at: number): number => {
  const bounded = Math.min(values.length - 1, Math.max(0, at));
  const below = Math.floor(bounded);
  const above = Math.min(values.length - 1, below + 1);
  return values[below] + (values[above] - values[below]) * (bounded - below);
};

/** Most of 100 by the rows that the head is down and the decisions that are wrong, on straight lines between the figures. */
export const mostByHead = (ceilings: Ceilings, down: number, wrong: number): number =>
  between(
    OUTCOME_ROWS.map((row) => between(ceilings[row], wrong)),
    down,
  );

/** @param ceilings The table of the class. @param wrong Crucial decisions that are wrong, perhaps a fraction. */
export function ceilingOf(
  { down, classesLost, worst, dangers, unwatched }: HeadLeft,
  wrong: number,
  ceilings: Ceilings,
): Ceiling | null {
  const found: Ceiling[] = [];
  const add = (row: CeilingRow, most: number, cause: string) => {
    if (most < 100)
      found.push({
        most,
        why: reason(`decided.${wrong > 0 ? 'crucial' : 'head'}.${row}`, undefined, {
          most: Math.round(most),
          count: Math.max(1, Math.round(wrong)),
          zone: worst?.part.zone ?? '',
          woven: worst?.part.woven ?? false,
          because: cause,
          levels: worst ? Math.round(worst.levels * 10) / 10 : 0,
        }),
      });
  };
  const named = outcomeNamed(down);
  // What costs something is not as wished, though it be near enough to be called so.
  const row = named === 'asWished' && wrong === 0 ? 'near' : named;
  add(row, mostByHead(ceilings, down, wrong), worst?.cause ?? 'home');
  if (classesLost > 0) {
    const by: CeilingRow = classesLost > 1 ? 'noticeable' : 'weaker';
    add(by, between(ceilings[by], wrong), 'condition');
  }
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
  return lowestOf(found);
}

/** The lowest of some ceilings; null where none of them holds. */
export const lowestOf = (ceilings: readonly (Ceiling | null)[]): Ceiling | null =>
  ceilings.reduce((low, ceiling) => (!low || (ceiling && ceiling.most < low.most) ? ceiling : low), null);

/** The ceiling where only method is marked: nothing but danger holds the mark down. */
export const dangerCeiling = (left: HeadLeft): Ceiling | null =>
  ceilingOf({ ...left, down: 0, classesLost: 0, worst: null, unwatched: null }, 0, CEILINGS);

/** Criteria whose faults a head that came out as wished all the same does not excuse. */
const NOT_BY_LUCK: readonly Criterion[] = ['route', 'depth', 'tone', 'greyShare', 'developer', 'order'];
/** A fault that weighs so much is not forgiven by its outcome, nor are two of half of it that undo each other. */
const LUCK_FROM = { alone: 0.6, together: 0.25 } as const;
/** What another school of the house rules does is right for all that. */
const OTHER_SCHOOLS: readonly FaultName[] = ['route.otherRefresh', 'order.washOther'];

/**
 * However well the head came out, a heavy fault is not forgiven, nor are two that undo each other; null where there is
 * neither.
 */
export function byLuck(found: Findings): Ceiling | null {
  const faults = NOT_BY_LUCK.flatMap((criterion) =>
    (found[criterion] ?? []).flatMap((finding) =>
      OTHER_SCHOOLS.includes(finding.fault.name) ? [] : [{ criterion, ...finding }],
    ),
  );
  const heavy = faults.some(({ loss }) => loss >= LUCK_FROM.alone);
  const undone = faults.some(
    (one) =>
      one.loss >= LUCK_FROM.together &&
      one.place !== null &&
      faults.some(
        (other) =>
          other.criterion !== one.criterion && other.place === one.place && other.loss >= LUCK_FROM.together,
      ),
  );
  return heavy || undone
    ? { most: BY_LUCK, why: reason('decided.luck', undefined, { most: BY_LUCK }) }
    : null;
}

/** Declining what could be done is worth no more than this, with the work kept on the card or not. */
export const needlesslyDeclined = (
  { card, modelAnswer }: MarkingContext,
  open: readonly BenchStep[],
): Ceiling | null =>
  card.decision === 'decline' && modelAnswer.stops.length === 0 && isOpenIn(open, 'safety')
    ? {
        most: DANGER_MOST.hurts,
        why: reason('decided.declined', 'C3', { most: DANGER_MOST.hurts }),
      }
    : null;
