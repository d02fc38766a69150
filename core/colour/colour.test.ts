import fc from 'fast-check';
import { LIGHTS, OBSERVER_WEIGHTS } from './illuminants';
import { labOf, chromaOf, differenceOf, rgbOf, hueOf } from './lab';
import {
  LEVEL_ANCHORS,
  levelOfLightness,
  lightnessOfLevel,
  namedLevel,
  topLevel,
  toHalfLevel,
} from './level-scale';
import { spectrum } from './spectrum';
import { toneVector, TONE_FAMILIES, toneLab, neutralLab, darkeningOf } from './tone';

describe('spectra and lights', () => {
  it.each(LIGHTS)('a perfect white is white under %s, and a flat grey stays grey', (light) => {
    const white = labOf(
      spectrum(() => 1),
      light,
    );
    expect(white.l).toBeCloseTo(100, 3);
    expect(chromaOf(white)).toBeLessThan(0.05);
    expect(
      chromaOf(
        labOf(
          spectrum(() => 0.18),
          light,
        ),
      ),
    ).toBeLessThan(0.05);
  });

  it('puts the whites of D65 and A where the standard has them', () => {
    const xy = (light: 'daylight' | 'warmLamp') => {
      const { x, y, z } = OBSERVER_WEIGHTS[light].white;
      return [x / (x + y + z), y / (x + y + z)];
    };
    expect(xy('daylight')[0]).toBeCloseTo(0.3127, 2);
    expect(xy('daylight')[1]).toBeCloseTo(0.329, 2);
    expect(xy('warmLamp')[0]).toBeCloseTo(0.4476, 2);
    expect(xy('warmLamp')[1]).toBeCloseTo(0.4074, 2);
  });

  it('measures difference by CIEDE2000, on a published pair (Sharma 2005, pair 1)', () => {
    const one = { l: 50, a: 2.6772, b: -79.7751 };
    expect(differenceOf(one, { l: 50, a: 0, b: -82.7485 })).toBeCloseTo(2.0425, 3);
  });
});

describe('level scales (L1)', () => {
  it('rises and inverts', () => {
    LEVEL_ANCHORS.forEach((l, i) => expect(levelOfLightness(l)).toBeCloseTo(i + 1, 9));
    fc.assert(
      fc.property(fc.double({ min: 0, max: 13, noNaN: true }), (level) => {
        expect(levelOfLightness(lightnessOfLevel(level))).toBeCloseTo(level, 6);
      }),
    );
  });

  it('names nothing lighter than the top of the school', () => {
    expect(namedLevel(11.3, 'ten')).toBe(10);
    expect(namedLevel(11.3, 'twelve')).toBe(11.3);
    expect(namedLevel(0.4, 'twelve')).toBe(1);
    expect([topLevel('ten'), topLevel('twelve')]).toEqual([10, 12]);
    expect(LEVEL_ANCHORS).toHaveLength(topLevel('twelve'));
  });

  it('reads to the half level', () => {
    expect(toHalfLevel(6.3)).toBe(6.5);
    expect(toHalfLevel(6.2)).toBe(6);
  });
});

describe('tones (T1, U2)', () => {
  it('sets opposites opposite: ash against copper, violet against yellow, matte against red', () => {
    const dot = (a: { x: number; y: number }, b: { x: number; y: number }) => a.x * b.x + a.y * b.y;
    expect(dot(toneVector({ primary: 'ash' }), toneVector({ primary: 'copper' }))).toBeCloseTo(-1);
    expect(dot(toneVector({ primary: 'matte' }), toneVector({ primary: 'red' }))).toBeCloseTo(-1);
    expect(dot(toneVector({ primary: 'violet' }), toneVector({ primary: 'gold' }))).toBeLessThan(-0.95);
  });

  it('counts a secondary tone for half its primary, so that two parts and one make it; doubled is half as much again (T2, F10)', () => {
    const { x, y } = toneVector({ primary: 'gold', secondary: 'gold' });
    expect(Math.hypot(x, y)).toBeCloseTo(1.5);
    const [copper, red] = [toneVector({ primary: 'copper' }), toneVector({ primary: 'red' })];
    const both = toneVector({ primary: 'copper', secondary: 'red' });
    expect(both.x).toBeCloseTo((2 * copper.x + red.x) / 3);
    expect(both.y).toBeCloseTo((2 * copper.y + red.y) / 3);
  });

  it('draws every tone at every level inside the gamut, darker than its level by what its dye takes (L4)', () => {
    for (const primary of TONE_FAMILIES) {
      for (let level = 1; level <= 10; level++) {
        const lab = toneLab(level, { primary });
        const shift = { a: lab.a - neutralLab(level).a, b: lab.b - neutralLab(level).b };
        expect(lab.l).toBeCloseTo(lightnessOfLevel(level) - darkeningOf(shift, level), 9);
        expect(lab.l).toBeLessThanOrEqual(lightnessOfLevel(level));
        Object.values(rgbOf(lab)).forEach((v) => expect(v >= 0 && v <= 1).toBe(true));
      }
    }
  });

  it('keeps tones tellable apart at level 7: at least 3 ΔE between any two', () => {
    for (const a of TONE_FAMILIES)
      for (const b of TONE_FAMILIES)
        if (a < b) {
          const gap = differenceOf(toneLab(7, { primary: a }), toneLab(7, { primary: b }));
          expect({ pair: `${a}/${b}`, far: gap >= 3 }).toEqual({ pair: `${a}/${b}`, far: true });
        }
  });

  it('a red or violet darkens more than a gold, and a cool tone less on pale hair (L4)', () => {
    const lost = (primary: (typeof TONE_FAMILIES)[number], level: number) =>
      neutralLab(level).l - toneLab(level, { primary }).l;
    expect(lost('red', 6)).toBeGreaterThan(2.5 * lost('gold', 6));
    expect(lost('ash', 9)).toBeLessThan(lost('ash', 5));
    expect(lost('neutral', 5)).toBe(0);
  });

  it('has cool tones cooler than neutral and warm tones warmer', () => {
    const b = (primary: (typeof TONE_FAMILIES)[number]) => toneLab(8, { primary }).b;
    for (const cool of ['ash', 'violet', 'matte', 'pearl'] as const)
      expect(b(cool)).toBeLessThan(b('neutral'));
    expect(hueOf(toneLab(8, { primary: 'copper' }))).toBeGreaterThan(40);
  });
});
