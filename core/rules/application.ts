import { type Area, type Density, DENSITY_FACTOR } from '../hair';
import type { Line } from '../product';
import { hasGreyToCover } from './grey';
import type { HouseRules } from './house-rules';

/**
 * The order in which areas are worked (A4): from the nape up, or over grey from the face back, where it is thickest.
 * @rule A4
 */
export const AREA_ORDERS = {
  napeUp: ['nape', 'back', 'crown', 'sides', 'temples', 'top', 'hairline'],
  faceBack: ['hairline', 'temples', 'top', 'sides', 'crown', 'back', 'nape'],
} as const satisfies Record<string, readonly Area[]>;

/** What decides where on the head one begins: white to be covered (fraction 0–1 of an area), and how dense the hair is. */
export interface AreaHair {
  /** Share of white strands, fraction 0–1. */
  grey: number;
  /** How dense the hair grows. */
  density: Density;
}

/**
 * The areas of some work in order: the thickest grey first and the hairline once more at the end (F8), else the densest
 * first and the thinnest last (C7), else from the nape up.
 * @rule C7
 */
export function areasInOrder(areas: readonly Area[], hairOf: (area: Area) => AreaHair): Area[] {
  const grey = areas.some((area) => hasGreyToCover(hairOf(area).grey));
  const inOrder = AREA_ORDERS[grey ? 'faceBack' : 'napeUp'].filter((area) => areas.includes(area));
  const rank = (area: Area) => {
    const { grey: share, density } = hairOf(area);
    return grey ? -share : -DENSITY_FACTOR[density];
  };
  const sorted = [...inOrder].sort((a, b) => rank(a) - rank(b));
  const again = grey && areas.length > 1 && hasGreyToCover(hairOf('hairline').grey);
  return again && areas.includes('hairline') ? [...sorted, 'hairline'] : sorted;
}
/**
 * Hair grows about this much a month, is retouched at four to six weeks, and past this length new growth lies outside the
 * warmth of the scalp and is worked as two (A5).
 * @rule A5
 */
export const GROWTH = { cmAMonth: 1.25, retouchWeeks: { min: 4, max: 6 }, twoZonesFromCm: 2 } as const;
/** Weeks after which new growth has come to a length, cm. */
export const weeksToGrow = (cm: number): number => (cm / GROWTH.cmAMonth) * (52 / 12);

/**
 * Ways hair is taken for a placement, from the hardest root to the softest (A6). The share of hair taken is the share of
 * lightness; hair left out is depth.
 * @rule A6
 */
export const TAKEN_AS = ['slice', 'weave', 'fineWeave', 'backCombedWeave', 'freehand'] as const;

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

/** What is done with the hair before the first bowl. */
export const WASHES = ['unwashed', 'washed'] as const;
export type Wash = (typeof WASHES)[number];

/**
 * How hair comes to a lightener: one school leaves it unwashed, so that the scalp keeps its own
 * protection; the other goes by the line's directions.
 */
export const washBefore = (
  { preWash = 'unwashed' }: Pick<Line, 'preWash'>,
  rules: Pick<HouseRules, 'preServiceWash'>,
): Wash => (rules.preServiceWash === 'unwashed' ? 'unwashed' : preWash);
