import fc from 'fast-check';
import { TONE_FAMILIES, differenceOf, rgbOf, type Lab } from '../colour';
import { DYES, labOfStrand, lightenedStrand, naturalStrand, NO_DYE, type Strand } from '../hair';
import { SHIPPED_LINES, shadesOf } from '../shades';
import { after } from '../testing/bowls';
import {
  CONDITIONS,
  FastStrand,
  PRODUCTS,
  PRODUCT_KINDS,
  apply,
  conditionOf,
  productSchema,
  shadeLoad,
  strandAfter,
  stretchTest,
  workedMinutes,
  zoneAt,
  type Mix,
  type ZoneEvent,
} from '.';

const ROUNDING = 1e-9;
const unit = fc.double({ min: 0, max: 1, noNaN: true });
const strands: fc.Arbitrary<Strand> = fc
  .record({
    level: fc.integer({ min: 2, max: 20 }).map((n) => n / 2),
    lightened: fc.boolean(),
    white: unit,
    porosity: fc.constantFrom('low' as const, 'normal' as const, 'high' as const),
    diameter: fc.constantFrom('fine' as const, 'medium' as const, 'coarse' as const),
    fromScalpCm: fc.constantFrom(0.5, 3, 20),
    brown: fc.double({ min: 0, max: 2, noNaN: true }),
    violet: fc.double({ min: 0, max: 1, noNaN: true }),
    damage: fc.double({ min: 0, max: 0.7, noNaN: true }),
  })
  .map(({ level, lightened, brown, violet, damage, ...rest }) => ({
    ...naturalStrand(level, rest),
    ...(lightened ? { brownBlack: lightenedStrand(level).brownBlack, grownBrownBlack: 4 } : {}),
    dye: { ...NO_DYE, brown, directViolet: violet },
    damage,
  }));
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
});
const minutes = fc.double({ min: 0, max: 120, noNaN: true });

describe('laws of the process', () => {
  it('no state in range gives anything but a colour of the gamut; no dye is ever less than nothing', () => {
    fc.assert(
      fc.property(mixes, strands, minutes, (mix, strand, time) => {
        const result = after(mix, strand, time);
        for (const name of DYES) {
          expect(result.dye[name]).toBeGreaterThanOrEqual(0);
          expect(result.dyeOnWhite[name]).toBeGreaterThanOrEqual(0);
        }
        expect(result.damage >= strand.damage - ROUNDING && result.damage <= 1).toBe(true);
        expect(result.porosity >= strand.porosity - ROUNDING && result.porosity <= 1).toBe(true);
        const lab = labOfStrand(result);
        expect(lab.l > 0 && lab.l < 100).toBe(true);
        Object.values(rgbOf(lab)).forEach((v) => expect(v >= 0 && v <= 1).toBe(true));
      }),
      { numRuns: 300 },
    );
  });

  it('brown-black only leaves, damage only grows, and only lightener or remover takes dye out', () => {
    fc.assert(
      fc.property(mixes, strands, minutes, minutes, (mix, strand, a, b) => {
        const [early, late] = [after(mix, strand, Math.min(a, b)), after(mix, strand, Math.max(a, b))];
        expect(late.brownBlack).toBeLessThanOrEqual(early.brownBlack + ROUNDING);
        expect(late.damage).toBeGreaterThanOrEqual(early.damage - ROUNDING);
        const takes = PRODUCTS[mix.product].takesOxidative > 0;
        if (!takes) expect(late.dye.brown).toBeGreaterThanOrEqual(strand.dye.brown - ROUNDING);
        else expect(late.dye.brown).toBeLessThanOrEqual(early.dye.brown + ROUNDING);
        if (mix.product === 'remover') expect(late.brownBlack).toBe(strand.brownBlack);
      }),
      { numRuns: 200 },
    );
  });

  it('splitting a time changes nothing: worked minutes add up, and looking in between does not disturb', () => {
    fc.assert(
      fc.property(mixes, strands, minutes, minutes, (mix, strand, a, b) => {
        const events: ZoneEvent[] = [
          { at: 0, do: 'apply', mix },
          { at: 10, do: 'heat', on: true },
          { at: 25, do: 'heat', on: false },
        ];
        const plan = { start: strand, events };
        zoneAt(plan, a);
        const direct = zoneAt(plan, a + b).strand;
        const lookedAt: ZoneEvent[] = [...events, { at: a, do: 'heat', on: a >= 10 && a < 25 }];
        const seen = zoneAt({ start: strand, events: lookedAt }, a + b).strand;
        if (a !== 10 && a !== 25) {
          expect(seen.brownBlack).toBeCloseTo(direct.brownBlack, 9);
          expect(seen.dye.brown).toBeCloseTo(direct.dye.brown, 9);
        }
        expect(workedMinutes(mix, a + b)).toBeGreaterThanOrEqual(workedMinutes(mix, a));
      }),
      { numRuns: 150 },
    );
  });

  it('hair never darkens while lightener works', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 18 }),
        fc.constantFrom(10, 20, 30, 40),
        fc.integer({ min: 0, max: 80 }),
        (half, vol, minute) => {
          const mix: Mix = { product: 'lightenerStrong', shades: [], developerVol: vol, ratio: 2 };
          const application = apply(mix, naturalStrand(half / 2));
          const l = (m: number) => labOfStrand(strandAfter(application, workedMinutes(mix, m))).l;
          // Black shows a trace of red first: under a tenth of a level, which no eye reads.
          expect(l(minute + 1)).toBeGreaterThanOrEqual(l(minute) - (half < 4 ? 0.4 : 0.15));
        },
      ),
      { numRuns: 100 },
    );
  });

  it('products and condition are whole', () => {
    for (const kind of PRODUCT_KINDS) expect(productSchema.parse(PRODUCTS[kind]).kind).toBe(kind);
    expect([0, 0.3, 0.5, 0.9].map((damage) => conditionOf({ damage }))).toEqual([...CONDITIONS]);
    expect(stretchTest({ damage: 0 })).toEqual({ stretches: 0.5, returns: 1 });
    expect(stretchTest({ damage: 0.9 }).returns).toBe(0);
  });

  it('every shade of the shipped lines has a load that is not below nothing', () => {
    for (const shade of allShades) {
      if (shade.level === null) continue;
      const { base, tone, toneDepth } = shadeLoad(shade.level, shade.tone);
      for (const name of DYES) expect(base[name] >= 0 && tone[name] >= 0).toBe(true);
      expect(toneDepth).toBeGreaterThanOrEqual(0);
    }
    expect(TONE_FAMILIES.length).toBe(11);
  }, 30_000);
});

describe('the fast path', () => {
  it('agrees with the plain one within 0.3 ΔE', () => {
    const dyes = fc
      .record({ brown: fc.double({ min: 0, max: 2, noNaN: true }), blue: unit, red: unit, yellow: unit })
      .map((d) => ({ ...NO_DYE, ...d }));
    const out: Lab = { l: 0, a: 0, b: 0 };
    fc.assert(
      fc.property(strands, dyes, unit, (strand, dye, share) => {
        const pigmented = { ...strand, white: 0 };
        const fast = new FastStrand(pigmented);
        fast.lab([fast.candidate(dye)], [share], out);
        const plain = labOfStrand({
          ...pigmented,
          dye: Object.fromEntries(DYES.map((n) => [n, pigmented.dye[n] + share * dye[n]])) as typeof dye,
        });
        expect(differenceOf(out, plain)).toBeLessThan(0.3);
      }),
    );
  });
});
