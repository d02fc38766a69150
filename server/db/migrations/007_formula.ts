/**
 * What a one-bowl exercise was, and what it is as a small case: frozen here, since the code that knew it is gone.
 * Shapes are those of the database before and after, and no more of them than is moved.
 */
interface Parted {
  parts: number;
}
export interface OldCase {
  client: { name: string; note: string };
  zone: { naturalLevel: number; greyShare: number; porosity: string; diameter: string };
  service: 'retouch' | 'shortAllOver' | 'shoulderAllOver' | 'longAllOver';
  density: string;
  target: { level: number; tone: object };
  lineId: string;
}
export interface OldAnswer {
  naturalLevel: number | null;
  underlay: string | null;
  counter: string | null;
  shades: (Parted & { label: string })[];
  developer: (Parted & { vol: number })[];
  ratio: number | null;
  totalGrams: number | null;
  minutes: number | null;
}
export interface OldKey {
  version: number;
  levelsToMove: number;
  underlay: string;
  counter: string;
  shades: OldAnswer['shades'];
  developerVol: number;
  pour?: OldAnswer['developer'];
  ratio: number;
  minutes: number;
  totalGrams: number;
}
interface Finding {
  code: string;
  rule?: string;
  params: Record<string, unknown>;
}
interface OldMark {
  criterion: string;
  share: number;
  verdict: string;
  followed: boolean;
  findings: Finding[];
  points: number;
  max: number;
}
export interface OldGrade {
  version: number;
  points: number;
  max: number;
  criteria: OldMark[];
  houseRules: unknown[];
}

const ZONE = 'mids';
const LENGTH_CM: Record<OldCase['service'], number> = {
  retouch: 1.5,
  shortAllOver: 10,
  shoulderAllOver: 30,
  longAllOver: 50,
};
const tenth = (grams: number) => Math.round(grams * 10) / 10;
const sum = (all: readonly Parted[]) => all.reduce((total, { parts }) => total + parts, 0);

/** One zone, alike from root to tip, never coloured. */
export const caseOf = ({ client, zone, service, density, target, lineId }: OldCase, title: string) => ({
  title: title.slice(0, 80),
  difficulty: 1,
  client,
  head: {
    zones: [
      {
        zone: ZONE,
        lengthCm: LENGTH_CM[service],
        naturalLevel: zone.naturalLevel,
        greyShare: zone.greyShare,
        porosity: zone.porosity,
        history: [],
        damage: 0,
      },
    ],
    diameter: zone.diameter,
    density,
    length: service,
    form: 'straight',
  },
  facts: {
    reaction: false,
    scalp: 'sound',
    metallicSalts: false,
    weeksSinceColour: null,
    upkeepWeeks: 6,
  },
  wish: { [ZONE]: target },
  lineIds: [lineId],
});

/** Grams of colour that stand for one part where no amount was chosen yet: parts keep their proportion. */
const GRAMS_A_PART = 10;

function bowlsOf(answer: OldAnswer, lineId: string) {
  const { shades, developer, ratio, totalGrams } = answer;
  if (shades.length === 0 && developer.length === 0) return [];
  const whole = totalGrams !== null && ratio !== null ? totalGrams / (1 + ratio) : null;
  const colour = whole ?? sum(shades) * GRAMS_A_PART;
  const poured = ratio === null ? 0 : colour * ratio;
  return [
    {
      name: 'A',
      lineId,
      shades: shades.map(({ label, parts }) => ({ label, grams: tenth((colour * parts) / sum(shades)) })),
      productGrams: 0,
      developer: developer.map(({ vol, parts }) => ({
        vol,
        grams: tenth((poured * parts) / sum(developer)),
      })),
      additive: false,
    },
  ];
}

const stepOf = (greyShare: number, minutes: number) => ({
  bowl: 'A',
  zones: [ZONE],
  placement: 'open',
  share: 1,
  startsAt: greyShare >= 0.25 ? 'front' : 'nape',
  stopsAtLine: true,
  wet: false,
  start: 0,
  minutes,
  warmth: false,
  checkEvery: null,
  ends: 'rinse',
});

/** What a student had written, as a card: half of it may be open, and stays so. */
export const cardOf = (answer: OldAnswer, { zone, lineId }: Pick<OldCase, 'zone' | 'lineId'>) => ({
  readings: {
    [ZONE]: {
      level: answer.naturalLevel,
      // The share of grey was told.
      greyShare: zone.greyShare,
      underlay: answer.underlay,
      counter: answer.counter,
    },
  },
  asked: [],
  tests: [],
  decision: null,
  visits: null,
  bowls: bowlsOf(answer, lineId),
  wash: null,
  steps:
    answer.minutes === null || (answer.shades.length === 0 && answer.developer.length === 0)
      ? []
      : [stepOf(zone.greyShare, answer.minutes)],
  aftercare: [],
  nextVisitWeeks: null,
});

