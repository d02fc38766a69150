import fc from 'fast-check';
import { bowlGrams, bowlRatio, bowlVol } from '@cimbel/core/card';
import { shippedLine } from '@cimbel/core/product';
import { emptyBowl, nextName, recipeOf, withLine, workedOut } from './recipe';

const tarnwick = shippedLine('tarnwick')!;
const calder = shippedLine('calder')!;
const brindle = shippedLine('brindle')!;

describe('a bowl and its recipe', () => {
  it('is worked out to the tenth of a gram and read back as the same recipe', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.constantFrom(1, 1.5, 2),
        fc.integer({ min: 1, max: 4 }),
        (totalGrams, ratio, share) => {
          const bowl = {
            ...withLine(emptyBowl('A'), tarnwick),
            shades: [
              { label: '5:0', grams: 0 },
              { label: '5:1', grams: 0 },
            ],
          };
          const made = workedOut(bowl, tarnwick, {
            totalGrams,
            ratio,
            shadeParts: [1, share],
            pourParts: [1],
          });
          expect(bowlGrams(made)).toBeCloseTo(totalGrams, 0);
          expect(bowlRatio(made)).toBeCloseTo(ratio, 1);
          const read = recipeOf(made, tarnwick);
          expect(read).toMatchObject({ totalGrams, shadeParts: [1, share] });
          expect(read.ratio).toBeCloseTo(ratio, 1);
        },
      ),
    );
  });

  it('takes a powder by its weight, a ready-made dye as it is, and two strengths by their parts', () => {
    const powder = workedOut(withLine(emptyBowl('A'), calder), calder, {
      totalGrams: 90,
      ratio: 2,
      shadeParts: [],
      pourParts: [1],
    });
    expect(powder).toMatchObject({ productGrams: 30, developer: [{ vol: 10, grams: 60 }] });
    const vivid = { ...withLine(emptyBowl('A'), brindle), shades: [{ label: 'Damson', grams: 0 }] };
    expect(
      workedOut(vivid, brindle, { totalGrams: 40, ratio: 1, shadeParts: [1], pourParts: [] }),
    ).toMatchObject({
      shades: [{ grams: 40 }],
      developer: [],
    });
    const blend = {
      ...withLine(emptyBowl('A'), tarnwick),
      developer: [
        { vol: 40, grams: 0 },
        { vol: 0, grams: 0 },
      ],
    };
    const bowl = workedOut({ ...blend, shades: [{ label: '5:0', grams: 0 }] }, tarnwick, {
      totalGrams: 50,
      ratio: 1.5,
      shadeParts: [1],
      pourParts: [1, 1],
    });
    expect(bowlVol(bowl)).toBe(20);
  });

  it('keeps the strength but not the shades when the line changes, and runs out of letters at eight', () => {
    const bowl = {
      ...withLine(emptyBowl('A'), tarnwick),
      shades: [{ label: '5:0', grams: 9 }],
      developer: [{ vol: 30, grams: 5 }],
    };
    expect(withLine(bowl, calder)).toMatchObject({ shades: [], developer: [{ vol: 30, grams: 5 }] });
    expect(withLine(bowl, brindle).developer).toEqual([]);
    expect(nextName([])).toBe('A');
    expect(nextName('ABCDEFGH'.split('').map(emptyBowl))).toBeUndefined();
  });
});
