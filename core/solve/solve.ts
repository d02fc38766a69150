import { type RecordCard, EMPTY_CARD, type LineOf, complete, costOfCard, quoteOf, stepsOn } from '../card';
import { type ClientCase, onTheShelf, partName, type Target, uppermostHistory, presentLevel } from '../case';
import { type ToneFamily, TOP_OF_TEN, topLevel } from '../colour';
import {
  type Head,
  type PlaceId,
  type Strand,
  type ZoneOfHead,
  MOST_LAYERS,
  levelOfPigmented,
  dyeOf,
  levelOfNaturalPigment,
  naturalStrand,
} from '../hair';
import {
  type Technique,
  afterRemoval,
  levelsToday,
  PALEST_FROM,
  techniqueRuling,
  type PlaceGoal,
  goalsOf,
  AS_WHITE_HAIR,
  stopsService,
  type Stop,
  rulingCode,
  NEEDED_QUESTIONS,
  neededTests,
  restAfter,
} from '../method';
import { USUAL_HABITS, VIVID_LOAD, withHistory } from '../process';
import type { Line } from '../product';
import { type Reason, reason } from '../reason';
import { type HouseRules, priceListOf } from '../rules';
import {
  GROWTH_RATES,
  type PartOutcome,
  fadingOf,
  growthLines,
  inRhythm,
  simulateCard,
  soonest,
} from '../simulate';
import { nearestWish } from './nearest-wish';
import { type TriedTechnique, type SolvedVisit, oneVisit } from './one-visit';
import { readingsOf } from './readings';

/** Raised whenever the same case could get another solution; stored with every grade. */
export const SOLVER_VERSION = 8;

export interface PartChoice {
  /** Name of the part. */
  part: string;
  /** Technique of the place. */
  technique: Technique;
  /** Why, in the words of the interface. */
  reason: Reason;
  /** ΔE2000 to the wish, by the hair model; null in answers from before it was kept. */
  deltaE: number | null;
}

/** One visit of several: what it goes for, and when the next may be. */
export interface Visit {
  /** Level and tone wished for, by place. */
  wish: ClientCase['wish'];
  /** Highlights and lowlights that are asked for. */
  placements?: ClientCase['placements'];
  /** Weeks to wait before it; 0 for the first. */
  afterWeeks: number;
  /** The head as it comes to it, and what is done; missing in answers of older versions and where nothing is done. */
  head?: Head;
  /** What is done; missing as the head is. */
  card?: RecordCard;
}

export interface ModelAnswer {
  /** Version, counted from 1. */
  version: number;
  /** The case as this visit has it: with several visits, the wish of the first. */
  clientCase: ClientCase;
  /** Visits in their order; one where one is enough. */
  visits: Visit[];
  /** What stops the service; the best plan is then to decline. */
  stops: Stop[];
  /** The plan of this visit. */
  card: RecordCard;
  /** The route of each part. */
  choices: PartChoice[];
  /** Other plans that are as good: within the ΔE of the best and of the wish, no rule broken. */
  equivalents: RecordCard[];
  /** Why one visit is not enough; empty when it is. */
  proof: Reason[];
  /** Routes that were looked at and not taken, and what ended each; missing in answers of older versions. */
  tried?: TriedTechnique[];
  /** Wishes that even the best plan does not bring home; missing in answers of older versions. */
  missed?: MissedWish[];
}
/** A wish that the best plan misses, and what it leaves instead. */
export interface MissedWish {
  /** Name of the part. */
  part: string;
  /** ΔE2000 to the wish. */
  deltaE: number;
  /** Level, 1 to 12. */
  level: number;
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: ToneFamily;
}

/** The search's answer; where there is none, why, and the nearest wish by zone that could be reached. */
export type SolveResult =
  { ok: true; modelAnswer: ModelAnswer } | { ok: false; reasons: Reason[]; nearest?: ClientCase['wish'] };

const half = (level: number) => Math.floor(level * 2) / 2;
const WEEKS_BETWEEN = 4;
const MOST_VISITS = 6;
/** Share of its dye that colour loses in the weeks between. */
const FADES = 0.3;
/** Share of the damage that weeks of treatment between visits make good, in effect if not in the fibre. */
const TREATED = 0.7;

/** Where a part that one visit cannot bring home is taken in it: as far as its condition allows, toned quietly (C4). */
function interim(goal: PlaceGoal): Target {
  const removal = afterRemoval(goal);
  // Through dye, or from where a remover leaves the hair, whichever comes further.
  const limit = Math.max(levelsToday(goal), removal ? removal.from + removal.bears - goal.present : 0);
  const up = goal.target.level - goal.present;
  // What is not light yet is made light first (L1).
  const most =
    goal.present < PALEST_FROM.lightener ? Math.min(goal.target.level, TOP_OF_TEN) : goal.target.level;
  const level = Math.min(most, half(goal.present + Math.max(0, Math.min(up, limit))));
  return { level: Math.max(1, level), tone: { primary: 'neutral' } };
}

