import type { TressSize } from './look';

/** Fibres that are kept of each pixel: thinner than a pixel as they are, the nearest few make its colour. */
export const NEAREST_KEPT = 4;
/** Fraction of a pixel seen through under which it counts as closed. */
export const CLOSED = 0.08;
const FAR = -1e9;

/**
 * The nearest pieces of fibre of every pixel, whatever order they are drawn in, and how far everything drawn covers it. Of
 * pixel `p` the places `KEPT × p` to `KEPT × p + KEPT − 1` are its own, in no order. Pixels run down the columns, as hair
 * does: along the rows every step of a fibre would be far off in memory.
 */
export interface Nearest {
  /** How near the eye, in pixels. */
  readonly depth: Float32Array;
  /** Number of the piece in `Pieces`; 0 is none. */
  readonly piece: Uint32Array;
  /** Fraction 0–1 of the pixel. */
  readonly cover: Float32Array;
  /**
   * Two numbers a pixel, beside one another because most pieces come no further than them: the fraction 0–1 that is seen
   * through, and how near the furthest of the kept is.
   */
  readonly gate: Float32Array;
}

/** Whether nothing is drawn at a pixel. */
export function nothingDrawn({ width, height }: TressSize): Nearest {
  const pixels = width * height;
  const gate = new Float32Array(2 * pixels);
  for (let p = 0; p < gate.length; p += 2) {
    gate[p] = 1;
    gate[p + 1] = FAR;
  }
  return {
    depth: new Float32Array(NEAREST_KEPT * pixels).fill(FAR),
    piece: new Uint32Array(NEAREST_KEPT * pixels),
    cover: new Float32Array(NEAREST_KEPT * pixels),
    gate,
  };
}

/** Numbers of a piece: what is asked for at once lies beside one another. */
const OF_PIECE = 4;
export const FIBRE = 0;
/** Light on the fibre's colour, and light that comes back in the colour of the lamp. */
export const LIGHT_ON = 1;
export const SPARK = 2;
/** Steps along the hair, whole ones. */
export const ALONG = 3;

/** Short pieces of fibres, each lit as one: what is the same of the few pixels it lies on. They number from 1 in the order they are drawn. */
export class Pieces {
  count = 0;
  facts = new Float32Array(OF_PIECE << 18);

  add(fibre: number, light: number, spark: number, along: number): number {
    const at = OF_PIECE * ++this.count;
    if (at === this.facts.length) this.grow();
    const { facts } = this;
    facts[at + FIBRE] = fibre;
    facts[at + LIGHT_ON] = light;
    facts[at + SPARK] = spark;
    facts[at + ALONG] = Math.trunc(along);
    return this.count;
  }

  /** Where the numbers of a piece begin. */
  static at(piece: number): number {
    return OF_PIECE * piece;
  }

  private grow(): void {
    const facts = new Float32Array(2 * this.facts.length);
    facts.set(this.facts);
    this.facts = facts;
  }
}
