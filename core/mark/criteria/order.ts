import type { Application } from '../../card';
import { uppermostHistory, presentLevel } from '../../case';
import { neighboursOf, zoneOf, type PlaceId } from '../../hair';
import { HEAD_START, type MixRole } from '../../method';
import { lossAt, PRICES, washBefore } from '../../rules';
import { type MarkingContext, placeParams, isLeftoverStep } from '../context';
import { type Finding, finding } from '../finding';
import type { WorkedPlace, WorkedApplication } from '../worked-place';
import {
  orderFinding as is,
  coverage,
  woven,
  whereFirst,
  jointsProtected,
  keptApart,
  melted,
  treatedUnrinsed,
} from './placement';
import { fault } from '../faults';

/** Minutes either side that still count as the head start. */
const START_SLACK = 3;
/** Levels by which one zone has to be darker to go first. */
const DARKER_BY = 1;
const REFRESH_SLACK = 3;
/** Ends that take longer than a refresh (colour of their own, over half an hour) begin so long before the end at most. */
const REFRESH_MOST = 20;

const { order: price } = PRICES;

const firstStep = ({ steps }: WorkedPlace): WorkedApplication | undefined => steps[0];
const isLift = (part: WorkedPlace) =>
  part.technique === 'lightenThenTone' ||
  part.technique === 'liftWithColour' ||
  part.technique === 'highLift';

/** A2, A9: hair never lifted before is begun in the lengths; the warm root waits. In a retouch it never does. */
function rootWaits({ parts }: MarkingContext): Finding[] {
  const lifted = parts.filter(
    (part) =>
      isLift(part) && part.goal.history.kind === 'untouched' && firstStep(part) && !part.goal.part.woven,
  );
  const roots = lifted.filter(({ goal }) => goal.scalpContact === 'onScalp');
  const lengths = lifted.filter(({ goal }) => goal.scalpContact === 'offScalp');
  if (lengths.length === 0) return [];
  const first = Math.min(...lengths.map((part) => firstStep(part)!.application.start));
  return roots.map((root) => {
    const waited = firstStep(root)!.application.start - first;
    const params = { ...placeParams(root.goal), waited, least: HEAD_START.least, most: HEAD_START.most };
    if (waited < 0) return is(price.rootFirst, 'rootFirst', 'A2', params);
    if (waited === 0) return is(price.rootWithLengths, 'rootFirst', 'A2', params);
    const within = waited >= HEAD_START.least - START_SLACK && waited <= HEAD_START.most + START_SLACK;
    return within ? is(0, 'rootWaits', 'A2', params) : is(price.rootTime, 'rootTime', 'A2', params);
  });
}

const CAREFUL: readonly string[] = ['demi', 'acidGloss', 'direct', 'filler'];

/** A1: what lifts or colours for good stops where hair of another history, or hair to be left, begins. */
function stopLines(context: MarkingContext): Finding[] {
  const { clientCase, parts, card, lineOf } = context;
  return card.steps.flatMap((application): Finding[] => {
    const bowl = card.bowls.find(({ name }) => name === application.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || CAREFUL.includes(line.kind)) return [];
    const params = { zone: application.zones[0], woven: false, line: line.name };
    // Colour for good over its own, from root to tip at once.
    const over = overItsOwn(context, application);
    if (over) return [is(price.overlap, 'pulledThrough', 'A1', { ...params, other: over })];
    const beside = application.zones
      .flatMap((zone) => neighboursOf(clientCase.head, zone))
      .filter((zone) => !application.zones.includes(zone));
    const other = beside.find(
      (zone) =>
        uppermostHistory(zoneOf(clientCase.head, zone)!).kind !== 'untouched' ||
        !parts.some(({ goal }) => goal.part.zone === zone),
    );
    if (!other) return [];
    return [
      application.stopsAtLine
        ? is(0, 'stopsAtLine', 'A1', { ...params, other })
        : is(price.overlap, 'overlap', 'A1', { ...params, other }),
    ];
  });
}

const LIFTS: readonly string[] = ['permanent', 'express'];
/** Minutes from which permanent colour on coloured hair is no refreshing any more. */
const NO_REFRESH_FROM = 16;

/** A coloured zone that a step for the regrowth is pulled through to for its whole time; none where it stops. */
function overItsOwn(
  { clientCase, card, lineOf }: MarkingContext,
  application: Application,
): PlaceId | undefined {
  const bowl = card.bowls.find(({ name }) => name === application.bowl);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!line || !LIFTS.includes(line.kind) || application.minutes < NO_REFRESH_FROM) return undefined;
  const past = (zone: PlaceId) => uppermostHistory(zoneOf(clientCase.head, zone)!);
  if (!application.zones.some((zone) => past(zone).kind === 'untouched')) return undefined;
  return application.zones.find((zone) => past(zone).kind === 'coloured');
}

/**
 * Among zones that are to lose colour the darkest goes first (A3).
 * @rule A3
 */
function darkestFirst({ clientCase, parts }: MarkingContext): Finding[] {
  const lifted = parts.filter(
    ({ steps, goal }) =>
      !goal.part.woven && steps.some(({ role }) => role === 'lighten' || role === 'remove'),
  );
  const finding: Finding[] = [];
  for (const dark of lifted)
    for (const light of lifted) {
      const [d, l] = [dark, light].map(({ goal }) => presentLevel(zoneOf(clientCase.head, goal.part.zone)!));
      if (dark.goal.history.kind === 'untouched' || l - d < DARKER_BY) continue;
      const params = { ...placeParams(dark.goal), other: light.goal.part.zone };
      finding.push(
        firstStep(dark)!.application.start <= firstStep(light)!.application.start
          ? is(0, 'darkestFirst', 'A3', params)
          : is(price.wrongEnd, 'lightestFirst', 'A3', params),
      );
    }
  return finding;
}

