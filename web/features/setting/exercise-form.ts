import type { Exercise, ExerciseContent, SetAs, ShippedCaseTold } from '@cimbel/contract';
import { NO_RULING, type EducatorRuling, type Misconception } from '@cimbel/core/mark';
import { type Rubric, BENCH_STEPS, FORMULATE, type BenchStep } from '@cimbel/core/exercise';
import type { ClientCase } from '@cimbel/core/case';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { freshTerms, type TermsForm } from '../assigning/terms-form';

/** What is being set, as it stands in the form. */
export interface ExerciseForm {
  /** Where it began. */
  caseId: string;
  /** The educator's own exercise that is being changed; null where a new one is made. */
  own: string | null;
  clientCase: ClientCase;
  title: string;
  open: BenchStep[];
  /** A card to be put right, with this slip on it; null where the card starts empty. */
  slip: Misconception | null;
  /** Null while the points follow what the case asks. */
  rubric: Rubric | null;
  /** The educator's word on the marking beside the points. */
  judgement: EducatorRuling;
  /** By what it is found again in the library. */
  tags: string[];
  terms: TermsForm;
  /** In which figures it is set. */
  setAs: SetAs;
}

/** Where an exercise begins that is made from nothing. */
export const EMPTY_HEAD = 'emptyHead';
const emptyHead = (): ClientCase => ({
  title: '',
  difficulty: 1,
  client: { name: '', note: '' },
  head: {
    zones: [
      {
        zone: 'mids',
        lengthCm: 25,
        naturalLevel: 5,
        greyShare: 0,
        porosity: 'normal',
        history: [],
        damage: 0,
      },
    ],
    diameter: 'medium',
    density: 'medium',
    length: 'shoulderAllOver',
    form: 'straight',
  },
  facts: {
    reaction: false,
    scalp: 'sound',
    metallicSalts: false,
    weeksSinceColour: null,
    upkeepWeeks: 6,
  },
  wish: {},
  lineIds: SHIPPED_LINES.filter(({ kind }) => kind === 'permanent').map(({ id }) => id),
});

/** A form that begins with a shipped case, or with an empty head where none is given. */
export const fresh = (shipped?: Pick<ShippedCaseTold, 'id' | 'clientCase' | 'open'>): ExerciseForm => {
  const clientCase = shipped?.clientCase ?? emptyHead();
  const open = shipped?.open ?? BENCH_STEPS;
  return {
    caseId: shipped?.id ?? EMPTY_HEAD,
    own: null,
    clientCase,
    title: clientCase.title,
    open: [...open],
    slip: null,
    rubric: null,
    judgement: NO_RULING,
    tags: [],
    terms: freshTerms(),
    // Figures of a case that ships are no secret.
    setAs: shipped ? 'shared' : 'asWritten',
  };
};

/** What an exercise, a draft or one that is set, fills the form with. */
export const ofExercise = ({
  title,
  clientCase,
  open,
  slip,
  rubric,
  judgement,
}: ExerciseContent): Partial<ExerciseForm> => ({
  title,
  clientCase,
  open,
  slip,
  rubric,
  judgement,
});

/** A new exercise that begins as another is, under a title of its own. */
export const copyOf = (exercise: Exercise, title: string): Partial<ExerciseForm> => ({
  ...ofExercise(exercise),
  tags: exercise.tags,
  title: title.slice(0, 120),
});

/** An exercise of the library, to be changed or assigned. */
export const ofLibrary = (exercise: Exercise): Partial<ExerciseForm> => ({
  ...ofExercise(exercise),
  tags: exercise.tags,
  caseId: `own:${exercise.id}`,
  own: exercise.id,
});

/** A plan that is given, its price, its time and its next date. */
export const QUOTE = 'quoteOnly';
/** Ready-made sets of steps: all of it, and short exercises of a few minutes. */
export const SETS: Record<string, BenchStep[]> = {
  whole: [...BENCH_STEPS],
  readOnly: ['read'],
  mixOnly: ['mix'],
  formulate: [...FORMULATE],
  applyOnly: ['apply', 'process'],
  developerOnly: ['developer'],
  [QUOTE]: ['finish'],
};
export const CARD = 'correctCard';
export const setOf = ({ open, slip }: Pick<ExerciseForm, 'open' | 'slip'>) =>
  slip ? CARD : (Object.keys(SETS).find((name) => SETS[name].join() === [...open].join()) ?? null);
