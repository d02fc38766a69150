import fc from 'fast-check';
import { type Lab, labOfRgb, differenceOf } from '../colour';
import { type Area, type Density, HAIR_FORMS, naturalLab, whiteHairLab } from '../hair';
import type { DrawnHead } from './drawn-head';
import type { Geometry } from './geometry';
import { type Grown, headGeometryOf } from './growth';
import { type AreaLook, type HeadLook, paintHead } from './head-hair';
import { RANKS } from './look';
import { NEAREST_KEPT } from './nearest-fibres';
import { toLinear, fromLinear, zoneMeanLab } from './zone-colours';

/** A round head whose upper half is its top and whose lower half is its back. */
const ROUND: DrawnHead = {
  name: 'round',
  width: 100,
  height: 100,
  hair: Array.from({ length: 24 }, (_, i) => [
    50 + 44 * Math.cos((i * Math.PI) / 12),
    50 + 44 * Math.sin((i * Math.PI) / 12),
  ]),
  areas: {
    top: [
      [
        [0, 0],
        [100, 0],
        [100, 50],
        [0, 50],
      ],
    ],
    back: [
      [
        [0, 50],
        [100, 50],
        [100, 100],
        [0, 100],
      ],
    ],
  },
  falls: (x, y) => {
    const long = Math.hypot(x - 50, y + 40);
    return [(x - 50) / long, (y + 40) / long];
  },
  round: { x: 50, y: 50, across: 46, down: 46 },
};
const AREAS_SHOWN: Area[] = ['top', 'back'];
const SIZE = { width: 150, height: 150 };

const hair = (level: number, more: Partial<AreaLook> = {}): AreaLook => ({
  colour: naturalLab(level),
  greyShare: 0,
  grey: whiteHairLab(),
  density: 'dense',
  form: 'straight',
  ...more,
});
const all = (look: AreaLook): HeadLook => ({ top: look, back: look });
/** The geometry of a look, worked out once. */
const known = new Map<string, Geometry>();
function geometryOf(look: HeadLook): Geometry {
  const grown = AREAS_SHOWN.map((area): Grown => [area, look[area]!.form, look[area]!.density]);
  const name = JSON.stringify(grown);
  const geometry = known.get(name) ?? headGeometryOf(ROUND, grown, SIZE);
  known.set(name, geometry);
  return geometry;
}

/** Mean of what is drawn of an area, as light and by cover. */
function meanOf(look: HeadLook, area: Area | null): Lab {
  const { data } = paintHead(ROUND, look, SIZE);
  const { pixel, along, cover } = geometryOf(look);
  const sum = [0, 0, 0];
  let weight = 0;
  pixel.forEach((at, i) => {
    if (area && along[i] !== AREAS_SHOWN.indexOf(area)) return;
    weight += cover[i];
    for (let c = 0; c < 3; c++) sum[c] += cover[i] * toLinear(data[4 * at + c] / 255);
  });
  const [r, g, b] = sum.map((v) => fromLinear(v / weight));
  return labOfRgb({ r, g, b });
}

const looks: fc.Arbitrary<AreaLook> = fc.record({
  colour: fc.double({ min: 1, max: 10, noNaN: true }).map(naturalLab),
  greyShare: fc.constantFrom(0, 0.1, 0.3, 0.5, 0.8, 1),
  grey: fc.constant(whiteHairLab()),
  density: fc.constantFrom<Density>('sparse', 'medium', 'dense'),
  form: fc.constantFrom(...HAIR_FORMS),
});

