import fc from 'fast-check';
import { levelOnClock, CLOCK_HEAD, lookOnClock } from './lightening-clock';

describe('the strands on the clock', () => {
  it('are as grown before anything lies on them, and where they are to be when their time is over', () => {
    expect(levelOnClock(0, 40)).toBe(CLOCK_HEAD.from);
    for (const needs of [10, 25, 40, 52]) expect(levelOnClock(needs, needs)).toBe(CLOCK_HEAD.to);
  });

  it('lift on, fast and then slowly, and never back (R7)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 52 }), fc.integer({ min: 0, max: 74 }), (needs, minute) => {
        expect(levelOnClock(minute + 1, needs)).toBeGreaterThanOrEqual(levelOnClock(minute, needs));
      }),
    );
    expect(levelOnClock(10, 40) - levelOnClock(0, 40)).toBeGreaterThan(
      levelOnClock(40, 40) - levelOnClock(30, 40),
    );
    expect(levelOnClock(75, 40)).toBeGreaterThan(CLOCK_HEAD.to);
  });

  it('are hidden by the foam until they are wiped', () => {
    expect(lookOnClock(20, 40, 1, true).zones.every(({ under }) => under === 'foam')).toBe(true);
    expect(lookOnClock(20, 40, 1, false).zones.every(({ under }) => under === undefined)).toBe(true);
  });
});
