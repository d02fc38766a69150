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
  TONING_DEEPER,
} from '../rules';
import type { PlaceGoal } from './place-goal';
import { afterRemoval, type Technique } from './technique';

/** What one bowl on a zone is there for. */
export const MIX_ROLES = ['remove', 'cleanse', 'lighten', 'fill', 'colour'] as const;
export type MixRole = (typeof MIX_ROLES)[number];

/** What the shades of a bowl have to be. */
export interface ShadeRequest {
  /** Levels from deepest to lightest that are right, both included. */
  levels: { min: number; max: number };
  /** Tone as primary and, perhaps, weaker secondary. */
  tone: Tone;
  /** Share of the natural series, fraction 0–1. */
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
export interface RequiredMix {
  /** What the bowl is there for. */
  role: MixRole;
  /** Products that are right, the preferred one first. */
  products: ProductKind[];
  /** What its shades have to be; null where it has none. */
  shadeRequest: ShadeRequest | null;
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
export const coversGrey = ({ greyShare, target, history }: PlaceGoal, technique: Technique): boolean =>
  (technique === 'liftWithColour' ||
    technique === 'removeThenColour' ||
    // What is coloured already has its grey covered (A1).
    (technique === 'deposit' && history.kind === 'untouched')) &&
  (target.grey ?? 'cover') === 'cover' &&
  hasGreyToCover(greyShare);

/** Colour of another tone that is left on the hair and shows through what is put over it. */
const overOtherTone = (
  goal: PlaceGoal,
  technique: Technique,
): goal is PlaceGoal & { history: Extract<PlaceGoal['history'], { kind: 'coloured' }> } =>
  technique === 'deposit' &&
  goal.history.kind === 'coloured' &&
  goal.history.tone.primary !== 'neutral' &&
  goal.history.tone.primary !== goal.target.tone.primary;

/**
 * Bared porous hair that goes darker without a filler has no warmth of its own for the colour to stand on, and takes it
 * green: a tone step warmer is right (F11).
 */
const lacksWarmth = ({ history, porosity, target, present }: PlaceGoal, technique: Technique): boolean =>
  technique === 'deposit' &&
  history.kind === 'lightened' &&
  porosity === 'high' &&
  target.level <= present - 1;
/** What hollow hair shows through a colour: the cool green that is left where red and orange are missing. */
const HOLLOW: Tone = { primary: 'ash', secondary: 'matte' };

function colourRequest(
  goal: PlaceGoal,
  technique: Technique,
  rules: HouseRules,
  level: { min: number; max: number },
): ShadeRequest {
  const { target, greyShare } = goal;
  const { tone } = target;
  const fashion = isFashion(tone);
  const grey = coversGrey(goal, technique);
  const naturalShare = grey ? naturalShareFor(greyShare, rules, fashion) : NO_SHARE;
  // A natural target is natural through and through; without grey that is tone's to say.
  return {
    levels: level,
    tone,
    naturalShare,
    covers: grey,
    highLift: false,
    ...(grey && goal.resistant ? { extraPigment: true } : {}),
    ...(overOtherTone(goal, technique) ? { over: goal.history.tone } : {}),
    ...(lacksWarmth(goal, technique) ? { over: HOLLOW } : {}),
  };
}

/** What the shades have to be when they are taken from a line: its directions come before the class's table. */
export function requestOnLine(
  need: ShadeRequest,
  greyShare: number,
  line: Line,
  rules: HouseRules,
): ShadeRequest {
  if (!need.covers || !line.greyShares) return need;
  return { ...need, naturalShare: naturalShareFor(greyShare, rules, isFashion(need.tone), line) };
}

/** The same on a place: permanent colour that tones lightened hair lifts on, and is deeper than the wish (F4). */
export function requestOnPlace(
  need: ShadeRequest,
  goal: PlaceGoal,
  technique: Technique,
  line: Line,
  rules: HouseRules,
): ShadeRequest {
  if (line.kind !== 'permanent' || !permanentTones(goal, technique, rules))
    return requestOnLine(need, goal.greyShare, line, rules);
  const { level } = goal.target;
  return { ...need, levels: { min: level - TONING_DEEPER.most, max: level - TONING_DEEPER.least } };
}

/** Over lightened hair a toner is never lighter than the hair, porous or not: it is thinned or rinsed sooner (F11). */
const porous = (goal: PlaceGoal, technique: Technique, level: { min: number; max: number }) => {
  const tones =
    technique === 'lightenThenTone' ||
    (goal.history.kind === 'lightened' && goal.target.level >= goal.present - 0.5);
  return goal.porosity === 'high' && !tones ? { min: level.min, max: level.max + POROUS_LIGHTER } : level;
};

/** Coloured hair that is to have the level it shows: permanent over it would be an overlap (A1, F11). */
export const overItsOwn = ({ history, present, target }: PlaceGoal) =>
  history.kind === 'coloured' && !target.vivid && Math.abs(target.level - present) <= 0.5;

/** Kinds of line that may colour hair as it then is. */
/** Whether the class's school lets permanent colour tone this hair: strong or fair, and not porous (F4). */
export const permanentTones = (
  { condition, porosity, target, greyShare, present, history }: PlaceGoal,
  technique: Technique,
  { tonerProduct }: Pick<HouseRules, 'tonerProduct'>,
): boolean =>
  tonerProduct === 'permanentAllowed' &&
  (condition === 'strong' || condition === 'fair') &&
  porosity !== 'high' &&
  !target.vivid &&
  !hasGreyToCover(greyShare) &&
  (technique === 'lightenThenTone' ||
    (technique === 'deposit' && history.kind === 'lightened' && target.level >= present - FILL_LIGHTER));

function colourKinds(goal: PlaceGoal, technique: Technique, rules: HouseRules): ProductKind[] {
  const kinds = kindsOfColour(goal, technique);
  return permanentTones(goal, technique, rules) && !kinds.includes('permanent')
    ? [...kinds, 'permanent']
    : kinds;
}

/** The same before the class's school on toners. */
function kindsOfColour(goal: PlaceGoal, technique: Technique): ProductKind[] {
  const bared =
    technique === 'lightenThenTone' || (goal.history.kind === 'lightened' && technique !== 'fillThenColour');
  if (goal.target.vivid) return ['direct'];
  // F4: tone with low-strength products; permanent over bared hair only to take it darker, at 10 vol.
  const kinds: ProductKind[] = bared
    ? goal.target.level < goal.present - 0.5 && technique === 'deposit'
      ? ['demi', 'acidGloss', 'permanent']
      : ['demi', 'acidGloss']
    : technique === 'liftWithColour'
      ? ['permanent', 'express']
      : technique === 'refresh'
        ? // Permanent only as a leftover, thinned, where there is nothing gentler (A1).
          ['demi', 'acidGloss', 'permanent', 'express']
        : technique === 'fillThenColour' && goal.porosity === 'high'
          ? // F11: low-strength on porous hair.
            ['demi', 'acidGloss']
          : technique === 'removeThenColour' || technique === 'fillThenColour'
            ? ['demi', 'acidGloss', 'permanent']
            : coversGrey(goal, technique)
              ? ['permanent', 'express', 'demi']
              : goal.history.kind === 'untouched' && asksForRedOnNatural(goal.natural, goal.target.tone)
                ? ['permanent', 'express', 'demi', 'acidGloss']
                : ['demi', 'acidGloss', 'permanent', 'express'];
  // F13: what is to be blended, not covered.
  if (goal.target.grey === 'blend' && technique === 'deposit') return ['demi'];
  // A1: permanent over its own colour only makes it darker; what is coloured already has its grey covered.
  if (technique === 'refresh') return kinds;
  if (overItsOwn(goal))
    return overOtherTone(goal, technique) ? ['demi', 'acidGloss', 'permanent'] : ['demi', 'acidGloss'];
  if (!coversGrey(goal, technique)) return kinds;
  return kinds.filter((kind) => goal.greyShare <= greyLimitOf(kind as Line['kind']));
}

/**
 * @rule P3
 */
function lightenerKinds({
  natural,
  present,
  history,
  target,
  diameter,
  condition,
}: PlaceGoal): ProductKind[] {
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
export function requiredMixes(goal: PlaceGoal, technique: Technique, rules: HouseRules): RequiredMix[] {
  const { target } = goal;
  const plain = { shadeRequest: null, aim: null, refresh: false };
  const colour = (level: { min: number; max: number }, refresh = false): RequiredMix => ({
    role: 'colour',
    products: colourKinds(goal, technique, rules),
    shadeRequest: target.vivid ? null : colourRequest(goal, technique, rules, porous(goal, technique, level)),
    aim: null,
    refresh,
  });
  const lighten: RequiredMix = {
    ...plain,
    role: 'lighten',
    products: lightenerKinds(goal),
    // A vivid dye is faded until nothing moves, and lifted to nothing.
    aim: goal.history.kind === 'vivid' && target.level <= goal.present + 0.5 ? null : target.level,
  };
  const exactly = { min: target.level, max: target.level };
  const asToner = tonerLevels(target.level, rules);
  const toner = { min: Math.min(...asToner), max: Math.max(...asToner) };
  switch (technique) {
    case 'leave':
      return [];
    case 'gloss':
      return [
        {
          ...plain,
          role: 'colour',
          products: ['acidGloss', 'demi'],
          shadeRequest: {
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
          goal.history.kind === 'lightened' && target.level >= goal.present - 0.5
            ? toner
            : overOtherTone(goal, technique) && overItsOwn(goal)
              ? // Dye over dye is deeper than either: up to a level lighter is right.
                { min: target.level, max: target.level + 1 }
              : exactly,
        ),
      ];
    case 'liftWithColour': {
      const { level } = shadeLevelFor(
        {
          // White strands have no level of their own that would pull the result (F2).
          naturalLevel: toHalfLevel(goal.natural + (target.level - goal.natural) * goal.greyShare),
          targetLevel: target.level,
          porosity: goal.porosity,
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
          shadeRequest: {
            levels: exactly,
            tone: target.tone,
            naturalShare: NO_SHARE,
            covers: false,
            highLift: true,
          },
        },
      ];
    case 'lightenThenTone':
      return [lighten, colour(toner)];
    case 'cleanseThenTone':
      return [{ ...plain, role: 'cleanse', products: ['lightenerGentle', 'lightenerStrong'] }, colour(toner)];
    case 'removeThenColour': {
      const remove: RequiredMix = { ...plain, role: 'remove', products: ['remover'] };
      const dark =
        (goal.history.kind === 'vivid' && target.level > goal.present + 0.5) ||
        (goal.history.kind === 'coloured' &&
          target.level > Math.max(afterRemoval(goal)!.from, goal.present) + 0.5);
      return dark ? [remove, lighten, colour(exactly)] : [remove, colour(exactly)];
    }
    case 'fillThenColour':
      return [
        {
          ...plain,
          role: 'fill',
          products: ['filler', 'demi', 'acidGloss'],
          shadeRequest: {
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
export function warmthLevelOf(goal: PlaceGoal, technique: Technique): number | null {
  if (goal.target.vivid) return null;
  switch (technique) {
    case 'liftWithColour':
    case 'highLift':
    case 'lightenThenTone':
    case 'fillThenColour':
      return goal.target.level;
    case 'removeThenColour':
      return goal.target.level;
    case 'deposit':
      return goal.history.kind === 'lightened' ? goal.present : null;
    default:
      return null;
  }
}
/** Whether the warmth that shows is used rather than cancelled (U3, F6). */
export const keepsWarmth = (goal: PlaceGoal, technique: Technique) =>
  technique === 'fillThenColour' || keepsWarmthUnder(goal.target.tone);
