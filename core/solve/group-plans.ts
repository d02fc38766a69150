import { vividMix, targetLab } from '../case';
import { type Lab, differenceOf } from '../colour';
import { type Strand, levelOfPigmented, labOfStrand } from '../hair';
import {
  type Task,
  type Route,
  type Layer,
  type ShadeNeed,
  needOnLine,
  termsOf,
  type Terms,
  tonesBared,
} from '../method';
import {
  type ProductKind,
  type Mix,
  strandUnder,
  apply,
  strandAfter,
  type Application,
  isGivingWay,
  conditionOf,
} from '../process';
import type { Line, ShadePart } from '../product';
import { LIFTING, LEFTOVER_WATER, type HouseRules } from '../rules';
import { type RightMix, rightMixes } from './right-mixes';

// Bound once: these run millions of times in a search.
const { floor, max, round } = Math;

/** A part of the head, how it is to be done, and its strand as it comes in. */
export interface Job {
  task: Task;
  route: Route;
  layers: Layer[];
  start: Strand;
  /** Product that the right route would take and that is not at hand. */
  lacks?: ProductKind;
}

/** What one bowl of a group of jobs is, and how long it lies on each of them. */
export interface ChosenLayer {
  role: Layer['role'];
  line: Line;
  mix: Mix;
  /** Shades by parts, where the bowl has shades. */
  shades: ShadePart[];
  ratio: number | null;
  vol: number | null;
  /** Minutes by job. */
  minutes: number[];
}

/** One way to do a group, and what it comes to. */
export interface Way {
  layers: ChosenLayer[];
  /** Colours at the end, by job, and ΔE2000 to the wish. */
  labs: Lab[];
  deltaE: number[];
  cost: number;
}

const kindOf = (product: ProductKind): Line['kind'] => (product === 'highLift' ? 'permanent' : product);
function linesFor(layer: Layer, lines: readonly Line[]): Line[] {
  const found = layer.products.flatMap((product) =>
    lines.filter(({ kind, highLift }) => kind === kindOf(product) && (product !== 'highLift' || highLift)),
  );
  const gentle = found.filter(({ kind }) => !LIFTING.includes(kind));
  if (layer.refresh && gentle.length > 0) return gentle;
  // Cover is permanent colour's (F13); another covers only where none is at hand.
  const covering = found.filter(({ kind }) => LIFTING.includes(kind));
  return layer.need?.covers && covering.length > 0 ? covering : found;
}
/** Whether any of a layer's products is among the lines. */
export const hasProduct = (layer: Layer, lines: readonly Line[]): boolean =>
  linesFor(layer, lines).length > 0;

/** A leftover of colour that lifts and covers refreshes only when it is thinned (A1). */
const thinnedAs = (layer: Layer, line: Line) =>
  layer.refresh && LIFTING.includes(line.kind) ? { thinned: LEFTOVER_WATER } : {};

/** A mix left on hair for so long; a cleanse goes on wet hair (P8). */
export const lie = (mix: Mix, strand: Strand, minutes: number): Strand =>
  strandUnder(mix.conditioner ? { mix, wet: true } : { mix }, strand, minutes);

/** Strengths to try with lightener, gentle hair first slow, sound hair at the usual pace (D3). */
function inOrder(vols: readonly number[], { diameter, condition, history }: Task): number[] {
  const gentle = diameter === 'fine' || condition !== 'strong' || history.kind === 'lightened';
  const usual = gentle ? [10, 20, 30, 40] : [20, 30, 10, 40];
  return usual.filter((vol) => vols.includes(vol));
}

/** Level that counts as reached when it is watched for. */
export const REACHED_WITHIN = 0.1;
/** First whole minute at which the strand has lightened to a level; null when it does not in the time. */
export function minutesToLevel(mix: Mix, strand: Strand, aim: number, most: number): number | null {
  const application = apply({ mix }, strand);
  const levelAt = (minute: number) => levelOfPigmented(strandAfter(application, minute));
  if (levelAt(most) < aim - REACHED_WITHIN) return null;
  let [low, high] = [0, most];
  while (high - low > 1) {
    const middle = floor((low + high) / 2);
    if (levelAt(middle) >= aim - REACHED_WITHIN) high = middle;
    else low = middle;
  }
  return high;
}

