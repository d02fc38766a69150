import type { Geometry } from './geometry';
import { STEPS_ALONG, RANKS, type TressPixels } from './look';
import { NEAREST_KEPT } from './nearest-fibres';
import { fromLinear, type Triple } from './zone-colours';

// Bound once: these run millions of times a picture.
const { abs, floor, max, min, round } = Math;

/** Linear light to bytes by table: a power per channel and pixel would cost more than the drawing. */
const STEPS = 4096;
const BYTE_OF = Uint8Array.from({ length: STEPS + 1 }, (_, i) => round(255 * fromLinear(i / STEPS)));

/** Pixels that are enough for a mean, taken a few times: few white fibres on black weigh most of it, so no fewer. */
const ENOUGH = 16_000;

/** From here on in the colours of a palette are those of white fibres. */
export const WHITE_AT = 3 * STEPS_ALONG;

/** What the fibres of a geometry are coloured with, by the step along the hair that they have in it. */
export interface Palette {
  /** Linear light, three channels a step: of the pigmented fibres, and from `WHITE_AT` on of the white ones. */
  readonly colours: Float32Array;
  /** Rank below which a fibre is white, a step. */
  readonly grey: Int32Array;
  /** Light that comes back in the colour of the lamp where all of it does, linear. */
  readonly glint: number;
}

/** White or pigmented by rank: all are white at a share of 1, the highest rank included. */
export const greyBelow = (share: number): number => Math.ceil(share * (RANKS + 1));

/** Steps whose pixels have one mean together, and the mean they are to have, linear light. */
export interface ColouredPart {
  /** How many applications there are. */
  readonly steps: readonly number[];
  /** Mean mark, fraction 0–1; null without any. */
  readonly mean: Triple;
}

/** How the light on hair falls to its pigmented and its white fibres. */
interface Parted {
  /** Light on the pigmented fibres of each pixel, of all that falls on it. */
  own: Float32Array;
  /** Four numbers a step: light on pigmented and on white fibres, light of the lamp, and cover. */
  sums: Float64Array;
}

/** What of the light of each step falls on pigmented fibres, `own`, and what is the same however much of it is white. */
function partedBySteps({ sums }: Geometry, own: Float64Array): Float64Array {
  const all = new Float64Array(4 * STEPS_ALONG);
  for (let step = 0; step < STEPS_ALONG; step++) {
    all[4 * step] = own[step];
    all[4 * step + 1] = sums[3 * step] - own[step];
    all[4 * step + 2] = sums[3 * step + 1];
    all[4 * step + 3] = sums[3 * step + 2];
  }
  return all;
}

/** No white fibre: all light is on the pigmented ones, and the geometry has it added up. */
const unparted = (geometry: Geometry): Parted => ({
  own: geometry.allLight,
  sums: partedBySteps(
    geometry,
    Float64Array.from({ length: STEPS_ALONG }, (_, step) => geometry.sums[3 * step]),
  ),
});

/** How light fell on a geometry the last time, and for which share of grey: it seldom changes between pictures. */
const partedLast = new WeakMap<Geometry, { grey: Int32Array; light: Parted }>();
function parted(geometry: Geometry, grey: Int32Array): Parted {
  const last = partedLast.get(geometry);
  if (last && last.grey.every((limit, step) => limit === grey[step])) return last.light;
  const light = partedAnew(geometry, grey);
  partedLast.set(geometry, { grey, light });
  return light;
}

/** White or not is the sign of a difference: a branch would be guessed wrong at every other pixel of grey hair. */
function partedAnew(geometry: Geometry, grey: Int32Array): Parted {
  const { cover, along, ranks, light } = geometry;
  const own = new Float32Array(cover.length);
  const sums = new Float64Array(STEPS_ALONG);
  for (let i = 0, k = 0; i < cover.length; i++, k += NEAREST_KEPT) {
    const step = along[i];
    const limit = grey[step];
    const pigmented =
      light[k] * (1 + ((ranks[k] - limit) >> 31)) +
      light[k + 1] * (1 + ((ranks[k + 1] - limit) >> 31)) +
      light[k + 2] * (1 + ((ranks[k + 2] - limit) >> 31)) +
      light[k + 3] * (1 + ((ranks[k + 3] - limit) >> 31));
    own[i] = pigmented;
    sums[step] += cover[i] * pigmented;
  }
  return { own, sums: partedBySteps(geometry, sums) };
}

/** Four numbers a step: sum of light in three channels, and of cover. */
function litBySteps({ sums }: Parted, { colours, glint }: Palette): Float64Array {
  const lit = new Float64Array(4 * STEPS_ALONG);
  for (let step = 0; step < STEPS_ALONG; step++) {
    const at = 4 * step;
    for (let c = 0; c < 3; c++)
      lit[at + c] =
        colours[3 * step + c] * sums[at] +
        colours[WHITE_AT + 3 * step + c] * sums[at + 1] +
        glint * sums[at + 2];
    lit[at + 3] = sums[at + 3];
  }
  return lit;
}

