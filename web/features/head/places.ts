import { type PlaceId, type DrawnStretch, AREAS, type Area } from '@cimbel/core/hair';
import type { ShownHair, VisibleRegion } from '@cimbel/core/exercise';
import { AREA_ORDERS } from '@cimbel/core/rules';
import type { AreaLook, HeadLook } from '@cimbel/core/draw';
import type { AreaStrand } from '@cimbel/core/simulate';

type Regions = readonly VisibleRegion[];

/** Every place of a head, region by region, each from root to end. */
export const placesOf = ({ regions }: { regions: Regions }): DrawnStretch[] =>
  regions.flatMap(({ zones }) => zones);

/** Which region a place is in, by its number; the first where there is none of the kind. */
export const regionAt = (regions: Regions, place: PlaceId): number =>
  Math.max(
    0,
    regions.findIndex(({ zones }) => zones.some(({ zone }) => zone === place)),
  );

/** Where only the colour from a step away is known, the white in it is not told apart. */
const NO_GREY = { greyShare: 0, grey: { l: 0, a: 0, b: 0 } };

/** How a region is drawn on the head sheet: its hair where it leaves the scalp, or what lies on it. */
function areaLook({ density }: VisibleRegion, hair: ShownHair): AreaLook {
  if (!('look' in hair)) return { colour: hair.root, ...NO_GREY, density, form: hair.form };
  const [{ colour, greyShare, grey, under }] = hair.look.zones;
  return { colour, greyShare, grey, under, density, form: hair.look.form };
}

/**
 * How each area is drawn; one that no region has, as the first region is, and one that is worked otherwise than its region
 * by a strand of its own.
 */
export const headLook = (
  regions: Regions,
  hair: readonly ShownHair[],
  apart: readonly AreaStrand[] = [],
): HeadLook =>
  Object.fromEntries(
    AREAS.map((area) => {
      const at = Math.max(
        0,
        regions.findIndex(({ areas }) => areas.includes(area)),
      );
      const own = apart.find(({ areas }) => areas.includes(area));
      return [area, areaLook(regions[at], own ? { look: own.strand } : hair[at])];
    }),
  );

/** The named order that areas are worked in, each once; null where it is another. */
export const orderName = (order: readonly Area[]): keyof typeof AREA_ORDERS | null => {
  const once = order.filter((area, i) => order.indexOf(area) === i);
  const names = Object.keys(AREA_ORDERS) as (keyof typeof AREA_ORDERS)[];
  return (
    names.find((name) => AREA_ORDERS[name].filter((area) => once.includes(area)).join() === once.join()) ??
    null
  );
};

/**
 * An order of work brought to the areas there are: those gone are dropped, new ones come last. What of the areas there were
 * `before` was left out stays out, unless nothing else is there to work.
 */
export const fittedOrder = (
  order: readonly Area[],
  areas: readonly Area[],
  before: readonly Area[] = [],
): Area[] => {
  const kept = order.filter((area) => areas.includes(area));
  const fresh = areas.filter((area) => !kept.includes(area) && !before.includes(area));
  return kept.length + fresh.length > 0 ? [...kept, ...fresh] : [...areas];
};

/** The order with an area brought to the front; one that is gone over again at the end stays there. */
export const begunAt = (order: readonly Area[], area: Area): Area[] => {
  const first = order.indexOf(area);
  return [area, ...order.filter((_, i) => i !== first)];
};

/** Whether an area comes a second time. */
export const isTwice = (order: readonly Area[], area: Area) =>
  order.indexOf(area) !== order.lastIndexOf(area);

/** The order with an area gone over once more at the end, or no more. */
export const again = (order: readonly Area[], area: Area): Area[] => {
  if (!isTwice(order, area)) return [...order, area];
  const last = order.lastIndexOf(area);
  return order.filter((_, i) => i !== last);
};
