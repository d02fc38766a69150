import type { TressLook, TressPixels, TressSize, TressZone } from './look';
import { fromLinear, rowColours, toLinear, zoneMean, type Triple } from './rows';

// Bound once: these run millions of times a picture.
const { abs, ceil, floor, max, min, round } = Math;

/** Linear light to bytes by table: a power per channel and pixel would cost more than the drawing. */
const STEPS = 8192;
const BYTE_OF = Uint8Array.from({ length: STEPS + 1 }, (_, i) => round(255 * fromLinear(i / STEPS)));

const OPACITY = 0.98;
/** Coverage at which nothing more is seen through. */
const HIDDEN = 0.94;

/** A canvas in linear light with coverage, drawn front to back and written out once. */
export class FibreLayer {
  private readonly pixels: Float32Array;

  constructor(private readonly size: TressSize) {
    this.pixels = new Float32Array(size.width * size.height * 4);
  }

  /**
   * One row of one fibre: a soft dot reaching `radius` pixels to either side, laid under what is there. Drawn from the
   * front, most of what lies behind is hidden already and costs nothing.
   */
  dab(x: number, y: number, radius: number, r: number, g: number, b: number): void {
    const { width } = this.size;
    const pixels = this.pixels;
    const first = max(0, ceil(x - radius - 0.5));
    const last = min(width - 1, floor(x + radius + 0.5));
    for (let px = first; px <= last; px++) {
      const reach = radius + 0.5 - abs(px - x);
      const alpha = (reach < 1 ? reach : 1) * OPACITY * (radius < 0.5 ? radius * 2 : 1);
      if (alpha <= 0) continue;
      const at = 4 * (y * width + px);
      const cover = pixels[at + 3];
      if (cover > HIDDEN) continue;
      const seen = (1 - cover) * alpha;
      pixels[at] += r * seen;
      pixels[at + 1] += g * seen;
      pixels[at + 2] += b * seen;
      pixels[at + 3] = cover + seen;
    }
  }

  /** True when all that a dot would touch is covered already, so that nothing about it need be worked out. */
  isHidden(x: number, y: number, radius: number): boolean {
    const { width } = this.size;
    const pixels = this.pixels;
    const row = 4 * y * width + 3;
    const first = max(0, ceil(x - radius - 0.5));
    const last = min(width - 1, floor(x + radius + 0.5));
    for (let px = first; px <= last; px++) if (pixels[row + 4 * px] <= HIDDEN) return false;
    return true;
  }

  /** Corrects each zone's mean to the colour asked for, and writes bytes. */
  finish(look: TressLook): TressPixels {
    const { width, height } = this.size;
    const gains = new Map(look.zones.map((zone) => [zone, this.gainOf(zone)]));
    const rows = rowColours(look.zones, height, (zone) => gains.get(zone)!);
    const data = new Uint8ClampedArray(width * height * 4);
    for (let y = 0; y < height; y++) {
      const [gr, gg, gb] = [rows[3 * y], rows[3 * y + 1], rows[3 * y + 2]];
      for (let at = 4 * y * width, end = at + 4 * width; at < end; at += 4) {
        const cover = this.pixels[at + 3];
        if (cover < 0.004) continue;
        const scale = STEPS / cover;
        data[at] = BYTE_OF[min(STEPS, (this.pixels[at] * gr * scale) | 0)];
        data[at + 1] = BYTE_OF[min(STEPS, (this.pixels[at + 1] * gg * scale) | 0)];
        data[at + 2] = BYTE_OF[min(STEPS, (this.pixels[at + 2] * gb * scale) | 0)];
        data[at + 3] = 255 * cover;
      }
    }
    return { width, height, data };
  }

  /**
   * Gain per channel that brings the zone's mean pixel to its colour, white strands included by their share.
   * Strands that would clip at white lose light there, so the gain is refined against the clipped mean.
   */
  private gainOf(zone: TressZone): Triple {
    const { r, g, b } = zoneMean(zone);
    const wanted: Triple = [toLinear(r), toLinear(g), toLinear(b)];
    const gain: Triple = [1, 1, 1];
    for (let pass = 0; pass < 2; pass++) {
      const mean = this.meanOf(zone, gain);
      const settled = wanted.every((v, c) => abs(mean[c] - v) <= 0.006 * v);
      for (let c = 0; c < 3; c++) if (mean[c] > 1e-6) gain[c] *= wanted[c] / mean[c];
      if (settled) break;
    }
    return gain;
  }

  private meanOf({ from, to }: TressZone, gain: Triple): Triple {
    const { width, height } = this.size;
    const sum: Triple = [0, 0, 0];
    let weight = 0;
    const lastRow = min(height, ceil(to * height));
    // Every third row is enough for a mean, and it is taken several times.
    for (let y = floor(from * height); y < lastRow; y += 3) {
      for (let at = 4 * y * width, end = at + 4 * width; at < end; at += 4) {
        const cover = this.pixels[at + 3];
        if (cover < 0.004) continue;
        weight += cover;
        for (let c = 0; c < 3; c++) sum[c] += min(cover, this.pixels[at + c] * gain[c]);
      }
    }
    return weight > 0 ? [sum[0] / weight, sum[1] / weight, sum[2] / weight] : [0, 0, 0];
  }
}
