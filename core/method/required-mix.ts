import { type Tone, isFashion, toHalfLevel } from '../colour';
import type { ProductKind } from '../process';
import type { Line } from '../product';
import {
  type ShareSpan,
  hasGreyToCover,
  naturalShareFor,
  greyLimitOf,
  type HouseRules,
  asksForRedOnNatural,
  tonerLevels,
  shadeLevelFor,
  fillToneAt,
  keepsWarmthUnder,
} from '../rules';
import type { Task } from './place-goal';
import type { Route } from './technique';

/** What one bowl on a zone is there for. */
export const LAYER_ROLES = ['remove', 'cleanse', 'lighten', 'fill', 'colour'] as const;
export type LayerRole = (typeof LAYER_ROLES)[number];

/** What the shades of a bowl have to be. */
export interface ShadeNeed {
  /** Levels from deepest to lightest that are right, both included. */
  levels: { min: number; max: number };
  tone: Tone;
  naturalShare: ShareSpan;
  /** Grey has to be covered, so that a line with a table of its own is mixed by that. */
  covers: boolean;
  /** High-lift shades stand above the levels: only their tone is chosen. */
  highLift: boolean;
  /** White that resists asks for extra-pigment naturals (F8). */
  extraPigment?: boolean;
  /** Nothing but the clear of the line: shine without colour. */
  clear?: boolean;
  /** Tone that is on the hair and shows through; as much of its opposite as half of it may be in the mix (U2). */
  over?: Tone;
}

/** One thing put on a zone, as the rules ask for it. */
export interface Layer {
  role: LayerRole;
  /** Products that are right, the preferred one first. */
  products: ProductKind[];
  need: ShadeNeed | null;
  /** Level to be watched for; null where the clock decides. */
  aim: number | null;
  /** The layer only tops up colour that is there. */
  refresh: boolean;
}

/** No natural series is asked for; what is put in thins the tone. */
const NO_SHARE: ShareSpan = { min: 0, max: 0 };
/**
 * Porous hair takes colour deeper: up to a level lighter is right (F11).
 * @rule F11
 */
const POROUS_LIGHTER = 1;

/** A deposit that stands in for a filler is no deeper than the wish, or the shade over it would be. */
const FILL_LIGHTER = 1;

const TOP_LEVEL = 12;

/** White strands that the colour of a route has to cover: wished so, and still there when it goes on (F13). */
export const coversGrey = ({ greyShare, target, history }: Task, route: Route): boolean =>
  (route === 'liftWithColour' ||
    route === 'removeThenColour' ||
    // What is coloured already has its grey covered (A1).
    (route === 'deposit' && history.kind === 'untouched')) &&
  (target.grey ?? 'cover') === 'cover' &&
  hasGreyToCover(greyShare);

/** Colour of another tone that is left on the hair and shows through what is put over it. */
const overOtherTone = (
  task: Task,
  route: Route,
): task is Task & { history: Extract<Task['history'], { kind: 'coloured' }> } =>
  route === 'deposit' &&
  task.history.kind === 'coloured' &&
  task.history.tone.primary !== 'neutral' &&
  task.history.tone.primary !== task.target.tone.primary;

/**
 * Bared porous hair that goes darker without a filler has no warmth of its own for the colour to stand on, and takes it
 * green: a tone step warmer is right (F11).
 */
const lacksWarmth = ({ history, porosity, target, present }: Task, route: Route): boolean =>
  route === 'deposit' && history.kind === 'lightened' && porosity === 'high' && target.level <= present - 1;
/** What hollow hair shows through a colour: the cool green that is left where red and orange are missing. */
const HOLLOW: Tone = { primary: 'ash', secondary: 'matte' };

function colourNeed(
  task: Task,
  route: Route,
  rules: HouseRules,
  level: { min: number; max: number },
): ShadeNeed {
  const { target, greyShare } = task;
  const { tone } = target;
  const fashion = isFashion(tone);
  const grey = coversGrey(task, route);
  const naturalShare = grey ? naturalShareFor(greyShare, rules, fashion) : NO_SHARE;
  // A natural target is natural through and through; without grey that is tone's to say.
  return {
    levels: level,
    tone,
    naturalShare,
    covers: grey,
    highLift: false,
    ...(grey && task.resistant ? { extraPigment: true } : {}),
    ...(overOtherTone(task, route) ? { over: task.history.tone } : {}),
    ...(lacksWarmth(task, route) ? { over: HOLLOW } : {}),
  };
}

