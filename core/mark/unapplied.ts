import type { Complete, RecordCard } from '../card';
import type { Criterion } from '../exercise';
import { type MarkingContext, markingContext } from './context';
import { besides } from './criteria/bowls';
import type { Finding } from './finding';
import { withEveryBowlOn } from './idle-bowls';
import { findingsOf } from './method';

/** Criteria that a bowl is marked by as it stands in the bowl, whether or not it was put on. */
const IN_THE_BOWL: readonly Criterion[] = ['depth', 'tone', 'greyShare', 'developer', 'ratio', 'amount'];

/**
 * What is found of bowls that were mixed and never put on: shades, developer and ratio as they were mixed, the amount
 * likewise, and that the bowl was not used. Nothing where every bowl is on the hair.
 */
export function findingsAsMixed(context: MarkingContext): Partial<Record<Criterion, Finding[]>> {
  const card = withEveryBowlOn(context);
  if (!card) return {};
  const { clientCase, modelAnswer, rules, lineOf } = context;
  const asOn = markingContext(clientCase, card as Complete<RecordCard>, modelAnswer, rules, lineOf);
  const found = findingsOf(asOn, IN_THE_BOWL);
  const unused = besides(context).filter(({ fault }) => fault.name === 'amount.unused');
  return { ...found, amount: [...(found.amount ?? []), ...unused] };
}
