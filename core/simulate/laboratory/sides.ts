import { complete, type Application, type Bowl, type HairWork, type LineOf } from '../../card';
import { amountFor, partName, type HeadAndWish } from '../../case';
import type { Light, ToneFamily } from '../../colour';
import type { TressLook } from '../../draw';
import {
  AREAS,
  levelOfNaturalPigment,
  naturalStrand,
  readStrand,
  whiteApartBy,
  type Head,
  type PlaceId,
  type Strand,
} from '../../hair';
import {
  LEVELS_IN_ONE_VISIT,
  conditionOf,
  lineKindOf,
  stretchTest,
  withHistory,
  type Condition,
  type ProductKind,
  type StretchOutcome,
  type ZoneMoment,
} from '../../process';
import { SHIPPED_LINES, readLabel, shippedLine, type Line, type ShadePart } from '../../product';
import { underlayAt, type Underlay } from '../../rules';
import { simulateCard, type SimulatedCard } from '../simulate';
import { fadingOf, growthLines, soonest } from '../due';
import { GROWTH_RATES, grownCm, headAfterWeeks, looksLater } from '../weeks';
import { LAB_MINUTES, LAB_ZONES, type LabCoat, type LabZone, type Side } from './setup';

/** Each zone as a place of a head, with its length, cm: the middle of the ends is 26 cm from the scalp. */
const PLACES: Record<LabZone, { place: PlaceId; lengthCm: number }> = {
  root: { place: 'regrowth', lengthCm: 2 },
  mids: { place: 'mids', lengthCm: 20 },
  ends: { place: 'ends', lengthCm: 8 },
};
/** Minutes of an application that is never rinsed: past all that is looked at. */
const NEVER_RINSED = 240;
const HEAT_MINUTES = 5;

/** The line whose labels a product's shades are written in; products without shades of a chart have none. */
export function lineFor(product: ProductKind): Line | null {
  if (product === 'permanent' || product === 'express' || product === 'highLift')
    return shippedLine('tarnwick')!;
  if (product === 'demi' || product === 'acidGloss') return shippedLine('quillet')!;
  return null;
}

/** Products that are used without a developer of a strength. */
export const WITHOUT_DEVELOPER: readonly ProductKind[] = ['direct', 'filler', 'remover'];

/** A line as a coat uses it: of the product's kind, mixed as the coat is. */
function lineOfCoat({ product, ratio }: LabCoat): Line {
  const line = lineFor(product) ?? SHIPPED_LINES.find(({ kind }) => kind === product)!;
  return { ...line, kind: lineKindOf(product), ratios: [ratio] };
}

/** Label of the filler for a level, or of the nearest below it that the line has. */
function fillerLabel({ key }: Line, level: number): string {
  const fillers = Object.entries(key.named ?? {}).flatMap(([label, shade]) =>
    shade.series === 'filler' ? [{ label, off: Math.abs(shade.level - Math.floor(level)) }] : [],
  );
  return fillers.reduce((best, filler) => (filler.off < best.off ? filler : best)).label;
}
const dyeLabel = ({ key }: Line, dye: LabCoat['vivid']): string =>
  Object.entries(key.named ?? {}).find(([, shade]) => shade.series === 'direct' && shade.dye === dye)![0];

const startOf = (coat: LabCoat, zone: LabZone): number | null => {
  const start = coat.starts[zone];
  return start === null || start >= (coat.rinseAt ?? Infinity) ? null : start;
};

/** The bowl of a coat: as much of it as the coat says, against what its places need. */
function bowlOf(coat: LabCoat, name: string, head: Head): Bowl {
  const line = lineOfCoat(coat);
  const places = LAB_ZONES.filter((zone) => startOf(coat, zone) !== null).map((zone) => PLACES[zone].place);
  const total = coat.amount * amountFor(head, places, 1).minGrams;
  const poured = coat.product === 'direct' || coat.product === 'filler' ? 0 : coat.ratio;
  const addition = coat.conditioner ? 1 : 0;
  const colour = total / ((1 + poured + addition) * (1 + coat.thinned));
  const shades =
    coat.product === 'filler'
      ? [{ label: fillerLabel(line, coat.fillsLevel), parts: 1 }]
      : coat.product === 'direct'
        ? [{ label: dyeLabel(line, coat.vivid), parts: 1 }]
        : lineFor(coat.product)
          ? coat.shades
          : [];
  const parts = shades.reduce((sum, shade) => sum + shade.parts, 0);
  const vol = WITHOUT_DEVELOPER.includes(coat.product) ? 0 : coat.vol;
  const water = coat.thinned * (1 + poured + addition) * colour;
  return {
    name,
    lineId: name,
    shades: shades.map(({ label, parts: own }) => ({ label, grams: (colour * own) / parts })),
    productGrams: shades.length === 0 ? colour : 0,
    developer: [
      ...(poured > 0 ? [{ vol, grams: colour * poured }] : []),
      ...(water > 0 ? [{ vol: 0, grams: water }] : []),
    ],
    additive: false,
    ...(addition > 0 ? { others: [{ kind: 'conditioner' as const, grams: colour }] } : {}),
  };
}

