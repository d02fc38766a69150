import { bowlVol } from '../../card';
import { partName } from '../../case';
import { keepsWarmth, type RulingName } from '../../method';
import { isLightener, conditionOf, type WashKind } from '../../process';
import { levelsByColour, refreshWay, PRICES } from '../../rules';
import { type MarkingContext, DEPOSITS_TO_VOL, placeParams, partOf } from '../context';
import { type Finding, finding } from '../finding';
import { placesOfIdleColour } from '../idle-bowls';
import { placeOutcome, conditionRank } from '../outcome';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import { fault } from '../faults';

const { route: price } = PRICES;
const COVERS: readonly string[] = ['permanent', 'express'];
/** From this fraction of white on a blend is no cover at all (F13). */
const MUCH_GREY = 0.25;

/** The route of every part: one that gets there, by the products it asks for, and nothing besides. */
export function markRoute(context: MarkingContext): Finding[] {
  const { clientCase, lineOf, parts, unasked, rules } = context;
  const school = refreshWay(
    rules,
    clientCase.lineIds.flatMap((id) => lineOf(id) ?? []),
  );
  const idle = placesOfIdleColour(context);
  const ofPart = (part: WorkedPlace): Finding => {
    const place = partName(part.goal.part);
    const at = { ...placeParams(part.goal), route: part.technique };
    if (!part.ruling.allowed) {
      const { name, reason } = part.ruling;
      const params = { ...reason.params, ...at };
      if (name === 'builtUp' && isWashedBefore(context, part, DEEP_WASHES) && forgives(context, part))
        return finding(place, 0, fault('route.washedOut', 'C6', at));
      const costs = LEFT_OUT.includes(name) && forgives(context, part) ? price.leftOut : price.cannot;
      return finding(place, costs, fault(`ruling.${name}`, reason.rule, params));
    }
    if (part.goal.minerals > 0 && !isWashedBefore(context, part, ['chelating']))
      return finding(place, price.leftOut, fault('route.notChelated', 'C10', at));
    if (part.ruling.name === 'liftFar' && context.modelTechniques.get(place) !== part.technique) {
      const { outcome } = placeOutcome(context, part.goal.part);
      return finding(
        place,
        outcome === 'asWished' ? PRICES.otherSchool : price.againstWish,
        fault('route.beyondLimit', 'F3', { ...at, limit: levelsByColour(rules) }),
      );
    }
    const missing = part.requiredMixes.find(({ worked }) => !worked);
    // A toner that is left out is paid for where its shades and its time would stand; mixed and left in the bowl, it has
    // shades, and what was not done is the route.
    const isIdle = missing?.mix.role === 'colour' && idle.has(part.goal.part.zone);
    if (missing && (missing.mix.role !== 'colour' || isIdle))
      return finding(
        place,
        isIdle && forgives(context, part) ? price.leftOut : price.cannot,
        fault('route.unfinished', 'F4', { ...at, missing: missing.mix.role }),
      );
    if (part.leftover) {
      const { way } = part.leftover;
      return way === school
        ? finding(place, 0, fault('route.leftover', 'A1', { ...at, way }))
        : finding(place, PRICES.otherSchool, fault('route.otherRefresh', 'A1', { ...at, way, school }));
    }
    const other = part.requiredMixes.find(
      ({ mix, worked }) =>
        worked &&
        !mix.products.some(
          (productKind) =>
            productKind === worked.line.kind ||
            (productKind === 'highLift' && worked.line.kind === 'permanent'),
        ),
    );
    if (other) {
      const { line } = other.worked!;
      const params = { ...at, line: line.name, kind: line.kind };
      return finding(
        place,
        otherProductCosts(context, part, other.worked!),
        fault('route.otherProduct', 'F4', params),
      );
    }
    const blends = part.requiredMixes.find(
      ({ mix, worked }) => worked && mix.shadeRequest?.covers && !COVERS.includes(worked.line.kind),
    );
    const coversAtHand = clientCase.lineIds.some((id) => COVERS.includes(lineOf(id)?.kind ?? ''));
    if (blends && coversAtHand)
      return finding(
        place,
        part.goal.greyShare >= MUCH_GREY ? price.cannot : price.costlier,
        fault('route.blends', 'F13', { ...at, line: blends.worked!.line.name }),
      );
    if (part.extra.length > 0)
      return finding(
        place,
        price.besides,
        fault('route.extra', 'D7', { ...at, line: part.extra[0].line.name }),
      );
    if (part.technique === 'lightenThenTone' && takesWarmthWanted(context, part))
      return finding(place, price.againstWish, fault('route.takesWarmth', 'U3', at));
    if (isCostlier(context, part)) return finding(place, price.costlier, fault('route.costlier', 'D3', at));
    return finding(place, 0, fault('route.right', part.ruling.reason.rule, at));
  };
  const worked = parts.flatMap((part): Finding[] => {
    // Leaving alone what is right to leave takes no work and earns nothing.
    if (part.technique === 'leave' && part.ruling.allowed) return [];
    return [ofPart(part)];
  });
  const besides = unasked.map(({ zone }) => {
    const out = placeOutcome(context, { zone, woven: false, target: null });
    return finding(zone, price.spoilt[out.outcome], fault('route.notAsked', 'A1', { zone, woven: false }));
  });
  return [...worked, ...besides];
}

