import fc from 'fast-check';
import { countedOf } from './pace';

describe('the pace of practice', () => {
  const claims = fc.array(fc.double({ min: 0, max: 600, noNaN: true }), { maxLength: 50 });

  it('counts no more than was said, nor in all more than there is of time', () => {
    fc.assert(
      fc.property(claims, fc.double({ min: 0, max: 10_000, noNaN: true }), (claimed, passed) => {
        const counted = countedOf(claimed, passed);
        counted.forEach((seconds, i) => expect(seconds).toBeLessThanOrEqual(claimed[i]));
        const all = counted.reduce((sum, value) => sum + value, 0);
        expect(all).toBeLessThanOrEqual(passed + 1e-6);
      }),
    );
  });

  it('takes nothing from who practised honestly, and nearly all from a week sent in one second', () => {
    expect(countedOf([30, 45, 20], 95)).toEqual([30, 45, 20]);
    expect(countedOf([30, 45, 20], 94)).toEqual([30, 45, 19]);
    expect(countedOf(Array<number>(50).fill(120), 16).reduce((sum, value) => sum + value)).toBe(16);
  });
});
