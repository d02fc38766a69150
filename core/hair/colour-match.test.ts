import fc from 'fast-check';
import { TONE_FAMILIES, toneLab, differenceOf } from '../colour';
import { strandOfColour } from './colour-match';
import { labOfStrand, dyeOf } from './strand';

describe('coloured hair found from its colour', () => {
  it('has the colour it was asked for, for every tone at every level it exists at', () => {
    let value = 0;
    for (const primary of TONE_FAMILIES)
      for (let level = 2; level <= 10; level++) {
        const wanted = toneLab(level, { primary });
        const strand = strandOfColour(wanted);
        if (!strand) continue;
        value++;
        expect(differenceOf(labOfStrand(strand), wanted)).toBeLessThanOrEqual(0.5);
      }
    // Nearly all of them exist; the palest full reds do not.
    expect(value).toBeGreaterThan(0.85 * TONE_FAMILIES.length * 9);
  });

  it('never holds less than no pigment, and is nothing for a colour no hair has', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 95, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -60, max: 80, noNaN: true }),
        (l, a, b) => {
          const strand = strandOfColour({ l, a, b });
          if (!strand) return;
          expect(strand.brownBlack).toBeGreaterThanOrEqual(0);
          for (const amount of Object.values(dyeOf(strand))) expect(amount).toBeGreaterThanOrEqual(0);
          expect(differenceOf(labOfStrand(strand), { l, a, b })).toBeLessThanOrEqual(0.5);
        },
      ),
      { numRuns: 150 },
    );
    expect(strandOfColour({ l: 50, a: -60, b: -60 })).toBeNull();
    expect(strandOfColour({ l: 99, a: 0, b: 0 })).toBeNull();
  });

  it('looks otherwise in another light, so that it can be read under all three', () => {
    const strand = strandOfColour(toneLab(7, { primary: 'copper' }))!;
    expect(differenceOf(labOfStrand(strand, 'daylight'), labOfStrand(strand, 'warmLamp'))).toBeGreaterThan(1);
  });
});
