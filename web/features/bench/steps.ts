import type { StudentAssignment, WorkStep } from '@cimbel/contract';
import type { RecordCard } from '@cimbel/core/card';
import { hasDeveloper } from '@cimbel/core/product';
import { placesOf } from '../head/places';

/** Whether nothing of a step is open. */
export function isStepComplete(
  step: WorkStep,
  card: RecordCard,
  {
    regions,
    lines,
    applications,
    quote,
  }: Pick<StudentAssignment, 'regions' | 'lines' | 'applications' | 'quote'>,
): boolean {
  const declines = card.decision === 'decline';
  switch (step) {
    case 'consult':
      return card.asked.length > 0 && card.decision !== null && (declines || card.visits !== null);
    case 'read':
      return placesOf({ regions }).every(({ zone }) => card.readings[zone]?.level != null);
    case 'mix':
      return (
        declines || (card.bowls.length > 0 && card.bowls.every(({ lineId, from }) => lineId !== null || from))
      );
    case 'apply':
      return declines || card.steps.length > 0;
    case 'process':
      return declines || card.steps.length >= Math.max(1, applications.length);
    case 'finish':
      return (
        declines ||
        (card.aftercare.length > 0 &&
          card.nextVisitWeeks !== null &&
          (!quote || (card.quote?.price != null && card.quote.minutes !== null)))
      );
    case 'developer':
      return card.bowls.every(
        ({ lineId, developer }) =>
          !lines.some(({ id, kind }) => id === lineId && hasDeveloper(kind)) ||
          developer.some(({ grams }) => grams > 0),
      );
    case 'handIn':
      return false;
  }
}
