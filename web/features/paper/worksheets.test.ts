import type { EducatorAssignment } from '@cimbel/contract';
import { shippedCase } from '@cimbel/core/cases';
import { BENCH_STEPS, FORMULATE, type BenchStep } from '@cimbel/core/exercise';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { solveCase, type ModelAnswer } from '@cimbel/core/solve';
import { i18n } from '../../lib/i18n';
import '../../lib/words/bench';
import '../../lib/words/craft';
import '../../lib/words/paper';
import '../../lib/words/reasons';
import { answerKey, classResults } from './answers';
import type { PaperSheet } from './paper';
import { caseFiguresOf, worksheet, type PaperWords } from './worksheets';

const { clientCase } = shippedCase('retouch-grey')!;
const lines = SHIPPED_LINES.filter(({ id }) => clientCase.lineIds.includes(id));
const solved = solveCase(clientCase, lines, DEFAULT_HOUSE_RULES);
if (!solved.ok) throw new Error('the case has no answer');
const { modelAnswer } = solved;

/** Cards that were put into words: what a sheet says of the work. */
let said: ModelAnswer['card'][] = [];
beforeEach(() => (said = []));
const words: PaperWords = {
  t: i18n.getFixedT('en', ['paper', 'ui', 'craft', 'reasons']) as unknown as PaperWords['t'],
  card: (plan) => {
    said.push(plan);
    return {
      facts: [
        { term: 'decision', value: 'go on' },
        { term: 'visits', value: null },
      ],
      timeline: [{ when: '0–30 min', what: 'A on regrowth' }],
      home: '',
    };
  },
  hairFacts: () => [{ term: 'Density', value: 'medium' }],
  wishes: () => [{ name: 'mid-lengths', text: 'Level 4' }],
};
const row = { studentId: 'one', name: 'Amina Tessaly', number: '2041', variant: 2, points: 80, grade: null };
const assignment = (change: object = {}) =>
  ({
    id: '7e9699f2-85a3-433d-ac68-ab237172d96d',
    title: 'Retouch',
    className: 'Evening',
    dueAt: '2026-03-09T18:00:00Z',
    clientCase,
    modelAnswer,
    lines,
    houseRules: DEFAULT_HOUSE_RULES,
    open: BENCH_STEPS,
    slip: null,
    variants: [],
    rubric: { depth: 4, tone: 4 },
    max: 8,
    rows: [row, { ...row, name: 'Bo', number: null, points: 60 }, { ...row, name: 'Carys', points: null }],
    ...change,
  }) as unknown as EducatorAssignment;
const sheetOf = (open: readonly BenchStep[], owner: { name: string; number: string | null } | null = row) => {
  const one = assignment({ open });
  return worksheet(one, caseFiguresOf(one)[0], owner, words);
};
const headings = ({ blocks }: PaperSheet) =>
  blocks.flatMap((block) => (block.kind === 'heading' ? [block.text] : []));
const texts = (sheet: PaperSheet) => JSON.stringify(sheet);

describe('a worksheet', () => {
  it('has room for every step that is worked, in the order of the service, and for no other', () => {
    const all = headings(sheetOf(BENCH_STEPS));
    expect(all.slice(-6)).toEqual(['Consult', 'Read', 'Mix', 'Apply', 'Process', 'Finish']);
    expect(headings(sheetOf(FORMULATE)).slice(-3)).toEqual(['Read', 'Mix', 'Process']);
  });

  it('has a row to be read for every zone of the head, whatever is wished for', () => {
    const read = sheetOf(['read']).blocks.flatMap((block) => (block.kind === 'table' ? block.rows : []));
    expect(read).toEqual(clientCase.head.zones.map(() => [expect.any(String)]));
  });

  it('says what is given and nothing of what is to be written', () => {
    sheetOf(FORMULATE);
    expect(said).toHaveLength(1);
    expect(said[0]).toMatchObject({ readings: {}, decision: modelAnswer.card.decision });
    expect(said[0].bowls).toEqual([]);
    sheetOf(BENCH_STEPS);
    expect(said[1]).toMatchObject({ readings: {}, bowls: [], steps: [], decision: null });
  });

  it('holds neither the level, nor the history, nor the model answer: what a student is sent and no more', () => {
    for (const open of [BENCH_STEPS, FORMULATE]) {
      const text = texts(sheetOf(open));
      for (const telling of [
        'naturalLevel',
        'history',
        ...modelAnswer.card.bowls.flatMap(({ shades }) => shades.map(({ label }) => `"${label}"`)),
      ])
        expect(text).not.toContain(telling);
    }
  });

  it('bears name and number on each page, the variant where there are several, and room for a name where it is nobody’s', () => {
    expect(sheetOf(BENCH_STEPS).mark).toBe('Retouch · Amina Tessaly · 2041');
    expect(sheetOf(BENCH_STEPS, null).about).toContain('Name: ___');
    expect(sheetOf(BENCH_STEPS, { name: 'Bo', number: null }).about).toContain('Name: Bo');
    const variants = [1, 2].map((number) => ({ number, clientCase, modelAnswer }));
    const varied = assignment({ variants });
    const figures = caseFiguresOf(varied);
    expect(figures.map(({ variant }) => variant)).toEqual([1, 2]);
    expect(worksheet(varied, figures[1], row, words).mark).toBe('Retouch · Amina Tessaly · 2041 · Variant 2');
    expect(caseFiguresOf(assignment({ variants: variants.slice(1) })).map(({ variant }) => variant)).toEqual([
      null,
    ]);
  });

  it('shows the card that is to be put right, with its slip', () => {
    const wrong = assignment({ slip: 'otherLinesRatio', open: ['mix'] });
    const sheet = worksheet(wrong, caseFiguresOf(wrong)[0], row, words);
    expect(headings(sheet)).toContain('Card to be put right');
    expect(said[0].bowls.length).toBeGreaterThan(0);
    expect(said[0].bowls).not.toEqual(modelAnswer.card.bowls);
  });
});

describe('the key and the results', () => {
  it('are the model answer, with what is not written as a dash', () => {
    const one = assignment();
    const key = answerKey(one, caseFiguresOf(one)[0], words);
    expect(said).toEqual([modelAnswer.card]);
    expect(texts(key)).toContain('{"term":"Visits","value":"–"}');
    expect(key.mark).toBe('Answer key · Retouch');
  });

  it('have the average of those who have points, and a dash for who has none', () => {
    const { blocks } = classResults(assignment(), words);
    const [table, mean] = blocks;
    if (table.kind !== 'table' || mean.kind !== 'text') throw new Error('other blocks than these');
    expect(table.rows.map((cells) => [cells[0], cells[1], cells.at(-1)])).toEqual([
      ['2041', 'Amina Tessaly', '80'],
      ['', 'Bo', '60'],
      ['2041', 'Carys', '–'],
    ]);
    expect(mean.text).toMatch(/: 70\.0$/);
  });
});
