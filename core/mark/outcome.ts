import { isMelted } from '../card';
import { type Part, partName, shareOfPart, strandOfZone, targetLab, uppermostHistory } from '../case';
import { type Lab, differenceOf, toneLab } from '../colour';
import {
  type Strand,
  labOfStrand,
  greyShows,
  levelOfPigmented,
  levelOfStrand,
  whiteApartBy,
  levelOfWhite,
  zoneOf,
  regionOf,
  hairShareOf,
  beginsAtScalp,
} from '../hair';
import { type Condition, conditionOf } from '../process';
import { type MarkingContext, partOf } from './context';

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
  | 'band'
  | 'blend'
  | 'shine'
  | 'hardLine'
  | 'condition';

/** How one place came out, and by what. */
export interface PlaceOutcome {
  /** Part of the head. */
  part: Part;
  /** How it came out. */
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

/** Limits of the three rows: levels from the wish, and ΔE2000. */
const LEVELS = [0.5, 1, 1.5] as const;
const DELTA_E = [6, 10, 15] as const;
/** ΔE2000 to the model answer's head within which a place came out as that one. */
export const AS_THE_BEST = 3;
/** Fraction of the wished tone from which it is there, and under which the opposite is. */
const TONE = { there: 0.5, opposite: -0.25 };
/** A wish nearer to its neutral than this, ΔE2000, has no tone to look for. */
const NEUTRAL_WITHIN = 3;
/** Covered less than this, fraction 0–1 of the hair. */
const COVERED = { noticeable: 0.85, needsCorrection: 0.6 };
/**
 * White strands from the others where they were to be covered: levels, ΔE2000. Thirty of forty-five minutes leave them one
 * and a half levels apart, which educators sign as near; deposit strength two and a half, which is noticed.
 */
const WHITE = {
  near: { levels: 1, deltaE: 8 },
  noticeable: { levels: 2, deltaE: 14 },
  needsCorrection: { levels: 3 },
};
/** Less white than this is none, fraction 0–1. */
const SOME_WHITE = 0.02;
/** Fraction of the way to cover that is a blend. */
const BLENDED = { least: 0.2, most: 0.85 };
/** Fraction of the shine the model answer gives from which hair shines. */
const SHINE_SHARE = 1 / 3;
/** Levels neighbouring places stand apart beyond what is wished. */
const BAND = [0.5, 0.75, 1.25] as const;
/** Places under this fraction of the length are hardly seen, unless they begin at the scalp. */
const HARDLY_SEEN = 0.05;

const rowOf = (value: number, limits: readonly number[]) => {
  const at = limits.findIndex((limit) => value <= limit + 1e-9);
  return at < 0 ? limits.length : at;
};
/** The worse of two outcomes. */
export const worse = (a: Outcome, b: Outcome): Outcome =>
  OUTCOMES[Math.max(OUTCOMES.indexOf(a), OUTCOMES.indexOf(b))];

/** A class counts as lost only where the damage differs by this much, so that the edge of a class is no cliff. */
const DAMAGE_APART = 0.1;
/** Conditions from strong to what gives way. */
const RANK: Record<Condition, number> = { strong: 0, fair: 1, weak: 2, brittle: 3, overSoft: 3, failed: 3 };
/** Rank of a condition, 0 strong to 3 given way. */
export const conditionRank = (condition: Condition): number => RANK[condition];

const missedOf = ({ spots }: Strand) => spots.reduce((sum, { fraction }) => sum + fraction, 0);

/** How much of the way from neutral to the wished tone a colour has gone; null where the wish is neutral. */
function toneThere(lab: Lab, goal: Lab, level: number): number | null {
  const neutral = toneLab(level, { primary: 'neutral' });
  const wished = { a: goal.a - neutral.a, b: goal.b - neutral.b };
  const strength = Math.hypot(wished.a, wished.b);
  if (strength < NEUTRAL_WITHIN) return null;
  return ((lab.a - neutral.a) * wished.a + (lab.b - neutral.b) * wished.b) / strength ** 2;
}

/** How a place came out under a plan (levels, tone, cover and patches), beside the wish and the model answer. */
export function placeOutcome(
  { played, modelPlayed, modelTechniques, clientCase, modelAnswer }: MarkingContext,
  part: Part,
): PlaceOutcome {
  const { strand } = played.momentOf(partOf(played, part), played.minutes);
  const best = modelPlayed.momentOf(partOf(modelPlayed, part), modelPlayed.minutes).strand;
  const start = strandOfZone(clientCase.head, part.zone);
  const { target } = part;
  const lab = labOfStrand(strand);
  const goal = target ? targetLab(target) : labOfStrand(start);
  const zone = zoneOf(clientCase.head, part.zone)!;
  // White that was covered before is judged with the colour it has; what a remover bares has to be covered again.
  const bare =
    uppermostHistory(zone).kind === 'untouched' || modelTechniques.get(partName(part)) === 'removeThenColour';
  const whites = bare && zone.greyShare > 0 && target !== null && !target.vivid && strand.white > SOME_WHITE;
  // Where white is to be covered it is looked at apart; the level is the others'.
  const level = whites || greyShows(strand) ? levelOfPigmented(strand) : levelOfStrand(strand);
  const wished = target?.level ?? levelOfPigmented(start);
  const levels = Math.abs(level - wished);
  const deltaE = differenceOf(lab, goal);
  const condition = conditionOf(strand);
  const as = (outcome: Outcome, because: OutcomeCause): PlaceOutcome => ({
    part,
    outcome,
    cause: because,
    levels,
    deltaE,
    condition,
    damage: strand.damage,
  });
  const all: [Outcome, OutcomeCause][] = [['asWished', 'home']];
  const missed = missedOf(strand);
  if (missed > 1 - COVERED.needsCorrection) all.push(['needsCorrection', 'patches']);
  else if (missed > 1 - COVERED.noticeable) all.push(['noticeable', 'patches']);
  const touched = (card: typeof played.card) =>
    card.steps.some(({ zones }) => zones.includes(part.zone)) && card.bowls.length > 0;
  const undone = target !== null && touched(modelPlayed.card) && !touched(played.card);
  if (target?.shine && strand.surface < start.surface + SHINE_SHARE * (best.surface - start.surface))
    all.push(['noticeable', 'shine']);
  if (undone) all.push([deltaE > DELTA_E[0] ? 'needsCorrection' : 'noticeable', 'undone']);
  if (whites && target.grey !== 'leave') {
    const apart = whiteApartBy(strand);
    if (target.grey === 'blend') {
      const before = whiteApartBy(start);
      const blended = before > 0 ? 1 - apart / before : 1;
      if (blended < BLENDED.least) all.push(['noticeable', 'blend']);
      else if (blended > BLENDED.most) all.push(['near', 'blend']);
    } else {
      const apartLevels = Math.abs(levelOfWhite(strand) - levelOfPigmented(strand));
      const bestApart = whiteApartBy(best);
      if (apart > bestApart + AS_THE_BEST) {
        if (apartLevels > WHITE.needsCorrection.levels) all.push(['needsCorrection', 'white']);
        else if (apartLevels > WHITE.noticeable.levels || apart > WHITE.noticeable.deltaE)
          all.push(['noticeable', 'white']);
        else if (apartLevels > WHITE.near.levels || apart > WHITE.near.deltaE) all.push(['near', 'white']);
      }
    }
  }
  // A visit that is not the last is judged by its own goal: the level and the hair, not the tone.
  const onTheWay = modelAnswer.visits.length > 1;
  const asBest = differenceOf(lab, labOfStrand(best)) <= AS_THE_BEST;
  const blends = whites && target.grey === 'blend';
  if (!asBest && !blends) {
    all.push([OUTCOMES[rowOf(levels, LEVELS)], 'level']);
    if (!onTheWay) all.push([OUTCOMES[rowOf(deltaE, DELTA_E)], 'colour']);
    const there = target && !target.vivid && !onTheWay ? toneThere(lab, goal, wished) : null;
    if (there !== null && there < TONE.opposite) all.push(['noticeable', 'tone']);
    else if (there !== null && there < TONE.there) all.push(['near', 'tone']);
  }
  const [cameOut, because] = all.reduce((a, b) => (worse(a[0], b[0]) !== a[0] ? b : a));
  return as(cameOut, because);
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
    const offBy = (all: typeof played) => Math.abs(levelIn(all, below) - levelIn(all, above) - wished);
    const apart = offBy(played);
    if (apart <= offBy(modelPlayed) + 0.25) continue;
    const band = OUTCOMES[rowOf(apart, BAND)];
    const at = outcomes.indexOf(below);
    if (worse(below.outcome, band) !== below.outcome)
      outcomes[at] = { ...below, outcome: band, cause: 'band' };
  }
  return withHardLines(context, outcomes);
}

/** Places that were to melt into the one above, and meet it in a line instead. */
function withHardLines(
  { clientCase: { melts = [] }, played }: MarkingContext,
  outcome: PlaceOutcome[],
): PlaceOutcome[] {
  return outcome.map((one) => {
    const melt = melts.find(({ zones }) => zones[1] === one.part.zone && !one.part.woven);
    if (!melt || isMelted(played.card, melt.zones)) return one;
    return worse(one.outcome, 'noticeable') === one.outcome
      ? one
      : { ...one, outcome: 'noticeable', cause: 'hardLine' };
  });
}

/** Classes of condition that the worst place is below what the model answer leaves it. */
export function conditionLost(
  { modelPlayed }: MarkingContext,
  outcomes: readonly PlaceOutcome[],
): { classes: number; part: Part | null } {
  let [classes, worst]: [number, Part | null] = [0, null];
  for (const { part, condition, damage } of outcomes) {
    const best = modelPlayed.momentOf(partOf(modelPlayed, part), modelPlayed.minutes).strand;
    const lost = conditionRank(condition) - conditionRank(conditionOf(best));
    if (lost > classes && damage - best.damage >= DAMAGE_APART) [classes, worst] = [lost, part];
  }
  return { classes, part: worst };
}
