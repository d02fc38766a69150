import type { Line } from '../shades';
import type { HouseRules } from './house-rules';

/** What is done with the hair before the first bowl. */
export const WASHES = ['unwashed', 'washed'] as const;
export type Wash = (typeof WASHES)[number];

/**
 * How hair comes to a lightener (section 12): one school leaves it unwashed, so that the scalp keeps its own
 * protection; the other goes by the line's directions.
 */
export const washBefore = (
  { preWash = 'unwashed' }: Pick<Line, 'preWash'>,
  rules: Pick<HouseRules, 'preServiceWash'>,
): Wash => (rules.preServiceWash === 'unwashed' ? 'unwashed' : preWash);
