import { type Step, isWorkedDuring, isProtectedAt, isMelted } from '../../card';
import { placementOn, isLightenedZone } from '../../case';
import { type Area, AREA_BEARS, DENSITY_FACTOR, regionsOf, zoneOf, type Region, besideOf } from '../../hair';
import type { LayerRole } from '../../method';
import { reason } from '../../reason';
import { PRICES, hasGreyToCover } from '../../rules';
import { type JudgeContext, zoneReason } from '../context';
import { type Finding, finding } from '../finding';

/** Fraction of the hair by which a share that is woven out may be another. */
const SHARE_WITHIN = 0.1;

const { order: price } = PRICES;

/** A6. */
export function woven({ clientCase, parts }: JudgeContext): Finding[] {
  return parts
    .filter(({ task }) => task.part.woven)
    .flatMap(({ task, steps }) =>
      steps.map(({ step }) => {
        const { share, taken } = placementOn(clientCase, task.part.zone)!;
        const params = { ...zoneReason(task), expected: share, given: step.share };
        if (step.placement !== 'foils' || step.share === 1)
          return orderFinding(price.noFoils, 'noFoils', 'A6', params);
        if (Math.abs(step.share - share) > SHARE_WITHIN)
          return orderFinding(price.otherShare, 'otherShare', 'A6', params);
        return taken && step.taken !== taken
          ? orderFinding(price.otherTaken, 'otherTaken', 'A6', {
              ...zoneReason(task),
              expected: taken,
              given: step.taken ?? '',
            })
          : orderFinding(0, 'foils', 'A6', params);
      }),
    );
}

/** Areas of a head in the order in which some steps reach them. */
const worked = (steps: readonly Step[]): Area[] =>
  [...steps].sort((a, b) => a.start - b.start).flatMap(({ areas }) => areas);

/**
 * A4, F8, C7: where grey is thickest the colour needs its time longest; where hair grows unevenly the densest is begun
 * first and the thinnest comes last.
 */
export function whereFirst({ clientCase, parts, plan }: JudgeContext): Finding[] {
  const regions = regionsOf(clientCase.head);
  const covering = new Set<Step>();
  for (const part of parts)
    for (const { step, role } of part.steps)
      if (
        role === 'colour' &&
        hasGreyToCover(zoneOf(clientCase.head, part.task.part.zone)!.greyShare) &&
        part.route !== 'refresh'
      )
        covering.add(step);
  if (covering.size > 0) {
    const first = worked([...covering])[0];
    const greyOf = ({ zones }: Region) => Math.max(...zones.map(({ greyShare }) => greyShare));
    const most = Math.max(...regions.map(greyOf));
    const thickest = regions.filter((region) => greyOf(region) === most).flatMap(({ areas }) => areas);
    const atFace = thickest.filter((area) => AREA_BEARS[area].half === 'front');
    const at = { zone: [...covering][0].zones[0], woven: false };
    return (atFace.length > 0 ? atFace : thickest).includes(first)
      ? [orderFinding(0, 'greyFirst', 'A4', at)]
      : [orderFinding(price.wrongEnd, 'greyLast', 'A4', at)];
  }
  const byDensity = [...new Set(regions.map(({ density }) => density))].sort(
    (a, b) => DENSITY_FACTOR[b] - DENSITY_FACTOR[a],
  );
  const order = worked(plan.steps);
  if (byDensity.length < 2 || order.length === 0) return [];
  const densityAt = (area: Area) => regions.find(({ areas }) => areas.includes(area))!.density;
  // Of the work there is: a retouch of the crown alone is begun at the crown.
  const there = byDensity.filter((density) => order.some((area) => densityAt(area) === density));
  const at = { zone: plan.steps[0].zones[0], woven: false };
  return densityAt(order[0]) === there[0]
    ? [orderFinding(0, 'densestFirst', 'C7', at)]
    : [orderFinding(price.wrongEnd, 'thinnestFirst', 'C7', at)];
}

/** C5: lightener beside lightened hair that it is kept off by nothing but a careful brush. */
export function jointsProtected({ clientCase, parts, plan }: JudgeContext): Finding[] {
  const found: Finding[] = [];
  for (const { steps, task } of parts)
    for (const { step, role } of steps) {
      if (role !== 'lighten' || step.placement !== 'open') continue;
      for (const other of besideOf(clientCase.head, task.part.zone)) {
        const joins =
          isLightenedZone(zoneOf(clientCase.head, other)!) && !isWorkedDuring(plan.steps, other, step);
        if (!joins) continue;
        const params = { ...zoneReason(task), other };
        found.push(
          isProtectedAt(plan, other, step.start)
            ? orderFinding(0, 'protected', 'C5', params)
            : orderFinding(price.unprotected, 'unprotected', 'C5', params),
        );
      }
    }
  return found;
}

/** What must not run into another product beside it: powders and removers (P3, C5). */
const RUNS: readonly LayerRole[] = ['lighten', 'remove'];

/** A6, C5, P3: two such products at once on places that meet are kept apart by foil, or the joint by cream. */
export function keptApart({ clientCase, parts, plan }: JudgeContext): Finding[] {
  const working = parts.flatMap(({ task, steps }) =>
    steps.flatMap(({ step, line, role }) =>
      RUNS.includes(role) && !task.part.woven ? [{ task, step, line }] : [],
    ),
  );
  return working.flatMap(({ task, step, line }, i) =>
    working.slice(i + 1).flatMap((other): Finding[] => {
      const near = besideOf(clientCase.head, task.part.zone).includes(other.task.part.zone);
      const atOnce =
        step.start < other.step.start + other.step.minutes && other.step.start < step.start + step.minutes;
      if (!near || !atOnce || line.kind === other.line.kind) return [];
      const params = { ...zoneReason(task), other: other.task.part.zone };
      const apart =
        [step, other.step].every(({ placement }) => placement === 'foils') ||
        [task, other.task].some(({ part }) =>
          isProtectedAt(plan, part.zone, Math.max(step.start, other.step.start)),
        );
      return [
        apart
          ? orderFinding(0, 'apart', 'C5', params)
          : orderFinding(price.unprotected, 'notApart', 'C5', params),
      ];
    }),
  );
}

/** F10: where two colours are to flow into one another they are worked together. */
export const melted = ({ clientCase: { melts = [] }, plan }: JudgeContext): Finding[] =>
  melts.map(({ zones }) => {
    const params = { zone: zones[1], woven: false, other: zones[0] };
    return isMelted(plan, zones)
      ? orderFinding(0, 'melted', 'F10', params)
      : orderFinding(price.meltLeftHard, 'meltLeftHard', 'F10', params);
  });

type Params = Parameters<typeof reason>[2];

/** A finding of order and placement; it is of the head, whatever place it speaks of. */
export const orderFinding = (loss: number, code: string, rule: string, params: Params): Finding =>
  finding(null, loss, reason(`mark.order.${code}`, rule, params));
