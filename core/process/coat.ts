import type { Diameter, Strand } from '../hair';
import { FIGURES } from './figures';
import type { Mix } from './mix';
import { isLightener, PRODUCTS } from './products';

// Bound once: these run millions of times in a search.
const { exp, max, sqrt } = Math;

/** How a mix is put on one place. */
export interface Coat {
  /** The mix. */
  mix: Mix;
  /** The hair is wet: what is put on works at half its pace (D6). */
  wet?: boolean;
  /**
   * Cream, oil or conditioner keeps the mix off the hair, as on the joint of two products (C5).
   * @rule C5
   */
  isProtected?: boolean;
  /** Amount put on against what the place needs; 1 is all of it, the default (R8). */
  amount?: number;
  /** Minutes since it was mixed: a leftover is weaker the older it is (M5). */
  ageMinutes?: number;
  /** It lies over another product that was never rinsed: it works at half its pace (R8). */
  isOver?: boolean;
}

/**
 * R6: pace by diameter in colour, and very fine hair in lightener.
 * @rule R6
 */
const PACE_BY_DIAMETER: Record<Diameter, number> = { veryFine: 1.25, fine: 1.25, medium: 1, coarse: 0.8 };
const VERY_FINE_IN_LIGHTENER = 1.6;
/** Within this far from the scalp its warmth helps (R6). */
export const SCALP_WARMTH_CM = 1.3;
const SCALP_PACE = 1.3;
/**
 * R4: heat adds a third to the rate.
 * @rule R4
 */
export const HEAT_PACE = 4 / 3;

/** 0.8 at low, 1 at normal, 1.3 at high porosity (R6), linear between. */
const paceByPorosity = (p: number) =>
  max(0.7, p <= 0.5 ? 0.8 + ((p - 0.25) / 0.25) * 0.2 : 1 + ((p - 0.5) / 0.35) * 0.3);

/** How near the scalp a strand lies, 0 away from its warmth to 1. */
export const atScalp = ({ fromScalpCm }: Pick<Strand, 'fromScalpCm'>) => fromScalpCm <= SCALP_WARMTH_CM;

/** Rate 1 is medium hair of normal porosity in a room of 20 to 24 °C, away from the scalp (R6). */
export function paceOf(strand: Strand, { mix }: Coat): number {
  const diameter =
    strand.diameter === 'veryFine' && isLightener(mix.product)
      ? VERY_FINE_IN_LIGHTENER
      : PACE_BY_DIAMETER[strand.diameter];
  return (
    diameter *
    paceByPorosity(strand.porosity) *
    (atScalp(strand) ? SCALP_PACE : 1) *
    (mix.bondAdditive ? FIGURES.model.bondPace : 1)
  );
}

/**
 * Soaked hair thins what is put on it by half (D6).
 * @rule D6
 */
export const paceWhenWet = ({ wet }: Coat) => (wet ? FIGURES.model.wetPace : 1);
/** Pace of a coat that lies over another product (R8). Judgement of practitioners: half. */
const PACE_OVER = 0.5;
/** Pace of a coat by what lies beneath it, 1 on hair itself. */
export const paceWhenOver = ({ isOver }: Coat) => (isOver ? PACE_OVER : 1);

/** Water or soap in the mix weakens it (A1, D5). */
export const thinnessOf = ({ thinned = 0 }: Mix): number => 1 / (1 + thinned);

/** What is left of a mix that was made some minutes ago, 0–1 (M5). */
export function freshnessOf({ mix, ageMinutes = 0 }: Coat): number {
  const stops = PRODUCTS[mix.product].stopsAfterMinutes;
  return stops === null ? 1 : sqrt(max(0, 1 - ageMinutes / stops));
}

/**
 * Fraction of the hair of a place that an amount covers, by what the place needs: a quarter of it covers about a quarter,
 * half of it two thirds, all of it everything, and more does no more (R8). Exponents fitted to H25 and H46.
 * @rule R8
 */
export function coverageOf(amount: number): number {
  const STEEP = 3.7;
  const POWER = 1.75;
  const at = (x: number) => 1 - exp(-STEEP * x ** POWER);
  return amount >= 1 ? 1 : at(max(0, amount)) / at(1);
}

/**
 * Minutes of full-rate work after lying on for a while: lightener dries out (P4), colour is spent (M5). Closed form, so
 * that any two ways of cutting the time into steps agree.
 * @rule P4
 */
export function workedMinutes({ mix, ageMinutes = 0 }: Coat, minutes: number): number {
  const { stopsAfterMinutes, fadesOverMinutes } = PRODUCTS[mix.product];
  if (stopsAfterMinutes === null) return minutes;
  const left = max(0, stopsAfterMinutes - (isLightener(mix.product) ? 0 : ageMinutes));
  if (minutes <= left) return minutes;
  return left + fadesOverMinutes * (1 - exp(-(minutes - left) / fadesOverMinutes));
}
