import { TOP_OF_TEN, differenceOf, topLevel } from '../../colour';
import { levelOfPigmented } from '../../hair';
import {
  EMPTY_PLAN,
  partName,
  playPlan,
  presentLevel,
  strandOfZone,
  type HeadZone,
  type LineOf,
  type PartOutcome,
  type ServiceCase,
  type ServicePlan,
  type Target,
} from '../../plan';
import { LEVELS_IN_ONE_VISIT, conditionOf } from '../../process';
import { reason, type Reason } from '../../reason';
import type { Line } from '../../shades';
import type { HouseRules } from '../../theory';
import { assemble, readingsOf, rootWaits, type Group } from './assemble';
import { waysOf, type Job, type Way } from './job';
import { layersOf } from './layer';
import { PALEST_FROM, rulingsFor, type Route } from './route';
import { stopsService } from './safety';
import { tasksOf, type Task } from './task';

/** Raised whenever the same case could get another solution; stored with every grade. */
export const SERVICE_VERSION = 1;

/** ΔE2000 within which a plan is as good as the best. */
export const AS_GOOD_WITHIN = 3;
/** Further from the wish than this, ΔE2000, the hair model does not see it as reached. */
export const REACHED_AWAY = 6.5;
/**
 * The theory has the last word on what is right, so a school's way that the model sees fall short is still its way; a
 * plan this far off, ΔE2000, is no plan.
 */
const NO_PLAN_AWAY = 14;
/** What falling short costs against the ΔE of other routes. */
const SHORT_PRICE = 20;

export interface PartChoice {
  part: string;
  route: Route;
  reason: Reason;
  /** ΔE2000 to the wish, by the hair model. */
  away: number;
}

/** One visit of several: what it goes for, and when the next may be. */
export interface Visit {
  wish: ServiceCase['wish'];
  weave?: ServiceCase['weave'];
  /** Weeks to wait before it; 0 for the first. */
  afterWeeks: number;
}

export interface Solution {
  version: number;
  /** The case as this visit has it: with several visits, the wish of the first. */
  visit: ServiceCase;
  visits: Visit[];
  /** What stops the service; the best plan is then to decline. */
  stops: Reason[];
  best: ServicePlan;
  choices: PartChoice[];
  /** Other plans that are as good: within the ΔE of the best and of the wish, no rule broken. */
  equivalents: ServicePlan[];
  /** Why one visit is not enough; empty when it is. */
  proof: Reason[];
}
export type SolveResult = { ok: true; solution: Solution } | { ok: false; reasons: Reason[] };

const jobOf = (kase: ServiceCase, task: Task, route: Route, rules: HouseRules): Job => ({
  task,
  route,
  layers: layersOf(task, route, rules),
  start: strandOfZone(kase.head, task.part.zone),
});

/** A step down the list of routes costs as much as this ΔE: the plainest that gets there is taken. */
const ROUTE_PRICE = 2.5;

/** Parts that are alike in what they are and what is wished for take one route together. */
function alike(tasks: readonly Task[]): Task[][] {
  const groups = new Map<string, Task[]>();
  for (const task of tasks) {
    const name = JSON.stringify([task.history, task.target, task.natural, task.part.woven]);
    groups.set(name, [...(groups.get(name) ?? []), task]);
  }
  return [...groups.values()];
}

