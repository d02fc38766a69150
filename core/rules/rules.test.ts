import fc from 'fast-check';
import { shippedLine } from '../product';
import { levelsToMove, liftOf, liftLimit } from './developer';
import { chooseDeveloper } from './developer-choice';
import { naturalShareFor } from './grey';
import { type HouseRules, DEFAULT_HOUSE_RULES } from './house-rules';
import { shadeLevelFor } from './shade-level';
import {
  underlayAt,
  counterAt,
  underlayChoices,
  UNDERLAY_TABLE,
  countersOf,
  underlayDistance,
  COUNTER_TABLE,
  warmthAt,
} from './underlying-pigment';

const rules: HouseRules = DEFAULT_HOUSE_RULES;
const permanent = shippedLine('tarnwick')!;
const demi = shippedLine('quillet')!;
const level = fc.integer({ min: 2, max: 20 }).map((half) => half / 2);

describe('underlying pigment (U1, U2)', () => {
  it.each([
    [4, 'red', 'green'],
    [5, 'redOrange', 'blueGreen'],
    [6, 'orange', 'blue'],
    [7, 'yellowOrange', 'blueViolet'],
    [8, 'yellow', 'violet'],
    [9, 'lightYellow', 'softViolet'],
    [10, 'palestYellow', 'traceViolet'],
  ])('level %d reached shows %s, neutralised by %s', (at, underlay, counter) => {
    expect(underlayAt(at, rules)).toBe(underlay);
    expect(counterAt(at)).toBe(counter);
  });

  it('the coarse school names the dark levels red and level 9 pale yellow', () => {
    expect([1, 2, 3, 9].map((at) => underlayAt(at, { underlay: 'coarse' }))).toEqual([
      'red',
      'red',
      'red',
      'paleYellow',
    ]);
    expect(underlayChoices({ underlay: 'coarse' })).toHaveLength(7);
    expect(underlayChoices(rules)).toHaveLength(10);
  });

  it('a half level still shows the darker row; the scale does not run out at its ends', () => {
    expect(underlayAt(6.5, rules)).toBe('orange');
    expect(underlayAt(12, rules)).toBe('palestYellow');
    expect(underlayAt(0, rules)).toBe(UNDERLAY_TABLE.fine[0]);
  });

  it('finds the counter of a named pigment, and how far a wrong name is off', () => {
    expect(countersOf('orange', rules)).toEqual(['blue']);
    expect(countersOf('red', { underlay: 'coarse' })).toEqual(['green', 'green', 'green', 'green']);
    expect(underlayDistance('orange', 7, rules)).toBe(1);
    expect(underlayDistance('red', 1, { underlay: 'coarse' })).toBe(0);
    expect(underlayDistance('paleYellow', 9, rules)).toBe(Infinity);
    expect(COUNTER_TABLE).toHaveLength(10);
  });

  it('warmth lies on the red to yellow side at every level, strongest at orange', () => {
    const strength = (at: number) => Math.hypot(warmthAt(at).x, warmthAt(at).y);
    for (let at = 1; at <= 10; at++) {
      const degrees = (Math.atan2(warmthAt(at).y, warmthAt(at).x) * 180) / Math.PI;
      expect(degrees >= -1e-9 && degrees <= 120 + 1e-9).toBe(true);
      expect(strength(at)).toBeLessThanOrEqual(strength(6));
    }
  });
});

describe('lift (F1, D2)', () => {
  it('levels to move is target less natural', () => {
    expect(levelsToMove(5, 7)).toBe(2);
    expect(levelsToMove(7, 5.5)).toBe(-1.5);
  });

  it.each([
    [10, 0, 0],
    [20, 1, 2],
    [30, 2, 3],
    [40, 3, 4],
    [25, 1.5, 2.5],
  ])('%d vol permanent lifts %d, up to %d', (vol, typical, most) => {
    expect(liftOf(vol, permanent)).toEqual({ typical, most });
    expect(liftOf(vol, demi)).toEqual({ typical: 0, most: 0 });
  });

  it('never lifts less with more strength', () => {
    const vol = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(vol, vol, (a, b) =>
        expect(liftOf(Math.max(a, b), permanent).typical).toBeGreaterThanOrEqual(
          liftOf(Math.min(a, b), permanent).typical,
        ),
      ),
    );
    expect(liftLimit(permanent)).toBe(3);
    expect(liftLimit(demi)).toBe(0);
  });
});

