import fc from 'fast-check';
import { levelOfLightness, labOf } from '../colour';
import { naturalLab, naturalPigment } from './ladder';
import { whiteHairLab, reflectanceOf } from './pigment';

describe('natural hair', () => {
  it.each([1, 1.5, 2, 3, 4.5, 5, 6.5, 7, 8.5, 9, 10])('level %d is made as light as it reads', (level) => {
    expect(levelOfLightness(naturalLab(level).l)).toBeCloseTo(level, 1);
  });

  it('is lighter with every level, and white hair is lighter than all', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9.9, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (level, step) => {
          expect(naturalLab(Math.min(10, level + step)).l).toBeGreaterThan(naturalLab(level).l);
        },
      ),
      { numRuns: 40 },
    );
    expect(whiteHairLab().l).toBeGreaterThan(naturalLab(10).l + 5);
  });

  it('any pigment in range gives a reflectance between nothing and all, and more pigment never reflects more', () => {
    const pigment = fc.double({ min: 0, max: 10, noNaN: true });
    fc.assert(
      fc.property(
        pigment,
        pigment,
        pigment,
        fc.double({ min: 0, max: 3, noNaN: true }),
        (brownBlack, red, yellow, more) => {
          const less = reflectanceOf({ brownBlack, red, yellow });
          const darker = reflectanceOf({ brownBlack: brownBlack + more, red: red + more, yellow });
          less.forEach((r, i) => {
            expect(r).toBeGreaterThan(0);
            expect(r).toBeLessThan(1);
            expect(darker[i]).toBeLessThanOrEqual(r);
          });
        },
      ),
    );
  });

  it('looks different under a warm lamp (L2)', () => {
    const reflectance = reflectanceOf(naturalPigment(7));
    expect(labOf(reflectance, 'warmLamp').a).toBeGreaterThan(labOf(reflectance, 'daylight').a);
  });
});
