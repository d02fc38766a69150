import { type RecordCard, EMPTY_CARD } from '../card';
import {
  type ClientCase,
  type PlacementWish,
  headVariation,
  onTheShelf,
  nowLooks,
  revealsOf,
  shownFurther,
  wishLooks,
} from '../case';
import { type Lab, type Light, LIGHTS } from '../colour';
import { type TressLook, toEyeGrain, labToEyeGrain, zoneMeanLab } from '../draw';
import {
  type HairForm,
  type Region,
  type DrawnStretch,
  type Head,
  regionsOf,
  stretchesOf,
  hairShareOf,
} from '../hair';
import type { Line } from '../product';
import { seedFrom } from '../random';
import type { Reason } from '../reason';
import { type HouseRules, type Underlay, underlayChoices } from '../rules';
import { type UntimedApplication, withGiven, untimedApplications } from './given';
import { type BenchStep, timesWhatIsGiven } from './open-steps';

/** An exercise with its answer, as the educator has it. */
export interface ExerciseWithAnswer {
  /** Seeds the pictures: the hair looks the same to everyone, each time. */
  id: string;
  /** The client case: client, head, desired result, shelf. */
  clientCase: ClientCase;
  /** The model answer. */
  modelAnswer: { card: RecordCard };
  /** Lines of colour at hand, as they were when it was set. */
  lines: Line[];
  /** House rules of the class. */
  houseRules: HouseRules;
  /** Steps of the bench that are worked. */
  open: BenchStep[];
  /** A card that has to be put right; null where the card starts empty. */
  card: RecordCard | null;
}

/**
 * A lock before a student: drawn from its look, or, before the model answer is released, a picture at an address. With a
 * picture come the colour that it has at the scalp from a step away, and the form of the hair.
 */
export type ShownHair = { look: TressLook } | { src: string; root: Lab; form: HairForm };

/** The head as it comes in and as it is wished for: one strand of each region, in their order. */
export interface Looks {
  /** The hair as it comes in. */
  now: ShownHair[];
  /** The hair as it is wished for. */
  target: TressLook[];
}

/** A region as one sees it: which areas it is, how the hair grows there, and its zones, root to end. */
export interface VisibleRegion extends Pick<Region, 'name' | 'areas' | 'density' | 'diameter'> {
  /** Zones from root to tip. */
  zones: DrawnStretch[];
}

/** What a student may know of a head before the key is released: how it looks and what was asked, never its figures. */
export interface StudentExercise {
  /** Name and story of the client. */
  client: ClientCase['client'];
  /** In daylight. */
  looks: Looks;
  /** The same under each light, for reading. */
  lit: Record<Light, Looks>;
  /** Regions as one sees them. */
  regions: VisibleRegion[];
  /** Length and form of the hair. */
  hair: Pick<Head, 'length' | 'form'>;
  /** Level and tone wished for, by place. */
  wish: ClientCase['wish'];
  /** Highlights and lowlights that are asked for. */
  placements: PlacementWish[];
  /** Places that are to flow into one another. */
  melts: NonNullable<ClientCase['melts']>;
  /** Lines as they stand on the shelf of the case. */
  lines: Line[];
  /** House rules of the class. */
  houseRules: HouseRules;
  /** Names of underlying pigment to pick from. */
  underlayChoices: Underlay[];
  /** Steps of the bench that are worked. */
  open: BenchStep[];
  /** What the exercise gives: the fields of steps that are off, and all of a card that is to be put right. */
  given: RecordCard;
  /** Where the student times what is given: what is applied, without its times. Else empty. */
  applications: UntimedApplication[];
  /** Whether the card has an error that is to be put right. */
  toCorrect: boolean;
  /** Whether client and place of work are made ready by the student. */
  station: boolean;
  /** Whether the client is told a price and a time. */
  quote: boolean;
  /** What the questions and tests on the card, given or asked, have brought to light. */
  reveals: Record<string, Reason[]>;
}