/** The computed key as the model answer of the small case. */
export function solutionOf(old: OldCase, key: OldKey, title: string) {
  const visit = caseOf(old, title);
  const lifts = key.levelsToMove > 0.5;
  const best = {
    ...cardOf(
      {
        naturalLevel: old.zone.naturalLevel,
        underlay: key.underlay,
        counter: key.counter,
        shades: key.shades,
        developer: key.pour ?? [{ vol: key.developerVol, parts: 1 }],
        ratio: key.ratio,
        totalGrams: key.totalGrams,
        minutes: key.minutes,
      },
      old,
    ),
    asked: ['lastColour', 'reactions', 'scalp', 'metallicSalts', 'upkeep'],
    tests: ['patch'],
    decision: 'goOn',
    visits: 1,
    aftercare: ['gentleWash', 'heatProtection', 'coolWater'],
    nextVisitWeeks: 5,
  };
  return {
    version: key.version,
    visit,
    visits: [{ wish: visit.wish, afterWeeks: 0 }],
    stops: [],
    best,
    choices: [
      {
        part: ZONE,
        route: lifts ? 'liftWithColour' : 'deposit',
        reason: lifts
          ? { code: 'route.lift', rule: 'F2', params: { levels: key.levelsToMove } }
          : { code: 'route.deposit', rule: 'F4', params: {} },
        deltaE: null,
      },
    ],
    equivalents: [],
    proof: [],
  };
}

/** Criteria of the one world by those of the other; two became one. */
const CRITERIA: Record<string, string> = {
  levelReading: 'reading',
  underlay: 'prediction',
  counterTone: 'prediction',
  depth: 'depth',
  tone: 'tone',
  greyShare: 'greyShare',
  developer: 'developer',
  ratio: 'ratio',
  amount: 'amount',
  minutes: 'timing',
};
export const criterionOf = (old: string) => CRITERIA[old] ?? old;

export function rubricOf(old: Record<string, number>): Record<string, number> {
  const rubric: Record<string, number> = {};
  for (const [name, points] of Object.entries(old))
    rubric[criterionOf(name)] = (rubric[criterionOf(name)] ?? 0) + points;
  return rubric;
}

const OTHER_CODES: Record<string, string> = {
  'counterTone.kept': 'mark.counter.right',
  'counterTone.shouldNeutralise': 'mark.counter.kept',
  'counterTone.dose': 'mark.counter.wrong',
  'depth.followed': 'mark.followed',
  'developer.followed': 'mark.followed',
};
const SECTIONS: Record<string, string> = {
  levelReading: 'reading',
  underlay: 'prediction',
  counterTone: 'counter',
  minutes: 'timing',
};

function findingOf({ code, rule, params }: Finding): Finding {
  const [section, rest] = code.split('.');
  return {
    code: OTHER_CODES[code] ?? `mark.${SECTIONS[section] ?? section}.${rest}`,
    ...(rule ? { rule } : {}),
    params: { ...params, zone: ZONE, woven: false, bowl: 'A' },
  };
}

const verdictOf = (share: number, open: boolean) =>
  share >= 1 ? 'right' : share > 0 ? 'near' : open ? 'open' : 'wrong';

/** The marks as they were, by the criteria as they are: points and words stay. */
export function gradeOf({ version, points, max, criteria, houseRules }: OldGrade) {
  const names = [...new Set(criteria.map(({ criterion }) => criterionOf(criterion)))];
  return {
    version,
    points,
    max,
    uncapped: points,
    capPoints: null,
    dangers: [],
    criteria: names.map((name) => {
      const own = criteria.filter(({ criterion }) => criterionOf(criterion) === name);
      const most = own.reduce((all, mark) => all + mark.max, 0);
      const share = own.reduce((all, mark) => all + mark.share * mark.max, 0) / most;
      return {
        criterion: name,
        share: Math.round(share * 1000) / 1000,
        verdict: verdictOf(
          share,
          own.every(({ verdict }) => verdict === 'open'),
        ),
        followed: own.some(({ followed }) => followed),
        findings: own.flatMap(({ findings }) => findings.map(findingOf)),
        points: own.reduce((all, mark) => all + mark.points, 0),
        max: most,
      };
    }),
    misconceptions: [],
    outcome: [],
    houseRules,
  };
}

export interface OldChange {
  criterion: string;
  from_points: string;
  to_points: string;
}

/** Marks changed by hand, oldest first: a change of half of a criterion is one of the whole by as much. */
export function changesOf(changes: readonly OldChange[], { criteria }: Pick<OldGrade, 'criteria'>) {
  const now = new Map(criteria.map(({ criterion, points }) => [criterion, points]));
  const together = (name: string) =>
    [...now].reduce((all, [criterion, points]) => all + (criterionOf(criterion) === name ? points : 0), 0);
  return changes.map(({ criterion, to_points }) => {
    const name = criterionOf(criterion);
    const from = together(name);
    now.set(criterion, Number(to_points));
    return { criterion: name, from_points: from, to_points: together(name) };
  });
}
