import {
  type Head,
  type Region,
  type PlaceId,
  type Area,
  AREAS,
  isRegrowth,
  regionsOf,
  fractionOfHead,
} from '../hair';
import { amountGuide } from '../product';

/** Foils waste little, yet every packet has to be covered well (A6, M2). */
const LEAST_SHARE = 0.5;
/** Less than this of the length still takes that much of the guide: there is a bowl and a brush to wet. */
const LEAST_LENGTH = 0.25;

interface Span {
  minGrams: number;
  maxGrams: number;
}

/** Mixed grams for some zones of a region, were all of the head like it. */
function amountIn(head: Head, { zones: all, density }: Region, zones: readonly PlaceId[]): Span {
  const retouched = all.length > 1 && all.some(({ zone }) => zones.includes(zone) && isRegrowth(zone));
  const length = all.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const covered = all.reduce(
    (sum, { zone, lengthCm }) =>
      sum + (zones.includes(zone) && !(retouched && isRegrowth(zone)) ? lengthCm : 0),
    0,
  );
  const along = covered === 0 ? 0 : Math.max(retouched ? 0 : LEAST_LENGTH, covered / length);
  const whole = amountGuide(head.length, density);
  const root = amountGuide('retouch', density);
  const grams = (of: keyof Span) => Math.min(whole[of], (retouched ? root[of] : 0) + along * whole[of]);
  return { minGrams: grams('minGrams'), maxGrams: grams('maxGrams') };
}

/**
 * Mixed grams that serve some places of a head (M2): the guide for a retouch where the regrowth is among them, and that
 * for the length of hair by the share of the length that is covered; together never more than all of the hair takes, less
 * where only a share of it is woven out, and by region as the areas that are
 * worked are of the head. More places never take less.
 */
export function amountFor(
  head: Head,
  places: readonly PlaceId[],
  share: number,
  areas: readonly Area[] = AREAS,
): Span {
  const by = Math.max(LEAST_SHARE, share);
  return regionsOf(head).reduce<Span>(
    (sum, region) => {
      const { minGrams, maxGrams } = amountIn(head, region, places);
      const part = fractionOfHead(region.areas.filter((area) => areas.includes(area))) * by;
      return { minGrams: sum.minGrams + minGrams * part, maxGrams: sum.maxGrams + maxGrams * part };
    },
    { minGrams: 0, maxGrams: 0 },
  );
}
