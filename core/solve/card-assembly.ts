import { type Step, type RecordCard, type Bowl, STATION, bowlGrams } from '../card';
import { type ClientCase, shareOfPart, placementOn } from '../case';
import { type Head, type PlaceId, regionsOf, areasOf, besideOf, type Area } from '../hair';
import { HEAD_START, tonesBared, NEEDED_QUESTIONS, neededTests } from '../method';
import type { Line } from '../product';
import {
  RINSING,
  startsToEndTogether,
  CHECKS,
  type HouseRules,
  LIFTING,
  areasInOrder,
  washBefore,
} from '../rules';
import { careOf } from './care';
import type { Job, Way, ChosenLayer } from './group-plans';
import { readingsOf, aftercareFor } from './readings';
import { sameTone } from './right-mixes';
import { formulaOf, weigh, leftOver, enlarged, thinned } from './weighing';

/** Jobs that share their bowls, and the way chosen for them. */
export interface Group {
  jobs: Job[];
  way: Way;
}

/** Minutes for rinsing and two gentle washes between one bowl and the next (R5). */
export const BETWEEN_MINUTES = RINSING.minutes;

const NAMES = 'ABCDEFGH';

/** Hair that others are woven out of: it is coloured between their foils, or the colour would reach them too (A6). */
const isBetween = ({ task: { part } }: Job, jobs: readonly Job[]): boolean =>
  !part.woven && jobs.some(({ task }) => task.part.woven && task.part.zone === part.zone);
/** Share of the hair that is covered for a job. */
const shareOf = (job: Job, jobs: readonly Job[], clientCase: ClientCase): number =>
  job.task.part.woven || isBetween(job, jobs)
    ? Math.round(shareOfPart(clientCase, job.task.part) * 100) / 100
    : 1;

/**
 * Phase in which the bowls of a group begin. Work with fewer bowls joins at the end, so that all is rinsed and looked
 * at together; what goes between foils goes on while they are in.
 */
function beginsIn(
  { jobs, way }: Group,
  groups: readonly Group[],
  all: readonly Job[],
  phases: number,
): number {
  const own = phases - way.layers.length;
  if (!jobs.some((job) => isBetween(job, all))) return own;
  const foils = groups.filter((group) => group.jobs.some(({ task }) => task.part.woven));
  const foilsIn = Math.min(...foils.map((group) => phases - group.way.layers.length));
  return Math.max(0, Math.min(own, foilsIn - way.layers.length + 1));
}

interface Placed {
  job: Job;
  layer: ChosenLayer;
  minutes: number;
  bowl: string;
  start: number;
  wet: boolean;
}

/**
 * The bowl that ends are refreshed from where the school uses up what is left of the one for the regrowth (A1); null
 * where no such bowl was mixed, and a gloss is used in every school.
 */
function leftoverFor(
  { jobs }: Group,
  groups: readonly Group[],
  refresh: HouseRules['endsRefresh'],
): Group | null {
  if (refresh === 'gloss' || jobs.some(({ route }) => route !== 'refresh')) return null;
  const { target } = jobs[0].task;
  return (
    groups.find((other) => {
      const last = other.way.layers.at(-1);
      if (!last || last.role !== 'colour' || !LIFTING.includes(last.line.kind)) return false;
      return other.jobs.some(
        ({ task, route }) =>
          route !== 'refresh' &&
          !task.part.woven &&
          task.target.level === target.level &&
          sameTone(task.target.tone, target.tone),
      );
    }) ?? null
  );
}

/** Colour that would lift or cover by itself, mixed afresh to refresh with: thinned as a leftover would be. */
const isThinned = ({ jobs, way }: Group) =>
  jobs.every(({ route }) => route === 'refresh') &&
  way.layers.every(({ line }) => LIFTING.includes(line.kind));

/**
 * Lightening hair that has never been coloured: the warm root waits (A2).
 * @rule A9
 */
export const rootWaits = ({ task, route }: Pick<Job, 'task' | 'route'>, layer: { role: string }): boolean =>
  task.place === 'onScalp' &&
  task.history.kind === 'untouched' &&
  (layer.role === 'lighten' || route === 'liftWithColour' || route === 'highLift');

/** Lengths that the warm root waits for: off the scalp, untouched, and lifted themselves; in a retouch it never waits (A9). */
export const isWaitedFor = ({ task, route }: Pick<Job, 'task' | 'route'>): boolean =>
  task.place === 'offScalp' &&
  !task.part.woven &&
  task.history.kind === 'untouched' &&
  (route === 'lightenThenTone' || route === 'liftWithColour' || route === 'highLift');

