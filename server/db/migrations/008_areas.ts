import type { Knex } from 'knex';
import { changeAll, isJson, type Json } from './in-json';

/**
 * Cases and cards tell areas: a step the order in which it works them in place of where it begins, a case any number of
 * placements in place of one weave, a card what is done beside the bowls. What a case or card holds may stand deep in what is stored (the visit of an answer,
 * a grade's plan), so every JSON column is looked through.
 */
const ORDERS: Record<string, string[]> = {
  nape: ['nape', 'back', 'crown', 'sides', 'temples', 'top', 'hairline'],
  front: ['hairline', 'temples', 'top', 'sides', 'crown', 'back', 'nape'],
  crown: ['crown', 'back', 'nape', 'sides', 'top', 'temples', 'hairline'],
};
const BEGINS: Record<string, string> = { hairline: 'front', temples: 'front', top: 'front', crown: 'crown' };

const forwards = ({ startsAt, weave, ...rest }: Json): Json => ({
  ...rest,
  ...(typeof startsAt === 'string' ? ('bowl' in rest ? { areas: ORDERS[startsAt] } : { startsAt }) : {}),
  ...(weave === undefined ? {} : isJson(weave) && 'wish' in rest ? { placements: [weave] } : { weave }),
  ...(isCard(rest) ? { care: [] } : {}),
});

const isCard = (one: Json) => 'readings' in one && 'bowls' in one && 'steps' in one;

/** @throws Error where a head of several regions or a second placement has been stored, which was not there before. */
const backwards = (one: Json): Json => {
  if (isCard(one)) {
    const { care: _care, ...card } = one;
    return card;
  }
  const { areas, placements, taken: _, ...rest } = one;
  if ('regions' in one && 'zones' in one)
    throw new Error('an exercise on a head of several regions is stored: delete it before going back');
  if (Array.isArray(placements) && placements.length > 1)
    throw new Error('an exercise with several placements is stored: delete it before going back');
  if (Array.isArray(areas) && 'bowl' in one) return { ...rest, startsAt: BEGINS[String(areas[0])] ?? 'nape' };
  if (Array.isArray(placements) && 'wish' in one) {
    const { taken: _taken, ...weave } = placements[0] as Json;
    return { ...rest, weave };
  }
  return one;
};

export const up = (knex: Knex) => changeAll(knex, ['startsAt', 'weave', 'readings'], forwards);
export const down = (knex: Knex) =>
  changeAll(knex, ['areas', 'placements', 'regions', 'readings'], backwards);
