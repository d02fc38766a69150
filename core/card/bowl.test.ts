import fc from 'fast-check';
import { shippedLine } from '../product';
import { complete, bowlGrams, bowlVol, mixOfBowl, takenFrom } from './bowl';
import type { Bowl } from './record-card';

const tarnwick = shippedLine('tarnwick')!;
const bowl = (change: Partial<Bowl> = {}): Bowl => ({
  name: 'A',
  lineId: 'tarnwick',
  shades: [{ label: '6:0', grams: 40 }],
  productGrams: 0,
  developer: [{ vol: 20, grams: 60 }],
  additive: false,
  ...change,
});
const left = (grams: number, change: Partial<Bowl> = {}): Bowl =>
  bowl({ name: 'B', lineId: null, shades: [], developer: [], from: { bowl: 'A', grams }, ...change });

describe('a bowl begun from what is left of another', () => {
  it('holds its share of that, and the other holds so much less', () => {
    const { bowls } = complete({ bowls: [bowl(), left(20)] });
    expect(bowls[1]).toMatchObject({ lineId: 'tarnwick', shades: [{ label: '6:0', grams: 8 }] });
    expect([bowlGrams(bowls[0]), bowlGrams(bowls[1])]).toEqual([80, 20]);
    expect(bowlVol(bowls[1])).toBe(20);
    expect(bowls.some(({ from }) => from)).toBe(false);
  });

  it('is thinned by what is weighed beside it: water takes strength and pigment alike', () => {
    const watered = complete({ bowls: [bowl(), left(20, { developer: [{ vol: 0, grams: 20 }] })] }).bowls[1];
    const [whole, thin] = [bowl(), watered].map((bowl) => mixOfBowl(bowl, tarnwick)!);
    expect(thin.thinned).toBeGreaterThan(0);
    expect(thin.shades.map(({ shade }) => shade.label)).toEqual(whole.shades.map(({ shade }) => shade.label));
    const soaped = complete({
      bowls: [bowl(), left(20, { others: [{ kind: 'shampoo', grams: 20 }] })],
    }).bowls[1];
    expect(mixOfBowl(soaped, tarnwick)!.thinned).toBeCloseTo(1);
  });

  it('keeps grams whatever is taken, and a card that goes round in a circle still ends', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (grams) => {
        const cards = [bowl(), left(grams)];
        const all = complete({ bowls: cards }).bowls.reduce((sum, bowl) => sum + bowlGrams(bowl), 0);
        expect(all).toBeCloseTo(100, 6);
        expect(takenFrom(cards, 'A')).toBe(grams);
      }),
    );
    const round = [left(10, { name: 'A', from: { bowl: 'B', grams: 10 } }), left(10)];
    expect(complete({ bowls: round }).bowls).toHaveLength(2);
    const plain = { bowls: [bowl()] };
    expect(complete(plain)).toBe(plain);
  });

  it('is empty where the other is not there', () => {
    expect(bowlGrams(complete({ bowls: [left(20)] }).bowls[0])).toBe(0);
  });
});
