import { vividMix, targetLab } from '../case';
import { type Lab, differenceOf } from '../colour';
import { type Strand, levelOfPigmented, labOfStrand } from '../hair';
import {
  type PlaceGoal,
  type Technique,
  type RequiredMix,
  type ShadeRequest,
  requestOnPlace,
  directionsFor,
  type Directions,
  tonesBared,
} from '../method';
import {
  type ProductKind,
  type Mix,
  strandUnder,
  apply,
  strandAfter,
  type AppliedCoat,
  isGivingWay,
  conditionOf,
  lineKindOf,
} from '../process';
import type { Line, ShadePart } from '../product';
import { LIFTING, LEFTOVER_WATER, type HouseRules } from '../rules';
import { type RightMix, rightMixes } from './right-mixes';

// Bound once: these run millions of times in a search.
const { floor, max, round } = Math;

/** A part of the head, how it is to be done, and its strand as it comes in. */
export interface PlannedPlace {
  /** Goal of the place. */
  goal: PlaceGoal;
  /** Technique of the place. */
  technique: Technique;
  /** Mixes that the technique asks for. */
  requiredMixes: RequiredMix[];
  /** Its strand as it comes in. */
  start: Strand;
  /** Product that the right route would take and that is not at hand. */
  lacks?: ProductKind;
}

/** What one bowl of a group of jobs is, and how long it lies on each of them. */
export interface ChosenMix {
  /** What the bowl is there for. */
  role: RequiredMix['role'];
  /** Line of colour. */
  line: Line;
  /** The mix. */
  mix: Mix;
  /** Shades by parts, where the bowl has shades. */
  shades: ShadePart[];
  /** Developer parts to one of colour; null where nothing is poured. */
  ratio: number | null;
  /** Strength, volumes. */
  vol: number | null;
  /** Minutes by job. */
  minutes: number[];
}

/** One way to do a group, and what it comes to. */
export interface GroupPlan {
  /** Bowls in the order they are worked. */
  mixes: ChosenMix[];
  /** Colours at the end, by job, and ΔE2000 to the wish. */
  labs: Lab[];
  /** Colour difference to the wish, ΔE2000. */
  deltaE: number[];
  /** What decides between ways: distance from the wish and price together; the lower, the better. */
  cost: number;
}

function linesFor(required: RequiredMix, lines: readonly Line[]): Line[] {
  const found = required.products.flatMap((product) =>
    lines.filter(
      ({ kind, highLift }) => kind === lineKindOf(product) && (product !== 'highLift' || highLift),
    ),
  );
  const gentle = found.filter(({ kind }) => !LIFTING.includes(kind));
  if (required.refresh && gentle.length > 0) return gentle;
  // Cover is permanent colour's (F13); another covers only where none is at hand.
  const covering = found.filter(({ kind }) => LIFTING.includes(kind));
  return required.shadeRequest?.covers && covering.length > 0 ? covering : found;
}
/** Whether any of a layer's products is among the lines. */
export const hasProduct = (required: RequiredMix, lines: readonly Line[]): boolean =>
  linesFor(required, lines).length > 0;

/** A leftover of colour that lifts and covers refreshes only when it is thinned (A1). */
const thinnedAs = (required: RequiredMix, line: Line) =>
  required.refresh && LIFTING.includes(line.kind) ? { thinned: LEFTOVER_WATER } : {};

/** A mix left on hair for so long; a cleanse goes on wet hair (P8). */
export const afterMix = (mix: Mix, strand: Strand, minutes: number): Strand =>
  strandUnder(mix.conditioner ? { mix, wet: true } : { mix }, strand, minutes);

