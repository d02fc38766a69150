export const DIRECT_DYES = [
  'directPink',
  'directBlue',
  'directViolet',
  'directGreen',
  'directYellow',
] as const;
export type DirectDye = (typeof DIRECT_DYES)[number];

/**
 * What colour leaves in the hair, as optical density: `brown` is the depth of an oxidative shade, `blue`, `red` and
 * `yellow` its tone, the others are ready-made direct dyes.
 */
export const DYES = [
  'brown',
  'blue',
  'red',
  'yellow',
  'directBlue',
  'directGreen',
  'directViolet',
  'directPink',
  'directYellow',
] as const;
export type DyeName = (typeof DYES)[number];
export type Dye = Readonly<Record<DyeName, number>>;

export const NO_DYE: Dye = {
  brown: 0,
  blue: 0,
  red: 0,
  yellow: 0,
  directBlue: 0,
  directGreen: 0,
  directViolet: 0,
  directPink: 0,
  directYellow: 0,
};

/** a·one + b·other, dye by dye. */
export function combine(dye: Dye, other: Dye, a: number, b: number): Dye {
  const sum = { ...NO_DYE } as Record<DyeName, number>;
  for (const name of DYES) sum[name] = a * dye[name] + b * other[name];
  return sum;
}
/** A dye so many times over, optical density. */
export const scaledDye = (dye: Dye, by: number): Dye => combine(dye, NO_DYE, by, 0);
/** Optical density of all of a dye together. */
export const loadOf = (dye: Dye): number => DYES.reduce((sum, name) => sum + dye[name], 0);

/** Natural red and yellow, optical density. */
export interface Warmth {
  /** Red, optical density. */
  readonly red: number;
  /** Yellow, optical density. */
  readonly yellow: number;
}
export const NO_WARMTH: Warmth = { red: 0, yellow: 0 };

/**
 * How a layer of dye sits in the hair, loosest first; vivid blue and green cling longest (P2). Care is the tint of a shampoo
 * against yellow or orange. Minerals only leave by chelating.
 */
export const DYE_KINDS = ['filler', 'care', 'acidGloss', 'demi', 'direct', 'permanent', 'mineral'] as const;
export type DyeKind = (typeof DYE_KINDS)[number];

/** One colouring, as it lies in the strand; later ones lie over earlier ones. */
export interface DyeLayer {
  /** Which kind it is. */
  readonly kind: DyeKind;
  /** Dye in the pigmented and in the white strands, optical density. */
  readonly dye: Dye;
  /** Dye in the white strands, optical density. */
  readonly dyeOnWhite: Dye;
  /**
   * Bared natural red and yellow that the layer cancels without darkening (U2). Beer–Lambert alone would cost fifteen L*
   * to neutralise a yellow 9, where a toner costs less than four; so opposites cancel here as amounts. Judgement.
   */
  readonly masks: Warmth;
  /** Warmth a filler puts back (F6). */
  readonly fills: Warmth;
  /**
   * Fraction 0–1 of the layer that sits too deep for a remover or a gentle lightener: driven in by strong lightener, or
   * years old (P2, P7).
   * @rule P7
   */
  readonly held: number;
}

/** A layer of which a fraction 0–1 is left, held as deep as it was or as it is said. */
export const layerLeft = (layer: DyeLayer, left: number, held = layer.held): DyeLayer => ({
  ...layer,
  dye: scaledDye(layer.dye, left),
  dyeOnWhite: scaledDye(layer.dyeOnWhite, left),
  masks: { red: layer.masks.red * left, yellow: layer.masks.yellow * left },
  fills: { red: layer.fills.red * left, yellow: layer.fills.yellow * left },
  held,
});
