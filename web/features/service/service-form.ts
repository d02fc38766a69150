import type { Release } from '@cimbel/contract';
import { shippedCase } from '@cimbel/core/cases';
import {
  BENCH_STEPS,
  type BenchStep,
  type ServiceMisconception,
  type ServiceRubric,
} from '@cimbel/core/grade';
import type { ServiceCase } from '@cimbel/core/plan';
import { addDays, format, setHours, startOfHour } from 'date-fns';

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** What is being set, as it stands in the form. */
export interface Form {
  caseId: string;
  kase: ServiceCase;
  title: string;
  open: BenchStep[];
  /** A card to be put right, with this slip on it; null where the card starts empty. */
  slip: ServiceMisconception | null;
  /** Null while the points follow what the case asks. */
  rubric: ServiceRubric | null;
  due: string;
  release: Release;
}

export const fresh = (caseId: string): Form => {
  const { kase } = shippedCase(caseId)!;
  return {
    caseId,
    kase,
    title: kase.title,
    open: [...BENCH_STEPS],
    slip: null,
    rubric: null,
    due: format(setHours(startOfHour(addDays(new Date(), 7)), 18), LOCAL),
    release: 'onDue',
  };
};

/** Ready-made sets of steps: all of it, and short exercises of a few minutes. */
export const SETS: Record<string, BenchStep[]> = {
  whole: [...BENCH_STEPS],
  readAndMix: ['read', 'mix'],
  mixOnly: ['mix'],
  applyOnly: ['apply'],
  developerOnly: ['developer'],
};
export const CARD = 'correctCard';
export const setOf = ({ open, slip }: Pick<Form, 'open' | 'slip'>) =>
  slip ? CARD : (Object.keys(SETS).find((name) => SETS[name].join() === [...open].join()) ?? null);
