import { type RecordCard, type LineOf, complete } from '../card';
import { type ClientCase, onTheShelf, partName, presentLevel, zoneReadAs } from '../case';
import { namedLevel } from '../colour';
import { type Criterion, type Rubric, CRITERIA, type BenchStep, withGiven } from '../exercise';
import { goalsOf } from '../method';
import type { Condition } from '../process';
import type { Line } from '../product';
import { type Reason, reason } from '../reason';
import type { HouseRuleUse, HouseRules } from '../rules';
import type { ModelAnswer } from '../solve';
import {
  type HeadLeft,
  headLeft,
  dangerCeiling,
  ceilingOf,
  byLuck,
  type Ceiling,
  lowestOf,
  needlesslyDeclined,
} from './ceiling';
import { type MarkingContext, markingContext } from './context';
import {
  type CrucialDecision,
  type MarkedPlan,
  type Standard,
  standardOf,
  allowance,
  wrongDecisions,
  wrongBesides,
  wasNotReached,
  WRONG_FROM,
  strayPlaces,
} from './crucial-decisions';
import { type EducatorRuling, NO_RULING, modelAnswerBy, crucialByRuling } from './educator-ruling';
import { type Finding, type Marked, type Said, lossOf, marked, toQuarter } from './finding';
import { houseRulesUsedBy } from './house-rules-used';
import { findingsOf } from './method';
import { findingsAsMixed } from './unapplied';
import { type MisconceptionFound, misconceptionsIn } from './misconception';
import type { Outcome, OutcomeCause } from './outcome';
import { type FaultName, reasonOf } from './faults';

/** Raised whenever the same answer could get another mark; stored with every grade. */
export const MARKING_VERSION = 8;

export interface CriterionMark extends Marked {
  /** Criterion it belongs to. */
  criterion: Criterion;
  /** Points earned, in quarters. */
  points: number;
  /** Points of the criterion. */
  max: number;
}

/** How a part came out, beside how the computed plan brings it out. */
export interface PartResult {
  /** Name of the part. */
  part: string;
  /** Level that shows, by the scale of the class. */
  level: number;
  /** Family of the tone that shows. */
  tone: string;
  /** Colour difference to the wish, ΔE2000. */
  deltaE: number;
  /** Colour difference of the model answer to the wish, ΔE2000. */
  bestDeltaE: number;
  /** Condition by strength and moisture. */
  condition: Condition;
  /** Rows down from the wish, 0 as wished to 3 to be corrected; missing in grades of older versions. */
  down?: number;
  /** How it came out against the wish, and by what; missing in grades of older versions, and where it hardly shows. */
  outcome?: Outcome;
  /** What of it decided. */
  cause?: OutcomeCause;
}

/** A crucial decision, and whether this plan got it wrong. */
export type CrucialMark = CrucialDecision & { wrong: boolean };

export interface Grade {
  /** Version of the marking it was made by. */
  version: number;
  /** Points that count, in quarters. */
  points: number;
  /** Most points that could be had. */
  max: number;
  /** Points by method alone, and the most that the head, its crucial decisions and dangers leave; null where they do not. */
  uncapped: number;
  /** Most points that the head, decisions and dangers leave; null where nothing holds the mark down. */
  capPoints: number | null;
  /** What would hurt the client. */
  dangers: Reason[];
  /** Marks by criterion. */
  criteria: CriterionMark[];
  /** What decided the mark, in one line; missing in grades of older versions. */
  decided?: Reason;
  /** Missing in grades of older versions. */
  crucial?: CrucialMark[];
  /** Marked against a plan that the educator takes as right beside the model answer. */
  asAccepted?: boolean;
  /** The plan breaks no rule, and yet the hair model leaves another head than was wished: one of the two is wrong. */
  modelDisagrees?: boolean;
  /** Ways of thinking that showed. */
  misconceptions: MisconceptionFound[];
  /** How each part came out. */
  places: PartResult[];
  /** House rules the marks rest on; another school would have another. */
  houseRules: HouseRuleUse[];
}

export interface MarkingInput {
  /** The model answer. */
  modelAnswer: ModelAnswer;
  /** House rules that hold. */
  rules: HouseRules;
  /** Points by criterion. */
  rubric: Rubric;
  /** Lines of colour at hand, as they were when it was set. */
  lines: readonly Line[];
  /** Steps of the bench that are worked. */
  open: readonly BenchStep[];
  /** The educator's word beside the points; none where it is left out. */
  ruling?: EducatorRuling;
}