/** Layers of dye that are left on a zone after a visit, by how much of its brown is (C4). */
function layersLeft(zone: ZoneOfHead, after: Strand): number {
  const past = uppermostHistory(zone);
  if (past.kind !== 'coloured') return 1;
  const old = after.layers.filter(({ kind }) => kind === 'permanent').slice(0, Math.ceil(past.layers));
  const [left, was] = [dyeOf({ layers: old }).brown, dyeOf(strandAsIs(zone)).brown];
  const layers = Math.round(past.layers * Math.min(1, was > 0 ? left / was : 0));
  return Math.min(MOST_LAYERS, Math.max(1, layers));
}
const strandAsIs = ({ naturalLevel, history }: ZoneOfHead): Strand =>
  withHistory(naturalStrand(naturalLevel), history);

/** The case after a visit: what was reached is where the next begins. */
function headAfter(
  clientCase: ClientCase,
  outcomes: readonly PartOutcome[],
  onTheWay: readonly PlaceId[],
): ClientCase {
  const zones = clientCase.head.zones.map((zone) => {
    const out = outcomes.find(({ part }) => part.zone === zone.zone && !part.woven);
    if (!out || !clientCase.wish[zone.zone]) return zone;
    const wish = clientCase.wish[zone.zone]!;
    const { damage } = out.strand;
    // A zone that is home only has its colour to be kept up.
    if (!onTheWay.includes(zone.zone))
      return {
        ...zone,
        history: [{ kind: 'permanent' as const, level: wish.level, tone: wish.tone, faded: FADES }],
        damage,
      };
    const level = Math.min(topLevel('twelve'), half(levelOfPigmented(out.strand) + 0.25));
    // Remover takes most of the dye and never all of it: what is left is dye of the level that shows (P6, C4).
    if (level <= zone.naturalLevel && uppermostHistory(zone).kind === 'coloured')
      return {
        ...zone,
        history: [
          {
            kind: 'permanent' as const,
            level,
            tone: { primary: 'warmBrown' as const },
            times: layersLeft(zone, out.strand),
          },
        ],
        damage: out.strand.damage * TREATED,
      };
    return {
      ...zone,
      history: [{ kind: 'lightened' as const, level: Math.max(zone.naturalLevel, level) }],
      damage: out.strand.damage * TREATED,
    };
  });
  return { ...clientCase, head: { ...clientCase.head, zones } };
}

/**
 * The farthest stage on the way that one visit can bring home; null where nothing moves. The condition of the hair sets
 * the first try, what the lines at hand can do may be less.
 */
function partWay(
  clientCase: ClientCase,
  failed: readonly { goal: PlaceGoal }[],
  lines: readonly Line[],
  rules: HouseRules,
): { clientCase: ClientCase; step: SolvedVisit } | null {
  if (failed.some(({ goal }) => goal.part.woven)) return null;
  for (let less = 0; ; less += 0.5) {
    const wish = { ...clientCase.wish };
    for (const { goal } of failed) {
      const stage = interim(goal);
      const level = stage.level - less;
      if (level <= goal.present + 0.5) return null;
      wish[goal.part.zone] = { ...stage, level };
    }
    const stage = { ...clientCase, wish };
    const step = oneVisit(stage, lines, rules, 1);
    if (step.ok) return { clientCase: stage, step };
  }
}

/** Levels of a case that the class has no numbers for (L1). */
function beyondScale({ head, wish, placements = [] }: ClientCase, { levelScale }: HouseRules): Reason[] {
  const most = topLevel(levelScale);
  const levels = [
    ...head.zones.map(presentLevel),
    ...Object.values(wish).map(({ level }) => level),
    ...placements.map(({ target }) => target.level),
  ];
  const level = Math.max(...levels);
  return level > most ? [reason('solve.beyondScale', 'L1', { level, most })] : [];
}

const visitTo = ({ wish, placements, head }: ClientCase, afterWeeks: number, card?: RecordCard): Visit => ({
  wish,
  placements,
  afterWeeks,
  ...(card ? { head, card } : {}),
});

/** One visit of several as a case of its own, with the head as it comes to it; null where the answer does not tell it. */
export function caseOfVisit(
  { clientCase, visits }: Pick<ModelAnswer, 'clientCase' | 'visits'>,
  at: number,
): ClientCase | null {
  const visit = visits[at];
  if (!visit?.head) return null;
  const { wish, head, placements } = visit;
  return { ...clientCase, wish, head, placements };
}

