import { EMPTY_CARD } from '../card';
import { makeCase, zone } from '../cases';
import { levelOfPigmented } from '../hair';
import { shippedLine } from '../product';
import { jotted } from '../testing/card-shorthand';
import { complete } from '../card';
import { simulateCard } from './simulate';

const lightened = [{ kind: 'lightened' as const, level: 8 }];

/** How far powder lifts the second zone of a head when cream lies on it, levels, by how long that zone is and its history. */
function liftUnderCream(cm: number, worked: boolean, cream = true): number {
  const clientCase = makeCase({
    title: 'A joint',
    difficulty: 1,
    client: { name: 'Nobody', note: '' },
    zones: [
      zone('regrowth', { cm: 2, natural: 5 }),
      zone('mids', { cm, natural: 5, history: worked ? lightened : [] }),
    ],
    wish: { regrowth: { level: 8, tone: { primary: 'neutral' } } },
    lineIds: ['calder'],
  });
  const card = complete({
    ...EMPTY_CARD,
    decision: 'goOn',
    ...jotted('A calder @20\nA>regrowth,mids 0-20 over', clientCase),
    care: cream ? [{ do: 'protect' as const, zones: ['mids' as const], start: 0 }] : [],
  });
  const played = simulateCard(clientCase, card, shippedLine);
  const mids = played.parts.find(({ zone: place }) => place === 'mids')!;
  const at = (minute: number) => levelOfPigmented(played.momentOf(mids, minute).strand);
  return at(played.minutes) - at(0);
}

describe('cream on a joint (H53)', () => {
  it('spares a centimetre and a quarter of hair that was worked before, and no more', () => {
    const bare = liftUnderCream(2, true, false);
    expect(liftUnderCream(2, true)).toBeLessThan(0.2 * bare);
    expect(liftUnderCream(2.5, true)).toBeLessThan(0.2 * bare);
    expect(liftUnderCream(3, true)).toBeCloseTo(bare, 1);
    expect(liftUnderCream(20, true)).toBeCloseTo(bare, 1);
  });

  it('spares hardly any of the hair that is to be worked', () => {
    expect(liftUnderCream(2, false)).toBeCloseTo(liftUnderCream(2, false, false), 6);
  });
});
