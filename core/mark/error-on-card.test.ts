import { type RecordCard, EMPTY_CARD } from '../card';
import { SHIPPED_CASES } from '../cases';
import { cardRubric, isOpenIn, CARD_STEPS, withGiven } from '../exercise';
import { gradingOf } from '../testing/solved';
import { defaultRubric } from './default-rubric';
import { markCard } from './mark-card';
import { typicalErrors } from './slips/typical-errors';

const ids = SHIPPED_CASES.map(({ id }) => id);

describe('a card with one slip on it', () => {
  it('earns everything when it is put right, and loses points when it is handed in as it is', () => {
    let cards = 0;
    for (const id of ids) {
      const input = gradingOf(id);
      for (const miss of typicalErrors(input)) {
        const rubric = cardRubric(miss.grade);
        const on = { ...input, rubric, open: CARD_STEPS };
        // A slip that only shows where nothing is put right on a card, in the readings say, makes no card.
        expect({ id, slip: miss.misconception, marked: Object.keys(rubric).length > 0 }).toEqual({
          id,
          slip: miss.misconception,
          marked: true,
        });
        expect(markCard(on, input.modelAnswer.card).points).toBe(markCard(on, input.modelAnswer.card).max);
        const asItWas = markCard(on, withGiven(miss.card, input.modelAnswer.card, CARD_STEPS));
        expect(asItWas.points).toBeLessThan(asItWas.max);
        cards++;
      }
    }
    // Every case leaves room for a card, most for several.
    expect(cards).toBeGreaterThan(2 * ids.length);
  });

  it('is marked only for what the slip costs', () => {
    const input = gradingOf('retouch-grey');
    const turned = typicalErrors(input).find(({ misconception }) => misconception === 'ratioTurned')!;
    expect(cardRubric(turned.grade)).toEqual({ ratio: 100 });
    expect(cardRubric(turned.grade, ['apply'])).toEqual({});
  });
});

describe('the developer alone', () => {
  const input = gradingOf('retouch-grey');
  const { card } = input.modelAnswer;
  const open = ['developer'] as const;
  const rubric = defaultRubric(input.modelAnswer, input.modelAnswer.clientCase, open);
  const on = { ...input, rubric, open };
  const poured = (vol: number, grams: (value: number) => number): RecordCard => ({
    ...EMPTY_CARD,
    bowls: card.bowls.map((bowl) => ({
      ...bowl,
      shades: [],
      developer: bowl.developer.map((part, i) => ({
        vol: bowl.name === 'A' ? vol : part.vol,
        grams: i === 0 ? grams(part.grams) : part.grams,
      })),
    })),
  });

  it('gives the bowls without what is poured, whatever was written elsewhere', () => {
    const given = withGiven(EMPTY_CARD, card, open);
    expect(given.bowls.map(({ shades }) => shades)).toEqual(card.bowls.map(({ shades }) => shades));
    expect(given.bowls.every(({ developer }) => developer.length === 0)).toBe(true);
    expect(given.steps).toEqual(card.steps);
    expect(
      withGiven(
        poured(20, (value) => value),
        card,
        open,
      ),
    ).toEqual(card);
  });

  it('is marked by strength and ratio, and by nothing else', () => {
    expect(Object.keys(rubric).sort()).toEqual(['developer', 'ratio']);
    expect(isOpenIn(open, 'depth')).toBe(false);
    const right = markCard(
      on,
      poured(20, (value) => value),
    );
    expect(right.points).toBe(right.max);
    const strong = markCard(
      on,
      poured(40, (value) => value),
    );
    expect(strong.criteria.find(({ criterion }) => criterion === 'ratio')!.share).toBe(1);
    expect(strong.points).toBeLessThan(right.points);
    const thin = markCard(
      on,
      poured(20, (value) => 2 * value),
    );
    expect(thin.criteria.find(({ criterion }) => criterion === 'developer')!.share).toBe(1);
    expect(thin.points).toBeLessThan(right.points);
    expect(markCard(on, EMPTY_CARD).points).toBe(0);
  });
});
