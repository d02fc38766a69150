import type { EducatorTest } from '@cimbel/contract';
import { resultsCsv } from './results';

const test = (rows: Partial<EducatorTest['rows'][number]>[]): EducatorTest => ({
  id: 't',
  classId: 'c',
  className: 'Evening',
  title: 'A test',
  questions: 2,
  minutes: 10,
  step: 2,
  dueAt: '2026-03-09T18:00:00.000Z',
  feedback: 'atEnd',
  attempts: 1,
  variants: 'own',
  released: false,
  late: false,
  plan: [],
  slots: [],
  confusion: { level: [], tone: [] },
  skills: [
    { skill: 'level', questions: 1, accuracy: 1 },
    { skill: 'grey', questions: 1, accuracy: 0.5 },
  ],
  rows: rows.map((row) => ({
    studentId: 's',
    name: 'A student',
    extraTimeShare: 0,
    state: 'notStarted' as const,
    sittingId: null,
    sittings: 0,
    score: null,
    minutes: null,
    bySkill: {},
    ...row,
  })),
});
const linesOf = (rows: Parameters<typeof test>[0]) =>
  resultsCsv(test(rows))
    .replace(/^\uFEFF/, '')
    .split('\r\n');

describe('results as CSV', () => {
  it('hold a row a student and a column a skill, in per cent', () => {
    const [head, first] = linesOf([
      {
        name: 'Bo',
        state: 'finished',
        sittings: 2,
        score: 0.666666,
        minutes: 7.04,
        extraTimeShare: 0.25,
        bySkill: { level: 1, grey: 1 / 3 },
      },
    ]);
    expect(head).toBe(
      'student,state,attempts,score_percent,minutes,extra_time_percent,level_percent,grey_percent',
    );
    expect(first).toBe('Bo,finished,2,66.7,7,25,100,33.3');
  });

  it('leave what is not known empty, and begin with the mark that spreadsheets ask for', () => {
    expect(linesOf([{}])[1]).toBe('A student,notStarted,0,,,0,,');
    expect(resultsCsv(test([])).charCodeAt(0)).toBe(0xfeff);
  });

  it.each(['=2+3', '+1', '-1', '@cell', '\tx'])('a name like %j stays text in a spreadsheet', (name) => {
    expect(linesOf([{ name }])[1].replace(/^"/, '')).toMatch(/^'/);
  });

  it('quotes a name with commas, quotes or line breaks', () => {
    expect(linesOf([{ name: 'Brand, Odile "O"' }])[1]).toMatch(/^"Brand, Odile ""O""",/);
  });
});
