import { complete } from '../card';
import { partName } from '../case';
import { type Criterion, CRITERION_WEIGHTS, CRITERIA, isOpenIn, type BenchStep } from '../exercise';
import type { MixRole } from '../method';
import type { Line } from '../product';
import { CEILING_ROWS, CEILINGS, PRICES } from '../rules';
import { alternativesTo } from './alternatives';
import { headLeft, ceilingOf } from './ceiling';
import { type MarkingContext, markingContext } from './context';
import { DANGER_MOST } from './dangers';
import type { FaultName } from './faults';
import { type PlaceWeights, type Finding, lossOf, placeWeights } from './finding';
import { findingsOf } from './method';

/** A decision that an exercise turns on: one of its criteria, in some places, for one kind of bowl. */
export interface CrucialDecision {
  /** Where its faults stand: one criterion, or depth and tone, which are chosen with one shade. */
  criteria: Criterion[];
  /** Names of the parts; empty for the head as a whole. */
  places: string[];
  /** What the bowl is there for. */
  role: MixRole | null;
  /** The faults that show it, where the criterion holds others as well; null where any of its faults does. */
  faults: FaultName[] | null;
  /** What getting it wrong costs of 100, on the mean of the ways tried. */
  costs: number;
}

/** What a class of answers is marked against, worked out once from the model answer. */
export interface Standard {
  /** How much each place counts, by criterion. */
  weights: Partial<Record<Criterion, PlaceWeights>>;
  /** What the case turns on. */
  crucial: CrucialDecision[];
  /** What would be said of the model answer itself and of its equals, by criterion: no fault in anyone. */
  allowed: ReadonlySet<string>;
}

/** At most so many decisions are crucial. */
export const MOST_CRUCIAL = 5;
/** A crucial decision is wrong when its fault costs this fraction of its criterion. */
export const WRONG_FROM = 0.5;
/** Criteria that are never crucial: small things. */
const NEVER: readonly Criterion[] = ['reading', 'prediction', 'ratio', 'amount', 'aftercare'];

/** Name of a finding by criterion, place, bowl and fault. */
export const allowance = (criterion: Criterion, { place, role, fault }: Finding) =>
  `${criterion} ${place} ${role} ${fault.name}`;

/** Depth and tone are one decision: which shade. */
const SHADE_CRITERIA: readonly Criterion[] = ['depth', 'tone'];
const nameOf = (criterion: Criterion, bowl: string | null) =>
  `${SHADE_CRITERIA.includes(criterion) ? 'shade' : criterion} ${bowl}`;

const OVERLAPS: readonly FaultName[] = ['order.overlap', 'order.pulledThrough'];

/** Criteria in which a fault of half or more is a rule broken, whatever the model makes of the head. */
const BREAKS: readonly Criterion[] = ['route', 'order', 'safety', 'greyShare'];

const ALL = Object.values(CRITERION_WEIGHTS).reduce((sum, weight) => sum + weight, 0);

/** Prices of a whole plan, in points of 100 with the default weights, without ceilings. */
function methodLost(
  findings: Partial<Record<Criterion, Finding[]>>,
  weights: Partial<Record<Criterion, PlaceWeights>>,
): number {
  let lost = 0;
  for (const criterion of CRITERIA)
    lost +=
      (CRITERION_WEIGHTS[criterion] / ALL) *
      100 *
      lossOf(findings[criterion] ?? [], weights[criterion] ?? new Map());
  return lost;
}

/** Parts a bowl of the model answer is put on. */
const placesOf = ({ parts }: MarkingContext, bowl: string | null) =>
  parts.flatMap((part) => {
    const on = part.steps.find(({ application }) => application.bowl === bowl);
    return on ? [{ place: partName(part.goal.part), role: on.role }] : [];
  });

/**
 * Weights and crucial decisions of a model answer. Each of its decisions is taken otherwise, one at a time; those that
 * break a rule by half of their criterion and bring the head a row down, or would hurt, are ranked by what they lose.
 */
