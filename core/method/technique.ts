import { TOP_OF_TEN, isWarm } from '../colour';
import type { DirectDye } from '../hair';
import { levelsInOneVisit, THROUGH_DYE_COUNTS } from '../process';
import { type Reason, reason } from '../reason';
import { PERMANENT_LIFT, hasGreyToCover, levelsByColour, type HouseRules } from '../rules';
import { type PlaceGoal, AS_WHITE_HAIR } from './place-goal';

/** What can be done with a place. */
export const TECHNIQUES = [
  'leave',
  'gloss',
  'deposit',
  'refresh',
  'liftWithColour',
  'highLift',
  'lightenThenTone',
  'cleanseThenTone',
  'removeThenColour',
  'fillThenColour',
] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** What rulings rest on, by name: the words of the interface are derived from it (`route.` and the name). */
export const RULINGS = [
  'lighten',
  'beyondCondition',
  'vividOut',
  'deposit',
  'vividNeedsLight',
  'overVivid',
  'colourLiftsNothing',
  'refresh',
  'leave',
  'faded',
  'fill',
  'fillFirst',
  'nothingToFill',
  'lift',
  'liftFar',
  'nothingToRemove',
  'remove',
  'tonerCannotLighten',
  'highLift',
  'liftOnLift',
  'beyondColour',
  'highLiftTooDark',
  'notDone',
  'notHere',
  'whiteNotLifted',
  'palestNeedsLight',
  'palestNotByColour',
  'cleanse',
  'builtUp',
  'cleanseInstead',
  'removeTone',
  'removeThenLighten',
  'withVivid',
  'vividFirstOut',
  'gloss',
  'glossOnly',
  'weakSpared',
  'relaxedHair',
  'fadesVivid',
  'vividAgain',
] as const;
export type RulingName = (typeof RULINGS)[number];
/** Code of the words that a ruling is told in. */
export const rulingCode = (name: RulingName): string => `route.${name}`;

export interface TechniqueRuling {
  /** Technique of the place. */
  technique: Technique;
  /** Whether the rules allow it. */
  allowed: boolean;
  /** What the ruling rests on, by name. */
  name: RulingName;
  /** Why it is right here, or the rule that forbids it. */
  reason: Reason;
}

/** Levels that count as none: half a level is what one reads to. */
const SAME_LEVEL = 0.5;
/** From this natural level on a high-lift shade lifts. */
const HIGH_LIFT_FROM = 6;
/** Levels from which high-lift is worth its strength; two are enough where hair grew light, to go paler than 9 (D2). */
const LEAST_HIGH_LIFT = 3;
const LEAST_HIGH_LIFT_OF_LIGHT = 2;
/**
 * From these levels on hair is light enough to be taken to 11 and 12 (L1): grown light for high-lift, and all but at 10
 * for lightener, which moves hair that light by a level or so before its yellow is spent.
 */
export const PALEST_FROM = { highLift: 8, lightener: 9.5 };
/**
 * F6.
 * @rule F6
 */
export const FILL_BEYOND = 2;

const most = Math.max(...PERMANENT_LIFT.map(({ typical }) => typical));

/** Dyes that a warm colour can use, and the fraction gone from which it need not take them out first. */
const WARM_DYES: readonly DirectDye[] = ['directPink', 'directYellow'];
const HALF_GONE = 0.5;
/** Dyes that gentle lightening fades (P7). */
export const FADED_BY_LIGHT: readonly DirectDye[] = ['directPink', 'directViolet'];

/** Hair that is to be so many levels deeper is deposited on: the depth covers the tone it has (C6). */
const DEPOSITED_OVER = 1;

/** From this share on colour has faded enough to be refreshed. */
const FADED = 0.2;
const isFaded = ({ history }: PlaceGoal) => history.kind === 'coloured' && history.faded >= FADED;
const sameTone = ({ history, target }: PlaceGoal) =>
  history.kind === 'coloured' && !target.vivid && history.tone.primary === target.tone.primary;
const asGrown = ({ history, target, greyShare }: PlaceGoal) =>
  history.kind === 'untouched' &&
  target.tone.primary === 'neutral' &&
  !target.vivid &&
  !hasGreyToCover(greyShare);