/** Starts within one phase: all end together, the root of untouched hair waits at least its head start. */
function schedule(placed: Placed[], from: number): void {
  const starts = startsToEndTogether(placed.map(({ minutes }) => minutes));
  const firstLength = Math.min(...placed.flatMap(({ job }, i) => (isWaitedFor(job) ? [starts[i]] : [])));
  placed.forEach((one, i) => {
    one.start = from + starts[i];
    if (rootWaits(one.job, one.layer) && Number.isFinite(firstLength)) {
      const waited = Math.min(HEAD_START.most, Math.max(HEAD_START.least, starts[i] - firstLength));
      one.start = from + firstLength + waited;
    }
  });
}

function stepsOf(placed: Placed[], clientCase: ClientCase, jobs: readonly Job[]): Step[] {
  const steps: Step[] = [];
  for (const { job, layer, minutes, bowl, start, wet } of placed) {
    const { zone, woven } = job.task.part;
    const share = shareOf(job, jobs, clientCase);
    const placement = woven ? 'foils' : isBetween(job, jobs) ? 'between' : 'open';
    const toner =
      layer.role === 'colour' &&
      (layer.line.kind === 'demi' || layer.line.kind === 'acidGloss') &&
      tonesBared(job.task, job.route) &&
      job.route !== 'fillThenColour';
    const same = steps.find(
      (step) =>
        step.bowl === bowl &&
        step.start === start &&
        step.minutes === minutes &&
        step.share === share &&
        step.placement === placement &&
        step.taken === (woven ? takenOn(clientCase, zone).taken : undefined) &&
        step.wet === wet,
    );
    if (same) {
      same.zones.push(zone);
      continue;
    }
    steps.push({
      bowl,
      zones: [zone],
      placement,
      share,
      areas: [],
      ...(woven ? takenOn(clientCase, zone) : {}),
      stopsAtLine: true,
      wet,
      start,
      minutes,
      heat: null,
      checkEvery:
        layer.role === 'lighten' || layer.role === 'cleanse'
          ? CHECKS.lightener.best
          : toner
            ? CHECKS.toner.best
            : null,
      ends: layer.line.kind === 'filler' ? 'stay' : 'rinse',
    });
  }
  for (const step of steps) {
    const coversGrey = placed.some(
      ({ bowl, layer, job }) =>
        bowl === step.bowl &&
        step.zones.includes(job.task.part.zone) &&
        layer.role === 'colour' &&
        job.route !== 'refresh',
    );
    step.areas = orderOf(clientCase.head, step.zones, coversGrey);
  }
  return steps;
}

/** The areas of some places in the order they are worked: by the white that is to be covered, or by how dense they grow. */
function orderOf(head: Head, places: readonly PlaceId[], coversGrey: boolean): Area[] {
  const regions = regionsOf(head);
  return areasInOrder(areasOf(regions, places), (area) => {
    const { zones, density } = regions.find(({ areas }) => areas.includes(area))!;
    return { grey: coversGrey ? Math.max(...zones.map(({ greyShare }) => greyShare)) : 0, density };
  });
}

/** How the hair of a place is to be taken, where the case says so (A6). */
const takenOn = (clientCase: ClientCase, place: PlaceId): Pick<Step, 'taken'> => {
  const taken = placementOn(clientCase, place)?.taken;
  return taken ? { taken } : {};
};

/** Only lightener asks for it; before colour it is left open. */
function washOf(groups: readonly Group[], rules: HouseRules): RecordCard['wash'] {
  const lightener = groups.flatMap(({ way }) => way.layers).find(({ role }) => role === 'lighten');
  return lightener ? washBefore(lightener.line, rules) : null;
}

/** Kinds of line that must not run into another beside them (C5). */
const RUNS: readonly Line['kind'][] = ['lightenerStrong', 'lightenerGentle', 'remover'];

/**
 * Two products that work at once on places that meet, each in foils of its own: two powders, or a remover below a powder
 * (A6, C5, P3).
 */
function keptApart(
  steps: readonly Step[],
  /** Kinds of line in the bowls, by their names. */
  kinds: ReadonlyMap<string, Line['kind']>,
  head: Head,
): Step[] {
  const meets = (a: Step, b: Step) =>
    a.start < b.start + b.minutes &&
    b.start < a.start + a.minutes &&
    a.zones.some((zone) => besideOf(head, zone).some((near) => b.zones.includes(near)));
  const runs = (step: Step) => {
    const kind = kinds.get(step.bowl);
    return step.placement === 'open' && kind !== undefined && RUNS.includes(kind) ? kind : null;
  };
  return steps.map((step) => {
    const kind = runs(step);
    const beside =
      kind !== null &&
      steps.some((other) => {
        const theirs = runs(other);
        return other !== step && theirs !== null && theirs !== kind && meets(step, other);
      });
    return beside ? { ...step, placement: 'foils' as const } : step;
  });
}

