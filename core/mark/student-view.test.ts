import type { RecordCard } from '../card';
import { SHIPPED_CASES } from '../cases';
import { type SetExercise, asSet, litOf, BENCH_STEPS, FORMULATE } from '../exercise';
import { gradingOf } from '../testing/solved';

const setOf = (id: string, open: SetExercise['open'] = [...BENCH_STEPS]): SetExercise => {
  const { solution, rules, lines } = gradingOf(id);
  return { id, clientCase: solution.visit, solution, lines: [...lines], houseRules: rules, open, card: null };
};

const shownOf = (exercise: SetExercise, answer: RecordCard | null = null) =>
  asSet(exercise, answer, litOf(exercise, null));

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
    const [one, other] = [shownOf(setOf('retouch-grey'), asked), shownOf(setOf('retouch-grey'))];
    expect(one.lit).toEqual(other.lit);
    expect(Object.keys(one.reveals)).toEqual(['reactions']);
  });

  it('gives what is not worked, and applications without their times where they are timed', () => {
    const { given, applications, reveals } = shownOf(setOf('golden-gloss', [...FORMULATE]));
    const { best } = gradingOf('golden-gloss').solution;
    expect([given.asked, given.wash]).toEqual([best.asked, best.wash]);
    expect(Object.keys(reveals).sort()).toEqual([...best.asked, ...best.tests].sort());
    expect(applications).toHaveLength(best.steps.length);
    expect(JSON.stringify(applications)).not.toMatch(/"(minutes|start)"/);
  });
});