export function standardOf(
  best: MarkingContext,
  lines: readonly Line[],
  open: readonly BenchStep[],
): Standard {
  const found = findingsOf(best, CRITERIA);
  const weights = Object.fromEntries(
    CRITERIA.map((criterion) => [criterion, placeWeights(found[criterion] ?? [])]),
  ) as Standard['weights'];
  const equals = best.modelAnswer.equivalents.map((card) =>
    findingsOf(
      markingContext(best.clientCase, complete(card), best.modelAnswer, best.rules, best.lineOf),
      CRITERIA,
    ),
  );
  const allowed = new Set(
    [found, ...equals].flatMap((findings) =>
      CRITERIA.flatMap((criterion) =>
        (findings[criterion] ?? []).flatMap((finding) =>
          finding.loss > 0 ? [allowance(criterion, finding)] : [],
        ),
      ),
    ),
  );
  const own = headLeft(best, open);
  const byKey = new Map<string, CrucialDecision>();
  // How often each decision was tried otherwise: one that is lost by every step counts before one lost by the widest.
  const tries = new Map<string, number>();
  const add = (key: string, decision: CrucialDecision) =>
    byKey.set(key, { ...decision, costs: (byKey.get(key)?.costs ?? 0) + decision.costs });
  const alternatives = alternativesTo(best.modelAnswer, lines);
  for (const { criterion, bowl } of alternatives)
    tries.set(nameOf(criterion, bowl), (tries.get(nameOf(criterion, bowl)) ?? 0) + 1);
  for (const { criterion: tried, bowl, card } of alternatives) {
    if (NEVER.includes(tried) || !isOpenIn(open, tried)) continue;
    const context = markingContext(
      best.clientCase,
      complete(card),
      best.modelAnswer,
      best.rules,
      best.lineOf,
    );
    const findings = findingsOf(context, CRITERIA);
    const faultsUnder = (criterion: Criterion) =>
      (findings[criterion] ?? []).filter(
        (fault) => fault.loss >= WRONG_FROM && !allowed.has(allowance(criterion, fault)),
      );
    // Another product may show as another strength: the decision is where the fault stands.
    const criterion = [tried, 'developer' as const].find(
      (criterion) => isOpenIn(open, criterion) && faultsUnder(criterion).length > 0,
    );
    if (!criterion) continue;
    const serious = faultsUnder(criterion);
    const left = headLeft(context, open);
    const rows = CEILING_ROWS.indexOf(left.row) - CEILING_ROWS.indexOf(own.row);
    const hurts = left.dangers.length > own.dangers.length;
    // A tone that was asked for and is not there, and naturals that F8 does not ask for, break a rule as they stand.
    const breaks =
      BREAKS.includes(criterion) ||
      (criterion === 'tone' && serious.some(({ loss }) => loss >= PRICES.tone.none));
    if (rows <= 0 && !hurts && !breaks) continue;
    const most = ceilingOf(left, 0, CEILINGS)?.most ?? 100;
    const costs = 100 - Math.min(most, 100 - methodLost(findings, weights));
    const at = placesOf(best, bowl);
    const places = criterion === 'order' || criterion === 'safety' ? [] : at.map(({ place }) => place);
    const role = criterion === 'route' || places.length === 0 ? null : (at[0]?.role ?? null);
    const shown = serious.map(({ fault }) => fault.name);
    // Past the line by a hand or pulled through to the ends: the same decision.
    const overlaps = shown.some((name) => OVERLAPS.includes(name)) ? OVERLAPS : [];
    const faults = places.length > 0 ? null : [...new Set([...shown, ...overlaps])].sort();
    const criteria: Criterion[] = SHADE_CRITERIA.includes(criterion) ? [...SHADE_CRITERIA] : [criterion];
    add(JSON.stringify([criteria, places, role, faults]), {
      criteria,
      places,
      role,
      faults,
      costs: costs / tries.get(nameOf(tried, bowl))!,
    });
  }
  if (best.modelAnswer.stops.length > 0 && isOpenIn(open, 'safety'))
    byKey.set('decline', {
      criteria: ['safety'],
      places: [],
      role: null,
      faults: ['safety.shouldDecline'],
      costs: 100 - DANGER_MOST.served,
    });
  const ranked = [...byKey.values()].sort((a, b) => b.costs - a.costs);
  const crucial = ranked
    .slice(0, MOST_CRUCIAL)
    .map((decision) => ({ ...decision, costs: Math.min(100, Math.round(decision.costs)) }));
  return { weights, crucial, allowed };
}

/**
 * Places that are worked though the model answer leaves them, or by a way none of the crucial decisions is about. Colour
 * pulled through from elsewhere is one slip, and is counted where the hand did not stop.
 */
export function strayPlaces(
  crucial: readonly CrucialDecision[],
  findings: Partial<Record<Criterion, readonly Finding[]>>,
  open: readonly BenchStep[],
): string[] {
  if (!isOpenIn(open, 'route')) return [];
  const isPulled = (findings.order ?? []).some(({ fault }) => OVERLAPS.includes(fault.name));
  const known = new Set(
    crucial.flatMap(({ criteria, places }) => (criteria.includes('route') ? places : [])),
  );
  const off = (findings.route ?? []).flatMap(({ loss, place, fault }) => {
    const strayed = loss >= WRONG_FROM && place !== null && !known.has(place);
    return strayed && !(isPulled && fault.name === 'route.otherProduct') ? [place] : [];
  });
  return [...new Set(off)];
}

/** Which crucial decisions a plan got wrong. What follows from a wrong route is not counted once more. */
export function wrongDecisions(
  crucial: readonly CrucialDecision[],
  findings: Partial<Record<Criterion, readonly Finding[]>>,
  open: readonly BenchStep[],
): boolean[] {
  const faultsOf = ({ criteria, places, role, faults }: CrucialDecision) =>
    criteria
      .flatMap((criterion) => (isOpenIn(open, criterion) ? (findings[criterion] ?? []) : []))
      .filter(
        (finding) =>
          finding.loss >= WRONG_FROM &&
          (faults === null || faults.includes(finding.fault.name)) &&
          (places.length === 0 || (finding.place !== null && places.includes(finding.place))) &&
          (role === null || finding.role === null || finding.role === role),
      );
  const offRoute = new Set(
    (findings.route ?? []).flatMap(({ loss, place }) =>
      loss >= WRONG_FROM && place !== null ? [place] : [],
    ),
  );
  // Begun at the wrong end, the root runs past its level: one slip.
  const rootFirst = (findings.order ?? []).some(({ fault }) => fault.name === 'order.rootFirst');
  const follows = ({ fault }: Finding) => rootFirst && fault.name === 'timing.past';
  return crucial.map((decision) => {
    const faults = faultsOf(decision);
    if (decision.criteria.includes('route') || decision.criteria.includes('safety')) return faults.length > 0;
    return faults.some((fault) => !follows(fault) && (fault.place === null || !offRoute.has(fault.place)));
  });
}
