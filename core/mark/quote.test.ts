import { type Quote, type RecordCard, complete, costOfCard, quoteOf } from '../card';
import { shippedCase } from '../cases';
import { withGiven } from '../exercise';
import { SHIPPED_LINES } from '../product';
import { DEFAULT_HOUSE_RULES, type HouseRules, SAMPLE_PRICES } from '../rules';
import { solveCase } from '../solve';
import { defaultRubric, markCard } from '.';

const clientCase = { ...shippedCase('retouch-grey')!.clientCase, quote: true };
const lineOf = (id: string) => SHIPPED_LINES.find((line) => line.id === id);

function marked(quote: Partial<Quote> | undefined, rules: HouseRules = DEFAULT_HOUSE_RULES) {
  const solved = solveCase(clientCase, SHIPPED_LINES, rules);
  if (!solved.ok) throw new Error('no answer');
  const { modelAnswer } = solved;
  const card: RecordCard = { ...modelAnswer.card, quote: quote && { ...modelAnswer.card.quote!, ...quote } };
  const rubric = defaultRubric(modelAnswer, clientCase);
  const grade = markCard(
    { modelAnswer, lines: [...SHIPPED_LINES], rules, rubric, open: ['mix', 'process', 'finish'] },
    card,
  );
  const mark = grade.criteria.find(({ criterion }) => criterion === 'aftercare')!;
  return {
    right: modelAnswer.card.quote!,
    lost: 1 - mark.points / mark.max,
    codes: mark.findings.map(({ code }) => code).filter((code) => /quote|price|minutes/i.test(code)),
  };
}

describe('what a client is told it costs', () => {
  const { right } = marked({});
  it('is on the model answer where the case asks for it, as its own card takes it', () => {
    const solved = solveCase(clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    const { card } = (solved as Extract<typeof solved, { ok: true }>).modelAnswer;
    const cost = costOfCard(clientCase.head, complete(card), lineOf, SAMPLE_PRICES);
    expect(card.quote).toEqual(quoteOf(cost));
    const plain = solveCase(shippedCase('retouch-grey')!.clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    expect((plain as Extract<typeof plain, { ok: true }>).modelAnswer.card.quote).toBeUndefined();
  });
  it.each([
    ['as it is', {}, 'mark.aftercare.quoted', 0],
    ['a tenth too low', { price: Math.ceil(right.price! * 0.91) }, 'mark.aftercare.quoted', 0],
    ['a third too low', { price: Math.round(right.price! * 0.7) }, 'mark.aftercare.priceTooLow', 0.15],
    ['half as much again', { price: Math.round(right.price! * 1.5) }, 'mark.aftercare.priceTooHigh', 0.3],
    ['twice as much', { price: right.price! * 2 }, 'mark.aftercare.priceTooHigh', 0.3],
    ['half the time', { minutes: right.minutes! / 2 }, 'mark.aftercare.minutesTooFew', 0.3],
    ['half as long again', { minutes: right.minutes! * 1.5 }, 'mark.aftercare.minutesTooMany', 0.3],
    ['no price', { price: null }, 'mark.aftercare.quoteOpen', 0.3],
    ['nothing', undefined, 'mark.aftercare.quoteOpen', 0.3],
  ] as const)('is marked by how far it is off: %s', (_, quote, code, loss) => {
    const { codes, lost } = marked(quote);
    expect(codes).toEqual([code]);
    expect(lost).toBeCloseTo(loss, 1);
  });
  it('is reckoned by the prices of the class', () => {
    const rules = { ...DEFAULT_HOUSE_RULES, priceList: { ...SAMPLE_PRICES, hour: 96 } };
    expect(marked({ price: right.price! }, rules).codes).toEqual(['mark.aftercare.priceTooLow']);
    expect(marked({}, rules).lost).toBe(0);
  });
  it('is never given, for it would tell what is in the bowls', () => {
    const solved = solveCase(clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
    const { card } = (solved as Extract<typeof solved, { ok: true }>).modelAnswer;
    expect(withGiven({ ...card, quote: undefined }, card, ['mix']).quote).toBeUndefined();
    expect(withGiven(card, card, ['mix']).quote).toBeUndefined();
    expect(withGiven(card, card, ['finish']).quote).toEqual(card.quote);
  });
});
