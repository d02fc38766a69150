import {
  type Application,
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
  bowlRatio,
  type CompleteCard,
} from '../card';
import { toneVector } from '../colour';
import { fractionOfHead } from '../hair';
import {
  type MixRole,
  type RequiredMix,
  requiredMixes,
  requestOnPlace,
  type PlaceGoal,
  type Technique,
  type TechniqueRuling,
  FILL_BEYOND,
  techniqueRuling,
} from '../method';
import { type Mix, isLightener } from '../process';
import { type Line, type ShadePart, mixTone } from '../product';
import { type LeftoverWay, LEAST_WATER_SHARE, fillToneAt, LIFTING, type HouseRules } from '../rules';

/** What is put on a place at one time with what is in its bowl. */
export interface WorkedApplication {
  /** As one application: all areas that it comes to, in order. */
  application: Application;
  /** The applications on the card that it is made of: front now and back a few minutes later are one. */
  written: readonly Application[];
  /** Some areas have another mix for the same; the one that most of the hair has stands here. */
  isMixed: boolean;
  /** The bowl. */
  bowl: Bowl;
  /** Line of colour. */
  line: Line;
  /** Shades by parts. */
  shades: ShadePart[];
  /** Null while something the bowl needs is missing. */
  mix: Mix | null;
  /** What the bowl is there for. */
  role: MixRole;
}

/** A part of the head as the plan treats it: the route it amounts to, and which step stands for which layer of it. */
export interface WorkedPlace {
  /** Goal of the place. */
  goal: PlaceGoal;
  /** Applications that stand for a layer of the route, in the order they are worked. */
  steps: WorkedApplication[];
  /** Technique of the place. */
  technique: Technique;
  /** The ruling of the rules. */
  ruling: TechniqueRuling;
  /** Mixes that the technique asks for. */
  requiredMixes: { mix: RequiredMix; worked: WorkedApplication | null }[];
  /** Steps that no layer of the route asks for. */
  extra: WorkedApplication[];
  /** Refreshed with what is left of another bowl; `same` when its shades are those of a bowl on other zones. */
  leftover: { way: LeftoverWay; same: boolean } | null;
}

const roleOf = ({ kind }: Line, { wet }: Application, mix: Mix | null): MixRole => {
  if (kind === 'remover') return 'remove';
  if (kind === 'filler') return 'fill';
  if (!isLightener(kind)) return 'colour';
  return wet && mix?.conditioner ? 'cleanse' : 'lighten';
};

/** Low-strength warm colour under another colour on bared hair that goes darker puts warmth back, as a filler does (F6). */
function fillsBeneath(goal: PlaceGoal, steps: readonly WorkedApplication[]): WorkedApplication | undefined {
  const darker = goal.history.kind === 'lightened' && goal.target.level < goal.present - FILL_BEYOND;
  const coloured = steps.filter(({ role }) => role === 'colour');
  if (!darker || coloured.length < 2 || steps.some(({ role }) => role === 'fill')) return undefined;
  const [first, ...after] = [...coloured].sort((a, b) => a.application.start - b.application.start);
  const gentle = first.line.kind === 'demi' || first.line.kind === 'acidGloss';
  const { x, y } = mixTone(first.shades);
  const warm = toneVector(fillToneAt(goal.target.level));
  const along = x * warm.x + y * warm.y;
  const isWarm = along > FILLS_FROM * Math.hypot(x, y) * Math.hypot(warm.x, warm.y) && along > 0;
  const isOver = after.some(
    ({ application }) => application.start >= first.application.start + first.application.minutes,
  );
  return gentle && isWarm && isOver ? first : undefined;
}
/** Cosine between a mix and the warmth of the level from which on it puts that warmth back. */
const FILLS_FROM = 0.6;

/** Applications that reach a place, each with its bowl and what it is there for. */
export function workedApplicationsOn(card: RecordCard, goal: PlaceGoal, lineOf: LineOf): WorkedApplication[] {
  const steps = joined(stepsIn(card, goal, lineOf));
  const fills = fillsBeneath(goal, steps);
  return steps.map((worked) => (worked === fills ? { ...worked, role: 'fill' } : worked));
}

function stepsIn(card: RecordCard, goal: PlaceGoal, lineOf: LineOf): WorkedApplication[] {
  return stepsOn(card, goal.part).flatMap((application) => {
    const bowl = bowlOf(card, application);
    const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
    if (!bowl || !line || bowlGrams(bowl) <= 0) return [];
    const mix = mixOfBowl(bowl, line);
    return [
      {
        application,
        written: [application],
        isMixed: false,
        bowl,
        line,
        shades: shadePartsOf(bowl, line),
        mix,
        role: roleOf(line, application, mix),
      },
    ];
  });
}

/** What follows on other areas within so many minutes is put on at one time. */
const AT_ONE_TIME_MINUTES = 20;

/** The same for the same place, on other areas or from the other half of what was mixed: one application in two lines. */
function areOne(a: WorkedApplication, b: WorkedApplication): boolean {
  if (a.role !== b.role || a.application.placement !== b.application.placement) return false;
  if (a.application.share !== b.application.share || a.application.wet !== b.application.wet) return false;
  if (Math.abs(a.application.start - b.application.start) > AT_ONE_TIME_MINUTES) return false;
  const apart = !b.application.areas.some((area) => a.application.areas.includes(area));
  return apart || (a.bowl !== b.bowl && isSameBowl(a.bowl, b.bowl));
}

