import { splitByParts } from '../measure';
import {
  STATION,
  amountFor,
  areasOf,
  besideOf,
  bowlGrams,
  placementOn,
  regionsOf,
  shareOfPart,
  type Bowl,
  type Head,
  type PlaceId,
  type ClientCase,
  type RecordCard,
  type Step,
} from '../card';
import type { Area } from '../hair';
import type { Line } from '../shades';
import {
  LEFTOVER_WATER,
  CHECKS,
  LIFTING,
  RINSING,
  pourOf,
  areasInOrder,
  startsToEndTogether,
  washBefore,
  type HouseRules,
} from '../theory';
import { careOf } from './besides';
import { sameTone } from './combine';
import { aftercareFor, readingsOf } from './readings';
import type { ChosenLayer, Job, Way } from './job';
import { HEAD_START, tonesBared } from './terms';
import { NEEDED_QUESTIONS, neededTests } from './safety';

/** Jobs that share their bowls, and the way chosen for them. */
export interface Group {
  jobs: Job[];
  way: Way;
}

/** Minutes for rinsing and two gentle washes between one bowl and the next (R5). */
export const BETWEEN_MINUTES = RINSING.minutes;

const tenth = (grams: number) => Math.round(grams * 10) / 10;
const NAMES = 'ABCDEFGH';

/** Developer of a strength out of what the line has: as it is, mixed, or thinned with water (D8). */
function poured({ line }: ChosenLayer, vol: number, grams: number): Bowl['developer'] {
  // That the class may dilute was settled when the strength was chosen.
  const pour = pourOf(vol, line.developersVol, true) ?? [{ vol, parts: 1 }];
  const weights = splitByParts(
    grams,
    pour.map(({ parts }) => parts),
  );
  return pour.map((part, i) => ({ vol: part.vol, grams: tenth(weights[i]) }));
}

/** Parts of a tube that are pressed out by its marks, the likeliest first (M3). */
const OF_TUBE = [1 / 2, 1 / 4];
const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-9;

/**
 * Grams of a bowl: the middle of its guide, or where whole, half or quarter tubes of every shade come to an amount within
 * the guide, the nearest of those to the middle (M2, M3).
 */
function totalGrams(
  layer: ChosenLayer,
  { minGrams, maxGrams }: { minGrams: number; maxGrams: number },
): number {
  const middle = (minGrams + maxGrams) / 2;
  const parts = layer.shades.map((one) => one.parts);
  if (parts.length > 0 && layer.ratio !== null && parts.every(isWhole)) {
    const all = parts.reduce((sum, one) => sum + one, 0);
    for (const part of OF_TUBE) {
      const step = layer.line.tubeGrams * part * all * (1 + layer.ratio);
      const total = Math.max(1, Math.round(middle / step)) * step;
      if (total >= minGrams && total <= maxGrams) return total;
    }
  }
  return Math.max(5, Math.round(middle / 5) * 5);
}

/** The bowl as it is weighed out for some zones. */
function weigh(name: string, layer: ChosenLayer, head: Head, zones: PlaceId[], share: number): Bowl {
  const total = totalGrams(layer, amountFor(head, zones, share));
  // A cleanse holds as much conditioner as powder.
  const addition = layer.role === 'cleanse' ? 1 : 0;
  const colour = layer.ratio === null ? total : total / (1 + layer.ratio + addition);
  const shares = splitByParts(
    colour,
    layer.shades.map(({ parts }) => parts),
  );
  return {
    name,
    lineId: layer.line.id,
    shades: layer.shades.map(({ shade }, i) => ({ label: shade.label, grams: tenth(shares[i]) })),
    productGrams: layer.shades.length === 0 ? tenth(colour) : 0,
    developer: layer.vol === null ? [] : poured(layer, layer.vol, total - colour * (1 + addition)),
    additive: false,
    ...(addition > 0 ? { others: [{ kind: 'conditioner' as const, grams: tenth(colour) }] } : {}),
  };
}

/** What makes two bowls one: what they hold, whatever the grams. */
const formulaOf = ({ role, line, shades, ratio, vol }: ChosenLayer): string =>
  JSON.stringify([role, line.id, shades.map(({ shade, parts }) => [shade.label, parts]), ratio, vol]);

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

/** As much of it held back, and water weighed to it: the bowl that ends are refreshed from (A1). */
function leftOver(name: string, whole: Bowl, grams: number): Bowl {
  const of = bowlGrams(whole);
  const poured = whole.developer.reduce((sum, part) => sum + part.grams, 0);
  const water = (poured / of) * LEFTOVER_WATER;
  const taken = tenth(grams / (1 + water));
  return {
    name,
    lineId: null,
    shades: [],
    productGrams: 0,
    developer: [{ vol: 0, grams: tenth(grams - taken) }],
    additive: false,
    from: { bowl: whole.name, grams: taken },
  };
}

/** A bowl with so much more in it, so that something is left. */
function enlarged(bowl: Bowl, grams: number): Bowl {
  const by = 1 + grams / bowlGrams(bowl);
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * by) })),
    developer: bowl.developer.map((part) => ({ ...part, grams: tenth(part.grams * by) })),
  };
}

/** The same mix with water in it. */
function thinned(bowl: Bowl): Bowl {
  const poured = bowl.developer.reduce((sum, { grams }) => sum + grams, 0);
  const water = poured * LEFTOVER_WATER;
  const all = bowlGrams(bowl);
  const less = (grams: number) => tenth((grams * all) / (all + water));
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: less(shade.grams) })),
    developer: [
      ...bowl.developer.map((part) => ({ ...part, grams: less(part.grams) })),
      { vol: 0, grams: less(water) },
    ],
  };
}

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
  kindOf: (bowl: string) => Line['kind'] | undefined,
  head: Head,
): Step[] {
  const meets = (a: Step, b: Step) =>
    a.start < b.start + b.minutes &&
    b.start < a.start + a.minutes &&
    a.zones.some((zone) => besideOf(head, zone).some((near) => b.zones.includes(near)));
  const runs = (step: Step) => {
    const kind = kindOf(step.bowl);
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
        } else bowls.push(isThin ? thinned(bowl) : bowl);
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
  const kinds = new Map(
    groups.flatMap(({ way }) => way.layers.map(({ line }): [string, Line['kind']] => [line.id, line.kind])),
  );
  const kindOf = (name: string) => kinds.get(bowls.find((bowl) => bowl.name === name)?.lineId ?? '');
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
      kindOf,
      clientCase.head,
    ),
    care: careOf(clientCase, groups, steps),
    ...aftercareFor(jobs),
  };
}