/** The same as it would be written, over a sample of the pixels: what is lighter than white is white. */
function writtenBySteps(
  { cover, along, allLight, spark }: Geometry,
  { own }: Parted,
  { colours, glint }: Palette,
): Float64Array {
  const lit = new Float64Array(4 * STEPS_ALONG);
  const every = max(1, floor(cover.length / ENOUGH));
  for (let i = 0; i < cover.length; i += every) {
    const weight = cover[i];
    const from = 3 * along[i];
    const white = allLight[i] - own[i];
    const s = glint * spark[i];
    const at = 4 * along[i];
    for (let c = 0; c < 3; c++)
      lit[at + c] += weight * min(1, colours[from + c] * own[i] + colours[WHITE_AT + from + c] * white + s);
    lit[at + 3] += weight;
  }
  return lit;
}

/** Gain per channel that brings the mean of each part to what it is to be; parts drawn over by others are left alone. */
function gainsOf(parts: readonly ColouredPart[], lit: Float64Array): Triple[] {
  return parts.map(({ steps, mean: wanted }) => {
    const mean = [0, 0, 0];
    let weight = 0;
    for (const step of steps) {
      for (let c = 0; c < 3; c++) mean[c] += lit[4 * step + c];
      weight += lit[4 * step + 3];
    }
    return wanted.map((v, c) => (mean[c] > 1e-6 ? (v * weight) / mean[c] : 1)) as Triple;
  });
}

/** Passes of the correction: the later ones answer to the glint, which is not gained, and to what clips at white. */
const PASSES = 6;
const SETTLED = 0.004;

/** Gains for each step, three channels, from those of the parts in their order. */
export type Spread = (gains: readonly Triple[]) => Float32Array;

/** Brings the mean of every part to what it is to be, as far as `PASSES` get. */
function settle(
  palette: Palette,
  parts: readonly ColouredPart[],
  spread: Spread,
  lit: (palette: Palette) => Float64Array,
): void {
  const { colours } = palette;
  for (let pass = 0; pass < PASSES; pass++) {
    const gains = gainsOf(parts, lit(palette));
    if (gains.every((gain) => gain.every((value) => abs(value - 1) < SETTLED))) return;
    const bySteps = spread(gains);
    for (let i = 0; i < WHITE_AT; i++) {
      colours[i] *= bySteps[i];
      colours[WHITE_AT + i] *= bySteps[i];
    }
  }
}

/** A pixel as it is written, of light in steps of the table of bytes. */
const written = (cover: number, r: number, g: number, b: number): number =>
  (cover << 24) |
  (BYTE_OF[b < STEPS ? b | 0 : STEPS] << 16) |
  (BYTE_OF[g < STEPS ? g | 0 : STEPS] << 8) |
  BYTE_OF[r < STEPS ? r | 0 : STEPS];

/** Writes the pixels of hair without white. Each of the two is a function of its own, so that it is compiled as a whole. */
function writePlain(
  words: Int32Array,
  { pixel, cover, along, spark, allLight }: Geometry,
  stepped: Float64Array,
  lamp: number,
): void {
  for (let i = 0; i < pixel.length; i++) {
    const a = 3 * along[i];
    const light = allLight[i];
    const s = lamp * spark[i];
    const r = stepped[a] * light + s;
    const g = stepped[a + 1] * light + s;
    const b = stepped[a + 2] * light + s;
    words[pixel[i]] = written(cover[i], r, g, b);
  }
}

/** The same of hair some of whose fibres are white. */
function writeGrey(
  words: Int32Array,
  { pixel, cover, along, spark, allLight }: Geometry,
  stepped: Float64Array,
  lamp: number,
  own: Float32Array,
): void {
  for (let i = 0; i < pixel.length; i++) {
    const a = 3 * along[i];
    const pigmented = own[i];
    const white = allLight[i] - pigmented;
    const s = lamp * spark[i];
    const r = stepped[a] * pigmented + s + stepped[WHITE_AT + a] * white;
    const g = stepped[a + 1] * pigmented + s + stepped[WHITE_AT + a + 1] * white;
    const b = stepped[a + 2] * pigmented + s + stepped[WHITE_AT + a + 2] * white;
    words[pixel[i]] = written(cover[i], r, g, b);
  }
}

/**
 * One pass over the covered pixels, with the colours of the palette brought, in place, to where every part has its mean:
 * what is judged is the hair, not the lighting of the drawing. The same bytes wherever it is drawn.
 */
export function colourPixels(
  geometry: Geometry,
  palette: Palette,
  parts: readonly ColouredPart[],
  spread: Spread,
): TressPixels {
  const { width, height, mostLight } = geometry;
  const { colours, grey, glint } = palette;
  const light = grey.some((limit) => limit > 0) ? parted(geometry, grey) : unparted(geometry);
  settle(palette, parts, spread, (known) => litBySteps(light, known));
  // Only hair so light that some of it would be lighter than white has to be looked at as it will be written.
  if (mostLight * colours.reduce((most, colour) => max(most, colour), 0) + glint > 1)
    settle(palette, parts, spread, (known) => writtenBySteps(geometry, light, known));
  const { own } = light;
  // Light in steps of the table of bytes.
  const stepped = Float64Array.from(colours, (v) => v * STEPS);
  const lamp = glint * STEPS;
  const data = new Uint8ClampedArray(width * height * 4);
  // Four bytes at once, in the little-endian order of every machine this runs on.
  const words = new Int32Array(data.buffer);
  if (own === geometry.allLight) writePlain(words, geometry, stepped, lamp);
  else writeGrey(words, geometry, stepped, lamp, own);
  return { width, height, data };
}
