import { type Application, type Bowl, bowlGrams, type RecordCard } from '../card';
import type { PlaceId } from '../hair';
import { isLightener } from '../process';
import { type Line, hasShades } from '../product';
import type { MarkingContext } from './context';

/** What a bowl could be there for, by its line: colour, lightener, or what it is by itself. */
const purposeOf = ({ kind }: Line): string =>
  isLightener(kind) ? 'lighten' : hasShades(kind) && kind !== 'filler' ? 'colour' : kind;

/**
 * The card with every bowl that was mixed and never put on where the model answer puts a bowl of its purpose on; null where
 * there is none. Places that a step of the card works by itself keep that.
 */
export function withEveryBowlOn({ card, modelAnswer, lineOf }: MarkingContext): RecordCard | null {
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

/** Places on which a bowl of colour would lie that was mixed for them and never put on. */
export function placesOfIdleColour(context: MarkingContext): ReadonlySet<PlaceId> {
  const { card, lineOf } = context;
  const added = withEveryBowlOn(context)?.steps.slice(card.steps.length) ?? [];
  return new Set(
    added.flatMap(({ bowl, zones }) => {
      const id = card.bowls.find(({ name }) => name === bowl)?.lineId;
      const line = id ? lineOf(id) : undefined;
      return line && purposeOf(line) === 'colour' ? zones : [];
    }),
  );
}
