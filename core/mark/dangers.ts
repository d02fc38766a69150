import { bowlVol } from '../card';
import {
  conditionOfZone,
  isLightenedHair,
  isLightenedZone,
  presentLevel,
  strandOfZone,
  uppermostHistory,
} from '../case';
import type { BenchStep } from '../exercise';
import { levelOfPigmented, neighboursOf, type PlaceId, type ZoneOfHead } from '../hair';
import { FADED_BY_LIGHT, levelsToday, type StopName } from '../method';
import {
  levelsInOneVisit,
  conditionOf,
  isGivingWay,
  isLightener,
  isOxidative,
  type Mix,
  type ProductKind,
} from '../process';
import { hasDeveloper, type Line } from '../product';
import type { Reason } from '../reason';
import { LIFTING, lightenerVols } from '../rules';
import { type MarkingContext, DEPOSITS_TO_VOL, placeParams, partOf, whatItPutsOn } from './context';
import type { WorkedApplication } from './worked-place';
import { type DangerName, dangerReason } from './faults';

export interface Danger {
  /** Which danger it is. */
  name: DangerName;
  /** Why, in the words of the interface. */
  reason: Reason;
  /** Most of 100 that a plan with this danger can get. */
  most: number;
}

/** Most of 100 for a plan that would hurt the client; always below a pass. */
export const DANGER_MOST = { hurts: 40, nothingAsked: 50, served: 10 } as const;

type Put = NonNullable<ReturnType<typeof whatItPutsOn>>;
/** Whether some step puts something on of which a thing holds; of those on one place where it is named. */
const puts = (context: MarkingContext, asks: (put: Put) => boolean, place?: PlaceId): boolean =>
  context.card.steps.some((application) => {
    const put = whatItPutsOn(context, application);
    return put !== null && (place === undefined || application.zones.includes(place)) && asks(put);
  });
const hasPeroxide = ({ line: { kind } }: Put) => hasDeveloper(kind) && kind !== 'remover';
const lightens = ({ line }: Put) => isLightener(line.kind);
const liftsByColour = ({ line, bowl }: Put) =>
  LIFTING.includes(line.kind) && (bowlVol(bowl) ?? 0) > DEPOSITS_TO_VOL;

/** What serves a client all the same who had to be declined, by what stops the service; other work is no danger by itself. */
const SERVED_BY: Record<StopName, (context: MarkingContext) => boolean> = {
  reaction: (context) => puts(context, hasPeroxide),
  metallicSalts: (context) => puts(context, hasPeroxide),
  scalp: (context) => puts(context, ({ atScalp }) => atScalp),
  // Lightener on hair that is gone is a danger of its own.
  hairGivesWay: () => false,
  relaxed: (context) => puts(context, lightens),
  tooSoon: () => false,
};

/** Levels past what the condition allows that are still the run of the last minutes. */
const PAST_LIMIT = 0.5;
/** Lightener that lies this many times as long as it works. */
const FAR_PAST = 2;

/** Levels that need no lightener. */
const NO_LIFT = 0.25;
/** Whether the model answer has lightener on a place. */
const isLightenedBy = ({ modelParts }: MarkingContext, zone: string): boolean =>
  modelParts.some(
    ({ goal, steps }) => goal.part.zone === zone && steps.some(({ role }) => role === 'lighten'),
  );

/** Level that lightened hair has beneath toners that have built up on it. */
const barely = (zone: ZoneOfHead): number => {
  const past = uppermostHistory(zone);
  return past.kind === 'lightened' && past.builtUpOver !== undefined ? past.builtUpOver : presentLevel(zone);
};
/** Up to this strength, volumes, gentle lightening of a vivid dye that it fades is a plan and no overlap (P7). */
const GENTLE_TO = 20;

/** Wet, weak, with conditioner, watched and short: it takes off toner and hardly touches hair (P8). */
const isCleanse = ({ application, bowl, role }: WorkedApplication): boolean =>
  role === 'cleanse' && (bowlVol(bowl) ?? 0) <= 11 && application.minutes <= 20;

