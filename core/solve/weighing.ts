import { type Bowl, bowlGrams } from '../card';
import { amountFor } from '../case';
import type { Head, PlaceId } from '../hair';
import { type ShadePart, splitByParts } from '../product';
import { pourOf, LEFTOVER_WATER } from '../rules';
import type { ChosenMix } from './group-plans';

const tenth = (grams: number) => Math.round(grams * 10) / 10;

/** Developer of a strength out of what the line has: as it is, mixed, or thinned with water (D8). */
function poured({ line }: ChosenMix, vol: number, grams: number): Bowl['developer'] {
  // That the class may dilute was settled when the strength was chosen.
  const pour = pourOf(vol, line.developersVol, true) ?? [{ vol, parts: 1 }];
  const weights = wholeGrams(
    grams,
    pour.map(({ parts }) => parts),
  );
  return pour.map((part, i) => ({ vol: part.vol, grams: weights[i] }));
}

/** Parts of a tube that are pressed out by its marks, the likeliest first (M3). */
const OF_TUBE = [1 / 2, 1 / 4];
/** No bowl is smaller than a scale and a brush can serve, grams. Judgement. */
const LEAST_GRAMS = 10;
const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-9;

/** Correctors are weighed in tenths of a gram, all else in whole grams (M4). */
const isCorrector = ({ shade }: ShadePart): boolean => shade.series === 'corrector';

/** Grams of the parts, in whole grams that come to the rounded sum: what is cut off goes to the largest remainders. */
function wholeGrams(grams: number, parts: readonly number[]): number[] {
  const exact = splitByParts(Math.round(grams), parts);
  const cut = exact.map(Math.floor);
  let left = Math.round(grams) - cut.reduce((sum, value) => sum + value, 0);
  const byRemainder = exact.map((value, i) => ({ i, rest: value - cut[i] })).sort((a, b) => b.rest - a.rest);
  for (const { i } of byRemainder) {
    if (left <= 0) break;
    cut[i] += 1;
    left -= 1;
  }
  return cut;
}

/**
 * Grams of one part of a mix: such that whole, half or quarter tubes of every shade come to an amount within the guide, the
 * nearest to its middle; else such that every shade comes in whole grams (M2, M3).
 */
function gramsOfPart(
  { line }: ChosenMix,
  { minGrams, maxGrams }: { minGrams: number; maxGrams: number },
  parts: readonly number[],
  /** Grams of the bowl by gram of its colour. */
  byColour: number,
): number {
  const middle = Math.max(LEAST_GRAMS, (minGrams + maxGrams) / 2);
  const all = parts.reduce((sum, part) => sum + part, 0);
  if (!parts.every(isWhole)) return middle / byColour / all;
  for (const of of OF_TUBE) {
    const step = line.tubeGrams * of;
    const times = Math.max(1, Math.round(middle / (step * all * byColour)));
    const total = times * step * all * byColour;
    if (isWhole(step) && total >= minGrams && total <= maxGrams) return times * step;
  }
  const grams = Math.max(1, Math.round(middle / (all * byColour)));
  return grams * all * byColour < LEAST_GRAMS ? grams + 1 : grams;
}

/** The bowl as it is weighed out for some zones. */
export function weigh(name: string, chosen: ChosenMix, head: Head, zones: PlaceId[], share: number): Bowl {
  const guide = amountFor(head, zones, share);
  // A cleanse holds as much conditioner as powder.
  const addition = chosen.role === 'cleanse' ? 1 : 0;
  const byColour = 1 + (chosen.ratio ?? 0) + addition;
  const { shades } = chosen;
  const plain = shades.filter((part) => !isCorrector(part)).map(({ parts }) => parts);
  const ofPart = gramsOfPart(chosen, guide, plain.length > 0 ? plain : [1], byColour);
  const whole = wholeGrams(ofPart * plain.reduce((sum, part) => sum + part, 0), plain);
  const weighed = shades.map((part) =>
    isCorrector(part) ? Math.max(CORRECTOR_LEAST, tenth(part.parts * ofPart)) : Math.max(1, whole.shift()!),
  );
  const colour = shades.length > 0 ? weighed.reduce((sum, grams) => sum + grams, 0) : Math.round(ofPart);
  return {
    name,
    lineId: chosen.line.id,
    shades: shades.map(({ shade }, i) => ({ label: shade.label, grams: weighed[i] })),
    productGrams: shades.length === 0 ? colour : 0,
    developer: chosen.vol === null ? [] : poured(chosen, chosen.vol, colour * (chosen.ratio ?? 0)),
    additive: false,
    ...(addition > 0 ? { others: [{ kind: 'conditioner' as const, grams: colour }] } : {}),
  };
}
/** The least of a corrector that a scale shows, grams. */
const CORRECTOR_LEAST = 0.1;

/** What makes two bowls one: what they hold, whatever the grams. */
export const formulaOf = ({ role, line, shades, ratio, vol }: ChosenMix): string =>
  JSON.stringify([role, line.id, shades.map(({ shade, parts }) => [shade.label, parts]), ratio, vol]);

/** As much of it held back, and water weighed to it: the bowl that ends are refreshed from (A1). */
export function leftOver(name: string, whole: Bowl, grams: number): Bowl {
  const of = bowlGrams(whole);
  const poured = whole.developer.reduce((sum, part) => sum + part.grams, 0);
  const water = (poured / of) * LEFTOVER_WATER;
  const taken = Math.round(grams / (1 + water));
  return {
    name,
    lineId: null,
    shades: [],
    productGrams: 0,
    developer: [{ vol: 0, grams: Math.round(grams - taken) }],
    additive: false,
    from: { bowl: whole.name, grams: taken },
  };
}

/** A bowl with so much more in it, so that something is left. */
export function enlarged(bowl: Bowl, grams: number): Bowl {
  const by = 1 + grams / bowlGrams(bowl);
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: Math.round(shade.grams * by) })),
    developer: bowl.developer.map((part) => ({ ...part, grams: Math.round(part.grams * by) })),
  };
}

/** The same mix with water in it. */
export function thinned(bowl: Bowl): Bowl {
  const poured = bowl.developer.reduce((sum, { grams }) => sum + grams, 0);
  const water = poured * LEFTOVER_WATER;
  const all = bowlGrams(bowl);
  const less = (grams: number) => Math.max(1, Math.round((grams * all) / (all + water)));
  return {
    ...bowl,
    shades: bowl.shades.map((shade) => ({ ...shade, grams: less(shade.grams) })),
    developer: [
      ...bowl.developer.map((part) => ({ ...part, grams: less(part.grams) })),
      { vol: 0, grams: less(water) },
    ],
  };
}
