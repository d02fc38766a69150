import { isLightenedHair } from '../case';
import type { Line } from '../product';
import {
  asksForRedOnNatural,
  type DeveloperChoice,
  chooseDeveloper,
  type HouseRules,
  pourOf,
  mayDilute,
  lightenerVols,
  REFRESH_MINUTES,
  hasGreyToCover,
  TONING_VOL,
  TONING_WATCHED_FROM,
} from '../rules';
import type { PlaceGoal } from './place-goal';
import { coversGrey, type RequiredMix, overItsOwn, permanentTones } from './required-mix';
import type { Technique } from './technique';

/** What the directions of one line say for a layer. */
export interface Directions {
  /** Strengths that are right, the preferred one first; empty where nothing is poured. */
  vols: number[];
  /** Strengths that are right only with extra-pigment naturals in the bowl (F8). */
  volsWithExtraNatural: number[];
  /** Developer parts to one of colour, the standard first. */
  ratios: number[];
  /** How long it lies, minutes: best, and the span that is right. */
  minutes: { best: number; min: number; max: number };
}

const span = (best: number, min = best, max = best) => ({ best, min, max });
/** Hair off the scalp is a little behind the root when it is lifted by colour, and gets a head start (A2). */
export const HEAD_START = { least: 10, most: 20 };
const LIGHTENER_LEAST = 5;
/** From one strength that is sold to the next, volumes (D1). */
const STRENGTH_STEP = 10;
/** A toner on lightened hair is watched from here on. */
export const TONER_LEAST = 5;
/** Minutes that permanent colour is planned for as a toner; it comes off at the look that finds the tone. Judgement. */
const TONING_BEST = 15;
/** Gentle wet cleanse: powder with 10 vol on wet hair with conditioner, until nothing changes (P8). */
export const CLEANSE = { vol: 10, minutes: { best: 15, min: 10, max: 20 } } as const;
/** A clear gloss lies from five to twenty minutes. */
const GLOSS_MINUTES = { best: 15, min: 5, max: 20 };
/**
 * Permanent colour over coloured hair of the level it is to have, where nothing gentler is at hand: long enough for another
 * tone, never the full time, which lies deeper and flatter each month (A1, F11).
 */
const OVER_COLOURED_MINUTES = { best: 15, min: 10, max: 20 };
/** Grey is blended with low-strength colour that is watched from five minutes on. */
const BLEND_MINUTES = { best: 10, min: 5, max: 12 };
/** Least share of the full time that low-strength colour lies on porous hair (F11). Judgement. */
const POROUS_SHARE = 0.5;
const none: Omit<Directions, 'minutes'> = { vols: [], volsWithExtraNatural: [], ratios: [] };

/** Grey that is to be covered by the colour: lightened and filled hair shows none. */
const greyUnder = (goal: PlaceGoal, technique: Technique) =>
  coversGrey(goal, technique) ? goal.greyShare : 0;

/** Whether colour goes on lightened hair, its own or just lightened: a toner, and watched. What a remover leaves is not bare. */
export const tonesBared = ({ history, natural }: PlaceGoal, technique: Technique): boolean =>
  technique === 'lightenThenTone' ||
  history.kind === 'lightened' ||
  (technique === 'deposit' && isLightenedHair(history, natural));

/** A red that permanent colour sets on hair never coloured (F9). */
export const setsRed = ({ history, natural, target }: PlaceGoal, technique: Technique): boolean =>
  (technique === 'deposit' || technique === 'liftWithColour') &&
  history.kind === 'untouched' &&
  asksForRedOnNatural(natural, target.tone);

/** Strength for the colour of a route (D2, F8), with its reasons. */
export function developerFor(
  goal: PlaceGoal,
  technique: Technique,
  line: Line,
  rules: HouseRules,
): DeveloperChoice {
  // What was put on before has brought the hair to the level; colour after it only deposits.
  const from =
    technique === 'deposit' ? goal.present : technique === 'liftWithColour' ? goal.natural : target(goal);
  return chooseDeveloper(
    {
      naturalLevel: Math.max(from, technique === 'deposit' ? target(goal) : from),
      targetLevel: target(goal),
      greyShare: greyUnder(goal, technique),
      redOnNatural: setsRed(goal, technique),
    },
    line,
    rules,
  );
}

