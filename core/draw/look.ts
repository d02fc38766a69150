import type { Lab } from '../colour';
import type { HairForm } from '../hair';

/**
 * What lies on hair, as the eye sees it: colour as a cream, lightener as foam, a gloss as a gel through which the hair is
 * seen, a cleanse or shampoo as suds, and a foil folded over what is in it.
 */
export const COATINGS = ['cream', 'foam', 'gel', 'suds', 'foil'] as const;
export type Coating = (typeof COATINGS)[number];

/** One stretch of a lock, root to tip, and how it looks. */
export interface TressZone {
  /** Where it begins and ends, 0 at the root to 1 at the tip. */
  from: number;
  /** Where it ends, 0 at the root to 1 at the tip. */
  to: number;
  /** Mean colour of the pigmented strands, in the light the picture is for. */
  colour: Lab;
  /** Share 0–1 of white strands, and the colour they have. */
  greyShare: number;
  /** Colour of the white strands. */
  grey: Lab;
  /** What lies on it; bare when left out. */
  under?: Coating;
}

export interface TressLook {
  /** Zones from root to tip. */
  zones: TressZone[];
  /** Form of the hair. */
  form: HairForm;
  /** A hanging lock tapers to its tip; a swatch of a chart or ring is cut straight. */
  cut: 'lock' | 'swatch';
  /** 0 dull to 1 glossy. */
  shine: number;
  /** 0 sleek to 1 frizzy; sleek when left out. */
  frizz?: number;
  /** Fraction 0–1 of fibres that have broken off; none when left out. */
  broken?: number;
  /** Fraction 0–1 of fibres split at the tip; none when left out. */
  split?: number;
  /** 0 springy to 1 over-soft: hair that hangs limp and has lost its form; springy when left out. */
  limp?: number;
  /** Wet hair clings together and gleams; dry when left out. */
  wet?: boolean;
  /** Seed of everything random in it. */
  seed: number;
}

export interface TressSize {
  /** Width, pixels. */
  width: number;
  /** Height, pixels. */
  height: number;
}

/** Straight 8-bit RGBA, row by row from the root, transparent round the lock. Fits a canvas ImageData as it is. */
export interface TressPixels extends TressSize {
  /** RGBA, 8 bit, row by row from the root. */
  data: Uint8ClampedArray<ArrayBuffer>;
}

/** Steps in which places along the hair are told apart, root to tip. */
export const STEPS_ALONG = 256;
/** Ranks of fibres run from 0 to this: those ranked below the share of grey are white. */
export const RANKS = 65535;

/** What of a look the geometry depends on. */
export type Shape = Pick<TressLook, 'form' | 'cut' | 'seed'> &
  Required<Pick<TressLook, 'frizz' | 'broken' | 'split' | 'limp' | 'wet'>>;

/** What of a look the geometry depends on. */
export const shapeOf = ({
  form,
  cut,
  seed,
  frizz = 0,
  broken = 0,
  split = 0,
  limp = 0,
  wet = false,
}: Omit<TressLook, 'zones' | 'shine'>): Shape => ({ form, cut, seed, frizz, broken, split, limp, wet });
