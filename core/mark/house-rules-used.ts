import type { LineOf } from '../card';
import { presentLevel, uppermostHistory } from '../case';
import { TOP_OF_TEN } from '../colour';
import { type HouseRules, type HouseRuleUse, type HouseRule, hasGreyToCover, LIFT_LIMITS } from '../rules';
import type { ModelAnswer } from '../solve';

/** From here on the schools differ on the strength over grey (F8). */
const VERY_GREY = 0.75;

/** The house rules a solution rested on, so that a grade can name them: one that changed nothing is left out. */
export function houseRulesUsedBy(
  { clientCase, choices, card }: ModelAnswer,
  rules: HouseRules,
  lineOf: LineOf,
): HouseRuleUse[] {
  const routes = new Set(choices.map(({ technique }) => technique));
  const covered = clientCase.head.zones.filter(({ zone }) =>
    choices.some(
      ({ part, technique }) =>
        part === zone && ['deposit', 'liftWithColour', 'removeThenColour'].includes(technique),
    ),
  );
  const greys = covered.map(({ greyShare }) => greyShare);
  const used: HouseRule[] = [];
  const pale = Object.values(clientCase.wish).some((wish) => wish.level >= TOP_OF_TEN);
  if (pale || clientCase.head.zones.some((zone) => presentLevel(zone) >= TOP_OF_TEN)) used.push('levelScale');
  if (Object.values(card.readings).some((reading) => reading?.underlay)) used.push('underlay');
  if (routes.has('liftWithColour')) used.push('liftByColour');
  // The schools part on the third level alone.
  const third = clientCase.head.zones.some((zone) => {
    const up = (clientCase.wish[zone.zone]?.level ?? 0) - presentLevel(zone);
    return uppermostHistory(zone).kind === 'untouched' && up > LIFT_LIMITS.two && up <= LIFT_LIMITS.three;
  });
  if (third) used.push('liftByColourLimit');
  // A line with a table of its own leaves nothing for the class's to say.
  const byTable = card.bowls.some(({ name, lineId, shades }) => {
    const line = lineId ? lineOf(lineId) : undefined;
    const covers = card.steps.some(
      ({ bowl, zones }) => bowl === name && covered.some(({ zone }) => zones.includes(zone)),
    );
    return covers && shades.length > 0 && line && !line.greyShares;
  });
  if (byTable && greys.some(hasGreyToCover)) used.push('greyShare');
  if (greys.some((grey) => grey > VERY_GREY)) used.push('resistantGrey');
  if (routes.has('lightenThenTone'))
    used.push(
      'tonerDepth',
      'tonerProduct',
      'lightenerOnScalp',
      'tenVolLightener',
      'fortyVolLightener',
      'preServiceWash',
    );
  if (routes.has('refresh')) used.push('endsRefresh');
  if (card.bowls.some(({ developer }) => developer.length > 0)) used.push('diluteDeveloper', 'timerStarts');
  return used.map((rule) => ({ rule, choice: rules[rule] }));
}