const LEAST_MINUTES = 5;

function lighten(
  jobs: readonly Job[],
  strands: readonly Strand[],
  layer: Layer,
  lines: readonly Line[],
  rules: HouseRules,
): ChosenLayer | null {
  // What is there within a few minutes is hard to catch: taken only where nothing slower is allowed.
  let quick: ChosenLayer | null = null;
  for (const line of linesFor(layer, lines)) {
    const terms = jobs.map(({ task, route }) => termsOf(task, route, layer, line, rules));
    if (terms.some((one) => one === null)) continue;
    const all = terms as Terms[];
    const shared = all[0].vols.filter((vol) => all.every(({ vols }) => vols.includes(vol)));
    for (const vol of inOrder(shared, jobs[0].task)) {
      const mix: Mix = { product: line.kind, shades: [], developerVol: vol, ratio: line.ratios[0] };
      const minutes = jobs.map(({ task }, i) =>
        minutesToLevel(mix, strands[i], task.target.level, all[i].minutes.max),
      );
      if (minutes.some((one) => one === null)) continue;
      const worn = jobs.some((_, i) => isGivingWay(conditionOf(lie(mix, strands[i], minutes[i]!))));
      if (worn) continue;
      const chosen: ChosenLayer = {
        role: 'lighten',
        line,
        mix,
        shades: [],
        ratio: mix.ratio,
        vol,
        minutes: minutes as number[],
      };
      if (minutes.every((one) => one! >= LEAST_MINUTES)) return chosen;
      quick ??= chosen;
    }
  }
  return quick;
}

function plain(
  jobs: readonly Job[],
  layer: Layer,
  lines: readonly Line[],
  rules: HouseRules,
): ChosenLayer | null {
  for (const line of linesFor(layer, lines)) {
    const chosen = plainOf(jobs, layer, line, rules);
    if (chosen) return chosen;
  }
  return null;
}

/** What is not searched for, of one line: its directions say all. Null where the line has nothing for it. */
function plainOf(jobs: readonly Job[], layer: Layer, line: Line, rules: HouseRules): ChosenLayer | null {
  const { task, route } = jobs[0];
  const terms = termsOf(task, route, layer, line, rules);
  if (!terms) return null;
  const minutes = jobs.map(() => terms.minutes.best);
  if (layer.role === 'cleanse') {
    const [vol, ratio] = [terms.vols[0], terms.ratios[0]];
    const mix: Mix = { product: line.kind, shades: [], developerVol: vol, ratio, conditioner: true };
    return { role: 'cleanse', line, mix, shades: [], ratio, vol, minutes };
  }
  if (layer.role === 'remove') {
    const [vol, ratio] = [terms.vols[0], terms.ratios[0]];
    const mix: Mix = { product: 'remover', shades: [], developerVol: vol, ratio };
    return { role: 'remove', line, mix, shades: [], ratio, vol, minutes };
  }
  if (layer.role === 'fill' && line.kind !== 'filler') {
    const [warm] = rightMixesOf(line, layer.need!);
    if (!warm) return null;
    const [vol, ratio] = [terms.vols[0], terms.ratios[0]];
    const mix: Mix = { product: line.kind, shades: warm.mix, developerVol: vol, ratio };
    return { role: 'fill', line, mix, shades: warm.mix, ratio, vol, minutes };
  }
  if (layer.role === 'fill') {
    const fills = jobs[0].task.target.level;
    const named = Object.entries(line.key.named ?? {}).flatMap(([label, shade]) =>
      shade.series === 'filler' && shade.level === floor(fills) ? [label] : [],
    );
    if (named.length === 0) return null;
    const shade = {
      label: named[0],
      series: 'filler' as const,
      level: floor(fills),
      tone: { primary: 'warmBrown' as const },
    };
    const mix: Mix = { product: 'filler', shades: [], fillsLevel: shade.level, developerVol: 0, ratio: 1 };
    return { role: 'fill', line, mix, shades: [{ shade, parts: 1 }], ratio: null, vol: null, minutes };
  }
  const dye = jobs[0].task.target.vivid!;
  const label = Object.entries(line.key.named ?? {}).find(
    ([, shade]) => shade.series === 'direct' && shade.dye === dye,
  )?.[0];
  if (label === undefined) return null;
  const shade = { label, series: 'direct' as const, level: null, tone: { primary: 'neutral' as const }, dye };
  return {
    role: 'colour',
    line,
    mix: vividMix(dye),
    shades: [{ shade, parts: 1 }],
    ratio: null,
    vol: null,
    minutes,
  };
}

