import fc from 'fast-check';
import { SHIPPED_CASES } from '../cases';
import { LIGHTS, levelOfLightness, toHalfLevel } from '../colour';
import { VARIATION, headVariation, nowLooks, shownFurther } from '.';

describe('a head as it is shown', () => {
  const anyHead = fc.constantFrom(...SHIPPED_CASES.map(({ clientCase }) => clientCase));
  const anySeed = fc.integer({ min: 0, max: 2 ** 31 });

  it('lies within a third of a level and ΔE 3 of what it is, and reads to the same half level', () => {
    fc.assert(
      fc.property(anyHead, anySeed, (clientCase, seed) => {
        const by = headVariation(clientCase, seed);
        for (const look of nowLooks(clientCase, 'daylight', seed)) {
          const shown = shownFurther(look, by);
          look.zones.forEach(({ colour, greyShare, grey }, i) => {
            const zone = shown.zones[i];
            const [level, shownLevel] = [colour.l, zone.colour.l].map(levelOfLightness);
            expect(Math.abs(shownLevel - level)).toBeLessThanOrEqual(VARIATION.levels + 1e-9);
            expect(toHalfLevel(shownLevel)).toBe(toHalfLevel(level));
            expect(Math.hypot(by.l, by.a, by.b)).toBeLessThanOrEqual(VARIATION.deltaE + 1e-9);
            expect(zone).toMatchObject({ greyShare, grey });
          });
        }
      }),
      { numRuns: 60 },
    );
  });

  it('differs from head to head, and is the same in every light and each time', () => {
    const [{ clientCase }] = SHIPPED_CASES;
    const steps = [1, 2, 3, 4, 5].map((seed) => headVariation(clientCase, seed));
    expect(new Set(steps.map(({ a }) => a)).size).toBe(5);
    expect(headVariation(clientCase, 1)).toEqual(steps[0]);
    const by = steps[1];
    for (const light of LIGHTS) {
      const [look] = nowLooks(clientCase, light, 2);
      const { colour } = shownFurther(look, by).zones[0];
      expect(colour.l - look.zones[0].colour.l).toBeCloseTo(by.l, 9);
    }
  });
});
