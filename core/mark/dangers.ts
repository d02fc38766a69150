import { bowlVol, isNeverRinsed } from '../card';
import { isLightenedHair, isLightenedZone, strandOfZone } from '../case';
import type { BenchStep } from '../exercise';
import { levelOfPigmented, neighboursOf } from '../hair';
import { levelsToday } from '../method';
import { levelsInOneVisit, conditionOf, isGivingWay, isLightener } from '../process';
import { hasDeveloper } from '../product';
import type { Reason } from '../reason';
import { lightenerVols } from '../rules';
import { type MarkingContext, placeParams, partOf } from './context';
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

/** Levels past what the condition allows that are still the run of the last minutes. */
const PAST_LIMIT = 0.6;
/** Lightener that lies this many times as long as it works. */
const FAR_PAST = 2;

/** Wet, weak, with conditioner, watched and short: it takes off toner and hardly touches hair (P8). */
const isCleanse = ({ application, bowl, role }: WorkedApplication): boolean =>
  role === 'cleanse' && (bowlVol(bowl) ?? 0) <= 11 && application.minutes <= 20;

/** Everything in a plan that would hurt the client (C3), read from the steps that were worked. */
export function dangersIn(context: MarkingContext, open: readonly BenchStep[]): Danger[] {
  const { card, modelAnswer, parts, played, rules, clientCase, lineOf } = context;
  const dangers: Danger[] = [];
  const add = (most: number, name: DangerName, rule: string, params: Reason['params'] = {}) =>
    dangers.push({ most, name, reason: dangerReason(name, rule, params) });
  const { hurts, nothingAsked, served } = DANGER_MOST;
  if (open.includes('consult')) {
    if (card.decision !== 'decline' && card.steps.length > 0)
      for (const stop of modelAnswer.stops) add(served, 'served', 'C3', { stop: stop.code });
    if (card.asked.length === 0 && card.tests.length === 0) add(nothingAsked, 'nothingAsked', 'C3');
  }
  const works = (['apply', 'process', 'mix', 'developer'] as const).some((step) => open.includes(step));
  if (!works) return dangers;
  for (const part of parts) {
    const at = placeParams(part.goal);
    const lighteners = part.steps.filter((worked) => worked.role === 'lighten' && !isCleanse(worked));
    for (const { application, bowl, line } of lighteners) {
      const touches = part.goal.scalpContact === 'onScalp' && application.placement === 'open';
      const most = Math.max(...lightenerVols('onScalp', rules));
      const vol = bowlVol(bowl) ?? 0;
      if (touches && vol > most + 1) add(hurts, 'strongOnScalp', 'D4', { ...at, given: vol, most });
      if (touches && application.heat) add(hurts, 'warmthOnScalp', 'R4', at);
      if (application.minutes > FAR_PAST * line.minutes.standard)
        add(hurts, 'farPast', 'P4', { ...at, given: application.minutes, most: line.minutes.standard });
    }
    if (lighteners.length === 0) continue;
    if (part.goal.condition === 'weak' && isLightenedHair(part.goal.history, part.goal.natural))
      add(hurts, 'onWeakHair', 'C4', at);
    const last = lighteners[lighteners.length - 1].application;
    const mine = partOf(played, part.goal.part);
    const reached = levelOfPigmented(played.momentOf(mine, last.start + last.minutes).strand);
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
    const touched = card.steps.some(({ zones }) => zones.includes(part.zone));
    if (isGivingWay(conditionOf(strand)) && touched)
      add(hurts, isGivingWay(before) ? 'onFailedHair' : 'hairFails', 'C4', {
        zone: part.zone,
        woven: part.woven,
      });
  }
  const zones = clientCase.head.zones;
  for (const application of card.steps) {
    const bowl = card.bowls.find(({ name }) => name === application.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || !hasDeveloper(line.kind)) continue;
    if (isNeverRinsed(application, card, lineOf))
      add(hurts, 'neverRinsed', 'R5', { zone: application.zones[0], woven: false, line: line.name });
    if (!isLightener(line.kind) || application.stopsAtLine) continue;
    const onto = zones.find(
      (zone) =>
        isLightenedZone(zone) &&
        !application.zones.includes(zone.zone) &&
        neighboursOf(clientCase.head, zone.zone).some((near) => application.zones.includes(near)),
    );
    if (onto) add(hurts, 'overlap', 'A1', { zone: onto.zone, woven: false });
  }
  // Lightener on lightened hair that nobody asked to have lighter.
  for (const { zone, woven, target } of played.parts) {
    if (woven || target !== null || !isLightenedZone(zones.find((one) => one.zone === zone)!)) continue;
    const onto = card.steps.find((application) => {
      const bowl = card.bowls.find(({ name }) => name === application.bowl);
      const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
      return (
        application.zones.includes(zone) &&
        application.share === 1 &&
        line !== undefined &&
        isLightener(line.kind)
      );
    });
    if (onto) add(hurts, 'overlap', 'A1', { zone, woven: false });
  }
  return dangers;
}