/** The route for the parts of a head, alike parts together, each tried alone; or why none gets there. */
function chooseJobs(
  kase: ServiceCase,
  tasks: readonly Task[],
  lines: readonly Line[],
  rules: HouseRules,
): { jobs: Job[]; failed: { task: Task; reasons: Reason[] }[] } {
  const jobs: Job[] = [];
  const failed: { task: Task; reasons: Reason[] }[] = [];
  for (const group of alike(tasks)) {
    let best: { jobs: Job[]; cost: number } | null = null;
    const allowed = rulingsFor(group[0]).filter((ruling) => ruling.allowed);
    allowed.forEach(({ route }, rank) => {
      const tried = group.map((task) => jobOf(kase, task, route, rules));
      // A route that one of them is not allowed, for its condition say, is none for all.
      if (group.some((task) => !rulingsFor(task).find((ruling) => ruling.route === route)?.allowed)) return;
      const ways = tried.map((job) => (route === 'leave' ? leaveWay(job) : waysOf([job], lines, rules)[0]));
      if (ways.some((way) => !way || way.away[0] > NO_PLAN_AWAY)) return;
      const short = ways.some((way) => way!.away[0] > REACHED_AWAY) ? SHORT_PRICE : 0;
      const cost = ways.reduce((sum, way) => sum + way!.cost, 0) / ways.length + ROUTE_PRICE * rank + short;
      if (!best || cost < best.cost - 1e-9) best = { jobs: tried, cost };
    });
    const chosen = best as { jobs: Job[] } | null;
    if (chosen) jobs.push(...chosen.jobs);
    else if (group.length > 1) {
      const apart = group.map((task) => chooseJobs(kase, [task], lines, rules));
      jobs.push(...apart.flatMap((one) => one.jobs));
      failed.push(...apart.flatMap((one) => one.failed));
    } else failed.push({ task: group[0], reasons: whyNot(group[0], allowed.length > 0) });
  }
  const order = (task: Task) => tasks.indexOf(task);
  return { jobs: jobs.sort((a, b) => order(a.task) - order(b.task)), failed };
}

const whyNot = (task: Task, someAllowed: boolean): Reason[] =>
  someAllowed
    ? [reason('solve.noLine', 'T2', { zone: partName(task.part), level: task.target.level })]
    : rulingsFor(task)
        .filter(({ route }) => route !== 'leave')
        .map((ruling) => ruling.reason);

const leaveWay = (job: Job): Way | undefined => waysOf([{ ...job, layers: [] }], [], {} as HouseRules)[0];

/** Jobs that come to the same bowls are done from one. */
function grouped(jobs: readonly Job[]): Job[][] {
  const groups = new Map<string, Job[]>();
  for (const job of jobs) {
    if (job.layers.length === 0) continue;
    const name = JSON.stringify([job.route, job.layers, job.task.part.woven, job.task.greyShare >= 0.25]);
    groups.set(name, [...(groups.get(name) ?? []), job]);
  }
  return [...groups.values()];
}