/** Mixes looked at by the hair model for each line; the theory has sorted them. */
const LOOKED_AT = 48;
/** What a less simple mix, a line further down the list or a ratio that is not the standard costs against a ΔE of 1. */
const PRICE = { mix: 1, line: 0.8, ratio: 0.25, vol: 0.3, minutes: 0.5, liftingOnBare: 3 };
/** Nearer than this, ΔE2000, nobody tells plans apart: the simpler one is the better. */
const TOLD_APART = 2;

const rightKept = new WeakMap<Line, Map<string, RightMix[]>>();
function rightMixesOf(line: Line, need: ShadeNeed): RightMix[] {
  const kept = rightKept.get(line) ?? new Map<string, RightMix[]>();
  rightKept.set(line, kept);
  const name = JSON.stringify(need);
  const found = kept.get(name) ?? rightMixes(line, need, LOOKED_AT);
  kept.set(name, found);
  return found;
}

/** Every two of two lists, with their places. */
const pairs = (a: readonly number[], b: readonly number[]): [number, number, number, number][] =>
  a.flatMap((one, i) => b.map((other, j): [number, number, number, number] => [i, one, j, other]));

/** A bowl of colour that the rules allow, before the hair model has looked at it. */
export interface Candidate {
  chosen: ChosenLayer;
  /** What it costs beside how far it misses the wish: simplicity, the order of the lines. Against a ΔE of 1. */
  price: number;
}

/** Every colour layer that the rules allow. */
function* colours(
  jobs: readonly Job[],
  layer: Layer,
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[],
): Generator<Candidate> {
  // Bared hair is toned and darkened by low-strength colour; permanent only where that comes clearly nearer (F4, F9).
  const onBare = jobs.every(({ task, route }) => tonesBared(task, route));
  for (const [rank, line] of linesFor(layer, lines).entries()) {
    const terms = jobs.map(({ task, route }, i) => termsOf(task, route, layer, line, rules, startsFirst[i]));
    if (terms.some((one) => one === null)) continue;
    const all = terms as Terms[];
    const shared = all[0].vols.filter((one) => all.every(({ vols }) => vols.includes(one)));
    const product: ProductKind = layer.need!.highLift ? 'highLift' : line.kind;
    const [need, ...others] = jobs.map(({ task }) => needOnLine(layer.need!, task.greyShare, line, rules));
    // By the line's own table the jobs may need bowls of their own; they are then tried apart.
    if (others.some(({ naturalShare }) => naturalShare.min !== need.naturalShare.min)) continue;
    const best = all.map(({ minutes }) => minutes.best);
    const short = all.map(({ minutes }) => minutes.min);
    const middle = all.map(({ minutes }) => round((minutes.best + minutes.min) / 2));
    const times = best.every((m, at) => m === short[at]) ? [best] : [best, middle, short];
    for (const { mix: shades, cost } of rightMixesOf(line, need)) {
      for (const [i, ratio, j, vol] of pairs(all[0].ratios, shared)) {
        const mix: Mix = { product, shades, developerVol: vol, ratio, ...thinnedAs(layer, line) };
        for (const minutes of times)
          yield {
            chosen: { role: 'colour', line, mix, shades, ratio, vol, minutes },
            price:
              PRICE.mix * cost +
              PRICE.line * rank +
              PRICE.ratio * i +
              PRICE.vol * j +
              (minutes === best ? 0 : PRICE.minutes) +
              (onBare && LIFTING.includes(line.kind) ? PRICE.liftingOnBare : 0),
          };
      }
    }
  }
}

