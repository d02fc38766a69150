import { z } from 'zod';
import {
  DYES,
  NO_DYE,
  NO_WARMTH,
  lightenedBy,
  type Dye,
  type DyeKind,
  type DyeLayer,
  type DyeName,
  type Strand,
  type Warmth,
} from '../hair';
import { FIGURES } from './figures';
import { VIVID_LOAD } from './mix';
import { MINERAL_GREEN } from './past-services';
import { TAKES } from './wash';

// Bound once: a year of a head asks for them some ten thousand times.
const { exp, log, max, min } = Math;

export const WATERS = ['cool', 'warm', 'hot'] as const;
export const SHAMPOOS = ['gentle', 'ordinary'] as const;

/** Most of anything in a week. */
export const MOST_A_WEEK = { washes: 14, care: 7 } as const;
const aWeek = (most: number) => z.number().min(0).max(most);

/** How hair is treated between appointments; what is counted is counted by the week. */
export const habitsSchema = z
  .object({
    /** Washes a week. */
    washes: aWeek(MOST_A_WEEK.washes),
    /** How hot the water is. */
    water: z.enum(WATERS),
    /** What it is washed with; gentle is free of sulfates. */
    shampoo: z.enum(SHAMPOOS),
    /** Clarifying washes a week, besides. */
    clarifying: aWeek(MOST_A_WEEK.care),
    /** Times a week that care against yellow lies on it, by way of a wash. */
    violet: aWeek(MOST_A_WEEK.care),
    /** Times a week that care against orange lies on it, by way of a wash. */
    blue: aWeek(MOST_A_WEEK.care),
    /** Whether it is much in the sun. */
    sun: z.boolean(),
    /** Times a week in the pool. */
    pool: aWeek(MOST_A_WEEK.care),
  })
  .strict();
export type Habits = z.infer<typeof habitsSchema>;

/** Three gentle washes a week in warm water, and nothing else. */
export const USUAL_HABITS: Habits = {
  washes: 3,
  water: 'warm',
  shampoo: 'gentle',
  clarifying: 0,
  violet: 0,
  blue: 0,
  sun: false,
  pool: 0,
};

/** Gloss that washing leaves of sound hair. */
const DULL = 0.6;
/** Most visits to the pool in a week that tell: hair is wet enough by then. */
const MOST_POOL = 5;

/** Rate of something that leaves a fraction at each wash. */
const rateOf = (takes: number) => -log(1 - takes);

/** Plain washes a week, counted as gentle ones in warm water. */
function gentleWashes({ washes, water, shampoo, pool }: Habits): number {
  const { hotWater, coolWater, ordinaryShampoo, poolWash } = FIGURES.months;
  const heat = water === 'hot' ? hotWater : water === 'cool' ? coolWater : 1;
  return washes * heat * (shampoo === 'ordinary' ? ordinaryShampoo : 1) + pool * poolWash;
}

/** Open hair lets go of more; ordinary porosity is what the figures are for. */
const letsGo = (porosity: number) => max(0.2, 1 + FIGURES.months.porous * (porosity - 0.5) * 2);

/** How fast all of a kind leaves, and how much faster its red and its yellow, by the week. */
interface Leaving {
  plain: number;
  red: number;
  yellow: number;
  /** Vivid dye: warm, and cool. */
  warm: number;
  cool: number;
}

function leavingOf(kind: DyeKind, strand: Pick<Strand, 'porosity'>, habits: Habits): Leaving {
  const { homeWash, redLeaves, yellowLeaves, warmVivid, coolVivid, sunFades } = FIGURES.months;
  const washes = gentleWashes(habits);
  const open = letsGo(strand.porosity) * (habits.sun ? sunFades : 1);
  const clarified = habits.clarifying * rateOf(TAKES.clarifying[kind]);
  const plain = open * (washes * homeWash * rateOf(TAKES.gentle[kind]) + clarified);
  const more = (leaves: number) => plain + open * washes * leaves;
  return {
    plain,
    red: more(redLeaves),
    yellow: more(yellowLeaves),
    warm: plain * warmVivid,
    cool: plain * coolVivid,
  };
}

const RATE_OF: Record<DyeName, keyof Leaving> = {
  brown: 'plain',
  blue: 'plain',
  red: 'red',
  yellow: 'yellow',
  directPink: 'warm',
  directViolet: 'warm',
  directYellow: 'warm',
  directBlue: 'cool',
  directGreen: 'cool',
};

/** A vivid dye after some weeks: once it is pale it goes faster (H58). In one step whatever the weeks are split into. */
function vividLeft(amount: number, rate: number, weeks: number): number {
  const pale = VIVID_LOAD / 2;
  const { pastel } = FIGURES.months;
  if (amount <= pale) return amount * exp(-pastel * rate * weeks);
  const until = rate > 0 ? log(amount / pale) / rate : Infinity;
  return weeks <= until ? amount * exp(-rate * weeks) : pale * exp(-pastel * rate * (weeks - until));
}

function dyeLeft(dye: Dye, kind: DyeKind, leaving: Leaving, free: number, weeks: number): Dye {
  const left = { ...NO_DYE } as Record<DyeName, number>;
  for (const name of DYES) {
    const rate = leaving[RATE_OF[name]] * free;
    left[name] = kind === 'direct' ? vividLeft(dye[name], rate, weeks) : dye[name] * exp(-rate * weeks);
  }
  return left;
}