/**
 * Searches routes, shades, developer, ratio and time for a whole head. Everything the rules forbid is left out; what is
 * left is ranked by what the hair model makes of it. Where one visit cannot do it, says why and plans the visits.
 * Same input, same output.
 */
export function solveCase(clientCase: ClientCase, lines: readonly Line[], rules: HouseRules): SolveResult {
  const beyond = beyondScale(clientCase, rules);
  if (beyond.length > 0) return { ok: false, reasons: beyond };
  const stops = stopsService(clientCase);
  if (stops.length > 0) {
    const readings = readingsOf(clientCase, [], rules);
    const rest = restAfter(stops);
    const work = goalsOf(clientCase).map((goal) => ({ goal, technique: 'leave' as const }));
    const modelCard: RecordCard = {
      ...EMPTY_CARD,
      readings,
      asked: [...NEEDED_QUESTIONS],
      tests: neededTests(rest ? work : [], clientCase),
      decision: 'decline',
      ...rest,
    };
    return {
      ok: true,
      modelAnswer: {
        version: SOLVER_VERSION,
        clientCase,
        visits: [visitTo(clientCase, 0)],
        stops,
        card: modelCard,
        choices: [],
        equivalents: [],
        proof: [],
      },
    };
  }
  const atHand = onTheShelf(lines, clientCase).filter(({ id }) => clientCase.lineIds.includes(id));
  const lineOf: LineOf = (id) => atHand.find((line) => line.id === id);
  const visits: Visit[] = [];
  let first: { clientCase: ClientCase; found: SolvedVisit } | null = null;
  let proof: Reason[] = [];
  let now = clientCase;
  while (visits.length < MOST_VISITS) {
    const found = oneVisit(now, atHand, rules, 1);
    const afterWeeks = visits.length === 0 ? 0 : WEEKS_BETWEEN;
    if (found.ok) {
      visits.push(visitTo(now, afterWeeks, found.best));
      first ??= { clientCase: now, found };
      const next = visits.length < MOST_VISITS ? vividAgain(now, found, lineOf) : null;
      if (next) {
        proof.push(reason('solve.vividAgain', 'P2', { visit: visits.length }));
        now = next;
        continue;
      }
      return { ok: true, modelAnswer: finished(first, visits, proof, lineOf, rules) };
    }
    if (visits.length === 0) {
      const all = found.failed.flatMap(({ reasons }) => reasons);
      // The condition of the hair is what says how many visits; the other routes are ruled out besides.
      const byCondition = all.filter(({ code }) => code === rulingCode('beyondCondition'));
      proof = byCondition.length > 0 ? byCondition : all;
    }
    const onTheWay = found.failed.map(({ goal }) => goal.part.zone);
    const partial = partWay(now, found.failed, atHand, rules);
    if (!partial) return { ok: false, reasons: proof, ...nearestOf(now, onTheWay, atHand, rules) };
    const { clientCase: stage, step } = partial;
    visits.push(visitTo(stage, afterWeeks, step.best));
    first ??= { clientCase: stage, found: step };
    const played = simulateCard(stage, complete(step.best), lineOf);
    now = { ...headAfter(stage, played.outcomeAt(played.minutes), onTheWay), wish: now.wish };
  }
  return { ok: false, reasons: proof };
}

/** Least fraction 0–1 of a vivid dye that another visit has to take out to be worth it. */
const VIVID_LESS = 0.1;

/**
 * The head before another visit where a vivid dye still shows through what one visit did: as it is, with what is left of
 * the dye; null where nothing of the kind is missed, or where one visit took out too little to go on (P2, P7).
 */
function vividAgain(clientCase: ClientCase, { best }: SolvedVisit, lineOf: LineOf): ClientCase | null {
  const played = simulateCard(clientCase, complete(best), lineOf);
  let changed = false;
  const outcomes = played.outcomeAt(played.minutes);
  const zones = clientCase.head.zones.map((zone) => {
    const past = uppermostHistory(zone);
    const out = outcomes.find(({ part }) => part.zone === zone.zone && !part.woven);
    if (past.kind !== 'vivid' || !out?.part.target || out.deltaE <= MISSES.deltaE) return zone;
    const faded = Math.min(1, Math.max(0, 1 - dyeOf(out.strand)[past.dye] / VIVID_LOAD));
    if (faded - past.faded < VIVID_LESS) return zone;
    changed = true;
    const level = half(levelOfNaturalPigment(out.strand) + 0.25);
    return {
      ...zone,
      history: [
        { kind: 'lightened' as const, level: Math.max(zone.naturalLevel, Math.min(TOP_OF_TEN, level)) },
        { kind: 'direct' as const, dye: past.dye, faded: tenth(faded) },
      ],
      damage: out.strand.damage * TREATED,
    };
  });
  return changed ? { ...clientCase, head: { ...clientCase.head, zones } } : null;
}

