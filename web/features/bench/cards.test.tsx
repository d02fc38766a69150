import type { Result } from '@cimbel/contract';
import { SHIPPED_CASES } from '@cimbel/core/cases';
import { NO_RULING, markCard, typicalErrors } from '@cimbel/core/mark';
import { BENCH_STEPS } from '@cimbel/core/exercise';
import { EMPTY_CARD, type Bowl, type RecordCard } from '@cimbel/core/card';
import { SHIPPED_LINES, shippedLine } from '@cimbel/core/product';
import { gradingOf, solved } from '@cimbel/core/testing/solved';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { fieldsOf, textOf } from '../../testing/render';
import { BowlForm } from './bowl-form';
import { ModelAnswerPanel } from '../marking/model-answer';
import { RecordCardView } from './record-card';
import { ResultView } from '../marking/result-view';
import { useBowlWords } from './words';

const CASES = SHIPPED_CASES.filter((_, i) => i % 3 === 0);
/** What only stands where something was not put into words. */
const UNWORDED = /undefined|NaN|\{\{|\}\}|\[object|\bnull\b/;

describe('a card', () => {
  it('says all that the plan says, for every third case', () => {
    for (const { id } of CASES) {
      const { card } = solved(id);
      const text = textOf(<RecordCardView plan={card} lines={SHIPPED_LINES} title="The card" />);
      expect(text).not.toMatch(UNWORDED);
      expect(text).toContain('The card');
      for (const bowl of card.bowls) {
        const line = shippedLine(bowl.lineId!)!;
        expect(text).toContain(`${bowl.name}: ${line.name}`);
        for (const { label, grams } of bowl.shades) expect(text).toContain(`${label} ${grams.toFixed(1)} g`);
        for (const { vol, grams } of bowl.developer)
          expect(text).toContain(`${vol > 0 ? `${vol} vol` : 'its own liquid'} ${grams.toFixed(1)} g`);
      }
      for (const { start, minutes } of card.steps) expect(text).toContain(`${start}–${start + minutes} min`);
    }
  });

  it('is weighed in ounces where the class does, to the hundredth', () => {
    const { card } = solved('retouch-grey');
    const text = textOf(<RecordCardView plan={card} lines={SHIPPED_LINES} />, 'flOz');
    expect(text).toContain('5:0 0.51 fl oz + 5:1 0.51 fl oz + 20 vol 1.52 fl oz');
    expect(text).not.toMatch(/\d g\b/);
  });

  it('says how hair was washed, what goes on wet, on past the line, with warmth or from the front', () => {
    const { card } = solved('retouch-grey');
    const [first, ...rest] = card.steps;
    const said = (words: Partial<typeof first>, more: Partial<RecordCard> = {}) =>
      textOf(
        <RecordCardView
          plan={{ ...card, ...more, steps: [{ ...first, ...words }, ...rest] }}
          lines={SHIPPED_LINES}
        />,
      );
    expect(said({})).toContain('from the hairline back, hairline again at the end');
    expect(said({})).not.toContain('overlapped');
    expect(said({ stopsAtLine: false })).toContain('overlapped');
    expect(said({ wet: true })).toContain('on damp hair');
    expect(said({ heat: { from: 0, to: 10 } })).toContain('heat from 0 to 10 min');
    expect(said({}, { wash: 'washed' })).toContain('washed and dried');
    expect(said({}, { wash: null })).not.toContain('Hair preparation');
  });

  it('says what is open, and of a client who is sent home only that', () => {
    const empty = textOf(<RecordCardView plan={EMPTY_CARD} lines={SHIPPED_LINES} />);
    expect(empty.match(/not answered|open/gi) ?? []).toHaveLength(2);
    const declined = textOf(<RecordCardView plan={solved('not-today').card} lines={SHIPPED_LINES} />);
    expect(declined).not.toContain('Appointments');
  });
});

describe('a bowl in words', () => {
  function Words({ bowl }: { bowl: Bowl }) {
    return <>{useBowlWords()(bowl, SHIPPED_LINES)}</>;
  }
  const powder: Bowl = {
    name: 'A',
    lineId: 'calder',
    shades: [],
    productGrams: 50,
    developer: [
      { vol: 20, grams: 80 },
      { vol: 0, grams: 20 },
    ],
    additive: true,
  };
  it('has powder, developer, water and what protects the bonds', () => {
    expect(textOf(<Words bowl={powder} />)).toBe(
      'Calder Powder 50.0 g + 20 vol 80.0 g + water 20.0 g + Calder Bind',
    );
    expect(textOf(<Words bowl={{ ...powder, additive: false, developer: [] }} />)).toBe(
      'Calder Powder 50.0 g',
    );
    expect(textOf(<Words bowl={{ ...powder, lineId: null, productGrams: 0, developer: [] }} />)).toBe('open');
  });
});

describe('the key of a case', () => {
  it('is worded for every third case, with its near misses, in both units', () => {
    for (const { id } of CASES) {
      const modelAnswer = solved(id);
      const misses = typicalErrors(gradingOf(id));
      for (const units of ['grams', 'flOz'] as const) {
        const text = textOf(
          <ModelAnswerPanel
            solution={modelAnswer}
            lines={SHIPPED_LINES}
            houseRules={DEFAULT_HOUSE_RULES}
            nearMisses={misses}
          />,
          units,
        );
        expect(text).not.toMatch(UNWORDED);
        if (units === 'flOz') expect(text).not.toMatch(/\d g\b/);
      }
    }
  });
});

describe('a result', () => {
  const resultOf = (id: string, change: (card: RecordCard) => RecordCard): Result => {
    const modelAnswer = solved(id);
    const answer = change(modelAnswer.card);
    return {
      attemptId: 'a',
      assignmentId: 'e',
      title: 'An exercise',
      studentName: 'Bo',
      clientCase: modelAnswer.clientCase,
      lines: [...SHIPPED_LINES],
      judgement: NO_RULING,
      houseRules: DEFAULT_HOUSE_RULES,
      modelAnswer,
      open: [...BENCH_STEPS],
      slip: null,
      answer,
      grade: markCard(gradingOf(id), answer),
      changes: [],
      comments: [],
      hints: [],
      submittedAt: '2026-03-02T18:00:00.000Z',
      receipt: null,
      dueAt: '2026-03-03T18:00:00.000Z',
      late: false,
      lateLoss: 0,
      attempts: [],
    };
  };
  const shown = (result: Result) => textOf(<ResultView result={result} heading={<h1>Result</h1>} />);

  it('shows each criterion, why, what it came to, the rules, and both cards', () => {
    for (const { id } of CASES) {
      const text = shown(resultOf(id, (card) => card));
      expect(text).not.toMatch(UNWORDED);
      expect(text).toContain('Model answer');
    }
  });

  it('says what was dangerous first, and names the way of thinking', () => {
    const strong = resultOf('first-blonde', (card) => ({
      ...card,
      bowls: card.bowls.map((bowl) =>
        bowl.name === 'A' ? { ...bowl, developer: [{ vol: 40, grams: 100 }] } : bowl,
      ),
    }));
    const text = shown(strong);
    expect(strong.grade.capPoints).not.toBeNull();
    expect(text).toContain('40 vol');
    expect(text.indexOf('40 vol')).toBeLessThan(text.indexOf('Reading'));
    expect(strong.grade.misconceptions.map(({ name }) => name)).toContain('strongOnScalp');
  });

  it('names the slip of a card that was put right, and only of such a card', () => {
    const result = resultOf('retouch-grey', (card) => card);
    expect(shown(result)).not.toContain('Error in the record card');
    expect(shown({ ...result, slip: 'ratioTurned' })).toContain('The error on the card was: Ratio reversed');
  });
});

describe('the form of a bowl', () => {
  const assignment = {
    wish: { ends: { level: 9, tone: { primary: 'pearl' } } },
    houseRules: DEFAULT_HOUSE_RULES,
  } as unknown as Parameters<typeof BowlForm>[0]['assignment'];
  const bowl: Bowl = {
    name: 'A',
    lineId: 'calder',
    shades: [],
    productGrams: 50,
    developer: [{ vol: 20, grams: 100 }],
    additive: false,
  };
  const formOf = (lineId: string) => (
    <BowlForm
      bowl={{ ...bowl, lineId }}
      line={shippedLine(lineId)!}
      assignment={assignment}
      onChange={() => undefined}
    />
  );

  it('shows the same weights in the units of the class', () => {
    expect(fieldsOf(formOf('calder'))).toMatchObject({
      'Amount of Calder Powder': '50',
      'Amount of 20 vol': '100',
      'Total mixture': '150',
    });
    expect(fieldsOf(formOf('calder'), 'flOz')).toMatchObject({
      'Amount of Calder Powder': '1.69',
      'Amount of 20 vol': '3.38',
      'Total mixture': '5.07',
    });
  });

  it('offers what the line may have stirred in, and nothing where it has nothing', () => {
    expect(textOf(formOf('calder'))).toContain('Calder Bind in it, 4 g to 100 g');
    expect(textOf(formOf('wrenfell'))).not.toContain('in it,');
  });
});
