import fc from 'fast-check';
import { shippedCase } from '../cases';
import { zone, makeCase } from '../cases/case-maker';
import {
  type Head,
  headSchema,
  PLACE_IDS,
  placeParts,
  placeIn,
  REGIONS,
  fromScalpCm,
  beginsAtScalp,
  neighboursOf,
  regionsOf,
  hairShareOf,
  areasOf,
  type RegionName,
  type Area,
  AREAS,
  fractionOfHead,
  AREA_BEARS,
} from '../hair';
import { areasInOrder } from '../rules';
import { amountFor } from './amount-needed';
import { partsOf, shareOfPart, clientCaseSchema } from './client-case';
import { strandOfZone } from './strands';

const plain = (head: Partial<Head>): Head => ({
  zones: [],
  diameter: 'medium',
  density: 'medium',
  length: 'shoulderAllOver',
  form: 'straight',
  ...head,
});
const twoRegions = (front: readonly Area[]): Head =>
  plain({
    regions: [
      { name: 'front', areas: [...front] },
      { name: 'rest', areas: AREAS.filter((area) => !front.includes(area)) },
    ],
    zones: [
      zone('front-regrowth', { cm: 2, natural: 5, grey: 0.5 }),
      zone('front-mids', { cm: 10, natural: 5 }),
      zone('rest-mids', { cm: 20, natural: 5 }),
    ],
  });
const faults = (head: Head) => {
  const parsed = headSchema.safeParse(head);
  return parsed.success ? [] : parsed.error.issues.map(({ message }) => message);
};
const someAreas = fc.subarray([...AREAS], { minLength: 1, maxLength: AREAS.length - 1 });

