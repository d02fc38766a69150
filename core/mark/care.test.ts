import { type RecordCard, complete } from '../card';
import { levelOfStrand } from '../hair';
import { simulateCard } from '../simulate';
import { solved, gradingOf } from '../testing/solved';
import { markCard } from './mark-card';

const orderOf = (id: string, change: (modelCard: RecordCard) => Partial<RecordCard>) => {
  const { card } = solved(id);
  const grade = markCard(gradingOf(id), { ...card, ...change(card) });
  return {
    share: grade.criteria.find(({ criterion }) => criterion === 'order')!.share,
    points: (100 * grade.points) / grade.max,
    codes: grade.criteria.flatMap(({ findings }) => findings.map(({ code }) => code)),
  };
};

describe('the joint of new growth and lightened lengths', () => {
  it('lies under cream while the root is lightened; left bare it costs, and foil keeps it off as well (C5)', () => {
    const { card } = solved('four-centimetres-grown');
    expect(card.care).toContainEqual(expect.objectContaining({ do: 'protect', zones: ['mids'] }));
    expect(orderOf('four-centimetres-grown', () => ({})).codes).toContain('mark.order.protected');
    const bare = orderOf('four-centimetres-grown', ({ care }) => ({
      care: care.filter((one) => one.do !== 'protect'),
    }));
    expect(bare.codes).toContain('mark.order.unprotected');
    expect(bare.share).toBeCloseTo(0.4);
    const inFoil = orderOf('four-centimetres-grown', ({ steps }) => ({
      care: [],
      steps: steps.map((application) => ({ ...application, placement: 'foils' as const })),
    }));
    expect(inFoil.codes).not.toContain('mark.order.unprotected');
  });

  it('is protected only by what is there when the lightener goes on', () => {
    const late = orderOf('four-centimetres-grown', ({ care }) => ({
      care: care.map((care) => ({ ...care, start: care.start + 30 })),
    }));
    expect(late.codes).toContain('mark.order.unprotected');
  });

  it('does not keep product off the lengths when it is put on them', () => {
    const { card: best, clientCase } = solved('four-centimetres-grown');
    const { lines } = gradingOf('four-centimetres-grown');
    const lineOf = (id: string) => lines.find((line) => line.id === id);
    const over: RecordCard = {
      ...best,
      steps: best.steps.map((application) => ({ ...application, zones: ['regrowth', 'mids'] })),
    };
    const mids = (card: RecordCard, minute: number) =>
      levelOfStrand(simulateCard(clientCase, complete(card), lineOf).outcomeAt(minute).at(-1)!.strand);
    const end = best.steps[0].start + best.steps[0].minutes;
    const before = mids(best, 0);
    // Cream spares the joint and not the lengths below it (H53).
    expect(mids({ ...over, care: [] }, end) - before).toBeCloseTo(mids(over, end) - before, 6);
  });
});

describe('what lifted or removed', () => {
  it.each(['short-and-pale', 'dark-band'])(
    'is washed out before the next bowl; only rinsed it costs little, and is said (R5) – %s',
    (id) => {
      const washed = orderOf(id, () => ({}));
      expect(washed.codes).toContain('mark.order.washedOut');
      expect(washed.points).toBe(100);
      const rinsed = orderOf(id, () => ({ care: [] }));
      expect(rinsed.codes).toContain('mark.order.notWashedOut');
      expect(rinsed.share).toBeCloseTo(0.8);
      expect(rinsed.points).toBeLessThan(100);
      expect(rinsed.points).toBeGreaterThan(97);
    },
  );

  it('is not washed out by a wash on other hair, nor after the next bowl is on', () => {
    const [elsewhere, late] = [
      orderOf('first-blonde', ({ care }) => ({
        care: care.map((one) => ({ ...one, zones: ['regrowth'] }) as typeof one),
      })),
      orderOf('first-blonde', ({ care }) => ({
        care: care.map((one) => ({ ...one, start: one.start + 30 })),
      })),
    ];
    for (const { codes } of [elsewhere, late]) expect(codes).toContain('mark.order.notWashedOut');
  });
});

describe('a melt', () => {
  it('is asked for where two colours meet; left hard a client would notice', () => {
    const { card } = solved('shadowed-root');
    expect(card.care).toEqual([expect.objectContaining({ do: 'melt', zones: ['regrowth', 'mids'] })]);
    const hard = orderOf('shadowed-root', () => ({ care: [] }));
    expect(hard.codes).toContain('mark.order.meltLeftHard');
    expect(hard.points).toBeLessThanOrEqual(75);
    expect(hard.points).toBeGreaterThanOrEqual(70);
    expect(orderOf('shadowed-root', () => ({})).points).toBe(100);
  });
});
