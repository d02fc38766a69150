import { differenceOf, namedLevel } from '../colour';
import { labOfStrand, levelOfPigmented } from '../hair';
import {
  partName,
  presentLevel,
  zoneReadAs,
  type LineOf,
  type ClientCase,
  type RecordCard,
  type BenchStep,
} from '../card';
import { simulateCard, type PartOutcome } from '../simulate';
import type { Condition } from '../process';
import { reason, type Reason } from '../reason';
import type { Line } from '../shades';
import { AS_GOOD_WITHIN, SOLVER_VERSION, tasksOf, type Solution } from '../solve';
import type { HouseRuleUse, HouseRules } from '../theory';
import { marked, toQuarter, type Marked } from './marked';
import { contextOf, mean, type JudgeContext, type Scored } from './context';
import { houseRulesUsedBy } from './house-rules-used';
import { markAmount, markDeveloper, markRatio } from './mark-developer';
import { markOrder } from './mark-order';
import { markPrediction, markReading } from './mark-reading';
import { markRoute } from './mark-route';
import { dangersIn, markAftercare, markSafety } from './mark-safety';
import { colourLayers, markGreyShare, scoreDepth, scoreTone } from './mark-shades';
import { markTiming } from './mark-timing';
import { misconceptionsIn, type MisconceptionFound } from './misconception';
import { CRITERIA, withGiven, type Criterion, type Rubric } from './rubric';
import type { SeenPart } from './seen';

export interface CriterionMark extends Marked {
  criterion: Criterion;
  points: number;
  max: number;
}

/** How a part came out, beside how the computed plan brings it out. */
export interface PartResult {
  part: string;
  level: number;
  tone: string;
  deltaE: number;
  bestDeltaE: number;
  condition: Condition;
}

export interface Grade {
  version: number;
  points: number;
  max: number;
  /** Points before a danger capped them, and the most that it leaves; null where nothing caps. */
  uncapped: number;
  capPoints: number | null;
  dangers: Reason[];
  criteria: CriterionMark[];
  misconceptions: MisconceptionFound[];
  outcome: PartResult[];
  /** House rules the marks rest on; another school would have another. */
  houseRules: HouseRuleUse[];
}

export interface MarkingInput {
  solution: Solution;
  rules: HouseRules;
  rubric: Rubric;
  lines: readonly Line[];
  open: readonly BenchStep[];
}

/** Levels that are told apart when hair is read (L1). */
const LEVEL_READ = 0.5;

/** Whether the shades of a part, off by the rules of thumb, bring it out as well as the best plan does. */
function isEquivalent(
  context: JudgeContext,
  part: SeenPart,
  mine: PartOutcome[],
  best: PartOutcome[],
): boolean {
  const name = partName(part.task.part);
  const [a, b] = [mine, best].map((all) => all.find((one) => partName(one.part) === name)!);
  if (!part.ruling.allowed || part.layers.some(({ seen }) => !seen)) return false;
  const alone: JudgeContext = { ...context, parts: [part], unasked: [] };
  // A plan of the search breaks no rule: strength, grey share and time have to be right by themselves.
  const rest = [markDeveloper(alone), markGreyShare(alone), markTiming(alone)];
  if (rest.some((one) => one && one.share < 1)) return false;
  return (
    // Half a level is read at a glance, whatever white strands make of the whole (L1, L3).
    Math.abs(levelOfPigmented(a.strand) - levelOfPigmented(b.strand)) <= LEVEL_READ &&
    differenceOf(labOfStrand(a.strand), labOfStrand(b.strand)) <= AS_GOOD_WITHIN &&
    a.deltaE <= Math.max(AS_GOOD_WITHIN, b.deltaE + 1)
  );
}

function shades(
  context: JudgeContext,
  score: typeof scoreDepth,
  equivalent: (part: SeenPart) => boolean,
): Scored | null {
  return mean(
    colourLayers(context.parts).flatMap((found): Scored[] => {
      const one = score(context, found);
      if (!one) return [];
      // Lighter than the hair it lies on breaks a rule, however it came out (U4).
      const breaks = one.findings.some(({ code }) => code === 'mark.depth.lighterThanHair');
      if (one.share >= 1 || breaks || !found.seen || !equivalent(found.part)) return [one];
      const { zone, woven } = found.part.task.part;
      return [{ share: 1, findings: [reason('mark.shades.equivalent', 'F10', { zone, woven })] }];
    }),
  );
}

/** What is mixed and timed for a route that cannot get there counts half: right in itself, of no use to the client. */
const ON_WRONG_ROUTE = 0.5;
const HANGS_ON_ROUTE: readonly Criterion[] = ['depth', 'tone', 'greyShare', 'developer', 'order', 'timing'];

function onRoute(context: JudgeContext, one: Scored | null): Scored | null {
  const off = context.parts.filter(({ ruling }) => !ruling.allowed);
  if (!one || off.length === 0 || one.share === 0) return one;
  const factor = 1 - ((1 - ON_WRONG_ROUTE) * off.length) / context.parts.length;
  const { zone, woven } = off[0].task.part;
  return {
    share: one.share * factor,
    findings: [...one.findings, reason('mark.onWrongRoute', 'F1', { zone, woven })],
  };
}

type Shares = Partial<Record<Criterion, Scored | null>>;

