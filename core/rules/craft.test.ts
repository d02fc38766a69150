import fc from 'fast-check';
import { TONE_FAMILIES } from '../colour';
import { shippedLine, blendVol } from '../product';
import { weeksToGrow, GROWTH, refreshWay } from './application';
import {
  VIOLET_CARE_FROM,
  BLUE_CARE_FROM,
  SALTS,
  forbidsPeroxide,
  asksIncompatibilityTest,
} from './client-care';
import { pourOf, STRENGTHS_VOL } from './developer';
import { chooseDeveloper } from './developer-choice';
import { hasGreyToCover, naturalShareFor } from './grey';
import { DEFAULT_HOUSE_RULES } from './house-rules';
import { isRed } from './processing';
import { tonerLevels } from './shade-level';
import { keepsWarmthUnder, KEEPS_WARMTH, VIOLET_DOSE } from './underlying-pigment';

const own = shippedLine('tarnwick')!;
const shelf = (developersVol: number[], mayDilute = true) => ({ ...own, developersVol, mayDilute });
const grey5 = { naturalLevel: 5, targetLevel: 5, greyShare: 0.5 };
const choose = (line: typeof own, task = grey5) => chooseDeveloper(task, line, DEFAULT_HOUSE_RULES);

describe('what is on the shelf (D5, D8)', () => {
  it.each([
    [[20], [{ vol: 20, parts: 1 }]],
    [
      [40],
      [
        { vol: 40, parts: 1 },
        { vol: 0, parts: 1 },
      ],
    ],
    [
      [10, 30],
      [
        { vol: 30, parts: 1 },
        { vol: 10, parts: 1 },
      ],
    ],
    [
      [10, 40],
      [
        { vol: 40, parts: 1 },
        { vol: 10, parts: 2 },
      ],
    ],
  ])('pours 20 vol out of %j', (stock, pour) => {
    expect(pourOf(20, stock, true)).toEqual(pour);
    const choice = choose(shelf(stock));
    expect(choice).toMatchObject({ ok: true, vol: 20, pour });
  });

  it('takes nothing stronger neat where the line may not be diluted, and makes nothing stronger than there is', () => {
    expect(pourOf(20, [40], false)).toBeNull();
    expect(pourOf(20, [10], true)).toBeNull();
    expect(choose(shelf([40], false))).toMatchObject({
      ok: false,
      reasons: [{ code: 'developer.notOnShelf' }],
    });
    expect(choose(shelf([10]))).toMatchObject({ ok: false });
  });

  it('whatever is poured together has the strength that was wanted', () => {
    const vols = fc.uniqueArray(fc.constantFrom(5, 10, 15, 20, 30, 40), { minLength: 1 });
    fc.assert(
      fc.property(fc.constantFrom(...STRENGTHS_VOL), vols, (wanted, stock) => {
        const pour = pourOf(wanted, stock, true);
        if (pour) expect(blendVol(pour)).toBeCloseTo(wanted, 2);
        else expect(Math.max(...stock)).toBeLessThan(wanted);
      }),
    );
  });
});

describe('grey that shows (F8, F13)', () => {
  it('is covered with 20 vol however little it is, and needs no base shade under a quarter', () => {
    expect([0, 0.04, 0.05, 0.1].map(hasGreyToCover)).toEqual([false, false, true, true]);
    expect(choose(own, { ...grey5, greyShare: 0.1 })).toMatchObject({ vol: 20 });
    expect(choose(own, { ...grey5, greyShare: 0.04 })).toMatchObject({ vol: 10 });
    const share = (grey: number) => naturalShareFor(grey, DEFAULT_HOUSE_RULES, true).min;
    expect([0.24, 0.25, 0.49, 0.5, 0.75, 0.76].map(share)).toEqual([0, 0.25, 0.25, 0.5, 0.5, 0.75]);
  });

  it('takes 20 vol again when nearly all is white, whatever lift is asked for', () => {
    const at = (greyShare: number) => choose(own, { naturalLevel: 5, targetLevel: 7, greyShare });
    expect(at(0.89)).toMatchObject({ vol: 30 });
    expect(at(0.9)).toMatchObject({ vol: 20 });
  });
});

describe('what is done with the warmth (U3, U5, U6)', () => {
  it('keeps it under gold, copper and the reds, and cancels it under beige as under every other tone', () => {
    expect(TONE_FAMILIES.filter((primary) => keepsWarmthUnder({ primary })).sort()).toEqual(
      [...KEEPS_WARMTH].sort(),
    );
    expect(keepsWarmthUnder({ primary: 'beige', secondary: 'gold' })).toBe(false);
    expect(keepsWarmthUnder({ primary: 'gold' })).toBe(true);
    expect(VIOLET_DOSE.creamy).toBeCloseTo(VIOLET_DOSE.bright / 3);
    expect(TONE_FAMILIES.filter(isRed)).toEqual(['copper', 'red', 'mahogany']);
  });

  it('violet care from 8 up, blue from 5 to 7', () => {
    expect([VIOLET_CARE_FROM, BLUE_CARE_FROM]).toEqual([8, 5]);
  });

  it('a toner is never lighter than the hair (F4)', () => {
    for (const tonerDepth of ['sameLevel', 'sameOrDeeper'] as const)
      for (let level = 4; level <= 10; level += 0.5)
        expect(Math.max(...tonerLevels(level, { tonerDepth }))).toBeLessThanOrEqual(level);
  });
});

describe('application and condition', () => {
  it('five weeks of growth are about a centimetre and a half (A5)', () => {
    expect(weeksToGrow(1.5)).toBeCloseTo(5.2, 1);
    expect(GROWTH.retouchWeeks).toEqual({ min: 4, max: 6 });
  });

  it('metal forbids peroxide, plain henna does not; both ask for the test on cut hair (C3, C8)', () => {
    expect(SALTS.map(forbidsPeroxide)).toEqual([false, false, true]);
    expect(SALTS.map(asksIncompatibilityTest)).toEqual([false, true, true]);
  });

  it('ends are refreshed as the school says, and from a leftover where it has no gloss (A1)', () => {
    const gloss = [{ kind: 'permanent' as const }, { kind: 'demi' as const }];
    const none = [{ kind: 'permanent' as const }];
    expect(refreshWay({ endsRefresh: 'gloss' }, gloss)).toBe('gloss');
    expect(refreshWay({ endsRefresh: 'gloss' }, none)).toBe('diluteLeftover');
    expect(refreshWay({ endsRefresh: 'waterEmulsify' }, none)).toBe('waterEmulsify');
  });
});
