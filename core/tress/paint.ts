import { layCoatings } from './coating';
import { firstGeometryOf } from './first-drawing';
import type { Geometry } from './geometry';
import { keptGeometry } from './kept';
import { KEPT } from './nearest';
import { fromLinear, linearOf, rowColours, toLinear, zoneMean, type Triple } from './rows';
import { RANKS, STEPS_ALONG, shapeOf } from './shape';
import type { TressLook, TressPixels, TressSize, TressZone } from './look';

// Bound once: these run millions of times a picture.
const { abs, max, min, round } = Math;

/**
 * Draws a lock: many fibres, thinner than a pixel, each catching the light along its own bends. Where they lie is worked
 * out once (`geometry.ts`); this lays the colours of a state on them. Each zone is then corrected as a whole, so that its
 * mean is the colour asked for: what is judged is the hair, not the lighting of the drawing.
 */
export function paintTress(look: TressLook, size: TressSize): TressPixels {
  return colourTress(keptGeometry(shapeOf(look), size), look);
}

/** How a picture is drawn: 1 as locks were drawn first, 2 as they are now. */
export const DRAWINGS = [1, 2] as const;
export type Drawing = (typeof DRAWINGS)[number];
export const DRAWING_NOW: Drawing = 2;

/** A lock in the drawing it was begun with. */
export const paintTressAs = (drawing: Drawing, look: TressLook, size: TressSize): TressPixels =>
  drawing === 1 ? colourTress(firstGeometryOf(shapeOf(look), size), look) : paintTress(look, size);

/** Linear light to bytes by table: a power per channel and pixel would cost more than the drawing. */
const STEPS = 4096;
const BYTE_OF = Uint8Array.from({ length: STEPS + 1 }, (_, i) => round(255 * fromLinear(i / STEPS)));

/** Light of the narrow lobe on glossy hair, linear. */
const GLINT = 0.07;
/** And on any that is wet. */
const WET_GLINT = 0.13;
/** On dark hair the glint stays so many times the darkest channel, or its mean could not be the colour asked for. */
const DARKEST_GLINT = 1.6;
/** Pixels that are enough for a mean, taken a few times: few white fibres on black weigh most of it, so no fewer. */
const ENOUGH = 16_000;

/** Colours along the hair, three channels a step: the pigmented fibres', and from `WHITE_AT` on the white ones'. */
const WHITE_AT = 3 * STEPS_ALONG;
interface Tables {
  colours: Float32Array;
  /** Rank below which a fibre is white, a step along the hair. */
  grey: Int32Array;
  glint: number;
}

function tablesOf({ zones, shine, wet }: TressLook): Tables {
  const along = (pick: (zone: TressZone) => Triple) => rowColours(zones, STEPS_ALONG, pick);
  const colours = new Float32Array(2 * WHITE_AT);
  colours.set(along((zone) => linearOf(zone.colour)));
  colours.set(
    along((zone) => linearOf(zone.grey)),
    WHITE_AT,
  );
  const shares = along((zone) => [zone.greyShare, 0, 0]);
  const darkest = Math.min(...zones.flatMap((zone) => linearOf(zone.colour)));
  return {
    colours,
    // All of them at a share of 1, the highest rank included.
    grey: Int32Array.from({ length: STEPS_ALONG }, (_, step) => Math.ceil(shares[3 * step] * (RANKS + 1))),
    glint: min(wet ? WET_GLINT : GLINT * shine * shine, DARKEST_GLINT * darkest),
  };
}

/** How the light on a lock falls to its pigmented and its white fibres. */
interface Parted {
  /** Light on the pigmented fibres of each pixel, of all that falls on it. */
  own: Float32Array;
  /** Four numbers a step along the hair: light on pigmented and on white fibres, light of the lamp, and cover. */
  sums: Float64Array;
}

/** No white fibre: all light is on the pigmented ones, and the geometry has it added up. */
function unparted({ allLight, sums }: Geometry): Parted {
  const all = new Float64Array(4 * STEPS_ALONG);
  for (let step = 0; step < STEPS_ALONG; step++) {
    all[4 * step] = sums[3 * step];
    all[4 * step + 2] = sums[3 * step + 1];
    all[4 * step + 3] = sums[3 * step + 2];
  }
  return { own: allLight, sums: all };
}

/** How light fell on a geometry the last time, and for which share of grey along the hair: it seldom changes between pictures. */
const partedLast = new WeakMap<Geometry, { grey: Int32Array; light: Parted }>();
function parted(geometry: Geometry, grey: Int32Array): Parted {
  const last = partedLast.get(geometry);
  if (last && last.grey.every((limit, step) => limit === grey[step])) return last.light;
  const light = partedAnew(geometry, grey);
  partedLast.set(geometry, { grey, light });
  return light;
}

/** White or not is the sign of a difference: a branch would be guessed wrong at every other pixel of grey hair. */
function partedAnew({ cover, along, ranks, light, allLight, spark }: Geometry, grey: Int32Array): Parted {
  const own = new Float32Array(cover.length);
  const sums = new Float64Array(4 * STEPS_ALONG);
  for (let i = 0, k = 0; i < cover.length; i++, k += KEPT) {
    const step = along[i];
    const limit = grey[step];
    const pigmented =
      light[k] * (1 + ((ranks[k] - limit) >> 31)) +
      light[k + 1] * (1 + ((ranks[k + 1] - limit) >> 31)) +
      light[k + 2] * (1 + ((ranks[k + 2] - limit) >> 31)) +
      light[k + 3] * (1 + ((ranks[k + 3] - limit) >> 31));
    own[i] = pigmented;
    const at = 4 * step;
    const weight = cover[i];
    sums[at] += weight * pigmented;
    sums[at + 1] += weight * (allLight[i] - pigmented);
    sums[at + 2] += weight * spark[i];
    sums[at + 3] += weight;
  }
  return { own, sums };
}