/** What comes before the colour of some jobs, the strands as they then are, and every bowl of colour that is right. */
export interface Choices {
  before: ChosenLayer[];
  strands: Strand[];
  /** Null where no colour is to be chosen: what comes before is all. */
  candidates: Candidate[] | null;
}

/** Every choice the rules leave for jobs that share their layers; null where a layer has no product at hand. */
export function choicesFor(
  jobs: readonly Job[],
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[] = jobs.map(() => false),
): Choices | null {
  let strands = jobs.map(({ start }) => start);
  const before: ChosenLayer[] = [];
  for (const layer of jobs[0].layers) {
    if (layer.role === 'colour' && layer.need)
      return { before, strands, candidates: [...colours(jobs, layer, lines, rules, startsFirst)] };
    const chosen =
      layer.role === 'lighten'
        ? lighten(jobs, strands, layer, lines, rules)
        : plain(jobs, layer, lines, rules);
    if (!chosen) return null;
    before.push(chosen);
    strands = strands.map((strand, i) => lie(chosen.mix, strand, chosen.minutes[i]));
  }
  return { before, strands, candidates: null };
}

/** What a candidate makes of the strands it lies on. */
export const colouredBy = ({ mix, minutes }: ChosenLayer, strands: readonly Strand[]): Lab[] =>
  strands.map((strand, i) => labOfStrand(lie(mix, strand, minutes[i])));

/** The same for candidates that share their bowls and differ in minutes: each bowl is put on once. */
function colouring(strands: readonly Strand[]): (chosen: ChosenLayer) => Lab[] {
  const put = new Map<Mix, Application[]>();
  return ({ mix, minutes }) => {
    const on = put.get(mix) ?? strands.map((strand) => apply({ mix }, strand));
    put.set(mix, on);
    return on.map((application, i) => labOfStrand(strandAfter(application, minutes[i])));
  };
}

/**
 * All ways the rules allow to do a group of jobs that share their layers, best first: nearness to the wish by the hair
 * model, then simplicity. Nothing where no line at hand can do it.
 *
 * They are worked out as they are asked for: a candidate costs at least its price and what nobody tells apart, so the hair
 * model looks at one only once no other that it has looked at is surely better.
 */
export function* waysOf(
  jobs: readonly Job[],
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[] = jobs.map(() => false),
): Generator<Way> {
  const choices = choicesFor(jobs, lines, rules, startsFirst);
  if (!choices) return;
  const { before, strands, candidates } = choices;
  const goals = jobs.map(({ task }) => targetLab(task.target));
  const wayOf = (layers: ChosenLayer[], labs: Lab[], price: number): Way => {
    const deltaE = labs.map((lab, i) => differenceOf(lab, goals[i]));
    const missed = deltaE.reduce((sum, one) => sum + max(TOLD_APART, one), 0) / jobs.length;
    return { layers, labs, deltaE, cost: missed + price };
  };
  if (!candidates) {
    yield wayOf(
      before,
      strands.map((strand) => labOfStrand(strand)),
      0,
    );
    return;
  }
  const byPrice = candidates
    .map((candidate, order) => ({ candidate, order }))
    .sort((a, b) => a.candidate.price - b.candidate.price || a.order - b.order);
  const coloured = colouring(strands);
  /** Looked at and not given out yet, best first; of equals the one the rules name first. */
  const looked: { way: Way; order: number }[] = [];
  for (const { candidate, order } of byPrice) {
    while (looked.length > 0 && looked[0].way.cost < TOLD_APART + candidate.price) yield looked.shift()!.way;
    const way = wayOf([...before, candidate.chosen], coloured(candidate.chosen), candidate.price);
    const at = looked.findIndex(
      (one) => one.way.cost > way.cost || (one.way.cost === way.cost && one.order > order),
    );
    looked.splice(at < 0 ? looked.length : at, 0, { way, order });
  }
  for (const { way } of looked) yield way;
}