/** What the shades have to be when they are taken from a line: its directions come before the class's table. */
export function needOnLine(need: ShadeNeed, greyShare: number, line: Line, rules: HouseRules): ShadeNeed {
  if (!need.covers || !line.greyShares) return need;
  return { ...need, naturalShare: naturalShareFor(greyShare, rules, isFashion(need.tone), line) };
}

/** Over lightened hair a toner is never lighter than the hair, porous or not: it is thinned or rinsed sooner (F11). */
const porous = (task: Task, route: Route, level: { min: number; max: number }) => {
  const tones =
    route === 'lightenThenTone' ||
    (task.history.kind === 'lightened' && task.target.level >= task.present - 0.5);
  return task.porosity === 'high' && !tones ? { min: level.min, max: level.max + POROUS_LIGHTER } : level;
};

/** Coloured hair that is to have the level it shows: permanent over it would be an overlap (A1, F11). */
export const overItsOwn = ({ history, present, target }: Task) =>
  history.kind === 'coloured' && !target.vivid && Math.abs(target.level - present) <= 0.5;

/** Kinds of line that may colour hair as it then is. */
function colourKinds(task: Task, route: Route): ProductKind[] {
  const bared =
    route === 'lightenThenTone' || (task.history.kind === 'lightened' && route !== 'fillThenColour');
  if (task.target.vivid) return ['direct'];
  // F4: tone with low-strength products; permanent over bared hair only to take it darker, at 10 vol.
  const kinds: ProductKind[] = bared
    ? task.target.level < task.present - 0.5 && route === 'deposit'
      ? ['demi', 'acidGloss', 'permanent']
      : ['demi', 'acidGloss']
    : route === 'liftWithColour'
      ? ['permanent', 'express']
      : route === 'refresh'
        ? // Permanent only as a leftover, thinned, where there is nothing gentler (A1).
          ['demi', 'acidGloss', 'permanent', 'express']
        : route === 'fillThenColour' && task.porosity === 'high'
          ? // F11: low-strength on porous hair.
            ['demi', 'acidGloss']
          : route === 'removeThenColour' || route === 'fillThenColour'
            ? ['demi', 'acidGloss', 'permanent']
            : coversGrey(task, route)
              ? ['permanent', 'express', 'demi']
              : task.history.kind === 'untouched' && asksForRedOnNatural(task.natural, task.target.tone)
                ? ['permanent', 'express', 'demi', 'acidGloss']
                : ['demi', 'acidGloss', 'permanent', 'express'];
  // F13: what is to be blended, not covered.
  if (task.target.grey === 'blend' && route === 'deposit') return ['demi'];
  // A1: permanent over its own colour only makes it darker; what is coloured already has its grey covered.
  if (route === 'refresh') return kinds;
  if (overItsOwn(task))
    return overOtherTone(task, route) ? ['demi', 'acidGloss', 'permanent'] : ['demi', 'acidGloss'];
  if (!coversGrey(task, route)) return kinds;
  return kinds.filter((kind) => task.greyShare <= greyLimitOf(kind as Line['kind']));
}

/**
 * @rule P3
 */
function lightenerKinds({ natural, present, history, target, diameter, condition }: Task): ProductKind[] {
  const weak = diameter === 'fine' || condition === 'weak' || condition === 'fair';
  const light = (history.kind === 'lightened' ? present : natural) >= 7;
  const levels = target.level - present;
  // P3: strong for dark or dyed hair, gentle for light, fine or weakened hair.
  if (history.kind === 'coloured') return ['lightenerStrong'];
  if (light) return ['lightenerGentle'];
  if (weak) return ['lightenerGentle', 'lightenerStrong'];
  return levels <= 4 ? ['lightenerStrong', 'lightenerGentle'] : ['lightenerStrong'];
}

