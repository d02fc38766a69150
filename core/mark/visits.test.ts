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
  const solution = solved(id);

  it('begin with the head as it comes in and end with the wish, weeks apart, each further than the one before', () => {
    const { visits } = solution;
    expect(visits.length).toBeGreaterThan(1);
    expect(visits[0].head).toEqual(clientCase.head);
    expect(visits.at(-1)!.wish).toEqual(clientCase.wish);
    expect(visits.map(({ afterWeeks }) => afterWeeks > 0)).toEqual(visits.map((_, i) => i > 0));
    const lightest = visits.map(({ head }) => Math.max(...head!.zones.map(presentLevel)));
    lightest.forEach((level, i) => expect(level).toBeGreaterThanOrEqual(lightest[Math.max(0, i - 1)] - 0.5));
    expect(visits[0].plan!.bowls).toEqual(solution.best.bowls);
  });

  it('are cases of their own: each is solved in one visit, and its answer earns everything', () => {
    solution.visits.forEach((_, at) => {
      const visit = caseOfVisit(solution, at)!;
      const found = solveCase(visit, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
      if (!found.ok) throw new Error(JSON.stringify(found.reasons));
      expect(found.solution.visits).toHaveLength(1);
      const rubric = defaultRubric(found.solution, visit);
      const input = {
        solution: found.solution,
        rules: DEFAULT_HOUSE_RULES,
        rubric,
        lines: SHIPPED_LINES,
        open: BENCH_STEPS,
      };
      const grade = markCard(input, found.solution.best);
      expect(grade.points).toBe(grade.max);
    });
  });

  it('are not told by an answer of before', () => {
    const older = { ...solution, visits: solution.visits.map(({ head: _, plan: _p, ...rest }) => rest) };
    expect(caseOfVisit(older, 0)).toBeNull();
    expect(caseOfVisit(solution, 99)).toBeNull();
  });
});
