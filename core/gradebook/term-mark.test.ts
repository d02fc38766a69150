import fc from 'fast-check';
import { type CountedPiece, type GradeCategory, percentOf, sumOfWeights, termMark } from '.';

const pieces = (...own: [category: string, share: number][]): CountedPiece[] =>
  own.map(([category, share], i) => ({ id: `${category}${i}`, category, share }));
const weighted = (...own: [id: string, weight: number, dropLowest?: number][]): GradeCategory[] =>
  own.map(([id, weight, dropLowest = 0]) => ({ id, weight, dropLowest }));

describe('a term mark', () => {
  it('is the mean of the categories by their weights', () => {
    // 0.8 and 0.6 make 0.7; 60 per cent of that and 40 of 0.9 are 0.78.
    const { share, categories } = termMark(
      weighted(['work', 60], ['tests', 40]),
      pieces(['work', 0.8], ['work', 0.6], ['tests', 0.9]),
    );
    expect(share).toBeCloseTo(0.78, 12);
    expect(categories.map(({ mean, part }) => [mean, part])).toEqual([
      [expect.closeTo(0.7, 12), 0.6],
      [0.9, 0.4],
    ]);
  });

  it('drops the weakest of a category, and keeps the last one', () => {
    const one = termMark(weighted(['work', 100, 1]), pieces(['work', 0.5], ['work', 0.9], ['work', 0.7]));
    expect(one.share).toBeCloseTo(0.8, 12);
    expect(one.categories[0].dropped).toEqual(['work0']);
    const three = termMark(weighted(['work', 100, 3]), pieces(['work', 0.5], ['work', 0.9]));
    expect(three.share).toBe(0.9);
    expect(termMark(weighted(['work', 100, 1]), pieces(['work', 0.4])).share).toBe(0.4);
  });

  it('leaves the weight of a category with nothing in it to the others', () => {
    const { share, categories } = termMark(
      weighted(['work', 50], ['tests', 30], ['hands', 20]),
      pieces(['work', 0.6], ['tests', 1]),
    );
    expect(share).toBeCloseTo((50 * 0.6 + 30) / 80, 12);
    expect(categories[2]).toEqual({ id: 'hands', mean: null, part: 0, dropped: [] });
  });

  it('is none where nothing counts, or only what weighs nothing', () => {
    expect(termMark(weighted(['work', 100]), []).share).toBeNull();
    expect(termMark(weighted(['work', 0], ['tests', 100]), pieces(['work', 0.5])).share).toBeNull();
    expect(termMark(weighted(['work', 100]), pieces(['gone', 0.5])).share).toBeNull();
  });

  const anyTerm = fc
    .record({
      weights: fc.array(fc.tuple(fc.integer({ min: 1, max: 100 }), fc.integer({ min: 0, max: 3 })), {
        minLength: 1,
        maxLength: 5,
      }),
      shares: fc.array(fc.tuple(fc.nat(9), fc.double({ min: 0, max: 1, noNaN: true })), {
        minLength: 1,
        maxLength: 20,
      }),
    })
    .map(({ weights, shares }) => ({
      categories: weights.map(([weight, dropLowest], i) => ({ id: String(i), weight, dropLowest })),
      work: shares.map(([at, share], i) => ({ id: `p${i}`, category: String(at % weights.length), share })),
    }));

  it('lies between the weakest and the best that counts', () => {
    fc.assert(
      fc.property(anyTerm, ({ categories, work }) => {
        const { share } = termMark(categories, work);
        const shares = work.map((piece) => piece.share);
        expect(share).toBeGreaterThanOrEqual(Math.min(...shares) - 1e-12);
        expect(share).toBeLessThanOrEqual(Math.max(...shares) + 1e-12);
      }),
    );
  });

  it('is the same in any order, and for weights that are all multiplied', () => {
    fc.assert(
      fc.property(anyTerm, fc.integer({ min: 2, max: 9 }), ({ categories, work }, by) => {
        const { share } = termMark(categories, work);
        expect(termMark(categories, [...work].reverse()).share).toBeCloseTo(share!, 9);
        const heavier = categories.map((category) => ({ ...category, weight: category.weight * by }));
        expect(termMark(heavier, work).share).toBeCloseTo(share!, 9);
      }),
    );
  });

  it('never falls where one more is dropped, or where a piece was worth more', () => {
    fc.assert(
      fc.property(anyTerm, fc.nat(), ({ categories, work }, at) => {
        const { share } = termMark(categories, work);
        const dropping = categories.map((one, i) =>
          i === at % categories.length ? { ...one, dropLowest: one.dropLowest + 1 } : one,
        );
        expect(termMark(dropping, work).share).toBeGreaterThanOrEqual(share! - 1e-12);
        const better = work.map((piece, i) => (i === at % work.length ? { ...piece, share: 1 } : piece));
        expect(termMark(categories, better).share).toBeGreaterThanOrEqual(share! - 1e-12);
      }),
    );
  });

  it('has parts that make a whole', () => {
    fc.assert(
      fc.property(anyTerm, ({ categories, work }) => {
        const parts = termMark(categories, work).categories.map(({ part }) => part);
        expect(parts.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('per cent', () => {
  it('is rounded halves up, also where binary fractions fall short of a half', () => {
    expect([0.745, 0.7449, 0.74499999999999999, 0.005].map((share) => percentOf(share, 0))).toEqual([
      75, 74, 75, 1,
    ]);
    expect([0.7445, 0.74449, 1.005, 0.0005].map((share) => percentOf(share, 1))).toEqual([
      74.5, 74.4, 100.5, 0.1,
    ]);
  });
});

describe('weights', () => {
  it('are a whole at 100 and nowhere else', () => {
    expect(sumOfWeights([{ weight: 33.4 }, { weight: 33.3 }, { weight: 33.3 }])).toEqual({
      sum: 100,
      whole: true,
    });
    expect(sumOfWeights([{ weight: 60 }, { weight: 39.5 }])).toEqual({ sum: 99.5, whole: false });
    expect(sumOfWeights([{ weight: 60 }, { weight: 40.5 }]).whole).toBe(false);
  });
});
