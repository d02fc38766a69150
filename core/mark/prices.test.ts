import { EMPTY_CARD } from '../card';
import { PRICES, FURTHER_FAULTS, type Price, lossAt } from '../rules';
import { UNWATCHED } from './ceiling';
import {
  educatorRulingSchema,
  NO_RULING,
  MOST_ADDED,
  MOST_ACCEPTED,
  decisionSchema,
} from './educator-ruling';

/** The price list of the marking standard, as its table has it. */
const STANDARD = {
  otherSchool: 0.25,
  reading: {
    level: [
      [0, 0],
      [0.5, 0.25],
      [1, 0.6],
      [1.5, 1],
    ],
    grey: [
      [0.125, 0],
      [0.25, 0.4],
      [0.5, 1],
    ],
  },
  prediction: { neighbour: 0.4, otherDose: 0.4, other: 1 },
  route: {
    costlier: 0.4,
    leftOut: 0.6,
    otherPowder: 0.7,
    onPorous: 0.6,
    againstWish: 0.6,
    cannot: 1,
    spoilt: { asWished: 0.6, near: 0.6, noticeable: 1, needsCorrection: 1 },
    besides: 0.4,
  },
  depth: [
    [0.25, 0],
    [0.5, 0.25],
    [1, 0.6],
    [2, 1],
  ],
  tone: { strength: 0.25, neighbour: 0.5, none: 0.7, opposite: 1 },
  grey: {
    short: [
      [0.03, 0],
      [1 / 6, 0.3],
      [0.25, 0.5],
      [0.5, 1],
    ],
    noneOnHalfGrey: 1,
    over: [
      [0.1, 0],
      [0.25, 0.3],
      [0.5, 0.5],
    ],
  },
  developer: {
    volsOff: [
      [1, 0],
      [10, 0.6],
      [20, 1],
    ],
    cannot: 1,
    againstDirections: 0.6,
    notOfLine: 0.5,
    notNeeded: 0.4,
  },
  ratio: [
    [0.03, 0],
    [0.1, 0.2],
    [0.25, 0.5],
    [0.5, 1],
  ],
  amount: {
    short: [
      [0.03, 0],
      [0.2, 0.2],
      [1 / 3, 0.6],
      [0.5, 1],
    ],
    over: [
      [1.03, 0],
      [2, 0.4],
      [3, 0.8],
    ],
    bowlUnused: 0.3,
    bowlTwice: 0.3,
    labelUnread: 0.3,
  },
  order: {
    overlap: 1,
    noFoils: 1,
    rootFirst: 0.8,
    rootWithLengths: 0.6,
    tooSoon: [
      [0, 0],
      [5, 0.6],
    ],
    unprotected: 0.6,
    meltLeftHard: 0.6,
    leftoverBeforeItsBowl: 0.5,
    wet: 0.5,
    otherShare: 0.5,
    otherTaken: 0.3,
    refreshEarly: 0.3,
    wrongEnd: 0.3,
    rootTime: 0.3,
    washOpen: 0.2,
    areaSeen: 0.6,
    treatedUnrinsed: 0.3,
    notWashedOut: 0.2,
  },
  timing: {
    off: [
      [0, 0],
      [0.1, 0.2],
      [0.25, 0.5],
      [0.5, 1],
    ],
    long: [
      [0, 0],
      [0.1, 0.2],
      [0.25, 0.5],
      [1, 1],
    ],
    levelShort: [
      [0.35, 0],
      [1, 1],
    ],
    levelPast: [
      [0.6, 0],
      [1.25, 1],
    ],
    neverLookedAt: 0.4,
    seldom: 0.2,
    spent: 0.2,
    neverRinsed: 1,
    heat: 0.3,
    heatLate: 0.15,
    otherSign: 0.15,
  },
  safety: {
    patch: 0.7,
    allergy: 0.7,
    question: 0.5,
    test: 0.5,
    smaller: 0.2,
    decision: 1,
    declinedUnasked: 0.5,
    tooFewVisits: 0.6,
    tooManyVisits: 0.2,
    visitsOpen: 0.6,
  },
  aftercare: {
    missing: 0.3,
    harms: 0.3,
    date: 0.3,
    quoteOpen: 0.3,
    quote: [
      [0.1, 0],
      [0.5, 0.3],
    ],
  },
};

describe('the price list', () => {
  it('is that of the standard, row by row', () => {
    expect(PRICES).toEqual(STANDARD);
    expect([FURTHER_FAULTS, UNWATCHED]).toEqual([0.25, 75]);
  });

  it('costs nothing before its first distance, its rows at theirs, straight lines between, no more after the last', () => {
    const rows = (of: object): Price[] =>
      Object.values(of).flatMap((one: unknown): Price[] =>
        Array.isArray(one) ? [one as unknown as Price] : typeof one === 'object' && one ? rows(one) : [],
      );
    const all = rows(PRICES);
    expect(all.length).toBeGreaterThan(8);
    for (const price of all) {
      const [first] = price;
      const last = price[price.length - 1];
      expect(lossAt(price, first[0] - 1e-6)).toBe(0);
      expect(lossAt(price, first[0])).toBe(first[1]);
      expect(lossAt(price, last[0] * 3 + 1)).toBe(last[1]);
      price.forEach(([distance, loss], i) => {
        expect(lossAt(price, distance)).toBeCloseTo(loss, 9);
        if (i === 0) return;
        const [before, less] = price[i - 1];
        expect(lossAt(price, (before + distance) / 2)).toBeCloseTo((less + loss) / 2, 9);
      });
    }
  });
});

describe('what the educator’s word may hold', () => {
  const decision = { criteria: ['depth' as const], places: ['mids'], role: 'colour' as const };
  const holds = (change: object) => educatorRulingSchema.safeParse({ ...NO_RULING, ...change }).success;
  it('so many decisions added, struck and plans accepted, and no more', () => {
    expect([MOST_ADDED, MOST_ACCEPTED]).toEqual([5, 10]);
    expect(holds({ added: Array(5).fill(decision) })).toBe(true);
    expect(holds({ added: Array(6).fill(decision) })).toBe(false);
    expect(holds({ struck: Array(20).fill(decision) })).toBe(true);
    expect(holds({ struck: Array(21).fill(decision) })).toBe(false);
    expect(holds({ accepted: Array(10).fill(EMPTY_CARD) })).toBe(true);
    expect(holds({ accepted: Array(11).fill(EMPTY_CARD) })).toBe(false);
  });
  it('decisions of one criterion or two, of known places', () => {
    const is = (change: object) => decisionSchema.safeParse({ ...decision, ...change }).success;
    expect(is({})).toBe(true);
    expect(is({ criteria: [] })).toBe(false);
    expect(is({ criteria: ['depth', 'tone'] })).toBe(true);
    expect(is({ criteria: ['depth', 'tone', 'route'] })).toBe(false);
    expect(is({ places: ['x'.repeat(40)] })).toBe(true);
    expect(is({ places: ['x'.repeat(41)] })).toBe(false);
    expect(is({ places: [''] })).toBe(false);
  });
});
