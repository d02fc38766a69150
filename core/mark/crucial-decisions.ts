import { type Application, type Bowl, type RecordCard, colourGrams, complete, bowlVol } from '../card';
import { partName } from '../case';
import { type Criterion, CRITERION_WEIGHTS, CRITERIA, isOpenIn, type BenchStep } from '../exercise';
import { type MixRole, tonesBared } from '../method';
import type { Line } from '../product';
import { fractionOfHead, regionOf } from '../hair';
import { CEILINGS } from '../rules';
import type { ModelAnswer } from '../solve';
import { alternativesTo } from './alternatives';
import { type HeadLeft, headLeft, ceilingOf } from './ceiling';
import { type MarkingContext, markingContext } from './context';
import { DANGER_MOST } from './dangers';
import type { FaultName } from './faults';
import { type PlaceWeights, type Finding, lossOf, placeWeights } from './finding';
import { findingsOf } from './method';
import { areasLeftOut, conditionLost, OUTCOME_SLIGHT, placeOutcomes } from './outcome';
import type { Findings } from './place-faults';
import { tenth, toVol, withBowl } from './slips/context';
import type { WorkedApplication, WorkedPlace } from './worked-place';

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
/** A fault that costs this fraction of its criterion shows that a decision was another one. */
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

const ALL = Object.values(CRITERION_WEIGHTS).reduce((sum, weight) => sum + weight, 0);

/** Prices of a whole plan, in points of 100 with the default weights, without ceilings. */
function methodLost(findings: Findings, weights: Partial<Record<Criterion, PlaceWeights>>): number {
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
 * Weights and crucial decisions of a model answer. Each of its decisions is taken otherwise, one at a time; those that bring
 * the head down, or would hurt, are ranked by what they lose. One that only breaks a rule is no crucial decision.
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
  const own = headLeft(best, found, open);
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
    const left = headLeft(context, findings, open);
    const hurts = left.dangers.length > own.dangers.length;
    const ofTheClient = criterion === 'safety';
    if (left.down <= OUTCOME_SLIGHT && left.classesLost === 0 && !hurts && !ofTheClient) continue;
    // Fewer appointments than it takes is a decision of the client, wrong whatever the head of the first one looks like.
    const most = ceilingOf(left, ofTheClient ? 1 : 0, CEILINGS)?.most ?? 100;
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
  findings: Findings,
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

/** The model answer's card with what a plan does at one place put in its stead there. */
function withPlaceOf(best: RecordCard, own: WorkedPlace): RecordCard {
  const { zone, woven } = own.goal.part;
  const renamed = new Map<string, string>();
  const written = own.steps.flatMap((worked) => worked.written);
  for (const { bowl } of written) if (!renamed.has(bowl)) renamed.set(bowl, `*${renamed.size}`);
  const isElsewhere = ({ placement, share }: Application) => (share < 1 && placement === 'foils') !== woven;
  const rest = best.steps.flatMap((application): Application[] => {
    if (!application.zones.includes(zone) || (application.share < 1 && isElsewhere(application)))
      return [application];
    const zones = application.zones.filter((one) => one !== zone);
    return zones.length > 0 ? [{ ...application, zones }] : [];
  });
  const bowls = own.steps.flatMap(({ bowl }): Bowl[] =>
    renamed.has(bowl.name) ? [{ ...bowl, name: renamed.get(bowl.name)! }] : [],
  );
  const names = new Set<string>();
  return {
    ...best,
    bowls: [...best.bowls, ...bowls.filter(({ name }) => !names.has(name) && names.add(name))],
    steps: [
      ...rest,
      ...written.map((application) => ({
        ...application,
        zones: [zone],
        bowl: renamed.get(application.bowl)!,
      })),
    ],
  };
}

/** Another bowl with the shades of one, as much of them as there was. */
const withShadesOf = (bowl: Bowl, { lineId, shades }: Bowl): Bowl => {
  const all = shades.reduce((sum, { grams }) => sum + grams, 0);
  const by = all > 0 ? colourGrams(bowl) / all : 0;
  return {
    ...bowl,
    lineId,
    productGrams: 0,
    shades: shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * by) })),
  };
};

