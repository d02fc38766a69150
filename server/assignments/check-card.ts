import type { RecordCard } from '@cimbel/core/card';
import { readLabel, type Line } from '@cimbel/core/product';
import { invalidField } from '../http/errors';

/** A card without steps whose bowl is not mixed: they would do nothing. */
export const onlyMixed = (card: RecordCard): RecordCard => ({
  ...card,
  steps: card.steps.filter(({ bowl }) => card.bowls.some(({ name }) => name === bowl)),
});

/** Labels have to be of the bowl's line, and bowls have to be there: a slip of typing is said now, not marked. */
export function checkCard(
  { bowls, steps }: Pick<RecordCard, 'bowls' | 'steps'>,
  lines: readonly Line[],
): void {
  const names = bowls.map(({ name }) => name);
  bowls.forEach((bowl, i) => {
    if (names.indexOf(bowl.name) !== i)
      throw invalidField(
        `answer.bowls.${i}.name`,
        'bowlTwice',
        `Two bowls are named ${bowl.name}. Give one another letter.`,
      );
    if (bowl.lineId === null) return;
    const line = lines.find(({ id }) => id === bowl.lineId);
    if (!line)
      throw invalidField(
        `answer.bowls.${i}.lineId`,
        'lineNotAtHand',
        'This line is not at hand. Pick one from the shelf.',
      );
    bowl.shades.forEach(({ label }, j) => {
      if (!line.shades.includes(label) || !readLabel(line, label).ok)
        throw invalidField(
          `answer.bowls.${i}.shades.${j}.label`,
          'noSuchShade',
          `${line.name} has no shade ${label}.`,
        );
    });
  });
  steps.forEach(({ bowl }, i) => {
    if (!names.includes(bowl))
      throw invalidField(
        `answer.steps.${i}.bowl`,
        'noSuchBowl',
        `There is no bowl ${bowl}. Mix it, or take the step out.`,
      );
  });
}
