import type { Density, HairForm, Area } from '../hair';
import { coatAreas } from './coating';
import { type ColouredPart, colourPixels, WHITE_AT, type Palette, greyBelow } from './colouring';
import type { DrawnHead } from './drawn-head';
import { cachedGeometry, type Geometry } from './geometry';
import { type Grown, headGeometryOf } from './growth';
import { type TressZone, type TressSize, type TressPixels, STEPS_ALONG } from './look';
import { glintOf } from './paint';
import { type Triple, zoneMeanLinear, linearOf } from './zone-colours';

/** How the hair of an area looks, in the light the picture is for. */
export interface AreaLook extends Pick<TressZone, 'colour' | 'greyShare' | 'grey' | 'under'> {
  /** How dense the hair grows. */
  density: Density;
  /** Form of the hair. */
  form: HairForm;
}

/** Of each area of a head; those it does not show are not asked for. */
export type HeadLook = Partial<Record<Area, AreaLook>>;

/** How glossy it is: a head is looked at from further off than a lock. */
const SHINE = 0.6;

/** The hair of a head in one of its drawings, each area in its own colour, form and density. */
export function paintHead(head: DrawnHead, look: HeadLook, size: TressSize): TressPixels {
  const areas = Object.keys(head.areas) as Area[];
  const looks = areas.map((area) => {
    const areaLook = look[area];
    if (!areaLook) throw new Error(`the drawing ${head.name} shows the ${area}, whose look is not given`);
    return areaLook;
  });
  const grown = areas.map((area, i): Grown => [area, looks[i].form, looks[i].density]);
  const geometry = cachedGeometry(['head', head.name, grown], size, () => headGeometryOf(head, grown, size));
  // Areas that look alike have one mean together, or a seam would show where they meet.
  const alike = new Map<string, { steps: number[]; mean: Triple }>();
  for (const [step, areaLook] of looks.entries()) {
    const name = JSON.stringify([areaLook.colour, areaLook.greyShare, areaLook.grey]);
    const part = alike.get(name) ?? { steps: [], mean: zoneMeanLinear(areaLook) };
    part.steps.push(step);
    alike.set(name, part);
  }
  const parts: ColouredPart[] = [...alike.values()];
  const picture = colourPixels(geometry, paletteOf(looks), parts, (gains) => {
    const bySteps = new Float32Array(WHITE_AT);
    parts.forEach(({ steps }, i) => steps.forEach((step) => bySteps.set(gains[i], 3 * step)));
    return bySteps;
  });
  coatAreas(
    picture.data,
    geometry,
    looks.map(({ under }) => under),
    () => turnedOn(head, geometry),
  );
  return picture;
}

/** How far each pixel of a head is turned away from the eye, 0 to 1. */
function turnedOn({ round, width: units }: DrawnHead, { pixel, width }: Geometry): Float32Array {
  const scale = units / width;
  return Float32Array.from(pixel, (at) => {
    const u = ((at % width) * scale - round.x) / round.across;
    const v = (Math.floor(at / width) * scale - round.y) / round.down;
    return Math.min(1, Math.sqrt(u * u + v * v));
  });
}

function paletteOf(looks: readonly AreaLook[]): Palette {
  const colours = new Float32Array(2 * WHITE_AT);
  const grey = new Int32Array(STEPS_ALONG);
  for (const [step, look] of looks.entries()) {
    colours.set(linearOf(look.colour), 3 * step);
    colours.set(linearOf(look.grey), WHITE_AT + 3 * step);
    grey[step] = greyBelow(look.greyShare);
  }
  return {
    colours,
    grey,
    glint: glintOf(
      looks.map(({ colour }) => linearOf(colour)),
      SHINE,
    ),
  };
}
