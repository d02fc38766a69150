import { type HeadAndWish, partName } from '../case';
import { isFashion } from '../colour';
import {
  type Criterion,
  type Rubric,
  CRITERIA,
  isOpenIn,
  CRITERION_WEIGHTS,
  scaledToHundred,
  type BenchStep,
  BENCH_STEPS,
} from '../exercise';
import { goalsOf, coversGrey } from '../method';
import type { ModelAnswer } from '../solve';

/** From this fraction of white on the mix needs natural series (F8). */
const NATURAL_FROM = 0.25;

const OF_BOWLS: readonly Criterion[] = [
  'route',
  'depth',
  'tone',
  'developer',
  'ratio',
  'amount',
  'order',
  'timing',
];

/** Points for what a case asks: nothing that it does not put to the test, nothing of a step that is off. */
export function defaultRubric(
  { card, choices, stops }: Pick<ModelAnswer, 'card' | 'choices' | 'stops'>,
  clientCase: HeadAndWish,
  open: readonly BenchStep[] = BENCH_STEPS,
): Rubric {
  // A natural share is asked for under a fashion tone, over a quarter of white and more (F8).
  const covers = goalsOf(clientCase).some((goal) => {
    const choice = choices.find(({ part }) => part === partName(goal.part));
    return (
      choice &&
      coversGrey(goal, choice.technique) &&
      isFashion(goal.target.tone) &&
      goal.greyShare >= NATURAL_FROM
    );
  });
  const foretold = Object.values(card.readings).some((reading) => reading?.underlay);
  const rubric: Rubric = {};
  for (const criterion of CRITERIA) {
    if (!isOpenIn(open, criterion)) continue;
    if (criterion === 'greyShare' && !covers) continue;
    if (criterion === 'prediction' && !foretold) continue;
    // Where the service has to be declined there is nothing to mix.
    if (stops.length > 0 && !['reading', 'safety', 'aftercare'].includes(criterion)) continue;
    if (criterion === 'aftercare' && card.aftercare.length === 0 && card.nextVisitWeeks === null) continue;
    if (OF_BOWLS.includes(criterion) && card.bowls.length === 0) continue;
    // A clear gloss has no tone to be chosen.
    if (
      criterion === 'tone' &&
      choices.every(({ technique }) => technique === 'gloss' || technique === 'leave')
    )
      continue;
    rubric[criterion] = CRITERION_WEIGHTS[criterion];
  }
  return scaledToHundred(rubric);
}
