import fc from 'fast-check';
import { chromaOf, differenceOf } from '../colour';
import {
  NO_DYE,
  exposureOf,
  labOfStrand,
  levelOfPigmented,
  levelOfStrand,
  lightenedStrand,
  naturalStrand,
  pigmentOf,
  whiteHairLab,
} from '.';

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

  it('hiding takes warmth away without darkening; dye always darkens', () => {
    const warm = lightenedStrand(7);
    const { red, yellow } = pigmentOf(warm);
    const hidden = { ...warm, dye: { ...NO_DYE, hidesRed: 0.5 * red, hidesYellow: 0.5 * yellow } };
    expect(chromaOf(labOfStrand(hidden))).toBeLessThan(chromaOf(labOfStrand(warm)));
    expect(labOfStrand(hidden).l).toBeGreaterThanOrEqual(labOfStrand(warm).l);
    for (const name of ['brown', 'blue', 'red', 'directViolet', 'directGreen'] as const) {
      expect(labOfStrand({ ...warm, dye: { ...NO_DYE, [name]: 0.3 } }).l).toBeLessThan(labOfStrand(warm).l);
    }
  });
});