describe('hair on a drawn head', () => {
  it('has in each area the mean colour of its own hair', () => {
    fc.assert(
      fc.property(looks, looks, (top, back) => {
        const alike = JSON.stringify(top) === JSON.stringify(back);
        for (const area of AREAS_SHOWN)
          expect(
            differenceOf(
              meanOf({ top, back }, alike ? null : area),
              zoneMeanLab(area === 'top' ? top : back),
            ),
          ).toBeLessThan(2);
      }),
      { numRuns: 25 },
    );
  });

  it('has one mean where areas are alike, and so no seam where they meet', () => {
    const look = hair(7);
    expect(differenceOf(meanOf(all(look), null), look.colour)).toBeLessThan(1);
    const { data, width } = paintHead(ROUND, all(look), SIZE);
    const rowMean = (row: number) => {
      let [sum, weight] = [0, 0];
      for (let x = 30; x < 120; x++) {
        const at = 4 * (row * width + x);
        sum += data[at + 3] * toLinear(data[at] / 255);
        weight += data[at + 3];
      }
      return labOfRgb({ r: fromLinear(sum / weight), g: 0, b: 0 }).l;
    };
    const mean = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, i) => rowMean(from + i)).reduce((a, b) => a + b, 0) / (to - from);
    const step = (row: number) => Math.abs(mean(row, row + 8) - mean(row - 8, row));
    expect(step(75)).toBeLessThan(Math.max(...[45, 60, 90, 105].map(step)) + 2);
  });

  it('shows in each area as much white as grows there, in any form and density, within 3 %', () => {
    for (const form of HAIR_FORMS)
      for (const density of ['sparse', 'medium', 'dense'] as const) {
        const { along, ranks, light, cover } = geometryOf(all(hair(5, { form, density })));
        for (const area of [0, 1])
          for (const share of [0.1, 0.5, 0.9]) {
            let [white, lit] = [0, 0];
            along.forEach((value, i) => {
              if (value !== area) return;
              for (let k = NEAREST_KEPT * i; k < NEAREST_KEPT * (i + 1); k++) {
                lit += cover[i] * light[k];
                if (ranks[k] < share * (RANKS + 1)) white += cover[i] * light[k];
              }
            });
            expect(Math.abs(white / lit - share)).toBeLessThan(0.03);
          }
      }
  });

  it('tells levels half a step apart, each way, in every form', () => {
    for (const form of HAIR_FORMS) {
      const means = Array.from({ length: 19 }, (_, i) => meanOf(all(hair(1 + i / 2, { form })), null).l);
      for (const [i, value] of means.slice(1).entries()) expect(value).toBeGreaterThan(means[i]);
    }
  });

  it('lets the more scalp through the thinner it grows, and closes over it where it is dense', () => {
    const covered = (density: Density) => {
      const { cover } = geometryOf(all(hair(5, { density })));
      return cover.reduce((sum, value) => sum + value, 0) / 255 / (Math.PI * (0.44 * SIZE.width) ** 2);
    };
    const [sparse, medium, dense] = (['sparse', 'medium', 'dense'] as const).map(covered);
    expect(sparse).toBeLessThan(0.75);
    expect(medium).toBeGreaterThan(sparse + 0.1);
    expect(dense).toBeGreaterThan(0.97);
  });

  it('keeps what is drawn of an area to it, but for the tips', () => {
    const red = hair(5, { colour: { l: 40, a: 50, b: 30 } });
    const { data, width, height } = paintHead(ROUND, { top: red, back: hair(5) }, SIZE);
    const redness = (x: number, y: number) => {
      const at = 4 * (y * width + x);
      return data[at] - data[at + 1];
    };
    const isRed = redness(75, 40);
    expect(isRed).toBeGreaterThan(redness(75, 110) + 40);
    for (let x = 40; x < 110; x++) {
      expect(Math.abs(redness(x, 66) - isRed)).toBeLessThan(60);
      expect(redness(x, height - 60)).toBeLessThan(isRed - 30);
    }
  });

  it('is hidden in each area by what lies on it there, and only there', () => {
    const copper = hair(6, { colour: { l: 45, a: 30, b: 40 } });
    const look: HeadLook = { top: { ...copper, under: 'foam' }, back: copper };
    const [top, back] = [meanOf(look, 'top'), meanOf(look, 'back')];
    expect(Math.hypot(top.a, top.b)).toBeLessThan(1);
    expect(differenceOf(back, meanOf(all(copper), 'back'))).toBeLessThan(0.1);
    const through = meanOf({ ...look, top: { ...copper, under: 'gel' } }, 'top');
    expect(Math.hypot(through.a, through.b)).toBeGreaterThan(20);
  });

  it('is the same picture each time, and says which area it was given no look of', () => {
    const bytes = () =>
      Buffer.from(paintHead(ROUND, all(hair(4, { greyShare: 0.4 })), SIZE).data).toString('base64');
    const once = bytes();
    // Others drawn in between leave nothing behind.
    paintHead(ROUND, all(hair(9)), SIZE);
    expect(bytes()).toBe(once);
    expect(() => paintHead(ROUND, { top: hair(4) }, SIZE)).toThrow('back');
  });
});