function heatOf({ heat }: LabCoat, minutes: number): Application['heat'] {
  if (heat === 'none') return null;
  if (heat === 'first') return { from: 0, to: Math.min(minutes, HEAT_MINUTES) };
  return { from: heat === 'last' ? Math.max(0, minutes - HEAT_MINUTES) : 0, to: minutes };
}

/** The applications of a coat, one for each zone it goes on. */
const applicationsOf = (coat: LabCoat, bowl: string): Application[] =>
  LAB_ZONES.flatMap((zone): Application[] => {
    const start = startOf(coat, zone);
    if (start === null) return [];
    const minutes = coat.rinseAt === null ? NEVER_RINSED : coat.rinseAt - start;
    return [
      {
        bowl,
        zones: [PLACES[zone].place],
        placement: 'open',
        share: 1,
        areas: [...AREAS],
        stopsAtLine: true,
        wet: coat.wet,
        start,
        minutes,
        heat: heatOf(coat, coat.rinseAt === null ? LAB_MINUTES - start : minutes),
        checkEvery: null,
        ends: coat.rinseAt === null ? 'stay' : 'rinse',
      },
    ];
  });

/** The head of a side: each zone with its history, and the damage and moisture that history leaves. */
export function headOfSide(side: Side): Head {
  const { natural, white, resistant, diameter, form } = side;
  let fromScalpCm = 0;
  const zones = LAB_ZONES.map((zone): Head['zones'][number] => {
    const { place, lengthCm } = PLACES[zone];
    const porosity = zone === 'ends' ? side.endsPorosity : side.porosity;
    const history = zone === 'root' && !side.pastAtRoot ? [] : side.past;
    const grown = naturalStrand(natural, {
      white,
      porosity,
      diameter,
      resistance: resistant ? 1 : 0,
      fromScalpCm: fromScalpCm + lengthCm / 2,
    });
    fromScalpCm += lengthCm;
    const { damage, moisture } = withHistory(grown, history);
    return {
      zone: place,
      lengthCm,
      naturalLevel: natural,
      greyShare: white,
      resistant,
      porosity,
      history,
      damage: Math.min(1, damage),
      moisture: Math.min(1, Math.max(0, moisture)),
    };
  });
  return { zones, diameter, density: 'medium', length: 'shoulderAllOver', form };
}

const NAMES = 'AB';
/** What is done to the head of a side, as a card says it. */
export const workOf = ({ coats }: Side, head: Head): HairWork => ({
  bowls: coats.map((coat, i) => bowlOf(coat, NAMES[i], head)),
  steps: coats.flatMap((coat, i) => applicationsOf(coat, NAMES[i])),
  care: [],
});

/** A side as a card played on its head. */
interface PlayedSide {
  clientCase: HeadAndWish;
  card: SimulatedCard;
}

/** A side is asked for at every frame and never changed once made. */
const played = new WeakMap<Side, PlayedSide>();

function playedSide(side: Side): PlayedSide {
  const known = played.get(side);
  if (known) return known;
  const head = headOfSide(side);
  const clientCase: HeadAndWish = { head, wish: {} };
  const lineOf: LineOf = (name) => {
    const coat = side.coats[NAMES.indexOf(name)];
    return coat && lineOfCoat(coat);
  };
  const made = { clientCase, card: simulateCard(clientCase, complete(workOf(side, head)), lineOf) };
  played.set(side, made);
  return made;
}

const momentIn = (card: SimulatedCard, zone: LabZone, minute: number) =>
  card.momentOf(
    card.parts.find((part) => partName(part) === PLACES[zone].place)!,
    minute,
  );

