import { toneLab, differenceOf, chromaOf } from '../colour';
import {
  levelOfStrand,
  labOfStrand,
  naturalStrand,
  lightenedStrand,
  dyeOf,
  NO_DYE,
  NO_WARMTH,
} from '../hair';
import { after, permanent, tonerMix, shades, remover, cleanse, gentlePowder, powder } from '../testing/bowls';
import { withHistory } from './past-services';
import type { Mix } from './mix';
import { liftCurve, PRODUCTS } from './products';
import { zoneAt } from './zone-timeline';

const level = levelOfStrand;
const plain = (product: Mix['product'], change: Partial<Mix> = {}): Mix => ({
  product,
  shades: [],
  developerVol: 20,
  ratio: 2,
  ...change,
});

describe('what each product can do', () => {
  it('a blend of strengths lies between its neighbours in the table', () => {
    const dose = (vol: number) => liftCurve(PRODUCTS.permanent, vol).dose;
    expect(dose(25)).toBeCloseTo((dose(20) + dose(30)) / 2);
    expect(dose(60)).toBe(dose(40));
    expect(liftCurve(PRODUCTS.acidGloss, 20).dose).toBe(0);
  });

  it('express colour is done in ten minutes, where permanent has hardly begun', () => {
    const target = toneLab(6, { primary: 'neutral' });
    const off = (mix: Mix) => differenceOf(labOfStrand(after(mix, naturalStrand(5), 10)), target);
    expect(off(permanent('6:0', 20, 'express'))).toBeLessThan(off(permanent('6:0', 20)));
    expect(off(permanent('6:0', 20, 'express'))).toBeLessThan(6);
  });

  it('high-lift lifts three levels and more from level 6, and little from dark hair', () => {
    const lift = (from: number) =>
      level(after(permanent('clear', 40, 'highLift'), naturalStrand(from), 50)) - from;
    expect(lift(6)).toBeGreaterThanOrEqual(2.5);
    expect(lift(3)).toBeLessThan(lift(6));
  });

  it('a demi shifts natural hair hardly, a gloss not at all', () => {
    expect(Math.abs(level(after(tonerMix('Glass'), naturalStrand(5), 20)) - 5)).toBeLessThan(0.15);
    const gloss = after(
      plain('acidGloss', { shades: shades('quillet', 'Glass'), developerVol: 7 }),
      naturalStrand(5),
      20,
    );
    expect(gloss.brownBlack).toBe(naturalStrand(5).brownBlack);
    expect(gloss.surface).toBeGreaterThan(naturalStrand(5).surface);
  });

  it('the gentle powder goes four or five levels, the strong one further', () => {
    const reach = (product: Mix['product']) =>
      level(after(plain(product, { developerVol: 30 }), naturalStrand(4), 50)) - 4;
    expect(reach('lightenerGentle')).toBeGreaterThan(2.5);
    expect(reach('lightenerGentle')).toBeLessThan(5);
    expect(reach('lightenerGentle')).toBeLessThan(reach('lightenerStrong'));
  });

  it('a remover takes oxidative dye out, direct dye in part, blue and green least, natural pigment never (P2)', () => {
    const layer = (kind: 'permanent' | 'direct', dye: Partial<typeof NO_DYE>) => ({
      kind,
      dye: { ...NO_DYE, ...dye },
      dyeOnWhite: NO_DYE,
      masks: NO_WARMTH,
      fills: NO_WARMTH,
      held: 0,
    });
    const dyed = {
      ...lightenedStrand(7),
      layers: [
        layer('permanent', { brown: 1 }),
        layer('direct', { directPink: 1 }),
        layer('direct', { directBlue: 1 }),
      ],
    };
    const cleaned = after(remover, dyed, 20);
    const left = dyeOf(cleaned);
    expect(left.brown).toBeLessThan(0.2);
    expect(left.directPink).toBeLessThan(0.5);
    expect(left.directBlue).toBeGreaterThan(left.directPink);
    expect(cleaned.brownBlack).toBe(dyed.brownBlack);
  });

  it('what has sat for years hardly leaves (P7)', () => {
    const start = (held: number) =>
      withHistory(naturalStrand(6), [{ kind: 'permanent', level: 3, tone: { primary: 'neutral' }, held }]);
    const back = (held: number) => level(after(remover, start(held), 20)) - level(start(held));
    expect(back(0.8)).toBeLessThan(back(0) / 2);
  });

  it('a wet cleanse does next to nothing on hair that was never lightened (P8)', () => {
    const dyed = withHistory(naturalStrand(6), [
      { kind: 'permanent', level: 5, tone: { primary: 'neutral' } },
    ]);
    expect(Math.abs(level(after(cleanse, dyed, 15)) - level(dyed))).toBeLessThan(0.3);
    expect(after(cleanse, dyed, 15).damage).toBeLessThan(after(gentlePowder(20), dyed, 15).damage / 4);
  });

  it('vivid dye shows on light hair and does not on dark', () => {
    const pink = plain('direct', { vivid: { directPink: 1.4 }, developerVol: 0 });
    const change = (strand: ReturnType<typeof naturalStrand>) =>
      differenceOf(labOfStrand(after(pink, strand, 30)), labOfStrand(strand));
    expect(change(lightenedStrand(10))).toBeGreaterThan(25);
    expect(change(naturalStrand(3))).toBeLessThan(10);
  });

  it('a second coat goes on where the first dried out, and costs more', () => {
    const coat = { mix: powder(20) };
    const once = zoneAt({ start: naturalStrand(2), events: [{ at: 0, do: 'apply', coat }] }, 100).strand;
    const twice = zoneAt(
      {
        start: naturalStrand(2),
        events: [
          { at: 0, do: 'apply', coat },
          { at: 50, do: 'apply', coat },
        ],
      },
      100,
    ).strand;
    expect(level(twice)).toBeGreaterThan(level(once) + 0.3);
    expect(twice.damage).toBeGreaterThan(once.damage);
  });

  it('rinsing permanent colour early leaves it lifted and under-coloured: warm (R7)', () => {
    const full = labOfStrand(after(permanent('7:0', 30), naturalStrand(5), 35));
    const early = labOfStrand(after(permanent('7:0', 30), naturalStrand(5), 12));
    expect(chromaOf(early)).toBeGreaterThan(chromaOf(full) + 3);
  });

  it('copper with red is made of a copper and a red (F10)', () => {
    const labelled = after(permanent('6:42', 20), naturalStrand(6), 35);
    const mixed = after(permanent('6:4*2 6:2', 20), naturalStrand(6), 35);
    expect(differenceOf(labOfStrand(labelled), labOfStrand(mixed))).toBeLessThan(2);
  });

  it('naturals alone over white make no gold', () => {
    const white = naturalStrand(6, { white: 0.8 });
    const gold = toneLab(6, { primary: 'gold' });
    const off = (words: string) => differenceOf(labOfStrand(after(permanent(words, 20), white, 45)), gold);
    expect(off('6:0')).toBeGreaterThan(off('6:0*3 6:1') + 0.5);
  });
});
