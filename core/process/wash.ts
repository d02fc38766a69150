import { type DyeKind, type DyeLayer, layerLeft, type Strand } from '../hair';

export const WASH_KINDS = ['gentle', 'clarifying', 'chelating'] as const;
export type WashKind = (typeof WASH_KINDS)[number];

/**
 * Fraction 0–1 of what is free in a layer that one wash takes, by how loose the layer sits. Judgement: a toner that is
 * washed gently is gone in a month or two of weekly washes; one clarifying wash takes as much as a few weeks (C6).
 */
export const TAKES: Record<WashKind, Record<DyeKind, number>> = {
  gentle: { filler: 0.2, care: 0.1, acidGloss: 0.05, demi: 0.03, direct: 0.03, permanent: 0.005, mineral: 0 },
  clarifying: {
    filler: 0.5,
    care: 0.35,
    acidGloss: 0.35,
    demi: 0.15,
    direct: 0.12,
    permanent: 0.02,
    mineral: 0.1,
  },
  chelating: {
    filler: 0.4,
    care: 0.25,
    acidGloss: 0.15,
    demi: 0.08,
    direct: 0.06,
    permanent: 0.01,
    mineral: 0.85,
  },
};
/** Fraction of its moisture that a deep wash costs hair, clarifying or chelating, and of its gloss. */
const DEEP_COSTS = { moisture: 0.06, surface: 0.05 };

const washedLayer = (layer: DyeLayer, takes: number): DyeLayer => {
  const left = layer.held + (1 - layer.held) * (1 - takes);
  return layerLeft(layer, left, left > 0 ? layer.held / left : 0);
};

/** Hair after so many washes: loose dye goes first, natural pigment never. */
export function washed(strand: Strand, how: WashKind, times: number): Strand {
  let layers = strand.layers;
  for (let i = 0; i < times; i++) layers = layers.map((layer) => washedLayer(layer, TAKES[how][layer.kind]));
  if (how === 'gentle') return { ...strand, layers };
  const kept = (cost: number) => (1 - cost) ** times;
  return {
    ...strand,
    layers,
    moisture: strand.moisture * kept(DEEP_COSTS.moisture),
    surface: strand.surface * kept(DEEP_COSTS.surface),
  };
}

/** Fraction of what is missing of a closed, glossy surface that an acid rinse gives back. Judgement (R5). */
const SEALS = { surface: 0.25, porosity: 0.15 };
/** No acid rinse makes hair less porous than hair of low porosity grows. */
const LEAST_POROSITY = 0.25;

/** Hair after an acid rinse or sealer: it lies flatter and takes up less. */
export const sealed = (strand: Strand): Strand => ({
  ...strand,
  surface: strand.surface + (1 - strand.surface) * SEALS.surface,
  porosity: strand.porosity - Math.max(0, strand.porosity - LEAST_POROSITY) * SEALS.porosity,
});
