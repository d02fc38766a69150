import type { Knex } from 'knex';
import { isJson, type Json } from './in-json';

/**
 * Questions were asked anew. Sittings that were begun keep theirs, in their own words (`older.` before every code), and
 * everything they did not have is filled in; tests not yet sat keep their plan, but where the class forbids thinning its
 * questions about thinning become questions about blending. What guessing earns is kept with every answer, 0 for those from
 * before it was reckoned; the college's own lines are kept with every test.
 */
const OLDER = 'older.';

type Item = Json & { question: Json };

/** Every term and reason below: a code with its parameters. */
function recoded(value: unknown, change: (code: string) => string): unknown {
  if (Array.isArray(value)) return value.map((one) => recoded(one, change));
  if (!isJson(value)) return value;
  const inner = Object.fromEntries(Object.entries(value).map(([name, one]) => [name, recoded(one, change)]));
  return typeof inner.code === 'string' && isJson(inner.params)
    ? { ...inner, code: change(inner.code) }
    : inner;
}

/** `drill.ratio.bowl` is a reason and becomes `drill.older.ratio.bowl`; `ratio.total` is a term and becomes `older.ratio.total`. */
const older = (code: string) =>
  code.startsWith('drill.') ? `drill.${OLDER}${code.slice(6)}` : `${OLDER}${code}`;
const newer = (code: string) => code.replace(OLDER, '');

const forwards = (item: Item): Json => {
  const { question, ...rest } = recoded(item, older) as Item;
  return { means: null, deceits: [], ...rest, question: { hands: null, ...question } };
};
const backwards = (item: Item): Json => {
  const { question, means: _means, deceits: _deceits, ...rest } = recoded(item, newer) as Item;
  const { hands: _hands, ...asked } = question;
  return { ...rest, question: asked };
};

async function changeSittings(knex: Knex, change: (item: Item) => Json): Promise<void> {
  const sittings: { id: string; items: (Json & { item: Item })[] }[] = await knex('sittings').select(
    'id',
    'items',
  );
  for (const { id, items } of sittings)
    await knex('sittings')
      .where({ id })
      .update({ items: JSON.stringify(items.map((kept) => ({ ...kept, item: change(kept.item) }))) });
}

const THINNING: Record<string, string> = { stock: 'strength', water: 'between' };

export async function up(knex: Knex): Promise<void> {
  await changeSittings(knex, forwards);
  const tests: { id: string; plan: Json[]; house_rules: Json }[] = await knex('reading_tests').select(
    'id',
    'plan',
    'house_rules',
  );
  for (const { id, plan, house_rules: rules } of tests) {
    if (rules.diluteDeveloper !== 'never') continue;
    const kept = plan.map((slot) =>
      slot.skill === 'dilution' ? { ...slot, facet: THINNING[slot.facet as string] ?? slot.facet } : slot,
    );
    await knex('reading_tests')
      .where({ id })
      .update({ plan: JSON.stringify(kept) });
  }
  await knex.schema.alterTable('drill_answers', (t) => {
    t.float('chance').notNullable().defaultTo(0);
    t.index(['practice_id', 'answered_at']);
    t.index(['class_id', 'answered_at']);
  });
  await knex.schema.alterTable('reading_tests', (t) => {
    t.jsonb('own_lines').notNullable().defaultTo('[]');
  });
}

/** Answers and plans of skills that were not there before go with them: nothing could ask or show them. */
export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('reading_tests', (t) => {
    t.dropColumn('own_lines');
  });
  await knex.schema.alterTable('drill_answers', (t) => {
    t.dropIndex(['practice_id', 'answered_at']);
    t.dropIndex(['class_id', 'answered_at']);
    t.dropColumn('chance');
  });
  await changeSittings(knex, backwards);
}
