import type { Step } from '../../card';
import { pastOf, presentLevel } from '../../case';
import { besideOf, zoneOf, type PlaceId } from '../../hair';
import { HEAD_START } from '../../method';
import { reason } from '../../reason';
import { PRICES, washBefore } from '../../rules';
import { type JudgeContext, zoneReason, isLeftoverStep } from '../context';
import { type Finding, finding } from '../finding';
import type { SeenPart, SeenStep } from '../worked-place';
import { orderFinding as is, woven, whereFirst, jointsProtected, keptApart, melted } from './placement';

/** Minutes either side that still count as the head start. */
const START_SLACK = 3;
/** Levels by which one zone has to be darker to go first. */
const DARKER_BY = 1;
const REFRESH_SLACK = 3;
/** Ends that take longer than a refresh (colour of their own, over half an hour) begin so long before the end at most. */
const REFRESH_MOST = 20;

const { order: price } = PRICES;

const firstStep = ({ steps }: SeenPart): SeenStep | undefined => steps[0];
const isLift = (part: SeenPart) =>
  part.route === 'lightenThenTone' || part.route === 'liftWithColour' || part.route === 'highLift';

/** A2, A9: hair never lifted before is begun in the lengths; the warm root waits. In a retouch it never does. */
function rootWaits({ parts }: JudgeContext): Finding[] {
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
    if (waited < 0) return is(price.rootFirst, 'rootFirst', 'A2', params);
    if (waited === 0) return is(price.rootWithLengths, 'rootFirst', 'A2', params);
    const within = waited >= HEAD_START.least - START_SLACK && waited <= HEAD_START.most + START_SLACK;
    return within ? is(0, 'rootWaits', 'A2', params) : is(price.rootTime, 'rootTime', 'A2', params);
  });
}

const CAREFUL: readonly string[] = ['demi', 'acidGloss', 'direct', 'filler'];

/** A1: what lifts or colours for good stops where hair of another history, or hair to be left, begins. */
function stopLines(context: JudgeContext): Finding[] {
  const { clientCase, parts, plan, lineOf } = context;
  return plan.steps.flatMap((step): Finding[] => {
    const bowl = plan.bowls.find(({ name }) => name === step.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || CAREFUL.includes(line.kind)) return [];
    const params = { zone: step.zones[0], woven: false, line: line.name };
    // Colour for good over its own, from root to tip at once.
    const over = overItsOwn(context, step);
    if (over) return [is(price.overlap, 'pulledThrough', 'A1', { ...params, other: over })];
    const beside = step.zones
      .flatMap((zone) => besideOf(clientCase.head, zone))
      .filter((zone) => !step.zones.includes(zone));
    const other = beside.find(
      (zone) =>
        pastOf(zoneOf(clientCase.head, zone)!).kind !== 'untouched' ||
        !parts.some(({ task }) => task.part.zone === zone),
    );
    if (!other) return [];
    return [
      step.stopsAtLine
        ? is(0, 'stopsAtLine', 'A1', { ...params, other })
        : is(price.overlap, 'overlap', 'A1', { ...params, other }),
    ];
  });
}

const LIFTS: readonly string[] = ['permanent', 'express'];
/** Minutes from which permanent colour on coloured hair is no refreshing any more. */
const NO_REFRESH_FROM = 16;

/** A coloured zone that a step for the regrowth is pulled through to for its whole time; none where it stops. */
function overItsOwn({ clientCase, plan, lineOf }: JudgeContext, step: Step): PlaceId | undefined {
  const bowl = plan.bowls.find(({ name }) => name === step.bowl);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!line || !LIFTS.includes(line.kind) || step.minutes < NO_REFRESH_FROM) return undefined;
  const past = (zone: PlaceId) => pastOf(zoneOf(clientCase.head, zone)!);
  if (!step.zones.some((zone) => past(zone).kind === 'untouched')) return undefined;
  return step.zones.find((zone) => past(zone).kind === 'coloured');
}

