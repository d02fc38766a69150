import { BANDS, WEIGHTS, type Lab } from '../colour';
import {
  DYES,
  DYE_SHAPES,
  SURFACE,
  absorptionOf,
  dyeOf,
  reflectedAt,
  shownPigment,
  type Dye,
  type Strand,
} from '../hair';

/**
 * The hot loop of a search: many mixes of a few shades on one strand. What does not change is worked out once, the two
 * exponentials of a band are read from a table, and Lab is taken without objects of a library. Tested against the plain
 * path; only a search may use it.
 */
const STEPS = 8192;
const MOST = 12;
const TABLE = Float64Array.from({ length: STEPS + 2 }, (_, i) => reflectedAt((i * MOST) / STEPS));
const PER_K = STEPS / MOST;

const X = WEIGHTS.daylight.x;
const Y = WEIGHTS.daylight.y;
const Z = WEIGHTS.daylight.z;
const WHITE_POINT = WEIGHTS.daylight.white;

/** CIELAB's cube root with its straight foot (CIE 15). */
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
const f = (t: number) => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

export interface Candidate {
  /** Absorption added by one whole part of a shade's load on this strand. */
  added: Float64Array;
}

export class FastStrand {
  private readonly base: Float64Array;
  private readonly k = new Float64Array(BANDS);

  constructor(strand: Strand) {
    this.base = absorptionOf(shownPigment(strand), dyeOf(strand));
  }

  /** The absorption a dye adds; hiding is left to the plain path, since it cannot be added up. */
  candidate(dye: Dye): Candidate {
    const added = new Float64Array(BANDS);
    for (const name of DYES) {
      for (let i = 0; i < BANDS; i++) added[i] += dye[name] * DYE_SHAPES[name][i];
    }
    return { added };
  }

  /** Lab of the strand under shares of up to three candidates; written into `out`, which is returned. */
  lab(candidates: readonly Candidate[], shares: readonly number[], out: Lab): Lab {
    const { base, k } = this;
    k.set(base);
    for (let c = 0; c < candidates.length; c++) {
      const { added } = candidates[c];
      const share = shares[c];
      for (let i = 0; i < BANDS; i++) k[i] += share * added[i];
    }
    let x = 0;
    let y = 0;
    let z = 0;
    for (let i = 0; i < BANDS; i++) {
      const at = k[i] * PER_K;
      const low = at | 0;
      const r = low >= STEPS ? SURFACE : TABLE[low] + (at - low) * (TABLE[low + 1] - TABLE[low]);
      x += r * X[i];
      y += r * Y[i];
      z += r * Z[i];
    }
    const fx = f(x / WHITE_POINT.x);
    const fy = f(y / WHITE_POINT.y);
    const fz = f(z / WHITE_POINT.z);
    out.l = 116 * fy - 16;
    out.a = 500 * (fx - fy);
    out.b = 200 * (fy - fz);
    return out;
  }
}
