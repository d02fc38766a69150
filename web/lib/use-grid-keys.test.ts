import { cellThatWay } from './use-grid-keys';

/** Three rows of a chart, the second with a gap. */
const CELLS = [
  { x: 10, y: 10 },
  { x: 50, y: 10 },
  { x: 90, y: 10 },
  { x: 10, y: 60 },
  { x: 90, y: 60 },
  { x: 50, y: 110 },
];
const goes = (from: number, step: readonly [number, number]) => cellThatWay(CELLS[from], CELLS, step);

describe('arrows in a chart', () => {
  it('go to the neighbour of the row, over a gap, and stop at its end', () => {
    expect(goes(0, [1, 0])).toBe(1);
    expect(goes(3, [1, 0])).toBe(4);
    expect(goes(4, [-1, 0])).toBe(3);
    expect(goes(2, [1, 0])).toBe(-1);
  });
  it('go up and down the column, over a gap', () => {
    expect(goes(0, [0, 1])).toBe(3);
    expect(goes(1, [0, 1])).toBe(5);
    expect(goes(5, [0, -1])).toBe(1);
    expect(goes(0, [0, -1])).toBe(-1);
  });
});
