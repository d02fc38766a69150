import {
  type Strand,
  dyeOf,
  grownLevelOf,
  type Spot,
  type Dye,
  loadOf,
  type DyeLayer,
  combine,
  NO_DYE,
} from '../hair';
import {
  type Coat,
  thinnessOf,
  paceOf,
  paceWhenWet,
  paceWhenOver,
  coverageOf,
  atScalp,
  workedMinutes,
  HEAT_PACE,
} from './coat';
import { type Deposit, depositOf } from './deposit';
import { FIGURES } from './figures';
import { type LiftStart, brownBlackAfter, doseTaken, liftStartOf } from './lift';
import { PRODUCTS, liftCurve, isLightener, hurtByVol } from './products';
import { stripped } from './strip';

// Bound once: these run millions of times in a search.
const { exp, max, min, sqrt } = Math;

/** One coat lying on one place: what it can do at most, fixed when it is put on. */
export interface AppliedCoat {
  /** What lies on the hair. */
  coat: Coat;
  /** The strand it was put on, as it then was. */
  start: Strand;
  /** Where its lightening began. */
  lift: LiftStart;
  /** Pace against medium hair in a room, 1 for that. */
  rate: number;
  /** Most dose on the natural pigment, in the effort of `lift.ts`. */
  dose: number;
  /** Minutes in which all but a third has happened. */
  tauMinutes: number;
  /** Dye each kind of strand has taken when it is fully formed; null for products without. */
  deposit: Deposit | null;
  /** Fraction 0–1 of the hair that is covered. */
  coverage: number;
  /** The same coat on the hair between that an earlier thin one missed. */
  onSpots: readonly { fraction: number; application: AppliedCoat }[];
}

/** How far below its level a product still lifts as it should, levels. */
const NEARLY = 0.25;
const TOO_DARK_LIFT = 0.5;

/** Tone takes up less peroxide than depth does. Judgement. */
const TONE_HOLDS = 0.25;
/**
 * @rule P5
 */
const heldUpBy = (dye: Dye): number => dye.brown + TONE_HOLDS * (loadOf(dye) - dye.brown);

/** Most dose of a coat on a strand (D2, D3, P1). */
function doseOf(
  coat: Coat,
  start: Strand,
  lift: LiftStart,
  pace: number,
): { dose: number; tauMinutes: number } {
  const { mix, isProtected } = coat;
  const product = PRODUCTS[mix.product];
  const figures = FIGURES.model;
  const curve = liftCurve(product, mix.developerVol * thinnessOf(mix));
  const lightener = isLightener(mix.product);
  const load = heldUpBy(dyeOf(start));
  // Peroxide is held up by dye in the strand: colour does not lift colour, and hardly what lies beneath it (P1, P5, P6).
  const held = 1 / (1 + (lightener ? figures.dyeHoldsUpLightener : figures.dyeHoldsUpColour) * load);
  const before = lightener ? 1 : exp(-figures.liftedBefore * doseTaken(lift));
  const tooDark =
    product.liftsFromLevel !== null && grownLevelOf(start) < product.liftsFromLevel - NEARLY
      ? TOO_DARK_LIFT
      : 1;
  const brake = (mix.conditioner ? figures.conditionerLift : 1) * (isProtected ? figures.protectedLift : 1);
  return {
    // A faster strand also gets a little further before the peroxide is spent.
    dose: curve.dose * pace ** figures.reachPower * held * before * tooDark * brake,
    tauMinutes: curve.tauMinutes,
  };
}

/** Puts a coat on a place. */
export function apply(coat: Coat, start: Strand): AppliedCoat {
  const pace = paceOf(start, coat);
  const lift = liftStartOf(start);
  const { dose, tauMinutes } = doseOf(coat, start, lift, pace);
  return {
    coat,
    start,
    lift,
    rate: pace * paceWhenWet(coat) * paceWhenOver(coat),
    dose,
    tauMinutes,
    deposit: depositOf(coat, start, lift, dose),
    coverage: coverageOf(coat.amount ?? 1),
    onSpots: start.spots.map(({ fraction, strand }) => ({ fraction, application: apply(coat, strand) })),
  };
}