/** Criteria that hang on what was read of the hair. */
const FOLLOWS: readonly Criterion[] = [
  'route',
  'depth',
  'tone',
  'greyShare',
  'developer',
  'amount',
  'order',
  'timing',
];

/** The case as the student read it; null where the reading is right or open. */
function asRead(clientCase: ClientCase, card: RecordCard): ClientCase | null {
  let changed = false;
  const zones = clientCase.head.zones.map((zone) => {
    const read = card.readings[zone.zone];
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

/** The lines as they stand on the shelf of the case. */
function linesOf({ modelAnswer, lines }: Pick<MarkingInput, 'modelAnswer' | 'lines'>): LineOf {
  const left = onTheShelf(lines, modelAnswer.clientCase);
  return (id) => left.find((line) => line.id === id);
}

const standards = new WeakMap<ModelAnswer, Map<string, Standard>>();

/** Weights and crucial decisions; kept with the model answer, since a class of answers is marked against it. */
export function standardFor({
  modelAnswer,
  rules,
  lines,
  open,
}: Omit<MarkingInput, 'rubric' | 'ruling'>): Standard {
  const cache = standards.get(modelAnswer) ?? new Map<string, Standard>();
  standards.set(modelAnswer, cache);
  const name = JSON.stringify([rules, open, lines.map(({ id, version }) => [id, version])]);
  const standard = cache.get(name);
  if (standard) return standard;
  const lineOf = linesOf({ modelAnswer, lines });
  const best = markingContext(modelAnswer.clientCase, complete(modelAnswer.card), modelAnswer, rules, lineOf);
  const made = standardOf(best, onTheShelf(lines, modelAnswer.clientCase), open);
  cache.set(name, made);
  return made;
}

/**
 * The card as it can be played: nothing is put on hair that is not there, and nothing at all where the client was sent home.
 */
function onHead(card: RecordCard, { head }: ClientCase): RecordCard {
  if (card.decision === 'decline') return { ...card, bowls: [], steps: [], care: [] };
  const known = new Set(head.zones.map(({ zone }) => zone));
  const steps = card.steps
    .map((application) => ({ ...application, zones: application.zones.filter((zone) => known.has(zone)) }))
    .filter(({ zones }) => zones.length > 0);
  return { ...card, steps };
}

/**
 * A plan with a reading that is right and everything asked, that leaves the wished head safely, is worth at least this of
 * 100, and less by each row that its head is down.
 */
const WISHED_HEAD = { least: 85, perRow: 30 } as const;
/** What a rule forbids, however the head comes out. */
const FORBIDDEN: readonly FaultName[] = [
  'developer.lineCannot',
  'developer.noDilution',
  'developer.notOfLine',
  'order.overlap',
  'order.pulledThrough',
];
/** From so many rows down on a client would notice, and the head is not the wished one any more. */
const NOTICED_FROM = 2;

/** A finding in the words of the interface, with what it costs. */
const told = ({ fault, loss }: Finding): Said => ({ ...reasonOf(fault), loss });
const byLoss = (a: Finding, b: Finding) => b.loss - a.loss;

/**
 * Marks a plan under the class's house rules: by method (each criterion begins full, faults have prices), held down by
 * the head it would leave, by the crucial decisions it gets wrong and by what would hurt. What follows from a wrong reading
 * is marked against the hair that was read (it is paid for in the reading); shades that bring the hair out as well as the
 * best plan are right; a place without a fault is as the model answer leaves it, whatever the model makes of it. Deterministic.
 */
export function markCard(input: MarkingInput, studentCard: RecordCard): Grade {
  const { modelAnswer, rules, ruling = NO_RULING } = input;
  const own = markAgainst(input, studentCard);
  // A plan is worth what it is against the answer it is nearest to, of all that the educator takes as right.
  return ruling.accepted.reduce<Grade>((best, accepted) => {
    if (best.points >= best.max) return best;
    const other = modelAnswerBy(modelAnswer, accepted, linesOf(input), rules);
    const grade = markAgainst({ ...input, modelAnswer: other }, studentCard);
    return grade.points > best.points ? { ...grade, asAccepted: true } : best;
  }, own);
}

/** What a plan earns by method: its criteria, and what was found under each of them. */
interface ByMethod {
  criteria: CriterionMark[];
  /** Findings that decided each criterion, worst first: of the hair as it is, or as it was read. */
  findings: ReadonlyMap<Criterion, readonly Finding[]>;
  /** Points of all criteria. */
  max: number;
  /** Points earned. */
  earned: number;
}

/**
 * Points of the criteria that have any. What follows from a wrong reading is marked against the hair that was read, where
 * that costs less, and paid for in the reading.
 */
function byMethod(
  { rubric, open }: Pick<MarkingInput, 'rubric' | 'open'>,
  context: MarkingContext,
  found: Record<Criterion, Finding[]>,
  { weights, allowed }: Standard,
): ByMethod {
  const { clientCase, card, modelAnswer, rules, lineOf } = context;
  const wanted = CRITERIA.filter((criterion) => (rubric[criterion] ?? 0) > 0);
  const other = open.includes('read') ? asRead(clientCase, card) : null;
  const followed = other
    ? findingsOf(
        markingContext(other, card, modelAnswer, rules, lineOf),
        wanted.filter((criterion) => FOLLOWS.includes(criterion)),
      )
    : {};
  const lossIn = (criterion: Criterion, findings: readonly Finding[]) =>
    lossOf(findings, weights[criterion] ?? new Map());
  let excused = 0;
  const marks = new Map<Criterion, { loss: number; findings: Finding[]; followed: boolean }>();
  for (const criterion of wanted) {
    const own = found[criterion];
    const direct = lossIn(criterion, own);
    const read = followed[criterion]?.map((finding) => excusedByModel(allowed, criterion, finding));
    const asSeen = read ? lossIn(criterion, read) : direct;
    if (read && asSeen < direct - 1e-9) {
      excused = Math.max(excused, direct - asSeen);
      marks.set(criterion, { loss: asSeen, findings: read, followed: true });
    } else marks.set(criterion, { loss: direct, findings: own, followed: false });
  }
  // A slip of the eye costs at least what it excuses.
  const reading = marks.get('reading');
  if (reading) reading.loss = Math.max(reading.loss, excused);
  const criteria = wanted.map((criterion): CriterionMark => {
    const { loss, findings, followed: takes } = marks.get(criterion)!;
    const max = rubric[criterion]!;
    const said = [...findings].sort(byLoss).map(told);
    const mark = marked(
      1 - loss,
      takes ? [{ ...reason('mark.followed', undefined, { criterion }), loss: 0 }, ...said] : said,
      takes,
    );
    return { ...mark, criterion, max, points: Math.min(max, toQuarter(mark.share * max)) };
  });
  return {
    criteria,
    findings: new Map([...marks].map(([criterion, { findings }]) => [criterion, [...findings].sort(byLoss)])),
    max: criteria.reduce((sum, criterionMark) => sum + criterionMark.max, 0),
    earned: criteria.reduce((sum, { points }) => sum + points, 0),
  };
}

/** What would be said of the model answer itself is no fault in anyone. */
const excusedByModel = (allowed: Standard['allowed'], criterion: Criterion, finding: Finding): Finding =>
  finding.loss > 0 && allowed.has(allowance(criterion, finding)) ? { ...finding, loss: 0 } : finding;

/** Everything found of a plan, bowls that were never put on as they were mixed. */
function everythingFound(context: MarkingContext, { allowed }: Standard): Record<Criterion, Finding[]> {
  const found = { ...findingsOf(context, CRITERIA), ...findingsAsMixed(context) };
  return Object.fromEntries(
    CRITERIA.map((criterion) => [
      criterion,
      (found[criterion] ?? []).map((finding) => excusedByModel(allowed, criterion, finding)),
    ]),
  ) as Record<Criterion, Finding[]>;
}

/** Least of 100 that a plan is worth for the head it leaves; 0 where that is not the wished one, safely and as rules allow. */
function leastForHead(
  { parts }: MarkingContext,
  left: HeadLeft,
  found: Record<Criterion, readonly Finding[]>,
): number {
  const sound = (criterion: Criterion) => found[criterion].every(({ loss }) => loss === 0);
  const isWished =
    left.fromWish < NOTICED_FROM &&
    left.classesLost === 0 &&
    left.dangers.length === 0 &&
    left.unwatched === null &&
    parts.every(({ ruling }) => ruling.allowed) &&
    CRITERIA.every((criterion) => found[criterion].every(({ fault }) => !FORBIDDEN.includes(fault.name))) &&
    sound('reading') &&
    sound('safety');
  return isWished ? Math.floor(WISHED_HEAD.least - WISHED_HEAD.perRow * left.fromWish) : 0;
}

/** Crucial decisions with whether each is wrong, and places that none of them is about. */
function crucialMarks(
  crucial: readonly CrucialDecision[],
  plan: MarkedPlan,
): { marks: CrucialMark[]; wrong: number } {
  const shares = wrongDecisions(crucial, plan);
  // Where the service had to be declined there is no way to stray from.
  const strayed =
    plan.context.modelAnswer.stops.length > 0 ? [] : strayPlaces(crucial, plan.found, plan.open);
  const besides = wrongBesides(strayed, plan);
  const marks = crucial.map((decision, i) => ({
    ...decision,
    wrong: shares[i] >= WRONG_FROM || wasNotReached(decision, plan),
  }));
  const stray: CrucialMark = {
    criteria: ['route'],
    places: strayed,
    role: null,
    faults: null,
    costs: 0,
    wrong: besides >= WRONG_FROM,
  };
  return {
    marks: strayed.length > 0 ? [...marks, stray] : marks,
    wrong: shares.reduce((sum, share) => sum + share, 0) + besides,
  };
}

/** How each part comes out, beside the model answer's. */
function partResults({ played, modelPlayed, rules }: MarkingContext, { outcomes }: HeadLeft): PartResult[] {
  const best = modelPlayed.outcomeAt(modelPlayed.minutes);
  return played.outcomeAt(played.minutes).map(({ part, level, tone, deltaE, condition }, i) => {
    const out = outcomes.find((outcome) => partName(outcome.part) === partName(part));
    return {
      part: partName(part),
      level: Math.round(namedLevel(level, rules.levelScale) * 10) / 10,
      tone,
      deltaE: Math.round(deltaE * 10) / 10,
      bestDeltaE: Math.round(best[i].deltaE * 10) / 10,
      condition,
      ...(out ? { down: Math.round(out.down * 100) / 100, outcome: out.outcome, cause: out.cause } : {}),
    };
  });
}

/** The reason that decided: the ceiling, the head, or the method. */
function decidedBy(ceiling: Ceiling | null, holds: boolean, wishedLeast: number, raised: boolean): Reason {
  if (ceiling && holds) return ceiling.why;
  return raised
    ? reason('decided.wished', undefined, { least: wishedLeast })
    : reason('decided.method', undefined, {});
}

function markAgainst(input: MarkingInput, studentCard: RecordCard): Grade {
  const { modelAnswer, rules, lines, open, ruling = NO_RULING } = input;
  const lineOf = linesOf(input);
  const clientCase = modelAnswer.clientCase;
  const card = complete(onHead(withGiven(studentCard, modelAnswer.card, open), clientCase));
  const standard = standardFor(input);
  const context = markingContext(clientCase, card, modelAnswer, rules, lineOf);
  const found = everythingFound(context, standard);
  const method = byMethod(input, context, found, standard);
  const { max, earned: uncapped } = method;
  const left = headLeft(context, found, open);
  const crucial = crucialMarks(crucialByRuling(standard.crucial, ruling), { context, found, left, open });
  const ofMax = (of100: number) => Math.floor((of100 / 100) * max * 4) / 4;
  const onlyMethod = ruling.ceilings === 'methodOnly';
  const ceiling = lowestOf([
    onlyMethod ? dangerCeiling(left) : ceilingOf(left, crucial.wrong, rules.ceilings),
    onlyMethod ? null : byLuck(found),
    needlesslyDeclined(context, open),
  ]);
  const capPoints = ceiling ? ofMax(ceiling.most) : null;
  const wishedLeast = leastForHead(context, left, found);
  const points = Math.max(
    Math.min(ofMax(wishedLeast), capPoints ?? Infinity),
    Math.min(uncapped, capPoints ?? uncapped),
  );
  const dangers = left.dangers.map((danger) => danger.reason);
  return {
    version: MARKING_VERSION,
    points,
    max,
    uncapped,
    capPoints,
    dangers: [...new Map(dangers.map((danger) => [JSON.stringify(danger), danger])).values()],
    criteria: method.criteria,
    decided: decidedBy(ceiling, ceiling !== null && capPoints! < uncapped, wishedLeast, points > uncapped),
    crucial: crucial.marks,
    ...(left.disputed.length > 0 ? { modelDisagrees: true } : {}),
    misconceptions: misconceptionsIn(
      [
        ...[...method.findings.values()]
          .flat()
          .map((finding) => ({ fault: finding.fault.name, reason: told(finding) })),
        ...left.dangers.map(({ name, reason: why }) => ({ fault: `danger.${name}` as const, reason: why })),
      ],
      card,
      goalsOf(clientCase),
      lineOf,
      lines,
    ),
    places: partResults(context, left),
    houseRules: houseRulesUsedBy(modelAnswer, rules, lineOf),
  };
}
