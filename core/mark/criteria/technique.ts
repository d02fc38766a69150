import { bowlVol } from '../../card';
import { partName } from '../../case';
import { keepsWarmth } from '../../method';
import { isLightener, conditionOf } from '../../process';
import { reason } from '../../reason';
import { refreshWay, PRICES } from '../../rules';
import { type JudgeContext, zoneReason, partOf } from '../context';
import { type Finding, finding } from '../finding';
import { cameOutOf, conditionRank } from '../outcome';
import type { SeenPart, SeenStep } from '../worked-place';

/** Up to this strength, volumes, permanent colour only deposits (D2). */
const DEPOSITS_TO = 10;
const COVERS: readonly string[] = ['permanent', 'express'];
/** From this fraction of white on a blend is no cover at all (F13). */
const MUCH_GREY = 0.25;

/** The route of every part: one that gets there, by the products it asks for, and nothing besides. */
export function markRoute(context: JudgeContext): Finding[] {
  const { clientCase, lineOf, parts, unasked, rules } = context;
  const school = refreshWay(
    rules,
    clientCase.lineIds.flatMap((id) => lineOf(id) ?? []),
  );
  const ofPart = (part: SeenPart): Finding => {
    const place = partName(part.task.part);
    const at = { ...zoneReason(part.task), route: part.route };
    if (!part.ruling.allowed) {
      const { code, params, rule } = part.ruling.reason;
      return finding(place, PRICES.route.cannot, reason(code, rule, { ...params, ...at }));
    }
    const missing = part.layers.find(({ seen }) => !seen);
    // A toner that is left out is paid for where its shades and its time would stand.
    if (missing && missing.layer.role !== 'colour')
      return finding(
        place,
        PRICES.route.cannot,
        reason('mark.route.unfinished', 'F4', { ...at, missing: missing.layer.role }),
      );
    if (part.leftover) {
      const { way } = part.leftover;
      return way === school
        ? finding(place, 0, reason('mark.route.leftover', 'A1', { ...at, way }))
        : finding(place, PRICES.otherSchool, reason('mark.route.otherRefresh', 'A1', { ...at, way, school }));
    }
    const other = part.layers.find(
      ({ layer, seen }) =>
        seen &&
        !layer.products.some(
          (one) => one === seen.line.kind || (one === 'highLift' && seen.line.kind === 'permanent'),
        ),
    );
    if (other) {
      const { line } = other.seen!;
      const params = { ...at, line: line.name, kind: line.kind };
      return finding(
        place,
        otherProductCosts(part, other.seen!),
        reason('mark.route.otherProduct', 'F4', params),
      );
    }
    const blends = part.layers.find(
      ({ layer, seen }) => seen && layer.need?.covers && !COVERS.includes(seen.line.kind),
    );
    const coversAtHand = clientCase.lineIds.some((id) => COVERS.includes(lineOf(id)?.kind ?? ''));
    if (blends && coversAtHand)
      return finding(
        place,
        part.task.greyShare >= MUCH_GREY ? PRICES.route.cannot : PRICES.route.costlier,
        reason('mark.route.blends', 'F13', { ...at, line: blends.seen!.line.name }),
      );
    if (part.extra.length > 0)
      return finding(
        place,
        PRICES.route.besides,
        reason('mark.route.extra', 'D7', { ...at, line: part.extra[0].line.name }),
      );
    if (part.route === 'lightenThenTone' && takesWarmthWanted(context, part))
      return finding(place, PRICES.route.againstWish, reason('mark.route.takesWarmth', 'U3', at));
    if (isCostlier(context, part))
      return finding(place, PRICES.route.costlier, reason('mark.route.costlier', 'D3', at));
    return finding(place, 0, reason('mark.route.right', part.ruling.reason.rule, at));
  };
  const worked = parts.flatMap((part): Finding[] => {
    // What is rightly left alone is done by nobody: it earns nothing.
    if (part.route === 'leave' && part.ruling.allowed) return [];
    return [ofPart(part)];
  });
  const besides = unasked.map(({ zone }) => {
    const out = cameOutOf(context, { zone, woven: false, target: null });
    return finding(
      zone,
      PRICES.route.spoilt[out.cameOut],
      reason('mark.route.notAsked', 'A1', { zone, woven: false }),
    );
  });
  return [...worked, ...besides];
}

/** Permanent colour where low-strength is asked, and powder where another is: by what the hair bears and the bowl does. */
function otherProductCosts({ task }: SeenPart, { line, bowl }: SeenStep): number {
  if (isLightener(line.kind)) return PRICES.route.costlier;
  if (!COVERS.includes(line.kind) || (bowlVol(bowl) ?? 0) > DEPOSITS_TO) return PRICES.route.cannot;
  return task.porosity === 'high' ? PRICES.route.onPorous : PRICES.route.costlier;
}

/** Lightener takes the warmth that would carry a warm wish within reach of colour (U3). */
const takesWarmthWanted = ({ bestRoutes }: JudgeContext, { task, route }: SeenPart) =>
  keepsWarmth(task, route) && bestRoutes.get(partName(task.part)) === 'liftWithColour';

/** Another way than the model answer's that leaves the hair a class weaker. */
function isCostlier({ played, bestPlayed, bestRoutes }: JudgeContext, { task, route }: SeenPart): boolean {
  const best = bestRoutes.get(partName(task.part));
  if (best === undefined || best === route) return false;
  const rank = (all: typeof played) =>
    conditionRank(conditionOf(all.momentOf(partOf(all, task.part), all.minutes).strand));
  return rank(played) > rank(bestPlayed);
}