/** Minutes of heat on a coat: in its first ten minutes, and later, when it makes the root race (R4). */
export interface Heated {
  /** Minutes of heat among the first ten. */
  early: number;
  /** Whether it came, or would come, after the due time. */
  late: number;
}
export const NO_HEAT: Heated = { early: 0, late: 0 };
/** Minutes from which heat counts as late. */
export const LATE_HEAT_FROM = 10;

/**
 * Minutes of full-rate work of a coat. Heat adds a third to the rate; at the scalp, which is warm by then, late heat
 * adds more: that is why heat comes early, and the hair cools down (R4).
 */
function workOf({ coat, start }: AppliedCoat, minutes: number, { early, late }: Heated): number {
  const lateAdds = atScalp(start) ? FIGURES.model.heatAtScalpLate : 1;
  return workedMinutes(coat, minutes) + (HEAT_PACE - 1) * (early + lateAdds * late);
}

const reached = (worked: number, tauMinutes: number) => 1 - exp(-worked / tauMinutes);

/**
 * Part of the dye that has formed, 0 to a little over 1: whole at the full time (R7).
 * @rule R7
 */
const formedAt = (worked: number, tauMinutes: number, fullMinutes: number) =>
  min(1.04, reached(worked, tauMinutes) / reached(fullMinutes, tauMinutes));
/** Grey time of colour that covers white strands, which take dye more slowly (F8). */
const WHITE_FULL_MINUTES = 45;

/** Strength lost to a coat, as an exponent: with the dose, and with every minute under alkali, dry or not (R8). */
function hurtOf({ coat, start }: AppliedCoat, done: number, minutes: number): number {
  const { mix, isProtected } = coat;
  const product = PRODUCTS[mix.product];
  const figures = FIGURES.model;
  const fine = start.diameter === 'fine' || start.diameter === 'veryFine' ? figures.hurtsFine : 1;
  const spared =
    (mix.bondAdditive ? figures.bondSpares : 1) *
    (mix.conditioner ? figures.conditionerDamage : 1) *
    (isProtected ? figures.protectedLift : 1);
  return (
    (product.hurtsPerDose * done + product.hurtsPerMinute * minutes) *
    hurtByVol(mix.developerVol * thinnessOf(mix)) *
    start.fragility *
    fine *
    spared
  );
}

/** A layer that took less than this is no layer. */
const TRACE = 1e-4;

/** Layers of dye after so many minutes of full-rate work of a coat that takes dye out; as they are under any other. */
function strippedLayers(
  { coat, rate }: Pick<AppliedCoat, 'coat' | 'rate'>,
  layers: readonly DyeLayer[],
  worked: number,
): readonly DyeLayer[] {
  const product = PRODUCTS[coat.mix.product];
  if (!product.strips) return layers;
  // Strength speeds the work on dye as it does on pigment; a remover has no strength.
  const pace = coat.mix.product === 'remover' ? 1 : sqrt(max(2, coat.mix.developerVol) / 20);
  const full = reached(50, product.strips.tauMinutes);
  const spent = (pace * reached(worked * rate, product.strips.tauMinutes)) / full;
  const value = coat.isProtected ? FIGURES.model.protectedLift : 1;
  return layers.map((layer) => stripped(layer, product, spent * value));
}

/**
 * Hair over which a later product has lain for so many minutes while an earlier one that was never rinsed went on beneath:
 * lightener and remover take of the new dye as they would of any (R8). `base` is the hair under the earlier alone.
 */
export function strippedBeneath(earlier: AppliedCoat, base: Strand, over: Strand, minutes: number): Strand {
  if (over.layers.length <= base.layers.length || !PRODUCTS[earlier.coat.mix.product].strips) return over;
  const there = over.layers.slice(0, base.layers.length);
  const fresh = over.layers.slice(base.layers.length);
  return { ...over, layers: [...there, ...strippedLayers(earlier, fresh, minutes)] };
}

