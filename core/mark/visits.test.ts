import { presentLevel } from '../case';
import { shippedCase } from '../cases';
import { BENCH_STEPS } from '../exercise';
import { SHIPPED_LINES } from '../product';
import { DEFAULT_HOUSE_RULES } from '../rules';
import { caseOfVisit, solveCase } from '../solve';
import { solved } from '../testing/solved';
import { defaultRubric } from './default-rubric';
import { markCard } from './mark-card';

describe.each(['dream-of-silver', 'layers-of-black'])('the visits of %s', (id) => {
  const { clientCase } = shippedCase(id)!;
  const modelAnswer = solved(id);

  it('begin with the head as it comes in and end with the wish, weeks apart, each further than the one before', () => {
    const { visits } = modelAnswer;
    expect(visits.length).toBeGreaterThan(1);
    expect(visits[0].head).toEqual(clientCase.head);
    expect(visits.at(-1)!.wish).toEqual(clientCase.wish);
    expect(visits.map(({ afterWeeks }) => afterWeeks > 0)).toEqual(visits.map((_, i) => i > 0));
    const lightest = visits.map(({ head }) => Math.max(...head!.zones.map(presentLevel)));
    lightest.forEach((level, i) => expect(level).toBeGreaterThanOrEqual(lightest[Math.max(0, i - 1)] - 0.5));
    expect(visits[0].card!.bowls).toEqual(modelAnswer.card.bowls);
  });

  it('are cases of their own: each is solved in one visit, and its answer earns everything', () => {
    modelAnswer.visits.forEach((_, at) => {
      const visit = caseOfVisit(modelAnswer, at)!;
      const solveResult = solveCase(visit, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
      if (!solveResult.ok) throw new Error(JSON.stringify(solveResult.reasons));
      expect(solveResult.modelAnswer.visits).toHaveLength(1);
      const rubric = defaultRubric(solveResult.modelAnswer, visit);
      const input = {
        modelAnswer: solveResult.modelAnswer,
        rules: DEFAULT_HOUSE_RULES,
        rubric,
        lines: SHIPPED_LINES,
        open: BENCH_STEPS,
      };
      const grade = markCard(input, solveResult.modelAnswer.card);
      expect(grade.points).toBe(grade.max);
    });
  });

  it('are not told by an answer of before', () => {
    const older = {
      ...modelAnswer,
      visits: modelAnswer.visits.map(({ head: _, card: _p, ...rest }) => rest),
    };
    expect(caseOfVisit(older, 0)).toBeNull();
    expect(caseOfVisit(modelAnswer, 99)).toBeNull();
  });
});