/** Strengths to try with lightener, gentle hair first slow, sound hair at the usual pace (D3). */
function inOrder(vols: readonly number[], { diameter, condition, history }: PlaceGoal): number[] {
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
  plannedPlaces: readonly PlannedPlace[],
  strands: readonly Strand[],
  required: RequiredMix,
  lines: readonly Line[],
  rules: HouseRules,
): ChosenMix | null {
  // What is there within a few minutes is hard to catch: taken only where nothing slower is allowed.
  let quick: ChosenMix | null = null;
  for (const line of linesFor(required, lines)) {
    const directions = plannedPlaces.map(({ goal, technique }) =>
      directionsFor(goal, technique, required, line, rules),
    );
    if (directions.some((directions) => directions === null)) continue;
    const all = directions as Directions[];
    const shared = all[0].vols.filter((vol) => all.every(({ vols }) => vols.includes(vol)));
    for (const vol of inOrder(shared, plannedPlaces[0].goal)) {
      const mix: Mix = { product: line.kind, shades: [], developerVol: vol, ratio: line.ratios[0] };
      const minutes = plannedPlaces.map(({ goal }, i) =>
        minutesToLevel(mix, strands[i], goal.target.level, all[i].minutes.max),
      );
      if (minutes.some((minute) => minute === null)) continue;
      const worn = plannedPlaces.some((_, i) =>
        isGivingWay(conditionOf(afterMix(mix, strands[i], minutes[i]!))),
      );
      if (worn) continue;
      const chosen: ChosenMix = {
        role: 'lighten',
        line,
        mix,
        shades: [],
        ratio: mix.ratio,
        vol,
        minutes: minutes as number[],
      };
      if (minutes.every((minute) => minute! >= LEAST_MINUTES)) return chosen;
      quick ??= chosen;
    }
  }
  return quick;
}

function plain(
  plannedPlaces: readonly PlannedPlace[],
  required: RequiredMix,
  lines: readonly Line[],
  rules: HouseRules,
): ChosenMix | null {
  for (const line of linesFor(required, lines)) {
    const chosen = plainOf(plannedPlaces, required, line, rules);
    if (chosen) return chosen;
  }
  return null;
}

