import type { Result } from '@cimbel/contract';
import { CRITERIA, EMPTY_ANSWER, defaultRubric, grade, type Answer } from '@cimbel/core/grade';
import { shippedLine } from '@cimbel/core/shades';
import type { Case } from '@cimbel/core/solve';
import { aCase, keyOf, perfectAnswer } from '@cimbel/core/testing/cases';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '@cimbel/core/theory';
import { naturalLook, toneLook } from '@cimbel/core/tress';
import { textOf } from '../../testing/render';
import { KeyCard } from './key-card';
import { ResultView } from './result-view';

const GREY = aCase({ natural: 6, target: 6, tone: 'gold', grey: 0.5 });
const COOL = aCase({ natural: 5, target: 7, tone: 'ash' });
const HALF = aCase({ natural: 6.5, target: 5.5, tone: 'copper', porosity: 'high' });

function resultOf(kase: Case, change: Partial<Answer> = {}, house: Partial<HouseRules> = {}): Result {
  const rules = { ...DEFAULT_HOUSE_RULES, ...house };
  const line = shippedLine(kase.lineId)!;
  const key = keyOf(kase, house);
  const answer = perfectAnswer(kase, key, change);
  return {
    attemptId: 'a',
    exerciseId: 'e',
    title: 'A formula',
    studentName: 'Bo',
    kase,
    line,
    houseRules: rules,
    key,
    answer,
    grade: grade({ kase, line, rules, rubric: defaultRubric(kase.zone.greyShare >= 0.25), key }, answer),
    changes: [],
    submittedAt: '2026-03-02T18:00:00.000Z',
    late: false,
    looks: { now: naturalLook(kase.zone, 1), target: toneLook(kase.target.level, kase.target.tone, 2) },
  };
}
const shown = (result: Result, units: 'grams' | 'flOz' = 'grams') =>
  textOf(<ResultView result={result} heading={<h1>Result</h1>} />, units);
const UNWORDED = /undefined|NaN|\{\{|\}\}|\[object|\bnull\b/;

describe('the result of a formula', () => {
  it('puts every criterion into words, right, wrong or left open', () => {
    for (const kase of [GREY, COOL, HALF])
      for (const change of [
        {},
        EMPTY_ANSWER,
        { developer: [{ vol: 40, parts: 1 }], totalGrams: 20, minutes: 5 },
      ])
        expect(shown(resultOf(kase, change))).not.toMatch(UNWORDED);
  });

  it('says once for each criterion how it went', () => {
    const count = (text: string, word: RegExp) => (text.match(word) ?? []).length;
    const right = shown(resultOf(GREY));
    const marked = CRITERIA.filter((criterion) => (defaultRubric(true)[criterion] ?? 0) > 0);
    expect(count(right, /\bright\b/g)).toBeGreaterThanOrEqual(marked.length);
    expect(shown(resultOf(GREY, { shades: [] }))).toMatch(/\bopen\b/);
  });

  it('writes amounts as the class measures them, and what was given beside the key', () => {
    const result = resultOf(COOL, { totalGrams: 59.14 });
    expect(shown(result)).toContain('59.1 g');
    const ounces = shown(result, 'flOz');
    expect(ounces).toContain('2.00 fl oz');
    expect(ounces).not.toMatch(/\d g\b/);
  });

  it('names the school it rests on', () => {
    expect(shown(resultOf(COOL))).toContain('the shade is of the target level');
    expect(shown(resultOf(COOL, {}, { liftByColour: 'counterbalance' }))).toContain(
      'the shade is twice the target less the natural level',
    );
  });
});

describe('the key of a formula', () => {
  it('says the natural share where grey asks for it, with the line’s own table before the class’s', () => {
    const text = (kase: Case) =>
      textOf(<KeyCard computed={keyOf(kase)} naturalLevel={kase.zone.naturalLevel} />);
    expect(text(GREY)).toContain('50%');
    expect(text(COOL)).not.toContain('Natural share');
  });

  it('warns where a careful colourist would say more', () => {
    const dark = aCase({ natural: 8, target: 5, tone: 'neutral' });
    expect(textOf(<KeyCard computed={keyOf(dark)} naturalLevel={8} />)).toMatch(/warmth|fill/i);
  });
});