describe('areas, regions and places', () => {
  it('a place is a zone of a region, by one name each', () => {
    for (const place of PLACE_IDS) {
      const { region, zone: along } = placeParts(place);
      expect(placeIn(region, along)).toBe(place);
    }
    expect(new Set(PLACE_IDS).size).toBe(4 * (REGIONS.length + 1));
  });

  it('all areas are one head, each in one half', () => {
    expect(fractionOfHead(AREAS)).toBe(1);
    expect(fractionOfHead(['nape', 'nape'])).toBe(AREA_BEARS.nape.fraction);
  });

  it('a head of regions has every area in one of them, and zones in each', () => {
    expect(faults(twoRegions(['hairline', 'temples']))).toEqual([]);
    const head = twoRegions(['hairline']);
    const [front, rest] = head.regions!;
    expect(faults({ ...head, regions: [front, { ...rest, areas: rest.areas.slice(1) }] })).toEqual([
      'areaInNoRegion',
    ]);
    expect(faults({ ...head, regions: [front, { ...rest, areas: [...rest.areas, 'hairline'] }] })).toEqual([
      'areaTwice',
    ]);
    expect(faults({ ...head, regions: [front, { ...rest, name: 'front' }] })).toContain('regionTwice');
    expect(faults({ ...head, zones: head.zones.slice(0, 2) })).toEqual(['regionWithoutZones']);
    expect(faults({ ...head, zones: [...head.zones, zone('mids', { cm: 3, natural: 5 })] })).toEqual([
      'noSuchRegion',
    ]);
    expect(faults({ ...head, zones: [...head.zones].reverse() })).toContain('zonesInOrder');
    expect(faults(plain({ zones: [zone('crown-mids', { cm: 3, natural: 5 })] }))).toEqual(['noSuchRegion']);
  });

  it('the strand of a region begins at its own scalp and has its own neighbours and diameter', () => {
    const head = twoRegions(['hairline']);
    expect(fromScalpCm(head, 'front-regrowth')).toBe(1);
    expect(fromScalpCm(head, 'front-mids')).toBe(7);
    expect(fromScalpCm(head, 'rest-mids')).toBe(10);
    expect(
      ['front-regrowth', 'front-mids', 'rest-mids'].map((name) => beginsAtScalp(head, name as never)),
    ).toEqual([true, false, true]);
    expect(neighboursOf(head, 'front-mids')).toEqual(['front-regrowth']);
    expect(neighboursOf(head, 'rest-mids')).toEqual([]);
    const fine: Head = { ...head, regions: [{ ...head.regions![0], diameter: 'fine' }, head.regions![1]] };
    expect(strandOfZone(fine, 'front-mids').diameter).toBe('fine');
    expect(strandOfZone(fine, 'rest-mids').diameter).toBe('medium');
  });

  it('regions share out the hair and the mix: as much as one head alike, more where it is dense', () => {
    fc.assert(
      fc.property(someAreas, (front) => {
        const head = twoRegions(front);
        const shares = regionsOf(head).map((region) => hairShareOf(head, region));
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(areasOf(regionsOf(head), ['front-mids', 'rest-mids'])).toEqual([...AREAS]);
        const all = amountFor(head, ['front-regrowth', 'front-mids', 'rest-mids'], 1);
        const alike = amountFor(plain({ zones: [zone('mids', { cm: 20, natural: 5 })] }), ['mids'], 1);
        expect(all.maxGrams).toBeCloseTo(alike.maxGrams, 6);
        const parts = [['front-regrowth', 'front-mids'] as const, ['rest-mids'] as const].map((places) =>
          amountFor(head, places, 1),
        );
        expect(parts[0].minGrams + parts[1].minGrams).toBeCloseTo(all.minGrams, 6);
        const dense: Head = {
          ...head,
          regions: [{ ...head.regions![0], density: 'dense' }, head.regions![1]],
        };
        expect(hairShareOf(dense, regionsOf(dense)[0])).toBeGreaterThan(shares[0]);
        expect(amountFor(dense, ['front-mids'], 1).minGrams).toBeGreaterThan(
          amountFor(head, ['front-mids'], 1).minGrams,
        );
      }),
      { numRuns: 40 },
    );
  });

  it('placements are of places that are there, none twice, and share each place out', () => {
    const { clientCase } = shippedCase('light-round-the-face')!;
    for (const part of partsOf(clientCase)) {
      const share = part.zone === 'front-mids' ? 0.4 : 0.2;
      expect(shareOfPart(clientCase, part)).toBeCloseTo(part.woven ? share : 1 - share);
    }
    const twice = { ...clientCase, placements: [clientCase.placements![0], clientCase.placements![0]] };
    expect(clientCaseSchema.safeParse(twice).error!.issues.map(({ message }) => message)).toEqual([
      'placedTwice',
    ]);
    const nowhere = makeCase({
      title: 'x',
      difficulty: 1,
      client: { name: 'x', note: '' },
      zones: [zone('mids', { cm: 9, natural: 5 })],
      wish: {},
      placements: [{ share: 0.3, zones: ['ends'], target: { level: 8, tone: { primary: 'gold' } } }],
      lineIds: ['calder'],
    });
    expect(clientCaseSchema.safeParse(nowhere).error!.issues[0].message).toBe('zoneNotOnHead');
  });
});

describe('the order of areas', () => {
  const even = { grey: 0, density: 'medium' as const };
  it('goes from the nape up, over grey from where it is thickest, the hairline once more at the end (A4, F8)', () => {
    expect(areasInOrder(AREAS, () => even)[0]).toBe('nape');
    const grey = areasInOrder(AREAS, (area) => ({ ...even, grey: area === 'crown' ? 0.6 : 0.2 }));
    expect(grey[0]).toBe('crown');
    expect(grey.at(-1)).toBe('hairline');
    expect(grey).toHaveLength(AREAS.length + 1);
    // Under a twentieth there is nothing to cover, and no reason to begin in front.
    expect(areasInOrder(AREAS, () => ({ ...even, grey: 0.04 }))[0]).toBe('nape');
    expect(areasInOrder(AREAS, () => ({ ...even, grey: 0.05 }))[0]).toBe('hairline');
  });

  it('goes from the densest to the thinnest where the hair grows unevenly (C7)', () => {
    const dense: RegionName[] = ['crown'];
    const order = areasInOrder(AREAS, (area) => ({
      grey: 0,
      density: dense.includes(area as RegionName) ? 'dense' : area === 'nape' ? 'sparse' : 'medium',
    }));
    expect([order[0], order.at(-1)]).toEqual(['crown', 'nape']);
  });
});
