import { bowlGrams } from './bowl';
import type { Bowl, RecordCard } from './record-card';

/** Leftovers of leftovers are followed so far; beyond that a card goes round in a circle. */
const DEEPEST = 4;

const scaled = (bowl: Bowl, by: number): Bowl => ({
  ...bowl,
  shades: bowl.shades.map((one) => ({ ...one, grams: one.grams * by })),
  productGrams: bowl.productGrams * by,
  developer: bowl.developer.map((one) => ({ ...one, grams: one.grams * by })),
  ...(bowl.others ? { others: bowl.others.map((one) => ({ ...one, grams: one.grams * by })) } : {}),
});

/** Two bowls poured together, by strength and by shade. */
function together(left: Bowl, own: Bowl): Bowl {
  const { from: _from, ...rest } = own;
  const joined = <T extends { grams: number }>(
    a: readonly T[],
    b: readonly T[],
    same: (x: T, y: T) => boolean,
  ): T[] =>
    b.reduce<T[]>(
      (all, one) => {
        const there = all.findIndex((other) => same(other, one));
        return there < 0
          ? [...all, one]
          : all.map((other, i) => (i === there ? { ...other, grams: other.grams + one.grams } : other));
      },
      [...a],
    );
  const others = joined(left.others ?? [], own.others ?? [], (x, y) => x.kind === y.kind);
  return {
    ...rest,
    lineId: left.lineId,
    shades: joined(left.shades, own.shades, (x, y) => x.label === y.label),
    productGrams: left.productGrams + own.productGrams,
    developer: joined(left.developer, own.developer, (x, y) => x.vol === y.vol),
    additive: left.additive || own.additive,
    ...(others.length > 0 ? { others } : {}),
  };
}

/** What is in a bowl, what is left of another included; as it stands where that one is not there or is empty. */
function contentsOf(bowls: readonly Bowl[], bowl: Bowl, depth = 0): Bowl {
  const { from, ...rest } = bowl;
  const origin = from && bowls.find(({ name }) => name === from.bowl);
  if (!from || !origin || origin === bowl || depth >= DEEPEST) return rest;
  const left = contentsOf(bowls, origin, depth + 1);
  const grams = bowlGrams(left);
  return grams > 0 ? together(scaled(left, from.grams / grams), bowl) : rest;
}

/** Grams that other bowls are begun with from one. */
export const takenFrom = (bowls: readonly Bowl[], name: string): number =>
  bowls.reduce((sum, { from }) => sum + (from?.bowl === name ? from.grams : 0), 0);

/**
 * A card with every bowl as what is in it: what begins from another's leftover holds its share of that, and the other holds
 * so much less (A1). Cards without leftovers are given back as they are.
 */
export function withLeftovers<C extends Pick<RecordCard, 'bowls'>>(card: C): C {
  if (card.bowls.every(({ from }) => !from)) return card;
  return {
    ...card,
    bowls: card.bowls.map((bowl) => {
      const whole = contentsOf(card.bowls, bowl);
      const grams = bowlGrams(whole);
      const taken = Math.min(grams, takenFrom(card.bowls, bowl.name));
      return taken > 0 ? scaled(whole, (grams - taken) / grams) : whole;
    }),
  };
}
