import fc from 'fast-check';
import { differenceOf, labOfRgb, TONE_FAMILIES } from '../colour';
import {
  HAIR_FORMS,
  naturalLook,
  paintTress,
  toneLook,
  zoneMeanLab,
  type TressLook,
  type TressPixels,
} from '.';
import { fromLinear, toLinear } from './rows';

const SIZE = { width: 90, height: 180 };

/** Mean of the drawn pixels between two heights, averaged as light and weighted by coverage. */
function meanLab({ data, width, height }: TressPixels, from = 0, to = 1) {
  const sum = [0, 0, 0];
  let weight = 0;
  for (let i = Math.floor(from * height) * width; i < Math.floor(to * height) * width; i++) {
    const cover = data[4 * i + 3] / 255;
    weight += cover;
    for (let c = 0; c < 3; c++) sum[c] += cover * toLinear(data[4 * i + c] / 255);
  }
  const [r, g, b] = sum.map((v) => fromLinear(v / weight));
  return labOfRgb({ r, g, b });
}

describe('a drawn tress', () => {
  it('has the mean colour of the state it is drawn from, at every level, tone, grey share and form', () => {
    const looks: fc.Arbitrary<TressLook> = fc
      .record({
        level: fc.integer({ min: 1, max: 10 }),
        primary: fc.constantFrom(...TONE_FAMILIES),
        greyShare: fc.constantFrom(0, 0.3, 0.8),
        form: fc.constantFrom(...HAIR_FORMS),
        seed: fc.nat(),
      })
      .map(({ level, primary, greyShare, form, seed }) => {
        const look = toneLook(level, { primary }, seed);
        return {
          ...look,
          form,
          zones: look.zones.map((zone) => ({ ...zone, greyShare, grey: { l: 88, a: 0, b: 3 } })),
        };
      });
    fc.assert(
      fc.property(looks, (look) => {
        expect(differenceOf(meanLab(paintTress(look, SIZE)), zoneMeanLab(look.zones[0]))).toBeLessThan(2);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps each zone its own colour when zones differ', () => {
    const root = toneLook(4, { primary: 'neutral' }, 1).zones[0];
    const tip = toneLook(9, { primary: 'gold' }, 1).zones[0];
    const look: TressLook = {
      ...toneLook(4, { primary: 'neutral' }, 7),
      zones: [
        { ...root, from: 0, to: 0.4 },
        { ...tip, from: 0.4, to: 1 },
      ],
    };
    const picture = paintTress(look, SIZE);
    expect(differenceOf(meanLab(picture, 0, 0.35), root.colour)).toBeLessThan(2.5);
    expect(differenceOf(meanLab(picture, 0.45, 1), tip.colour)).toBeLessThan(2.5);
  });

  it('is the same picture for the same seed and another for another', () => {
    const zone = { naturalLevel: 6, greyShare: 0.2, porosity: 'normal', diameter: 'medium' } as const;
    const draw = (seed: number) =>
      Buffer.from(paintTress(naturalLook(zone, seed), SIZE).data).toString('base64');
    expect(draw(3)).toBe(draw(3));
    expect(draw(3)).not.toBe(draw(4));
  });

  it('is hair, not a chip: strands differ among themselves, and nothing is drawn outside the lock', () => {
    const { data, width } = paintTress(toneLook(7, { primary: 'neutral' }, 5), SIZE);
    const row = 90 * width;
    const reds = Array.from({ length: width }, (_, x) =>
      data[4 * (row + x) + 3] > 250 ? data[4 * (row + x)] : -1,
    ).filter((v) => v >= 0);
    expect(new Set(reds).size).toBeGreaterThan(12);
    expect(data[4 * row + 3]).toBe(0);
  });
});
