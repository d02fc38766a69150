import type { DyeName } from '../hair';
import { mixLevel, naturalShare, type ShadePart } from '../shades';
import type { ProductKind } from './products';

/** A bowl: a product, what colours it, and what it is mixed with. */
export interface Mix {
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
  bondAdditive?: boolean;
}

/** Optical density of a ready-made vivid dye at full uptake: strong, as it comes from the jar. */
export const VIVID_LOAD = 1.4;

/** Ratio the products' dye strengths were fitted at. */
const REFERENCE_RATIO = 1.5;

/** How much dye a mix holds against the reference ratio; a gentle power, since a thinner mix is laid on thicker. */
export const dilutionOf = ({ ratio, product }: Mix) =>
  product === 'direct' || product === 'filler' ? 1 : ((1 + REFERENCE_RATIO) / (1 + ratio)) ** 0.35;

export const depthOf = (mix: Mix) => mixLevel(mix.shades);
export const naturalOf = (mix: Mix) => naturalShare(mix.shades);
