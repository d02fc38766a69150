import fc from 'fast-check';
import { CEILINGS, lossAt, OUTCOME_AT, OUTCOME_NAMED, type Price } from '../rules';
import { mostByHead } from './ceiling';
import { outcomeNamed } from './outcome';

/** Where each row begins, as the standard has it: as wished to, near, noticeable, to be corrected. */
const ROWS: [keyof typeof OUTCOME_AT, readonly number[]][] = [
  ['levels', [0.4, 1, 1.5, 2]],
  ['deltaE', [5, 10, 15, 20]],
  ['missed', [0.1, 0.16, 0.25, 0.4]],
  ['toneMissing', [0.5, 0.9, 1.4]],
  ['band', [0.4, 0.75, 1.25, 1.75]],
  ['whiteLevels', [0.7, 1.7, 2.8, 3.5]],
  ['whiteDeltaE', [5, 11, 18, 25]],
  ['blend', [0.15, 0.3, 0.45]],
];

describe('rows down from the wish', () => {
  it.each(ROWS)('by %s: at each limit its row, and on a straight line between', (name, limits) => {
    const price: Price = OUTCOME_AT[name];
    limits.forEach((limit, row) => {
      expect(lossAt(price, limit)).toBeCloseTo(row, 9);
      expect(lossAt(price, limit - 0.01)).toBeLessThanOrEqual(row);
      if (row > 0) {
        const half = (limit + limits[row - 1]) / 2;
        expect(lossAt(price, half)).toBeCloseTo(row - 0.5, 9);
      }
    });
    expect(lossAt(price, limits[0] / 2)).toBe(0);
    expect(lossAt(price, 1000)).toBe(limits.length - 1);
  });

  it('have the word of their row on both sides of each limit', () => {
    const { asWished, near, noticeable } = OUTCOME_NAMED;
    expect([asWished, asWished + 0.01].map(outcomeNamed)).toEqual(['asWished', 'near']);
    expect([near, near + 0.01].map(outcomeNamed)).toEqual(['near', 'noticeable']);
    expect([noticeable, noticeable + 0.01].map(outcomeNamed)).toEqual(['noticeable', 'needsCorrection']);
  });
});

describe('the ceiling by rows and decisions', () => {
  const rows = [CEILINGS.asWished, CEILINGS.near, CEILINGS.noticeable, CEILINGS.needsCorrection];

  it('is the table at its figures', () => {
    rows.forEach((row, down) =>
      row.forEach((most, wrong) => expect(mostByHead(CEILINGS, down, wrong)).toBe(most)),
    );
    expect(mostByHead(CEILINGS, 0.5, 0)).toBe(95);
    expect(mostByHead(CEILINGS, 0, 0.5)).toBe(85);
  });

  it('never rises with a worse head or more that is wrong, and has no cliff', () => {
    const down = fc.double({ min: 0, max: 3, noNaN: true });
    const wrong = fc.double({ min: 0, max: 3, noNaN: true });
    const more = fc.double({ min: 0, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(down, wrong, more, (rowsDown, share, by) => {
        const here = mostByHead(CEILINGS, rowsDown, share);
        for (const worse of [
          mostByHead(CEILINGS, rowsDown + by, share),
          mostByHead(CEILINGS, rowsDown, share + by),
        ]) {
          expect(worse).toBeLessThanOrEqual(here + 1e-9);
          expect(here - worse).toBeLessThanOrEqual(3.1);
        }
      }),
    );
  });
});