/** The regions of a head as one sees them, with nothing of what their zones are. */
export const visibleRegions = (head: Head): VisibleRegion[] =>
  regionsOf(head).map((region) => ({
    name: region.name,
    areas: region.areas,
    density: region.density,
    diameter: region.diameter,
    zones: stretchesOf(region),
  }));

type PicturedCase = Pick<ExerciseWithAnswer, 'id' | 'clientCase'>;

function shownLooks({ id, clientCase }: PicturedCase, light: Light, seed: number): TressLook[] {
  const variation = headVariation(clientCase, seedFrom(id));
  return nowLooks(clientCase, light, seed).map((look) => toEyeGrain(shownFurther(look, variation)));
}

/** The head and what is wished for, as the eye sees them under a light. */
export function looksOf(exercise: PicturedCase, light: Light): Looks {
  const seed = seedFrom(exercise.id);
  return {
    now: shownLooks(exercise, light, seed).map((look) => ({ look })),
    target: wishLooks(exercise.clientCase, shownLooks(exercise, light, seed + 1)),
  };
}

/** The strand that hangs as a picture: of a region, by its number, under a light; undefined where there is none. */
export const shownLook = (exercise: PicturedCase, light: Light, region: number): TressLook | undefined =>
  shownLooks(exercise, light, seedFrom(exercise.id))[region];

/** Where the picture of a region under a light is to be had. */
export type PictureAt = (light: Light, region: number) => string;

/** A lock as a picture, with nothing of what it is drawn of. */
const asPicture = (look: TressLook, src: string): ShownHair => ({
  src,
  root: labToEyeGrain(zoneMeanLab(look.zones[0])),
  form: look.form,
});

/**
 * The hair of an exercise under every light. With `pictureAt` it hangs as pictures, else it is drawn from its looks. It
 * depends on nothing but the exercise, so a caller that shows it often may keep it.
 */
export function looksByLight(exercise: PicturedCase, pictureAt: PictureAt | null): Record<Light, Looks> {
  const hung = (light: Light): Looks => {
    const looks = looksOf(exercise, light);
    if (!pictureAt) return looks;
    const pictures = shownLooks(exercise, light, 0);
    return { ...looks, now: pictures.map((look, region) => asPicture(look, pictureAt(light, region))) };
  };
  return Object.fromEntries(LIGHTS.map((light) => [light, hung(light)])) as Record<Light, Looks>;
}

/** Which region bears most of the hair, by its number: what a head is known by in a list. */
export function mainRegion(head: Head): number {
  const shares = regionsOf(head).map((region) => hairShareOf(head, region));
  return shares.indexOf(Math.max(...shares));
}

/**
 * An exercise as a student gets it, with what `answer` has asked so far. Chosen field by field: what is not named here
 * (levels, grey, history, the model answer) cannot slip out. `lit` is its hair as `litOf` has it.
 */
export function exerciseForStudent(
  exercise: ExerciseWithAnswer,
  answer: RecordCard | null,
  lit: Record<Light, Looks>,
): StudentExercise {
  const { clientCase, modelAnswer, lines, houseRules, open, card } = exercise;
  const { length, form } = clientCase.head;
  const start = card ?? EMPTY_CARD;
  return {
    client: clientCase.client,
    looks: lit.daylight,
    lit,
    regions: visibleRegions(clientCase.head),
    hair: { length, form },
    wish: clientCase.wish,
    placements: clientCase.placements ?? [],
    melts: clientCase.melts ?? [],
    lines: onTheShelf(lines, clientCase),
    houseRules,
    underlayChoices: underlayChoices(houseRules),
    open,
    given: withGiven(start, modelAnswer.card, open),
    applications: timesWhatIsGiven(open) ? untimedApplications(modelAnswer.card.steps) : [],
    station: clientCase.station ?? false,
    quote: clientCase.quote ?? false,
    toCorrect: card !== null,
    reveals: revealsOf(clientCase, withGiven(answer ?? start, modelAnswer.card, open)),
  };
}
