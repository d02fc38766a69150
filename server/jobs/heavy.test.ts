import { shippedCase } from '@cimbel/core/cases';
import { BENCH_STEPS } from '@cimbel/core/exercise';
import { defaultRubric, markCard, typicalErrors, type MarkingInput } from '@cimbel/core/mark';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { solveCase } from '@cimbel/core/solve';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { asBefore, doHeavy } from './heavy';

const solved = solveCase(shippedCase('retouch-grey')!.clientCase, SHIPPED_LINES, DEFAULT_HOUSE_RULES);
if (!solved.ok) throw new Error('the case has no answer');
const input: MarkingInput = {
  modelAnswer: solved.modelAnswer,
  rules: DEFAULT_HOUSE_RULES,
  rubric: defaultRubric(solved.modelAnswer, solved.modelAnswer.clientCase),
  lines: SHIPPED_LINES,
  open: BENCH_STEPS,
};
/** As it comes from another thread. */
const sent = (markingInput: MarkingInput): MarkingInput => structuredClone(markingInput);

describe('what is marked by', () => {
  it('is known again when it comes once more, and is another when anything in it is', () => {
    const first = asBefore(sent(input));
    expect(asBefore(sent(input))).toBe(first);
    const others: MarkingInput[] = [
      { ...input, rubric: { ...input.rubric, depth: 9 } },
      { ...input, rules: { ...input.rules, units: input.rules.units === 'grams' ? 'flOz' : 'grams' } },
      { ...input, open: input.open.slice(1) },
      { ...input, lines: input.lines.slice(1) },
      { ...input, ruling: { ceilings: 'methodOnly', struck: [], added: [], accepted: [] } },
    ];
    for (const other of others) expect(asBefore(sent(other))).not.toBe(first);
    expect(asBefore(sent(input))).toBe(first);
  });

  it('gives the marks that it gives by itself, whatever was marked before', () => {
    const cards = [solved.modelAnswer.card, ...typicalErrors(input).map(({ card }) => card)];
    const heavier = { ...input, rubric: { ...input.rubric, tone: 12 } };
    for (const markingInput of [input, heavier, input])
      expect(doHeavy('mark', [sent(markingInput), structuredClone(cards)])).toEqual(
        cards.map((card) => markCard(markingInput, card)),
      );
  });
});
