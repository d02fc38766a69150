import type { RecordCard, LineOf } from '../card';
import { toneVector } from '../colour';
import type { PlaceGoal } from '../method';
import { type Line, splitLabel, readLabel } from '../product';
import type { Reason } from '../reason';
import { type DangerName, type FaultName } from './faults';

/** Ways of thinking that go wrong, by name. */
export const MISCONCEPTIONS = [
  'colourLiftsColour',
  'tonerLightens',
  'liftOnLift',
  'noFiller',
  'tooFarByColour',
  'tooMuchAtOnce',
  'tonerLighterThanHair',
  'strongerThanNeeded',
  'depositForLift',
  'strongOnScalp',
  'warmOnWarm',
  'otherLinesKey',
  'otherLinesRatio',
  'ratioTurned',
  'noNaturalOnGrey',
  'greyTakenOffEarly',
  'tooLittleProduct',
  'rootsFirst',
  'overlap',
  'oneVisitPromise',
  'servedInSpite',
  'depositForGrey',
  'blendForCover',
  'powderOnVivid',
  'pulledThrough',
  'lightenerUnwatched',
  'rinseForgotten',
] as const;
export type Misconception = (typeof MISCONCEPTIONS)[number];

export interface MisconceptionFound {
  /** Which way of thinking it is. */
  name: Misconception;
  /** The finding that shows it. */
  evidence: Reason;
}

/** What shows a way of thinking: a fault, or a danger. */
export type EvidenceName = FaultName | `danger.${DangerName}`;
/** Something that was found in a plan, as marking reads it and as it is told. */
export interface Evidence {
  /** What was found. */
  fault: EvidenceName;
  /** Why, in the words of the interface. */
  reason: Reason;
}

const SHOWN_BY: Partial<Record<EvidenceName, Misconception>> = {
  'ruling.colourLiftsNothing': 'colourLiftsColour',
  'ruling.tonerCannotLighten': 'tonerLightens',
  'ruling.liftOnLift': 'liftOnLift',
  'ruling.fillFirst': 'noFiller',
  'ruling.beyondColour': 'tooFarByColour',
  'ruling.highLiftTooDark': 'tooFarByColour',
  'ruling.beyondCondition': 'tooMuchAtOnce',
  'danger.beyondCondition': 'tooMuchAtOnce',
  'depth.lighterThanHair': 'tonerLighterThanHair',
  'developer.tooStrong': 'strongerThanNeeded',
  'developer.tooWeak': 'depositForLift',
  'developer.liftOnLift': 'liftOnLift',
  'developer.lightenerStrong': 'strongOnScalp',
  'danger.strongOnScalp': 'strongOnScalp',
  'tone.sameSideAsWarmth': 'warmOnWarm',
  'ratio.turned': 'ratioTurned',
  'greyShare.none': 'noNaturalOnGrey',
  'timing.greyShort': 'greyTakenOffEarly',
  'amount.tooLittle': 'tooLittleProduct',
  'order.rootFirst': 'rootsFirst',
  'order.overlap': 'overlap',
  'danger.overlap': 'overlap',
  'safety.tooFewVisits': 'oneVisitPromise',
  'danger.served': 'servedInSpite',
  'developer.tooWeakForGrey': 'depositForGrey',
  'route.blends': 'blendForCover',
  'ruling.vividFirstOut': 'powderOnVivid',
  'order.pulledThrough': 'pulledThrough',
  'timing.neverLookedAt': 'lightenerUnwatched',
  'danger.neverRinsed': 'rinseForgotten',
};

/** A label that would have been right in another line's key (T2). */
function inOtherKey(label: string, own: Line, others: readonly Line[], goal: PlaceGoal): boolean {
  const wanted = toneVector(goal.target.tone);
  const near = (line: Line) => {
    const parts = splitLabel(own, label);
    if (!parts) return false;
    const { level, signs: sign } = parts;
    const reading = readLabel(line, `${level}${line.key.separator}${sign}`);
    if (!reading.ok) return false;
    const shown = toneVector(reading.shade.tone);
    return Math.hypot(shown.x - wanted.x, shown.y - wanted.y) < 0.15;
  };
  return !near(own) && others.some((line) => line.id !== own.id && near(line));
}

const OFF_TONE: readonly EvidenceName[] = [
  'tone.offDirection',
  'tone.cancelsTarget',
  'tone.sameSideAsWarmth',
  'tone.missing',
  'tone.notNeutral',
];
const OFF_RATIO: readonly EvidenceName[] = ['ratio.tooThick', 'ratio.tooThin'];

/** Names what a plan's findings show, each once, in the order of the list. */
export function misconceptionsIn(
  evidence: readonly Evidence[],
  card: RecordCard,
  goals: readonly PlaceGoal[],
  lineOf: LineOf,
  lines: readonly Line[],
): MisconceptionFound[] {
  const cache = new Map<Misconception, Reason>();
  const note = (name: Misconception, evidence: Reason) => {
    if (!cache.has(name)) cache.set(name, evidence);
  };
  for (const { fault, reason } of evidence) {
    const known = SHOWN_BY[fault];
    if (known) note(known, reason);
    if (OFF_TONE.includes(fault)) {
      const goal = goals.find(({ part }) => part.zone === reason.params.zone);
      for (const { lineId, shades } of card.bowls) {
        const own = lineId ? lineOf(lineId) : undefined;
        if (goal && own && shades.some(({ label }) => inOtherKey(label, own, lines, goal)))
          note('otherLinesKey', reason);
      }
    }
    if (OFF_RATIO.includes(fault)) {
      const own = card.bowls.find(({ name }) => name === reason.params.bowl)?.lineId;
      const others = lines.filter((line) => line.id !== own);
      if (
        others.some(({ ratios }) =>
          ratios.some((ratio) => Math.abs(ratio - Number(reason.params.given)) < 0.05),
        )
      )
        note('otherLinesRatio', reason);
    }
  }
  return MISCONCEPTIONS.flatMap((name) => (cache.has(name) ? [{ name, evidence: cache.get(name)! }] : []));
}
