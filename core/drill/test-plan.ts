import { z } from 'zod';
import { seedFrom } from '../random';
import type { DrillContext } from './context';
import { facetsOf, generate } from './generate';
import type { ItemSpec, Item } from './item';
import { questionName } from './next-item';
import { drawFrom } from './random-draw';
import { skillSchema, drillStepSchema, type DrillStep } from './skill';

/** One question of a reading test without its seed: what makes it as hard for one student as for another. */
export const slotSchema = z.object({ skill: skillSchema, facet: z.string(), step: drillStepSchema });
export type Slot = z.infer<typeof slotSchema>;

export const testPartSchema = z.object({ skill: skillSchema, count: z.number().int().min(1).max(20) });
export type TestPart = z.infer<typeof testPartSchema>;

/** Thrown for a part that the scope has nothing for. */
export class NothingToAsk extends RangeError {
  constructor(readonly skill: TestPart['skill']) {
    super(`${skill} has nothing to ask in this scope`);
  }
}

/**
 * The questions of a test: every facet of a skill before any comes twice, in the order of the parts. Which facets is
 * drawn from the seed. @throws NothingToAsk
 */
export function planTest(
  parts: readonly TestPart[],
  step: DrillStep,
  context: DrillContext,
  seed: number,
): Slot[] {
  const draw = drawFrom(seed);
  return parts.flatMap(({ skill, count }) => {
    const facets = facetsOf(skill, context);
    if (facets.length === 0) throw new NothingToAsk(skill);
    const slots: Slot[] = [];
    while (slots.length < count)
      for (const facet of draw.shuffled(facets)) if (slots.length < count) slots.push({ skill, facet, step });
    return slots;
  });
}

export interface TestItem {
  /** Index into the plan: the same slot is as hard for everyone. */
  slot: number;
  /** What names the item. */
  spec: ItemSpec;
}

/** A seed for each thing of a sitting, by its name. Where seeds must tell nothing of one another, a keyed hash gives them. */
export type SeedOf = (what: string) => number;

/**
 * The items of one sitting. With `own` variants the seeds are the student's: other hair, other figures, another order of
 * the same slots, so that a neighbour's screen is of no help and the difficulty is the same.
 */
export function sittingOf(plan: readonly Slot[], seedOf: SeedOf, variants: 'own' | 'same'): TestItem[] {
  const draw = drawFrom(seedOf('order'));
  const order = plan.map((_, i) => i);
  return (variants === 'own' ? draw.shuffled(order) : order).map((slot) => ({
    slot,
    spec: { ...plan[slot], seed: seedOf(String(slot)) },
  }));
}

/** Seeds tried for a question that this sitting does not ask already. */
const TRIES = 40;

/**
 * Every item of a sitting, made: before a test is set that proves that there is one for each. A question that would come
 * twice in the same words is drawn again, by seeds of its own, so that it is the same each time.
 */
export function itemsOfSitting(
  items: readonly TestItem[],
  context: DrillContext,
): { slot: number; item: Item }[] {
  const asked = new Set<string>();
  return items.map(({ slot, spec }) => {
    let item = generate(spec, context);
    for (let i = 1; i < TRIES && asked.has(questionName(item)); i++)
      item = generate({ ...spec, seed: seedFrom(`${spec.seed} ${i}`) }, context);
    asked.add(questionName(item));
    return { slot, item };
  });
}
