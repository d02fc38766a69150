import { SHIPPED_CASES } from '../cases';
import { BENCH_STEPS, MOST_VARIANTS } from '../exercise';
import { seededRandom } from '../random';
import { gradingOf } from '../testing/solved';
import { COPIED_MOST, defaultRubric, equalVariant, markCard, type ProvedVariant, standardFor } from '.';

function variantsOf(id: string, seed = 1) {
  const { clientCase } = SHIPPED_CASES.find((shipped) => shipped.id === id)!;
  const { modelAnswer, lines, rules } = gradingOf(id);
  const base = { clientCase, modelAnswer };
  const random = seededRandom(seed);
  const found: ProvedVariant[] = [];
  for (let i = 0; i < MOST_VARIANTS; i++) {
    const variant = equalVariant(
      base,
      lines,
      rules,
      false,
      random,
      found.map((one) => one.modelAnswer),
    );
    if (!variant) break;
    found.push(variant);
  }
  const marking = (variant: ProvedVariant) => ({
    modelAnswer: variant.modelAnswer,
    lines,
    rules,
    rubric: defaultRubric(variant.modelAnswer, variant.modelAnswer.clientCase),
    open: [...BENCH_STEPS],
  });
  return { base, found, marking };
}

describe('variants of equal difficulty', () => {
  it.each(['one-lighter', 'glassy-white', 'gold-eight', 'half-grey-gold'])(
    'turn on the same decisions, and nobody copies: an answer to one earns no more than a pass elsewhere – %s',
    (id) => {
      const { base, found, marking } = variantsOf(id);
      expect(found.length).toBeGreaterThanOrEqual(3);
      expect(new Set(found.map(({ clientCase }) => clientCase.client.name)).size).toBe(found.length);
      const turnsOn = (variant: ProvedVariant) =>
        standardFor(marking(variant))
          .crucial.map(({ criteria, places, role }) => JSON.stringify([criteria, places, role]))
          .sort();
      for (const variant of found) {
        expect(turnsOn(variant)).toEqual(turnsOn(base));
        const { choices, visits } = variant.modelAnswer;
        expect(choices.map(({ technique }) => technique)).toEqual(
          base.modelAnswer.choices.map(({ technique }) => technique),
        );
        expect(visits).toHaveLength(base.modelAnswer.visits.length);
        for (const other of [base, ...found]) {
          const { points, max } = markCard(marking(variant), other.modelAnswer.card);
          if (other === variant) expect(points).toBe(max);
          else expect((100 * points) / max).toBeLessThanOrEqual(COPIED_MOST);
        }
      }
    },
  );

  it('are not made up where no draw turns on the same', () => {
    const { clientCase } = SHIPPED_CASES.find(({ id }) => id === 'one-lighter')!;
    const { modelAnswer, lines, rules } = gradingOf('one-lighter');
    // Always the middle of every range: the levels of the case itself, to which its own answer is one.
    expect(equalVariant({ clientCase, modelAnswer }, lines, rules, true, () => 0.5)).toBeNull();
  });
});
