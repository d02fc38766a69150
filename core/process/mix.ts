import type { DyeName } from '../hair';
import { type ShadePart, mixLevel, naturalShare } from '../product';
import type { ProductKind } from './products';

/** A bowl: a product, what colours it, and what it is mixed with. */
export interface Mix {
  /** Kind of product. */
  product: ProductKind;
  /** Shades of a line; for lighteners and removers none. */
  shades: readonly ShadePart[];
  /** Ready-made vivid dye, optical density at full uptake. */
  vivid?: Partial<Record<DyeName, number>>;
  /** Level whose underlying pigment a filler puts back. */
  fillsLevel?: number;
  /** Volumes; 0 without developer. */
  developerVol: number;
  /** Developer parts to one of colour: a thinner mix holds less dye. */
  ratio: number;
  /**
   * A bond protector: lessens damage, adds no lift, may ask for longer, and makes no unsafe plan safe (F12).
   * @rule F12
   */
  bondAdditive?: boolean;
  /** Parts of water or soap to one part of the mix: a thinned leftover (A1). */
  thinned?: number;
  /**
   * Conditioner in a lightener makes it a cleanse: it hardly lifts, and still takes dye off (P8).
   * @rule P8
   */
  conditioner?: boolean;
}

/** Optical density of a ready-made vivid dye at full uptake: strong, as it comes from the jar. */
export const VIVID_LOAD = 1.4;

/** Ratio the products' dye strengths were fitted at. */
export const REFERENCE_RATIO = 1.5;

/** Level of a mix’s shades; null without a coloured one. */
export const mixDepth = (mix: Mix) => mixLevel(mix.shades);
/** Share of the natural series in a mix, fraction 0–1. */
export const naturalShareOfMix = (mix: Mix) => naturalShare(mix.shades);
/** Fraction 0–1 of extra-pigment naturals among the shades (T2, F8). */
export function extraNaturalShare({ shades }: Mix): number {
  const all = shades.reduce((sum, { parts }) => sum + parts, 0);
  if (all <= 0) return 0;
  return (
    shades.reduce((sum, { shade, parts }) => sum + (shade.series === 'extraNatural' ? parts : 0), 0) / all
  );
}
