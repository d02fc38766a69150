import { type RecordCard, type Step, type LineOf, stepsOn, withLeftovers } from '../card';
import { type ClientCase, type Part, partName, partsOf } from '../case';
import type { PlaceId } from '../hair';
import { type Route, type Task, tasksOf } from '../method';
import type { HouseRules } from '../rules';
import { type SimulatedCard, simulateCard } from '../simulate';
import type { Solution } from '../solve';
import { type SeenPart, seePart } from './worked-place';

/** Everything a criterion is marked from. */
export interface JudgeContext {
  clientCase: ClientCase;
  plan: RecordCard;
  solution: Solution;
  rules: HouseRules;
  lineOf: LineOf;
  parts: SeenPart[];
  /** Parts nothing is wished for, yet something is put on. */
  unasked: { zone: PlaceId; steps: number }[];
  played: SimulatedCard;
  /** The model answer on the same head, and its route by the name of the part. */
  bestPlayed: SimulatedCard;
  bestRoutes: ReadonlyMap<string, Route>;
}

export const zoneReason = (task: Pick<Task, 'part'>): { zone: string; woven: boolean } => ({
  zone: task.part.zone,
  woven: task.part.woven,
});

/** The part as a simulation knows it. @throws RangeError when the head lacks it. */
export function partOf({ parts }: SimulatedCard, part: Pick<Part, 'zone' | 'woven'>): Part {
  const found = parts.find((one) => partName(one) === partName(part));
  if (!found) throw new RangeError(`the head has no part ${partName(part)}`);
  return found;
}

const bestKept = new WeakMap<Solution, SimulatedCard>();

/** The model answer played; kept with it, since a class of answers is marked against it. */
function playedBest(solution: Solution, lineOf: LineOf): SimulatedCard {
  const played = bestKept.get(solution) ?? simulateCard(solution.visit, solution.best, lineOf);
  bestKept.set(solution, played);
  return played;
}

export function contextOf(
  clientCase: ClientCase,
  card: RecordCard,
  solution: Solution,
  rules: HouseRules,
  lineOf: LineOf,
): JudgeContext {
  // What is left of a bowl is seen as what is in it.
  const plan = withLeftovers(card);
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
    bestPlayed: playedBest(solution, lineOf),
    bestRoutes: new Map(solution.choices.map(({ part, route }) => [part, route])),
  };
}

/** Whether a step refreshes a part with what is left of a bowl. */
export const isLeftoverStep = ({ parts }: Pick<JudgeContext, 'parts'>, step: Step) =>
  parts.some(({ leftover, steps }) => leftover && steps.some((seen) => seen.step === step));
