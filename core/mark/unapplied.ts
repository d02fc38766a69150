import { type Application, type Bowl, type Complete, bowlGrams, type RecordCard } from '../card';
import type { Criterion } from '../exercise';
import { isLightener } from '../process';
import { type Line, hasShades } from '../product';
import { type MarkingContext, markingContext } from './context';
import { besides } from './criteria/bowls';
import type { Finding } from './finding';
import { findingsOf } from './method';

/** Criteria that a bowl is marked by as it stands in the bowl, whether or not it was put on. */
const IN_THE_BOWL: readonly Criterion[] = ['depth', 'tone', 'greyShare', 'developer', 'ratio', 'amount'];

/** What a bowl could be there for, by its line: colour, lightener, or what it is by itself. */
const purposeOf = ({ kind }: Line): string =>
  isLightener(kind) ? 'lighten' : hasShades(kind) && kind !== 'filler' ? 'colour' : kind;

/**
 * The card with every bowl that was mixed and never put on where the model answer puts a bowl of its purpose on; null where
 * there is none. Places that a step of the card works by itself keep that.
 */
function withEveryBowlOn({ card, modelAnswer, lineOf }: MarkingContext): RecordCard | null {
  const lineIn = ({ lineId }: Bowl) => (lineId ? lineOf(lineId) : undefined);
  const isOn = ({ name }: Bowl, steps: readonly Application[]) => steps.some(({ bowl }) => bowl === name);
  const idle = card.bowls.filter((bowl) => !isOn(bowl, card.steps) && bowlGrams(bowl) > 0 && lineIn(bowl));
  const steps = [...card.steps];
  for (const bowl of idle) {
    const purpose = purposeOf(lineIn(bowl)!);
    const purposeIn = (bowls: readonly Bowl[], name: string) => {
      const line = bowls.flatMap((one) => (one.name === name ? (lineIn(one) ?? []) : []))[0];
      return line && purposeOf(line);
    };
    const model = modelAnswer.card.bowls.find(
      ({ name }) =>
        purposeIn(modelAnswer.card.bowls, name) === purpose &&
        modelAnswer.card.steps.some(
          (application) =>
            application.bowl === name &&
            !steps.some(
              (own) =>
                purposeIn(card.bowls, own.bowl) === purpose &&
                own.zones.some((zone) => application.zones.includes(zone)),
            ),
        ),
    );
    if (!model) continue;
    for (const application of modelAnswer.card.steps)
      if (application.bowl === model.name) steps.push({ ...application, bowl: bowl.name });
  }
  return steps.length > card.steps.length ? { ...card, steps } : null;
}

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
