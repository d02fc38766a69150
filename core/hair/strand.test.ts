import fc from 'fast-check';
import { chromaOf, differenceOf } from '../colour';
import { type DyeLayer, NO_DYE, NO_WARMTH, DYES } from './dye';
import { whiteHairLab } from './pigment';
import {
  naturalStrand,
  exposureOf,
  levelOfStrand,
  lightenedStrand,
  labOfStrand,
  pigmentOf,
  levelOfPigmented,
  readStrand,
  reflectanceOfStrand,
} from './strand';

describe('the state of a strand', () => {
  it.each([1, 3, 5, 7.5, 10])('untouched hair of level %d has nothing bared and reads as itself', (level) => {
    const strand = naturalStrand(level);
    expect(exposureOf(strand)).toBe(0);
    expect(levelOfStrand(strand)).toBeCloseTo(level, 2);
  });

  it.each([4, 6, 8, 10])('hair lightened to %d from dark reads as that level, its warmth bared', (level) => {
    const strand = lightenedStrand(level);
    expect(Math.abs(levelOfStrand(strand) - level)).toBeLessThan(0.3);
    expect(exposureOf(strand)).toBeGreaterThan(0.9);
    expect(chromaOf(labOfStrand(strand))).toBeGreaterThan(chromaOf(labOfStrand(naturalStrand(level))) + 5);
  });

  it('the warmth depends on the level reached and hardly on the start (U1)', () => {
    for (const level of [6, 8, 9]) {
      const [fromDark, fromMiddle] = [1.5, level - 3].map((from) =>
        labOfStrand(lightenedStrand(level, from)),
      );
      expect(differenceOf(fromDark, fromMiddle)).toBeLessThan(3);
    }
  });

  it('red leaves before yellow: the ratio of red to yellow falls all the way', () => {
    let last = Infinity;
    for (let level = 5; level <= 10; level += 0.25) {
      const { red, yellow } = pigmentOf(lightenedStrand(level));
      const ratio = red / Math.max(0.01, yellow);
      expect(ratio).toBeLessThanOrEqual(last + 1e-9);
      last = ratio;
    }
  });

  it('white strands are read apart: they lighten the whole and leave the rest as it is (L3)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.integer({ min: 2, max: 9 }),
        (white, level) => {
          const strand = naturalStrand(level, { white });
          expect(levelOfPigmented(strand)).toBeCloseTo(level, 2);
          expect(labOfStrand(strand).l).toBeGreaterThan(labOfStrand(naturalStrand(level)).l);
        },
      ),
      { numRuns: 30 },
    );
    expect(differenceOf(labOfStrand(naturalStrand(5, { white: 1 })), whiteHairLab())).toBeLessThan(0.01);
  });

  const layer = (change: Partial<DyeLayer>): DyeLayer => ({
    kind: 'demi',
    dye: NO_DYE,
    dyeOnWhite: NO_DYE,
    masks: NO_WARMTH,
    fills: NO_WARMTH,
    held: 0,
    ...change,
  });

  it('masking takes warmth away without darkening; filling puts it back', () => {
    const warm = lightenedStrand(7);
    const { red, yellow } = pigmentOf(warm);
    const half = { red: red / 2, yellow: yellow / 2 };
    const masked = { ...warm, layers: [layer({ masks: half })] };
    expect(chromaOf(labOfStrand(masked))).toBeLessThan(chromaOf(labOfStrand(warm)));
    expect(labOfStrand(masked).l).toBeGreaterThanOrEqual(labOfStrand(warm).l);
    const back = { ...masked, layers: [...masked.layers, layer({ kind: 'filler', fills: half })] };
    expect(differenceOf(labOfStrand(back), labOfStrand(warm))).toBeLessThan(0.01);
  });

  it('level leaves the tone of dye out and keeps its depth (L4)', () => {
    const hair = naturalStrand(6);
    const red = { ...hair, layers: [layer({ dye: { ...NO_DYE, red: 1.2, yellow: 0.4 } })] };
    expect(labOfStrand(red).l).toBeLessThan(labOfStrand(hair).l - 4);
    expect(levelOfStrand(red)).toBeCloseTo(levelOfStrand(hair), 6);
    expect(readStrand(red).tone).not.toBe('neutral');
    const deeper = { ...hair, layers: [layer({ dye: { ...NO_DYE, brown: 0.5 } })] };
    expect(levelOfStrand(deeper)).toBeLessThan(5.2);
  });

  it('spots of a thin coat are mixed in by their fraction', () => {
    const [pale, dark] = [lightenedStrand(9), naturalStrand(4)];
    const mixed = { ...pale, spots: [{ fraction: 0.4, strand: dark }] };
    const y = (strand: typeof pale) => reflectanceOfStrand(strand)[15];
    expect(y(mixed)).toBeCloseTo(0.6 * y(pale) + 0.4 * y(dark), 9);
  });

  it('white, pigmented and missed hair alike: more dye never reflects more, at any wavelength', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DYES),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        fc.integer({ min: 1, max: 10 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (name, amount, more, level, white) => {
          const dyed = (of: number) => {
            const dye = { ...NO_DYE, [name]: of };
            return reflectanceOfStrand({
              ...naturalStrand(level, { white }),
              layers: [layer({ dye, dyeOnWhite: dye })],
            });
          };
          const [less, deeper] = [dyed(amount), dyed(amount + more)];
          less.forEach((r, i) => expect(deeper[i]).toBeLessThanOrEqual(r));
        },
      ),
      { numRuns: 60 },
    );
  });
});
