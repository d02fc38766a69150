import fc from 'fast-check';
import { TONE_FAMILIES, rgbOf } from '../colour';
import {
  type HistoryLayer,
  YELLOWS,
  type Yellow,
  HISTORY_COLOURS,
  TREATMENTS,
  DIRECT_DYES,
  DYES,
  type Strand,
  naturalStrand,
  dyeOf,
  loadOf,
  labOfStrand,
  lightenedStrand,
  levelOfStrand,
  DIAMETERS,
} from '../hair';
import { SHIPPED_LINES, shadesOf } from '../product';
import { after, permanent } from '../testing/bowls';
import { apply, strandAfter } from './apply';
import { type Coat, workedMinutes, coverageOf } from './coat';
import {
  DAMAGE_LIMITS,
  stretchTest,
  conditionOf,
  STRETCH_OUTCOMES,
  CONDITIONS,
  levelsInOneVisit,
  isGivingWay,
  treated,
} from './condition';
import { withHistory } from './past-services';
import type { Mix } from './mix';
import { PRODUCT_KINDS, PRODUCTS, isLightener } from './products';
import { shadeLoad } from './shade-load';
import { type ZoneEvent, zoneAt } from './zone-timeline';

const ROUNDING = 1e-9;
const unit = fc.double({ min: 0, max: 1, noNaN: true });
const level = fc.integer({ min: 2, max: 20 }).map((n) => n / 2);
const toneOf = fc.constantFrom(...TONE_FAMILIES).map((primary) => ({ primary }));
const pastLayers: fc.Arbitrary<HistoryLayer> = fc.oneof(
  fc.record({
    kind: fc.constant('lightened' as const),
    level: fc.integer({ min: 10, max: 20 }).map((n) => n / 2),
    yellow: fc.constantFrom(...(Object.keys(YELLOWS) as Yellow[])),
  }),
  fc.record({
    kind: fc.constantFrom(...HISTORY_COLOURS),
    level,
    tone: toneOf,
    times: fc.integer({ min: 1, max: 2 }),
    faded: unit,
    held: unit,
  }),
  fc.record({
    kind: fc.constant('direct' as const),
    dye: fc.constantFrom(...DIRECT_DYES),
    faded: unit,
    held: unit,
  }),
  fc.record({ kind: fc.constant('treated' as const), treatment: fc.constantFrom(...TREATMENTS) }),
);
const strands: fc.Arbitrary<Strand> = fc
  .record({
    level,
    white: unit,
    resistance: unit,
    porosity: fc.constantFrom('low' as const, 'normal' as const, 'high' as const),
    diameter: fc.constantFrom(...DIAMETERS),
    fromScalpCm: fc.constantFrom(0.5, 3, 20),
    past: fc.array(pastLayers, { maxLength: 3 }),
    damage: fc.option(fc.double({ min: 0, max: 0.9, noNaN: true })),
  })
  .map(({ level: grown, past, damage, ...rest }) => {
    const strand = withHistory(naturalStrand(grown, rest), past);
    return damage === null ? strand : { ...strand, damage };
  });
const allShades = SHIPPED_LINES.flatMap(shadesOf);
const mixes: fc.Arbitrary<Mix> = fc.record({
  product: fc.constantFrom(...PRODUCT_KINDS),
  shades: fc.array(
    fc.record({ shade: fc.constantFrom(...allShades), parts: fc.integer({ min: 1, max: 4 }) }),
    { minLength: 1, maxLength: 3 },
  ),
  vivid: fc.record({ directPink: unit, directBlue: unit }),
  fillsLevel: fc.integer({ min: 3, max: 9 }),
  developerVol: fc.integer({ min: 0, max: 40 }),
  ratio: fc.double({ min: 0.5, max: 3, noNaN: true }),
  bondAdditive: fc.boolean(),
  thinned: fc.constantFrom(0, 1, 2),
  conditioner: fc.boolean(),
});
const coats: fc.Arbitrary<Coat> = fc.record({
  mix: mixes,
  wet: fc.boolean(),
  isProtected: fc.boolean(),
  amount: fc.constantFrom(0.1, 0.25, 0.5, 0.8, 1, 2),
  ageMinutes: fc.integer({ min: 0, max: 60 }),
});
const minutes = fc.double({ min: 0, max: 120, noNaN: true });
const everywhere = (strand: Strand): Strand[] => [strand, ...strand.spots.map((spot) => spot.strand)];

