import { type RecordCard, EMPTY_CARD } from '../card';
import { type Ceilings, CEILINGS, DEFAULT_HOUSE_RULES } from '../rules';
import { jotted } from '../testing/card-shorthand';
import { gradingOf, solved } from '../testing/solved';
import { type EducatorRuling, NO_RULING, crucialByRuling } from './educator-ruling';
import { markCard, standardFor } from './mark-card';

const ID = 'hairline-grey';
const input = (change: Partial<EducatorRuling> = {}) => ({
  ...gradingOf(ID),
  ruling: { ...NO_RULING, ...change },
});
const plan = (words: string): RecordCard => ({ ...solved(ID).card, ...jotted(words, solved(ID).clientCase) });
const tenVol = plan(`A tarnwick 4:0 @10; B quillet 4-L
  A>regrowth 0-45 front; B>mids,ends 35-45`);
const demi = plan(`A quillet 4-L
  A>regrowth,mids,ends 0-20 front`);
const of100 = (judgement: Partial<EducatorRuling>, card: RecordCard) => {
  const { points, max } = markCard(input(judgement), card);
  return (100 * points) / max;
};

describe('the educator’s word on the marking', () => {
  const { crucial } = standardFor(gradingOf(ID));
  const developer = crucial.find(({ criteria }) => criteria.includes('developer'))!;

  it('strikes a decision: it costs its criterion still, and holds nothing down', () => {
    const { criteria, places, role } = developer;
    const struck = [{ criteria, places, role }];
    expect(crucialByRuling(crucial, { struck, added: [] })).toHaveLength(crucial.length - 1);
    const [before, after] = [of100({}, tenVol), of100({ struck }, tenVol)];
    expect(after).toBeGreaterThan(before);
    expect(after).toBeLessThan(100);
  });

  it('adds a decision, once: a fault there of half its criterion then holds the mark down', () => {
    const added = [{ criteria: ['timing' as const], places: ['regrowth'], role: null }];
    const early = {
      ...solved(ID).card,
      steps: solved(ID).card.steps.map((application) => ({
        ...application,
        minutes: Math.round(application.minutes / 2),
      })),
    };
    const without = crucialByRuling(crucial, { struck: [], added: [] }).filter(
      ({ criteria }) => !criteria.includes('timing'),
    );
    expect(crucialByRuling(without, { struck: [], added })).toHaveLength(without.length + 1);
    expect(
      crucialByRuling([...without, { ...added[0], faults: null, costs: 3 }], { struck: [], added }),
    ).toHaveLength(without.length + 1);
    expect(of100({ added }, early)).toBeLessThanOrEqual(of100({}, early));
    expect(markCard(input({ added }), early).crucial).toContainEqual(
      expect.objectContaining({ criteria: ['timing'], wrong: true }),
    );
  });

  it('marks the method only: the head holds nothing down, danger always does', () => {
    const grade = markCard(input({ ceilings: 'methodOnly' }), tenVol);
    expect(grade.points).toBe(grade.uncapped);
    expect(markCard(input(), tenVol).points).toBeLessThan(grade.points);
    const unasked = { ...tenVol, asked: [], tests: [] };
    expect(of100({ ceilings: 'methodOnly' }, unasked)).toBeLessThanOrEqual(50);
  });

  it('goes by the ceilings of the class: lower ones hold more down, and none hold a plan without a fault', () => {
    const by = (ceilings: Ceilings, card: RecordCard) =>
      markCard({ ...input(), rules: { ...DEFAULT_HOUSE_RULES, ceilings } }, card).points;
    const strict: Ceilings = {
      ...CEILINGS,
      near: [90, 20, 20, 20],
      weaker: [85, 20, 20, 20],
      noticeable: [75, 20, 20, 20],
    };
    const stricter: Ceilings = { ...strict, needsCorrection: [20, 20, 20, 20] };
    expect(by(stricter, tenVol)).toBe(20);
    expect(by(CEILINGS, tenVol)).toBeGreaterThan(20);
    expect(by(stricter, solved(ID).card)).toBe(by(CEILINGS, solved(ID).card));
  });

  it('takes another plan as right: it is full, its likes are marked against it, and nobody loses', () => {
    const accepted = [demi];
    expect(of100({}, demi)).toBeLessThan(75);
    expect(of100({ accepted }, demi)).toBe(100);
    expect(markCard(input({ accepted }), demi).asAccepted).toBe(true);
    expect(of100({ accepted }, solved(ID).card)).toBe(100);
    expect(markCard(input({ accepted }), solved(ID).card).asAccepted).toBeUndefined();
    for (const card of [tenVol, EMPTY_CARD, { ...demi, aftercare: [] }])
      expect(of100({ accepted }, card)).toBeGreaterThanOrEqual(of100({}, card));
    expect(of100({ accepted }, EMPTY_CARD)).toBe(0);
  });
});
