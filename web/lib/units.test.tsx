import fc from 'fast-check';
import { fieldsOf, textOf } from '../testing/render';
import { wordsIn } from './i18n';
import { WeightInput, useScaleFigure } from './units';
import './words/reasons';

const field = (value: number | null) => (
  <WeightInput aria-label="Weight" value={value} min={5} max={2000} step={5} onValue={() => undefined} />
);
function Scale({ grams }: { grams: number }) {
  const { figure, unit } = useScaleFigure()(grams);
  return (
    <>
      {figure} {unit}
    </>
  );
}

describe('amounts as a class measures them', () => {
  it('are grams to the tenth, or ounces to the hundredth', () => {
    expect(fieldsOf(field(60))).toEqual({ Weight: '60' });
    expect(fieldsOf(field(60), 'flOz')).toEqual({ Weight: '2.03' });
    expect(fieldsOf(field(null), 'flOz')).toEqual({ Weight: '' });
    expect(textOf(<Scale grams={29.57} />)).toBe('29.6 g');
    expect(textOf(<Scale grams={29.57} />, 'flOz')).toBe('1.00 fl oz');
  });

  it('say the same weight in both, within what either can show', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 1900, noNaN: true }), (grams) => {
        const shown = parseFloat(textOf(<Scale grams={grams} />));
        const ounces = parseFloat(textOf(<Scale grams={grams} />, 'flOz'));
        expect(Math.abs(shown - grams)).toBeLessThanOrEqual(0.0501);
        expect(Math.abs(ounces * 29.57 - grams)).toBeLessThanOrEqual(0.149);
      }),
      { numRuns: 60 },
    );
  });

  it('change in every sentence that speaks of an amount, and in none that teaches the gram', () => {
    const say = (units: 'grams' | 'flOz', code: string, params: object) =>
      wordsIn(units).t(code, { ns: 'reasons', ...params });
    const amount = { given: 20, min: 30, max: 60, bowl: 'A' };
    expect(say('grams', 'mark.amount.tooLittle', amount)).toContain('20 g');
    expect(say('flOz', 'mark.amount.tooLittle', amount)).toContain('0.68 fl oz');
    expect(say('flOz', 'mark.amount.tooLittle', amount)).not.toMatch(/\d g\b/);
    expect(say('flOz', 'example.units.grams', { amount: 60 })).toContain('60 g');
    expect(wordsIn('grams').t('bench.bowlPart', { label: '5:0', weight: 30 })).toBe('5:0 30.0 g');
    expect(wordsIn('flOz').t('bench.bowlPart', { label: '5:0', weight: 30 })).toBe('5:0 1.01 fl oz');
  });

  it('leave everything else alone: levels, strengths, minutes, shares', () => {
    for (const [code, params] of [
      ['developer.right', { given: 20 }],
      ['minutes.right', { given: 35 }],
      ['levelReading.right', { given: 5.5 }],
      ['grey.noneNeeded', { grey: 0.2 }],
    ] as const)
      expect(wordsIn('flOz').t(code, { ns: 'reasons', ...params })).toBe(
        wordsIn('grams').t(code, { ns: 'reasons', ...params }),
      );
  });
});
