import { seedFrom } from '../random';
import {
  EMPTY_CARD,
  applicationsOf,
  onTheShelf,
  revealsOf,
  stretchesOf,
  timesWhatIsGiven,
  type Application,
  type BenchStep,
  type ClientCase,
  type Head,
  type RecordCard,
  type Stretch,
} from '../card';
import { LIGHTS, type Light } from '../colour';
import type { Reason } from '../reason';
import type { Line } from '../shades';
import { nowLook, wishLook } from '../simulate';
import type { Solution } from '../solve';
import { underlayChoices, type HouseRules, type Underlay } from '../theory';
import type { TressLook } from '../tress';
import { withGiven } from './rubric';

/** An exercise with its answer, as the educator has it. */
export interface SetExercise {
  /** Seeds the pictures: the hair looks the same to everyone, each time. */
  id: string;
  clientCase: ClientCase;
  solution: Pick<Solution, 'best'>;
  lines: Line[];
  houseRules: HouseRules;
  open: BenchStep[];
  /** A card that has to be put right; null where the card starts empty. */
  card: RecordCard | null;
}

/** The head as it comes in and as it is wished for. */
export interface Looks {
  now: TressLook;
  target: TressLook;
}

/** What a student may know of a head before the key is released: how it looks and what was asked, never its figures. */
export interface ExerciseAsSet {
  client: ClientCase['client'];
  /** In daylight. */
  looks: Looks;
  /** The same under each light, for reading. */
  lit: Record<Light, Looks>;
  /** Root to end. */
  zones: Stretch[];
  hair: Pick<Head, 'diameter' | 'density' | 'length' | 'form'>;
  wish: ClientCase['wish'];
  weave: ClientCase['weave'] | null;
  lines: Line[];
  houseRules: HouseRules;
  underlayChoices: Underlay[];
  open: BenchStep[];
  /** What the exercise gives: the fields of steps that are off, and all of a card that is to be put right. */
  given: RecordCard;
  /** Where the student times what is given: what is applied, without its times. Else empty. */
  applications: Application[];
  toCorrect: boolean;
  /** What the questions and tests on the card, given or asked, have brought to light. */
  reveals: Record<string, Reason[]>;
}

/** The head and what is wished for, as the eye sees them under a light. */
export function looksOf({ id, clientCase }: Pick<SetExercise, 'id' | 'clientCase'>, light: Light): Looks {
  const seed = seedFrom(id);
  return { now: nowLook(clientCase, light, seed), target: wishLook(clientCase, light, seed + 1) };
}

/**
 * An exercise as a student gets it, with what `answer` has asked so far. Chosen field by field: what is not named here
 * (levels, grey, history, the model answer) cannot slip out.
 */
export function asSet(exercise: SetExercise, answer: RecordCard | null): ExerciseAsSet {
  const { clientCase, solution, lines, houseRules, open, card } = exercise;
  const { diameter, density, length, form } = clientCase.head;
  const start = card ?? EMPTY_CARD;
  const lit = Object.fromEntries(LIGHTS.map((light) => [light, looksOf(exercise, light)])) as Record<
    Light,
    Looks
  >;
  return {
    client: clientCase.client,
    looks: lit.daylight,
    lit,
    zones: stretchesOf(clientCase.head),
    hair: { diameter, density, length, form },
    wish: clientCase.wish,
    weave: clientCase.weave ?? null,
    lines: onTheShelf(lines, clientCase),
    houseRules,
    underlayChoices: underlayChoices(houseRules),
    open,
    given: withGiven(start, solution.best, open),
    applications: timesWhatIsGiven(open) ? applicationsOf(solution.best.steps) : [],
    toCorrect: card !== null,
    reveals: revealsOf(clientCase, withGiven(answer ?? start, solution.best, open)),
  };
}
