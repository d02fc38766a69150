import { chromaOf, differenceOf, toneLab } from '../colour';
import { NO_DYE, labOfStrand, levelOfStrand, lightenedStrand, naturalStrand } from '../hair';
import { after, permanent, powder, shades, toner } from '../testing/bowls';
import { PRODUCTS, apply, liftCurve, strandAfter, zoneAt, type Mix } from '.';

const level = levelOfStrand;
const plain = (product: Mix['product'], change: Partial<Mix> = {}): Mix => ({
  product,
  shades: [],
  developerVol: 20,
  ratio: 2,
  ...change,
});

describe('what each product can do (section 6)', () => {
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
    expect(Math.abs(level(after(toner('Glass'), naturalStrand(5), 20)) - 5)).toBeLessThan(0.15);
    const gloss = after(
      plain('acidGloss', { shades: shades('quillet', 'Glass'), developerVol: 7 }),
      naturalStrand(5),
      20,
    );
    expect(gloss.brownBlack).toBe(naturalStrand(5).brownBlack);
  });

  it('the gentle powder goes four or five levels, the strong one further, both faster when heated', () => {
    const reach = (product: Mix['product']) =>
      level(after(plain(product, { developerVol: 30 }), naturalStrand(4), 50)) - 4;
    expect(reach('lightenerGentle')).toBeGreaterThan(3);
    expect(reach('lightenerGentle')).toBeLessThan(reach('lightenerStrong'));
    const at = (on: boolean) =>
      zoneAt(
        {
          start: naturalStrand(4),
          events: [
            { at: 0, do: 'heat', on },
            { at: 0, do: 'apply', mix: powder(20) },
          ],
        },
        15,
      ).strand;
    expect(level(at(true))).toBeGreaterThan(level(at(false)) + 0.2);
  });

  it('a remover takes oxidative dye out, direct dye in part, blue and green least, natural pigment never (P2)', () => {
    const dyed = { ...lightenedStrand(7), dye: { ...NO_DYE, brown: 1, directPink: 1, directBlue: 1 } };
    const cleaned = after(plain('remover', { developerVol: 0 }), dyed, 20);
    expect(cleaned.dye.brown).toBeLessThan(0.2);
    expect(cleaned.dye.directPink).toBeGreaterThan(0.4);
    expect(cleaned.dye.directBlue).toBeGreaterThan(cleaned.dye.directPink);
    expect(cleaned.brownBlack).toBe(dyed.brownBlack);
  });

  it('vivid dye shows on light hair and drowns in dark', () => {
    const pink = plain('direct', { vivid: { directPink: 1.4 }, developerVol: 0 });
    const change = (strand: ReturnType<typeof naturalStrand>) =>
      differenceOf(labOfStrand(after(pink, strand, 30)), labOfStrand(strand));
    expect(change(lightenedStrand(10))).toBeGreaterThan(25);
    expect(change(naturalStrand(3))).toBeLessThan(10);
  });

  it('colour over pale hair comes out flat and too deep unless it is filled first (F6)', () => {
    const pale = lightenedStrand(10);
    const flat = labOfStrand(after(toner('6-L'), pale, 20));
    const filled = labOfStrand(
      after(toner('6-L'), after(plain('filler', { fillsLevel: 6, developerVol: 0 }), pale, 15), 20),
    );
    const wanted = toneLab(6, { primary: 'neutral' });
    expect(filled.a).toBeGreaterThan(flat.a);
    expect(flat.l).toBeLessThan(wanted.l - 5);
    expect(differenceOf(filled, wanted)).toBeLessThan(differenceOf(flat, wanted) / 3);
  });

  it('wet hair dilutes lightener by half (D6), and a dried-out coat stops', () => {
    const wet = strandAfter(apply(powder(40), naturalStrand(4), { wet: true }), 20);
    const half = after(powder(20), naturalStrand(4), 20);
    expect(level(wet)).toBeCloseTo(level(half), 1);
    expect(level(after(powder(20), naturalStrand(4), 120))).toBeCloseTo(
      level(after(powder(20), naturalStrand(4), 90)),
      2,
    );
  });

  it('a fresh second coat goes on where the first dried out, and costs more', () => {
    const once = zoneAt(
      { start: naturalStrand(2), events: [{ at: 0, do: 'apply', mix: powder(20) }] },
      100,
    ).strand;
    const twice = zoneAt(
      {
        start: naturalStrand(2),
        events: [
          { at: 0, do: 'apply', mix: powder(20) },
          { at: 50, do: 'apply', mix: powder(20) },
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
    expect(chromaOf(early)).toBeGreaterThan(chromaOf(full) + 4);
  });
});
