import {
  type DyeKind,
  type Dye,
  type Warmth,
  scaledDye,
  combine,
  NO_DYE,
  NO_WARMTH,
  loadOf,
  type Strand,
  exposureOf,
  warmthOfLevel,
  shownPigment,
  dyeOf,
  reachedLevelOf,
  depthAlone,
  brownBlackOfLevel,
  naturalPigment,
  type NaturalPigment,
  levelByBrown,
  levelOfReflectance,
  reflectanceOf,
} from '../hair';
import { type Coat, thinnessOf, freshnessOf } from './coat';
import { FIGURES } from './figures';
import { type LiftStart, brownBlackAfter } from './lift';
import { REFERENCE_RATIO, type Mix, naturalShareOfMix, extraNaturalShare, mixDepth } from './mix';
import { type ProductKind, PRODUCTS } from './products';
import { warmthLess, shadeLoad, warmthBeyondNatural } from './shade-load';

// Bound once: these run millions of times in a search.
const { abs, exp, log1p, max, min } = Math;

/** What a coat leaves on each kind of strand when its dye is fully formed. */
export interface Deposit {
  /** How the layer sits in the hair. */
  kind: DyeKind;
  /** Ready-made dye. */
  dye: Dye;
  /** Dye in the white strands, optical density. */
  dyeOnWhite: Dye;
  /** Natural warmth that is cancelled, optical density. */
  masks: Warmth;
  /** Warmth put back, optical density. */
  fills: Warmth;
}

const KIND: Partial<Record<ProductKind, DyeKind>> = {
  permanent: 'permanent',
  express: 'permanent',
  highLift: 'permanent',
  demi: 'demi',
  acidGloss: 'acidGloss',
  direct: 'direct',
  filler: 'filler',
};

/** Palest hair that high-lift shades are not too light for. */
const HIGH_LIFT_MADE_FROM = 8;
/** Level at which the pure tone of a corrector is measured. */
const CORRECTOR_LEVEL = 7;

/** Hair that was lightened once, with care, is more open than grown hair and takes colour as it should up to here. */
const GRABS_FROM = 0.68;
/** Porous hair takes more of everything, and most of the blue (F11). Fitted to H9. */
const uptakeOf = (porosity: number) =>
  min(1, 0.9 + 0.2 * porosity) + FIGURES.model.uptakePorous * max(0, porosity - GRABS_FROM);
const blueGrab = (porosity: number) => 1 + max(0, porosity - GRABS_FROM) * FIGURES.model.blueGrab;

/**
 * Tone that a coat adds to tone that is there: hair holds so many times one load and no more, so a toner put on every
 * month builds up and does not turn into another colour.
 */
function withRoom(load: Dye, by: number, there: Dye): Dye {
  const { toneHolds } = FIGURES.model;
  const added = (name: 'blue' | 'red' | 'yellow') =>
    load[name] > 0 ? by * load[name] * max(0, 1 - there[name] / (toneHolds * load[name])) : 0;
  return { ...scaledDye(load, by), blue: added('blue'), red: added('red'), yellow: added('yellow') };
}

/** Zero below, x above, and smooth between; far above the exponential is not needed and would overflow. */
const softplus = (x: number, softness: number) =>
  x > 30 * softness ? x : softness * log1p(exp(x / softness));

/** Strength of the dye in a coat: by ratio, thinning, wetness, age, and what keeps it off the hair. */
function strengthOf(coat: Coat): number {
  const { mix, wet, isProtected } = coat;
  const { dilutionPower, thinPower, wetPace } = FIGURES.model;
  const ready = mix.product === 'direct' || mix.product === 'filler';
  const ratio = ready ? 1 : ((1 + REFERENCE_RATIO) / (1 + mix.ratio)) ** dilutionPower;
  return (
    PRODUCTS[mix.product].dye!.strength *
    ratio *
    thinnessOf(mix) ** thinPower *
    (wet ? wetPace : 1) *
    freshnessOf(coat) *
    (isProtected ? 0.25 : 1)
  );
}

/**
 * Opposites meet (U2): blue with red (violet) cancels yellow, blue with yellow (green) cancels red, blue alone both, until
 * either the warmth or the dye is used up. `power` is warmth cancelled by one of dye.
 * @rule U2
 */
function cancel(there: Warmth, dye: Dye, power: number): { masks: Warmth; left: Dye } {
  const violet = min(dye.blue, dye.red);
  const green = min(dye.blue - violet, dye.yellow);
  const plain = dye.blue - violet - green;
  const { blueOnRed } = FIGURES.model;
  const can = {
    red: power * (2 * green + blueOnRed * plain),
    yellow: power * (2 * violet + (2 - blueOnRed) * plain),
  };
  const masks = { red: min(there.red, can.red), yellow: min(there.yellow, can.yellow) };
  const used = can.red + can.yellow > 0 ? (masks.red + masks.yellow) / (can.red + can.yellow) : 0;
  const left = {
    ...dye,
    blue: dye.blue * (1 - used),
    red: dye.red - violet * used,
    yellow: dye.yellow - green * used,
  };
  return { masks, left };
}

