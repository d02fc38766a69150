import { LIGHT, bellOf, NARROW, BROAD, AMBIENT, BROAD_LIGHT } from './lamp';
import type { TressSize } from './look';
import { type Nearest, Pieces, nothingDrawn, NEAREST_KEPT, CLOSED } from './nearest-fibres';

// Bound once: these run millions of times a picture.
const { floor, max, min, sqrt } = Math;

/** What fibres are drawn on. */
export interface Ground extends TressSize {
  /** The nearest that can be reached. */
  readonly nearest: Nearest;
  readonly pieces: Pieces;
}

/** An empty ground to draw fibres on. */
export const groundOf = (size: TressSize): Ground => ({
  ...size,
  nearest: nothingDrawn(size),
  pieces: new Pieces(),
});

/** Keeps a piece of a pixel in place of the furthest that is kept. A fibre that has come there before covers it further. */
function lay(
  { depth: depths, piece: kept, cover: covers, gate }: Nearest,
  pixel: number,
  piece: number,
  ofFibreFrom: number,
  depth: number,
  cover: number,
): void {
  const first = NEAREST_KEPT * pixel;
  let furthest = first;
  let next = Infinity;
  for (let k = first; k < first + NEAREST_KEPT; k++) {
    if (kept[k] >= ofFibreFrom) {
      if (cover > covers[k]) covers[k] = cover;
      return;
    }
    if (k === first) continue;
    if (depths[k] < depths[furthest]) {
      next = depths[furthest];
      furthest = k;
    } else if (depths[k] < next) next = depths[k];
  }
  depths[furthest] = depth;
  kept[furthest] = piece;
  covers[furthest] = cover;
  gate[2 * pixel + 1] = min(depth, next);
}

/** Whether at two pixels nothing of what is so near is seen any more, and nothing is left to be closed. */
export const isHidden = (gate: Float32Array, pixel: number, other: number, depth: number): boolean =>
  depth <= gate[2 * pixel + 1] &&
  depth <= gate[2 * other + 1] &&
  gate[2 * pixel] <= CLOSED &&
  gate[2 * other] <= CLOSED;

/**
 * A straight run of a fibre, a few pixels long and lit as one. One is made for a whole drawing and filled anew for every
 * run. Lengths are pixels; x runs to the right, y down, z to the eye.
 */
export class FibreRun {
  fibre = 0;
  /** Number of the first piece that can be of this fibre. */
  ofFibreFrom = 0;
  /** Place along the hair that it is coloured by. */
  along = 0;
  /** Where it begins, and how far it goes with every pixel it passes. */
  x = 0;
  y = 0;
  z = 0;
  stepX = 0;
  stepY = 0;
  stepZ = 0;
  /** Which way the fibre runs, of any length: its light comes of it. */
  dx = 0;
  dy = 0;
  dz = 0;
  /** Fraction 0–1 of the light that reaches it, and how light it is among its like. */
  shade = 1;
  own = 1;
  /** Its width, at most 1. */
  wide = 0;

  /** Lays it on the ground for so many pixels. True where nothing of it is seen: it is left there. */
  draw({ nearest, pieces, width, height }: Ground, pixels: number): boolean {
    const { gate } = nearest;
    const { stepX, stepY, stepZ, wide, ofFibreFrom } = this;
    let { x, y, z } = this;
    // Between the two pixels it lies on, across the way it runs.
    const steep = stepX * stepX > stepY * stepY;
    const toOther = steep ? 1 : height;
    let piece = 0;
    for (let k = 0; k < pixels; k++, x += stepX, y += stepY, z += stepZ) {
      const px = steep ? x | 0 : floor(x - 0.5);
      const py = steep ? floor(y - 0.5) : y | 0;
      if (px < 0 || px >= width - 1 || py < 0 || py >= height - 1) continue;
      const pixel = px * height + py;
      const other = pixel + toOther;
      // What lies behind the nearest few only closes the pixel, and where all is closed the rest is passed over.
      if (isHidden(gate, pixel, other, z)) return true;
      const seen = z > gate[2 * pixel + 1];
      const seenToo = z > gate[2 * other + 1];
      const beyond = steep ? y - 0.5 - py : x - 0.5 - px;
      const coverOne = wide * (1 - beyond);
      const coverOther = wide * beyond;
      gate[2 * pixel] *= 1 - coverOne;
      gate[2 * other] *= 1 - coverOther;
      if (!seen && !seenToo) continue;
      if (piece === 0) piece = this.lit(pieces);
      if (seen) lay(nearest, pixel, piece, ofFibreFrom, z, coverOne);
      if (seenToo) lay(nearest, other, piece, ofFibreFrom, z, coverOther);
    }
    return false;
  }

  /** Its light, as a piece: worked out only for what is seen. */
  private lit(pieces: Pieces): number {
    const { dx, dy, dz, shade } = this;
    const long = sqrt(dx * dx + dy * dy + dz * dz);
    const toLight = (dx * LIGHT.x + dy * LIGHT.y + dz * LIGHT.z) / long;
    const between = 0.5 * (toLight + dz / long);
    const narrow = bellOf((between - NARROW.at) / NARROW.width);
    const broad = bellOf((between - BROAD.at) / BROAD.width);
    const diffuse = AMBIENT + (1 - AMBIENT) * sqrt(max(0, 1 - toLight * toLight));
    return pieces.add(
      this.fibre,
      shade * this.own * diffuse * (1 + BROAD_LIGHT * broad),
      narrow * shade,
      this.along,
    );
  }
}
