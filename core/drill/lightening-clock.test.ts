import fc from 'fast-check';
import { watchedLevel, WATCHED, watchedLook } from './lightening-clock';

describe('the strands on the clock', () => {
  it('are as grown before anything lies on them, and where they are to be when their time is over', () => {
    expect(watchedLevel(0, 40)).toBe(WATCHED.from);
    for (const needs of [10, 25, 40, 52]) expect(watchedLevel(needs, needs)).toBe(WATCHED.to);
  });

  it('lift on, fast and then slowly, and never back (R7)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 52 }), fc.integer({ min: 0, max: 74 }), (needs, minute) => {
        expect(watchedLevel(minute + 1, needs)).toBeGreaterThanOrEqual(watchedLevel(minute, needs));
      }),
    );
    expect(watchedLevel(10, 40) - watchedLevel(0, 40)).toBeGreaterThan(
      watchedLevel(40, 40) - watchedLevel(30, 40),
    );
    expect(watchedLevel(75, 40)).toBeGreaterThan(WATCHED.to);
  });

  it('are hidden by the foam until they are wiped', () => {
    expect(watchedLook(20, 40, 1, true).zones.every(({ under }) => under === 'foam')).toBe(true);
    expect(watchedLook(20, 40, 1, false).zones.every(({ under }) => under === undefined)).toBe(true);
  });
});
