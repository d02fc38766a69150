import type { Area } from '../hair';
import { AREA_ORDERS } from '../theory';

type Json = Record<string, unknown>;
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Orders that a card told by where it began, before it told them area by area. */
const ORDER_FROM: Record<string, readonly Area[]> = {
  nape: AREA_ORDERS.napeUp,
  front: AREA_ORDERS.faceBack,
  crown: ['crown', 'back', 'nape', 'sides', 'top', 'temples', 'hairline'],
};

/**
 * Cases and cards as they were kept before they told areas, brought up to date wherever they stand in a value: where a
 * step began becomes the order of its areas, the one weave of a case the first of its placements. Anything else stays.
 */
export function fromBeforeAreas(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(fromBeforeAreas);
  if (!isJson(value)) return value;
  const all = Object.fromEntries(Object.entries(value).map(([name, one]) => [name, fromBeforeAreas(one)]));
  const { startsAt, weave, ...rest } = all;
  const order = typeof startsAt === 'string' && 'bowl' in all ? ORDER_FROM[startsAt] : undefined;
  const placed = isJson(weave) && 'wish' in all ? [weave] : undefined;
  if (!order && !placed) return all;
  return { ...rest, ...(order ? { areas: [...order] } : {}), ...(placed ? { placements: placed } : {}) };
}
