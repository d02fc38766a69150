import type { RecordCard } from '../card';
import { type ClientCase, partName, strandOfZone } from '../case';
import { differenceOf } from '../colour';
import {
  type PlaceGoal,
  goalsOf,
  type Technique,
  techniqueRulings,
  levelsToday,
  requiredMixes,
} from '../method';
import type { Strand } from '../hair';
import { washed } from '../process';
import type { Line } from '../product';
import { type Reason, reason } from '../reason';
import { type HouseRules, hasGreyToCover, refreshWay } from '../rules';
import { isWaitedFor, rootWaits, type Group, assemble } from './card-assembly';
import { type PlannedPlace, type GroupPlan, groupPlans, hasProduct } from './group-plans';
import { readingsOf } from './readings';

/** ΔE2000 within which a plan is as good as the best. */
export const AS_GOOD_WITHIN = 3;
/** Further from the wish than this, ΔE2000, the hair model does not see it as reached. */
export const REACHED_DELTA_E = 6.5;
/**
 * The theory has the last word on what is right, so a school's way that the model sees fall short is still its way; a
 * plan this far off, ΔE2000, is no plan.
 */
const NO_PLAN_DELTA_E = 20;
/** What falling short costs against the ΔE of other routes. */
const SHORT_PRICE = 20;

/** Minerals are washed off before anything else is done (C10). */
const chelated = (strand: Strand, { minerals }: PlaceGoal): Strand =>
  minerals > 0 ? washed(strand, 'chelating', 1) : strand;

const plannedPlace = (
  clientCase: ClientCase,
  goal: PlaceGoal,
  technique: Technique,
  rules: HouseRules,
): PlannedPlace => ({
  goal,
  technique,
  requiredMixes: requiredMixes(goal, technique, rules),
  start: chelated(strandOfZone(clientCase.head, goal.part.zone), goal),
});

/** Ways that are worked out as far as somebody looks, once. */
export class LazyGroupPlans implements Iterable<GroupPlan> {
  private readonly found: GroupPlan[] = [];
  constructor(private readonly rest: Generator<GroupPlan>) {}
  *[Symbol.iterator](): Iterator<GroupPlan> {
    for (let at = 0; ; at++) {
      if (at === this.found.length) {
        const next = this.rest.next();
        if (next.done) return;
        this.found.push(next.value);
      }
      yield this.found[at];
    }
  }
  /** The best; undefined where there is none. */
  get first(): GroupPlan | undefined {
    for (const plan of this) return plan;
    return undefined;
  }
}

/** Ways of single places, as a search has begun to look at them: what is chosen is looked at further. */
type PlansByPlace = Map<PlannedPlace, LazyGroupPlans>;

function plansOf(
  planned: PlannedPlace,
  lines: readonly Line[],
  rules: HouseRules,
  begun: PlansByPlace,
): LazyGroupPlans {
  const plans = begun.get(planned) ?? new LazyGroupPlans(groupPlans([planned], lines, rules));
  begun.set(planned, plans);
  return plans;
}

/** Every part of a head by every route that the rules allow it. */
export const plannedPlaces = (clientCase: ClientCase, rules: HouseRules): PlannedPlace[] =>
  goalsOf(clientCase).flatMap((goal) =>
    techniqueRulings(goal, rules).flatMap(({ technique, allowed }) =>
      allowed ? [plannedPlace(clientCase, goal, technique, rules)] : [],
    ),
  );

/** A step down the list of routes costs as much as this ΔE: the plainest that gets there is taken. */
const ROUTE_PRICE = 2.5;
/** So does a bowl before the last: hair, time and a product more. */
const BEFORE_PRICE = 2;

/** Parts that are alike in what they are and what is wished for take one route together. */
function alike(goals: readonly PlaceGoal[]): PlaceGoal[][] {
  const groups = new Map<string, PlaceGoal[]>();
  for (const goal of goals) {
    const { history, target, natural, part, greyShare } = goal;
    const name = JSON.stringify([history, target, natural, part.woven, hasGreyToCover(greyShare)]);
    groups.set(name, [...(groups.get(name) ?? []), goal]);
  }
  return [...groups.values()];
}

