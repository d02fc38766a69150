import fc from 'fast-check';
import { type Strand, DYES, labOfStrand, levelOfNaturalPigment, levelOfStrand, naturalStrand } from '../hair';
import { after, permanent, tonerMix } from '../testing/bowls';
import { type Habits, SHAMPOOS, USUAL_HABITS, WATERS, strandAfterWeeks } from './months';
import { withHistory } from './past-services';

const anyHabits: fc.Arbitrary<Habits> = fc.record({
  washes: fc.integer({ min: 0, max: 7 }),
  water: fc.constantFrom(...WATERS),
  shampoo: fc.constantFrom(...SHAMPOOS),
  clarifying: fc.integer({ min: 0, max: 2 }),
  violet: fc.integer({ min: 0, max: 3 }),
  blue: fc.integer({ min: 0, max: 3 }),
  sun: fc.boolean(),
  pool: fc.integer({ min: 0, max: 5 }),
});
const HEADS: readonly Strand[] = [
  naturalStrand(3, { white: 0.4 }),
  after(permanent('5:0', 20), naturalStrand(5, { white: 0.3 }), 35),
  after(tonerMix('9-U'), withHistory(naturalStrand(6), [{ kind: 'lightened', level: 9 }]), 20),
  withHistory(naturalStrand(5), [
    { kind: 'lightened', level: 9 },
    { kind: 'direct', dye: 'directPink' },
  ]),
  withHistory(naturalStrand(7, { porosity: 'high' }), [
    { kind: 'lightened', level: 10 },
    { kind: 'mineral', amount: 0.5 },
    { kind: 'demi', level: 9, tone: { primary: 'pearl' }, faded: 0.3 },
  ]),
  withHistory(naturalStrand(4), [{ kind: 'permanent', level: 3, tone: { primary: 'red' }, times: 4 }]),
];
const anyStrand = fc.constantFrom(...HEADS);
const anyWeeks = fc.double({ min: 0, max: 26, noNaN: true });

/** Every amount of dye, warmth and pigment in a strand. */
const loadsOf = ({ layers, brownBlack, damage, surface }: Strand): number[] => [
  brownBlack,
  damage,
  surface,
  ...layers.flatMap(({ dye, dyeOnWhite, masks, fills }) => [
    ...DYES.flatMap((name) => [dye[name], dyeOnWhite[name]]),
    masks.red,
    masks.yellow,
    fills.red,
    fills.yellow,
  ]),
];

describe('hair over weeks', () => {
  it('is the same however the weeks are split (H60)', () => {
    fc.assert(
      fc.property(anyStrand, anyHabits, anyWeeks, anyWeeks, (strand, habits, some, more) => {
        const once = loadsOf(strandAfterWeeks(strand, some + more, habits));
        const twice = loadsOf(strandAfterWeeks(strandAfterWeeks(strand, some, habits), more, habits));
        expect(twice).toHaveLength(once.length);
        once.forEach((load, i) => expect(Math.abs(load - twice[i])).toBeLessThan(1e-9));
      }),
      { numRuns: 200 },
    );
  });

  it('is as it was after no time', () => {
    fc.assert(
      fc.property(anyStrand, anyHabits, (strand, habits) => {
        const now = strandAfterWeeks(strand, 0, habits);
        expect(loadsOf(now).length).toBe(loadsOf(strand).length);
        expect(labOfStrand(now)).toEqual(labOfStrand(strand));
      }),
    );
  });

  it('loses dye and never natural pigment by washing, and gains none without care or pool', () => {
    fc.assert(
      fc.property(anyStrand, anyHabits, anyWeeks, (strand, habits, weeks) => {
        const washedOnly = { ...habits, sun: false, pool: 0, violet: 0, blue: 0 };
        const later = strandAfterWeeks(strand, weeks, washedOnly);
        expect(later.brownBlack).toBe(strand.brownBlack);
        expect(levelOfNaturalPigment(later)).toBe(levelOfNaturalPigment(strand));
        later.layers.forEach(({ kind, dye }) => {
          const before = strand.layers.find((layer) => layer.kind === kind)!;
          for (const name of DYES) {
            expect(dye[name]).toBeGreaterThanOrEqual(0);
            expect(dye[name]).toBeLessThanOrEqual(before.dye[name] + 1e-12);
          }
        });
      }),
    );
  });

  it('is weaker or as strong, never stronger, and stays in range', () => {
    fc.assert(
      fc.property(anyStrand, anyHabits, anyWeeks, (strand, habits, weeks) => {
        const later = strandAfterWeeks(strand, weeks, habits);
        expect(later.damage).toBeGreaterThanOrEqual(strand.damage);
        expect(later.damage).toBeLessThan(1);
        expect(later.surface).toBeLessThanOrEqual(strand.surface);
        for (const value of Object.values(labOfStrand(later))) expect(Number.isFinite(value)).toBe(true);
        for (const load of loadsOf(later)) expect(load).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('is lifted by sun and pool together by half a level at most in three months, and by no less than a quarter', () => {
    for (let level = 1; level <= 9; level++) {
      const before = naturalStrand(level);
      const later = strandAfterWeeks(before, 13, { ...USUAL_HABITS, sun: true, pool: 7 });
      expect(levelOfStrand({ ...later, layers: [] }) - levelOfStrand(before)).toBeLessThanOrEqual(0.5);
      expect(levelOfStrand({ ...later, layers: [] }) - levelOfStrand(before)).toBeGreaterThan(0.25);
    }
  });

  it('fades sooner with every habit that fades, and later in cool water', () => {
    const toned = HEADS[2];
    const left = (habits: Partial<Habits>) =>
      strandAfterWeeks(toned, 4, { ...USUAL_HABITS, ...habits }).layers[0].masks.yellow;
    const usual = left({});
    for (const faster of [
      { washes: 5 },
      { water: 'hot' },
      { shampoo: 'ordinary' },
      { clarifying: 1 },
      { sun: true },
      { pool: 1 },
    ] as const)
      expect(left(faster)).toBeLessThan(usual);
    expect(left({ water: 'cool' })).toBeGreaterThan(usual);
    expect(left({ washes: 1 })).toBeGreaterThan(usual);
  });

  it('takes more blue for orange than none, and leaves what sits deep', () => {
    const orange = withHistory(naturalStrand(4), [{ kind: 'lightened', level: 7 }]);
    const cared = strandAfterWeeks(orange, 6, { ...USUAL_HABITS, blue: 1 });
    expect(labOfStrand(cared).a).toBeLessThan(labOfStrand(orange).a);
    const deep = withHistory(naturalStrand(5), [
      { kind: 'permanent', level: 4, tone: { primary: 'neutral' }, held: 1 },
    ]);
    expect(strandAfterWeeks(deep, 26, USUAL_HABITS).layers[0].dye).toEqual(deep.layers[0].dye);
  });
});
