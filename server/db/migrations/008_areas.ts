import type { Knex } from 'knex';

/**
 * Cases and cards tell areas: a step the order in which it works them in place of where it begins, a case any number of
 * placements in place of one weave, a card what is done beside the bowls. What a case or card holds may stand deep in what is stored (the visit of an answer,
 * a grade's plan), so every JSON column is looked through.
 */
type Json = Record<string, unknown>;
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const ORDERS: Record<string, string[]> = {
  nape: ['nape', 'back', 'crown', 'sides', 'temples', 'top', 'hairline'],
  front: ['hairline', 'temples', 'top', 'sides', 'crown', 'back', 'nape'],
  crown: ['crown', 'back', 'nape', 'sides', 'top', 'temples', 'hairline'],
};
const BEGINS: Record<string, string> = { hairline: 'front', temples: 'front', top: 'front', crown: 'crown' };

function walk(value: unknown, change: (one: Json) => Json): unknown {
  if (Array.isArray(value)) return value.map((one) => walk(one, change));
  if (!isJson(value)) return value;
  return change(Object.fromEntries(Object.entries(value).map(([name, one]) => [name, walk(one, change)])));
}

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

async function changeAll(knex: Knex, words: readonly string[], change: (one: Json) => Json): Promise<void> {
  const { rows } = await knex.raw<{ rows: { table: string; column: string }[] }>(
    `select table_name as "table", column_name as "column" from information_schema.columns
      where table_schema = current_schema() and data_type = 'jsonb'`,
  );
  for (const { table, column } of rows) {
    const found: { at: string; value: unknown }[] = await knex(table)
      .select(knex.raw('ctid::text as at'), { value: column })
      .whereRaw(`?? ::text ~ ?`, [column, words.map((word) => `"${word}":`).join('|')]);
    for (const { at, value } of found)
      await knex(table)
        .whereRaw('ctid = ?::tid', [at])
        .update({ [column]: JSON.stringify(walk(value, change)) });
  }
}

export const up = (knex: Knex) => changeAll(knex, ['startsAt', 'weave', 'readings'], forwards);
export const down = (knex: Knex) =>
  changeAll(knex, ['areas', 'placements', 'regions', 'readings'], backwards);
