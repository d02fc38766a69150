import fc from 'fast-check';
import { labOfRgb, differenceOf, rgbOf, hueOf, TONE_FAMILIES } from '../colour';
import { HAIR_FORMS, type HairForm } from '../hair';
import { type Geometry, geometryOf } from './geometry';
import { toneLook, naturalLook } from './hair-look';
import { type TressPixels, type TressLook, shapeOf, RANKS, type Coating, COATINGS } from './look';
import { paintTress, colourTress } from './paint';
import { toLinear, fromLinear, zoneMeanLab } from './zone-colours';

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

const lowestRow = ({ pixel, width }: Geometry) =>
  Math.floor(pixel.reduce((most, at) => Math.max(most, at), 0) / width);

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
    // A third white on black once came out too light: a sample of the pixels was too small for its mean.
    const black = toneLook(1, { primary: 'neutral' }, 1955285128);
    const saltAndPepper: TressLook = {
      ...black,
      zones: black.zones.map((zone) => ({ ...zone, greyShare: 0.3, grey: { l: 88, a: 0, b: 3 } })),
    };
    fc.assert(
      fc.property(looks, (look) => {
        expect(differenceOf(meanLab(paintTress(look, SIZE)), zoneMeanLab(look.zones[0]))).toBeLessThan(2);
      }),
      { numRuns: 60, examples: [[saltAndPepper]] },
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

  it('has no step where zones of one colour meet', () => {
    const zone = toneLook(8, { primary: 'beige' }, 1).zones[0];
    const joints = [0, 0.2, 0.75, 1];
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom<HairForm>('straight', 'wavy'), (seed, form) => {
        const look: TressLook = {
          ...toneLook(8, { primary: 'beige' }, seed),
          form,
          zones: joints.slice(1).map((to, i) => ({ ...zone, from: joints[i], to })),
        };
        const [parts, whole] = [look, { ...look, zones: [zone] }].map((look) => paintTress(look, SIZE));
        const step = (picture: TressPixels, at: number) =>
          meanLab(picture, at, at + 0.03).l - meanLab(picture, at - 0.03, at).l;
        for (const at of joints.slice(1, -1))
          expect(Math.abs(step(parts, at) - step(whole, at))).toBeLessThan(1.5);
      }),
      { numRuns: 20 },
    );
  });

  it('is the same picture for the same seed and another for another', () => {
    const zone = { naturalLevel: 6, greyShare: 0.2, porosity: 'normal', diameter: 'medium' } as const;
    const draw = (seed: number) =>
      Buffer.from(paintTress(naturalLook(zone, seed), SIZE).data).toString('base64');
    expect(draw(3)).toBe(draw(3));
    expect(draw(3)).not.toBe(draw(4));
  });

  it('shows as many white pixels as hairs are white, at any share, form and level, within 3 %', () => {
    const look = (share: number, form: HairForm, level: number, seed: number): TressLook => {
      const plain = toneLook(level, { primary: 'neutral' }, seed);
      const zones = plain.zones.map((zone) => ({ ...zone, greyShare: share }));
      return { ...plain, form, zones, shine: 0 };
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.constantFrom(...HAIR_FORMS),
        fc.integer({ min: 1, max: 9 }),
        fc.nat(),
        (tenths, form, level, seed) => {
          const size = { width: 120, height: 240 };
          // White hair on black: how light a pixel is, is how much of it is white.
          const black = { l: 0, a: 0, b: 0 };
          const plain = look(tenths / 10, form, level, seed);
          const zones = plain.zones.map((zone) => ({ ...zone, colour: black, grey: { l: 60, a: 0, b: 0 } }));
          const { data } = paintTress({ ...plain, zones }, size);
          const whole = toLinear(rgbOf({ l: 60, a: 0, b: 0 }).r);
          let [white, all] = [0, 0];
          for (let i = 0; i < data.length; i += 4) {
            white += data[i + 3] * toLinear(data[i] / 255);
            all += data[i + 3] * whole;
          }
          expect(Math.abs(white / all - tenths / 10)).toBeLessThan(0.03);
          const { ranks, light, cover } = geometryOf(shapeOf(plain), size);
          let [theirs, every] = [0, 0];
          for (let i = 0; i < ranks.length; i++) {
            const part = cover[i >> 2] * Number(light[i] > 0);
            theirs += part * Number(ranks[i] < (tenths / 10) * RANKS);
            every += part;
          }
          expect(Math.abs(theirs / every - tenths / 10)).toBeLessThan(0.06);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('keeps half levels in order: the lighter of two is the lighter picture in 100 of 100 seeds', () => {
    for (let seed = 0; seed < 100; seed++) {
      const level = 1 + (seed % 18) / 2;
      const [darker, lighter] = [level, level + 0.5].map((value) =>
        meanLab(paintTress(toneLook(value, { primary: 'neutral' }, seed), SIZE)),
      );
      expect(lighter.l).toBeGreaterThan(darker.l);
    }
  });

  it('keeps its hue in its darkest and its lightest tenth', () => {
    for (const [level, primary] of [
      [4, 'red'],
      [6, 'copper'],
      [8, 'gold'],
      [9, 'pearl'],
    ] as const) {
      const { data } = paintTress(toneLook(level, { primary }, 17), SIZE);
      const labs = Array.from({ length: data.length / 4 }, (_, i) => i)
        .filter((i) => data[4 * i + 3] > 250)
        .map((i) => labOfRgb({ r: data[4 * i] / 255, g: data[4 * i + 1] / 255, b: data[4 * i + 2] / 255 }))
        .sort((a, b) => a.l - b.l);
      const tenth = Math.floor(labs.length / 10);
      const hueIn = (part: typeof labs) =>
        hueOf({
          l: 0,
          a: part.reduce((sum, { a }) => sum + a, 0),
          b: part.reduce((sum, { b }) => sum + b, 0),
        });
      const whole = hueIn(labs);
      for (const part of [labs.slice(0, tenth), labs.slice(-tenth)])
        expect(Math.abs(hueIn(part) - whole)).toBeLessThan(16);
    }
  });

  it('has thousands of fibres at full size, and geometry that colours any state without being made again', () => {
    const size = { width: 300, height: 600 };
    const shape = shapeOf({ seed: 4, form: 'curly', cut: 'lock' });
    const geometry = geometryOf(shape, size);
    expect(new Set(geometry.ranks).size).toBeGreaterThan(2000);
    const [look, other] = [5, 9].map((level) => toneLook(level, { primary: 'gold' }, 4));
    const direct = paintTress({ ...other, form: 'curly' }, size);
    colourTress(geometry, { ...look, form: 'curly' });
    expect(
      Buffer.from(colourTress(geometry, { ...other, form: 'curly' }).data).equals(Buffer.from(direct.data)),
    ).toBe(true);
  });

  it('keeps how light falls on white hair for as long as its share stays, and no longer', () => {
    const geometry = geometryOf(shapeOf({ seed: 11, form: 'wavy', cut: 'lock' }), SIZE);
    const look = (share: number, level = 5): TressLook => {
      const plain = toneLook(level, { primary: 'neutral' }, 11);
      return { ...plain, form: 'wavy', zones: plain.zones.map((zone) => ({ ...zone, greyShare: share })) };
    };
    const bytes = (look: TressLook) => Buffer.from(colourTress(geometry, look).data);
    const anew = (look: TressLook) => Buffer.from(colourTress(geometryOf(shapeOf(look), SIZE), look).data);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(0, 0.2, 0.25, 0.9, 1), fc.constantFrom(3, 8)), {
          minLength: 2,
          maxLength: 6,
        }),
        (states) => {
          for (const [share, level] of states)
            expect(bytes(look(share, level)).equals(anew(look(share, level)))).toBe(true);
        },
      ),
      { numRuns: 4 },
    );
  });

  it('hangs shorter the more it curls, and breaks off where it is broken', () => {
    const lengths = HAIR_FORMS.map((form) =>
      lowestRow(geometryOf(shapeOf({ seed: 3, form, cut: 'lock' }), SIZE)),
    );
    lengths.slice(1).forEach((length, i) => expect(length).toBeLessThanOrEqual(lengths[i]));
    const area = (broken: number) =>
      geometryOf(shapeOf({ seed: 3, form: 'straight', cut: 'lock', broken }), SIZE).pixel.filter(
        (at) => at > 150 * SIZE.width,
      ).length;
    expect(area(0.45)).toBeLessThan(area(0));
  });

  it('lies flat when wet, and has lost its curl where it is limp', () => {
    const shape = { seed: 3, form: 'curly' as const, cut: 'lock' as const };
    const widest = (change: Partial<TressLook>) => {
      const { pixel } = geometryOf(shapeOf({ ...shape, ...change }), SIZE);
      const columns = Array.from(pixel, (at) => at % SIZE.width);
      return Math.max(...columns) - Math.min(...columns);
    };
    expect(widest({ wet: true })).toBeLessThan(widest({}));
    expect(widest({ limp: 1 })).toBeLessThan(widest({}));
    const lowest = (change: Partial<TressLook>) =>
      lowestRow(geometryOf(shapeOf({ ...shape, ...change }), SIZE));
    expect(lowest({ limp: 1 })).toBeGreaterThan(lowest({}));
    const tips = (split: number) =>
      geometryOf(shapeOf({ ...shape, form: 'straight', split }), SIZE).pixel.filter(
        (at) => at > 160 * SIZE.width,
      ).length;
    expect(tips(0.5)).toBeGreaterThan(tips(0));
  });

  it('gleams more in water, and is no lighter or darker for it', () => {
    const look = toneLook(5, { primary: 'neutral' }, 4);
    const spread = (picture: TressPixels) => {
      const reds = Array.from(picture.data).filter((_, i) => i % 4 === 0 && picture.data[i + 3] > 250);
      const mean = reds.reduce((sum, red) => sum + red, 0) / reds.length;
      return Math.sqrt(reds.reduce((sum, red) => sum + (red - mean) ** 2, 0) / reds.length);
    };
    const [dry, wet] = [false, true].map((one) => paintTress({ ...look, wet: one }, SIZE));
    expect(spread(wet)).toBeGreaterThan(spread(dry));
    expect(differenceOf(meanLab(wet), meanLab(dry))).toBeLessThan(2);
  });

  it('is hidden by what lies on it as far as that really hides, and only where it lies', () => {
    const coated = (under: Coating, level: number): TressLook => {
      const look = toneLook(level, { primary: 'copper' }, 6);
      const [zone] = look.zones;
      return {
        ...look,
        zones: [
          { ...zone, from: 0, to: 0.5, under },
          { ...zone, from: 0.5, to: 1 },
        ],
      };
    };
    const seen = (under: Coating) => {
      const [dark, light] = [4, 9].map((level) => paintTress(coated(under, level), SIZE));
      return differenceOf(meanLab(dark, 0.05, 0.4), meanLab(light, 0.05, 0.4));
    };
    const bare = (() => {
      const [dark, light] = [4, 9].map((level) =>
        paintTress(toneLook(level, { primary: 'copper' }, 6), SIZE),
      );
      return differenceOf(meanLab(dark, 0.05, 0.4), meanLab(light, 0.05, 0.4));
    })();
    expect(seen('foam')).toBeLessThan(0.5);
    expect(seen('foil')).toBeLessThan(0.5);
    expect(seen('cream')).toBeLessThan(5);
    expect(seen('suds')).toBeLessThan(bare / 2);
    expect(seen('gel')).toBeGreaterThan(bare / 2);
    // Two coated stretches that meet are coated through.
    const through = coated('foam', 9);
    const [upper, lower] = through.zones;
    const meeting = paintTress({ ...through, zones: [upper, { ...lower, under: 'foam' }] }, SIZE);
    expect(Math.hypot(meanLab(meeting, 0.48, 0.52).a, meanLab(meeting, 0.48, 0.52).b)).toBeLessThan(1);
    for (const coating of COATINGS) {
      const picture = paintTress(coated(coating, 6), SIZE);
      const plain = paintTress(toneLook(6, { primary: 'copper' }, 6), SIZE);
      expect(differenceOf(meanLab(picture, 0.6, 1), meanLab(plain, 0.6, 1))).toBeLessThan(1.5);
      // A gloss is clear; the others are grey, and no brighter than the room.
      const { l, a, b } = meanLab(picture, 0.05, 0.4);
      expect(l).toBeLessThan(76);
      if (coating !== 'gel') expect(Math.hypot(a, b)).toBeLessThan(14);
    }
  });

  it('lies in a paste that stands out beside it, without a gap, to its very tips', () => {
    for (const form of ['straight', 'curly', 'tightlyCoiled'] as const)
      for (const under of ['cream', 'foam', 'suds'] as const) {
        const plain = toneLook(8, { primary: 'gold' }, 33);
        const [zone] = plain.zones;
        const bare = paintTress({ ...plain, form }, SIZE);
        const coated = paintTress({ ...plain, form, zones: [{ ...zone, under }] }, SIZE);
        const isCovered = ({ data, width }: TressPixels, x: number, y: number) =>
          data[4 * (y * width + x) + 3] > 200;
        // Rows well within the lock: everything from edge to edge is covered, and more of it than hair covers.
        for (const y of [20, 40, 60, 80]) {
          const xs = Array.from({ length: SIZE.width }, (_, x) => x);
          const hair = xs.filter((x) => isCovered(bare, x, y));
          const middle = hair[hair.length >> 1];
          const left = middle - xs.findIndex((away) => !isCovered(coated, middle - away, y));
          const right = middle + xs.findIndex((away) => !isCovered(coated, middle + away, y));
          expect(right - left).toBeGreaterThan(hair.length);
        }
        // Nothing of the gold is seen anywhere that it hides all.
        if (under === 'foam') {
          const { a, b } = meanLab(coated);
          expect(Math.hypot(a, b)).toBeLessThan(2);
        }
      }
  });

  it('lies in a foil that is folded straight across and stands out beside it, in any form', () => {
    for (const form of HAIR_FORMS) {
      const plain = toneLook(8, { primary: 'gold' }, 21);
      const [zone] = plain.zones;
      const { data, width, height } = paintTress(
        {
          ...plain,
          form,
          zones: [
            { ...zone, from: 0, to: 0.5, under: 'foil' },
            { ...zone, from: 0.5, to: 1 },
          ],
        },
        SIZE,
      );
      const isFoil = (x: number, y: number) => {
        const at = 4 * (y * width + x);
        const [r, g, b, a] = data.subarray(at, at + 4);
        return a === 255 && Math.max(r, g, b) - Math.min(r, g, b) < 3;
      };
      const rows = Array.from({ length: height }, (_, y) =>
        Array.from({ length: width }, (_, x) => x).filter((x) => isFoil(x, y)),
      );
      const foiled = rows.filter((row) => row.length > 0.2 * width);
      expect(foiled.length).toBeGreaterThan(0.15 * height);
      const [first] = foiled;
      // Every row of it from the same edge to the same edge, without a gap.
      for (const row of foiled) expect(row).toEqual(first);
      expect(first.at(-1)! - first[0]).toBe(first.length - 1);
      const firstRow = rows.indexOf(first);
      expect(rows.slice(firstRow, firstRow + foiled.length)).toEqual(foiled);
      const hair = geometryOf(shapeOf({ ...plain, form }), SIZE).pixel.reduce(
        ([least, most], at) => [Math.min(least, at % width), Math.max(most, at % width)],
        [width, 0],
      );
      expect(first[0]).toBeLessThan(hair[0]);
      expect(first.at(-1)!).toBeGreaterThan(hair[1]);
    }
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
