import { shippedCase } from '../cases';
import { jotted } from '../testing/card-shorthand';
import { gradingFor } from '../testing/solved';
import { type MarkingInput, markCard } from './mark-card';
import { type TableRow, TABLE } from './tests/table';
import { ARGUED } from './tests/table/argued';

const inputs = new Map<string, MarkingInput>();
function inputOf({ caseId, house }: TableRow): MarkingInput {
  const name = JSON.stringify([caseId, house]);
  const { clientCase, house: own } = shippedCase(caseId)!;
  const markingInput = inputs.get(name) ?? gradingFor(clientCase, { ...own, ...house });
  inputs.set(name, markingInput);
  return markingInput;
}

function markOf(row: TableRow): number {
  const input = inputOf(row);
  const { card, clientCase } = input.modelAnswer;
  const plan = { ...card, ...(row.plan === undefined ? {} : jotted(row.plan, clientCase)), ...row.card };
  const { points, max } = markCard(input, plan);
  return (100 * points) / max;
}

describe('the table of plans', () => {
  const marks = TABLE.map((row) => ({ row, mark: markOf(row) }));

  it('has two hundred and fifty plans and more, a third of them locked', () => {
    expect(TABLE.length).toBeGreaterThanOrEqual(250);
    expect(TABLE.filter(({ locked }) => locked).length).toBe(Math.floor(TABLE.length / 3));
  });

  it('is marked as an educator would sign it, or the mark is argued', () => {
    const outside = marks.filter(({ row, mark }) => mark < row.span[0] || mark > row.span[1]);
    const named = outside.map(({ row, mark }) => ({
      plan: `${row.caseId} ${row.name}`,
      mark,
      span: row.span,
    }));
    expect(named.filter(({ plan }) => !(plan in ARGUED))).toEqual([]);
    // What has come into its span needs no argument any more.
    const plans = new Set(named.map(({ plan }) => plan));
    expect(Object.keys(ARGUED).filter((plan) => !plans.has(plan))).toEqual([]);
  });

  it('spreads: bad plans below 55, careless ones to 85, good ones above', () => {
    const meanOf = (from: number, to: number) => {
      const some = marks.filter(({ row }) => row.span[1] > from && row.span[1] <= to);
      return some.reduce((sum, { mark }) => sum + mark, 0) / some.length;
    };
    expect(meanOf(0, 55)).toBeLessThan(55);
    expect(meanOf(55, 85)).toBeGreaterThan(50);
    expect(meanOf(55, 85)).toBeLessThan(80);
    expect(meanOf(97, 100)).toBeGreaterThan(90);
  });
});
