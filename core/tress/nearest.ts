import type { TressSize } from './look';

/** Fibres that are kept of each pixel: thinner than a pixel as they are, the nearest few make its colour. */
export const KEPT = 4;
/** Fraction of a pixel seen through under which it counts as closed. */
export const CLOSED = 0.03;
const FAR = -1e9;

/**
 * The nearest pieces of fibre of every pixel, whatever order they are drawn in, and how far everything drawn covers it. Of
 * pixel `p` the places `KEPT × p` to `KEPT × p + KEPT − 1` are its own, nearest first. Pixels run down the columns, as hair
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
   * through, and how near the last of the kept is.
   */
  readonly gate: Float32Array;
}

export function nothingDrawn({ width, height }: TressSize): Nearest {
  const pixels = width * height;
  const gate = new Float32Array(2 * pixels);
  for (let p = 0; p < gate.length; p += 2) {
    gate[p] = 1;
    gate[p + 1] = FAR;
  }
  return {
    depth: new Float32Array(KEPT * pixels).fill(FAR),
    piece: new Uint32Array(KEPT * pixels),
    cover: new Float32Array(KEPT * pixels),
    gate,
  };
}

/** Short pieces of fibres, each lit as one: what is the same of the few pixels it lies on. They number from 1 in the order they are drawn. */
export class Pieces {
  count = 0;
  fibre = new Uint16Array(1 << 16);
  /** Light on the fibre's colour, and light that comes back in the colour of the lamp. */
  light = new Float32Array(1 << 16);
  spark = new Float32Array(1 << 16);
  /** Steps along the hair. */
  along = new Uint8Array(1 << 16);

  add(fibre: number, light: number, spark: number, along: number): number {
    if (++this.count === this.fibre.length) this.grow();
    const at = this.count;
    this.fibre[at] = fibre;
    this.light[at] = light;
    this.spark[at] = spark;
    this.along[at] = along;
    return at;
  }

  private grow(): void {
    const length = 2 * this.fibre.length;
    const { fibre, light, spark, along } = this;
    this.fibre = new Uint16Array(length);
    this.fibre.set(fibre);
    this.light = new Float32Array(length);
    this.light.set(light);
    this.spark = new Float32Array(length);
    this.spark.set(spark);
    this.along = new Uint8Array(length);
    this.along.set(along);
  }
}