function judge(context: JudgeContext, best: PartOutcome[], wanted: readonly Criterion[]): Shares {
  const mine = context.played.outcomeAt(context.played.minutes);
  const known = new Map<SeenPart, boolean>();
  const equivalent = (part: SeenPart) => {
    const answer = known.get(part) ?? isEquivalent(context, part, mine, best);
    known.set(part, answer);
    return answer;
  };
  const makers: Record<Criterion, () => Scored | null> = {
    reading: () => markReading(context),
    prediction: () => markPrediction(context),
    route: () => markRoute(context),
    depth: () => shades(context, scoreDepth, equivalent),
    tone: () => shades(context, scoreTone, equivalent),
    greyShare: () => markGreyShare(context),
    developer: () => markDeveloper(context),
    ratio: () => markRatio(context),
    amount: () => markAmount(context),
    order: () => markOrder(context),
    timing: () => markTiming(context),
    safety: () => markSafety(context),
    aftercare: () => markAftercare(context),
  };
  return Object.fromEntries(
    wanted.map((criterion) => {
      const one = makers[criterion]();
      return [criterion, HANGS_ON_ROUTE.includes(criterion) ? onRoute(context, one) : one];
    }),
  );
}

const outcomes = new WeakMap<Solution, PartOutcome[]>();

/** What the computed plan comes to; kept with the solution, since a class of answers is marked against it. */
function bestOutcome(solution: Solution, lineOf: LineOf): PartOutcome[] {
  const kept = outcomes.get(solution);
  if (kept) return kept;
  const played = simulateCard(solution.visit, solution.best, lineOf);
  const found = played.outcomeAt(played.minutes);
  outcomes.set(solution, found);
  return found;
}

/** Criteria that hang on what was read of the hair. */
const FOLLOWS: readonly Criterion[] = ['route', 'depth', 'tone', 'greyShare', 'developer'];

/** The case as the student read it; null where the reading is right or open. */
function asRead(clientCase: ClientCase, plan: RecordCard): ClientCase | null {
  let changed = false;
  const zones = clientCase.head.zones.map((zone) => {
    const read = plan.readings[zone.zone];
    const level = read?.level ?? null;
    const grey = zone.greyShare > 0 && read?.greyShare != null ? read.greyShare : zone.greyShare;
    const present = presentLevel(zone);
    if ((level === null || level === present) && grey === zone.greyShare) return zone;
    changed = true;
    const asSeen = level === null || level === present ? zone : zoneReadAs(zone, level);
    return { ...asSeen, greyShare: grey };
  });
  return changed ? { ...clientCase, head: { ...clientCase.head, zones } } : null;
}

/**
 * Marks a plan against the computed solution under the class's house rules. What follows from a wrong reading is marked
 * against the hair that was read, whenever that is better (follow-through); shades that bring the hair out as well as
 * the best plan count as right (equivalence); what would hurt the client caps the points. Deterministic.
 */
export function markCard(input: MarkingInput, answer: RecordCard): Grade {
  const { solution, rules, rubric, lines, open } = input;
  const lineOf: LineOf = (id) => lines.find((line) => line.id === id);
  const clientCase = solution.visit;
  const plan = withGiven(answer, solution.best, open);
  const wanted = CRITERIA.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  const best = bestOutcome(solution, lineOf);
  const context = contextOf(clientCase, plan, solution, rules, lineOf);
  const shares = judge(context, best, wanted);
  const other = open.includes('read') ? asRead(clientCase, plan) : null;
  const followed = other
    ? judge(
        contextOf(other, plan, solution, rules, lineOf),
        best,
        wanted.filter((criterion) => FOLLOWS.includes(criterion)),
      )
    : {};
  const criteria = wanted.map((criterion): CriterionMark => {
    // A criterion that this plan puts nothing to is not held against it: what was not done is marked under the route.
    const direct = shares[criterion] ?? { share: 1, findings: [] };
    const max = rubric[criterion]!;
    const read = followed[criterion];
    const takes = read && read.share > direct.share + 1e-9;
    const mark = takes
      ? marked(read.share, [reason('mark.followed', undefined, { criterion }), ...read.findings], true)
      : marked(direct.share, direct.findings);
    return { ...mark, criterion, max, points: Math.min(max, toQuarter(mark.share * max)) };
  });
  const max = criteria.reduce((sum, one) => sum + one.max, 0);
  const uncapped = criteria.reduce((sum, { points }) => sum + points, 0);
  const dangers = dangersIn(context);
  const cap = Math.min(1, ...dangers.map((danger) => danger.cap));
  const capPoints = dangers.length > 0 ? Math.floor(cap * max * 4) / 4 : null;
  const reasons = [
    ...new Map(dangers.map((danger) => [JSON.stringify(danger.reason), danger.reason])).values(),
  ];
  const mine = context.played.outcomeAt(context.played.minutes);
  return {
    version: SOLVER_VERSION,
    points: capPoints === null ? uncapped : Math.min(uncapped, capPoints),
    max,
    uncapped,
    capPoints,
    dangers: reasons,
    criteria,
    misconceptions: misconceptionsIn(
      [...criteria.flatMap(({ findings }) => findings), ...reasons],
      plan,
      tasksOf(clientCase),
      lineOf,
      lines,
    ),
    outcome: mine.map(({ part, level, tone, deltaE, condition }, i) => ({
      part: partName(part),
      level: Math.round(namedLevel(level, rules.levelScale) * 10) / 10,
      tone,
      deltaE: Math.round(deltaE * 10) / 10,
      bestDeltaE: Math.round(best[i].deltaE * 10) / 10,
      condition,
    })),
    houseRules: houseRulesUsedBy(solution, rules, lineOf),
  };
}