describe('laws of the process', () => {
  it('no state in range gives anything but a colour of the gamut; no dye is ever less than nothing', () => {
    fc.assert(
      fc.property(coats, strands, minutes, (coat, strand, time) => {
        const result = after(coat, strand, time);
        for (const strand of everywhere(result)) {
          for (const where of ['dye', 'dyeOnWhite'] as const)
            for (const name of DYES) expect(dyeOf(strand, where)[name]).toBeGreaterThanOrEqual(-ROUNDING);
          for (const { masks, fills, held } of strand.layers) {
            for (const amount of [masks.red, masks.yellow, fills.red, fills.yellow])
              expect(amount).toBeGreaterThanOrEqual(-ROUNDING);
            expect(held >= -ROUNDING && held <= 1 + ROUNDING).toBe(true);
          }
          for (const part of [strand.damage, strand.porosity, strand.moisture, strand.surface])
            expect(part >= 0 && part <= 1).toBe(true);
        }
        const lab = labOfStrand(result);
        expect(lab.l > 0 && lab.l < 100).toBe(true);
        Object.values(rgbOf(lab)).forEach((v) => expect(v >= 0 && v <= 1).toBe(true));
      }),
      { numRuns: 300 },
    );
  });

  it('brown-black only leaves, and damage never falls by processing', () => {
    fc.assert(
      fc.property(coats, strands, minutes, minutes, (coat, strand, a, b) => {
        const [early, late] = [after(coat, strand, Math.min(a, b)), after(coat, strand, Math.max(a, b))];
        expect(late.brownBlack).toBeLessThanOrEqual(early.brownBlack + ROUNDING);
        expect(late.damage).toBeGreaterThanOrEqual(early.damage - ROUNDING);
        expect(early.damage).toBeGreaterThanOrEqual(strand.damage - ROUNDING);
        if (coat.mix.product === 'remover') expect(late.brownBlack).toBe(strand.brownBlack);
      }),
      { numRuns: 200 },
    );
  });

  it('nothing but lightener or remover lowers artificial load', () => {
    fc.assert(
      fc.property(coats, strands, minutes, (coat, strand, time) => {
        const result = after(coat, strand, time);
        const takes = PRODUCTS[coat.mix.product].strips !== null;
        expect(takes).toBe(isLightener(coat.mix.product) || coat.mix.product === 'remover');
        if (!takes) expect(loadOf(dyeOf(result))).toBeGreaterThanOrEqual(loadOf(dyeOf(strand)) - ROUNDING);
        // What is broken may leave a warm trace, and never more than there was.
        else expect(loadOf(dyeOf(result))).toBeLessThanOrEqual(loadOf(dyeOf(strand)) + ROUNDING);
      }),
      { numRuns: 200 },
    );
  });

  it('monotone in time until it is spent, and then at rest', () => {
    fc.assert(
      fc.property(coats, minutes, minutes, (coat, a, b) => {
        const [early, late] = [a, b].sort((x, y) => x - y);
        expect(workedMinutes(coat, late)).toBeGreaterThanOrEqual(workedMinutes(coat, early) - ROUNDING);
        const { stopsAfterMinutes } = PRODUCTS[coat.mix.product];
        if (stopsAfterMinutes !== null)
          expect(workedMinutes(coat, 600) - workedMinutes(coat, stopsAfterMinutes + 60)).toBeLessThan(0.01);
      }),
    );
  });

  it('splitting a time changes nothing: looking in between does not disturb, heat included', () => {
    fc.assert(
      fc.property(coats, strands, minutes, minutes, (coat, strand, a, b) => {
        const events: ZoneEvent[] = [
          { at: 0, do: 'apply', coat },
          { at: 10, do: 'heat', on: true },
          { at: 25, do: 'heat', on: false },
        ];
        const direct = zoneAt({ start: strand, events }, a + b).strand;
        const lookedAt: ZoneEvent[] = [...events, { at: a, do: 'heat', on: a >= 10 && a < 25 }];
        if (a !== 10 && a !== 25) {
          const seen = zoneAt({ start: strand, events: lookedAt }, a + b).strand;
          expect(seen.brownBlack).toBeCloseTo(direct.brownBlack, 9);
          expect(dyeOf(seen).brown).toBeCloseTo(dyeOf(direct).brown, 9);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('coverage grows with the amount and stops at all of the hair; what is missed stays as it was (R8)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 3, noNaN: true }), unit, (amount, more) => {
        expect(coverageOf(amount + more)).toBeGreaterThanOrEqual(coverageOf(amount));
        expect(coverageOf(amount)).toBeLessThanOrEqual(1);
        if (amount >= 1) expect(coverageOf(amount)).toBe(1);
      }),
    );
    const mix: Mix = { product: 'lightenerStrong', shades: [], developerVol: 20, ratio: 2 };
    const thin = after({ mix, amount: 0.5 }, naturalStrand(4), 45);
    expect(thin.spots).toHaveLength(1);
    expect(thin.spots[0].fraction).toBeCloseTo(1 - coverageOf(0.5), 9);
    expect(thin.spots[0].strand.brownBlack).toBe(naturalStrand(4).brownBlack);
    // A second, full coat reaches what the first missed.
    const mended = after({ mix }, thin, 45);
    expect(mended.spots[0].strand.brownBlack).toBeLessThan(naturalStrand(4).brownBlack / 3);
  });

  it('hair never darkens while lightener works', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 18 }),
        fc.constantFrom(10, 20, 30, 40),
        fc.integer({ min: 0, max: 80 }),
        (half, vol, minute) => {
          const mix: Mix = { product: 'lightenerStrong', shades: [], developerVol: vol, ratio: 2 };
          const application = apply({ mix }, naturalStrand(half / 2));
          const l = (m: number) => labOfStrand(strandAfter(application, m)).l;
          // Black shows a trace of red first: under a tenth of a level, which no eye reads.
          expect(l(minute + 1)).toBeGreaterThanOrEqual(l(minute) - (half < 4 ? 0.4 : 0.15));
        },
      ),
      { numRuns: 100 },
    );
  });

  it('every shade of the shipped lines has a load that is not below nothing', () => {
    for (const shade of allShades) {
      if (shade.level === null) continue;
      const { cancels, tone } = shadeLoad(shade.level, shade.tone);
      for (const name of DYES) expect(tone[name]).toBeGreaterThanOrEqual(0);
      expect(cancels.red >= 0 && cancels.yellow >= 0).toBe(true);
    }
  }, 30_000);
});

