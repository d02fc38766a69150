import fc from 'fast-check';
import { levelOfPigmented, naturalStrand, TOP_LEVEL } from '../hair';
import { brownBlackAfter, doseTaken, effortOf, levelAfter, liftStartOf } from './lift';

const level = fc.double({ min: 1, max: TOP_LEVEL, noNaN: true });
const dose = fc.double({ min: 0, max: 4, noNaN: true });

describe('what a level costs', () => {
  it('is undone by asking which level an effort comes to', () => {
    fc.assert(fc.property(level, (at) => expect(levelAfter(effortOf(at))).toBeCloseTo(at, 9)));
    expect(levelAfter(-1)).toBe(1);
    expect(levelAfter(1e6)).toBe(TOP_LEVEL);
  });

  it('rises with the level, and two doses are as much as both at once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 20 }), dose, dose, (half, first, second) => {
        const strand = naturalStrand(half / 2);
        const after = (start: typeof strand, by: number) => ({
          ...start,
          brownBlack: brownBlackAfter(start, liftStartOf(start), by),
        });
        const inTwo = after(after(strand, first), second);
        const atOnce = after(strand, first + second);
        // A level is found to a ten-thousandth.
        expect(Math.abs(levelOfPigmented(inTwo) - levelOfPigmented(atOnce))).toBeLessThan(0.01);
        expect(atOnce.brownBlack).toBeLessThanOrEqual(strand.brownBlack);
        expect(effortOf(half / 2 + 0.5)).toBeGreaterThan(effortOf(half / 2));
      }),
      { numRuns: 100 },
    );
  });

  it('tells what a strand has had since it grew: none where nothing was taken', () => {
    const grown = naturalStrand(5);
    expect(doseTaken(liftStartOf(grown))).toBeCloseTo(0, 2);
    const lifted = { ...grown, brownBlack: brownBlackAfter(grown, liftStartOf(grown), 0.7) };
    expect(doseTaken(liftStartOf(lifted))).toBeCloseTo(0.7, 1);
    expect(brownBlackAfter(grown, liftStartOf(grown), 0)).toBe(grown.brownBlack);
  });
});