/** Applications of one place with those that are one put together. */
function joined(steps: readonly WorkedApplication[]): WorkedApplication[] {
  return steps.reduce<WorkedApplication[]>((all, worked) => {
    const at = all.findIndex((other) => areOne(other, worked));
    if (at < 0) return [...all, worked];
    const first = all[at];
    const more = fractionOfHead(worked.application.areas) > fractionOfHead(first.application.areas);
    const most = more ? worked : first;
    const areas = [...new Set([...first.application.areas, ...worked.application.areas])];
    const one: WorkedApplication = {
      ...most,
      application: { ...most.application, areas, start: first.application.start },
      written: [...first.written, ...worked.written],
      isMixed: first.isMixed || !isSameBowl(first.bowl, worked.bowl),
    };
    return all.map((other, i) => (i === at ? one : other));
  }, []);
}

/** From this strength on permanent colour is put on to lift (D2). */
const LIFTS_FROM = 15;

/** Longer than this is no refreshing any more; a few minutes over the last ten are marked under timing. */
const LEFTOVER_MOST = 15;

/** How a part is refreshed with a mix that would lift or cover by itself (A1); null where it is not. */
export function leftoverWay(goal: PlaceGoal, steps: readonly WorkedApplication[]): LeftoverWay | null {
  if (steps.length !== 1 || goal.history.kind !== 'coloured') return null;
  const [{ application, bowl, line }] = steps;
  const moves = Math.abs(goal.target.level - goal.present) > 0.5;
  if (moves || !LIFTING.includes(line.kind) || application.minutes > LEFTOVER_MOST) return null;
  if (application.wet) return 'waterEmulsify';
  const water = bowl.developer.reduce((sum, { vol, grams }) => sum + (vol === 0 ? grams : 0), 0);
  return water >= LEAST_WATER_SHARE * developerGrams(bowl) && water > 0 ? 'diluteLeftover' : null;
}

/** Shares of the shades of a bowl may differ by so much and still be the same mix, weighed by hand. */
const SAME_MIX_WITHIN = 0.05;

function sameMix(a: Bowl, b: Bowl): boolean {
  const share = ({ shades }: Bowl, label: string) => {
    const all = shades.reduce((sum, { grams }) => sum + grams, 0);
    const mine = shades.reduce((sum, shade) => sum + (shade.label === label ? shade.grams : 0), 0);
    return all > 0 ? mine / all : 0;
  };
  if (a.lineId !== b.lineId) return false;
  return [...a.shades, ...b.shades].every(
    ({ label }) => Math.abs(share(a, label) - share(b, label)) <= SAME_MIX_WITHIN,
  );
}

/** Two bowls of one mix: shades, strength and ratio, weighed by hand. */
export function isSameBowl(a: Bowl, b: Bowl): boolean {
  if (a === b) return true;
  const [volA, volB] = [bowlVol(a), bowlVol(b)];
  const [ratioA, ratioB] = [bowlRatio(a), bowlRatio(b)];
  return (
    sameMix(a, b) &&
    Math.abs((volA ?? 0) - (volB ?? 0)) <= 1 &&
    Math.abs((ratioA ?? 0) - (ratioB ?? 0)) <= SAME_MIX_WITHIN * (ratioA ?? 0)
  );
}

/** Whether a bowl holds what is also put on other zones, there as the colour itself. */
function isLeftoverOf(card: RecordCard, { bowl, written }: WorkedApplication): boolean {
  return card.steps.some((other) => {
    const from = bowlOf(card, other);
    return (
      !written.includes(other) &&
      !other.wet &&
      from !== undefined &&
      (from === bowl ? true : sameMix(from, bowl))
    );
  });
}

/** The route that what is put on a part amounts to. */
export function techniqueOf(goal: PlaceGoal, steps: readonly WorkedApplication[]): Technique {
  const has = (role: MixRole) => steps.some((worked) => worked.role === role);
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
  const up = goal.target.level - goal.present;
  if (productOf(line, shades) === 'highLift') return 'highLift';
  if (LIFTING.includes(line.kind) && up > 0.25) {
    // A permanent colour on hair that is to be lighter is meant to lift it, whatever was poured.
    return up > 0.5 || (bowlVol(bowl) ?? 0) >= LIFTS_FROM ? 'liftWithColour' : 'deposit';
  }
  const topsUp = goal.history.kind === 'coloured' && Math.abs(up) <= 0.5 && !LIFTING.includes(line.kind);
  const same = goal.history.kind === 'coloured' && goal.history.tone.primary === goal.target.tone.primary;
  if (same && leftoverWay(goal, steps)) return 'refresh';
  return topsUp && same && line.kind !== 'direct' ? 'refresh' : 'deposit';
}

/** A place as a card works it. */
export function workedPlace(
  card: CompleteCard,
  goal: PlaceGoal,
  lineOf: LineOf,
  rules: HouseRules,
): WorkedPlace {
  const steps = workedApplicationsOn(card, goal, lineOf);
  const technique = techniqueOf(goal, steps);
  const way = technique === 'refresh' ? leftoverWay(goal, steps) : null;
  const left = [...steps];
  const layers = requiredMixes(goal, technique, rules).map((required) => {
    const at = left.findIndex(({ role }) => role === required.role);
    const worked = at < 0 ? null : left.splice(at, 1)[0];
    const need =
      required.shadeRequest && worked
        ? requestOnPlace(required.shadeRequest, goal, technique, worked.line, rules)
        : required.shadeRequest;
    return { mix: { ...required, shadeRequest: need }, worked };
  });
  const leftover = way ? { way, same: isLeftoverOf(card, steps[0]) } : null;
  return {
    goal,
    steps,
    technique,
    ruling: techniqueRuling(goal, technique, rules),
    requiredMixes: layers,
    // A remover may be repeated: once more is no step besides.
    extra: left.filter(
      ({ role }) =>
        role !== 'remove' || !steps.some((worked) => worked.role === 'remove' && !left.includes(worked)),
    ),
    leftover,
  };
}
