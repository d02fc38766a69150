import fc from 'fast-check';
import {
  type LineOf,
  stepsOn,
  lastMinute,
  reachedAt,
  longestUnwatched,
  type Bowl,
  EMPTY_CARD,
  recordCardSchema,
  type HairWork,
  type Application,
  applicationSchema,
  bowlGrams,
  bowlRatio,
  bowlVol,
  mixOfBowl,
  productOf,
  shadePartsOf,
  complete,
} from '../card';
import {
  partsOf,
  partName,
  type ClientCase,
  type HeadAndWish,
  wishLooks,
  nowLooks,
  targetLab,
  answerTo,
  shownBy,
} from '../case';
import { shippedCase, SHIPPED_CASES } from '../cases';
import { headSchema, fromScalpCm, stretchesOf, type PlaceId, type Strand, dyeOf, loadOf } from '../hair';
import { PRODUCTS } from '../process';
import { shippedLine } from '../product';
import { AREA_ORDERS } from '../rules';
import { step } from '../testing/cards';
import { showSimulation } from './frames';
import { simulateCard } from './simulate';

const tarnwick = shippedLine('tarnwick')!;
const lineOf: LineOf = (id) => shippedLine(id);
const caseOf = (id: string) => shippedCase(id)!.clientCase;
const bowl = (change: Partial<Bowl> = {}): Bowl => ({
  name: 'A',
  lineId: 'tarnwick',
  shades: [{ label: '6:0', grams: 20 }],
  productGrams: 0,
  developer: [{ vol: 20, grams: 30 }],
  additive: false,
  ...change,
});

const playCard = (clientCase: HeadAndWish, card: HairWork, lines: LineOf) =>
  simulateCard(clientCase, complete(card), lines);
const show = (clientCase: HeadAndWish, card: HairWork, lines: LineOf, seed: number, tells?: boolean) =>
  showSimulation(clientCase, complete(card), lines, seed, tells);

describe('a bowl as weighed', () => {
  it('has the ratio and strength that its grams come to, correctors and all', () => {
    const two = bowl({
      shades: [
        { label: '6:0', grams: 18 },
        { label: 'K:7', grams: 2 },
      ],
      developer: [
        { vol: 40, grams: 15 },
        { vol: 0, grams: 15 },
      ],
    });
    expect([bowlGrams(two), bowlRatio(two), bowlVol(two)]).toEqual([50, 1.5, 20]);
    expect(mixOfBowl(two, tarnwick)).toMatchObject({ product: 'permanent', developerVol: 20, ratio: 1.5 });
  });

  it('is no mix while something is missing, and acts as high-lift when its shades are', () => {
    expect(mixOfBowl(bowl({ shades: [] }), tarnwick)).toBeNull();
    expect(mixOfBowl(bowl({ developer: [] }), tarnwick)).toBeNull();
    expect(mixOfBowl(bowl({ productGrams: 0, shades: [] }), shippedLine('calder')!)).toBeNull();
    const high = bowl({ shades: [{ label: '12:0', grams: 20 }] });
    expect(productOf(tarnwick, shadePartsOf(high, tarnwick))).toBe('highLift');
    const dye = bowl({
      lineId: 'brindle',
      shades: [
        { label: 'Damson', grams: 5 },
        { label: 'Lagoon', grams: 15 },
      ],
      developer: [],
    });
    const { vivid } = mixOfBowl(dye, shippedLine('brindle')!)!;
    expect(vivid!.directBlue! / vivid!.directViolet!).toBeCloseTo(3);
    expect(PRODUCTS.direct.kind).toBe('direct');
  });

  it('reads nothing that is not in the key of its line', () => {
    expect(shadePartsOf(bowl({ shades: [{ label: '6-L', grams: 9 }] }), tarnwick)).toEqual([]);
  });
});

describe('a head', () => {
  it('has its zones in order, once each, and a middle for each', () => {
    const { head } = caseOf('retouch-grey');
    expect(headSchema.safeParse({ ...head, zones: [...head.zones].reverse() }).success).toBe(false);
    expect(headSchema.safeParse({ ...head, zones: [head.zones[0], head.zones[0]] }).success).toBe(false);
    expect(head.zones.map(({ zone }) => fromScalpCm(head, zone))).toEqual([0.75, 10.5, 23.5]);
    expect(() => fromScalpCm(head, 'band')).toThrow(RangeError);
  });

  it('is drawn from root to tip without a gap', () => {
    for (const { clientCase } of SHIPPED_CASES) {
      const stretches = stretchesOf(clientCase.head);
      expect([stretches[0].from, stretches.at(-1)!.to]).toEqual([0, 1]);
      for (let i = 1; i < stretches.length; i++) expect(stretches[i].from).toBeCloseTo(stretches[i - 1].to);
    }
  });
});

