import fc from 'fast-check';
import { nameColour } from './naming';
import { neutralLab, TONE_FAMILIES, toneLab } from './tone';

describe('naming the tone of a colour whose level is known', () => {
  it.each([3, 4, 5, 6, 7, 8, 9, 10])('names every plain tone of level %d as itself', (level) => {
    expect(nameColour(neutralLab(level), level)).toEqual({ tone: 'neutral', strength: 0 });
    for (const primary of TONE_FAMILIES.filter((name) => name !== 'neutral')) {
      const { tone, strength } = nameColour(toneLab(level, { primary }), level);
      expect({ level, primary, tone }).toEqual({ level, primary, tone: primary });
      expect(strength).toBeCloseTo(1, 6);
    }
  });

  it('calls a departure too small to see neutral, and a larger one by its direction', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (level, way, size) => {
          const { l, a, b } = neutralLab(level);
          const lab = { l, a: a + size * Math.cos(way), b: b + size * Math.sin(way) };
          expect(nameColour(lab, level).tone).toBe('neutral');
        },
      ),
    );
  });
});
