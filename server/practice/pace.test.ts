import fc from 'fast-check';
import { countedOf } from './pace';

describe('the pace of practice', () => {
  const claims = fc.array(fc.double({ min: 0, max: 600, noNaN: true }), { maxLength: 50 });

  it('counts no more than was said, nor in all more than has passed, but for what clocks are off', () => {
    fc.assert(
      fc.property(claims, fc.double({ min: 0, max: 10_000, noNaN: true }), (claimed, passed) => {
        const counted = countedOf(claimed, passed);
        counted.forEach((seconds, i) => expect(seconds).toBeLessThanOrEqual(claimed[i]));
        const all = counted.reduce((sum, value) => sum + value, 0);
        expect(all).toBeLessThanOrEqual(passed + 15 + 1e-6);
      }),
    );
  });

  it('takes nothing from who practised honestly, and nearly all from a week sent in one second', () => {
    expect(countedOf([30, 45, 20], 95)).toEqual([30, 45, 20]);
    expect(countedOf([30, 45, 20], 80)).toEqual([30, 45, 20]);
    expect(countedOf([30, 45, 20], 79)).toEqual([30, 45, 19]);
    const days = countedOf(Array<number>(50).fill(120), 3 * 24 * 3600);
    expect(days.reduce((sum, day) => sum + day)).toBe(90 * 60 + 15);
    expect(countedOf(Array<number>(50).fill(120), 1).reduce((sum, value) => sum + value)).toBe(16);
  });
});
