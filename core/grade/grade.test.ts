import fc from 'fast-check';
import { TONE_FAMILIES } from '../colour';
import { shippedLine } from '../shades';
import type { Case } from '../solve';
import { COUNTERS, DEFAULT_HOUSE_RULES, UNDERLAYS, type HouseRules } from '../theory';
import { aCase, keyOf, perfectAnswer } from '../testing/cases';
import {
  CRITERIA,
  EMPTY_ANSWER,
  answerSchema,
  defaultRubric,
  grade,
  openParts,
  rubricSchema,
  type Answer,
  type Criterion,
} from '.';

function markOf(kase: Case, change: Partial<Answer> = {}, house: Partial<HouseRules> = {}) {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const key = keyOf(kase, house);
  const line = shippedLine(kase.lineId)!;
  const rubric = Object.fromEntries(CRITERIA.map((criterion) => [criterion, 4]));
  const result = grade({ kase, line, rules, rubric, key }, perfectAnswer(kase, key, change));
  const of = (criterion: Criterion) => result.criteria.find((mark) => mark.criterion === criterion)!;
  return { result, of, codes: (criterion: Criterion) => of(criterion).findings.map(({ code }) => code) };
}

const lift = aCase({ natural: 5, target: 7, tone: 'ash' });
const greyHead = aCase({ natural: 5, target: 5, tone: 'gold', grey: 0.5 });