/** The card for a head: bowls weighed, zones in order, times that end together. */
export function assemble(
  clientCase: ClientCase,
  groups: readonly Group[],
  rules: HouseRules,
  visits: number,
  /** How ends are refreshed with the lines at hand. */
  refresh: HouseRules['endsRefresh'],
): RecordCard {
  const jobs = groups.flatMap((group) => group.jobs);
  const phases = Math.max(0, ...groups.map(({ way }) => way.layers.length));
  const bowls: Bowl[] = [];
  const kinds = new Map<string, Line['kind']>();
  const steps: Step[] = [];
  let from = 0;
  const begins = new Map(groups.map((group) => [group, beginsIn(group, groups, jobs, phases)]));
  const endsIn = (group: Group) => begins.get(group)! + group.way.layers.length;
  // A leftover is there only where its bowl is mixed for the same part of the service; else the ends get their gloss.
  const donors = new Map(
    groups.flatMap((group) => {
      const donor = leftoverFor(group, groups, refresh);
      return donor && endsIn(donor) === endsIn(group) ? [[group, donor] as const] : [];
    }),
  );
  // What is made of a leftover comes after the bowl it is left from.
  const inOrder = [...groups].sort((a, b) => Number(donors.has(a)) - Number(donors.has(b)));
  for (let phase = 0; phase < phases; phase++) {
    const placed: Placed[] = [];
    const mixed = new Map<Group, string>();
    const byFormula = new Map<string, { name: string; zones: PlaceId[]; share: number }>();
    for (const group of inOrder) {
      const own = group.way.layers[phase - begins.get(group)!];
      if (!own) continue;
      const donor = donors.get(group);
      const emulsified = donor && refresh === 'waterEmulsify' ? mixed.get(donor) : undefined;
      const layer = donor ? { ...donor.way.layers.at(-1)!, minutes: own.minutes } : own;
      const isThin = donor !== undefined || isThinned(group);
      const shared = isThin ? undefined : byFormula.get(formulaOf(layer));
      const name = emulsified ?? shared?.name ?? NAMES[bowls.length];
      const zones = group.jobs.map(({ task }) => task.part.zone);
      const share = Math.max(...group.jobs.map((job) => shareOf(job, jobs, clientCase)));
      if (emulsified === undefined) {
        const serves = {
          name,
          zones: [...(shared?.zones ?? []), ...zones],
          share: Math.max(shared?.share ?? 0, share),
        };
        const bowl = weigh(name, layer, clientCase.head, serves.zones, serves.share);
        const origin = donor && bowls.findIndex((one) => one.name === mixed.get(donor));
        if (shared) bowls[bowls.findIndex((one) => one.name === name)] = bowl;
        else if (origin !== undefined && origin >= 0) {
          const left = leftOver(name, bowls[origin], bowlGrams(bowl));
          bowls[origin] = enlarged(bowls[origin], left.from!.grams);
          bowls.push(left);
        } else {
          bowls.push(isThin ? thinned(bowl) : bowl);
          kinds.set(name, layer.line.kind);
        }
        if (!isThin) byFormula.set(formulaOf(layer), serves);
      }
      mixed.set(group, name);
      group.jobs.forEach((job, i) =>
        placed.push({
          job,
          layer,
          minutes: layer.minutes[i],
          bowl: name,
          start: 0,
          wet: emulsified !== undefined || layer.role === 'cleanse',
        }),
      );
    }
    schedule(placed, from);
    steps.push(...stepsOf(placed, clientCase, jobs));
    const end = Math.max(...placed.map(({ start, minutes }) => start + minutes));
    const stays = placed.every(({ layer }) => layer.line.kind === 'filler');
    from = end + (stays ? 0 : BETWEEN_MINUTES);
  }
  return {
    readings: readingsOf(clientCase, jobs, rules),
    asked: [...NEEDED_QUESTIONS],
    tests: neededTests(jobs, clientCase),
    ...(clientCase.station ? { station: [...STATION] } : {}),
    decision: 'goOn',
    visits,
    bowls,
    wash: washOf(groups, rules),
    steps: keptApart(
      steps.sort((a, b) => a.start - b.start),
      kinds,
      clientCase.head,
    ),
    care: careOf(clientCase, groups, steps),
    ...aftercareFor(jobs),
  };
}
