import type { PlaceId, Stretch } from '@cimbel/core/card';
import type { Area } from '@cimbel/core/hair';
import type { Hair, RegionAsSet } from '@cimbel/core/mark';
import { AREA_ORDERS } from '@cimbel/core/theory';
import { surfaceOf } from '@cimbel/core/tress';
import type { AreaPaint } from './head-sheet';

type Regions = readonly RegionAsSet[];

/** Every place of a head, region by region, each from root to end. */
export const placesOf = ({ regions }: { regions: Regions }): Stretch[] =>
  regions.flatMap(({ zones }) => zones);

/** Which region a place is in, by its number; the first where there is none of the kind. */
export const regionAt = (regions: Regions, place: PlaceId): number =>
  Math.max(
    0,
    regions.findIndex(({ zones }) => zones.some(({ zone }) => zone === place)),
  );

/** Where only the colour from a step away is known, the white in it is not told apart. */
const NO_GREY = { share: 0, colour: { l: 0, a: 0, b: 0 } };

/** How each area is drawn: the hair of its region where it leaves the scalp, or what lies on it. */
export const paintBy =
  (regions: Regions, hair: readonly Hair[]) =>
  (area: Area): AreaPaint => {
    const at = Math.max(
      0,
      regions.findIndex(({ areas }) => areas.includes(area)),
    );
    const [one, { density }] = [hair[at], regions[at]];
    if (!('look' in one)) return { colour: one.root, grey: NO_GREY, density, form: one.form };
    const root = surfaceOf(one.look.zones[0]);
    return {
      colour: root.colour,
      grey: { share: root.greyShare, colour: root.grey },
      density,
      form: one.look.form,
    };
  };

/** The named order that areas are worked in, each once; null where it is another. */
export const orderName = (order: readonly Area[]): keyof typeof AREA_ORDERS | null => {
  const once = order.filter((area, i) => order.indexOf(area) === i);
  const names = Object.keys(AREA_ORDERS) as (keyof typeof AREA_ORDERS)[];
  return (
    names.find((name) => AREA_ORDERS[name].filter((area) => once.includes(area)).join() === once.join()) ??
    null
  );
};

/** An order of work brought to the areas there are: those gone are left out, new ones come last. */
export const fittedOrder = (order: readonly Area[], areas: readonly Area[]): Area[] => {
  const kept = order.filter((area) => areas.includes(area));
  return [...kept, ...areas.filter((area) => !kept.includes(area))];
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