/** The nearest wishes for the zones that have no answer. */
function nearestOf(
  clientCase: ClientCase,
  zones: readonly PlaceId[],
  lines: readonly Line[],
  rules: HouseRules,
): { nearest?: ClientCase['wish'] } {
  const found = zones.flatMap((zone): [PlaceId, Target][] => {
    const target = nearestWish(clientCase, zone, lines, rules);
    return target ? [[zone, target]] : [];
  });
  return found.length > 0 && found.length === zones.length
    ? { nearest: { ...clientCase.wish, ...Object.fromEntries(found) } }
    : {};
}

/** From here on a client would notice: ΔE2000 to the wish, or levels off it. */
const MISSES = { deltaE: 10, levels: 1 };

const missedIn = (outcomes: readonly PartOutcome[]): MissedWish[] =>
  outcomes.flatMap(({ part, deltaE, level, tone, strand }) => {
    const { target } = part;
    const pale = strand.white >= AS_WHITE_HAIR.from && (target?.level ?? 0) >= AS_WHITE_HAIR.lightFrom;
    if (!target || target.vivid || (target.grey ?? 'cover') !== 'cover' || pale) return [];
    const off = Math.abs(level - target.level) > MISSES.levels || deltaE > MISSES.deltaE;
    return off ? [{ part: partName(part), deltaE: tenth(deltaE), level: half(level + 0.25), tone }] : [];
  });
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Longest that a card books ahead, weeks. */
const MOST_AHEAD = 26;

/**
 * Weeks until the client is to come back: when new growth shows or what was done has faded by more than they notice, in their
 * own rhythm; at their own time where neither does (A5).
 */
function rebookIn(clientCase: ClientCase, card: RecordCard, outcomes: readonly PartOutcome[]): number {
  const life = { habits: USUAL_HABITS, growthCm: GROWTH_RATES.usual };
  const worked = outcomes.filter(({ part }) => part.target && stepsOn(card, part).length > 0);
  const due = soonest([
    ...growthLines(clientCase, outcomes, life),
    ...worked.flatMap((outcome) => fadingOf(outcome, life) ?? []),
  ]);
  const { upkeepWeeks } = clientCase.facts;
  const weeks = due ? inRhythm(due.everyWeeks, upkeepWeeks) : upkeepWeeks;
  return Math.min(MOST_AHEAD, weeks);
}

/** ΔE2000 to the wish from which refreshed hair is another colour than was wished. */
const ANOTHER_COLOUR = 10;

function finished(
  { clientCase, found }: { clientCase: ClientCase; found: SolvedVisit },
  visits: Visit[],
  proof: Reason[],
  lineOf: LineOf,
  rules: HouseRules,
): ModelAnswer {
  const endOf = (of: ClientCase, card: RecordCard) => {
    const played = simulateCard(of, complete(card), lineOf);
    return played.outcomeAt(played.minutes);
  };
  const outcomes = endOf(clientCase, found.best);
  const booked = visits.map(({ card, ...visit }, at): Visit => {
    if (!card) return visit;
    if (at < visits.length - 1) return { ...visit, card: { ...card, nextVisitWeeks: WEEKS_BETWEEN } };
    const last = caseOfVisit({ clientCase, visits }, at)!;
    const nextVisitWeeks = rebookIn(last, card, at === 0 ? outcomes : endOf(last, card));
    return { ...visit, card: { ...card, nextVisitWeeks } };
  });
  const told = (card: RecordCard): RecordCard => ({
    ...card,
    visits: visits.length,
    nextVisitWeeks: booked[0].card!.nextVisitWeeks,
    ...(clientCase.quote
      ? { quote: quoteOf(costOfCard(clientCase.head, card, lineOf, priceListOf(rules))) }
      : {}),
  });
  const modelCard = told(found.best);
  return {
    version: SOLVER_VERSION,
    clientCase,
    visits: booked,
    stops: [],
    card: modelCard,
    choices: found.places.map(({ goal, technique, lacks }) => ({
      part: partName(goal.part),
      technique,
      reason: lacks
        ? reason('solve.without', 'P1', { zone: partName(goal.part), product: lacks })
        : techniqueRuling(goal, technique, rules).reason,
      deltaE: outcomes.find(({ part }) => partName(part) === partName(goal.part))!.deltaE,
    })),
    equivalents: found.equivalents.map(told),
    proof,
    tried: found.tried,
    // How ends are refreshed is the school's to say, whatever the model sees of it, short of another colour.
    missed:
      visits.length === 1
        ? missedIn(
            outcomes.filter(
              ({ part, deltaE }) =>
                deltaE > ANOTHER_COLOUR ||
                !found.places.some(
                  ({ goal, technique }) => technique === 'refresh' && partName(goal.part) === partName(part),
                ),
            ),
          )
        : [],
  };
}
