import { pastOf, presentLevel, zoneOf, type Step } from '../card';
import { reason } from '../reason';
import { HEAD_START } from '../solve';
import { hasGreyToCover, washBefore } from '../theory';
import { isLeftoverStep, mean, scored, zoneReason, type JudgeContext, type Scored } from './context';
import type { SeenPart, SeenStep } from './seen';

/** Minutes either side that still count as the head start. */
const START_SLACK = 3;
const SHARE_WITHIN = 0.1;
/** Levels by which one zone has to be darker to go first. */
const DARKER_BY = 1;
const REFRESH_SLACK = 3;

const firstStep = ({ steps }: SeenPart): SeenStep | undefined => steps[0];
const isLift = (part: SeenPart) =>
  part.route === 'lightenThenTone' || part.route === 'liftWithColour' || part.route === 'highLift';

/** A2: hair never lifted before is begun in the lengths; the warm root waits. */
function rootWaits({ parts }: JudgeContext): Scored[] {
  const lifted = parts.filter(
    (part) =>
      isLift(part) && part.task.history.kind === 'untouched' && firstStep(part) && !part.task.part.woven,
  );
  const roots = lifted.filter(({ task }) => task.place === 'onScalp');
  const lengths = lifted.filter(({ task }) => task.place === 'offScalp');
  if (lengths.length === 0) return [];
  const first = Math.min(...lengths.map((part) => firstStep(part)!.step.start));
  return roots.map((root) => {
    const waited = firstStep(root)!.step.start - first;
    const params = { ...zoneReason(root.task), waited, least: HEAD_START.least, most: HEAD_START.most };
    if (waited <= 0) return scored(0, reason('mark.order.rootFirst', 'A2', params));
    const within = waited >= HEAD_START.least - START_SLACK && waited <= HEAD_START.most + START_SLACK;
    return within
      ? scored(1, reason('mark.order.rootWaits', 'A2', params))
      : scored(0.5, reason('mark.order.rootTime', 'A2', params));
  });
}

const CAREFUL: readonly string[] = ['demi', 'acidGloss', 'direct', 'filler'];

/** A1: what lifts or colours for good stops where hair of another history, or hair to be left, begins. */
function stopLines({ clientCase, parts, plan, lineOf }: JudgeContext): Scored[] {
  return plan.steps.flatMap((step): Scored[] => {
    const bowl = plan.bowls.find(({ name }) => name === step.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || CAREFUL.includes(line.kind)) return [];
    const zones = clientCase.head.zones.map(({ zone }) => zone);
    const beside = zones.filter(
      (zone, i) =>
        !step.zones.includes(zone) && [zones[i - 1], zones[i + 1]].some((near) => step.zones.includes(near)),
    );
    const other = beside.find(
      (zone) =>
        pastOf(zoneOf(clientCase.head, zone)!).kind !== 'untouched' ||
        !parts.some(({ task }) => task.part.zone === zone),
    );
    if (!other) return [];
    const params = { zone: step.zones[0], woven: false, other, line: line.name };
    return [
      step.stopsAtLine
        ? scored(1, reason('mark.order.stopsAtLine', 'A1', params))
        : scored(0, reason('mark.order.overlap', 'A1', params)),
    ];
  });
}

/** A6. */
function woven({ clientCase, parts }: JudgeContext): Scored[] {
  const { weave } = clientCase;
  if (!weave) return [];
  return parts
    .filter(({ task }) => task.part.woven)
    .flatMap(({ task, steps }) =>
      steps.map(({ step }) => {
        const params = { ...zoneReason(task), expected: weave.share, given: step.share };
        if (step.placement !== 'foils' || step.share === 1)
          return scored(0, reason('mark.order.noFoils', 'A6', params));
        return Math.abs(step.share - weave.share) <= SHARE_WITHIN
          ? scored(1, reason('mark.order.foils', 'A6', params))
          : scored(0.5, reason('mark.order.otherShare', 'A6', params));
      }),
    );
}

/** A4, F8: where grey is thickest the colour needs its time longest. */
function greyFirst({ clientCase, parts }: JudgeContext): Scored[] {
  const steps = new Set<Step>();
  for (const part of parts)
    for (const { step, role } of part.steps)
      if (
        role === 'colour' &&
        hasGreyToCover(zoneOf(clientCase.head, part.task.part.zone)!.greyShare) &&
        part.route !== 'refresh'
      )
        steps.add(step);
  return [...steps].map(({ startsAt, zones }) =>
    startsAt === 'front'
      ? scored(1, reason('mark.order.greyFirst', 'A4', { zone: zones[0], woven: false }))
      : scored(0, reason('mark.order.greyLast', 'A4', { zone: zones[0], woven: false })),
  );
}

