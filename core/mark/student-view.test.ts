import type { RecordCard } from '../card';
import { SHIPPED_CASES } from '../cases';
import {
  type ExerciseWithAnswer,
  exerciseForStudent,
  looksByLight,
  BENCH_STEPS,
  FORMULATE,
} from '../exercise';
import { gradingOf } from '../testing/solved';

const setOf = (id: string, open: ExerciseWithAnswer['open'] = [...BENCH_STEPS]): ExerciseWithAnswer => {
  const { modelAnswer, rules, lines } = gradingOf(id);
  return {
    id,
    clientCase: modelAnswer.clientCase,
    modelAnswer,
    lines: [...lines],
    houseRules: rules,
    open,
    card: null,
  };
};

const shownOf = (exercise: ExerciseWithAnswer, answer: RecordCard | null = null) =>
  exerciseForStudent(exercise, answer, looksByLight(exercise, null));

describe('an exercise as a student gets it', () => {
  it('holds the looks, and no figure of any head, its history or the plan', () => {
    for (const { id } of SHIPPED_CASES) {
      const shown = shownOf(setOf(id));
      const text = JSON.stringify({ ...shown, lines: [], houseRules: {}, underlayChoices: [] });
      expect(text).not.toMatch(/"(natural|history|damage|porosity|facts|best|proof|told)"/);
      expect(shown.reveals).toEqual({});
      expect(shown.given.bowls).toEqual([]);
    }
  });

  it('looks the same each time, and tells only what was asked', () => {
    const asked = { ...shownOf(setOf('retouch-grey')).given, asked: ['reactions' as const] };
    const [studentExercise, other] = [shownOf(setOf('retouch-grey'), asked), shownOf(setOf('retouch-grey'))];
    expect(studentExercise.lit).toEqual(other.lit);
    expect(Object.keys(studentExercise.reveals)).toEqual(['reactions']);
  });

  it('gives what is not worked, and applications without their times where they are timed', () => {
    const { given, applications, reveals } = shownOf(setOf('golden-gloss', [...FORMULATE]));
    const { card } = gradingOf('golden-gloss').modelAnswer;
    expect([given.asked, given.wash]).toEqual([card.asked, card.wash]);
    expect(Object.keys(reveals).sort()).toEqual([...card.asked, ...card.tests].sort());
    expect(applications).toHaveLength(card.steps.length);
    expect(JSON.stringify(applications)).not.toMatch(/"(minutes|start)"/);
  });
});
