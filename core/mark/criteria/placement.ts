import { type Application, isWorkedDuring, isProtectedAt, isMelted } from '../../card';
import { placementOn, isLightenedZone } from '../../case';
import {
  type Area,
  AREA_BEARS,
  DENSITY_FACTOR,
  regionsOf,
  zoneOf,
  type Region,
  neighboursOf,
  fractionOfHead,
  regionOf,
} from '../../hair';
import type { MixRole } from '../../method';
import { PRICES, hasGreyToCover } from '../../rules';
import { ALWAYS_SHOWS, areasLeftOut } from '../outcome';
import { type MarkingContext, placeParams } from '../context';
import { type Finding, finding } from '../finding';
import { fault, type Fault, type FaultOf } from '../faults';

/** Fraction of the hair by which a share that is woven out may be another. */
const SHARE_WITHIN = 0.1;

const { order: price } = PRICES;

/** A6. */
export function woven({ clientCase, parts }: MarkingContext): Finding[] {
  return parts
    .filter(({ goal }) => goal.part.woven)
    .flatMap(({ goal, steps }) =>
      steps.map(({ application }) => {
        const { share, taken } = placementOn(clientCase, goal.part.zone)!;
        const params = { ...placeParams(goal), expected: share, given: application.share };
        if (application.placement !== 'foils' || application.share === 1)
          return orderFinding(price.noFoils, 'noFoils', 'A6', params);
        if (Math.abs(application.share - share) > SHARE_WITHIN)
          return orderFinding(price.otherShare, 'otherShare', 'A6', params);
        return taken && application.taken !== taken
          ? orderFinding(price.otherTaken, 'otherTaken', 'A6', {
              ...placeParams(goal),
              expected: taken,
              given: application.taken ?? '',
            })
          : orderFinding(0, 'foils', 'A6', params);
      }),
    );
}

/** Areas of a head in the order in which some steps reach them. */
const worked = (steps: readonly Application[]): Area[] =>
  [...steps].sort((a, b) => a.start - b.start).flatMap(({ areas }) => areas);

/**
 * A4, F8, C7: where grey is thickest the colour needs its time longest; where hair grows unevenly the densest is begun
 * first and the thinnest comes last.
 */
export function whereFirst({ clientCase, parts, card }: MarkingContext): Finding[] {
  const regions = regionsOf(clientCase.head);
  const covering = new Set<Application>();
  for (const part of parts)
    for (const { application, role } of part.steps)
      if (
        role === 'colour' &&
        hasGreyToCover(zoneOf(clientCase.head, part.goal.part.zone)!.greyShare) &&
        part.technique !== 'refresh'
      )
        covering.add(application);
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
  const order = worked(card.steps);
  if (byDensity.length < 2 || order.length === 0) return [];
  const densityAt = (area: Area) => regions.find(({ areas }) => areas.includes(area))!.density;
  // Of the work there is: a retouch of the crown alone is begun at the crown.
  const there = byDensity.filter((density) => order.some((area) => densityAt(area) === density));
  const at = { zone: card.steps[0].zones[0], woven: false };
  return densityAt(order[0]) === there[0]
    ? [orderFinding(0, 'densestFirst', 'C7', at)]
    : [orderFinding(price.wrongEnd, 'thinnestFirst', 'C7', at)];
}

/** C5: lightener beside lightened hair that it is kept off by nothing but a careful brush. */
export function jointsProtected({ clientCase, parts, card }: MarkingContext): Finding[] {
  const finding: Finding[] = [];
  for (const { steps, goal } of parts)
    for (const { application, role } of steps) {
      if (role !== 'lighten' || application.placement !== 'open') continue;
      for (const other of neighboursOf(clientCase.head, goal.part.zone)) {
        const joins =
          isLightenedZone(zoneOf(clientCase.head, other)!) && !isWorkedDuring(card.steps, other, application);
        if (!joins) continue;
        const params = { ...placeParams(goal), other };
        finding.push(
          isProtectedAt(card, other, application.start)
            ? orderFinding(0, 'protected', 'C5', params)
            : orderFinding(price.unprotected, 'unprotected', 'C5', params),
        );
      }
    }
  return finding;
}

/** What must not run into another product beside it: powders and removers (P3, C5). */
const RUNS: readonly MixRole[] = ['lighten', 'remove'];

/** A6, C5, P3: two such products at once on places that meet are kept apart by foil, or the joint by cream. */
export function keptApart({ clientCase, parts, card }: MarkingContext): Finding[] {
  const working = parts.flatMap(({ goal, steps }) =>
    steps.flatMap(({ application, line, role }) =>
      RUNS.includes(role) && !goal.part.woven ? [{ task: goal, step: application, line }] : [],
    ),
  );
  return working.flatMap(({ task, step, line }, i) =>
    working.slice(i + 1).flatMap((other): Finding[] => {
      const near = neighboursOf(clientCase.head, task.part.zone).includes(other.task.part.zone);
      const atOnce =
        step.start < other.step.start + other.step.minutes && other.step.start < step.start + step.minutes;
      if (!near || !atOnce || line.kind === other.line.kind) return [];
      const params = { ...placeParams(task), other: other.task.part.zone };
      const apart =
        [step, other.step].every(({ placement }) => placement === 'foils') ||
        [task, other.task].some(({ part }) =>
          isProtectedAt(card, part.zone, Math.max(step.start, other.step.start)),
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
export const melted = ({ clientCase: { melts = [] }, card }: MarkingContext): Finding[] =>
  melts.map(({ zones }) => {
    const params = { zone: zones[1], woven: false, other: zones[0] };
    return isMelted(card, zones)
      ? orderFinding(0, 'melted', 'F10', params)
      : orderFinding(price.meltLeftHard, 'meltLeftHard', 'F10', params);
  });

/** What is left out of a place is not coloured: areas that none of its bowls comes to (A4). */
export const coverage = (context: MarkingContext): Finding[] =>
  context.parts.flatMap(({ goal }): Finding[] => {
    const left = areasLeftOut(context, goal.part);
    if (left.length === 0) return [];
    const all = fractionOfHead(regionOf(context.clientCase.head, goal.part.zone).areas);
    const bears = fractionOfHead(left) / all;
    const seen = left.some((area) => ALWAYS_SHOWS.includes(area));
    return [
      orderFinding(Math.max(bears, seen ? price.areaSeen : 0), 'areasLeftOut', 'A4', {
        ...placeParams(goal),
        area: left[0],
        count: left.length,
        share: Math.round(bears * 100) / 100,
      }),
    ];
  });

/** R5: a treatment or sealer on hair that has not been rinsed does nothing. */
export const treatedUnrinsed = ({ card, played }: MarkingContext): Finding[] =>
  card.care.flatMap((care): Finding[] => {
    if (care.do !== 'treat' && care.do !== 'seal') return [];
    const zone = care.zones.find((place) =>
      played.parts.some(
        (part) => part.zone === place && !part.woven && played.momentOf(part, care.start).lying !== null,
      ),
    );
    return zone ? [orderFinding(price.treatedUnrinsed, 'treatedUnrinsed', 'R5', { zone, woven: false })] : [];
  });

/** A finding of order and placement; it is of the head, whatever place it speaks of. */
export const orderFinding = (
  loss: number,
  code: FaultOf<'order'>,
  rule: string,
  params: Fault['params'],
): Finding => finding(null, loss, fault(`order.${code}`, rule, params));
