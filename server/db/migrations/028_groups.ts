import type { Knex } from 'knex';

const OF_TONES: Record<string, string> = {
  ash: 'cools',
  matte: 'cools',
  pearl: 'cools',
  violet: 'cools',
  beige: 'warms',
  gold: 'warms',
  warmBrown: 'warms',
  copper: 'warms',
  red: 'reds',
  mahogany: 'reds',
};
const AMONG_OTHERS: Record<string, Record<string, string>> = {
  grey: { low: 'share', middle: 'share', high: 'share' },
  developer: { lift: 'task', deposit: 'task', grey: 'task', artificial: 'dyed' },
  timing: { check: 'looks' },
};
const BY_LEVEL = ['level', 'underlay', 'predict', 'toner'];

interface Slot {
  skill: string;
  facet: string;
}

function inGroups(slot: Slot): Slot {
  const { skill, facet } = slot;
  if (skill === 'tone') return { ...slot, facet: OF_TONES[facet] ?? facet };
  const among = AMONG_OTHERS[skill]?.[facet];
  if (among) return { ...slot, facet: among };
  if (!BY_LEVEL.includes(skill) || !/^\d+$/.test(facet)) return slot;
  const level = Number(facet);
  return { ...slot, facet: level < 5 ? 'darkLevels' : level < 8 ? 'mediumLevels' : 'lightLevels' };
}

/** Levels and tones are practised in groups, so that what is asked about does not say the answer: plans of tests as well. */
export async function up(knex: Knex): Promise<void> {
  const tests: { id: string; plan: Slot[] }[] = await knex('reading_tests').select('id', 'plan');
  for (const { id, plan } of tests)
    await knex('reading_tests')
      .where({ id })
      .update({ plan: JSON.stringify(plan.map(inGroups)) });
}

const LEVELS: Record<string, string> = { darkLevels: '4', mediumLevels: '6', lightLevels: '9' };
const TONES: Record<string, string> = { cools: 'ash', warms: 'gold', reds: 'red' };
const OTHERS: Record<string, Record<string, string>> = {
  grey: { share: 'middle' },
  developer: { task: 'lift', dyed: 'artificial' },
};

/** A level or tone of the group, so that the plan can be asked by what was there before. */
export async function down(knex: Knex): Promise<void> {
  const tests: { id: string; plan: Slot[] }[] = await knex('reading_tests').select('id', 'plan');
  for (const { id, plan } of tests)
    await knex('reading_tests')
      .where({ id })
      .update({
        plan: JSON.stringify(
          plan.map((slot) => ({
            ...slot,
            facet: LEVELS[slot.facet] ?? TONES[slot.facet] ?? OTHERS[slot.skill]?.[slot.facet] ?? slot.facet,
          })),
        ),
      });
}
