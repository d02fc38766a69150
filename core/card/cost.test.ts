import fc from 'fast-check';
import { SHIPPED_CASES, shippedCase } from '../cases';
import { SHIPPED_LINES } from '../product';
import { DEFAULT_HOUSE_RULES, type PriceList, RINSE_MINUTES, SAMPLE_PRICES, packPrice } from '../rules';
import { solveCase } from '../solve';
import { step as stepWith } from '../testing/cards';
import { type Bowl, type RecordCard, EMPTY_CARD, costOfCard, lastMinute, quoteOf } from '.';

const lineOf = (id: string) => SHIPPED_LINES.find((line) => line.id === id);
const line = SHIPPED_LINES.find(({ kind, additives }) => kind === 'permanent' && additives)!;
const { head } = shippedCase('retouch-grey')!.clientCase;
const prices: PriceList = {
  currency: 'EUR',
  hour: 60,
  packs: { [line.id]: 12 },
  developerLitre: 10,
  additive100: 50,
  sundries: 3,
  beforeMinutes: 10,
  afterMinutes: 20,
};
const bowl = (grams: number, developer = grams): Bowl => ({
  name: 'A',
  lineId: line.id,
  shades: [{ label: line.shades[0], grams }],
  productGrams: 0,
  developer: [{ vol: 20, grams: developer }],
  additive: false,
});
const step = stepWith({ zones: ['regrowth'] });
const card = (bowls: Bowl[], steps = [step]): RecordCard => ({ ...EMPTY_CARD, bowls, steps });

describe('what a card costs', () => {
  it('is reckoned by the gram, by tubes that are opened and by the minutes in the chair', () => {
    const cost = costOfCard(head, card([bowl(30)]), lineOf, prices);
    const perGram = 12 / line.tubeGrams;
    expect(cost.products).toEqual([
      { lineId: line.id, label: line.shades[0], grams: 30, packs: 1, price: 30 * perGram, packsPrice: 12 },
    ]);
    expect(cost.productPrice).toBeCloseTo(30 * perGram + 0.3, 2);
    expect(cost.openedPrice).toBeCloseTo(12.3, 2);
    expect(cost.chairMinutes).toBe(10 + 35 + RINSE_MINUTES + 20);
    expect(cost.chairPrice).toBe(70);
    expect(cost.total).toBeCloseTo(70 + 30 * perGram + 0.3 + 3, 2);
  });
  it.each([
    [-0.5, 1],
    [0, 1],
    [0.5, 2],
  ])('opens a second tube at more than one: %d g off a whole tube are %i', (off, packs) => {
    const { products } = costOfCard(head, card([bowl(line.tubeGrams + off)]), lineOf, prices);
    expect(products[0].packs).toBe(packs);
  });
  it('takes the same shade in two bowls out of one tube', () => {
    const half = line.tubeGrams / 2;
    const two = card([bowl(half), { ...bowl(half), name: 'B' }], [step, { ...step, bowl: 'B' }]);
    expect(costOfCard(head, two, lineOf, prices).products[0]).toMatchObject({ grams: 2 * half, packs: 1 });
  });
  it('calls waste what is over the guide, and all of a bowl that goes nowhere', () => {
    const [{ neededGrams }] = costOfCard(head, card([bowl(30)]), lineOf, prices).bowls;
    const wasteOf = (grams: number, steps = [step]) =>
      costOfCard(head, card([bowl(grams / 2)], steps), lineOf, prices).bowls[0].wasteGrams;
    expect(wasteOf(neededGrams)).toBe(0);
    expect(wasteOf(neededGrams + 10)).toBeCloseTo(10, 9);
    expect(wasteOf(20, [])).toBe(20);
  });
  it('has the bond additive weighed by the mix, and water for nothing', () => {
    const plain = costOfCard(head, card([bowl(50)]), lineOf, prices);
    const added = costOfCard(head, card([{ ...bowl(50), additive: true }]), lineOf, prices);
    expect(added.additiveGrams).toBeCloseTo(line.additives![0].gramsPer100, 9);
    expect(added.productPrice - plain.productPrice).toBeCloseTo(line.additives![0].gramsPer100 / 2, 1);
    const thinned = { ...bowl(50), developer: [...bowl(50).developer, { vol: 0, grams: 40 }] };
    expect(costOfCard(head, card([thinned]), lineOf, prices).productPrice).toBe(plain.productPrice);
  });
  it('counts what a leftover takes over once', () => {
    const whole = costOfCard(head, card([bowl(40)]), lineOf, prices).productPrice;
    const rest: Bowl = {
      ...bowl(0),
      name: 'B',
      shades: [],
      developer: [],
      from: { bowl: 'A', grams: 20 },
    };
    expect(costOfCard(head, card([bowl(40), rest]), lineOf, prices).productPrice).toBeCloseTo(whole, 2);
  });
  it('talks over what is not done', () => {
    const cost = costOfCard(head, EMPTY_CARD, lineOf, prices);
    expect(cost).toMatchObject({ chairMinutes: 10, productPrice: 0, total: 13 });
  });
  it('has a sample price for every line that a list does not name', () => {
    for (const one of SHIPPED_LINES) expect(packPrice(one, SAMPLE_PRICES)).toBeGreaterThan(0);
    expect(packPrice(line, prices)).toBe(12);
  });
  it('is told in whole units and in minutes by fives', () => {
    expect(quoteOf({ total: 80.49, chairMinutes: 92 })).toEqual({ price: 80, minutes: 90 });
    expect(quoteOf({ total: 80.5, chairMinutes: 93 })).toEqual({ price: 81, minutes: 95 });
  });
  it('never falls as more is weighed, opens at least what is used, and wastes at most what is mixed', () => {
    const cards = SHIPPED_CASES.slice(0, 12).flatMap(({ clientCase }) => {
      const solved = solveCase(clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
      return solved.ok ? [{ clientCase, card: solved.modelAnswer.card }] : [];
    });
    fc.assert(
      fc.property(fc.constantFrom(...cards), fc.double({ min: 1, max: 3, noNaN: true }), (one, more) => {
        const scaled = {
          ...one.card,
          bowls: one.card.bowls.map((bowl) => ({
            ...bowl,
            shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * more })),
          })),
        };
        const [less, all] = [one.card, scaled].map((card) =>
          costOfCard(one.clientCase.head, card, lineOf, prices),
        );
        expect(all.total).toBeGreaterThanOrEqual(less.total);
        expect(all.openedPrice).toBeGreaterThanOrEqual(all.productPrice - 0.01);
        expect(all.wastePrice).toBeLessThanOrEqual(all.productPrice + 0.01);
        expect(all.chairMinutes).toBe(less.chairMinutes);
        expect(less.chairMinutes).toBeGreaterThanOrEqual(lastMinute(one.card));
      }),
      { numRuns: 60 },
    );
  });
});