/** What can be read off a zone at a minute. */
export interface LabReading {
  /** Level, 1 to 12. */
  level: number;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: ToneFamily;
  /** 0 neutral, 1 a plain full tone. */
  strength: number;
  /** The pigment that shows at the level the natural pigment has reached. */
  underlay: Underlay;
  /** Condition by strength and moisture. */
  condition: Condition;
  /** What a wet strand of it does when it is stretched (C1). */
  stretch: StretchOutcome;
  /** Levels that lightener may move it in one visit (C4). */
  bears: number;
  /** Strength lost, 0–1. */
  damage: number;
  /** How far white strands stand out from the others, ΔE2000; 0 where none are white. */
  whiteApart: number;
  /** Fraction 0–1 of the hair that a thin coat missed. */
  missed: number;
  /** Whether something lies on it. */
  lying: boolean;
}

function readingOf(strand: Strand, lying: boolean): LabReading {
  const { level, tone, strength } = readStrand(strand);
  const reached = levelOfNaturalPigment(strand);
  const condition = conditionOf(strand);
  return {
    level,
    tone,
    strength,
    underlay: underlayAt(Math.min(10, Math.max(1, Math.round(reached * 2) / 2)), { underlay: 'fine' }),
    condition,
    stretch: stretchTest(strand).outcome,
    bears: LEVELS_IN_ONE_VISIT[condition],
    damage: strand.damage,
    whiteApart: whiteApartBy(strand),
    missed: strand.spots.reduce((sum, { fraction }) => sum + fraction, 0),
    lying,
  };
}

/** Weeks from which a client notices; null where they do not within a year. */
export interface Noticed {
  /** That new growth draws a line. */
  line: number | null;
  /** That what was done has faded. */
  fading: number | null;
}

export interface SideMoment {
  /** From when on what comes after is noticed; null on the day itself. */
  noticed: Noticed | null;
  /** New growth at the scalp, centimetres. */
  regrowthCm: number;
  /** How the hair looks. */
  look: TressLook;
  /** Zones from root to tip. */
  zones: Record<LabZone, LabReading>;
  /** What the last coat with shades has to balance on the mids; null where no coat has any. */
  balance: { levelReached: number; shades: ShadePart[] } | null;
}

const byZone = <T>(make: (zone: LabZone) => T): Record<LabZone, T> => ({
  root: make('root'),
  mids: make('mids'),
  ends: make('ends'),
});

/** Shades of a coat as its line's key reads them. */
function shadePartsOfCoat(coat: LabCoat): ShadePart[] {
  const line = lineFor(coat.product);
  if (!line) return [];
  return coat.shades.flatMap(({ label, parts }) => {
    const reading = readLabel(line, label);
    return reading.ok ? [{ shade: reading.shade, parts }] : [];
  });
}

/** One side at a minute, or so many weeks after it was rinsed then, in a light: the picture and what is read from it. */
export function momentOf(side: Side, minute: number, light: Light, seed: number, weeks = 0): SideMoment {
  const { clientCase, card } = playedSide(side);
  const later = weeks === 0 ? null : headAfterWeeks(clientCase, card.outcomeAt(minute), weeks, side.habits);
  const moments = byZone((zone): Pick<ZoneMoment, 'strand' | 'lying'> => {
    const place = later?.places.find(({ part }) => partName(part) === PLACES[zone].place);
    return place ? { strand: place.strand, lying: null } : momentIn(card, zone, minute);
  });
  const levelReached = Math.min(10, Math.max(1, levelOfNaturalPigment(moments.mids.strand)));
  // The coat that gives the tone is the last one with shades.
  const shades = side.coats.map(shadePartsOfCoat).findLast((parts) => parts.length > 0);
  const life = { habits: side.habits, growthCm: GROWTH_RATES.usual };
  const done = later ? card.outcomeAt(minute) : [];
  return {
    noticed: later && {
      line: soonest(growthLines(clientCase, done, life))?.everyWeeks ?? null,
      fading: soonest(done.flatMap((outcome) => fadingOf(outcome, life) ?? []))?.everyWeeks ?? null,
    },
    regrowthCm: grownCm(weeks),
    look: (later ? looksLater(clientCase, later, light, seed) : card.looksAt(minute, light, seed))[0],
    zones: byZone((zone) => readingOf(moments[zone].strand, moments[zone].lying !== null)),
    balance: shades ? { levelReached, shades } : null,
  };
}

/** Level of every zone over the time, for a chart. */
export function levelsOver(
  side: Side,
  minutes: number,
  everyMinutes = 1,
): { minute: number; levels: Record<LabZone, number> }[] {
  const { card } = playedSide(side);
  return Array.from({ length: Math.floor(minutes / everyMinutes) + 1 }, (_, i) => {
    const minute = i * everyMinutes;
    return { minute, levels: byZone((zone) => readStrand(momentIn(card, zone, minute).strand).level) };
  });
}