describe('a card on its head', () => {
  const woven = caseOf('woven-light');

  it('reaches woven strands with what is in foils, and all of the hair with what is not', () => {
    const steps = [step({ share: 0.3, placement: 'foils' }), step({ start: 40, bowl: 'B' })];
    const names = (isWoven: boolean) =>
      stepsOn({ steps }, { zone: 'mids', woven: isWoven }).map((application) => application.bowl);
    expect(names(true)).toEqual(['A', 'B']);
    expect(names(false)).toEqual(['B']);
    expect(partsOf(woven).map(partName)).toEqual(['regrowth', 'regrowth.woven', 'mids', 'mids.woven']);
  });

  it('draws woven strands among the others, and the wish as it is wished', () => {
    const [look] = wishLooks(woven, nowLooks(woven, 'daylight', 1));
    expect(look.zones.map(({ greyShare }) => greyShare)).toEqual([0.3, 0.3]);
    expect(look.zones[0].grey).toEqual(targetLab(woven.placements![0].target));
    const golden = caseOf('golden-gloss');
    const [gloss] = wishLooks(golden, nowLooks(golden, 'daylight', 1));
    expect(
      gloss.zones.every(({ colour }) => colour.l === targetLab({ level: 7, tone: { primary: 'gold' } }).l),
    ).toBe(true);
  });

  it('does nothing without a finished bowl, and ends with its last rinse', () => {
    const clientCase = caseOf('winter-brown');
    const empty = playCard(
      clientCase,
      { bowls: [bowl({ developer: [] })], steps: [step()], care: [] },
      lineOf,
    );
    const [before, after] = [0, 35].map((minute) => empty.outcomeAt(minute)[0].level);
    expect(after).toBe(before);
    expect(lastMinute({ steps: [step(), step({ start: 40, minutes: 20 })], care: [] })).toBe(60);
    expect(playCard(clientCase, EMPTY_CARD, lineOf).minutes).toBe(0);
  });

  it('shows what the eye sees: covered while a bowl lies, the same hair before and after nothing', () => {
    const clientCase = caseOf('winter-brown');
    const shown = show(clientCase, { bowls: [bowl()], steps: [step({ start: 5 })], care: [] }, lineOf, 3);
    expect(shown.frames).toHaveLength(41);
    expect(shown.frames.map(({ covered }) => Object.values(covered)).slice(4, 7)).toEqual([
      [],
      ['cream'],
      ['cream'],
    ]);
    expect(shown.frames[40].covered).toEqual({});
    expect(shown.frames.map(({ strands }) => strands[0].wet).slice(38)).toEqual([false, false, true]);
    expect(shown.frames[4].strands).toEqual(shown.frames[0].strands);
    const long = show(
      clientCase,
      { bowls: [bowl()], steps: [step({ start: 200, minutes: 35 })], care: [] },
      lineOf,
      3,
    );
    expect(long.frames.at(-1)!.minute).toBe(235);
    expect(long.frames.length).toBeLessThan(130);
  });

  it('gives the same at a minute whatever was asked before', () => {
    const clientCase = caseOf('first-blonde');
    const plan = {
      bowls: [bowl({ lineId: 'calder', shades: [], productGrams: 20, developer: [{ vol: 20, grams: 40 }] })],
      steps: [step({ zones: ['mids', 'ends'], minutes: 30 })],
      care: [],
    };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (value, other) => {
        const played = playCard(clientCase, plan, lineOf);
        played.outcomeAt(other);
        expect(played.outcomeAt(value)).toEqual(playCard(clientCase, plan, lineOf).outcomeAt(value));
      }),
      { numRuns: 15 },
    );
  });
});

describe('what a client tells and a test shows', () => {
  it('never gives away a level or a share that is to be read', () => {
    for (const { clientCase } of SHIPPED_CASES) {
      const reasons = [
        ...(['lastColour', 'reactions', 'scalp', 'metallicSalts', 'upkeep'] as const).flatMap((name) =>
          answerTo(clientCase, name),
        ),
        ...(['patch', 'strand', 'elasticity', 'porosity'] as const).flatMap((name) =>
          shownBy(clientCase, name),
        ),
      ];
      for (const { params } of reasons)
        expect(Object.keys(params).filter((name) => /level|grey|natural/i.test(name))).toEqual([]);
    }
  });

  it('shows strength that is lost as hair that does not come back', () => {
    const weak = shownBy(caseOf('dream-of-silver'), 'elasticity');
    const [root, , ends] = weak.map(({ params }) => Number(params.returns));
    expect(ends).toBeLessThan(root);
  });

  it('is asked for by a card that holds together', () => {
    expect(recordCardSchema.parse(EMPTY_CARD)).toEqual(EMPTY_CARD);
    expect(recordCardSchema.safeParse({ ...EMPTY_CARD, steps: [step({ zones: [] })] }).success).toBe(false);
  });
});

