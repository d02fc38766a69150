import fc from 'fast-check';
import { TONE_FAMILIES, neutralLab, readColour, toneLab } from '.';

describe('reading a measured colour', () => {
  it.each([3, 5, 7, 9])('names every plain tone of level %d as itself, and neutral as neutral', (level) => {
    expect(readColour(neutralLab(level)).tone).toBe('neutral');
    for (const primary of TONE_FAMILIES.filter((name) => name !== 'neutral')) {
      const read = readColour(toneLab(level, { primary }));
      expect(read.level).toBeCloseTo(level, 6);
      // In the dark a muted tone may be too weak to see.
      if (read.strength > 0)
        expect({ level, primary, tone: read.tone }).toEqual({ level, primary, tone: primary });
      else expect(level).toBeLessThan(7);
    }
  });

  it('takes the level from lightness alone: no tone moves it (L1)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 75, noNaN: true }),
        fc.double({ min: -30, max: 40, noNaN: true }),
        fc.double({ min: -30, max: 60, noNaN: true }),
        (l, a, b) => {
          expect(readColour({ l, a, b }).level).toBe(readColour({ l, a: 0, b: 0 }).level);
        },
      ),
    );
  });
});
