import { solved } from '../testing/solved';
import { carelessPlans } from '../testing/careless-plans';
import type * as solving from '../testing/solved';
import type * as marking from '.';
import type { Grade, MarkingInput } from '.';

/** What of a grade is a mark: points, ceilings, which decisions are wrong, which ways of thinking show. */
const markOf = ({ points, capPoints, uncapped, crucial, misconceptions, criteria }: Grade) => ({
  points,
  capPoints,
  uncapped,
  wrong: crucial?.map(({ wrong, faults }) => [wrong, faults]),
  misconceptions: misconceptions.map(({ name }) => name),
  shares: criteria.map(({ share }) => share),
});

/** Marks of careless plans for some heads, with the marking as it is loaded now. */
async function marks(): Promise<unknown[]> {
  const { markCard }: typeof marking = await import('.');
  const { gradingOf }: typeof solving = await import('../testing/solved');
  return ['retouch-grey', 'yellow-orange-to-neutral', 'dream-of-silver'].flatMap((id) => {
    const input: MarkingInput = gradingOf(id);
    return [...carelessPlans(solved(id).card)]
      .filter((_, i) => i % 5 === 0)
      .map(({ card }) => markOf(markCard(input, card)));
  });
}

describe('faults as marking reads them', () => {
  it('decide alone: with every message another, each mark is the same', async () => {
    const before = await marks();
    expect(before.length).toBeGreaterThan(60);
    jest.resetModules();
    jest.doMock('../reason', () => ({
      reason: (_code: string, rule: string | undefined, params = {}) => ({ code: 'renamed', params, rule }),
    }));
    expect(await marks()).toEqual(before);
  }, 60_000);
});
