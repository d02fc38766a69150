import { type HeadAndWish, partName } from '../case';
import { isFashion } from '../colour';
import {
  type Criterion,
  type Rubric,
  CRITERIA,
  isOpenIn,
  WEIGHTS,
  scaled,
  type BenchStep,
  BENCH_STEPS,
} from '../exercise';
import { tasksOf, coversGrey } from '../method';
import type { Solution } from '../solve';

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
  { best, choices, stops }: Pick<Solution, 'best' | 'choices' | 'stops'>,
  clientCase: HeadAndWish,
  open: readonly BenchStep[] = BENCH_STEPS,
): Rubric {
  // A natural share is asked for under a fashion tone, over a quarter of white and more (F8).
  const covers = tasksOf(clientCase).some((task) => {
    const choice = choices.find(({ part }) => part === partName(task.part));
    return (
      choice &&
      coversGrey(task, choice.route) &&
      isFashion(task.target.tone) &&
      task.greyShare >= NATURAL_FROM
    );
  });
  const foretold = Object.values(best.readings).some((reading) => reading?.underlay);
  const rubric: Rubric = {};
  for (const criterion of CRITERIA) {
    if (!isOpenIn(open, criterion)) continue;
    if (criterion === 'greyShare' && !covers) continue;
    if (criterion === 'prediction' && !foretold) continue;
    // Where the service has to be declined there is nothing to mix.
    if (stops.length > 0 && !['reading', 'safety', 'aftercare'].includes(criterion)) continue;
    if (criterion === 'aftercare' && best.aftercare.length === 0 && best.nextVisitWeeks === null) continue;
    if (OF_BOWLS.includes(criterion) && best.bowls.length === 0) continue;
    // A clear gloss has no tone to be chosen.
    if (criterion === 'tone' && choices.every(({ route }) => route === 'gloss' || route === 'leave'))
      continue;
    rubric[criterion] = WEIGHTS[criterion];
  }
  return scaled(rubric);
}
