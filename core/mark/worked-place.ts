import {
  type Step,
  type Bowl,
  type RecordCard,
  type LineOf,
  stepsOn,
  bowlOf,
  bowlGrams,
  mixOfBowl,
  shadePartsOf,
  developerGrams,
  productOf,
  bowlVol,
  withLeftovers,
} from '../card';
import { toneVector } from '../colour';
import {
  type LayerRole,
  type Layer,
  layersOf,
  needOnLine,
  type Task,
  type Route,
  type RouteRuling,
  FILL_BEYOND,
  rulingOn,
} from '../method';
import { type Mix, isLightener } from '../process';
import { type Line, type ShadePart, mixTone } from '../product';
import { type LeftoverWay, LEAST_WATER_SHARE, fillToneAt, LIFTING, type HouseRules } from '../rules';

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
  /** Refreshed with what is left of another bowl; `same` when its shades are those of a bowl on other zones. */
  leftover: { way: LeftoverWay; same: boolean } | null;
}

const roleOf = ({ kind }: Line, { wet }: Step, mix: Mix | null): LayerRole => {
  if (kind === 'remover') return 'remove';
  if (kind === 'filler') return 'fill';
  if (!isLightener(kind)) return 'colour';
  return wet && mix?.conditioner ? 'cleanse' : 'lighten';
};

/** Low-strength warm colour under another colour on bared hair that goes darker puts warmth back, as a filler does (F6). */
function fillsBeneath(task: Task, steps: readonly SeenStep[]): SeenStep | undefined {
  const darker = task.history.kind === 'lightened' && task.target.level < task.present - FILL_BEYOND;
  const coloured = steps.filter(({ role }) => role === 'colour');
  if (!darker || coloured.length < 2 || steps.some(({ role }) => role === 'fill')) return undefined;
  const [first, ...after] = [...coloured].sort((a, b) => a.step.start - b.step.start);
  const gentle = first.line.kind === 'demi' || first.line.kind === 'acidGloss';
  const { x, y } = mixTone(first.shades);
  const warm = toneVector(fillToneAt(task.target.level));
  const along = x * warm.x + y * warm.y;
  const isWarm = along > FILLS_FROM * Math.hypot(x, y) * Math.hypot(warm.x, warm.y) && along > 0;
  const isOver = after.some(({ step }) => step.start >= first.step.start + first.step.minutes);
  return gentle && isWarm && isOver ? first : undefined;
}
/** Cosine between a mix and the warmth of the level from which on it puts that warmth back. */
const FILLS_FROM = 0.6;

export function seenStepsOn(plan: RecordCard, task: Task, lineOf: LineOf): SeenStep[] {
  const steps = stepsIn(plan, task, lineOf);
  const fills = fillsBeneath(task, steps);
  return steps.map((one) => (one === fills ? { ...one, role: 'fill' } : one));
}

function stepsIn(plan: RecordCard, task: Task, lineOf: LineOf): SeenStep[] {
  return stepsOn(plan, task.part).flatMap((step) => {
    const bowl = bowlOf(plan, step);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!bowl || !line || bowlGrams(bowl) <= 0) return [];
    const mix = mixOfBowl(bowl, line);
    return [{ step, bowl, line, shades: shadePartsOf(bowl, line), mix, role: roleOf(line, step, mix) }];
  });
}

/** From this strength on permanent colour is put on to lift (D2). */
const LIFTS_FROM = 15;

/** Longer than this is no refreshing any more; a few minutes over the last ten are marked under timing. */
const LEFTOVER_MOST = 15;

/** How a part is refreshed with a mix that would lift or cover by itself (A1); null where it is not. */
export function leftoverWay(task: Task, steps: readonly SeenStep[]): LeftoverWay | null {
  if (steps.length !== 1 || task.history.kind !== 'coloured') return null;
  const [{ step, bowl, line }] = steps;
  const moves = Math.abs(task.target.level - task.present) > 0.5;
  if (moves || !LIFTING.includes(line.kind) || step.minutes > LEFTOVER_MOST) return null;
  if (step.wet) return 'waterEmulsify';
  const water = bowl.developer.reduce((sum, { vol, grams }) => sum + (vol === 0 ? grams : 0), 0);
  return water >= LEAST_WATER_SHARE * developerGrams(bowl) && water > 0 ? 'diluteLeftover' : null;
}

/** Shares of the shades of a bowl may differ by so much and still be the same mix, weighed by hand. */
const SAME_MIX_WITHIN = 0.05;

function sameMix(a: Bowl, b: Bowl): boolean {
  const share = ({ shades }: Bowl, label: string) => {
    const all = shades.reduce((sum, { grams }) => sum + grams, 0);
    const mine = shades.reduce((sum, one) => sum + (one.label === label ? one.grams : 0), 0);
    return all > 0 ? mine / all : 0;
  };
  if (a.lineId !== b.lineId) return false;
  return [...a.shades, ...b.shades].every(
    ({ label }) => Math.abs(share(a, label) - share(b, label)) <= SAME_MIX_WITHIN,
  );
}

/** Whether a bowl holds what is also put on other zones, there as the colour itself. */
function isLeftoverOf(plan: RecordCard, { bowl, step }: SeenStep): boolean {
  return plan.steps.some((other) => {
    const from = bowlOf(plan, other);
    return other !== step && !other.wet && from !== undefined && (from === bowl ? true : sameMix(from, bowl));
  });
}

/** The route that what is put on a part amounts to. */
export function routeSeen(task: Task, steps: readonly SeenStep[]): Route {
  const has = (role: LayerRole) => steps.some((one) => one.role === role);
  if (steps.length === 0) return 'leave';
  const clear = steps.every(
    ({ shades }) => shades.length > 0 && shades.every(({ shade }) => shade.series === 'clear'),
  );
  if (clear) return 'gloss';
  if (has('remove')) return 'removeThenColour';
  if (has('cleanse')) return 'cleanseThenTone';
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
  if (same && leftoverWay(task, steps)) return 'refresh';
  return topsUp && same && line.kind !== 'direct' ? 'refresh' : 'deposit';
}

export function seePart(card: RecordCard, task: Task, lineOf: LineOf, rules: HouseRules): SeenPart {
  const plan = withLeftovers(card);
  const steps = seenStepsOn(plan, task, lineOf);
  const route = routeSeen(task, steps);
  const way = route === 'refresh' ? leftoverWay(task, steps) : null;
  const left = [...steps];
  const layers = layersOf(task, route, rules).map((layer) => {
    const at = left.findIndex(({ role }) => role === layer.role);
    const seen = at < 0 ? null : left.splice(at, 1)[0];
    const need = layer.need && seen ? needOnLine(layer.need, task.greyShare, seen.line, rules) : layer.need;
    return { layer: { ...layer, need }, seen };
  });
  const leftover = way ? { way, same: isLeftoverOf(plan, steps[0]) } : null;
  return { task, steps, route, ruling: rulingOn(task, route), layers, extra: left, leftover };
}