/** What a line's directions and the class's rules ask of a layer; null where the line cannot do it. */
export function directionsFor(
  goal: PlaceGoal,
  technique: Technique,
  required: RequiredMix,
  line: Line,
  rules: HouseRules,
  startsFirst = false,
): Directions | null {
  const { minutes } = line;
  switch (required.role) {
    case 'remove':
      return { ...none, vols: line.developersVol, ratios: line.ratios, minutes: span(20, 15, 20) };
    case 'fill':
      // Low-strength colour that stands in for a filler takes its own liquid and its own time (F6).
      return line.kind === 'filler'
        ? { ...none, minutes: span(15, 10, 15) }
        : {
            ...none,
            vols: line.developersVol.slice(0, 1),
            ratios: line.ratios,
            minutes: span(minutes.standard, 10, minutes.standard),
          };
    case 'cleanse': {
      // P8: the class's rules on 10 vol and on the scalp do not concern it.
      const pour = pourOf(CLEANSE.vol, line.developersVol, mayDilute(line, rules));
      return pour ? { ...none, vols: [CLEANSE.vol], ratios: line.ratios, minutes: CLEANSE.minutes } : null;
    }
    case 'lighten': {
      const may = mayDilute(line, rules);
      const all = lightenerVols(goal.scalpContact, rules);
      // Hair that was permed counts a strength less (C10).
      const most = Math.max(...all) - (goal.chemical?.service === 'perm' ? STRENGTH_STEP : 0);
      const vols = all.filter((vol) => vol <= most && pourOf(vol, line.developersVol, may));
      if (vols.length === 0) return null;
      return {
        ...none,
        vols,
        ratios: line.ratios,
        minutes: span(minutes.standard, LIGHTENER_LEAST, minutes.standard),
      };
    }
    case 'colour':
      break;
  }
  if (line.kind === 'direct') return { ...none, minutes: span(minutes.standard, 20, 30) };
  const deposits = line.kind === 'demi' || line.kind === 'acidGloss';
  if (required.shadeRequest?.highLift) {
    const levels = target(goal) - goal.natural;
    // High-lift is made for the strongest; 30 vol is enough for three levels.
    const vols = line.developersVol.filter((vol) => vol >= (levels <= 3 ? 30 : 40)).sort((a, b) => b - a);
    if (!line.highLift || vols.length === 0) return null;
    return {
      ...none,
      vols,
      ratios: line.highLift.ratios,
      minutes: startsFirst
        ? span(
            line.highLift.minutes + HEAD_START.least,
            line.highLift.minutes,
            line.highLift.minutes + HEAD_START.most,
          )
        : span(line.highLift.minutes, line.highLift.minutes - 5),
    };
  }
  if (required.refresh)
    return { ...none, vols: line.developersVol.slice(0, 1), ratios: line.ratios, minutes: REFRESH_MINUTES };
  if (line.kind === 'permanent' && permanentTones(goal, technique, rules)) {
    const pour = pourOf(TONING_VOL, line.developersVol, mayDilute(line, rules));
    if (!pour) return null;
    return {
      ...none,
      vols: [TONING_VOL],
      ratios: line.ratios,
      minutes: span(Math.min(minutes.standard, TONING_BEST), TONING_WATCHED_FROM, minutes.standard),
    };
  }
  const choice = developerFor(goal, technique, line, rules);
  if (!choice.ok) return null;
  const grey = greyUnder(goal, technique);
  const vols = [choice.vol];
  const volsWithExtraNatural: number[] = [];
  for (const also of choice.alsoVol) (also.onlyWithExtraNatural ? volsWithExtraNatural : vols).push(also.vol);
  if (required.shadeRequest?.clear)
    return { vols, volsWithExtraNatural, ratios: line.ratios, minutes: GLOSS_MINUTES };
  const covers = coversGrey(goal, technique) && hasGreyToCover(grey);
  if (deposits && goal.target.grey === 'blend' && goal.greyShare > 0)
    return { vols, volsWithExtraNatural, ratios: line.ratios, minutes: BLEND_MINUTES };
  if (!deposits && technique === 'deposit' && overItsOwn(goal))
    return { vols, volsWithExtraNatural, ratios: line.ratios, minutes: OVER_COLOURED_MINUTES };
  const usual = covers ? (goal.resistant && minutes.resistant) || minutes.grey : minutes.standard;
  const bared = deposits && tonesBared(goal, technique);
  const time = bared
    ? // A toner is watched: from five minutes on it may be ready (R2).
      span(usual, Math.min(usual, TONER_LEAST))
    : startsFirst && technique === 'liftWithColour'
      ? span(usual + 15, usual, usual + HEAD_START.most)
      : deposits && goal.porosity === 'high'
        ? // Porous hair takes colour sooner: less time is right (F11).
          span(usual, Math.ceil(usual * POROUS_SHARE))
        : span(usual);
  return { vols, volsWithExtraNatural, ratios: line.ratios, minutes: time };
}
const target = (goal: PlaceGoal) => goal.target.level;