/** Every so many full layers of dye count half as much again (C4). */
const LAYERS_COUNTED = 3;
/** How much more a level costs through dye than through none: double, and more through layers of it (C4). */
const throughDye = (layers: number): number =>
  THROUGH_DYE_COUNTS * (1 + 0.5 * Math.floor((layers + 1e-9) / LAYERS_COUNTED));

/** Levels that lightener may move a part in one visit: by its condition, half as far through dye, less through layers (C4). */
export const levelsToday = ({ condition, history }: Pick<PlaceGoal, 'condition' | 'history'>): number => {
  const bears = levelsInOneVisit(condition, history.kind === 'lightened' || history.kind === 'vivid');
  return history.kind === 'coloured' ? bears / throughDye(history.layers) : bears;
};

/** A remover that stops so far short of the hair's own level has left layers of dye in it. */
const LEFT_IN = 1;
/**
 * Where a remover leaves coloured hair and how far it may be lightened from there in one visit: what it has taken is not
 * counted, what it leaves counts as dye, in layers where they are left (C4). Null for hair without dye.
 */
export function afterRemoval({
  history,
  natural,
  afterRemover,
  condition,
}: PlaceGoal): { from: number; bears: number } | null {
  if (history.kind !== 'coloured' || afterRemover === null) return null;
  const bears = levelsInOneVisit(condition, false);
  return afterRemover <= natural - LEFT_IN
    ? { from: afterRemover, bears: bears / throughDye(history.layers) }
    : { from: natural, bears: bears / THROUGH_DYE_COUNTS };
}

/** House rules that say which technique is right. */
export type TechniqueRules = Pick<HouseRules, 'liftByColourLimit'>;

/**
 * How each route stands for a part of a head under the rules of the craft (P1, P2, C4) and of the class (F3). Only routes
 * that have a say here are listed; the allowed ones come in the order in which they are preferred.
 */
export function techniqueRulings(goal: PlaceGoal, rules: TechniqueRules): TechniqueRuling[] {
  const rulings = rulingsByColour(goal, levelsByColour(rules));
  if (goal.chemical?.service !== 'hydroxideRelaxer') return rulings;
  return rulings.map((ruling) =>
    ruling.allowed && lifts(goal, ruling.technique)
      ? { ...ruling, allowed: false, name: 'relaxedHair', reason: reason(rulingCode('relaxedHair'), 'C10') }
      : ruling,
  );
}

/** Techniques that put lightener, or colour that lifts, on hair: none of them on hair relaxed with hydroxide (C10). */
const lifts = ({ target, natural, present }: PlaceGoal, technique: Technique): boolean =>
  technique === 'lightenThenTone' ||
  technique === 'cleanseThenTone' ||
  technique === 'liftWithColour' ||
  technique === 'highLift' ||
  (technique === 'removeThenColour' && target.level > Math.max(natural, present) + SAME_LEVEL);