/** A3: among zones that are to lose colour the darkest goes first. */
function darkestFirst({ clientCase, parts }: JudgeContext): Finding[] {
  const lifted = parts.filter(
    ({ steps, task }) =>
      !task.part.woven && steps.some(({ role }) => role === 'lighten' || role === 'remove'),
  );
  const found: Finding[] = [];
  for (const dark of lifted)
    for (const light of lifted) {
      const [d, l] = [dark, light].map(({ task }) => presentLevel(zoneOf(clientCase.head, task.part.zone)!));
      if (dark.task.history.kind === 'untouched' || l - d < DARKER_BY) continue;
      const params = { ...zoneReason(dark.task), other: light.task.part.zone };
      found.push(
        firstStep(dark)!.step.start <= firstStep(light)!.step.start
          ? is(0, 'darkestFirst', 'A3', params)
          : is(price.wrongEnd, 'lightestFirst', 'A3', params),
      );
    }
  return found;
}

/** One bowl after another on the same hair, in the order of the route. */
function layerOrder({ parts }: JudgeContext): Finding[] {
  return parts.flatMap((part): Finding[] => {
    const at = zoneReason(part.task);
    const seen = part.layers.flatMap(({ seen: one }) => one ?? []);
    const found: Finding[] = [];
    for (let i = 1; i < seen.length; i++) {
      const [before, after] = [seen[i - 1].step, seen[i].step];
      if (after.start >= before.start + before.minutes) continue;
      found.push(is(price.tooSoon, 'tooSoon', 'R5', { ...at, first: before.bowl, second: after.bowl }));
    }
    if (found.length === 0 && seen.length > 1) found.push(is(0, 'inTurn', 'R5', at));
    return found;
  });
}

/** A1, A9: ends are refreshed at the end, and from a leftover only when its bowl is there. */
function refreshLast({ parts }: JudgeContext): Finding[] {
  const others = parts
    .filter(({ route }) => route !== 'refresh' && route !== 'leave')
    .flatMap(({ steps }) => steps.map(({ step }) => step));
  if (others.length === 0) return [];
  const begin = Math.min(...others.map(({ start }) => start));
  const end = Math.max(...others.map(({ start, minutes }) => start + minutes));
  return (
    parts
      // What goes between foils goes on while they are in.
      .filter((part) => part.route === 'refresh' && firstStep(part)!.step.placement !== 'between')
      .map((part) => {
        const { start, minutes } = firstStep(part)!.step;
        const params = { ...zoneReason(part.task), start, end };
        if (part.leftover && start < begin)
          return is(price.leftoverBeforeItsBowl, 'leftoverEarly', 'A9', params);
        const latest = Math.min(REFRESH_MOST, Math.max(10, minutes)) + REFRESH_SLACK;
        return start >= end - latest
          ? is(0, 'refreshLast', 'A1', params)
          : is(price.refreshEarly, 'refreshEarly', 'A1', params);
      })
  );
}

/** D6: lightener and colour go on dry hair unless it is meant. */
const dry = (context: JudgeContext): Finding[] =>
  context.plan.steps
    // Emulsified through the ends, or to cleanse, it is meant, and marked with the route.
    .filter(
      (step) =>
        step.wet &&
        !isLeftoverStep(context, step) &&
        !context.parts.some(({ layers }) =>
          layers.some(({ layer, seen }) => seen?.step === step && layer.role === 'cleanse'),
        ),
    )
    .map(({ zones }) => is(price.wet, 'wet', 'D6', { zone: zones[0], woven: false }));

/** Section 12: how hair comes to lightener is the class's rule, or the line's to say. */
function washed({ parts, plan, rules }: JudgeContext): Finding[] {
  const lightener = parts.flatMap(({ steps }) => steps).find(({ role }) => role === 'lighten');
  if (!lightener) return [];
  const expected = washBefore(lightener.line, rules);
  const params = {
    expected,
    given: plan.wash ?? '',
    line: lightener.line.name,
    school: rules.preServiceWash,
  };
  if (plan.wash === null) return [is(price.washOpen, 'washOpen', 'D4', params)];
  return [
    plan.wash === expected
      ? is(0, 'washRight', 'D4', params)
      : is(PRICES.otherSchool, 'washOther', 'D4', params),
  ];
}

export function markOrder(context: JudgeContext): Finding[] {
  const needed = context.solution.best.steps.length > 0;
  if (context.plan.steps.length === 0)
    return needed ? [finding(null, 1, reason('mark.order.open', undefined))] : [];
  const found = [
    rootWaits,
    stopLines,
    woven,
    whereFirst,
    darkestFirst,
    jointsProtected,
    keptApart,
    melted,
    layerOrder,
    refreshLast,
    dry,
    washed,
  ].flatMap((check) => check(context));
  return found.length > 0 ? found : [finding(null, 0, reason('mark.order.plain', 'A4'))];
}
