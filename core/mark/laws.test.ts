import fc from 'fast-check';
import { type Bowl, type RecordCard, EMPTY_CARD, complete } from '../card';
import type { ClientCase } from '../case';
import { BENCH_STEPS } from '../exercise';
import { type Area, AREA_BEARS, AREAS } from '../hair';
import { AS_WHITE_HAIR } from '../method';
import { SHIPPED_LINES } from '../product';
import { type HouseRules, DEFAULT_HOUSE_RULES } from '../rules';
import { simulateCard } from '../simulate';
import { solveCase } from '../solve';
import { anyCase, anyHouse } from '../testing/any-case';
import { defaultRubric } from './default-rubric';
import { type MarkingInput, markCard } from './mark-card';

/** Some heads at every push; a thousand with LONG_TESTS set. */
const HEADS = process.env.LONG_TESTS ? 1000 : 16;

function marking(clientCase: ClientCase, house: Partial<HouseRules>): MarkingInput | null {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const solved = solveCase(clientCase, SHIPPED_LINES, rules);
  if (!solved.ok) {
    expect(solved.reasons.length).toBeGreaterThan(0);
    return null;
  }
  const { modelAnswer } = solved;
  const rubric = defaultRubric(modelAnswer, modelAnswer.clientCase);
  return { modelAnswer, rules, rubric, lines: SHIPPED_LINES, open: BENCH_STEPS };
}
const of100 = (input: MarkingInput, card: RecordCard) => {
  const { points, max } = markCard(input, card);
  return (100 * points) / max;
};

