import type { ClientCase } from '../case';
import { shippedCase } from '../cases';
import { SHIPPED_LINES } from '../product';
import { DEFAULT_HOUSE_RULES } from '../rules';
import { solveCase } from '../solve';
import { defaultRubric, markCard } from '.';

const withRhythm = (id: string, upkeepWeeks: number): ClientCase => {
  const { clientCase } = shippedCase(id)!;
  return { ...clientCase, facts: { ...clientCase.facts, upkeepWeeks } };
};
function answerTo(clientCase: ClientCase) {
  const solved = solveCase(clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
  if (!solved.ok) throw new Error('no answer');
  return solved.modelAnswer;
}
/** Weeks of 1 to 26 at which a next date loses nothing. */
function rightDates(clientCase: ClientCase): number[] {
  const modelAnswer = answerTo(clientCase);
  const rubric = defaultRubric(modelAnswer, clientCase);
  return Array.from({ length: 26 }, (_, i) => i + 1).filter((nextVisitWeeks) => {
    const grade = markCard(
      { modelAnswer, lines: [...SHIPPED_LINES], rules: DEFAULT_HOUSE_RULES, rubric, open: ['finish'] },
      { ...modelAnswer.card, nextVisitWeeks },
    );
    const mark = grade.criteria.find(({ criterion }) => criterion === 'aftercare')!;
    return mark.points === mark.max;
  });
}
const weeks = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('the next appointment', () => {
  it.each([
    [2, 4],
    [3, 3],
    [5, 5],
    [6, 6],
    [10, 10],
  ])('of white over brown, by a client who comes every %i weeks, is in %i (A5)', (every, booked) => {
    expect(answerTo(withRhythm('retouch-grey', every)).card.nextVisitWeeks).toBe(booked);
  });
  it('is at the client’s own time where nothing shows, and four weeks on where another visit follows (C4)', () => {
    expect(answerTo(withRhythm('all-white-pearl', 9)).card.nextVisitWeeks).toBe(9);
    const silver = answerTo(withRhythm('dream-of-silver', 12));
    expect(silver.card.nextVisitWeeks).toBe(4);
    expect(silver.visits.map(({ card }) => card!.nextVisitWeeks)).toEqual([4, 12]);
  });
  it('is right two weeks either side, and never too soon from four weeks on where the hair is home', () => {
    expect(rightDates(withRhythm('retouch-grey', 6))).toEqual(weeks(4, 8));
    expect(rightDates(withRhythm('retouch-grey', 4))).toEqual(weeks(2, 6));
    expect(rightDates(withRhythm('all-white-pearl', 12))).toEqual(weeks(4, 14));
    expect(rightDates(withRhythm('dream-of-silver', 6))).toEqual(weeks(2, 6));
  });
});