/** Everything in a plan that would hurt the client (C3), read from the steps that were worked. */
export function dangersIn(context: MarkingContext, open: readonly BenchStep[]): Danger[] {
  const { card, modelAnswer, parts, played, rules, clientCase } = context;
  const dangers: Danger[] = [];
  const add = (most: number, name: DangerName, rule: string, params: Reason['params'] = {}) =>
    dangers.push({ most, name, reason: dangerReason(name, rule, params) });
  const { hurts, nothingAsked, served } = DANGER_MOST;
  if (open.includes('consult')) {
    if (card.decision !== 'decline')
      for (const { stop, code } of modelAnswer.stops)
        if (SERVED_BY[stop](context)) add(served, 'served', 'C3', { stop: code });
    if (card.asked.length === 0 && card.tests.length === 0) add(nothingAsked, 'nothingAsked', 'C3');
  }
  const works = (['apply', 'process', 'mix', 'developer'] as const).some((step) => open.includes(step));
  if (!works) return dangers;
  for (const part of parts) {
    const at = placeParams(part.goal);
    const lighteners = part.steps.filter((worked) => worked.role === 'lighten' && !isCleanse(worked));
    for (const { application, written, bowl, line } of lighteners) {
      const touches = part.goal.scalpContact === 'onScalp' && application.placement === 'open';
      const most = Math.max(...lightenerVols('onScalp', rules));
      const vol = bowlVol(bowl) ?? 0;
      if (touches && vol > most + 1) add(hurts, 'strongOnScalp', 'D4', { ...at, given: vol, most });
      if (touches && application.heat) add(hurts, 'warmthOnScalp', 'R4', at);
      const { start, end } = played.spellOf(written[0], part.goal.part.zone);
      if (end - start > FAR_PAST * line.minutes.standard)
        add(hurts, 'farPast', 'P4', { ...at, given: end - start, most: line.minutes.standard });
    }
    if (lighteners.length === 0) continue;
    if (part.goal.condition === 'weak' && isLightenedHair(part.goal.history, part.goal.natural))
      add(hurts, 'onWeakHair', 'C4', at);
    const last = lighteners[lighteners.length - 1].written[0];
    const mine = partOf(played, part.goal.part);
    const { end } = played.spellOf(last, part.goal.part.zone);
    const reached = levelOfPigmented(played.momentOf(mine, end).strand);
    // With the dye taken out first the hair is lightened from its own level (C4).
    const removed = part.steps.some(({ role }) => role === 'remove');
    const from = removed ? Math.max(part.goal.natural, part.goal.present) : part.goal.present;
    const moved = Math.round((reached - from) * 10) / 10;
    const limit = removed ? levelsInOneVisit(part.goal.condition, false) : levelsToday(part.goal);
    if (moved > limit + PAST_LIMIT)
      add(hurts, 'beyondCondition', 'C4', {
        ...at,
        levels: moved,
        limit,
        condition: part.goal.condition,
      });
  }
  for (const { part, strand } of played.outcomeAt(played.minutes)) {
    const before = conditionOf(strandOfZone(clientCase.head, part.zone));
    if (!isGivingWay(conditionOf(strand))) continue;
    const at = { zone: part.zone, woven: part.woven };
    // Hair that gave way before may be deposited on, gently (C1).
    const hurt = isGivingWay(before) ? (put: Put) => lightens(put) || liftsByColour(put) : () => true;
    if (puts(context, hurt, part.zone))
      add(hurts, isGivingWay(before) ? 'onFailedHair' : 'hairFails', 'C4', at);
  }
  addUnrinsed(context, add);
  const zones = clientCase.head.zones;
  for (const application of card.steps) {
    const put = whatItPutsOn(context, application);
    if (!put || !lightens(put) || application.stopsAtLine) continue;
    const onto = zones.find(
      (zone) =>
        isLightenedZone(zone) &&
        !application.zones.includes(zone.zone) &&
        neighboursOf(clientCase.head, zone.zone).some((near) => application.zones.includes(near)),
    );
    if (onto) add(hurts, 'overlap', 'A1', { zone: onto.zone, woven: false });
  }
  const fadesVivid = (zone: ZoneOfHead, { line, bowl }: Put) => {
    const past = uppermostHistory(zone);
    const bears = levelsInOneVisit(conditionOfZone(zone), true) > 0;
    return (
      past.kind === 'vivid' &&
      FADED_BY_LIGHT.includes(past.dye) &&
      line.kind === 'lightenerGentle' &&
      bears &&
      (bowlVol(bowl) ?? 0) <= GENTLE_TO
    );
  };
  // Lightener on lightened hair that nobody asked to have lighter.
  for (const { zone, woven, target } of played.parts) {
    const hair = zones.find((one) => one.zone === zone)!;
    if (woven || !isLightenedZone(hair)) continue;
    // Hair that shows the level that is wished for has no need of it, unless the model answer lightens there itself.
    if (target !== null && (target.level > barely(hair) + NO_LIFT || isLightenedBy(context, zone))) continue;
    const onto = card.steps.find((application) => {
      const put = whatItPutsOn(context, application);
      return (
        application.zones.includes(zone) &&
        application.share === 1 &&
        put !== null &&
        lightens(put) &&
        !fadesVivid(hair, put) &&
        // A wet cleanse is no lightening (P8).
        !(application.wet && (put.bowl.others ?? []).some(({ kind }) => kind === 'conditioner'))
      );
    });
    if (onto) add(hurts, 'overlap', 'A1', { zone, woven: false });
  }
  return dangers;
}

/** Lightener and oxidative colour that still lie on the hair at the end of the visit, and lightener under what came after. */
function addUnrinsed(
  { played, card, lineOf }: MarkingContext,
  add: (most: number, name: DangerName, rule: string, params: Reason['params']) => void,
): void {
  const hurts = (mix: Mix) => isLightener(mix.product) || isOxidative(mix.product);
  const named = (zone: string, mix: Mix) => {
    const lies = card.steps.flatMap(({ zones, bowl: name }) => {
      const bowl = card.bowls.find((one) => one.name === name);
      const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
      return line && zones.some((one) => one === zone) && productKindsOf(line).includes(mix.product)
        ? [line.name]
        : [];
    });
    return lies.at(-1) ?? '';
  };
  for (const part of played.parts) {
    const { zone, woven } = part;
    const under = new Set<string>();
    for (const { start, minutes, zones } of played.card.steps) {
      if (!zones.includes(zone)) continue;
      for (const { moment } of played.areaMomentsOf(part, Math.min(start + minutes - 1, played.minutes)))
        for (const mix of moment.beneath) if (isLightener(mix.product)) under.add(named(zone, mix));
    }
    for (const line of under) add(DANGER_MOST.hurts, 'leftUnder', 'R5', { zone, woven, line });
    const last = played.areaMomentsOf(part, played.minutes).flatMap(({ moment }) => moment.lying ?? []);
    const lying = last.find(({ mix }) => hurts(mix));
    if (lying) add(DANGER_MOST.hurts, 'neverRinsed', 'R5', { zone, woven, line: named(zone, lying.mix) });
  }
}
/** Products a bowl of a line can act as. */
const productKindsOf = ({ kind, highLift }: Line): readonly ProductKind[] =>
  highLift ? [kind, 'highLift'] : [kind];
