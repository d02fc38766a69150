import type { RecordCard } from '../card';
import { type ClientCase, partName, strandOfZone } from '../case';
import { differenceOf } from '../colour';
import { type Task, tasksOf, type Route, rulingsFor, levelsToday, layersOf } from '../method';
import type { Line } from '../product';
import { type Reason, reason } from '../reason';
import { type HouseRules, hasGreyToCover, refreshWay } from '../rules';
import { isWaitedFor, rootWaits, type Group, assemble } from './card-assembly';
import { type Job, type Way, waysOf, hasProduct } from './group-plans';
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

const jobOf = (clientCase: ClientCase, task: Task, route: Route, rules: HouseRules): Job => ({
  task,
  route,
  layers: layersOf(task, route, rules),
  start: strandOfZone(clientCase.head, task.part.zone),
});

/** Ways that are worked out as far as somebody looks, once. */
export class Ways implements Iterable<Way> {
  private readonly found: Way[] = [];
  constructor(private readonly rest: Generator<Way>) {}
  *[Symbol.iterator](): Iterator<Way> {
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
  get first(): Way | undefined {
    for (const way of this) return way;
    return undefined;
  }
}

/** Ways of single jobs, as a search has begun to look at them: what is chosen is looked at further. */
type Begun = Map<Job, Ways>;

function beginning(job: Job, lines: readonly Line[], rules: HouseRules, begun: Begun): Ways {
  const ways = begun.get(job) ?? new Ways(waysOf([job], lines, rules));
  begun.set(job, ways);
  return ways;
}

/** Every part of a head by every route that the rules allow it. */
export const jobsOf = (clientCase: ClientCase, rules: HouseRules): Job[] =>
  tasksOf(clientCase).flatMap((task) =>
    rulingsFor(task).flatMap(({ route, allowed }) =>
      allowed ? [jobOf(clientCase, task, route, rules)] : [],
    ),
  );

/** A step down the list of routes costs as much as this ΔE: the plainest that gets there is taken. */
const ROUTE_PRICE = 2.5;

/** Parts that are alike in what they are and what is wished for take one route together. */
function alike(tasks: readonly Task[]): Task[][] {
  const groups = new Map<string, Task[]>();
  for (const task of tasks) {
    const { history, target, natural, part, greyShare } = task;
    const name = JSON.stringify([history, target, natural, part.woven, hasGreyToCover(greyShare)]);
    groups.set(name, [...(groups.get(name) ?? []), task]);
  }
  return [...groups.values()];
}

/** The route for the parts of a head, alike parts together, each tried alone; or why none gets there. */
function chooseJobs(
  clientCase: ClientCase,
  tasks: readonly Task[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: Begun,
): { jobs: Job[]; failed: { task: Task; reasons: Reason[] }[]; tried: TriedRoute[] } {
  const jobs: Job[] = [];
  const ended: TriedRoute[] = [];
  const failed: { task: Task; reasons: Reason[] }[] = [];
  for (const group of alike(tasks)) {
    let best: { jobs: Job[]; cost: number } | null = null;
    const allowed = rulingsFor(group[0]).filter((ruling) => ruling.allowed);
    const end = (route: Route, why: Reason) =>
      void ended.push(...group.map(({ part }) => ({ part: partName(part), route, why })));
    for (const { route, allowed: may, reason: why } of rulingsFor(group[0])) if (!may) end(route, why);
    allowed.forEach(({ route }, rank) => {
      const tried = group.map((task) => jobOf(clientCase, task, route, rules));
      // A route that one of them is not allowed, for its condition say, is none for all.
      if (group.some((task) => !rulingsFor(task).find((ruling) => ruling.route === route)?.allowed)) return;
      const ways = tried.map((job) =>
        route === 'leave' ? leaveWay(job) : beginning(job, lines, rules, begun).first,
      );
      if (ways.some((way) => !way)) return end(route, whyNoWay(group[0], route, lines, rules));
      const deltaE = Math.max(...ways.map((way) => way!.deltaE[0]));
      const missed = reason('solve.routeMisses', undefined, { route, deltaE: tenth(deltaE) });
      if (deltaE > NO_PLAN_DELTA_E) return end(route, missed);
      const short = ways.some((way) => way!.deltaE[0] > REACHED_DELTA_E) ? SHORT_PRICE : 0;
      const cost = ways.reduce((sum, way) => sum + way!.cost, 0) / ways.length + ROUTE_PRICE * rank + short;
      if (!best || cost < best.cost - 1e-9) best = { jobs: tried, cost };
      end(
        route,
        short > 0 ? missed : reason('solve.routeCostlier', undefined, { route, deltaE: tenth(deltaE) }),
      );
    });
    const without = best ? null : withoutProduct(clientCase, group, lines, rules, begun);
    if (without) {
      jobs.push(...without);
      continue;
    }
    const chosen = best as { jobs: Job[] } | null;
    if (chosen) jobs.push(...chosen.jobs);
    else if (group.length > 1) {
      const apart = group.map((task) => chooseJobs(clientCase, [task], lines, rules, begun));
      jobs.push(...apart.flatMap((one) => one.jobs));
      failed.push(...apart.flatMap((one) => one.failed));
      ended.push(...apart.flatMap((one) => one.tried));
    } else failed.push({ task: group[0], reasons: whyNot(group[0], lines, rules) });
  }
  const order = (task: Task) => tasks.indexOf(task);
  const taken = new Set(jobs.map(({ task, route }) => `${partName(task.part)} ${route}`));
  return {
    jobs: jobs.sort((a, b) => order(a.task) - order(b.task)),
    failed,
    tried: ended.filter(({ part, route }) => !taken.has(`${part} ${route}`)),
  };
}

/** A route that was looked at and not taken on a part, and what ended it: a rule, a product, or how far it misses. */
export interface TriedRoute {
  part: string;
  route: Route;
  why: Reason;
}
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Why a route that the rules allow comes to no bowl. */
function whyNoWay(task: Task, route: Route, lines: readonly Line[], rules: HouseRules): Reason {
  const lacks = layersOf(task, route, rules).find((layer) => !hasProduct(layer, lines));
  const at = { zone: partName(task.part), level: task.target.level };
  return lacks
    ? reason('solve.needsProduct', 'P1', { ...at, product: lacks.products[0] })
    : reason('solve.noLine', 'T2', at);
}

/** What is done instead where a product is not at hand: the next best, which the answer says (F6, P2). */
const INSTEAD: Partial<Record<Route, Route>> = {
  fillThenColour: 'deposit',
  removeThenColour: 'lightenThenTone',
};

/** Jobs for parts whose right route lacks a product, by the next best one; null where that is none either. */
function withoutProduct(
  clientCase: ClientCase,
  group: readonly Task[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: Begun,
): Job[] | null {
  for (const { route, allowed } of rulingsFor(group[0])) {
    const instead = INSTEAD[route];
    if (!allowed || !instead) continue;
    const lacks = layersOf(group[0], route, rules).find((layer) => !hasProduct(layer, lines));
    if (!lacks) continue;
    const bears = group.every(
      (task) => instead !== 'lightenThenTone' || task.target.level - task.present <= levelsToday(task),
    );
    const tried = group.map((task) => ({
      ...jobOf(clientCase, task, instead, rules),
      lacks: lacks.products[0],
    }));
    const ways = tried.map((job) => beginning(job, lines, rules, begun).first);
    if (bears && ways.every((way) => way && way.deltaE[0] <= NO_PLAN_DELTA_E)) return tried;
  }
  return null;
}

/** Why a part has no answer: the rules against every route, the products that are not at hand, or no shade and strength. */
function whyNot(task: Task, lines: readonly Line[], rules: HouseRules): Reason[] {
  const rulings = rulingsFor(task).filter(({ route }) => route !== 'leave');
  const allowed = rulings.filter((ruling) => ruling.allowed);
  if (allowed.length === 0) return rulings.map((ruling) => ruling.reason);
  const at = { zone: partName(task.part), level: task.target.level };
  const missing = allowed.flatMap(({ route }) =>
    layersOf(task, route, rules)
      .filter((layer) => !hasProduct(layer, lines))
      .map(({ products }) => products[0]),
  );
  const named = [...new Set(missing)].map((product) =>
    reason('solve.needsProduct', 'P1', { ...at, product }),
  );
  return named.length > 0 ? named : [reason('solve.noLine', 'T2', at)];
}

const leaveWay = (job: Job): Way | undefined =>
  new Ways(waysOf([{ ...job, layers: [] }], [], {} as HouseRules)).first;

/** Jobs that come to the same bowls are done from one. */
function grouped(jobs: readonly Job[]): Job[][] {
  const groups = new Map<string, Job[]>();
  for (const job of jobs) {
    if (job.layers.length === 0) continue;
    const name = JSON.stringify([
      job.route,
      job.layers,
      job.task.part.woven,
      hasGreyToCover(job.task.greyShare),
    ]);
    groups.set(name, [...(groups.get(name) ?? []), job]);
  }
  return [...groups.values()];
}

/** Groups with all their ways; one that has no bowl for all of its zones together is taken apart. */
function waysByGroup(
  jobs: readonly Job[],
  lines: readonly Line[],
  rules: HouseRules,
  begun: Begun,
): { jobs: Job[]; ways: Ways }[] {
  const lengths = jobs.filter(isWaitedFor);
  return grouped(jobs).flatMap((group) => {
    // Lengths begin first where the root of untouched hair waits for them.
    const waits = group.some((job) => rootWaits(job, job.layers[0]));
    const first = group.map((job) => waits && lengths.includes(job));
    const alone = (job: Job, startsFirst: boolean) =>
      startsFirst ? new Ways(waysOf([job], lines, rules, [true])) : beginning(job, lines, rules, begun);
    if (group.length === 1) return [{ jobs: group, ways: alone(group[0], first[0]) }];
    const ways = new Ways(waysOf(group, lines, rules, first));
    if (ways.first) return [{ jobs: group, ways }];
    return group.map((job, i) => ({ jobs: [job], ways: alone(job, first[i]) }));
  });
}

const MOST_EQUIVALENTS = 8;
const labelsOf = ({ layers }: Way) =>
  layers
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
function settled(all: readonly Ways[]): Way[] {
  const taken: Way[] = [];
  for (const ways of all) {
    const mixed = new Set(taken.map(labelsOfLast));
    const opened = new Set(taken.map(lineOfLast));
    const price = (way: Way) =>
      way.cost +
      (taken.length === 0 || mixed.has(labelsOfLast(way)) ? 0 : OWN.formula) +
      (taken.length === 0 || opened.has(lineOfLast(way)) ? 0 : OWN.line);
    let best = ways.first!;
    for (const way of ways) {
      // They come by their cost: from here on none is better, whatever is mixed already.
      if (way.cost >= price(best)) break;
      if (price(way) < price(best) - 1e-9) best = way;
    }
    taken.push(best);
  }
  return taken;
}
const lineOfLast = ({ layers }: Way) => layers.at(-1)?.line.id;
const labelsOfLast = ({ layers }: Way) => {
  const last = layers.at(-1);
  return JSON.stringify([
    last?.line.id,
    last?.vol,
    last?.ratio,
    last?.shades.map(({ shade, parts }) => [shade.label, parts]),
  ]);
};

/** One visit's worth of a case: routes, bowls, the card and what is as good; or which parts fail, and why. */
export function oneVisit(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules, visits: number) {
  const tasks = tasksOf(clientCase);
  const begun: Begun = new Map();
  const { jobs, failed, tried } = chooseJobs(clientCase, tasks, lines, rules, begun);
  if (failed.length > 0) return { ok: false as const, failed };
  const groups = waysByGroup(jobs, lines, rules, begun);
  if (groups.some(({ ways }) => !ways.first))
    return {
      ok: false as const,
      failed: tasks.map((task) => ({ task, reasons: [reason('solve.noLine', 'T2')] })),
    };
  const firsts = settled(groups.map(({ ways }) => ways));
  const planWith = (pick: (index: number) => Way): RecordCard => {
    const chosen: Group[] = groups.map((group, i) => ({ jobs: group.jobs, way: pick(i) }));
    const plan = assemble(clientCase, chosen, rules, visits, refreshWay(rules, lines));
    // Zones that are left as they are have been read all the same.
    return { ...plan, readings: readingsOf(clientCase, jobs, rules) };
  };
  const best = planWith((i) => firsts[i]);
  const equivalents: RecordCard[] = [];
  groups.forEach(({ ways }, at) => {
    const first = firsts[at];
    const seen = new Set([labelsOf(first)]);
    for (const way of ways) {
      if (equivalents.length >= MOST_EQUIVALENTS) return;
      const near = way.labs.every((lab, j) => differenceOf(lab, first.labs[j]) <= AS_GOOD_WITHIN);
      const reaches = way.deltaE.every(
        (deltaE, j) => deltaE <= Math.max(AS_GOOD_WITHIN, first.deltaE[j] + 1),
      );
      if (!near || !reaches || seen.has(labelsOf(way))) continue;
      seen.add(labelsOf(way));
      equivalents.push(planWith((i) => (i === at ? way : firsts[i])));
    }
  });
  return { ok: true as const, best, equivalents, jobs, tried };
}

/** A visit that brings all of its parts home. */
export type VisitFound = Extract<ReturnType<typeof oneVisit>, { ok: true }>;
