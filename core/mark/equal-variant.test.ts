import { SHIPPED_CASES } from '../cases';
import { BENCH_STEPS, MOST_VARIANTS } from '../exercise';
import { seededRandom } from '../random';
import { gradingOf } from '../testing/solved';
import { equalVariant, markCard, type ProvedVariant, standardFor } from '.';

function variantsOf(id: string, range: 'close' | 'wide', seed = 1) {
  const { clientCase } = SHIPPED_CASES.find((shipped) => shipped.id === id)!;
  const { modelAnswer, lines, rules, rubric } = gradingOf(id);
  const base = { clientCase, modelAnswer };
  const random = seededRandom(seed);
  const found: ProvedVariant[] = [];
  for (let i = 0; i < MOST_VARIANTS; i++) {
    const variant = equalVariant(
      base,
      lines,
      rules,
      range,
      random,
      found.map((one) => one.clientCase),
    );
    if (!variant) break;
    found.push(variant);
  }
  const marking = (variant: ProvedVariant) => ({
    modelAnswer: variant.modelAnswer,
    lines,
    rules,
    rubric,
    open: [...BENCH_STEPS],
  });
  return { base, found, marking };
}

describe('variants of equal difficulty', () => {
  it.each(['one-lighter', 'short-and-pale', 'layers-of-black', 'dream-of-silver'])(
    'are five for a class, turning on the same decisions – %s',
    (id) => {
      const { base, found, marking } = variantsOf(id, 'wide');
      expect(found).toHaveLength(MOST_VARIANTS);
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
      }
    },
  );

  it('let nobody copy: the answer to one is not full marks in most others', () => {
    const { found, marking } = variantsOf('one-lighter', 'wide');
    const copied = found.flatMap((mine) =>
      found
        .filter((other) => other !== mine)
        .map((other) => markCard(marking(mine), other.modelAnswer.card).points),
    );
    for (const variant of found)
      expect(markCard(marking(variant), variant.modelAnswer.card).points).toBe(100);
    expect(copied.filter((points) => points < 90).length).toBeGreaterThan(copied.length / 2);
  });

  it('differ from the case and from one another in what a formula hangs on', () => {
    const { base, found } = variantsOf('one-lighter', 'close');
    expect(found.length).toBeGreaterThan(0);
    const levels = [base, ...found].map(({ clientCase }) =>
      clientCase.head.zones.map(({ naturalLevel }) => naturalLevel).join(),
    );
    expect(new Set(levels).size).toBe(levels.length);
  });

  it('are not made up where no draw turns on the same', () => {
    const { clientCase } = SHIPPED_CASES.find(({ id }) => id === 'one-lighter')!;
    const { modelAnswer, lines, rules } = gradingOf('one-lighter');
    // Always the middle of every range: the levels of the case itself.
    expect(equalVariant({ clientCase, modelAnswer }, lines, rules, 'close', () => 0.5)).toBeNull();
  });
});
