import { layCoatings } from './coating';
import { type Palette, WHITE_AT, greyBelow, type Spread, type ColouredPart, colourPixels } from './colouring';
import { firstGeometryOf } from './first-drawing';
import { cachedGeometry, geometryOf, type Geometry } from './geometry';
import {
  type TressLook,
  type TressSize,
  type TressPixels,
  shapeOf,
  type TressZone,
  STEPS_ALONG,
} from './look';
import { type Triple, rowColours, linearOf, zoneMeanLinear } from './zone-colours';

const { max, min } = Math;

/**
 * Draws a lock: many fibres, thinner than a pixel, each catching the light along its own bends. Where they lie is worked
 * out once (`geometry.ts`); the colours of a state are laid on them (`colouring.ts`), each zone with the mean asked for.
 */
export function paintTress(look: TressLook, size: TressSize): TressPixels {
  const shape = shapeOf(look);
  const geometry = cachedGeometry(['lock', ...Object.values(shape)], size, () => geometryOf(shape, size));
  return colourTress(geometry, look);
}

/** How a picture is drawn: 1 as locks were drawn first, 2 as they are now. */
export const DRAWINGS = [1, 2] as const;
export type Drawing = (typeof DRAWINGS)[number];
export const DRAWING_NOW: Drawing = 2;

/** A lock in the drawing it was begun with. */
export const paintTressAs = (drawing: Drawing, look: TressLook, size: TressSize): TressPixels =>
  drawing === 1 ? colourTress(firstGeometryOf(shapeOf(look), size), look) : paintTress(look, size);

/** Light of the narrow lobe on glossy hair, linear. */
const GLINT = 0.07;
/** And on any that is wet. */
const WET_GLINT = 0.13;
/** On dark hair the glint stays so many times the darkest channel, or its mean could not be the colour asked for. */
const DARKEST_GLINT = 1.6;

/** How much light of the lamp hair of these colours, linear, gives back at most. */
export const glintOf = (colours: readonly Triple[], shine: number, wet = false): number =>
  min(wet ? WET_GLINT : GLINT * shine * shine, DARKEST_GLINT * Math.min(...colours.flat()));

function paletteOf({ zones, shine, wet }: TressLook): Palette {
  const along = (pick: (zone: TressZone) => Triple) => rowColours(zones, STEPS_ALONG, pick);
  const colours = new Float32Array(2 * WHITE_AT);
  colours.set(along((zone) => linearOf(zone.colour)));
  colours.set(
    along((zone) => linearOf(zone.grey)),
    WHITE_AT,
  );
  const shares = along((zone) => [zone.greyShare, 0, 0]);
  return {
    colours,
    grey: Int32Array.from({ length: STEPS_ALONG }, (_, step) => greyBelow(shares[3 * step])),
    glint: glintOf(
      zones.map(({ colour }) => linearOf(colour)),
      shine,
      wet,
    ),
  };
}

/**
 * Gains along the hair, in a straight line from the middle of one zone to the middle of the next. A gain for each zone as
 * a whole would end in a step, and hair that is one colour all along would look as if it were two.
 */
const spreadAlong =
  (zones: readonly TressZone[]): Spread =>
  (gains) => {
    const nodes = zones.map((zone, i) => ({
      at: (STEPS_ALONG * (zone.from + zone.to)) / 2,
      gain: gains[i],
    }));
    const along = new Float32Array(WHITE_AT);
    for (let step = 0, next = 0; step < STEPS_ALONG; step++) {
      while (next < nodes.length && nodes[next].at <= step) next++;
      const below = nodes[max(0, next - 1)];
      const above = nodes[min(nodes.length - 1, next)];
      const share = above === below ? 0 : (step - below.at) / (above.at - below.at);
      for (let c = 0; c < 3; c++)
        along[3 * step + c] = below.gain[c] + share * (above.gain[c] - below.gain[c]);
    }
    return along;
  };

/** A lock of a shape in the colours of a look, with what lies on it. */
export function colourTress(geometry: Geometry, look: TressLook): TressPixels {
  const { zones } = look;
  const parts = zones.map((zone): ColouredPart => {
    const from = Math.floor(zone.from * STEPS_ALONG);
    const to = min(STEPS_ALONG, Math.ceil(zone.to * STEPS_ALONG));
    return { steps: Array.from({ length: to - from }, (_, i) => from + i), mean: zoneMeanLinear(zone) };
  });
  const picture = colourPixels(geometry, paletteOf(look), parts, spreadAlong(zones));
  if (zones.some(({ under }) => under)) layCoatings(picture.data, geometry, look);
  return picture;
}
