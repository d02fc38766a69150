import {
  DRILL_EDITION,
  PLAIN_CONTEXT,
  SKILLS,
  DRILL_STEPS,
  facetsOf,
  generate,
  type Item,
  type Skill,
  type DrillStep,
} from '../../core/drill';
import { digest, figures, figuresIn, type Section } from './section';

const ITEMS_OF_EACH = 20;

/** The right answer of an item: `#2/4` for the third of four options, otherwise its figures. */
function answerOf({ solution, question: { form } }: Item): string {
  if (solution.kind === 'choice')
    return `#${solution.right}/${form.kind === 'choice' ? form.options.length : 0}`;
  return figures(figuresIn(solution)).replaceAll(' ', ',');
}

/** All figures of an item in rising order, so that it matters neither what their fields are called nor how they are ordered. */
const allFigures = (item: Item): number[] =>
  figuresIn(item)
    .map((value) => Math.round(value * 1000))
    .sort((a, b) => a - b);

function itemsLine(skill: Skill, facet: string, step: DrillStep): string {
  const items = Array.from({ length: ITEMS_OF_EACH }, (_, seed) =>
    generate({ skill, facet, step, seed }, PLAIN_CONTEXT),
  );
  return `${skill} ${facet} ${step} | ${items.map(answerOf).join(' ')} | ${digest(items.flatMap(allFigures))}`;
}

/** Twenty items of every facet at every step of difficulty. */
export const recordItems = (): Section => ({
  name: 'items',
  version: `questions ${DRILL_EDITION}`,
  lines: SKILLS.flatMap((skill) =>
    facetsOf(skill, PLAIN_CONTEXT).flatMap((facet) =>
      DRILL_STEPS.map((step) => itemsLine(skill, facet, step)),
    ),
  ),
});