/** The route for the parts of a head, alike parts together, each tried alone; or why none gets there. */
function chooseTechniques(
  clientCase: ClientCase,
  goals: readonly PlaceGoal[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: PlansByPlace,
): { places: PlannedPlace[]; failed: { goal: PlaceGoal; reasons: Reason[] }[]; tried: TriedTechnique[] } {
  const plannedPlaces: PlannedPlace[] = [];
  const ended: TriedTechnique[] = [];
  const failed: { goal: PlaceGoal; reasons: Reason[] }[] = [];
  for (const group of alike(goals)) {
    let best: { places: PlannedPlace[]; cost: number } | null = null;
    const allowed = techniqueRulings(group[0], rules).filter((ruling) => ruling.allowed);
    const end = (technique: Technique, why: Reason) =>
      void ended.push(...group.map(({ part }) => ({ part: partName(part), technique, why })));
    for (const { technique, allowed: may, reason: why } of techniqueRulings(group[0], rules))
      if (!may) end(technique, why);
    allowed.forEach(({ technique }, rank) => {
      const tried = group.map((goal) => plannedPlace(clientCase, goal, technique, rules));
      // A route that one of them is not allowed, for its condition say, is none for all.
      if (
        group.some(
          (goal) => !techniqueRulings(goal, rules).find((ruling) => ruling.technique === technique)?.allowed,
        )
      )
        return;
      const plans = tried.map((planned) =>
        technique === 'leave' ? planOfLeaving(planned) : plansOf(planned, lines, rules, begun).first,
      );
      if (plans.some((plan) => !plan)) return end(technique, whyNoPlan(group[0], technique, lines, rules));
      const deltaE = Math.max(...plans.map((plan) => plan!.deltaE[0]));
      const missed = reason('solve.routeMisses', undefined, { route: technique, deltaE: tenth(deltaE) });
      if (deltaE > NO_PLAN_DELTA_E) return end(technique, missed);
      const short = plans.some((plan) => plan!.deltaE[0] > REACHED_DELTA_E) ? SHORT_PRICE : 0;
      const cost =
        plans.reduce((sum, plan) => sum + plan!.cost, 0) / plans.length +
        ROUTE_PRICE * rank +
        BEFORE_PRICE * Math.max(0, tried[0].requiredMixes.length - 1) +
        short;
      if (!best || cost < best.cost - 1e-9) best = { places: tried, cost };
      end(
        technique,
        short > 0
          ? missed
          : reason('solve.routeCostlier', undefined, { route: technique, deltaE: tenth(deltaE) }),
      );
    });
    const without = best ? null : withoutProduct(clientCase, group, lines, rules, begun);
    if (without) {
      plannedPlaces.push(...without);
      continue;
    }
    const chosen = best as { places: PlannedPlace[] } | null;
    if (chosen) plannedPlaces.push(...chosen.places);
    else if (group.length > 1) {
      const apart = group.map((goal) => chooseTechniques(clientCase, [goal], lines, rules, begun));
      plannedPlaces.push(...apart.flatMap((one) => one.places));
      failed.push(...apart.flatMap((one) => one.failed));
      ended.push(...apart.flatMap((one) => one.tried));
    } else failed.push({ goal: group[0], reasons: whyNot(group[0], lines, rules) });
  }
  const order = (goal: PlaceGoal) => goals.indexOf(goal);
  const taken = new Set(plannedPlaces.map(({ goal, technique }) => `${partName(goal.part)} ${technique}`));
  return {
    places: plannedPlaces.sort((a, b) => order(a.goal) - order(b.goal)),
    failed,
    tried: ended.filter(({ part, technique }) => !taken.has(`${part} ${technique}`)),
  };
}

/** A route that was looked at and not taken on a part, and what ended it: a rule, a product, or how far it misses. */
export interface TriedTechnique {
  /** Name of the part. */
  part: string;
  /** Technique of the place. */
  technique: Technique;
  /** Why, in the words of the interface. */
  why: Reason;
}
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Why a route that the rules allow comes to no bowl. */
function whyNoPlan(goal: PlaceGoal, technique: Technique, lines: readonly Line[], rules: HouseRules): Reason {
  const lacks = requiredMixes(goal, technique, rules).find((required) => !hasProduct(required, lines));
  const at = { zone: partName(goal.part), level: goal.target.level };
  return lacks
    ? reason('solve.needsProduct', 'P1', { ...at, product: lacks.products[0] })
    : reason('solve.noLine', 'T2', at);
}

/** What is done instead where a product is not at hand: the next best, which the answer says (F6, P2). */
const INSTEAD: Partial<Record<Technique, Technique>> = {
  fillThenColour: 'deposit',
  removeThenColour: 'lightenThenTone',
};

/** Jobs for parts whose right route lacks a product, by the next best one; null where that is none either. */
function withoutProduct(
  clientCase: ClientCase,
  group: readonly PlaceGoal[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: PlansByPlace,
): PlannedPlace[] | null {
  for (const { technique, allowed } of techniqueRulings(group[0], rules)) {
    const instead = INSTEAD[technique];
    if (!allowed || !instead) continue;
    const lacks = requiredMixes(group[0], technique, rules).find((required) => !hasProduct(required, lines));
    if (!lacks) continue;
    const bears = group.every(
      (goal) => instead !== 'lightenThenTone' || goal.target.level - goal.present <= levelsToday(goal),
    );
    const tried = group.map((goal) => ({
      ...plannedPlace(clientCase, goal, instead, rules),
      lacks: lacks.products[0],
    }));
    const plans = tried.map((planned) => plansOf(planned, lines, rules, begun).first);
    if (bears && plans.every((plan) => plan && plan.deltaE[0] <= NO_PLAN_DELTA_E)) return tried;
  }
  return null;
}

/** Why a part has no answer: the rules against every route, the products that are not at hand, or no shade and strength. */
function whyNot(goal: PlaceGoal, lines: readonly Line[], rules: HouseRules): Reason[] {
  const rulings = techniqueRulings(goal, rules).filter(({ technique }) => technique !== 'leave');
  const allowed = rulings.filter((ruling) => ruling.allowed);
  if (allowed.length === 0) return rulings.map((ruling) => ruling.reason);
  const at = { zone: partName(goal.part), level: goal.target.level };
  const missing = allowed.flatMap(({ technique }) =>
    requiredMixes(goal, technique, rules)
      .filter((required) => !hasProduct(required, lines))
      .map(({ products }) => products[0]),
  );
  const named = [...new Set(missing)].map((product) =>
    reason('solve.needsProduct', 'P1', { ...at, product }),
  );
  return named.length > 0 ? named : [reason('solve.noLine', 'T2', at)];
}

const planOfLeaving = (planned: PlannedPlace): GroupPlan | undefined =>
  new LazyGroupPlans(groupPlans([{ ...planned, requiredMixes: [] }], [], {} as HouseRules)).first;

/** Jobs that come to the same bowls are done from one. */
function byMixes(plannedPlaces: readonly PlannedPlace[]): PlannedPlace[][] {
  const groups = new Map<string, PlannedPlace[]>();
  for (const planned of plannedPlaces) {
    if (planned.requiredMixes.length === 0) continue;
    const name = JSON.stringify([
      planned.technique,
      planned.requiredMixes,
      planned.goal.part.woven,
      hasGreyToCover(planned.goal.greyShare),
    ]);
    groups.set(name, [...(groups.get(name) ?? []), planned]);
  }
  return [...groups.values()];
}

/** Groups with all their plans; one that has no bowl for all of its zones together is taken apart. */
function plansByGroup(
  plannedPlaces: readonly PlannedPlace[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: PlansByPlace,
): { places: PlannedPlace[]; plans: LazyGroupPlans }[] {
  const lengths = plannedPlaces.filter(isWaitedFor);
  return byMixes(plannedPlaces).flatMap((group) => {
    // Lengths begin first where the root of untouched hair waits for them.
    const waits = group.some((planned) => rootWaits(planned, planned.requiredMixes[0]));
    const first = group.map((planned) => waits && lengths.includes(planned));
    const alone = (planned: PlannedPlace, startsFirst: boolean) =>
      startsFirst
        ? new LazyGroupPlans(groupPlans([planned], lines, rules, [true]))
        : plansOf(planned, lines, rules, begun);
    if (group.length === 1) return [{ places: group, plans: alone(group[0], first[0]) }];
    const plans = new LazyGroupPlans(groupPlans(group, lines, rules, first));
    if (plans.first) return [{ places: group, plans }];
    return group.map((planned, i) => ({ places: [planned], plans: alone(planned, first[i]) }));
  });
}

const MOST_EQUIVALENTS = 8;
const labelsOf = ({ mixes }: GroupPlan) =>
  mixes
    .map(
      ({ line, shades }) =>
        `${line.id} ${shades
          .map(({ shade }) => shade.label)
          .sort()
          .join()}`,
    )
    .join();

/** What a formula of its own, and a line of its own, cost beside the bowls that are mixed anyway; against a ΔE of 1. */
const OWN = { formula: 1.5, line: 0.75 };

/**
 * The way of every group: each its best, but what is mixed or opened already is used where it comes as near, as nobody
 * mixes two bowls where one serves.
 */
function cheapestTogether(all: readonly LazyGroupPlans[]): GroupPlan[] {
  const taken: GroupPlan[] = [];
  for (const plans of all) {
    const mixed = new Set(taken.map(lastFormula));
    const opened = new Set(taken.map(lastLine));
    const price = (plan: GroupPlan) =>
      plan.cost +
      (taken.length === 0 || mixed.has(lastFormula(plan)) ? 0 : OWN.formula) +
      (taken.length === 0 || opened.has(lastLine(plan)) ? 0 : OWN.line);
    let best = plans.first!;
    for (const plan of plans) {
      // They come by their cost: from here on none is better, whatever is mixed already.
      if (plan.cost >= price(best)) break;
      if (price(plan) < price(best) - 1e-9) best = plan;
    }
    taken.push(best);
  }
  return taken;
}
const lastLine = ({ mixes }: GroupPlan) => mixes.at(-1)?.line.id;
const lastFormula = ({ mixes }: GroupPlan) => {
  const last = mixes.at(-1);
  return JSON.stringify([
    last?.line.id,
    last?.vol,
    last?.ratio,
    last?.shades.map(({ shade, parts }) => [shade.label, parts]),
  ]);
};

/** One visit's worth of a case: routes, bowls, the card and what is as good; or which parts fail, and why. */
export function oneVisit(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules, visits: number) {
  const goals = goalsOf(clientCase);
  const begun: PlansByPlace = new Map();
  const { places, failed, tried } = chooseTechniques(clientCase, goals, lines, rules, begun);
  if (failed.length > 0) return { ok: false as const, failed };
  const groups = plansByGroup(places, lines, rules, begun);
  if (groups.some(({ plans }) => !plans.first))
    return {
      ok: false as const,
      failed: goals.map((goal) => ({ goal, reasons: [reason('solve.noLine', 'T2')] })),
    };
  const firsts = cheapestTogether(groups.map(({ plans }) => plans));
  const planWith = (pick: (index: number) => GroupPlan): RecordCard => {
    const chosen: Group[] = groups.map((group, i) => ({ places: group.places, plan: pick(i) }));
    const card = assemble(clientCase, chosen, rules, visits, refreshWay(rules, lines));
    // Zones that are left as they are have been read all the same.
    return { ...card, readings: readingsOf(clientCase, places, rules) };
  };
  const modelCard = planWith((i) => firsts[i]);
  const equivalents: RecordCard[] = [];
  groups.forEach(({ plans }, at) => {
    const first = firsts[at];
    const seen = new Set([labelsOf(first)]);
    for (const plan of plans) {
      if (equivalents.length >= MOST_EQUIVALENTS) return;
      const near = plan.labs.every((lab, j) => differenceOf(lab, first.labs[j]) <= AS_GOOD_WITHIN);
      const reaches = plan.deltaE.every(
        (deltaE, j) => deltaE <= Math.max(AS_GOOD_WITHIN, first.deltaE[j] + 1),
      );
      if (!near || !reaches || seen.has(labelsOf(plan))) continue;
      seen.add(labelsOf(plan));
      equivalents.push(planWith((i) => (i === at ? plan : firsts[i])));
    }
  });
  return { ok: true as const, best: modelCard, equivalents, places, tried };
}

/** A visit that brings all of its parts home. */
export type SolvedVisit = Extract<ReturnType<typeof oneVisit>, { ok: true }>;
