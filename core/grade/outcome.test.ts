import fc from 'fast-check';
import { TONE_FAMILIES } from '../colour';
import { aCase, keyOf } from '../testing/cases';
import { shippedLine } from '../shades';
import { computeKey } from '../solve';
import { DEFAULT_HOUSE_RULES } from '../theory';
import { answerOfKey, EMPTY_ANSWER, outcomeReasons, play, type Answer } from '.';

const line = shippedLine('tarnwick')!;
const greyCase = aCase({ natural: 5, target: 5, tone: 'gold', grey: 0.5 });
const ashCase = aCase({ natural: 5, target: 7, tone: 'ash' });
const endOf = (kase: typeof greyCase, change: Partial<Answer> = {}) => {
  const played = play(kase, line, { ...answerOfKey(kase, keyOf(kase)), ...change })!;
  return played.at(played.minutes);
};
const codes = (kase: typeof greyCase, change: Partial<Answer> = {}) =>
  outcomeReasons(kase, endOf(kase, change)).map(({ code }) => code);

describe('what a formula would have done', () => {
  it('comes near the wish with the key, and the marks are not touched by it', () => {
    expect(endOf(greyCase).away).toBeLessThan(5);
    expect(endOf(ashCase).away).toBeLessThan(5);
    expect(codes(ashCase)).not.toContain('outcome.otherTone');
  });

  it('shows each mistake as what it does to hair', () => {
    expect(codes(greyCase, { shades: [{ label: '5:1', parts: 1 }] })).toContain('outcome.greyShows');
    expect(codes(ashCase, { developer: [{ vol: 10, parts: 1 }] })).toContain('outcome.tooDark');
    expect(codes(ashCase, { shades: [{ label: '7:2', parts: 1 }] })).toContain('outcome.otherTone');
    expect(endOf(ashCase, { minutes: 12 }).away).toBeGreaterThan(endOf(ashCase).away + 2);
  });

  it('takes a blend for its strength, and only proportions of parts count', () => {
    const blended = endOf(ashCase, { developer: [{ vol: 40, parts: 3 }, { vol: 0, parts: 1 }] }); // prettier-ignore
    expect(blended).toEqual(endOf(ashCase, { developer: [{ vol: 30, parts: 7 }] }));
    expect(endOf(greyCase, { shades: [{ label: '5:0', parts: 2 }, { label: '5:1', parts: 2 }] }).away) // prettier-ignore
      .toBeCloseTo(endOf(greyCase, { shades: [{ label: '5:0', parts: 1 }, { label: '5:1', parts: 1 }] }).away, 9); // prettier-ignore
  });

  it('is nothing while a part is open, and begins with the hair as it is', () => {
    expect(play(ashCase, line, EMPTY_ANSWER)).toBeNull();
    expect(play(ashCase, line, { ...answerOfKey(ashCase, keyOf(ashCase)), ratio: null })).toBeNull();
    const played = play(ashCase, line, answerOfKey(ashCase, keyOf(ashCase)))!;
    expect(played.at(0).level).toBeCloseTo(5, 1);
    expect(played.at(500)).toEqual(played.at(played.minutes));
    // Grey is read apart from level.
    const grey = play(greyCase, line, answerOfKey(greyCase, keyOf(greyCase)))!;
    expect(grey.at(0)).toMatchObject({ greyShows: true });
    expect(grey.at(0).level).toBeCloseTo(5, 1);
    expect(grey.at(grey.minutes).greyShows).toBe(false);
  });

  it('is a colour, with something to say, for every key there is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 18 }),
        fc.integer({ min: -4, max: 4 }),
        fc.constantFrom(...TONE_FAMILIES),
        fc.integer({ min: 0, max: 10 }),
        (natural, move, tone, tenths) => {
          const from = natural / 2;
          const target = Math.min(10, Math.max(1, from + move / 2));
          const kase = aCase({ natural: from, target, tone, grey: tenths / 10 });
          const result = computeKey(kase, line, DEFAULT_HOUSE_RULES);
          if (!result.ok) return;
          const played = play(kase, line, answerOfKey(kase, result.key))!;
          const outcome = played.at(played.minutes);
          expect(Number.isFinite(outcome.away) && outcome.level > 0).toBe(true);
          expect(outcomeReasons(kase, outcome).length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 200 },
    );
  });
});
