import {
  partsOf,
  stepsOn,
  type HeadZone,
  type LineOf,
  type ClientCase,
  type RecordCard,
  type Step,
} from '../card';
import { simulateCard, type SimulatedCard } from '../simulate';
import type { Reason } from '../reason';
import { tasksOf, type Solution, type Task } from '../solve';
import type { HouseRules } from '../theory';
import { seePart, type SeenPart } from './seen';

/** Everything a criterion is marked from. */
export interface JudgeContext {
  clientCase: ClientCase;
  plan: RecordCard;
  solution: Solution;
  rules: HouseRules;
  lineOf: LineOf;
  parts: SeenPart[];
  /** Parts nothing is wished for, yet something is put on. */
  unasked: { zone: HeadZone; steps: number }[];
  played: SimulatedCard;
}

export const zoneReason = (task: Pick<Task, 'part'>): { zone: string; woven: boolean } => ({
  zone: task.part.zone,
  woven: task.part.woven,
});

export function contextOf(
  clientCase: ClientCase,
  plan: RecordCard,
  solution: Solution,
  rules: HouseRules,
  lineOf: LineOf,
): JudgeContext {
  const tasks = tasksOf(clientCase);
  const unasked = partsOf(clientCase).flatMap(({ zone, woven, target }) => {
    if (target || woven) return [];
    const steps = stepsOn(plan, { zone, woven }).length;
    return steps > 0 ? [{ zone, steps }] : [];
  });
  return {
    clientCase,
    plan,
    solution,
    rules,
    lineOf,
    parts: tasks.map((task) => seePart(plan, task, lineOf, rules)),
    unasked,
    played: simulateCard(clientCase, plan, lineOf),
  };
}

/** Whether a step refreshes a part with what is left of a bowl. */
export const isLeftoverStep = ({ parts }: Pick<JudgeContext, 'parts'>, step: Step) =>
  parts.some(({ leftover, steps }) => leftover && steps.some((seen) => seen.step === step));

/** A share of a criterion for one part, bowl or check, with what is to be said of it. */
export interface Scored {
  share: number;
  findings: Reason[];
}
export const scored = (share: number, ...findings: Reason[]): Scored => ({ share, findings });

/** The mean of what was scored; null where the criterion has nothing to say. */
export function mean(all: readonly Scored[]): Scored | null {
  if (all.length === 0) return null;
  return {
    share: all.reduce((sum, { share }) => sum + share, 0) / all.length,
    findings: all.flatMap(({ findings }) => findings),
  };
}
