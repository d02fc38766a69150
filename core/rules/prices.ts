/** A fault priced by how far off it is: from each distance on so much of its criterion is lost, straight lines between. */
export type Price = readonly (readonly [distance: number, loss: number])[];

/** Fraction 0–1 of the criterion that a distance costs; nothing up to the first point, no more than the last. */
export function lossAt(price: Price, distance: number): number {
  const [first] = price;
  if (distance <= first[0]) return distance < first[0] ? 0 : first[1];
  for (let i = 1; i < price.length; i++) {
    const [to, loss] = price[i];
    if (distance > to) continue;
    const [from, before] = price[i - 1];
    return before + ((loss - before) * (distance - from)) / (to - from);
  }
  return price[price.length - 1][1];
}

/** Faults beyond the worst of a place count by this much of their price. */
export const FURTHER_FAULTS = 0.25;

/**
 * What faults cost, as fractions 0–1 of the criterion they stand under. Distances are levels, fractions, volumes or
 * minutes as named; tolerances (a quarter of a level, careful weighing, two minutes) cost nothing.
 */
export const PRICES = {
  /** Right by another school of the house rules, where the head is as wished. */
  otherSchool: 0.25,
  reading: {
    /** Levels off. */
    level: [
      [0, 0],
      [0.5, 0.25],
      [1, 0.6],
      [1.5, 1],
    ],
    /** Fraction of white off; grey is read to the quarter. */
    grey: [
      [0.125, 0],
      [0.25, 0.4],
      [0.5, 1],
    ],
  },
  prediction: { neighbour: 0.4, otherDose: 0.4, other: 1 },
  route: {
    costlier: 0.4,
    /** Permanent on porous hair (F11); lightener that takes the warmth a wish is carried by (U3). */
    onPorous: 0.6,
    againstWish: 0.6,
    /** A step of the theory that was left out and the head forgives: filler, remover, cleanse, chelating wash. */
    leftOut: 0.6,
    /** Strong powder where a gentle one is asked, or the other way round, where it gets there all the same (P3). */
    otherPowder: 0.7,
    cannot: 1,
    /** Hair that was to be left, by how it came out. */
    spoilt: { asWished: 0.6, near: 0.6, noticeable: 1, needsCorrection: 1 },
    besides: 0.4,
  },
  /** Levels beyond what is right. */
  depth: [
    [0.25, 0],
    [0.5, 0.25],
    [1, 0.6],
    [2, 1],
  ],
  tone: { strength: 0.25, neighbour: 0.5, none: 0.7, opposite: 1 },
  grey: {
    /** Fraction of the mix by which the natural series falls short. */
    short: [
      [0.03, 0],
      [1 / 6, 0.3],
      [0.25, 0.5],
      [0.5, 1],
    ],
    noneOnHalfGrey: 1,
    /** Fraction of the mix by which it is more than the grey asks for. */
    over: [
      [0.1, 0],
      [0.25, 0.3],
      [0.5, 0.5],
    ],
  },
  developer: {
    /** Volumes off what is right; ten are a step. */
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
  /** Fraction off the nearest ratio that the line allows. */
  ratio: [
    [0.03, 0],
    [0.1, 0.2],
    [0.25, 0.5],
    [0.5, 1],
  ],
  amount: {
    /** Fraction short of the least that covers. */
    short: [
      [0.03, 0],
      [0.2, 0.2],
      [1 / 3, 0.6],
      [0.5, 1],
    ],
    /** Times the most that is needed. */
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
    /** Minutes that the next bowl goes on before the last is rinsed. */
    tooSoon: [
      [0, 0],
      [5, 0.6],
    ],
    unprotected: 0.6,
    meltLeftHard: 0.6,
    leftoverBeforeItsBowl: 0.5,
    wet: 0.5,
    otherShare: 0.5,
    /** Slices where fine weaves were asked for, and the like. */
    otherTaken: 0.3,
    refreshEarly: 0.3,
    wrongEnd: 0.3,
    rootTime: 0.3,
    washOpen: 0.2,
    /** Areas of a place that are left out: the share of its hair they bear, this at least where they always show. */
    areaSeen: 0.6,
    /** Treated or sealed before it was rinsed. */
    treatedUnrinsed: 0.3,
    /** What lifted or removed only rinsed before the next bowl. */
    notWashedOut: 0.2,
  },
  timing: {
    /** Fraction of the right time that is missing or too much. */
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
    /** Levels short of, and past, the level watched for. */
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
    /** Minutes beyond the longest that the product works. */
    spent: 0.2,
    neverRinsed: 1,
    heat: 0.3,
    /** Heat that goes on to the end, so that the hair is rinsed hot (R4). */
    heatLate: 0.15,
    /** Watched for something that this product is not watched for (R2). */
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
    /** By how far what was told is from what the own card takes, as a share of that. */
    quote: [
      [0.1, 0],
      [0.5, 0.3],
    ],
  },
} as const;
