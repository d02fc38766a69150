import type { Line } from '../product';
import type { HouseRules } from './house-rules';

export interface ShareSpan {
  /** Least of the span. */
  min: number;
  /** Most that can be had. */
  max: number;
}

/**
 * F8. Natural series in the mix, share 0–1, for a grey share 0–1.
 * Stepped school: under a quarter none needed, a quarter to a half a quarter to a third, a half to three quarters a
 * half, over three quarters three quarters to all. The other school: over a half, one part natural to two of fashion.
 * `fashion` is false for a target that is itself natural: then the natural series is the whole mix. A line whose
 * directions have a table of their own is mixed by that.
 * @rule F8
 */
export function naturalShareFor(
  greyShare: number,
  rules: Pick<HouseRules, 'greyShare'>,
  fashion: boolean,
  line?: Pick<Line, 'greyShares'>,
): ShareSpan {
  if (!fashion) return { min: 1, max: 1 };
  if (line?.greyShares) {
    const natural = line.greyShares.findLast(({ from }) => from <= greyShare)?.natural ?? 0;
    return { min: natural, max: natural };
  }
  if (rules.greyShare === 'oneToTwo')
    return greyShare > 0.5 ? { min: 1 / 3, max: 1 / 3 } : { min: 0, max: 0 };
  if (greyShare < 0.25) return { min: 0, max: 0 };
  if (greyShare < 0.5) return { min: 1 / 4, max: 1 / 3 };
  if (greyShare <= 0.75) return { min: 1 / 2, max: 1 / 2 };
  return { min: 3 / 4, max: 1 };
}

/**
 * From this share on white strands show where cover is wished: a hairline, a parting. They want permanent colour, 20 vol
 * and the line's grey time, even where the mix needs no natural share yet (F13).
 * @rule F13
 */
export const GREY_TO_COVER = 0.05;
/** Whether a share of white strands, fraction 0–1, has to be covered (F13). */
export const hasGreyToCover = (greyShare: number) => greyShare >= GREY_TO_COVER;

/**
 * Most grey a kind of line can be asked to cover, share 0–1: permanent and express all of it, demi blends up
 * to half, an acid gloss none.
 */
export const greyLimitOf = (kind: Line['kind']): number =>
  kind === 'permanent' || kind === 'express' ? 1 : kind === 'demi' ? 0.5 : 0;
