import { bowlFromTotal, splitByParts, hasDeveloper, hasShades, type Line } from '@cimbel/core/product';
import { bowlGrams, bowlRatio, type Bowl } from '@cimbel/core/card';

const NAMES = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'];
export const nextName = (bowls: readonly Bowl[]): string | undefined =>
  NAMES.find((name) => !bowls.some((bowl) => bowl.name === name));

export const emptyBowl = (name: string): Bowl => ({
  name,
  lineId: null,
  shades: [],
  productGrams: 0,
  developer: [],
  additive: false,
});

/** Another line in the bowl: what was in it belongs to the old one, the strengths of a developer may stay. */
export function withLine(bowl: Bowl, line: Line): Bowl {
  const kept = bowl.developer.filter(({ vol }) => vol === 0 || line.developersVol.includes(vol));
  return {
    ...emptyBowl(bowl.name),
    lineId: line.id,
    developer: hasDeveloper(line.kind)
      ? kept.length > 0
        ? kept
        : [{ vol: line.developersVol[0], grams: 0 }]
      : [],
  };
}

/** What a bowl is worked out from before anything is weighed. */
export interface Recipe {
  totalGrams: number;
  ratio: number;
  /** Parts by place: shades first, then what is poured. */
  shadeParts: number[];
  pourParts: number[];
}

const parts = (grams: readonly number[]): number[] => {
  const filled = grams.filter((gram) => gram > 0);
  if (filled.length === 0) return grams.map(() => 1);
  const least = Math.min(...filled);
  return grams.map((gram) => (gram > 0 ? Math.round((gram / least) * 4) / 4 : 1));
};

/** The recipe that a weighed bowl looks like; for an empty one what is usual for the line. */
export function recipeOf(bowl: Bowl, line: Line): Recipe {
  const ratio = bowlRatio(bowl);
  const total = bowlGrams(bowl);
  return {
    totalGrams: total > 0 ? Math.round(total) : 60,
    ratio: ratio !== null && ratio > 0 ? Math.round(ratio * 100) / 100 : (line.ratios[0] ?? 1),
    shadeParts: parts(bowl.shades.map(({ grams }) => grams)),
    pourParts: parts(bowl.developer.map(({ grams }) => grams)),
  };
}

const tenth = (grams: number) => Math.round(grams * 10) / 10;

/** The bowl as the recipe has it, to a tenth of a gram: for exercises in which weighing is not the point. */
export function workedOut(
  bowl: Bowl,
  line: Line,
  { totalGrams, ratio, shadeParts, pourParts }: Recipe,
): Bowl {
  const pours = hasDeveloper(line.kind) && bowl.developer.length > 0;
  const { colourGrams, developerGrams } = pours
    ? bowlFromTotal(totalGrams, ratio)
    : { colourGrams: totalGrams, developerGrams: 0 };
  const ofShades = splitByParts(colourGrams, shadeParts);
  const ofPours = splitByParts(developerGrams, pourParts);
  return {
    ...bowl,
    shades: bowl.shades.map((shade, i) => ({ ...shade, grams: tenth(ofShades[i]) })),
    productGrams: hasShades(line.kind) ? 0 : tenth(colourGrams),
    developer: bowl.developer.map((part, i) => ({ ...part, grams: tenth(ofPours[i]) })),
  };
}
