import fc from 'fast-check';
import { lightenerVols, dilutionRuling, liftOf } from './developer';
import { greyLimitOf } from './grey';
import { type HouseRules, DEFAULT_HOUSE_RULES } from './house-rules';
import { startsToEndTogether, rinseMinute, servesMinutes } from './processing';
import { tonerLevels } from './shade-level';

const rules = (change: Partial<HouseRules> = {}): HouseRules => ({ ...DEFAULT_HOUSE_RULES, ...change });

describe('lightener and developer (D4)', () => {
  it('by default: 10 vol allowed, 20 at the scalp, 30 off it, 40 nowhere', () => {
    expect(lightenerVols('onScalp', rules())).toEqual([10, 20]);
    expect(lightenerVols('offScalp', rules())).toEqual([10, 20, 30]);
  });

  it('in the other schools', () => {
    expect(lightenerVols('onScalp', rules({ lightenerOnScalp: 'max30' }))).toEqual([10, 20, 30]);
    expect(lightenerVols('offScalp', rules({ tenVolLightener: 'notAllowed' }))).toEqual([20, 30]);
    expect(lightenerVols('offScalp', rules({ fortyVolLightener: 'offScalp' }))).toEqual([10, 20, 30, 40]);
    expect(lightenerVols('onScalp', rules({ fortyVolLightener: 'offScalp' }))).not.toContain(40);
    // Whatever the school, a class that allows 20 at the scalp does not allow 40 there.
    expect(lightenerVols('onScalp', rules({ fortyVolLightener: 'always' }))).not.toContain(40);
    expect(
      lightenerVols('onScalp', rules({ fortyVolLightener: 'always', lightenerOnScalp: 'max30' })),
    ).toContain(40);
    expect(
      lightenerVols('onScalp', rules({ fortyVolLightener: 'offScalp', lightenerOnScalp: 'max30' })),
    ).not.toContain(40);
  });

  it('never allows more at the scalp than off it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('max20' as const, 'max30' as const),
        fc.constantFrom('allowed' as const, 'notAllowed' as const),
        fc.constantFrom('never' as const, 'offScalp' as const, 'always' as const),
        (lightenerOnScalp, tenVolLightener, fortyVolLightener) => {
          const house = rules({ lightenerOnScalp, tenVolLightener, fortyVolLightener });
          const off = lightenerVols('offScalp', house);
          expect(lightenerVols('onScalp', house).every((vol) => off.includes(vol))).toBe(true);
          expect(off.length).toBeGreaterThan(0);
        },
      ),
    );
  });
});

describe('toner depth (F4)', () => {
  it('is the level of the hair, or in the other school also one deeper, and never lighter', () => {
    expect(tonerLevels(8, rules())).toEqual([8]);
    expect(tonerLevels(8, rules({ tonerDepth: 'sameOrDeeper' }))).toEqual([8, 7]);
  });
});

describe('thinning with water (D5)', () => {
  it('goes by the line unless the class has decided for all', () => {
    const [yes, no] = [{ mayDilute: true }, { mayDilute: false }];
    expect([yes, no].map((line) => dilutionRuling(line, rules()))).toEqual(['lineAllows', 'lineForbids']);
    expect([yes, no].map((line) => dilutionRuling(line, rules({ diluteDeveloper: 'always' })))).toEqual([
      'alwaysHere',
      'alwaysHere',
    ]);
    expect([yes, no].map((line) => dilutionRuling(line, rules({ diluteDeveloper: 'never' })))).toEqual([
      'neverHere',
      'neverHere',
    ]);
  });
});

describe('time (A2, R1, M5)', () => {
  it('zones that need 45, 30 and 15 minutes begin at 0, 15 and 30', () => {
    expect(startsToEndTogether([45, 30, 15])).toEqual([0, 15, 30]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 5 }), (needs) => {
        const ends = startsToEndTogether(needs).map((start, i) => start + needs[i]);
        expect(new Set(ends).size).toBe(1);
        expect(Math.min(...startsToEndTogether(needs))).toBe(0);
      }),
    );
  });

  it('the timer starts when application ends, or at first contact', () => {
    expect(rinseMinute(20, 35, rules())).toBe(55);
    expect(rinseMinute(20, 35, rules({ timerStarts: 'firstContact' }))).toBe(35);
  });

  it('a bowl that is active for 45 minutes and was mixed 10 early serves 35 more, and never less than none', () => {
    expect(servesMinutes(45, 10)).toBe(35);
    expect(servesMinutes(45, 60)).toBe(0);
  });
});

describe('kinds of line', () => {
  it('permanent lifts by D2, express two at most, the others not at all', () => {
    expect(liftOf(40, { kind: 'permanent' })).toEqual({ typical: 3, most: 4 });
    expect(liftOf(40, { kind: 'express' })).toEqual({ typical: 2, most: 2 });
    expect(liftOf(20, { kind: 'express' })).toEqual({ typical: 1, most: 2 });
    for (const kind of ['demi', 'acidGloss', 'direct'] as const) expect(liftOf(40, { kind }).most).toBe(0);
  });

  it('permanent covers all grey, demi blends up to half, a gloss none', () => {
    expect(['permanent', 'express', 'demi', 'acidGloss'].map((kind) => greyLimitOf(kind as 'demi'))).toEqual([
      1, 1, 0.5, 0,
    ]);
  });
});