function ofDirect({ mix }: Coat, start: Strand, strength: number): Deposit {
  const vivid = combine({ ...NO_DYE, ...mix.vivid }, NO_DYE, strength, 0);
  const { vividOnDark } = FIGURES.model;
  const taken = (vividOnDark + (1 - vividOnDark) * exposureOf(start)) * uptakeOf(start.porosity);
  return {
    kind: 'direct',
    dye: scaledDye(vivid, taken),
    dyeOnWhite: scaledDye(vivid, PRODUCTS.direct.coversWhite),
    masks: NO_WARMTH,
    fills: NO_WARMTH,
  };
}

function ofFiller({ mix }: Coat, start: Strand, strength: number): Deposit {
  const missing = warmthLess(warmthOfLevel(mix.fillsLevel ?? 6), shownPigment(start));
  const taken = min(1, FIGURES.model.fills * strength * min(1, uptakeOf(start.porosity)));
  return {
    kind: 'filler',
    dye: NO_DYE,
    dyeOnWhite: NO_DYE,
    masks: NO_WARMTH,
    fills: { red: missing.red * taken, yellow: missing.yellow * taken },
  };
}

interface Loads {
  /** Bared warmth the shades are made to cancel, and the tone they bring, part-weighted (F10). */
  cancels: Warmth;
  tone: Dye;
  /** Fraction of the mix that has depth: clear thins it. */
  coloured: number;
}

/**
 * The shades of a mix on hair that reaches a level: a shade lighter than the hair fails to cover its warmth (U4).
 * @rule U4
 */
function loadsOf({ shades, product }: Mix, reached: number): Loads {
  const { tooLight, correctorStrength } = FIGURES.model;
  const all = shades.reduce((sum, { parts }) => sum + parts, 0);
  const cancels = { red: 0, yellow: 0 };
  let tone = NO_DYE;
  let coloured = 0;
  for (const { shade, parts } of shades) {
    const fraction = parts / all;
    if (shade.level === null) {
      if (shade.series === 'corrector')
        tone = combine(tone, shadeLoad(CORRECTOR_LEVEL, shade.tone).tone, 1, fraction * correctorStrength);
      continue;
    }
    // A high-lift shade is made for hair it has lifted itself: its number is a wish, not a depth. Where that is still dark it is
    // as much too light as any pale shade (U4).
    const madeFor =
      product === 'highLift' ? Math.round(min(10, max(HIGH_LIFT_MADE_FROM, reached))) : shade.level;
    const load = shadeLoad(madeFor, shade.tone);
    const covers = exp(-tooLight * max(0, madeFor - reached - 0.25));
    cancels.red += covers * fraction * load.cancels.red;
    cancels.yellow += covers * fraction * load.cancels.yellow;
    // Pale shades are pale in tone as well: what is too light to cover the hair hardly tints it either.
    tone = combine(tone, load.tone, 1, fraction * covers);
    coloured += fraction;
  }
  // Correctors are pure tone: they count in the amount, and take no depth from the shades they are stirred into.
  const pure =
    shades.reduce((sum, { shade, parts }) => sum + (shade.series === 'corrector' ? parts : 0), 0) / all;
  return { cancels, tone, coloured: coloured > 0 ? coloured / (1 - pure) : 0 };
}

/** Depth that is laid on even where the hair is as deep as the shade: colour on colour is darker (A1). Fitted to H12, H38. */
function overlapOn(start: Strand, level: number, low: boolean): number {
  const { overlapDepth, overlapPorous, overlapLow } = FIGURES.model;
  const there = min(1, loadOf(dyeOf(start)) / 0.3);
  const depth = min(1, brownBlackOfLevel(level) / 1.2);
  const porous = 1 + max(0, (start.porosity - 0.5) / 0.35) * (overlapPorous - 1);
  return overlapDepth * there * depth * porous * (low ? overlapLow : 1);
}

/** Share of white strands' dye that a coat can bring to them, at full time (F8). Fitted to H11, H35, H37, H44. */
function coversWhite(mix: Mix, strand: Strand, strength: number, low: boolean): number {
  const { whiteNatural, whiteExtra, whiteResists, whiteAtTen } = FIGURES.model;
  const product = PRODUCTS[mix.product];
  if (low) return min(1, product.coversWhite * strength);
  const opened = min(1, max(0.1, whiteAtTen + (1 - whiteAtTen) * ((mix.developerVol - 10) / 10)));
  const takes =
    product.coversWhite + whiteNatural * naturalShareOfMix(mix) + whiteExtra * extraNaturalShare(mix);
  const plain = min(1 + whiteExtra * extraNaturalShare(mix), takes);
  return min(1, plain * opened * (1 - whiteResists * strand.resistance) * strength);
}

/** Rounds of the secant below; two bring it within a fiftieth of a level. */
const BROWN_ROUNDS = 2;

