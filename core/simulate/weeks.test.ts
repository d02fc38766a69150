import fc from 'fast-check';
import { complete } from '../card';
import { SHIPPED_CASES } from '../cases';
import { labOfStrand, levelOfStrand, regionsOf } from '../hair';
import { USUAL_HABITS } from '../process';
import { SHIPPED_LINES } from '../product';
import { gradingOf } from '../testing/solved';
import { GROWTH_RATES, grownCm, headAfterWeeks, looksLater, outcomesLater, simulateCard } from '.';

const lineOf = (id: string) => SHIPPED_LINES.find((line) => line.id === id);
/** A shipped head on the day that its model answer was done. */
function doneOf(id: string) {
  const { clientCase, card } = gradingOf(id).modelAnswer;
  const played = simulateCard(clientCase, complete(card), lineOf);
  return { clientCase, done: played.outcomeAt(played.minutes) };
}

describe('a head some weeks on', () => {
  it('grows a centimetre and a quarter in thirty days, by the client 0.8 to 1.5 (H55)', () => {
    expect(grownCm(30 / 7)).toBeCloseTo(1.25, 12);
    expect(grownCm(30 / 7, 0.8)).toBeCloseTo(0.8, 12);
    const { clientCase, done } = doneOf('retouch-grey');
    for (const rate of [0.79, 1.51, NaN])
      expect(() => headAfterWeeks(clientCase, done, 1, USUAL_HABITS, rate)).toThrow(RangeError);
    expect(() => headAfterWeeks(clientCase, done, -1, USUAL_HABITS)).toThrow(RangeError);
  });

  it('has new growth of its own level and white above what was done, which keeps its place and layers', () => {
    const { clientCase, done } = doneOf('retouch-grey');
    const { places, growth } = headAfterWeeks(clientCase, done, 6, USUAL_HABITS);
    const [root] = clientCase.head.zones;
    expect(growth).toHaveLength(regionsOf(clientCase.head).length);
    expect(growth[0].lengthCm).toBeCloseTo(1.75, 12);
    expect(growth[0].strand.white).toBe(root.greyShare);
    expect(levelOfStrand({ ...growth[0].strand, white: 0 })).toBeCloseTo(root.naturalLevel, 1);
    expect(places.map(({ part }) => part)).toEqual(done.map(({ part }) => part));
    places.forEach(({ strand, regrowthCm, part }, i) => {
      expect(strand.layers.map(({ kind }) => kind)).toEqual(done[i].strand.layers.map(({ kind }) => kind));
      expect(strand.fromScalpCm).toBeCloseTo(done[i].strand.fromScalpCm + 1.75, 12);
      expect(regrowthCm).toBeCloseTo(part.zone === root.zone ? 1.75 : 0, 12);
    });
  });

  it('moves away from the day it was done, the longer the further for a toner', () => {
    const { clientCase, done } = doneOf('first-blonde');
    const off = (weeks: number) =>
      Math.max(...headAfterWeeks(clientCase, done, weeks, USUAL_HABITS).places.map(({ deltaE }) => deltaE));
    expect(off(0)).toBe(0);
    expect(off(3)).toBeGreaterThan(2);
    expect(off(8)).toBeGreaterThan(off(3));
  });

  it('hangs with what has grown above what was done, woven strands and all', () => {
    const { clientCase, done } = doneOf('woven-light');
    const played = (weeks: number) => headAfterWeeks(clientCase, done, weeks, USUAL_HABITS);
    const [today] = looksLater(clientCase, played(0), 'daylight', 1);
    const [later] = looksLater(clientCase, played(8), 'daylight', 1);
    expect(later.zones).toHaveLength(today.zones.length + 1);
    expect(later.zones[0]).toMatchObject({ from: 0, to: later.zones[1].from });
    expect(later.zones.at(-1)!.to).toBe(1);
    const placed = clientCase.placements![0];
    const at = today.zones.findIndex(({ greyShare }) => greyShare === placed.share);
    expect(later.zones[at + 1].greyShare).toBe(placed.share);
    expect(outcomesLater(clientCase, played(0)).map(({ deltaE }) => deltaE)).toEqual(
      done.map(({ deltaE }) => deltaE),
    );
  });

  it('keeps its laws on every shipped head: the same in one step or two, in range, and as long as it was', () => {
    const anyId = fc.constantFrom(...SHIPPED_CASES.map(({ id }) => id));
    fc.assert(
      fc.property(
        anyId,
        fc.integer({ min: 0, max: 13 }),
        fc.integer({ min: 0, max: 13 }),
        fc.double({ min: GROWTH_RATES.least, max: GROWTH_RATES.most, noNaN: true }),
        (id, some, more, rate) => {
          const { clientCase, done } = doneOf(id);
          const habits = { ...USUAL_HABITS, sun: true, violet: 1 };
          const once = headAfterWeeks(clientCase, done, some + more, habits, rate);
          const first = headAfterWeeks(clientCase, done, some, habits, rate);
          const second = headAfterWeeks(clientCase, first.places, more, habits, rate);
          once.places.forEach(({ strand, level }, i) => {
            const [a, b] = [labOfStrand(strand), labOfStrand(second.places[i].strand)];
            for (const axis of ['l', 'a', 'b'] as const)
              expect(Math.abs(a[axis] - b[axis])).toBeLessThan(1e-6);
            expect(level).toBeGreaterThanOrEqual(0.9);
            expect(level).toBeLessThanOrEqual(12.1);
          });
          expect(first.growth[0].lengthCm + second.growth[0].lengthCm).toBeCloseTo(
            once.growth[0].lengthCm,
            9,
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});
