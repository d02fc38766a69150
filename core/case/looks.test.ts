import { makeCase, zone, lightened, dyed, to } from '../cases/case-maker';
import { differenceOf } from '../colour';
import { looksThrough, lookOfWish } from './looks';
import { strandOfZone } from './strands';

const clientCase = makeCase({
  title: 'Through',
  difficulty: 1,
  client: { name: 'Anybody', note: '' },
  zones: [zone('mids', { cm: 10, natural: 5, grey: 0.2, history: [...lightened(9), ...dyed(7, 'copper')] })],
  wish: { mids: to(8, 'pearl') },
  lineIds: ['quillet'],
});
const colourOf = ({ zones }: ReturnType<typeof looksThrough>[number]) => zones[0].colour;

describe('hair through its history', () => {
  const looks = looksThrough(clientCase, 'mids', 'daylight', 3);

  it('is drawn as it grew and after every layer, the last as it comes in', () => {
    expect(looks).toHaveLength(3);
    expect(colourOf(looks[0]).l).toBeLessThan(colourOf(looks[1]).l);
    expect(colourOf(looks[2]).a).toBeGreaterThan(colourOf(looks[1]).a);
    expect(strandOfZone(clientCase.head, 'mids').white).toBe(0.2);
    const alone = { head: { ...clientCase.head, zones: [{ ...clientCase.head.zones[0], history: [] }] } };
    expect(looksThrough(alone, 'mids', 'daylight', 3)).toEqual([looks[0]]);
  });

  it('and what is wished for hangs alike, in its own colour and without white', () => {
    const wished = lookOfWish(clientCase.wish.mids!, looks[2]);
    expect(wished.zones.every(({ greyShare }) => greyShare === 0)).toBe(true);
    expect(differenceOf(colourOf(wished), colourOf(looks[2]))).toBeGreaterThan(5);
    expect(wished.seed).toBe(looks[2].seed);
  });
});