describe('condition (C1, C4)', () => {
  const sound = 0.7;
  it('takes back 90, 70 and 50 % at the edges of strong, fair and weak, and names each side of them', () => {
    const { strong, fair, weak } = DAMAGE_LIMITS;
    for (const [edge, returns, better, worse] of [
      [strong, 0.9, 'strong', 'fair'],
      [fair, 0.7, 'fair', 'weak'],
      [weak, 0.5, 'weak', 'failed'],
    ] as const) {
      expect(stretchTest({ damage: edge, moisture: sound }).returns).toBeCloseTo(returns, 6);
      expect(conditionOf({ damage: edge, moisture: sound })).toBe(better);
      expect(conditionOf({ damage: edge + 0.01, moisture: sound })).toBe(worse);
    }
    expect(stretchTest({ damage: 0, moisture: sound })).toEqual({
      outcome: 'returns',
      stretches: 0.5,
      returns: 1,
    });
  });

  it('snaps when dry, runs on when soaked and weak, curls when strength is gone', () => {
    const outcome = (damage: number, moisture: number) => stretchTest({ damage, moisture }).outcome;
    expect(outcome(0.3, 0.29)).toBe('snaps');
    expect(outcome(0.3, 0.31)).toBe('returns');
    expect(outcome(0.5, 0.95)).toBe('runsOn');
    expect(outcome(0.3, 0.95)).toBe('returns');
    expect(outcome(0.7, 0.6)).toBe('curls');
    const all = [outcome(0, sound), outcome(0, 0.1), outcome(0.5, 0.95), outcome(0.8, 0.5)];
    expect(all).toEqual([...STRETCH_OUTCOMES]);
  });

  it('lightener moves 7, 4 and 2 levels, and none where hair gives way or weak hair was lightened before', () => {
    expect(CONDITIONS.map((condition) => levelsInOneVisit(condition, false))).toEqual([7, 4, 2, 0, 0, 0]);
    expect(levelsInOneVisit('weak', true)).toBe(0);
    expect(levelsInOneVisit('fair', true)).toBe(4);
    expect(CONDITIONS.filter(isGivingWay)).toEqual(['brittle', 'overSoft', 'failed']);
  });

  it('treatments give back moisture and some strength, and never more than was there', () => {
    const worn = { ...naturalStrand(5), damage: 0.5, moisture: 0.2 };
    expect(treated(worn, 'moisture').moisture).toBeGreaterThan(0.5);
    expect(treated(worn, 'bond').damage).toBeLessThan(0.5);
    expect(treated(naturalStrand(5), 'bond').damage).toBe(0);
    const soft = { ...worn, moisture: 0.95 };
    expect(conditionOf(soft)).toBe('overSoft');
    expect(conditionOf(treated(soft, 'protein'))).toBe('weak');
  });
});

