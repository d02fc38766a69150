import type { RecordCard } from '../card';
import type { Criterion } from '../exercise';
import { gradingOf } from '../testing/solved';
import { type Grade, markCard } from './mark-card';

const input = gradingOf('retouch-grey');
const { card: best } = input.modelAnswer;
const of = ({ criteria }: Grade, criterion: Criterion) =>
  criteria.find((mark) => mark.criterion === criterion)!;

describe('a bowl that was mixed and never put on', () => {
  const idle: RecordCard = { ...best, steps: [] };

  it('is marked as it was mixed, and not as if nothing had been', () => {
    const grade = markCard(input, idle);
    for (const criterion of ['depth', 'tone', 'developer', 'ratio'] as const)
      expect({ criterion, share: of(grade, criterion).share }).toEqual({ criterion, share: 1 });
    const said = of(grade, 'amount').findings.map(({ code }) => code);
    expect(said).toContain('mark.amount.unused');
    expect(said).not.toContain('mark.amount.open');
    expect(of(grade, 'amount').share).toBeGreaterThan(0.3);
    expect(of(grade, 'amount').share).toBeLessThan(1);
    for (const criterion of ['route', 'order', 'timing'] as const)
      expect({ criterion, share: of(grade, criterion).share }).toEqual({ criterion, share: 0 });
  });

  it('is marked down as it was mixed, too', () => {
    const strong = markCard(input, {
      ...idle,
      bowls: idle.bowls.map((bowl) => ({
        ...bowl,
        developer: bowl.developer.map((part) => ({ ...part, vol: 40 })),
      })),
    });
    expect(of(strong, 'developer').share).toBeLessThan(0.6);
    expect(of(strong, 'tone').share).toBe(1);
  });

  it('leaves a head on which nothing was done, and every decision about it wrong', () => {
    const grade = markCard(input, idle);
    expect((100 * grade.points) / grade.max).toBeLessThanOrEqual(55);
    expect(grade.places.some(({ down = 0 }) => down >= 2)).toBe(true);
    expect(
      grade.crucial!.filter(({ criteria }) => criteria.includes('route')).every(({ wrong }) => wrong),
    ).toBe(true);
  });
});

describe('a toner that was mixed and left in its bowl', () => {
  it.each(['short-and-pale', 'woven-light', 'layers-of-black'])(
    'is right as mixed, and the route is not done: a heavy fault – %s',
    (id) => {
      const toned = gradingOf(id);
      const { card } = toned.modelAnswer;
      const last = card.steps.at(-1)!.bowl;
      const grade = markCard(toned, { ...card, steps: card.steps.filter(({ bowl }) => bowl !== last) });
      expect(of(grade, 'depth').share).toBe(1);
      expect(of(grade, 'route').share).toBeLessThanOrEqual(0.4);
      expect(of(grade, 'route').findings.map(({ code }) => code)).toContain('mark.route.unfinished');
      expect((100 * grade.points) / grade.max).toBeLessThanOrEqual(85);
    },
  );
});

describe('a field that was left open', () => {
  it('is said to be open, and never quoted as nought', () => {
    const readings = Object.fromEntries(
      Object.entries(best.readings).map(([place, reading]) => [place, { ...reading, greyShare: null }]),
    );
    const said = of(markCard(input, { ...best, readings }), 'reading').findings.map(({ code }) => code);
    expect(said).toContain('mark.grey.open');
    expect(said).not.toContain('mark.grey.off');
  });
});