/** A3: among zones that are to lose colour the darkest goes first. */
function darkestFirst({ clientCase, parts }: JudgeContext): Scored[] {
  const worked = parts.filter(
    ({ steps, task }) =>
      !task.part.woven && steps.some(({ role }) => role === 'lighten' || role === 'remove'),
  );
  const scores: Scored[] = [];
  for (const dark of worked)
    for (const light of worked) {
      const [d, l] = [dark, light].map(({ task }) => presentLevel(zoneOf(clientCase.head, task.part.zone)!));
      if (dark.task.history.kind === 'untouched' || l - d < DARKER_BY) continue;
      const params = { ...zoneReason(dark.task), other: light.task.part.zone };
      scores.push(
        firstStep(dark)!.step.start <= firstStep(light)!.step.start
          ? scored(1, reason('mark.order.darkestFirst', 'A3', params))
          : scored(0, reason('mark.order.lightestFirst', 'A3', params)),
      );
    }
  return scores;
}

/** One bowl after another on the same hair, in the order of the route. */
function layerOrder({ parts }: JudgeContext): Scored[] {
  return parts.flatMap((part): Scored[] => {
    const at = zoneReason(part.task);
    const seen = part.layers.flatMap(({ seen: one }) => one ?? []);
    const scores: Scored[] = [];
    for (let i = 1; i < seen.length; i++) {
      const [before, after] = [seen[i - 1].step, seen[i].step];
      if (after.start >= before.start + before.minutes) continue;
      scores.push(
        scored(0, reason('mark.order.tooSoon', 'R5', { ...at, first: before.bowl, second: after.bowl })),
      );
    }
    if (scores.length === 0 && seen.length > 1) scores.push(scored(1, reason('mark.order.inTurn', 'R5', at)));
    return scores;
  });
}

/** A1: ends are refreshed at the end. */
function refreshLast({ parts }: JudgeContext): Scored[] {
  const others = parts
    .filter(({ route }) => route !== 'refresh' && route !== 'leave')
    .flatMap(({ steps }) => steps.map(({ step }) => step.start + step.minutes));
  if (others.length === 0) return [];
  const end = Math.max(...others);
  return (
    parts
      // What goes between foils goes on while they are in.
      .filter((part) => part.route === 'refresh' && firstStep(part)!.step.placement !== 'between')
      .map((part) => {
        const { start } = firstStep(part)!.step;
        const params = { ...zoneReason(part.task), start, end };
        return start >= end - 10 - REFRESH_SLACK
          ? scored(1, reason('mark.order.refreshLast', 'A1', params))
          : scored(0, reason('mark.order.refreshEarly', 'A1', params));
      })
  );
}

/** D6: lightener and colour go on dry hair unless it is meant. */
const dry = (context: JudgeContext): Scored[] =>
  context.plan.steps
    // Emulsified through the ends it is meant, and marked with the route.
    .filter((step) => step.wet && !isLeftoverStep(context, step))
    .map(({ zones }) => scored(0, reason('mark.order.wet', 'D6', { zone: zones[0], woven: false })));

/** Section 12: how hair comes to lightener is the class's rule, or the line's to say. */
function washed({ parts, plan, rules }: JudgeContext): Scored[] {
  const lightener = parts.flatMap(({ steps }) => steps).find(({ role }) => role === 'lighten');
  if (!lightener) return [];
  const expected = washBefore(lightener.line, rules);
  const params = {
    expected,
    given: plan.wash ?? '',
    line: lightener.line.name,
    school: rules.preServiceWash,
  };
  if (plan.wash === null) return [scored(0, reason('mark.order.washOpen', 'D4', params))];
  return [
    plan.wash === expected
      ? scored(1, reason('mark.order.washRight', 'D4', params))
      : scored(0, reason('mark.order.washOther', 'D4', params)),
  ];
}

export function markOrder(context: JudgeContext): Scored | null {
  const needed = context.solution.best.steps.length > 0;
  if (context.plan.steps.length === 0) return needed ? scored(0, reason('mark.order.open', undefined)) : null;
  const checks = [
    rootWaits,
    stopLines,
    woven,
    greyFirst,
    darkestFirst,
    layerOrder,
    refreshLast,
    dry,
    washed,
  ].flatMap((check) => check(context));
  return mean(checks) ?? scored(1, reason('mark.order.plain', 'A4'));
}