/** What is not searched for, of one line: its directions say all. Null where the line has nothing for it. */
function plainOf(
  plannedPlaces: readonly PlannedPlace[],
  required: RequiredMix,
  line: Line,
  rules: HouseRules,
): ChosenMix | null {
  const { goal, technique } = plannedPlaces[0];
  const directions = directionsFor(goal, technique, required, line, rules);
  if (!directions) return null;
  const minutes = plannedPlaces.map(() => directions.minutes.best);
  if (required.role === 'cleanse') {
    const [vol, ratio] = [directions.vols[0], directions.ratios[0]];
    const mix: Mix = { product: line.kind, shades: [], developerVol: vol, ratio, conditioner: true };
    return { role: 'cleanse', line, mix, shades: [], ratio, vol, minutes };
  }
  if (required.role === 'remove') {
    const [vol, ratio] = [directions.vols[0], directions.ratios[0]];
    const mix: Mix = { product: 'remover', shades: [], developerVol: vol, ratio };
    return { role: 'remove', line, mix, shades: [], ratio, vol, minutes };
  }
  if (required.role === 'fill' && line.kind !== 'filler') {
    const [warm] = rightMixesOf(line, required.shadeRequest!);
    if (!warm) return null;
    const [vol, ratio] = [directions.vols[0], directions.ratios[0]];
    const mix: Mix = { product: line.kind, shades: warm.mix, developerVol: vol, ratio };
    return { role: 'fill', line, mix, shades: warm.mix, ratio, vol, minutes };
  }
  if (required.role === 'fill') {
    const fills = plannedPlaces[0].goal.target.level;
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
  const dye = plannedPlaces[0].goal.target.vivid!;
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
function rightMixesOf(line: Line, need: ShadeRequest): RightMix[] {
  const cache = rightKept.get(line) ?? new Map<string, RightMix[]>();
  rightKept.set(line, cache);
  const name = JSON.stringify(need);
  const found = cache.get(name) ?? rightMixes(line, need, LOOKED_AT);
  cache.set(name, found);
  return found;
}

/** Every two of two lists, with their places. */
const pairs = (a: readonly number[], b: readonly number[]): [number, number, number, number][] =>
  a.flatMap((value, i) => b.map((other, j): [number, number, number, number] => [i, value, j, other]));

/** A bowl of colour that the rules allow, before the hair model has looked at it. */
export interface MixCandidate {
  /** The bowl and how long it lies. */
  chosen: ChosenMix;
  /** What it costs beside how far it misses the wish: simplicity, the order of the lines. Against a ΔE of 1. */
  price: number;
}

/** Every colour layer that the rules allow. */
function* colours(
  plannedPlaces: readonly PlannedPlace[],
  required: RequiredMix,
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[],
): Generator<MixCandidate> {
  // Bared hair is toned and darkened by low-strength colour; permanent only where that comes clearly nearer (F4, F9).
  const onBare = plannedPlaces.every(({ goal, technique }) => tonesBared(goal, technique));
  for (const [rank, line] of linesFor(required, lines).entries()) {
    const directions = plannedPlaces.map(({ goal, technique }, i) =>
      directionsFor(goal, technique, required, line, rules, startsFirst[i]),
    );
    if (directions.some((directions) => directions === null)) continue;
    const all = directions as Directions[];
    const shared = all[0].vols.filter((vol) => all.every(({ vols }) => vols.includes(vol)));
    const product: ProductKind = required.shadeRequest!.highLift ? 'highLift' : line.kind;
    const [need, ...others] = plannedPlaces.map(({ goal, technique }) =>
      requestOnPlace(required.shadeRequest!, goal, technique, line, rules),
    );
    // By the line's own table the jobs may need bowls of their own; they are then tried apart.
    if (others.some(({ naturalShare }) => naturalShare.min !== need.naturalShare.min)) continue;
    const best = all.map(({ minutes }) => minutes.best);
    const short = all.map(({ minutes }) => minutes.min);
    const middle = all.map(({ minutes }) => round((minutes.best + minutes.min) / 2));
    const times = best.every((m, at) => m === short[at]) ? [best] : [best, middle, short];
    for (const { mix: shades, cost } of rightMixesOf(line, need)) {
      for (const [i, ratio, j, vol] of pairs(all[0].ratios, shared)) {
        const mix: Mix = { product, shades, developerVol: vol, ratio, ...thinnedAs(required, line) };
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
export interface GroupChoices {
  /** Bowls that come before the colour. */
  before: ChosenMix[];
  /** Strands of the jobs after those, by job. */
  strands: Strand[];
  /** Null where no colour is to be chosen: what comes before is all. */
  candidates: MixCandidate[] | null;
}

/** Every choice the rules leave for jobs that share their layers; null where a layer has no product at hand. */
export function choicesFor(
  plannedPlaces: readonly PlannedPlace[],
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[] = plannedPlaces.map(() => false),
): GroupChoices | null {
  let strands = plannedPlaces.map(({ start }) => start);
  const before: ChosenMix[] = [];
  for (const required of plannedPlaces[0].requiredMixes) {
    if (required.role === 'colour' && required.shadeRequest)
      return {
        before,
        strands,
        candidates: [...colours(plannedPlaces, required, lines, rules, startsFirst)],
      };
    const chosen =
      required.role === 'lighten'
        ? lighten(plannedPlaces, strands, required, lines, rules)
        : plain(plannedPlaces, required, lines, rules);
    if (!chosen) return null;
    before.push(chosen);
    strands = strands.map((strand, i) => afterMix(chosen.mix, strand, chosen.minutes[i]));
  }
  return { before, strands, candidates: null };
}

/** What a candidate makes of the strands it lies on. */
export const coloursAfter = ({ mix, minutes }: ChosenMix, strands: readonly Strand[]): Lab[] =>
  strands.map((strand, i) => labOfStrand(afterMix(mix, strand, minutes[i])));

/** The same for candidates that share their bowls and differ in minutes: each bowl is put on once. */
function colouring(strands: readonly Strand[]): (chosen: ChosenMix) => Lab[] {
  const put = new Map<Mix, AppliedCoat[]>();
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
export function* groupPlans(
  plannedPlaces: readonly PlannedPlace[],
  lines: readonly Line[],
  rules: HouseRules,
  startsFirst: readonly boolean[] = plannedPlaces.map(() => false),
): Generator<GroupPlan> {
  const choices = choicesFor(plannedPlaces, lines, rules, startsFirst);
  if (!choices) return;
  const { before, strands, candidates } = choices;
  const goals = plannedPlaces.map(({ goal }) => targetLab(goal.target));
  const wayOf = (mixes: ChosenMix[], labs: Lab[], price: number): GroupPlan => {
    const deltaE = labs.map((lab, i) => differenceOf(lab, goals[i]));
    const missed = deltaE.reduce((sum, value) => sum + max(TOLD_APART, value), 0) / plannedPlaces.length;
    return { mixes, labs, deltaE, cost: missed + price };
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
  const looked: { way: GroupPlan; order: number }[] = [];
  for (const { candidate, order } of byPrice) {
    while (looked.length > 0 && looked[0].way.cost < TOLD_APART + candidate.price) yield looked.shift()!.way;
    const plan = wayOf([...before, candidate.chosen], coloured(candidate.chosen), candidate.price);
    const at = looked.findIndex(
      (one) => one.way.cost > plan.cost || (one.way.cost === plan.cost && one.order > order),
    );
    looked.splice(at < 0 ? looked.length : at, 0, { way: plan, order });
  }
  for (const { way } of looked) yield way;
}