describe('the laws of the marks, over any head, school and shelf', () => {
  it('the search’s best plan earns everything, hurts nobody, and meets the wish or says that it does not', () => {
    fc.assert(
      fc.property(anyCase, anyHouse, (clientCase, house) => {
        const input = marking(clientCase, house);
        if (!input) return;
        const { modelAnswer } = input;
        const grade = markCard(input, modelAnswer.card);
        expect({ points: grade.points, dangers: grade.dangers }).toEqual({ points: grade.max, dangers: [] });
        for (const equal of modelAnswer.equivalents) expect(of100(input, equal)).toBe(100);
        if (modelAnswer.stops.length > 0 || modelAnswer.visits.length > 1) return;
        const played = simulateCard(modelAnswer.clientCase, complete(modelAnswer.card), (id) =>
          SHIPPED_LINES.find((line) => line.id === id),
        );
        const missed = new Set(modelAnswer.missed?.map(({ part }) => part));
        for (const { part, deltaE, strand } of played.outcomeAt(played.minutes)) {
          // White hair is lighter than any pale wish, whatever is put on it.
          const paler =
            strand.white >= AS_WHITE_HAIR.from && (part.target?.level ?? 0) >= AS_WHITE_HAIR.lightFrom;
          if (part.target && !paler && !missed.has(part.zone)) expect(deltaE).toBeLessThanOrEqual(10);
        }
      }),
      { numRuns: HEADS },
    );
  }, 600_000);

  it('an empty card earns nothing, readings alone no more than reading and prediction', () => {
    fc.assert(
      fc.property(anyCase, (clientCase) => {
        const input = marking(clientCase, {});
        if (!input) return;
        expect(of100(input, EMPTY_CARD)).toBe(0);
        const { readings } = input.modelAnswer.card;
        const { points } = markCard(input, { ...EMPTY_CARD, readings });
        expect(points).toBeLessThanOrEqual((input.rubric.reading ?? 0) + (input.rubric.prediction ?? 0));
      }),
      { numRuns: HEADS / 2 },
    );
  }, 600_000);

  it('a head that would have to be corrected is never worth more than 55, one that would hurt never more than 40', () => {
    const spoilt = fc.record({
      vol: fc.constantFrom(null, 10, 30, 40),
      times: fc.constantFrom(1, 0.4, 2),
      amount: fc.constantFrom(1, 0.3),
    });
    fc.assert(
      fc.property(anyCase, spoilt, (clientCase, { vol, times, amount }) => {
        const input = marking(clientCase, {});
        if (!input) return;
        const { card: best } = input.modelAnswer;
        const card: RecordCard = {
          ...best,
          bowls: best.bowls.map((bowl) => ({
            ...bowl,
            productGrams: bowl.productGrams * amount,
            shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams * amount })),
            developer: bowl.developer.map((part) => ({
              vol: vol ?? part.vol,
              grams: part.grams * amount,
            })),
          })),
          steps: best.steps.map((application) => ({
            ...application,
            minutes: Math.max(1, Math.round(application.minutes * times)),
          })),
        };
        const grade = markCard(input, card);
        const mark = (100 * grade.points) / grade.max;
        const toCorrect = grade.places.some(({ down = 0 }) => down >= 3);
        if (toCorrect) expect(mark).toBeLessThanOrEqual(55);
        if (grade.dangers.length > 0) expect(mark).toBeLessThanOrEqual(50);
      }),
      { numRuns: HEADS },
    );
  }, 600_000);

  it('what is not covered is not coloured: worked at the nape alone, half a head is never a good answer', () => {
    fc.assert(
      fc.property(anyCase, (clientCase) => {
        const input = marking(clientCase, {});
        if (!input || input.modelAnswer.card.steps.length === 0) return;
        const { card: best } = input.modelAnswer;
        const only = (areas: readonly Area[]): RecordCard => ({
          ...best,
          steps: best.steps.flatMap((application) => {
            const left = application.areas.filter((area) => areas.includes(area));
            return left.length > 0 ? [{ ...application, areas: left }] : [];
          }),
        });
        expect(of100(input, only(['nape']))).toBeLessThanOrEqual(55);
        const unseen: Area[] = ['hairline', 'temples'];
        // Where the face is to be left as it is there is nothing to leave out.
        if (!best.steps.some(({ areas }) => areas.some((area) => unseen.includes(area)))) return;
        const mark = of100(input, only(AREAS.filter((area) => !unseen.includes(area))));
        expect(mark).toBeLessThanOrEqual(75);
      }),
      { numRuns: HEADS },
    );
  }, 600_000);

  it('equal plans in other words get equal marks, within three', () => {
    const isFront = (area: Area) => AREA_BEARS[area].half === 'front';
    const halved = (bowl: Bowl, name: string): Bowl => ({
      ...bowl,
      name,
      productGrams: bowl.productGrams / 2,
      shades: bowl.shades.map((shade) => ({ ...shade, grams: shade.grams / 2 })),
      developer: bowl.developer.map((part) => ({ ...part, grams: part.grams / 2 })),
      ...(bowl.others ? { others: bowl.others.map((other) => ({ ...other, grams: other.grams / 2 })) } : {}),
    });
    const inWords: Record<string, (card: RecordCard) => RecordCard> = {
      'front now, back a few minutes later': (card) => ({
        ...card,
        steps: card.steps.flatMap((application) =>
          [
            { ...application, areas: application.areas.filter(isFront) },
            {
              ...application,
              areas: application.areas.filter((area) => !isFront(area)),
              start: application.start + 3,
            },
          ].filter(({ areas }) => areas.length > 0),
        ),
      }),
      'a line for each place': (card) => ({
        ...card,
        steps: card.steps.flatMap((application) =>
          application.zones.map((zone) => ({ ...application, zones: [zone] })),
        ),
      }),
      'one bowl as two halves': (card) =>
        card.bowls.some(({ from }) => from)
          ? card
          : {
              ...card,
              bowls: card.bowls.flatMap((bowl) => [halved(bowl, bowl.name), halved(bowl, `${bowl.name}2`)]),
              steps: card.steps.flatMap((application) => [
                application,
                { ...application, bowl: `${application.bowl}2` },
              ]),
            },
      'rinses named by themselves': (card) => ({
        ...card,
        steps: card.steps.map((application) => ({ ...application, ends: 'stay' as const })),
        care: [
          ...card.care,
          ...card.steps.flatMap(({ ends, zones, start, minutes }) =>
            ends === 'rinse'
              ? [{ do: 'rinse' as const, zones, start: start + minutes, water: 'lukewarm' as const }]
              : [],
          ),
        ],
      }),
    };
    fc.assert(
      fc.property(anyCase, (clientCase) => {
        const input = marking(clientCase, {});
        if (!input) return;
        const { card: best } = input.modelAnswer;
        const marks = Object.entries(inWords).map(
          ([words, reworded]) => [words, of100(input, reworded(best))] as const,
        );
        expect(marks.filter(([, mark]) => mark < 97)).toEqual([]);
      }),
      { numRuns: HEADS },
    );
  }, 600_000);

  it('declining what could be done is worth 40 at most, with the work kept or not', () => {
    fc.assert(
      fc.property(anyCase, fc.boolean(), (clientCase, kept) => {
        const input = marking(clientCase, {});
        if (!input || input.modelAnswer.stops.length > 0) return;
        const { card: best } = input.modelAnswer;
        const declined: RecordCard = {
          ...best,
          decision: 'decline',
          ...(kept ? {} : { bowls: [], steps: [] }),
        };
        expect(of100(input, declined)).toBeLessThanOrEqual(40);
        expect(markCard(input, declined).dangers).toEqual([]);
      }),
      { numRuns: HEADS },
    );
  }, 600_000);
});
