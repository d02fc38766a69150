import {
  bowlGrams,
  bowlOf,
  bowlVol,
  mixOfBowl,
  productOf,
  shadePartsOf,
  stepsOn,
  type Bowl,
  type LineOf,
  type ServicePlan,
  type Step,
} from '../../plan';
import type { Mix } from '../../process';
import type { Line, ShadePart } from '../../shades';
import {
  layersOf,
  rulingOn,
  type Layer,
  type LayerRole,
  type Route,
  type RouteRuling,
  type Task,
} from '../../solve';
import { LIFTING, type HouseRules } from '../../theory';

/** A step of the plan with what is in its bowl. */
export interface SeenStep {
  step: Step;
  bowl: Bowl;
  line: Line;
  shades: ShadePart[];
  /** Null while something the bowl needs is missing. */
  mix: Mix | null;
  role: LayerRole;
}

/** A part of the head as the plan treats it: the route it amounts to, and which step stands for which layer of it. */
export interface SeenPart {
  task: Task;
  steps: SeenStep[];
  route: Route;
  ruling: RouteRuling;
  layers: { layer: Layer; seen: SeenStep | null }[];
  /** Steps that no layer of the route asks for. */
  extra: SeenStep[];
}

const roleOf = ({ kind }: Line): LayerRole => {
  if (kind === 'remover') return 'remove';
  if (kind === 'filler') return 'fill';
  return kind === 'lightenerStrong' || kind === 'lightenerGentle' ? 'lighten' : 'colour';
};

export function seenStepsOn(plan: ServicePlan, task: Task, lineOf: LineOf): SeenStep[] {
  return stepsOn(plan, task.part).flatMap((step) => {
    const bowl = bowlOf(plan, step);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!bowl || !line || bowlGrams(bowl) <= 0) return [];
    return [
      { step, bowl, line, shades: shadePartsOf(bowl, line), mix: mixOfBowl(bowl, line), role: roleOf(line) },
    ];
  });
}

/** From this strength on permanent colour is put on to lift (D2). */
const LIFTS_FROM = 15;

/** The route that what is put on a part amounts to. */
export function routeSeen(task: Task, steps: readonly SeenStep[]): Route {
  const has = (role: LayerRole) => steps.some((one) => one.role === role);
  if (steps.length === 0) return 'leave';
  if (has('remove')) return 'removeThenColour';
  if (has('lighten')) return 'lightenThenTone';
  if (has('fill')) return 'fillThenColour';
  const [{ line, shades, bowl }] = steps;
  const up = task.target.level - task.present;
  if (productOf(line, shades) === 'highLift') return 'highLift';
  if (LIFTING.includes(line.kind) && up > 0.25) {
    // A permanent colour on hair that is to be lighter is meant to lift it, whatever was poured.
    return up > 0.5 || (bowlVol(bowl) ?? 0) >= LIFTS_FROM ? 'liftWithColour' : 'deposit';
  }
  const topsUp = task.history.kind === 'coloured' && Math.abs(up) <= 0.5 && !LIFTING.includes(line.kind);
  const same = task.history.kind === 'coloured' && task.history.tone.primary === task.target.tone.primary;
  return topsUp && same && line.kind !== 'direct' ? 'refresh' : 'deposit';
}

export function seePart(plan: ServicePlan, task: Task, lineOf: LineOf, rules: HouseRules): SeenPart {
  const steps = seenStepsOn(plan, task, lineOf);
  const route = routeSeen(task, steps);
  const left = [...steps];
  const layers = layersOf(task, route, rules).map((layer) => {
    const at = left.findIndex(({ role }) => role === layer.role);
    const seen = at < 0 ? null : left.splice(at, 1)[0];
    return { layer, seen };
  });
  return { task, steps, route, ruling: rulingOn(task, route), layers, extra: left };
}