/** One bowl after another on the same hair, in the order of the route. */
function layerOrder({ parts, played }: MarkingContext): Finding[] {
  return parts.flatMap((part): Finding[] => {
    const at = placeParams(part.goal);
    const worked = part.requiredMixes.flatMap(({ worked }) => worked ?? []);
    const finding: Finding[] = [];
    for (let i = 1; i < worked.length; i++) {
      const spellOf = ({ written }: WorkedApplication) => played.spellOf(written[0], part.goal.part.zone);
      const [before, after] = [worked[i - 1], worked[i]];
      const over = spellOf(before).end - spellOf(after).start;
      if (over <= 0) continue;
      finding.push(
        is(lossAt(price.tooSoon, over), 'tooSoon', 'R5', {
          ...at,
          first: before.bowl.name,
          second: after.bowl.name,
        }),
      );
    }
    if (finding.length === 0 && worked.length > 1) finding.push(is(0, 'inTurn', 'R5', at));
    return finding;
  });
}

/** What lifted or removed is washed out before the next bowl: what stays goes on working, or lets the colour darken again (R5). */
function washedOut({ parts, card }: MarkingContext): Finding[] {
  const bowls = new Map<string, boolean>();
  for (const { goal, requiredMixes } of parts) {
    const worked = requiredMixes.flatMap(({ worked }) => worked ?? []);
    for (let i = 1; i < worked.length; i++) {
      const [{ role, bowl, application, written }, after] = [worked[i - 1], worked[i]];
      // Left in, it is no matter of a wash.
      if (!WASHED_OUT.includes(role) || written.some(({ ends }) => ends === 'stay')) continue;
      const washed = card.care.some(
        (care) =>
          care.do === 'wash' &&
          care.zones.includes(goal.part.zone) &&
          care.start >= application.start &&
          care.start <= after.application.start,
      );
      bowls.set(bowl.name, washed && (bowls.get(bowl.name) ?? true));
    }
  }
  return [...bowls].map(([first, washed]) =>
    washed ? is(0, 'washedOut', 'R5', { first }) : is(price.notWashedOut, 'notWashedOut', 'R5', { first }),
  );
}
const WASHED_OUT: readonly MixRole[] = ['lighten', 'remove'];

/** A1, A9: ends are refreshed at the end, and from a leftover only when its bowl is there. */
function refreshLast({ parts }: MarkingContext): Finding[] {
  const others = parts
    .filter(({ technique }) => technique !== 'refresh' && technique !== 'leave')
    .flatMap(({ steps }) => steps.map(({ application }) => application));
  if (others.length === 0) return [];
  const begin = Math.min(...others.map(({ start }) => start));
  const end = Math.max(...others.map(({ start, minutes }) => start + minutes));
  return (
    parts
      // What goes between foils goes on while they are in.
      .filter((part) => part.technique === 'refresh' && firstStep(part)!.application.placement !== 'between')
      .map((part) => {
        const { start, minutes } = firstStep(part)!.application;
        const params = { ...placeParams(part.goal), start, end };
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
const dry = (context: MarkingContext): Finding[] =>
  context.card.steps
    // Emulsified through the ends, or to cleanse, it is meant, and marked with the route.
    .filter(
      (application) =>
        application.wet &&
        !isLeftoverStep(context, application) &&
        !context.parts.some(({ requiredMixes }) =>
          requiredMixes.some(
            ({ mix, worked }) => worked?.written.includes(application) && mix.role === 'cleanse',
          ),
        ),
    )
    .map(({ zones }) => is(price.wet, 'wet', 'D6', { zone: zones[0], woven: false }));

/** How hair comes to lightener is the class's rule, or the line's to say. */
function washed({ parts, card, rules }: MarkingContext): Finding[] {
  const lightener = parts.flatMap(({ steps }) => steps).find(({ role }) => role === 'lighten');
  if (!lightener) return [];
  const expected = washBefore(lightener.line, rules);
  const params = {
    expected,
    given: card.wash ?? '',
    line: lightener.line.name,
    school: rules.preServiceWash,
  };
  if (card.wash === null) return [is(price.washOpen, 'washOpen', 'D4', params)];
  return [
    card.wash === expected
      ? is(0, 'washRight', 'D4', params)
      : is(PRICES.otherSchool, 'washOther', 'D4', params),
  ];
}

/** Findings on order and placement (A1–A9). */
export function markOrder(context: MarkingContext): Finding[] {
  const needed = context.modelAnswer.card.steps.length > 0;
  if (context.card.steps.length === 0)
    return needed ? [finding(null, 1, fault('order.open', undefined))] : [];
  const findings = [
    rootWaits,
    stopLines,
    coverage,
    woven,
    whereFirst,
    darkestFirst,
    jointsProtected,
    keptApart,
    melted,
    layerOrder,
    washedOut,
    treatedUnrinsed,
    refreshLast,
    dry,
    washed,
  ].flatMap((check) => check(context));
  return findings.length > 0 ? findings : [finding(null, 0, fault('order.plain', 'A4'))];
}