describe('what a card says beside bowls and minutes', () => {
  const blonde = caseOf('first-blonde');
  /** Enough for all of the hair. */
  const plenty = bowl({ shades: [{ label: '6:0', grams: 100 }], developer: [{ vol: 20, grams: 150 }] });
  const mids = (plan: Partial<HairWork>, minute: number, clientCase: ClientCase = blonde) =>
    playCard(clientCase, { bowls: [plenty], steps: [step()], care: [], ...plan }, lineOf)
      .outcomeAt(minute)
      .find(({ part }) => part.zone.endsWith('mids'))!.strand;

  it('heat works while it is on, not before and not after', () => {
    const heated = (heat: Application['heat']) => mids({ steps: [step({ heat })] }, 20).damage;
    expect(heated({ from: 0, to: 10 })).toBeGreaterThan(heated(null));
    expect(heated({ from: 0, to: 5 })).toBeLessThan(heated({ from: 0, to: 10 }));
    expect(heated({ from: 25, to: 35 })).toBe(heated(null));
  });

  it('partings up to the limit of their product reach every hair, thicker ones leave spots (A4)', () => {
    const spots = (partingMm: number) => mids({ steps: [step({ partingMm })] }, 35).spots.length;
    expect([6, 12].map(spots)).toEqual([0, 0]);
    expect(spots(24)).toBeGreaterThan(0);
  });

  it('hair that is come to later lies so much shorter, by the areas before it (A4)', () => {
    const nape = caseOf('dense-nape');
    const plan = (takesMinutes: number, areas: Application['areas']) => ({
      steps: [step({ zones: nape.head.zones.map(({ zone }) => zone), minutes: 30, takesMinutes, areas })],
    });
    const order = AREA_ORDERS.napeUp;
    const places = (takes: number, areas: Application['areas']) =>
      areas.map((area) => reachedAt(plan(takes, areas).steps[0], area));
    expect(Math.max(...places(0, [...order]))).toBe(0);
    expect(Math.min(...places(20, [...order]))).toBe(0);
    expect(Math.max(...places(20, [...order]))).toBeGreaterThan(0);
    expect(Math.max(...places(20, [...order]))).toBeLessThanOrEqual(20);
    // What is rinsed before anyone came to it has nothing on it, then or ever.
    const late = playCard(
      nape,
      {
        bowls: [plenty],
        steps: [{ ...plan(90, [...order]).steps[0], minutes: 10 }],
        care: [],
      },
      lineOf,
    );
    const areas = (minute: number, lies: boolean) =>
      late.parts
        .flatMap((part) => late.areaMomentsOf(part, minute))
        .filter(({ moment }) => (moment.lying !== null) === lies).length;
    expect(areas(5, true)).toBeGreaterThan(0);
    expect(areas(5, false)).toBeGreaterThan(0);
    expect(areas(120, true)).toBe(0);
  });

  it('heat that ends before it begins is no heat, and said so', () => {
    const heated = (from: number, to: number) =>
      applicationSchema.safeParse(step({ heat: { from, to } })).success;
    expect([heated(0, 10), heated(10, 10), heated(10, 5)]).toEqual([true, false, false]);
  });

  it('emulsifying thins what lies there, and brings it to hair beside it on which nothing lies (A1)', () => {
    const emulsify = { do: 'emulsify' as const, zones: ['mids', 'ends'] as PlaceId[], start: 20 };
    const dye = (strand: Strand) => loadOf(dyeOf(strand));
    const ends = (care: HairWork['care'], minute: number) =>
      playCard(blonde, { bowls: [plenty], steps: [step()], care }, lineOf)
        .outcomeAt(minute)
        .find(({ part }) => part.zone === 'ends')!.strand;
    expect(dye(ends([emulsify], 35))).toBeGreaterThan(dye(ends([], 35)));
    expect(dye(mids({ care: [emulsify] }, 35))).not.toBe(dye(mids({}, 35)));
    // Rinsed with the rest.
    expect(ends([emulsify], 60)).toEqual(ends([emulsify], 35));
  });

  it('rinsing some places apart ends it there and nowhere else', () => {
    const rinse = { do: 'rinse' as const, zones: ['mids'] as PlaceId[], start: 10, water: 'cool' as const };
    const both = step({ zones: ['mids', 'ends'] });
    const at = (care: HairWork['care'], place: PlaceId) =>
      playCard(blonde, { bowls: [plenty], steps: [both], care }, lineOf)
        .outcomeAt(35)
        .find(({ part }) => part.zone === place)!.strand;
    expect(at([rinse], 'mids')).not.toEqual(at([], 'mids'));
    expect(at([rinse], 'ends')).toEqual(at([], 'ends'));
  });

  it('a strand looked at at named minutes is unwatched between them', () => {
    const unwatched = (change: Partial<Application>) => longestUnwatched(step({ minutes: 30, ...change }));
    expect(unwatched({})).toBeNull();
    expect(unwatched({ checkEvery: 5 })).toBe(5);
    expect(unwatched({ checkAt: [10, 20, 25] })).toBe(10);
    expect(unwatched({ checkAt: [25] })).toBe(25);
    expect(unwatched({ checkAt: [40] })).toBeNull();
  });
});
