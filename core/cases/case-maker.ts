import type { Target, ClientCase } from '../case';
import type { ToneFamily, Tone } from '../colour';
import type { BenchStep } from '../exercise';
import type { HistoryLayer, Porosity, PlaceId, ZoneOfHead } from '../hair';
import type { HouseRules } from '../rules';

export const toneNamed = (primary: ToneFamily, secondary?: ToneFamily): Tone =>
  secondary ? { primary, secondary } : { primary };
export const to = (level: number, primary: ToneFamily, secondary?: ToneFamily): Target => ({
  level,
  tone: toneNamed(primary, secondary),
});

export const dyed = (level: number, primary: ToneFamily, faded = 0): HistoryLayer[] => [
  { kind: 'permanent', level, tone: toneNamed(primary), faded },
];
export const lightened = (level: number): HistoryLayer[] => [{ kind: 'lightened', level }];

interface ZoneWords {
  cm: number;
  natural: number;
  grey?: number;
  porosity?: Porosity;
  history?: HistoryLayer[];
  damage?: number;
  moisture?: number;
  resistant?: boolean;
}

/** A zone in few words: what is not said is plain, sound and untouched. */
export const zone = (name: PlaceId, words: ZoneWords): ZoneOfHead => ({
  zone: name,
  lengthCm: words.cm,
  naturalLevel: words.natural,
  greyShare: words.grey ?? 0,
  porosity: words.porosity ?? 'normal',
  history: words.history ?? [],
  damage: words.damage ?? 0,
  ...(words.moisture === undefined ? {} : { moisture: words.moisture }),
  ...(words.resistant ? { resistant: true } : {}),
});

type Words = Pick<ClientCase, 'title' | 'difficulty' | 'client' | 'wish' | 'lineIds'> & {
  zones: ZoneOfHead[];
  head?: Partial<Omit<ClientCase['head'], 'zones'>>;
  facts?: Partial<ClientCase['facts']>;
  placements?: ClientCase['placements'];
  melts?: ClientCase['melts'];
  shelf?: ClientCase['shelf'];
  station?: boolean;
  quote?: boolean;
};

/** A case in few words. */
export const makeCase = ({ zones, head, facts, ...rest }: Words): ClientCase => ({
  ...rest,
  head: {
    zones,
    diameter: 'medium',
    density: 'medium',
    length: 'shoulderAllOver',
    form: 'straight',
    ...head,
  },
  facts: {
    reaction: false,
    scalp: 'sound',
    metallicSalts: false,
    weeksSinceColour: null,
    upkeepWeeks: 6,
    ...facts,
  },
});

export interface ShippedCase {
  /** Id that packs and adopted exercises keep it by. */
  id: string;
  /** The case as it is shipped. */
  clientCase: ClientCase;
  /** Steps that are worked unless the educator says otherwise; all of them when left out. */
  open?: readonly BenchStep[];
  /** House rules it was made for, where those of most classes would not do: a scale of twelve. */
  house?: Partial<HouseRules>;
}