/** Brown dye that brings hair of a pigment, with what brown is there, to a level; below 0 where it is deeper already. */
function brownTo(level: number, pigment: NaturalPigment, under: Dye): number {
  const at = levelByBrown(pigment, under);
  const depth = at(0);
  let brown = brownBlackOfLevel(level) - brownBlackOfLevel(depth);
  if (brown <= 0) return brown;
  let [before, was] = [0, depth];
  for (let round = 0; round < BROWN_ROUNDS; round++) {
    const reads = at(brown);
    if (abs(reads - was) < 1e-6) break;
    const next = brown + ((level - reads) * (brown - before)) / (reads - was);
    [before, was, brown] = [brown, reads, max(0, next)];
  }
  return brown;
}

/**
 * Part of the dye that is left where a mix lifts hair that was lifted before: the lift brings out more warmth than forms
 * over it (D7). A shade deeper than the hair has dye enough and keeps most of it; a trace of lift, as of a deposit
 * strength, undoes nothing.
 * @rule D7
 */
function leftByLiftOnLift(dose: number, start: Strand, level: number): number {
  const most = min(1, brownBlackOfLevel(reachedLevelOf(start)) / brownBlackOfLevel(level)) ** 2;
  return 1 - most * (1 - exp(-((FIGURES.model.liftOnLift * dose) ** 2) * exposureOf(start)));
}

/** What a coat leaves on a strand that it lifts by a dose; null for products without dye. */
export function depositOf(coat: Coat, start: Strand, lift: LiftStart, dose: number): Deposit | null {
  const { mix } = coat;
  const product = PRODUCTS[mix.product];
  if (!product.dye) return null;
  const strength = strengthOf(coat);
  if (mix.product === 'direct') return ofDirect(coat, start, strength);
  if (mix.product === 'filler') return ofFiller(coat, start, strength);
  const level = mixDepth(mix);
  const kind = KIND[mix.product]!;
  const low = kind === 'demi' || kind === 'acidGloss';
  const figures = FIGURES.model;

  const lifted: Strand = { ...start, brownBlack: brownBlackAfter(start, lift, dose) };
  const exposure = exposureOf(lifted);
  const shown = shownPigment(lifted);
  const under = depthAlone(dyeOf(start));
  const reached = levelOfReflectance(reflectanceOf(shown, under));
  const loads = loadsOf(mix, reached);
  const uptake = uptakeOf(start.porosity) * strength;

  // Warmth that is there beyond what natural hair of the level has.
  const own = naturalPigment(reachedLevelOf(lifted));
  const bared = warmthLess(shown, own);
  const undone = leftByLiftOnLift(dose, start, level ?? reached);
  const reach = figures.masks * uptake * undone;
  const want = { red: loads.cancels.red * reach, yellow: loads.cancels.yellow * reach };
  // What was made for more red than there is goes on to the yellow: a deep shade on hair lifted past it.
  const spareRed = max(0, want.red - bared.red);
  const base: Warmth = {
    red: min(bared.red, want.red),
    yellow: min(bared.yellow, want.yellow + figures.deepMasksYellow * spareRed),
  };
  // And what finds no warmth at all shows as the green it is (F6); creamy hair of the usual level is no such case.
  const usual = warmthBeyondNatural(reached);
  const lacks = max(0, want.red - max(bared.red, usual.red));
  const green = figures.surplusShows * exposure * lacks;

  const stillWarm = warmthLess(shown, base);
  const open = { red: exposure * stillWarm.red, yellow: exposure * stillWarm.yellow };
  const toned = cancel(open, withRoom(loads.tone, uptake, dyeOf(start)), figures.cancels);
  const masks = { red: base.red + toned.masks.red, yellow: base.yellow + toned.masks.yellow };
  const grab = blueGrab(start.porosity);

  let brown = 0;
  if (level !== null) {
    const masked = { ...shown, red: shown.red - masks.red, yellow: shown.yellow - masks.yellow };
    // A high-lift shade leaves hair where it has lifted it: what it cancels of the warmth makes nothing lighter.
    const madeFor = mix.product === 'highLift' ? min(level, reached) : level;
    const lacking = softplus(brownTo(madeFor, masked, under), figures.depthSoftness);
    const hollow = 1 - figures.hollowsOverVol * max(0, mix.developerVol - 20);
    brown = (lacking * hollow * undone + overlapOn(start, level, low)) * loads.coloured * uptake;
  }
  const dye: Dye = {
    ...toned.left,
    brown,
    blue: (toned.left.blue + green) * grab,
    yellow: toned.left.yellow + green,
  };

  const covers = coversWhite(mix, start, strength, low);
  const onWhite = dyeOf(start, 'dyeOnWhite');
  const whiteBrown =
    level === null ? 0 : max(0, brownBlackOfLevel(level) - onWhite.brown) + overlapOn(start, level, low);
  return {
    kind,
    dye,
    dyeOnWhite: {
      ...withRoom(loads.tone, covers, onWhite),
      brown: whiteBrown * covers * loads.coloured,
    },
    masks,
    fills: NO_WARMTH,
  };
}
