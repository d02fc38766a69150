import { partName } from '../case';
import { differenceOf } from '../colour';
import type { Criterion } from '../exercise';
import { levelOfPigmented, labOfStrand } from '../hair';
import { reason } from '../reason';
import { PRICES } from '../rules';
import { AS_GOOD_WITHIN } from '../solve';
import { type JudgeContext, partOf } from './context';
import { markRatio, markAmount } from './criteria/bowls';
import { markSafety, markAftercare } from './criteria/consultation';
import { markDeveloper } from './criteria/developer';
import { markOrder } from './criteria/order';
import { markReading, markPrediction } from './criteria/reading';
import { markGreyShare, depthOf, colourLayers, type ColourLayer, toneOf } from './criteria/shades';
import { markRoute } from './criteria/technique';
import { markTiming } from './criteria/timing';
import type { Finding } from './finding';
import type { SeenPart } from './worked-place';

/** Levels that are told apart when hair is read (L1). */
const LEVEL_READ = 0.5;

/** Whether the shades of a part, off by the rules of thumb, bring it out as well as the best plan does. */
function isEquivalent(context: JudgeContext, part: SeenPart): boolean {
  if (!part.ruling.allowed || part.layers.some(({ seen }) => !seen)) return false;
  const alone: JudgeContext = { ...context, parts: [part], unasked: [] };
  // A plan of the search breaks no rule: strength, grey share and time have to be right by themselves.
  const rest = [markDeveloper(alone), markGreyShare(alone), markTiming(alone)].flat();
  if (rest.some(({ loss }) => loss > 0)) return false;
  const strandIn = (played: typeof context.played) =>
    played.momentOf(partOf(played, part.task.part), played.minutes).strand;
  const [mine, best] = [strandIn(context.played), strandIn(context.bestPlayed)];
  return (
    // Half a level is read at a glance, whatever white strands make of the whole (L1, L3).
    Math.abs(levelOfPigmented(mine) - levelOfPigmented(best)) <= LEVEL_READ &&
    differenceOf(labOfStrand(mine), labOfStrand(best)) <= AS_GOOD_WITHIN
  );
}

function shades(
  context: JudgeContext,
  mark: typeof depthOf,
  equivalent: (part: SeenPart) => boolean,
): Finding[] {
  return colourLayers(context.parts).flatMap((found: ColourLayer): Finding[] => {
    const one = mark(context, found);
    if (!one) return [];
    // Lighter than the hair it lies on breaks a rule, however it came out (U4); a tone that was asked for and is not in
    // the bowl is a wish not heard.
    const breaks = one.reason.code === 'mark.depth.lighterThanHair' || one.loss >= PRICES.tone.none;
    if (one.loss === 0 || breaks || !found.seen || !equivalent(found.part)) return [one];
    const { zone, woven } = found.part.task.part;
    return [{ ...one, loss: 0, reason: reason('mark.shades.equivalent', 'F10', { zone, woven }) }];
  });
}

/** What every wanted criterion finds in a plan; prices, no points. */
export function findingsOf(
  context: JudgeContext,
  wanted: readonly Criterion[],
): Partial<Record<Criterion, Finding[]>> {
  const known = new Map<string, boolean>();
  const equivalent = (part: SeenPart) => {
    const name = partName(part.task.part);
    const answer = known.get(name) ?? isEquivalent(context, part);
    known.set(name, answer);
    return answer;
  };
  const makers: Record<Criterion, () => Finding[]> = {
    reading: () => markReading(context),
    prediction: () => markPrediction(context),
    route: () => markRoute(context),
    depth: () => shades(context, depthOf, equivalent),
    tone: () => shades(context, toneOf, equivalent),
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
