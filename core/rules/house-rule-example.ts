import { toHalfLevel, namedLevel, levelOfLightness, topLevel } from '../colour';
import { type Line, flOzOfGrams } from '../product';
import { type Reason, reason } from '../reason';
import { washBefore, REFRESH_MINUTES, LEFTOVER_WATER } from './application';
import { lightenerVols, dilutionRuling } from './developer';
import { chooseDeveloper } from './developer-choice';
import { naturalShareFor } from './grey';
import {
  DEFAULT_HOUSE_RULES,
  HOUSE_FIGURES,
  type HouseRule,
  houseRulesSchema,
  type HouseRules,
} from './house-rules';
import { rinseMinute } from './processing';
import {
  levelsByColour,
  shadeLevelFor,
  tonerLevels,
  TONING_DEEPER,
  TONING_VOL,
  TONING_WATCHED_FROM,
} from './shade-level';
import { underlayAt, counterAt } from './underlying-pigment';

/** Every house rule that is a choice, with its choices, the default first. */
export const HOUSE_RULES = Object.keys(DEFAULT_HOUSE_RULES).filter(
  (rule) => !HOUSE_FIGURES.some((figure) => figure === rule),
) as HouseRule[];
/** Choices of a house rule, the default first. */
export const choicesOf = (rule: HouseRule): readonly string[] =>
  houseRulesSchema.shape[rule].unwrap().options;

const EXAMPLE = {
  dark: 2,
  natural: 5,
  target: 7,
  grey: 0.6,
  veryGrey: 0.8,
  hair: 8,
  takes: 15,
  minutes: 35,
  paleLightness: 78.5,
  grams: 60,
};
/** A line whose directions ask for washed hair, as one school follows them. */
const ASKS_FOR_WASHED = { preWash: 'washed' } as const;

/**
 * What a choice comes to on a small case, reckoned by the rules themselves so that it cannot say anything else than the
 * marking does. `line` is a permanent line that does not permit water.
 */
export function houseRuleExample(rule: HouseRule, choice: string, line: Line): Reason {
  const rules = houseRulesSchema.parse({ [rule]: choice }) as HouseRules;
  const { dark, natural, target, grey, veryGrey, hair, takes, minutes } = EXAMPLE;
  switch (rule) {
    case 'levelScale': {
      const { paleLightness } = EXAMPLE;
      const level = toHalfLevel(namedLevel(levelOfLightness(paleLightness), rules.levelScale));
      return reason('example.levelScale', 'L1', { level, most: topLevel(rules.levelScale) });
    }
    case 'underlay':
      return reason('example.underlay', 'U1', {
        level: dark,
        underlay: underlayAt(dark, rules),
        counter: counterAt(dark),
      });
    case 'liftByColour':
      return reason('example.liftByColour', 'F2', {
        natural,
        target,
        level: shadeLevelFor({ naturalLevel: natural, targetLevel: target, porosity: 'normal' }, rules).level,
      });
    case 'greyShare':
      return reason('example.greyShare', 'F8', { grey, share: naturalShareFor(grey, rules, true).min });
    case 'resistantGrey': {
      const chosen = chooseDeveloper(
        { naturalLevel: natural, targetLevel: natural, greyShare: veryGrey },
        line,
        rules,
      );
      const vols = chosen.ok ? [chosen.vol, ...chosen.alsoVol.map(({ vol }) => vol)] : [];
      return reason('example.resistantGrey', 'F8', { grey: veryGrey, vol: Math.max(...vols) });
    }
    case 'liftByColourLimit':
      return reason('example.liftByColourLimit', 'F3', { natural, level: natural + levelsByColour(rules) });
    case 'tonerProduct':
      return reason(`example.tonerProduct.${rules.tonerProduct}`, 'F4', {
        hair,
        vol: TONING_VOL,
        deeper: hair - TONING_DEEPER.most,
        from: TONING_WATCHED_FROM,
      });
    case 'tonerDepth': {
      const levels = tonerLevels(hair, rules);
      return levels.length === 1
        ? reason('example.tonerOne', 'F4', { hair, level: levels[0] })
        : reason('example.tonerTwo', 'F4', { hair, level: levels[0], deeper: levels[1] });
    }
    case 'lightenerOnScalp':
      return reason('example.lightenerOnScalp', 'D4', { vol: Math.max(...lightenerVols('onScalp', rules)) });
    case 'tenVolLightener':
      return reason('example.tenVolLightener', 'D4', { vol: Math.min(...lightenerVols('offScalp', rules)) });
    case 'fortyVolLightener':
      return reason('example.fortyVolLightener', 'D4', {
        off: Math.max(...lightenerVols('offScalp', rules)),
        on: Math.max(...lightenerVols('onScalp', rules)),
      });
    case 'diluteDeveloper':
      return reason(`example.diluteDeveloper.${dilutionRuling(line, rules)}`, 'D5', { line: line.name });
    case 'timerStarts':
      return reason('example.timerStarts', 'R1', {
        takes,
        minutes,
        rinse: rinseMinute(takes, minutes, rules),
      });
    case 'preServiceWash':
      return reason('example.preServiceWash', 'D4', { wash: washBefore(ASKS_FOR_WASHED, rules) });
    case 'endsRefresh':
      return reason(`example.endsRefresh.${rules.endsRefresh}`, 'A1', {
        min: REFRESH_MINUTES.min,
        max: REFRESH_MINUTES.max,
        water: LEFTOVER_WATER,
      });
    case 'units': {
      const { grams: weight } = EXAMPLE;
      return rules.units === 'grams'
        ? reason('example.units.grams', 'M3', { amount: weight })
        : reason('example.units.flOz', 'M3', { amount: flOzOfGrams(weight) });
    }
  }
}
