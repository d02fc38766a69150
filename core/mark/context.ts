import {
  type Application,
  type Bowl,
  type CompleteCard,
  type LineOf,
  bowlOf,
  complete,
  stepsOn,
} from '../card';
import { type ClientCase, type Part, partName, partsOf } from '../case';
import { type PlaceId, beginsAtScalp } from '../hair';
import { type Technique, type PlaceGoal, goalsOf } from '../method';
import type { Line } from '../product';
import type { HouseRules } from '../rules';
import { type SimulatedCard, simulateCard } from '../simulate';
import type { ModelAnswer } from '../solve';
import { type WorkedApplication, type WorkedPlace, workedPlace } from './worked-place';

/** Everything a criterion is marked from. */
export interface MarkingContext {
  /** The client case: client, head, desired result, shelf. */
  clientCase: ClientCase;
  /** The complete card that is marked. */
  card: CompleteCard;
  /** The model answer. */
  modelAnswer: ModelAnswer;
  /** House rules that hold. */
  rules: HouseRules;
  /** Finds a line at hand by its id. */
  lineOf: LineOf;
  /** Parts of the head. */
  parts: WorkedPlace[];
  /** Parts nothing is wished for, yet something is put on. */
  unasked: { zone: PlaceId; steps: number }[];
  /** The card as it was played. */
  played: SimulatedCard;
  /** The model answer on the same head. */
  modelPlayed: SimulatedCard;
  /** The model answer as it works each place of this head. */
  modelParts: readonly WorkedPlace[];
  /** Fewest minutes of the model answer and its equals, by `minutesKey`. */
  modelMinutes: ReadonlyMap<string, number>;
  /** Techniques of the model answer, by the name of the part. */
  modelTechniques: ReadonlyMap<string, Technique>;
}

/** A place as the words of a reason need it. */
export const placeParams = (task: Pick<PlaceGoal, 'part'>): { zone: string; woven: boolean } => ({
  zone: task.part.zone,
  woven: task.part.woven,
});

/** A part among some worked places; undefined where nothing is wished for it. */
export const workedAt = (places: readonly WorkedPlace[], part: Pick<Part, 'zone' | 'woven'>) =>
  places.find(({ goal }) => partName(goal.part) === partName(part));

/** The part as a simulation knows it. @throws RangeError when the head lacks it. */
export function partOf({ parts }: SimulatedCard, part: Pick<Part, 'zone' | 'woven'>): Part {
  const found = parts.find((one) => partName(one) === partName(part));
  if (!found) throw new RangeError(`the head has no part ${partName(part)}`);
  return found;
}

const playedModelAnswers = new WeakMap<ModelAnswer, SimulatedCard>();

/** The model answer played; kept with it, since a class of answers is marked against it. */
function playedModelAnswer(modelAnswer: ModelAnswer, lineOf: LineOf): SimulatedCard {
  const played =
    playedModelAnswers.get(modelAnswer) ??
    simulateCard(modelAnswer.clientCase, complete(modelAnswer.card), lineOf);
  playedModelAnswers.set(modelAnswer, played);
  return played;
}

const modelPlaces = new WeakMap<ModelAnswer, WorkedPlace[]>();

/** The places of a model answer as it works them; kept with it, as it is played. */
function placesOfModelAnswer(modelAnswer: ModelAnswer, lineOf: LineOf, rules: HouseRules): WorkedPlace[] {
  const places =
    modelPlaces.get(modelAnswer) ??
    goalsOf(modelAnswer.clientCase).map((goal) =>
      workedPlace(complete(modelAnswer.card), goal, lineOf, rules),
    );
  modelPlaces.set(modelAnswer, places);
  return places;
}

const modelMinutesKnown = new WeakMap<ModelAnswer, Map<string, number>>();

/** What minutes are kept by: the name of the part, what the bowl is there for, and its line. */
export const minutesKey = ({ part }: Pick<PlaceGoal, 'part'>, { role, line }: WorkedApplication): string =>
  `${partName(part)} ${role} ${line.id}`;

/** Fewest minutes that the model answer or one of its equals gives; what has them was not taken off too soon. */
function minutesOfModelAnswer(
  modelAnswer: ModelAnswer,
  lineOf: LineOf,
  rules: HouseRules,
): Map<string, number> {
  const known = modelMinutesKnown.get(modelAnswer);
  if (known) return known;
  const minutes = new Map<string, number>();
  const goals = goalsOf(modelAnswer.clientCase);
  for (const card of [modelAnswer.card, ...modelAnswer.equivalents])
    for (const goal of goals)
      for (const worked of workedPlace(complete(card), goal, lineOf, rules).steps) {
        const key = minutesKey(goal, worked);
        minutes.set(key, Math.min(minutes.get(key) ?? Infinity, worked.application.minutes));
      }
  modelMinutesKnown.set(modelAnswer, minutes);
  return minutes;
}

/** Everything that a card is marked from, worked out once. */
export function markingContext(
  clientCase: ClientCase,
  card: CompleteCard,
  modelAnswer: ModelAnswer,
  rules: HouseRules,
  lineOf: LineOf,
): MarkingContext {
  const goals = goalsOf(clientCase);
  const unasked = partsOf(clientCase).flatMap(({ zone, woven, target }) => {
    if (target || woven) return [];
    const steps = stepsOn(card, { zone, woven }).length;
    return steps > 0 ? [{ zone, steps }] : [];
  });
  return {
    clientCase,
    card,
    modelAnswer,
    rules,
    lineOf,
    parts: goals.map((goal) => workedPlace(card, goal, lineOf, rules)),
    unasked,
    played: simulateCard(clientCase, card, lineOf),
    modelPlayed: playedModelAnswer(modelAnswer, lineOf),
    modelParts: placesOfModelAnswer(modelAnswer, lineOf, rules),
    modelMinutes: minutesOfModelAnswer(modelAnswer, lineOf, rules),
    modelTechniques: new Map(modelAnswer.choices.map(({ part, technique }) => [part, technique])),
  };
}

/** Whether a step refreshes a part with what is left of a bowl. */
export const isLeftoverStep = ({ parts }: Pick<MarkingContext, 'parts'>, application: Application) =>
  parts.some(({ leftover, steps }) => leftover && steps.some(({ written }) => written.includes(application)));

/** All of it promised for today where the model answer takes appointments: the head is judged by the last wish. */
export const isPromisedToday = ({ card, modelAnswer }: MarkingContext): boolean =>
  modelAnswer.visits.length > 1 && card.visits === 1;

/** Up to this strength, volumes, permanent colour only deposits (D2). */
export const DEPOSITS_TO_VOL = 10;

/** What a step puts on: its bowl, the line of that, and whether it lies openly where hair begins at the scalp; null without a line. */
export function whatItPutsOn(
  { card, clientCase, lineOf }: Pick<MarkingContext, 'card' | 'clientCase' | 'lineOf'>,
  application: Application,
): { bowl: Bowl; line: Line; atScalp: boolean } | null {
  const bowl = bowlOf(card, application);
  const line = bowl?.lineId ? lineOf(bowl.lineId) : undefined;
  if (!bowl || !line) return null;
  const { placement, zones } = application;
  const atScalp = placement === 'open' && zones.some((zone) => beginsAtScalp(clientCase.head, zone));
  return { bowl, line, atScalp };
}
