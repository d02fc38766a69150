import { type ProductKind, isLightener, type Mix, VIVID_LOAD } from '../process';
import { blendVol, type Line, hasShades, type ShadePart, readLabel } from '../product';
import type { Bowl, BowlAddition, RecordCard } from './record-card';

const sum = (items: readonly { grams: number }[]) => items.reduce((all, { grams }) => all + grams, 0);

/** Grams of what colours or lightens, and of what it is mixed with. Correctors count (F10). */
export const colourGrams = ({ shades, productGrams }: Bowl) => sum(shades) + productGrams;
/** Grams of developer and water in a bowl. */
export const developerGrams = ({ developer }: Bowl) => sum(developer);
/** Grams of shampoo or conditioner in it. */
export const additionGrams = ({ others = [] }: Bowl, kind?: BowlAddition) =>
  sum(others.filter((other) => kind === undefined || other.kind === kind));
/** Grams of all that is in a bowl. */
export const bowlGrams = (bowl: Bowl) => colourGrams(bowl) + developerGrams(bowl) + additionGrams(bowl);

/** Developer parts to one of colour; null while nothing is in the bowl. */
export function bowlRatio(bowl: Bowl): number | null {
  const colour = colourGrams(bowl);
  return colour > 0 ? developerGrams(bowl) / colour : null;
}

/** Strength of what was poured, volumes; null while nothing was. */
export function bowlVol({ developer }: Bowl): number | null {
  const poured = developer.filter(({ grams }) => grams > 0);
  return poured.length === 0 ? null : blendVol(poured.map(({ vol, grams }) => ({ vol, parts: grams })));
}

/** Shades of a bowl as its line's key reads them; what the key cannot read is left out. */
export function shadePartsOf(bowl: Bowl, line: Line): ShadePart[] {
  return bowl.shades.flatMap(({ label, grams }) => {
    const reading = readLabel(line, label);
    return reading.ok && grams > 0 ? [{ shade: reading.shade, parts: grams }] : [];
  });
}

/** The product a bowl acts as: high-lift shades make a permanent line a high-lift one. */
export function productOf(line: Line, shades: readonly ShadePart[]): ProductKind {
  const highLift = shades.some(({ shade }) => shade.series === 'highLift');
  return line.kind === 'permanent' && highLift ? 'highLift' : line.kind;
}

/** The bowl as the hair model takes it; null while something that it needs is missing. */
export function mixOfBowl(bowl: Bowl, line: Line): Mix | null {
  const shades = shadePartsOf(bowl, line);
  if (hasShades(line.kind) ? shades.length === 0 : bowl.productGrams <= 0) return null;
  const product = productOf(line, shades);
  if (product === 'direct') {
    const all = shades.reduce((total, { parts }) => total + parts, 0);
    const vivid: Mix['vivid'] = {};
    for (const { shade, parts } of shades)
      if (shade.dye) vivid[shade.dye] = (vivid[shade.dye] ?? 0) + (VIVID_LOAD * parts) / all;
    return { product, shades: [], vivid, developerVol: 0, ratio: 1 };
  }
  if (product === 'filler')
    return { product, shades: [], fillsLevel: shades[0].shade.level ?? undefined, developerVol: 0, ratio: 1 };
  const poured = bowlVol(bowl);
  const ratio = bowlRatio(bowl);
  if (poured === null || ratio === null || ratio <= 0) return null;
  const most = Math.max(...line.ratios);
  // Water beyond the ratio that the line allows thins the whole of it, as a leftover is thinned (A1).
  const water = bowl.developer.some(({ vol, grams }) => vol === 0 && grams > 0);
  const isThinned = water && ratio > most;
  // Conditioner makes a cleanse of a lightener (P8); in colour it only thins, as soap does in either (A1).
  const cleanses = isLightener(product) && additionGrams(bowl, 'conditioner') > 0;
  const soap = additionGrams(bowl) - (cleanses ? additionGrams(bowl, 'conditioner') : 0);
  const mixed = colourGrams(bowl) + developerGrams(bowl);
  const thinned = (isThinned ? (1 + ratio) / (1 + most) : 1) * (1 + soap / mixed) - 1;
  return {
    product,
    shades,
    developerVol: isThinned ? (poured * ratio) / most : poured,
    ratio: isThinned ? most : ratio,
    ...(thinned > 0 ? { thinned } : {}),
    ...(cleanses ? { conditioner: true } : {}),
    ...(bowl.additive ? { bondAdditive: true } : {}),
  };
}

/** Leftovers of leftovers are followed so far; beyond that a card goes round in a circle. */
const DEEPEST = 4;

const scaled = (bowl: Bowl, by: number): Bowl => ({
  ...bowl,
  shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * by })),
  productGrams: bowl.productGrams * by,
  developer: bowl.developer.map((one) => ({ ...one, grams: one.grams * by })),
  ...(bowl.others ? { others: bowl.others.map((other) => ({ ...other, grams: other.grams * by })) } : {}),
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

declare const isComplete: unique symbol;
/** A card, or what of it happens on the hair, with every bowl as what is in it. Only `complete` makes one. */
export type Complete<Card> = Card & { readonly [isComplete]: true };
/** What plays and marks a card takes: a record card whose bowls are whole, leftovers included. */
export type CompleteCard = Complete<RecordCard>;

/**
 * A card with every bowl as what is in it: what begins from another's leftover holds its share of that, and the other holds
 * so much less (A1). Cards without leftovers are given back as they are, and so are cards that are complete.
 */
export function complete<Card extends Pick<RecordCard, 'bowls'>>(card: Card): Complete<Card> {
  if (card.bowls.every(({ from }) => !from)) return card as Complete<Card>;
  return {
    ...card,
    bowls: card.bowls.map((bowl) => {
      const whole = contentsOf(card.bowls, bowl);
      const grams = bowlGrams(whole);
      const taken = Math.min(grams, takenFrom(card.bowls, bowl.name));
      return taken > 0 ? scaled(whole, (grams - taken) / grams) : whole;
    }),
  } as Complete<Card>;
}