const warmthLeft = ({ red, yellow }: Warmth, rate: number, weeks: number): Warmth => ({
  red: red * exp(-rate * weeks),
  yellow: yellow * exp(-rate * weeks),
});

/**
 * A layer after some weeks: reds first, what cancels warmth with the rest, so that warmth comes back under it (H56, H57).
 * What sits deep stays. Colour over a filler holds it in.
 */
function fadedLayer(
  layer: DyeLayer,
  strand: Strand,
  isCovered: boolean,
  habits: Habits,
  weeks: number,
): DyeLayer {
  const leaving = leavingOf(layer.kind, strand, habits);
  const free = 1 - layer.held;
  const fills = leaving.plain * free * (isCovered ? FIGURES.months.covered : 1);
  return {
    ...layer,
    dye: dyeLeft(layer.dye, layer.kind, leaving, free, weeks),
    dyeOnWhite: dyeLeft(layer.dyeOnWhite, layer.kind, leaving, free, weeks),
    masks: warmthLeft(layer.masks, leaving.plain * free, weeks),
    fills: warmthLeft(layer.fills, fills, weeks),
  };
}

/** Something that comes at a rate and leaves by its own, after some weeks: towards where the two are even. */
function towards(there: number, comes: number, leaves: number, weeks: number): number {
  if (leaves <= 0) return there + comes * weeks;
  const even = comes / leaves;
  return even + (there - even) * exp(-leaves * weeks);
}

const NOTHING: Omit<DyeLayer, 'kind'> = {
  dye: NO_DYE,
  dyeOnWhite: NO_DYE,
  masks: NO_WARMTH,
  fills: NO_WARMTH,
  held: 0,
};
/** The layer of a kind of which there is one at most; an empty one where there is none. */
const layerOf = ({ layers }: Strand, kind: DyeKind): DyeLayer =>
  layers.find((layer) => layer.kind === kind) ?? { ...NOTHING, kind };

/** Care against yellow and orange: a tint that cancels warmth while it is there, and shows where there is too much (H59). */
function cared(strand: Strand, habits: Habits, weeks: number): DyeLayer {
  const { violetYellow, violetCast, violetCastBlue, blueRed, blueCast } = FIGURES.months;
  const layer = layerOf(strand, 'care');
  const leaves = leavingOf('care', strand, habits).plain;
  const takes = letsGo(strand.porosity);
  const grown = (there: number, each: number, times: number) =>
    towards(there, times * takes * each, leaves, weeks);
  const tinted = (dye: Dye): Dye => ({
    ...dye,
    directViolet: grown(dye.directViolet, violetCast, habits.violet),
    directBlue: towards(
      dye.directBlue,
      takes * (habits.blue * blueCast + habits.violet * violetCastBlue),
      leaves,
      weeks,
    ),
  });
  return {
    ...layer,
    dye: tinted(layer.dye),
    dyeOnWhite: tinted(layer.dyeOnWhite),
    masks: {
      yellow: grown(layer.masks.yellow, violetYellow, habits.violet),
      red: grown(layer.masks.red, blueRed, habits.blue),
    },
  };
}

/** Green of the pool, which open hair takes and only a deep wash brings out again. */
function mineralOf(strand: Strand, habits: Habits, weeks: number): DyeLayer {
  const layer = layerOf(strand, 'mineral');
  const comes = min(MOST_POOL, habits.pool) * FIGURES.months.poolGreen * strand.porosity;
  const leaves =
    habits.clarifying * rateOf(TAKES.clarifying.mineral) +
    // Hair holds so much and no more.
    comes / MINERAL_GREEN;
  const green = (dye: Dye): Dye => ({
    ...dye,
    directGreen: towards(dye.directGreen, comes, leaves, weeks),
  });
  return { ...layer, dye: green(layer.dye), dyeOnWhite: green(layer.dyeOnWhite) };
}

/** Level beyond which neither sun nor pool bleaches. */
const PALEST = 10;

const isThere = ({ dye, masks }: DyeLayer) =>
  DYES.some((name) => dye[name] > 0) || masks.red > 0 || masks.yellow > 0;

/**
 * Hair after so many weeks of habits, in closed form: weeks that are split come to the same (H60). Washing takes dye and
 * never natural pigment; sun and pool lift it a little; strength never comes back.
 *
 * @param weeks 0 or more, fractions too.
 */
export function strandAfterWeeks(strand: Strand, weeks: number, habits: Habits): Strand {
  const { sunLifts, poolLifts, sunHurts, poolHurts, dulls } = FIGURES.months;
  const sun = habits.sun ? 1 : 0;
  const pool = min(MOST_POOL, habits.pool);
  const { layers } = strand;
  const faded = layers.flatMap((layer, i) =>
    layer.kind === 'care' || layer.kind === 'mineral'
      ? []
      : [fadedLayer(layer, strand, i < layers.length - 1, habits, weeks)],
  );
  const gathered = [cared(strand, habits, weeks), mineralOf(strand, habits, weeks)].filter(isThere);
  const dull = min(strand.surface, DULL);
  return {
    ...strand,
    layers: [...faded, ...gathered],
    brownBlack: lightenedBy(strand, (sun * sunLifts + pool * poolLifts) * weeks, PALEST),
    damage: 1 - (1 - strand.damage) * exp(-(sun * sunHurts + pool * poolHurts) * weeks),
    surface: dull + (strand.surface - dull) * exp(-dulls * gentleWashes(habits) * weeks),
    spots: strand.spots.map((spot) => ({ ...spot, strand: strandAfterWeeks(spot.strand, weeks, habits) })),
  };
}