/** One decision of a plan put alone into the model answer; null where it cannot be taken out of the plan by itself. */
function decidedAlone(
  { criteria }: CrucialDecision,
  best: RecordCard,
  own: WorkedPlace,
  mine: WorkedApplication | undefined,
  model: WorkedApplication | undefined,
): RecordCard | null {
  if (criteria.includes('route')) return withPlaceOf(best, own);
  if (!mine || !model) return null;
  const name = model.bowl.name;
  if (criteria.includes('developer')) {
    const vol = bowlVol(mine.bowl);
    return vol === null ? null : withBowl(best, name, (bowl) => toVol(bowl, vol));
  }
  if (criteria.includes('depth') || criteria.includes('greyShare'))
    return mine.bowl.shades.length === 0
      ? null
      : withBowl(best, name, (bowl) => withShadesOf(bowl, mine.bowl));
  if (!criteria.includes('timing')) return null;
  const { minutes, checkEvery, checkAt } = mine.application;
  return {
    ...best,
    steps: best.steps.map((application) => {
      if (application.bowl !== name || !application.zones.includes(own.goal.part.zone)) return application;
      const { checkAt: _own, ...rest } = application;
      return { ...rest, minutes, checkEvery, ...(checkAt ? { checkAt } : {}) };
    }),
  };
}

const knownAlone = new WeakMap<ModelAnswer, Map<string, number>>();

/** Rows that a card brings the head down beside the model answer’s own; kept by what the card says, for a class. */
function downBy(context: MarkingContext, card: RecordCard): number {
  const cache = knownAlone.get(context.modelAnswer) ?? new Map<string, number>();
  knownAlone.set(context.modelAnswer, cache);
  const name = JSON.stringify([card.bowls, card.steps]);
  const known = cache.get(name);
  if (known !== undefined) return known;
  const { clientCase, modelAnswer, rules, lineOf } = context;
  const alone = markingContext(clientCase, complete(card), modelAnswer, rules, lineOf);
  const down = Math.max(
    0,
    ...placeOutcomes(alone).map((outcome) =>
      Math.max(outcome.down, Math.min(1, conditionLost(alone, outcome))),
    ),
  );
  cache.set(name, down);
  return down;
}

/** What a plan decided, and what it left. */
export interface MarkedPlan {
  context: MarkingContext;
  found: Findings;
  left: HeadLeft;
  open: readonly BenchStep[];
}

/** Findings that show a crucial decision taken otherwise. What follows from a wrong route is not counted once more. */
function faultsOfDecision({ found, open }: MarkedPlan, decision: CrucialDecision): Finding[] {
  const { criteria, places, role, faults } = decision;
  const own = criteria
    .flatMap((criterion) => (isOpenIn(open, criterion) ? (found[criterion] ?? []) : []))
    .filter(
      (finding) =>
        finding.loss > 0 &&
        (faults === null || faults.includes(finding.fault.name)) &&
        (places.length === 0 || (finding.place !== null && places.includes(finding.place))) &&
        (role === null || finding.role === null || finding.role === role),
    );
  if (criteria.includes('route') || criteria.includes('safety')) return own;
  const offRoute = new Set(
    (found.route ?? []).flatMap(({ loss, place }) => (loss >= WRONG_FROM && place !== null ? [place] : [])),
  );
  // Begun at the wrong end, the root runs past its level: one slip.
  const rootFirst = (found.order ?? []).some(({ fault }) => fault.name === 'order.rootFirst');
  return own.filter(
    ({ fault, place }) =>
      !(rootFirst && fault.name === 'timing.past') && (place === null || !offRoute.has(place)),
  );
}