/** Rulings against a way that leaves out a step of the theory. */
const LEFT_OUT: readonly RulingName[] = ['fillFirst', 'builtUp', 'overVivid', 'vividFirstOut'];

/** Whether a place comes out near the wish, and no class of condition below the model answer's, whatever was left out. */
function forgives(context: MarkingContext, { goal }: WorkedPlace): boolean {
  const { outcome } = placeOutcome(context, goal.part);
  return (
    (outcome === 'asWished' || outcome === 'near') &&
    rankAtEnd(context.played, goal) <= rankAtEnd(context.modelPlayed, goal)
  );
}

/** Washes that take built-up toner off as a cleanse does (C6). */
const DEEP_WASHES: readonly WashKind[] = ['clarifying', 'chelating'];

/** Whether a wash of some kind comes before the first thing put on a place (C6, C10). */
function isWashedBefore(
  { card }: MarkingContext,
  { goal, steps }: WorkedPlace,
  kinds: readonly WashKind[],
): boolean {
  const { zone } = goal.part;
  const first = Math.min(Infinity, ...steps.map(({ application }) => application.start));
  return card.care.some(
    (care) =>
      care.do === 'wash' && kinds.includes(care.how) && care.zones.includes(zone) && care.start <= first,
  );
}

/** Permanent colour where low-strength is asked, and powder where another is: by what the hair bears and the bowl does. */
function otherProductCosts(
  context: MarkingContext,
  part: WorkedPlace,
  { line, bowl }: WorkedApplication,
): number {
  const { goal } = part;
  if (isLightener(line.kind)) return forgives(context, part) ? price.otherPowder : price.cannot;
  if (!COVERS.includes(line.kind) || (bowlVol(bowl) ?? 0) > DEPOSITS_TO_VOL) return price.cannot;
  return goal.porosity === 'high' ? price.onPorous : price.costlier;
}

/** Lightener takes the warmth that would carry a warm wish within reach of colour (U3). */
const takesWarmthWanted = ({ modelTechniques }: MarkingContext, { goal, technique }: WorkedPlace) =>
  keepsWarmth(goal, technique) && modelTechniques.get(partName(goal.part)) === 'liftWithColour';

/** Class of condition of a place at the end, 0 for strong. */
const rankAtEnd = (played: MarkingContext['played'], { part }: WorkedPlace['goal']): number =>
  conditionRank(conditionOf(played.momentOf(partOf(played, part), played.minutes).strand));

/** Another way than the model answer's that leaves the hair a class weaker. */
function isCostlier(
  { played, modelPlayed, modelTechniques }: MarkingContext,
  { goal, technique }: WorkedPlace,
): boolean {
  const best = modelTechniques.get(partName(goal.part));
  if (best === undefined || best === technique) return false;
  return rankAtEnd(played, goal) > rankAtEnd(modelPlayed, goal);
}