/** What a route comes to on a part of the head, bowl after bowl. */
export function layersOf(task: Task, route: Route, rules: HouseRules): Layer[] {
  const { target } = task;
  const plain = { need: null, aim: null, refresh: false };
  const colour = (level: { min: number; max: number }, refresh = false): Layer => ({
    role: 'colour',
    products: colourKinds(task, route),
    need: target.vivid ? null : colourNeed(task, route, rules, porous(task, route, level)),
    aim: null,
    refresh,
  });
  const lighten: Layer = { ...plain, role: 'lighten', products: lightenerKinds(task), aim: target.level };
  const exactly = { min: target.level, max: target.level };
  const asToner = tonerLevels(target.level, rules);
  const toner = { min: Math.min(...asToner), max: Math.max(...asToner) };
  switch (route) {
    case 'leave':
      return [];
    case 'gloss':
      return [
        {
          ...plain,
          role: 'colour',
          products: ['acidGloss', 'demi'],
          need: {
            levels: { min: 0, max: TOP_LEVEL },
            tone: { primary: 'neutral' },
            naturalShare: NO_SHARE,
            covers: false,
            highLift: false,
            clear: true,
          },
        },
      ];
    case 'refresh':
      return [colour(exactly, true)];
    case 'deposit':
      return [
        colour(
          task.history.kind === 'lightened' && target.level >= task.present - 0.5
            ? toner
            : overOtherTone(task, route) && overItsOwn(task)
              ? // Dye over dye is deeper than either: up to a level lighter is right.
                { min: target.level, max: target.level + 1 }
              : exactly,
        ),
      ];
    case 'liftWithColour': {
      const { level } = shadeLevelFor(
        {
          // White strands have no level of their own that would pull the result (F2).
          naturalLevel: toHalfLevel(task.natural + (target.level - task.natural) * task.greyShare),
          targetLevel: target.level,
          porosity: task.porosity,
        },
        rules,
      );
      return [colour({ min: level, max: level })];
    }
    case 'highLift':
      return [
        {
          ...plain,
          role: 'colour',
          products: ['highLift'],
          need: { levels: exactly, tone: target.tone, naturalShare: NO_SHARE, covers: false, highLift: true },
        },
      ];
    case 'lightenThenTone':
      return [lighten, colour(toner)];
    case 'cleanseThenTone':
      return [{ ...plain, role: 'cleanse', products: ['lightenerGentle', 'lightenerStrong'] }, colour(toner)];
    case 'removeThenColour': {
      const remove: Layer = { ...plain, role: 'remove', products: ['remover'] };
      const dark =
        (task.history.kind === 'vivid' && target.level > task.present + 0.5) ||
        (task.history.kind === 'coloured' && target.level > Math.max(task.natural, task.present) + 0.5);
      return dark ? [remove, lighten, colour(exactly)] : [remove, colour(exactly)];
    }
    case 'fillThenColour':
      return [
        {
          ...plain,
          role: 'fill',
          products: ['filler', 'demi', 'acidGloss'],
          need: {
            levels: { min: target.level, max: target.level + FILL_LIGHTER },
            tone: fillToneAt(target.level),
            naturalShare: NO_SHARE,
            covers: false,
            highLift: false,
          },
        },
        colour(exactly),
      ];
  }
}

/** A prediction is asked where warmth shows on the way: when hair lightens, is toned, or has warmth put back. */
export function warmthLevelOf(task: Task, route: Route): number | null {
  if (task.target.vivid) return null;
  switch (route) {
    case 'liftWithColour':
    case 'highLift':
    case 'lightenThenTone':
    case 'fillThenColour':
      return task.target.level;
    case 'removeThenColour':
      return task.target.level;
    case 'deposit':
      return task.history.kind === 'lightened' ? task.present : null;
    default:
      return null;
  }
}
/** Whether the warmth that shows is used rather than cancelled (U3, F6). */
export const keepsWarmth = (task: Task, route: Route) =>
  route === 'fillThenColour' || keepsWarmthUnder(task.target.tone);
