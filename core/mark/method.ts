import { partName } from '../case';
import { differenceOf } from '../colour';
import type { Criterion } from '../exercise';
import { levelOfPigmented, labOfStrand } from '../hair';
import { PRICES } from '../rules';
import { AS_GOOD_WITHIN } from '../solve';
import { type MarkingContext, partOf } from './context';
import { markRatio, markAmount } from './criteria/bowls';
import { markSafety, markAftercare } from './criteria/consultation';
import { markDeveloper } from './criteria/developer';
import { markOrder } from './criteria/order';
import { markReading, markPrediction } from './criteria/reading';
import { markGreyShare, depthFinding, colourMixes, type ColourMix, toneFinding } from './criteria/shades';
import { markRoute } from './criteria/technique';
import { markTiming } from './criteria/timing';
import type { Finding } from './finding';
import type { WorkedPlace } from './worked-place';
import { fault } from './faults';

/** Levels that are told apart when hair is read (L1). */
const LEVEL_READ = 0.5;

/** Whether the shades of a part, off by the rules of thumb, bring it out as well as the best plan does. */
function isEquivalent(context: MarkingContext, part: WorkedPlace): boolean {
  if (!part.ruling.allowed || part.requiredMixes.some(({ worked }) => !worked)) return false;
  const alone: MarkingContext = { ...context, parts: [part], unasked: [] };
  // A plan of the search breaks no rule: strength, grey share and time have to be right by themselves.
  const rest = [markDeveloper(alone), markGreyShare(alone), markTiming(alone)].flat();
  if (rest.some(({ loss }) => loss > 0)) return false;
  const strandIn = (played: typeof context.played) =>
    played.momentOf(partOf(played, part.goal.part), played.minutes).strand;
  const [mine, best] = [strandIn(context.played), strandIn(context.modelPlayed)];
  return (
    // Half a level is read at a glance, whatever white strands make of the whole (L1, L3).
    Math.abs(levelOfPigmented(mine) - levelOfPigmented(best)) <= LEVEL_READ &&
    differenceOf(labOfStrand(mine), labOfStrand(best)) <= AS_GOOD_WITHIN
  );
}

function shades(
  context: MarkingContext,
  mark: typeof depthFinding,
  equivalent: (part: WorkedPlace) => boolean,
): Finding[] {
  return colourMixes(context.parts).flatMap((colourMix: ColourMix): Finding[] => {
    const finding = mark(context, colourMix);
    if (!finding) return [];
    // Lighter than the hair it lies on breaks a rule, however it came out (U4); a tone that was asked for and is not in
    // the bowl is a wish not heard.
    const breaks = finding.fault.name === 'depth.lighterThanHair' || finding.loss >= PRICES.tone.none;
    if (finding.loss === 0 || breaks || !colourMix.worked || !equivalent(colourMix.place)) return [finding];
    const { zone, woven } = colourMix.place.goal.part;
    return [{ ...finding, loss: 0, fault: fault('shades.equivalent', 'F10', { zone, woven }) }];
  });
}

/** What every wanted criterion finds in a plan; prices, no points. */
export function findingsOf(
  context: MarkingContext,
  wanted: readonly Criterion[],
): Partial<Record<Criterion, Finding[]>> {
  const known = new Map<string, boolean>();
  const equivalent = (part: WorkedPlace) => {
    const name = partName(part.goal.part);
    const answer = known.get(name) ?? isEquivalent(context, part);
    known.set(name, answer);
    return answer;
  };
  const makers: Record<Criterion, () => Finding[]> = {
    reading: () => markReading(context),
    prediction: () => markPrediction(context),
    route: () => markRoute(context),
    depth: () => shades(context, depthFinding, equivalent),
    tone: () => shades(context, toneFinding, equivalent),
    greyShare: () => markGreyShare(context),
    developer: () => markDeveloper(context),
    ratio: () => markRatio(context),
    amount: () => markAmount(context),
    order: () => markOrder(context),
    timing: () => markTiming(context),
    safety: () => markSafety(context),
    aftercare: () => markAftercare(context),
  };
  return Object.fromEntries(wanted.map((criterion) => [criterion, makers[criterion]()]));
}
