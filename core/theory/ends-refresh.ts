import type { Line } from '../shades';
import type { HouseRules } from './house-rules';

/** Ways to refresh ends with what is left of the bowl for the regrowth (A1). */
export type LeftoverWay = Exclude<HouseRules['endsRefresh'], 'gloss'>;

/** Kinds of line that refresh without a leftover. */
const GLOSSES: readonly Line['kind'][] = ['demi', 'acidGloss'];

/**
 * How ends are refreshed in a class with these lines at hand (A1): as its school does, and from a thinned leftover where
 * the school asks for a gloss and none is there.
 */
export const refreshWay = (
  { endsRefresh }: Pick<HouseRules, 'endsRefresh'>,
  lines: readonly Pick<Line, 'kind'>[],
): HouseRules['endsRefresh'] =>
  endsRefresh === 'gloss' && !lines.some(({ kind }) => GLOSSES.includes(kind))
    ? 'diluteLeftover'
    : endsRefresh;

/**
 * Ends are refreshed in the last minutes, whatever with (A1).
 * @rule A1
 */
export const REFRESH_MINUTES = { best: 10, min: 5, max: 10 };
/** Water to one part of developer that thins a leftover. */
export const LEFTOVER_WATER = 1;
/** From this share of what is poured on, a leftover counts as thinned. */
export const LEAST_WATER_SHARE = 0.25;