/** The hair the coat reached, after so many minutes. */
function reachedHair(application: AppliedCoat, minutes: number, heated: Heated): Strand {
  const { coat, start, lift, dose, rate, tauMinutes, deposit } = application;
  const product = PRODUCTS[coat.mix.product];
  const figures = FIGURES.model;
  const worked = workOf(application, minutes, heated);
  const done = dose * reached(worked * rate, tauMinutes);

  let layers: readonly DyeLayer[] = start.layers;
  if (layers.length > 0) layers = strippedLayers(application, layers, worked);
  if (deposit && product.dye) {
    const pace = rate ** figures.dyePace;
    const formed = formedAt(worked * pace, product.dye.tauMinutes, product.dye.fullMinutes);
    const covering = product.kind === 'permanent' || product.kind === 'highLift';
    const onWhite = covering
      ? formedAt(worked * pace, figures.whiteTauMinutes, WHITE_FULL_MINUTES) ** figures.whiteLags
      : formed;
    if (formed > TRACE)
      layers = [
        ...layers,
        {
          kind: deposit.kind,
          dye: combine(deposit.dye, NO_DYE, formed, 0),
          dyeOnWhite: combine(deposit.dyeOnWhite, NO_DYE, onWhite, 0),
          masks: { red: deposit.masks.red * formed, yellow: deposit.masks.yellow * formed },
          fills: { red: deposit.fills.red * formed, yellow: deposit.fills.yellow * formed },
          held: 0,
        },
      ];
  }
  const hurt = hurtOf(application, done, minutes);
  const glosses = product.kind === 'acidGloss' ? 0.6 : product.kind === 'demi' ? 0.3 : 0;
  const gloss = deposit ? glosses * min(1, worked / 10) : 0;
  return {
    ...start,
    brownBlack: brownBlackAfter(start, lift, done),
    layers,
    damage: 1 - (1 - start.damage) * exp(-hurt),
    porosity: start.porosity + (1 - start.porosity) * (1 - exp(-hurt * 0.8)),
    moisture: start.moisture * exp(-figures.dries * hurt),
    surface: (start.surface + (1 - start.surface) * gloss) * exp(-figures.dullness * hurt),
    spots: [],
  };
}

/** Spots smaller than this are not kept apart, and more than this many are joined to the largest. */
const LEAST_SPOT = 0.005;
const MOST_SPOTS = 4;

/**
 * The strand after a coat has lain on it for so many minutes. A function of the start and the total, never of steps:
 * splitting a time changes nothing. A thin coat leaves spots: hair between that is as it was (R8).
 */
export function strandAfter(application: AppliedCoat, minutes: number, heated: Heated = NO_HEAT): Strand {
  const { start, coverage, onSpots } = application;
  if (minutes <= 0) return start;
  const own = reachedHair(application, minutes, heated);
  if (coverage >= 1 && onSpots.length === 0) return own;
  const before = onSpots.reduce((sum, { fraction }) => sum + fraction, 0);
  const spots: Spot[] = onSpots.flatMap(({ fraction, application: on }) => [
    { fraction: fraction * coverage, strand: reachedHair(on, minutes, heated) },
    { fraction: fraction * (1 - coverage), strand: on.start },
  ]);
  spots.push({ fraction: (1 - before) * (1 - coverage), strand: { ...start, spots: [] } });
  const kept = spots.filter(({ fraction }) => fraction > LEAST_SPOT).sort((a, b) => b.fraction - a.fraction);
  const few = kept.slice(0, MOST_SPOTS);
  const rest = kept.slice(MOST_SPOTS).reduce((sum, { fraction }) => sum + fraction, 0);
  return {
    ...own,
    spots: few.map((spot, i) => (i === 0 ? { ...spot, fraction: spot.fraction + rest } : spot)),
  };
}

/** A coat lying on a strand for so many minutes at room warmth. */
export const strandUnder = (coat: Coat, strand: Strand, minutes: number): Strand =>
  strandAfter(apply(coat, strand), minutes);
