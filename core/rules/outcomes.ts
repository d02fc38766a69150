import type { Price } from './prices';

/**
 * Rows down from the wish by what is measured of a place: as wished, near, noticeable, to be corrected; straight lines
 * between. Of white strands and the others, levels and ΔE2000 count alike.
 */
export const OUTCOME_AT = {
  /** Levels off. */
  levels: [
    [0.4, 0],
    [1, 1],
    [1.5, 2],
    [2, 3],
  ],
  /** ΔE2000 to the wish. */
  deltaE: [
    [5, 0],
    [10, 1],
    [15, 2],
    [20, 3],
  ],
  /** Fraction 0–1 of the hair that is not covered. */
  missed: [
    [0.1, 0],
    [0.16, 1],
    [0.25, 2],
    [0.4, 3],
  ],
  /** Share of the way from the wished tone to its neutral that is missing; the opposite tone is beyond 1. */
  toneMissing: [
    [0.5, 0],
    [0.9, 1],
    [1.4, 2],
  ],
  /** On the way: dye that came in and is left beyond what the model answer leaves, as a share of all that came in. */
  dyeLeft: [
    [0.1, 0],
    [0.25, 1],
    [0.45, 2],
    [0.7, 3],
  ],
  /** Levels apart from the neighbour beyond what is wished. */
  band: [
    [0.4, 0],
    [0.75, 1],
    [1.25, 2],
    [1.75, 3],
  ],
  /** White strands and the others, levels apart where cover is wished. */
  whiteLevels: [
    [0.7, 0],
    [1.7, 1],
    [2.8, 2],
    [3.5, 3],
  ],
  /** White strands and the others, ΔE2000 apart where cover is wished. */
  whiteDeltaE: [
    [5, 0],
    [11, 1],
    [18, 2],
    [25, 3],
  ],
  /** Share of the way to cover, against that of a blend. */
  blend: [
    [0.15, 0],
    [0.3, 1],
    [0.45, 2],
  ],
} as const satisfies Record<string, Price>;

/** Rows down up to which a place is called as wished, near and noticeable; beyond, it has to be corrected. */
export const OUTCOME_NAMED = { asWished: 0.2, near: 1, noticeable: 2.5 } as const;
