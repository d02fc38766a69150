import { answersCsv, type AnswersPage } from './answers-csv';

const row = (part: Partial<AnswersPage['rows'][number]>): AnswersPage['rows'][number] => ({
  name: 'Bo',
  attemptId: null,
  state: 'notStarted',
  dueAt: '2026-03-08T18:00:00.000Z',
  handedIn: 0,
  late: false,
  points: null,
  submittedAt: null,
  changed: false,
  grade: null,
  ...part,
});
const linesOf = (rows: AnswersPage['rows']) =>
  answersCsv({ rubric: { tone: 4, depth: 4, greyShare: 0 }, max: 8, rows }, ['depth', 'tone', 'greyShare'])
    .replace(/^\uFEFF/, '')
    .split('\r\n');

describe('answers as CSV', () => {
  it('hold a row a student and a column a marked criterion, and what shows of their thinking', () => {
    const [head, first, second, end] = linesOf([
      row({
        state: 'handedIn',
        late: true,
        handedIn: 2,
        points: 5.5,
        submittedAt: '2026-03-09T18:00:00.000Z',
        changed: true,
        grade: {
          criteria: [
            { criterion: 'depth', points: 4 },
            { criterion: 'tone', points: 1.5 },
          ],
          capPoints: 5.5,
          misconceptions: [{ name: 'rootsFirst' }, { name: 'overlap' }],
        },
      }),
      row({ name: 'Ana' }),
    ]);
    expect(head).toBe(
      'student,state,due,late,attempts,handed_in,points,of,depth_points,tone_points,capped,changed_by_hand,misconceptions',
    );
    expect(first).toBe(
      'Bo,handedIn,2026-03-08T18:00:00.000Z,yes,2,2026-03-09T18:00:00.000Z,5.5,8,4,1.5,yes,yes,rootsFirst overlap',
    );
    expect(second).toBe('Ana,notStarted,2026-03-08T18:00:00.000Z,no,0,,,8,,,no,no,');
    expect(end).toBe('');
  });

  it('cannot make a spreadsheet run what a student is called', () => {
    expect(linesOf([row({ name: '=HYPERLINK("x")' })])[1]).toMatch(/^"'=HYPERLINK/);
  });
});