/** Four numbers a step along the hair: sum of light in three channels, and of cover. */
function litAlong({ sums }: Parted, { colours, glint }: Tables): Float64Array {
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
function writtenAlong(
  { cover, along, allLight, spark }: Geometry,
  { own }: Parted,
  { colours, glint }: Tables,
): Float64Array {
  const lit = new Float64Array(4 * STEPS_ALONG);
  const every = max(1, Math.floor(cover.length / ENOUGH));
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

/** Gain per channel that brings the mean of each zone to its colour, white strands included by their share. */
function gainsOf(zones: readonly TressZone[], sums: Float64Array): Map<TressZone, Triple> {
  return new Map(
    zones.map((zone) => {
      const { r, g, b } = zoneMean(zone);
      const wanted: Triple = [toLinear(r), toLinear(g), toLinear(b)];
      const mean = [0, 0, 0];
      let weight = 0;
      const last = min(STEPS_ALONG, Math.ceil(zone.to * STEPS_ALONG));
      for (let step = Math.floor(zone.from * STEPS_ALONG); step < last; step++) {
        for (let c = 0; c < 3; c++) mean[c] += sums[4 * step + c];
        weight += sums[4 * step + 3];
      }
      const gain = wanted.map((v, c) => (mean[c] > 1e-6 ? (v * weight) / mean[c] : 1)) as Triple;
      return [zone, gain];
    }),
  );
}

/** Passes of the correction: the later ones answer to the glint, which is not gained, and to what clips at white. */
const PASSES = 6;
const SETTLED = 0.004;

/**
 * Gains along the hair, in a straight line from the middle of one zone to the middle of the next. A gain for each zone as
 * a whole would end in a step, and hair that is one colour all along would look as if it were two.
 */
function gainsAlong(zones: readonly TressZone[], gains: ReadonlyMap<TressZone, Triple>): Float32Array {
  const nodes = zones.map((zone) => ({
    at: (STEPS_ALONG * (zone.from + zone.to)) / 2,
    gain: gains.get(zone)!,
  }));
  const along = new Float32Array(WHITE_AT);
  for (let step = 0, next = 0; step < STEPS_ALONG; step++) {
    while (next < nodes.length && nodes[next].at <= step) next++;
    const below = nodes[max(0, next - 1)];
    const above = nodes[min(nodes.length - 1, next)];
    const share = above === below ? 0 : (step - below.at) / (above.at - below.at);
    for (let c = 0; c < 3; c++) along[3 * step + c] = below.gain[c] + share * (above.gain[c] - below.gain[c]);
  }
  return along;
}

/** Brings the mean of every zone to its colour, as far as `PASSES` get. */
function settle(tables: Tables, zones: readonly TressZone[], lit: (tables: Tables) => Float64Array): void {
  for (let pass = 0; pass < PASSES; pass++) {
    const gains = gainsOf(zones, lit(tables));
    if ([...gains.values()].every((gain) => gain.every((one) => abs(one - 1) < SETTLED))) return;
    const along = gainsAlong(zones, gains);
    for (let i = 0; i < WHITE_AT; i++) {
      tables.colours[i] *= along[i];
      tables.colours[WHITE_AT + i] *= along[i];
    }
  }
}

/** One pass over the covered pixels. The same bytes for the same look, wherever it is drawn. */
export function colourTress(geometry: Geometry, look: TressLook): TressPixels {
  const { width, height, pixel, cover, along, allLight, spark, mostLight } = geometry;
  const { zones } = look;
  const tables = tablesOf(look);
  const light = zones.some(({ greyShare }) => greyShare > 0)
    ? parted(geometry, tables.grey)
    : unparted(geometry);
  settle(tables, zones, (known) => litAlong(light, known));
  // Only hair so light that some of it would be lighter than white has to be looked at as it will be written.
  if (mostLight * tables.colours.reduce((most, one) => max(most, one), 0) + tables.glint > 1)
    settle(tables, zones, (known) => writtenAlong(geometry, light, known));
  const { colours, glint } = tables;
  const { own } = light;
  // Light in steps of the table of bytes.
  const stepped = Float64Array.from(colours, (v) => v * STEPS);
  const lamp = glint * STEPS;
  const data = new Uint8ClampedArray(width * height * 4);
  // Four bytes at once, in the little-endian order of every machine this runs on.
  const words = new Int32Array(data.buffer);
  const hasWhite = own !== allLight;
  for (let i = 0; i < pixel.length; i++) {
    const a = 3 * along[i];
    const pigmented = own[i];
    const s = lamp * spark[i];
    let r = stepped[a] * pigmented + s;
    let g = stepped[a + 1] * pigmented + s;
    let u = stepped[a + 2] * pigmented + s;
    if (hasWhite) {
      const white = allLight[i] - pigmented;
      r += stepped[WHITE_AT + a] * white;
      g += stepped[WHITE_AT + a + 1] * white;
      u += stepped[WHITE_AT + a + 2] * white;
    }
    words[pixel[i]] =
      (cover[i] << 24) |
      (BYTE_OF[u < STEPS ? u | 0 : STEPS] << 16) |
      (BYTE_OF[g < STEPS ? g | 0 : STEPS] << 8) |
      BYTE_OF[r < STEPS ? r | 0 : STEPS];
  }
  if (zones.some(({ under }) => under)) layCoatings(data, geometry, look);
  return { width, height, data };
}
