import { toneVector } from '../../colour';
import type { LineOf, ServicePlan } from '../../plan';
import type { Reason } from '../../reason';
import { readLabel, type Line } from '../../shades';
import type { Task } from '../../solve';

/** Ways of thinking that go wrong, by name (section 1). */
export const SERVICE_MISCONCEPTIONS = [
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
] as const;
export type ServiceMisconception = (typeof SERVICE_MISCONCEPTIONS)[number];

export interface MisconceptionFound {
  name: ServiceMisconception;
  /** The finding that shows it. */
  evidence: Reason;
}

const BY_CODE: Record<string, ServiceMisconception> = {
  'route.colourLiftsNothing': 'colourLiftsColour',
  'route.tonerCannotLighten': 'tonerLightens',
  'route.liftOnLift': 'liftOnLift',
  'route.fillFirst': 'noFiller',
  'route.beyondColour': 'tooFarByColour',
  'route.highLiftTooDark': 'tooFarByColour',
  'route.beyondCondition': 'tooMuchAtOnce',
  'danger.beyondCondition': 'tooMuchAtOnce',
  'service.depth.lighterThanHair': 'tonerLighterThanHair',
  'service.developer.tooStrong': 'strongerThanNeeded',
  'service.developer.tooWeak': 'depositForLift',
  'service.developer.liftOnLift': 'liftOnLift',
  'service.developer.lightenerStrong': 'strongOnScalp',
  'danger.strongOnScalp': 'strongOnScalp',
  'service.tone.sameSideAsWarmth': 'warmOnWarm',
  'service.ratio.turned': 'ratioTurned',
  'service.greyShare.none': 'noNaturalOnGrey',
  'service.timing.greyShort': 'greyTakenOffEarly',
  'service.amount.tooLittle': 'tooLittleProduct',
  'service.order.rootFirst': 'rootsFirst',
  'service.order.overlap': 'overlap',
  'danger.overlap': 'overlap',
  'service.safety.tooFewVisits': 'oneVisitPromise',
  'danger.served': 'servedInSpite',
};

/** A label that would have been right in another line's key (T2). */
function inOtherKey(label: string, own: Line, others: readonly Line[], task: Task): boolean {
  const wanted = toneVector(task.target.tone);
  const near = (line: Line) => {
    const sign = label.slice(label.search(/[^0-9]/) + 1);
    const level = label.slice(0, label.length - sign.length - 1);
    const reading = readLabel(line, `${level}${line.key.separator}${sign}`);
    if (!reading.ok) return false;
    const shown = toneVector(reading.shade.tone);
    return Math.hypot(shown.x - wanted.x, shown.y - wanted.y) < 0.15;
  };
  return !near(own) && others.some((line) => line.id !== own.id && near(line));
}

const OFF_TONE = /^service\.tone\.(offDirection|cancelsTarget|sameSideAsWarmth|missing|notNeutral)$/;
const OFF_RATIO = /^service\.ratio\.(tooThick|tooThin)$/;

/** Names what a plan's findings show, each once, in the order of the list. */
export function misconceptionsIn(
  findings: readonly Reason[],
  plan: ServicePlan,
  tasks: readonly Task[],
  lineOf: LineOf,
  lines: readonly Line[],
): MisconceptionFound[] {
  const found = new Map<ServiceMisconception, Reason>();
  const note = (name: ServiceMisconception, evidence: Reason) => {
    if (!found.has(name)) found.set(name, evidence);
  };
  for (const finding of findings) {
    const known = BY_CODE[finding.code];
    if (known) note(known, finding);
    if (OFF_TONE.test(finding.code)) {
      const task = tasks.find(({ part }) => part.zone === finding.params.zone);
      for (const { lineId, shades } of plan.bowls) {
        const own = lineId ? lineOf(lineId) : undefined;
        if (task && own && shades.some(({ label }) => inOtherKey(label, own, lines, task)))
          note('otherLinesKey', finding);
      }
    }
    if (OFF_RATIO.test(finding.code)) {
      const own = plan.bowls.find(({ name }) => name === finding.params.bowl)?.lineId;
      const others = lines.filter((line) => line.id !== own);
      if (
        others.some(({ ratios }) =>
          ratios.some((ratio) => Math.abs(ratio - Number(finding.params.given)) < 0.05),
        )
      )
        note('otherLinesRatio', finding);
    }
  }
  return SERVICE_MISCONCEPTIONS.flatMap((name) =>
    found.has(name) ? [{ name, evidence: found.get(name)! }] : [],
  );
}
