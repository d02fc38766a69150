import type { Area } from '../../hair';
import { AREA_ORDERS } from '../../rules';

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
 * Cases and cards as they were kept before, brought up to date wherever they stand in a value: where a step began becomes
 * the order of its areas, heat for a whole step its minutes, the one weave of a case the first of its placements. Anything
 * else stays.
 */
export function fromOlderCards(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(fromOlderCards);
  if (!isJson(value)) return value;
  const all = Object.fromEntries(Object.entries(value).map(([name, one]) => [name, fromOlderCards(one)]));
  const { startsAt, weave, warmth, ...rest } = all;
  const order = typeof startsAt === 'string' && 'bowl' in all ? ORDER_FROM[startsAt] : undefined;
  const placed = isJson(weave) && 'wish' in all ? [weave] : undefined;
  const heated = typeof warmth === 'boolean' && typeof all.minutes === 'number';
  if (!order && !placed && !heated) return all;
  return {
    ...rest,
    ...(order ? { areas: [...order] } : {}),
    ...(placed ? { placements: placed } : {}),
    ...(heated ? { heat: warmth ? { from: 0, to: all.minutes } : null } : {}),
  };
}
