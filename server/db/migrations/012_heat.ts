import type { Knex } from 'knex';
import { changeAll, type Json } from './in-json';

/**
 * Heat is on for named minutes of a step instead of the whole of it. A step may stand deep in what is stored (a draft, the
 * plan of a grade, a case of visits), so every JSON column is looked through.
 */
const isStep = (one: Json) => 'bowl' in one && 'minutes' in one;

const forwards = (one: Json): Json => {
  if (!isStep(one) || typeof one.warmth !== 'boolean') return one;
  const { warmth, ...rest } = one;
  return { ...rest, heat: warmth ? { from: 0, to: one.minutes } : null };
};

/** What a card could not tell before (its own minutes of heat and checks, a leftover, rinsing apart) is left out of it. */
const backwards = (one: Json): Json => {
  if (Array.isArray(one.care))
    one = {
      ...one,
      care: one.care.filter((step) => !['emulsify', 'rinse'].includes((step as Json).do as string)),
    };
  if ('station' in one) {
    const { station: _station, ...rest } = one;
    one = rest;
  }
  if ('shades' in one && 'from' in one) {
    const { from: _from, ...rest } = one;
    one = rest;
  }
  if (!isStep(one) || !('heat' in one)) return one;
  const { heat, checkAt: _at, watchedFor: _for, takesMinutes: _takes, partingMm: _mm, ...rest } = one;
  return { ...rest, warmth: heat !== null };
};

/** What has been handed in is frozen against everyone; only its shape changes here, not what it says. */
async function unfrozen(knex: Knex, work: () => Promise<void>): Promise<void> {
  await knex.raw('alter table attempts disable trigger attempts_keep_handed_in');
  await work();
  await knex.raw('alter table attempts enable trigger attempts_keep_handed_in');
}

export const up = (knex: Knex) => unfrozen(knex, () => changeAll(knex, ['warmth'], forwards));
export const down = (knex: Knex) =>
  unfrozen(knex, () => changeAll(knex, ['heat', 'station', 'from', 'care'], backwards));
