import fc from 'fast-check';
import { FLOW, STILL, isStill, pourOn, type Pouring } from './pour';

const run = (steps: readonly { held: boolean; seconds: number }[], from: Pouring = STILL) =>
  steps.reduce((state, { held, seconds }) => pourOn(state, held, seconds), from);
const hold = (seconds: number, pieces = 20) =>
  Array.from({ length: pieces }, () => ({ held: true, seconds: seconds / pieces }));
const let_go = Array.from({ length: 20 }, () => ({ held: false, seconds: 0.05 }));

describe('the scale', () => {
  it('gives nothing until it is held, more the longer, and never takes back', () => {
    expect(run(let_go).grams).toBe(0);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ held: fc.boolean(), seconds: fc.double({ min: 0.001, max: 0.2, noNaN: true }) }),
        ),
        (steps) => {
          let state = STILL;
          for (const { held, seconds } of steps) {
            const next = pourOn(state, held, seconds);
            expect(next.grams).toBeGreaterThanOrEqual(state.grams);
            expect(next.grams - state.grams).toBeLessThanOrEqual(FLOW.mostGramsPerSecond * seconds + 1e-9);
            state = next;
          }
        },
      ),
    );
    expect(run(hold(2)).grams).toBeGreaterThan(2 * run(hold(1)).grams);
  });

  it('drips on after it is let go, more after a fast pour, and then stands still', () => {
    const [slow, fast] = [hold(0.3), hold(3)].map((steps) => run(steps));
    const [slowEnd, fastEnd] = [slow, fast].map((state) => run(let_go, state));
    expect(slowEnd.grams).toBeGreaterThan(slow.grams);
    expect(fastEnd.grams - fast.grams).toBeGreaterThan(slowEnd.grams - slow.grams);
    // A careful touch stays within the two grams of a careful bowl.
    expect(slowEnd.grams - slow.grams).toBeLessThan(1);
    expect(isStill(fast)).toBe(false);
    expect(isStill(fastEnd)).toBe(true);
    expect(run(let_go, fastEnd).grams).toBe(fastEnd.grams);
  });

  it('comes to the same however the time is cut', () => {
    expect(run(hold(2, 10)).grams).toBeCloseTo(run(hold(2, 200)).grams, 1);
  });

  it('starts slowly again when it is taken up again', () => {
    const after = run(let_go, run(hold(3)));
    const again = run(hold(0.3), after);
    expect(again.grams - after.grams).toBeCloseTo(run(hold(0.3)).grams, 1);
  });
});
