import type { HouseRuleUse, Solution } from '../../solve';
import { hasGreyToCover, type HouseRule, type HouseRules } from '../../theory';

/** From here on the schools differ on the strength over grey (F8). */
const VERY_GREY = 0.75;

/** The house rules a solution rested on, so that a grade can name them: one that changed nothing is left out. */
export function houseRulesUsedBy({ visit, choices, best }: Solution, rules: HouseRules): HouseRuleUse[] {
  const routes = new Set(choices.map(({ route }) => route));
  const greys = visit.head.zones.flatMap(({ zone, greyShare }) =>
    choices.some(
      ({ part, route }) => part === zone && ['deposit', 'liftWithColour', 'removeThenColour'].includes(route),
    )
      ? [greyShare]
      : [],
  );
  const used: HouseRule[] = [];
  if (Object.values(best.readings).some((reading) => reading?.underlay)) used.push('underlay');
  if (routes.has('liftWithColour')) used.push('liftByColour');
  if (greys.some(hasGreyToCover)) used.push('greyShare');
  if (greys.some((grey) => grey > VERY_GREY)) used.push('resistantGrey');
  if (routes.has('lightenThenTone'))
    used.push('tonerDepth', 'lightenerOnScalp', 'tenVolLightener', 'fortyVolLightener');
  if (best.bowls.some(({ developer }) => developer.length > 0)) used.push('diluteDeveloper', 'timerStarts');
  return used.map((rule) => ({ rule, choice: rules[rule] }));
}
