import { gradingOf } from '../testing/solved';
import { LEAST_ANSWERS, itemStatistics, type ExerciseItem } from './item-statistics';
import { markCard, type Grade } from './mark-card';

const input = gradingOf('retouch-grey');
const full = markCard(input, input.modelAnswer.card);
/** The grade of a right card with some criteria at other shares, and some decisions wrong. */
const withShares = (shares: Partial<Record<string, number>>, wrong: readonly number[] = []): Grade => ({
  ...full,
  criteria: full.criteria.map((mark) => ({ ...mark, points: mark.max * (shares[mark.criterion] ?? 1) })),
  crucial: full.crucial!.map((mark, i) => ({ ...mark, wrong: wrong.includes(i) })),
});
const nameOf = (item: ExerciseItem) => (item.kind === 'criterion' ? item.criterion : 'decision');
const of = (grades: readonly Grade[], criterion: string) =>
  itemStatistics(grades).find(({ item }) => nameOf(item) === criterion)!;

describe('statistics of an exercise', () => {
  it('agree with figures worked by hand', () => {
    const max = (criterion: string) => full.criteria.find((mark) => mark.criterion === criterion)!.max;
    const grades = [1, 1, 1, 1, 0, 0, 0, 0].map((tone, i) =>
      withShares({ tone, developer: [1, 1, 1, 0, 1, 0, 0, 0][i] }),
    );
    const tone = of(grades, 'tone');
    expect(tone).toMatchObject({ difficulty: 0.5, answers: 8, flag: null });
    // Pearson of 1 1 1 1 0 0 0 0 with 1 1 1 0 1 0 0 0, whatever the points: covariance 1/8, variances 1/4.
    expect(tone.discrimination).toBeCloseTo(0.5);
    expect(of(grades, 'route')).toMatchObject({ difficulty: 1, discrimination: null, flag: 'everybody' });
    expect(max('tone')).toBeGreaterThan(0);
  });

  it('flag what the strong lose and the weak do not, and what hardly anybody has', () => {
    const grades = Array.from({ length: 10 }, (_, i) =>
      withShares({
        tone: i < 5 ? 0 : 1,
        developer: i < 5 ? 1 : 0,
        route: i < 5 ? 1 : 0.2,
        depth: i === 0 ? 1 : 0,
      }),
    );
    expect(of(grades, 'tone')).toMatchObject({ flag: 'strongLose', difficulty: 0.5 });
    expect(of(grades, 'tone').discrimination).toBeLessThan(-0.9);
    expect(of(grades, 'depth').flag).toBe('hardlyAnybody');
  });

  it('take for chance what is only a little the wrong way round, and less so the more answers there are', () => {
    // −0.2 over ten answers, and over a hundred.
    const pattern = [1, 1, 1, 0, 0, 1, 1, 1, 0, 0];
    const rest = [1, 0, 1, 1, 0, 0, 1, 0, 1, 1];
    const grades = (times: number) =>
      Array.from({ length: 10 * times }, (_, i) =>
        withShares({ tone: pattern[i % 10], route: rest[i % 10] }),
      );
    const [few, many] = [of(grades(1), 'tone'), of(grades(10), 'tone')];
    expect(few.discrimination).toBeCloseTo(many.discrimination!);
    expect(few.discrimination).toBeLessThan(-0.15);
    expect(few.flag).toBeNull();
    expect(many.flag).toBe('strongLose');
  });

  it('say nothing of strong and weak before there are enough answers', () => {
    const grades = Array.from({ length: LEAST_ANSWERS - 1 }, (_, i) => withShares({ tone: i % 2 }));
    expect(
      itemStatistics(grades).every(({ discrimination, flag }) => discrimination === null && flag === null),
    ).toBe(true);
    expect(itemStatistics([])).toEqual([]);
  });

  it('count decisions beside their own criteria, the dearest first', () => {
    const grades = Array.from({ length: 10 }, (_, i) =>
      withShares({ route: i < 5 ? 0.2 : 1 }, i < 5 ? [0] : []),
    );
    const decisions = itemStatistics(grades).filter(({ item }) => item.kind === 'decision');
    expect(decisions).toHaveLength(full.crucial!.length);
    const costs = decisions.map(({ item }) => (item.kind === 'decision' ? item.decision.costs : 0));
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    const first = decisions.find(
      ({ item }) =>
        item.kind === 'decision' && item.decision.criteria.join() === full.crucial![0].criteria.join(),
    )!;
    expect(first.difficulty).toBe(0.5);
  });

  it('are those of the decisions of a class, whichever variant each has', () => {
    const other = gradingOf('half-grey-gold');
    const mixed = [full, markCard(other, other.modelAnswer.card)];
    const counted = itemStatistics(mixed).filter(({ item }) => item.kind === 'criterion');
    expect(Math.max(...counted.map(({ answers }) => answers))).toBe(2);
  });
});
