import { blendVol } from '../measure';
import { VIVID_LOAD, isLightener, type Mix, type ProductKind } from '../process';
import { hasShades, readLabel, type Line, type ShadePart } from '../shades';
import type { Bowl, BowlAddition } from './record-card';

const sum = (items: readonly { grams: number }[]) => items.reduce((all, { grams }) => all + grams, 0);

/** Grams of what colours or lightens, and of what it is mixed with. Correctors count (F10). */
export const colourGrams = ({ shades, productGrams }: Bowl) => sum(shades) + productGrams;
export const developerGrams = ({ developer }: Bowl) => sum(developer);
/** Grams of shampoo or conditioner in it. */
export const additionGrams = ({ others = [] }: Bowl, kind?: BowlAddition) =>
  sum(others.filter((one) => kind === undefined || one.kind === kind));
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

/** The product a bowl acts as: high-lift shades make a permanent line a high-lift one (section 6). */
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