describe('marking', () => {
  it('gives the key itself full marks, whatever the case', () => {
    const half = fc.integer({ min: 2, max: 20 }).map((n) => n / 2);
    fc.assert(
      fc.property(
        half,
        fc.integer({ min: -4, max: 5 }),
        fc.constantFrom(...TONE_FAMILIES),
        fc.constantFrom(0, 0.3, 0.6, 0.8, 1),
        (natural, move, tone, grey) => {
          const kase = aCase({ natural, target: Math.min(10, Math.max(1, natural + move / 2)), tone, grey });
          let key;
          try {
            key = keyOf(kase);
          } catch {
            return;
          }
          const { result } = markOf(kase);
          expect(result.points).toBe(result.max);
          expect(result.criteria.every(({ verdict }) => verdict === 'right')).toBe(true);
          expect(key.version).toBe(result.version);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('gives nothing for an empty answer and calls every part open', () => {
    const { result } = markOf(lift, EMPTY_ANSWER);
    expect(result.points).toBe(0);
    expect(result.criteria.every(({ verdict }) => verdict === 'open')).toBe(true);
    expect(openParts(EMPTY_ANSWER)).toContain('developer');
  });

  it('marks only what the rubric names, and counts only that', () => {
    const key = keyOf(lift);
    const only = grade(
      { kase: lift, line: shippedLine('tarnwick')!, rules: DEFAULT_HOUSE_RULES, rubric: { ratio: 2 }, key },
      perfectAnswer(lift, key),
    );
    expect(only).toMatchObject({ points: 2, max: 2 });
    expect(rubricSchema.safeParse({ ratio: 0 }).success).toBe(false);
    expect(Object.values(defaultRubric(true)).reduce((a, b) => a + b, 0)).toBe(20);
    expect(Object.values(defaultRubric(false)).reduce((a, b) => a + b, 0)).toBe(20);
  });

  it.each([
    [5, 1, 'levelReading.right'],
    [4.5, 0.75, 'levelReading.tooDark'],
    [6, 0.5, 'levelReading.tooLight'],
    [8, 0, 'levelReading.tooLight'],
  ])('a level read as %d where it is 5 is worth %d', (naturalLevel, share, code) => {
    const { of, codes } = markOf(lift, { naturalLevel });
    expect(of('levelReading').share).toBe(share);
    expect(codes('levelReading')).toEqual([code]);
  });

  it.each([
    ['yellowOrange', 1],
    ['orange', 0.5],
    ['yellow', 0.5],
    ['red', 0],
  ] as const)('%s at level 7 is worth %d of the underlying pigment', (underlay, share) => {
    expect(markOf(lift, { underlay }).of('underlay').share).toBe(share);
  });

  it('pays for a wrong pigment once: its own opposite is right for it (follow-through)', () => {
    const { of, codes } = markOf(lift, { underlay: 'orange', counter: 'blue' });
    expect(of('underlay').share).toBe(0.5);
    expect(of('counterTone')).toMatchObject({ share: 1, followed: true });
    expect(codes('counterTone')).toEqual(['counterTone.followed']);
    expect(codes.length).toBe(1);
  });

  it('knows a counter-tone on the wrong side, one not needed and one missing', () => {
    expect(markOf(lift, { counter: 'green' }).codes('counterTone')).toEqual(['counterTone.wrong']);
    expect(markOf(lift, { counter: 'keep' }).codes('counterTone')).toEqual(['counterTone.shouldNeutralise']);
    const copper = aCase({ natural: 5, target: 6, tone: 'copper' });
    expect(markOf(copper, { counter: 'blue' }).codes('counterTone')).toEqual(['counterTone.shouldKeep']);
    const pale = aCase({ natural: 7, target: 9, tone: 'pearl' });
    expect(markOf(pale, { counter: 'violet' })).toMatchObject({ result: expect.anything() });
    expect(markOf(pale, { counter: 'violet' }).codes('counterTone')).toEqual(['counterTone.dose']);
  });

  it('marks depth and tone by distance and names the side', () => {
    expect(markOf(lift, { shades: [{ label: '8:7', parts: 1 }] }).codes('depth')).toEqual(['depth.tooLight']);
    expect(markOf(lift, { shades: [{ label: '6:7', parts: 1 }] }).of('depth').share).toBeCloseTo(0.571, 2);
    expect(markOf(lift, { shades: [{ label: '7:2', parts: 1 }] }).codes('tone')).toEqual([
      'tone.sameSideAsWarmth',
    ]);
    expect(markOf(lift, { shades: [{ label: '7:0', parts: 1 }] }).codes('tone')).toEqual(['tone.missing']);
    expect(
      markOf(lift, {
        shades: [
          { label: '7:7', parts: 1 },
          { label: '7:0', parts: 1 },
        ],
      }).codes('tone'),
    ).toEqual(['tone.thin']);
  });

  it('asks for the natural share that grey needs, and lets it thin the tone (F8)', () => {
    const none = markOf(greyHead, { shades: [{ label: '5:1', parts: 1 }] });
    expect(none.codes('greyShare')).toEqual(['greyShare.none']);
    expect(none.of('greyShare').share).toBe(0);
    const third = markOf(greyHead, {
      shades: [
        { label: '5:1', parts: 2 },
        { label: '5:0', parts: 1 },
      ],
    });
    expect(third.of('greyShare').share).toBeCloseTo(2 / 3, 2);
  });

  it.each([
    [20, 0.5, 'developer.topOfRange'],
    [10, 0, 'developer.tooWeak'],
    [40, 0.41, 'developer.tooStrong'],
  ])('%d vol where 30 is due is worth %d', (vol, share, code) => {
    const { of, codes } = markOf(lift, { developer: [{ vol, parts: 1 }] });
    expect(of('developer').share).toBeCloseTo(share, 1);
    expect(codes('developer')[0]).toBe(code);
  });

  it('marks developer against the level that was read: the slip is paid for once', () => {
    const { of, codes } = markOf(lift, { naturalLevel: 6, developer: [{ vol: 20, parts: 1 }] });
    expect(of('levelReading').share).toBe(0.5);
    expect(of('developer')).toMatchObject({ share: 1, followed: true });
    expect(codes('developer')).toEqual(['developer.followed']);
  });

  it('takes the other school on resistant grey only with extra-pigment naturals', () => {
    const kase = aCase({ natural: 5, target: 5, grey: 0.8 });
    const strong = { developer: [{ vol: 30, parts: 1 }] };
    const extra = { ...strong, shades: [{ label: '5:00', parts: 1 }] };
    expect(markOf(kase, extra, { resistantGrey: 'max30' }).of('developer').share).toBe(1);
    expect(markOf(kase, strong, { resistantGrey: 'max30' }).of('developer').share).toBeLessThan(1);
    expect(markOf(kase, extra).of('developer').share).toBeLessThan(1);
  });

  it.each([
    [2 / 3, 0, 'ratio.turned'],
    [1, 0.444, 'ratio.tooThick'],
    [2, 0.444, 'ratio.tooThin'],
  ])('a ratio of 1:%d where 1:1.5 is due is worth %d', (ratio, share, code) => {
    const { of, codes } = markOf(lift, { ratio });
    expect(of('ratio').share).toBeCloseTo(share, 2);
    expect(codes('ratio')).toEqual([code]);
  });

  it('marks amount by the guide with careful weighing, minutes by the line', () => {
    expect(markOf(lift, { totalGrams: 123 }).of('amount').share).toBe(1);
    expect(markOf(lift, { totalGrams: 60 }).codes('amount')).toEqual(['amount.tooLittle']);
    expect(markOf(lift, { totalGrams: 400 }).of('amount').share).toBe(0);
    expect(markOf(lift, { minutes: 36 }).of('minutes').share).toBe(1);
    expect(markOf(lift, { minutes: 20 }).codes('minutes')).toEqual(['minutes.tooShort']);
    expect(markOf(lift, { minutes: 45 }).codes('minutes')).toEqual(['minutes.tooLong']);
  });
});

describe('equal answers get equal marks', () => {
  const same = (kase: Case, change: Partial<Answer>) =>
    expect(markOf(kase, change).result.points).toBe(markOf(kase).result.points);

  it('20 vol out of 40 and water, half and half, in any amount', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 90, noNaN: true }), (parts) =>
        same(greyHead, {
          developer: [
            { vol: 40, parts },
            { vol: 0, parts },
          ],
        }),
      ),
    );
    same(lift, {
      developer: [
        { vol: 20, parts: 1 },
        { vol: 40, parts: 1 },
      ],
    });
  });

  it('the same mix in other parts and another order', () => {
    const { shades } = keyOf(greyHead);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (scale) =>
        same(greyHead, { shades: [...shades].reverse().map((s) => ({ ...s, parts: s.parts * scale })) }),
      ),
    );
  });

  it('but not where the class forbids water, nor with a strength the line does not have', () => {
    const water = {
      developer: [
        { vol: 40, parts: 1 },
        { vol: 0, parts: 1 },
      ],
    };
    const forbidden = markOf(greyHead, water, { diluteDeveloper: 'never' });
    expect(forbidden.of('developer').share).toBe(0.5);
    expect(forbidden.codes('developer')).toContain('developer.noDilution');
    expect(
      markOf(aCase({ natural: 7, target: 7, lineId: 'quillet' }), {
        developer: [{ vol: 10, parts: 1 }],
      }).codes('developer'),
    ).toContain('developer.notOfLine');
  });
});

