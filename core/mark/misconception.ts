import type { RecordCard, LineOf } from '../card';
import { toneVector } from '../colour';
import type { PlaceGoal } from '../method';
import { type Line, splitLabel, readLabel } from '../product';
import type { Reason } from '../reason';

/** Ways of thinking that go wrong, by name (section 1). */
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
  name: Misconception;
  /** The finding that shows it. */
  evidence: Reason;
}

const BY_CODE: Record<string, Misconception> = {
  'route.colourLiftsNothing': 'colourLiftsColour',
  'route.tonerCannotLighten': 'tonerLightens',
  'route.liftOnLift': 'liftOnLift',
  'route.fillFirst': 'noFiller',
  'route.beyondColour': 'tooFarByColour',
  'route.highLiftTooDark': 'tooFarByColour',
  'route.beyondCondition': 'tooMuchAtOnce',
  'danger.beyondCondition': 'tooMuchAtOnce',
  'mark.depth.lighterThanHair': 'tonerLighterThanHair',
  'mark.developer.tooStrong': 'strongerThanNeeded',
  'mark.developer.tooWeak': 'depositForLift',
  'mark.developer.liftOnLift': 'liftOnLift',
  'mark.developer.lightenerStrong': 'strongOnScalp',
  'danger.strongOnScalp': 'strongOnScalp',
  'mark.tone.sameSideAsWarmth': 'warmOnWarm',
  'mark.ratio.turned': 'ratioTurned',
  'mark.greyShare.none': 'noNaturalOnGrey',
  'mark.timing.greyShort': 'greyTakenOffEarly',
  'mark.amount.tooLittle': 'tooLittleProduct',
  'mark.order.rootFirst': 'rootsFirst',
  'mark.order.overlap': 'overlap',
  'danger.overlap': 'overlap',
  'mark.safety.tooFewVisits': 'oneVisitPromise',
  'danger.served': 'servedInSpite',
  'mark.developer.tooWeakForGrey': 'depositForGrey',
  'mark.route.blends': 'blendForCover',
  'route.vividFirstOut': 'powderOnVivid',
  'mark.order.pulledThrough': 'pulledThrough',
  'mark.timing.neverLookedAt': 'lightenerUnwatched',
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

const OFF_TONE = /^mark\.tone\.(offDirection|cancelsTarget|sameSideAsWarmth|missing|notNeutral)$/;
const OFF_RATIO = /^mark\.ratio\.(tooThick|tooThin)$/;

/** Names what a plan's findings show, each once, in the order of the list. */
export function misconceptionsIn(
  findings: readonly Reason[],
  card: RecordCard,
  goals: readonly PlaceGoal[],
  lineOf: LineOf,
  lines: readonly Line[],
): MisconceptionFound[] {
  const cache = new Map<Misconception, Reason>();
  const note = (name: Misconception, evidence: Reason) => {
    if (!cache.has(name)) cache.set(name, evidence);
  };
  for (const finding of findings) {
    const known = BY_CODE[finding.code];
    if (known) note(known, finding);
    if (OFF_TONE.test(finding.code)) {
      const goal = goals.find(({ part }) => part.zone === finding.params.zone);
      for (const { lineId, shades } of card.bowls) {
        const own = lineId ? lineOf(lineId) : undefined;
        if (goal && own && shades.some(({ label }) => inOtherKey(label, own, lines, goal)))
          note('otherLinesKey', finding);
      }
    }
    if (OFF_RATIO.test(finding.code)) {
      const own = card.bowls.find(({ name }) => name === finding.params.bowl)?.lineId;
      const others = lines.filter((line) => line.id !== own);
      if (
        others.some(({ ratios }) =>
          ratios.some((ratio) => Math.abs(ratio - Number(finding.params.given)) < 0.05),
        )
      )
        note('otherLinesRatio', finding);
    }
  }
  return MISCONCEPTIONS.flatMap((name) => (cache.has(name) ? [{ name, evidence: cache.get(name)! }] : []));
}