describe('developer choice (D2, F8)', () => {
  const choose = (
    naturalLevel: number,
    targetLevel: number,
    greyShare = 0,
    line = permanent,
    house = rules,
  ) => chooseDeveloper({ naturalLevel, targetLevel, greyShare }, line, house);

  it.each([
    [6, 6, 0, 10, 'developer.depositOnly'],
    [6, 4, 0, 10, 'developer.depositOnly'],
    [5, 6, 0, 20, 'developer.forLift'],
    [5, 7, 0, 30, 'developer.forLift'],
    [5, 8, 0, 40, 'developer.forLift'],
    [5, 5, 0.5, 20, 'developer.forGrey'],
    [5, 7, 0.5, 30, 'developer.forLiftOverGrey'],
    [5, 7, 0.95, 20, 'developer.nearlyAllWhite'],
  ])('from %d to %d with %d grey: %d vol', (natural, target, grey, vol, code) => {
    expect(choose(natural, target, grey)).toMatchObject({ ok: true, vol, reasons: [{ code }] });
  });

  it('says when a line cannot lift that far, and never lets a demi lift', () => {
    expect(choose(4, 8)).toMatchObject({
      ok: false,
      reasons: [{ code: 'developer.beyondLift', params: { levels: 4, limit: 3 } }],
    });
    expect(choose(6, 7, 0, demi)).toMatchObject({
      ok: false,
      reasons: [{ code: 'developer.demiCannotLift' }],
    });
    expect(choose(7, 7, 0, demi)).toMatchObject({ ok: true, vol: 7 });
  });

  it('the other school on resistant grey takes 30 with extra-pigment naturals, not once nearly all is white', () => {
    const other: HouseRules = { ...rules, resistantGrey: 'max30' };
    expect(choose(5, 5, 0.8, permanent, other)).toMatchObject({
      vol: 20,
      alsoVol: [{ vol: 30, onlyWithExtraNatural: true }],
    });
    expect(choose(5, 5, 0.8)).toMatchObject({ vol: 20, alsoVol: [] });
    expect(choose(5, 5, 0.95, permanent, other)).toMatchObject({ vol: 20, alsoVol: [] });
  });

  it('what it chooses can be counted on for the lift, and nothing weaker of the line could', () => {
    fc.assert(
      fc.property(level, level, (natural, target) => {
        const choice = choose(natural, target);
        if (!choice.ok) return expect(target - natural).toBeGreaterThan(3);
        expect(liftOf(choice.vol, permanent).typical).toBeGreaterThanOrEqual(target - natural);
        for (const weaker of permanent.developersVol.filter((vol) => vol < choice.vol))
          expect(liftOf(weaker, permanent).typical).toBeLessThan(target - natural);
      }),
    );
  });
});

describe('level of the mix (F2, F7)', () => {
  const at = (
    naturalLevel: number,
    targetLevel: number,
    house: Partial<HouseRules> = {},
    porosity: 'normal' | 'high' = 'normal',
  ) => shadeLevelFor({ naturalLevel, targetLevel, porosity }, { ...rules, ...house }).level;
  it('is the target level; by counterbalance 5 to 7 takes a 9', () => {
    expect(at(5, 7)).toBe(7);
    expect(at(5, 7, { liftByColour: 'counterbalance' })).toBe(9);
    expect(at(7, 5, { liftByColour: 'counterbalance' })).toBe(5);
  });
  it('is half a level lighter when porous hair is darkened', () => {
    expect(at(8, 6, {}, 'high')).toBe(6.5);
    expect(at(5, 6, {}, 'high')).toBe(6);
  });
});

describe('grey (F8)', () => {
  const span = (grey: number, house: Partial<HouseRules> = {}) =>
    naturalShareFor(grey, { ...rules, ...house }, true);
  it.each([
    [0.1, 0, 0],
    [0.24, 0, 0],
    [0.25, 0.25, 1 / 3],
    [0.5, 0.5, 0.5],
    [0.75, 0.5, 0.5],
    [0.8, 0.75, 1],
  ])('%d grey asks for a natural share of %d to %d', (grey, min, max) => {
    expect(span(grey)).toEqual({ min, max });
  });
  it('the other school: one part natural to two of fashion over a half', () => {
    expect(span(0.6, { greyShare: 'oneToTwo' })).toEqual({ min: 1 / 3, max: 1 / 3 });
    expect(span(0.5, { greyShare: 'oneToTwo' })).toEqual({ min: 0, max: 0 });
  });
  it('a natural target is natural series throughout', () => {
    expect(naturalShareFor(0.6, rules, false)).toEqual({ min: 1, max: 1 });
  });
});
