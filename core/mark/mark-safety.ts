import { pastOf, strandOfZone, bowlVol } from '../card';
import { levelOfPigmented } from '../hair';
import { conditionOf, isGivingWay } from '../process';
import { reason, type Reason } from '../reason';
import { NEEDED_QUESTIONS, levelsToday } from '../solve';
import { hasDeveloper } from '../shades';
import { lightenerVols } from '../theory';
import { mean, scored, zoneReason, type JudgeContext, type Scored } from './context';

export function markSafety({ plan, solution }: JudgeContext): Scored | null {
  const { best, stops, visits } = solution;
  const scores: Scored[] = [];
  for (const question of NEEDED_QUESTIONS)
    scores.push(
      plan.asked.includes(question)
        ? scored(1)
        : scored(0, reason('mark.safety.notAsked', 'C3', { question })),
    );
  for (const test of best.tests)
    scores.push(
      plan.tests.includes(test) ? scored(1) : scored(0, reason('mark.safety.notTested', 'C3', { test })),
    );
  // A decision weighs as much as all the questions together.
  const right = plan.decision === best.decision;
  const decided = right
    ? scored(1, reason(best.decision === 'decline' ? 'mark.safety.declined' : 'mark.safety.goesOn', 'C3'))
    : scored(
        0,
        reason(
          plan.decision === null
            ? 'mark.safety.undecided'
            : plan.decision === 'decline'
              ? 'mark.safety.needlessDecline'
              : 'mark.safety.shouldDecline',
          'C3',
          { stop: stops[0]?.code ?? '' },
        ),
      );
  scores.push(...Array.from({ length: 3 }, (_, i) => (i === 0 ? decided : { ...decided, findings: [] })));
  if (stops.length === 0) {
    const [expected, given] = [visits.length, plan.visits ?? 0];
    const share =
      given === expected ? 1 : given > 0 && Math.abs(given - expected) === 1 && given > 1 ? 0.5 : 0;
    const code =
      share === 1
        ? 'visits'
        : given === 0
          ? 'visitsOpen'
          : given < expected
            ? 'tooFewVisits'
            : 'tooManyVisits';
    const told = scored(share, reason(`mark.safety.${code}`, 'C4', { expected, given }));
    scores.push(
      told,
      ...(expected > 1
        ? [
            { ...told, findings: [] },
            { ...told, findings: [] },
          ]
        : []),
    );
  }
  return mean(scores);
}

export function markAftercare({ plan, solution }: JudgeContext): Scored | null {
  const { best } = solution;
  if (best.aftercare.length === 0) return null;
  const wanted = best.aftercare.map((care) =>
    plan.aftercare.includes(care)
      ? scored(1)
      : scored(0, reason('mark.aftercare.missing', undefined, { care })),
  );
  const besides = plan.aftercare
    .filter((care) => !best.aftercare.includes(care))
    .map((care) => scored(0, reason('mark.aftercare.besides', undefined, { care })));
  const weeks = plan.nextVisitWeeks;
  const when =
    weeks !== null && weeks >= 4 && weeks <= 8
      ? scored(1)
      : scored(
          0,
          reason(weeks === null ? 'mark.aftercare.noDate' : 'mark.aftercare.otherDate', 'A5', {
            given: weeks ?? 0,
          }),
        );
  return mean([...wanted, ...besides, when]);
}

export interface Danger {
  reason: Reason;
  /** Most share of all points a plan with this danger can get. */
  cap: number;
}

/** Share of the points that a plan which would hurt the client can get at most; always below a pass. */
export const CAPS = { served: 0.2, hair: 0.3, scalp: 0.4, overlap: 0.45 };

/** Levels past what the condition allows that are still the run of the last minutes. */
const PAST_LIMIT = 0.6;

/** Everything in a plan that would hurt the client (section 13). */
export function dangersIn(context: JudgeContext): Danger[] {
  const { plan, solution, parts, played, rules, clientCase, lineOf } = context;
  const found: Danger[] = [];
  const add = (cap: number, code: string, rule: string, params: Reason['params'] = {}) =>
    found.push({ cap, reason: reason(`danger.${code}`, rule, params) });
  if (plan.decision !== 'decline' && plan.steps.length > 0)
    for (const stop of solution.stops) add(CAPS.served, 'served', 'C3', { stop: stop.code });
  for (const part of parts) {
    const at = zoneReason(part.task);
    const lighteners = part.steps.filter(({ role }) => role === 'lighten');
    for (const { step, bowl } of lighteners) {
      const most = Math.max(...lightenerVols(part.task.place, rules));
      const vol = bowlVol(bowl) ?? 0;
      if (part.task.place === 'onScalp' && vol > most + 1)
        add(CAPS.scalp, 'strongOnScalp', 'D4', { ...at, given: vol, most });
      if (step.warmth && part.task.place === 'onScalp') add(CAPS.scalp, 'warmthOnScalp', 'R4', at);
    }
    if (lighteners.length === 0) continue;
    const mine = played.parts.find(
      ({ zone, woven }) => zone === part.task.part.zone && woven === part.task.part.woven,
    )!;
    const last = lighteners[lighteners.length - 1].step;
    const reached = levelOfPigmented(played.momentOf(mine, last.start + last.minutes).strand);
    const moved = Math.round((reached - part.task.present) * 10) / 10;
    const limit = levelsToday(part.task);
    if (moved > limit + PAST_LIMIT)
      add(CAPS.hair, 'beyondCondition', 'C4', {
        ...at,
        levels: moved,
        limit,
        condition: part.task.condition,
      });
  }
  for (const { part, strand } of played.outcomeAt(played.minutes)) {
    const before = conditionOf(strandOfZone(clientCase.head, part.zone));
    if (isGivingWay(conditionOf(strand)) && plan.steps.length > 0)
      add(CAPS.hair, isGivingWay(before) ? 'onFailedHair' : 'hairFails', 'C4', {
        zone: part.zone,
        woven: part.woven,
      });
  }
  for (const step of plan.steps) {
    const bowl = plan.bowls.find(({ name }) => name === step.bowl);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!line || !hasDeveloper(line.kind) || step.stopsAtLine) continue;
    const lightens = line.kind === 'lightenerStrong' || line.kind === 'lightenerGentle';
    const zones = clientCase.head.zones;
    const onto = zones.find(
      (one, i) =>
        pastOf(one).kind === 'lightened' &&
        !step.zones.includes(one.zone) &&
        [zones[i - 1], zones[i + 1]].some((near) => near && step.zones.includes(near.zone)),
    );
    if (lightens && onto) add(CAPS.overlap, 'overlap', 'A1', { zone: onto.zone, woven: false });
  }
  return found;
}