it('lightened hair of the tables reads as its level whatever it grew at', () => {
  for (const reached of [6, 8, 9.5])
    for (const from of [2, 4, 5])
      expect(labOfStrand(lightenedStrand(reached, from)).l).toBeCloseTo(
        labOfStrand(lightenedStrand(reached)).l,
        0,
      );
});

describe('permanent colour on hair that was lightened (D7)', () => {
  const on = (shade: number, vol: number, start: Strand) =>
    levelOfStrand(after(permanent(`${shade}:0`, vol), start, 35));
  const starts = fc.integer({ min: 12, max: 20 }).map((n) => lightenedStrand(n / 2));
  const vols = fc.constantFrom(10, 20, 30, 40);

  it('comes out the deeper, the deeper the shade', () => {
    fc.assert(
      fc.property(starts, vols, fc.integer({ min: 4, max: 9 }), (start, vol, shade) => {
        // Shades paler than the hair hardly differ on it.
        fc.pre(shade < levelOfStrand(start) - 0.9);
        expect(on(shade, vol, start)).toBeLessThan(on(shade + 1, vol, start));
      }),
    );
  });

  it('comes out the lighter, the stronger the developer, and a deep shade never as light as the hair was', () => {
    fc.assert(
      fc.property(starts, fc.integer({ min: 4, max: 9 }), (start, shade) => {
        const levels = [10, 20, 30, 40].map((vol) => on(shade, vol, start));
        levels.slice(1).forEach((value, i) => expect(value).toBeGreaterThan(levels[i] - 0.05));
        if (shade <= levelOfStrand(start) - 2) expect(levels[1]).toBeLessThan(levelOfStrand(start) - 1);
      }),
    );
  });
});
