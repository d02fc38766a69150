import { type RecordCard, EMPTY_CARD } from '../card';
import {
  type BenchStep,
  BENCH_STEPS,
  OPEN_STEPS,
  withGiven,
  isOpenIn,
  CRITERIA,
  cardRubric,
  rubricSchema,
} from '../exercise';
import { solved, gradingOf } from '../testing/solved';
import { defaultRubric } from './default-rubric';
import { markCard } from './mark-card';

const id = 'first-blonde';
const best = (): RecordCard => solved(id).card;
const marked = (open: readonly BenchStep[], card: RecordCard) => {
  const { modelAnswer, ...input } = gradingOf(id);
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase, open);
  return markCard({ ...input, modelAnswer, rubric, open }, card);
};

describe('what an exercise gives', () => {
  it('is everything of the steps that are closed, and nothing of those that are open', () => {
    const fields: Record<Exclude<BenchStep, 'developer'>, (keyof RecordCard)[]> = {
      consult: ['asked', 'tests', 'decision', 'visits'],
      read: ['readings'],
      mix: ['bowls'],
      apply: ['wash'],
      process: ['steps'],
      finish: ['aftercare', 'nextVisitWeeks'],
    };
    for (const step of BENCH_STEPS) {
      const given = withGiven(EMPTY_CARD, best(), [step]);
      for (const other of BENCH_STEPS)
        for (const field of fields[other]) {
          // Of what is applied nothing is there while either its place or its time is the student's.
          const open = other === step || (field === 'steps' && step === 'apply');
          expect({ step, field, given: given[field] }).toEqual({
            step,
            field,
            given: open ? EMPTY_CARD[field] : best()[field],
          });
        }
    }
  });

  it('leaves the developer out of bowls that are mixed otherwise', () => {
    const { bowls } = withGiven(EMPTY_CARD, best(), ['developer']);
    expect(bowls.map(({ shades }) => shades)).toEqual(best().bowls.map(({ shades }) => shades));
    expect(bowls.flatMap(({ developer }) => developer)).toEqual([]);
  });

  it('times what the student applies, or is timed by the student', () => {
    const slow = best().steps.map((application) => ({
      ...application,
      minutes: application.minutes + 9,
      checkEvery: null,
    }));
    const applied = withGiven({ ...EMPTY_CARD, steps: slow }, best(), ['apply']);
    expect(applied.steps.map(({ minutes }) => minutes)).toEqual(best().steps.map(({ minutes }) => minutes));
    const timed = withGiven({ ...EMPTY_CARD, steps: slow }, best(), ['process']);
    expect(timed.steps.map(({ minutes }) => minutes)).toEqual(slow.map(({ minutes }) => minutes));
    const elsewhere = slow.map((step) => ({ ...step, areas: [...step.areas].reverse() }));
    expect(withGiven({ ...EMPTY_CARD, steps: elsewhere }, best(), ['process']).steps).toEqual(timed.steps);
  });
});

describe('marks of a short exercise', () => {
  it('are whole for the computed answer, whichever step is worked', () => {
    for (const step of OPEN_STEPS) {
      const { points, max } = marked([step], best());
      expect({ step, points }).toEqual({ step, points: max });
      expect(max).toBeGreaterThan(0);
    }
  });

  it('are of the open steps alone, every criterion in one of them', () => {
    for (const step of OPEN_STEPS)
      for (const { criterion } of marked([step], best()).criteria)
        expect(isOpenIn([step], criterion)).toBe(true);
    for (const criterion of CRITERIA)
      expect(BENCH_STEPS.filter((step) => isOpenIn([step], criterion))).toHaveLength(1);
  });

  it('fall for hair left on too short and never checked, and for nothing but that', () => {
    const hasty = best().steps.map((application) => ({ ...application, minutes: 4, checkEvery: null }));
    const { criteria } = marked(['process'], { ...EMPTY_CARD, steps: hasty });
    expect(criteria.map(({ criterion }) => criterion)).toEqual(['timing']);
    expect(criteria[0].points).toBeLessThan(criteria[0].max / 2);
    expect(marked(['process'], EMPTY_CARD).points).toBe(0);
  });

  it('of a card that is put right are for what its slip costs', () => {
    const { criteria } = marked(BENCH_STEPS, best());
    const cost = criteria.map((mark) => ({ ...mark, share: mark.criterion === 'timing' ? 0.5 : 1 }));
    expect(Object.keys(cardRubric({ criteria: cost }))).toEqual(['timing']);
    expect(cardRubric({ criteria: cost }, ['mix'])).toEqual({});
  });
});

describe('points of a criterion', () => {
  it('are halves from 0 to 100, and not all of them nothing', () => {
    const holds = (rubric: object) => rubricSchema.safeParse(rubric).success;
    expect([0.5, 12, 100].map((depth) => holds({ depth }))).toEqual([true, true, true]);
    expect([0.25, 0.75, -0.5, 100.5].map((depth) => holds({ depth }))).toEqual([false, false, false, false]);
    expect(holds({ depth: 0, tone: 0 })).toBe(false);
    expect(holds({ depth: 0, tone: 0.5 })).toBe(true);
    expect(holds({})).toBe(false);
  });
});
