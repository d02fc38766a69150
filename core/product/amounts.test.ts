import fc from 'fast-check';
import { bowlFromColour, bowlFromTotal, splitByParts, amountGuide } from './amounts';
import { flOzOfGrams, gramsOfFlOz, weighingToleranceGrams } from './units';
import { percentOfVol, volOfPercent, blendVol, stockFraction, usesWater } from './developer';

const positive = fc.double({ min: 0.1, max: 500, noNaN: true });

describe('developer strength', () => {
  it.each([
    [10, 3],
    [20, 6],
    [30, 9],
    [40, 12],
  ])('D1: %d vol is %d %%', (vol, percent) => {
    expect(percentOfVol(vol)).toBeCloseTo(percent);
    expect(volOfPercent(percent)).toBeCloseTo(vol);
  });

  it('D5: 40 and water half and half is 20; 20 and 30 in equal parts is 25', () => {
    expect(
      blendVol([
        { vol: 40, parts: 1 },
        { vol: 0, parts: 1 },
      ]),
    ).toBe(20);
    expect(
      blendVol([
        { vol: 20, parts: 3 },
        { vol: 30, parts: 3 },
      ]),
    ).toBe(25);
    expect(stockFraction(40, 20)).toBe(0.5);
    expect(usesWater([{ vol: 40, parts: 1 }])).toBe(false);
  });

  it('water cannot make a developer stronger, and nothing poured has no strength', () => {
    expect(() => stockFraction(20, 30)).toThrow(RangeError);
    expect(() => blendVol([])).toThrow(RangeError);
    expect(() => blendVol([{ vol: 20, parts: -1 }])).toThrow(RangeError);
  });

  it('a blend lies between its parts, and filling a stock fraction with water gives the strength asked for', () => {
    fc.assert(
      fc.property(positive, positive, positive, positive, (a, b, x, y) => {
        const vol = blendVol([
          { vol: a, parts: x },
          { vol: b, parts: y },
        ]);
        expect(vol).toBeGreaterThanOrEqual(Math.min(a, b) - 1e-9);
        expect(vol).toBeLessThanOrEqual(Math.max(a, b) + 1e-9);
        const fraction = stockFraction(Math.max(a, b), Math.min(a, b));
        expect(
          blendVol([
            { vol: Math.max(a, b), parts: fraction },
            { vol: 0, parts: 1 - fraction + 1e-12 },
          ]),
        ).toBeCloseTo(Math.min(a, b), 6);
      }),
    );
  });
});

describe('ratios and amounts', () => {
  it('M1: 60 g of colour at 1:1.5 is 90 g of developer, 150 g in all, and back', () => {
    expect(bowlFromColour(60, 1.5)).toEqual({ colourGrams: 60, developerGrams: 90, totalGrams: 150 });
    expect(bowlFromTotal(150, 1.5).colourGrams).toBeCloseTo(60);
    expect(() => bowlFromTotal(0, 1.5)).toThrow(/totalGrams/);
    expect(() => bowlFromColour(10, -1)).toThrow(/ratio/);
  });

  it('M1: total and colour are inverse, and parts add up to the whole', () => {
    fc.assert(
      fc.property(
        positive,
        positive,
        fc.array(positive, { minLength: 1, maxLength: 3 }),
        (grams, ratio, parts) => {
          expect(bowlFromTotal(bowlFromColour(grams, ratio).totalGrams, ratio).colourGrams).toBeCloseTo(
            grams,
            6,
          );
          expect(splitByParts(grams, parts).reduce((a, b) => a + b, 0)).toBeCloseTo(grams, 6);
        },
      ),
    );
  });

  it('M2: the guide by service, times the density', () => {
    expect(amountGuide('retouch', 'medium')).toEqual({ minGrams: 60, maxGrams: 90 });
    expect(amountGuide('longAllOver', 'dense')).toEqual({ minGrams: 234, maxGrams: 390 });
    expect(amountGuide('shortAllOver', 'sparse').minGrams).toBeCloseTo(64);
  });

  it('M3, M4: fluid ounces and weighing tolerance', () => {
    expect(gramsOfFlOz(1)).toBe(29.57);
    expect(flOzOfGrams(59.14)).toBeCloseTo(2);
    expect(weighingToleranceGrams(30)).toBe(2);
    expect(weighingToleranceGrams(200)).toBeCloseTo(6);
  });
});
