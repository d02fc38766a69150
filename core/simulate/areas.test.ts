import fc from 'fast-check';
import { type Application, complete, type HairWork } from '../card';
import { shippedCase } from '../cases';
import { AREAS, type Area, dyeOf, loadOf } from '../hair';
import { shippedLine } from '../product';
import { step } from '../testing/cards';
import { showSimulation } from './frames';
import { simulateCard } from './simulate';

const { clientCase } = shippedCase('winter-brown')!;
const zones = clientCase.head.zones.map(({ zone }) => zone);
const bowl = (grams: number, name = 'A'): HairWork['bowls'][number] => ({
  name,
  lineId: 'tarnwick',
  shades: [{ label: '6:0', grams }],
  productGrams: 0,
  developer: [{ vol: 20, grams: grams * 1.5 }],
  additive: false,
});
const work = (change: Partial<HairWork>): HairWork => ({
  bowls: [bowl(200)],
  steps: [],
  care: [],
  ...change,
});
const play = (card: HairWork) => simulateCard(clientCase, complete(card), (id) => shippedLine(id));
const on = (areas: readonly Area[], change: Partial<Application> = {}) =>
  step({ zones, areas: [...areas], minutes: 35, ...change });
/** Dye of each area of the first place at a minute. */
const dyeByArea = (card: HairWork, minute: number) => {
  const played = play(card);
  return new Map(
    played
      .areaMomentsOf(played.parts[0], minute)
      .flatMap(({ areas, moment }) => areas.map((area) => [area, loadOf(dyeOf(moment.strand))] as const)),
  );
};

describe('areas of a head', () => {
  it('what a step leaves out is not coloured, what it comes to is', () => {
    const before = dyeByArea(work({}), 60).get('top')!;
    const dye = dyeByArea(work({ steps: [on(['nape'])] }), 60);
    for (const area of AREAS)
      if (area === 'nape') expect(dye.get(area)).toBeGreaterThan(before + 0.1);
      else expect(dye.get(area)).toBe(before);
  });

  it('front now and back later is what it is all at once, each in its own time', () => {
    const half = (some: boolean) => AREAS.filter((_, i) => i < 4 === some);
    const whole = dyeByArea(work({ steps: [on(AREAS)] }), 60);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), (later) => {
        const parted = work({ steps: [on(half(true)), on(half(false), { start: later })] });
        const dye = dyeByArea(parted, 60);
        for (const area of AREAS) expect(dye.get(area)).toBeCloseTo(whole.get(area)!, 9);
      }),
      { numRuns: 12 },
    );
  });

  it('two half bowls on the same hair are one whole bowl', () => {
    const needed = 60;
    const one = dyeByArea(work({ bowls: [bowl(needed)], steps: [on(AREAS)] }), 60);
    const two = dyeByArea(
      work({
        bowls: [bowl(needed / 2), bowl(needed / 2, 'B')],
        steps: [on(AREAS), on(AREAS, { bowl: 'B' })],
      }),
      60,
    );
    for (const area of AREAS) expect(two.get(area)).toBeCloseTo(one.get(area)!, 6);
  });

  it('areas that are otherwise than their region have a strand of their own, and alone then', () => {
    const shown = (areas: readonly Area[]) =>
      showSimulation(
        clientCase,
        complete(work({ steps: [on(areas)] })),
        (id) => shippedLine(id),
        3,
      ).frames.at(-1)!;
    expect(shown(AREAS).areas).toBeUndefined();
    const parted = shown(['nape']);
    expect(parted.areas?.flatMap(({ areas }) => areas)).toEqual(['nape']);
    expect(parted.areas![0].strand).not.toEqual(parted.strands[0]);
  });
});

describe('what is never rinsed', () => {
  const { clientCase: blonde } = shippedCase('first-blonde')!;
  const powder = {
    ...bowl(0),
    lineId: 'calder',
    shades: [],
    productGrams: 100,
    developer: [{ vol: 20, grams: 200 }],
  };
  const toner = {
    ...bowl(0, 'B'),
    lineId: 'quillet',
    shades: [{ label: '9-U', grams: 60 }],
    developer: [{ vol: 7, grams: 120 }],
  };
  const places = blonde.head.zones.map(({ zone }) => zone);
  const lightened = (ends: Application['ends'], rest: Application[] = [], care: HairWork['care'] = []) => {
    const steps = [step({ zones: places, areas: [...AREAS], minutes: 30, ends }), ...rest];
    const card = complete({ bowls: [powder, toner], steps, care });
    return simulateCard(blonde, card, (id) => shippedLine(id));
  };
  const tone = step({ bowl: 'B', zones: places, areas: [...AREAS], start: 30, minutes: 15 });
  const strandAt = (played: ReturnType<typeof lightened>, minute: number) =>
    played.momentOf(played.parts[0], minute);

  it('goes on: lightener that stays lightens and hurts further', () => {
    const [rinsed, stays] = [lightened('rinse'), lightened('stay')].map((played) => strandAt(played, 50));
    expect(stays.strand.brownBlack).toBeLessThan(rinsed.strand.brownBlack);
    expect(stays.strand.damage).toBeGreaterThan(rinsed.strand.damage);
    expect([rinsed.lying, stays.lying?.mix.product]).toEqual([null, 'lightenerStrong']);
  });

  it('lies under what comes after, which is spoilt; the same rinsed by name is rinsed', () => {
    const [rinsed, under] = [lightened('rinse', [tone]), lightened('stay', [tone])];
    expect(strandAt(under, 40).beneath.map(({ product }) => product)).toEqual(['lightenerStrong']);
    const load = (played: typeof rinsed) => loadOf(dyeOf(strandAt(played, 45).strand));
    expect(load(under)).toBeLessThan(load(rinsed) * 0.8);
    const named = lightened('stay', [tone], [{ do: 'rinse', zones: places, start: 30, water: 'cool' }]);
    expect(strandAt(named, 45)).toEqual(strandAt(rinsed, 45));
  });
});
