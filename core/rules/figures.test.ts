import type { Area } from '../hair';
import { SHIPPED_LINES } from '../product';
import {
  GROWTH,
  weeksToGrow,
  REFRESH_MINUTES,
  LEFTOVER_WATER,
  LEAST_WATER_SHARE,
  areasInOrder,
} from './application';
import { VIOLET_CARE_FROM, BLUE_CARE_FROM } from './client-care';
import { STRENGTHS_VOL, PERMANENT_LIFT } from './developer';
import { chooseDeveloper, asksForRedOnNatural } from './developer-choice';
import { hasGreyToCover } from './grey';
import { DEFAULT_HOUSE_RULES } from './house-rules';
import { CHECKS, RINSE_MINUTES, REDS } from './processing';
import { POROUS_LIGHTER_LEVELS } from './shade-level';
import { VIOLET_DOSE, fillToneAt } from './underlying-pigment';

const [line] = SHIPPED_LINES;

describe('figures of the handbook', () => {
  it('of the work on the head (A1, A5)', () => {
    expect(GROWTH).toEqual({ cmAMonth: 1.25, retouchWeeks: { min: 4, max: 6 }, twoZonesFromCm: 2 });
    expect(weeksToGrow(1.25)).toBeCloseTo(52 / 12);
    expect(REFRESH_MINUTES).toEqual({ best: 10, min: 5, max: 10 });
    expect([LEFTOVER_WATER, LEAST_WATER_SHARE]).toEqual([1, 0.25]);
  });

  it('of processing and rinsing (R2, R5)', () => {
    expect(CHECKS).toEqual({ lightener: { best: 5, most: 10 }, toner: { best: 3, most: 5 } });
    expect(RINSE_MINUTES).toBe(5);
  });

  it('of strength and dose (D1, D2, F9, U5)', () => {
    expect(STRENGTHS_VOL).toEqual([10, 20, 30, 40]);
    expect(PERMANENT_LIFT.map(({ vol, typical, most }) => [vol, typical, most])).toEqual([
      [10, 0, 0],
      [20, 1, 2],
      [30, 2, 3],
      [40, 3, 4],
    ]);
    expect(REDS).toMatchObject({ depositVol: 20, brightVol: 30, depositLevels: { min: 4, max: 6 } });
    expect([VIOLET_DOSE.bright, VIOLET_DOSE.creamy]).toEqual([1, 1 / 3]);
  });

  it('of depth and care (F7)', () => {
    expect(POROUS_LIGHTER_LEVELS).toBe(0.5);
    expect([VIOLET_CARE_FROM, BLUE_CARE_FROM]).toEqual([8, 5]);
  });
});

describe('what a red asks of the developer (F9)', () => {
  const choose = (task: Partial<Parameters<typeof chooseDeveloper>[0]>, developersVol = [10, 20, 30, 40]) => {
    const choice = chooseDeveloper(
      { naturalLevel: 5, targetLevel: 5, greyShare: 0, ...task },
      { ...line, developersVol, mayDilute: false },
      DEFAULT_HOUSE_RULES,
    );
    return choice.ok ? [choice.vol, choice.alsoVol.map(({ vol }) => vol)] : null;
  };
  it('20 vol to deposit on natural hair, 10 vol as good; what lifts or covers more decides by itself', () => {
    expect(choose({})).toEqual([10, []]);
    expect(choose({ redOnNatural: true })).toEqual([20, [10]]);
    expect(choose({ redOnNatural: true, targetLevel: 6 })).toEqual([20, []]);
    expect(choose({ redOnNatural: true, targetLevel: 7 })).toEqual([30, []]);
    expect(choose({ redOnNatural: true, greyShare: 0.05 })).toEqual([20, []]);
    expect(choose({ redOnNatural: true, greyShare: 0.95 })).toEqual([20, []]);
    expect(choose({ redOnNatural: true }, [20, 30])).toEqual([20, []]);
  });
  it('only for the red families', () => {
    expect(
      (['red', 'copper', 'mahogany'] as const).every((name) => asksForRedOnNatural(5, { primary: name })),
    ).toBe(true);
    expect(
      (['gold', 'violet', 'warmBrown'] as const).some((name) => asksForRedOnNatural(5, { primary: name })),
    ).toBe(false);
  });
});

describe('warmth that stands in for a filler (F6)', () => {
  it('is that of the level: red and copper in the dark, copper, copper and gold, gold', () => {
    expect([4, 5, 6.5, 7, 7.5, 8].map((level) => fillToneAt(level))).toEqual([
      { primary: 'copper', secondary: 'red' },
      { primary: 'copper' },
      { primary: 'copper' },
      { primary: 'gold', secondary: 'copper' },
      { primary: 'gold', secondary: 'copper' },
      { primary: 'gold' },
    ]);
  });
});

describe('areas in order (A4)', () => {
  const all: Area[] = ['hairline', 'top', 'crown', 'nape'];
  const plain = { grey: 0, density: 'medium' } as const;
  it('from the nape up without grey, the densest first', () => {
    expect(areasInOrder(all, () => plain)).toEqual(['nape', 'crown', 'top', 'hairline']);
    expect(areasInOrder(all, (area) => (area === 'crown' ? { ...plain, density: 'dense' } : plain))[0]).toBe(
      'crown',
    );
  });
  it('by the grey where it shows, and over a grey hairline once more at the end', () => {
    const grey = (of: Partial<Record<Area, number>>) => (area: Area) => ({ ...plain, grey: of[area] ?? 0 });
    expect(areasInOrder(all, grey({ hairline: 0.4, top: 0.1 }))).toEqual([
      'hairline',
      'top',
      'crown',
      'nape',
      'hairline',
    ]);
    expect(areasInOrder(all, grey({ crown: 0.4 }))).toEqual(['crown', 'hairline', 'top', 'nape']);
    expect(areasInOrder(['hairline'], grey({ hairline: 0.4 }))).toEqual(['hairline']);
    // A trace of it under a twentieth is nothing to cover.
    expect([0.049, 0.05].map(hasGreyToCover)).toEqual([false, true]);
    expect(areasInOrder(all, grey({ hairline: 0.04 }))[0]).toBe('nape');
  });
});
