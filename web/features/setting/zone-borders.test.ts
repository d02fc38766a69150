import fc from 'fast-check';
import { withBorder } from './zone-borders';

const halves = (most: number) => fc.integer({ min: 1, max: most * 2 }).map((two) => two / 2);

describe('a border between two zones', () => {
  it('gives to one what it takes from the other, in half centimetres, and leaves both some hair', () => {
    fc.assert(
      fc.property(
        halves(40),
        halves(40),
        fc.double({ min: -100, max: 100, noNaN: true }),
        (above, below, by) => {
          const [value, other] = withBorder(above, below, by);
          expect(value + other).toBeCloseTo(above + below, 9);
          expect(Math.min(value, other)).toBeGreaterThanOrEqual(0.5);
          expect((value * 2) % 1).toBe(0);
        },
      ),
    );
    expect(withBorder(2, 18, 3)).toEqual([5, 15]);
    expect(withBorder(2, 18, 0.2)).toEqual([2, 18]);
  });
});
