import { bowlVol, isNeverRinsed } from '../card';
import { isBared, isLightenedZone, strandOfZone } from '../case';
import type { BenchStep } from '../exercise';
import { levelOfPigmented, besideOf } from '../hair';
import { levelsToday } from '../method';
import { levelsInOneVisit, conditionOf, isGivingWay, isLightener } from '../process';
import { hasDeveloper } from '../product';
import { type Reason, reason } from '../reason';
import { lightenerVols } from '../rules';
import { type JudgeContext, zoneReason, partOf } from './context';
import type { SeenStep } from './worked-place';

export interface Danger {
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
const isCleanse = ({ step, bowl, role }: SeenStep): boolean =>
  role === 'cleanse' && (bowlVol(bowl) ?? 0) <= 11 && step.minutes <= 20;

/** Everything in a plan that would hurt the client (section 13), read from the steps that were worked. */
export function dangersIn(context: JudgeContext, open: readonly BenchStep[]): Danger[] {
  const { plan, solution, parts, played, rules, clientCase, lineOf } = context;
  const found: Danger[] = [];
  const add = (most: number, code: string, rule: string, params: Reason['params'] = {}) =>
    found.push({ most, reason: reason(`danger.${code}`, rule, params) });
  const { hurts, nothingAsked, served } = DANGER_MOST;
  if (open.includes('consult')) {
    if (plan.decision !== 'decline' && plan.steps.length > 0)
      for (const stop of solution.stops) add(served, 'served', 'C3', { stop: stop.code });
    if (plan.asked.length === 0 && plan.tests.length === 0) add(nothingAsked, 'nothingAsked', 'C3');
  }
  const works = (['apply', 'process', 'mix', 'developer'] as const).some((step) => open.includes(step));
  if (!works) return found;
  for (const part of parts) {
    const at = zoneReason(part.task);
    const lighteners = part.steps.filter((seen) => seen.role === 'lighten' && !isCleanse(seen));
    for (const { step, bowl, line } of lighteners) {
      const touches = part.task.place === 'onScalp' && step.placement === 'open';
      const most = Math.max(...lightenerVols('onScalp', rules));
      const vol = bowlVol(bowl) ?? 0;
      if (touches && vol > most + 1) add(hurts, 'strongOnScalp', 'D4', { ...at, given: vol, most });
      if (touches && step.heat) add(hurts, 'warmthOnScalp', 'R4', at);
      if (step.minutes > FAR_PAST * line.minutes.standard)
        add(hurts, 'farPast', 'P4', { ...at, given: step.minutes, most: line.minutes.standard });
    }
    if (lighteners.length === 0) continue;
    if (part.task.condition === 'weak' && isBared(part.task.history, part.task.natural))
      add(hurts, 'onWeakHair', 'C4', at);
    const last = lighteners[lighteners.length - 1].step;
    const mine = partOf(played, part.task.part);
    const reached = levelOfPigmented(played.momentOf(mine, last.start + last.minutes).strand);
    // With the dye taken out first the hair is lightened from its own level (C4).
    const removed = part.steps.some(({ role }) => role === 'remove');
    const from = removed ? Math.max(part.task.natural, part.task.present) : part.task.present;
    const moved = Math.round((reached - from) * 10) / 10;
    const limit = removed ? levelsInOneVisit(part.task.condition, false) : levelsToday(part.task);
    if (moved > limit + PAST_LIMIT)
      add(hurts, 'beyondCondition', 'C4', {
        ...at,
        levels: moved,
        limit,
        condition: part.task.condition,
      });
  }
  for (const { part, strand } of played.outcomeAt(played.minutes)) {
    const before = conditionOf(strandOfZone(clientCase.head, part.zone));
    const touched = plan.steps.some(({ zones }) => zones.includes(part.zone));
    if (isGivingWay(conditionOf(strand)) && touched)
      add(hurts, isGivingWay(before) ? 'onFailedHair' : 'hairFails', 'C4', {
        zone: part.zone,
        woven: part.woven,
      });
  }
  const zones = clientCase.head.zones;
  for (const step of plan.steps) {
    const bowl = plan.bowls.find(({ name }) => name === step.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || !hasDeveloper(line.kind)) continue;
    if (isNeverRinsed(step, plan, lineOf))
      add(hurts, 'neverRinsed', 'R5', { zone: step.zones[0], woven: false, line: line.name });
    if (!isLightener(line.kind) || step.stopsAtLine) continue;
    const onto = zones.find(
      (one) =>
        isLightenedZone(one) &&
        !step.zones.includes(one.zone) &&
        besideOf(clientCase.head, one.zone).some((near) => step.zones.includes(near)),
    );
    if (onto) add(hurts, 'overlap', 'A1', { zone: onto.zone, woven: false });
  }
  // Lightener on lightened hair that nobody asked to have lighter.
  for (const { zone, woven, target } of played.parts) {
    if (woven || target !== null || !isLightenedZone(zones.find((one) => one.zone === zone)!)) continue;
    const onto = plan.steps.find((step) => {
      const bowl = plan.bowls.find(({ name }) => name === step.bowl);
      const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
      return step.zones.includes(zone) && step.share === 1 && line !== undefined && isLightener(line.kind);
    });
    if (onto) add(hurts, 'overlap', 'A1', { zone, woven: false });
  }
  return found;
}