/** Groups with all their ways; one that has no bowl for all of its zones together is taken apart. */
function waysByGroup(
  jobs: readonly Job[],
  lines: readonly Line[],
  rules: HouseRules,
): { jobs: Job[]; ways: Way[] }[] {
  const lengths = jobs.filter(({ task }) => task.place === 'offScalp');
  return grouped(jobs).flatMap((group) => {
    // Lengths begin first where the root of untouched hair waits for them.
    const waits = group.some((job) => rootWaits(job, job.layers[0]));
    const first = group.map((job) => waits && lengths.includes(job));
    const ways = waysOf(group, lines, rules, first);
    if (ways.length > 0 || group.length === 1) return [{ jobs: group, ways }];
    return group.map((job, i) => ({ jobs: [job], ways: waysOf([job], lines, rules, [first[i]]) }));
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

function oneVisit(kase: ServiceCase, lines: readonly Line[], rules: HouseRules, visits: number) {
  const tasks = tasksOf(kase);
  const { jobs, failed } = chooseJobs(kase, tasks, lines, rules);
  if (failed.length > 0) return { ok: false as const, failed };
  const groups = waysByGroup(jobs, lines, rules);
  if (groups.some(({ ways }) => ways.length === 0))
    return {
      ok: false as const,
      failed: tasks.map((task) => ({ task, reasons: [reason('solve.noLine', 'T2')] })),
    };
  const planWith = (pick: (index: number) => Way): ServicePlan => {
    const chosen: Group[] = groups.map((group, i) => ({ jobs: group.jobs, way: pick(i) }));
    const plan = assemble(kase, chosen, rules, visits);
    // Zones that are left as they are have been read all the same.
    return { ...plan, readings: readingsOf(kase, jobs, rules) };
  };
  const best = planWith((i) => groups[i].ways[0]);
  const equivalents: ServicePlan[] = [];
  groups.forEach(({ ways }, at) => {
    const [first] = ways;
    const seen = new Set([labelsOf(first)]);
    for (const way of ways) {
      if (equivalents.length >= MOST_EQUIVALENTS) return;
      const near = way.labs.every((lab, j) => differenceOf(lab, first.labs[j]) <= AS_GOOD_WITHIN);
      const reaches = way.away.every((away, j) => away <= Math.max(AS_GOOD_WITHIN, first.away[j] + 1));
      if (!near || !reaches || seen.has(labelsOf(way))) continue;
      seen.add(labelsOf(way));
      equivalents.push(planWith((i) => (i === at ? way : groups[i].ways[0])));
    }
  });
  return { ok: true as const, best, equivalents, jobs };
}

const half = (level: number) => Math.floor(level * 2) / 2;
const WEEKS_BETWEEN = 4;
const MOST_VISITS = 6;
/** Share of its dye that colour loses in the weeks between. */
const FADES = 0.3;
/** Share of the damage that weeks of treatment between visits make good, in effect if not in the fibre. */
const TREATED = 0.7;

/** Where a part that one visit cannot bring home is taken in it: as far as its condition allows, toned quietly (C4). */
function interim(task: Task): Target {
  const limit = LEVELS_IN_ONE_VISIT[task.condition];
  const up = task.target.level - task.present;
  // What is not light yet is made light first (L1).
  const most =
    task.present < PALEST_FROM.lightener ? Math.min(task.target.level, TOP_OF_TEN) : task.target.level;
  const level = Math.min(most, half(task.present + Math.max(0, Math.min(up, limit))));
  return { level: Math.max(1, level), tone: { primary: 'neutral' } };
}

/** The case after a visit: what was reached is where the next begins. */
function headAfter(
  kase: ServiceCase,
  outcomes: readonly PartOutcome[],
  onTheWay: readonly HeadZone[],
): ServiceCase {
  const zones = kase.head.zones.map((zone) => {
    const out = outcomes.find(({ part }) => part.zone === zone.zone && !part.woven);
    if (!out || !kase.wish[zone.zone]) return zone;
    const wish = kase.wish[zone.zone]!;
    const { damage } = out.strand;
    // A zone that is home only has its colour to be kept up.
    if (!onTheWay.includes(zone.zone))
      return {
        ...zone,
        history: { kind: 'coloured' as const, level: wish.level, tone: wish.tone, faded: FADES },
        damage,
      };
    const level = Math.min(
      topLevel('twelve'),
      Math.max(zone.naturalLevel, half(levelOfPigmented(out.strand) + 0.25)),
    );
    return { ...zone, history: { kind: 'lightened' as const, level }, damage: out.strand.damage * TREATED };
  });
  return { ...kase, head: { ...kase.head, zones } };
}

/**
 * The farthest stage on the way that one visit can bring home; null where nothing moves. The condition of the hair sets
 * the first try, what the lines at hand can do may be less.
 */
function partWay(
  kase: ServiceCase,
  failed: readonly { task: Task }[],
  lines: readonly Line[],
  rules: HouseRules,
): { kase: ServiceCase; step: Extract<ReturnType<typeof oneVisit>, { ok: true }> } | null {
  if (failed.some(({ task }) => task.part.woven)) return null;
  for (let less = 0; ; less += 0.5) {
    const wish = { ...kase.wish };
    for (const { task } of failed) {
      const stage = interim(task);
      const level = stage.level - less;
      if (level <= task.present + 0.5) return null;
      wish[task.part.zone] = { ...stage, level };
    }
    const stage = { ...kase, wish };
    const step = oneVisit(stage, lines, rules, 1);
    if (step.ok) return { kase: stage, step };
  }
}

/** Levels of a case that the class has no numbers for (L1). */
function beyondScale({ head, wish, weave }: ServiceCase, { levelScale }: HouseRules): Reason[] {
  const most = topLevel(levelScale);
  const levels = [
    ...head.zones.map(presentLevel),
    ...Object.values(wish).map(({ level }) => level),
    ...(weave ? [weave.target.level] : []),
  ];
  const level = Math.max(...levels);
  return level > most ? [reason('solve.beyondScale', 'L1', { level, most })] : [];
}

/**
 * Searches routes, shades, developer, ratio and time for a whole head. Everything the rules forbid is left out; what is
 * left is ranked by what the hair model makes of it. Where one visit cannot do it, says why and plans the visits.
 * Same input, same output.
 */
export function solveService(kase: ServiceCase, lines: readonly Line[], rules: HouseRules): SolveResult {
  const beyond = beyondScale(kase, rules);
  if (beyond.length > 0) return { ok: false, reasons: beyond };
  const stops = stopsService(kase);
  if (stops.length > 0) {
    const readings = readingsOf(kase, [], rules);
    const best: ServicePlan = {
      ...EMPTY_PLAN,
      readings,
      asked: ['lastColour', 'reactions', 'scalp', 'metallicSalts', 'upkeep'],
      tests: ['patch'],
      decision: 'decline',
    };
    return {
      ok: true,
      solution: {
        version: SERVICE_VERSION,
        visit: kase,
        visits: [{ wish: kase.wish, weave: kase.weave, afterWeeks: 0 }],
        stops,
        best,
        choices: [],
        equivalents: [],
        proof: [],
      },
    };
  }
  const atHand = lines.filter(({ id }) => kase.lineIds.includes(id));
  const lineOf: LineOf = (id) => atHand.find((line) => line.id === id);
  const visits: Visit[] = [];
  let first: { kase: ServiceCase; found: Extract<ReturnType<typeof oneVisit>, { ok: true }> } | null = null;
  let proof: Reason[] = [];
  let now = kase;
  while (visits.length < MOST_VISITS) {
    const found = oneVisit(now, atHand, rules, 1);
    const afterWeeks = visits.length === 0 ? 0 : WEEKS_BETWEEN;
    if (found.ok) {
      visits.push({ wish: now.wish, weave: now.weave, afterWeeks });
      first ??= { kase: now, found };
      return { ok: true, solution: finished(first, visits, proof, lineOf) };
    }
    if (visits.length === 0) {
      const all = found.failed.flatMap(({ reasons }) => reasons);
      // The condition of the hair is what says how many visits; the other routes are ruled out besides.
      const byCondition = all.filter(({ code }) => code === 'route.beyondCondition');
      proof = byCondition.length > 0 ? byCondition : all;
    }
    const onTheWay = found.failed.map(({ task }) => task.part.zone);
    const partial = partWay(now, found.failed, atHand, rules);
    if (!partial) return { ok: false, reasons: proof };
    const { kase: stage, step } = partial;
    visits.push({ wish: stage.wish, weave: now.weave, afterWeeks });
    first ??= { kase: stage, found: step };
    const played = playPlan(stage, step.best, lineOf);
    now = { ...headAfter(stage, played.outcomeAt(played.minutes), onTheWay), wish: now.wish };
  }
  return { ok: false, reasons: proof };
}

function finished(
  { kase, found }: { kase: ServiceCase; found: Extract<ReturnType<typeof oneVisit>, { ok: true }> },
  visits: Visit[],
  proof: Reason[],
  lineOf: LineOf,
): Solution {
  const told = (plan: ServicePlan): ServicePlan => ({ ...plan, visits: visits.length });
  const best = told(found.best);
  const played = playPlan(kase, best, lineOf);
  const outcomes = played.outcomeAt(played.minutes);
  return {
    version: SERVICE_VERSION,
    visit: kase,
    visits,
    stops: [],
    best,
    choices: found.jobs.map(({ task, route }) => ({
      part: partName(task.part),
      route,
      reason: rulingsFor(task).find((ruling) => ruling.route === route)!.reason,
      away: outcomes.find(({ part }) => partName(part) === partName(task.part))!.away,
    })),
    equivalents: found.equivalents.map(told),
    proof,
  };
}

/** Condition of the worst part at the end of a plan. */
export const worstCondition = (outcomes: readonly PartOutcome[]) => {
  const damage = Math.max(0, ...outcomes.map(({ strand }) => strand.damage));
  return conditionOf({ damage });
};
export { presentLevel };
