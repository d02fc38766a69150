import { bowlVol } from '../../card';
import { partName } from '../../case';
import { keepsWarmth } from '../../method';
import { isLightener, conditionOf } from '../../process';
import { refreshWay, PRICES } from '../../rules';
import { type MarkingContext, placeParams, partOf } from '../context';
import { type Finding, finding } from '../finding';
import { placeOutcome, conditionRank } from '../outcome';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import { fault } from '../faults';

/** Up to this strength, volumes, permanent colour only deposits (D2). */
const DEPOSITS_TO = 10;
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
  const ofPart = (part: WorkedPlace): Finding => {
    const place = partName(part.goal.part);
    const at = { ...placeParams(part.goal), route: part.technique };
    if (!part.ruling.allowed) {
      const { name, reason } = part.ruling;
      const params = { ...reason.params, ...at };
      return finding(place, PRICES.route.cannot, fault(`ruling.${name}`, reason.rule, params));
    }
    const missing = part.requiredMixes.find(({ worked }) => !worked);
    // A toner that is left out is paid for where its shades and its time would stand.
    if (missing && missing.mix.role !== 'colour')
      return finding(
        place,
        PRICES.route.cannot,
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
        otherProductCosts(part, other.worked!),
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
        part.goal.greyShare >= MUCH_GREY ? PRICES.route.cannot : PRICES.route.costlier,
        fault('route.blends', 'F13', { ...at, line: blends.worked!.line.name }),
      );
    if (part.extra.length > 0)
      return finding(
        place,
        PRICES.route.besides,
        fault('route.extra', 'D7', { ...at, line: part.extra[0].line.name }),
      );
    if (part.technique === 'lightenThenTone' && takesWarmthWanted(context, part))
      return finding(place, PRICES.route.againstWish, fault('route.takesWarmth', 'U3', at));
    if (isCostlier(context, part))
      return finding(place, PRICES.route.costlier, fault('route.costlier', 'D3', at));
    return finding(place, 0, fault('route.right', part.ruling.reason.rule, at));
  };
  const worked = parts.flatMap((part): Finding[] => {
    // Leaving alone what is right to leave takes no work and earns nothing.
    if (part.technique === 'leave' && part.ruling.allowed) return [];
    return [ofPart(part)];
  });
  const besides = unasked.map(({ zone }) => {
    const out = placeOutcome(context, { zone, woven: false, target: null });
    return finding(
      zone,
      PRICES.route.spoilt[out.outcome],
      fault('route.notAsked', 'A1', { zone, woven: false }),
    );
  });
  return [...worked, ...besides];
}

/** Permanent colour where low-strength is asked, and powder where another is: by what the hair bears and the bowl does. */
function otherProductCosts({ goal }: WorkedPlace, { line, bowl }: WorkedApplication): number {
  if (isLightener(line.kind)) return PRICES.route.costlier;
  if (!COVERS.includes(line.kind) || (bowlVol(bowl) ?? 0) > DEPOSITS_TO) return PRICES.route.cannot;
  return goal.porosity === 'high' ? PRICES.route.onPorous : PRICES.route.costlier;
}

/** Lightener takes the warmth that would carry a warm wish within reach of colour (U3). */
const takesWarmthWanted = ({ modelTechniques }: MarkingContext, { goal, technique }: WorkedPlace) =>
  keepsWarmth(goal, technique) && modelTechniques.get(partName(goal.part)) === 'liftWithColour';

/** Another way than the model answer's that leaves the hair a class weaker. */
function isCostlier(
  { played, modelPlayed, modelTechniques }: MarkingContext,
  { goal, technique }: WorkedPlace,
): boolean {
  const best = modelTechniques.get(partName(goal.part));
  if (best === undefined || best === technique) return false;
  const rank = (all: typeof played) =>
    conditionRank(conditionOf(all.momentOf(partOf(all, goal.part), all.minutes).strand));
  return rank(played) > rank(modelPlayed);
}