/** Rows down of some places of a plan, by name; of the whole head where none is named. A class weaker is a row. */
const downAt = ({ outcomes }: HeadLeft, places: readonly string[]): number =>
  Math.max(
    0,
    ...outcomes.flatMap(({ part, down, classesLost }) =>
      places.length === 0 || places.includes(partName(part))
        ? [Math.max(down, Math.min(1, classesLost))]
        : [],
    ),
  );

/** A shade two levels and more deeper than the rules have it is no toner for bared hair, however soon it is wiped off (F4). */
const isNoToner = ({ fault, loss }: Finding, { goal, technique }: WorkedPlace): boolean =>
  fault.name === 'depth.tooDark' && loss >= 1 && tonesBared(goal, technique);

/**
 * How far each crucial decision of a plan is wrong, 0–1: by the rows it brings the head down when it is put alone into the
 * model answer, and by no more than its place is down in this plan. Another way to the wished head is no wrong decision; a
 * way that the rules forbid, a toner that is none, and a decision of the client, is wrong whatever comes of it.
 */
export function wrongDecisions(crucial: readonly CrucialDecision[], decided: MarkedPlan): number[] {
  const { context, left } = decided;
  return crucial.map((decision) => {
    const faults = faultsOfDecision(decided, decision);
    if (faults.length === 0) return 0;
    if (decision.criteria.includes('safety')) return faults.some(({ loss }) => loss >= WRONG_FROM) ? 1 : 0;
    const places = [...new Set(faults.flatMap(({ place }) => (place === null ? [] : [place])))];
    const most = Math.min(1, downAt(left, places));
    const wrongs = places.map((place) => {
      const own = context.parts.find(({ goal }) => partName(goal.part) === place);
      const best = context.modelParts.find(({ goal }) => partName(goal.part) === place);
      if (!own || !best) return 0;
      if (decision.criteria.includes('route') && !own.ruling.allowed && own.steps.length > 0) return 1;
      if (faults.some((finding) => finding.place === place && isNoToner(finding, own))) return 1;
      const ofRole = ({ steps }: WorkedPlace) =>
        steps.find(({ role }) => decision.role === null || role === decision.role);
      const alone = decidedAlone(decision, context.modelAnswer.card, own, ofRole(own), ofRole(best));
      return alone ? Math.min(most, downBy(context, alone)) : most;
    });
    // One bowl on several places is one decision, counted where it costs most.
    return wrongs.length === 0 ? most : Math.min(1, Math.max(...wrongs));
  });
}

/** Whether a decision was never come to: something else had to be decided at its places, and was decided otherwise. */
export const wasNotReached = (decision: CrucialDecision, { found, open }: MarkedPlan): boolean =>
  decision.criteria
    .flatMap((criterion) => (isOpenIn(open, criterion) ? (found[criterion] ?? []) : []))
    .some(
      ({ loss, place }) =>
        loss === 1 &&
        place !== null &&
        decision.places.includes(place) &&
        (found.route ?? []).some((route) => route.place === place && route.loss >= WRONG_FROM),
    );

/** How far a plan is wrong by what none of its crucial decisions is about: places strayed to, and places half left out. */
export function wrongBesides(strayed: readonly string[], { context, left }: MarkedPlan): number {
  const forbidden = context.parts.some(
    ({ goal, ruling, steps }) => strayed.includes(partName(goal.part)) && !ruling.allowed && steps.length > 0,
  );
  const stray = forbidden ? 1 : strayed.length > 0 ? Math.min(1, downAt(left, strayed)) : 0;
  const halfLeft = context.parts.some(({ goal }) => {
    const out = areasLeftOut(context, goal.part);
    const { areas } = regionOf(context.clientCase.head, goal.part.zone);
    return fractionOfHead(out) > HALF * fractionOfHead(areas);
  });
  return Math.min(1, stray + (halfLeft ? 1 : 0));
}
const HALF = 0.5;