describe('laws', () => {
  const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null });
  const line = shippedLine('tarnwick')!;
  const answers: fc.Arbitrary<Answer> = fc.record({
    naturalLevel: maybe(fc.integer({ min: 2, max: 20 }).map((n) => n / 2)),
    underlay: maybe(fc.constantFrom(...UNDERLAYS)),
    counter: maybe(fc.constantFrom(...COUNTERS, 'keep' as const)),
    shades: fc.array(
      fc.record({ label: fc.constantFrom(...line.shades), parts: fc.integer({ min: 1, max: 6 }) }),
      { maxLength: 3 },
    ),
    developer: fc.array(
      fc.record({ vol: fc.constantFrom(0, 10, 20, 30, 40), parts: fc.integer({ min: 1, max: 4 }) }),
      { maxLength: 2 },
    ),
    ratio: maybe(fc.constantFrom(0.5, 1, 1.5, 2)),
    totalGrams: maybe(fc.integer({ min: 5, max: 400 })),
    minutes: maybe(fc.integer({ min: 1, max: 90 })),
  });

  it('no answer gets less than nothing or more than the key, and the same answer always gets the same', () => {
    fc.assert(
      fc.property(answers, fc.constantFrom(lift, greyHead), (answer, kase) => {
        expect(answerSchema.parse(answer)).toEqual(answer);
        const { result } = markOf(kase, answer);
        expect(markOf(kase, answer).result).toEqual(result);
        for (const mark of result.criteria) {
          expect(mark.points).toBeGreaterThanOrEqual(0);
          expect(mark.points).toBeLessThanOrEqual(mark.max);
          expect(mark.findings.length).toBeGreaterThan(0);
        }
      }),
    );
  });

  it('moving one figure further from the key never raises its mark', () => {
    const away = fc.tuple(
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
    );
    fc.assert(
      fc.property(away, fc.boolean(), ([near, more], up) => {
        const key = keyOf(lift);
        const sign = up ? 1 : -1;
        const at = (base: number, by: number) => Math.max(0.5, base + sign * by);
        const share = (change: Partial<Answer>, criterion: Criterion) =>
          markOf(lift, change).of(criterion).share;
        expect(share({ minutes: at(key.minutes, near + more) }, 'minutes')).toBeLessThanOrEqual(
          share({ minutes: at(key.minutes, near) }, 'minutes'),
        );
        expect(share({ totalGrams: at(key.totalGrams, near + more) }, 'amount')).toBeLessThanOrEqual(
          share({ totalGrams: at(key.totalGrams, near) }, 'amount'),
        );
      }),
    );
  });

  it('a follow-through never gives more than the right answer would', () => {
    fc.assert(
      fc.property(answers, (answer) => {
        const wrong = markOf(lift, answer).result;
        const right = markOf(lift).result;
        expect(wrong.points).toBeLessThanOrEqual(right.points);
      }),
    );
  });
});
