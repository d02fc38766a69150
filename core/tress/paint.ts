import { RANKS, STEPS_ALONG, keptGeometry, type Geometry } from './geometry';
import { fromLinear, linearOf, rowColours, toLinear, zoneMean, type Triple } from './rows';
import type { TressLook, TressPixels, TressSize, TressZone } from './look';

// Bound once: these run millions of times a picture.
const { abs, max, min, round } = Math;

/**
 * Draws a lock: many fibres, thinner than a pixel, each catching the light along its own bends. Where they lie is worked
 * out once (`geometry.ts`); this lays the colours of a state on them. Each zone is then corrected as a whole, so that its
 * mean is the colour asked for: what is judged is the hair, not the lighting of the drawing.
 */
export function paintTress(look: TressLook, size: TressSize): TressPixels {
  const { seed, form, cut, frizz = 0, broken = 0 } = look;
  return colourTress(keptGeometry({ seed, form, cut, frizz, broken }, size), look);
}

/** Linear light to bytes by table: a power per channel and pixel would cost more than the drawing. */
const STEPS = 4096;
const BYTE_OF = Uint8Array.from({ length: STEPS + 1 }, (_, i) => round(255 * fromLinear(i / STEPS)));

/** Light of the narrow lobe on glossy hair, linear. */
const GLINT = 0.07;
/** On dark hair the glint stays so many times the darkest channel, or its mean could not be the colour asked for. */
const DARKEST_GLINT = 1.6;
/** Pixels that are enough for a mean, taken a few times: few white fibres on black weigh most of it, so no fewer. */
const ENOUGH = 16_000;

/** Colours along the hair, three channels a step: the pigmented fibres', and from `WHITE_AT` on the white ones'. */
const WHITE_AT = 3 * STEPS_ALONG;
interface Tables {
  colours: Float32Array;
  /** Rank below which a fibre is white, at the places of the first channel. */
  grey: Int32Array;
  glint: number;
}

function tablesOf({ zones, shine }: TressLook): Tables {
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
    grey: Int32Array.from(shares, (share) => Math.ceil(share * (RANKS + 1))),
    glint: min(GLINT * shine * shine, DARKEST_GLINT * darkest),
  };
}

/**
 * Where the colour of a fibre stands in the table. White or not is the sign of a difference: a branch would be guessed
 * wrong at every other pixel of grey hair.
 */
const placeOf = (along: number, rank: number, grey: Int32Array) =>
  along + (((rank - grey[along]) >> 31) & WHITE_AT);

/** Sum of light and weight per step along the hair, over a sample of the pixels, as they would be written. */
function sumsAlong({ cover, places, light }: Geometry, { colours, grey, glint }: Tables): Float64Array {
  const sums = new Float64Array(STEPS_ALONG * 4);
  const every = max(1, Math.floor(cover.length / ENOUGH));
  for (let i = 0; i < cover.length; i += every) {
    const weight = cover[i];
    const a = placeOf(places[4 * i], places[4 * i + 2], grey);
    const b = placeOf(places[4 * i + 1], places[4 * i + 3], grey);
    const la = light[3 * i];
    const lb = light[3 * i + 1];
    const s = glint * light[3 * i + 2];
    const at = (4 * places[4 * i]) / 3;
    sums[at] += weight * min(1, colours[a] * la + colours[b] * lb + s);
    sums[at + 1] += weight * min(1, colours[a + 1] * la + colours[b + 1] * lb + s);
    sums[at + 2] += weight * min(1, colours[a + 2] * la + colours[b + 2] * lb + s);
    sums[at + 3] += weight;
  }
  return sums;
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

/** Passes of the correction: the later ones answer to what clips at white and to the glint, which is not gained. */
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

function corrected(geometry: Geometry, look: TressLook): Tables {
  const tables = tablesOf(look);
  for (let pass = 0; pass < PASSES; pass++) {
    const gains = gainsOf(look.zones, sumsAlong(geometry, tables));
    if ([...gains.values()].every((gain) => gain.every((one) => abs(one - 1) < SETTLED))) break;
    const along = gainsAlong(look.zones, gains);
    for (let i = 0; i < WHITE_AT; i++) {
      tables.colours[i] *= along[i];
      tables.colours[WHITE_AT + i] *= along[i];
    }
  }
  return tables;
}

/** One pass over the covered pixels. The same bytes for the same look, wherever it is drawn. */
export function colourTress(geometry: Geometry, look: TressLook): TressPixels {
  const { width, height, pixel, cover, places, light } = geometry;
  const { colours, grey, glint } = corrected(geometry, look);
  // Light in steps of the table of bytes.
  const stepped = colours.map((v) => v * STEPS);
  const lamp = glint * STEPS;
  const data = new Uint8ClampedArray(width * height * 4);
  // Four bytes at once, in the little-endian order of every machine this runs on.
  const words = new Int32Array(data.buffer);
  for (let i = 0, at = 0, lit = 0; i < pixel.length; i++, at += 4, lit += 3) {
    const a = placeOf(places[at], places[at + 2], grey);
    const b = placeOf(places[at + 1], places[at + 3], grey);
    const la = light[lit];
    const lb = light[lit + 1];
    const s = lamp * light[lit + 2];
    const r = stepped[a] * la + stepped[b] * lb + s;
    const g = stepped[a + 1] * la + stepped[b + 1] * lb + s;
    const u = stepped[a + 2] * la + stepped[b + 2] * lb + s;
    words[pixel[i]] =
      (cover[i] << 24) |
      (BYTE_OF[u < STEPS ? u | 0 : STEPS] << 16) |
      (BYTE_OF[g < STEPS ? g | 0 : STEPS] << 8) |
      BYTE_OF[r < STEPS ? r | 0 : STEPS];
  }
  return { width, height, data };
}
