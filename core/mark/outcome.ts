import { isMelted } from '../card';
import { type Part, partName, shareOfPart, strandOfZone, targetLab, uppermostHistory } from '../case';
import { type Lab, differenceOf, labOf, toneLab } from '../colour';
import {
  type Area,
  type Strand,
  labOfStrand,
  greyShows,
  levelOfPigmented,
  levelOfStrand,
  reflectanceOfPigmented,
  whiteApartBy,
  levelOfWhite,
  zoneOf,
  regionOf,
  hairShareOf,
  beginsAtScalp,
  dyeOf,
  loadOf,
} from '../hair';
import { type Condition, conditionOf } from '../process';
import { lossAt, OUTCOME_AT, OUTCOME_NAMED } from '../rules';
import { type MarkingContext, isPromisedToday, partOf, workedAt } from './context';

/** How a place came out, best first. */
export const OUTCOMES = ['asWished', 'near', 'noticeable', 'needsCorrection'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What of it decided. */
export type OutcomeCause =
  | 'home'
  | 'level'
  | 'tone'
  | 'colour'
  | 'white'
  | 'patches'
  | 'undone'
  | 'areas'
  | 'band'
  | 'blend'
  | 'shine'
  | 'hardLine'
  | 'condition';

/** How one place came out, and by what. */
export interface PlaceOutcome {
  /** Part of the head. */
  part: Part;
  /** Rows down from the wish: 0 as wished, 1 near, 2 noticeable, 3 to be corrected, read on straight lines between. */
  down: number;
  /** Rows down from the wish alone, whatever the model answer reaches. */
  fromWish: number;
  /** Rows down in a word. */
  outcome: Outcome;
  /** What of it decided. */
  cause: OutcomeCause;
  /** Levels from the wish, and ΔE2000 to it. */
  levels: number;
  /** Colour difference to the wish, ΔE2000. */
  deltaE: number;
  /** Condition by strength and moisture. */
  condition: Condition;
  /** Strength lost, 0–1. */
  damage: number;
}

/** So many rows down is as wished to any eye. */
export const OUTCOME_SLIGHT = OUTCOME_NAMED.asWished;

/** One measure of a place: rows down by it, and what it measures. */
type Measure = readonly [down: number, cause: OutcomeCause];
const worstOf = (measures: readonly Measure[]): Measure =>
  measures.reduce((worst, measure) => (measure[0] > worst[0] ? measure : worst), [0, 'home']);

/** The word for so many rows down. */
export const outcomeNamed = (down: number): Outcome =>
  down <= OUTCOME_NAMED.asWished
    ? 'asWished'
    : down <= OUTCOME_NAMED.near
      ? 'near'
      : down <= OUTCOME_NAMED.noticeable
        ? 'noticeable'
        : 'needsCorrection';

/** A wish nearer to its neutral than this, ΔE2000, has no tone to look for. */
const NEUTRAL_WITHIN = 3;
/** Less white than this is none, fraction 0–1. */
const SOME_WHITE = 0.02;
/** Fraction of the way to cover that a wished blend goes: about half, and a little more. */
const BLENDED = 0.55;
/** Fraction of the shine the model answer gives from which hair shines. */
const SHINE_SHARE = 1 / 3;
/** Places under this fraction of the length are hardly seen, unless they begin at the scalp. */
const HARDLY_SEEN = 0.05;
/** Areas that are seen however little hair they bear. */
export const ALWAYS_SHOWS: readonly Area[] = ['hairline', 'temples', 'top', 'crown'];
/** Areas that bear this fraction of the hair of their place decide how it came out. */
const DECIDES_FROM = 0.1;
/** Wished so many levels away, or covered, a place whose areas are left out has to be corrected. */
const LEVEL_WISHED = 0.5;
/** Nothing done is seen from this far off the wish, ΔE2000. */
const SEEN_UNDONE = 6;

/** A class counts as lost only where the damage differs by this much, so that the edge of a class is no cliff. */
const DAMAGE_APART = 0.1;
/** Conditions from strong to what gives way. */
const RANK: Record<Condition, number> = { strong: 0, fair: 1, weak: 2, brittle: 3, overSoft: 3, failed: 3 };
/** Rank of a condition, 0 strong to 3 given way. */
export const conditionRank = (condition: Condition): number => RANK[condition];

const missedOf = ({ spots }: Strand) => spots.reduce((sum, { fraction }) => sum + fraction, 0);
const pigmentedLab = (strand: Strand): Lab => labOf(reflectanceOfPigmented(strand));

/** How much of the way from neutral to the wished tone a colour has gone; null where the wish is neutral. */
function toneThere(lab: Lab, goal: Lab, level: number): number | null {
  const neutral = toneLab(level, { primary: 'neutral' });
  const wished = { a: goal.a - neutral.a, b: goal.b - neutral.b };
  const strength = Math.hypot(wished.a, wished.b);
  if (strength < NEUTRAL_WITHIN) return null;
  return ((lab.a - neutral.a) * wished.a + (lab.b - neutral.b) * wished.b) / strength ** 2;
}

/** What a place is measured by, whatever card it is under. */
interface Yardstick {
  part: Part;
  start: Strand;
  goal: Lab;
  /** Level wished, or as it came in. */
  wished: number;
  /** White strands of it are looked at apart: bare white, and a wish for the place. */
  whites: boolean;
  /** White is to be blended or left: the others alone are measured by level and tone. */
  othersAlone: boolean;
  /** A visit that is not the last is judged by its own goal: the level, the dye that is left and the hair, not the tone. */
  onTheWay: boolean;
  /** All of it was promised for today: the head is judged by the last wish, whatever the model answer leaves for later. */
  promisedToday: boolean;
}

function yardstickOf(context: MarkingContext, part: Part): Yardstick {
  const { clientCase, modelAnswer, modelTechniques } = context;
  const later = modelAnswer.visits.length > 1;
  const promisedToday = isPromisedToday(context) && !part.woven;
  const target = (promisedToday && modelAnswer.visits.at(-1)!.wish[part.zone]) || part.target;
  const start = strandOfZone(clientCase.head, part.zone);
  const zone = zoneOf(clientCase.head, part.zone)!;
  // White that was covered before is judged with the colour it has; what a remover bares has to be covered again.
  const bare =
    uppermostHistory(zone).kind === 'untouched' || modelTechniques.get(partName(part)) === 'removeThenColour';
  const whites = bare && zone.greyShare > 0 && target !== null && !target.vivid;
  return {
    part: { ...part, target },
    start,
    goal: target ? targetLab(target) : labOfStrand(start),
    wished: target?.level ?? levelOfPigmented(start),
    whites,
    othersAlone: whites && (target.grey === 'blend' || target.grey === 'leave'),
    onTheWay: later && !promisedToday,
    promisedToday,
  };
}

/** Where white is to be covered it is looked at apart; the level is the others'. */
const levelSeen = ({ whites }: Yardstick, strand: Strand) =>
  (whites && strand.white > SOME_WHITE) || greyShows(strand)
    ? levelOfPigmented(strand)
    : levelOfStrand(strand);
const colourSeen = ({ othersAlone }: Yardstick, strand: Strand) =>
  othersAlone ? pigmentedLab(strand) : labOfStrand(strand);

/** Rows down by white strands and the others, whichever of levels and ΔE is nearer to what is asked (F8). */
const whiteDown = (levels: number, deltaE: number): number =>
  Math.max(lossAt(OUTCOME_AT.whiteLevels, levels), lossAt(OUTCOME_AT.whiteDeltaE, deltaE));
const whiteLevelsApart = (strand: Strand) => Math.abs(levelOfWhite(strand) - levelOfPigmented(strand));

/** Every measure of a strand against the wish. */
function againstWish(yardstick: Yardstick, strand: Strand): Measure[] {
  const { part, goal, wished, whites, onTheWay, start } = yardstick;
  const { target } = part;
  const measures: Measure[] = [
    [lossAt(OUTCOME_AT.missed, missedOf(strand)), 'patches'],
    [lossAt(OUTCOME_AT.levels, Math.abs(levelSeen(yardstick, strand) - wished)), 'level'],
  ];
  const lab = colourSeen(yardstick, strand);
  if (!onTheWay) {
    measures.push([lossAt(OUTCOME_AT.deltaE, differenceOf(lab, goal)), 'colour']);
    const there = target && !target.vivid ? toneThere(lab, goal, wished) : null;
    if (there !== null) measures.push([lossAt(OUTCOME_AT.toneMissing, 1 - there), 'tone']);
  }
  if (!whites || strand.white <= SOME_WHITE || target?.grey === 'leave') return measures;
  const apart = whiteApartBy(strand);
  if (target?.grey === 'blend') {
    const before = whiteApartBy(start);
    const blended = before > 0 ? 1 - apart / before : 1;
    measures.push([lossAt(OUTCOME_AT.blend, Math.abs(blended - BLENDED)), 'blend']);
  } else measures.push([whiteDown(whiteLevelsApart(strand), apart), 'white']);
  return measures;
}

/** The same against the model answer's own place, where that misses the wish. */
function againstBest(yardstick: Yardstick, strand: Strand, best: Strand): Measure[] {
  const { part, goal, wished } = yardstick;
  const measures: Measure[] = [
    [lossAt(OUTCOME_AT.missed, missedOf(strand) - missedOf(best)), 'patches'],
    [lossAt(OUTCOME_AT.levels, Math.abs(levelSeen(yardstick, strand) - levelSeen(yardstick, best))), 'level'],
  ];
  if (!yardstick.onTheWay) {
    const away = differenceOf(colourSeen(yardstick, strand), colourSeen(yardstick, best));
    measures.push([lossAt(OUTCOME_AT.deltaE, away), 'colour']);
    if (part.target && !part.target.vivid) {
      const thereIn = (hair: Strand) => toneThere(colourSeen(yardstick, hair), goal, wished) ?? 0;
      const behind = Math.min(1, thereIn(best)) - thereIn(strand);
      measures.push([lossAt(OUTCOME_AT.toneMissing, behind), 'tone']);
    }
  }
  if (yardstick.whites && strand.white > SOME_WHITE && yardstick.part.target?.grey !== 'leave')
    measures.push([
      whiteDown(
        Math.max(0, whiteLevelsApart(strand) - whiteLevelsApart(best)),
        Math.max(0, whiteApartBy(strand) - whiteApartBy(best)),
      ),
      'white',
    ]);
  return measures;
}

/** White that is blended in another colour than the model answer blends it in is seen, however much of it is blended. */
function whiteStained({ part: { target }, whites }: Yardstick, strand: Strand, best: Strand): Measure {
  if (!whites || target?.grey !== 'blend') return [0, 'home'];
  return [lossAt(OUTCOME_AT.deltaE, differenceOf(labOfStrand(strand), labOfStrand(best))), 'colour'];
}

/** On the way, dye that the model answer takes out and that is still there counts by the share that is left (C4, P2). */
function dyeLeft({ onTheWay, start }: Yardstick, strand: Strand, best: Strand): Measure {
  const there = start.layers.length;
  const came = loadOf(dyeOf(start));
  if (!onTheWay || came === 0) return [0, 'home'];
  const left = (after: Strand) => loadOf(dyeOf({ layers: after.layers.slice(0, there) }));
  return [lossAt(OUTCOME_AT.dyeLeft, (left(strand) - left(best)) / came), 'colour'];
}

const modelMisses = new WeakMap<Strand, Map<string, number>>();

/** Rows that the model answer's own place is down; found once, as a class of answers is read beside it. */
function missedByModel(yardstick: Yardstick, best: Strand): number {
  const { part, whites, onTheWay } = yardstick;
  const byPart = modelMisses.get(best) ?? new Map<string, number>();
  modelMisses.set(best, byPart);
  const key = JSON.stringify([part, whites, onTheWay]);
  const [missed] = byPart.has(key) ? [byPart.get(key)!] : worstOf(againstWish(yardstick, best));
  byPart.set(key, missed);
  return missed;
}

/**
 * Rows down of a strand. Where the model answer's own place is down, what is missed with it is no fault of the plan: the
 * smaller of what is missed beyond it, and of what is missed against it.
 */
function measured(yardstick: Yardstick, strand: Strand, best: Strand): Measure {
  if (yardstick.promisedToday) return worstOf(againstWish(yardstick, strand));
  const stained = worstOf([whiteStained(yardstick, strand, best), dyeLeft(yardstick, strand, best)]);
  const own = worstOf(againstWish(yardstick, strand));
  const missed = missedByModel(yardstick, best);
  if (missed === 0 || own[0] === 0) return worstOf([own, stained]);
  const beside = worstOf(againstBest(yardstick, strand, best));
  const beyond: Measure = [Math.max(0, own[0] - missed), own[1]];
  return worstOf([beside[0] < beyond[0] ? beside : beyond, stained]);
}

/** Areas of a place that the model answer works and a card does not come to. */
export function areasLeftOut({ parts, modelParts, clientCase }: MarkingContext, part: Part): Area[] {
  const own = workedAt(parts, part);
  const best = workedAt(modelParts, part);
  if (!own || !best || own.steps.length === 0) return [];
  const { areas } = regionOf(clientCase.head, part.zone);
  const reached = (steps: typeof own.steps, role: string, area: Area) =>
    steps.some((worked) => worked.role === role && worked.application.areas.includes(area));
  // What the plan does at a place it does to all of it: each of its bowls is asked apart.
  const roles = [...new Set(own.steps.map(({ role }) => role))];
  return areas.filter((area) => roles.some((role) => !reached(own.steps, role, area)));
}

const isToBeMoved = ({ part: { target }, whites, start }: Yardstick): boolean =>
  target !== null &&
  ((whites && target.grey !== 'leave' && target.grey !== 'blend') ||
    Math.abs(target.level - levelOfPigmented(start)) >= LEVEL_WISHED);

/** How a place came out under a plan (levels, tone, cover and patches), beside the wish and the model answer. */
export function placeOutcome(context: MarkingContext, part: Part): PlaceOutcome {
  const { played, modelPlayed } = context;
  const { strand } = played.momentOf(partOf(played, part), played.minutes);
  const best = modelPlayed.momentOf(partOf(modelPlayed, part), modelPlayed.minutes).strand;
  const yardstick = yardstickOf(context, part);
  const { target } = part;
  const left = areasLeftOut(context, part);
  const areas = played
    .areaMomentsOf(partOf(played, part), played.minutes)
    .filter(
      ({ areas: some, bears }) => bears >= DECIDES_FROM || some.some((area) => ALWAYS_SHOWS.includes(area)),
    );
  const measures: Measure[] = areas.map(({ moment }) => measured(yardstick, moment.strand, best));
  // An area left out cannot be as was wished, whatever it reads as.
  if (areas.some(({ areas: some }) => some.some((area) => left.includes(area)))) {
    const seen = left.some((area) => ALWAYS_SHOWS.includes(area));
    measures.push([seen && isToBeMoved(yardstick) ? 3 : 2, 'areas']);
  }
  const deltaE = differenceOf(labOfStrand(strand), yardstick.goal);
  const touched = (card: typeof played.card) =>
    card.steps.some(({ zones }) => zones.includes(part.zone)) && card.bowls.length > 0;
  if (target !== null && touched(modelPlayed.card) && !touched(played.card))
    measures.push([deltaE > SEEN_UNDONE ? 3 : 2, 'undone']);
  const shines = yardstick.start.surface + SHINE_SHARE * (best.surface - yardstick.start.surface);
  if (target?.shine && strand.surface < shines) measures.push([2, 'shine']);
  const [down, cause] = worstOf(measures);
  return {
    part,
    down,
    fromWish: Math.max(down, ...areas.map(({ moment }) => worstOf(againstWish(yardstick, moment.strand))[0])),
    outcome: outcomeNamed(down),
    cause,
    levels: Math.abs(levelSeen(yardstick, strand) - yardstick.wished),
    deltaE,
    condition: conditionOf(strand),
    damage: strand.damage,
  };
}

/** Whether a place is large enough to decide: regrowth, hairline and parting always are. */
function shows({ clientCase }: MarkingContext, part: Part): boolean {
  const { zone } = part;
  const { head } = clientCase;
  const region = regionOf(head, zone);
  const all = region.zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const share = shareOfPart(clientCase, part) * hairShareOf(head, region);
  return beginsAtScalp(head, zone) || (zoneOf(head, zone)!.lengthCm / all) * share >= HARDLY_SEEN;
}

const withMeasure = (outcome: PlaceOutcome, [down, cause]: Measure): PlaceOutcome =>
  down > outcome.down
    ? { ...outcome, down, fromWish: Math.max(down, outcome.fromWish), outcome: outcomeNamed(down), cause }
    : outcome;

/** Every place with how it came out, and bands between neighbours that stand further apart than was wished. */
export function placeOutcomes(context: MarkingContext): PlaceOutcome[] {
  const { played, modelPlayed } = context;
  const outcomes = played.parts
    .filter((part) => shows(context, part))
    .map((part) => placeOutcome(context, part));
  const whole = outcomes.filter(({ part }) => !part.woven);
  const levelIn = (all: typeof played, { part }: PlaceOutcome) => {
    const { strand } = all.momentOf(partOf(all, part), all.minutes);
    // White is looked at apart: a band is of the others.
    return strand.white > SOME_WHITE ? levelOfPigmented(strand) : levelOfStrand(strand);
  };
  for (let i = 1; i < whole.length; i++) {
    const [above, below] = [whole[i - 1], whole[i]];
    // Along one strand; the last zone of a region and the first of the next do not meet.
    if (beginsAtScalp(context.clientCase.head, below.part.zone)) continue;
    const wished =
      above.part.target && below.part.target
        ? below.part.target.level - above.part.target.level
        : levelIn(modelPlayed, below) - levelIn(modelPlayed, above);
    const bandIn = (all: typeof played) => Math.abs(levelIn(all, below) - levelIn(all, above) - wished);
    const band = lossAt(OUTCOME_AT.band, bandIn(played)) - lossAt(OUTCOME_AT.band, bandIn(modelPlayed));
    const at = outcomes.findIndex(({ part }) => part === below.part);
    outcomes[at] = withMeasure(outcomes[at], [band, 'band']);
  }
  return withHardLines(context, outcomes);
}

/** Places that were to melt into the one above, and meet it in a line instead. */
function withHardLines(
  { clientCase: { melts = [] }, played }: MarkingContext,
  outcomes: PlaceOutcome[],
): PlaceOutcome[] {
  return outcomes.map((outcome) => {
    const melt = melts.find(({ zones }) => zones[1] === outcome.part.zone && !outcome.part.woven);
    return !melt || isMelted(played.card, melt.zones) ? outcome : withMeasure(outcome, [2, 'hardLine']);
  });
}

/** Classes of condition that a place is below what the model answer leaves it. */
export function conditionLost(
  { modelPlayed }: MarkingContext,
  { part, condition, damage }: PlaceOutcome,
): number {
  const best = modelPlayed.momentOf(partOf(modelPlayed, part), modelPlayed.minutes).strand;
  const lost = conditionRank(condition) - conditionRank(conditionOf(best));
  return damage - best.damage >= DAMAGE_APART ? Math.max(0, lost) : 0;
}