/** The same by what was coloured, lightened and is wished, whatever reshaped the hair. */
function rulingsByColour(goal: PlaceGoal, byColourAlone: number): TechniqueRuling[] {
  const { natural, present, history, target, condition, part } = goal;
  const up = target.level - present;
  const limit = levelsToday(goal);
  const palest = target.level > TOP_OF_TEN;
  const pale = palest && present < PALEST_FROM.lightener;
  const found: TechniqueRuling[] = [];
  const say = (
    technique: Technique,
    allowed: boolean,
    name: RulingName,
    rule: string,
    params: Reason['params'] = {},
  ) => found.push({ technique, allowed, name, reason: reason(rulingCode(name), rule, params) });
  const lighten = (from = present) => {
    const levels = target.level - from;
    if (history.kind === 'untouched' && goal.greyShare >= AS_WHITE_HAIR.from)
      say('lightenThenTone', false, 'whiteNotLifted', 'F8');
    else if (pale)
      say('lightenThenTone', false, 'palestNeedsLight', 'L1', {
        level: target.level,
        from: PALEST_FROM.lightener,
      });
    else if (levels > limit)
      say('lightenThenTone', false, 'beyondCondition', 'C4', { levels, limit, condition });
    else say('lightenThenTone', true, 'lighten', 'F3', { levels });
  };
  const untouchedOrBare = history.kind === 'untouched' || history.kind === 'lightened';

  if (target.vivid) {
    // The same dye is put on again over what is left of it (P7).
    if (history.kind === 'vivid' && history.dye === target.vivid && up <= SAME_LEVEL) {
      say('deposit', true, 'vividAgain', 'P7');
      say('removeThenColour', false, 'vividAgain', 'P7');
      say('lightenThenTone', false, 'vividAgain', 'P7');
      return found;
    }
    if (history.kind === 'vivid') say('removeThenColour', true, 'vividOut', 'P2');
    else if (up > SAME_LEVEL) lighten();
    else say('deposit', true, 'deposit', 'F4');
    if (up > SAME_LEVEL) say('deposit', false, 'vividNeedsLight', 'P2', { level: target.level });
    return found;
  }
  if (history.kind === 'vivid') {
    // What is left of a warm dye goes with a warm wish, and hair that bears little is spared the remover (P7, C6).
    const goes = up <= SAME_LEVEL && isWarm(target.tone) && WARM_DYES.includes(history.dye);
    const worksWith = goes && history.faded >= HALF_GONE;
    if (worksWith) say('deposit', true, 'withVivid', 'P7');
    if (worksWith && levelsInOneVisit(condition, true) === 0)
      say('removeThenColour', false, 'weakSpared', 'P7');
    else say('removeThenColour', true, 'vividOut', 'P2');
    if (!goes || history.faded < HALF_GONE) say('deposit', goes, 'overVivid', 'C6');
    // Gentle lightening fades pink and violet, hardly blue and green (P7).
    const fades = FADED_BY_LIGHT.includes(history.dye) && levelsInOneVisit(condition, true) > 0;
    say('lightenThenTone', fades, fades ? 'fadesVivid' : 'vividFirstOut', fades ? 'P7' : 'P2');
    say('liftWithColour', false, 'colourLiftsNothing', 'P1', { levels: up });
    return found;
  }
  // Shine without a change of colour: a clear gloss, and nothing that colours (A7).
  if (target.shine && Math.abs(up) <= SAME_LEVEL) {
    say('gloss', true, 'gloss', 'A7');
    say('deposit', false, 'glossOnly', 'A7');
    say('leave', false, 'notDone', 'F1', { levels: up });
    return found;
  }
  if (history.kind === 'lightened' && history.builtUpOver !== undefined) {
    const over = history.builtUpOver;
    const back = target.level <= over + SAME_LEVEL && -up <= SAME_LEVEL;
    if (back) {
      say('cleanseThenTone', true, 'cleanse', 'P8', { level: over });
      say('deposit', false, 'builtUp', 'C6', { level: over });
      say('lightenThenTone', false, 'cleanseInstead', 'P8', { level: over });
      say('leave', false, 'notDone', 'F1', { levels: up });
      return found;
    }
  }
  if (Math.abs(up) <= SAME_LEVEL && (sameTone(goal) || asGrown(goal))) {
    if (isFaded(goal)) {
      say('refresh', true, 'refresh', 'A1');
      say('leave', false, 'faded', 'A1');
    } else {
      say('leave', true, 'leave', 'F1');
      if (history.kind === 'coloured') say('refresh', true, 'refresh', 'A1');
    }
    say('deposit', true, 'deposit', 'F7');
  } else if (up <= SAME_LEVEL) {
    if (history.kind === 'lightened' && -up > FILL_BEYOND) {
      say('fillThenColour', true, 'fill', 'F6', { levels: -up });
      say('deposit', false, 'fillFirst', 'F6', { levels: -up });
    } else {
      say('deposit', true, 'deposit', 'F7', { levels: -up });
      say('fillThenColour', false, 'nothingToFill', 'F6', { levels: -up });
    }
    // Half a level is moved with colour where nothing has been done to the hair yet.
    if (history.kind === 'untouched' && up > 0 && !palest)
      say('liftWithColour', true, 'lift', 'F2', { levels: up });
    // Another tone on the hair is deposited over where the sum lands; where it does not, it is taken out first.
    if (history.kind === 'coloured') {
      const other = history.tone.primary !== 'neutral' && !sameTone(goal) && -up < DEPOSITED_OVER;
      say('removeThenColour', other, other ? 'removeTone' : 'nothingToRemove', 'C6');
    }
  } else if (history.kind === 'coloured') {
    const { from, bears } = afterRemoval(goal)!;
    if (target.level <= from + SAME_LEVEL)
      say('removeThenColour', true, 'remove', 'P1', { natural, level: target.level });
    else {
      // With the dye out of it the hair is lightened from its own level, or from where layers of dye hold it (P1, C4).
      const levels = target.level - from;
      const allowed = levels <= bears && !pale;
      const removeFirst = () =>
        say(
          'removeThenColour',
          allowed,
          allowed ? 'removeThenLighten' : 'beyondCondition',
          allowed ? 'P1' : 'C4',
          { levels, natural, level: target.level, limit: bears, condition },
        );
      // Strands woven out are lightened as they are where they bear it: a remover in foils gains nothing before lightener.
      if (part.woven) lighten();
      removeFirst();
      if (!part.woven) lighten();
    }
    say('liftWithColour', false, 'colourLiftsNothing', 'P1', { levels: up });
    say('highLift', false, 'colourLiftsNothing', 'P1', { levels: up });
    say('deposit', false, 'tonerCannotLighten', 'F4', { levels: up });
  } else {
    const byColour = history.kind === 'untouched' && up <= most && !palest;
    // Hair that grew light is taken to the palest by high-lift, which is made for it.
    const byHighLift =
      history.kind === 'untouched' &&
      target.level >= TOP_OF_TEN &&
      natural >= PALEST_FROM.highLift &&
      up >= LEAST_HIGH_LIFT_OF_LIGHT;
    // F3: up to two levels by colour, or three in another school; beyond that it leaves warmth, and lightener or high-lift come first.
    const highLift = () => say('highLift', true, 'highLift', 'D2', { levels: up });
    if (byHighLift) highLift();
    if (byColour && up <= byColourAlone) say('liftWithColour', true, 'lift', 'F2', { levels: up });
    // F3: colour alone leaves warmth beyond that; high-lift is for where nothing else may be used, or paler still.
    lighten();
    if (
      !byHighLift &&
      history.kind === 'untouched' &&
      natural >= HIGH_LIFT_FROM &&
      up >= LEAST_HIGH_LIFT &&
      up <= 5 &&
      !palest
    )
      highLift();
    if (byColour && up > byColourAlone) say('liftWithColour', true, 'liftFar', 'F3', { levels: up });
    if (history.kind === 'lightened') say('liftWithColour', false, 'liftOnLift', 'D7', { levels: up });
    else if (palest) say('liftWithColour', false, 'palestNotByColour', 'L1', { level: target.level });
    else if (up > most) say('liftWithColour', false, 'beyondColour', 'D2', { levels: up, limit: most });
    if (natural < HIGH_LIFT_FROM) say('highLift', false, 'highLiftTooDark', 'D2', { natural });
    say('deposit', false, 'tonerCannotLighten', 'F4', { levels: up });
  }
  if (
    !untouchedOrBare &&
    !pale &&
    !found.some(({ technique }) => technique === 'lightenThenTone') &&
    up > SAME_LEVEL
  )
    say(
      'lightenThenTone',
      up <= limit,
      up <= limit ? 'lighten' : 'beyondCondition',
      up <= limit ? 'F3' : 'C4',
      {
        levels: up,
        limit,
        condition,
      },
    );
  if (!found.some(({ technique }) => technique === 'leave'))
    say('leave', false, 'notDone', 'F1', { levels: up });
  return found;
}

/** The ruling on a route; a technique that is not considered here is ruled out with a plain reason. */
export const techniqueRuling = (
  goal: PlaceGoal,
  technique: Technique,
  rules: TechniqueRules,
): TechniqueRuling =>
  techniqueRulings(goal, rules).find((ruling) => ruling.technique === technique) ?? {
    technique,
    allowed: false,
    name: 'notHere',
    reason: reason(rulingCode('notHere'), 'F1', { route: technique }),
  };
