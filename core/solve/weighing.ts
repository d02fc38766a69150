import { type Bowl, bowlGrams } from '../card';
import { amountFor } from '../case';
import type { Head, PlaceId } from '../hair';
import { splitByParts } from '../product';
import { pourOf, LEFTOVER_WATER } from '../rules';
import type { ChosenMix } from './group-plans';

const tenth = (grams: number) => Math.round(grams * 10) / 10;

/** Developer of a strength out of what the line has: as it is, mixed, or thinned with water (D8). */
function poured({ line }: ChosenMix, vol: number, grams: number): Bowl['developer'] {
  // That the class may dilute was settled when the strength was chosen.
  const pour = pourOf(vol, line.developersVol, true) ?? [{ vol, parts: 1 }];
  const weights = splitByParts(
    grams,
    pour.map(({ parts }) => parts),
  );
  return pour.map((part, i) => ({ vol: part.vol, grams: tenth(weights[i]) }));
}

/** Parts of a tube that are pressed out by its marks, the likeliest first (M3). */
const OF_TUBE = [1 / 2, 1 / 4];
const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-9;

/**
 * Grams of a bowl: the middle of its guide, or where whole, half or quarter tubes of every shade come to an amount within
 * the guide, the nearest of those to the middle (M2, M3).
 */
function totalGrams(
  chosen: ChosenMix,
  { minGrams, maxGrams }: { minGrams: number; maxGrams: number },
): number {
  const middle = (minGrams + maxGrams) / 2;
  const parts = chosen.shades.map((shadePart) => shadePart.parts);
  if (parts.length > 0 && chosen.ratio !== null && parts.every(isWhole)) {
    const all = parts.reduce((sum, part) => sum + part, 0);
    for (const part of OF_TUBE) {
      const step = chosen.line.tubeGrams * part * all * (1 + chosen.ratio);
      const total = Math.max(1, Math.round(middle / step)) * step;
      if (total >= minGrams && total <= maxGrams) return total;
    }
  }
  return Math.max(5, Math.round(middle / 5) * 5);
}

/** The bowl as it is weighed out for some zones. */
export function weigh(name: string, chosen: ChosenMix, head: Head, zones: PlaceId[], share: number): Bowl {
  const total = totalGrams(chosen, amountFor(head, zones, share));
  // A cleanse holds as much conditioner as powder.
  const addition = chosen.role === 'cleanse' ? 1 : 0;
  const colour = chosen.ratio === null ? total : total / (1 + chosen.ratio + addition);
  const shares = splitByParts(
    colour,
    chosen.shades.map(({ parts }) => parts),
  );
  return {
    name,
    lineId: chosen.line.id,
    shades: chosen.shades.map(({ shade }, i) => ({ label: shade.label, grams: tenth(shares[i]) })),
    productGrams: chosen.shades.length === 0 ? tenth(colour) : 0,
    developer: chosen.vol === null ? [] : poured(chosen, chosen.vol, total - colour * (1 + addition)),
    additive: false,
    ...(addition > 0 ? { others: [{ kind: 'conditioner' as const, grams: tenth(colour) }] } : {}),
  };
}

/** What makes two bowls one: what they hold, whatever the grams. */
export const formulaOf = ({ role, line, shades, ratio, vol }: ChosenMix): string =>
  JSON.stringify([role, line.id, shades.map(({ shade, parts }) => [shade.label, parts]), ratio, vol]);

/** As much of it held back, and water weighed to it: the bowl that ends are refreshed from (A1). */
export function leftOver(name: string, whole: Bowl, grams: number): Bowl {
  const of = bowlGrams(whole);
  const poured = whole.developer.reduce((sum, part) => sum + part.grams, 0);
  const water = (poured / of) * LEFTOVER_WATER;
  const taken = tenth(grams / (1 + water));
  return {
    name,
    lineId: null,
    shades: [],
    productGrams: 0,
    developer: [{ vol: 0, grams: tenth(grams - taken) }],
    additive: false,
    from: { bowl: whole.name, grams: taken },
  };
}

/** A bowl with so much more in it, so that something is left. */
export function enlarged(bowl: Bowl, grams: number): Bowl {
  const by = 1 + grams / bowlGrams(bowl);
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: tenth(shade.grams * by) })),
    developer: bowl.developer.map((part) => ({ ...part, grams: tenth(part.grams * by) })),
  };
}

/** The same mix with water in it. */
export function thinned(bowl: Bowl): Bowl {
  const poured = bowl.developer.reduce((sum, { grams }) => sum + grams, 0);
  const water = poured * LEFTOVER_WATER;
  const all = bowlGrams(bowl);
  const less = (grams: number) => tenth((grams * all) / (all + water));
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: less(shade.grams) })),
    developer: [
      ...bowl.developer.map((part) => ({ ...part, grams: less(part.grams) })),
      { vol: 0, grams: less(water) },
    ],
  };
}
